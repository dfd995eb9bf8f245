import { fingerprint } from "../model/fingerprint";
import { candidateId } from "../../catalogue/ids";
import type { CandidateId } from "../../catalogue/ids";
import { quantify } from "../facts/quantify";
import { stackFacts } from "../facts/facts";
import type { PieceFacts } from "../facts/facts";
import { judge } from "../rules/judge";
import { workingOrder } from "../facts/working-order";
import type { Candidate } from "../model/plan";
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

/**
 * Makes a candidate of chosen steps: waits, numbers, order, totals, findings. Used alike for what the search found and for
 * what is left after the user's edits.
 *
 * @param choices stacks by zone, without numbers
 * @param rules those it is judged by
 * @param as its title and route; its id where it has one already
 */
export function makeCandidate(
  facts: PieceFacts,
  choices: readonly ZoneSteps<StepChoice>[],
  rules: readonly Rule[],
  as: { title: string; route: Candidate["route"]; id?: CandidateId },
): Candidate {
  const waited = stackFacts(facts, choices).map((stack) => ({ zone: stack.zone.zone, areaMm2: stack.zone.areaMm2, steps: fillWaits(stack) }));
  const stacks = stackFacts(facts, waited);
  const zones = stacks.map((stack): ZoneSteps => ({ zone: stack.zone.zone, areaMm2: stack.zone.areaMm2, steps: quantify(stack) }));
  const totals = totalsOf(zones, facts);
  return {
    id: as.id ?? candidateIdOf(as.route, choices),
    title: as.title,
    school: schoolOf(stacks),
    route: as.route,
    zones,
    bare: facts.zones.filter((zone) => zone.treatment === "leave-bare" && !zones.some((one) => one.zone === zone.zone)).map((zone) => zone.zone),
    order: workingOrder(zones, facts),
    findings: judge(stacks, rules),
    totals,
    scores: scoresOf(stacks, totals, facts),
  };
}
