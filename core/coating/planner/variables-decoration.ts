import { productId } from "../../catalogue/ids";
import type { ProductId } from "../../catalogue/ids";
import type { ProductClass } from "../../catalogue/product-class";
import { COVERS_FROM } from "../../catalogue/technique";
import type { Technique } from "../../catalogue/technique";
import { memory } from "../../catalogue/provenance";
import { purposeOf } from "../../film/purposes";
import { suits } from "../../film/thinning";
import { allowed, holds } from "./context";
import type { ZoneContext } from "./context";
import { aidDraft, because, filmDraft, sheenOf } from "./draft";
import { PHASE } from "../facts/phase";
import type { Alternative, DecisionVariable, Draft } from "./draft";
import { methodFor } from "../facts/layers";
import type { ZoneLayer } from "../facts/layers";

/** A pen draws lines and fills small fields; beyond this it streaks and runs dry, mm². */
const MOST_BY_PEN_MM2 = memory(4000);
/** A paint whose body is wrong for what it is to do is taken where nothing else is there. */
const WRONG_BODY = 1.5;

/** Coats by practice: kiln colour takes two for dots and one for an accent; a pen line is drawn once; a wash is one. */
function coatsOf(product: ProductClass, technique: Technique, marks: ZoneLayer["marks"]): number {
  if (product.traits.includes("needs-firing") && (marks || technique.coverage.value < COVERS_FROM)) return Math.min(marks ? 2 : 1, product.coats);
  if (marks || product.methods[0] === "pen" || technique.coverage.value < 0.2 || technique.id === "metallic-wash") return Math.min(1, product.coats);
  return technique.while === "wet" ? 1 : product.coats;
}

function masksFor(context: ZoneContext, technique: Technique): readonly (ProductId | null)[] {
  if (!technique.mask) return [null];
  const bands = technique.mask === "tape" && context.zone.template.halves ? [productId("rubber-band")] : [];
  return [productId(technique.mask), ...bands];
}

/** Crystals go on after the last coat; fields before the guides, what is blended while the coat beneath is wet first; what water moves comes last. */
function phaseOfLayer(product: ProductClass, { technique, isField }: ZoneLayer, index: number): number {
  if (technique.id === "crystals") return PHASE.afterSeal;
  if (isField) return PHASE.field + (technique.while === "wet" ? 0 : technique.id === "solid" ? 1 : 2) + index * 0.1;
  // An ink holds under a wash; nothing wet holds over one.
  const last = product.rewettable ? 8 : product.traits.includes("ink") ? 4 : 0;
  return PHASE.decorate + last + index * 0.1;
}

const MASK_CHECKS: Readonly<Record<string, readonly string[]>> = {
  tape: ["Measure up from the table in four places, then press the edge down all along."],
  "rubber-band": ["Measure up from the table in four places; the bands sit level and flat all round."],
};

/** How it is seen that the layer is right. */
function layerChecks({ technique, marks }: ZoneLayer, product: ProductClass): readonly string[] {
  if (technique.while === "wet")
    return technique.coverage.value >= COVERS_FROM
      ? ["All its colours in one go, each into the wet edge of the last; go round once more when it is dry if the ground shows."]
      : ["Begin each one on a fresh wet coat of the field colour, no wider than you can swirl before it sets."];
  if (marks && product.traits.includes("needs-firing")) return ["A mistake is scraped off dry; never wet bisque."];
  if (marks) return ["Work outward in one sitting; lift a stray one with a damp swab, up and away."];
  if (product.traits.includes("milky-wet")) return ["Judge it when it is dry: wet, it shows little."];
  return [];
}

function layerSteps(
  context: ZoneContext,
  layer: ZoneLayer,
  index: number,
  product: ProductClass,
  mask: ProductId | null,
  lock: ProductClass | null,
): readonly Draft[] {
  const { technique } = layer;
  const phase = phaseOfLayer(product, layer, index);
  const loose = product.drying.by === "none";
  const method = methodFor(technique, product);
  const requirement = `layer-${index + 1}`;
  const paint = filmDraft(
    product,
    {
      role: layer.onTop ? "top-dot" : "decorate",
      phase,
      method,
      technique: technique.id,
      coats: coatsOf(product, technique, layer.marks),
      coverage: layer.coverage,
      while: technique.while,
      ...(layer.colour ? { colour: layer.colour } : {}),
      ...(layer.marks ? { marks: layer.marks } : {}),
      ...(layer.rows ? { rows: layer.rows } : {}),
      ...sheenOf(product, context.piece.finish),
      because: because(requirement, `you asked for ${technique.name.toLowerCase()}`),
      checks: layerChecks(layer, product),
    },
    context.surface,
  );
  const steps: Draft[] = [];
  if (mask)
    steps.push(
      aidDraft(mask, {
        role: "mask",
        phase,
        because: because(requirement, "it keeps the edge clean"),
        checks: MASK_CHECKS[mask] ?? ["Press the edge down with a fingernail all along."],
      }),
    );
  steps.push(paint);
  if (mask)
    steps.push(
      aidDraft(productId("peel"), {
        role: "unmask",
        phase,
        because: because("mask-gone", "the edge is cleanest when the mask is lifted as the coat has just set"),
        checks: [],
      }),
    );
  if (lock)
    steps.push(
      filmDraft(
        lock,
        {
          role: "lock",
          phase,
          coats: lock.methods[0] === "spray" ? 2 : 1,
          ...sheenOf(lock, "satin"),
          because: loose
            ? because("particles-held", "loose particles travel under the sealer unless they are locked first")
            : because("brush-safe", "a brush would take it up again unless it is misted over first"),
          checks: ["Nothing comes off on a clean fingertip."],
        },
        context.surface,
      ),
    );
  return steps;
}

/** An effect is chosen for its look, never because it dries sooner: it is taken when the user names it, or when the technique is made of it. */
function isEffect(product: ProductClass): boolean {
  return product.film.contrastRatio === null || product.traits.includes("fades-in-sun");
}

/** Too large a field for a pen. */
function tooWideForPen(product: ProductClass, layer: ZoneLayer, context: ZoneContext): boolean {
  return product.methods[0] === "pen" && layer.medium === null && layer.coverage * context.zone.areaMm2 > MOST_BY_PEN_MM2.value;
}

const isSprayed = (product: ProductClass) => product.methods[0] === "spray";

/** A sprayed seal holds and protects in one; where none stands what the place meets, or another is wished, the layer is misted over and then sealed. */
function maySpray(context: ZoneContext): boolean {
  const { wears } = context.zone;
  const sprays = allowed(context).filter((product) => product.jobs.includes("seal") && isSprayed(product) && wears.every((wear) => product.resists[wear]));
  const wish = context.piece.wishes.sealer;
  return wish === undefined ? sprays.length > 0 : sprays.some((product) => product.id === wish);
}

/** One layer of decoration: each medium that does its technique, with its mask and its lock. */
export function decoration(context: ZoneContext, layer: ZoneLayer, index: number): DecisionVariable {
  const able = allowed(context).filter(
    (product) =>
      product.jobs.includes("decorate") &&
      product.techniques.includes(layer.technique.id) &&
      (layer.medium === null || product.id === layer.medium) &&
      !tooWideForPen(product, layer, context) &&
      (context.field !== null || product.drying.by === "none" || holds(product, context)),
  );
  const plain = layer.medium === null ? able.filter((product) => !isEffect(product)) : able;
  const fits = plain.length > 0 ? plain : able;
  const locks = allowed(context).filter((product) => product.jobs.includes("lock"));
  const mists = fits.every((product) => product.rewettable) && !maySpray(context) ? locks.filter(isSprayed) : [];
  const alternatives = fits.flatMap((product) =>
    masksFor(context, layer.technique).flatMap((mask) => {
      const loose = product.drying.by === "none" && layer.technique.id !== "crystals";
      const strain = suits(product, purposeOf({ role: "decorate", technique: layer.technique.id }, product)) ? 0 : WRONG_BODY;
      return (loose ? locks : product.rewettable ? [null, ...mists] : [null]).map((lock): Alternative => ({
        key: [product.id, mask, lock?.id].filter(Boolean).join("+"),
        strain,
        steps: layerSteps(context, layer, index, product, mask, lock),
      }));
    }),
  );
  const named = layer.medium ? (context.catalogue.products.get(layer.medium)?.name.toLowerCase() ?? layer.medium) : "no paint left to choose from";
  return {
    name: `layer-${index + 1}`,
    alternatives,
    // On glass and glaze which paint it is makes a school: baked, air-dried, ordinary.
    school: context.surface === "slick" && layer.medium === null,
    unmet: `${named} does not do ${layer.technique.name.toLowerCase()} on ${context.material.name.toLowerCase()}`,
  };
}
