import { format } from "date-fns";
import { changePiece } from "#core/coating/model/apply-changes";
import type { ReadBundle } from "#core/formats/bundle";
import type { Parsed, Problem } from "#core/formats/problem";
import { fileOf, writeBundle } from "#core/formats/write-bundle";
import { asks } from "~/actions/asks.client";
import { whyOf } from "~/actions/perform";
import type { FileToSave } from "~/components/download";
import type { PieceAsk } from "~/piece/use-record";
import { noteBackup } from "~/store/backup.client";
import { everything, importBundle, setAside, wipeAll } from "~/store/bundles";
import type { Imported } from "~/store/bundles";
import { database } from "~/store/open.client";
import { asFiles } from "~/workers/files.client";
import { begun, ended, told } from "./import-progress.client";

/** What may be asked of the notebook as a whole. */
export type FilesAsk =
  | { readonly intent: "export" }
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

const nameOn = (now: Date, what = "") => `nook-coat-${what}${format(now, "yyyy-MM-dd")}.json`;
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

/** Everything kept, as a file's text. */
export async function asFile(now: Date): Promise<Outcome> {
  try {
    const parts = await everything(await database());
    const { text, aside } = await asFiles((api) => api.write({ ...parts, pieces: withUnsaved(parts.pieces) }));
    noteBackup(now.getTime());
    return { kind: "file", name: nameOn(now), text, aside: aside.map(saidOf) };
  } catch (error) {
    return { kind: "failed", message: whyOf(error) };
  }
}

const handed = new Map<string, File>();

/** Hands a file over to the action, which cannot be sent one. */
export function handOver(file: File): string {
  const token = String(handed.size + 1);
  handed.set(token, file);
  return token;
}

/** Adds a file's records; what cannot be kept is set aside by name, and handed back as a file. */
export async function bringIn(token: string): Promise<Outcome> {
  const file = handed.get(token);
  if (!file) return { kind: "failed", message: "the file is to be chosen once more" };
  const signal = begun();
  try {
    const read = await asFiles<Parsed<ReadBundle>>((api) => api.read(file) as Promise<Parsed<ReadBundle>>, signal);
    if (!read.ok) return { kind: "problem", problem: read.problem };
    const { bundle, aside, altered } = read.value;
    const counts = await importBundle(await database(), bundle, "bringing the file in", { told, signal });
    const asideFile =
      aside.length > 0 ? { name: nameOn(new Date(), "set-aside-"), text: `${JSON.stringify(fileOf(writeBundle({}), aside), null, 2)}\n` } : null;
    return { kind: "imported", counts, aside: aside.map(saidOf), asideFile, altered };
  } catch (error) {
    return { kind: "failed", message: whyOf(error) };
  } finally {
    ended();
  }
}

/** A piece that cannot be shown, out of the notebook and into a file. */
export async function asideFile(id: string): Promise<Outcome> {
  try {
    const file = await setAside(await database(), id);
    if (!file) return { kind: "failed", message: "this piece is not in the notebook" };
    return { kind: "file", name: nameOn(new Date(), "set-aside-"), text: `${JSON.stringify(file, null, 2)}\n`, aside: [] };
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
