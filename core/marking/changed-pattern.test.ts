import { expect, test } from "@jest/globals";
import type { Pattern } from "../piece/pattern";
import { changedPattern, patternsWith } from "./changed-pattern";

test("what is said of a place stays when its rows go, and goes when nothing is said any more; other places stay as they are", () => {
  const rim: Pattern = { zone: "rim", rows: [], clearMm: 3 };
  const top: Pattern = {
    zone: "top",
    rows: [{ id: "a", kind: "dots", diameterMm: 4, colours: ["#ffffff"] }],
    keepOuts: [{ count: 1, at: { insetMm: 8 }, diameterMm: 9 }],
  };
  const bare = changedPattern(top, { rows: [] });
  expect(patternsWith([top, rim], bare)).toEqual([rim, { zone: "top", rows: [], keepOuts: top.keepOuts }]);
  expect(patternsWith([bare, rim], changedPattern(bare, {}, ["keepOuts"]))).toEqual([rim]);
  expect(changedPattern(top, { clearMm: 2 }, ["keepOuts"])).toEqual({ zone: "top", rows: top.rows, clearMm: 2 });
});
