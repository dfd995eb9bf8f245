import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import type { MaterialId, UseId } from "../../catalogue/ids";
import { completePiece } from "../../piece/complete-piece";
import { pieceFrom } from "../../piece/new-piece";
import type { Piece } from "../../piece/piece";
import { StackDuration } from "./stack-duration";
import { pieceFacts, stackFacts } from "./facts";
import type { StackFacts } from "./facts";
import { planPiece } from "../planner/plan-piece";
import { fillWaits, withinMin } from "./waits";

const stated = (material: string, use: string, techniques: Parameters<typeof pieceFrom>[0]["techniques"], own: Partial<Piece> = {}): Piece => ({
  ...pieceFrom({ material: material as MaterialId, uses: [use as UseId], techniques }, CATALOGUE),
  ...own,
});
const PIECES = [
  stated("terracotta", "planter", ["bands", "dots"], { conditions: ["damp"] as unknown as Piece["conditions"] }),
  stated("ceramic-glazed", "drinkware", ["dots"], { room: { temperatureC: 16, relativeHumidity: 0.7 } }),
  stated("wood-softwood", "serving-tray", ["blended", "effect-powder"]),
  stated("gypsum-cast", "handled", ["raised-line", "metallic-wash"]),
];

/** Every stack of every way to do a piece, its waits taken out. */
function stacksOf(piece: Piece): readonly StackFacts[] {
  const facts = pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE);
  return planPiece(piece, CATALOGUE).candidates.flatMap(({ zones }) =>
    stackFacts(
      facts,
      zones.map((zone) => ({ ...zone, steps: zone.steps.map(({ waitBefore: _waitBefore, ...step }) => step) })),
    ),
  );
}

describe.each(PIECES.map((piece) => [piece.name, piece] as const))("%s: waits looked up step against step", (_name, piece) => {
  const stacks = stacksOf(piece);
  const coatsOf = (stack: StackFacts) => stack.steps.map((fact) => fact.step.coats ?? 1);
  const places = (stack: StackFacts) => [...stack.steps.keys()];

  test("are those worked out with the whole stack at hand", () => {
    for (const stack of stacks)
      expect(new StackDuration(stack, stack.steps).waits(places(stack), coatsOf(stack))).toEqual(fillWaits(stack).map((step) => step.waitBefore));
  });

  test("add up to the time from the first step to the last coat, to the minute they are rounded to", () => {
    for (const stack of stacks) {
      const work = fillWaits(stack).filter((step) => step.role !== "cure");
      const within = stack.steps.reduce((sum, fact) => sum + withinMin(fact, stack, "typical"), 0);
      const waited = work.reduce((sum, step) => sum + (step.waitBefore?.min ?? 0), within);
      const minutes = new StackDuration(stack, stack.steps).minutes(places(stack), coatsOf(stack));
      expect(minutes).toBeLessThanOrEqual(waited + 1e-6);
      expect(minutes).toBeGreaterThan(waited - work.length);
    }
  });

  test("never grow shorter by a further step or coat", () => {
    for (const stack of stacks) {
      const clock = new StackDuration(stack, stack.steps);
      const all = places(stack);
      const whole = clock.minutes(all, coatsOf(stack));
      for (const left of all) {
        const rest = all.filter((place) => place !== left);
        expect(
          clock.minutes(
            rest,
            rest.map((place) => coatsOf(stack)[place]!),
          ),
        ).toBeLessThanOrEqual(whole + 1e-6);
      }
      expect(
        clock.minutes(
          all,
          coatsOf(stack).map((coats) => coats + 1),
        ),
      ).toBeGreaterThanOrEqual(whole);
    }
  });
});
