import { tasksIn } from "./calendar";
import type { Calendar, CalendarDay, DayAct } from "./calendar";

/** A piece that is ready at another time than before. */
export interface ReadyMoved {
  readonly piece: string;
  /** Instants, ms. */
  readonly from: number;
  readonly to: number;
}

/** What a change of the calendar brought with it. */
export interface WhatFollows {
  /** Acts that are on another day now, those that were moved by hand not counted. */
  readonly acts: number;
  readonly ready: readonly ReadyMoved[];
  /** Pieces that were in time and are late now, and the other way round. */
  readonly late: readonly string[];
  readonly inTime: readonly string[];
}

/** The day of each task's first stretch. */
function daysOf(days: readonly CalendarDay[]): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const { date, sittings } of days)
    for (const act of sittings.flatMap((one) => one.acts)) for (const key of keysOf(act)) if (!found.has(key)) found.set(key, date);
  return found;
}

const keysOf = (act: DayAct) => tasksIn(act).map(({ piece, task }) => `${piece}/${task}`);

/** Readiness that moves by less is not told, ms. */
const HARDLY_MS = 2 * 3_600_000;

/**
 * What came of a change.
 *
 * @param moved tasks that were moved by hand, as "piece/task"
 */
export function whatFollows(before: Calendar, after: Calendar, moved: ReadonlySet<string>): WhatFollows {
  const [was, is] = [daysOf(before.days), daysOf(after.days)];
  const acts = after.days
    .flatMap(({ sittings }) => sittings.flatMap((one) => one.acts))
    .filter((act) => keysOf(act).some((key) => !moved.has(key) && was.has(key) && was.get(key) !== is.get(key)));
  const tracks = after.tracks.flatMap((track) => {
    const earlier = before.tracks.find(({ piece }) => piece === track.piece);
    return earlier ? [{ earlier, track }] : [];
  });
  return {
    acts: acts.length,
    ready: tracks.flatMap(({ earlier, track: { piece, handle } }) =>
      Math.abs(handle - earlier.handle) < HARDLY_MS ? [] : [{ piece, from: earlier.handle, to: handle }],
    ),
    late: tracks.flatMap(({ earlier, track }) => (track.lateMs > 0 && earlier.lateMs === 0 ? [track.piece] : [])),
    inTime: tracks.flatMap(({ earlier, track }) => (track.lateMs === 0 && earlier.lateMs > 0 ? [track.piece] : [])),
  };
}
