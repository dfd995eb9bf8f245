import { waitedFrom } from "../drying-clock";
import { sittingsFrom } from "../free-hours";
import type { FreeHours, Sitting } from "../free-hours";
import type { Network } from "./network";

/** What stays and what is put into a sitting goes before everything else in it: an instant after which no date is reckoned. */
const AFTER_ALL = 4e12;
/** What stays keeps its order though like acts would rather follow one another: a minute counts for so many. */
const STRETCHED = 1000;
/** The longest a sitting may have been going on when it is looked at, ms. */
const DAY_MS = 86_400_000;

/**
 * When a sitting began that is going on, ms: sittings are looked for from now on, and the first is cut short by it.
 *
 * @param first of those from now on; undefined: there is none
 */
export function begunAt(hours: FreeHours, first: Sitting | undefined): number {
  if (!first) return Infinity;
  for (const { from, to } of sittingsFrom(hours, first.from - DAY_MS)) if (to >= first.to) return Math.min(from, first.from);
  return first.from;
}

/**
 * Which tasks can stay in the sittings that were agreed on: what slipped, and what cannot be ready for its sitting any more because of it, is free to go
 * elsewhere.
 *
 * @param sittings free hours from now on, in order
 * @param start now, ms
 * @returns the begin of each task's sitting, ms; NaN where it is in none
 */
export function keptSittings({ nodes }: Network, hours: FreeHours, sittings: readonly Sitting[], start: number): Float64Array {
  const keep = new Float64Array(nodes.length).fill(NaN);
  const ends = new Float64Array(nodes.length).fill(NaN);
  const begun = begunAt(hours, sittings[0]);
  const sittingOf = (agreed: number) => sittings.find(({ from, to }, at) => (at === 0 ? Math.min(from, begun) : from) <= agreed && agreed < to);
  const visit = (index: number): number => {
    if (!Number.isNaN(ends[index])) return ends[index]!;
    const { arcs, ms, breakMs, endedAt, from, agreed, begun: isBegun } = nodes[index]!;
    if (endedAt !== null) return (ends[index] = endedAt);
    let at = Math.max(start, from);
    for (const arc of arcs) at = Math.max(at, waitedFrom(visit(arc.from), arc.waitMs, arc.clock));
    // What hands are on goes on in the next.
    const sitting = isBegun ? sittings[0] : agreed === null ? undefined : sittingOf(agreed);
    if (sitting && at + Math.min(ms, breakMs) <= sitting.to) {
      keep[index] = sitting.from;
      at = Math.max(at, sitting.from);
    }
    return (ends[index] = at + ms);
  };
  for (const index of nodes.keys()) visit(index);
  return keep;
}

/**
 * The order things are done in: the latest each task may end so that its piece is in time, and what hangs on it goes into the sitting it was put into.
 *
 * @param keep as `keptSittings` gives it
 * @returns of each task, ms; the least goes first
 */
export function ranksOf({ nodes, pieces }: Network, keep: Float64Array): Float64Array {
  const noDate = Math.max(0, ...pieces.flatMap(({ due }) => (due === null ? [] : [due]))) + Math.max(0, ...nodes.map(({ tailMs }) => tailMs));
  const latest = new Float64Array(nodes.length).fill(NaN);
  const visit = (index: number): number => {
    if (!Number.isNaN(latest[index])) return latest[index]!;
    const { piece, tailMs, ms, held, next } = nodes[index]!;
    let by = (pieces[piece]!.due ?? noDate) - tailMs;
    if (held !== null) by = Math.min(by, held + ms);
    for (const follower of next) {
      const begin = visit(follower) - nodes[follower]!.ms;
      // Only what was put into a sitting by hand asks for more than the date does.
      const waitMs = nodes[follower]!.arcs.reduce((most, arc) => (arc.from === index ? Math.max(most, arc.waitMs) : most), 0);
      if (begin - waitMs < by - ROUNDING_MS) by = begin - waitMs;
    }
    return (latest[index] = by);
  };
  for (const index of nodes.keys()) visit(index);
  return latest.map((by, index) => {
    const { held, agreed } = nodes[index]!;
    const wanted = held ?? (Number.isNaN(keep[index]) ? null : agreed);
    return wanted === null ? by : (wanted - AFTER_ALL) * STRETCHED;
  });
}

const ROUNDING_MS = 1;

/**
 * What the brush is in: of what was done last in the sitting that is going on.
 *
 * @param first of the sittings from now on
 * @returns the word its acts are alike by; empty where nothing was done in it
 */
export function brushIn({ nodes }: Network, hours: FreeHours, first: Sitting | undefined): string {
  const since = begunAt(hours, first);
  const done = nodes.filter(({ endedAt }) => endedAt !== null && endedAt >= since);
  return done.reduce((last, node) => (node.endedAt! >= last.endedAt! ? node : last), done[0]!)?.like ?? "";
}
