import type { Task } from "../../coating/facts/task";
import { sittingsFrom } from "../free-hours";
import type { FreeHours, Sitting } from "../free-hours";
import { scheduleAll } from "./schedule-all";
import type { Together, TogetherAsk } from "./schedule-all";

/** One stretch of work on one task. `part` counts from 1 where it did not fit into one sitting. */
export interface DatedTask {
  readonly task: Task;
  readonly from: number;
  readonly to: number;
  readonly part?: number;
  /** Its recoat window had shut: scuff it dull first. */
  readonly windowShut?: boolean;
}

export interface Dates {
  readonly items: readonly DatedTask[];
  /** End of the last work; instants in ms. */
  readonly lastWork: number;
  /** From when it may be handled gently, and from when it is fully hard. */
  readonly handle: number;
  readonly cured: number;
}

/**
 * The dates of one piece among all.
 *
 * @param id of the piece
 * @returns null where it is not among them
 */
export function datesIn({ network, sittings, handle, cured }: Together, id: string): Dates | null {
  const piece = network.pieces.findIndex((one) => one.id === id);
  if (piece < 0) return null;
  const items = sittings.flatMap(({ stints }) =>
    stints.flatMap((stint): DatedTask[] => {
      const node = network.nodes[stint.node]!;
      if (node.piece !== piece) return [];
      const { from, to, part, windowShut } = stint;
      return [{ task: node.task, from, to, ...(part === undefined ? {} : { part }), ...(windowShut ? { windowShut } : {}) }];
    }),
  );
  const ends = network.nodes.flatMap(({ piece: own, endedAt }) => (own === piece && endedAt !== null ? [endedAt] : []));
  return { items, lastWork: Math.max(...items.map(({ to }) => to), ...ends), handle: handle[piece]!, cured: cured[piece]! };
}

/** Sittings looked at for a late begin, at most: the last before the day. */
const MOST_LOOKED_AT = 120;

function sittingsBefore(hours: FreeHours, start: number, end: number): readonly Sitting[] {
  const found: Sitting[] = [];
  for (const sitting of sittingsFrom(hours, start)) {
    if (sitting.from >= end) break;
    found.push(sitting);
  }
  return found.slice(-MOST_LOOKED_AT);
}

/** A late begin that is still in time. */
export interface LateBegin {
  /** The sitting's begin, ms. */
  readonly at: number;
  readonly together: Together;
}

const isLate = ({ late }: Together) => late.some((ms) => ms > 0);

/**
 * The latest sitting in which everything may begin and still be in time; nothing is done before.
 *
 * @returns null where nothing is due, or something is late whenever it begins
 */
export function latestBegin(ask: TogetherAsk): LateBegin | null {
  const dues = ask.pieces.flatMap(({ due }) => due ?? []);
  if (dues.length === 0) return null;
  for (const { from } of [...sittingsBefore(ask.hours, ask.start, Math.max(...dues))].reverse()) {
    const together = scheduleAll({ ...ask, start: from, tries: 0 });
    if (together && !isLate(together)) return { at: from, together };
  }
  return null;
}

/**
 * The latest sitting in which one piece may begin, with all others as they are, and be ready by its day, without another one being late for it.
 *
 * @param id of the piece
 * @param goal ready to be handled gently, or fully hard
 * @param due instant, ms
 * @returns the sitting's begin, ms; null where even now is too late
 */
export function latestBeginOf(ask: TogetherAsk, id: string, goal: "handle" | "cured", due: number): number | null {
  const at = ask.pieces.findIndex((one) => one.id === id);
  const asItIs = scheduleAll({ ...ask, tries: 0 });
  if (at < 0 || !asItIs) return null;
  // Begun any later than this no order of the others helps.
  const longest = asItIs.network.nodes.reduce(
    (most, { piece, ms, leastTailMs, endedAt }) => (piece === at && endedAt === null ? Math.max(most, ms + leastTailMs) : most),
    0,
  );
  for (const { from } of [...sittingsBefore(ask.hours, ask.start, due - longest + 1)].reverse()) {
    const pieces = ask.pieces.map((one, index) => (index === at ? { ...one, from: Math.max(from, one.from ?? from), agreed: new Map<string, number>() } : one));
    const together = scheduleAll({ ...ask, pieces, tries: 0 });
    if (together && together[goal][at]! <= due && together.late.every((ms, index) => index === at || ms <= asItIs.late[index]!)) return from;
  }
  return null;
}

/** Ready sooner by less than this is not told, ms. */
const HARDLY_MS = 2 * 3_600_000;

/** What is told of a piece's dates beside them. */
export interface Beside {
  /** Latest sittings to begin in and still be handled, or fully hard, by its day, the others as they are; null where it has no day. */
  readonly latest: { readonly handle: number | null; readonly cured: number | null } | null;
  /** When it may be handled, were it the only one, ms; null where that is hardly sooner. */
  readonly alone: number | null;
}

/**
 * What the others on the table make of a piece's dates.
 *
 * @param usual its dates among them
 */
export function besideOf(ask: TogetherAsk, id: string, usual: Dates): Beside {
  const own = ask.pieces.find((one) => one.id === id);
  const due = own?.due ?? null;
  const lone = own && ask.pieces.length > 1 ? scheduleAll({ ...ask, pieces: [own], tries: 0 }) : null;
  const alone = lone?.handle[0] ?? null;
  const latestOf = (goal: "handle" | "cured") => (due === null ? null : latestBeginOf(ask, id, goal, due));
  return {
    latest: due === null ? null : { handle: latestOf("handle"), cured: latestOf("cured") },
    alone: alone !== null && alone < usual.handle - HARDLY_MS ? alone : null,
  };
}
