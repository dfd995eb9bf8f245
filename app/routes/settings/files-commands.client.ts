import { CATALOGUE } from "#core/catalogue/catalogue";
import { readBundle } from "#core/formats/bundle";
import type { Problem } from "#core/formats/problem";
import { exportAll, importBundle, wipeAll } from "~/store/bundles";
import type { Imported } from "~/store/bundles";
import { database } from "~/store/open.client";

/** What may be asked of the notebook as a whole. */
export type FilesAsk = { readonly intent: "export" } | { readonly intent: "import"; readonly text: string } | { readonly intent: "wipe" };

export type Outcome =
  | { readonly kind: "file"; readonly name: string; readonly text: string }
  | { readonly kind: "imported"; readonly counts: Imported }
  | { readonly kind: "problem"; readonly problem: Problem }
  | { readonly kind: "failed"; readonly message: string }
  | { readonly kind: "wiped" };

/** Everything kept, as a file's text. */
export async function asFile(now: Date): Promise<Outcome> {
  const bundle = await exportAll(await database());
  return { kind: "file", name: `nook-coat-${now.toISOString().slice(0, 10)}.json`, text: `${JSON.stringify(bundle, null, 2)}\n` };
}

/** Adds a file's records; nothing is written of one that has a fault. */
export async function bringIn(text: string): Promise<Outcome> {
  const bundle = readBundle(text, CATALOGUE);
  if (!bundle.ok) return { kind: "problem", problem: bundle.problem };
  try {
    return { kind: "imported", counts: await importBundle(await database(), bundle.value) };
  } catch (error) {
    return { kind: "failed", message: error instanceof Error ? error.message : "the browser could not write" };
  }
}

export async function wipe(): Promise<Outcome> {
  await wipeAll(await database());
  return { kind: "wiped" };
}
