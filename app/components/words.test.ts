import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { menuOf } from "#core/catalogue/menu";
import { TECHNIQUES, ZONES } from "#core/catalogue/vocabulary";
import type { Step } from "#core/coating/plan";
import { firstPlan, jar, mug, pebble, pot, tray } from "../../tests/reference/bench";
import { stepTitle, waitText, zoneName, zoneNames } from "./words";

const menu = menuOf(CATALOGUE);
const step = (more: Partial<Omit<Step, "product">> & { product: string }) =>
  ({ coats: 1, method: "brush", role: "base", ...more, product: productId(more.product) }) as Step;

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
  test("a wait is a range in one unit, and says what for; hers says so", () => {
    expect(waitText({ min: 72, cautiousMin: 110, until: "dry-to-recoat" })).toBe("Wait 1–2 hours until it takes the next coat");
    expect(waitText({ min: 1711, cautiousMin: 5200, until: "dry-body" })).toBe("Wait 1–4 days until the piece itself is dry");
    expect(waitText({ min: 30, until: "dry-through", set: "hers" })).toBe("Wait 30 min (set by you) until it is dry right through");
  });
  test("zones are said in one breath", () => {
    expect(zoneNames(["rim"])).toBe("Rim");
    expect(zoneNames(["rim", "saucer", "base"])).toBe("Rim, saucer and underneath");
    for (const zone of ZONES) expect(zoneName(zone).length).toBeGreaterThan(2);
  });
});
