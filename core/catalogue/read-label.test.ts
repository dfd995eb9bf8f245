/** What a label says is read off it: the kind it is likely to be, and every line a painter would copy. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "./catalogue";
import { classesOf, readLabel } from "./read-label";

describe("the kind of paint", () => {
  test.each([...CATALOGUE.products.values()].map(({ id, name }) => [name, id]))("%s is found by its own name", (name, id) => {
    expect(classesOf(name, CATALOGUE)[0]?.product).toBe(id);
  });

  test.each([
    ["for glass, bake 30 min at 160", "gloss-enamel-acrylic"],
    ["Glass & porcelain paint, no baking needed", "ceramic-paint-air"],
    ["Gloss varnish for indoor and outdoor use, UV protection", "outdoor-varnish"],
    ["Polyurethane floor varnish, clean brushes with white spirit", "oil-polyurethane"],
    ["Heavy body artists' acrylic", "heavy-body-acrylic"],
    ["Spray varnish, clear satin", "acrylic-spray-clear"],
    ["Epoxy resin, part A and hardener", "coating-resin"],
    ["Exterior masonry paint, smooth matt", "masonry-paint"],
    ["Acrylic marker, fine", "acrylic-paint-pen"],
    ["Children's poster paint, washable", "poster-paint"],
  ])("“%s” points to %s", (text, id) => expect(classesOf(text, CATALOGUE)[0]?.product).toBe(id));

  test("words that say nothing point nowhere", () => expect(classesOf("Harbour, batch 12", CATALOGUE)).toEqual([]));
});

describe("the lines of a label", () => {
  test.each([
    ["Touch dry in 20 min, recoat after 1–2 hours.", { touchMin: 20, recoatMin: 120 }],
    ["Dries in 15 minutes. Second coat after 4 h.", { touchMin: 15, recoatMin: 240 }],
    ["Bake 35 minutes at 300 °F", { bake: { atC: 149, holdMin: 35 } }],
    ["No baking needed", { bake: null }],
    ["Do not use below 8 °C", { minC: 8 }],
    ["Apply between 5 and 30 °C", { minC: 5, maxC: 30 }],
    ["Apply two thin coats", { coats: 2 }],
    ["Thin with max 10 % water", { thinnerPercent: 10 }],
    ["10-12 m²/l", { spreadM2PerL: 10 }],
    ["Semi-opaque, satin", { opacity: "semi-opaque", sheen: "satin" }],
    ["Ultra matt. Opaque.", { opacity: "opaque", sheen: "matte" }],
    ["Not food safe. For indoors only.", { foodClaim: false, weatherproof: false }],
    ["Food safe once cured; weatherproof", { foodClaim: true, weatherproof: true }],
    ["Shake well before use.", {}],
  ])("“%s”", (text, label) => expect(readLabel(text).label).toEqual(label));

  test("the size in millilitres, litres and fluid ounces; what a litre covers is no size", () => {
    expect(["59 ml / 2 fl oz", "2.5 l", "2 fl oz", "covers 12 m²/l"].map((text) => readLabel(text).sizeMl)).toEqual([59, 2500, 59, undefined]);
  });
});
