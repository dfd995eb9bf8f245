import { waitedFrom } from "../drying-clock";
import type { Sitting } from "../free-hours";
import type { Network } from "./network";

/** What no schedule can beat: when the last piece may be handled at the earliest, and why. Several pairs of hands are taken for one that is as much faster. */
export interface Bound {
  /** The longest chain of work and waits of one piece; or all the work through the hands there are. */
  readonly name: "longest chain" | "one pair of hands" | "all hands";
  /** Instant, ms. */
  readonly at: number;
}

/** The first instant a stretch of work may begin in the free hours; a task that may be broken off needs room for a part. */
function firstFit(sittings: readonly Sitting[], from: number, ms: number): number {
  for (const sitting of sittings) {
    const at = Math.max(from, sitting.from);
    if (at + ms <= sitting.to) return at;
  }
  return Infinity;
}

/** Ends of a stretch begun at an instant that goes on in the next sittings. */
function goneOn(sittings: readonly Sitting[], from: number, ms: number): number {
  let rest = ms;
  for (const sitting of sittings) {
    const at = Math.max(from, sitting.from);
    const free = sitting.to - at;
    if (free <= 0) continue;
    if (rest <= free) return at + rest;
    rest -= free;
  }
  return Infinity;
}

/** Earliest starts with as many hands as anyone wants: each task as soon as its waits are over and it fits the free hours. */
function heads({ nodes }: Network, sittings: readonly Sitting[], start: number): { readonly from: Float64Array; readonly to: Float64Array } {
  const from = new Float64Array(nodes.length).fill(NaN);
  const to = new Float64Array(nodes.length).fill(NaN);
  const visit = (index: number): number => {
    if (!Number.isNaN(to[index])) return to[index]!;
    const { arcs, ms, breakMs, endedAt, from: notBefore } = nodes[index]!;
    if (endedAt !== null) {
      from[index] = start;
      return (to[index] = endedAt);
    }
    let at = Math.max(start, notBefore);
    for (const arc of arcs) at = Math.max(at, waitedFrom(visit(arc.from), arc.waitMs, arc.clock));
    from[index] = firstFit(sittings, at, Math.min(ms, breakMs));
    return (to[index] = breakMs < ms ? goneOn(sittings, from[index]!, ms) : from[index]! + ms);
  };
  for (const index of nodes.keys()) visit(index);
  return { from, to };
}

interface Waiting {
  readonly head: number;
  readonly tail: number;
  left: number;
}

/**
 * All work through one pair of hands, any of it broken off at will, what has most hanging on it first: no schedule ends sooner.
 * Source: J. R. Jackson 1955, the preemptive one-machine problem with heads and tails, here on the user's free hours.
 */
function oneMachine(jobs: Waiting[], sittings: readonly Sitting[]): number {
  const coming = [...jobs].sort((a, b) => a.head - b.head);
  const here: Waiting[] = [];
  let latest = 0;
  let next = 0;
  for (const { from, to } of sittings) {
    let now = from;
    while (now < to) {
      while (next < coming.length && coming[next]!.head <= now) here.push(coming[next++]!);
      if (here.length === 0) {
        if (next >= coming.length) return latest;
        if (coming[next]!.head >= to) break;
        now = coming[next]!.head;
        continue;
      }
      const most = here.reduce((best, one, index) => (one.tail > here[best]!.tail ? index : best), 0);
      const job = here[most]!;
      const until = Math.min(to, now + job.left, next < coming.length ? Math.max(now, coming[next]!.head) : Infinity);
      job.left -= until - now;
      now = until;
      if (job.left > 1e-6) continue;
      latest = Math.max(latest, now + job.tail);
      here.splice(most, 1);
    }
  }
  return here.length > 0 || next < coming.length ? Infinity : latest;
}

/**
 * When everything may be handled at the earliest, whatever is done first.
 *
 * @param sittings free hours, in order
 * @param hands pairs of them, 1 or more
 * @returns the larger of two bounds, by its name
 */
export function lowerBound(network: Network, sittings: readonly Sitting[], start: number, hands = 1): Bound {
  const { from, to } = heads(network, sittings, start);
  const chain = Math.max(start, ...network.ready.flat().map(({ node, waitMs, clock }) => waitedFrom(to[node]!, waitMs, clock)));
  const jobs = network.nodes.flatMap(({ ms, leastTailMs, endedAt }, index) =>
    endedAt === null ? [{ head: from[index]!, tail: leastTailMs, left: ms / hands }] : [],
  );
  const through = oneMachine(jobs, sittings);
  return through > chain ? { name: hands > 1 ? "all hands" : "one pair of hands", at: through } : { name: "longest chain", at: chain };
}
