import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import { AIRFLOWS } from "../catalogue/vocabulary";
import { ROOM_TEMPERATURE_C } from "../piece/piece";
import { checkShape } from "./check-shape";
import { DAY_SCHEMA as date, HOURS_SCHEMA } from "./hours-schema";
import { ZONE } from "./zone-schema";
import { STEP_KEYS } from "./parse-check";
import { parsePiece } from "./parse-piece";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { BUNDLE_FORMAT, BUNDLE_VERSION, writeBundle } from "./write-bundle";
import type { Bundle } from "./write-bundle";

/** Parts of the format whose work has not arrived: a file that has something in them is refused, so that none of it is lost. */
const LATER_PARTS = ["shelf", "recipes"] as const;

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
  Joi.object({ op: Joi.string().valid("add").required(), zone: ZONE.required(), at: place.required(), step: newStep.required() }),
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

const progress = Joi.object({
  id: recordId.required(),
  rev: rev.required(),
  planId: recordId.required(),
  stepId: Joi.string().max(80).required(),
  coat: Joi.number().integer().min(1).max(40).required(),
  half: Joi.string().valid("first", "second"),
  kind: Joi.string().valid("started", "done", "tacky", "ruined").required(),
  at: Joi.string().isoDate().required(),
});
const room = Joi.object({
  id: recordId.required(),
  rev: rev.required(),
  name: Joi.string().trim().min(1).max(60).required(),
  room: Joi.object({
    temperatureC: Joi.number().min(ROOM_TEMPERATURE_C.least).max(ROOM_TEMPERATURE_C.most).required(),
    relativeHumidity: Joi.number().min(0).max(1).required(),
    airflow: Joi.string()
      .valid(...AIRFLOWS)
      .required(),
  }).required(),
});
const hours = Joi.object({ id: Joi.string().valid("hours").required(), rev: rev.required(), hours: HOURS_SCHEMA.required() });
const settings = Joi.object({
  id: Joi.string().valid("settings").required(),
  rev: rev.required(),
  units: Joi.string().valid("mm", "in").required(),
  theme: Joi.string().valid("system", "light", "dim").required(),
  sounds: Joi.boolean().required(),
  signature: Joi.string().allow("").max(80).required(),
});

const BUNDLE_SCHEMA = Joi.object({
  format: Joi.string().valid(BUNDLE_FORMAT).required(),
  version: Joi.number().valid(BUNDLE_VERSION).required(),
  pieces: Joi.array()
    .items(
      Joi.object({
        id: recordId.required(),
        rev: rev.required(),
        piece: Joi.object().unknown().required(),
        planId: recordId.allow(null).required(),
        dates: Joi.object({ start: date, due: date }),
      }),
    )
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
  progress: Joi.array().items(progress).unique("id").default([]),
  rooms: Joi.array().items(room).unique("id").default([]),
  hours: Joi.array().items(hours).max(1).default([]),
  settings: Joi.array().items(settings).max(1).default([]),
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
  const planned = new Set(plans.map((record) => record.id));
  const lost = (shape.value.progress ?? []).findIndex((one) => !planned.has(one.planId));
  if (lost >= 0) return bad("unknown-id", `progress.${lost}.planId`, "this belongs to a plan that is not in the file");
  return good(writeBundle(shape.value));
}
