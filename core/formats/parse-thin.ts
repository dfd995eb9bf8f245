import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import { THINNING_SCHOOLS } from "../film/consistency";
import { PURPOSES, isLiquid } from "../film/purposes";
import type { ThinAsk } from "../film/thin";
import { checkShape } from "./check-shape";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";

const THIN_SCHEMA = Joi.object({
  product: Joi.string().max(80).required(),
  purpose: Joi.string()
    .valid(...PURPOSES)
    .required(),
  material: Joi.string().max(80),
  puddleMl: Joi.number().greater(0).max(10_000),
  school: Joi.string().valid(...THINNING_SCHOOLS),
  percent: Joi.number().min(0).max(1000),
  dropsPerMl: Joi.number().greater(0).max(200),
});

/**
 * Reads what `thin` is asked.
 *
 * @returns the question, or the first fault with its dotted path
 */
export function parseThin(document: unknown, catalogue: Catalogue): Parsed<ThinAsk> {
  const shape = checkShape<ThinAsk>(THIN_SCHEMA, document);
  if (!shape.ok) return shape;
  const product = catalogue.products.get(shape.value.product);
  if (!product) return bad("unknown-id", "product", `"${shape.value.product}" is not a product class known here`);
  if (!isLiquid(product, undefined)) return bad("bad-value", "product", `${product.name.toLowerCase()} is not poured out: there is nothing to thin`);
  const { material } = shape.value;
  if (material !== undefined && !catalogue.materials.has(material)) return bad("unknown-id", "material", `"${material}" is not a material known here`);
  return good(shape.value);
}
