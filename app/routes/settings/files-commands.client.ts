import { format } from "date-fns";
import { changePiece } from "#core/coating/model/apply-changes";
import { fileContent, picturesNamed } from "#core/formats/notebook-file";
import type { Pictures, ReadNotebook } from "#core/formats/notebook-file";
import type { Parsed, Problem } from "#core/formats/problem";
import { fileOf, writeBundle } from "#core/formats/write-bundle";
import { asks } from "~/actions/asks.client";
import { filesOf, letGo } from "~/actions/handed.client";
import { whyOf } from "~/actions/perform";
import type { FileToSave } from "~/components/download";
import type { PieceAsk } from "~/piece/use-record";
import { noteBackup } from "~/store/backup.client";
import { DEVICES_STORE } from "~/store/beside";
import { everything, importBundle, setAside, wipeAll } from "~/store/bundles";
import type { Imported } from "~/store/bundles";
import { database } from "~/store/open.client";
import { allPictures } from "~/store/photos";
import { isOwn } from "~/store/stamps";
import { asFiles } from "~/workers/files.client";
import { begun, ended, told } from "./import-progress.client";

/** What may be asked of the notebook as a whole. */
export type FilesAsk =
  | { readonly intent: "export"; readonly photographs: boolean }
  | { readonly intent: "import"; readonly file: string }
  | { readonly intent: "wipe" }
  | { readonly intent: "set-aside"; readonly id: string };

export type Outcome =
  | ({ readonly kind: "file"; readonly aside: readonly string[] } & FileToSave)
  | {
      readonly kind: "imported";
      readonly counts: Imported;
      readonly aside: readonly string[];
      readonly asideFile: FileToSave | null;
      readonly altered: boolean;
    }
  | { readonly kind: "problem"; readonly problem: Problem }
  | { readonly kind: "failed"; readonly message: string }
  | { readonly kind: "wiped"; readonly pieces: number };

/** A file of that day: a text is JSON, anything else a zip with pictures in it. */
function fileOn(now: Date, content: string | Uint8Array<ArrayBuffer>, what = ""): FileToSave {
  const [suffix, type] = typeof content === "string" ? ["json", "application/json"] : ["zip", "application/zip"];
  return { name: `nook-coat-${what}${format(now, "yyyy-MM-dd")}.${suffix}`, text: content, type };
}

const SET_ASIDE = "set-aside-";

const saidOf = (one: { readonly name: string; readonly problem: Problem }) => `${one.name}: ${one.problem.message} (at ${one.problem.path})`;

interface PieceLike {
  readonly id?: unknown;
  readonly piece?: object;
}

/** Pieces with what is asked of them and could not be written: a file has it all the same. */
function withUnsaved(pieces: readonly unknown[]): readonly unknown[] {
  const unsaved = asks.snapshot().asked.filter((one) => one.state !== "written");
  return pieces.map((record) => {
    const { id, piece } = (record ?? {}) as PieceLike;
    if (typeof id !== "string" || typeof piece !== "object") return record;
    const own = unsaved.filter((one) => one.action === `/pieces/${id}`).map((one) => one.ask as PieceAsk);
    const changed = own.reduce<object>((current, ask) => (ask.intent === "change" ? changePiece(current, ask.changes) : current), piece);
    return { ...(record as object), piece: changed };
  });
}

/** The record of a finished piece without its photographs. */
const withoutPictures = (record: unknown) => (typeof record === "object" && record !== null && "pictures" in record ? { ...record, pictures: [] } : record);

/** Everything kept, as a file; without photographs where they are not wanted. */
export async function asFile(now: Date, photographs: boolean): Promise<Outcome> {
  try {
    const db = await database();
    const [parts, pictures] = await Promise.all([everything(db), photographs ? allPictures(db) : NO_PICTURES]);
    const wanted = {
      ...parts,
      pieces: withUnsaved(parts.pieces),
      ...(photographs ? {} : { photos: [], records: parts.records.map(withoutPictures) }),
      asked: asks.waiting(),
    };
    const { content, aside } = await asFiles((api) => api.write(wanted, pictures));
    // A file that leaves photographs out does not keep the notebook safe.
    if (photographs || parts.photos.length === 0) noteBackup(now.getTime());
    return { kind: "file", ...fileOn(now, content), aside: aside.map(saidOf) };
  } catch (error) {
    return { kind: "failed", message: whyOf(error) };
  }
}

const NO_PICTURES: Pictures = new Map();

/** Adds a file's records; what cannot be kept is set aside by name, and handed back as a file. */
export async function bringIn(token: string): Promise<Outcome> {
  const [file] = filesOf(token) ?? [];
  if (!file) return { kind: "failed", message: "the file is to be chosen once more" };
  const signal = begun();
  try {
    const read = await asFiles<Parsed<ReadNotebook>>((api) => api.read(file) as Promise<Parsed<ReadNotebook>>, signal);
    if (!read.ok) return { kind: "problem", problem: read.problem };
    const { bundle, aside, altered, pictures } = read.value;
    const db = await database();
    const own = await isOwn(db.transaction(DEVICES_STORE).store, bundle.device);
    const counts = await importBundle(db, bundle, { progress: { told, signal }, pictures });
    if (!own) asks.takeIn(bundle.asked ?? []);
    const asideFile = aside.length > 0 ? fileOn(new Date(), fileContent(fileOf(writeBundle({}), aside), NO_PICTURES), SET_ASIDE) : null;
    return { kind: "imported", counts, aside: [...aside.map(saidOf), ...counts.unfit], asideFile, altered };
  } catch (error) {
    return { kind: "failed", message: whyOf(error) };
  } finally {
    letGo(token);
    ended();
  }
}

/** A piece that cannot be shown, out of the notebook and into a file. */
export async function asideFile(id: string): Promise<Outcome> {
  try {
    const db = await database();
    const file = await setAside(db, id);
    if (!file) return { kind: "failed", message: "this piece is not in the notebook" };
    const named = picturesNamed(file);
    const pictures = new Map([...(await allPictures(db))].filter(([picture]) => named.has(picture)));
    return { kind: "file", ...fileOn(new Date(), fileContent(file, pictures), SET_ASIDE), aside: [] };
  } catch (error) {
    return { kind: "failed", message: whyOf(error) };
  }
}

export async function wipe(): Promise<Outcome> {
  try {
    const db = await database();
    const pieces = await db.count("pieces");
    await wipeAll(db);
    return { kind: "wiped", pieces };
  } catch (error) {
    return { kind: "failed", message: whyOf(error) };
  }
}
