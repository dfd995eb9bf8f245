import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import type { OwnProduct } from "../catalogue/own-product";
import { stepId } from "../catalogue/ids";
import { freeStepId } from "../coating/model/apply-changes";
import type { StepChoice } from "../coating/model/step";
import type { PinnedStep } from "../coating/planner/piece-search";
import type { Piece } from "../piece/piece";
import type { FreeHours } from "../schedule/free-hours";
import { hoursSchema, whenSchema } from "./hours-schema";
import { SHEENS } from "../catalogue/vocabulary";
import { checkShape } from "./check-shape";
import { stepKeys } from "./step-keys";
import { parsePiece } from "./parse-piece";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { zoneSchema } from "./zone-schema";

/** Everything a plan can be asked with. */
export interface PlanAsk {
  readonly piece: Piece;
  /** Products the user owns; absent when nothing is known of their shelf. */
  readonly shelf?: readonly OwnProduct[];
  /** Steps of the user's that stay. */
  readonly keep?: readonly PinnedStep[];
  readonly freeHours?: FreeHours;
  /** Local date "YYYY-MM-DD", or an instant with its offset. */
  readonly start?: string;
}

const span = Joi.object({ typical: Joi.number().min(0).required(), cautious: Joi.number().min(0).required() });
const some = (schema: Record<string, Joi.Schema>) => Joi.object(schema).min(1);

const OWN = Joi.object({
  id: Joi.string().min(1).max(80).required(),
  classId: Joi.string().max(80).required(),
  name: Joi.string().min(1).max(120).required(),
  colour: Joi.string().pattern(/^#[0-9a-fA-F]{6}$/, "colour as #rrggbb"),
  openedMonths: Joi.number().min(0).max(600),
  stockMl: Joi.number().min(0).max(100_000),
  price: Joi.object({ paid: Joi.number().min(0).required(), ml: Joi.number().greater(0).required() }),
  label: some({
    film: some({
      volumeSolidsPercent: Joi.number().greater(0).max(100),
      wetMicrons: Joi.number().greater(0).max(5000),
      maxWetMicrons: Joi.number().greater(0).max(10_000),
      densityKgL: Joi.number().greater(0).max(5),
      contrastRatio: Joi.number().min(0).max(1),
    }),
    drying: some({
      touch: span,
      recoat: span.keys({ min: Joi.number().min(0).required(), untilMin: Joi.number().min(0).allow(null).required() }),
      through: span,
      cureDays: span,
      minC: Joi.number().min(-20).max(60),
      maxC: Joi.number().min(0).max(80),
    }),
    sheens: Joi.array()
      .items(Joi.string().valid(...SHEENS))
      .min(1)
      .unique(),
    maxWaterPercent: Joi.object({ thirsty: Joi.number().min(0).max(400).required(), slick: Joi.number().min(0).max(400).required() }),
    bakeable: Joi.object({
      lowerC: Joi.number().min(60).max(300).required(),
      higherC: Joi.number().min(Joi.ref("lowerC")).max(300).required(),
      holdMin: Joi.number().min(1).max(600).required(),
      afterMin: Joi.number().min(0).required(),
    }).allow(null),
    coats: Joi.number().integer().min(1).max(20),
    maxTempC: Joi.number().min(0).max(1500),
    weatherproof: Joi.boolean(),
    foodClaim: Joi.boolean(),
  }),
});

const ASK_SCHEMA = Joi.object({
  piece: Joi.object().unknown().required(),
  shelf: Joi.array().items(OWN).max(2000).unique("id"),
  keep: Joi.array()
    .items(Joi.object({ zone: zoneSchema(Joi).required(), ...stepKeys(Joi) }))
    .max(200),
  freeHours: hoursSchema(Joi),
  start: whenSchema(Joi),
}).with("freeHours", "start");

type Stated = Omit<PlanAsk, "keep" | "piece"> & {
  readonly piece: unknown;
  readonly keep?: readonly (Omit<PinnedStep, "id" | "origin" | "because" | "checks"> & { id?: string })[];
};

function kept(stated: Stated["keep"]): readonly PinnedStep[] {
  const taken: StepChoice["id"][] = [];
  return (stated ?? []).map((step) => {
    const id = step.id ? stepId(step.id) : freeStepId(step.zone, `kept-${step.role}`, taken);
    taken.push(id);
    const { waitBefore, ...rest } = step;
    return {
      ...rest,
      ...(waitBefore ? { waitBefore: { ...waitBefore, set: "hers" as const } } : {}),
      id,
      origin: "hers",
      because: [{ requirement: "hers", text: "you keep it" }],
      checks: [],
    };
  });
}

/**
 * Reads what `plan` is asked: a bare piece, or a piece with the user's shelf, the steps the user keeps, their free hours and when the user means to begin.
 *
 * @returns the question, or the first fault with its dotted path
 */
export function parseAsk(document: unknown, catalogue: Catalogue): Parsed<PlanAsk> {
  const wrapped = typeof document === "object" && document !== null && "piece" in document && !("format" in document);
  if (!wrapped) {
    const piece = parsePiece(document, catalogue);
    return piece.ok ? good({ piece: piece.value }) : piece;
  }
  const shape = checkShape<Stated>(ASK_SCHEMA, document);
  if (!shape.ok) return shape;
  const { piece: _piece, keep, shelf, ...rest } = shape.value;
  const piece = parsePiece(shape.value.piece, catalogue, ["piece"]);
  if (!piece.ok) return piece;
  for (const [index, own] of (shelf ?? []).entries())
    if (!catalogue.products.has(own.classId)) return bad("unknown-id", `shelf.${index}.classId`, `"${own.classId}" is not a product class known here`);
  for (const [index, step] of (keep ?? []).entries())
    if (!catalogue.products.has(step.product) && !catalogue.aids.has(step.product))
      return bad("unknown-id", `keep.${index}.product`, `"${step.product}" is not known here`);
  return good({ piece: piece.value, ...rest, ...(shelf ? { shelf } : {}), ...(keep ? { keep: kept(keep) } : {}) });
}
