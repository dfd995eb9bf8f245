import { dispatchFirst } from "./dispatch";
import type { TogetherAsk } from "./schedule-all";
import { tableOf } from "./table";

/** The next sitting, as it is worked through. */
export interface FirstSitting {
  /** Where a task stands in its order, the least first: what is done in it by when it is begun; Infinity for what is not. */
  readonly place: (piece: string, task: string) => number;
  /** The rank of the priority rule, for what is not done in it: the least goes first. */
  readonly rank: (piece: string, task: string) => number;
  /** The sitting, or the day, a task is put off to, ms; null where it may be done as soon as it can be. */
  readonly putOff: (piece: string, task: string) => number | null;
}

/**
 * What is done in the next sitting, in which order: by the priority rule, as every schedule that is `ruled` begins.
 *
 * @param ask of it the pieces, the hours, the start, the hands and the room
 */
export function firstSitting(ask: TogetherAsk): FirstSitting {
  const { network, sittings, keep, rule, brush } = tableOf(ask);
  const { hands = 1, places = {} } = ask;
  const [next] = sittings;
  const key = (index: number) => `${network.pieces[network.nodes[index]!.piece]!.id}/${network.nodes[index]!.task.id}`;
  const least = (into: Map<string, number>, at: string, value: number) => into.set(at, Math.min(value, into.get(at) ?? Infinity));
  const [begins, ranks, putOff] = [new Map<string, number>(), new Map<string, number>(), new Map<string, number>()];
  // Of a batch in several loads the first counts.
  for (const [at, { node }] of dispatchFirst(network, rule, sittings, ask.start, { hands, keep, places, brush }).entries()) least(begins, key(node), at);
  for (const [index, { from, endedAt }] of network.nodes.entries()) {
    if (endedAt !== null) continue;
    least(ranks, key(index), rule[index]!);
    const kept = Number.isNaN(keep[index]) ? -Infinity : keep[index]!;
    const later = Math.max(from, kept);
    if (next && later >= next.to) least(putOff, key(index), later);
  }
  return {
    place: (piece, task) => begins.get(`${piece}/${task}`) ?? Infinity,
    rank: (piece, task) => ranks.get(`${piece}/${task}`) ?? Infinity,
    putOff: (piece, task) => putOff.get(`${piece}/${task}`) ?? null,
  };
}
