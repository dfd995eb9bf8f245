import { planId } from "#core/catalogue/ids";
import type { PieceId } from "#core/catalogue/ids";
import { fingerprint } from "#core/coating/model/fingerprint";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { Piece } from "#core/piece/piece";
import type { Entry } from "./acts";
import { freshId } from "./fresh-id";

export const VERSIONS_STORE = "versions";
export const VERSION_INDEXES = { byPiece: "pieceId" } as const;

/** Of a plan what was chosen, without the steps it was made of: they are worked out again. */
export type ChosenPlan = Pick<PlanRecord, "candidateId" | "school" | "edits" | "pinned" | "engineVersion" | "basis" | "madeFor">;

/** A piece and its plan as they were at an instant. */
export interface Version {
  /** Of one piece they sort by time. */
  readonly id: string;
  readonly pieceId: PieceId;
  /** Instant, ms. */
  readonly at: number;
  readonly piece: Piece;
  /** Null where the engine's first was followed. */
  readonly plan: ChosenPlan | null;
}

/** Changes that follow one another this closely are one version, ms. */
const ONE_VERSION_MS = 30_000;
/** Versions of one piece. */
export const MOST_VERSIONS = 40;
/** What changes more pieces than this at once is an import, or empties the notebook: no version of each. */
const MOST_AT_ONCE = 5;

/** What versions need of their transaction. */
export interface VersionsInside {
  readonly piece: (id: string) => Promise<PieceRecord | undefined>;
  readonly plan: (id: string) => Promise<PlanRecord | undefined>;
  /** The newest version of a piece. */
  readonly last: (piece: string) => Promise<Version | null>;
  readonly ids: (piece: string) => Promise<readonly string[]>;
  readonly put: (version: Version) => Promise<unknown>;
  readonly delete: (id: string) => Promise<void>;
}

function chosen(plan: PlanRecord | null | undefined): ChosenPlan | null {
  if (!plan) return null;
  const { candidateId, school, edits, pinned, engineVersion, basis, madeFor } = plan;
  return { candidateId, school, edits, pinned, engineVersion, ...(basis === undefined ? {} : { basis }), ...(madeFor === undefined ? {} : { madeFor }) };
}

function versionOf(id: PieceId, at: number, piece: Piece, plan: PlanRecord | null | undefined): Version {
  return { id: `${fingerprint(id)}${at.toString(36).padStart(9, "0")}`, pieceId: id, at, piece, plan: chosen(plan) };
}

const told = ({ piece, plan }: Version) => JSON.stringify([piece, plan && [plan.candidateId, plan.edits, plan.pinned]]);

/** Which pieces a change was of. */
function touched(entries: readonly Entry[]): readonly PieceId[] {
  const ids = entries.flatMap(({ store, id, before, after }) => {
    if (store === "pieces") return [id as PieceId];
    return store === "plans" ? [((after ?? before) as PlanRecord).pieceId] : [];
  });
  return [...new Set(ids)];
}

/** A piece as it was before a change; null where it was not there. */
function versionBefore(entries: readonly Entry[], record: PieceRecord, at: number): Version | null {
  const piece = entries.find((one) => one.store === "pieces" && one.id === record.id);
  if (piece?.before === null) return null;
  const before = (piece?.before as PieceRecord | undefined) ?? record;
  const plan = entries.find((one) => one.store === "plans" && one.id === before.planId);
  return before.piece ? versionOf(record.id, at, before.piece, plan ? (plan.before as PlanRecord | null) : null) : null;
}

/**
 * Keeps what a change has made of each piece it touched, and of its plan, beside the change itself; of the oldest no more are kept than is of use.
 *
 * @param now instant, ms
 */
export async function keepVersions(entries: readonly Entry[], inside: VersionsInside, now: number): Promise<void> {
  const ids = touched(entries);
  if (ids.length > MOST_AT_ONCE) return;
  for (const id of ids) {
    const record = await inside.piece(id);
    if (!record?.piece) continue;
    const plan = record.planId === null ? null : await inside.plan(record.planId);
    const last = await inside.last(id);
    const first = last ?? versionBefore(entries, record, now - 1);
    // After the last one, in the same millisecond too, and where the clock was set back in between: they sort by time.
    const next = versionOf(id, Math.max(now, (last?.at ?? -Infinity) + 1), record.piece, plan);
    if (first && told(first) === told(next)) continue;
    if (!last && first) await inside.put(first);
    const all = await inside.ids(id);
    // What was there when the piece was first changed is never written over.
    if (last && all.length > 1 && Math.abs(now - last.at) < ONE_VERSION_MS) await inside.delete(last.id);
    await inside.put(next);
    for (const old of all.slice(0, -MOST_VERSIONS)) await inside.delete(old);
  }
}

/** A plan record as it was in a version: the steps it was made of are known still where they are of the same facts. */
export function planAgain(chosenThen: ChosenPlan, piece: PieceId, current: PlanRecord | null): PlanRecord {
  const { made, madeFor, basis: _basis, ...kept } = current ?? { id: planId(freshId()), pieceId: piece, rev: 0 };
  const same = current?.candidateId === chosenThen.candidateId && madeFor === chosenThen.madeFor && made !== undefined;
  const { madeFor: madeForThen, ...then } = chosenThen;
  return { ...kept, ...then, rev: kept.rev + 1, ...(same ? { made } : {}), ...(same && madeForThen !== undefined ? { madeFor: madeForThen } : {}) };
}
