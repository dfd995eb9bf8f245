import type { ProductClass } from "../../catalogue/product-class";
import { MIN_PER_DAY } from "../../units/duration";
import { addAfter, addBefore, aidStep, swap, waitFix } from "./fixes";
import { films, filmsBelow, has, isClear, isColour, isLoose, isWorkedWet } from "../facts/facts";
import type { StepFact } from "../facts/facts";
import { liftedUnder } from "../facts/old-film";
import type { Rule } from "./rule";
import { bodyDryMin, leastWaitMin, waitedBetween } from "../facts/waits";
import { asChange, clears, rulesUnder, seals, shortWait, suitable, under } from "./help";

/** Worked over the face by hand, whatever carries it. */
function isBrushedOver(fact: StepFact): boolean {
  const method = fact.step.method ?? fact.product!.methods[0];
  return isWorkedWet(fact) || (isClear(fact) && method === "brush");
}

/** What lies under the next film, or loose, and has to be held or given time. */
export const LOCKING_RULES: readonly Rule[] = rulesUnder("Locking and sealing", [
  {
    code: "brush-over-rewettable",
    severity: "stop",
    when: "anything wet is brushed over a layer that stays water-soluble",
    message: "{step} brushed over {under} takes it off",
    why: "the layer below dissolves again in water and comes away with the brush",
    fix: "Mist a solvent-borne clear spray over it first, or instead.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const bare = liftedUnder(stack, fact);
        if (!bare || !isBrushedOver(fact) || fact.product!.rewettable) return [];
        // What is brushed on in solvent does not dissolve it, and still drags it.
        const severity = bare.product!.rewettable && isWorkedWet(fact) ? ("stop" as const) : ("warn" as const);
        const spray = suitable(
          stack,
          (product) =>
            product.jobs.includes("lock") &&
            product.methods[0] === "spray" &&
            (!isClear(fact) || stack.zone.wears.every((wear) => product.resists[wear] !== undefined)),
        );
        return [
          {
            at: fact,
            culprits: [fact, bare],
            missing: ["lock"] as const,
            words: under(bare, stack),
            severity,
            change: () =>
              asChange(spray, (id) => (isClear(fact) ? swap(fact, id, { coats: 3 }) : addBefore(stack, fact, { role: "lock", product: id, coats: 2 }))),
          },
        ];
      }),
  },
  {
    code: "rewettable-bare",
    when: "a layer that stays water-soluble is left with no film over it",
    message: "{step} on the {zone} is left bare",
    why: "it never sets: a damp finger or a damp cloth takes it off for good",
    fix: "Mist a clear spray over it; a brush would take it off.",
    find: (stack) => {
      const bare = films(stack).findLast((fact) => fact.product!.rewettable && !fact.product!.traits.includes("never-sets"));
      if (!bare || films(stack).some((above) => above.index > bare.index && isClear(above))) return [];
      const spray = suitable(
        stack,
        (product) => product.jobs.includes("seal") && product.methods[0] === "spray" && stack.zone.wears.every((wear) => product.resists[wear] !== undefined),
      );
      const wet = stack.zone.wears.some((wear) => wear === "weather" || wear === "washing");
      return [
        {
          at: bare,
          culprits: [bare],
          missing: ["lock", "isolate", "seal"] as const,
          severity: wet ? ("stop" as const) : ("warn" as const),
          change: () => asChange(spray, (id) => addAfter(stack, bare, { role: "seal", product: id, coats: stack.catalogue.products.get(id)!.coats })),
        },
      ];
    },
  },
  {
    code: "solvent-lifts",
    when: "a solvent spray or resin goes over pens before they are dry through",
    message: "{step} may dissolve {under}",
    why: "a wet pass of solvent moves ink and crazes young acrylic",
    fix: "Wait a day; then two or three dry, misty passes from a distance; test on a scrap.",
    find: (stack) =>
      films(stack)
        .filter((fact) => isClear(fact) && fact.product!.carrier !== "water" && !isLoose(fact))
        .flatMap((fact) =>
          filmsBelow(stack, fact)
            .filter((lower) => lower.product!.methods[0] === "pen")
            .slice(-1)
            .flatMap((lower) =>
              shortWait(stack, lower, fact, lower.product!.drying.through?.typical ?? MIN_PER_DAY, (short) => ({
                words: under(lower, stack),
                change: waitFix(fact, short, "dry-through"),
              })),
            ),
        ),
  },
  {
    code: "window-shut",
    when: "the next coat comes after the product's recoat window has shut",
    message: "{step} comes too late over {under}",
    why: "it has hardened past the point where the next coat bites into it",
    fix: "Wash it and scuff it dull first.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const lower = filmsBelow(stack, fact).at(-1);
        const until = lower?.product?.drying.recoat?.untilMin ?? null;
        if (
          !lower ||
          until === null ||
          (has(lower, "fill") && lower.step.role === "fill" && stack.steps.slice(lower.index, fact.index).some((one) => one.aid?.givesKey))
        )
          return [];
        const waited = waitedBetween(stack, lower, fact);
        if (waited === undefined || waited <= until) return [];
        const reopens = lower.product!.drying.through?.typical ?? Infinity;
        const scuffed = stack.steps.slice(lower.index, fact.index).some((one) => one.aid?.givesKey);
        if (scuffed || waited >= reopens * 0.75) return [];
        return [
          {
            at: fact,
            culprits: [lower, fact],
            missing: ["sand", "isolate", "mark", "lock"],
            words: under(lower, stack),
            change: [...addBefore(stack, fact, aidStep("sand", "scuffing")), ...addBefore(stack, fact, aidStep("dust-off", "dry-brush"))],
          },
        ];
      }),
  },
  {
    code: "loose-not-locked",
    severity: "stop",
    when: "glitter or powder is not locked before the last seal",
    message: "{step} on the {zone} is not locked before the last seal",
    why: "the sealer's brush or spray carries loose particles all over the piece",
    fix: "Lay a thin size coat over it and let it dry; crystals go on after the last coat.",
    find: (stack) =>
      films(stack)
        .filter((fact) => isLoose(fact) && fact.step.technique !== "crystals")
        .flatMap((fact) => {
          const above = clears(stack).filter((over) => over.index > fact.index);
          const locked = above.some((over) => over.step.role !== "seal") || above.length > 1;
          if (locked) return [];
          const wetBelow = filmsBelow(stack, fact).some((below) => below.product!.rewettable);
          // With no seal above it the lock is the last film, and has to stand what the zone meets.
          const isLast = !seals(stack).some((seal) => seal.index > fact.index);
          const stands = (product: ProductClass) => !isLast || stack.zone.wears.every((wear) => product.resists[wear] !== undefined);
          const lock = suitable(stack, (product) => product.jobs.includes("lock") && (!wetBelow || product.methods[0] === "spray") && stands(product));
          return [{ at: fact, change: () => asChange(lock, (id) => addAfter(stack, fact, { role: "lock", product: id, coats: 1 })) }];
        }),
  },
  {
    code: "seal-too-early",
    metByPlanning: true,
    when: "a sealer goes on before the thickest mark is dry through",
    message: "{step} goes on before {under} is dry right through",
    why: "water and solvent shut in under a clear film cloud it and keep it soft",
    fix: "Wait a full day or two; the thickest mark decides.",
    find: (stack) =>
      seals(stack).flatMap((seal) => {
        const outstanding = (lower: StepFact) => (leastWaitMin(seal, lower, stack) ?? 0) - (waitedBetween(stack, lower, seal) ?? 0);
        const [slowest] = filmsBelow(stack, seal)
          .filter((lower) => isColour(lower) && !isLoose(lower))
          .sort((a, b) => outstanding(b) - outstanding(a));
        if (!slowest) return [];
        return shortWait(stack, slowest, seal, leastWaitMin(seal, slowest, stack) ?? 0, (short) => ({
          words: under(slowest, stack),
          change: waitFix(seal, short, "dry-through"),
        }));
      }),
  },
  {
    code: "resin-over-damp",
    severity: "stop",
    when: "resin goes over a piece that is not dry",
    message: "{step} goes over the {zone} while it is still damp",
    why: "resin turns milky on damp, and water under it lifts it off",
    fix: "Let it dry right through first.",
    find: (stack) =>
      films(stack)
        .filter((fact) => fact.product!.traits.includes("two-part"))
        .flatMap((fact) => {
          const wetted = stack.steps
            .slice(0, fact.index)
            .filter((lower) => lower.aid && lower.aid.wets !== "no")
            .at(-1);
          if (!wetted) return [];
          const needed = bodyDryMin(stack, wetted, "typical");
          return shortWait(stack, wetted, fact, needed / 2, () => ({ change: waitFix(fact, needed, "dry-body") }));
        }),
  },
]);
