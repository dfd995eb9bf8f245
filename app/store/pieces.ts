import type { Fault } from "#core/casting/repair/fault";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { changePiece } from "#core/coating/model/apply-changes";
import { mergedChanges } from "#core/coating/model/piece-changes";
import type { Change } from "#core/coating/model/change";
import { pieceId, planId, progressId } from "#core/catalogue/ids";
import type { PieceId } from "#core/catalogue/ids";
import { nameWith } from "#core/formats/stores/pieces";
import type { PieceRecord } from "#core/formats/stores/pieces";
import { withPatternLayers } from "#core/marking/solve-piece";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { Piece } from "#core/piece/piece";
import { runCommand } from "./command";
import { storesWith } from "./recorder";
import { putFields } from "./put-fields";
import type { By } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import { GonePiece } from "./plans";

export type Saved =
  | { readonly kind: "saved"; readonly record: PieceRecord }
  /** Another tab set the same fields; nothing was written. */
  | { readonly kind: "clash"; readonly paths: readonly string[]; readonly theirs: PieceRecord }
  | { readonly kind: "gone" };

const ofPiece = (id: PieceId) => `pieces/${id}`;

/**
 * Adds a piece.
 *
 * @param id of its own, so that asking twice adds one
 */
export function addPiece(db: Database, piece: Piece, id: PieceId = pieceId(freshId())): Promise<PieceRecord> {
  return runCommand(db, `the new piece ${piece.name}`, ofPiece(id), ["pieces"], async (recorder) => {
    const here = await recorder.get("pieces", id);
    if (here) return here;
    const record: PieceRecord = { id, rev: 1, piece: withPatternLayers(piece, CATALOGUE), planId: null };
    await recorder.put("pieces", record);
    return record;
  });
}

/**
 * Says what is wrong with the bare body of a piece: what was changed on the screen, and no more.
 *
 * @param seen what the screen showed; all that is there where it is not said
 * @throws GonePiece
 */
export function setFaults(db: Database, id: PieceId, faults: readonly Fault[], by: By = {}, seen?: readonly Fault[]): Promise<void> {
  return runCommand(
    db,
    "what is wrong with the body",
    ofPiece(id),
    ["pieces"],
    async (recorder) => {
      const current = await recorder.get("pieces", id);
      if (!current) throw new GonePiece();
      const { faults: before = [], ...rest } = current;
      const having = (list: readonly Fault[]): PieceRecord => ({ ...rest, ...(list.length > 0 ? { faults: list } : {}) });
      await putFields(recorder, "pieces", having(seen ?? before), having(faults));
    },
    by,
  );
}

export function allPieces(db: Database): Promise<PieceRecord[]> {
  return db.getAll("pieces");
}

export function pieceById(db: Database, id: PieceId): Promise<PieceRecord | undefined> {
  return db.get("pieces", id);
}

/** What one tab has set in a record: coming upon its own later value it clashes with nobody. */
export class OwnValues {
  private readonly values: Map<string, string>;

  /**
   * @param before what it had set before a reload
   * @param keep keeps what it has set over a reload
   */
  constructor(
    before: readonly (readonly [string, string])[] = [],
    private readonly keep: (values: readonly (readonly [string, string])[]) => void = () => undefined,
  ) {
    this.values = new Map(before);
  }

  note(changes: readonly { readonly path: string; readonly value: unknown }[]): void {
    for (const { path, value } of changes) this.values.set(path, JSON.stringify(value) ?? "");
    if (changes.length > 0) this.keep([...this.values]);
  }

  readonly isOwn = (path: string, value: unknown): boolean => {
    const set = this.values.get(path);
    return set !== undefined && set === (JSON.stringify(value) ?? "");
  };
}

/**
 * Saves the user's changes to a piece as they saw it. Fields another tab changed meanwhile stay; when both set the same field
 * differently, nothing is written and the user is told.
 *
 * @param seen the piece the user's screen showed
 * @param changes their `setPiece` changes to it
 * @param own what this tab has set in the piece before
 */
export function savePiece(db: Database, id: PieceId, seen: Piece, changes: readonly Change[], own: OwnValues = new OwnValues(), by: By = {}): Promise<Saved> {
  return runCommand(
    db,
    `the change to ${seen.name}`,
    ofPiece(id),
    ["pieces"],
    async (recorder): Promise<Saved> => {
      const current = await recorder.get("pieces", id);
      if (!current) return { kind: "gone" };
      const merged = mergedChanges(seen, changePiece(seen, changes), current.piece, own.isOwn);
      if (merged.clashes.length > 0) return { kind: "clash", paths: merged.clashes, theirs: current };
      own.note(merged.changes);
      if (merged.changes.length === 0) return { kind: "saved", record: current };
      const record: PieceRecord = { ...current, rev: current.rev + 1, piece: withPatternLayers(changePiece(current.piece, merged.changes), CATALOGUE) };
      await recorder.put("pieces", record);
      return { kind: "saved", record };
    },
    by,
  );
}

/** When a piece is begun and needed: "YYYY-MM-DD" each, or "" for not said. */
export interface Days {
  readonly start?: string;
  readonly due?: string;
}

const DAYS = ["start", "due"] as const;

/** Another tab set the same days meanwhile: nothing was written. */
export class DaysClash extends Error {
  override readonly name = "DaysClash";

  constructor(readonly days: readonly (keyof Days)[]) {
    super("another tab set the same day");
  }
}

/** What a screen knew when days were set on it. */
export interface KnownDays {
  /** The days it showed. */
  readonly days: Days;
  /** What its tab has set in the piece before. */
  readonly own: OwnValues;
}

/**
 * Says when a piece is begun and needed; an empty date is taken away.
 *
 * @param known what the screen knew; null to have these stand whatever was set meanwhile
 * @throws DaysClash
 */
export function setDates(db: Database, id: PieceId, dates: Days, by: By = {}, known: KnownDays | null = null): Promise<void> {
  return runCommand(
    db,
    "the dates",
    ofPiece(id),
    ["pieces"],
    async (recorder) => {
      const current = await recorder.get("pieces", id);
      if (!current) return;
      const stands = (day: keyof Days) => current.dates?.[day] ?? "";
      const set = DAYS.filter((day) => dates[day] !== undefined);
      const isKnown = ({ days, own }: KnownDays, day: keyof Days) =>
        [days[day] ?? "", dates[day]].includes(stands(day)) || own.isOwn(`dates.${day}`, stands(day));
      const clashing = known === null ? [] : set.filter((day) => !isKnown(known, day));
      if (clashing.length > 0) throw new DaysClash(clashing);
      known?.own.note(set.map((day) => ({ path: `dates.${day}`, value: dates[day] })));
      const next = Object.fromEntries(Object.entries({ ...current.dates, ...dates }).filter(([, value]) => value !== ""));
      if (JSON.stringify(next) === JSON.stringify(current.dates ?? {})) return;
      await recorder.put("pieces", { ...current, rev: current.rev + 1, dates: next });
    },
    by,
  );
}

/** What a piece is kept with: the set it is made with, and whether it is put away. */
export interface Keeping {
  /** "" takes it out of its set. */
  readonly set?: string;
  /** The day it is put away; "" brings it out again. */
  readonly putAway?: string;
  /** Where it stands to dry; "" where nobody says. */
  readonly standsAt?: string;
}

/** Puts pieces into a set, or away, or brings them out again; all of them or none. */
export function setKeeping(db: Database, ids: readonly PieceId[], keeping: Keeping, by: By = {}): Promise<void> {
  const away = keeping.putAway === "" ? "bringing it out again" : "putting it away";
  const label = keeping.putAway !== undefined ? away : keeping.set !== undefined ? "the set" : "where it stands";
  return runCommand(
    db,
    label,
    ids.length === 1 ? ofPiece(ids[0]!) : "pieces",
    ["pieces"],
    async (recorder) => {
      for (const id of ids) {
        const current = await recorder.get("pieces", id);
        if (!current) continue;
        const { set = current.set ?? "", putAway = current.putAway ?? "", standsAt = current.standsAt ?? "" } = keeping;
        const { set: _set, putAway: _away, standsAt: _place, ...rest } = current;
        const next: PieceRecord = { ...rest, ...(set === "" ? {} : { set }), ...(putAway === "" ? {} : { putAway }), ...(standsAt === "" ? {} : { standsAt }) };
        if (next.set === current.set && next.putAway === current.putAway && next.standsAt === current.standsAt) continue;
        await recorder.put("pieces", { ...next, rev: current.rev + 1 });
      }
    },
    by,
  );
}

const APART = " (set apart)";

/**
 * Sets pieces of a batch apart, with all that is on them: what went wrong with one of twelve is put right on that one alone.
 *
 * @param copy id of those that are set apart, so that asking twice does it once
 * @param many how many of the batch
 */
export function setApart(db: Database, id: PieceId, copy: PieceId, many: number, by: By = {}): Promise<void> {
  return runCommand(
    db,
    many === 1 ? "setting one apart" : `setting ${many} apart`,
    ofPiece(id),
    ["pieces", "plans", "progress"],
    async (recorder) => {
      const current = await recorder.get("pieces", id);
      const count = current?.piece.count ?? 1;
      if (!current || many >= count || (await recorder.get("pieces", copy))) return;
      const plans = await recorder.of("plans", "byPiece", id);
      const planOf = new Map(plans.map((plan) => [plan.id, planId(freshId())]));
      for (const plan of plans) await recorder.put("plans", { ...plan, id: planOf.get(plan.id)!, pieceId: copy, rev: 1 });
      const followed = current.planId === null ? null : (planOf.get(current.planId) ?? null);
      for (const { jarMl: _taken, ...one } of await recorder.of("progress", "byPiece", id)) {
        // What is under way stays with the batch, and so does the paint all of them have taken.
        if (one.kind === "started") continue;
        await recorder.put("progress", { ...one, id: progressId(freshId()), rev: 1, pieceId: copy, planId: planOf.get(one.planId) ?? one.planId });
      }
      const piece = (of: number, name: string) => ({ ...current.piece, count: of, name });
      await recorder.put("pieces", { ...current, id: copy, rev: 1, planId: followed, piece: piece(many, nameWith(current.piece.name, APART)) });
      await recorder.put("pieces", { ...current, rev: current.rev + 1, piece: piece(count - many, current.piece.name) });
    },
    by,
  );
}

const COPY = " (another)";

/**
 * Another piece like one that is here, with the plan that is followed and its changes; nothing is done on it yet.
 *
 * @param copy id of the other, so that asking twice makes one
 */
export function copyPiece(db: Database, id: PieceId, copy: PieceId, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "another piece like it",
    ofPiece(copy),
    ["pieces", "plans"],
    async (recorder) => {
      const current = await recorder.get("pieces", id);
      if (!current || (await recorder.get("pieces", copy))) return;
      const { putAway: _away, standsAt: _place, dates: _dates, marked: _marked, ...rest } = current;
      const plan = current.planId === null ? undefined : await recorder.get("plans", current.planId);
      const own = plan && plan.basis === undefined ? planId(freshId()) : null;
      await recorder.put("pieces", { ...rest, id: copy, rev: 1, planId: own, piece: { ...current.piece, name: nameWith(current.piece.name, COPY) } });
      if (plan && own !== null) await recorder.put("plans", { ...plan, id: own, rev: 1, pieceId: copy });
    },
    by,
  );
}

/** Removes a piece with its plans and what was done on it, all or nothing. */
export function removePiece(
  db: Database,
  id: PieceId,
  name = "the piece",
  by: By = {},
): Promise<{ readonly piece: PieceRecord; readonly plans: readonly PlanRecord[] } | null> {
  return runCommand(
    db,
    `removing ${name}`,
    ofPiece(id),
    storesWith("pieces"),
    async (recorder) => {
      const piece = await recorder.get("pieces", id);
      const plans = await recorder.of("plans", "byPiece", id);
      if (piece) await recorder.removeWhole("pieces", id);
      return piece ? { piece, plans } : null;
    },
    by,
  );
}
