/** What is cast at Tern Point is sound: every record fits its schema whenever the notebook is opened, and shows what casting is for. */
import { expect, test } from "@jest/globals";
import joi from "joi";
import { bodyWater } from "#core/casting/body-water";
import { recordsSay } from "#core/casting/records-say";
import { checkShape } from "#core/formats/check-shape";
import { COMPOUNDS } from "#core/formats/stores/compounds";
import { MOULDS } from "#core/formats/stores/moulds";
import { POURS } from "#core/formats/stores/pours";
import { powderLeftG } from "#core/shelf/powder-stock";
import { toldOf } from "#core/casting/pour-state";
import { TERN_POINT_MOULDS, ternPointCompounds, ternPointPours } from "./tern-point-casting";

const NOW = Date.parse("2026-11-27T20:00:00Z");

test("records fit, weighings are none of the future, and bodies weigh what was poured into them", () => {
  const pours = ternPointPours(NOW);
  const parts = [
    ...TERN_POINT_MOULDS.map((one) => [MOULDS, one] as const),
    ...ternPointCompounds(NOW).map((one) => [COMPOUNDS, one] as const),
    ...pours.map((one) => [POURS, one] as const),
  ];
  for (const [{ schema }, record] of parts) {
    const shape = checkShape(schema(joi), record);
    expect(shape.ok ? null : shape.problem).toBeNull();
  }
  for (const pour of pours)
    for (const bodies of pour.bodies) {
      const { waterG, powderG } = pour.bowls[0]!;
      const ml = pour.moulds.reduce((sum, one) => sum + one.ml * one.count, 0) * 1.05;
      const share = (pour.moulds[bodies.mould]!.ml * bodies.onScale) / ml;
      for (const { at, g } of bodies.weighings) {
        expect(Date.parse(at)).toBeLessThanOrEqual(NOW);
        expect(g).toBeLessThanOrEqual((waterG + powderG) * share * 1.02);
        expect(g).toBeGreaterThan(bodyWater({ waterG, powderG }).dryG * share * 0.97);
      }
      expect(toldOf(pour, bodies)).toMatchObject({ constant: false, gained: false });
    }
});

test("it shows what the records say, and a bag that has fallen", () => {
  const pours = ternPointPours(NOW);
  expect(recordsSay(pours).map(({ id }) => id)).toContain("soap");
  const [bag] = ternPointCompounds(NOW);
  const left = powderLeftG(bag!, pours)!;
  expect(left).toBeLessThan(4536);
  expect(left).toBeGreaterThan(3000);
});
