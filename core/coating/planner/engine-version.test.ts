/** A plan kept by an older engine stays as it was until the user has chosen. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId } from "../../catalogue/ids";
import { pebble } from "../../../tests/reference/bench";
import { changesBetween } from "../model/changes-between";
import { applyChanges } from "../model/apply-changes";
import { ENGINE_VERSION } from "./engine-version";
import { planWithEdits } from "./plan-with-edits";
import type { Keeping } from "./plan-with-edits";

const stone = pebble({ uses: ["handled"], decoration: { techniques: ["dots"], baseColour: "#1f3a4d" } });
const fresh = planWithEdits(stone, { candidateId: null, school: "", edits: [] }, CATALOGUE);
/** What an engine would have made that sealed with something else. */
const old = fresh.made.map((zone) => ({
  ...zone,
  steps: zone.steps.map((step) => (step.role === "seal" ? { ...step, product: productId("waterborne-polyurethane") } : step)),
}));
const keeping = (engineVersion: number, more: Partial<Keeping["kept"]> = {}): Keeping => ({
  candidateId: fresh.shown!.id,
  school: fresh.shown!.school,
  edits: [],
  kept: { engineVersion, made: old, madeFor: fresh.madeFor, ...more },
});
const sealOf = (view: typeof fresh) => view.shown!.zones[0]!.steps.find((step) => step.role === "seal")!.product;

describe("a plan kept by an older engine", () => {
  test("is shown as it was made, and what the newer one would change is told", () => {
    const view = planWithEdits(stone, keeping(ENGINE_VERSION - 1), CATALOGUE);
    expect(sealOf(view)).toBe("waterborne-polyurethane");
    expect(view.newer?.changes.map((one) => one.op).sort()).toEqual(["add", "remove"]);
    expect(view.newer?.made).toEqual(fresh.made);
  });

  test("is what it is now where the newer engine would do the same, and where the facts have changed since; one of this engine keeps its products", () => {
    expect(planWithEdits(stone, keeping(ENGINE_VERSION - 1, { made: fresh.made }), CATALOGUE).newer).toBeNull();
    expect(sealOf(planWithEdits(stone, keeping(ENGINE_VERSION), CATALOGUE))).toBe("waterborne-polyurethane");
    expect(planWithEdits({ ...stone, finish: "gloss" }, keeping(ENGINE_VERSION - 1), CATALOGUE).newer).toBeNull();
  });

  test("can be kept as changes of the newer one: the steps come out as they were", () => {
    const back = applyChanges(fresh.made, changesBetween(fresh.made, old)).zones;
    const looks = (zones: typeof fresh.made) => zones.map((zone) => zone.steps.map((step) => [step.role, step.product, step.coats]));
    expect(looks(back)).toEqual(looks(old));
  });
});
