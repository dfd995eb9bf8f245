/** What is looked at after which stage, and what a fail proposes. */
import { expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { materialId, stepId } from "../../catalogue/ids";
import type { Step } from "../../coating/model/step";
import { planPiece } from "../../coating/planner/plan-piece";
import { pebble } from "../../../tests/reference/bench";
import { CUT_GRADES, cutSpacingMm, cutStack } from "./inspection";
import { inspectionsAfter, proposalFor } from "./inspect";

const steps = planPiece(
  pebble({ conditions: ["pitted"], decoration: { techniques: ["dots"], baseColour: "#1f3a4d" } }),
  CATALOGUE,
).candidates[0]!.zones.flatMap((zone) => zone.steps);
const of = (role: Step["role"]) => steps.find((step) => step.role === role)!;

test("each stage has its own: filler by colour and fingertip, a ground by water and light, colour by a cloth, and cuts only through what is hard", () => {
  const kinds = (role: Step["role"], hard = false) => inspectionsAfter({ role }, hard).map(({ id }) => id);
  expect(kinds("fill")).toEqual(["fingertip", "colour-change"]);
  expect(kinds("prime")).toEqual(["water-drop", "raking-light"]);
  expect(kinds("base")).toEqual(["rub", "raking-light"]);
  expect(kinds("seal")).toEqual(["raking-light"]);
  expect(kinds("seal", true)).toEqual(["raking-light", "tape"]);
  expect(kinds("mark")).toEqual([]);
});

test("a fail proposes what mends it: another coat where it drinks or misses, a longer wait where it is soft, a dry mist where it moves for ever", () => {
  const prime = of("prime");
  expect(proposalFor("water-drop", prime, "top", CATALOGUE).changes).toEqual([{ op: "set", stepId: prime.id, field: "coats", value: prime.coats + 1 }]);
  expect(proposalFor("colour-change", of("fill"), "top", CATALOGUE)).toMatchObject({ wait: true, changes: [] });
  expect(proposalFor("rub", of("base"), "top", CATALOGUE)).toMatchObject({ wait: true });
  const wash = { ...of("base"), id: stepId("wash"), product: "metallic-watercolour" } as Step;
  expect(proposalFor("rub", wash, "top", CATALOGUE).changes).toMatchObject([{ op: "add", at: { after: "wash" }, step: { role: "lock", method: "spray" } }]);
  expect(proposalFor("tape", of("base"), "top", CATALOGUE)).toMatchObject({ mishap: "peels", changes: [] });
});

test("cross-cut classes and spacings are those of ISO 2409:2020 and ASTM D3359, method B", () => {
  expect(CUT_GRADES.map(({ grade, astm, offUpTo }) => [grade, astm, offUpTo])).toEqual([
    [0, "5B", 0],
    [1, "4B", 0.05],
    [2, "3B", 0.15],
    [3, "2B", 0.35],
    [4, "1B", 0.65],
    [5, "0B", 1],
  ]);
  expect([50, 60, 61, 120, 121, 250, 251].map((microns) => [cutSpacingMm(microns, false), cutSpacingMm(microns, true)])).toEqual([
    [1, 2],
    [1, 2],
    [2, 2],
    [2, 2],
    [3, 3],
    [3, 3],
    [null, null],
  ]);
});

test("all coats of a place are cut through, marks are not; wood and gypsum are soft, stone and glass are not", () => {
  const zones = [{ zone: "top", areaMm2: 1, steps }] as never;
  const by = (id: string) => cutStack({ zones }, "top", CATALOGUE.materials.get(materialId(id))!);
  const fields = steps.filter(({ marks, dryMicrons }) => !marks && dryMicrons !== null);
  expect(by("stone-smooth").dryMicrons).toBeCloseTo(fields.reduce((sum, step) => sum + step.dryMicrons! * step.coats, 0));
  expect(["stone-smooth", "glass", "wood-hardwood", "gypsum-cast", "ceramic-bisque"].map((id) => by(id).soft)).toEqual([false, false, true, true, true]);
  expect(cutStack({ zones }, "back", CATALOGUE.materials.get(materialId("glass"))!).dryMicrons).toBe(0);
});
