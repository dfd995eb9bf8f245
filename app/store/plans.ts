import { planId } from "#core/catalogue/ids";
import type { CandidateId, PieceId, PlanId, StepId } from "#core/catalogue/ids";
import { ENGINE_VERSION } from "#core/coating/planner/engine-version";
import { changesWith } from "#core/coating/model/apply-changes";
import type { Change } from "#core/coating/model/change";
import { editClashes } from "#core/coating/model/edit-clashes";
import type { StepChoice, ZoneSteps } from "#core/coating/model/step";
import type { PlanRecord } from "#core/formats/stores/plans";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Recorder } from "./recorder";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import { named } from "./named";
import { planAgain } from "./versions";
import type { Version } from "./versions";
import { FinalError } from "./final-error";

/** The plan the user follows as the screen shows it: enough to keep it. */
export interface Followed {
  readonly candidateId: CandidateId;
  readonly school: string;
  /** The body it was made for; null for the bare piece. */
  readonly basis: string | null;
  readonly made: readonly ZoneSteps<StepChoice>[];
  readonly madeFor: string;
  /** The user's changes that are in it: they go along where it has to be kept anew, for another body. */
  readonly edits?: readonly Change[];
}

export async function planById(db: Database, id: PlanId | null): Promise<PlanRecord | null> {
  return id === null ? null : ((await db.get("plans", id)) ?? null);
}

function asMade({ basis, made, madeFor }: Followed): Pick<PlanRecord, "made" | "madeFor" | "basis"> {
  return { made, madeFor, ...(basis === null ? {} : { basis }) };
}

/** The plan that is followed, where other facts have made another candidate of it: it is the same plan, with the user's changes in it. */
async function movedAlong(recorder: Recorder, piece: PieceId, plans: readonly PlanRecord[], { basis, madeFor }: Followed): Promise<PlanRecord | undefined> {
  const id = (await recorder.get("pieces", piece))?.planId ?? null;
  return plans.find((plan) => plan.id === id && plan.engineVersion === ENGINE_VERSION && plan.madeFor !== madeFor && (plan.basis ?? null) === basis);
}

/** Keeps the plan that is followed as it is now, after a fact has changed. */
export function keepPlan(db: Database, piece: PieceId, followed: Followed, by: By = {}): Promise<PlanRecord> {
  return runCommand(db, "keeping the changed plan", ofPiece(piece), ["plans", "pieces"], (recorder) => followedPlan(recorder, piece, followed), by);
}

/** The piece was removed meanwhile, in another tab: nothing is written beside it. */
export class GonePiece extends FinalError {
  override readonly name = "GonePiece";

  constructor() {
    super("this piece was removed meanwhile; bring it back from the list of pieces to go on with it");
  }
}

/**
 * Finds or makes the kept plan of a piece for a candidate, and has the piece follow it. A plan of an older engine stays as it was kept until the user
 * has chosen; one of this engine is kept as it is made now.
 *
 * @throws GonePiece
 * @param chosen the user has just chosen this candidate among the ways; else the plan may have moved along with a fact
 */
export async function followedPlan(recorder: Recorder, piece: PieceId, followed: Followed, chosen = false): Promise<PlanRecord> {
  const { candidateId, school, basis } = followed;
  const current = await recorder.get("pieces", piece);
  if (!current) throw new GonePiece();
  const plans = await recorder.of("plans", "byPiece", piece);
  const same = plans.find((plan) => plan.candidateId === candidateId && (plan.basis ?? null) === basis);
  const kept = same ?? (chosen ? undefined : await movedAlong(recorder, piece, plans, followed));
  const plan: PlanRecord = kept ?? {
    id: planId(freshId()),
    pieceId: piece,
    rev: 1,
    school,
    candidateId,
    edits: chosen ? [] : (followed.edits ?? []),
    pinned: [],
    engineVersion: ENGINE_VERSION,
    ...asMade(followed),
  };
  const stale = kept?.engineVersion === ENGINE_VERSION && kept.madeFor !== followed.madeFor;
  const next = stale ? { ...kept, rev: kept.rev + 1, candidateId, school, ...asMade(followed) } : plan;
  if (!kept || stale) await recorder.put("plans", next);
  if (current.planId !== plan.id) await recorder.put("pieces", { ...current, rev: current.rev + 1, planId: plan.id });
  return next;
}

const ofPiece = (id: PieceId) => `pieces/${id}`;

/** The kept plan of a piece for a candidate, made when the user first follows it. Their changes stay with each. */
export function planFor(db: Database, piece: PieceId, followed: Followed, by: By = {}): Promise<PlanRecord> {
  return runCommand(db, "the choice of plan", ofPiece(piece), ["plans", "pieces"], (recorder) => followedPlan(recorder, piece, followed, true), by);
}

/** Another tab changed the same steps of the plan meanwhile: nothing was written. */
export class EditClash extends Error {
  override readonly name = "EditClash";

  constructor(readonly changes: readonly Change[]) {
    super("another tab changed the same steps of this plan");
  }
}

/** What the screen knew of a plan when it was changed there. */
export interface KnownEdits {
  /** The plan's changes as it showed them. */
  readonly edits: readonly Change[];
  readonly isOwn: (change: Change) => boolean;
}

/**
 * Adds the user's changes to the plan they follow, which is kept from then on; what another tab added stays.
 *
 * @param known what the screen knew; null to have them stand whatever was changed meanwhile
 * @throws GonePiece, EditClash
 */
export function editPlan(
  db: Database,
  piece: PieceId,
  followed: Followed,
  edits: readonly Change[],
  by: By = {},
  known: KnownEdits | null = null,
): Promise<PlanRecord> {
  return runCommand(
    db,
    "the change to the plan",
    ofPiece(piece),
    ["plans", "pieces"],
    async (recorder) => {
      const plan = await followedPlan(recorder, piece, followed);
      const clashing = known === null ? [] : editClashes(edits, known.edits, plan.edits, known.isOwn);
      if (clashing.length > 0) throw new EditClash(clashing);
      const next = { ...plan, rev: plan.rev + 1, edits: changesWith(plan.edits, named(edits)) };
      await recorder.put("plans", next);
      return next;
    },
    by,
  );
}

/** Keeps steps of one act whatever is made right around them, or lets them go again. */
export function pinSteps(db: Database, piece: PieceId, followed: Followed, stepIds: readonly StepId[], kept: boolean, by: By = {}): Promise<void> {
  return runCommand(
    db,
    kept ? "keeping a step" : "letting a step go",
    ofPiece(piece),
    ["plans", "pieces"],
    async (recorder) => {
      const plan = await followedPlan(recorder, piece, followed);
      const others = plan.pinned.filter((one) => !stepIds.includes(one));
      await recorder.put("plans", { ...plan, rev: plan.rev + 1, pinned: kept ? [...others, ...stepIds] : others });
    },
    by,
  );
}

/** Takes the user's changes to a plan back, all of them. */
export function clearEdits(db: Database, piece: PieceId, id: PlanId, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "going back to the plan as it was",
    ofPiece(piece),
    ["plans"],
    async (recorder) => {
      const current = await recorder.get("plans", id);
      if (current) await recorder.put("plans", { ...current, rev: current.rev + 1, edits: [] });
    },
    by,
  );
}

/**
 * Settles what becomes of a plan an older engine made.
 *
 * @param made the steps this engine gives
 * @param edits what turns them into the steps as they were, when the user keeps those; none when the newer ones are taken
 */
export function settleEngine(
  db: Database,
  piece: PieceId,
  id: PlanId,
  made: readonly ZoneSteps<StepChoice>[],
  edits: readonly Change[],
  by: By = {},
): Promise<void> {
  return runCommand(
    db,
    "the choice between two plans",
    ofPiece(piece),
    ["plans"],
    async (recorder) => {
      const current = await recorder.get("plans", id);
      if (!current) return;
      await recorder.put("plans", { ...current, rev: current.rev + 1, engineVersion: ENGINE_VERSION, made, edits: [...edits, ...current.edits] });
    },
    by,
  );
}

/**
 * Brings a piece and its plan back as they were in a version; its name stays, and so does what was done on it.
 *
 * @throws GonePiece
 */
export function bringVersionBack(db: Database, piece: PieceId, version: Version, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "going back to an earlier plan",
    ofPiece(piece),
    ["plans", "pieces"],
    async (recorder) => {
      const current = await recorder.get("pieces", piece);
      if (!current) throw new GonePiece();
      const plan = current.planId === null ? null : ((await recorder.get("plans", current.planId)) ?? null);
      const next = version.plan && planAgain(version.plan, piece, plan);
      if (next) await recorder.put("plans", next);
      await recorder.put("pieces", { ...current, rev: current.rev + 1, piece: { ...version.piece, name: current.piece.name }, planId: next?.id ?? null });
    },
    by,
  );
}
