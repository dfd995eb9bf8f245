import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import { learn, STAGE_KEYS } from "../logbook/learning/learn";
import type { LearnAsk } from "../logbook/learning/learn";
import { checkShape } from "./check-shape";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { roomSchema } from "./room-schema";

/** More than anybody has looked at. */
const MOST_LOOKS = 10_000;
/** A year, minutes. */
const MOST_MIN = 525_600;

const LEARN_SCHEMA = Joi.object({
  product: Joi.string().max(80).required(),
  room: roomSchema(Joi).required(),
  stage: Joi.string().valid(...STAGE_KEYS),
  reckonedMin: Joi.number().greater(0).max(MOST_MIN).required(),
  observations: Joi.array()
    .items(Joi.object({ afterMin: Joi.number().min(0).max(MOST_MIN).required(), seen: Joi.string().valid("tacky", "dry", "went-on").required() }))
    .max(MOST_LOOKS)
    .required(),
});

/** Reads what `learn` is asked, and answers it: what looks at films of one paint in one room teach of one stage. */
export function answerLearn(document: unknown, catalogue: Catalogue): Parsed<unknown> {
  const shape = checkShape<Omit<LearnAsk, "product" | "stage"> & { readonly product: string; readonly stage?: LearnAsk["stage"] }>(LEARN_SCHEMA, document);
  if (!shape.ok) return shape;
  const product = catalogue.products.get(shape.value.product as never);
  if (!product) return bad("unknown-id", "product", `"${shape.value.product}" is not a product class known here`);
  return good(learn({ stage: "dryToRecoat", ...shape.value, product }));
}
