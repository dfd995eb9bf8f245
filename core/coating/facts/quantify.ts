import type { DryingStage } from "../../catalogue/vocabulary";
import { dryMicrons } from "../../film/build";
import { fieldAmount, marksAmount } from "../../film/amount";
import { stagesIn } from "../../drying/stages";
import { MIN_PER_DAY } from "../../units/duration";
import { isLiquid, purposeOf } from "../../film/purposes";
import { thinningFor, usualThinning } from "../../film/thinning";
import { coatMicrons, coversField, films, filmsBelow, isFilm } from "./facts";
import { handsOnMin } from "./hands-on";
import { jarFor } from "./jars";
import type { StackFacts, StepFact } from "./facts";
import type { Step } from "../model/step";

/** Rigid forms of a mark that are laid over the field, coats taken as one sitting each. */
const SITTINGS_PER_COAT = 1;

/** Rows of a pattern in one colour are set from one puddle, whatever their sizes: what stays in the palette is lost once. */
function fromOnePuddle({ step, index }: StepFact, stack: StackFacts): boolean {
  const alike = (other: StepFact) =>
    !other.step.done && other.step.rows !== undefined && other.step.product === step.product && other.step.colour === step.colour;
  return step.rows !== undefined && stack.steps.slice(0, index).some(alike);
}

/**
 * Paint a step takes in its zone, all pieces and coats.
 *
 * @returns mL out of the jar and mL as laid; null for acts without a film
 */
export function amounts(fact: StepFact, stack: StackFacts): Pick<Step, "jarMl" | "volumeMl"> {
  const wetMicrons = coatMicrons(fact.product, fact.step.method);
  if (wetMicrons === null) return { jarMl: null, volumeMl: null };
  if (fact.step.done) return { jarMl: 0, volumeMl: 0 };
  const { coats = 1, coverage = 1, marks, thinning, group } = fact.step;
  // The place around a motif is sealed together with it, and measured whole.
  if (group !== undefined && stack.zone.motifGround !== undefined) return { jarMl: 0, volumeMl: 0 };
  const percent = thinning?.percent ?? 0;
  if (marks) return marksAmount(marks, stack.piece.count, coats, percent, !fromOnePuddle(fact, stack));
  const drinks = !filmsBelow(stack, fact).some(coversField);
  return fieldAmount({
    areaMm2: stack.zone.areaMm2,
    coverage,
    wetMicrons,
    coats,
    thinnerPercent: percent,
    uptakeMlPerM2: drinks ? stack.material.uptakeMlPerM2.value : 0,
    pieces: stack.piece.count,
    sittings: coats * SITTINGS_PER_COAT,
    method: fact.step.method ?? fact.product!.methods[0] ?? "brush",
  });
}

/** What the oven has set needs no cure. */
function curesInAir(fact: StepFact, stack: StackFacts): boolean {
  return !fact.step.done && !(fact.product?.bakeable && stack.steps.some((one) => one.aid?.heat));
}

/**
 * Days until the slowest film of a stack has cured.
 *
 * @returns days, from 0
 */
export function cureDaysOf(stack: StackFacts): number {
  return Math.max(0, ...films(stack).map((fact) => (curesInAir(fact, stack) ? (stages(fact, stack).typical?.cureDays ?? 0) : 0)));
}

function stages(fact: StepFact, stack: StackFacts): Pick<Step, "typical" | "cautious"> {
  if (!fact.product || fact.product.drying.by === "none") return { typical: null, cautious: null };
  const range = stagesIn(fact.product, stack.room, fact.step.marks ? fact.wetMicrons : null);
  return { typical: range?.typical ?? null, cautious: range?.cautious ?? null };
}

/** Cure of the slowest film below, as the wait of a cure step. */
function cureWait(fact: StepFact, stack: StackFacts): Step["waitBefore"] {
  if (fact.step.role !== "cure") return fact.step.waitBefore ?? null;
  const cures = filmsBelow(stack, fact)
    .filter((below) => curesInAir(below, stack))
    .map((below) => stages(below, stack));
  const most = (pick: (one: Pick<Step, "typical" | "cautious">) => number) => Math.ceil(Math.max(0, ...cures.map(pick)) * MIN_PER_DAY);
  const min = most((one) => one.typical?.cureDays ?? 0);
  const until: DryingStage = "cured";
  return min > 0
    ? {
        min,
        cautiousMin: Math.max(
          min,
          most((one) => one.cautious?.cureDays ?? 0),
        ),
        until,
      }
    : null;
}

/** The jar of its colour; none where the user owns none of that colour. */
function ownJarOf({ product, step }: StepFact): Pick<Step, "ownProduct"> {
  const jar = product && !step.done ? jarFor(product, step) : null;
  return jar ? { ownProduct: jar.id } : {};
}

/** A coat's thinning with all that follows from it: the usual one where nothing was said. */
function thinningOf({ step, product }: StepFact, stack: StackFacts): Step["thinning"] {
  const purpose = purposeOf(step, product!);
  const { surface } = stack.material;
  return thinningFor(product!, purpose, surface, step.thinning ?? usualThinning(product!, purpose, surface));
}

/**
 * Works out every number of a stack's steps: film, amounts, stages, hands-on time. Amounts and time cover the whole count.
 * The stack's waits are taken as they stand.
 *
 * @returns the steps with film in µm, amounts in mL, times in minutes
 */
export function quantify(stack: StackFacts): readonly Step[] {
  return stack.steps.map((fact) => {
    const { step, product } = fact;
    const wet = isFilm(fact) ? fact.wetMicrons : null;
    const solids = product?.film.volumeSolidsPercent ?? null;
    return {
      ...step,
      ...ownJarOf(fact),
      method: step.method ?? product?.methods[0] ?? "hand",
      coats: step.coats ?? 1,
      thinning: product && isLiquid(product, step.method) ? thinningOf(fact, stack) : null,
      wetMicrons: wet,
      dryMicrons: wet === null || solids === null ? null : dryMicrons(wet, solids, step.thinning?.percent ?? 0),
      ...amounts(fact, stack),
      waitBefore: cureWait(fact, stack),
      handsOnMin: handsOnMin(fact, stack),
      ...stages(fact, stack),
    };
  });
}
