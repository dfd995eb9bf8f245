import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import { ZONES } from "../catalogue/vocabulary";
import { checkShape } from "./check-shape";
import { STEP_KEYS } from "./parse-check";
import { parsePiece } from "./parse-piece";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { BUNDLE_FORMAT, BUNDLE_VERSION, writeBundle } from "./write-bundle";
import type { Bundle } from "./write-bundle";

/** Parts of the format whose work has not arrived: a file that has something in them is refused, so that none of it is lost. */
const LATER_PARTS = ["progress", "shelf", "recipes", "rooms", "hours"] as const;

const recordId = Joi.string().pattern(/^[0-9a-z]{8,40}$/, "record id");
const rev = Joi.number().integer().min(1);
const place = Joi.alternatives(
  Joi.object({ before: Joi.string().required() }),
  Joi.object({ after: Joi.string().required() }),
  Joi.object({ start: Joi.boolean().valid(true).required() }),
);
const newStep = Joi.object({
  ...STEP_KEYS,
  group: Joi.string(),
  ownProduct: Joi.string(),
  origin: Joi.string().valid("engine", "hers"),
  because: Joi.array(),
  checks: Joi.array().items(Joi.string()),
});
const change = Joi.alternatives(
  Joi.object({
    op: Joi.string().valid("add").required(),
    zone: Joi.string()
      .valid(...ZONES)
      .required(),
    at: place.required(),
    step: newStep.required(),
  }),
  Joi.object({ op: Joi.string().valid("remove").required(), stepId: Joi.string().required() }),
  Joi.object({ op: Joi.string().valid("move").required(), stepId: Joi.string().required(), at: place.required() }),
  Joi.object({
    op: Joi.string().valid("set").required(),
    stepId: Joi.string().required(),
    field: Joi.string()
      .valid(...Object.keys(STEP_KEYS).filter((key) => key !== "id"))
      .required(),
    value: Joi.any(),
  }),
  Joi.object({ op: Joi.string().valid("setPiece").required(), path: Joi.string().required(), value: Joi.any() }),
).match("one");

const BUNDLE_SCHEMA = Joi.object({
  format: Joi.string().valid(BUNDLE_FORMAT).required(),
  version: Joi.number().valid(BUNDLE_VERSION).required(),
  pieces: Joi.array()
    .items(Joi.object({ id: recordId.required(), rev: rev.required(), piece: Joi.object().unknown().required(), planId: recordId.allow(null).required() }))
    .unique("id")
    .default([]),
  plans: Joi.array()
    .items(
      Joi.object({
        id: recordId.required(),
        pieceId: recordId.required(),
        rev: rev.required(),
        school: Joi.string().allow("").max(400).required(),
        candidateId: Joi.string().max(40).required(),
        edits: Joi.array().items(change).required(),
        pinned: Joi.array().items(Joi.string()).required(),
        engineVersion: Joi.number().integer().min(1).required(),
      }),
    )
    .unique("id")
    .default([]),
  ...Object.fromEntries(LATER_PARTS.map((part) => [part, Joi.array().max(0)])),
});

function head(document: unknown): Parsed<unknown> {
  if (typeof document !== "object" || document === null || Array.isArray(document)) return bad("not-a-bundle", "", "this is not a Nook Coat file");
  const { format, version } = document as { format?: unknown; version?: unknown };
  if (format !== BUNDLE_FORMAT) return bad("not-a-bundle", "format", "this is not a Nook Coat bundle");
  if (typeof version === "number" && version > BUNDLE_VERSION)
    return bad("too-new", "version", `this file is version ${version}; this Nook Coat reads version ${BUNDLE_VERSION}. Open it with the newer Nook Coat`);
  return good(document);
}

/**
 * Reads a bundle from text. All of it is checked before any of it is used.
 *
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
  if (!checked.ok) return checked as Parsed<Bundle>;
  const shape = checkShape<Bundle>(BUNDLE_SCHEMA, document);
  if (!shape.ok) return shape;
  const { pieces = [], plans = [] } = shape.value;
  for (const [index, record] of pieces.entries()) {
    const piece = parsePiece(record.piece, catalogue, ["pieces", index, "piece"]);
    if (!piece.ok) return piece as Parsed<never>;
  }
  const known = new Set(pieces.map((record) => record.id));
  const stray = plans.findIndex((plan) => !known.has(plan.pieceId));
  if (stray >= 0) return bad("unknown-id", `plans.${stray}.pieceId`, "this plan belongs to a piece that is not in the file");
  return good(writeBundle(pieces, plans));
}
