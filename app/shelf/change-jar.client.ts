import { jarId } from "#core/catalogue/ids";
import { clashKey, noteClash, ownValuesOf, settleClash } from "~/store/clashes.client";
import type { By } from "~/store/command";
import { database } from "~/store/open.client";
import { changeJar } from "~/store/shelf";
import type { ShelfAsk } from "./shelf-asks";

type ChangeAsk = Extract<ShelfAsk, { intent: "change" }>;

/** Clashes about jars are all told on the shelf. */
export const ON_SHELF = "shelf";

const FIELD_WORDS: Readonly<Record<string, string>> = {
  classId: "what it is",
  label: "what its label says",
  left: "what is left in it",
  sizeMl: "its size",
  tareG: "how heavy it is empty",
  openedOn: "when it was opened",
  paid: "what it cost",
  hiding: "how it hides",
  mix: "what it is mixed from",
  dropsPerMl: "its drops",
};

/** Changes a jar as the user saw it; where another tab has set the same of it meanwhile nothing is written, and the user is asked. */
export async function changeJarAsked({ id, change, seen }: ChangeAsk, by: By): Promise<null> {
  const fields = [...Object.keys(change.set ?? {}), ...(change.clear ?? []), ...Object.keys(change.label ?? {}), ...(change.clearLabel ?? [])];
  const key = clashKey("jar", [id, ...fields]);
  const changed = await changeJar(await database(), jarId(id), change, by, seen ? { seen, own: ownValuesOf(`${ON_SHELF}/${id}`) } : null);
  if (changed.kind === "changed") {
    settleClash(ON_SHELF, key);
    return null;
  }
  const what = [...new Set(changed.paths.map((path) => path.split(".")[0]!))].map((field) => `${changed.theirs.name}: ${FIELD_WORDS[field] ?? field}`);
  const again: ChangeAsk = { intent: "change", id, change };
  noteClash(ON_SHELF, { key, what, again: { action: "/shelf", ask: again } });
  return null;
}

/** The other tab's stands. */
export function leaveTheirs(key: string): null {
  settleClash(ON_SHELF, key);
  return null;
}
