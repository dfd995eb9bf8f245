/** Nothing that is wet is ever shown touchable; what is left alone says until when. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { plainZone } from "../../catalogue/vocabulary";
import type { PieceId, PlanId, ProgressId } from "../../catalogue/ids";
import type { Candidate } from "../../coating/model/plan";
import { planPiece } from "../../coating/planner/plan-piece";
import type { Piece } from "../../piece/piece";
import { workFor } from "../../schedule/dates-of";
import { mug, pebble, pot } from "../../../tests/reference/bench";
import { leftLonger } from "../actual";
import { coatEvents } from "../coat-events";
import { coatStates } from "../coat-states";
import { actStates } from "../group-states";
import type { ProgressRecord } from "../progress";
import { batchClock, begunOf, begunTasks, endsLaid, leftOfBatch } from "./begun";
import { benchOf } from "./bench";
import type { BenchPiece } from "./bench-piece";
import type { Go } from "./go";
import { wetFilms } from "./wet-films";

const MIN = 60_000;
const START = Date.parse("2026-11-02T18:00:00Z");
const DOTS = { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2", "#d9822b"] };

/** Plans that were made already. */
const planned = new Map<string, Candidate>();

/** A piece on a bench of its own clock. */
class Table {
  readonly pieces = new Map<string, BenchPiece>();
  now = START;

  add(id: string, piece: Piece, more: Partial<BenchPiece> = {}): this {
    const key = JSON.stringify(piece);
    const shown = planned.get(key) ?? planPiece(piece, CATALOGUE).candidates[0]!;
    planned.set(key, shown);
    const work = workFor(piece, shown, CATALOGUE);
    this.pieces.set(id, { id, name: id, count: piece.count ?? 1, due: null, shown, work, done: new Map(), progress: [], ...more });
    return this;
  }

  get bench() {
    return benchOf([...this.pieces.values()], this.now, "UTC");
  }

  /** Does a go, as long as it takes. */
  do({ piece, tasks, handsOnMin }: Go): this {
    this.now += Math.max(1, handsOnMin) * MIN;
    const one = this.pieces.get(piece)!;
    this.pieces.set(piece, { ...one, done: new Map([...one.done, ...tasks.map((task) => [task.id, this.now] as const)]) });
    return this;
  }
}

const dottedPot = () => pot({ uses: ["planter"], parts: ["saucer"], conditions: ["dusty"], decoration: DOTS });

describe("what may be touched", () => {
  test("is nothing that lies on, or is held by, a wet film: whatever is done in whatever order, on several pieces", () => {
    const touched = fc.array(fc.record({ pick: fc.nat(20), wait: fc.nat(90) }), { minLength: 8, maxLength: 30 });
    fc.assert(
      fc.property(touched, (moves) => {
        const table = new Table()
          .add("pot", dottedPot())
          .add("pebble", pebble({ decoration: DOTS }))
          .add("mug", mug());
        for (const { pick, wait } of moves) {
          const { now: free, alone, changes } = table.bench;
          for (const go of free) {
            const { done, work, shown } = table.pieces.get(go.piece)!;
            const steps = new Map(shown.zones.flatMap((zone) => zone.steps).map((step) => [step.id, step]));
            // By hand: every tie of the plan is over, and no other place of the same body is wet.
            for (const { after } of go.tasks) for (const edge of after) expect(done.get(edge.task)! + edge.typicalMin * MIN).toBeLessThanOrEqual(table.now);
            const own = new Set(go.zones.map(plainZone));
            for (const task of work.tasks) {
              const touch = steps.get(task.stepId)?.typical?.touchDry;
              if (touch === undefined || !done.has(task.id) || done.get(task.id)! + touch * MIN <= table.now) continue;
              const apart = (zone: string) => (zone === "saucer" ? "saucer" : "pot");
              const elsewhere =
                !task.zones.some((zone) => own.has(plainZone(zone))) && task.zones.some((zone) => go.zones.some((mine) => apart(mine) === apart(zone)));
              expect(elsewhere).toBe(false);
            }
          }
          for (const one of alone) expect(one.until).toBeGreaterThan(table.now);
          if (free.length > 0) table.do(free[pick % free.length]!);
          else if (changes !== null) expect(changes).toBeGreaterThan(table.now);
          table.now += wait * MIN;
        }
      }),
      { numRuns: 10, seed: 15 },
    );
  });

  test("goes on to the end when one does what is offered and waits as it is told to", () => {
    const table = new Table().add("pot", dottedPot()).add("pebble", pebble({ decoration: DOTS }));
    for (let n = 0; n < 200; n += 1) {
      const { now: free, changes } = table.bench;
      if (free[0]) table.do(free[0]);
      else if (changes === null) break;
      else table.now = changes;
    }
    const { now: free, alone, hardening } = table.bench;
    expect([free.length, alone.length, hardening.length]).toEqual([0, 0, 0]);
    for (const { work, done } of table.pieces.values()) expect(work.tasks.every((task) => done.has(task.id))).toBe(true);
  });

  test("what is found tacky is left alone for longer, its other places too", () => {
    const table = new Table().add("pot", dottedPot());
    const first = table.pieces.get("pot")!;
    const primed = first.work.tasks.find(({ stepId }) => stepId.includes(".prime."))!;
    table.pieces.set("pot", { ...first, done: new Map(first.work.tasks.slice(0, first.work.tasks.indexOf(primed) + 1).map((task) => [task.id, START])) });
    table.now = START + 300 * MIN;
    expect(table.bench.alone.flatMap(({ wet }) => wet)).toEqual([]);
    const { work, done } = table.pieces.get("pot")!;
    table.pieces.set("pot", { ...table.pieces.get("pot")!, work: leftLonger(work, done, new Map([[primed.id, START + 299 * MIN]])) });
    expect(table.bench.alone[0]?.wet).toContain(primed.zones[0]);
  });

  test("a piece that is to be put right shows nothing else", () => {
    const table = new Table().add("pebble", pebble({ decoration: DOTS }), { spoilt: START + 20 * MIN });
    expect(table.bench.now).toEqual([]);
    expect(table.bench.alone.map(({ until, then }) => [until, then])).toEqual([[START + 20 * MIN, null]]);
  });
});

test("the Bench and the plan's own page say the same of every act: what is ready, and until when it is not, but for wet places a hand would hold it by", () => {
  fc.assert(
    fc.property(fc.array(fc.record({ pick: fc.nat(20), wait: fc.nat(300) }), { minLength: 4, maxLength: 18 }), (moves) => {
      const table = new Table().add("pot", dottedPot());
      for (const { pick, wait } of moves) {
        const { shown, work, done } = table.pieces.get("pot")!;
        const states = actStates(shown.acts, coatStates(shown, work, done, table.now, "UTC"));
        const { now: free, alone } = table.bench;
        const told = new Map([...free, ...alone.flatMap(({ then }) => then ?? [])].map((go) => [go.act.stepIds[0]!, go]));
        for (const [step, go] of told) {
          const state = states.get(step)!;
          if (go.beside.length > 0) expect(go.from).toBeGreaterThan(table.now);
          else if (go.from <= table.now) expect([step, state.state]).toEqual([step, "ready"]);
          else expect([step, state.state, state.until]).toEqual([step, "waiting", go.from]);
        }
        // And nothing that is ready there is missing here.
        const ready = [...states].filter(([, { state }]) => state === "ready").map(([step]) => step);
        const held = free.length === 0 || wetFilms(table.pieces.get("pot")!, table.now, "UTC").length > 0;
        if (!held) expect(ready.filter((step) => !told.has(step))).toEqual([]);
        if (free.length > 0) table.do(free[pick % free.length]!);
        table.now += wait * MIN;
      }
    }),
    { numRuns: 12, seed: 8 },
  );
});

test("what is nearly due goes before what has time; what hands are on goes before both", () => {
  const table = new Table().add("later", pebble()).add("soon", pebble(), { due: START + 2 * 24 * 60 * MIN });
  expect(table.bench.now[0]?.piece).toBe("soon");
  const later = table.pieces.get("later")!;
  const [task] = later.work.tasks;
  const started = coatEvents(later.shown, task!).map((event) => record({ ...event, kind: "started", at: new Date(START).toISOString() }));
  table.pieces.set("later", { ...later, progress: started });
  expect(table.bench.now[0]?.piece).toBe("later");
});

test("what was put into a later sitting, agreed on for one, or is to begin on a later day comes last, and says for when; what hands are on does not wait", () => {
  const friday = Date.parse("2026-11-06T19:00:00Z");
  const first = new Table().add("pot", dottedPot()).bench.now[0]!;
  const all = new Map(first.tasks.map(({ id }) => [id, friday] as const));
  for (const put of [{ held: all }, { agreed: all }, { from: Date.parse("2026-11-06T00:00:00Z") }]) {
    const table = new Table().add("pebble", pebble()).add("pot", dottedPot(), { due: START + 9 * 24 * 60 * MIN, ...put });
    const [go, ...rest] = table.bench.now;
    expect([go?.piece, go?.putOff]).toEqual(["pebble", null]);
    expect(rest.at(-1)?.piece).toBe("pot");
    expect(rest.filter(({ piece, putOff }) => piece === "pot" && putOff !== (put.from ?? friday) && putOff !== null)).toEqual([]);
    expect(rest.at(-1)?.putOff).toBe(put.from ?? friday);
    const pot = table.pieces.get("pot")!;
    const started = first.tasks
      .flatMap((task) => coatEvents(pot.shown, task))
      .map((one) => record({ ...one, kind: "started", at: new Date(START).toISOString() }));
    table.pieces.set("pot", { ...pot, progress: started });
    // What the user put off with hands on it is put off.
    expect([table.bench.now[0]?.piece, table.bench.now[0]?.putOff]).toEqual([put.held ? "pebble" : "pot", null]);
  }
});

function record(of: Partial<ProgressRecord>): ProgressRecord {
  return { id: "p" as ProgressId, rev: 1, pieceId: "x" as PieceId, planId: "x" as PlanId, ...of } as ProgressRecord;
}

describe("a batch", () => {
  const table = new Table().add("batch", pebble({ count: 12 }));
  const { shown, work } = table.pieces.get("batch")!;
  const [task] = work.tasks;
  const at = (min: number, pieces?: number, kind: ProgressRecord["kind"] = "started") =>
    coatEvents(shown, task!).map((event) =>
      record({ ...event, kind, at: new Date(START + min * MIN).toISOString(), ...(pieces === undefined ? {} : { pieces }) }),
    );

  test("counts from what was noted: each piece dries from its own end on; one counted too many is taken off again", () => {
    const begun = begunOf([...at(0, 0), ...at(3, 1), ...at(7, 3), ...at(8, 2), ...at(11, 3)], [task!])!;
    expect([begun.at, begun.ends]).toEqual([START, [START + 3 * MIN, START + 7 * MIN, START + 11 * MIN]]);
    expect(begunOf([...at(0, 0), ...at(5, undefined, "done")], [task!])).toBeNull();
  });

  test("once all of them have it, the first may be turned while the last is wet still", () => {
    const base = work.tasks.find(({ stepId }) => shown.zones.some(({ steps }) => steps.some(({ id, typical }) => id === stepId && typical !== null)))!;
    const of = (min: number, kind: ProgressRecord["kind"], pieces?: number) =>
      coatEvents(shown, base).map((event) =>
        record({ ...event, kind, at: new Date(START + min * MIN).toISOString(), ...(pieces === undefined ? {} : { pieces }) }),
      );
    const progress = [...of(0, "started", 0), ...of(5, "started", 2), ...of(40, "done")];
    expect(endsLaid(progress, base, 4)).toEqual([START + 5 * MIN, START + 5 * MIN, START + 40 * MIN, START + 40 * MIN]);
    expect(endsLaid(of(40, "done"), base, 4)).toBeNull();
    expect(endsLaid([...progress, ...of(41, "ruined"), ...of(90, "done")], base, 4)).toBeNull();
    const upTo = work.tasks.slice(0, work.tasks.indexOf(base));
    const touch = shown.zones.flatMap(({ steps }) => steps).find(({ id }) => id === base.stepId)!.typical!.touchDry;
    const done = new Map([...upTo.map(({ id }) => [id, START - 9000 * MIN] as const), [base.id, START + 40 * MIN] as const]);
    const laid = { ...table.pieces.get("batch")!, count: 4, done, progress };
    const [alone] = benchOf([laid], START + (5 + touch + 1) * MIN, "UTC").alone;
    expect(alone?.dry).toBe(2);
  });

  test("the first may be turned while the last is wet", () => {
    const ends = [0, 3, 6].map((min) => START + min * MIN);
    expect(batchClock(ends, 10, START + 12 * MIN)).toEqual({ dry: 1, next: START + 13 * MIN, last: START + 16 * MIN });
    expect(batchClock(ends, 10, START + 16 * MIN)).toEqual({ dry: 3, next: null, last: null });
  });

  test("what is left of a coat under way is what the other pieces take, whether there is one of them or forty", () => {
    const before = table.pieces.get("batch")!;
    const some = { ...before, progress: [...at(0, 0), ...at(6, 9)] };
    expect([...begunTasks(some).keys()]).toEqual([task!.id]);
    expect(leftOfBatch(some).tasks[0]!.handsOnMin).toBeCloseTo(task!.handsOnMin / 4);
    expect(leftOfBatch(some).tasks.slice(1)).toEqual(before.work.tasks.slice(1));
    expect(leftOfBatch({ ...some, count: 1 })).toBe(before.work);
    expect(leftOfBatch(before)).toBe(before.work);
  });

  test("pieces that have a coat are wet, though the coat is not done: nothing else of them is offered", () => {
    const wet = new Table().add("pots", pot({ uses: ["planter"], parts: ["saucer"], count: 6, decoration: DOTS }));
    const { shown: plan, work: all } = wet.pieces.get("pots")!;
    const films = all.tasks.filter(({ stepId }) => plan.zones.some(({ steps }) => steps.some(({ id, typical }) => id === stepId && typical !== null)));
    const [film] = films;
    const before = all.tasks.slice(0, all.tasks.indexOf(film!));
    const started = coatEvents(plan, film!).map((event) => record({ ...event, kind: "started", pieces: 2, at: new Date(START).toISOString() }));
    const half = { ...wet.pieces.get("pots")!, done: new Map(before.map(({ id }) => [id, START - 9000 * MIN])), progress: started };
    const found = wetFilms(half, START + MIN, "UTC");
    expect(found.map(({ task: of, end }) => [of.id, end])).toEqual([[film!.id, START]]);
    wet.pieces.set("pots", half);
    wet.now = START + MIN;
    for (const go of wet.bench.now) expect(go.beside).toEqual([]);
    // Nobody has it yet: hands are on it, and nothing is wet.
    expect(wetFilms({ ...half, progress: started.map((one) => ({ ...one, pieces: 0 })) }, START + MIN, "UTC")).toEqual([]);
  });
});

describe("windows that shut", () => {
  const banded = () => pebble({ uses: ["handled"], decoration: { techniques: ["bands"], baseColour: "#f4efe2", colours: ["#c8402f"] } });
  /** A table where everything up to the lifting of the mask is done. */
  function masked(): Table {
    const table = new Table().add("banded", banded()).add("other", pebble(), { due: START + 24 * 60 * MIN });
    const { work } = table.pieces.get("banded")!;
    const lift = work.tasks.find(({ stepId }) => stepId.includes(".unmask."))!;
    const upTo = work.tasks.slice(0, work.tasks.indexOf(lift));
    const done = new Map(upTo.map((task, index) => [task.id, START - (upTo.length - 1 - index) * 3000 * MIN]));
    table.pieces.set("banded", { ...table.pieces.get("banded")!, done });
    return table;
  }

  test("a mask is lifted before the paint is hard: its window is told, and it goes before what is due tomorrow", () => {
    const table = masked();
    const told = [...table.bench.now, ...table.bench.alone.flatMap(({ then }) => then ?? [])].find((go) => go.act.step.role === "unmask")!;
    expect(told.closes).toBeGreaterThan(told.from);
    table.now = Math.max(told.from, told.closes! - 60 * MIN);
    const [first] = table.bench.now;
    expect([first?.piece, first?.act.step.role, first?.shut]).toEqual(["banded", "unmask", false]);
  });

  test("once it is shut that is said, and it waits its turn like everything else", () => {
    const table = masked();
    table.now = START + 30 * 24 * 60 * MIN;
    const lift = table.bench.now.find((go) => go.act.step.role === "unmask")!;
    expect(lift.shut).toBe(true);
  });
});

test("colours that are worked into one another go in loads as small as the wet paint allows", () => {
  const blended = { techniques: ["blended"], baseColour: "#1f3a4d", colours: ["#3f7f7a", "#f4efe2"] };
  const many = new Table().add("many", pebble({ count: 40, decoration: blended }));
  const { work } = many.pieces.get("many")!;
  const wet = work.tasks.find((task) => task.after.some((edge) => edge.wet));
  expect(wet).toBeDefined();
  const before = work.tasks.slice(0, work.tasks.indexOf(wet!) - 1);
  many.pieces.set("many", { ...many.pieces.get("many")!, done: new Map(before.map((task) => [task.id, START - 9000 * MIN])) });
  const go = many.bench.now.find(({ together }) => together !== null)!;
  expect(go.together).toBeGreaterThanOrEqual(1);
  expect(go.together).toBeLessThan(40);
  expect(new Table().add("one", pebble({ decoration: blended })).bench.now.every(({ together }) => together === null)).toBe(true);
});
