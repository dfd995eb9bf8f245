import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId, stepId } from "../../catalogue/ids";
import { applyChanges, changePiece, changesWith } from "./apply-changes";
import type { Change } from "./change";
import { changesBetween, clashes, mergedChanges } from "./piece-changes";
import { planWithEdits } from "../planner/plan-with-edits";
import type { Keeping } from "../planner/plan-with-edits";
import { pebble, s, stacks } from "../../../tests/reference/bench";

const zones = stacks({ top: [s("prime", "gesso"), s("base", "craft-acrylic", { coats: 2 })], back: [] });
const ids = (changes: readonly Change[]) => applyChanges(zones, changes).zones.map((zone) => zone.steps.map((step) => step.id as string));
const prime = stepId("top.prime.1");
const base = stepId("top.base.1");
const varnish = { role: "seal", product: productId("acrylic-varnish"), coats: 2 } as const;

describe("changes to steps", () => {
  test("add goes before, after, or at the foot of an empty zone, with an id of its own", () => {
    expect(ids([{ op: "add", zone: "top", at: { after: base }, step: varnish }])[0]).toEqual([prime, base, "top.seal.1"]);
    expect(ids([{ op: "add", zone: "top", at: { before: base }, step: { ...varnish, role: "prime" } }])[0]).toEqual([prime, "top.prime.2", base]);
    expect(ids([{ op: "add", zone: "back", at: { start: true }, step: varnish }])[1]).toEqual(["back.seal.1"]);
  });
  test("remove, move and set do what they say", () => {
    expect(ids([{ op: "remove", stepId: prime }])[0]).toEqual([base]);
    expect(ids([{ op: "move", stepId: prime, at: { after: base } }])[0]).toEqual([base, prime]);
    expect(applyChanges(zones, [{ op: "set", stepId: base, field: "coats", value: 4 }]).zones[0]!.steps[1]).toMatchObject({
      coats: 4,
      product: "craft-acrylic",
    });
  });
  test("a change that finds no step is handed back, the others are done", () => {
    const lost: Change = { op: "remove", stepId: stepId("top.seal.9") };
    const applied = applyChanges(zones, [lost, { op: "remove", stepId: prime }]);
    expect(applied.lost).toEqual([lost]);
    expect(applied.zones[0]!.steps).toHaveLength(1);
  });
  test("what was given is left as it was", () => {
    const before = JSON.stringify(zones);
    ids([{ op: "remove", stepId: prime }]);
    expect(JSON.stringify(zones)).toBe(before);
  });
});

describe("changes to a piece", () => {
  test("reach into it, make what is not there, and take away", () => {
    const of = pebble();
    expect(changePiece(of, [{ op: "setPiece", path: "room.temperatureC", value: 18 }]).room).toEqual({ temperatureC: 18 });
    expect("finish" in changePiece(pebble({ finish: "gloss" }), [{ op: "setPiece", path: "finish", value: undefined }])).toBe(false);
  });
  test("what turned one into the other turns it again", () => {
    const before = pebble({ count: 2, decoration: { colours: ["#111111"] } });
    const after = pebble({ decoration: { colours: ["#222222"], baseColour: null }, form: { kind: "disc", diameterMm: 90, thicknessMm: 9 } });
    expect(changePiece(before, changesBetween(before, after))).toEqual(after);
    expect(changesBetween(before, before)).toEqual([]);
  });
  test("two hands clash on the same field, on a field inside it, and not on agreement", () => {
    const set = (path: string, value: unknown) => ({ op: "setPiece" as const, path, value });
    expect(clashes([set("name", "A")], [set("count", 2)])).toEqual([]);
    expect(clashes([set("name", "A")], [set("name", "B")])).toEqual(["name"]);
    expect(clashes([set("name", "A")], [set("name", "A")])).toEqual([]);
    expect(clashes([set("form.lengthMm", 80)], [set("form", { kind: "disc" })])).toEqual(["form.lengthMm"]);
  });
});

describe("the user's own plan", () => {
  const of = pebble({ decoration: { techniques: ["dots"] } });
  const [first] = planWithEdits(of, { candidateId: null, school: "", edits: [] }, CATALOGUE).set.candidates;
  const keep = (edits: readonly Change[]): Keeping => ({ candidateId: first!.id, school: first!.school, edits });

  test("a removed seal is judged anew, and its fix brings one back", () => {
    const view = planWithEdits(
      pebble({ uses: ["handled"], decoration: { techniques: ["dots"] } }),
      keep([{ op: "remove", stepId: stepId("top.seal.acrylic-varnish") }]),
      CATALOGUE,
    );
    const finding = view.shown!.findings.find((one) => one.code === "unsealed-wear")!;
    expect(finding.severity).toBe("warn");
    const mended = planWithEdits(
      pebble({ uses: ["handled"], decoration: { techniques: ["dots"] } }),
      keep([{ op: "remove", stepId: stepId("top.seal.acrylic-varnish") }, ...finding.fix.change!]),
      CATALOGUE,
    );
    expect(mended.shown!.findings.map((one) => one.code)).not.toContain("unsealed-wear");
  });
  test("a wait the user sets is kept and judged; the others follow from it", () => {
    const hasty: Change = { op: "set", stepId: stepId("top.seal.acrylic-varnish"), field: "waitBefore", value: { min: 5, until: "dry-through", set: "hers" } };
    const { shown } = planWithEdits(pebble({ decoration: { baseColour: "#1f3a4d" } }), keep([hasty]), CATALOGUE);
    expect(shown!.zones[0]!.steps.find((step) => step.role === "seal")?.waitBefore).toMatchObject({ min: 5, set: "hers" });
    expect(shown!.findings.find((one) => one.code === "seal-too-early")).toMatchObject({ severity: "warn" });
  });
  test("more coats take more paint and more time", () => {
    const base = first!.zones.flatMap((zone) => zone.steps).find((step) => step.role === "base")!;
    const more = planWithEdits(of, keep([{ op: "set", stepId: base.id, field: "coats", value: 5 }]), CATALOGUE).shown!;
    expect(more.totals.jarMlByProduct[base.product]!).toBeGreaterThan(first!.totals.jarMlByProduct[base.product]!);
    expect(more.totals.handsOnMin).toBeGreaterThan(first!.totals.handsOnMin);
    expect(more.id).toBe(first!.id);
  });
  test("a plan that is gone gives way to its school, then to the first; changes that fit nothing are told", () => {
    const gone = { candidateId: "nowhere" as never, school: first!.school, edits: [{ op: "remove", stepId: stepId("lid.seal.1") }] as const };
    const view = planWithEdits(of, gone, CATALOGUE);
    expect(view.shown!.id).toBe(first!.id);
    expect(view.lost).toHaveLength(1);
  });
  test("the amounts of forty are of forty, the area of one", () => {
    const forty = planWithEdits({ ...of, count: 40 }, { candidateId: null, school: "", edits: [] }, CATALOGUE).shown!;
    expect(forty.zones[0]!.areaMm2).toBe(first!.zones[0]!.areaMm2);
    expect(forty.totals.jarMlByProduct["gesso"]!).toBeGreaterThan(10 * first!.totals.jarMlByProduct["gesso"]!);
  });
});

describe("changes with others after them", () => {
  const coats = (value: number, id = base): Change => ({ op: "set", stepId: id, field: "coats", value });
  const gone: Change = { op: "remove", stepId: prime };
  test("a setting that is set anew takes the place of its earlier values; of another step, or before a step was taken out, it does not", () => {
    expect(changesWith([coats(2), coats(2, prime)], [coats(3)])).toEqual([coats(2, prime), coats(3)]);
    expect(changesWith([coats(2), gone], [coats(3)])).toEqual([coats(2), gone, coats(3)]);
  });
  test("what comes of them is the same as of all of them", () => {
    const all = [coats(2), coats(3), coats(4)];
    expect(
      applyChanges(
        zones,
        all.reduce<readonly Change[]>((before, one) => changesWith(before, [one]), []),
      ).zones,
    ).toEqual(applyChanges(zones, all).zones);
  });
});

describe("changes made to a record as it was seen, brought to bear on it as it stands", () => {
  const seen = { count: 1, uses: ["tray"], decoration: { colours: ["#111111"] } };
  test("entries of free lists join; of a list whose order counts the other's stands, and is told", () => {
    const current = { count: 1, uses: ["tray", "gift"], decoration: { colours: ["#222222"] } };
    expect(mergedChanges(seen, { ...seen, uses: ["handled"] }, current)).toEqual({
      changes: [{ op: "setPiece", path: "uses", value: ["gift", "handled"] }],
      clashes: [],
    });
    expect(mergedChanges(seen, { ...seen, decoration: { colours: ["#333333"] } }, current).clashes).toEqual(["decoration.colours"]);
  });
  test("what the same tab set later than what was seen is no clash", () => {
    const current = { ...seen, count: 3 };
    const isOwn = (path: string, value: unknown) => path === "count" && value === 3;
    expect([mergedChanges(seen, { ...seen, count: 4 }, current, isOwn).clashes, mergedChanges(seen, { ...seen, count: 4 }, current).clashes]).toEqual([
      [],
      ["count"],
    ]);
  });
});
