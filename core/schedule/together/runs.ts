import type { ActPart, CalendarDay, DayAct } from "./calendar";

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

/** Whether two acts of a run are the same coat: of a batch that goes in loads, on one load after another. */
const isSame = (one: DayAct, other: DayAct) => one.stepId === other.stepId && one.coat === other.coat && one.half === other.half;

/** The acts of a run, each told once: of a batch that goes in loads from its first to its last. */
export function actsTold(run: Run): readonly DayAct[] {
  return run.flatMap((act, index) => {
    const all = run.filter((one) => isSame(one, act));
    if (all[0] !== run[index]) return [];
    return all.length === 1 ? [act] : [{ ...act, to: all.at(-1)!.to, parts: partsOf(all) }];
  });
}

/** What acts of one coat are done to, piece by piece. */
function partsOf(acts: readonly DayAct[]): readonly ActPart[] {
  return acts[0]!.parts.map((part) => {
    const all = acts.flatMap(({ parts }) => parts.filter(({ piece }) => piece === part.piece));
    return {
      ...part,
      count: Math.min(
        part.of,
        all.reduce((sum, { count }) => sum + count, 0),
      ),
      tasks: all.flatMap(({ tasks }) => tasks),
      starts: all.flatMap(({ starts }) => starts),
    };
  });
}

/** The acts of a sitting as they are told one by one. */
export function actsToldIn(acts: readonly DayAct[]): readonly DayAct[] {
  return runsOf(acts).flatMap(actsTold);
}

/** The first day after a day on which anything is done. */
export function nextBusy(days: readonly CalendarDay[], after: string): CalendarDay | undefined {
  return days.find(({ date, sittings }) => date > after && sittings.some(({ acts }) => acts.length > 0));
}
