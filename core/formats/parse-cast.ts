import Joi from "joi";
import { bodyWater } from "../casting/body-water";
import { cast } from "../casting/cast";
import type { CastAsk } from "../casting/cast";
import { LABEL_BOUNDS } from "../casting/compound";
import { putRight, volumeOfWater } from "../casting/mix";
import type { Mix, Ratio } from "../casting/mix";
import { weightTold } from "../drying/constant-weight";
import { checkShape } from "./check-shape";
import { instantSchema } from "./hours-schema";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";

const MOST_G = 1_000_000;
const grams = () => Joi.number().greater(0).max(MOST_G);
const within = ({ least, most }: { readonly least: number; readonly most: number }) => Joi.number().min(least).max(most);
const mix = () => Joi.object({ waterPer100: within(LABEL_BOUNDS.waterPer100).required(), densityGPerMl: within(LABEL_BOUNDS.densityGPerMl) }).required();

/** Fillings of one ask at most, and moulds of one kind. */
const MOST_MOULDS = 200;
const MOST_FILLS = 2000;

const POUR_SCHEMA = Joi.object({
  mix: mix(),
  moulds: Joi.array()
    .items(Joi.object({ waterG: grams().required(), count: Joi.number().integer().min(1).max(MOST_MOULDS) }))
    .min(1)
    .max(MOST_MOULDS)
    .required(),
  reservePercent: Joi.number().min(0).max(100),
  bagG: grams(),
  bowlG: grams(),
});

const wanted = () => Joi.object({ waterG: grams().required(), powderG: grams().required() }).required();
const OVERSHOOT_SCHEMA = Joi.object({
  mix: mix(),
  overshoot: Joi.object({ waterG: grams(), powderG: grams(), wanted: wanted() }).xor("waterG", "powderG").required(),
});

const DRYING_SCHEMA = Joi.object({
  drying: Joi.object({
    waterG: grams().required(),
    powderG: grams().required(),
    weighings: Joi.array()
      .items(Joi.object({ at: instantSchema(Joi).required(), g: grams().required() }))
      .min(1)
      .max(1000)
      .unique("at")
      .required(),
  }).required(),
});

interface PourDocument extends Pick<CastAsk, "reservePercent" | "bagG" | "bowlG"> {
  readonly mix: Ratio;
  readonly moulds: readonly { readonly waterG: number; readonly count?: number }[];
}

function answerPour(document: unknown): Parsed<unknown> {
  const shape = checkShape<PourDocument>(POUR_SCHEMA, document);
  if (!shape.ok) return shape;
  const { mix: ratio, moulds, ...limits } = shape.value;
  const filled = moulds.map(({ waterG, count = 1 }, k) => ({ mould: String(k), ml: volumeOfWater(waterG), count }));
  if (filled.reduce((sum, { count }) => sum + count, 0) > MOST_FILLS) return bad("bad-value", "moulds", `at most ${MOST_FILLS} moulds are filled at once`);
  const { batches, ...answer } = cast({ ratio, moulds: filled, ...limits });
  const bowls = batches.map(({ fills, waterG, powderG, slurryMl, part }) => ({
    moulds: fills.map(({ mould }) => Number(mould)),
    waterG,
    powderG,
    slurryMl,
    ...(part ? { part } : {}),
  }));
  return good({ ...answer, batches: batches.length, bowls });
}

type OvershootDocument = { readonly mix: Ratio; readonly overshoot: { readonly wanted: Mix } & ({ readonly waterG: number } | { readonly powderG: number }) };

function answerOvershoot(document: unknown): Parsed<unknown> {
  const shape = checkShape<OvershootDocument>(OVERSHOOT_SCHEMA, document);
  if (!shape.ok) return shape;
  const { mix: ratio, overshoot } = shape.value;
  const { mix: right, extraG } = putRight(overshoot, overshoot.wanted, ratio);
  return good({ ...right, extraG });
}

interface DryingDocument {
  readonly drying: Mix & { readonly weighings: readonly { readonly at: string; readonly g: number }[] };
}

function answerDrying(document: unknown): Parsed<unknown> {
  const shape = checkShape<DryingDocument>(DRYING_SCHEMA, document);
  if (!shape.ok) return shape;
  const { weighings, ...poured } = shape.value.drying;
  const { toLoseG, boundG, dryG } = bodyWater(poured);
  const { constantAt, againAt, doubts, ...told } = weightTold(
    weighings.map(({ at, g }) => ({ at: Date.parse(at), g })),
    { dryG, wetG: dryG + toLoseG },
  );
  const iso = (instant: number | null | undefined) => (instant === null || instant === undefined ? null : new Date(instant).toISOString());
  return good({
    toLoseG,
    boundG,
    dryG,
    ...told,
    constantFrom: iso(constantAt?.from),
    constantTo: iso(constantAt?.to),
    againAt: iso(againAt),
    doubts: doubts.map((one) => ({ ...one, at: iso(one.at) })),
  });
}

/** Reads what `cast` is asked, and answers it: a pour, a bowl with too much in it, or a body that dries. */
export function answerCast(document: unknown): Parsed<unknown> {
  if (typeof document === "object" && document !== null) {
    if ("drying" in document) return answerDrying(document);
    if ("overshoot" in document) return answerOvershoot(document);
  }
  return answerPour(document);
}
