import Joi from "joi";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { checkShape } from "#core/formats/check-shape";
import { parsePiece } from "#core/formats/parse-piece";
import type { Problem } from "#core/formats/problem";
import type { CheckTools } from "#core/formats/stores/definition";
import { DEFINITIONS } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { FinalError } from "./final-error";

/** A record that does not fit its store: it is not written. */
export class UnfitRecord extends FinalError {
  override readonly name = "UnfitRecord";

  constructor(
    readonly store: StoreName,
    readonly problem: Problem,
  ) {
    super(`${store}: ${problem.message}${problem.path === "" ? "" : ` (at ${problem.path})`}`);
  }
}

const SCHEMAS = new Map(DEFINITIONS.map((one) => [one.name, one.schema(Joi)]));
const TOOLS: CheckTools = {
  readPiece: (value, at) => parsePiece(value, CATALOGUE, at),
  has: () => true,
  knowsProduct: (id) => CATALOGUE.products.has(productId(id)),
};

/**
 * Checks a record before it is written.
 *
 * @throws UnfitRecord when it fails its own schema
 */
export function assertFits(store: StoreName, record: unknown): void {
  const shape = checkShape(SCHEMAS.get(store)!, record);
  if (!shape.ok) throw new UnfitRecord(store, shape.problem);
  const problem = DEFINITIONS.find((one) => one.name === store)!.check?.(record as never, TOOLS, []);
  if (problem) throw new UnfitRecord(store, problem);
}
