import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import type { ProductClass } from "../catalogue/product-class";
import type { FilmAsk } from "../film/film";
import { FILM_TOOLS } from "../film/film";
import { covering, hide } from "../film/hide";
import type { LaidPaint } from "../film/hide";
import type { TintAsk } from "../film/tint";
import { checkShape } from "./check-shape";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";

const hex = () => Joi.string().pattern(/^#[0-9a-fA-F]{6}$/, "colour as #rrggbb");
const share = () => Joi.number().min(0).max(1);
const id = () => Joi.string().max(80);

const FILM_SCHEMA = Joi.object({
  product: id().required(),
  areaMm2: Joi.number().min(0).max(1e9).required(),
  coats: Joi.number().integer().min(1).max(50).required(),
  thinningPercent: Joi.number().min(0).max(1000),
  tool: Joi.string().valid(...FILM_TOOLS),
  marks: Joi.object({ count: Joi.number().integer().min(1).max(1e6).required(), diameterMm: Joi.number().min(0.1).max(100).required() }),
  material: id(),
});

interface FilmDocument extends Omit<FilmAsk, "product" | "material"> {
  readonly product: ProductClass["id"];
  readonly material?: string;
}

const unknownProduct = (path: string, named: string): Parsed<never> => bad("unknown-id", path, `"${named}" is not a product class known here`);
const unknownMaterial = (path: string, named: string): Parsed<never> => bad("unknown-id", path, `"${named}" is not a material known here`);

/**
 * Reads what `film` is asked.
 *
 * @returns the question, or the first fault with its dotted path
 */
export function parseFilm(document: unknown, catalogue: Catalogue): Parsed<FilmAsk> {
  const shape = checkShape<FilmDocument>(FILM_SCHEMA, document);
  if (!shape.ok) return shape;
  const { product: named, material: on, ...rest } = shape.value;
  const product = catalogue.products.get(named);
  if (!product) return unknownProduct("product", named);
  const material = on === undefined ? undefined : catalogue.materials.get(on as never);
  if (on !== undefined && !material) return unknownMaterial("material", on);
  if (product.film.volumeSolidsPercent === null || (product.film.wetMicrons === null && !rest.marks))
    return bad("bad-value", "product", `${product.name.toLowerCase()} leaves no film of its own`);
  return good({ ...rest, product, ...(material ? { material } : {}) });
}

const HIDE_SCHEMA = Joi.object({
  paint: Joi.object({ colour: hex().required(), contrastRatio: share(), product: id() }).xor("contrastRatio", "product").required(),
  over: Joi.alternatives(hex(), Joi.object({ material: id().required() })).required(),
  wetMicrons: Joi.number().greater(0).max(10_000),
  thinningPercent: Joi.number().min(0).max(1000),
  coatsUpTo: Joi.number().integer().min(1).max(20),
});

interface HideDocument {
  readonly paint: { readonly colour: string; readonly contrastRatio?: number; readonly product?: string };
  readonly over: string | { readonly material: string };
  readonly wetMicrons?: number;
  readonly thinningPercent?: number;
  readonly coatsUpTo?: number;
}

/** What `hide` answers: coats of a colour, or of an effect by the area it covers, which has no colour difference. */
function hidden({ paint, over: beneath, ...rest }: HideDocument, catalogue: Catalogue): Parsed<unknown> {
  const material = typeof beneath === "string" ? null : catalogue.materials.get(beneath.material as never);
  if (material === undefined) return unknownMaterial("over.material", (beneath as { readonly material: string }).material);
  const over = material ? material.bodyColour : (beneath as string);
  const product = paint.product === undefined ? null : catalogue.products.get(paint.product as never);
  if (product === undefined) return unknownProduct("paint.product", paint.product!);
  const { contrastRatio, coversArea } = product?.film ?? { contrastRatio: paint.contrastRatio!, coversArea: null };
  if (coversArea !== null && contrastRatio === null) {
    const { coats, perCoat } = covering(coversArea, rest.coatsUpTo);
    return good({
      coats,
      approximate: true,
      perCoat: perCoat.map((one) => ({ coats: one.coats, colour: paint.colour, deltaE: null, covered: { from: one.from, to: one.to } })),
      underlay: null,
    });
  }
  if (contrastRatio === null) return bad("bad-value", "paint.product", `${product!.name.toLowerCase()} hides nothing: it is not made to`);
  const laid: LaidPaint = {
    colour: paint.colour,
    contrastRatio,
    ...(typeof product?.film.wetMicrons === "number" ? { ofMicrons: product.film.wetMicrons } : {}),
  };
  return good(hide({ paint: laid, over, ...rest }));
}

/** Reads what `hide` is asked, and answers it. */
export function answerHide(document: unknown, catalogue: Catalogue): Parsed<unknown> {
  const shape = checkShape<HideDocument>(HIDE_SCHEMA, document);
  return shape.ok ? hidden(shape.value, catalogue) : shape;
}

/** More paints than this are no shelf. */
const MOST_PAINTS = 500;

const TINT_SCHEMA = Joi.object({
  target: hex().required(),
  paints: Joi.array()
    .items(Joi.object({ id: id().required(), colour: hex().required(), contrastRatio: share() }))
    .min(1)
    .max(MOST_PAINTS)
    .unique("id")
    .required(),
  volumeMl: Joi.number().greater(0).max(10_000),
  parts: Joi.number().integer().min(1).max(3),
  dropsPerMl: Joi.number().greater(0).max(200),
});

/**
 * Reads what `tint` is asked.
 *
 * @returns the question, or the first fault with its dotted path
 */
export function parseTint(document: unknown): Parsed<TintAsk> {
  return checkShape<TintAsk>(TINT_SCHEMA, document);
}
