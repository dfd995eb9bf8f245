import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import type { UnzipFileInfo } from "fflate";
import type { Catalogue } from "../catalogue/catalogue";
import { pictureId } from "../catalogue/ids";
import type { PictureId } from "../catalogue/ids";
import { readBundle, sortedOut } from "./bundle";
import type { Aside, ReadBundle } from "./bundle";
import { idOfPicture, isPicture, MOST_PICTURE_BYTES } from "./picture";
import { bad, good, problem } from "./problem";
import type { Parsed } from "./problem";
import { STORE_NAMES } from "./stores/stores";
import { fileOf, writeBundle } from "./write-bundle";
import type { Bundle, BundleFile } from "./write-bundle";
import type { PhotoRecord } from "./stores/photos";

/** Pictures by what is in them. */
export type Pictures = ReadonlyMap<PictureId, Uint8Array>;

/** What is in a notebook's file: its records, and the pictures of its photographs. */
export interface ReadNotebook extends ReadBundle {
  readonly pictures: Pictures;
}

const RECORDS = "notebook.json";
const FOLDER = "photographs/";
const SUFFIX = ".jpg";
/** Unpacked, bytes: no notebook's records are larger. */
const MOST_RECORDS_BYTES = 300_000_000;
/** All pictures of one notebook together, bytes. */
const MOST_PICTURES_BYTES = 2_000_000_000;
/** Files in one notebook's file, at most. */
const MOST_ENTRIES = 40_000;
/** The oldest day a zip can name: the same notebook then writes the same file. */
const NO_DAY = new Date(1980, 0, 1);

/** Whether bytes are a zip: the signature of its first entry, or of an empty one. */
export function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] === 0x03 || bytes[2] === 0x05);
}

/**
 * What a notebook's file is made of.
 *
 * @param file its document
 * @param pictures those its photographs name; they are not packed again, being packed already
 * @returns the document as text; where there are pictures a zip: `notebook.json`, and `photographs/ID.jpg`
 */
export function fileContent(file: BundleFile, pictures: Pictures): string | Uint8Array<ArrayBuffer> {
  const text = `${JSON.stringify(file, null, 2)}\n`;
  if (pictures.size === 0) return text;
  const sorted = [...pictures].sort(([a], [b]) => (a < b ? -1 : 1));
  return zipSync(
    { [RECORDS]: strToU8(text), ...Object.fromEntries(sorted.map(([id, bytes]) => [`${FOLDER}${id}${SUFFIX}`, [bytes, { level: 0 as const }]])) },
    { mtime: NO_DAY },
  );
}

/** One file of a zip; null where it is not there, is too large, or cannot be unpacked. */
function entry(bytes: Uint8Array, name: string, most: number): Uint8Array | null {
  try {
    return unzipSync(bytes, { filter: (one) => one.name === name && one.originalSize <= most })[name] ?? null;
  } catch {
    return null;
  }
}

/** What a zip says is in it; null where its list is damaged. */
function entriesOf(bytes: Uint8Array): readonly UnzipFileInfo[] | null {
  const found: UnzipFileInfo[] = [];
  try {
    unzipSync(bytes, { filter: (one) => (found.push(one), false) });
    return found.length <= MOST_ENTRIES ? found : null;
  } catch {
    return null;
  }
}

const isPictureIn = (folder: string) => (one: UnzipFileInfo) =>
  one.name.startsWith(folder) && one.name.endsWith(SUFFIX) && one.originalSize <= MOST_PICTURE_BYTES;

/** What stands before the names in a zip that somebody has unpacked and packed again: the folder it lay in. */
function rootOf(entries: readonly UnzipFileInfo[]): string {
  const names = entries.map(({ name }) => name).filter((name) => name === RECORDS || name.endsWith(`/${RECORDS}`));
  const [shortest = RECORDS] = names.sort((a, b) => a.length - b.length);
  return shortest.slice(0, -RECORDS.length);
}

/** Pictures that are what their ids say. */
function sound(pictures: Iterable<readonly [PictureId, Uint8Array]>): Pictures {
  return new Map([...pictures].filter(([id, bytes]) => isPicture(bytes) && idOfPicture(bytes) === id));
}

/** The sound pictures of a zip: one that is not what its name says is left out. */
function picturesIn(bytes: Uint8Array, entries: readonly UnzipFileInfo[], root: string): Pictures {
  const folder = `${root}${FOLDER}`;
  const isPictureEntry = isPictureIn(folder);
  const wanted = entries.filter(isPictureEntry);
  const all = () => {
    try {
      return unzipSync(bytes, { filter: isPictureEntry });
    } catch {
      // One of them is damaged: each by itself then.
      return Object.fromEntries(
        wanted.flatMap(({ name }) => (entry(bytes, name, MOST_PICTURE_BYTES) ? [[name, entry(bytes, name, MOST_PICTURE_BYTES)!]] : [])),
      );
    }
  };
  return sound(Object.entries(all()).map(([name, picture]) => [pictureId(name.slice(folder.length, -SUFFIX.length)), picture] as const));
}

/** What of a photograph names its pictures. */
type Pictured = Pick<PhotoRecord, "picture" | "small">;

/** Every picture the records name: those of photographs, and those that records of finished pieces keep. */
export function picturesNamed({ photos, records }: Pick<Bundle, "photos" | "records">): ReadonlySet<PictureId> {
  return new Set([...photos, ...records.flatMap((record) => record.pictures)].flatMap(({ picture, small }) => [picture, small]));
}

/** Records whose pictures are all there, and those that have lost one; the record of a finished piece goes on without the one it lost. */
function withPictures(read: ReadBundle, pictures: Pictures): ReadNotebook {
  const isWhole = (photo: Pictured) => pictures.has(photo.picture) && pictures.has(photo.small);
  const lost = read.bundle.photos.filter((photo) => !isWhole(photo));
  const nameOf = ({ pieceId }: PhotoRecord) => read.bundle.pieces.find((one) => one.id === pieceId)?.piece.name ?? "a piece";
  const aside: readonly Aside[] = lost.map((record) => ({
    store: "photos",
    name: record.caption ?? `a photograph of ${nameOf(record)}`,
    problem: problem("missing", `${FOLDER}${record.picture}${SUFFIX}`, "its picture is missing from the file, or damaged"),
    record,
  }));
  const named = picturesNamed(read.bundle);
  const isLost = (photo: Pictured) => !isWhole(photo);
  const lostOfRecords = read.bundle.records.flatMap(({ name, pictures: own }) =>
    own
      .filter(isLost)
      .map((record): Aside => ({
        store: "photos",
        name: record.caption ?? `a photograph in the record of ${name}`,
        problem: problem("missing", `${FOLDER}${record.picture}${SUFFIX}`, "its picture is missing from the file, or damaged"),
        record,
      })),
  );
  const records = read.bundle.records.map((record) => (record.pictures.some(isLost) ? { ...record, pictures: record.pictures.filter(isWhole) } : record));
  const isAllThere = lost.length + lostOfRecords.length === 0;
  return {
    ...read,
    bundle: isAllThere ? read.bundle : writeBundle({ ...read.bundle, photos: read.bundle.photos.filter(isWhole), records }),
    aside: [...read.aside, ...aside, ...lostOfRecords],
    // What no photograph names is not brought in.
    pictures: new Map([...pictures].filter(([id]) => named.has(id))),
  };
}

/**
 * Reads a notebook's file: the document alone, or a zip of it with the pictures of its photographs. A photograph whose picture is missing or damaged is
 * set aside by name; all else is kept.
 *
 * @param bytes of the file
 * @returns the records and their pictures, or what is wrong with the file as a whole
 */
export function readNotebook(bytes: Uint8Array, catalogue: Catalogue): Parsed<ReadNotebook> {
  const zipped = isZip(bytes);
  const entries = zipped ? entriesOf(bytes) : [];
  if (!entries) return bad("not-a-bundle", "", "this file is damaged: what should be packed in it cannot be unpacked");
  const root = rootOf(entries);
  const pictureBytes = (entries ?? []).filter(isPictureIn(`${root}${FOLDER}`)).reduce((sum, one) => sum + one.originalSize, 0);
  if (pictureBytes > MOST_PICTURES_BYTES) return bad("not-a-bundle", FOLDER, "the photographs in this file are more than any notebook holds");
  const records = zipped ? entry(bytes, `${root}${RECORDS}`, MOST_RECORDS_BYTES) : bytes;
  if (!records) return bad("not-a-bundle", RECORDS, "this is not a Nook Coat file, or it is damaged: there is no notebook in it that can be unpacked");
  const read = readBundle(strFromU8(records), catalogue);
  return read.ok ? good(withPictures(read.value, picturesIn(bytes, entries, root))) : (read as Parsed<never>);
}

/** A notebook as a file. */
export interface PackedNotebook {
  readonly content: string | Uint8Array<ArrayBuffer>;
  /** What fails its own schema; it is in the file, set aside. */
  readonly aside: readonly Aside[];
}

/**
 * Packs a notebook with the pictures of its photographs into a file, and reads it back before it is given out.
 *
 * @param parts records by store; anything may stand in them
 * @param pictures a photograph whose picture is not among them is set aside
 * @throws when the file would not come back whole: one that could not be brought in again is no safety
 */
export function packNotebook(parts: Readonly<Record<string, unknown>>, pictures: Pictures, catalogue: Catalogue): PackedNotebook {
  const { bundle, aside, pictures: shown } = withPictures({ ...sortedOut(parts, catalogue), altered: false }, sound(pictures));
  const content = fileContent(fileOf(bundle, aside), shown);
  const again = readNotebook(typeof content === "string" ? strToU8(content) : content, catalogue);
  const isWhole = again.ok && !again.value.altered && STORE_NAMES.every((name) => again.value.bundle[name].length === bundle[name].length);
  if (!isWhole) throw new Error("the file could not be read back, so it was not given out");
  return { content, aside };
}
