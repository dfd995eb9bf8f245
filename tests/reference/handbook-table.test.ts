/** The catalogue's numbers against the trade handbook's table of product classes (§4), typed here a second time by hand. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";

interface Row {
  readonly id: string;
  /** Volume solids %, wet film µm, touch-dry min, recoat min, before sealing h, cure d, coldest °C, contrast ratio; null where the table has a dash. */
  readonly row: readonly [number | null, number | null, number, number | null, number | null, number | null, number, number | null];
}

const H = 60;
const TABLE: readonly Row[] = [
  { id: "gesso", row: [45, 90, 20, H, null, 3, 8, 0.9] },
  { id: "white-craft-acrylic", row: [38, 75, 20, H, 24, 14, 8, 0.85] },
  { id: "adhesion-primer", row: [40, 70, 30, H, null, 7, 8, 0.8] },
  { id: "stain-blocking-primer", row: [45, 70, 30, 4 * H, null, 3, 5, 0.92] },
  { id: "masonry-primer", row: [20, 60, H, 4 * H, null, 1, 5, 0.05] },
  { id: "craft-acrylic", row: [35, 75, 20, H, 24, 21, 8, 0.8] },
  { id: "satin-multisurface", row: [34, 60, 30, H, 48, 21, 10, 0.78] },
  { id: "gloss-enamel-acrylic", row: [38, 75, H, H, 24, 21, 10, 0.82] },
  { id: "soft-body-acrylic", row: [40, 90, 30, H, 24, 21, 9, 0.85] },
  { id: "heavy-body-acrylic", row: [45, 150, 45, 3 * H, 48, 30, 9, 0.92] },
  { id: "fluid-acrylic", row: [32, 50, 15, 45, 24, 14, 9, 0.75] },
  { id: "dimensional-acrylic", row: [50, 800, 6 * H, 12 * H, 48, 30, 9, 0.98] },
  { id: "house-emulsion", row: [38, 100, H, 4 * H, 24, 28, 8, 0.93] },
  { id: "masonry-paint", row: [45, 120, H, 4 * H, 24, 14, 5, 0.95] },
  { id: "solvent-enamel", row: [50, 60, 6 * H, 20 * H, 72, 14, 5, 0.95] },
  { id: "poster-paint", row: [30, 80, 20, 30, null, null, 5, 0.75] },
  { id: "thin-art-paint", row: [15, 50, 10, 30, null, 7, 9, 0.3] },
  { id: "metallic-acrylic", row: [35, 70, 30, H, 24, 21, 9, null] },
  { id: "pearl-acrylic", row: [35, 70, 30, H, 24, 21, 9, null] },
  { id: "interference-acrylic", row: [35, 60, 30, H, 24, 21, 9, null] },
  { id: "fluorescent-acrylic", row: [33, 70, 20, H, 24, 14, 9, 0.45] },
  { id: "glitter-acrylic", row: [35, 200, 2 * H, 4 * H, 24, 14, 9, null] },
  { id: "metallic-watercolour", row: [20, 30, 10, 20, null, null, 5, 0.4] },
  { id: "acrylic-paint-pen", row: [30, 25, 5, 20, 24, 7, 8, 0.75] },
  { id: "oil-paint-marker", row: [35, 20, 10, H, 24, 3, 5, 0.8] },
  { id: "pigment-brush-pen", row: [null, null, 2, 10, 24, 1, 5, null] },
  { id: "ceramic-paint-air", row: [38, 70, H, 4 * H, 24, 21, 10, 0.8] },
  { id: "spray-paint", row: [20, 40, 15, 20, 24, 7, 10, 0.6] },
  { id: "wood-stain", row: [15, 40, H, 4 * H, 24, 7, 8, null] },
  { id: "decoupage-medium", row: [45, 110, 20, H, null, 28, 8, null] },
  { id: "acrylic-varnish", row: [35, 60, 30, 3 * H, null, 14, 10, null] },
  { id: "outdoor-varnish", row: [36, 60, 45, 4 * H, null, 21, 10, null] },
  { id: "waterborne-polyurethane", row: [33, 70, H, 3 * H, null, 7, 10, null] },
  { id: "oil-polyurethane", row: [50, 60, 6 * H, 24 * H, null, 14, 5, null] },
  { id: "acrylic-spray-clear", row: [15, 40, 10, 20, null, 3, 10, null] },
  { id: "coating-resin", row: [100, 1600, 5 * H, 6 * H, null, 3, 15, null] },
  { id: "inside-sealer", row: [30, 80, H, 4 * H, null, 3, 8, null] },
  { id: "spackle", row: [null, null, 45, 2 * H, null, 1, 5, null] },
  { id: "underglaze", row: [40, 100, 20, 20, null, null, 5, 0.6] },
  { id: "kiln-line-writer", row: [40, 300, 30, null, null, null, 5, 0.9] },
  { id: "kiln-raised-line", row: [40, 800, 30, null, null, null, 5, 0.9] },
  { id: "wood-filler", row: [null, null, H, 2 * H, null, 1, 5, null] },
];

test.each(TABLE)("$id", ({ id, row }) => {
  const one = CATALOGUE.products.get(productId(id))!;
  const { film, drying } = one;
  expect([
    film.volumeSolidsPercent,
    film.wetMicrons,
    drying.touch.typical,
    drying.recoat?.typical ?? null,
    drying.through ? drying.through.typical / H : null,
    drying.cureDays ? drying.cureDays.typical / (24 * H) : null,
    drying.minC,
    film.contrastRatio,
  ]).toEqual(row);
});

test("no class with a film is left out of the table, but for its alcohol-borne twin and what is loose", () => {
  const listed = new Set(TABLE.map((one) => one.id));
  const missing = [...CATALOGUE.products.keys()].filter((id) => !listed.has(id));
  // Classes the table has no row for: a clear blocker, and the fillers its text names.
  const more = ["clear-stain-blocker", "wet-proof-filler", "cement-patch"];
  expect(missing.filter((id) => !more.includes(id))).toEqual([
    "stain-blocking-primer-alcohol",
    "loose-glitter",
    "glued-crystals",
    "effect-powder",
    "acrylic-paint-pen-broad",
    "clear-glaze",
  ]);
});

describe("what the table says in words", () => {
  const product = (id: string) => CATALOGUE.products.get(productId(id))!;

  test("clears and effects have no contrast ratio, which is not nought", () => {
    for (const one of CATALOGUE.products.values()) {
      const clear = one.jobs.some((job) => job === "seal" || job === "lock" || job === "isolate");
      if (clear || one.traits.includes("cover-by-area")) expect(one.film.contrastRatio).toBeNull();
    }
  });
  test("flake covers nine tenths of the area, mica a third to two thirds", () => {
    expect(product("metallic-acrylic").film.coversArea).toEqual([0.85, 0.95]);
    expect(product("pearl-acrylic").film.coversArea).toEqual([0.3, 0.6]);
  });
  test("spray paint takes its next coat within the hour or after a day; resin until a day", () => {
    expect(product("spray-paint").drying.recoat).toMatchObject({ untilMin: 60 });
    expect(product("coating-resin").drying.recoat).toMatchObject({ min: 4 * H, cautious: 12 * H, untilMin: 24 * H });
  });
  test("decoupage medium is not weatherproof, outdoor varnish and clear spray are", () => {
    expect(["decoupage-medium", "acrylic-varnish", "outdoor-varnish", "acrylic-spray-clear"].map((id) => product(id).weatherproof)).toEqual([
      false,
      false,
      true,
      true,
    ]);
  });
  test("only what is waterborne is for a child, and resin, spray and oil are not", () => {
    for (const one of CATALOGUE.products.values()) if (one.carrier === "solvent" || one.binder === "epoxy") expect(one.childSafe).toBe(false);
    for (const id of ["craft-acrylic", "gesso", "acrylic-varnish"]) expect(product(id).childSafe).toBe(true);
  });
  test("nothing here claims to be fit for food but a fired glaze", () => {
    for (const one of CATALOGUE.products.values()) expect(one.foodClaim).toBe(one.id === "clear-glaze");
  });
  test("a resin softens around 50–60 °C; a baked enamel stands its own oven", () => {
    expect(product("coating-resin").maxTempC).toBeLessThanOrEqual(60);
    expect(product("gloss-enamel-acrylic").maxTempC).toBeGreaterThanOrEqual(product("gloss-enamel-acrylic").bakeable!.higherC);
  });
  test("the bake: 163 °C or 180 °C for 30 min, after a full day", () =>
    expect(product("gloss-enamel-acrylic").bakeable).toEqual({ lowerC: 163, higherC: 180, holdMin: 30, afterMin: 24 * H }));
  test("the lip band is 25 mm", () => expect([...CATALOGUE.uses.values()].map((use) => use.lipBandMm?.value ?? 0).filter((mm) => mm > 0)).toEqual([25]));
});
