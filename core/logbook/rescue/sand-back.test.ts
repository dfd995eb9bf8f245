/** A painted body that is not liked is sanded back only where its film is waterborne and hard right through. */
import { expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId, stepId } from "../../catalogue/ids";
import type { Role } from "../../catalogue/vocabulary";
import type { LaidAct } from "../body-state";
import { sandBackOf } from "./sand-back";

const DAY = 86_400_000;
const START = Date.parse("2026-11-28T18:00:00Z");
const laid = (role: Role, product: string, day = 0): LaidAct =>
  ({
    zone: "top",
    stepId: stepId(`top.${role}.${product}`),
    act: { role, product: productId(product) },
    coats: [{ coat: 1, at: new Date(START + day * DAY).toISOString() }],
  }) as unknown as LaidAct;
const told = (body: readonly LaidAct[], day: number, conditions: readonly never[] = []) => sandBackOf({ conditions }, body, START + day * DAY, CATALOGUE);

test("not before the youngest film has cured, and then at once", () => {
  const body = [laid("prime", "gesso"), laid("base", "craft-acrylic", 1), laid("seal", "acrylic-varnish", 3)];
  const early = told(body, 5);
  expect(early).toMatchObject({ kind: "later", product: "Craft acrylic" });
  expect((early as { from: number }).from).toBeGreaterThan(START + 14 * DAY);
  expect(told(body, 90)).toEqual({ kind: "now" });
});

test("a bare body, or one that is only filled, has nothing to sand back", () => {
  expect(told([], 0)).toEqual({ kind: "bare" });
  expect(told([laid("clean", "constant-weight"), laid("fill", "spackle")], 0)).toEqual({ kind: "bare" });
});

test("old paint, what was fired, and what is no waterborne film are not sanded, however long they have lain", () => {
  const waterborne = [laid("base", "craft-acrylic")];
  expect(told(waterborne, 900, ["previously-painted" as never])).toMatchObject({ kind: "never", why: "old-paint" });
  expect(told([...waterborne, laid("seal", "oil-polyurethane")], 900)).toMatchObject({ kind: "never", why: "not-waterborne" });
  expect(told([laid("seal", "coating-resin")], 900)).toMatchObject({ kind: "never", why: "not-waterborne" });
  expect(told([laid("base", "underglaze"), laid("fire", "kiln-fire")], 900)).toMatchObject({ kind: "never", why: "fired" });
});
