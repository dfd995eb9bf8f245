import { ROLES, SHEENS, METHODS, TECHNIQUES } from "../../catalogue/vocabulary";
import { INSPECTION_IDS } from "../../logbook/inspections/inspection";
import { MOVE_KINDS, PICTURE_STAGES, SAWS } from "../../logbook/record/record";
import type { LogRecord } from "../../logbook/record/record";
import { MOST_OF_ONE } from "../../piece/piece";
import { PATTERN_LIMITS, TOWARDS } from "../../piece/pattern";
import { MOST_MIN, MOST_JAR_ML } from "../change-schema";
import { daySchema, instantSchema } from "../hours-schema";
import { layerRowsSchema } from "../pattern-schema";
import { problem } from "../problem";
import { stepKeys } from "../step-keys";
import { zoneSchema } from "../zone-schema";
import type Joi from "joi";
import { byFields, byId } from "../../merge/entry-keys";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";
import { MAX_CAPTION, MOST_PHOTOS, PICTURE_PX } from "./photos";
import { JAR_BOUNDS } from "./shelf";

/** Bounds of what is said of a finished piece. */
export const RECORD_LIMITS = {
  records: 20_000,
  name: 120,
  text: 2000,
  to: 120,
  lines: 400,
  looks: 200,
  additions: 200,
  moves: 2000,
  money: 1_000_000,
} as const;

const list = (joi: JoiRoot, item: Joi.Schema, most: number) => joi.array().items(item).max(most).required();
const text = (joi: JoiRoot, most: number = RECORD_LIMITS.text) => joi.string().trim().min(1).max(most);

/** A row as it was set: which of its place it is, and which way its top dots look. */
function rowsSchema(joi: JoiRoot): Joi.Schema {
  return layerRowsSchema(joi, {
    number: joi.number().integer().min(1).max(PATTERN_LIMITS.rows),
    towards: joi.string().valid(...TOWARDS),
    everySecond: joi.boolean().valid(true),
  });
}

function lineSchema(joi: JoiRoot): Joi.Schema {
  const { product, colour, coverage, heat, marks } = stepKeys(joi);
  return joi.object({
    zones: joi.array().items(zoneSchema(joi)).min(1).max(60).required(),
    title: joi.string().min(1).max(300).required(),
    role: joi
      .string()
      .valid(...ROLES)
      .required(),
    product,
    technique: joi.string().valid(...TECHNIQUES),
    method: joi.string().valid(...METHODS),
    sheen: joi.string().valid(...SHEENS),
    colour,
    coverage,
    marks,
    rows: rowsSchema(joi),
    heat,
    group: joi.string().max(80),
    thinning: joi.object({ with: joi.string().max(80).required(), percent: joi.number().min(0).max(400).required() }),
    mix: joi.string().max(80),
    jar: joi.object({ id: joi.string().max(80).required(), name: joi.string().max(JAR_BOUNDS.name).required() }),
    coats: joi.number().integer().min(1).max(40).required(),
    first: instantSchema(joi).required(),
    last: instantSchema(joi).required(),
  });
}

/** A look at something finished. */
export function lookSchema(joi: JoiRoot): Joi.Schema {
  return joi
    .object({
      id: recordIdSchema(joi).required(),
      at: instantSchema(joi).required(),
      saw: joi
        .array()
        .items(joi.string().valid(...SAWS))
        .min(1)
        .max(SAWS.length)
        .unique()
        .required(),
      zone: zoneSchema(joi),
      note: text(joi),
    })
    .custom((look: { readonly saw: readonly string[] }, helpers) =>
      look.saw.includes("fine") && look.saw.length > 1 ? helpers.message({ custom: "{{#label}} cannot be fine and something else as well" }) : look,
    );
}

export function additionSchema(joi: JoiRoot): Joi.Schema {
  return joi.object({ id: recordIdSchema(joi).required(), at: instantSchema(joi).required(), text: text(joi).required() });
}

export function moveSchema(joi: JoiRoot): Joi.Schema {
  return joi.object({
    id: recordIdSchema(joi).required(),
    on: daySchema(joi).required(),
    kind: joi
      .string()
      .valid(...MOVE_KINDS)
      .required(),
    count: joi.number().integer().min(1).max(MOST_OF_ONE).required(),
    to: text(joi, RECORD_LIMITS.to),
    price: joi.number().min(0).max(RECORD_LIMITS.money),
  });
}

/** What is said of the money of one piece. */
export function moneySchema(joi: JoiRoot): Joi.Schema {
  const money = () => joi.number().min(0).max(RECORD_LIMITS.money);
  return joi.object({ body: money(), other: money(), price: money() });
}

/** What is told of a piece that was finished before there was a notebook. */
export function toldFields(joi: JoiRoot) {
  return {
    name: text(joi, RECORD_LIMITS.name).required(),
    body: text(joi, RECORD_LIMITS.name).required(),
    count: joi.number().integer().min(1).max(MOST_OF_ONE).required(),
    finishedOn: daySchema(joi),
    told: joi.object({ colours: text(joi), paints: text(joi), sealer: text(joi), note: text(joi) }).required(),
  };
}

function pictureSchema(joi: JoiRoot): Joi.Schema {
  const side = () => joi.number().integer().min(1).max(PICTURE_PX).required();
  return joi.object({
    picture: recordIdSchema(joi).required(),
    small: recordIdSchema(joi).required(),
    width: side(),
    height: side(),
    at: instantSchema(joi).required(),
    caption: joi.string().trim().min(1).max(MAX_CAPTION),
    stage: joi
      .string()
      .valid(...PICTURE_STAGES)
      .required(),
  });
}

/** A record without when it was looked at last: that follows from its looks. */
function withoutLastLook({ lookedAt: _last, ...record }: LogRecord): Omit<LogRecord, "lookedAt"> {
  return record;
}

export const RECORDS = defineStore<LogRecord>({
  name: "records",
  called: "the record of a finished piece",
  counted: ["record", "records"],
  gone: { told: "Out of the logbook" },
  says: {
    origin: "where it comes from",
    pieceId: "the piece",
    writtenAt: "when it was written",
    name: "its name",
    body: "the body",
    material: "the material",
    piece: "the piece",
    count: "how many",
    begunOn: "the day it was begun",
    finishedOn: "the day it was finished",
    work: "the work",
    paint: "the paint",
    minutes: "the minutes",
    mishaps: "what went wrong",
    checks: "the checks",
    cast: "the casting",
    pictures: "a photograph",
    told: "what is told of it",
    additions: "something added",
    looks: "a later look",
    lookedAt: "when it was looked at",
    moves: "where some went",
    money: "the money",
  },
  since: 15,
  indexes: { byPiece: "pieceId", byFinished: "finishedOn", byLooked: "lookedAt" },
  schema: (joi) => {
    const { name, body, count, finishedOn, told } = toldFields(joi);
    const minutes = () => joi.number().min(0).max(MOST_MIN).required();
    return joi.object({
      id: recordIdSchema(joi).required(),
      rev: revSchema(joi).required(),
      origin: joi.string().valid("bench", "told").required(),
      pieceId: recordIdSchema(joi),
      writtenAt: instantSchema(joi).required(),
      name,
      body,
      material: joi.string().max(80),
      piece: joi.object().unknown(),
      count,
      begunOn: daySchema(joi),
      finishedOn,
      work: list(joi, lineSchema(joi), RECORD_LIMITS.lines),
      paint: list(
        joi,
        joi.object({
          jar: joi.string().max(80),
          name: joi.string().min(1).max(JAR_BOUNDS.name).required(),
          ml: joi.number().greater(0).max(MOST_JAR_ML).required(),
          perMl: joi.number().min(0).max(RECORD_LIMITS.money),
        }),
        RECORD_LIMITS.lines,
      ),
      minutes: list(joi, joi.object({ kind: joi.string().max(80).required(), min: minutes(), timedMin: minutes() }), RECORD_LIMITS.lines),
      mishaps: list(
        joi,
        joi.object({
          at: instantSchema(joi).required(),
          kind: joi.string().valid("tacky", "ruined").required(),
          zones: joi.array().items(zoneSchema(joi)).min(1).max(60).required(),
          title: joi.string().min(1).max(300).required(),
        }),
        RECORD_LIMITS.lines,
      ),
      checks: list(
        joi,
        joi.object({
          at: instantSchema(joi).required(),
          zone: zoneSchema(joi).required(),
          kind: joi
            .string()
            .valid(...INSPECTION_IDS)
            .required(),
          passed: joi.boolean().required(),
          grade: joi.number().integer().min(0).max(5),
        }),
        RECORD_LIMITS.lines,
      ),
      cast: joi.object({
        powder: joi.string().max(120).required(),
        waterPer100: joi.number().greater(0).max(1000),
        pouredAt: instantSchema(joi).required(),
        weighings: list(
          joi,
          joi.object({
            at: instantSchema(joi).required(),
            g: joi.number().greater(0).max(1_000_000).required(),
            bodies: joi.number().integer().min(1).max(1000).required(),
          }),
          RECORD_LIMITS.lines,
        ),
      }),
      pictures: list(joi, pictureSchema(joi), MOST_PHOTOS),
      told: told.optional(),
      additions: list(joi, additionSchema(joi), RECORD_LIMITS.additions),
      looks: list(joi, lookSchema(joi), RECORD_LIMITS.looks),
      lookedAt: instantSchema(joi),
      moves: list(joi, moveSchema(joi), RECORD_LIMITS.moves),
      money: moneySchema(joi),
    });
  },
  check: ({ piece, origin, told, moves, count }, { readPiece }, at) => {
    if (origin === "told" && !told) return problem("missing", [...at, "told"].join("."), "nothing is told of it");
    if (moves.reduce((sum, one) => sum + one.count, 0) > count) return problem("bad-value", [...at, "moves"].join("."), "more of it have gone than there were");
    if (piece === undefined) return null;
    const read = readPiece(piece, [...at, "piece"]);
    return read.ok ? null : read.problem;
  },
  meets: { lists: { additions: byId, looks: byId, moves: byId, pictures: byFields("picture") }, bare: withoutLastLook },
  lists: ["additions", "looks", "moves"],
  migrations: [],
});
