import { lightness, LIGHT_ABOVE } from "../../film/colour";
import { productId } from "../../catalogue/ids";
import { isSeenOn } from "../facts/guide-tone";
import type { ProductClass } from "../../catalogue/product-class";
import { allowed, allowedAid, holds } from "./context";
import type { ZoneContext } from "./context";
import { aidDraft, because, filmDraft, NONE, sheenOf } from "./draft";
import { PHASE } from "../facts/phase";
import type { Alternative, DecisionVariable, Draft } from "./draft";

/** A guide helps marks that are set out; working by eye is a school of its own. */
const BY_EYE: Alternative = { key: "by-eye", steps: [], strain: 2 };
const SOLID_CHECK = "Hold it to the light: no streaks, nothing of the ground grinning through.";

function fieldOf(product: ProductClass, context: ZoneContext, colour: string): Alternative {
  const stain = product.jobs.includes("stain");
  const [cover, uncover] = rimMask(context);
  return {
    key: product.id,
    steps: [
      ...cover,
      filmDraft(
        product,
        {
          role: "base",
          phase: PHASE.base,
          colour,
          ...sheenOf(product, context.piece.finish),
          because: because("field-colour", context.layers.length > 0 ? "it is the colour the decoration lies on" : "it is the colour of the piece"),
          checks: [stain ? "Wipe off what has not sunk in after a few minutes; the grain shows through evenly." : SOLID_CHECK],
        },
        context.surface,
      ),
      ...uncover,
    ],
  };
}

/** The middle of a plate is covered while its rim gets a field, so that the edge is true and the eating side stays as it is. */
function rimMask(context: ZoneContext): readonly [readonly Draft[], readonly Draft[]] {
  const base = context.piece.decoration.baseColour;
  const whole = base !== null && context.field === base && context.zones.some((zone) => zone.template.exposure === "food" && zone.treatment === "paint");
  if (context.zone.template.surface !== "plate-rim" || whole) return [[], []];
  const why = because("field-colour", "the middle stays as it is");
  const cover = aidDraft(productId("adhesive-film"), {
    role: "mask",
    phase: PHASE.base,
    because: why,
    checks: ["Press its edge down with a fingernail all round."],
  });
  return [[cover], [aidDraft(productId("peel"), { role: "unmask", phase: PHASE.base, because: why, checks: ["Lift it as the last coat has just set."] })]];
}

/** Paints the user named that make a field: the one no layer takes first, so that each named paint finds its work. */
function namedFields(context: ZoneContext, paints: readonly ProductClass[]): readonly ProductClass[] {
  const { media, layers } = context.piece.decoration;
  const named = paints.filter((product) => media.includes(product.id));
  if (named.length < 2 || layers.length > 0) return named;
  const spare = named.filter((product) => !context.layers.some((layer) => layer.medium === product.id));
  return spare.length > 0 ? spare : named;
}

/** The field of colour under the decoration. Coats are worked out once the ground below is known. */
export function base(context: ZoneContext): DecisionVariable | null {
  const { field } = context;
  if (field === null || context.blended || context.zone.treatment === "protect") return null;
  const wish = context.fieldMedium ?? context.piece.wishes.base;
  const paints = allowed(context).filter(
    (product) =>
      (product.jobs.includes("colour") ||
        (product.jobs.includes("stain") &&
          !context.conditions.some((one) => one.oldFilm) &&
          (product.id === wish || (context.layers.length === 0 && lightness(field) <= lightness(context.material.bodyColour))) &&
          product.grips.includes(context.surface))) &&
      // On slick ware without a ground only what holds by itself.
      (context.surface !== "slick" || holds(product, context) || !product.bakeable || context.route === "air"),
  );
  const wished = paints.filter((product) => product.id === wish);
  const named = namedFields(context, paints);
  const chosen = wished.length > 0 ? wished : named.length > 0 ? named : paints;
  return {
    name: "base",
    alternatives: chosen.map((product) => fieldOf(product, context, field)),
    school: context.surface === "slick",
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
        filmDraft(
          product,
          {
            role: "isolate",
            phase: PHASE.isolate,
            coats: 2,
            ...sheenOf(product, "satin"),
            because: because("mistakes-wipe-off", "over it a wet mistake in the dots wipes off without harming the base"),
            checks: ["It looks evenly wet in raking light, then dries clear."],
          },
          context.surface,
        ),
      ],
    }));
  return { name: "isolation", alternatives: [NONE, ...alternatives], school: true, unmet: "" };
}

/** What is looked at before the first mark is set. */
function guideChecks(context: ZoneContext): readonly string[] {
  const rings = context.layers.some((layer) => layer.marks !== null);
  return rings ? ["Count the marks round the ring before you set the first."] : ["Draw lightly, and only as much as you need to find your way."];
}

/** Pencil on bisque needs no taking off: it burns away; water would only drive colour into the pores. */
function burntGuides(context: ZoneContext): DecisionVariable {
  const mark = aidDraft(productId("graphite-pencil"), {
    role: "mark",
    phase: PHASE.mark,
    because: because("guides", "marks that are set out end where they should; pencil burns away in the kiln"),
    checks: [...guideChecks(context), "A mistake is erased dry, never wetted."],
  });
  return { name: "guides", alternatives: [{ key: "graphite-pencil", steps: [mark] }, BY_EYE], school: false, unmet: "" };
}

/** Layers laid after the fields: what guides are for. A design drawn wholly in pens is drawn free. */
function wantsGuides(context: ZoneContext): boolean {
  const late = context.layers.filter((layer) => !layer.isField);
  const drawn = late.every(
    (layer) => layer.technique.method === "pen" || (layer.medium !== null && context.catalogue.products.get(layer.medium)?.methods[0] === "pen"),
  );
  return late.some((layer) => layer.technique.guided) && !drawn;
}

/** Glitter that comes in its own binder: no lock is laid over it for a point to press into. */
function isGlitterPaint({ medium, technique }: ZoneContext["layers"][number], { catalogue }: ZoneContext): boolean {
  return technique.loose && medium !== null && catalogue.products.get(medium)?.drying.by !== "none";
}

/** Guides for set-out marks, and what takes them off; or by eye. */
export function guides(context: ZoneContext): DecisionVariable | null {
  if (!wantsGuides(context)) return null;
  const on = context.field === null ? context.surface : "paint";
  const ground = context.field ?? context.material.bodyColour;
  const wish = context.piece.wishes.guide;
  if (context.route === "kiln") return burntGuides(context);
  const alternatives = [...context.catalogue.aids.values()]
    .filter((aid) => aid.guide?.marksOn.includes(on) && allowedAid(context, aid.id) && (isSeenOn(aid.guide.tone, ground) || aid.id === wish))
    .map((aid): Alternative => {
      // A point pressed into glitter tears it out along the line: it is scored into the coat beneath.
      const beneath = aid.id === productId("scored-line") && context.layers.some((layer) => layer.isField && isGlitterPaint(layer, context));
      const mark = aidDraft(aid.id, {
        role: "mark",
        phase: beneath ? PHASE.base + 2 : PHASE.mark,
        because: because("guides", "marks that are set out end where they should"),
        checks: guideChecks(context),
      });
      const off = aid.guide!.takenOffBy;
      const smears = aid.guide!.smears && lightness(ground) > LIGHT_ABOVE ? 0.5 : 0;
      // What bleeds, and what has to be pressed in, is for where nothing else will do.
      const strain = aid.guide!.bleeds ? 3 : off === null ? 1.5 : on === "slick" && off === productId("eraser") ? 1.5 : smears;
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
