/** What is done stays done: whatever is edited, changed or chosen, the body is the same, and nothing finished is asked for again. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../catalogue/catalogue";
import type { Change } from "../coating/model/change";
import type { Candidate } from "../coating/model/plan";
import type { Role } from "../catalogue/vocabulary";
import type { Piece } from "../piece/piece";
import { workFor } from "../schedule/dates-of";
import { pebble, piece, pot } from "../../tests/reference/bench";
import { actKey, bodyOf } from "./body-state";
import { coatEvents } from "./coat-events";
import { standingPlan, stillToDo, waysOn } from "./plan-on-body";
import { Bench, missing, pastFaults, plan, set } from "../../tests/reference/half-painted";

const DOTS = { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] };
const dottedPot = () => pot({ uses: ["planter"], conditions: ["dusty"], decoration: DOTS });
const dottedPebble = () => pebble({ uses: ["handled"], conditions: ["dusty"], decoration: DOTS });

/** Acts of the body with nothing left of their own coats. */
function finished({ progress }: Bench): ReadonlySet<string> {
  const usual = (product: string) => CATALOGUE.products.get(product as never)?.coats ?? 1;
  const whole = bodyOf(progress).filter(
    ({ coats, act }) => coats.length >= usual(act.product) && coats.every((one) => !one.half || coats.filter((other) => other.coat === one.coat).length === 2),
  );
  return new Set(whole.map((laid) => `${laid.zone}|${actKey(laid.act)}`));
}

describe("in the middle of a half-painted piece", () => {
  const begun = () => new Bench(dottedPebble()).workUpTo("decorate");

  test("as long as nothing is changed, the plan goes on as it was", () => {
    const bench = new Bench(dottedPot());
    const before = bench.view.shown;
    bench.work(7);
    expect(bench.view.shown).toEqual(before);
    expect(bench.view.done.size).toBeGreaterThanOrEqual(7);
    expect(bench.view.basis).toBeNull();
    expect(missing(bench)).toEqual([]);
  });

  test("another base colour goes over the one that is on; ground and first colour stay", () => {
    const bench = new Bench(dottedPebble()).workUpTo("base").work(2).change(set("decoration.baseColour", "#b0413e"));
    expect(missing(bench)).toEqual([]);
    const [{ steps }] = bench.view.shown!.zones as [Candidate["zones"][number]];
    expect(steps.filter((step) => step.done && step.role === "base").map((step) => [step.colour, step.coats])).toEqual([["#1f3a4d", 2]]);
    expect(steps.filter((step) => !step.done && step.role === "base").map((step) => step.colour)).toEqual(["#b0413e"]);
    expect(bench.open().map((step) => step.role)).not.toContain("prime");
    expect(bench.open().map((step) => step.role)).not.toContain("clean");
  });

  test("a condition found too late asks for nothing under the paint", () => {
    const bench = begun().change(set("conditions", ["dusty", "pitted"]));
    expect(bench.open().map((step) => step.role)).not.toContain("fill");
    expect(missing(bench)).toEqual([]);
  });

  test("a base colour that would have to go under the dots is not laid, and that is said", () => {
    const bench = begun().work(1).change(set("decoration.baseColour", "#b0413e"));
    expect(bench.open().map((step) => step.role)).not.toContain("base");
    expect(bench.view.shown!.findings.map((one) => one.message)).toContain("The base colour you chose is not laid on the top");
  });

  test("another use does not make a finished wash ready again", () => {
    const bench = new Bench(dottedPebble()).workUpTo("prime").change(set("uses", ["indoor-display"]));
    expect(bench.open().map((step) => step.role)).not.toContain("clean");
    expect(missing(bench)).toEqual([]);
  });

  test("every other way goes on from what is on it", () => {
    const { piece: stated, progress } = begun();
    const { set: ways } = waysOn(stated, progress, CATALOGUE);
    expect(ways.candidates.length).toBeGreaterThan(0);
    for (const way of ways.candidates)
      for (const { steps } of way.zones) {
        expect(
          steps.filter((step) => !step.done && ["clean", "prime", "base"].includes(step.role) && steps.some((one) => one.done && one.role === step.role)),
        ).toEqual([]);
      }
  });

  test("a coat that was ruined is asked for again, and it alone", () => {
    const bench = new Bench(dottedPebble()).workUpTo("base").work(1);
    const open = bench.open().length;
    bench.ruin();
    expect(bench.open().length).toBe(open + 1);
    expect(bench.open()[0]?.role).toBe("base");
  });

  test("a film that was passed over is not asked for under the next one", () => {
    const bench = new Bench(pebble({ decoration: { techniques: ["dots"], baseColour: "#1f3a4d" } }));
    const { shown } = bench.view;
    const tasks = workFor(bench.piece, shown!, CATALOGUE).tasks;
    const dots = tasks.find((task) => task.stepId.includes(".decorate."))!;
    const before = tasks.filter((task) => !task.stepId.includes(".isolate.") && !task.stepId.includes(".prime.")).slice(0, tasks.indexOf(dots));
    for (const task of before) bench.record("done", coatEvents(shown!, task));
    expect(bench.open().map((step) => step.role)).not.toContain("prime");
    expect(missing(bench)).toEqual([]);
  });
});

describe("a wait holds over a change", () => {
  test("the new colour waits for the wet one beneath it", () => {
    const bench = new Bench(dottedPebble()).workUpTo("base").work(1).change(set("decoration.baseColour", "#b0413e"));
    const work = workFor(bench.piece, bench.view.shown!, CATALOGUE);
    const over = work.tasks.find((task) => task.stepId.startsWith("top.base.") && !bench.view.done.has(task.id))!;
    expect(Math.max(...over.after.filter((edge) => bench.view.done.has(edge.task)).map((edge) => edge.typicalMin))).toBeGreaterThan(10);
  });
});

test("what can no longer be planned still shows what is on it", () => {
  const bench = new Bench(pebble({ decoration: { techniques: ["dots"] } })).workUpTo("seal");
  bench.change(set("material", "gypsum-cast"), set("uses", ["planter"]));
  expect(bench.view.shown).toBeNull();
  expect(bench.view.set.refusal).not.toBeNull();
  expect(bench.view.onIt?.zones.flatMap((zone) => zone.steps).every((step) => step.done)).toBe(true);
  expect(missing(bench)).toEqual([]);
});

describe("the ways from where the work stands", () => {
  const jarOfLight = () =>
    piece({
      material: "glass",
      object: "jar",
      uses: ["candle"],
      form: { kind: "cylinder", diameterMm: 90, heightMm: 120 },
      decoration: { techniques: ["bands"], colours: ["#d9822b"] },
    });
  const wedges = () =>
    pebble({ uses: ["handled"], conditions: ["beach-found"], decoration: { techniques: ["bands"], baseColour: "#f4efe2", colours: ["#8a1f2b", "#1f3a4d"] } });
  const sign = () =>
    piece({
      material: "slate",
      object: "sign",
      uses: ["outdoor-covered"],
      form: { kind: "box", lengthMm: 300, widthMm: 200, heightMm: 8 },
      decoration: { techniques: ["lettering", "outline"] },
    });

  test.each([
    ["bands on glass, baked", jarOfLight],
    ["masked bands on a pebble", wedges],
    ["lettering on slate", sign],
  ])("%s: after every single act the best of them does what the plan still had to do, coat for coat", (_name, stated) => {
    const bench = new Bench(stated());
    for (let acts = 0; acts < 40 && bench.open().length > 0; acts += 1) {
      bench.work(1);
      const { shown, done } = bench.view;
      const yours = standingPlan(bench.piece, shown!, done, CATALOGUE);
      expect(stillToDo(waysOn(bench.piece, bench.progress, CATALOGUE, plan).set.candidates[0]!)).toBe(stillToDo(yours));
    }
    expect(bench.open()).toEqual([]);
  });
});

describe("a way that was chosen before anything was on it", () => {
  test.each([
    ["a primed stone", dottedPebble, "base"],
    ["a primed pot", dottedPot, "base"],
    ["a stone with its ground on", dottedPebble, "decorate"],
    ["a jar that was wiped", () => piece({ material: "glass", uses: ["candle"], decoration: { techniques: ["dots"] } } as never), "decorate"],
  ] as const)("%s: chosen again, it goes on from what is there; nobody is asked to wash, prime or wait for it anew", (_what, stated, upTo) => {
    const begun = new Bench(stated()).workUpTo(upTo);
    const { length } = plan(begun.piece, []).candidates;
    expect(length).toBeGreaterThan(1);
    for (let at = 0; at < length; at += 1) {
      const bench = begun.twin().chooseBareWay(at);
      expect(missing(bench)).toEqual([]);
      const open = bench.open();
      expect(open.filter(({ role, zone }) => role === "clean" && bodyOf(bench.progress).some((laid) => laid.zone === zone))).toEqual([]);
      const primed = new Set(bodyOf(bench.progress).flatMap(({ zone, act }) => (act.role === "prime" ? [zone] : [])));
      expect(open.filter(({ role, zone, coat }) => role === "prime" && coat === 1 && primed.has(zone)).map(({ id }) => id)).toEqual([]);
      // And it is worked to its end.
      for (let acts = 0; acts < 60 && bench.open().length > 0; acts += 1) bench.work(1);
      expect(bench.open()).toEqual([]);
    }
  });
});

type Act = (bench: Bench) => unknown;
const CHANGES: readonly Change[] = [
  set("decoration.baseColour", "#b0413e"),
  set("decoration.baseColour", null),
  set("decoration.colours", ["#d9822b"]),
  set("decoration.techniques", ["bands"]),
  set("decoration.techniques", []),
  set("conditions", ["pitted"]),
  set("conditions", ["greasy"]),
  set("uses", ["outdoor-exposed"]),
  set("uses", ["indoor-display"]),
  set("finish", "gloss"),
  set("room", { temperatureC: 16, relativeHumidity: 0.7 }),
  set("wishes", { primer: "gesso" }),
  set("constraints", { oven: false }),
];
const anAct: fc.Arbitrary<Act> = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.integer({ min: 1, max: 4 }).map(
      (many): Act =>
        (bench) =>
          bench.work(many),
    ),
  },
  {
    weight: 3,
    arbitrary: fc.constantFrom(...CHANGES).map(
      (change): Act =>
        (bench) =>
          bench.change(change),
    ),
  },
  {
    weight: 1,
    arbitrary: fc.nat(4).map(
      (at): Act =>
        (bench) =>
          bench.chooseWay(at),
    ),
  },
  {
    weight: 1,
    arbitrary: fc.nat(4).map(
      (at): Act =>
        (bench) =>
          bench.chooseBareWay(at),
    ),
  },
  {
    weight: 1,
    arbitrary: fc.nat(20).map((at): Act => (bench) => {
      const steps = bench.view.shown?.zones.flatMap((zone) => zone.steps) ?? [];
      const step = steps[at % Math.max(1, steps.length)];
      if (step)
        bench.keeping = {
          ...bench.keeping,
          edits: [...bench.keeping.edits, at % 2 ? { op: "remove", stepId: step.id } : { op: "set", stepId: step.id, field: "coats", value: 3 }],
        };
    }),
  },
);
/** Roles of which one is enough. */
const ONCE: readonly Role[] = ["size", "prime", "isolate", "seal", "clean"];
const PIECES: readonly (() => Piece)[] = [
  dottedPebble,
  () => pebble({ decoration: { techniques: ["dots"] } }),
  () => piece({ material: "glass", uses: ["candle"], decoration: { techniques: ["dots"] } } as never),
  () => piece({ material: "wood-softwood", uses: ["handled"], decoration: { techniques: ["bands", "lettering"] } } as never),
];

test("for any sequence of acts, edits, changes of facts and of way, what is on the body is in the plan, and nothing finished is asked for again", () => {
  fc.assert(
    fc.property(fc.constantFrom(...PIECES), fc.array(anAct, { minLength: 3, maxLength: 9 }), (stated, acts) => {
      const bench = new Bench(stated());
      for (const act of acts) {
        const before = bodyOf(bench.progress);
        const known = bench.progress.length;
        act(bench);
        if (bench.progress.length === known) expect(bodyOf(bench.progress)).toEqual(before);
        expect(missing(bench)).toEqual([]);
        expect(pastFaults(bench)).toEqual([]);
        const whole = finished(bench);
        const again = bench.open().filter((step) => whole.has(`${step.zone}|${actKey(step)}`) && ONCE.includes(step.role) && step.coat === 1);
        expect(again.map((step) => step.id)).toEqual([]);
      }
    }),
    { numRuns: 28, seed: 20261125 },
  );
}, 240_000);
