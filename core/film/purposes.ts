import { BODIES } from "../catalogue/product-class";
import type { Body, ProductClass } from "../catalogue/product-class";
import { memory, practice } from "../catalogue/provenance";
import type { Role, TechniqueId } from "../catalogue/vocabulary";
import type { ThinningSchool } from "./consistency";

export const PURPOSES = ["base", "dots-domed", "dots-level", "swipes", "fine-lines", "wash", "blend", "stencil", "first-coat", "varnish", "stain"] as const;
/** What a coat is to do; each wants paint of its own body. */
export type Purpose = (typeof PURPOSES)[number];

/** Body of a paint as it comes, as far as thinning goes. */
export type Kind = "ordinary" | "thick" | "thin";
/** Where to start. */
export interface Start {
  readonly school: ThinningSchool;
  /** Per cent of the paint's volume. */
  readonly from: number;
  readonly to: number;
}

const as = (school: ThinningSchool, from: number, to: number): Start => ({ school, from, to });
/** Not thinned at all. */
export const AS_IT_COMES: Start = { school: "none", from: 0, to: 0 };

/**
 * Where to start, by purpose and by the paint's own body; null where that paint is the wrong one for it.
 * Drops to a well are common practice, per cent from memory (trade handbook §16).
 */
export const STARTS = practice<Readonly<Record<Purpose, Readonly<Record<Kind, Start | null>>>>>({
  base: { ordinary: as("water", 0, 10), thick: as("water", 20, 30), thin: AS_IT_COMES },
  "first-coat": { ordinary: as("water", 20, 30), thick: as("water", 30, 30), thin: as("water", 10, 10) },
  "dots-domed": { ordinary: as("fluid-medium", 0, 10), thick: as("fluid-medium", 15, 25), thin: null },
  "dots-level": { ordinary: as("water", 15, 20), thick: as("fluid-medium", 20, 25), thin: as("water", 10, 10) },
  swipes: { ordinary: as("fluid-medium", 10, 15), thick: as("fluid-medium", 25, 25), thin: AS_IT_COMES },
  "fine-lines": { ordinary: as("fluid-medium", 30, 50), thick: null, thin: as("water", 10, 10) },
  wash: { ordinary: as("water", 100, 150), thick: null, thin: as("water", 50, 50) },
  blend: { ordinary: as("water", 5, 10), thick: as("fluid-medium", 15, 15), thin: AS_IT_COMES },
  stencil: { ordinary: AS_IT_COMES, thick: AS_IT_COMES, thin: null },
  varnish: { ordinary: AS_IT_COMES, thick: AS_IT_COMES, thin: AS_IT_COMES },
  stain: { ordinary: AS_IT_COMES, thick: AS_IT_COMES, thin: AS_IT_COMES },
});

/** The body each purpose wants, as an index, and what the painter sees of it. */
export const WANTED = memory<Readonly<Record<Purpose, { readonly from: number; readonly to: number; readonly look: string }>>>({
  base: { from: 2, to: 4.1, look: "it runs off the brush like cream" },
  "first-coat": { from: 1.8, to: 4.1, look: "it runs like milk and soaks in" },
  "dots-domed": { from: 3.5, to: 4.4, look: "a dot keeps its dome and has no peak" },
  "dots-level": { from: 2.8, to: 4.1, look: "the peak of a dot sinks in a few seconds" },
  swipes: { from: 2.2, to: 4.1, look: "it pulls soft, without a string" },
  "fine-lines": { from: 1.8, to: 3.4, look: "it flows off the brush like ink" },
  wash: { from: 0.5, to: 2.8, look: "it is like tea" },
  blend: { from: 2, to: 4.1, look: "it moves slowly, like cream" },
  stencil: { from: 2.9, to: 5.5, look: "it is stiff, on a brush or sponge that is nearly dry" },
  varnish: { from: 0, to: 5.5, look: "it lies even, as the label says" },
  stain: { from: 0, to: 5.5, look: "it soaks in evenly" },
});

/** The plain class each purpose is best done with. */
export const WANTED_BODY = memory<Readonly<Record<Purpose, Body>>>({
  base: "self-levels",
  "first-coat": "pours",
  "dots-domed": "domed-dot",
  "dots-level": "soft-dot",
  swipes: "soft-dot",
  "fine-lines": "self-levels",
  wash: "pours",
  blend: "self-levels",
  stencil: "domed-dot",
  varnish: "pours",
  stain: "pours",
});

/** Why a purpose is thinned so. */
export const WHY: Readonly<Record<Purpose, string>> = {
  base: "a loose coat lies flat and leaves no brush marks",
  "first-coat": "thinned, it sinks into the thirsty surface and binds it",
  "dots-domed": "a little medium takes the peak off a dot and leaves it its dome",
  "dots-level": "loosened, a dot settles round before it sets",
  swipes: "it has to pull soft and break off without a string",
  "fine-lines": "a line wants to flow; medium keeps its binder, water alone makes it lean",
  wash: "it is to tint what lies beneath, not to cover it",
  blend: "colours run into one another only while they move",
  stencil: "thinned, it creeps under the edge",
  varnish: "the label says if it may be thinned",
  stain: "thinned, it only gets paler",
};

/** Which kind of body a class has as it comes. */
export function kindOf(product: ProductClass): Kind {
  const at = product.film.body === null ? -1 : BODIES.indexOf(product.film.body);
  return at < BODIES.indexOf("soft-dot") ? "thin" : at > BODIES.indexOf("soft-dot") ? "thick" : "ordinary";
}

/** Clear films, sizes, locks and primers of a label's own recipe go on as they come. */
const AS_LABELLED: readonly Role[] = ["size", "isolate", "lock", "seal", "fill"];
const PURPOSE_OF: Partial<Record<TechniqueId, Purpose>> = {
  "walked-dots": "swipes",
  swipes: "swipes",
  blended: "blend",
  swirled: "blend",
  "metallic-wash": "wash",
  bands: "stencil",
  stencil: "stencil",
  "sponge-dots": "stencil",
  lettering: "fine-lines",
  outline: "fine-lines",
};

/**
 * What a coat is for, as far as thinning goes.
 *
 * @param step role and technique of the coat
 */
export function purposeOf({ role, technique }: { readonly role: Role; readonly technique?: TechniqueId | undefined }, product: ProductClass): Purpose {
  if (product.jobs.includes("stain")) return "stain";
  if (AS_LABELLED.includes(role)) return "varnish";
  if (role === "prime") return product.jobs.includes("ground") ? "varnish" : "first-coat";
  if (role === "top-dot") return "dots-domed";
  if (technique === "dots") return kindOf(product) === "thick" ? "dots-domed" : "dots-level";
  // A nozzle lays it as it comes.
  if (technique === "raised-line") return "varnish";
  return (technique && PURPOSE_OF[technique]) ?? "base";
}

/** Whether a coat is poured out and can be thinned at all: not pens, sprays, poured resin, powders, fillers. */
export function isLiquid(product: ProductClass, method: string | undefined): boolean {
  const by = method ?? product.methods[0];
  return product.drying.by !== "none" && by !== "pen" && by !== "spray" && by !== "pour" && !product.jobs.includes("fill");
}
