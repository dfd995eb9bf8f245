import { BODIES } from "../../catalogue/product-class";
import type { ProductClass } from "../../catalogue/product-class";
import { addBefore, remove, set, swap, waitFix } from "./fixes";
import { coversField, films, filmsBelow, has, isFilm, isLoose, withRole } from "../facts/facts";
import { FLUID_MEDIUM } from "../../film/consistency";
import { purposeOf } from "../../film/purposes";
import { fitOf, isLean, usualThinning } from "../../film/thinning";
import type { StackFacts } from "../facts/facts";
import { crossesOilAndWater, leastWaitMin, runsInto } from "../facts/waits";
import type { Rule } from "./rule";
import { another, asChange, isBaked, onBare, rulesUnder, shortWait, suitable, under } from "./help";

const holdsDot = (product: ProductClass) => product.film.body !== null && BODIES.indexOf(product.film.body) >= BODIES.indexOf("soft-dot");

/** Binder crossings, in one direction or the other. */
function crossing(stack: StackFacts, oilOnTop: boolean) {
  return films(stack).flatMap((upper) =>
    filmsBelow(stack, upper)
      .filter((lower) => crossesOilAndWater(upper, lower) && (upper.product!.drying.by === "oxidation") === oilOnTop)
      .slice(-1)
      .flatMap((lower) =>
        shortWait(stack, lower, upper, leastWaitMin(upper, lower, stack) ?? 0, (short) => ({
          words: under(lower, stack),
          change: waitFix(upper, short, "dry-through"),
        })),
      ),
  );
}

export const GROUND_RULES: readonly Rule[] = rulesUnder("Ground and colour", [
  {
    code: "thin-on-thirsty",
    severity: "stop",
    when: "thin art paint goes on a bare porous surface",
    message: "{step} is made for paper; the bare {zone} will drink it",
    why: "its little binder sinks in with the water and leaves powder",
    fix: "Prime first, or use a paint made for porous surfaces.",
    find: (stack) =>
      onBare(stack)
        .filter((fact) => fact.product!.traits.includes("for-paper") && stack.material.absorbency.value !== "none")
        .map((fact) => ({
          at: fact,
          change: () =>
            asChange(
              suitable(stack, (product) => product.jobs.includes("ground") && product.grips.includes(stack.material.surface)),
              (id) => addBefore(stack, fact, { role: "prime", product: id, coats: 1 }),
            ),
        })),
  },
  {
    code: "stain-over-film",
    severity: "stop",
    when: "a stain goes over a primer or a paint",
    message: "{step} goes over {under} and cannot sink in",
    why: "a stain colours by soaking into bare wood; on a film it only smears",
    fix: "Leave out what lies under it.",
    find: (stack) =>
      films(stack)
        .filter((fact) => has(fact, "stain"))
        .flatMap((fact) => {
          const below = filmsBelow(stack, fact).find((lower) => !has(lower, "fill") && !has(lower, "stain"));
          return below ? [{ at: fact, culprits: [fact, below], words: under(below, stack), change: remove(below) }] : [];
        }),
  },
  {
    code: "not-durable-paint",
    severity: "stop",
    when: "poster paint is used on anything kept or handled",
    message: "{step} on the {zone} never sets",
    why: "it dusts off on hands and washes off with the first drop",
    fix: "Use another paint.",
    find: (stack) =>
      stack.uses.some((use) => use.kept)
        ? films(stack)
            .filter((fact) => fact.product!.traits.includes("never-sets"))
            .map((fact) => ({
              at: fact,
              culprits: [fact],
              change: () =>
                asChange(
                  another(stack, fact, (product) => !product.traits.includes("never-sets") && !product.rewettable),
                  (id) => swap(fact, id),
                ),
            }))
        : [],
  },
  {
    code: "primer-on-bake-route",
    when: "a ground lies under paint that is baked on glass or glaze",
    message: "{step} keeps the baked paint from the {material}",
    why: "baked paint grips the glaze itself; a ground in between is the weak layer",
    fix: "Leave it out.",
    find: (stack) =>
      isBaked(stack) && stack.material.surface === "slick"
        ? withRole(stack, "prime", "size")
            .filter(isFilm)
            .map((fact) => ({ at: fact, change: remove(fact) }))
        : [],
  },
  {
    code: "dots-run-in-grain",
    when: "thin paint is used for dots on wood",
    message: "{step} is too thin for dots on wood",
    why: "it slumps even over a base coat, and runs along bare grain",
    fix: "Take a thicker paint, loosened with a fluid medium, not with water.",
    find: (stack) =>
      stack.material.surface !== "wood"
        ? []
        : films(stack)
            .filter((fact) => fact.technique?.needsBody && fact.product!.film.body !== null && !holdsDot(fact.product!))
            .map((fact) => ({ at: fact, culprits: [fact], change: () => asChange(another(stack, fact, holdsDot), (id) => swap(fact, id)) })),
  },
  {
    code: "over-thinned",
    when: "water goes beyond what the paint carries",
    message: "{step} is thinned with too much water",
    why: "the binder gets lean: the film chalks and lifts",
    fix: "Thin with a fluid medium instead.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const thinning = fact.step.thinning;
        if (!thinning) return [];
        const onGround = filmsBelow(stack, fact).some(coversField);
        const lean = isLean(fact.product!, stack.material.surface, thinning, purposeOf(fact.step, fact.product!), onGround);
        return lean ? [{ at: fact, change: set(fact, "thinning", { with: FLUID_MEDIUM, percent: thinning.percent }) }] : [];
      }),
  },
  {
    code: "too-loose",
    when: "paint for dots, bands or stencils is thinned until it no longer keeps its shape",
    message: "{step} is too loose for {what} now",
    why: "it spreads before it sets: dots run flat into each other, and edges creep under the mask",
    fix: "Thin it less, or take a thicker paint.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const { thinning } = fact.step;
        if (!thinning || thinning.percent === 0 || !(fact.technique?.needsBody || fact.technique?.mask)) return [];
        const purpose = purposeOf(fact.step, fact.product!);
        if (fitOf(fact.product!, purpose, thinning) !== "too-loose") return [];
        const usual = usualThinning(fact.product!, purpose, stack.material.surface);
        return [{ at: fact, words: { what: fact.technique.name.toLowerCase() }, change: set(fact, "thinning", usual) }];
      }),
  },
  {
    code: "wet-effect-on-dry",
    when: "blending or swirling is asked over a dry coat",
    message: "{step} is to be blended, but the coat is left to dry first",
    why: "colours only run into one another while they are wet",
    fix: "Lay it and blend it in one go, while it is wet.",
    find: (stack) =>
      films(stack)
        .filter((fact) => fact.technique?.while === "wet" && fact.step.while === "dry")
        .map((fact) => ({ at: fact, change: set(fact, "while", "wet") })),
  },
  {
    code: "layer-on-wet",
    metByPlanning: true,
    when: "a layer is laid on one that is not dry",
    message: "{step} goes on before {under} has dried",
    why: "the wet coat drags, and the solvent in the new one is shut in",
    fix: "Wait until it can be coated again.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const lower = filmsBelow(stack, fact)
          .filter((below) => !isLoose(below))
          .at(-1);
        if (!lower || runsInto(fact.step, lower.step) || has(lower, "fill") || fact.step.role === "seal" || crossesOilAndWater(fact, lower)) return [];
        return shortWait(stack, lower, fact, leastWaitMin(fact, lower, stack) ?? 0, (short) => ({
          words: under(lower, stack),
          change: waitFix(fact, short, "dry-to-recoat"),
        }));
      }),
  },
  {
    code: "water-over-oil-early",
    metByPlanning: true,
    when: "a waterborne film goes over an oil one that is not dry through",
    message: "{step} goes over {under} too early",
    why: "the hard new skin cracks as the oil beneath still moves",
    fix: "Wait until the oil is dry right through.",
    find: (stack) => crossing(stack, false),
  },
  {
    code: "oil-over-water-early",
    metByPlanning: true,
    when: "an oil film goes over a waterborne one that is not dry through",
    message: "{step} goes over {under} too early",
    why: "water still leaving lifts the oil film in blisters",
    fix: "Wait until the coat beneath is dry right through.",
    find: (stack) => crossing(stack, true),
  },
  {
    code: "film-too-thick",
    when: "an oil film or mark is thicker than it can dry",
    message: "{step} is laid too thick here",
    why: "oil dries from the skin inwards; a thick film wrinkles and stays soft",
    fix: "Use a waterborne paint for thick marks.",
    find: (stack) =>
      films(stack)
        .filter(
          (fact) =>
            fact.product!.drying.by === "oxidation" && fact.step.marks !== undefined && (fact.wetMicrons ?? 0) > (fact.product!.film.maxWetMicrons ?? Infinity),
        )
        .map((fact) => ({
          at: fact,
          culprits: [fact],
          change: () =>
            asChange(
              another(stack, fact, (product) => product.drying.by === "evaporation" && holdsDot(product)),
              (id) => swap(fact, id),
            ),
        })),
  },
]);
