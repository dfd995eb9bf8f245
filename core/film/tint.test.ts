/** Recipes for colours: what is conserved, what is nearest, what is asked for in vain. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { colourDifference, lightness } from "./colour";
import { COLOUR_NAMES } from "./colour-names";
import { mixedColour, mixedContrastRatio, usualContrastRatio } from "./mix";
import { jarsToReach } from "./reach";
import { finished, isWorthTelling, nearnessOf, paintOf, plainest, REACHES_BELOW, recipeKey, startOf, tint, tinting } from "./tint";
import type { TintPaint } from "./tint";

const named = (...names: string[]): readonly TintPaint[] => names.map((name) => ({ id: name, colour: COLOUR_NAMES[name]! }));
const ELEVEN = named("white", "black", "navy", "red", "yellow", "cream", "terracotta", "teal", "grey", "amber", "brown");
const byte = fc.integer({ min: 25, max: 235 });
const hex = fc.tuple(byte, byte, byte).map((channels) => `#${channels.map((one) => one.toString(16).padStart(2, "0")).join("")}`);
const shelf = fc.uniqueArray(hex, { minLength: 2, maxLength: 7 }).map((colours) => colours.map((colour, at): TintPaint => ({ id: `p${at}`, colour })));

/** From this ΔE00 on two mixtures are both another colour, and which is farther nobody asks. */
const FAR_OFF = 10;

/** The mixture of a recipe, mixed anew from its shares. */
const mixedAnew = (paints: readonly TintPaint[], parts: readonly { readonly id: string; readonly share: number }[]) =>
  mixedColour(parts.map(({ id, share }) => ({ ...paintOf(paints.find((one) => one.id === id)!), parts: share })));

describe("a recipe", () => {
  test("is whole in volume and in shares, in drops that can be counted, and comes to the colour it says, best first", () => {
    fc.assert(
      fc.property(shelf, hex, fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 3 }), (paints, target, volumeMl, parts) => {
        const { recipes, reachable } = tint({ target, paints, volumeMl, parts });
        expect(recipes.length).toBeGreaterThan(0);
        expect(reachable).toBe(recipes[0]!.deltaE < REACHES_BELOW);
        expect([...recipes].sort((a, b) => a.deltaE - b.deltaE)).toEqual(recipes);
        for (const recipe of recipes) {
          expect(recipe.parts.length).toBeLessThanOrEqual(parts);
          expect(recipe.parts.reduce((sum, { ml }) => sum + ml, 0)).toBeCloseTo(volumeMl, 9);
          expect(recipe.parts.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
          expect(recipe.parts.every(({ drops, ml }) => Number.isInteger(drops) && Math.abs(drops - ml * 20) <= 0.5 + 1e-9)).toBe(true);
          expect(recipe.parts.some(({ id }) => id === recipe.startWith)).toBe(true);
          expect(recipe.colour).toBe(mixedAnew(paints, recipe.parts));
          // Told to a whole step of each channel, and inside what a screen shows, the colour is where the recipe says it is.
          if (recipe.deltaE < 4) expect(Math.abs(colourDifference(recipe.colour, target) - recipe.deltaE)).toBeLessThan(1.5);
        }
      }),
      { numRuns: 15 },
    );
  });

  test("no mixture of two of its paints in any tenth comes nearer than the best one found", () => {
    fc.assert(
      fc.property(shelf, hex, (paints, target) => {
        const best = tint({ target, paints, volumeMl: 100 }).recipes[0]!;
        for (const [at, one] of paints.entries())
          for (const other of paints.slice(at + 1))
            for (let tenth = 1; tenth < 10; tenth += 1) {
              const mixed = mixedAnew(paints, [
                { id: one.id, share: tenth / 10 },
                { id: other.id, share: 1 - tenth / 10 },
              ]);
              const far = colourDifference(mixed, target);
              // A told colour is rounded to a step of each channel, which in the darks is much; of what is far off nobody asks which is farther.
              if (far < FAR_OFF) expect(best.deltaE).toBeLessThan(1.05 * far + 0.8);
            }
      }),
      { numRuns: 12, seed: 20261127 },
    );
  });

  test("no mixture of three of its paints on a fine grid comes nearer than the best one found", () => {
    const paints = named("white", "red", "yellow", "teal", "navy");
    for (const target of ["#b9a06a", "#8a5a58", "#5f8f86", "#d8b49a", "#44505c"]) {
      const best = tint({ target, paints, volumeMl: 100 }).recipes[0]!;
      for (const [i, one] of paints.entries())
        for (const [j, two] of paints.entries())
          for (const [k, three] of paints.entries()) {
            if (!(i < j && j < k)) continue;
            for (let a = 1; a < 12; a += 1)
              for (let b = 1; a + b < 12; b += 1) {
                const shares = [a / 12, b / 12, 1 - (a + b) / 12];
                const mixed = mixedColour([one, two, three].map((paint, at) => ({ ...paintOf(paint), parts: shares[at]! })));
                expect(best.deltaE).toBeLessThan(1.03 * colourDifference(mixed, target) + 0.6);
              }
          }
    }
  });

  test("the more paints there are, and the more of them may be mixed, the nearer it comes", () => {
    for (const target of ["#b9a06a", "#7a6a90", "#9fb8a0"]) {
      const best = (count: number, parts: number) => tint({ target, paints: ELEVEN.slice(0, count), parts, volumeMl: 100 }).recipes[0]!.deltaE;
      expect(best(11, 3)).toBeLessThanOrEqual(best(11, 2) + 0.05);
      expect(best(11, 2)).toBeLessThanOrEqual(best(11, 1) + 0.05);
      expect(best(11, 3)).toBeLessThanOrEqual(best(5, 3) + 0.05);
    }
  });

  test("paints that are all but alike, and the very same paint twice, do not lead it astray", () => {
    const twins = [...named("white", "terracotta"), { id: "white again", colour: COLOUR_NAMES.white! }, { id: "nearly white", colour: "#faf9f5" }];
    const { recipes, reachable } = tint({ target: "#e0b49c", paints: twins });
    expect(reachable).toBe(tint({ target: "#e0b49c", paints: named("white", "terracotta") }).reachable);
    for (const { parts, deltaE } of recipes) expect([Number.isFinite(deltaE), parts.every(({ share }) => share > 0)]).toEqual([true, true]);
  });

  test("a mixture that was made of three paints is found again", () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 16 }), fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 6 }), (white, second, third) => {
        const of = named("white", "terracotta", "teal").map((paint, at) => ({ ...paintOf(paint), parts: [white, second, third][at]! }));
        expect(tint({ target: mixedColour(of), paints: ELEVEN, volumeMl: 50 }).recipes[0]!.deltaE).toBeLessThan(0.8);
      }),
      { numRuns: 8 },
    );
  });

  test("a jar of the very colour is the recipe; its own drops are counted by its own dropper", () => {
    const [only] = tint({
      target: COLOUR_NAMES.teal!,
      paints: [{ id: "teal", colour: COLOUR_NAMES.teal!, dropsPerMl: 14 }, ...named("white")],
      volumeMl: 5,
    }).recipes;
    expect(only).toMatchObject({ parts: [{ id: "teal", share: 1, ml: 5, drops: 70 }], startWith: "teal" });
    expect(tint({ target: "#112233", paints: [] })).toEqual({ reachable: false, recipes: [] });
  });

  test("is begun with white for a pale colour, and with the most of it for a dark one", () => {
    const first = (target: string) => plainest(tint({ target, paints: ELEVEN }).recipes)!;
    expect(first(COLOUR_NAMES.peach!).startWith).toBe("white");
    expect(first("#24384f").startWith).toBe("navy");
    const parts = [
      { id: "a", colour: "#fbfaf6", share: 0.4 },
      { id: "b", colour: "#c5281f", share: 0.6 },
    ];
    expect([startOf(parts, "#f0b0a0").id, startOf(parts, "#8a2018").id]).toEqual(["a", "b"]);
  });

  test("is told with the fewest paints that look no worse", () => {
    const recipe = (deltaE: number, count: number) => ({
      parts: Array.from({ length: count }, (_unused, at) => ({ id: `${at}`, share: 1 / count, ml: 1, drops: 20 })),
      colour: "#000000",
      deltaE,
      startWith: "0",
    });
    expect(plainest([recipe(0.2, 3), recipe(0.8, 2), recipe(3, 1)])!.parts).toHaveLength(2);
    expect(plainest([recipe(2.5, 3), recipe(6, 2)])!.parts).toHaveLength(3);
    expect(plainest([])).toBeNull();
  });

  test("may be left between two steps, and says how far it has come", () => {
    const steps = tinting({
      target: "#5a7a6a",
      paints: Array.from({ length: 40 }, (_unused, at) => ({ id: `p${at}`, colour: `#${(0x303030 + at * 0x040302).toString(16)}` })),
    });
    const shares: number[] = [];
    for (let step = steps.next(); step.done !== true; step = steps.next()) shares.push(step.value);
    expect(shares.length).toBeGreaterThan(2);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(finished(tinting({ target: "#5a7a6a", paints: ELEVEN })).recipes.length).toBeGreaterThan(0);
  });
});

describe("paints of another kind", () => {
  test("are taken in only where the first do not come to the colour", () => {
    const [first, further] = [named("white", "terracotta", "amber"), named("magenta", "violet")];
    const enough = tint({ target: COLOUR_NAMES.peach!, paints: first, further });
    expect(enough).toEqual(tint({ target: COLOUR_NAMES.peach!, paints: first }));
    const more = tint({ target: COLOUR_NAMES.lilac!, paints: first, further });
    expect(more.recipes[0]!.deltaE).toBeLessThan(tint({ target: COLOUR_NAMES.lilac!, paints: first }).recipes[0]!.deltaE);
    expect(more.recipes[0]!.parts.some(({ id }) => id === "violet" || id === "magenta")).toBe(true);
  });
});

describe("how near a mixture comes", () => {
  test.each([
    [0.9, "same", true],
    [1.9, "alike", true],
    [3.9, "close", true],
    [9.9, "near", false],
    [10, "far", false],
  ] as const)("ΔE00 of %p is %s", (deltaE, word, worth) => expect([nearnessOf(deltaE), isWorthTelling({ deltaE })]).toEqual([word, worth]));

  test("a recipe is known by its paints, whatever their order", () => {
    const part = (id: string) => ({ id, share: 0.5, ml: 5, drops: 100 });
    expect(recipeKey({ parts: [part("b"), part("a")] })).toBe(recipeKey({ parts: [part("a"), part("b")] }));
    expect(recipeKey({ parts: [part("a")] })).not.toBe(recipeKey({ parts: [part("a"), part("b")] }));
  });
});

describe("what cannot be reached", () => {
  test("is told, with the nearest; one jar more reaches it, and that is true", () => {
    const { reachable, recipes } = tint({ target: COLOUR_NAMES.lavender!, paints: ELEVEN });
    expect([reachable, recipes[0]!.deltaE > REACHES_BELOW]).toEqual([false, true]);
    const reach = jarsToReach(COLOUR_NAMES.lavender!, ELEVEN)!;
    expect(reach.names).toHaveLength(1);
    const bought = named(...reach.names);
    expect(tint({ target: COLOUR_NAMES.lavender!, paints: [...ELEVEN, ...bought] }).reachable).toBe(true);
  });

  test("two jars where one does not do; none for what is brighter than paint", () => {
    const skyBlue = mixedColour(named("white", "blue").map((paint, at) => ({ ...paintOf(paint), parts: [8, 1][at]! })));
    const reach = jarsToReach(skyBlue, named("red"))!;
    expect(reach.names).toEqual(["white", "blue"]);
    expect(reach.recipe.deltaE).toBeLessThan(REACHES_BELOW);
    expect(jarsToReach("#00ff00", named("white", "black"))).toBeNull();
  });
});

describe("how a mixture hides", () => {
  test("lies between its paints where both are about as dark, and a dark paint hides better than a pale one of its class", () => {
    expect(usualContrastRatio("#1b1b1d", 0.8)).toBeGreaterThan(0.99);
    expect(usualContrastRatio("#fbfaf6", 0.65)).toBe(0.65);
    const ratio = mixedContrastRatio([
      { colour: "#f4efe2", contrastRatio: 0.7, parts: 1 },
      { colour: "#f6e9d2", contrastRatio: 0.9, parts: 1 },
    ]);
    expect(ratio).toBeGreaterThan(0.7);
    expect(ratio).toBeLessThan(0.9);
  });

  test("a paint twice as strong by volume tints twice as much: half of it does", () => {
    const white = { colour: "#fbfaf6", contrastRatio: 0.85, parts: 10 };
    const red = { colour: "#c5281f", contrastRatio: 0.9 };
    const strong = mixedColour([white, { ...red, wetMicrons: 37.5, parts: 1 }]);
    const weak = mixedColour([white, { ...red, wetMicrons: 75, parts: 2 }]);
    expect(colourDifference(strong, weak)).toBeLessThan(0.5);
    expect(lightness(mixedColour([white, { ...red, parts: 1 }]))).toBeGreaterThan(lightness(weak));
  });
});
