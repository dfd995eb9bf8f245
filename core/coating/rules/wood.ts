import { PALE_GROUND } from "../../film/colour";
import type { ProductClass } from "../../catalogue/product-class";
import { addAfter, addBefore, aidStep, swap } from "./fixes";
import { coversField, filmsBelow, films, has, isColour, isWaterborne } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { bleedsThrough, hasKnots, showsBleed } from "../facts/demands";
import type { Rule } from "./rule";
import { asChange, firstFilm, rulesUnder, suitable } from "./help";

/** Colour in which brown or resin would be seen: its own, or that of a white ground with no field of colour over it. */
function seenColour(fact: StepFact, stack: StackFacts): string | null {
  if (fact.step.colour !== undefined) return isColour(fact) && !has(fact, "stain") ? fact.step.colour : null;
  const pale = (fact.product?.traits.includes("pale") ?? false) && !has(fact, "fill");
  return pale && !films(stack).some((above) => above.index > fact.index && coversField(above) && isColour(above)) ? PALE_GROUND : null;
}

/** On the wood itself, or on a stain, which is colour and no barrier. */
function onWood(fact: StepFact, stack: StackFacts): boolean {
  return !filmsBelow(stack, fact).some((below) => coversField(below) && !has(below, "stain"));
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
    when: "a waterborne coat pale enough to show it lies on hardwood or knots, stained or not, with no stain-blocker",
    message: "{material} {shows} stain through {step}",
    why: "water draws the brown out of the wood into a pale film, outdoors within a summer into a mid one too; a stain is no barrier",
    fix: "Put a stain-blocking primer under it.",
    find: (stack) => {
      if (!bleedsThrough(stack)) return [];
      const shown = films(stack).flatMap((fact) => {
        const colour = seenColour(fact, stack);
        const shows = colour === null ? "no" : showsBleed(colour, stack);
        const laid = isWaterborne(fact) && !has(fact, "block-stain") && (coversField(fact) || onWood(fact, stack));
        return laid && shows !== "no" && !filmsBelow(stack, fact).some((below) => has(below, "block-stain")) ? [{ light: fact, shows }] : [];
      });
      const hit = shown.find(({ shows }) => shows === "yes") ?? shown[0];
      if (!hit) return [];
      const { light, shows } = hit;
      // Where the grain is to be seen, stained or not, only what is clear may go; under knots only what is borne in alcohol holds.
      const grained = !coversField(light) || filmsBelow(stack, light).some((below) => has(below, "stain"));
      const blocks = (product: ProductClass) => product.jobs.includes("block-stain") && product.traits.includes("pale") !== grained;
      const blocker = (hasKnots(stack) && suitable(stack, (product) => blocks(product) && product.carrier === "solvent")) || suitable(stack, blocks);
      const ground = filmsBelow(stack, light).find((fact) => has(fact, "ground"));
      return [
        {
          at: light,
          culprits: [light],
          missing: ["size", "prime"] as const,
          words: { shows: shows === "yes" ? "will" : "may in time" },
          severity: shows === "yes" ? ("warn" as const) : ("note" as const),
          change: () =>
            asChange(blocker || null, (id) =>
              ground
                ? swap(ground, id)
                : addBefore(stack, light, { role: grained ? "size" : "prime", product: id, coats: grained || !hasKnots(stack) ? 1 : 2 }),
            ),
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
