import { expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { menuOf } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";
import { labelOf, SHORT_NAME, stateText } from "./labels";

const menu = menuOf(CATALOGUE);
const cap = (more: object) => ({ kind: "cap", step: { role: "cure", product: productId("waiting"), coats: 1, ...more } as Step }) as never;
const label = (more: object) => labelOf(cap(more), menu, 3, SHORT_NAME);

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
