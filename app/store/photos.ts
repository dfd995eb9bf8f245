import type { PhotoId, PictureId, PieceId } from "#core/catalogue/ids";
import { photoId } from "#core/catalogue/ids";
import { idOfPicture } from "#core/formats/picture";
import type { Pictures } from "#core/formats/notebook-file";
import { MOST_PHOTOS } from "#core/formats/stores/photos";
import type { PhotoRecord } from "#core/formats/stores/photos";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import { GonePiece } from "./plans";
import { FinalError } from "./final-error";

/** A picture as the page has shrunk it. */
export interface Shrunk {
  /** Taken at this instant, ISO 8601. */
  readonly at: string;
  /** A JPEG, and the same small. */
  readonly picture: Uint8Array<ArrayBuffer>;
  readonly small: Uint8Array<ArrayBuffer>;
  /** Of the picture, px. */
  readonly width: number;
  readonly height: number;
}

/** A piece has as many photographs as are kept of one: nothing was added. */
export class TooManyPhotos extends FinalError {
  override readonly name = "TooManyPhotos";

  constructor(free: number) {
    const room = free === 0 ? "there is no room for more" : `there is room for ${free} more`;
    super(`of one piece ${MOST_PHOTOS} photographs are kept, and ${room}; take some off first`);
  }
}

/** Photographs of a piece, the oldest first. */
export async function photosOf(db: Database, piece: PieceId): Promise<readonly PhotoRecord[]> {
  const photos = await db.getAllFromIndex("photos", "byPiece", piece);
  return photos.sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));
}

/** The bytes of a picture; null where the notebook has lost it. */
export async function pictureBytes(db: Database, id: PictureId): Promise<Uint8Array<ArrayBuffer> | null> {
  return (await db.get("pictures", id))?.bytes ?? null;
}

/** All pictures there are, for a file. */
export async function allPictures(db: Database): Promise<Pictures> {
  return new Map((await db.getAll("pictures")).map(({ id, bytes }) => [id as PictureId, bytes]));
}

/** Instants of photographs that are added together: those of one moment keep the order they were picked in. */
function oneAfterAnother(photos: readonly Shrunk[]): readonly Shrunk[] {
  const taken = new Set<string>();
  return photos.map((photo) => {
    let { at } = photo;
    while (taken.has(at)) at = new Date(Date.parse(at) + 1).toISOString();
    taken.add(at);
    return { ...photo, at };
  });
}

/**
 * Adds photographs to a piece, all of them or none; one that it has already is not added again.
 *
 * @returns how many were added
 * @throws GonePiece, TooManyPhotos; whatever the browser throws when it has no room
 */
export function addPhotos(db: Database, piece: PieceId, photos: readonly Shrunk[], by: By = {}): Promise<number> {
  return runCommand(
    db,
    photos.length === 1 ? "the photograph" : "the photographs",
    `pieces/${piece}`,
    ["pieces", "photos"],
    async (recorder) => {
      if (!(await recorder.get("pieces", piece))) throw new GonePiece();
      const here = await recorder.of("photos", "byPiece", piece);
      const known = new Set<string>(here.map((one) => one.picture));
      const fresh = oneAfterAnother(photos)
        .map((one) => ({ ...one, id: idOfPicture(one.picture) }))
        .filter(({ id }, index, all) => !known.has(id) && all.findIndex((other) => other.id === id) === index);
      if (here.length + fresh.length > MOST_PHOTOS) throw new TooManyPhotos(Math.max(0, MOST_PHOTOS - here.length));
      for (const { at, id: picture, picture: bytes, small: smallBytes, width, height } of fresh) {
        const small = idOfPicture(smallBytes);
        await recorder.putPicture({ id: picture, bytes });
        await recorder.putPicture({ id: small, bytes: smallBytes });
        await recorder.put("photos", { id: photoId(freshId()), rev: 1, pieceId: piece, at, picture, small, width, height });
      }
      return fresh.length;
    },
    by,
  );
}

/** What may be said of a photograph afterwards. */
export interface PhotoWords {
  /** "" takes it away. */
  readonly caption?: string;
  readonly at?: string;
}

/** Says of a photograph what it shows, or when it was taken; nothing where it is gone. */
export function savePhoto(db: Database, id: PhotoId, words: PhotoWords, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "what is said of the photograph",
    `photos/${id}`,
    ["photos"],
    async (recorder) => {
      const current = await recorder.get("photos", id);
      if (!current) return;
      const { caption = current.caption ?? "", at = current.at } = words;
      if (caption === (current.caption ?? "") && at === current.at) return;
      const { caption: _caption, ...rest } = current;
      await recorder.put("photos", { ...rest, at, rev: current.rev + 1, ...(caption === "" ? {} : { caption }) });
    },
    by,
  );
}

/** Takes a photograph off its piece; its picture stays as long as it can be brought back. */
export function removePhoto(db: Database, id: PhotoId, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "taking the photograph off",
    `photos/${id}`,
    ["photos"],
    async (recorder) => {
      if (await recorder.get("photos", id)) await recorder.remove("photos", id);
    },
    by,
  );
}
