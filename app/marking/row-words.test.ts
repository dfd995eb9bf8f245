/** What rows say on the screen. */
import { describe, expect, test } from "@jest/globals";
import { solvePattern } from "#core/marking/solve";
import { discTop, unevenTop } from "#core/marking/surface";
import { USUAL_HAND } from "#core/marking/tool";
import type { MarkTool } from "#core/marking/tool";
import type { Row } from "#core/piece/pattern";
import { closesText, toolWords, wideText } from "./row-words";

const ball: MarkTool = { id: "ball4", label: "4", set: "blue", tip: "ball", mm: 4 };
const row = (more: Partial<Row> = {}): Row => ({ id: "a", kind: "dots", diameterMm: 5, colours: ["#ffffff"], at: { radiusMm: 30 }, ...more });
const laid = (one: Row) => solvePattern(discTop(60), { rows: [one] }).rows[0]!;

describe("how a row closes", () => {
  test("its number and the space between, or why it is not laid", () => {
    expect(closesText(laid(row()), undefined)).toBe("34 close, 0.5 mm between");
    expect(closesText(laid(row({ kind: "triangles", diameterMm: 3 })), undefined)).toMatch(/^\d+ × 3 close, /);
    const holed = solvePattern(discTop(60), { rows: [row()], keepOuts: [{ count: 1, at: { radiusMm: 30 }, diameterMm: 8 }] });
    expect(closesText(holed.rows[0]!, undefined)).toBe("34 close, 0.5 mm between");
    expect(closesText(laid(row({ kind: "band" })), undefined)).toBe("all round");
    const { rows, findings } = solvePattern(discTop(60), { rows: [row({ count: 90 })] });
    expect(closesText(rows[0]!, findings[0])).toMatch(/^Not laid: 90 of 5 mm do not close here/);
  });
});

describe("what it is set with", () => {
  test("a tool that is said, one that leaves the dot, or the nearest with what it changes", () => {
    expect(toolWords(laid(row({ tool: "ball4" })), [ball], USUAL_HAND)).toMatchObject({ text: "with 4 (blue)", take: null });
    expect(toolWords(laid(row({ diameterMm: 4.2 })), [ball], USUAL_HAND)!.text).toBe("with 4 (blue)");
    const nearest = toolWords(laid(row()), [ball], USUAL_HAND)!;
    expect(nearest.text).toBe("no tool of yours leaves 5 mm; 4 is nearest, it leaves 4.2 mm: 40 would close");
    expect(laid(row(nearest.take!)).places).toBe(40);
    expect(toolWords(laid(row()), [], USUAL_HAND)).toBeNull();
  });
  test("a flat end is no tool for a series", () => {
    expect(toolWords(laid(row({ kind: "walk", tool: "ball4" })), [{ ...ball, tip: "flat" }], USUAL_HAND)!.text).toContain("does not shrink");
  });
});

test("the wide side of an uneven stone, in the hours of a clock", () => {
  const stone = unevenTop([40, 40, 52, 40], 30);
  const { rows } = solvePattern(stone, { rows: [row({ at: { radiusMm: 20 } }), row({ id: "b", at: { radiusMm: 32 } })] });
  expect(wideText(rows[1]!)).toMatch(/^Towards 6 o'clock the space to the row before grows to [\d.]+ mm: dots there may be up to [\d.]+ mm\.$/);
  expect(wideText(rows[0]!)).toBeNull();
});
