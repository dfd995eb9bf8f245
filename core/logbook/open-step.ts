import type { StepId } from "../catalogue/ids";
import { alikeZones } from "../coating/explain/alike-zones";
import { actNumbers, toldActs } from "../coating/explain/told-acts";
import type { Candidate } from "../coating/model/plan";
import type { Work } from "../coating/facts/task";
import { coatStates } from "./coat-states";
import { actStates } from "./group-states";

/** Whether the section of a plan has one column: then a step stands open beside it from the start. */
export function hasOneColumn(candidate: Candidate): boolean {
  return alikeZones(candidate.zones, actNumbers(candidate)).length === 1;
}

/**
 * The step that stands open before one is chosen: what may be done now, else what is waited for, else the first; null where the section
 * fills the page.
 *
 * @param now instant, ms
 */
export function openStep(candidate: Candidate, work: Work, done: ReadonlyMap<string, number>, now: number): StepId | null {
  if (!hasOneColumn(candidate)) return null;
  const told = toldActs(candidate).map((act) => act.step);
  const states = actStates(candidate.acts, coatStates(candidate, work, done, now));
  const standing = (state: string) => told.find((step) => states.get(step.id)?.state === state);
  return (standing("ready") ?? standing("waiting") ?? told[0])?.id ?? null;
}
