import type { BenchPiece } from "#core/logbook/bench/bench-piece";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { TimerRecord } from "#core/formats/stores/timers";
import { commonIn, isOn, onTable, tableOf } from "~/calendar/on-table.client";
import type { Common } from "~/calendar/hands";
import type { OffTable } from "~/calendar/table.client";
import { followedOf } from "~/piece/followed";
import { keptPieces } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import { keyOf } from "~/piece/worked-out.client";
import type { Database } from "~/store/database";
import { keptOverview } from "~/store/listing";
import type { Followed } from "~/store/plans";
import { isLearntAnew } from "~/store/own-times";

/** A piece on the bench, with what it takes to note what is done on it. */
export interface OnBench extends BenchPiece {
  readonly record: PieceRecord;
  readonly followed: Followed;
}

export interface BenchLoaded {
  /** Pieces with a plan. */
  readonly pieces: Promise<readonly OnBench[]>;
  /** Names of those for which nothing can be planned. */
  readonly without: Promise<readonly OffTable[]>;
  /** What the order of what is done next goes by, beside the pieces. */
  readonly common: Common;
  readonly timers: readonly TimerRecord[];
  /** Pieces nobody has begun. */
  readonly off: readonly OffTable[];
  readonly on: number;
  /** Something had been learnt of drying from waits nobody had looked at the end of: that it is learnt anew is still to be told. */
  readonly learntAnew: boolean;
}

/** What was finished longer ago than this has hardened, ms. */
const HARDENED_MS = 60 * 24 * 60 * 60_000;

/** All that was laid on it is on since so long that it has hardened. */
async function isOver(db: Database, kept: KeptPiece, now: number): Promise<boolean> {
  const last = kept.progress.at(-1)?.at;
  if (last === undefined || now - Date.parse(last) < HARDENED_MS) return false;
  return (await keptOverview(db, kept.record.id, keyOf(kept), now))?.finished === true;
}

async function onBench(kept: KeptPiece, common: Common): Promise<OnBench | null> {
  const table = await tableOf(kept, false);
  const followed = table && followedOf(table);
  return table && followed && { ...onTable(kept, table, common), record: kept.record, followed };
}

/** All pieces that are begun, or wanted by a day, as they lie on the bench. */
export async function benchLoaded(db: Database): Promise<BenchLoaded> {
  const now = Date.now();
  const [all, common, learntAnew] = await Promise.all([keptPieces(db), commonIn(db), isLearntAnew(db)]);
  const here = all.filter((kept) => kept.record.putAway === undefined);
  const on: KeptPiece[] = [];
  for (const kept of here) if (isOn(kept) && !(await isOver(db, kept, now))) on.push(kept);
  const told = Promise.all(on.map(async (kept) => ({ kept, found: await onBench(kept, common).catch(() => null) })));
  const named = ({ record }: KeptPiece): OffTable => ({ id: record.id, name: record.piece.name });
  return {
    pieces: told.then((list) => list.flatMap(({ found }) => found ?? [])),
    without: told.then((list) => list.flatMap(({ kept, found }) => (found ? [] : [named(kept)]))),
    common,
    timers: common.timers,
    off: here.filter((kept) => !isOn(kept)).map(named),
    on: on.length,
    learntAnew,
  };
}
