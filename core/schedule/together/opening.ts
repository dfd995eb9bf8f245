import { waitedFrom } from "../drying-clock";
import type { Node } from "./network";

/** A task that may be begun: from when, and until when its window stays open. */
export interface Open {
  readonly node: number;
  readonly at: number;
  readonly closes: number;
  readonly shut: boolean;
}

/** When a task whose forerunners are over may begin. */
export function opening(index: number, { arcs, from }: Node, ends: Float64Array, start: number): Open {
  let at = Math.max(start, from);
  let closes = Infinity;
  for (const arc of arcs) {
    const end = ends[arc.from]!;
    at = Math.max(at, waitedFrom(end, arc.waitMs, arc.clock));
    if (arc.closesMs < Infinity) closes = Math.min(closes, waitedFrom(end, arc.closesMs, arc.clock));
  }
  if (at <= closes) return { node: index, at, closes, shut: false };
  return shutOut(index, arcs, ends, at);
}

/** Its window has shut: it opens again later, or the coat below is scuffed. */
export function shutOut(index: number, arcs: Node["arcs"], ends: Float64Array, from: number): Open {
  let at = from;
  let shut = false;
  for (const arc of arcs) {
    const end = ends[arc.from]!;
    if (arc.closesMs === Infinity || at <= waitedFrom(end, arc.closesMs, arc.clock)) continue;
    if (arc.reopensMs > 0) at = Math.max(at, waitedFrom(end, arc.reopensMs, arc.clock));
    else shut = true;
  }
  return { node: index, at, closes: Infinity, shut };
}
