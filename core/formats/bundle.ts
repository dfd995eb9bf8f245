import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import type { ProductId } from "../catalogue/ids";
import { isDevice, isStamp } from "../merge/stamp";
import { checkShape } from "./check-shape";
import { legacySteps } from "./legacy-steps";
import { migrated } from "./migrate";
import { parsePiece } from "./parse-piece";
import { bad, good, problem } from "./problem";
import type { Parsed, Problem } from "./problem";
import { BUNDLE_VERSION, dataOfBundle } from "./released";
import { recordName } from "./stores/record-name";
import { DEFINITIONS } from "./stores/stores";
import type { CheckTools } from "./stores/definition";
import type { RawParts } from "./step-translation";
import { BUNDLE_FORMAT, checksumOf, isWaitingAsk, writeBundle } from "./write-bundle";
import type { Bundle, Provenance } from "./write-bundle";

const BUNDLE_SCHEMA = Joi.object({
  format: Joi.string().valid(BUNDLE_FORMAT).required(),
  version: Joi.number().valid(BUNDLE_VERSION).required(),
  checksum: Joi.string().max(40),
  device: Joi.string().max(40),
  stamps: Joi.array().default([]),
  asked: Joi.array().default([]),
  ...Object.fromEntries([...DEFINITIONS.map(({ name }) => name), "aside"].map((part) => [part, Joi.array().default([])])),
});

const RECORD_SCHEMAS = new Map(DEFINITIONS.map(({ name, schema }) => [name, schema(Joi)]));

/** A record that cannot be kept, and why; it is handed back whole, so that it can be mended. */
export interface Aside {
  readonly store: string;
  /** What a person calls it. */
  readonly name: string;
  readonly problem: Problem;
  readonly record: unknown;
}

/** What is in a file: what can be kept, and what cannot. */
export interface ReadBundle {
  readonly bundle: Bundle;
  readonly aside: readonly Aside[];
  /** The file is not as it was written: somebody, or something, has changed it since. */
  readonly altered: boolean;
}

type Document = Readonly<Record<string, unknown>>;

function head(document: unknown): Parsed<Document> {
  if (typeof document !== "object" || document === null || Array.isArray(document)) return bad("not-a-bundle", "", "this is not a Nook Coat file");
  const { format, version } = document as { format?: unknown; version?: unknown };
  if (format !== BUNDLE_FORMAT) return bad("not-a-bundle", "format", "this is not a Nook Coat bundle");
  if (typeof version === "number" && version > BUNDLE_VERSION)
    return bad("too-new", "version", `this file is version ${version}; this Nook Coat reads version ${BUNDLE_VERSION}. Open it with the newer Nook Coat`);
  return good(document as Document);
}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null && !Array.isArray(value);

/** An older document as it would be written now. What is no record at all is left as it is, to be set aside by name. */
function upToDate(document: Document, catalogue: Catalogue): Document {
  const from = dataOfBundle(Number(document.version));
  if (from === undefined || document.version === BUNDLE_VERSION) return document;
  const lists = DEFINITIONS.flatMap(({ name }) => (Array.isArray(document[name]) ? [[name, document[name] as readonly unknown[]] as const] : []));
  const raw: RawParts = Object.fromEntries(lists.map(([name, list]) => [name, list.filter(isRecord)]));
  const now = migrated(raw, from, legacySteps(catalogue));
  const others = lists.map(([name, list]) => [name, [...(now[name] ?? []), ...list.filter((one) => !isRecord(one))]] as const);
  return { ...document, ...Object.fromEntries(others), version: BUNDLE_VERSION };
}

/** What a person calls a record, as far as it can be read: its name, else what kind of thing it is. */
function nameOf(store: string, record: unknown): string {
  return recordName(record)?.slice(0, MOST_OF_NAME) ?? DEFINITIONS.find((one) => one.name === store)?.called ?? "something";
}

const MOST_OF_NAME = 80;

/**
 * Sorts records into those that can be kept and those that cannot: each is checked by itself, against its own schema and against the records it
 * belongs to. One that is set aside takes with it what belongs to it, and nothing else.
 *
 * @param document records by store; anything may stand in them
 */
export function sortedOut(document: Readonly<Record<string, unknown>>, catalogue: Catalogue): Omit<ReadBundle, "altered"> {
  const aside: Aside[] = [];
  const kept = new Map<string, Map<string, unknown>>();
  const tools: CheckTools = {
    readPiece: (value, at) => parsePiece(value, catalogue, at),
    has: (store, id) => kept.get(store)?.has(id) ?? false,
    knowsProduct: (id) => catalogue.products.has(id as ProductId),
  };
  for (const { name, check, single } of DEFINITIONS) {
    const good = new Map<string, unknown>();
    kept.set(name, good);
    for (const [index, record] of ((document[name] ?? []) as readonly unknown[]).entries()) {
      const at = [name, index];
      const fault = (): Problem | null => {
        if (!isRecord(record)) return problem("bad-value", at.join("."), "this is no record at all");
        const shape = checkShape<{ readonly id: string }>(RECORD_SCHEMAS.get(name)!, record, at);
        if (!shape.ok) return shape.problem;
        if (good.has(shape.value.id) || (single && good.size > 0)) return problem("bad-value", at.join("."), "there is another of that id in the file");
        return check?.(record as never, tools, at) ?? null;
      };
      const found = fault();
      if (found) aside.push({ store: name, name: nameOf(name, record), problem: found, record });
      else good.set((record as { readonly id: string }).id, record);
    }
  }
  const parts = Object.fromEntries([...kept].map(([name, good]) => [name, [...good.values()]]));
  return { bundle: writeBundle({ ...(parts as Partial<Bundle>), ...provenanceOf(document) }), aside };
}

/** On which device what was changed, as far as it can be read: a stamp that cannot is as if there were none. */
function provenanceOf({ device, stamps, asked }: Document): Provenance {
  const sound = (Array.isArray(stamps) ? (stamps as readonly unknown[]) : []).filter(isStamp);
  const waiting = (Array.isArray(asked) ? (asked as readonly unknown[]) : []).filter(isWaitingAsk);
  return {
    ...(typeof device === "string" && isDevice(device) ? { device } : {}),
    stamps: [...new Map(sound.map((one) => [one.id, one])).values()],
    asked: waiting,
  };
}

/** What an earlier reading set aside is told again, and kept aside. */
function asideBefore(list: readonly unknown[]): readonly Aside[] {
  return list.flatMap((one): readonly Aside[] => {
    if (typeof one !== "object" || one === null) return [];
    const { store, record } = one as { readonly store?: unknown; readonly record?: unknown };
    const kind = typeof store === "string" ? store : "";
    return [{ store: kind, name: nameOf(kind, record), problem: problem("bad-value", "aside", "it was set aside before"), record }];
  });
}

/** Lists no file needs: beyond this many records of a kind something is wrong with it. */
const MOST_RECORDS = 200_000;

function checkedDocument(document: Document, catalogue: Catalogue): Parsed<ReadBundle> {
  const shape = checkShape<Readonly<Record<string, readonly unknown[]>>>(BUNDLE_SCHEMA, upToDate(document, catalogue));
  if (!shape.ok) return shape as Parsed<never>;
  const tooMany = DEFINITIONS.find(({ name }) => (shape.value[name]?.length ?? 0) > MOST_RECORDS);
  if (tooMany) return bad("bad-value", tooMany.name, `this file names more than ${MOST_RECORDS} of them`);
  const { bundle, aside } = sortedOut(shape.value, catalogue);
  return good({
    bundle,
    aside: [...aside, ...asideBefore(shape.value.aside ?? [])],
    altered: typeof document.checksum === "string" && document.checksum !== checksumOf(document),
  });
}

/**
 * Reads a bundle from text. Each record of it is checked by itself: what can be kept is kept, what cannot is named and set aside. An older file is
 * brought up to date first.
 *
 * @param text a JSON document
 * @returns the records, or what is wrong with the file as a whole
 */
export function readBundle(text: string, catalogue: Catalogue): Parsed<ReadBundle> {
  let document: unknown;
  try {
    document = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    return bad("not-json", "", "this file is damaged, or is not a Nook Coat file: it is not JSON");
  }
  const checked = head(document);
  if (!checked.ok) return checked as Parsed<never>;
  try {
    return checkedDocument(checked.value, catalogue);
  } catch (error) {
    // Nested so deep that no reader follows: an accident never writes such a file.
    if (error instanceof RangeError) return bad("not-a-bundle", "", "this file is nested deeper than any notebook");
    throw error;
  }
}
