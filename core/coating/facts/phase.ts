import type { Catalogue } from "../../catalogue/catalogue";
import type { ProductClass } from "../../catalogue/product-class";
import { COVERS_FROM } from "../../catalogue/technique";
import type { Technique } from "../../catalogue/technique";
import type { Role } from "../../catalogue/vocabulary";
import type { StepChoice } from "../model/step";

/**
 * Where in the work a step falls when nothing moves it. A stack is sorted by it; loops (fill, sand; mask, paint, unmask;
 * powder and its lock) sit inside one phase and keep the order their alternative gives them.
 */
export const PHASE = {
  clean: 10,
  level: 20,
  key: 30,
  cover: 35,
  size: 40,
  ground: 50,
  base: 60,
  /** Fields, bands, stencils, blends, powders and their lock: all that guides for marks are laid on. */
  field: 64,
  isolate: 70,
  mark: 80,
  decorate: 90,
  unmark: 110,
  sign: 120,
  seal: 130,
  afterSeal: 140,
  uncover: 143,
  assemble: 145,
  heat: 150,
  cure: 160,
} as const;

/** By role alone. Masks and locks belong to fields. */
const PHASE_OF_ROLE: Readonly<Record<Role, number>> = {
  cast: PHASE.clean,
  clean: PHASE.clean,
  fill: PHASE.level,
  sand: PHASE.level,
  "dust-off": PHASE.level,
  size: PHASE.size,
  prime: PHASE.ground,
  base: PHASE.base,
  isolate: PHASE.isolate,
  mark: PHASE.mark,
  mask: PHASE.field,
  decorate: PHASE.decorate,
  "top-dot": PHASE.decorate,
  lock: PHASE.field,
  unmask: PHASE.field,
  unmark: PHASE.unmark,
  sign: PHASE.sign,
  seal: PHASE.seal,
  "heat-set": PHASE.heat,
  fire: PHASE.heat,
  assemble: PHASE.assemble,
  cure: PHASE.cure,
};

/** Whether a layer is laid before the guides of marks: it covers, is masked, worked wet or rubbed in; what water moves waits to the last. */
export function isFieldWork(technique: Technique, product: ProductClass | null): boolean {
  if (product && (product.rewettable || product.traits.includes("ink"))) return false;
  return technique.while === "wet" || technique.mask !== undefined || technique.loose || technique.coverage.value >= COVERS_FROM;
}

/** Acts that cover a spot for the whole work, and uncover it before the glue. */
export const COVER_SPOTS = "cover-spots";
export const UNCOVER_SPOTS = "uncover-spots";

/**
 * Where in the work a step falls: by its role, and of a layer by what it is.
 *
 * @returns a number of `PHASE`; more comes later
 */
export function phaseOf({ role, technique, product, group }: Pick<StepChoice, "role" | "technique" | "product" | "group">, catalogue: Catalogue): number {
  if (group === COVER_SPOTS) return PHASE.cover;
  if (group === UNCOVER_SPOTS) return PHASE.uncover;
  if (role !== "decorate" || technique === undefined) return PHASE_OF_ROLE[role];
  if (technique === "crystals") return PHASE.afterSeal;
  const known = catalogue.techniques.get(technique);
  return known && isFieldWork(known, catalogue.products.get(product) ?? null) ? PHASE.field : PHASE.decorate;
}
