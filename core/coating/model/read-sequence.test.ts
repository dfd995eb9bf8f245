/** What somebody did, in their own words. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { COMMON_SEQUENCES } from "../../catalogue/data/sequence-words";
import { lightness } from "../../film/colour";
import { readSequence } from "./read-sequence";

/** A Thursday. */
const TODAY = "2026-11-26";
const read = (text: string) => readSequence(text, TODAY, CATALOGUE);
const short = (text: string) =>
  read(text).steps.map(({ role, product, coats, technique }) => [role, product, ...(coats ? [coats] : []), ...(technique ? [technique] : [])].join(" "));

test("gesso on Sunday, two blue coats, chalk rings on it", () => {
  const { steps, unread } = read("gesso on Sunday, two blue coats, chalk rings on it");
  expect(unread).toEqual([]);
  expect(steps).toMatchObject([
    { role: "prime", product: "gesso", day: "2026-11-22" },
    { role: "base", product: "craft-acrylic", coats: 2, colour: expect.stringMatching(/^#/) },
    { role: "mark", product: "chalk-pencil" },
  ]);
});

describe("as painters say it", () => {
  test.each([
    ["washed with soap, then adhesion primer, two coats of navy craft acrylic", ["clean soap-wash", "prime adhesion-primer", "base craft-acrylic 2"]],
    ["Sanded it. Spray paint, three coats; clear acrylic spray", ["sand sanding", "base spray-paint 3", "seal acrylic-spray-clear"]],
    ["white dots with a paint pen, matt varnish twice", ["decorate acrylic-paint-pen dots", "seal acrylic-varnish 2"]],
    [
      "taped it, cream stripes, peeled the tape off, satin outdoor varnish",
      ["mask tape", "decorate craft-acrylic bands", "unmask peel", "seal outdoor-varnish"],
    ],
    ["baked at 160 °C for 30 min", ["heat-set oven-bake"]],
    ["poured resin on top", ["seal coating-resin"]],
  ])("%s", (text, steps) => expect(short(text)).toEqual(steps));
  test("days are told from today", () => {
    const days = (text: string) => read(text).steps.map(({ day }) => day);
    expect(days("gesso yesterday, gesso 3 days ago, gesso today, gesso on Thursday, gesso two weeks ago")).toEqual([
      "2026-11-25",
      "2026-11-23",
      "2026-11-26",
      "2026-11-19",
      "2026-11-12",
    ]);
  });
  test("her own jar, by its name", () => {
    const jars = [{ id: "navyjar00001", name: "Harbour navy", classId: "soft-body-acrylic", colour: "#1f3a4d" }];
    expect(readSequence("two coats of harbour navy", TODAY, CATALOGUE, jars).steps).toMatchObject([
      { role: "base", product: "soft-body-acrylic", jar: "navyjar00001", coats: 2, colour: "#1f3a4d" },
    ]);
  });
  test("a mixture is one colour between those it is mixed from, and comes out of no one jar", () => {
    const [mixed] = read("two coats of blue mixed with a little white").steps;
    expect(mixed).toMatchObject({ role: "base", product: "craft-acrylic", coats: 2, mix: "blue and a little white" });
    const by = (text: string) => lightness(read(text).steps[0]!.colour!);
    const paler = ["blue paint", "blue with a drop of white", "blue mixed with white", "white with a little blue", "white paint"].map(by);
    expect(paler).toEqual([...paler].sort((a, b) => a - b));
    expect(read("3:1 red and yellow mixed").steps[0]).toMatchObject({ mix: "red and yellow" });
    const jars = [{ id: "navyjar00001", name: "Harbour navy", classId: "soft-body-acrylic", colour: "#1f3a4d" }];
    const [own] = readSequence("two coats of harbour navy with a drop of cream", TODAY, CATALOGUE, jars).steps;
    expect(own).toMatchObject({ product: "soft-body-acrylic", mix: "Harbour navy and a little cream" });
    expect(own!.jar).toBeUndefined();
    const whites = ["White", "Titanium white"].map((name) => ({
      id: `${name.length}jar00000001`,
      name,
      classId: "craft-acrylic",
      colour: `#fbfaf${name.length % 10}`,
    }));
    expect(readSequence("titanium white with a drop of navy", TODAY, CATALOGUE, whites).steps[0]!.mix).toBe("Titanium white and a little navy");
    expect(readSequence("off-white with a drop of navy", TODAY, CATALOGUE, whites).steps[0]!.mix).toBe("off-white and a little navy");
  });
  test("two colours beside one another are no mixture", () => {
    expect(read("blue and white dots, 2 to 3 coats of navy").steps.map(({ mix }) => mix)).toEqual([undefined, undefined]);
  });
  test("what is no step is handed back", () => expect(read("gesso, sang to the cat, ").unread).toEqual(["sang to the cat"]));
});

test("common sequences are all read", () => {
  for (const text of COMMON_SEQUENCES) expect([text, read(text).unread, read(text).steps.length > 1]).toEqual([text, [], true]);
});

test("any words at all are read or handed back, none lost, and every step is of something known", () => {
  const words = fc.constantFrom(
    "gesso",
    "two",
    "blue",
    "coats",
    "of",
    "varnish",
    "on",
    "Sunday",
    ",",
    "then",
    "dots",
    "sanded",
    "xyzzy",
    ";",
    "resin",
    "3",
    ".",
  );
  fc.assert(
    fc.property(fc.array(words, { maxLength: 14 }), (all) => {
      const { steps, unread } = read(all.join(" "));
      for (const { product } of steps) expect(CATALOGUE.products.has(product) || CATALOGUE.aids.has(product)).toBe(true);
      expect(steps.length + unread.length).toBeLessThanOrEqual(all.length);
    }),
    { seed: 5, numRuns: 200 },
  );
});
