import { logRecordId, pieceId, trialId } from "#core/catalogue/ids";
import type { PictureId } from "#core/catalogue/ids";
import type { LogRecord } from "#core/logbook/record/record";
import { indexed } from "#core/logbook/record/search";
import type { IndexedRecord } from "#core/logbook/record/search";
import type { Piece } from "#core/piece/piece";
import { dateOf } from "#core/schedule/free-hours";
import { perform } from "~/actions/perform";
import { timeZoneHere } from "~/components/time-zone";
import { keptPiece } from "~/piece/kept-piece";
import { keyOf, workedOut } from "~/piece/worked-out.client";
import type { Database } from "~/store/database";
import { begunPieces, keptOverview } from "~/store/listing";
import { database } from "~/store/open.client";
import { pictureBytes } from "~/store/photos";
import { changeRecord, recordById, recordsIn, removeRecord, tellOlder, writeDown } from "~/store/records";
import { beginAgain } from "~/store/again";
import { beginTrial, lookAtTrial, removeTrial, trialsIn } from "~/store/trials";
import { LOGBOOK_FIELDS } from "./logbook-asks";
import type { LogbookAsk } from "./logbook-asks";

/** A piece with all its coats on, of which nothing is written down yet. */
export interface ReadyPiece {
  readonly id: string;
  readonly name: string;
}

/** Begun pieces that are looked through for finished ones. */
const MOST_BEGUN = 60;

/** Records as they are searched, by id; worked out anew only where one has changed. */
const known = new Map<string, IndexedRecord>();

/** A record as it is searched. */
export function indexedOnce(record: LogRecord): IndexedRecord {
  const before = known.get(record.id);
  if (before?.record.rev === record.rev) return before;
  const fresh = indexed(record);
  known.set(record.id, fresh);
  return fresh;
}

/** Begun pieces that have all their coats, and no record. */
async function readyIn(db: Database, records: readonly LogRecord[], now: number): Promise<readonly ReadyPiece[]> {
  const written = new Set<string>(records.flatMap(({ pieceId: piece }) => piece ?? []));
  const begun = (await begunPieces(db)).filter((id) => !written.has(id)).slice(0, MOST_BEGUN);
  const found = await Promise.allSettled(
    begun.map(async (id): Promise<ReadyPiece | null> => {
      const kept = await keptPiece(id);
      const overview = (await keptOverview(db, kept.record.id, keyOf(kept), now)) ?? (await workedOut(db, kept, now));
      return overview.finished ? { id, name: kept.record.piece.name } : null;
    }),
  );
  return found.flatMap((one) => (one.status === "fulfilled" && one.value ? [one.value] : []));
}

/** Addresses of pictures, by id; each is looked for once, and holds as long as the page: what is scrolled back to is there at once. */
const faces = new Map<PictureId, Promise<string | null>>();

/** Where the page finds the picture of a record; null where the notebook has lost it. */
export function faceAt(picture: PictureId): Promise<string | null> {
  const before = faces.get(picture);
  if (before) return before;
  const face = database()
    .then((db) => pictureBytes(db, picture))
    .then((bytes) => bytes && URL.createObjectURL(new Blob([bytes], { type: "image/jpeg" })))
    .catch(() => null);
  faces.set(picture, face);
  // One that is lost may be brought back.
  void face.then((address) => address === null && faces.delete(picture));
  return face;
}

/** Everything the logbook's pages show. */
export async function logbookLoaded() {
  const db = await database();
  const now = Date.now();
  const [records, trials] = await Promise.all([recordsIn(db), trialsIn(db)]);
  const ready = readyIn(db, records, now);
  // Whoever shows it tells of a failure.
  ready.catch(() => undefined);
  return { records, trials, ready, indexedOf: indexedOnce, faceAt, today: dateOf(now, timeZoneHere()) };
}

export type LogbookLoaded = Awaited<ReturnType<typeof logbookLoaded>>;

/** One record with all others; null where it is gone. */
export async function recordLoaded(id: string) {
  const loaded = await logbookLoaded();
  const record = await recordById(await database(), id);
  const piece = record?.pieceId === undefined ? undefined : await (await database()).get("pieces", record.pieceId);
  return { ...loaded, record, hasPiece: piece !== undefined };
}

/** Does what the logbook is asked. */
export async function performLogbook(request: Request): Promise<null> {
  const db = await database();
  const quiet = async (work: Promise<unknown>) => (await work, null);
  return perform<LogbookAsk, null>(request, LOGBOOK_FIELDS, {
    "write-down": ({ piece, id, at }, by) => quiet(writeDown(db, pieceId(piece), logRecordId(id), at, timeZoneHere(), by)),
    tell: ({ pieces, at }, by) =>
      quiet(
        tellOlder(
          db,
          pieces.map(({ id, piece }) => ({ id: logRecordId(id), piece })),
          at,
          by,
        ),
      ),
    change: ({ id, change }, by) => quiet(changeRecord(db, logRecordId(id), change, by)),
    remove: ({ id, name }, by) => quiet(removeRecord(db, logRecordId(id), name, by)),
    again: ({ piece, of, followed, edits }, by) => quiet(beginAgain(db, pieceId(piece), of as Piece, followed, edits, by)),
    "begin-trial": ({ trial }, by) => quiet(beginTrial(db, { ...trial, id: trialId(trial.id) } as Parameters<typeof beginTrial>[1], by)),
    "look-trial": ({ id, looks }, by) => quiet(lookAtTrial(db, trialId(id), looks, by)),
    "remove-trial": ({ id, name }, by) => quiet(removeTrial(db, trialId(id), name, by)),
  });
}
