/** What the screens say of plans beyond their steps: where the work stands, what a step is good for, how two plans differ. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { applyChanges } from "#core/coating/model/apply-changes";
import { checkSteps } from "#core/coating/rules/check-steps";
import { comparePlans, differing } from "#core/coating/explain/compare-plans";
import { explainStep } from "#core/coating/explain/explain-step";
import { choiceOf } from "#core/coating/model/step-choice";
import { planPiece } from "#core/coating/planner/plan-piece";
import { coatStates } from "#core/logbook/coat-states";
import { alignWith } from "#core/logbook/align";
import { bodyOf } from "#core/logbook/body-state";
import { workFor } from "#core/schedule/dates-of";
import { firstPlan, mug, pebble, stepsOf } from "./bench";

const MIN = 60_000;
const NOON = Date.parse("2026-11-24T12:00:00Z");
const dotted = pebble({ uses: ["handled"], decoration: { techniques: ["dots"] } });
const plan = firstPlan(dotted);
const step = (role: string) => stepsOf(plan, "top").find((one) => one.role === role)!;

describe("where the work stands", () => {
  const work = workFor(dotted, plan, CATALOGUE);
  const doing = (role: string, minutes: number, kind: "done" | "ruined" = "done") => {
    const { id, product, role: own } = step(role);
    return { zone: "top" as const, stepId: id, act: { role: own, product }, coat: 1, kind, at: new Date(NOON + minutes * MIN).toISOString() };
  };
  const at = (minutes: number, more: readonly ReturnType<typeof doing>[] = []) => {
    const { done } = alignWith(plan, bodyOf([doing("clean", 0), ...more]), CATALOGUE)!;
    return coatStates(plan, work, done, NOON + minutes * MIN);
  };

  test("nothing done: the first step is ready, the rest is to come", () => {
    const states = coatStates(plan, work, new Map(), NOON);
    expect([states.get(step("clean").id)?.state, states.get(step("prime").id)?.state]).toEqual(["ready", "to-come"]);
  });
  test("washed: the primer waits until the stone is dry, then it is ready", () => {
    const wait = step("prime").waitBefore!;
    expect(at(1).get(step("prime").id)).toMatchObject({ state: "waiting", until: NOON + wait.min * MIN, untilCareful: NOON + wait.cautiousMin! * MIN });
    expect(at(wait.min).get(step("prime").id)?.state).toBe("ready");
  });
  test("primed: wet until it is dry to the touch", () => {
    const primed = doing("prime", 3000);
    const touch = step("prime").typical!.touchDry;
    expect(at(3000 + touch / 2, [primed]).get(step("prime").id)?.state).toBe("wet");
    expect(at(3000 + touch + 1, [primed]).get(step("prime").id)?.state).toBe("done");
  });
  test("one coat of two is counted; a ruined coat is not done", () => {
    const colour = { colour: step("base").colour! };
    const coat = (minutes: number, kind: "done" | "ruined") => {
      const one = doing("base", minutes, kind);
      return { ...one, act: { ...one.act, ...colour } };
    };
    expect(at(4000, [coat(3000, "done")]).get(step("base").id)).toMatchObject({ done: 1, of: step("base").coats });
    expect(at(4000, [coat(3000, "done"), coat(3001, "ruined")]).get(step("base").id)).toMatchObject({ done: 0, of: step("base").coats });
  });
});

test("marks may be put down in the middle, a coat and what is blended wet may not", () => {
  const breaking = (piece: typeof dotted) => {
    const shown = firstPlan(piece);
    const roles = new Map(shown.zones.flatMap(({ steps }) => steps.map(({ id, role, technique }) => [id, technique ?? role] as const)));
    return new Set(workFor(piece, shown, CATALOGUE).tasks.flatMap(({ breaks, stepId }) => (breaks ? [roles.get(stepId)] : [])));
  };
  expect([...breaking(dotted)].sort()).toEqual(["dots", "mark"]);
  expect([...breaking(pebble({ uses: ["handled"], decoration: { techniques: ["blended"] } }))]).toEqual([]);
});

describe("what a step is good for", () => {
  test("in a cool damp room, what would have it dry sooner; in a warm dry one with a fan, nothing", () => {
    const sooner = (room: NonNullable<typeof dotted.room>, role: string) => {
      const piece = { ...dotted, room };
      const shown = firstPlan(piece);
      return explainStep(piece, shown, stepsOf(shown, "top").find((one) => one.role === role)!.id, CATALOGUE)!.sooner.map(({ remedy }) => remedy);
    };
    const damp = { temperatureC: 12, relativeHumidity: 0.72, airflow: "still" } as const;
    expect(sooner(damp, "base").sort()).toEqual(["drier", "fan", "warmer"]);
    // Under its skin a dot knows no fan.
    expect(sooner(damp, "decorate")).not.toContain("fan");
    expect(sooner({ temperatureC: 23, relativeHumidity: 0.45, airflow: "fan" }, "base")).toEqual([]);
    expect(sooner(damp, "clean")).toEqual([]);
  });
  test("a seal left out leaves hands to wear the colour; nothing at all is wrong without a cure that is only waited for", () => {
    const seal = explainStep(dotted, plan, step("seal").id, CATALOGUE)!;
    expect(seal.leftOut.faults.map((one) => one.code)).toContain("unsealed-wear");
    expect(seal.leftOut.by.durability).toBeLessThan(0);
  });
  test("every substitute it names does the step's work without a stop, and says what it brings", () => {
    for (const role of ["prime", "base", "decorate", "seal"]) {
      const { substitutes } = explainStep(dotted, plan, step(role).id, CATALOGUE)!;
      expect(substitutes.length).toBeGreaterThan(0);
      for (const one of substitutes) {
        const zones = applyChanges(
          plan.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) })),
          one.change,
        ).zones;
        const stops = checkSteps(dotted, zones, CATALOGUE).filter((finding) => finding.severity === "stop");
        expect([one.product, stops]).toEqual([one.product, []]);
        expect(zones.flatMap((zone) => zone.steps).find((other) => other.id === step(role).id)?.product).toBe(one.product);
      }
    }
    const bases = explainStep(dotted, plan, step("base").id, CATALOGUE)!.substitutes.map((one) => one.product as string);
    expect(bases).toContain("house-emulsion");
    expect(bases).not.toContain("poster-paint");
  });
  test("without a base colour, what it is there for is lost, and the plan says so; substitutes tell what there is to buy", () => {
    const { leftOut, substitutes } = explainStep(dotted, plan, step("base").id, CATALOGUE)!;
    expect(leftOut.unserved).toEqual(["it is the colour the decoration lies on"]);
    expect(explainStep(dotted, plan, step("clean").id, CATALOGUE)!.leftOut.unserved).toHaveLength(1);
    expect(substitutes.some((one) => (one.by.products ?? 0) > 0)).toBe(true);
  });
  test("a step that is not there has no explanation", () => expect(explainStep(dotted, plan, "nowhere.seal.1" as never, CATALOGUE)).toBeNull());
});

describe("two plans side by side", () => {
  test("the same plan differs nowhere; an isolation coat stands on one side only", () => {
    expect(
      comparePlans(plan, plan)
        .flatMap((zone) => zone.rows)
        .every((row) => row.left && row.right && row.differs.length === 0),
    ).toBe(true);
    const isolated = planPiece(dotted, CATALOGUE).candidates.find((one) => one.school.includes("isolation"))!;
    const rows = comparePlans(plan, isolated).flatMap((zone) => zone.rows);
    expect(rows.filter((row) => !row.left).map((row) => row.right?.role)).toEqual(["isolate"]);
    expect(rows.filter((row) => !row.right)).toEqual([]);
    // What is marked in the two sections: the isolation coat in each of its places, and nothing that both do alike.
    const compared = comparePlans(plan, isolated);
    const marked = differing(compared, isolated, "right");
    const isolating = isolated.zones.flatMap(({ steps }) => steps.filter(({ role }) => role === "isolate").map(({ id }) => id));
    expect(isolating.every((id) => marked.has(id))).toBe(true);
    expect([...differing(comparePlans(plan, plan), plan, "left")]).toEqual([]);
  });
  test("two bakes differ in their heat", () => {
    const bakes = planPiece(mug({ wishes: { route: "bake" }, decoration: { techniques: ["dots"] } }), CATALOGUE).candidates;
    const [low, high] = [163, 180].map((celsius) =>
      bakes.find((one) => one.zones.some((zone) => zone.steps.some((other) => other.heat?.temperatureC === celsius)))!,
    );
    expect(
      comparePlans(low!, high!)
        .flatMap((zone) => zone.rows)
        .flatMap((row) => row.differs),
    ).toContain("heat");
  });
});
