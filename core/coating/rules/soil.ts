import { addBefore, aidStep, remove, setPiece, waitFix } from "./fixes";
import { filmsBelow, has, isFilm } from "../facts/facts";
import type { StackFacts } from "../facts/facts";
import type { Hit, Rule } from "./rule";
import { bodyDryMin } from "../facts/waits";
import { addCleaning, wholeWait, cleanedOf, firstFilm, rulesUnder, shortWait } from "./help";

function without(stack: StackFacts, id: string) {
  return setPiece(
    "conditions",
    stack.piece.conditions.filter((condition) => condition !== id),
  );
}

function soiled(stack: StackFacts, soil: Parameters<typeof cleanedOf>[1], adds: readonly string[]): readonly Hit[] {
  const first = firstFilm(stack);
  const carries = stack.conditions.some((condition) => condition.soil === soil);
  return first && carries && !cleanedOf(stack, soil) ? [{ at: first, change: addCleaning(stack, adds) }] : [];
}

/** What is on or in the piece and has to be off or out before the first film. */
export const SOIL_RULES: readonly Rule[] = rulesUnder("Surface", [
  {
    code: "surface-greasy",
    severity: "stop",
    when: "glass, glaze or a greasy piece is coated without degreasing",
    message: "{step} goes on the {zone} before the grease is off",
    why: "fingerprints and grease keep any film from touching {material}; it peels in sheets",
    fix: "Wash with soap, wipe with isopropyl alcohol, then no fingers.",
    find: (stack) => {
      const first = firstFilm(stack);
      const greasy = stack.material.surface === "slick" || stack.conditions.some((condition) => condition.soil === "grease");
      if (!first || !greasy || cleanedOf(stack, "grease")) return [];
      return [{ at: first, change: addCleaning(stack, ["soap-wash", ...(stack.piece.constraints.childSafe ? [] : ["isopropyl-alcohol"])]) }];
    },
  },
  {
    code: "surface-damp",
    metByPlanning: true,
    severity: "stop",
    when: "a washed, soaked or damp piece is coated before it is dry",
    message: "{step} goes on the {zone} before the {material} is dry",
    why: "water shut in behind a film pushes it off as it leaves",
    fix: "Let it dry right through first; weigh it on two days: dry is when the weight stays the same.",
    find: (stack) => {
      const first = firstFilm(stack);
      if (!first) return [];
      const wetted = stack.steps.slice(0, first.index).filter((fact) => fact.aid && fact.aid.wets !== "no");
      const hits = wetted.flatMap((lower) =>
        shortWait(stack, lower, first, bodyDryMin(stack, lower, "typical") / 2, () => ({
          severity: lower.aid!.wets === "damp" ? ("warn" as const) : ("stop" as const),
          change: waitFix(first, bodyDryMin(stack, lower, "typical"), "dry-body"),
        })),
      );
      const damp = stack.conditions.find((condition) => condition.id === "damp");
      const waited = wholeWait(stack, first);
      if (damp && waited === undefined) hits.push({ at: first, unknown: "If it has not dried out" });
      if (damp && waited !== undefined && waited < damp.driesForMin / 2)
        hits.push({ at: first, change: waitFix(first, damp.driesForMin - waited, "dry-body") });
      return hits.slice(0, 1);
    },
  },
  {
    code: "surface-dusty",
    when: "dust, sanding dust or powder is left under a coat",
    message: "{step} goes over the dust on the {zone}",
    why: "a film on dust holds the dust, not the surface",
    fix: "Wipe barely damp on stone and wood; dry brush on filler and bisque, which water softens.",
    find: (stack) => {
      let dusty: boolean = stack.conditions.some((condition) => condition.soil === "dust") && !cleanedOf(stack, "dust");
      for (const fact of stack.steps) {
        if (fact.aid?.makesDust) dusty = true;
        else if (fact.aid?.removes.includes("dust")) dusty = false;
        else if (isFilm(fact) && dusty && !has(fact, "fill")) {
          const soft = filmsBelow(stack, fact).at(-1)?.product?.traits.includes("water-sensitive");
          return [{ at: fact, change: addBefore(stack, fact, aidStep("dust-off", soft ? "dry-brush" : stack.material.dustOff)) }];
        }
      }
      return [];
    },
  },
  {
    code: "flaking-under",
    severity: "stop",
    ofPiece: true,
    when: "flaking paint is coated over",
    message: "the old paint on {piece} is flaking",
    why: "a new coat comes off with what it lies on",
    fix: "Test it for lead first. If it is safe, take it back to sound paint and say so here; else leave it, or ask a professional.",
    find: (stack) =>
      firstFilm(stack) && stack.piece.conditions.includes("flaking-old-paint") ? [{ at: null, culprits: [], change: without(stack, "flaking-old-paint") }] : [],
  },
  {
    code: "lead-sand",
    severity: "stop",
    when: "suspect old paint or glaze is sanded or scraped",
    message: "{step} would raise dust from old, flaking paint",
    why: "old paint may hold lead, and its dust poisons",
    fix: "Do not sand or scrape: test it; leave it, or ask a professional.",
    find: (stack) =>
      stack.piece.conditions.includes("flaking-old-paint")
        ? stack.steps.filter((fact) => fact.aid?.makesDust).map((fact) => ({ at: fact, change: remove(fact) }))
        : [],
  },
  {
    code: "beach-salt",
    when: "a shore stone is painted unsoaked",
    message: "salt from the shore is still in the {zone} under {step}",
    why: "salt draws water through the film and lifts it in blisters",
    fix: "Soak it in fresh water, change the water twice, then let it dry right through.",
    find: (stack) => soiled(stack, "shore-salt", ["fresh-water-soak"]),
  },
  {
    code: "release-agent",
    severity: "stop",
    when: "a cast still carries soap or mould release",
    message: "{step} goes over mould release on the {zone}",
    why: "release is made to keep things from sticking",
    fix: "Wash it off quickly with soap and let it dry.",
    find: (stack) => soiled(stack, "release-agent", ["soap-wash"]),
  },
  {
    code: "salts-under",
    severity: "stop",
    when: "white salts on a used pot are painted over",
    message: "white salts are still on the {zone} under {step}",
    why: "they keep growing out of the wall and push the film off",
    fix: "Brush them off, soak, dry, and seal the inside.",
    find: (stack) => soiled(stack, "salts", ["salt-brush", "fresh-water-soak"]),
  },
  {
    code: "green-wood",
    when: "a fresh slice of wood is painted before it has dried",
    message: "{step} goes on fresh wood",
    why: "wood above about 12–15 % moisture shrinks and splits under the film",
    fix: "Let it dry for weeks in moving air; weigh it until the weight stays the same.",
    find: (stack) => {
      const green = stack.conditions.find((condition) => condition.id === "green-wood");
      const first = firstFilm(stack);
      if (!green || !first) return [];
      const waited = wholeWait(stack, first);
      if (waited === undefined) return [{ at: first, unknown: "If it has not dried out" }];
      return waited < green.driesForMin / 2 ? [{ at: first, change: waitFix(first, green.driesForMin - waited, "dry-body") }] : [];
    },
  },
]);
