import type { Catalogue } from "../../catalogue/catalogue";
import type { CandidateId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { Piece } from "../../piece/piece";
import { changesBetween } from "../model/changes-between";
import { choicesOf, withEdits } from "./edited";
import { factsKey } from "./facts-key";
import { ENGINE_VERSION } from "./engine-version";
import type { Change } from "../model/change";
import type { Candidate, PlanSet } from "../model/plan";
import type { StepChoice, ZoneSteps } from "../model/step";
import { planPiece } from "./plan-piece";

/** What the user has kept of a plan: which candidate, and their changes to it. */
export interface Keeping {
  readonly candidateId: CandidateId | null;
  readonly school: string;
  readonly edits: readonly Change[];
  /** The engine the plan was kept with, the steps it gave, and the facts it gave them for; absent where nothing was kept of it. */
  readonly kept?: { readonly engineVersion: number; readonly made: readonly ZoneSteps<StepChoice>[]; readonly madeFor: string };
  /** The plan was made for the body as it was at this instant, ISO 8601; null or absent: for the bare piece. */
  readonly basis?: string | null;
}

export interface PlanView {
  readonly set: PlanSet;
  /** The candidate the user follows, with their changes; null when the piece is refused. */
  readonly shown: Candidate | null;
  /** The user's changes that are in it. */
  readonly edits: readonly Change[];
  /** The user's changes that no longer find their step. */
  readonly lost: readonly Change[];
  /** The steps of the candidate before the user's changes, and the facts they are for: what is kept of a plan that is followed. */
  readonly made: readonly ZoneSteps<StepChoice>[];
  readonly madeFor: string;
  /** What other facts than the plan was kept with changed in it; null where they are the same. */
  readonly changed: readonly Change[] | null;
  /** The steps it was kept with; none where nothing is kept. */
  readonly before: readonly ZoneSteps<StepChoice>[];
  /** What a newer engine than the plan was kept with would change in it; the kept plan is shown until the user has chosen. */
  readonly newer: { readonly changes: readonly Change[]; readonly made: readonly ZoneSteps<StepChoice>[] } | null;
}

function followed(set: PlanSet, keeping: Keeping): Candidate | null {
  const same = set.candidates.find((one) => one.id === keeping.candidateId);
  const alike = keeping.kept ? nearest(set.candidates, keeping) : set.candidates.find((one) => one.school === keeping.school);
  return same ?? alike ?? set.candidates[0] ?? null;
}

/** The candidate that differs least from the plan as it was kept; the first where nothing was. */
function nearest(candidates: readonly Candidate[], { kept }: Keeping): Candidate | undefined {
  if (!kept || candidates.length < 2) return candidates[0];
  const apart = (one: Candidate) => changesBetween(kept.made, choicesOf(one)).length;
  return [...candidates].sort((a, b) => apart(a) - apart(b))[0];
}

/**
 * "role:product" of every film of the plan that is kept, by place: a change of one fact keeps them wherever they still hold.
 *
 * @returns undefined where no plan is kept
 */
export function productsKept({ kept, candidateId }: Keeping, catalogue: Catalogue): ReadonlyMap<ZoneId, ReadonlySet<string>> | undefined {
  // What a newer engine would do otherwise is to be seen, not held back.
  if (!kept || candidateId === null || kept.engineVersion !== ENGINE_VERSION) return undefined;
  const films = (steps: readonly StepChoice[]) => steps.filter((step) => catalogue.products.has(step.product)).map((step) => `${step.role}:${step.product}`);
  return new Map(kept.made.map(({ zone, steps }) => [zone, new Set(films(steps))]));
}

/** The edits that touch steps still to be done: what is on the piece is no longer a choice. */
function open(candidate: Candidate, edits: readonly Change[]): readonly Change[] {
  const done = new Set(candidate.zones.flatMap((zone) => zone.steps.filter((step) => step.done).map((step) => step.id)));
  return edits.filter((edit) => !("stepId" in edit) || !done.has(edit.stepId));
}

/** The steps an older engine gave for the same facts, where this one would give others. */
function keptDifferently(fresh: readonly ZoneSteps<StepChoice>[], { kept }: Keeping, madeFor: string): readonly ZoneSteps<StepChoice>[] | null {
  if (!kept || kept.engineVersion === ENGINE_VERSION || kept.madeFor !== madeFor) return null;
  return changesBetween(kept.made, fresh).length > 0 ? kept.made : null;
}

/**
 * The candidate of a plan set that the user follows, with their changes on it. Numbers are always worked out anew.
 *
 * @param keeping what is kept of their plan; a candidate that is gone gives way to one of the same school, then to the first
 */
export function followedIn(set: PlanSet, keeping: Keeping, piece: Piece, catalogue: Catalogue): PlanView {
  const madeFor = factsKey(piece);
  const found = followed(set, keeping);
  if (!found) return { set, shown: null, edits: [], lost: [], made: [], madeFor, changed: null, before: [], newer: null };
  const fresh = choicesOf(found);
  const old = keptDifferently(fresh, keeping, madeFor);
  const made = old ?? fresh;
  const { kept } = keeping;
  const moved = kept && keeping.candidateId !== null && kept.madeFor !== madeFor ? changesBetween(kept.made, fresh) : [];
  const changed = moved.length > 0 ? moved : null;
  const before = kept?.made ?? [];
  const newer = old && { changes: changesBetween(old, fresh), made: fresh };
  const edits = open(found, keeping.edits);
  if (!old && edits.length === 0) return { set, shown: found, edits: [], lost: keeping.edits, made, madeFor, changed, before, newer };
  // The changes that touch the piece are kept in the piece.
  const { plan: shown, lost } = withEdits(found, made, edits, piece, catalogue);
  return {
    set,
    shown,
    edits: edits.filter((edit) => !lost.includes(edit)),
    lost: [...lost, ...keeping.edits.filter((edit) => !edits.includes(edit))],
    made,
    madeFor,
    changed,
    before,
    newer,
  };
}

/**
 * Plans a bare piece and shows the candidate the user follows with their changes on it.
 *
 * @param keeping what is kept of the plan
 * @returns the view; nothing is shown when the piece is refused
 */
export function planWithEdits(piece: Piece, keeping: Keeping, catalogue: Catalogue): PlanView {
  const kept = productsKept(keeping, catalogue);
  return followedIn(planPiece(piece, catalogue, kept ? { followed: kept } : {}), keeping, piece, catalogue);
}
