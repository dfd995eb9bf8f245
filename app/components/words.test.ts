import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId, stepId } from "#core/catalogue/ids";
import { menuOf } from "#core/catalogue/menu";
import { TECHNIQUES, ZONES } from "#core/catalogue/vocabulary";
import type { Step } from "#core/coating/model/step";
import { firstPlan, jar, mug, pebble, pot, tray } from "../../tests/reference/bench";
import { sayClock, sayDay, sayHour, sayTimes, sayZone } from "./time-words";
import { thinningText } from "./thinning-words";
import { coatWords, sayEdit, sayFact, settingText, stepTitle, TRADE_WORDS, waitText, zoneName, zoneNames } from "./words";

const menu = menuOf(CATALOGUE);
const step = (more: Partial<Omit<Step, "product">> & { product: string }) =>
  ({ coats: 1, method: "brush", role: "base", ...more, product: productId(more.product) }) as Step;

test("what two tabs set at once is called by its name, not by its place in a record", () => {
  expect(["count", "room.temperatureC", "form.topDiameterMm", "decoration.baseColour"].map(sayFact)).toEqual([
    "how many",
    "where you work",
    "top diameter",
    "base colour",
  ]);
  expect(sayEdit({ op: "set", stepId: stepId("x"), field: "coats", value: 2 })).toBe("coats of a step");
});

describe("a step in the painter's words", () => {
  test.each([
    [step({ role: "prime", product: "gesso" }), "Prime: one coat of gesso"],
    [step({ role: "base", product: "craft-acrylic", coats: 2 }), "Base colour: two coats of craft acrylic"],
    [step({ role: "seal", product: "acrylic-spray-clear", coats: 3, method: "spray", sheen: "matte" }), "Seal: three light passes of matt clear acrylic spray"],
    [step({ role: "clean", product: "water-wash" }), "Wash and scrub in water"],
    [step({ role: "mark", product: "chalk-pencil" }), "Mark out with chalk pencil"],
    [step({ role: "unmark", product: "damp-wipe" }), "Wipe the guides off, barely damp"],
    [step({ role: "unmark", product: "eraser" }), "Rub the guides out"],
    [step({ role: "decorate", product: "craft-acrylic", technique: "dots" }), "Dots: craft acrylic"],
    [step({ role: "decorate", product: "craft-acrylic", technique: "bands", coats: 2 }), "Bands: two coats of craft acrylic"],
    [
      step({ role: "heat-set", product: "oven-bake", heat: { kind: "oven", temperatureC: 163, holdMin: 30, start: "cold", cool: "inside" } }),
      "Bake at 163 °C for 30 min",
    ],
    [step({ role: "cure", product: "waiting" }), "Leave it to cure"],
    [
      step({ role: "fire", product: "kiln-fire", heat: { kind: "kiln", temperatureC: 1050, holdMin: 10, start: "cold", cool: "inside" } }),
      "Fire in the kiln, about 1050 °C",
    ],
    [step({ role: "assemble", product: "glue" }), "Glue the parts on"],
    [step({ role: "unmask", product: "peel" }), "Lift the mask"],
    [step({ role: "seal", product: "acrylic-spray-clear", coats: 1, method: "spray" }), "Seal: one light pass of clear acrylic spray"],
  ])("%#", (one, said) => expect(stepTitle(one, menu)).toBe(said));

  test("every step of real plans has a title without an id or a micron in it", () => {
    const plans = [
      pebble({ uses: ["gift-or-sale"], decoration: { techniques: [...TECHNIQUES].slice(0, 4) } }),
      pot({ uses: ["planter"] }),
      mug({ decoration: { techniques: ["dots"] } }),
      jar({ uses: ["candle"] }),
      tray(),
    ];
    for (const plan of plans.map(firstPlan))
      for (const title of plan.zones.flatMap((zone) => zone.steps).map((one) => stepTitle(one, menu))) {
        expect(title).not.toMatch(/[a-z]-[a-z]+-|µm|undefined|null|%/);
        expect(title.charAt(0)).toBe(title.charAt(0).toUpperCase());
      }
  });
});

describe("waits and zones", () => {
  test("a wait is a range in one unit, and says what for; the user's says so", () => {
    expect(waitText({ min: 72, cautiousMin: 110, until: "dry-to-recoat" })).toBe("Wait 1–2 hours until it takes the next coat");
    expect(waitText({ min: 1711, cautiousMin: 5200, until: "dry-body" })).toBe("Wait 1–4 days until the piece itself is dry");
    expect(waitText({ min: 9 * 1440, cautiousMin: 20 * 1440, until: "dry-body", body: "weighed" })).toBe(
      "Weigh it now and then, until its weight stays the same: in this room about 1–3 weeks",
    );
    expect(waitText({ min: 28 * 1440, until: "dry-body", body: "cement" })).toBe("Wait 4 weeks until the cement has hardened");
    expect(waitText({ min: 30, until: "dry-through", set: "hers" })).toBe("Wait 30 min (set by you) until it is dry right through");
  });
  test("zones are said in one breath", () => {
    expect(zoneNames(["rim"])).toBe("Rim");
    expect(zoneNames(["rim", "saucer", "base"])).toBe("Rim, saucer and underneath");
    for (const zone of ZONES) expect(zoneName(zone).length).toBeGreaterThan(2);
    expect(zoneName("top/motif-2")).toBe("Motif 2 on the top");
  });
  test("one coat of several is named where one coat is meant", () => {
    const base = step({ role: "base", product: "craft-acrylic", coats: 2 });
    expect(stepTitle(base, menu, false)).toBe("Base colour: craft acrylic");
    expect(stepTitle(step({ role: "seal", product: "acrylic-varnish", coats: 2, sheen: "gloss" }), menu, false)).toBe("Seal: gloss acrylic varnish");
    expect(coatWords(1, undefined, 1)).toBe("");
    expect(coatWords(2, undefined, 3)).toBe("coat 2 of 3");
    expect(coatWords(1, "first", 2)).toBe("coat 1 of 2, the half you do not hold");
    expect(coatWords(1, "second", 1)).toBe("the other half");
  });
});

describe("days and times", () => {
  const now = new Date(2026, 10, 24, 20, 0).getTime();
  const on = (day: number, hour = 19) => new Date(2026, 10, day, hour, 5).getTime();
  test.each([
    [on(24, 9), "today"],
    [on(25, 0), "tomorrow"],
    [on(23, 23), "yesterday"],
    [on(28), "Saturday"],
    [on(30), "Monday"],
    [new Date(2026, 11, 1).getTime(), "Tue 1 Dec"],
    [on(20), "Fri 20 Nov"],
  ])("%#", (instant, said) => expect(sayDay(instant, now)).toBe(said));
  test("a time of today is only a time", () => {
    expect(sayClock(on(24, 22), now, false)).toBe("22:05");
    expect(sayClock(on(25, 7), now, false)).toBe("tomorrow 07:05");
    expect(sayClock(on(25, 19), now, true)).toBe("tomorrow 7:05 pm");
    expect([sayTimes(on(24, 9), on(24, 11), true), sayTimes(on(24, 9), on(24, 13), true)]).toEqual(["9:05–11:05 am", "9:05 am–1:05 pm"]);
    expect([sayHour("24:00", false), sayHour("19:30", true), sayZone("America/New_York"), sayZone("UTC")]).toEqual([
      "00:00",
      "7:30 pm",
      "New York time",
      "UTC",
    ]);
  });
});

describe("words that must not be exchanged", () => {
  test("what is later is not sooner, and so for every trade", () => {
    const opposites = [
      ["later", "sooner"],
      ["more-work", "less-work"],
      ["more-to-buy", "less-to-buy"],
      ["more-coats", "fewer-coats"],
      ["wears-longer", "wears-less"],
      ["harsher", "gentler"],
      ["dearer", "cheaper"],
      ["more-forgiving", "less-forgiving"],
    ] as const;
    expect(opposites.flat().sort()).toEqual(Object.keys(TRADE_WORDS).sort());
    expect(TRADE_WORDS.later).toContain("later");
    expect(TRADE_WORDS.sooner).toContain("sooner");
    for (const [more, less] of opposites) expect(TRADE_WORDS[more]).not.toBe(TRADE_WORDS[less]);
    expect([TRADE_WORDS["more-work"], TRADE_WORDS["less-work"]]).toEqual(["more time at the bench", "less time at the bench"]);
  });
});

describe("how a coat is thinned, at the table", () => {
  const thinned = (thinner: string, percent: number, from: number, to: number, dropsPerMl = 20) =>
    thinningText(
      { thinning: { with: productId(thinner), percent, dropsPerMlOfPaint: { from, to }, body: null, look: "flows", why: "it is loose enough" } },
      dropsPerMl,
    );
  test.each([
    [thinned("none", 0, 0, 0), "As it comes: it is loose enough."],
    [thinned("water", 0, 0, 2), "As it comes, or up to 2 drops of water to a thumbnail of paint (1 ml): flows."],
    [thinned("water", 20, 3, 4), "3–4 drops of water to a thumbnail of paint (1 ml): flows."],
    // By a dropper of their own, whose drops are smaller.
    [thinned("water", 20, 3, 4, 40), "6–8 drops of water to a thumbnail of paint (1 ml): flows."],
    [thinned("white-spirit", 5, 1, 1), "1 drop of white spirit to a thumbnail of paint (1 ml): flows."],
    [thinned("water", 100, 20, 20), "As much water as paint, or a little more: flows."],
    [thinningText({ thinning: null }, 20), null],
  ])("%#", (said, wanted) => expect(said).toBe(wanted));
});

test("what has changed in a step is told without a field's name in it", () => {
  expect([settingText("coats", 3), settingText("waitBefore", 90), settingText("thinning", {}), settingText("unheardOf", 1)]).toEqual([
    "three coats",
    "another wait before it",
    "thinned otherwise",
    "done otherwise",
  ]);
});
