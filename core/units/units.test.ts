import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { sayDuration, sayHours, sayDurationRange } from "./duration";
import { fromMm, sayLength, toMm } from "./length";
import { readLength } from "./read-length";
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
    expect([45, 90, 150, 300, 630].map(sayHours)).toEqual(["45 min", "1½ h", "2½ h", "5 h", "10½ h"]);
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

describe("a length as people write it", () => {
  test.each([
    ["3 1/4", "in", 82.55],
    ["3¼", "in", 82.55],
    ['3.25"', "mm", 82.55],
    ["3,25", "in", 82.55],
    ["15/16", "in", 23.8125],
    ["½ in", "mm", 12.7],
    ["80 mm", "in", 80],
    ["8 cm", "mm", 80],
    [" 80 ", "mm", 80],
    ["80.", "mm", 80],
  ] as const)("%s in %s", (text, unit, mm) => expect(readLength(text, unit)).toBeCloseTo(mm, 9));
  test.each(["", "0x50", "1e3", "-3", "3 4", "3 1/0", "3.5 1/2", "eighty", "3'", "Infinity", "1,2,3"])("%j is none", (text) =>
    expect(readLength(text, "mm")).toBeNull(),
  );
  test("whatever is typed, it is a length of some size or none", () => {
    fc.assert(
      fc.property(fc.string({ unit: "grapheme", maxLength: 12 }), (text) => {
        const mm = readLength(text, "in");
        expect(mm === null || (Number.isFinite(mm) && mm >= 0)).toBe(true);
      }),
      { seed: 7 },
    );
  });
});
