import { fingerprint } from "../coating/model/fingerprint";
import { isFields } from "../merge/field-walk";
import type { Stamp } from "../merge/stamp";
import { BUNDLE_VERSION, dataOfBundle } from "./released";
import { DATA_VERSION, DEFINITIONS, STORE_NAMES } from "./stores/stores";
import type { RecordOf, StoreName } from "./stores/stores";

export const BUNDLE_FORMAT = "nook-coat/bundle";
/** From this version of a file on, it says on which device what was changed. */
const STAMPED_SINCE = 14;

/** The records of a database, by store. */
export type BundleParts = { readonly [N in StoreName]: readonly RecordOf<N>[] };

/** On which device what was changed: what tells a newer value from an older one where two notebooks are put together. */
export interface Provenance {
  /** The device the notebook is of. */
  readonly device?: string;
  readonly stamps?: readonly Stamp[];
  /** What was asked and waited to be written when the file was saved. */
  readonly asked?: readonly WaitingAsk[];
}

/** Something that was asked of the app and not written yet: it is asked again where the file is brought in. */
export interface WaitingAsk {
  /** Its own id: what was done for it once is not done again. */
  readonly key: string;
  readonly action: string;
  readonly ask: { readonly intent: string };
}

/** Whether a value is an ask that waits; what it asks is checked by whoever does it. */
export function isWaitingAsk(value: unknown): value is WaitingAsk {
  if (!isFields(value) || !isFields(value.ask)) return false;
  const { key, action, ask } = value;
  return (
    typeof key === "string" &&
    /^[0-9a-z]{8,40}$/.test(key) &&
    typeof action === "string" &&
    /^\/[^/]/.test(action) &&
    action.length <= 200 &&
    typeof ask.intent === "string"
  );
}

/** Everything kept, as one file. Parts that nothing writes yet stay away. */
export type Bundle = BundleParts & Provenance & { readonly format: typeof BUNDLE_FORMAT; readonly version: number };

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
  const data = dataOfBundle(Number(document.version)) ?? DATA_VERSION;
  const names = DEFINITIONS.filter((one) => one.since <= data).map((one) => one.name);
  const beside = Number(document.version) >= STAMPED_SINCE ? ["aside", "stamps", "asked"] : ["aside"];
  return fingerprint(JSON.stringify([...names, ...beside].map((name) => document[name] ?? [])));
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
export function writeBundle(parts: Partial<BundleParts> & Provenance): Bundle {
  const sorted = Object.fromEntries(STORE_NAMES.map((name) => [name, byId(parts[name] as readonly { readonly id: string }[] | undefined)]));
  const { device, stamps = [], asked = [] } = parts;
  return {
    format: BUNDLE_FORMAT,
    version: BUNDLE_VERSION,
    ...(device === undefined ? {} : { device }),
    ...(sorted as unknown as BundleParts),
    ...(stamps.length > 0 ? { stamps: byId(stamps) } : {}),
    ...(asked.length > 0 ? { asked } : {}),
  };
}
