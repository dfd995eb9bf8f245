import type { Catalogue } from "../../catalogue/catalogue";
import type { Piece } from "../../piece/piece";
import type { LaidStep } from "../model/laid-step";
import type { PlanSet } from "../model/plan";
import { beginPlan } from "./plan-piece";
import type { Asked } from "./piece-search";
import type { PlanBegun } from "./plan-piece";

/** Plan sets kept ready: as many as a full list of pieces shows. */
const MOST_KEPT = 32;
/** Stands for the piece's name in a set that is kept: a character nobody types. */
const NAME = "\uE000";

interface Kept {
  readonly begun: PlanBegun;
  whole: PlanSet | null;
}

/** Plan sets by all that decides them: the piece without its name, and what is on it. Following another way, editing a step or renaming asks for no search. */
export class PlanCache {
  private readonly known = new Map<string, Kept>();

  constructor(
    private readonly catalogue: Catalogue,
    private readonly most = MOST_KEPT,
  ) {}

  /**
   * The whole plan set of a piece.
   *
   * @param body what is on it
   * @param followed products of the plan that is followed, which are kept wherever they still hold
   */
  readonly plan = (piece: Piece, body: readonly LaidStep[], followed?: Asked["followed"]): PlanSet => {
    const kept = this.begun(piece, body, followed);
    return named((kept.whole ??= kept.begun.whole()), piece);
  };

  /** The plan set as soon as its first candidate is known; the others may be missing. */
  readonly first = (piece: Piece, body: readonly LaidStep[], followed?: Asked["followed"]): PlanSet => {
    const kept = this.begun(piece, body, followed);
    return named(kept.whole ?? kept.begun.first ?? (kept.whole = kept.begun.whole()), piece);
  };

  private begun(piece: Piece, body: readonly LaidStep[], followed: Asked["followed"]): Kept {
    const nameless = { ...piece, name: NAME };
    const key = JSON.stringify([nameless, body, [...(followed ?? [])].map(([zone, films]) => [zone, ...films])]);
    const kept: Kept = this.known.get(key) ?? { begun: beginPlan(nameless, this.catalogue, { body, ...(followed ? { followed } : {}) }), whole: null };
    // The one asked for last is let go last.
    this.known.delete(key);
    this.known.set(key, kept);
    if (this.known.size > this.most) this.known.delete(this.known.keys().next().value!);
    return kept;
  }
}

/** The set for a piece of a name: wherever the name is said, it stands. */
function named(set: PlanSet, piece: Piece): PlanSet {
  const said = (text: string) => {
    const whole = text.replaceAll(NAME, piece.name);
    return whole.charAt(0).toUpperCase() + whole.slice(1);
  };
  const told = <T extends { readonly message: string; readonly why: string }>(one: T): T =>
    one.message.includes(NAME) || one.why.includes(NAME) ? { ...one, message: said(one.message), why: said(one.why) } : one;
  return {
    ...set,
    piece,
    candidates: set.candidates.map((candidate) => ({ ...candidate, findings: candidate.findings.map(told) })),
    refusal: set.refusal && told(set.refusal),
  };
}
