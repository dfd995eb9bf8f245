import type { Catalogue } from "../catalogue/catalogue";
import type { MaterialId, ProductId } from "../catalogue/ids";
import type { Body, ProductClass } from "../catalogue/product-class";
import type { Surface } from "../catalogue/material";
import { dryMicrons } from "./build";
import { bodyAt, consistencyAfter, consistencyOf, THINNER_OF, UNTHINNED } from "./consistency";
import { WANTED_BODY } from "./purposes";
import { STANDARD_DROPS_PER_ML } from "./drops";
import { fitOf, isLean, suits, thinningFor, usualThinning, mostOf } from "./thinning";
import type { ThinningSchool } from "./consistency";
import type { Purpose } from "./purposes";
import type { ChosenThinning } from "./thinning";

/** What is asked of one puddle of paint. */
export interface ThinAsk {
  readonly product: ProductId;
  readonly purpose: Purpose;
  /** What it lies on; a porous one where absent. */
  readonly material?: MaterialId;
  /** Paint in the puddle, mL; 5 where absent. */
  readonly puddleMl?: number;
  readonly school?: ThinningSchool;
  /** Thinner, per cent of the paint's volume; worked out where absent. */
  readonly percent?: number;
  /** The user's own drops to a millilitre; 20 where they have not counted. */
  readonly dropsPerMl?: number;
}

/** The puddle itself, whatever it is of and lies on. */
export type ThinPuddle = Omit<ThinAsk, "product" | "material">;

export interface ThinFinding {
  readonly code: "over-thinned" | "too-loose" | "too-stiff" | "wrong-paint" | "tints";
  readonly message: string;
}

export interface ThinAnswer {
  readonly with: ProductId;
  readonly percent: number;
  /** Thinner for the puddle, mL. */
  readonly ml: number;
  /** Drops for the puddle. */
  readonly drops: { readonly typical: number; readonly from: number; readonly to: number };
  readonly body: { readonly before: Body | null; readonly after: Body | null; readonly wanted: Body };
  readonly wetMicrons: number | null;
  readonly dryMicrons: number | null;
  /** Share of its hiding that a coat keeps, 0–1. */
  readonly hidingShare: number;
  /** How much longer it takes to dry to the touch: more of the same wet film has to leave. */
  readonly dryingFactor: number;
  readonly look: string;
  readonly why: string;
  readonly findings: readonly ThinFinding[];
}

/** Where nothing is said of the puddle, mL. */
const USUAL_PUDDLE_ML = 5;

function chosenFor(product: ProductClass, surface: Surface, { purpose, school, percent }: ThinPuddle): ChosenThinning {
  const usual = usualThinning(product, purpose, surface);
  if (school === "none") return { with: UNTHINNED, percent: 0 };
  const thinner = school ? THINNER_OF[school] : usual.with === UNTHINNED && (percent ?? 0) > 0 ? THINNER_OF.water : usual.with;
  // Where medium is usual and water is asked for, water goes only as far as the binder bears it.
  return { with: thinner, percent: percent ?? Math.min(usual.percent, mostOf(thinner, product, purpose, surface)) };
}

function findingsOf(product: ProductClass, surface: Surface, chosen: ChosenThinning, { purpose, school }: ThinPuddle): readonly ThinFinding[] {
  const fit = fitOf(product, purpose, chosen);
  const said: ThinFinding[] = [];
  if (!suits(product, purpose)) said.push({ code: "wrong-paint", message: `${product.name} is not the paint for this: take one of another body` });
  if (isLean(product, surface, chosen, purpose, purpose === "wash"))
    said.push({ code: "over-thinned", message: "that much water leaves the binder lean: the film chalks and lifts; thin with a medium instead" });
  if (fit === "too-loose" && suits(product, purpose)) said.push({ code: "too-loose", message: "it no longer keeps the shape this wants" });
  if (fit === "too-stiff" && suits(product, purpose))
    said.push({ code: "too-stiff", message: "it is still stiffer than this wants: add a drop at a time and try it" });
  if (school === "fluid-white") said.push({ code: "tints", message: "fluid white makes the colour paler: it is a tint as well" });
  return said;
}

const rounded = (value: number) => Math.round(value * 100) / 100;

/**
 * Thins one puddle for what it is to do.
 *
 * @param ask product class, purpose, and what is said of the puddle
 * @returns what goes in, what the paint is like after it, and what it does to film, hiding and drying; null where there is nothing to thin
 */
export function thin(ask: ThinAsk, catalogue: Catalogue): ThinAnswer | null {
  const product = catalogue.products.get(ask.product);
  return product ? thinPaint(product, ask, (ask.material && catalogue.materials.get(ask.material)?.surface) ?? "porous") : null;
}

/**
 * The same for one paint as its label has it.
 *
 * @param surface the bare surface it lies on
 */
export function thinPaint(product: ProductClass, ask: ThinPuddle, surface: Surface): ThinAnswer {
  const { puddleMl = USUAL_PUDDLE_ML, dropsPerMl = STANDARD_DROPS_PER_ML, purpose } = ask;
  const chosen = chosenFor(product, surface, ask);
  const { percent } = chosen;
  const { dropsPerMlOfPaint: drops, body, look, why } = thinningFor(product, purpose, surface, chosen, dropsPerMl);
  const index = consistencyOf(product);
  const solids = product.film.volumeSolidsPercent;
  const wet = product.film.wetMicrons;
  return {
    with: chosen.with,
    percent,
    ml: rounded((percent / 100) * puddleMl),
    drops: { typical: rounded((percent / 100) * dropsPerMl * puddleMl), from: rounded(drops.from * puddleMl), to: rounded(drops.to * puddleMl) },
    body: { before: index === null ? null : bodyAt(consistencyAfter(index, chosen.with, 0)), after: body, wanted: WANTED_BODY.value[purpose] },
    wetMicrons: wet,
    dryMicrons: wet === null || solids === null ? null : rounded(dryMicrons(wet, solids, percent)),
    hidingShare: rounded(100 / (100 + percent)),
    dryingFactor: solids === null ? 1 : rounded((1 - solids / (100 + percent)) / (1 - solids / 100)),
    look,
    why,
    findings: findingsOf(product, surface, chosen, ask),
  };
}
