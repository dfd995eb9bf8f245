import type { CalendarDay, DayAct } from "./calendar";

/** Acts with no break between them on the same pieces: they are told, and moved, as one. */
export type Run = readonly [DayAct, ...DayAct[]];

/** Acts begun so soon after the one before are done in one go with it, ms. */
const NO_BREAK_MS = 60_000;

const piecesKey = ({ parts }: DayAct) => parts.map(({ piece }) => piece).join(" ");

/** Acts of a sitting in runs. */
export function runsOf(acts: readonly DayAct[]): readonly Run[] {
  const runs: [DayAct, ...DayAct[]][] = [];
  for (const act of acts) {
    const run = runs.at(-1);
    const last = run?.at(-1);
    const goesOn =
      last !== undefined &&
      act.from - last.to < NO_BREAK_MS &&
      piecesKey(act) === piecesKey(last) &&
      act.hand === last.hand &&
      act.held === last.held &&
      act.movedFrom === last.movedFrom &&
      act.part === undefined &&
      last.part === undefined;
    if (goesOn) run!.push(act);
    else runs.push([act]);
  }
  return runs;
}

/** The first day after a day on which anything is done. */
export function nextBusy(days: readonly CalendarDay[], after: string): CalendarDay | undefined {
  return days.find(({ date, sittings }) => date > after && sittings.some(({ acts }) => acts.length > 0));
}
