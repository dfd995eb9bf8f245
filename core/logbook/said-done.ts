import type { SaidStep } from "../coating/model/read-sequence";
import type { Candidate } from "../coating/model/plan";
import { actOf } from "./progress";
import type { CoatEvent } from "./progress";

/** Coats that were laid on one day. */
export interface DoneOn {
  /** "YYYY-MM-DD"; null where nothing was said of when. */
  readonly day: string | null;
  readonly coats: readonly CoatEvent[];
}

/** The day of each step: what was said of it, else that of the step before, else that of the first one that has one. */
function daysOf(said: readonly SaidStep[]): readonly (string | null)[] {
  const first = said.find(({ day }) => day !== undefined)?.day ?? null;
  let last = first;
  return said.map(({ day }) => (last = day ?? last));
}

/**
 * What somebody has already done, as coats to be noted; one where they named no number, so that none is taken for laid that is not.
 *
 * @param plan made of just these steps
 * @returns coats by the day they were laid, in order
 */
export function saidDone(said: readonly SaidStep[], plan: Candidate): readonly DoneOn[] {
  const days = daysOf(said);
  const used = new Set<string>();
  const coats = said.flatMap(({ role, product, technique, coats: laid = 1, mix }, index) =>
    plan.zones.flatMap(({ zone, steps }) => {
      const step = steps.find((one) => !used.has(one.id) && one.role === role && one.product === product && one.technique === technique && !one.done);
      if (!step) return [];
      used.add(step.id);
      return Array.from({ length: laid }, (_unused, at) => ({
        day: days[index]!,
        coat: { zone, stepId: step.id, act: { ...actOf(step), ...(mix === undefined ? {} : { mix }) }, coat: at + 1 } as CoatEvent,
      }));
    }),
  );
  return [...new Set(coats.map(({ day }) => day))].map((day) => ({ day, coats: coats.filter((one) => one.day === day).map(({ coat }) => coat) }));
}
