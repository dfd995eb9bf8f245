import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { readDay } from "./read-day";

/** A Friday. */
const TODAY = "2026-11-27";

describe("a day as people write it", () => {
  test.each([
    ["12 Dec", "2026-12-12"],
    ["12. Dec", "2026-12-12"],
    ["12th of December", "2026-12-12"],
    ["December 12, 2027", "2027-12-12"],
    ["Sat 12 Dec 2026", "2026-12-12"],
    ["1 feb", "2027-02-01"],
    ["27 nov", "2026-11-27"],
    ["26 nov", "2027-11-26"],
    ["12.12.", "2026-12-12"],
    ["3.4.27", "2027-04-03"],
    ["3/4/2027", "2027-04-03"],
    ["29 Feb", "2028-02-29"],
    ["2026-12-8", "2026-12-08"],
    ["today", TODAY],
    ["tomorrow", "2026-11-28"],
    ["saturday", "2026-11-28"],
    ["Fri", "2026-12-04"],
    ["next Thursday", "2026-12-03"],
    ["in 3 weeks", "2026-12-18"],
    ["in a week", "2026-12-04"],
    ["in 10 days", "2026-12-07"],
  ])("%s", (text, day) => expect(readDay(text, TODAY)).toBe(day));

  test("where the month is said first it is", () => expect(readDay("3/4/2027", TODAY, true)).toBe("2027-03-04"));

  test.each(["", "1", "12", "12 D", "12 De", "12 Dec 2", "12 Dec 202", "31 Feb", "13/13", "Decembre the first", "in", "in 3", "in weeks", "soon", "fr"])(
    "%s is no day yet",
    (text) => expect(readDay(text, TODAY)).toBeNull(),
  );

  test("every day is read back as it is told", () => {
    fc.assert(
      fc.property(fc.date({ min: new Date("2000-01-01"), max: new Date("2199-12-31"), noInvalidDate: true }), (at) => {
        const day = at.toISOString().slice(0, 10);
        const told = at.toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" });
        expect(readDay(told, TODAY)).toBe(day);
        expect(readDay(day, TODAY)).toBe(day);
      }),
      { numRuns: 200 },
    );
  });
});
