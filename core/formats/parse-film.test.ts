/** What `film`, `hide` and `tint` are asked: bad input with its place, and answers that hold for every kind of paint. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../catalogue/catalogue";
import { runVerb } from "../cli-verbs";
import type { FilmAnswer } from "../film/film";

const ask = (verb: string, document: object) => runVerb(verb, JSON.stringify(document));
function answer<T>(verb: string, document: object): T {
  const given = ask(verb, document);
  if (!given.ok) throw new Error(`${given.problem.path}: ${given.problem.message}`);
  return given.value as T;
}

const FILM = { product: "craft-acrylic", areaMm2: 1000, coats: 1 };
const HIDE = { paint: { colour: "#f5c518", contrastRatio: 0.8 }, over: "#1b1b1d" };
const TINT = { target: "#f4bf9d", paints: [{ id: "white", colour: "#fbfaf6" }] };

describe("what cannot be taken is told with its place", () => {
  test.each([
    ["film", { ...FILM, product: "moon-paint" }, "product"],
    ["film", { ...FILM, product: "loose-glitter" }, "product"],
    ["film", { ...FILM, areaMm2: -1 }, "areaMm2"],
    ["film", { ...FILM, coats: 1.5 }, "coats"],
    ["film", { ...FILM, tool: "trowel" }, "tool"],
    ["film", { ...FILM, material: "moon-rock" }, "material"],
    ["film", { ...FILM, marks: { count: 0, diameterMm: 5 } }, "marks.count"],
    ["film", { product: "craft-acrylic", coats: 1 }, "areaMm2"],
    ["hide", { ...HIDE, over: "terracotta" }, "over"],
    ["hide", { ...HIDE, over: { material: "moon-rock" } }, "over.material"],
    ["hide", { ...HIDE, paint: { colour: "#f5c518" } }, "paint"],
    ["hide", { ...HIDE, paint: { colour: "#f5c518", contrastRatio: 0.8, product: "craft-acrylic" } }, "paint"],
    ["hide", { ...HIDE, paint: { colour: "yellow", contrastRatio: 0.8 } }, "paint.colour"],
    ["hide", { ...HIDE, paint: { colour: "#f5c518", contrastRatio: 1.2 } }, "paint.contrastRatio"],
    ["hide", { ...HIDE, paint: { colour: "#f5c518", product: "moon-paint" } }, "paint.product"],
    ["hide", { ...HIDE, paint: { colour: "#f5c518", product: "acrylic-varnish" } }, "paint.product"],
    ["hide", { ...HIDE, coatsUpTo: 0 }, "coatsUpTo"],
    ["tint", { ...TINT, target: "peach" }, "target"],
    ["tint", { ...TINT, paints: [] }, "paints"],
    ["tint", { ...TINT, paints: [TINT.paints[0], TINT.paints[0]] }, "paints.1"],
    ["tint", { ...TINT, parts: 4 }, "parts"],
    ["tint", { ...TINT, volumeMl: 0 }, "volumeMl"],
    ["tint", { ...TINT, mood: "calm" }, "mood"],
  ])("%s %j", (verb, document, path) => expect(ask(verb, document)).toMatchObject({ ok: false, problem: { path } }));
});

const FILMS = [...CATALOGUE.products.values()].filter(({ film }) => film.wetMicrons !== null && film.volumeSolidsPercent !== null).map(({ id }) => id);

describe("film", () => {
  test("for every kind of paint: paint and thinner make the volume, twice the coats dry twice as thick, a bigger piece takes no less", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FILMS),
        fc.integer({ min: 0, max: 500_000 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 0, max: 100 }),
        (product, areaMm2, coats, thinningPercent) => {
          const one = answer<FilmAnswer>("film", { product, areaMm2, coats, thinningPercent });
          const bigger = answer<FilmAnswer>("film", { product, areaMm2: areaMm2 + 10_000, coats, thinningPercent });
          expect(one.jarMl + one.thinnerMl).toBeCloseTo(one.volumeMl, 6);
          expect(one.thinnerMl).toBeCloseTo((one.jarMl * thinningPercent) / 100, 6);
          expect(bigger.volumeMl).toBeGreaterThan(one.volumeMl);
          expect(one.dryMicrons).toBeLessThanOrEqual(one.wetMicrons);
          // What it covers by its rate is what it was laid on, but for what the tool keeps.
          const perCoat = (bigger.jarMl - one.jarMl) / coats;
          expect(0.01 / (perCoat / 1000)).toBeCloseTo(one.spreadingRateM2PerL, 4);
        },
      ),
      { numRuns: 150 },
    );
  });
});

interface Hide {
  readonly coats: number | null;
  readonly approximate?: true;
  readonly perCoat: readonly {
    readonly coats: number;
    readonly colour: string;
    readonly deltaE: number | null;
    readonly covered?: { readonly from: number; readonly to: number };
  }[];
}

describe("hide", () => {
  test("a class hides as its own ratio says, over the very body of a material", () => {
    const clay = CATALOGUE.materials.get("terracotta" as never)!.bodyColour;
    const byClass = answer<Hide>("hide", { paint: { product: "craft-acrylic", colour: "#1f3a4d" }, over: { material: "terracotta" } });
    const ratio = CATALOGUE.products.get("craft-acrylic" as never)!.film.contrastRatio!;
    expect(byClass).toEqual(answer<Hide>("hide", { paint: { contrastRatio: ratio, colour: "#1f3a4d" }, over: clay }));
  });

  test("an effect is told by area, as a range, and says that it is approximate", () => {
    const flake = answer<Hide>("hide", { paint: { product: "metallic-acrylic", colour: "#c29a3f" }, over: "#1b1b1d", coatsUpTo: 3 });
    expect(flake).toMatchObject({ approximate: true, coats: 2 });
    expect(flake.perCoat).toHaveLength(3);
    for (const { deltaE, covered } of flake.perCoat) expect([deltaE, covered!.from <= covered!.to]).toEqual([null, true]);
  });

  test("as many coats are told as are asked about, each in a colour", () => {
    const { perCoat } = answer<Hide>("hide", { ...HIDE, coatsUpTo: 12 });
    expect(perCoat.map(({ coats }) => coats)).toEqual(Array.from({ length: 12 }, (_unused, at) => at + 1));
    expect(perCoat.every(({ colour }) => /^#[0-9a-f]{6}$/.test(colour))).toBe(true);
  });
});

describe("tint", () => {
  test("capital letters of a colour are a colour; the drops are those of the dropper", () => {
    const found = answer<{ readonly recipes: readonly { readonly parts: readonly { readonly drops: number; readonly ml: number }[] }[] }>("tint", {
      target: "#F4BF9D",
      paints: [
        { id: "white", colour: "#FBFAF6" },
        { id: "coral", colour: "#EC6A56", contrastRatio: 0.9 },
      ],
      volumeMl: 8,
      dropsPerMl: 16,
    });
    for (const { parts } of found.recipes) for (const { drops, ml } of parts) expect(drops).toBe(Math.round(ml * 16));
  });
});
