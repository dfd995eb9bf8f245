import { productId } from "../../catalogue/ids";
import type { Form } from "../../piece/form";
import type { Change } from "../model/change";
import { FIRING } from "../facts/firing";
import { addAfter, addBefore, aidStep, remove, set, swap, waitFix } from "./fixes";
import { films, filmsBelow, has, isColour, isFilm, lastFilm, withRole } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { stepWord } from "./judge";
import type { Rule } from "./rule";
import { waitedBetween } from "../facts/waits";
import { asChange, heatSteps, rulesUnder, shortWait, suitable, under, withoutOven } from "./help";

/** Below this a film on a tray marks under a hot cup, °C [from memory]. */
const HOT_CUP_C = 80;

/** Narrower than this the flame stands near the wall, mm [from memory]. */
const FLAME_NEAR_MM = 150;

/** How far it is across where the flame stands, mm; what is only known by its area counts as narrow. */
function acrossMm(form: Form): number {
  switch (form.kind) {
    case "pebble":
    case "box":
      return Math.min(form.lengthMm, form.widthMm);
    case "frustum":
      return form.topDiameterMm;
    case "goblet":
      return form.bowlDiameterMm;
    case "custom":
      return 0;
    default:
      return form.diameterMm;
  }
}

/** Another class that does the same work and does not mind the warmth. */
function awayFromFlame(stack: StackFacts, fact: StepFact): readonly Change[] {
  const { technique } = fact.step;
  const other = suitable(
    stack,
    (product) =>
      !product.traits.includes("not-by-flame") &&
      product.methods[0] === (fact.product!.methods[0] === "pour" ? "brush" : fact.product!.methods[0]) &&
      (technique === undefined ? product.jobs.some((job) => has(fact, job)) : product.techniques.includes(technique)) &&
      (isColour(fact) || stack.zone.wears.every((wear) => product.resists[wear] !== undefined)),
  );
  return other ? swap(fact, other.id, { coats: other.coats, ...(other.sheens[0] && !isColour(fact) ? { sheen: other.sheens[0] } : {}) }) : [];
}

function ovens(stack: StackFacts): readonly StepFact[] {
  return heatSteps(stack).filter((fact) => fact.aid!.heat!.kind === "oven");
}

/** Every film on the piece goes into the oven with it. */
function filmsInOven(stack: StackFacts): readonly StepFact[] {
  return [...films(stack), ...stack.others.flatMap(films)];
}

/** A film the oven would spoil gives way: a colour to one that bakes, anything else is left out. */
function heatSafe(stack: StackFacts, weak: StepFact): readonly Change[] {
  const { technique } = weak.step;
  const baked = suitable(
    stack,
    (product) => product.bakeable !== null && (technique === undefined ? product.jobs.includes("colour") : product.techniques.includes(technique)),
  );
  return isColour(weak) && baked ? swap(weak, baked.id) : remove(weak);
}

/** Films in a zone that a use keeps bare for this reason, and their removal. */
export function filmsWhereBare(code: string) {
  return (stack: StackFacts) => {
    const bare = stack.zone.mustStayBare;
    const laid = films(stack);
    const first = laid[0];
    // A food-safe glaze, fired, is what plates and cups are covered with.
    if (laid.at(-1)?.product?.foodClaim && stack.steps.some((fact) => fact.aid?.heat?.kind === "kiln")) return [];
    return bare?.code === code && first ? [{ at: first, words: { because: bare.why }, change: stack.steps.flatMap((fact) => remove(fact)) }] : [];
  };
}

export const HEAT_RULES: readonly Rule[] = rulesUnder("Heat", [
  {
    code: "not-heat-safe",
    severity: "stop",
    acrossZones: true,
    when: "a film or the piece itself cannot take the bake",
    message: "{step} at {heat} °C is too much for {what}",
    why: "it softens, browns, cracks or gives off fumes",
    fix: "Take paint that is made to bake and leave out what is not, or let it all cure in the air.",
    find: (stack) =>
      ovens(stack).flatMap((oven) => {
        const temperatureC = oven.step.heat?.temperatureC ?? 163;
        const limit = stack.material.bakeMaxC.value;
        const weak = filmsInOven(stack).find((fact) => !fact.product!.bakeable || fact.product!.bakeable.higherC < temperatureC);
        const what = limit === null || limit < temperatureC ? stack.material.name.toLowerCase() : weak ? stepWord(weak, stack) : null;
        return what
          ? [
              {
                at: oven,
                ...(weak ? { culprits: [oven, ...(stack.steps.includes(weak) ? [weak] : [])] } : {}),
                words: { heat: String(temperatureC), what },
                change: limit !== null && limit >= temperatureC && weak ? heatSafe(stack, weak) : [...remove(oven), ...withoutOven(stack)],
              },
            ]
          : [];
      }),
  },
  {
    code: "bake-too-soon",
    metByPlanning: true,
    when: "paint is baked before it has dried the stated time",
    message: "{step} comes before {under} has had its full day",
    why: "water left in the film boils and blisters it",
    fix: "Wait a full day.",
    find: (stack) =>
      ovens(stack).flatMap((oven) =>
        filmsBelow(stack, oven)
          .filter((fact) => fact.product!.bakeable)
          .slice(-1)
          .flatMap((lower) =>
            shortWait(stack, lower, oven, lower.product!.bakeable!.afterMin, (short) => ({
              words: under(lower, stack),
              change: waitFix(oven, short, "dry-through"),
            })),
          ),
      ),
  },
  {
    code: "wet-body-heat",
    severity: "stop",
    when: "stone, clay or anything damp is put in the oven",
    message: "{material} in the oven can crack or burst",
    why: "water in its pores turns to steam faster than it can leave",
    fix: "Let the paint cure in the air instead.",
    find: (stack) =>
      ovens(stack)
        .filter(() => stack.material.surface === "porous" || stack.piece.conditions.includes("damp"))
        .map((oven) => ({ at: oven, change: remove(oven) })),
  },
  {
    code: "vapour-in-heat",
    severity: "stop",
    when: "alcohol or solvent comes straight before the oven",
    message: "{step} follows straight on {under}",
    why: "its vapour can catch fire in a hot oven",
    fix: "Let it air off completely first.",
    find: (stack) =>
      heatSteps(stack).flatMap((oven) => {
        const below = stack.steps[oven.index - 1];
        const vapour = below && (below.aid?.vapour || below.product?.carrier === "solvent");
        if (!below || !vapour) return [];
        const waited = waitedBetween(stack, below, oven);
        return waited !== undefined && waited < 10 ? [{ at: oven, words: under(below, stack), change: waitFix(oven, 24 * 60, "dry-through") }] : [];
      }),
  },
  {
    code: "bake-hot-start",
    severity: "stop",
    when: "glass or glaze goes into a hot oven, or comes out hot",
    message: "{step} on {material} has to start cold and cool inside",
    why: "a sudden change of heat cracks glass and glaze",
    fix: "Start from a cold oven, count from when it is hot, cool inside with the door ajar.",
    find: (stack) =>
      stack.material.surface !== "slick"
        ? []
        : ovens(stack)
            .filter((oven) => oven.step.heat?.start === "hot" || oven.step.heat?.cool === "out")
            .map((oven) => ({ at: oven, change: set(oven, "heat", { ...oven.step.heat!, start: "cold", cool: "inside" }) })),
  },
  {
    code: "fired-and-unfired",
    severity: "stop",
    when: "unfired paint is on a piece bound for the kiln",
    message: "{under} burns off in the kiln",
    why: "ordinary paint is plastic; only kiln colours stay",
    fix: "Take one route: kiln colours and fire, or paint and no firing.",
    find: (stack) =>
      withRole(stack, "fire").flatMap((kiln) => {
        const paint = filmsBelow(stack, kiln).find((fact) => !fact.product!.kilnSafe);
        if (!paint) return [];
        // With kiln colours on it too the kiln is right, and the paint is what has to change.
        const raw = filmsBelow(stack, kiln).some((fact) => fact.product!.traits.includes("needs-firing"));
        const { technique } = paint.step;
        const fired = suitable(stack, (product) => (technique === undefined ? product.jobs.includes("colour") : product.techniques.includes(technique)));
        const change = !raw ? [...remove(kiln), ...withoutOven(stack)] : isColour(paint) && fired ? swap(paint, fired.id) : remove(paint);
        return [{ at: kiln, culprits: [kiln, paint], words: under(paint, stack), change }];
      }),
  },
  {
    code: "never-fired",
    severity: "stop",
    when: "kiln colour or glaze is on a piece that is not fired",
    message: "{step} on the {zone} is not fired",
    why: "until it has been in the kiln it is powder that washes off",
    fix: "Fire it, or take a paint that sets by itself.",
    find: (stack) => {
      const raw = films(stack).find((fact) => fact.product!.traits.includes("needs-firing"));
      if (!raw || withRole(stack, "fire").length > 0) return [];
      const top = stack.steps.at(-1)!;
      return [
        { at: raw, culprits: [raw], missing: ["fire"], change: addAfter(stack, top, { ...aidStep("fire", "kiln-fire"), heat: FIRING.value, group: "fire" }) },
      ];
    },
  },
  {
    code: "unglazed-food",
    severity: "stop",
    when: "a fired plate or cup has no food-safe glaze where food or drink lies",
    message: "the {zone} is fired without a food-safe glaze",
    why: "underglaze alone is porous and its colour is not sealed in",
    fix: "Cover it with a clear glaze that is labelled food-safe, and fire to its label.",
    find: (stack) => {
      const bare = stack.zone.mustStayBare?.code;
      const fire = withRole(stack, "fire")[0];
      const last = films(stack).at(-1);
      if (!fire || !last || last.product!.foodClaim || (bare !== "food-side" && bare !== "lip-zone")) return [];
      return [
        { at: last, culprits: [last, fire], missing: ["seal"], change: addBefore(stack, fire, { role: "seal", product: productId("clear-glaze"), coats: 2 }) },
      ];
    },
  },
  {
    code: "microwave-energy",
    severity: "stop",
    when: "a microwave is used instead of an oven's heat",
    message: "{step} does not set paint on the {zone}",
    why: "microwaves heat water and spark on metallic paint; a recipe at 180 °C means the convection oven",
    fix: "Use an ordinary oven, from cold.",
    find: (stack) =>
      stack.steps.filter((fact) => fact.step.product === "microwave").map((fact) => ({ at: fact, culprits: [fact], change: swap(fact, "oven-bake") })),
  },
  {
    code: "flame-near-film",
    severity: "stop",
    when: "a film lies inside or above a flame",
    message: "{step} is inside or above the flame on the {zone}",
    why: "{because}",
    fix: "Leave it bare.",
    find: filmsWhereBare("flame-near-film"),
  },
  {
    code: "softens-by-flame",
    severity: "stop",
    when: "resin, decoupage medium or oil paint is on a narrow candle holder, or on a wide one's wall",
    message: "{step} is too near the flame on the {zone}",
    why: "it softens or blisters where it grows warm, and it burns; the wall of a candle holder is hot near the lip and wherever the flame stands close",
    fix: "Take waterborne acrylics outside, and leave the inside and the rim bare; on a wide holder keep this at least 20 mm below the lip.",
    find: (stack) => {
      if (!stack.uses.some((use) => use.flame) || stack.zone.template.exposure === "underside") return [];
      const near = acrossMm(stack.piece.form) < FLAME_NEAR_MM;
      return films(stack)
        .filter((fact) => fact.product!.traits.includes("not-by-flame"))
        .map((fact) => ({ at: fact, culprits: [fact], severity: near ? ("stop" as const) : ("warn" as const), change: () => awayFromFlame(stack, fact) }));
    },
  },
  {
    code: "hot-cup",
    when: "a tray for hot cups is topped with resin or acrylic",
    message: "{step} on the {zone} will mark under a hot cup",
    why: "it softens well below the heat of fresh tea",
    fix: "Use a polyurethane, and coasters.",
    find: (stack) => {
      const last = lastFilm(stack);
      if (!last || !stack.zone.wears.includes("wet-rings") || !stack.uses.some((use) => use.hotThings) || last.product!.maxTempC >= HOT_CUP_C) return [];
      const hard = suitable(
        stack,
        (product) => product.jobs.includes("seal") && product.maxTempC >= HOT_CUP_C && stack.zone.wears.every((wear) => product.resists[wear]),
      );
      return [
        {
          at: last,
          culprits: [last],
          missing: last.step.role === "seal" ? [] : ["isolate", "lock", "seal"],
          change:
            isFilm(last) && !isColour(last) && !films(stack).some((fact) => fact.product!.rewettable)
              ? asChange(hard, (id) => swap(last, id, { coats: stack.catalogue.products.get(id)!.coats }))
              : [],
        },
      ];
    },
  },
]);
