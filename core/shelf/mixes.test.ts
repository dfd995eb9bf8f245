/** Mixtures that are kept: what they are made of, how they are booked, what is bought for them, and what the plan makes of them. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../catalogue/catalogue";
import { jarId, productId } from "../catalogue/ids";
import { isReadableJar, ownProductOf } from "../catalogue/jar";
import type { Jar, MixedFrom } from "../catalogue/jar";
import { standingOf, withOwnProducts } from "../catalogue/own-product";
import { planColours } from "../coating/explain/plan-colours";
import { planPiece } from "../coating/planner/plan-piece";
import { colourDifference } from "../film/colour";
import { mixedColour } from "../film/mix";
import { withReserve } from "../film/recipe";
import { thinPaint } from "../film/thin";
import { pebble } from "../../tests/reference/bench";
import {
  bookingOf,
  isMixed,
  jarHides,
  jarsToMix,
  kindOfJar,
  mixedJar,
  mixesWith,
  noteOfMix,
  partsOfMix,
  sayParts,
  seenAfter,
  tintPaintOf,
  withMixesMadeUp,
} from "./mixes";
import { needsOf } from "./needs";
import { ownProductsOf } from "./own-products";
import type { Wanting } from "./promises";
import { shelfRows } from "./shelf-rows";
import { shoppingFor } from "./shopping";

const AT = "2026-11-20T10:00:00.000Z";
const craft = CATALOGUE.products.get(productId("craft-acrylic"))!;
const kind = (id: string) => CATALOGUE.products.get(productId(id))!;
const jar = (id: string, colour: string, more: Partial<Jar> = {}): Jar => ({ id: jarId(id), classId: craft.id, name: id, colour, label: {}, ...more });
const white = jar("whitejar01", "#fbfaf6", { left: { ml: 50, by: "eye", at: AT }, sizeMl: 59, paid: 3 });
const coral = jar("coraljar01", "#ec6a56", { left: { ml: 20, by: "eye", at: AT }, dropsPerMl: 15, label: { opacity: "opaque" } });
const MIX: readonly MixedFrom[] = [
  { jar: white.id, name: "White", colour: white.colour!, share: 0.8 },
  { jar: coral.id, name: "Coral", colour: coral.colour!, share: 0.2 },
];
const pot = (more: Partial<Jar> = {}): Jar => ({ ...mixedJar(jarId("peachpot01"), "Peach", craft, MIX, [white, coral], AT, CATALOGUE), ...more });
const left = (...of: readonly Jar[]) => new Map<string, number>(of.flatMap((one) => (one.left ? [[one.id, one.left.ml]] : [])));

describe("what may be mixed", () => {
  test("paints of one binder and one thinner; no clears, effects, pens, cans or resin", () => {
    expect(["craft-acrylic", "fluid-acrylic", "solvent-enamel"].map((id) => isMixed(kind(id)))).toEqual([true, true, true]);
    expect(["acrylic-varnish", "pearl-acrylic", "acrylic-paint-pen", "spray-paint", "coating-resin", "gesso"].map((id) => isMixed(kind(id)))).toEqual(
      Array(6).fill(false),
    );
    expect([mixesWith(craft, kind("fluid-acrylic")), mixesWith(craft, kind("solvent-enamel")), mixesWith(craft, kind("underglaze"))]).toEqual([
      true,
      false,
      false,
    ]);
  });

  test("jars of the kind first; none that is empty, without a colour, or mixed itself", () => {
    const fluid = jar("fluidjar01", "#1f5fae", { classId: productId("fluid-acrylic") });
    const empty = jar("emptyjar01", "#000000");
    const { colour: _none, ...unsaid } = jar("unsaidjar1", "#000000");
    const jars = [fluid, white, empty, unsaid as Jar, pot(), jar("varnish001", "#ffffff", { classId: productId("acrylic-varnish") })];
    expect(jarsToMix(craft, jars, new Map([["emptyjar01", 0]]), CATALOGUE).map(({ id }) => id)).toEqual([white.id, fluid.id]);
  });

  test("a jar hides as its swatch shows, else as its label says, else as so dark a paint does", () => {
    const hiding = { ratio: 0.71, from: 0.66, to: 0.75, by: "swatch" } as const;
    expect(jarHides({ ...coral, hiding }, craft)).toEqual({ ratio: 0.71, by: "swatch" });
    expect(jarHides(coral, craft)).toEqual({ ratio: 0.93, by: "label" });
    expect(jarHides(white, craft)).toEqual({ ratio: 0.8, by: "typical" });
    expect(jarHides(jar("black00001", "#1b1b1d"), craft)!.ratio).toBeGreaterThan(0.99);
    expect(jarHides(white, kind("pearl-acrylic"))).toBeNull();
    expect(tintPaintOf(coral, CATALOGUE)).toMatchObject({ id: coral.id, contrastRatio: 0.93, dropsPerMl: 15 });
  });
});

describe("the label of a jar", () => {
  test("wins at the desk as it does in the plan: its film, its water, its cover", () => {
    const thin = { ...coral, label: { spreadM2PerL: 20, thinnerPercent: 5, opacity: "translucent" } } as const satisfies Jar;
    expect(kindOfJar(thin, CATALOGUE)).toMatchObject({ film: { wetMicrons: 50, contrastRatio: 0.5 }, maxWaterPercent: { thirsty: 5, slick: 5 } });
    expect(kindOfJar(white, CATALOGUE)!.film).toEqual(craft.film);
    expect(kindOfJar({ classId: productId("milk"), label: {} }, CATALOGUE)).toBeNull();
    expect(tintPaintOf(thin, CATALOGUE)).toMatchObject({ contrastRatio: 0.5, wetMicrons: 50 });
    // A puddle of it is judged by what the label lets in.
    const puddle = (jar: Jar) =>
      thinPaint(kindOfJar(jar, CATALOGUE)!, { purpose: "base", school: "water", percent: 15 }, "porous").findings.map(({ code }) => code);
    expect([puddle(thin), puddle(white)]).toEqual([["over-thinned"], []]);
  });
});

describe("a pot of a mixture", () => {
  test("has the colour its parts come to, hides as they do together, and is empty until it is mixed", () => {
    const peach = pot();
    const parts = partsOfMix(MIX, [white, coral], CATALOGUE);
    expect(peach.colour).toBe(mixedColour(parts.map((part) => ({ ...part, parts: part.share }))));
    expect(peach).toMatchObject({ classId: craft.id, left: { ml: 0 }, hiding: { by: "mixture" } });
    expect(peach.hiding!.ratio).toBeGreaterThan(0.8);
    expect(parts[0]).toMatchObject({ share: 0.8, pricePerMl: 3 / 59 });
    // Of a jar that is gone the mixture itself remembers what it needs.
    expect(partsOfMix(MIX, [], CATALOGUE).map(({ colour }) => colour)).toEqual([white.colour, coral.colour]);
    expect(
      sayParts([
        { name: "White", parts: 4 },
        { name: "Coral", parts: 1 },
      ]),
    ).toBe("4 parts White, 1 part Coral");
  });

  test("is on the shelf for a plan though it is empty, hiding as measured: hers, not the label's", () => {
    const own = ownProductsOf(
      [pot(), jar("emptyjar01", "#000000")],
      new Map([
        ["peachpot01", 0],
        ["emptyjar01", 0],
      ]),
      CATALOGUE,
      "2026-11-27",
    );
    expect(own.map(({ id }) => id)).toEqual(["peachpot01"]);
    const product = withOwnProducts(CATALOGUE, own).products.get(craft.id)!.own!.jars[0]!.product;
    expect(product.film.contrastRatio).toBeCloseTo(pot().hiding!.ratio, 9);
    expect(standingOf(product, "film.contrastRatio")).toEqual({ kind: "hers" });
    const labelled = ownProductOf(coral, craft, "2026-11-27");
    expect(standingOf(withOwnProducts(CATALOGUE, [labelled]).products.get(craft.id)!.own!.jars[0]!.product, "film.contrastRatio")).toEqual({ kind: "label" });
  });

  test("mixing a puddle takes from the jars what it puts into the pot", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 500, noNaN: true }), (ml) => {
        expect(bookingOf(pot(), ml).reduce((sum, one) => sum + one.takenMl, 0)).toBeCloseTo(0, 6);
      }),
    );
    expect(bookingOf(pot(), 10)).toEqual([
      { jar: white.id, takenMl: 8 },
      { jar: coral.id, takenMl: 2 },
      { jar: "peachpot01", takenMl: -10 },
    ]);
  });

  test("what was laid since counts as before, a jar never falls below nothing, and what was never looked into stays so", () => {
    expect(seenAfter(white, 12, 8)! - 12).toBe(50 - 12 - 8);
    expect(seenAfter(white, 45, 8)! - 45).toBe(0);
    // More was laid than was thought to be in it: what is put in is in it all the same.
    expect(seenAfter({ left: { ml: 5, by: "eye", at: AT } }, 9, -10)! - 9).toBe(10);
    expect(seenAfter({}, 0, 5)).toBeNull();
  });
});

describe("a pot among the jars", () => {
  test("is never low or empty, and is told with what is in it; a coat laid from it notes what it was mixed from", () => {
    const [row] = shelfRows([pot()], new Map([["peachpot01", 0]]), null, CATALOGUE, "2026-11-27");
    expect(row).toMatchObject({ states: [], leftMl: 0, kind: craft.name });
    expect(shelfRows([white], new Map([["whitejar01", 0]]), null, CATALOGUE, "2026-11-27")[0]!.states).toEqual(["empty"]);
    expect(noteOfMix(MIX)).toBe("80 % White, 20 % Coral");
    const long = Array.from({ length: 6 }, (_unused, at) => ({ ...MIX[0]!, name: `A jar of a long and winding name ${at}`, share: 1 / 6 }));
    expect(noteOfMix(long).length).toBeLessThanOrEqual(80);
  });

  test("a damaged recipe costs its jar, and no plan", () => {
    expect(isReadableJar(pot())).toBe(true);
    for (const wrong of [{ mix: "white and coral" }, { mix: [{ jar: 7, share: 1 }] }, { hiding: 0.8 }, { hiding: { ratio: "much" } }, { dropsPerMl: "twenty" }])
      expect(isReadableJar({ ...pot(), ...wrong })).toBe(false);
  });

  test("it is mixed again to the last jar as it was: the colour of a second day's batch is that of the first", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), (of, against) => {
        const mix = [
          { ...MIX[0]!, share: of / (of + against) },
          { ...MIX[1]!, share: against / (of + against) },
        ];
        const first = mixedJar(jarId("firstpot01"), "First", craft, mix, [white, coral], AT, CATALOGUE);
        const again = mixedColour(partsOfMix(first.mix!, [white, coral], CATALOGUE).map((part) => ({ ...part, parts: part.share })));
        expect(again).toBe(first.colour);
        expect(first.hiding!.from).toBeLessThanOrEqual(first.hiding!.ratio);
        expect(first.hiding!.ratio).toBeLessThanOrEqual(first.hiding!.to);
      }),
      { numRuns: 40 },
    );
  });
});

describe("what pieces want of a mixture", () => {
  const wants = (id: string, ml: number, of: string = "peachpot01"): Wanting => ({
    id,
    name: id,
    needs: [{ product: craft.id, colour: "#f4bf9d", jar: of, ml }],
  });

  test("is taken from the pot first, and then told by its jars, with a reserve", () => {
    const jars = [white, coral, pot({ left: { ml: 6, by: "volume", at: AT } })];
    const [first, second] = withMixesMadeUp([wants("a", 5), wants("b", 10)], jars, left(...jars));
    expect(first!.needs.filter(({ ml }) => ml > 0)).toEqual([expect.objectContaining({ jar: "peachpot01", ml: 5 })]);
    const [fromPot, ofWhite, ofCoral] = second!.needs;
    expect(fromPot).toMatchObject({ jar: "peachpot01", ml: 1 });
    expect(ofWhite).toMatchObject({ jar: white.id, ml: expect.closeTo(0.8 * withReserve(9), 9) });
    expect(ofCoral).toMatchObject({ jar: coral.id, ml: expect.closeTo(0.2 * withReserve(9), 9) });
  });

  test("jars that do not reach for it are bought, and so is one that is gone, by its colour", () => {
    const jars = [white, pot()];
    const wanting = withMixesMadeUp([wants("forty pebbles", 100)], jars, left(...jars));
    const { buy } = shoppingFor(wanting, jars, left(...jars), CATALOGUE);
    expect(buy.map(({ jar: id, colour }) => id ?? colour).sort()).toEqual([coral.colour, white.id].sort());
    expect(buy.find((one) => one.jar === white.id)!.missingMl).toBeCloseTo(0.8 * withReserve(100) - 50, 6);
  });

  test("nothing is made up where nothing is mixed, nor of a jar that is none", () => {
    const plain = [wants("a", 5, white.id)];
    expect(withMixesMadeUp(plain, [white], left(white))).toBe(plain);
    expect(withMixesMadeUp(plain, [white, pot()], left(white))).toEqual(plain);
  });
});

describe("the colours of a plan", () => {
  const forty = pebble({ uses: ["gift-or-sale"], count: 40, decoration: { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4bf9d", "#f5c518"] } });
  const shelf = ownProductsOf([white, coral, pot()], new Map(), CATALOGUE, "2026-11-27");
  const catalogue = withOwnProducts(CATALOGUE, shelf);
  const [candidate] = planPiece(forty, catalogue, {}).candidates;
  const colours = planColours(forty, candidate!, catalogue);

  test("are each told once, with what they take and what lies beneath; none of them is summed with another", () => {
    expect(colours.map(({ colour }) => colour).sort()).toEqual(["#1f3a4d", "#f4bf9d", "#f5c518"].sort());
    const needs = needsOf(candidate!);
    for (const { colour, jarMl } of colours)
      expect(jarMl).toBeCloseTo(
        needs.filter((need) => need.colour === colour).reduce((sum, { ml }) => sum + ml, 0),
        6,
      );
    const dots = colours.find(({ colour }) => colour === "#f4bf9d")!;
    expect(colourDifference(dots.beneath, "#1f3a4d")).toBeLessThan(3);
    expect(dots).toMatchObject({ marks: { count: expect.any(Number) }, hides: null, done: false });
  });

  test("a field of colour tells how it hides over what is beneath it", () => {
    const base = colours.find(({ colour }) => colour === "#1f3a4d")!;
    expect(base.hides!.coats).toBeLessThanOrEqual(base.coats);
    expect(base).toMatchObject({ jar: null, purpose: expect.any(String), thinning: expect.objectContaining({ percent: expect.any(Number) }) });
  });

  test("a mixture that is near enough is the jar it is laid from", () => {
    const peach = pot();
    const own = withOwnProducts(CATALOGUE, ownProductsOf([white, coral, peach], new Map(), CATALOGUE, "2026-11-27"));
    const mine = { ...forty, decoration: { ...forty.decoration, colours: [peach.colour!] } };
    const [first] = planPiece(mine, own, {}).candidates;
    expect(planColours(mine, first!, own).find(({ colour }) => colour === peach.colour)).toMatchObject({ jar: "peachpot01" });
  });
});
