import { describe, expect, test } from "@jest/globals";
import { basisBroughtToNow, broughtToNow, laterThanNow, notBefore, saidAt } from "./noted-times";

const at = (time: string) => ({ at: `2026-11-26T${time}.000Z` });
const NOW = Date.parse("2026-11-26T12:00:00.000Z");

describe("notes of a clock that was wrong", () => {
  test("what is noted comes after what was noted before, and one that cannot be read counts for nothing", () => {
    expect(notBefore(at("10:00:00").at, [at("09:00:00")])).toBe(at("10:00:00").at);
    expect(notBefore(at("10:00:00").at, [at("12:00:00"), { at: "long ago" }])).toBe("2026-11-26T12:00:00.001Z");
  });

  test("what the user says was done earlier stands where they say, after what was done on the same place and after what the plan was made for", () => {
    expect(saidAt(at("10:00:00").at, [at("09:00:00")], null)).toBe(at("10:00:00").at);
    expect(saidAt(at("10:00:00").at, [at("11:00:00")], null)).toBe("2026-11-26T11:00:00.001Z");
    expect(saidAt(at("10:00:00").at, [at("09:00:00")], at("10:30:00").at)).toBe("2026-11-26T10:30:00.001Z");
  });

  test("a note well ahead of the clock is told; one of a moment ahead, as clocks that set themselves right leave it, is not", () => {
    expect(laterThanNow([NOW - 5, NOW + 3_600_000], NOW)).toBe(NOW + 3_600_000);
    expect(laterThanNow([NOW + 60_000], NOW)).toBeNull();
    expect(laterThanNow([], NOW)).toBeNull();
  });

  test("said to be right, the clock's later notes come to now in their order, and the others stay", () => {
    const moved = broughtToNow([at("15:00:00"), at("09:00:00"), at("14:00:00")], NOW);
    expect(moved.map((one) => one.at)).toEqual(["2026-11-26T12:00:00.000Z", "2026-11-26T12:00:00.001Z"]);
    const noted = [at("15:00:00"), at("09:00:00"), at("14:00:00")];
    expect(basisBroughtToNow(at("14:00:00").at, noted, NOW)).toBe("2026-11-26T12:00:00.000Z");
    expect(basisBroughtToNow(at("09:00:00").at, noted, NOW)).toBe(at("09:00:00").at);
  });
});
