import { fingerprint } from "../model/fingerprint";
import { isLiquid, purposeOf } from "../../film/purposes";
import { usualThinning } from "../../film/thinning";
import { candidateId } from "../../catalogue/ids";
import type { CandidateId } from "../../catalogue/ids";
import { quantify } from "../facts/quantify";
import { stackFacts } from "../facts/facts";
import type { PieceFacts, StackFacts } from "../facts/facts";
import { judge } from "../rules/judge";
import { actsOf, workingOrder } from "../facts/acts";
import { setUpMin } from "../facts/hands-on";
import type { Act, Candidate } from "../model/plan";
import type { StepChoice, ZoneSteps } from "../model/step";
import type { Rule } from "../rules/rule";
import { schoolOf } from "../facts/practice-name";
import { scoresOf, totalsOf } from "../facts/totals";
import { fillWaits } from "../facts/waits";

/** Names a plan by its route and its steps; numbers that follow from the piece do not change it. */
export function candidateIdOf(route: string, zones: readonly ZoneSteps<StepChoice>[]): CandidateId {
  const steps = zones.map((zone) => [zone.zone, zone.steps.map((step) => [step.role, step.product, step.coats, step.technique, step.heat?.temperatureC])]);
  return candidateId(fingerprint(JSON.stringify([route, steps])));
}

/** A liquid coat with the usual thinning where none is said. */
function thinned(step: StepChoice, { catalogue, material }: PieceFacts): StepChoice {
  const product = catalogue.products.get(step.product);
  if (!product || step.done || !isLiquid(product, step.method)) return step;
  return { ...step, thinning: step.thinning ?? usualThinning(product, purposeOf(step, product), material.surface) };
}

/** Brushes are set up and cleaned once for an act, however many places it has. */
function setUpOnce(zones: readonly ZoneSteps[], acts: readonly Act[], stacks: readonly StackFacts[]): readonly ZoneSteps[] {
  const setUp = new Map(stacks.flatMap((stack) => stack.steps.map((fact) => [fact.step.id, setUpMin(fact)] as const)));
  const later = new Set(acts.flatMap(({ stepIds }) => stepIds.slice(1)));
  return zones.map((zone) => ({
    ...zone,
    steps: zone.steps.map((step) =>
      later.has(step.id) && step.group === undefined ? { ...step, handsOnMin: step.handsOnMin - (setUp.get(step.id) ?? 0) } : step,
    ),
  }));
}

/**
 * Makes a candidate of chosen steps: waits, numbers, order, totals, findings. Used alike for what the search found and for
 * what is left after the user's edits.
 *
 * @param unthinned stacks by zone, without numbers; a liquid coat of which no thinning is said gets the usual one
 * @param rules those it is judged by
 * @param as its title and route; its id where it has one already
 */
export function makeCandidate(
  facts: PieceFacts,
  unthinned: readonly ZoneSteps<StepChoice>[],
  rules: readonly Rule[],
  as: { title: string; route: Candidate["route"]; id?: CandidateId },
): Candidate {
  const choices = unthinned.map((zone) => ({ ...zone, steps: zone.steps.map((step) => thinned(step, facts)) }));
  const waited = stackFacts(facts, choices).map((stack) => ({ zone: stack.zone.zone, areaMm2: stack.zone.areaMm2, steps: fillWaits(stack) }));
  const stacks = stackFacts(facts, waited);
  const apart = stacks.map((stack): ZoneSteps => ({ zone: stack.zone.zone, areaMm2: stack.zone.areaMm2, steps: quantify(stack) }));
  const acts = actsOf(apart, facts);
  const zones = setUpOnce(apart, acts, stacks);
  const order = workingOrder(zones, acts, facts);
  const totals = totalsOf({ zones, acts, order }, facts);
  return {
    id: as.id ?? candidateIdOf(as.route, choices),
    title: as.title,
    school: schoolOf(stacks),
    route: as.route,
    zones,
    bare: facts.zones.filter((zone) => zone.treatment === "leave-bare" && !zones.some((one) => one.zone === zone.zone)).map((zone) => zone.zone),
    acts,
    order,
    findings: judge(stacks, rules),
    totals,
    scores: scoresOf(stacks, totals, facts),
  };
}
