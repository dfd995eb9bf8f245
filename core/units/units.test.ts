import { describe, expect, test } from "@jest/globals";
import { sayDuration, sayDurationRange } from "./duration";
import { fromMm, sayLength, toMm } from "./length";
import { sayArea, sayVolume } from "./volume";

describe("times as a person says them", () => {
  test.each([
    [0, "no time"],
    [1, "1 min"],
    [13, "15 min"],
    [72, "70 min"],
    [100, "2 hours"],
    [60 * 24, "24 hours"],
    [60 * 47, "2 days"],
    [60 * 24 * 21, "3 weeks"],
  ])("%p minutes", (min, said) => {
    expect(sayDuration(min)).toBe(said);
  });
  test("ranges share a unit, and say one figure when both ends round alike", () => {
    expect(sayDurationRange(60, 90)).toBe("60–90 min");
    expect(sayDurationRange(1711, 5200)).toBe("1–4 days");
    expect(sayDurationRange(120, 125)).toBe("2 hours");
    expect(sayDurationRange(0, 0)).toBe("no time");
  });
});

describe("lengths and amounts", () => {
  test("inches come back as they went", () => {
    expect(toMm(2.5, "in")).toBe(63.5);
    expect(fromMm(toMm(3.125, "in"), "in")).toBe(3.125);
    expect(sayLength(203, "in")).toBe("8 in");
    expect(sayLength(203.4, "mm")).toBe("203 mm");
  });
  test("amounts are never rounded down to too little", () => {
    expect(sayVolume(0)).toBe("none");
    expect(sayVolume(0.8)).toBe("a few drops");
    expect(sayVolume(7.2)).toBe("1½ teaspoons");
    expect(sayVolume(41)).toBe("50 ml");
    expect(sayArea(48_000)).toBe("480 cm²");
  });
});
