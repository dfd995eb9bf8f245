/** Where every coat stands, minute by minute, from what was done and when. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../catalogue/catalogue";
import { productId, stepId } from "../catalogue/ids";
import type { StepId } from "../catalogue/ids";
import { alikeZones } from "../coating/explain/alike-zones";
import { pieceFacts } from "../coating/facts/facts";
import { completePiece } from "../piece/complete-piece";
import type { Piece } from "../piece/piece";
import { workOf } from "../coating/facts/work-of";
import { firstPlan, pebble, pot } from "../../tests/reference/bench";
import { coatStates } from "./coat-states";
import { bodyOf } from "./body-state";
import { groupStates } from "./group-states";
import { tableOrder } from "./overview";
import type { Overview } from "./overview";

const MIN = 60_000;
const START = Date.parse("2026-11-24T19:00:00Z");

function followed(piece: Piece) {
  const candidate = firstPlan(piece);
  const facts = pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE);
  const work = workOf(candidate, new Map(facts.zones.map((zone) => [zone.zone, zone.template.exposure])));
  const steps = candidate.zones[0]!.steps;
  return { candidate, work, steps, states: (done: ReadonlyMap<string, number>, now: number) => coatStates(candidate, work, done, now) };
}

describe("a dotted pebble on the bench", () => {
  const { work, steps, states } = followed(pebble({ decoration: { techniques: ["dots"] } }));
  const tasksOf = (id: StepId) => work.tasks.filter((task) => task.stepId === id);
  const prime = steps.find((step) => step.role === "prime")!;
  const base = steps.find((step) => step.role === "base")!;
  const upTo = (id: StepId, end: number) => {
    const last = work.tasks.findIndex((task) => task.stepId === id);
    return new Map(work.tasks.slice(0, last + 1).map((task) => [task.id, end]));
  };

  test("at the beginning one thing may be done, and all the rest is to come", () => {
    const found = [...states(new Map(), START).values()].map((one) => one.state);
    expect(found[0]).toBe("ready");
    expect(new Set(found.slice(1))).toEqual(new Set(["to-come"]));
  });

  test("the wait before the primer is over when it is over, not a minute before", () => {
    const done = upTo(steps[0]!.id, START);
    const waitMin = Math.ceil(prime.waitBefore!.min);
    const waiting = states(done, START + (waitMin - 1) * MIN).get(prime.id)!;
    expect(waiting).toMatchObject({ state: "waiting", until: START + waitMin * MIN });
    expect(waiting.untilCareful).toBeGreaterThan(waiting.until!);
    expect(states(done, START + waitMin * MIN).get(prime.id)?.state).toBe("ready");
  });

  test("a coat just laid is wet until it is dry to the touch", () => {
    const done = upTo(prime.id, START);
    const wet = states(done, START + MIN).get(prime.id)!;
    expect(wet).toMatchObject({ state: "wet", until: START + prime.typical!.touchDry * MIN });
    expect(states(done, wet.until!).get(prime.id)?.state).toBe("done");
  });

  test("of two coats one is done: so it says, and waits for the second", () => {
    const [first, second] = tasksOf(base.id);
    expect(second).toBeDefined();
    const done = new Map([...upTo(prime.id, START - 30 * 24 * 60 * MIN), [first!.id, START]]);
    expect(states(done, START + MIN).get(base.id)).toMatchObject({ state: "waiting", done: 1, of: base.coats });
    expect(states(done, START + (base.typical!.recoatFrom + 1) * MIN).get(base.id)).toMatchObject({ state: "ready", done: 1 });
  });
});

describe("zones treated alike", () => {
  const { candidate, work, states } = followed(pot({ uses: ["planter"], parts: ["saucer"] }));
  const groups = alikeZones(candidate.zones);
  const group = groups.find((one) => one.zones.length > 1)!;

  test("are told once; what may be done in one of them may be done", () => {
    const told = groupStates(groups, candidate.zones, states(new Map(), START));
    expect(told.get(group.steps[0]!.id)?.state).toBe("ready");
    const all = new Map(work.tasks.map((task) => [task.id, START]));
    const after = groupStates(groups, candidate.zones, states(all, START + 400 * 24 * 60 * MIN));
    expect(new Set([...after.values()].map((one) => one.state))).toEqual(new Set(["done"]));
  });

  test("count their coats together", () => {
    const own = group.steps.find((step) => step.group === undefined && step.role === "seal")!;
    const told = groupStates(groups, candidate.zones, states(new Map(), START)).get(own.id)!;
    expect(told.of % own.coats).toBe(0);
    expect(told.of).toBeGreaterThanOrEqual(own.coats * group.zones.length);
  });
});

test("what was ruined counts as not done, whatever order the records lie in; done again, it counts again", () => {
  const act = { role: "base" as const, product: productId("craft-acrylic") };
  const record = (kind: "done" | "ruined", at: string) => ({ zone: "top" as const, stepId: stepId("top.base.1"), act, coat: 1, kind, at });
  const [done, ruined, again] = [record("done", "2026-11-24T19:00:00Z"), record("ruined", "2026-11-24T20:00:00Z"), record("done", "2026-11-25T19:00:00Z")];
  expect(bodyOf([ruined, done])).toEqual([]);
  expect(bodyOf([again, done, ruined]).flatMap((laid) => laid.coats)).toEqual([{ coat: 1, at: "2026-11-25T19:00:00Z" }]);
});

test("the table is laid with what may be touched now, then with what waits, by its end, then with what only hardens", () => {
  const standing = (name: string, state: string | null, until: number | null) => ({ name, next: state === null ? null : { state: { state, until } } });
  const table = [standing("goblets", null, null), standing("tray", "waiting", 900), standing("pot", "ready", null), standing("mug", "waiting", 200)];
  table.sort((one, other) => tableOrder(one as unknown as Overview, other as unknown as Overview));
  expect(table.map((one) => one.name)).toEqual(["pot", "mug", "tray", "goblets"]);
});
