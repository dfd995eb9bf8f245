import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { pieceFacts, stackFacts } from "./facts";
import { fillWaits, waitedBetween } from "./waits";
import { DAY, jar, pebble, pot, s, stacks } from "../../../tests/reference/bench";
import type { Said } from "../../../tests/reference/bench";

const STANDARD = { temperatureC: 23, relativeHumidity: 0.5, airflow: "still" } as const;

/** Waits of a stack, in order: minutes and stage. */
function waits(of: Piece, zone: "top" | "outside", steps: readonly Said[]) {
  const [stack] = stackFacts(pieceFacts(completePiece({ ...of, room: of.room ?? STANDARD }, CATALOGUE).piece, CATALOGUE), stacks({ [zone]: steps }));
  return fillWaits(stack!).map((step) => step.waitBefore);
}

const base = s("base", "craft-acrylic", { coats: 2 });
const bigDots = s("decorate", "craft-acrylic", { technique: "dots", marks: { count: 10, diameterMm: 6, heightMm: 0.66 } });

describe("waits that the engine works out", () => {
  test("a washed stone dries a day before its first coat; a second wash does not wait for the first", () => {
    expect(waits(pebble(), "top", [s("clean", "soap-wash"), s("clean", "water-wash"), s("prime", "gesso")])).toEqual([
      null,
      null,
      { min: DAY, cautiousMin: 2 * DAY, until: "dry-body" },
    ]);
  });

  test("alcohol flashes off in minutes, and waits itself for the washed glass to dry", () => {
    const [, alcohol, paint] = waits(jar(), "outside", [s("clean", "soap-wash"), s("clean", "isopropyl-alcohol"), s("base", "ceramic-paint-air")]);
    expect(alcohol).toMatchObject({ min: 60, until: "dry-body" });
    expect(paint).toMatchObject({ min: 10 });
  });

  test("a coat waits for the one below to take it; colours that are blended wait for their ground, and not for one another", () => {
    const blended = s("decorate", "craft-acrylic", { technique: "blended", while: "wet" });
    const [, dots, ...blend] = waits(pebble(), "top", [base, bigDots, blended, blended]);
    expect(dots).toEqual({ min: 60, cautiousMin: 90, until: "dry-to-recoat" });
    expect(blend).toEqual([expect.objectContaining({ until: "dry-to-recoat" }), null]);
    expect(waits(pebble(), "top", [s("prime", "gesso"), blended])[1]).toMatchObject({ min: 60, until: "dry-to-recoat" });
  });

  test("the thickest mark decides before a sealer, even from further down", () => {
    const [, , , seal] = waits(pebble(), "top", [base, bigDots, s("decorate", "acrylic-paint-pen", { technique: "outline" }), s("seal", "acrylic-varnish")]);
    expect(seal!.until).toBe("dry-through");
    expect(seal!.min).toBeGreaterThan(1.5 * DAY - 12 * 60);
    expect(seal!.min).toBeGreaterThan(waits(pebble(), "top", [base, s("seal", "acrylic-varnish")])[1]!.min);
  });

  test("what has passed already counts: guides off after two days leaves the sealer only the damp to wait for", () => {
    const [, , , seal] = waits(pebble(), "top", [base, bigDots, s("unmark", "damp-wipe"), s("seal", "acrylic-varnish")]);
    expect(seal).toMatchObject({ min: 30, until: "dry-body" });
  });

  test("whatever masks sprayed paint waits until that is dry right through, a day at least", () => {
    for (const mask of ["tape", "adhesive-film", "stencil"])
      for (const room of [STANDARD, { temperatureC: 28, relativeHumidity: 0.3, airflow: "fan" } as const]) {
        const [, masked] = waits(pot({ room }), "outside", [s("base", "spray-paint", { coats: 2 }), s("mask", mask)]);
        expect(masked).toMatchObject({ until: "dry-through" });
        expect(masked!.min).toBeGreaterThanOrEqual(DAY);
      }
  });

  test("tape waits for a hard film, rubber bands only for a dry one", () => {
    const taped = waits(pot(), "outside", [base, s("mask", "tape")])[1]!;
    const banded = waits(pot(), "outside", [base, s("mask", "rubber-band")])[1]!;
    expect(taped).toMatchObject({ until: "dry-hard" });
    expect(banded).toMatchObject({ until: "dry-to-recoat" });
    expect(taped.min).toBeGreaterThan(banded.min);
  });

  test("oil and water wait for each other to be dry right through", () => {
    expect(waits(pebble(), "top", [s("base", "solvent-enamel"), s("decorate", "craft-acrylic", { technique: "lettering" })])[1]!.min).toBeGreaterThanOrEqual(
      3 * DAY,
    );
    expect(waits(pebble(), "top", [base, s("decorate", "solvent-enamel", { technique: "lettering" })])[1]!.min).toBeGreaterThanOrEqual(DAY);
  });

  test("baking waits a full day for its paint, and damp or green pieces wait before anything", () => {
    expect(waits(jar(), "outside", [s("decorate", "gloss-enamel-acrylic", { technique: "dots" }), s("heat-set", "oven-bake")])[1]!.min).toBeGreaterThanOrEqual(
      DAY,
    );
    expect(waits(pot({ conditions: ["damp"] }), "outside", [base])[0]).toMatchObject({ min: 2 * DAY, until: "dry-body" });
  });

  test("a cold, damp room stretches them; the user's are left alone", () => {
    const cold = { temperatureC: 12, relativeHumidity: 0.75, airflow: "still" } as const;
    expect(waits(pebble({ room: cold }), "top", [base, bigDots])[1]!.min).toBeGreaterThan(150);
    expect(waits(pebble(), "top", [base, s("seal", "acrylic-varnish", { after: 7 })])[1]).toMatchObject({ min: 7, set: "hers" });
  });

  test("an unsaid wait on the way makes the whole unknown, not nought", () => {
    const facts = pieceFacts(completePiece(pebble({ room: STANDARD }), CATALOGUE).piece, CATALOGUE);
    const between = (steps: readonly Said[]) => {
      const [stack] = stackFacts(facts, stacks({ top: steps }));
      return waitedBetween(stack!, stack!.steps[0]!, stack!.steps.at(-1)!);
    };
    expect(between([base, s("decorate", "craft-acrylic", { after: 60 }), s("seal", "acrylic-varnish", { after: 100 })])).toBe(160);
    expect(between([base, s("decorate", "craft-acrylic"), s("seal", "acrylic-varnish", { after: 100 })])).toBeUndefined();
    expect(between([base, s("decorate", "craft-acrylic", { coats: 3, after: 60 }), s("seal", "acrylic-varnish", { after: 100 })])).toBe(160 + 120);
  });
});
