/** The shelf: what is in the jars, who wants it, what to buy. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../catalogue/catalogue";
import { jarId, productId } from "../catalogue/ids";
import { ownProductOf } from "../catalogue/jar";
import type { Jar, JarLabel } from "../catalogue/jar";
import { standingOf, withOwnProducts } from "../catalogue/own-product";
import type { ProgressRecord } from "../logbook/progress";
import { mlByEye, mlByWeight, tareFor, tareOfFull } from "./amount-left";
import { basicSet, BASIC_PAINTS } from "./basic-set";
import { jarStates } from "./jar-state";
import { ownProductsOf } from "./own-products";
import { draftedJar } from "./draft-jar";
import type { JarDraft } from "./draft-jar";
import { makeable, promisesOf, servedBefore } from "./promises";
import type { Wanting } from "./promises";
import { reachOf } from "./reach";
import { ANY_JAR, shelfRows, soughtIn } from "./shelf-rows";
import type { Sought } from "./shelf-rows";
import { shoppingFor } from "./shopping";
import { stockOf } from "./stock";
import { palmCoats, standInsFor } from "./use-up";

const craft = productId("craft-acrylic");
const jar = (id: string, more: Partial<Jar> = {}): Jar => ({ id: jarId(id), classId: craft, name: id, label: {}, ...more });
const AT = "2026-11-20T10:00:00.000Z";
const seen = (id: string, ml: number, more: Partial<Jar> = {}) => jar(id, { left: { ml, by: "eye", at: AT }, ...more });
const coat = (kind: ProgressRecord["kind"], jarMl: number, at: string, more: Partial<ProgressRecord> = {}) =>
  ({
    pieceId: "p",
    zone: "top",
    stepId: "s",
    coat: 1,
    kind,
    at,
    jarMl,
    act: { role: "base", product: craft, ownProduct: "navy" },
    ...more,
  }) as unknown as ProgressRecord;
const wants = (id: string, ml: number, jarOf?: string): Wanting => ({
  id,
  name: id,
  needs: [{ product: craft, ml, ...(jarOf ? { jar: jarOf } : { colour: "#1f3a4d" }) }],
});

describe("what is left in a jar", () => {
  test("by eye, by weight, by the tare of another jar of its size; a jar lighter than its tare is empty", () => {
    expect([mlByEye(2, 60), mlByWeight(85, 25, 1.2), mlByWeight(20, 25, 1.2)]).toEqual([30, 50, 0]);
    expect([tareOfFull(95, 59, 1.2), tareOfFull(30, 59, 1.2)]).toEqual([95 - 59 * 1.2, null]);
    const others = [jar("a", { sizeMl: 59, tareG: 24 }), jar("b", { sizeMl: 60, tareG: 26 }), jar("c", { sizeMl: 250, tareG: 60 })];
    expect(tareFor(jar("new", { sizeMl: 59 }), others)).toEqual({ g: 26, learnt: true });
    expect([tareFor(jar("new", { sizeMl: 120 }), others), tareFor(jar("own", { tareG: 9 }), others)]).toEqual([null, { g: 9, learnt: false }]);
  });

  test("is what was seen less what was laid since; a mistake gives it back, a ruined coat does not, and what was laid before counts for nothing", () => {
    const left = (...progress: ProgressRecord[]) => stockOf([seen("navy", 20)], progress).get("navy");
    expect(left(coat("done", 5, "2026-11-21"))).toBe(15);
    expect(left(coat("done", 5, "2026-11-19"))).toBe(20);
    expect(left(coat("done", 5, "2026-11-21"), coat("removed", 5, "2026-11-22"))).toBe(20);
    expect(left(coat("done", 5, "2026-11-21"), coat("ruined", 5, "2026-11-22"), coat("done", 5, "2026-11-23"))).toBe(10);
    expect(left(coat("done", 50, "2026-11-21"))).toBe(0);
    expect(stockOf([jar("navy")], []).has("navy")).toBe(false);
  });

  test("is never below nothing, whatever is done and taken back", () => {
    const event = fc.record({
      kind: fc.constantFrom("done", "removed", "ruined", "tacky" as const),
      ml: fc.double({ min: 0, max: 30, noNaN: true }),
      coat: fc.integer({ min: 1, max: 3 }),
    });
    fc.assert(
      fc.property(fc.array(event, { maxLength: 20 }), fc.double({ min: 0, max: 60, noNaN: true }), (events, ml) => {
        const progress = events.map((one, at) => coat(one.kind as never, one.ml, `2026-11-21T10:${String(at).padStart(2, "0")}`, { coat: one.coat }));
        const left = stockOf([seen("navy", ml)], progress).get("navy")!;
        return left >= 0 && left <= ml + 1e-9;
      }),
      { seed: 11, numRuns: 300 },
    );
  });
});

describe("what is promised", () => {
  const jars = fc.array(fc.option(fc.double({ min: 0, max: 100, noNaN: true }), { nil: undefined }), { minLength: 1, maxLength: 4 });
  const pieces = fc.array(fc.array(fc.record({ at: fc.integer({ min: 0, max: 4 }), ml: fc.double({ min: 0.1, max: 60, noNaN: true }) }), { maxLength: 4 }), {
    maxLength: 6,
  });
  const cases = fc.record({ jars, pieces });
  const shelfOf = (amounts: readonly (number | undefined)[]) => amounts.map((ml, at) => (ml === undefined ? jar(`j${at}`) : seen(`j${at}`, ml)));
  const wantingOf = (all: readonly (readonly { at: number; ml: number }[])[]): readonly Wanting[] =>
    all.map((needs, at) => ({ id: `p${at}`, name: `p${at}`, needs: needs.map(({ at: of, ml }) => ({ product: craft, jar: `j${of}`, ml })) }));

  test("and what is free make what is owned; each piece has what those before it leave", () => {
    fc.assert(
      fc.property(cases, ({ jars: amounts, pieces: all }) => {
        const shelf = shelfOf(amounts);
        const stock = stockOf(shelf, []);
        for (const one of promisesOf(
          shelf.map((each) => each.id),
          stock,
          wantingOf(all),
        )) {
          const owned = stock.get(one.jar);
          if (owned === undefined) expect([one.free, one.short, one.promised]).toEqual([null, null, 0]);
          else {
            expect(one.promised + one.free!).toBeCloseTo(owned, 6);
            expect(Math.min(one.free!, one.short!)).toBeLessThan(1e-9);
            expect(Math.min(one.free!, one.short!, one.promised)).toBeGreaterThan(-1e-9);
          }
        }
      }),
      { seed: 11, numRuns: 300 },
    );
  });

  test("and bought is enough for every piece that was chosen, and no jar too many", () => {
    fc.assert(
      fc.property(cases, ({ jars: amounts, pieces: all }) => {
        const shelf = shelfOf(amounts);
        const wanting = wantingOf(all);
        const { buy, take, unsure } = shoppingFor(wanting, shelf, stockOf(shelf, []), CATALOGUE);
        const sum = (list: readonly number[]) => list.reduce((total, ml) => total + ml, 0);
        const wanted = sum(wanting.flatMap((one) => one.needs.map((need) => need.ml)));
        expect(sum([...buy.map((one) => one.missingMl), ...take.map((one) => one.ml), ...unsure.map((one) => one.ml)])).toBeCloseTo(wanted, 4);
        for (const one of buy) {
          expect(one.jars * one.sizeMl).toBeGreaterThanOrEqual(one.missingMl - 1e-5);
          expect((one.jars - 1) * one.sizeMl).toBeLessThan(one.missingMl);
        }
      }),
      { seed: 12, numRuns: 300 },
    );
  });

  test("a piece can be made when every colour is there for it; a colour nobody owns, or one used up by the piece before, is bought by its own", () => {
    const shelf = [seen("navy", 20, { sizeMl: 59, paid: 4 }), jar("gesso", { classId: productId("gesso") })];
    const stock = stockOf(shelf, []);
    const wanting = [wants("first", 15, "navy"), wants("second", 15, "navy"), wants("third", 3, "gesso"), wants("fourth", 3)];
    const promised = promisesOf(
      shelf.map((one) => one.id),
      stock,
      wanting,
    );
    expect(makeable(wanting, promised).map((one) => one.id)).toEqual(["first", "third"]);
    const list = shoppingFor(wanting, shelf, stock, CATALOGUE);
    expect(list.buy.map(({ jar: of, colour, missingMl, jars, overMl, cost, pieces }) => ({ of, colour, missingMl, jars, overMl, cost, pieces }))).toEqual([
      { of: undefined, colour: "#1f3a4d", missingMl: 3, jars: 1, overMl: 56, cost: 4, pieces: ["fourth"] },
      { of: "navy", colour: undefined, missingMl: 10, jars: 1, overMl: 49, cost: 4, pieces: ["second"] },
    ]);
    expect([list.unsure, list.take]).toEqual([[{ jar: "gesso", ml: 3, pieces: ["third"] }], [{ jar: "navy", ml: 20 }]]);
    expect(shoppingFor(wanting.slice(1, 2), shelf, stock, CATALOGUE, wanting.slice(0, 1)).buy[0]?.missingMl).toBe(10);
  });
});

describe("the shelf as plans know it", () => {
  test("each coat is as the label of the jar of its colour has it; what a label leaves out stays typical", () => {
    const label: JarLabel = { opacity: "transparent", recoatMin: 240, spreadM2PerL: 10, thinnerPercent: 5, bake: null, maxC: 28 };
    const own = withOwnProducts(
      CATALOGUE,
      ownProductsOf([jar("navy", { colour: "#1f3a4d", label }), jar("cream", { colour: "#f4efe2" })], new Map(), CATALOGUE, "2026-11-26"),
    );
    const kind = own.products.get(craft)!;
    const [cream, navy] = ["cream", "navy"].map((id) => kind.own!.jars.find((one) => one.id === id)!.product);
    expect([navy!.film.contrastRatio, navy!.drying.recoat, navy!.film.wetMicrons, navy!.maxWaterPercent.slick, navy!.bakeable]).toEqual([
      0.25,
      { min: 240, typical: 240, cautious: 360, untilMin: null },
      100,
      5,
      null,
    ]);
    expect([standingOf(navy!, "drying.recoat").kind, standingOf(navy!, "drying.touch").kind, navy!.name]).toEqual(["label", "memory", "navy"]);
    const plain = CATALOGUE.products.get(craft)!;
    expect([cream!.film, cream!.drying, kind.name]).toEqual([plain.film, plain.drying, plain.name]);
  });

  test("a white craft acrylic is a colour and a ground; an empty jar is no jar; the one opened first is used first", () => {
    const shelf = [jar("newer", { openedOn: "2026-05-01", colour: "#fbfaf6" }), jar("older", { openedOn: "2025-05-01", colour: "#fbfaf6" }), seen("gone", 0)];
    const own = ownProductsOf(shelf, stockOf(shelf, []), CATALOGUE, "2026-11-26");
    expect(own.map((one) => [one.id, one.classId, one.openedMonths])).toEqual([
      ["older", "craft-acrylic", 18],
      ["older", "white-craft-acrylic", 18],
      ["newer", "craft-acrylic", 6],
      ["newer", "white-craft-acrylic", 6],
    ]);
    expect(ownProductsOf([...shelf].reverse(), stockOf(shelf, []), CATALOGUE, "2026-11-26")).toEqual(own);
  });

  test("a jar is low, empty or old; a basic set is of classes there are", () => {
    const varnish = CATALOGUE.products.get(productId("acrylic-varnish"))!;
    const at = (left: number | null, openedOn?: string) => jarStates({ sizeMl: 100, ...(openedOn ? { openedOn } : {}) }, varnish, left, "2026-11-26");
    expect([at(24), at(25), at(0), at(null), at(90, "2024-01-01")]).toEqual([["low"], [], ["empty"], [], ["old"]]);
    for (const paint of BASIC_PAINTS)
      for (const one of basicSet(paint, "satin"))
        expect(ownProductOf({ ...one, id: jarId("x") }, CATALOGUE.products.get(one.classId)!, "2026-11-26").name).toBe(one.name);
  });

  test("how far a jar goes is told in palms; it may stand in for a colour near to its own that no jar has", () => {
    const product = CATALOGUE.products.get(craft)!;
    expect(palmCoats(7.5, product)).toBeCloseTo(10, 6);
    const wanting = [wants("near", 4), wants("taken", 4, "navy")];
    expect(standInsFor({ classId: craft, colour: "#22405a" }, wanting).map((one) => one.piece)).toEqual(["near"]);
    expect(standInsFor({ classId: craft, colour: "#c8402f" }, wanting)).toEqual([]);
  });

  test("a jar is drafted from words and hands: hands win, words come next, and what neither says is of the jar before it", () => {
    const drafted = (words: string, hand: Partial<JarDraft["hand"]> = {}) =>
      draftedJar({ words, hand: { name: "", label: {}, ...hand } }, productId("gesso"), CATALOGUE, AT);
    const read = drafted("craft acrylic, navy, matt, 60 ml, half full");
    expect(read).toMatchObject({
      usualName: "Navy",
      jar: { classId: craft, colour: "#1f2f4d", sizeMl: 60, label: { sheen: "matte" }, left: { ml: 30, by: "eye", at: AT } },
    });
    expect(drafted("craft acrylic, navy, matt", { label: { sheen: "gloss" }, colour: "#ffffff", sizeMl: 10 }).jar).toMatchObject({
      label: { sheen: "gloss" },
      colour: "#ffffff",
      sizeMl: 10,
    });
    expect(drafted("navy, 60 ml")).toMatchObject({ usualName: "Gesso", kinds: [], jar: { classId: "gesso", sizeMl: 60 } });
    expect(drafted("navy").jar).not.toHaveProperty("colour");
  });

  test("rows are found by words of name and kind, by kind, by how the jar stands and by whether it is promised", () => {
    const jars = [
      seen("Harbour navy", 50, { sizeMl: 59 }),
      seen("Cream", 3, { sizeMl: 59, openedOn: "2020-01-01" }),
      jar("Gesso", { classId: productId("gesso") }),
    ];
    const stock = stockOf(jars, []);
    const promised = promisesOf(
      jars.map((one) => one.id),
      stock,
      [wants("pot", 5, "Cream")],
    );
    const found = (sought: Partial<Sought>, of: typeof promised | null = promised) =>
      soughtIn(shelfRows(jars, stock, of, CATALOGUE, "2026-11-26"), { ...ANY_JAR, ...sought }).map((row) => row.jar.name);
    expect(found({ text: "ACRYLIC nav" })).toEqual(["Harbour navy"]);
    expect([found({ kind: "gesso" }), found({ only: "low" }), found({ only: "old" })]).toEqual([["Gesso"], ["Cream"], ["Cream"]]);
    expect([found({ only: "promised" }), found({ only: "unpromised" })]).toEqual([["Cream"], ["Harbour navy", "Gesso"]]);
    expect([found({ only: "promised" }, null), found({ only: "unpromised" }, null)]).toEqual([[], []]);
  });

  test("pieces are served by the day they are needed, then those begun, then by name", () => {
    const piece = (name: string, begun: boolean, due: string | null) => ({ name, begun, due });
    const all = [
      piece("pot 10", false, null),
      piece("pot 9", false, null),
      piece("begun", true, null),
      piece("late", true, "2026-12-24"),
      piece("soon", false, "2026-12-01"),
    ];
    expect([...all].sort(servedBefore).map((one) => one.name)).toEqual(["soon", "late", "begun", "pot 9", "pot 10"]);
  });

  test("a jar reaches for what is still to be laid of an act, and for nothing once it is done", () => {
    const [both, left] = [["one", "two"], 4];
    expect(reachOf(10, both, new Set(), left)).toEqual({ pourMl: 10, missingMl: 6 });
    expect(reachOf(10, both, new Set(both), left)).toEqual({ pourMl: 10, missingMl: 0 });
    expect(reachOf(10, [], new Set(), undefined)).toEqual({ pourMl: 10, missingMl: 0 });
  });
});
