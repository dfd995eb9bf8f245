import { lightness, LIGHT_ABOVE } from "../../film/colour";
import { productName } from "../../catalogue/catalogue";
import { productId } from "../../catalogue/ids";
import { allowed, holds } from "./context";
import type { ZoneContext } from "./context";
import { bleedsThrough, hasKnots, showsBleed } from "../facts/demands";
import { isThirsty } from "../../film/thinning";
import type { ProductClass } from "../../catalogue/product-class";
import { aidDraft, because, filmDraft, NONE } from "./draft";
import { PHASE } from "../facts/phase";
import type { Alternative, DecisionVariable } from "./draft";
import { dustOff } from "./variables-surface";

/** Marks that show it set straight on wood whose brown or resin comes through, stained or not. */
function stainsMarks(context: ZoneContext): boolean {
  return (
    context.surface === "wood" &&
    (context.field === null || isStained(context)) &&
    bleedsThrough(context) &&
    context.layers.some((layer) => layer.colour !== null && showsBleed(layer.colour, context) !== "no")
  );
}

/** One coat of a size, and why. */
function sized(product: ProductClass, context: ZoneContext, why: ReturnType<typeof because>, check: string, phase: number = PHASE.size): Alternative {
  return {
    key: product.id,
    // What is made to size first of all; a varnish or a ground does it too.
    strain: product.jobs[0] === "size" ? 0 : 1,
    steps: [filmDraft(product, { role: "size", phase, coats: 1, because: why, checks: [check] }, context.surface)],
  };
}

/** A size: a clear blocker under pale marks on brown wood; over soft filler; or on bare stone that is to stay light under a clear film. */
export function sizing(context: ZoneContext): DecisionVariable | null {
  const filled = context.conditions.some((one) => one.uneven) || context.material.traits.includes("bumpy");
  const staysBare = context.field === null && context.material.traits.includes("darkens-under-film");
  const variable = (alternatives: readonly Alternative[]): DecisionVariable => ({
    name: "sizing",
    alternatives: [NONE, ...alternatives],
    school: false,
    unmet: "nothing locks this surface",
  });
  if (stainsMarks(context)) {
    const why = because("stains-held", "the wood's brown would come through pale marks; a clear blocker holds it back and leaves the grain to be seen");
    // A stain sinks into bare wood only: what holds the brown back goes over it.
    const phase = isStained(context) ? PHASE.base + 1 : PHASE.size;
    const clears = allowed(context).filter((product) => product.jobs.includes("block-stain") && !product.traits.includes("pale"));
    return variable(clears.map((product) => sized(product, context, why, "It shines evenly all over; dull spots get a second coat.", phase)));
  }
  if ((!filled && !staysBare) || context.route === "kiln") return null;
  const sizes = allowed(context).filter(
    (product) => product.jobs.includes("size") && holds(product, context) && (!staysBare || !product.traits.includes("pale")),
  );
  const why = staysBare
    ? because("stays-light", "a clear film darkens bare stone; a size first keeps it lighter")
    : because("filler-locked", "water softens filler again until it is locked");
  const check = staysBare ? "Test on the back first and let it dry: wet, it always looks dark." : "The filler no longer darkens under a damp finger.";
  return variable(sizes.map((product) => sized(product, context, why, check)));
}

function groundText(context: ZoneContext, traits: { grip: boolean; blocks: boolean }): { code: string; text: string } {
  if (traits.grip && context.surface === "slick") return { code: "hold", text: `${context.material.name.toLowerCase()} gives paint no grip of its own` };
  if (traits.blocks) return { code: "stains-held", text: "it holds back the brown that water draws out of the wood" };
  if (context.zone.template.exposure === "contents")
    return { code: "wall-sealed", text: "once it is primed inside and out, water no longer creeps through the wall and lifts the paint" };
  if (context.material.traits.includes("water-moves-through") && context.zone.wears.includes("weather"))
    return { code: "wall-sealed", text: "it slows water in the wall and gives the colour an even hold" };
  return { code: "even-ground", text: "it evens out the thirst of the surface and saves coats of colour" };
}

/** The base colour itself as the ground: its first coat thinned like milk, so that it sinks into a thirsty surface and binds it. A school of its own. */
function thinnedFirst(context: ZoneContext): readonly Alternative[] {
  const { field, surface } = context;
  if (field === null || context.blended || context.zone.treatment === "protect" || surface !== "porous" || !isThirsty(context.material.absorbency.value))
    return [];
  const paints = allowed(context).filter(
    (product) =>
      product.jobs.includes("colour") && product.carrier === "water" && product.ungroundedUpTo !== null && product.usual.rank === 0 && !product.rewettable,
  );
  return paints.map((product) => ({
    key: `thinned-${product.id}`,
    strain: 1,
    steps: [
      filmDraft(
        product,
        {
          role: "prime",
          phase: PHASE.ground,
          coats: 1,
          colour: field,
          because: because("even-ground", "thinned like milk, the first coat of the colour itself sinks in and binds the thirsty surface"),
          checks: ["It goes dull at once where it sinks in; no puddles."],
        },
        surface,
      ),
    ],
  }));
}

/** The field is to be a stain. */
function isStained({ field, fieldMedium, piece, surface, conditions, catalogue }: ZoneContext): boolean {
  const medium = fieldMedium ?? (surface === "wood" && !conditions.some((one) => one.oldFilm) ? piece.wishes.base : undefined);
  return field !== null && medium !== undefined && (catalogue.products.get(medium)?.jobs.includes("stain") ?? false);
}

/** The ground under a field of colour: each class that holds here, or none where the colour needs none. */
export function ground(context: ZoneContext): DecisionVariable | null {
  if (context.route === "kiln") return null;
  const protects = context.zone.treatment === "protect";
  if (context.field === null && !protects) return null;
  // A stain colours by sinking into the bare wood.
  if (isStained(context)) return null;
  const lightOnWood = context.surface === "wood" && context.field !== null && lightness(context.field) > LIGHT_ABOVE;
  const products = allowed(context).filter((product) => product.jobs.includes("ground") && product.grips.includes(context.surface));
  const edges = context.material.traits.includes("thirsty-edges");
  const bleeds = context.surface === "wood" && bleedsThrough(context);
  const knots = hasKnots(context);
  const wish = context.piece.wishes.primer;
  const primed = (product: ProductClass): Alternative => {
    const { code, text } = groundText(context, {
      grip: product.jobs.includes("grip"),
      blocks: product.jobs.includes("block-stain") && context.surface === "wood",
    });
    const prime = filmDraft(
      product,
      {
        role: "prime",
        phase: PHASE.ground,
        coats: lightOnWood || edges || (knots && product.jobs.includes("block-stain")) ? Math.max(2, product.coats) : product.coats,
        because: because(code, text),
        checks: [
          "One even, thin coat, strokes in one direction; no bare spots against the light.",
          ...(edges ? ["A second coat on the cut edges: they drink the first."] : []),
        ],
      },
      context.surface,
    );
    const raises = context.material.traits.includes("raises-grain") && product.carrier === "water" && !context.conditions.some((one) => one.oldFilm);
    const sand = aidDraft(productId("sanding"), {
      role: "sand",
      phase: PHASE.ground,
      because: because("level-surface", "the first waterborne coat raises the grain; sanded once it stays down"),
      checks: ["240–320, lightly: smooth again, and no wood showing through."],
    });
    return { key: product.id, steps: raises ? [prime, sand, dustOff(context, null, PHASE.ground)] : [prime] };
  };
  const alternatives = products.map(primed);
  const wished: Alternative[] = alternatives.filter((alternative) => alternative.key === wish);
  // The ground the user wants does not hold the brown back: a blocker goes under it.
  const asked = products.find((product) => product.id === wish);
  if (asked && bleeds && !asked.jobs.includes("block-stain") && context.field !== null)
    for (const blocker of products.filter((product) => product.jobs.includes("block-stain"))) {
      const over = filmDraft(
        asked,
        {
          role: "prime",
          phase: PHASE.ground,
          coats: 1,
          because: because("even-ground", "it is the ground you want; the blocker under it holds the brown back"),
          checks: [],
        },
        context.surface,
      );
      wished.push({ key: `${blocker.id}+${asked.id}`, steps: [...primed(blocker).steps, over] });
    }
  if (wished.length > 0) return { name: "ground", alternatives: wished, school: false, unmet: "" };
  return {
    name: "ground",
    alternatives: [...alternatives, ...thinnedFirst(context), { ...NONE, strain: { slick: 0, porous: 3.4, wood: 4 }[context.surface] }],
    school: true,
    unmet: `nothing grounds ${productName(context.catalogue, productId(context.material.id))}`,
  };
}
