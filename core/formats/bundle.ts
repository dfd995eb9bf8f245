import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import { checkShape } from "./check-shape";
import { legacySteps } from "./legacy-steps";
import { migrated } from "./migrate";
import { parsePiece } from "./parse-piece";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { DEFINITIONS } from "./stores/stores";
import type { CheckTools } from "./stores/definition";
import type { RawParts } from "./step-translation";
import { BUNDLE_FORMAT, BUNDLE_VERSION, DATA_VERSION_OF, writeBundle } from "./write-bundle";
import type { Bundle } from "./write-bundle";

/** Parts of the format whose work has not arrived: a file that has something in them is refused, so that none of it is lost. */
const LATER_PARTS = ["shelf", "recipes"] as const;

function partSchema({ schema, single }: (typeof DEFINITIONS)[number]): Joi.Schema {
  const records = Joi.array().items(schema(Joi)).unique("id").default([]);
  return single ? records.max(1) : records;
}

const BUNDLE_SCHEMA = Joi.object({
  format: Joi.string().valid(BUNDLE_FORMAT).required(),
  version: Joi.number().valid(BUNDLE_VERSION).required(),
  ...Object.fromEntries(DEFINITIONS.map((definition) => [definition.name, partSchema(definition)])),
  ...Object.fromEntries(LATER_PARTS.map((part) => [part, Joi.array().max(0)])),
});

type Document = Readonly<Record<string, unknown>>;

function head(document: unknown): Parsed<Document> {
  if (typeof document !== "object" || document === null || Array.isArray(document)) return bad("not-a-bundle", "", "this is not a Nook Coat file");
  const { format, version } = document as { format?: unknown; version?: unknown };
  if (format !== BUNDLE_FORMAT) return bad("not-a-bundle", "format", "this is not a Nook Coat bundle");
  if (typeof version === "number" && version > BUNDLE_VERSION)
    return bad("too-new", "version", `this file is version ${version}; this Nook Coat reads version ${BUNDLE_VERSION}. Open it with the newer Nook Coat`);
  return good(document as Document);
}

/** The records of a document where they are lists of objects; anything else is left for the schema to name. */
function rawParts(document: Document): RawParts {
  const isList = (value: unknown): value is readonly Record<string, unknown>[] =>
    Array.isArray(value) && value.every((one) => typeof one === "object" && one !== null && !Array.isArray(one));
  return Object.fromEntries(DEFINITIONS.flatMap(({ name }) => (isList(document[name]) ? [[name, document[name]]] : [])));
}

/** An older document as it would be written now. */
function upToDate(document: Document, catalogue: Catalogue): Document {
  const from = DATA_VERSION_OF[Number(document.version)];
  if (from === undefined || document.version === BUNDLE_VERSION) return document;
  return { ...document, ...migrated(rawParts(document), from, legacySteps(catalogue)), version: BUNDLE_VERSION };
}

/**
 * Reads a bundle from text. All of it is checked before any of it is used; an older one is brought up to date first.
 *
 * @param text a JSON document
 * @returns the records, or the first fault with the dotted path to it
 */
export function readBundle(text: string, catalogue: Catalogue): Parsed<Bundle> {
  let document: unknown;
  try {
    document = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    return bad("not-json", "", "this file is damaged, or is not a Nook Coat file: it is not JSON");
  }
  const checked = head(document);
  if (!checked.ok) return checked as Parsed<never>;
  const shape = checkShape<Bundle>(BUNDLE_SCHEMA, upToDate(checked.value, catalogue));
  if (!shape.ok) return shape;
  const ids = new Set(DEFINITIONS.flatMap(({ name }) => ((shape.value as unknown as RawParts)[name] ?? []).map((record) => `${name}/${String(record.id)}`)));
  const tools: CheckTools = { readPiece: (value, at) => parsePiece(value, catalogue, at), has: (store, id) => ids.has(`${store}/${id}`) };
  for (const { name, check } of DEFINITIONS)
    for (const [index, record] of ((shape.value as unknown as RawParts)[name] ?? []).entries()) {
      const problem = check?.(record as never, tools, [name, index]);
      if (problem) return { ok: false, problem };
    }
  return good(writeBundle(shape.value));
}
