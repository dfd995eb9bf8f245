import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import type { ProductClass } from "#core/catalogue/product-class";
import type { PlanColour } from "#core/coating/explain/plan-colours";
import type { Change } from "#core/coating/model/change";
import { nameOfColour } from "#core/film/colour-names";
import { usualContrastRatio } from "#core/film/mix";
import { jarHides, kindOfJar } from "#core/shelf/mixes";
import type { JarHides } from "#core/shelf/mixes";

/** What the desk is about: a paint of some colour, out of a jar or not, in a plan or not. */
export interface Subject {
  readonly name: string;
  readonly kind: ProductClass;
  /** sRGB hex. */
  readonly colour: string;
  readonly jar: Jar | null;
  readonly plan: PlanColour | null;
  /** How one coat of it hides; null for effects and clears. */
  readonly hides: JarHides | null;
}

/** What the desk may do to the plan it works for. */
export interface PlanDoing {
  /** What the piece is made of. */
  readonly material: string;
  readonly apply: (changes: readonly Change[]) => void;
}

export const USUAL_KIND = CATALOGUE.products.get(productId("craft-acrylic"))!;

/** Kinds of paint that have a colour to mix, thin or hide with. */
export const COLOUR_KINDS = [...CATALOGUE.products.values()].filter(
  ({ jobs, film }) => film.contrastRatio !== null && (jobs.includes("colour") || jobs.includes("decorate")),
);

/** A jar as what the desk is about. */
export function subjectOfJar(jar: Jar): Subject {
  const kind = kindOfJar(jar, CATALOGUE) ?? USUAL_KIND;
  return { name: jar.name, kind, colour: jar.colour ?? "#8b8f91", jar, plan: null, hides: jarHides(jar, kind) };
}

/** A colour of some kind of paint. */
export function subjectOfColour(colour: string, kind: ProductClass): Subject {
  const ratio = kind.film.contrastRatio;
  return {
    name: nameOfColour(colour),
    kind,
    colour,
    jar: null,
    plan: null,
    hides: ratio === null ? null : { ratio: usualContrastRatio(colour, ratio), by: "typical" },
  };
}

/** A colour of a plan, hiding as the plan reckons it. */
export function subjectOfPlan(plan: PlanColour, jars: readonly Jar[]): Subject {
  const jar = jars.find((one) => one.id === plan.jar) ?? null;
  const kind = (jar && kindOfJar(jar, CATALOGUE)) ?? CATALOGUE.products.get(plan.product) ?? USUAL_KIND;
  const known = jar && jarHides(jar, kind);
  const ratio = plan.contrastRatio;
  const hides = known && known.by !== "typical" ? known : ratio === null ? null : { ratio, by: "typical" as const };
  return { name: jar?.name ?? nameOfColour(plan.colour), kind, colour: plan.colour, jar, plan, hides };
}
