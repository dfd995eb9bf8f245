import type { Catalogue } from "../../catalogue/catalogue";
import type { Piece } from "../../piece/piece";
import type { LaidStep } from "../model/laid-step";
import type { PlanSet } from "../model/plan";
import { planPiece } from "./plan-piece";

/** Plan sets kept ready: a notebook's worth of pieces being looked at. */
const MOST_KEPT = 24;

/** Plan sets by all that decides them: the piece without its name, and what is on it. Following another way, editing a step or renaming asks for no search. */
export class PlanCache {
  private readonly known = new Map<string, PlanSet>();

  constructor(
    private readonly catalogue: Catalogue,
    private readonly most = MOST_KEPT,
  ) {}

  /** The whole plan set of a piece with what is on it. */
  readonly plan = (piece: Piece, body: readonly LaidStep[]): PlanSet => {
    const key = cacheKey(piece, body);
    const known = this.known.get(key);
    // The one asked for last is let go last.
    this.known.delete(key);
    const set = known ?? planPiece(piece, this.catalogue, { body });
    this.known.set(key, set);
    if (this.known.size > this.most) this.known.delete(this.known.keys().next().value!);
    return renamed(set, piece);
  };

  /** The plan set as soon as its first candidate is known. */
  readonly first = (piece: Piece, body: readonly LaidStep[]): PlanSet => this.plan(piece, body);
}

function cacheKey({ name: _name, ...facts }: Piece, body: readonly LaidStep[]): string {
  return JSON.stringify([facts, body]);
}

/** The same set for a piece of another name: wherever its name is said, the new one is. */
function renamed(set: PlanSet, piece: Piece): PlanSet {
  const was = set.piece.name;
  if (was === piece.name) return set;
  const said = (text: string) => text.replaceAll(was, piece.name);
  return {
    ...set,
    piece,
    candidates: set.candidates.map((candidate) => ({
      ...candidate,
      findings: candidate.findings.map((one) => ({ ...one, message: said(one.message), why: said(one.why) })),
    })),
    refusal: set.refusal && { ...set.refusal, message: said(set.refusal.message), why: said(set.refusal.why) },
  };
}
