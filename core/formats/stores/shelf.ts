import { OPACITIES } from "../../catalogue/jar";
import type { Jar } from "../../catalogue/jar";
import { DROPS_BOUNDS } from "../../film/drops";
import { SHEENS } from "../../catalogue/vocabulary";
import { daySchema, instantSchema } from "../hours-schema";
import { problem } from "../problem";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** A jar the user keeps. */
export interface JarRecord extends Jar {
  readonly rev: number;
}

/** Jars no shelf has more of. */
export const MOST_JARS = 2000;

/** Bounds of what a label or a hand may say of a jar: beyond them it is a slip of the pen. */
export const JAR_BOUNDS = {
  name: 120,
  touchMin: { least: 1, most: 20_160 },
  recoatMin: { least: 1, most: 20_160 },
  minC: { least: -20, most: 40 },
  maxC: { least: 0, most: 60 },
  coats: { least: 1, most: 20 },
  thinnerPercent: { least: 0, most: 200 },
  spreadM2PerL: { least: 0.2, most: 60 },
  bakeC: { least: 60, most: 300 },
  bakeMin: { least: 1, most: 600 },
  ml: { least: 0, most: 100_000 },
  sizeMl: { least: 0.5, most: 100_000 },
  grams: { least: 0, most: 100_000 },
  paid: { least: 0, most: 1_000_000 },
  dropsPerMl: DROPS_BOUNDS,
} as const;

interface Bounds {
  readonly least: number;
  readonly most: number;
}

/** The lines of a label. */
export function labelFields(joi: JoiRoot) {
  const within = ({ least, most }: Bounds) => joi.number().min(least).max(most);
  const { touchMin, recoatMin, minC, maxC, coats, thinnerPercent, spreadM2PerL, bakeC, bakeMin } = JAR_BOUNDS;
  return {
    opacity: joi.string().valid(...OPACITIES),
    sheen: joi.string().valid(...SHEENS),
    touchMin: within(touchMin),
    recoatMin: within(recoatMin),
    minC: within(minC),
    maxC: within(maxC),
    coats: within(coats).integer(),
    thinnerPercent: within(thinnerPercent),
    spreadM2PerL: within(spreadM2PerL),
    weatherproof: joi.boolean(),
    foodClaim: joi.boolean(),
    bake: joi.object({ atC: within(bakeC).required(), holdMin: within(bakeMin).required() }).allow(null),
  };
}

/** Paints in one mixture at most: more of them are mud. */
const MOST_MIXED = 12;
/** Shares of a mixture are 1 together, but for rounding. */
const WHOLE_WITHIN = 0.01;

/** How it hides, and what it is mixed from. */
function mixingFields(joi: JoiRoot) {
  const share = () => joi.number().min(0).max(1).required();
  const { name, dropsPerMl } = JAR_BOUNDS;
  const part = joi.object({
    jar: recordIdSchema(joi).required(),
    name: joi.string().trim().min(1).max(name).required(),
    colour: joi
      .string()
      .pattern(/^#[0-9a-f]{6}$/, "colour as #rrggbb")
      .required(),
    share: joi.number().greater(0).max(1).required(),
  });
  return {
    hiding: joi.object({ ratio: share(), from: share(), to: share(), by: joi.string().valid("swatch", "mixture").required() }),
    mix: joi.array().items(part).min(1).max(MOST_MIXED).unique("jar"),
    dropsPerMl: joi.number().min(dropsPerMl.least).max(dropsPerMl.most),
  };
}

/** What may be said of a jar, as typed or stored. */
export function jarFields(joi: JoiRoot) {
  const within = ({ least, most }: Bounds) => joi.number().min(least).max(most);
  const { name, ml, sizeMl, grams, paid } = JAR_BOUNDS;
  return {
    classId: joi.string().max(80),
    name: joi.string().trim().min(1).max(name),
    colour: joi.string().pattern(/^#[0-9a-f]{6}$/, "colour as #rrggbb"),
    label: joi.object(labelFields(joi)),
    openedOn: daySchema(joi),
    sizeMl: within(sizeMl),
    tareG: within(grams),
    paid: within(paid),
    ...mixingFields(joi),
    left: joi.object({ ml: within(ml).required(), by: joi.string().valid("eye", "volume", "weight").required(), at: instantSchema(joi).required() }),
  };
}

export const SHELF = defineStore<JarRecord>({
  name: "shelf",
  called: "a jar",
  counted: ["jar", "jars"],
  gone: { told: "Off the shelf" },
  says: {
    classId: "the kind of paint",
    name: "its name",
    colour: "its colour",
    label: "what the label says",
    openedOn: "the day it was opened",
    sizeMl: "the size of the jar",
    tareG: "the empty jar’s weight",
    paid: "what was paid",
    hiding: "how it hides",
    mix: "what it is mixed from",
    dropsPerMl: "its drops",
    left: "what is left",
  },
  since: 6,
  indexes: {},
  schema: (joi) => {
    const { classId, name, label, ...rest } = jarFields(joi);
    return joi.object({
      id: recordIdSchema(joi).required(),
      rev: revSchema(joi).required(),
      classId: classId.required(),
      name: name.required(),
      label: label.required(),
      ...rest,
    });
  },
  check: ({ id, classId, label, mix, hiding }, { knowsProduct }, at) => {
    if (!knowsProduct(classId)) return problem("unknown-id", [...at, "classId"].join("."), `"${classId}" is not a kind of paint known here`);
    if (hiding && (hiding.from > hiding.ratio || hiding.ratio > hiding.to))
      return problem("bad-value", [...at, "hiding", "ratio"].join("."), "how it hides does not lie between its own bounds");
    if (mix && Math.abs(mix.reduce((sum, { share }) => sum + share, 0) - 1) > WHOLE_WITHIN)
      return problem("bad-value", [...at, "mix"].join("."), "the parts of the mixture do not make a whole");
    if (mix?.some((part) => (part.jar as string) === (id as string))) return problem("bad-value", [...at, "mix"].join("."), "it is mixed from itself");
    const { minC, maxC } = label;
    if (minC !== undefined && maxC !== undefined && minC >= maxC)
      return problem("bad-value", [...at, "label", "maxC"].join("."), "the label's upper temperature is not above its lower one");
    return null;
  },
  meets: { whole: ["left", "hiding", "label.bake"] },
  lists: [],
  migrations: [{ to: 9, does: "a jar may say what it is mixed from, how it hides and how it drops; until then it says nothing of it", up: (record) => record }],
});
