/**
 * Mistakes and rescue against the trade's own table: what is done while it is wet, and when it is dry.
 *
 * Source: the trade handbook, section 13 (common practice); each row is quoted as it stands there.
 */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { materialId } from "#core/catalogue/ids";
import type { TechniqueId } from "#core/catalogue/vocabulary";
import { mishapsAt, remediesFor } from "#core/logbook/rescue/rescue";
import type { Spot, Wetness } from "#core/logbook/rescue/spot";
import { planPiece } from "#core/coating/planner/plan-piece";
import type { Step } from "#core/coating/model/step";
import { pebble, piece } from "./bench";

const DOTS = { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] };
const stone = planPiece(pebble({ uses: ["handled"], decoration: DOTS }), CATALOGUE).candidates[0]!.zones[0]!.steps;
const plate = planPiece(
  piece({
    material: "ceramic-bisque",
    object: "plate",
    form: { kind: "plate", diameterMm: 220, rimWidthMm: 30 },
    uses: ["food-contact"],
    decoration: DOTS,
    constraints: { kiln: true },
  }),
  CATALOGUE,
).candidates[0]!.zones.flatMap((zone) => zone.steps);

type On = "dots" | "swipes" | "swirled" | "outline" | "base" | "seal" | "bisque";

/** A spot of a stone with a ground beneath it, or of an unfired plate. */
function spot(on: On, wetness: Wetness): Spot {
  const of = (role: string, steps: readonly Step[] = stone) => steps.find((step) => step.role === role)!;
  const [ground, marks] = [of("base"), of("decorate")];
  const { marks: _count, ...stroke } = marks;
  const step: Step =
    on === "dots"
      ? marks
      : on === "base" || on === "seal"
        ? of(on)
        : on === "bisque"
          ? (plate.find(({ role, product }) => role === "decorate" && product === "underglaze") ?? of("base", plate))
          : { ...stroke, technique: on as TechniqueId };
  const product = CATALOGUE.products.get(step.product)!;
  return {
    zone: "top",
    step,
    wetness,
    below: on === "base" || on === "bisque" ? [of("prime")] : [ground, of("prime")],
    above: [],
    carrier: product.carrier,
    binder: product.binder,
    groundMoves: false,
    bare: on === "bisque",
    body: CATALOGUE.materials.get(materialId(on === "bisque" ? "ceramic-bisque" : "stone-smooth"))!,
    suspect: false,
  };
}

/** What is told for a mishap at a spot, in one text; "" where the mishap does not occur there. */
function told(mishap: string, on: On, wetness: Wetness): string {
  const at = spot(on, wetness);
  const found = mishapsAt(at).find(({ id }) => id === mishap);
  if (!found) return "";
  return remediesFor(found, at)
    .filter(({ later }) => later === null)
    .map(({ remedy, steps }) => `${remedy.name}: ${steps.join(" ")}`)
    .join("\n");
}

/** The table: what, on which band, what it says while wet and when dry, as a pattern for the words of ours; null: the table says nothing. */
const ROWS: readonly (readonly [what: string, mishap: string, on: On, wet: RegExp | null, dry: RegExp | null])[] = [
  [
    "dot misplaced: lift with a damp swab, up and away | scrape, wipe, touch up the base",
    "dot-misplaced",
    "dots",
    /damp.*up and away/s,
    /Scrape.*[Ww]ipe.*[Tt]ouch the ground up/s,
  ],
  ["on bisque: do not wet it | erase with a pencil eraser", "dot-misplaced", "bisque", null, /pencil eraser/],
  ["dots merged: lift both | top dots, or sand back", "dots-merged", "dots", /Lift it off/, /top dot/],
  ["bubble: pop at once | fill with a drop", "bubble", "base", /Pop it at once/, /Fill it with a drop/],
  ["spike on a dome: swirl with a fine point", "spike", "dots", /fine point/, null],
  ["gap at the end of a ring: respread while wet | make it intended: accent, join", "ring-gap", "dots", /Share the gap out/, /look meant/],
  ["ground grins through: another coat; a pearl or white top dot", "grins", "dots", null, /one more coat.*top dot/s],
  ["bleed under mask: wipe towards the mask | touch up with both colours", "bleed", "base", /towards the mask/, /both colours/],
  ["sticky varnish: wait, warm, air", "sticky", "seal", /warm and in moving air/, /warm and in moving air/],
  ["crooked edge: outline it", "crooked", "base", null, /Outline it/],
  ["broken line: bridge with a row of dots", "broken-line", "outline", null, /row of dots/],
  ["skinny or bare-centred dot: push paint in with the tool's edge | redot over it", "skinny-dot", "dots", /edge of the tool/, /full one over it/],
  ["short swipe: reload and go over", "short-swipe", "swipes", /Load again/, null],
  ["too much dark in a swirl: put the base colour back in", "too-dark", "swirled", /ground colour back in/, null],
  ["outline swallowed a thin shape: repaint the shape inside it", "outline-thick", "outline", null, /inside its outline/],
  ["unsuitable paint: wipe the dots, spare the guides, change paint", "slumps", "dots", /spare the guides/, null],
  ["finished dots in the wrong place: scrape, swab, refill the ground, set them anew", "row-misplaced", "dots", null, /refill the ground, set it anew/],
];

describe("the table of mistakes and rescue", () => {
  test.each(ROWS)("%s", (_what, mishap, on, wet, dry) => {
    if (wet) expect(told(mishap, on, "wet")).toMatch(wet);
    if (dry) expect(told(mishap, on, "dry")).toMatch(dry);
  });

  test("cloudy varnish: wait; thin gloss coat; else sand and redo", () => {
    const hard = told("cloudy", "seal", "hard");
    expect(told("cloudy", "seal", "dry")).toMatch(/moving air/);
    expect(hard).toMatch(/thin gloss coat/);
    expect(hard).toMatch(/Sand it back/);
  });

  test("whole design disliked: sand smooth, cured film only, never suspect old paint; darker base, begin again", () => {
    expect(told("disliked", "base", "hard")).toMatch(/Sand it back.*darker one hides/s);
    expect(told("disliked", "base", "dry")).not.toMatch(/[Ss]and it (level|smooth)/);
    const suspect: Spot = { ...spot("base", "hard"), suspect: true };
    const texts = remediesFor(
      mishapsAt(suspect).find(({ id }) => id === "disliked")!,
      suspect,
    );
    expect(texts.some(({ remedy }) => /sand|scrape/i.test(remedy.name))).toBe(false);
    expect(texts[0]!.cautions.join(" ")).toMatch(/lead/);
  });

  test("on bisque nothing is wetted while it is wet: it is left to dry, and rubbed out then", () => {
    const wet = told("dot-misplaced", "bisque", "wet") || told("smeared", "bisque", "wet");
    expect(wet).toMatch(/Let it dry/);
    expect(wet).not.toMatch(/swab/);
  });
});

describe("cautions go with what is done", () => {
  const cautionsOf = (mishap: string, at: Spot) =>
    remediesFor(
      mishapsAt(at).find(({ id }) => id === mishap)!,
      at,
    )
      .flatMap(({ cautions }) => cautions)
      .join(" ");

  test("dust where stone or gypsum is sanded, solvent where solvent is used, gloves with resin", () => {
    expect(cautionsOf("run", spot("base", "hard"))).toMatch(/particle mask/);
    expect(cautionsOf("smeared", { ...spot("base", "wet"), carrier: "solvent", binder: "alkyd" })).toMatch(/no flame/);
    expect(cautionsOf("resin-fault", { ...spot("seal", "wet"), binder: "epoxy", carrier: "none" })).toMatch(/gloves/);
    // Dots are lifted with a swab: there is nothing to take care of.
    expect(cautionsOf("spike", { ...spot("dots", "wet"), body: CATALOGUE.materials.get(materialId("glass"))! })).not.toMatch(/Dust|Solvent|Resin/);
  });
});
