import { productId } from "../../catalogue/ids";
import type { ProductId } from "../../catalogue/ids";
import type { ProductClass } from "../../catalogue/product-class";
import { BODIES } from "../../catalogue/product-class";
import type { Technique } from "../../catalogue/technique";
import { allowed, allowedAid, holds } from "./context";
import type { ZoneContext } from "./context";
import { aidDraft, because, filmDraft, PHASE, sheenOf } from "./draft";
import type { Draft, Alternative, DecisionVariable } from "./draft";
import type { ZoneLayer } from "./layers";

const NONE: Alternative = { key: "none", steps: [] };
/** A guide helps marks that are set out; working by eye is a school of its own. */
const BY_EYE: Alternative = { key: "by-eye", steps: [], strain: 2 };
/** Fluid medium that loosens a dot paint without starving it, per cent of the paint [common practice: a little]. */
const LOOSEN_PERCENT = 10;

/** The field of colour under the decoration. Coats are worked out once the ground below is known. */
export function base(context: ZoneContext): DecisionVariable | null {
  const { field } = context;
  if (field === null || context.zone.treatment === "protect") return null;
  const wish = context.piece.wishes.base;
  const paints = allowed(context).filter(
    (product) => product.jobs.includes("colour") || (product.jobs.includes("stain") && context.layers.length === 0 && product.grips.includes(context.surface)),
  );
  const alternatives = paints.map((product): Alternative => ({
    key: product.id,
    steps: [
      filmDraft(product, {
        role: "base",
        phase: PHASE.base,
        colour: field,
        thinning: null,
        ...sheenOf(product, context.piece.finish),
        because: because("field-colour", context.layers.length > 0 ? "it is the colour the decoration lies on" : "it is the colour of the piece"),
        checks: ["Hold it to the light: no streaks, nothing of the ground grinning through."],
      }),
    ],
  }));
  const wished = alternatives.filter((alternative) => alternative.key === wish);
  return {
    name: "base",
    alternatives: wished.length > 0 ? wished : alternatives,
    school: false,
    unmet: "no paint left to choose from makes a field of colour here",
  };
}

/** A clear film between field and marks, so that a wet mistake wipes off: one school does, one does not. */
export function isolation(context: ZoneContext): DecisionVariable | null {
  const fine = context.layers.some((layer) => layer.technique.guided && layer.technique.while === "dry");
  if (!fine || context.field === null || context.route !== "air") return null;
  const alternatives = allowed(context)
    .filter((product) => product.jobs.includes("isolate") && product.methods[0] === "brush")
    .map((product): Alternative => ({
      key: product.id,
      steps: [
        filmDraft(product, {
          role: "isolate",
          phase: PHASE.isolate,
          coats: 2,
          thinning: null,
          ...sheenOf(product, "satin"),
          because: because("mistakes-wipe-off", "over it a wet mistake in the dots wipes off without harming the base"),
          checks: ["It looks evenly wet in raking light, then dries clear."],
        }),
      ],
    }));
  return { name: "isolation", alternatives: [NONE, ...alternatives], school: true, unmet: "" };
}

/** Pencil on bisque needs no taking off: it burns away; water would only drive colour into the pores. */
function burntGuides(): DecisionVariable {
  const mark = aidDraft(productId("graphite-pencil"), {
    role: "mark",
    phase: PHASE.mark,
    because: because("guides", "marks that are set out end where they should; pencil burns away in the kiln"),
    checks: ["Count the marks round the ring before you set the first. A mistake is erased dry, never wetted."],
  });
  return { name: "guides", alternatives: [{ key: "graphite-pencil", steps: [mark] }, BY_EYE], school: false, unmet: "" };
}

/** Guides for set-out marks, and what takes them off; or by eye. */
export function guides(context: ZoneContext): DecisionVariable | null {
  const marked = context.layers.filter((layer) => layer.technique.guided);
  if (marked.length === 0) return null;
  const on = context.field === null ? context.surface : "paint";
  const wish = context.piece.wishes.guide;
  if (context.route === "kiln") return burntGuides();
  const alternatives = [...context.catalogue.aids.values()]
    .filter((aid) => aid.guide?.marksOn.includes(on) && allowedAid(context, aid.id))
    .map((aid): Alternative => {
      const mark = aidDraft(aid.id, {
        role: "mark",
        phase: PHASE.mark,
        because: because("guides", "marks that are set out end where they should"),
        checks: ["Count the marks round the ring before you set the first."],
      });
      const off = aid.guide!.takenOffBy;
      // What bleeds, and what has to be pressed in, is for where nothing else will do.
      const strain = aid.guide!.bleeds ? 3 : off === null ? 1.5 : on === "slick" && off === productId("eraser") ? 1.5 : 0;
      if (off === null) return { key: aid.id, steps: [mark], strain };
      return {
        key: aid.id,
        strain,
        steps: [
          mark,
          aidDraft(off, {
            role: "unmark",
            phase: PHASE.unmark,
            because: because("guides-gone", "a guide under a clear film is there for ever"),
            checks: ["Nothing left in raking light."],
          }),
        ],
      };
    });
  const wished = alternatives.filter((alternative) => alternative.key === wish);
  return { name: "guides", alternatives: wished.length > 0 ? wished : [...alternatives, BY_EYE], school: true, unmet: "" };
}

/** Coats by practice: kiln colour takes two for dots and one for an accent; a pen line is drawn once. */
function coatsOf(product: ProductClass, technique: Technique, marks: ZoneLayer["marks"]): number {
  if (product.traits.includes("needs-firing") && (marks || technique.coverage.value < 0.95)) return Math.min(marks ? 2 : 1, product.coats);
  if (marks || product.methods[0] === "pen" || technique.coverage.value < 0.2) return Math.min(1, product.coats);
  return technique.while === "wet" ? 1 : product.coats;
}

/** Marks that need body loosen a thick paint with medium, never with water. */
function thinningOf(product: ProductClass, technique: Technique): Draft["thinning"] {
  const stiff = product.film.body !== null && BODIES.indexOf(product.film.body) > BODIES.indexOf("soft-dot");
  return technique.marks && stiff ? { with: productId("gloss-fluid-medium"), percent: LOOSEN_PERCENT } : null;
}

function masksFor(context: ZoneContext, technique: Technique): readonly (ProductId | null)[] {
  if (!technique.mask) return [null];
  const bands = technique.mask === "tape" && context.zone.template.halves ? [productId("rubber-band")] : [];
  return [productId(technique.mask), ...bands];
}

/** Crystals go on after the last coat; loose things early, so that they are locked; what water moves comes last. */
function phaseOf(product: ProductClass, technique: Technique, index: number): number {
  if (technique.id === "crystals") return PHASE.afterSeal;
  const rank = technique.while === "wet" ? 0 : product.drying.by === "none" ? 1 : product.rewettable || product.traits.includes("ink") ? 3 : 2;
  return PHASE.decorate + rank * 4 + index * 0.1;
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
  const phase = phaseOf(product, technique, index);
  const method = product.methods[0] === "pen" || product.methods[0] === "spray" ? product.methods[0] : technique.method;
  const requirement = `layer-${index + 1}`;
  const paint: Draft = {
    ...filmDraft(product, {
      role: "decorate",
      phase,
      technique: technique.id,
      coats: coatsOf(product, technique, layer.marks),
      coverage: layer.coverage,
      thinning: thinningOf(product, technique),
      while: technique.while,
      ...(layer.colour ? { colour: layer.colour } : {}),
      ...(layer.marks ? { marks: layer.marks } : {}),
      ...sheenOf(product, context.piece.finish),
      because: because(requirement, `you asked for ${technique.name.toLowerCase()}`),
      checks: technique.marks ? ["Each mark sits round and separate; lift a stray one with a damp swab, up and away."] : [],
    }),
    method,
  };
  const steps: Draft[] = [];
  if (mask)
    steps.push(
      aidDraft(mask, {
        role: "mask",
        phase,
        because: because(requirement, "it keeps the edge clean"),
        checks: ["Press the edge down with a fingernail all along."],
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
      filmDraft(lock, {
        role: "lock",
        phase,
        coats: lock.methods[0] === "spray" ? 2 : 1,
        thinning: null,
        ...sheenOf(lock, "satin"),
        because: because("particles-held", "loose particles travel under the sealer unless they are locked first"),
        checks: ["Nothing comes off on a clean fingertip."],
      }),
    );
  return steps;
}

/** An effect is chosen for its look, never because it dries sooner: it is taken when the user names it, or when the technique is made of it. */
function isEffect(product: ProductClass): boolean {
  return product.film.contrastRatio === null || product.traits.includes("fades-in-sun");
}

/** One layer of decoration: each medium that does its technique, with its mask and its lock. */
export function decoration(context: ZoneContext, layer: ZoneLayer, index: number): DecisionVariable {
  const able = allowed(context).filter(
    (product) =>
      product.jobs.includes("decorate") &&
      product.techniques.includes(layer.technique.id) &&
      (layer.medium === null || product.id === layer.medium) &&
      (context.field !== null || product.drying.by === "none" || holds(product, context)),
  );
  const plain = layer.medium === null ? able.filter((product) => !isEffect(product)) : able;
  const fits = plain.length > 0 ? plain : able;
  const locks = allowed(context).filter((product) => product.jobs.includes("lock"));
  const alternatives = fits.flatMap((product) =>
    masksFor(context, layer.technique).flatMap((mask) => {
      const loose = product.drying.by === "none" && layer.technique.id !== "crystals";
      return (loose ? locks : [null]).map((lock): Alternative => ({
        key: [product.id, mask, lock?.id].filter(Boolean).join("+"),
        steps: layerSteps(context, layer, index, product, mask, lock),
      }));
    }),
  );
  const named = layer.medium ? (context.catalogue.products.get(layer.medium)?.name.toLowerCase() ?? layer.medium) : "no paint left to choose from";
  return {
    name: `layer-${index + 1}`,
    alternatives,
    school: false,
    unmet: `${named} does not do ${layer.technique.name.toLowerCase()} on ${context.material.name.toLowerCase()}`,
  };
}
