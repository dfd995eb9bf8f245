import { CATALOGUE } from "#core/catalogue/catalogue";
import type { LogRecordId, PieceId } from "#core/catalogue/ids";
import type { OlderPiece } from "#core/formats/older-csv";
import type { InspectionRecord } from "#core/formats/stores/inspections";
import type { PhotoRecord } from "#core/formats/stores/photos";
import type { PieceRecord } from "#core/formats/stores/pieces";
import { RECORD_LIMITS } from "#core/formats/stores/records";
import type { JarRecord } from "#core/formats/stores/shelf";
import type { PourRecord } from "#core/formats/stores/pours";
import { idOfPicture } from "#core/formats/picture";
import { MOST_PHOTOS } from "#core/formats/stores/photos";
import type { LogRecord, MadeRecord, RecordPicture } from "#core/logbook/record/record";
import { recordAfter } from "#core/logbook/record/record-changes";
import type { RecordChange } from "#core/logbook/record/record-changes";
import { dueLooks } from "#core/logbook/record/reminders";
import type { Reminder } from "#core/logbook/record/reminders";
import { recordOf } from "#core/logbook/record/record-of";
import type { ProgressRecord } from "#core/logbook/progress";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import { TooMany } from "./marking";
import { TooManyPhotos } from "./photos";
import type { Shrunk } from "./photos";
import { GonePiece } from "./plans";
import { FinalError } from "./final-error";
import { putFields } from "./put-fields";

/** The record was removed meanwhile, in another tab. */
export class GoneRecord extends FinalError {
  override readonly name = "GoneRecord";

  constructor() {
    super("this record was removed from the logbook meanwhile");
  }
}

/** Nothing was laid on the piece: there is nothing to write down. */
export class NothingDone extends FinalError {
  override readonly name = "NothingDone";

  constructor() {
    super("nothing is noted of this piece yet: there is nothing to write down");
  }
}

/** The latest first; those of which no day is known stand last, by name. */
function latestFirst(a: LogRecord, b: LogRecord): number {
  return (b.finishedOn ?? "").localeCompare(a.finishedOn ?? "") || a.name.localeCompare(b.name);
}

/** Every record, the latest first. */
export async function recordsIn(db: Database): Promise<readonly LogRecord[]> {
  return (await db.getAll("records")).sort(latestFirst);
}

export async function recordById(db: Database, id: string): Promise<LogRecord | null> {
  return (await db.get("records", id)) ?? null;
}

/** Finished pieces that are to be looked at again by a day, "YYYY-MM-DD". */
export async function recordsToLookAt(db: Database, today: string): Promise<readonly Reminder[]> {
  return (await db.count("records")) === 0 ? [] : dueLooks(await db.getAll("records"), today);
}

/** The record that was written of a piece; null as long as there is none. */
export async function recordOfPiece(db: Database, piece: PieceId): Promise<LogRecord | null> {
  return (await db.getFromIndex("records", "byPiece", piece)) ?? null;
}

interface Noted {
  readonly record: PieceRecord;
  readonly progress: readonly ProgressRecord[];
  readonly inspections: readonly InspectionRecord[];
  readonly photos: readonly PhotoRecord[];
  readonly jars: readonly JarRecord[];
  readonly pours: readonly PourRecord[];
}

function madeOf({ record, progress, inspections, photos, jars, pours }: Noted, timeZone: string): MadeRecord {
  return recordOf(
    {
      pieceId: record.id,
      piece: record.piece,
      progress,
      checks: inspections.map(({ at, zone, kind, passed, grade }) => ({ at, zone, kind, passed, ...(grade === undefined ? {} : { grade }) })),
      pictures: photos.map(({ picture, small, width, height, at, caption }) => ({
        picture,
        small,
        width,
        height,
        at,
        ...(caption === undefined ? {} : { caption }),
      })),
      jars,
      pours,
    },
    CATALOGUE,
    timeZone,
  );
}

/** The record of a piece as far as it has come, from what was noted by now. */
export async function recordSoFar(db: Database, record: PieceRecord, timeZone: string): Promise<MadeRecord> {
  const [progress, inspections, photos, jars, pours] = await Promise.all([
    db.getAllFromIndex("progress", "byPiece", record.id),
    db.getAllFromIndex("inspections", "byPiece", record.id),
    db.getAllFromIndex("photos", "byPiece", record.id),
    db.getAll("shelf"),
    db.getAll("pours"),
  ]);
  return madeOf({ record, progress, inspections, photos, jars, pours }, timeZone);
}

const NOTHING_SINCE = { additions: [], looks: [], moves: [] } as const;

/**
 * Writes a finished piece down; one that is written down already stays as it is.
 *
 * @param id of the record, so that asking twice writes one
 * @param at ISO 8601
 * @throws GonePiece, NothingDone, TooMany
 */
export function writeDown(db: Database, piece: PieceId, id: LogRecordId, at: string, timeZone: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "writing the piece down",
    `records/${id}`,
    ["pieces", "progress", "inspections", "photos", "shelf", "pours", "records"],
    async (recorder) => {
      const record = await recorder.get("pieces", piece);
      if (!record) throw new GonePiece();
      if ((await recorder.of("records", "byPiece", piece)).length > 0) return;
      if ((await recorder.ids("records")).size >= RECORD_LIMITS.records)
        throw new TooMany(`${RECORD_LIMITS.records} records are in the logbook, more do not go`);
      const [progress, inspections, photos, jars, pours] = [
        await recorder.of("progress", "byPiece", piece),
        await recorder.of("inspections", "byPiece", piece),
        await recorder.of("photos", "byPiece", piece),
        await recorder.all("shelf"),
        await recorder.all("pours"),
      ];
      const made = madeOf({ record, progress, inspections, photos, jars, pours }, timeZone);
      if (made.work.length === 0) throw new NothingDone();
      await recorder.put("records", { ...made, id, rev: 1, pieceId: piece, writtenAt: at, ...NOTHING_SINCE });
    },
    by,
  );
}

/** A piece of older notes as a record. */
export function toldRecord({ name, body, count, finishedOn, who, told }: OlderPiece, id: LogRecordId, at: string): LogRecord {
  const day = finishedOn ?? at.slice(0, 10);
  return {
    id,
    rev: 1,
    origin: "told",
    name,
    body,
    count,
    ...(finishedOn === undefined ? {} : { finishedOn }),
    told,
    writtenAt: at,
    work: [],
    paint: [],
    minutes: [],
    mishaps: [],
    checks: [],
    pictures: [],
    ...NOTHING_SINCE,
    ...(who === undefined ? {} : { moves: [{ id: freshId(), on: day, kind: "given" as const, count, to: who }] }),
  };
}

/**
 * Writes down pieces that were finished before there was a notebook, all of them or none.
 *
 * @param pieces each with an id of its own; one that is there already is left as it is
 * @throws TooMany
 */
export function tellOlder(db: Database, pieces: readonly { readonly id: LogRecordId; readonly piece: OlderPiece }[], at: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    pieces.length === 1 ? "an older piece" : `${pieces.length} older pieces`,
    "records",
    ["records"],
    async (recorder) => {
      const here = await recorder.ids("records");
      if (here.size + pieces.length > RECORD_LIMITS.records) throw new TooMany(`${RECORD_LIMITS.records} records are in the logbook, more do not go`);
      for (const { id, piece } of pieces) if (!here.has(id)) await recorder.put("records", toldRecord(piece, id, at));
    },
    by,
  );
}

const LABELS: Readonly<Record<RecordChange["kind"], string>> = {
  add: "what was added to a record",
  look: "how a piece has held",
  move: "where a piece went",
  off: "taking a note off a record",
  money: "the money of a piece",
};

/**
 * Adds something to a record.
 *
 * @throws GoneRecord, NoneLeft
 */
export function changeRecord(db: Database, id: LogRecordId, change: RecordChange, by: By = {}): Promise<void> {
  return runCommand(
    db,
    LABELS[change.kind],
    `records/${id}`,
    ["records"],
    async (recorder) => {
      const current = await recorder.get("records", id);
      if (!current) throw new GoneRecord();
      if (change.kind === "money" && change.seen) {
        const { money: _stands, ...rest } = current;
        const seen = Object.keys(change.seen).length === 0 ? rest : { ...rest, money: change.seen };
        return putFields(recorder, "records", seen, recordAfter(seen, change));
      }
      const next = recordAfter(current, change);
      if (next !== current && JSON.stringify(next) !== JSON.stringify(current)) await recorder.put("records", { ...next, rev: current.rev + 1 });
    },
    by,
  );
}

/**
 * Adds photographs to a record, all of them or none; one it has already is not added again.
 *
 * @returns how many were added
 * @throws GoneRecord, TooManyPhotos
 */
export function addRecordPictures(db: Database, id: LogRecordId, photos: readonly Shrunk[], by: By = {}): Promise<number> {
  return runCommand(
    db,
    photos.length === 1 ? "the photograph" : "the photographs",
    `records/${id}`,
    ["records"],
    async (recorder) => {
      const current = await recorder.get("records", id);
      if (!current) throw new GoneRecord();
      const known = new Set<string>(current.pictures.map(({ picture }) => picture));
      const fresh = photos
        .map((one) => ({ ...one, id: idOfPicture(one.picture) }))
        .filter(({ id: of }, index, all) => !known.has(of) && all.findIndex((other) => other.id === of) === index);
      if (current.pictures.length + fresh.length > MOST_PHOTOS) throw new TooManyPhotos(Math.max(0, MOST_PHOTOS - current.pictures.length));
      if (fresh.length === 0) return 0;
      const pictures: RecordPicture[] = [];
      for (const { at, id: picture, picture: bytes, small: smallBytes, width, height } of fresh) {
        const small = idOfPicture(smallBytes);
        await recorder.putPicture({ id: picture, bytes });
        await recorder.putPicture({ id: small, bytes: smallBytes });
        pictures.push({ picture, small, width, height, at, stage: "after" });
      }
      await recorder.put("records", { ...current, rev: current.rev + 1, pictures: [...current.pictures, ...pictures] });
      return fresh.length;
    },
    by,
  );
}

/** Takes a record out of the logbook; its piece stays, and can be written down again. */
export function removeRecord(db: Database, id: LogRecordId, name: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `the record of ${name}`,
    `records/${id}`,
    ["records"],
    async (recorder) => {
      if (await recorder.get("records", id)) await recorder.remove("records", id);
    },
    by,
  );
}
