import Joi from "joi";
import { CONDITIONS, OBJECTS, PARTS, ROLES, ROUTES, SHEENS, TECHNIQUES } from "../catalogue/vocabulary";
import { FORM_MEASURES } from "../piece/form";
import { formSchemas } from "./form-schema";
import { layerRowsSchema, patternsSchema } from "./pattern-schema";
import { openRoomSchema } from "./room-schema";
import { zoneSchema } from "./zone-schema";
import { BODY_DRIES_MIN, BODY_WEIGHT_G, MARKS_LIMITS, MOST_LAYERS, MOST_OF_ONE, PIECE_FORMAT, PIECE_VERSION } from "../piece/piece";

const id = Joi.string().min(1).max(80);
const colour = Joi.string().pattern(/^#[0-9a-fA-F]{6}$/, "colour as #rrggbb");
const list = (item: Joi.Schema, most = 60) => Joi.array().items(item).max(most);
const one = (values: readonly string[]) => Joi.string().valid(...values);

/** The kind first; its measures are checked by the kind's own schema, so that the message names the very measure. */
const form = Joi.object({ kind: one(Object.keys(FORM_MEASURES)).required() }).unknown();

/** One schema a form kind: a measure missing or in the wrong form is named. */
export const FORM_SCHEMAS = formSchemas(Joi);

const marks = Joi.object({
  count: Joi.number().integer().min(MARKS_LIMITS.count.least).max(MARKS_LIMITS.count.most).required(),
  diameterMm: Joi.number().min(MARKS_LIMITS.diameterMm.least).max(MARKS_LIMITS.diameterMm.most).required(),
  heightMm: Joi.number().min(0.01).max(20),
});
const bodyMin = () => Joi.number().min(BODY_DRIES_MIN.least).max(BODY_DRIES_MIN.most);
const layer = Joi.object({
  technique: one(TECHNIQUES).required(),
  medium: id,
  colour,
  zone: zoneSchema(Joi),
  marks,
  coverage: Joi.number().greater(0).max(1),
  onTop: Joi.boolean().valid(true),
  rows: layerRowsSchema(Joi),
});

/** The shape of a piece file; that its ids exist is checked against the catalogue afterwards. */
export const PIECE_SCHEMA = Joi.object({
  format: Joi.string().valid(PIECE_FORMAT).required(),
  version: Joi.number().valid(PIECE_VERSION).required(),
  name: Joi.string().trim().min(1).max(120).required(),
  material: id.required(),
  form: form.required(),
  uses: list(id, 12).min(1).unique().required(),
  object: one(OBJECTS),
  conditions: list(one(CONDITIONS)).unique(),
  parts: list(one(PARTS)).unique(),
  decoration: Joi.object({
    techniques: list(one(TECHNIQUES)).unique(),
    media: list(id, 20).unique(),
    baseColour: colour.allow(null),
    colours: list(colour, 40),
    bareZones: list(zoneSchema(Joi)).unique(),
    layers: list(layer, MOST_LAYERS),
    patterns: patternsSchema(Joi),
  }),
  finish: one(SHEENS),
  count: Joi.number().integer().min(1).max(MOST_OF_ONE),
  room: openRoomSchema(Joi),
  body: Joi.object({
    weightG: Joi.number().min(BODY_WEIGHT_G.least).max(BODY_WEIGHT_G.most),
    driesMin: Joi.object({ typical: bodyMin().required(), cautious: bodyMin().min(Joi.ref("typical")).required() }),
    matured: Joi.boolean().valid(true),
  }),
  wishes: Joi.object({ primer: id, base: id, sealer: id, guide: id, route: one(ROUTES) }),
  constraints: Joi.object({ oven: Joi.boolean(), kiln: Joi.boolean(), childSafe: Joi.boolean(), shelfOnly: Joi.boolean(), avoid: list(id, 80).unique() }),
  done: list(
    Joi.object({ zone: zoneSchema(Joi).required(), role: one(ROLES).required(), product: id.required(), coats: Joi.number().integer().min(1).max(20), colour }),
  ),
});
