import { pieceId, planId, progressId, timerId } from "#core/catalogue/ids";
import type { PieceId, PourId } from "#core/catalogue/ids";
import { driesMinOf } from "#core/casting/body-piece";
import { pourAfter } from "#core/casting/pour-changes";
import type { PourChange } from "#core/casting/pour-changes";
import { toldOf } from "#core/casting/pour-state";
import type { Fault } from "#core/casting/repair/fault";
import { stagesOfCast } from "#core/casting/stages";
import { MOST_TIMERS } from "#core/formats/stores/timers";
import { MS_PER_MIN } from "#core/schedule/free-hours";
import type { PourRecord } from "#core/formats/stores/pours";
import type { CoatEvent } from "#core/logbook/progress";
import type { Piece } from "#core/piece/piece";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Recorder } from "./recorder";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import { followedPlan } from "./plans";
import type { Followed } from "./plans";
import { FinalError } from "./final-error";

/** The pour was let go meanwhile, in another tab. */
export class GonePour extends FinalError {
  override readonly name = "GonePour";

  constructor() {
    super("this pour was let go meanwhile");
  }
}

/** All of these bodies have become pieces by now. */
export class NoBodiesLeft extends FinalError {
  override readonly name = "NoBodiesLeft";

  constructor() {
    super("these bodies have become a piece already");
  }
}

const LABELS: Readonly<Record<PourChange["kind"], string>> = {
  run: "a weight at the scale",
  stage: "a stage of the pour",
  weigh: "a weighing",
  "weigh-off": "taking a weighing off",
  "on-scale": "what lies on the scale",
  fault: "what is wrong with a body",
  "fault-off": "taking a fault off",
  water: "the water of a pour",
  handed: "bodies that became a piece",
};

/** Pieces that bodies have become wait as long as their weighings say by now. */
async function followWeighings(recorder: Recorder, pour: PourRecord, at: number): Promise<void> {
  const bodies = pour.bodies[at];
  const driesMin = bodies && driesMinOf(bodies, toldOf(pour, bodies));
  if (!bodies || !driesMin) return;
  for (const { piece: id } of bodies.pieces) {
    const record = await recorder.get("pieces", id);
    const before = record?.piece.body;
    if (!record || !before || JSON.stringify(before.driesMin) === JSON.stringify(driesMin)) continue;
    await recorder.put("pieces", { ...record, rev: record.rev + 1, piece: { ...record.piece, body: { ...before, driesMin } } });
  }
}

/** Each bowl has one timer: that of the stage that runs by itself. It goes when the next stage is begun. */
async function keepTimer(recorder: Recorder, pour: PourRecord, { bowl, stage, at }: Extract<PourChange, { readonly kind: "stage" }>): Promise<void> {
  const id = timerId(`${pour.id}b${bowl}`);
  const current = await recorder.get("timers", id);
  const plan = stagesOfCast(pour.powder.kind, pour.powder.label, pour.conditions).find((one) => one.id === stage);
  if (!plan?.waits) {
    if (current) await recorder.remove("timers", id);
    return;
  }
  if (!current && (await recorder.ids("timers")).size >= MOST_TIMERS) return;
  const which = pour.bowls.length > 1 ? `, bowl ${bowl + 1}` : "";
  const until = new Date(Date.parse(at) + plan.fromMin * MS_PER_MIN).toISOString();
  await recorder.put("timers", { id, rev: (current?.rev ?? 0) + 1, label: `${plan.name}${which}`, from: at, until, pour: pour.id });
}

/**
 * Notes what happens to a pour: that, and nothing else of it; a weighing moves what its pieces wait for.
 *
 * @throws GonePour
 */
export function changePour(db: Database, id: PourId, change: PourChange, by: By = {}): Promise<void> {
  return runCommand(
    db,
    LABELS[change.kind],
    `pours/${id}`,
    ["pours", "pieces", "plans", "timers"],
    async (recorder) => {
      const pour = await recorder.get("pours", id);
      if (!pour) throw new GonePour();
      const next = pourAfter(pour, change);
      if (JSON.stringify(next) === JSON.stringify(pour)) return;
      const record = { ...next, rev: pour.rev + 1 };
      await recorder.put("pours", record);
      if (change.kind === "stage") await keepTimer(recorder, record, change);
      if ("bodies" in change) await followWeighings(recorder, record, change.bodies);
    },
    by,
  );
}

/** Bodies on their way to the pieces. */
export interface HandedOver {
  readonly id: PieceId;
  readonly bodies: number;
  readonly piece: Piece;
  readonly faults: readonly Fault[];
  readonly set?: string;
  /** The plan it begins with, and what of it is done already: it dries since it was taken out. */
  readonly begun: { readonly followed: Followed; readonly coats: readonly CoatEvent[]; readonly at: string } | null;
}

/**
 * Bodies of a pour become a piece, with its plan and its drying under way: all of it or nothing, and one thing to take back.
 *
 * @throws GonePour, NoBodiesLeft
 */
export function handOver(db: Database, id: PourId, { id: to, bodies, piece, faults, set, begun }: HandedOver, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `the new piece ${piece.name}`,
    `pours/${id}`,
    ["pours", "pieces", "plans", "progress"],
    async (recorder) => {
      const pour = await recorder.get("pours", id);
      if (!pour) throw new GonePour();
      if (await recorder.get("pieces", to)) return;
      const next = pourAfter(pour, { kind: "handed", bodies, piece: to, count: piece.count ?? 1 });
      // Another tab may have handed them over meanwhile: as many become a piece as are left.
      const taken = next.bodies[bodies]?.pieces.find((one) => one.piece === to)?.count ?? 0;
      if (taken === 0) throw new NoBodiesLeft();
      await recorder.put("pours", { ...next, rev: pour.rev + 1 });
      await recorder.put("pieces", {
        id: pieceId(to),
        rev: 1,
        piece: taken === (piece.count ?? 1) ? piece : { ...piece, count: taken },
        planId: null,
        ...(faults.length > 0
          ? {
              faults: faults.map(({ kind, place, bodies: on, each, widthMm, depthMm }) => ({
                kind,
                place,
                bodies: on,
                each,
                widthMm,
                ...(depthMm === undefined ? {} : { depthMm }),
              })),
            }
          : {}),
        ...(set === undefined ? {} : { set }),
      });
      if (!begun || begun.coats.length === 0) return;
      const plan = await followedPlan(recorder, to, begun.followed);
      for (const coat of begun.coats)
        await recorder.put("progress", { ...coat, id: progressId(freshId()), rev: 1, pieceId: to, planId: planId(plan.id), kind: "done", at: begun.at });
    },
    by,
  );
}
