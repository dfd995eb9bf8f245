/** The user's own hand in the order of the work. */
import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId, stepId } from "../../catalogue/ids";
import { pebble, pot, stepsOf } from "../../../tests/reference/bench";
import { toldActs } from "../explain/told-acts";
import { planPiece } from "../planner/plan-piece";
import { planWithEdits } from "../planner/plan-with-edits";
import { applyChanges } from "./apply-changes";
import { alsoIn, moveBehind, moveBy, putAfter, takeFrom } from "./own-steps";
import type { Change } from "./change";
import type { StepChoice, ZoneSteps } from "./step";

const step = (id: string, done = false) =>
  ({
    id: stepId(id),
    role: "base",
    product: productId("craft-acrylic"),
    origin: "engine",
    because: [],
    checks: [],
    ...(done ? { done: true } : {}),
  }) as StepChoice;
const stack = (zone: string, length: number, done: number) =>
  ({ zone, areaMm2: 1, steps: Array.from({ length }, (_unused, at) => step(`${zone}.${at}`, at < done)) }) as unknown as ZoneSteps<StepChoice>;
const ids = (zones: readonly ZoneSteps<StepChoice>[]) => zones.map(({ steps }) => steps.map((one) => one.id as string));

test("a step earlier and then later stands where it stood; what is on the piece is never passed, and no step is lost", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 6 }), fc.nat(), fc.constantFrom(-1, 1), (length, done, pick, by) => {
      const zones = [stack("top", length, done), stack("back", length, done)];
      const at = pick % length;
      const act = [stepId(`top.${at}`), stepId(`back.${at}`)];
      const there = moveBy(zones, act, by as 1);
      const moved = applyChanges(zones, there).zones;
      if (at < done) expect(there).toEqual([]);
      expect(ids(moved).map((one) => [...one].sort())).toEqual(ids(zones).map((one) => [...one].sort()));
      expect(ids(moved).map((one) => one.slice(0, Math.min(done, length)))).toEqual(ids(zones).map((one) => one.slice(0, Math.min(done, length))));
      if (there.length > 0) expect(ids(applyChanges(moved, moveBy(moved, act, -by as 1)).zones)).toEqual(ids(zones));
    }),
    { seed: 11, numRuns: 300 },
  );
});

test("resin of the user's own on a finished stone outdoors goes in, is told what it costs, and can be taken back", () => {
  const piece = pebble({ uses: ["outdoor-exposed"], decoration: { techniques: ["dots"] } });
  const first = planPiece(piece, CATALOGUE).candidates[0]!;
  const seal = stepsOf(first, "top").findLast((one) => one.role === "seal")!;
  const added = putAfter(first.zones, [seal.id], { role: "seal", product: productId("coating-resin"), coats: 1 });
  expect(added).toHaveLength(1);
  const keeping = { candidateId: first.id, school: first.school };
  const own = planWithEdits(piece, { ...keeping, edits: added }, CATALOGUE).shown!;
  expect(
    stepsOf(own, "top")
      .filter((one) => one.origin === "hers")
      .map((one) => one.product),
  ).toEqual(["coating-resin"]);
  expect(own.findings.map((one) => one.code)).toContain("resin-in-sun");
  expect(planWithEdits(piece, { ...keeping, edits: [] }, CATALOGUE).shown!.zones).toEqual(first.zones);
});

test("an act taken from a jar takes its colour too; let go again it is laid from the jar of its colour", () => {
  const act = [stepId("top.0"), stepId("back.0")];
  const before = [stack("top", 1, 0), stack("back", 1, 0)].map((zone) => ({ ...zone, steps: zone.steps.map((one) => ({ ...one, colour: "#111111" })) }));
  const jars = (zones: readonly ZoneSteps<StepChoice>[]) => zones.map(({ steps }) => [steps[0]!.jar, steps[0]!.colour]);
  const taken = applyChanges(before, takeFrom(act, { colour: "#111111" }, { id: "red", colour: "#c8402f" })).zones;
  expect(jars(taken)).toEqual([
    ["red", "#c8402f"],
    ["red", "#c8402f"],
  ]);
  expect(jars(applyChanges(taken, takeFrom(act, { colour: "#c8402f" }, null)).zones)).toEqual([
    [undefined, "#c8402f"],
    [undefined, "#c8402f"],
  ]);
  // A clear has no colour to take.
  expect(takeFrom(act.slice(0, 1), {}, { id: "matt", colour: "#ffffff" })).toEqual([{ op: "set", stepId: "top.0", field: "jar", value: "matt" }]);
});

test("an act put anywhere in the order comes behind what stands before it there, loses no step, and passes nothing that is on the piece", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 3 }), fc.nat(), fc.nat(), (length, done, pick, place) => {
      const zones = [stack("top", length, done), stack("back", length, 0)];
      const [at, to] = [pick % length, place % length];
      const others = Array.from({ length }, (_unused, index) => index).filter((index) => index !== at);
      const before = new Set(others.slice(0, to).flatMap((index) => [stepId(`top.${index}`), stepId(`back.${index}`)]));
      const moved = applyChanges(zones, moveBehind(zones, [stepId(`top.${at}`), stepId(`back.${at}`)], before));
      expect(moved.lost).toEqual([]);
      expect(ids(moved.zones)[1]).toEqual([...others.slice(0, to), at, ...others.slice(to)].map((index) => `back.${index}`));
      expect(ids(moved.zones).map((one) => [...one].sort())).toEqual(ids(zones).map((one) => [...one].sort()));
      expect(ids(moved.zones)[0]!.slice(0, Math.min(done, length))).toEqual(ids(zones)[0]!.slice(0, Math.min(done, length)));
    }),
    { seed: 12, numRuns: 300 },
  );
});

test("another technique by hand has marks of its own, its tool and its share of the place; an act goes into one place more where it belongs", () => {
  const piece = pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["freehand-brush"], baseColour: "#1f3a4d" } });
  const first = planPiece(piece, CATALOGUE).candidates[0]!;
  const motif = stepsOf(first, "top").find((one) => one.role === "decorate")!;
  const view = (edits: readonly Change[]) => planWithEdits(piece, { candidateId: first.id, school: first.school, edits }, CATALOGUE);
  const dotted = view([{ op: "set", stepId: motif.id, field: "technique", value: "dots" }]).shown!;
  const dots = stepsOf(dotted, "top").find((one) => one.id === motif.id)!;
  expect([dots.technique, dots.method, dots.marks !== undefined, dots.origin]).toEqual(["dots", "tool", true, motif.origin]);
  expect(dots.jarMl).toBeLessThan(motif.jarMl!);
  const back = view([
    { op: "set", stepId: motif.id, field: "technique", value: "dots" },
    { op: "set", stepId: motif.id, field: "technique", value: "bands" },
    { op: "set", stepId: motif.id, field: "coverage", value: 0.4 },
  ]).shown!;
  const bands = stepsOf(back, "top").find((one) => one.id === motif.id)!;
  expect([bands.technique, bands.marks, bands.coverage]).toEqual(["bands", undefined, 0.4]);

  const under = first.zones.find(({ zone }) => zone !== "top")!;
  const before = new Set(stepsOf(first, "top").flatMap((one) => (one.role === "prime" || one.role === "base" ? [one.id] : [])));
  const also = alsoIn(first.zones, motif, under.zone, new Set([...before, ...under.steps.filter((one) => one.role === "base").map((one) => one.id)]));
  const both = view(also);
  expect([
    both.lost,
    stepsOf(both.shown!, under.zone)
      .filter((one) => one.role === "decorate")
      .map((one) => [one.product, one.technique, one.origin]),
  ]).toEqual([[], [[motif.product, "freehand-brush", "hers"]]]);
  expect(alsoIn(first.zones, motif, "saucer", before)).toEqual([]);
});

test("an act in one place more is one act with what it is copied from, though guides come before it there", () => {
  const piece = pot({ uses: ["indoor-display"], decoration: { techniques: ["dots"] } });
  const first = planPiece(piece, CATALOGUE).candidates[0]!;
  const acts = toldActs(first);
  const dots = acts.find(({ step: { role } }) => role === "decorate")!;
  const before = new Set(acts.filter(({ number }) => number < dots.number).flatMap(({ stepIds }) => stepIds));
  const edits = alsoIn(first.zones, dots.step, "rim", before);
  const both = planWithEdits(piece, { candidateId: first.id, school: first.school, edits }, CATALOGUE).shown!;
  expect(toldActs(both).flatMap(({ step: { role }, zones }) => (role === "decorate" ? [zones] : []))).toEqual([["outside", "rim"]]);
  expect(stepsOf(both, "rim").find(({ role }) => role === "decorate")!.marks).toBeDefined();
});

test("changes of different steps come out the same, whichever tab's were made first", () => {
  const zones = [stack("top", 5, 0), stack("back", 4, 0)];
  const mine = fc.constantFrom("top.0", "top.1", "back.0");
  const theirs = fc.constantFrom("top.3", "top.4", "back.2", "back.3");
  const change = (ids: fc.Arbitrary<string>): fc.Arbitrary<Change> =>
    fc.oneof(
      fc.record({ op: fc.constant("set" as const), stepId: ids.map(stepId), field: fc.constantFrom("coats", "jar"), value: fc.integer({ min: 1, max: 9 }) }),
      fc.record({ op: fc.constant("remove" as const), stepId: ids.map(stepId) }),
    );
  fc.assert(
    fc.property(fc.array(change(mine), { maxLength: 6 }), fc.array(change(theirs), { maxLength: 6 }), (left, right) => {
      expect(applyChanges(zones, [...left, ...right]).zones).toEqual(applyChanges(zones, [...right, ...left]).zones);
    }),
    { seed: 13, numRuns: 200 },
  );
});
