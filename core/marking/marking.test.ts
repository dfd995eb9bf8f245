/** What rows, tools, orders and words promise the painter. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../catalogue/catalogue";
import type { Row } from "../piece/pattern";
import type { Piece } from "../piece/piece";
import { materialId, useId } from "../catalogue/ids";
import { planPiece } from "../coating/planner/plan-piece";
import { parsePiece } from "../formats/parse-piece";
import { guideSteps } from "./guides";
import type { GuideAsk } from "./guides";
import { keptPatternOf, rowsOfKept } from "./kept-pattern";
import { faceOf, fitText, textBudget, widthEms } from "./lettering";
import { PATTERN_TEMPLATES, beginsAt, rowsOfTemplate } from "./patterns";
import { roomOffer } from "./room-left";
import { shrinking } from "./row-kinds";
import { solvePattern } from "./solve";
import { markingPlaces, withPatternLayers } from "./solve-piece";
import { boxWall, discTop, domeTop, pebbleTop, taperedWall, unevenTop } from "./surface";
import { surfaceOf } from "./surface-of";
import { dotOf, leavesByRow, nearestTool } from "./tool";
import { closingWords, gapWords } from "./words";
import { workingOrder } from "./working-order";

const WHITE = ["#ffffff"];
const row = (id: string, more: Partial<Row> = {}): Row => ({ id, kind: "dots", diameterMm: 4, colours: WHITE, ...more });

describe("rows", () => {
  test("one that nestles has as many as the row below, turned by half a step, and lies nearer than one that does not", () => {
    const solved = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 30 }, count: 36 }), row("b", { seat: "nestle" })] });
    const loose = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 30 }, count: 36 }), row("b")] });
    const [a, b] = solved.rows;
    expect([b!.places, b!.start]).toEqual([36, 0.5 / 36]);
    expect(b!.level! - a!.level!).toBeLessThan(loose.rows[1]!.level! - 30);
    expect(b!.level!).toBeGreaterThan(a!.level!);
  });

  test("marks between stand on the same ring, and are refused by name where they would touch, with the size that goes", () => {
    const base = row("a", { at: { radiusMm: 30 }, count: 20 });
    expect(solvePattern(discTop(80), { rows: [base, row("b", { seat: "between" })] }).rows[1]).toMatchObject({ level: 30, places: 20, refused: false });
    const tight = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 30 }, count: 30 }), row("b", { seat: "between", diameterMm: 3 })] });
    expect(tight.rows[1]!.refused).toBe(true);
    expect(tight.findings[0]).toMatchObject({ code: "would-touch", row: "b", fix: { set: { diameterMm: 2 } } });
  });

  test("a count that overlaps is refused, with the counts that close and the size that would", () => {
    const { rows, findings } = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 20 }, count: 40 })] });
    expect(rows[0]).toMatchObject({ refused: true, count: 0, marks: [] });
    expect(findings[0]!.message).toMatch(/^40 of 4 mm do not close here\. 31 close just touching; 30 with a hair between/);
    const fixed = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 20 }, ...findings[0]!.fix!.set })] });
    expect(fixed.rows[0]!.refused).toBe(false);
  });

  test("a wished count is laid as near as it closes, farther out where it must", () => {
    const { rows } = solvePattern(discTop(80), { rows: [row("a", { count: 24 })] });
    expect(rows[0]!.level).toBeCloseTo(4 / (2 * Math.sin(Math.PI / 24)), 6);
  });

  test("what overhangs is refused with what the room is good for, and what is left is offered, or rest", () => {
    const solved = solvePattern(discTop(20), { rows: [row("a", { kind: "centre", diameterMm: 20 }), row("b", { diameterMm: 12 })] });
    expect(solved.rows[1]!.refused).toBe(true);
    expect(solved.findings[0]).toMatchObject({ code: "over-the-edge", fix: { set: { diameterMm: 9.5 } } });
    expect(roomOffer({ leftMm: 4.2 }, [row("a")])).toMatchObject({ diameterMm: 3 });
    expect(roomOffer({ leftMm: 1.2 }, [row("a")])).toMatchObject({ diameterMm: null, text: expect.stringContaining("rest") as unknown });
  });

  test("colours in turn: where the wished count is no multiple, the seam is told", () => {
    const two = row("a", { at: { radiusMm: 30 }, count: 21, colours: ["#ffffff", "#000000"] });
    expect(solvePattern(discTop(80), { rows: [two] }).findings[0]).toMatchObject({ code: "uneven-colours", refused: false, fix: { set: { count: 20 } } });
  });

  test("a multiple that leaves wide gaps tells of the next one that nobody sees is short", () => {
    const { rows, findings } = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 16.4 }, multipleOf: 12, gapMm: 0.3 })] });
    expect(rows[0]!.places).toBe(12);
    expect(findings[0]).toMatchObject({ code: "gap-wanders", refused: false, fix: { set: { count: 24 } } });
  });

  test("what another count would leave is told for the very place the row lies at", () => {
    const [ring] = solvePattern(discTop(80), { rows: [row("a", { at: { radiusMm: 30 }, count: 20 })] }).rows;
    expect(ring!.gapWith(30)).toBeCloseTo(60 * Math.sin(Math.PI / 30) - 4, 9);
    expect(ring!.nearest().every(({ count, gapMm }) => Math.abs(ring!.gapWith(count) - gapMm) < 1e-9)).toBe(true);
  });

  test("top dots lie on dots that are larger, all or every second, and not on top of each other's ring", () => {
    const base = row("a", { at: { radiusMm: 30 }, count: 20, diameterMm: 6 });
    const top = row("t", { kind: "top-dots", diameterMm: 2, on: "a", towards: "rim" });
    const [, all] = solvePattern(discTop(80), { rows: [base, top] }).rows;
    expect(all!.marks).toHaveLength(20);
    for (const { spots } of all!.marks) expect(Math.hypot(...spots[0]!.flat)).toBeGreaterThan(30);
    expect(solvePattern(discTop(80), { rows: [base, { ...top, everySecond: true }] }).rows[1]!.marks).toHaveLength(10);
    expect(solvePattern(discTop(80), { rows: [base, { ...top, diameterMm: 6 }] }).findings[0]).toMatchObject({ code: "larger-than-its-dot" });
    expect(solvePattern(discTop(80), { rows: [top] }).findings[0]).toMatchObject({ code: "nothing-to-sit-on" });
  });

  test("on a wall there is no middle, on a top no height: said, not guessed", () => {
    expect(solvePattern(taperedWall(80, 80, 90), { rows: [row("a", { kind: "centre" })] }).findings[0]).toMatchObject({ code: "not-on-this-body" });
    expect(solvePattern(discTop(50), { rows: [row("a", { at: { heightMm: 20 } })] }).findings[0]).toMatchObject({ code: "not-on-this-body" });
  });

  test("on an uneven stone the wide side is named, with how much larger a dot may be there", () => {
    const stone = unevenTop([40, 40, 40, 52, 52, 52, 40, 40], 30);
    const { rows } = solvePattern(stone, { rows: [row("a", { at: { radiusMm: 20 } }), row("b", { apartMm: 3 })] });
    expect(rows[1]!.wide!.towards).toBeGreaterThanOrEqual(4);
    expect(rows[1]!.wide!.towards).toBeLessThanOrEqual(8);
    expect(rows[1]!.wide!.largerMm).toBeGreaterThan(1);
    expect(solvePattern(discTop(50), { rows: [row("a", { at: { radiusMm: 20 } }), row("b")] }).rows[1]!.wide).toBeNull();
  });

  test("from the rim inward the first row lies at the rim, and what is left is left in the middle", () => {
    const { rows, leftMm } = solvePattern(discTop(50), { rows: [row("a"), row("b")], from: "rim", clearMm: 5 });
    expect(rows[0]!.level).toBeCloseTo(43, 6);
    expect(rows[1]!.level!).toBeLessThan(43);
    expect(leftMm).toBeCloseTo(rows[1]!.level! - 2, 6);
  });

  test("a series falls by one ratio: each touch leaves the same share", () => expect(shrinking(8, 2, 3)).toEqual([8, 4, 2]));
});

describe("surfaces", () => {
  test("each place of each form has the one that is measured; what has none says so", () => {
    expect(surfaceOf({ kind: "frustum", topDiameterMm: 200, bottomDiameterMm: 140, heightMm: 190 }, "outside")!.ring(0).lengthMm).toBeCloseTo(140 * Math.PI, 9);
    expect(surfaceOf({ kind: "plate", diameterMm: 210, rimWidthMm: 30 }, "rim")).toMatchObject({ from: 75, to: 105 });
    expect(surfaceOf({ kind: "cylinder", diameterMm: 82, heightMm: 95 }, "outside", { lipBandMm: 25 })!.to).toBe(70);
    expect(surfaceOf({ kind: "goblet", bowlDiameterMm: 80, bowlHeightMm: 100, stemHeightMm: 80, footDiameterMm: 70 }, "outside")!.ring(0).lengthMm).toBe(0);
    expect(surfaceOf({ kind: "custom", areaMm2: 20_000 }, "top")).toBeNull();
    expect(surfaceOf({ kind: "cylinder", diameterMm: 82, heightMm: 95 }, "handle")).toBeNull();
  });

  test("the drinking band of a mug is no place for rows", () => {
    const mug = {
      ...POT,
      material: materialId("ceramic-glazed"),
      form: { kind: "cylinder", diameterMm: 82, heightMm: 95 },
      uses: [useId("drinkware")],
      parts: ["handle"],
    } as Piece;
    const places = markingPlaces(mug, CATALOGUE);
    expect(places[0]).toMatchObject({ zone: "outside", stayBare: null });
    expect(places[0]!.surface.to).toBe(70);
    expect(places.find(({ zone }) => zone === "lip-band")!.stayBare).not.toBeNull();
  });
});

describe("order at the table", () => {
  test("stripes, then from the middle out, what sits on lines before what lies between, top dots last when all is dry", () => {
    const rows = [
      row("t", { kind: "top-dots", diameterMm: 1, on: "out" }),
      row("between", { seat: "between" }),
      row("lines", { seat: "guides", at: { radiusMm: 20 }, diameterMm: 3 }),
      row("out", { at: { radiusMm: 40 } }),
      row("band", { kind: "band", at: { radiusMm: 60 } }),
    ];
    const inTurn = [rows[2]!, { ...rows[1]!, diameterMm: 2 }, rows[3]!, rows[4]!, rows[0]!];
    const order = workingOrder(discTop(80), solvePattern(discTop(80), { rows: inTurn, guides: 8 }).rows);
    expect(order.map((one) => one.row)).toEqual(["band", "lines", "between", "out", "t"]);
    expect(order.map(({ dryBefore }) => dryBefore)).toEqual([null, "fields", null, null, "marks"]);
  });

  test("an upright piece: its upper half, a pause, its lower half", () => {
    const wall = taperedWall(80, 80, 100);
    const order = workingOrder(wall, solvePattern(wall, { rows: [20, 80, 45].map((heightMm, k) => row(`h${k}`, { at: { heightMm } })) }).rows);
    expect(order.map(({ row: id, dryBefore }) => [id, dryBefore])).toEqual([
      ["h1", null],
      ["h2", "half"],
      ["h0", null],
    ]);
  });
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

describe("tools", () => {
  const ball = { id: "a", label: "4", tip: "ball", mm: 4 } as const;
  test("a row of ten that measures 46 mm says 1.15 of the tip, and wins over the usual", () => {
    expect(leavesByRow(46, 10, 4)).toBe(1.15);
    expect(dotOf({ ...ball, leaves: 1.15 })).toBe(4.6);
    expect(leavesByRow(4, 10, 4)).toBeNull();
    expect(leavesByRow(Number.NaN, 10, 4)).toBeNull();
  });
  test("fuller tools and thinner paint leave more", () => {
    expect(dotOf(ball, { load: "full", body: "usual" })).toBeGreaterThan(dotOf(ball));
    expect(dotOf(ball, { load: "usual", body: "thin" })).toBeGreaterThan(dotOf(ball));
  });
  test("no such tool: the nearest, and by how much it is off", () => {
    expect(nearestTool(4.2, [ball])).toMatchObject({ exact: true });
    expect(nearestTool(6, [ball])).toMatchObject({ exact: false, leavesMm: 4.2, offMm: expect.closeTo(-1.8, 9) as unknown });
    expect(nearestTool(6, [])).toBeNull();
  });
});

test("gaps and counts in words", () => {
  expect([-0.5, 0, 0.2, 1.53].map(gapWords)).toEqual(["overlapping by 0.5 mm", "just touching", "a hair between", "1.5 mm between"]);
  expect(
    closingWords([
      { count: 24, gapMm: 0.2 },
      { count: 22, gapMm: 1.5 },
    ]),
  ).toBe("24 close with a hair between; 22 with 1.5 mm between");
});

describe("lettering", () => {
  const face = faceOf("source-sans");
  test("the largest that fits, over as many lines as serve it best", () => {
    const wide = fitText("open till the tide turns", 200, 30, face)!;
    const tall = fitText("open till the tide turns", 60, 80, face)!;
    expect(wide.lines.length).toBeLessThan(tall.lines.length);
    for (const [one, w, h] of [
      [wide, 200, 30],
      [tall, 60, 80],
    ] as const) {
      expect(one.widthMm).toBeLessThanOrEqual(w + 1e-6);
      expect(one.heightMm).toBeLessThanOrEqual(h + 1e-6);
      expect(one.lines.join(" ")).toBe("open till the tide turns");
    }
    expect(fitText("  \n ", 60, 80, face)).toBeNull();
  });
  test("a back holds its lines in their order, and tells what is left out", () => {
    const all = ["Lamp pebble", "M. 2026", "keep me or hide me again"];
    expect(textBudget(all, 60, 40, 0.5, face).leftOut).toEqual([]);
    const small = textBudget(all, 40, 9, 0.5, face);
    expect(small.fits).toEqual(all.slice(0, small.fits.length));
    expect([...small.fits, ...small.leftOut]).toEqual(all);
    expect(small.leftOut.length).toBeGreaterThan(0);
    for (const line of small.lines) expect((widthEms(line, face) * small.capMm) / face.capHeight).toBeLessThanOrEqual(40);
  });
});

describe("patterns", () => {
  const surfaces = {
    pebble: pebbleTop(120, 90, 30),
    dome: domeTop(32, 25),
    disc: discTop(100),
    pot: taperedWall(140, 203, 190),
    mug: taperedWall(82, 82, 70),
    jar: taperedWall(90, 90, 140),
  };

  test("ten of our own, each for three bodies at least, every row of them laid", () => {
    expect(PATTERN_TEMPLATES).toHaveLength(10);
    for (const one of PATTERN_TEMPLATES) {
      const on = Object.values(surfaces).flatMap((surface) => {
        const rows = rowsOfTemplate(one, surface, ["#f4efe2", "#d9822b"]);
        return rows ? [solvePattern(surface, { rows, guides: one.guides, from: beginsAt(surface) })] : [];
      });
      expect(on.length).toBeGreaterThanOrEqual(3);
      for (const { rows } of on) expect(rows.every(({ refused }) => !refused)).toBe(true);
    }
  });

  test("one that is kept goes on to a body of another size, larger in the same measure", () => {
    const kept = keptPatternOf("Rings", { zone: "top", guides: 8, rows: [row("a", { lengthMm: 10 })] }, discTop(50));
    expect(rowsOfKept(kept, discTop(52))).toBe(kept.rows);
    expect(rowsOfKept(kept, discTop(100))[0]).toMatchObject({ diameterMm: 8, lengthMm: 20 });
  });
});

const POT: Piece = {
  format: "nook-coat/piece",
  version: 1,
  name: "Herb pot",
  material: materialId("terracotta"),
  form: { kind: "frustum", topDiameterMm: 203, bottomDiameterMm: 140, heightMm: 190 },
  uses: [useId("planter")],
  decoration: { baseColour: "#1f3a4d", techniques: ["bands", "dots"], colours: ["#f4efe2"] },
};

describe("into the plan", () => {
  const marked = (form: Piece["form"] = POT.form): Piece =>
    withPatternLayers(
      {
        ...POT,
        form,
        decoration: {
          ...POT.decoration,
          patterns: [
            {
              zone: "outside",
              rows: [
                row("a", { at: { insetMm: 30 }, multipleOf: 8 }),
                row("b", { at: { insetMm: 60 }, count: 24, diameterMm: 6, colours: ["#d9822b"], toolName: "5 (blue set)" }),
                row("t", { kind: "top-dots", diameterMm: 2, on: "b" }),
                row("s", { kind: "swipes", at: { insetMm: 90 }, count: 16, lengthMm: 12 }),
              ],
            },
          ],
        },
      },
      CATALOGUE,
    );

  test("rows are layers with their real number, size, colour and tool; guessed dots give way, bands stay", () => {
    const layers = marked().decoration!.layers!;
    expect(layers.map(({ technique, onTop }) => (onTop ? "top" : technique))).toEqual(["bands", "dots", "dots", "swipes", "top"]);
    expect(layers.find(({ rows }) => rows?.[0]!.id === "b")).toMatchObject({
      marks: { count: 24, diameterMm: 6 },
      colour: "#d9822b",
      rows: [{ count: 24, tool: "5 (blue set)" }],
    });
    expect(parsePiece(marked(), CATALOGUE).ok).toBe(true);
  });

  test("worked out again it is the very same piece; another size is another count; without rows nothing of it is left", () => {
    const piece = marked();
    expect(withPatternLayers(piece, CATALOGUE)).toBe(piece);
    const count = (one: Piece) => one.decoration!.layers!.find(({ rows }) => rows?.[0]!.id === "a")!.marks!.count;
    const smaller = marked({ kind: "frustum", topDiameterMm: 150, bottomDiameterMm: 100, heightMm: 190 });
    expect(count(smaller)).toBeLessThan(count(piece));
    const gone = withPatternLayers({ ...piece, decoration: { ...piece.decoration, patterns: [] } }, CATALOGUE);
    expect(gone.decoration!.layers!.some(({ rows }) => rows)).toBe(false);
  });

  test("the plan sets those marks: their paint, their time, and top dots only when the dots are dry through", () => {
    const { candidates } = planPiece(marked(), CATALOGUE);
    const steps = candidates[0]!.zones.find(({ zone }) => zone === "outside")!.steps;
    const [b, top] = [steps.find(({ rows }) => rows?.[0]!.id === "b")!, steps.find(({ role }) => role === "top-dot")!];
    expect(b.marks).toMatchObject({ count: 24, diameterMm: 6 });
    expect(b.jarMl).toBeGreaterThan(0);
    expect(steps.indexOf(top)).toBeGreaterThan(steps.indexOf(b));
    expect(top.waitBefore).toMatchObject({ until: "dry-through" });
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  });
});

test("the sides of a box are one ring of its four walls", () => expect(boxWall(100, 60, 40).ring(10).lengthMm).toBe(320));
