/** Lines to draw, for each body by the instrument that draws them there. */
import { describe, expect, test } from "@jest/globals";
import type { Pattern, Row } from "../piece/pattern";
import { guideSteps } from "./guides";
import type { GuideAsk, GuideStep } from "./guide-ask";
import { solvePattern } from "./solve";
import { boxWall, discTop, domeTop, pebbleTop, squareTop, taperedWall } from "./surface";
import type { MarkingSurface } from "./surface";

const row = (id: string, more: Partial<Row> = {}): Row => ({ id, kind: "dots", diameterMm: 4, colours: ["#ffffff"], ...more });

function steps(surface: MarkingSurface, pattern: Partial<Pattern>, more: Partial<GuideAsk> = {}): readonly GuideStep[] {
  const whole: Pattern = { zone: surface.shape === "top" ? "top" : "outside", rows: [], ...pattern };
  const form = { kind: "disc", diameterMm: 100, thicknessMm: 10 } as const;
  return guideSteps({ form, object: "other", parts: [], surface, pattern: whole, solved: solvePattern(surface, whole), unit: "mm", pencil: null, ...more });
}
const find = (all: readonly GuideStep[], id: string) => all.find((step) => step.id === id);

describe("the middle", () => {
  test("of a round top by compass, of an oval by its two halves, of a lid from corner to corner", () => {
    expect(find(steps(discTop(50), {}), "centre")).toMatchObject({
      instrument: "compass",
      text: expect.stringContaining("Half of 100 mm is 50 mm") as unknown,
    });
    expect(find(steps(pebbleTop(120, 84, 30), {}), "centre")).toMatchObject({
      instrument: "ruler",
      text: expect.stringContaining("half the length is 60 mm, half the width 42 mm") as unknown,
    });
    const lid = find(steps(squareTop(200, 120), {}, { form: { kind: "box", lengthMm: 200, widthMm: 120, heightMm: 60 } }), "centre");
    expect(lid!.text).toContain("from corner to corner");
  });
  test("a wall and a plate's rim have none", () => {
    expect(find(steps(taperedWall(80, 80, 90), {}), "centre")).toBeUndefined();
    expect(find(steps(discTop(105, 75), {}), "centre")).toBeUndefined();
  });
});

test("places kept free are drawn round before the rows, each by its measure", () => {
  const said = (surface: MarkingSurface, keepOuts: Pattern["keepOuts"]) => find(steps(surface, { keepOuts: keepOuts! }), "kept-0")!;
  expect(said(discTop(100), [{ count: 12, at: { radiusMm: 80 }, diameterMm: 22 }])).toMatchObject({
    instrument: "compass",
    text: "12 places 22 mm across, evenly round from twelve, 80 mm from the middle: draw round each lightly. No mark lies inside.",
  });
  expect(said(discTop(100), [{ count: 1, at: { radiusMm: 0 }, diameterMm: 24 }]).text).toContain("24 mm across, in the middle: draw round it");
  expect(said(taperedWall(80, 80, 90), [{ count: 1, at: { heightMm: 40 }, diameterMm: 10 }]).text).toContain("40 mm above the foot");
});

describe("parting the round", () => {
  test.each([
    [2, "One line across;"],
    [3, "One mark, then two thirds of the round"],
    [4, "One line across, one square to it;"],
    [10, "One mark, the opposite one, then 4 in each half"],
    [12, "One mark, the opposite one, two in each half, then halve each sixth"],
    [16, "halve each quarter, and halve again"],
    [7, "Step it round with the compass"],
  ])("in %d", (guides, words) => expect(find(steps(discTop(50), { guides }), "slices")!.text).toContain(words));

  test("the compass steps the edge, and closes: by chord, not by arc", () =>
    expect(find(steps(discTop(50), { guides: 8 }), "slices")!.text).toContain(`compass steps ${38.5} mm, 8 times`));

  test("an oval's edge is parted by length, and said so", () =>
    expect(find(steps(pebbleTop(120, 84, 30), { guides: 8 }), "slices")!.text).toContain("even by length, not by angle"));

  test("a tapered pot: the step at the rim, and what it is at the lowest row; a straight one has one number", () => {
    const pot = taperedWall(140, 203, 190);
    const text = find(steps(pot, { guides: 8, rows: [row("a", { at: { heightMm: 30 } })] }), "steps")!.text;
    expect(text).toMatch(/At the rim step 77\.5 mm with the compass, 8 times: it closes\. By tape along the rim it is 79\.5 mm, and 59 mm at the lowest row/);
    expect(find(steps(taperedWall(90, 90, 90), { guides: 8, rows: [row("a")] }), "steps")!.text).not.toContain("lowest row");
  });

  test("the sides of a box by tape", () => expect(find(steps(boxWall(100, 60, 40), { guides: 8 }), "steps")!.instrument).toBe("tape"));
});

describe("a line for each row", () => {
  test("on a wall a stack of known height, both edges of a band", () => {
    const all = steps(taperedWall(90, 90, 100), {
      rows: [row("a", { at: { heightMm: 62 }, count: 20 }), row("b", { kind: "band", diameterMm: 12, at: { heightMm: 30 } })],
    });
    expect(find(all, "ring-a")).toMatchObject({ instrument: "stack", text: expect.stringContaining("a stack 62 mm high") as unknown });
    expect(find(all, "ring-a")!.text).toMatch(/Round there: 283 mm by tape\. Step 14 mm from the middle of one to the middle of the next, 20 times\./);
    expect(find(all, "ring-b")!.text).toContain("a stack 24 mm and 36 mm high");
  });
  test("on a round top the compass, on an oval its template and the inset, on a lid so far in from every side", () => {
    expect(find(steps(discTop(50), { rows: [row("a", { at: { radiusMm: 23.4 } })] }), "ring-a")!.text).toMatch(/^Compass from the middle: 23\.5 mm\. Step/);
    const oval = find(steps(pebbleTop(120, 84, 30), { rows: [row("a", { at: { insetMm: 8 } })] }), "ring-a")!;
    expect([oval.instrument, oval.text]).toEqual(["template", expect.stringContaining("8 mm in from the edge at the narrow side")]);
    const lid = steps(squareTop(200, 120), { rows: [row("a", { at: { insetMm: 15 } })] }, { form: { kind: "box", lengthMm: 200, widthMm: 120, heightMm: 60 } });
    expect(find(lid, "ring-a")!.text).toMatch(/^15 mm in from every side\./);
  });
  test("what sits between, nestles, lies on others or is not laid needs no line", () => {
    const all = steps(discTop(80), {
      rows: [
        row("a", { at: { radiusMm: 30 }, count: 20 }),
        row("b", { seat: "between", diameterMm: 2 }),
        row("c", { seat: "nestle" }),
        row("t", { kind: "top-dots", diameterMm: 1, on: "a" }),
        row("x", { count: 1500, at: { radiusMm: 50 } }),
      ],
    });
    expect(all.filter(({ id }) => id.startsWith("ring-")).map(({ id }) => id)).toEqual(["ring-a"]);
  });
});

describe("what stays clear", () => {
  test("a rim, with the pencil flat on the table", () => {
    expect(find(steps(discTop(50), { clearMm: 6 }), "clear")!.text).toContain("6 mm high on the table and drag the piece round");
    expect(find(steps(taperedWall(80, 80, 90), { clearMm: 6 }), "clear")!.text).toContain("upside down");
    expect(find(steps(discTop(50), {}), "clear")).toBeUndefined();
  });
  test("the works and hands of a clock, the cord of a sign; a stem stands a little below the middle", () => {
    expect(find(steps(discTop(100), {}, { object: "clock" }), "hands")!.text).toContain("12 mm round the hole");
    expect(find(steps(squareTop(200, 120), {}, { object: "sign" }), "hanger")).toBeDefined();
    expect(find(steps(taperedWall(90, 90, 100), {}, { parts: ["stem"] }), "stem")!.text).toContain("45 mm up it");
  });
});

test("in inches everything is told in sixteenths", () => {
  const [centre] = steps(discTop(50.8), { rows: [row("a", { at: { radiusMm: 25.4 } })] }, { unit: "in" });
  expect(centre!.text).toContain("Half of 4 in is 2 in");
  expect(find(steps(discTop(50.8), { rows: [row("a", { at: { radiusMm: 27 } })] }, { unit: "in" }), "ring-a")!.text).toMatch(
    /^Compass from the middle: 1 1\/16 in\./,
  );
});

test("a pressed line stays, and says why", () => {
  const [first] = steps(discTop(50), {}, { pencil: { draw: "Pressed line", takeOff: null, pressed: true } });
  expect(first).toMatchObject({ instrument: "tool", text: "Pressed line, lightly. They stay: paint hides them." });
});

test.each([2, 4, 6, 8, 12])("by eye in %d: across and across, never round", (guides) => {
  const text = find(steps(discTop(50), { guides, byEye: true }), "by-eye")!.text;
  expect(text).toMatch(/^No lines: one dot, the one straight across from it, then \S/);
  expect(text).toContain("Always go across");
  expect(text).not.toMatch(/then \.|, ,|undefined/);
});

describe("lines, with their instruments", () => {
  const ask = (more: Partial<GuideAsk>): GuideAsk => {
    const surface = more.surface ?? domeTop(32.5, 25);
    const pattern = more.pattern ?? { zone: "top", guides: 8, rows: [row("a", { at: { radiusMm: 20 }, seat: "guides" })] };
    return {
      form: { kind: "dome", diameterMm: 65, heightMm: 25 },
      object: "stone",
      parts: [],
      surface,
      pattern,
      solved: solvePattern(surface, pattern),
      unit: "mm",
      pencil: null,
      ...more,
    };
  };
  const textOf = (id: string, more: Partial<GuideAsk> = {}) => guideSteps(ask(more)).find((step) => step.id === id)?.text;

  test("on a dome the compass and the tape are two numbers, and each is named", () => {
    expect(textOf("ring-a")).toMatch(/Compass from the middle: 21 mm\. By tape from the middle it is 21\.5 mm/);
  });

  test("half of the steps of the parting are halvings; six are one, the opposite one and two in each half", () => {
    expect(textOf("slices")).toContain("One line across, one square to it, then halve each quarter");
    expect(textOf("slices", { pattern: { zone: "top", guides: 6, rows: [] } })).toContain("One mark, the opposite one, then two in each half");
  });

  test("a mug's front is a quarter round from its handle, mirrored for the left hand", () => {
    const surface = taperedWall(82, 82, 70);
    const mug = { surface, parts: ["handle"] as const, object: "mug" as const };
    expect(textOf("front", { ...mug, pattern: { zone: "outside", rows: [] } })).toMatch(/handle at your left.*64\.5 mm round/);
    expect(textOf("front", { ...mug, pattern: { zone: "outside", rows: [], hand: "left" } })).toContain("handle at your right");
  });

  test("by eye has its own short form, without a line to draw", () => {
    const steps = guideSteps(
      ask({ pattern: { zone: "top", guides: 8, rows: [row("a")], byEye: true }, pencil: { draw: "Chalk pencil", takeOff: "damp cloth", pressed: false } }),
    );
    expect(steps.map(({ id }) => id)).toEqual(["centre", "by-eye"]);
  });

  test("what the plan draws and wipes with is named, and what is glued keeps its place bare", () => {
    const steps = guideSteps(ask({ object: "clock", parts: ["numerals"], pencil: { draw: "Chalk pencil", takeOff: "wipe, barely damp", pressed: false } }));
    expect(steps.map(({ id }) => id)).toEqual(expect.arrayContaining(["pencil", "hands", "numerals"]));
    expect(steps[0]!.text).toContain("wipe, barely damp, when everything is dry");
  });
});
