import { changesBetween } from "../model/piece-changes";
import type { Change } from "../model/change";
import type { Piece } from "../../piece/piece";

/** A piece and the choices of its plan at one time. */
export interface StateOfPlan {
  readonly piece: Piece;
  readonly plan: { readonly candidateId: string; readonly school: string; readonly edits: readonly Change[]; readonly pinned: readonly string[] } | null;
}

/** What became another between two states of a plan. */
export interface SaidChanges {
  /** Facts of the piece, as dotted paths. */
  readonly facts: readonly string[];
  /** Another way of working is followed: its school; null where it is the same. */
  readonly way: string | null;
  /** Changes of steps made by hand: how many more, or fewer, there are. */
  readonly steps: number;
  readonly pinned: number;
}

/** Tells two states of a plan apart. Another candidate that other facts have made of the same school is no other way. */
export function saidChanges(before: StateOfPlan, after: StateOfPlan): SaidChanges {
  const [old, fresh] = [before.plan, after.plan];
  const way = fresh && fresh.school !== (old?.school ?? fresh.school) ? fresh.school : null;
  return {
    facts: changesBetween(before.piece, after.piece).map(({ path }) => path),
    way,
    steps: (fresh?.edits.length ?? 0) - (old?.edits.length ?? 0),
    pinned: (fresh?.pinned.length ?? 0) - (old?.pinned.length ?? 0),
  };
}
