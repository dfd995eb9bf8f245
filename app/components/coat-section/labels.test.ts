import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { menuOf } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";
import { spread, widthOf, wrapped } from "./label-layout";
import { labelOf, stateText } from "./labels";

const menu = menuOf(CATALOGUE);
const cap = (more: object) => ({ kind: "cap", step: { role: "cure", product: productId("waiting"), coats: 1, ...more } as Step }) as never;
const label = (more: object) => labelOf(cap(more), menu, 3).head;

test("the kiln fires and the oven bakes; what hardens says how long; glue is glue", () => {
  const heat = { holdMin: 30, start: "cold", cool: "inside" } as const;
  expect(label({ role: "heat-set", heat: { kind: "oven", temperatureC: 160, ...heat } })).toBe("Bake 160 °C");
  expect(label({ role: "fire", heat: { kind: "kiln", temperatureC: 1040, ...heat } })).toBe("Fire 1040 °C");
  expect(label({ waitBefore: { min: 14 * 24 * 60, until: "cured" } })).toBe("Hardens 2 weeks");
  expect(label({ role: "assemble" })).toBe("Parts glued on");
});

test("a band says how many of its coats are on, and nothing of what is to come", () => {
  expect(stateText({ state: "ready", done: 1, of: 3, until: null, untilCareful: null })).toBe("may be done now, 1 of 3 done");
  expect(stateText(undefined)).toBe("");
});

test("words are cut nowhere and run out of no place", () => {
  fc.assert(
    fc.property(fc.array(fc.string({ minLength: 1, maxLength: 40 }), { maxLength: 8 }), fc.integer({ min: 60, max: 300 }), (words, width) => {
      const text = words.join(" ");
      const lines = wrapped(text, width, 14);
      expect(lines.join("").replaceAll(" ", "")).toBe(text.replaceAll(" ", ""));
      for (const line of lines) if (line.length > 1) expect(widthOf(line, 14)).toBeLessThanOrEqual(width);
    }),
    { numRuns: 200 },
  );
});

test("labels are moved apart no further than need be: those with room stay, others share what is missing", () => {
  const at = (...wants: number[]) => spread(wants.map((want) => ({ want, height: 20 })));
  expect(at(0, 50, 100)).toEqual([0, 50, 100]);
  expect(at(0, 10)).toEqual([-5, 15]);
  expect(at(0, 0, 0, 200)).toEqual([-20, 0, 20, 200]);
  expect(at(0, 30, 32)).toEqual([0, 21, 41]);
});
