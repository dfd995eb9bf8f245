/** Several pieces made together: one table of the work. */
import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { jar, mug, pebble, pot, tray } from "../../../tests/reference/bench";
import { planPiece } from "../planner/plan-piece";
import { sumOf, togetherActs } from "./together";
import type { OneOfSet } from "./together";
import { toldActs } from "./told-acts";

const navy = { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] } as const;
const KINDS: readonly OneOfSet[] = [
  pebble({ uses: ["gift-or-sale"], count: 12, decoration: navy }),
  pot({ uses: ["planter"], count: 6, decoration: navy }),
  tray(),
  mug({ wishes: { route: "bake" } }),
  jar({ uses: ["candle"] }),
].map((piece, index) => ({ id: `piece${index}`, name: piece.name, plan: planPiece(piece, CATALOGUE).candidates[0]! }));

test("each act of each piece is in one row, in its own order; what is the same is one row", () => {
  fc.assert(
    fc.property(fc.subarray([...KINDS], { minLength: 1 }), (pieces) => {
      const rows = togetherActs(pieces);
      for (const { id, plan } of pieces) {
        const own = rows.flatMap(({ parts }) => parts.filter((part) => part.id === id).map(({ act }) => act.number));
        expect(own).toEqual(toldActs(plan).map(({ number }) => number));
      }
      for (const { parts } of rows) expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length);
    }),
    { seed: 3, numRuns: 40 },
  );
});

test("six pots and twelve pebbles in the same colours are primed, coloured and dotted in one go each", () => {
  const rows = togetherActs(KINDS.slice(0, 2));
  const shared = (role: string) => rows.filter(({ step, parts }) => step.role === role && parts.length === 2);
  for (const role of ["prime", "base", "decorate"]) expect([role, shared(role).length > 0]).toEqual([role, true]);
  const [base] = shared("base");
  expect(sumOf(base!.parts).jarMl).toBeGreaterThan(sumOf(base!.parts.slice(1)).jarMl!);
  expect(sumOf([])).toEqual({ jarMl: null, handsOnMin: 0 });
});

test("one piece alone is its own plan", () => {
  expect(togetherActs([KINDS[0]!]).map(({ step }) => step.id)).toEqual(toldActs(KINDS[0]!.plan).map(({ step }) => step.id));
  expect(togetherActs([])).toEqual([]);
});
