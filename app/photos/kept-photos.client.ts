import { pieceId } from "#core/catalogue/ids";
import type { PictureId } from "#core/catalogue/ids";
import { mainColours } from "#core/film/main-colours";
import type { MainColour } from "#core/film/main-colours";
import type { PhotoRecord } from "#core/formats/stores/photos";
import type { Database } from "~/store/database";
import { database } from "~/store/open.client";
import { photosOf, pictureBytes } from "~/store/photos";

/** A photograph as a strip shows it. */
export interface StripPhoto {
  readonly record: PhotoRecord;
  /** Address of the small picture; null where the notebook has lost it. */
  readonly src: string | null;
}

/** A photograph that is looked at. */
export interface OpenPhoto {
  readonly record: PhotoRecord;
  /** Null where the notebook has lost its picture, or it cannot be read any more. */
  readonly picture: ImageBitmap | null;
  /** The colours it is mostly of, the commonest first. */
  readonly colours: readonly MainColour[];
}

/** Colours told of one photograph. */
const MOST_COLOURS = 8;
/** Longest side at which its colours are counted, px. */
const COUNTED_PX = 160;

function coloursOf(picture: ImageBitmap): readonly MainColour[] {
  const scale = Math.min(1, COUNTED_PX / Math.max(picture.width, picture.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  const brush = canvas.getContext("2d", { willReadFrequently: true });
  if (!brush) return [];
  brush.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return mainColours(brush.getImageData(0, 0, canvas.width, canvas.height).data, MOST_COLOURS);
}

/** Addresses of pictures this page has shown; of the same id the picture never changes. */
const addresses = new Map<PictureId, string>();
const MOST_ADDRESSES = 400;

async function addressOf(db: Database, id: PictureId): Promise<string | null> {
  const known = addresses.get(id);
  if (known !== undefined) return known;
  const bytes = await pictureBytes(db, id);
  if (!bytes) return null;
  const address = URL.createObjectURL(new Blob([bytes], { type: "image/jpeg" }));
  addresses.set(id, address);
  const [oldest] = addresses.keys();
  if (addresses.size > MOST_ADDRESSES && oldest !== undefined) {
    URL.revokeObjectURL(addresses.get(oldest)!);
    addresses.delete(oldest);
  }
  return address;
}

/** All photographs of a piece, the oldest first. */
export async function stripOf(piece: string): Promise<readonly StripPhoto[]> {
  const db = await database();
  const photos = await photosOf(db, pieceId(piece));
  return Promise.all(photos.map(async (record) => ({ record, src: await addressOf(db, record.small) })));
}

/** The photograph a piece is known by: its last. */
export async function faceOf(piece: string): Promise<string | null> {
  const db = await database();
  const last = (await photosOf(db, pieceId(piece))).at(-1);
  return last ? addressOf(db, last.small) : null;
}

/** The picture that was looked at last: what is said of it is saved many times while it is open. */
let last: { readonly id: PictureId; readonly seen: Pick<OpenPhoto, "picture" | "colours"> } | null = null;

async function seenPicture(db: Database, id: PictureId): Promise<Pick<OpenPhoto, "picture" | "colours">> {
  if (last?.id === id) return last.seen;
  const bytes = await pictureBytes(db, id);
  const picture = bytes && (await createImageBitmap(new Blob([bytes], { type: "image/jpeg" })).catch(() => null));
  const seen = { picture, colours: picture ? coloursOf(picture) : [] };
  if (picture) last = { id, seen };
  return seen;
}

/** One photograph of a piece to look at; null where it has none of that id. */
export async function openPhoto(piece: string, id: string): Promise<OpenPhoto | null> {
  const db = await database();
  const record = await db.get("photos", id);
  return record?.pieceId === piece ? { record, ...(await seenPicture(db, record.picture)) } : null;
}
