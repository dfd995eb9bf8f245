import { progressId } from "#core/catalogue/ids";
import type { PieceId, PlanId } from "#core/catalogue/ids";
import { taskId } from "#core/coating/facts/task";
import { changesWith } from "#core/coating/model/apply-changes";
import { basisBroughtToNow, broughtToNow, notBefore, saidAt } from "#core/logbook/noted-times";
import { isOn } from "#core/logbook/progress";
import type { CoatEvent, ProgressKind, ProgressRecord, RecordedAct } from "#core/logbook/progress";
import type { Rewriting } from "#core/logbook/rescue/rewriting";
import { noteOfMix } from "#core/shelf/mixes";
import { letGoOf } from "./calendar";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Recorder } from "./recorder";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import { named } from "./named";
import { FinalError } from "./final-error";
import { followedPlan, GonePiece } from "./plans";
import type { Followed } from "./plans";

/** What counting a batch is called: it has its own way back, and is not told of each time. */
export const COUNTING = "counting the pieces";

/** All that was done on a piece, by time. */
export async function progressOf(db: Database, piece: PieceId): Promise<readonly ProgressRecord[]> {
  const found = await db.getAllFromIndex("progress", "byPiece", piece);
  return found.sort((a, b) => a.at.localeCompare(b.at));
}

/**
 * Notes coats as on the piece, or as not on it after all; of those that are so already nothing: a second click notes nothing a second time.
 *
 * @throws FoundTacky where nothing is noted, because what was to be done is on already and was found tacky
 * @param at instant by the clock, ISO 8601
 * @param said the user has said the instant: it may lie before what was noted of other places since
 */
async function note(
  recorder: Recorder,
  of: Pick<ProgressRecord, "pieceId" | "planId">,
  coats: readonly CoatEvent[],
  kind: ProgressKind,
  at: string,
  said: { readonly basis: string | null } | null = null,
): Promise<void> {
  let [written, tacky] = [0, false];
  const noted = [...(await recorder.of("progress", "byPiece", of.pieceId))].sort((a, b) => a.at.localeCompare(b.at));
  const lastOf = ({ zone, stepId, coat, half }: CoatEvent) =>
    noted.findLast((one) => one.zone === zone && one.stepId === stepId && one.coat === coat && one.half === half);
  const zones = new Set(coats.map(({ zone }) => zone));
  const here = noted.filter(({ zone }) => zones.has(zone));
  const instant = said ? saidAt(at, here, said.basis) : notBefore(at, noted);
  for (const coat of coats) {
    const last = lastOf(coat);
    tacky ||= kind === "done" && last?.kind === "tacky";
    if (isOn(last) === (kind === "done" || kind === "started")) continue;
    if (kind === "dry" && last?.kind === "dry") continue;
    // The same count again says nothing.
    if (kind === "started" && last?.kind === "started" && (last.pieces ?? 0) === (coat.pieces ?? 0)) continue;
    // What comes off, or is found tacky, is what was laid, out of the jar it was laid from, whatever the plan says by now.
    const isLaying = kind === "done" || kind === "started";
    const laid =
      !isLaying && last ? { act: last.act, ...(last.jarMl === undefined ? {} : { jarMl: last.jarMl }) } : { act: await withMixture(recorder, coat.act) };
    await recorder.put("progress", { ...coat, ...laid, ...of, id: progressId(freshId()), rev: 1, kind, at: instant });
    written += 1;
  }
  if (tacky && written === 0) throw new FoundTacky();
}

/** What was to be noted as done is on the piece, and was found tacky: whoever asked is told, and nothing is written. */
export class FoundTacky extends FinalError {
  override readonly name = "FoundTacky";

  constructor() {
    super("this coat is on the piece already, and was found tacky; it dries on, or is put right");
  }
}

/** An act with what its pot was mixed from: the pot may be mixed otherwise by the time somebody asks. */
async function withMixture(recorder: Recorder, act: RecordedAct): Promise<RecordedAct> {
  const jar = act.ownProduct === undefined ? undefined : await recorder.get("shelf", act.ownProduct);
  return jar?.mix ? { ...act, mix: noteOfMix(jar.mix) } : act;
}

/**
 * Notes coats as done at an instant; the plan is kept from then on.
 *
 * @throws FoundTacky
 * @param at ISO 8601
 * @param said the user has said the instant, which is past
 * @param what was done, in the user's words: told of it, and of taking it back
 */
export function markDone(
  db: Database,
  piece: PieceId,
  followed: Followed,
  coats: readonly CoatEvent[],
  at: string,
  by: By = {},
  said = false,
  what?: string,
): Promise<PlanId> {
  const several = new Set(coats.map((one) => `${one.coat}:${one.half ?? ""}`)).size > 1;
  const label = what === undefined ? (several ? "marking coats as done" : "marking it as done") : `${what}, done`;
  return runCommand(
    db,
    label,
    `pieces/${piece}`,
    ["plans", "pieces", "progress", "shelf"],
    async (recorder) => {
      const plan = await followedPlan(recorder, piece, followed);
      await note(recorder, { pieceId: piece, planId: plan.id }, coats, "done", at, said ? { basis: plan.basis ?? null } : null);
      return plan.id;
    },
    by,
  );
}

/**
 * Notes that hands are on a coat, and how many pieces of its batch have it by now. What was put into another sitting is not any more.
 *
 * @param at ISO 8601
 */
export function markStarted(db: Database, piece: PieceId, followed: Followed, coats: readonly CoatEvent[], at: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    COUNTING,
    `pieces/${piece}`,
    ["plans", "pieces", "progress", "shelf", "calendar"],
    async (recorder) => {
      const plan = await followedPlan(recorder, piece, followed);
      await note(recorder, { pieceId: piece, planId: plan.id }, coats, "started", at);
      await letGoOf(recorder, piece, new Set(coats.map(({ stepId, coat, half }) => taskId(stepId, coat, half))));
    },
    by,
  );
}

/**
 * Notes what a remedy made of the coats, and writes the plan anew: all of it or nothing, and one thing to take back. What the piece was held for is over.
 *
 * @param timer what reminded of it; null for nothing
 * @param at ISO 8601
 */
export function putRight(
  db: Database,
  piece: PieceId,
  followed: Followed,
  { ruined, tacky, mended = [], laid = [], changes }: Pick<Rewriting, "ruined" | "tacky" | "changes"> & Partial<Rewriting>,
  timer: string | null,
  at: string,
  by: By = {},
  what?: string,
): Promise<void> {
  return runCommand(
    db,
    what ?? "putting it right",
    `pieces/${piece}`,
    ["plans", "pieces", "progress", "shelf", "timers"],
    async (recorder) => {
      const plan = await followedPlan(recorder, piece, followed);
      await note(recorder, { pieceId: piece, planId: plan.id }, ruined, "ruined", at);
      await note(recorder, { pieceId: piece, planId: plan.id }, tacky, "tacky", at);
      await note(recorder, { pieceId: piece, planId: plan.id }, mended, "mended", at);
      await note(recorder, { pieceId: piece, planId: plan.id }, laid, "done", at);
      if (changes.length > 0) await recorder.put("plans", { ...plan, rev: plan.rev + 1, edits: changesWith(plan.edits, named(changes)) });
      if (timer !== null && (await recorder.get("timers", timer))) await recorder.remove("timers", timer);
    },
    by,
  );
}

/** Coats of one piece among several that are worked at together. */
export interface DoneOn {
  readonly piece: PieceId;
  readonly followed: Followed;
  readonly coats: readonly CoatEvent[];
}

/**
 * Notes coats as done on several pieces in one go: all of them or none, and one thing to take back. A piece that was removed meanwhile is passed over.
 *
 * @param at ISO 8601
 */
export function markDoneTogether(db: Database, parts: readonly DoneOn[], at: string, by: By = {}, what?: string): Promise<void> {
  return runCommand(
    db,
    `${what === undefined ? "marking it as done" : `${what}, done`} on ${parts.length === 1 ? "one piece" : `${parts.length} pieces`}`,
    "pieces",
    ["plans", "pieces", "progress", "shelf"],
    async (recorder) => {
      for (const { piece, followed, coats } of parts) {
        if (!(await recorder.get("pieces", piece))) continue;
        const plan = await followedPlan(recorder, piece, followed);
        await note(recorder, { pieceId: piece, planId: plan.id }, coats, "done", at);
      }
    },
    by,
  );
}

/**
 * Notes coats that were laid on several days, all of them or none.
 *
 * @param days each with its instant, ISO 8601, oldest first
 * @throws GonePiece
 */
export function markDays(
  db: Database,
  piece: PieceId,
  followed: Followed,
  days: readonly { readonly at: string; readonly coats: readonly CoatEvent[] }[],
  by: By = {},
): Promise<void> {
  return runCommand(
    db,
    "what is on it already",
    `pieces/${piece}`,
    ["plans", "pieces", "progress", "shelf"],
    async (recorder) => {
      const plan = await followedPlan(recorder, piece, followed);
      for (const { at, coats } of days) await note(recorder, { pieceId: piece, planId: plan.id }, coats, "done", at);
    },
    by,
  );
}

/** Notes something of coats that were laid, of a piece that is still there. */
function noteLaid(
  db: Database,
  label: string,
  of: Pick<ProgressRecord, "pieceId" | "planId">,
  coats: readonly CoatEvent[],
  kind: "removed" | "tacky" | "dry" | "ruined",
  at: string,
  by: By,
): Promise<void> {
  return runCommand(
    db,
    label,
    `pieces/${of.pieceId}`,
    ["pieces", "progress"],
    async (recorder) => {
      if (!(await recorder.get("pieces", of.pieceId))) throw new GonePiece();
      await note(recorder, of, coats, kind, at);
    },
    by,
  );
}

/**
 * Notes that coats were touched and found tacky: what waits for them waits longer, and something is learnt of their drying.
 *
 * @param at ISO 8601
 */
export function markTacky(db: Database, piece: PieceId, plan: PlanId, coats: readonly CoatEvent[], at: string, by: By = {}, what?: string): Promise<void> {
  return noteLaid(db, what === undefined ? "noting that it is still tacky" : `${what}, still tacky`, { pieceId: piece, planId: plan }, coats, "tacky", at, by);
}

/**
 * Notes that coats were touched and were dry: something is learnt of their drying; what was left for longer since it was tacky is free again.
 *
 * @param at ISO 8601
 */
export function markDry(db: Database, piece: PieceId, plan: PlanId, coats: readonly CoatEvent[], at: string, by: By = {}, what?: string): Promise<void> {
  return noteLaid(db, what === undefined ? "noting that it is dry" : `${what}, dry to the touch`, { pieceId: piece, planId: plan }, coats, "dry", at, by);
}

/**
 * Notes that coats are not on the piece after all. What was noted before stays noted: the body is folded from all of it.
 *
 * @param at ISO 8601
 */
export function markUndone(db: Database, piece: PieceId, plan: PlanId, coats: readonly CoatEvent[], at: string, by: By = {}): Promise<void> {
  return noteLaid(db, "marking it as not done", { pieceId: piece, planId: plan }, coats, "removed", at, by);
}

/**
 * Brings what was noted by a clock that ran ahead to now: the user says the clock is right by now.
 *
 * @param now instant, ms
 */
export function setNotesRight(db: Database, piece: PieceId, now: number, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "setting the clock's notes right",
    `pieces/${piece}`,
    ["plans", "progress"],
    async (recorder) => {
      const noted = await recorder.of("progress", "byPiece", piece);
      for (const one of broughtToNow(noted, now)) await recorder.put("progress", { ...one, rev: one.rev + 1 });
      for (const plan of await recorder.of("plans", "byPiece", piece)) {
        const basis = plan.basis === undefined ? undefined : basisBroughtToNow(plan.basis, noted, now);
        if (basis !== undefined && basis !== plan.basis) await recorder.put("plans", { ...plan, rev: plan.rev + 1, basis });
      }
    },
    by,
  );
}
