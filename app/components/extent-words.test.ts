import { expect, test } from "@jest/globals";
import { extentText, sayShare } from "./extent-words";

type Told = Parameters<typeof extentText>[0];
const told = (step: object, unit: "mm" | "in" = "mm") => extentText({ role: "decorate", technique: "dots", ...step } as Told, unit);

test("how much of a decoration a step is reckoned for, as a painter says it", () => {
  expect(told({ marks: { count: 24, diameterMm: 8.5, heightMm: 1 } })).toBe("Reckoned for 24 dots of 8.5 mm.");
  expect(told({ technique: "crystals", marks: { count: 12, diameterMm: 25.4, heightMm: 1 } }, "in")).toBe("Reckoned for 12 marks of 1 in.");
  expect(told({ technique: "bands", coverage: 0.3 })).toBe("Reckoned for about a third of it.");
  expect([told({ technique: "solid", coverage: 1 }), told({ role: "seal", coverage: 0.5 })]).toEqual([null, null]);
  expect([0.01, 0.08, 0.6, 0.99].map(sayShare)).toEqual(["a little of it", "a tenth of it", "half of it", "all of it"]);
});
