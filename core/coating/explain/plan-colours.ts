import type { Catalogue } from "../../catalogue/catalogue";
import type { ProductId, StepId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import { hide } from "../../film/hide";
import type { HideAnswer } from "../../film/hide";
import { screenColour } from "../../film/mix";
import { purposeOf } from "../../film/purposes";
import type { Purpose } from "../../film/purposes";
import type { ChosenThinning } from "../../film/thinning";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { pieceFacts, spectrumBeneath, stackFacts } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import type { Candidate } from "../model/plan";
import type { Step, StepMarks } from "../model/step";
import type { Change } from "../model/change";
import { choiceOf } from "../model/step-choice";

/** One colour of a plan: all steps that lay it out of the same jar. */
export interface PlanColour {
  readonly key: string;
  readonly product: ProductId;
  /** sRGB hex. */
  readonly colour: string;
  /** The user's jar it is laid from; null where they own none that will do. */
  readonly jar: string | null;
  readonly stepIds: readonly StepId[];
  readonly zones: readonly ZoneId[];
  readonly role: Step["role"];
  /** The first step, as it is named. */
  readonly step: Pick<Step, "id" | "role" | "product" | "technique" | "ownProduct">;
  /** Out of the jar, mL, and thinner with it; over all steps that are still to be done. */
  readonly jarMl: number;
  readonly thinnerMl: number;
  /** The most coats any step of it has. */
  readonly coats: number;
  readonly marks: StepMarks | null;
  readonly thinning: ChosenThinning | null;
  readonly purpose: Purpose;
  /** sRGB hex of what is seen beneath the first step. */
  readonly beneath: string;
  /** Contrast ratio of one coat; null for what hides by area or not at all. */
  readonly contrastRatio: number | null;
  readonly coversArea: readonly [number, number] | null;
  /** Wet film of a coat, or height of a dot, µm. */
  readonly wetMicrons: number | null;
  readonly hides: HideAnswer | null;
  /** Lays the underlay the plan knows of, and takes the coats it saves; null where it saves none. */
  readonly underlay: readonly Change[] | null;
  /** It is on the piece already. */
  readonly done: boolean;
}

interface Found {
  readonly step: Step;
  readonly zone: ZoneId;
  readonly fact: StepFact;
  readonly stack: StackFacts;
}

const keyOf = ({ product, colour, ownProduct }: Step) => [product, colour, ownProduct ?? ""].join("/");
const sum = (values: readonly number[]) => values.reduce((all, one) => all + one, 0);

function colourOf(found: readonly Found[], { findings }: Candidate): PlanColour {
  const open = found.filter(({ step }) => !step.done);
  const { step, fact, stack } = (open[0] ?? found[0])!;
  const product = fact.product!;
  const { contrastRatio, coversArea, wetMicrons } = product.film;
  const colour = step.colour!;
  const beneath = screenColour(spectrumBeneath(stack, fact));
  const ids = new Set(found.map((one) => one.step.id));
  const saving = findings.find((one) => one.code === "underlay-saves" && one.stepId !== null && ids.has(one.stepId));
  const thinning = step.thinning && { with: step.thinning.with, percent: step.thinning.percent };
  return {
    key: keyOf(step),
    product: step.product,
    colour,
    jar: step.ownProduct ?? null,
    stepIds: [...ids],
    zones: [...new Set(found.map((one) => one.zone))],
    role: step.role,
    step,
    jarMl: sum(open.map((one) => one.step.jarMl ?? 0)),
    thinnerMl: sum(open.map((one) => (one.step.volumeMl ?? 0) - (one.step.jarMl ?? 0))),
    coats: Math.max(...found.map((one) => one.step.coats)),
    marks: step.marks ?? null,
    thinning,
    purpose: purposeOf(step, product),
    beneath,
    contrastRatio,
    coversArea,
    wetMicrons: step.wetMicrons,
    hides:
      contrastRatio === null || step.marks
        ? null
        : hide({
            paint: { colour, contrastRatio, ...(wetMicrons === null ? {} : { ofMicrons: wetMicrons }) },
            over: beneath,
            ...(thinning ? { thinningPercent: thinning.percent } : {}),
          }),
    underlay: saving?.fix.change ?? null,
    done: open.length === 0,
  };
}

/**
 * The colours of a plan, each with what it takes, what lies beneath it and how it hides there: what the mixing desk works on.
 *
 * @param candidate the plan that is followed
 * @returns colours in the order they are first laid; grounds and clears apart
 */
export function planColours(piece: Piece, candidate: Candidate, catalogue: Catalogue): readonly PlanColour[] {
  const facts = pieceFacts(completePiece(piece, catalogue).piece, catalogue);
  const stacks = stackFacts(
    facts,
    candidate.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) })),
  );
  const found = new Map<string, Found[]>();
  for (const [at, zone] of candidate.zones.entries())
    for (const [index, step] of zone.steps.entries()) {
      const [stack] = stacks.filter((one) => one.zone.zone === zone.zone);
      const fact = stack?.steps[index];
      if (step.colour === undefined || !stack || !fact?.product || step.jarMl === null || step.role === "prime") continue;
      const key = keyOf(step);
      found.set(key, [...(found.get(key) ?? []), { step, zone: candidate.zones[at]!.zone, fact, stack }]);
    }
  return [...found.values()].map((all) => colourOf(all, candidate));
}
