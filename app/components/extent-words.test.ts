import { expect, test } from "@jest/globals";
import type { Layer } from "#core/piece/piece";
import { extentText, patternWords, sayShare } from "./extent-words";

type Told = Parameters<typeof extentText>[0];
const told = (step: object, unit: "mm" | "in" = "mm") => extentText({ role: "decorate", technique: "dots", ...step } as Told, unit);

test("how much of a decoration a step is reckoned for, as a painter says it", () => {
  expect(told({ marks: { count: 24, diameterMm: 8.5, heightMm: 1 } })).toBe("Reckoned for 24 dots of 8.5 mm.");
  expect(told({ technique: "crystals", marks: { count: 12, diameterMm: 25.4, heightMm: 1 } }, "in")).toBe("Reckoned for 12 marks of 1 in.");
  expect(told({ technique: "bands", coverage: 0.3 })).toBe("Reckoned for about a third of it.");
  expect([told({ technique: "solid", coverage: 1 }), told({ role: "seal", coverage: 0.5 })]).toEqual([null, null]);
  expect([0.01, 0.08, 0.6, 0.99].map(sayShare)).toEqual(["a little of it", "a tenth of it", "half of it", "all of it"]);
});

test("a step that was marked out names its rows, with tool and count", () => {
  const rows = [
    { id: "a", name: "Dots of 4 mm", count: 24, diameterMm: 4, tool: "4 (blue)" },
    { id: "b", name: "Dot in the middle of 8 mm", count: 1, diameterMm: 8 },
  ];
  expect(told({ rows, marks: { count: 25, diameterMm: 4, heightMm: 1 } })).toBe("Marked out: dots of 4 mm with 4 (blue): 24; dot in the middle of 8 mm.");
  expect(told({ role: "top-dot", rows: [rows[0]], marks: { count: 24, diameterMm: 4, heightMm: 1 } })).toContain("24.");
});

test("a pattern in a breath: its marks and its rows, each row once", () => {
  const row = (id: string) => ({ id, name: "Dots", count: 10, diameterMm: 4 });
  const layer = (ids: readonly string[], count: number): Layer => ({ technique: "dots", zone: "top", marks: { count, diameterMm: 4 }, rows: ids.map(row) });
  expect(patternWords([layer(["a", "b"], 20), layer(["b", "c"], 30)])).toBe("50 marks in 3 rows");
  expect(patternWords([layer(["a"], 10)])).toBe("10 marks in one row");
  expect(patternWords([{ technique: "bands", zone: "top", coverage: 0.2, rows: [row("a"), row("b")] }])).toBe("stripes in 2 rows");
});
