import { lightness, LIGHT_ABOVE } from "../../film/colour";
import { addAfter, addBefore, aidStep, swap } from "./fixes";
import { coversField, filmsBelow, films, has, isColour, isWaterborne } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { bleedsThrough, hasKnots } from "../facts/demands";
import type { Rule } from "./rule";
import { asChange, firstFilm, onBare, rulesUnder, suitable } from "./help";

/** Pale to look at: a pale colour, or a white ground with no field of colour over it. */
function isPale(fact: StepFact, stack: StackFacts): boolean {
  if (fact.step.colour !== undefined) return lightness(fact.step.colour) > LIGHT_ABOVE;
  return (
    (fact.product?.traits.includes("pale") ?? false) &&
    !has(fact, "fill") &&
    !films(stack).some((above) => above.index > fact.index && coversField(above) && isColour(above))
  );
}

/** What wood does to a film: grain that rises, tannin and knots that bleed. */
export const WOOD_RULES: readonly Rule[] = rulesUnder("Surface", [
  {
    code: "grain-raised",
    severity: "note",
    when: "a waterborne first coat on bare wood is not sanded after",
    message: "{step} will raise the grain, and the next coat will lock it in",
    why: "water swells the cut fibres; they stand up like stubble",
    fix: "Sand lightly, 240–320, once the first coat is dry.",
    find: (stack) => {
      const first = firstFilm(stack);
      if (!first || !stack.material.traits.includes("raises-grain") || !isWaterborne(first) || has(first, "fill") || !coversField(first)) return [];
      // Under an old coat no grain is bare; wetted and sanded beforehand it stays down.
      const before = stack.steps.slice(0, first.index);
      const wetted = before.findIndex((fact) => fact.aid && fact.aid.wets !== "no");
      if (stack.conditions.some((condition) => condition.oldFilm) || (wetted >= 0 && before.slice(wetted).some((fact) => fact.aid?.givesKey))) return [];
      const next = films(stack)[1];
      const sanded = stack.steps.slice(first.index + 1, next?.index).some((fact) => fact.aid?.givesKey);
      if (!next || sanded) return [];
      return [
        { at: first, change: [...addAfter(stack, first, aidStep("dust-off", stack.material.dustOff)), ...addAfter(stack, first, aidStep("sand", "sanding"))] },
      ];
    },
  },
  {
    code: "tannin-bleed",
    when: "a light waterborne coat lies on hardwood or knots with no stain-blocker",
    message: "{material} will stain through {step}",
    why: "water draws the brown out of the wood into a pale film",
    fix: "Put a stain-blocking primer under it.",
    find: (stack) => {
      if (!bleedsThrough(stack)) return [];
      const light = films(stack).find(
        (fact) => isWaterborne(fact) && isPale(fact, stack) && (coversField(fact) || onBare(stack).includes(fact)) && !has(fact, "block-stain"),
      );
      if (!light || filmsBelow(stack, light).some((fact) => has(fact, "block-stain"))) return [];
      const blocker = suitable(stack, (product) => product.jobs.includes("block-stain"));
      const ground = filmsBelow(stack, light).find((fact) => has(fact, "ground"));
      return [
        {
          at: light,
          culprits: [light],
          missing: ["size", "prime"] as const,
          change: () => asChange(blocker, (id) => (ground ? swap(ground, id) : addBefore(stack, light, { role: "prime", product: id, coats: 1 }))),
        },
      ];
    },
  },
  {
    code: "knots-want-alcohol",
    when: "knots lie under a waterborne stain-blocker",
    message: "{step} does not hold knots back for long",
    why: "resin goes on bleeding out of a knot, and water does not hold it; an alcohol-borne blocker does",
    fix: "Take the alcohol-borne stain-blocking primer, two coats over the knots.",
    find: (stack) => {
      // Nothing with solvent is for a child: two coats of the waterborne one, and the knot may still show.
      if (!hasKnots(stack)) return [];
      return films(stack)
        .filter((fact) => has(fact, "block-stain") && isWaterborne(fact))
        .map((fact) => ({
          at: fact,
          culprits: [fact],
          severity: stack.piece.constraints.childSafe ? ("note" as const) : ("warn" as const),
          change: () =>
            asChange(
              suitable(stack, (product) => product.jobs.includes("block-stain") && product.jobs.includes("ground") && product.carrier === "solvent"),
              (id) => swap(fact, id, { coats: 2 }),
            ),
        }));
    },
  },
]);
