import { fingerprint } from "../coating/model/fingerprint";
import { DATA_VERSION, DEFINITIONS, STORE_NAMES } from "./stores/stores";
import type { RecordOf, StoreName } from "./stores/stores";

export const BUNDLE_FORMAT = "nook-coat/bundle";
/** Version 2: progress records are complete in themselves, steps are named by what they are. Version 3: settings say whether single keys do things. Version 4: the shelf, and what a coat took out of its jar.
 * Version 5: ways of working; pieces belong to a set, and are put away. Version 6: photographs. Version 7: mixtures and drops. Version 8: patterns, tools, and what is marked of a row. Version 9: the calendar. Version 10: what was seen at the table. Version 11: timers, inspections, counts of a batch. Version 12: moulds, powders, pours, and faults of bare bodies. Version 13: records of finished pieces, and trials. */
export const BUNDLE_VERSION = 13;
/** The data version the records of each bundle version are of. */
export const DATA_VERSION_OF: Readonly<Record<number, number>> = { 1: 3, 2: 4, 3: 5, 4: 6, 5: 7, 6: 8, 7: 9, 8: 10, 9: 11, 10: 12, 11: 13, 12: 14, 13: 15 };

/** The records of a database, by store. */
export type BundleParts = { readonly [N in StoreName]: readonly RecordOf<N>[] };

/** Everything kept, as one file. Parts that nothing writes yet stay away. */
export type Bundle = BundleParts & { readonly format: typeof BUNDLE_FORMAT; readonly version: typeof BUNDLE_VERSION };

/** A bundle as it stands in a file: with what could not be kept beside it, and a sum over all of it. */
export type BundleFile = Bundle & { readonly aside?: readonly SetAside[]; readonly checksum: string };

/** A record that fails its own schema, as a file carries it. */
export interface SetAside {
  readonly store: string;
  readonly record: unknown;
}

/**
 * A sum over the records of a document, to tell that it was changed since it was written.
 *
 * @param document as it stands in the file; its own checksum is left out
 * @returns 16 hexadecimal digits
 */
export function checksumOf(document: Readonly<Record<string, unknown>>): string {
  // A file of an earlier version was summed over the stores there were.
  const data = DATA_VERSION_OF[Number(document.version)] ?? DATA_VERSION;
  const names = DEFINITIONS.filter((one) => one.since <= data).map((one) => one.name);
  return fingerprint(JSON.stringify([...names, "aside"].map((name) => document[name] ?? [])));
}

/**
 * The document of a file.
 *
 * @param aside records that fail their own schema: they travel along, and are told of when the file is read
 */
export function fileOf(bundle: Bundle, aside: readonly SetAside[] = []): BundleFile {
  const document = { ...bundle, ...(aside.length > 0 ? { aside: aside.map(({ store, record }) => ({ store, record })) } : {}) };
  return { ...document, checksum: checksumOf(document) };
}

function byId<R extends { readonly id: string }>(records: readonly R[] = []): readonly R[] {
  return [...records].sort((a, b) => (a.id < b.id ? -1 : 1));
}

/**
 * Writes what is kept as one document; records are sorted by id, so the same store writes the same file.
 *
 * @param parts records by store; a store left out has none
 * @returns the document, in the newest version
 */
export function writeBundle(parts: Partial<BundleParts>): Bundle {
  const sorted = Object.fromEntries(STORE_NAMES.map((name) => [name, byId(parts[name] as readonly { readonly id: string }[] | undefined)]));
  return { format: BUNDLE_FORMAT, version: BUNDLE_VERSION, ...(sorted as unknown as BundleParts) };
}
