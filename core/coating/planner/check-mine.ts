import type { Catalogue } from "../../catalogue/catalogue";
import type { SaidStep } from "../model/read-sequence";
import type { Role, ZoneId } from "../../catalogue/vocabulary";
import type { Piece } from "../../piece/piece";
import { mainZone } from "../../piece/zones";
import { techniqueWork } from "../facts/layers";
import type { Candidate, Finding } from "../model/plan";
import type { Heat, StepChoice, ZoneSteps } from "../model/step";
import { stepIdOf } from "../model/step-id";
import type { PieceFacts } from "../facts/facts";
import { choicesOf, factsFor, leastChanged, towards } from "./edited";
import type { PlanOfEdits } from "./edited";
import { checkSteps } from "../rules/check-steps";

/** Done where decoration is; everything else is done in every place that is painted. */
const ON_THE_MAIN: readonly Role[] = ["decorate", "mark", "unmark", "mask", "unmask"];
/** What the piece itself asks for, whatever is laid on it. */
const OF_THE_PIECE: readonly Role[] = ["assemble", "cure"];
const COLD: Pick<Heat, "kind" | "start" | "cool"> = { kind: "oven", start: "cold", cool: "inside" };

/** What somebody did or means to do, judged; and what it takes to make a plan of it. */
export interface CheckedMine extends PlanOfEdits {
  readonly findings: readonly Finding[];
  /** Where it was taken to be. */
  readonly zones: readonly ZoneId[];
}

function choiceFor(said: SaidStep, zone: ZoneId, taken: Set<string>, beneath: StepChoice | undefined, facts: PieceFacts): StepChoice {
  const { role, product, jar, coats, colour, sheen, technique, heat } = said;
  const place = facts.zones.find((one) => one.zone === zone)!;
  const [how, medium] = [technique && facts.catalogue.techniques.get(technique), facts.catalogue.products.get(product)];
  const work = how && medium ? techniqueWork(how, place, medium) : {};
  const told = Object.entries({ jar, coats, colour, sheen, technique }).filter(([, value]) => value !== undefined);
  return {
    id: stepIdOf(zone, said, beneath?.product ?? null, taken),
    role,
    product,
    ...work,
    ...Object.fromEntries(told),
    ...(heat ? { heat: { ...COLD, ...heat } } : {}),
    origin: "hers",
    because: [{ requirement: "hers", text: "you said so" }],
    checks: [],
  };
}

function stackOf(said: readonly SaidStep[], zone: ZoneId, isMain: boolean, facts: PieceFacts): readonly StepChoice[] {
  const taken = new Set<string>();
  const isFilm = (step: StepChoice) => facts.catalogue.products.has(step.product);
  return said
    .filter(({ role }) => isMain || !ON_THE_MAIN.includes(role))
    .reduce<readonly StepChoice[]>((steps, one) => [...steps, choiceFor(one, zone, taken, steps.findLast(isFilm), facts)], []);
}

function onCandidate(said: readonly SaidStep[], candidate: Candidate, piece: Piece, catalogue: Catalogue): CheckedMine {
  const facts = factsFor(candidate, piece, catalogue);
  const main = mainZone(facts.zones)?.zone ?? candidate.zones[0]?.zone;
  const made = choicesOf(candidate);
  const painted = new Set(facts.zones.filter(({ treatment }) => treatment === "paint").map(({ zone }) => zone));
  const mine = made
    .filter(({ zone }) => zone === main || painted.has(zone))
    .map((zone): ZoneSteps<StepChoice> => ({ ...zone, steps: stackOf(said, zone.zone, zone.zone === main, facts) }));
  const wanted = made.map((own): ZoneSteps<StepChoice> => {
    const steps = mine.find(({ zone }) => zone === own.zone)?.steps;
    if (!steps) return own;
    return {
      ...own,
      steps: [...own.steps.filter((step) => step.done), ...steps, ...own.steps.filter((step) => !step.done && OF_THE_PIECE.includes(step.role))],
    };
  });
  // What is mixed is not missing as a jar: its colour is told by what it is mixed from.
  const mixed = new Set(said.flatMap(({ mix, colour }) => (mix === undefined ? [] : [colour])));
  const colourOf = new Map(mine.flatMap(({ steps }) => steps.map(({ id, colour }) => [id, colour] as const)));
  const isMissed = ({ code, stepId }: Finding) => code !== "colour-not-owned" || stepId === null || !mixed.has(colourOf.get(stepId));
  const findings = checkSteps(piece, mine, catalogue).filter(isMissed);
  return { ...towards(wanted, candidate, piece, catalogue), findings, zones: mine.map(({ zone }) => zone) };
}

/**
 * Judges what somebody did or has in mind, and makes a plan of it: decoration, guides and masks on the main place, everything else wherever the piece is
 * painted. Coats and waits they did not name are unknown to the judgement; the plan works them out.
 *
 * @param said at least one step
 * @param candidates ways the piece can be done, at least one
 */
export function checkMine(said: readonly SaidStep[], candidates: readonly Candidate[], piece: Piece, catalogue: Catalogue): CheckedMine {
  return leastChanged(candidates.map((candidate) => onCandidate(said, candidate, piece, catalogue)));
}
