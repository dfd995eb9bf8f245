import { earliestRecoatMin } from "../../drying/stages";
import { addBefore, aidStep, swap, waitFix } from "./fixes";
import { filmsBelow, films, has, isWaterborne, withRole } from "../facts/facts";
import type { Rule } from "./rule";
import { asChange, rulesUnder, shortWait, suitable, under } from "./help";
import { isOutdoors, meetsWet } from "../facts/demands";

/** Filler: through, sanded, fit for the wet, and held. */
export const FILLER_RULES: readonly Rule[] = rulesUnder("Surface", [
  {
    code: "filler-not-through",
    metByPlanning: true,
    when: "filler is sanded or coated before it has changed colour and feels hard",
    message: "{step} comes before {under} is dry right through",
    why: "soft filler tears under the sponge and sinks under the coat",
    fix: "Wait until it is pale all over and hard to a fingernail.",
    find: (stack) =>
      withRole(stack, "fill").flatMap((fill) => {
        const next = stack.steps[fill.index + 1];
        const needed = fill.product ? (earliestRecoatMin(fill.product, stack.room) ?? 0) : 0;
        return next ? shortWait(stack, fill, next, needed, (short) => ({ words: under(fill, stack), change: waitFix(next, short, "dry-through") })) : [];
      }),
  },
  {
    code: "filler-not-sanded",
    when: "a film goes over filler that was not sanded",
    message: "{step} goes over {under} that is not sanded",
    why: "filler stands proud of the face and shows as an edge through every coat",
    fix: "Sand it flush, and take the dust off.",
    find: (stack) =>
      withRole(stack, "fill").flatMap((fill) => {
        const next = films(stack).find((fact) => fact.index > fill.index);
        if (!next || has(next, "fill") || stack.steps.slice(fill.index, next.index).some((fact) => fact.aid?.givesKey)) return [];
        const soft = fill.product?.traits.includes("water-sensitive");
        return [
          {
            at: next,
            culprits: [fill, next],
            missing: ["sand"] as const,
            words: under(fill, stack),
            change: [
              ...addBefore(stack, next, aidStep("sand", "sanding")),
              ...addBefore(stack, next, aidStep("dust-off", soft ? "dry-brush" : stack.material.dustOff)),
            ],
          },
        ];
      }),
  },
  {
    code: "filler-outdoors",
    when: "a porous filler stands outdoors, in wet soil or in the wash",
    message: "{step} does not stand the wet",
    why: "it drinks water through the first crack, swells, and pushes the coats off",
    fix: "Take a wet-proof filler, or a cement patch on stone and clay.",
    find: (stack) => {
      if (!meetsWet(stack)) return [];
      return withRole(stack, "fill")
        .filter((fact) => fact.product?.traits.includes("water-sensitive"))
        .map((fact) => ({
          at: fact,
          culprits: [fact],
          change: () =>
            asChange(
              suitable(stack, (product) => product.traits.includes("stands-wet") && product.grips.includes(stack.material.surface)),
              (id) => swap(fact, id),
            ),
        }));
    },
  },
  {
    code: "filler-unlocked",
    when: "water-sensitive filler lies straight under a waterborne colour, glitter or varnish",
    message: "{under} lies straight under {step}",
    why: "water softens the filler again and the coat sinks or lifts there",
    fix: "Lock it with a size or a primer coat.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const below = filmsBelow(stack, fact).at(-1);
        if (!below?.product?.traits.includes("water-sensitive") || has(fact, "fill") || !isWaterborne(fact)) return [];
        if (has(fact, "size") || has(fact, "ground")) return [];
        const size = suitable(stack, (product) => product.jobs.includes("size") && product.grips.includes(stack.material.surface));
        return [
          {
            at: fact,
            culprits: [fact, below],
            missing: ["size", "prime"],
            words: under(below, stack),
            severity: isOutdoors(stack) ? ("stop" as const) : ("warn" as const),
            change: () => asChange(size, (id) => addBefore(stack, fact, { role: "size", product: id, coats: 1 })),
          },
        ];
      }),
  },
]);
