/** What would be bought for all pieces, goals, and what is wrong with the time of one. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { planPiece } from "../../coating/planner/plan-piece";
import { remedied } from "../../drying/what-if";
import type { Room } from "../../piece/piece";
import { pebble } from "../../../tests/reference/bench";
import { edge, EVENINGS, HOUR, piece, START, task, workOf } from "../../../tests/reference/made-up-tables";
import { workFor } from "../dates-of";
import { instantOf } from "../free-hours";
import { scheduleTo } from "./goals";
import type { PieceWork } from "./network";
import { scheduleAll } from "./schedule-all";
import { timeFindings } from "./time-findings";
import { whatIfAll, workInRoom } from "./what-if-all";

const COOL: Room = { temperatureC: 14, relativeHumidity: 0.72, airflow: "still" };
const ask = (pieces: readonly PieceWork[]) => ({ pieces, hours: EVENINGS, start: START });
const at = (date: string, time = "00:00") => instantOf(date, time, "Europe/London");
const wet = { by: "evaporation", film: "craft-acrylic" } as const;
const coats = (waitMin: number) => ({ ...workOf([task("base", 20), task("dots", 20, [edge("base", waitMin, wet as never)])], 60), room: COOL });

describe("all of it, in another room", () => {
  test("is what the same plan would be there: waits of a real piece against the piece planned in the other room", () => {
    const stone = (room: Room) => pebble({ uses: ["handled"], decoration: { techniques: ["dots"] }, room });
    const plan = (room: Room) => workFor(stone(room), planPiece(stone(room), CATALOGUE).candidates[0]!, CATALOGUE);
    for (const what of ["warmer", "drier", "fan"] as const) {
      const room = remedied(COOL, what)!;
      const [moved, planned] = [workInRoom(plan(COOL), room), plan(room)];
      const waits = (work: typeof moved) =>
        work.tasks.flatMap(({ id, after }) => after.map(({ task: before, typicalMin }) => [`${before}>${id}`, typicalMin] as const));
      const there = new Map(waits(planned));
      for (const [tie, min] of waits(moved)) {
        const other = there.get(tie);
        if (other !== undefined && other > 30) expect(Math.abs(min / other - 1)).toBeLessThan(0.02);
      }
      expect(Math.abs(moved.milestones[0]!.cured.typicalMin / planned.milestones[0]!.cured.typicalMin - 1)).toBeLessThan(0.1);
    }
  });

  test("a fan has the next coat on the same evening; a helper has an evening hold more; tomorrow costs what it costs, and is told in any case", () => {
    const told = (pieces: readonly PieceWork[]) => new Map(whatIfAll(ask(pieces)).map((one) => [one.what, one]));
    const one = told([piece("pot", coats(4 * HOUR), { due: at("2026-12-01", "08:00") })]);
    expect(one.get("fan")).toMatchObject({ sooner: ["pot"], inTime: ["pot"] });
    expect(one.has("helper")).toBe(false);
    expect(one.get("tomorrow")!.later).toEqual(["pot"]);
    const many = told(Array.from({ length: 8 }, (_unused, k) => piece(`p${k}`, workOf([task("coat", 60)], 60))));
    expect(many.get("helper")!.sooner.length).toBeGreaterThan(2);
    expect(many.has("fan")).toBe(false);
    // Dates that stand do not hide what it would buy.
    const standing = new Map([["dots", at("2026-12-10", "19:00")]]);
    expect(told([piece("pot", coats(4 * HOUR), { agreed: standing })]).get("fan")!.sooner).toEqual(["pot"]);
  });

  test("with shorter waits the last is never later than it is now, whatever is on the table", () => {
    const works = fc.array(fc.record({ min: fc.integer({ min: 5, max: 90 }), wait: fc.integer({ min: 20, max: 30 * HOUR }) }), { minLength: 1, maxLength: 9 });
    fc.assert(
      fc.property(works, (list) => {
        const pieces = list.map(({ min, wait }, k) =>
          piece(`p${k}`, { ...coats(wait), tasks: [task("base", min), task("dots", min, [edge("base", wait, wet as never)])] }),
        );
        for (const { what, last } of whatIfAll(ask(pieces))) if (what !== "tomorrow") expect(last.to).toBeLessThanOrEqual(last.from);
      }),
      { numRuns: Number(process.env.RUNS ?? 10) },
    );
  });
});

test("begun as late as is safe: the last sitting from which all of it is in time, and as early as may be where nothing is", () => {
  const due = at("2026-12-05", "08:00");
  const pieces = Array.from({ length: 4 }, (_unused, k) => piece(`p${k}`, workOf([task("coat", 60)], 60), { due }));
  const late = scheduleTo({ ...ask(pieces), goal: "latest-begin" })!;
  expect(late.late.every((ms) => ms === 0)).toBe(true);
  expect(late.sittings[0]!.from).toBe(at("2026-12-03", "19:00"));
  const none = scheduleTo({ ...ask(pieces.map((one) => ({ ...one, due: null }))), goal: "latest-begin" })!;
  expect(none.sittings[0]!.from).toBe(at("2026-11-30", "19:00"));
});

test("what is wrong with a piece's time: late, not hard by its day, a window that shuts, a coat longer than any sitting; and nothing of the others", () => {
  const pieces = [
    piece("late", workOf([task("coat", 20)], 30 * HOUR), { due: at("2026-12-01", "08:00") }),
    piece("soft", workOf([task("coat", 20)], 2 * HOUR), { due: at("2026-12-01", "08:00") }),
    piece("shut", workOf([task("one", 20), task("two", 20, [edge("one", 7 * HOUR, { closesMin: 8 * HOUR })])], 60)),
    piece("long", workOf([task("coat", 500)], 60)),
    piece("fine", workOf([task("coat", 20)], 60)),
  ];
  const together = scheduleAll(ask(pieces))!;
  expect(pieces.map(({ id }) => timeFindings(together, id).map(({ code }) => code))).toEqual([
    ["late"],
    ["not-hard-in-time"],
    ["window-shut"],
    ["too-long"],
    [],
  ]);
  expect(timeFindings(together, "shut")[0]!.stepId).toBe("two");
  expect(timeFindings(together, "nobody")).toEqual([]);
});

test("what is true of seven coats is told once, of the longest", () => {
  const coats = [400, 500, 900, 410, 420, 430, 440].map((min, k, all) => task(`coat${k}`, min, k === 0 ? [] : [edge(`coat${all.indexOf(all[k - 1]!)}`, 60)]));
  const together = scheduleAll(ask([piece("wall", workOf(coats, 60))]))!;
  expect(timeFindings(together, "wall")).toMatchObject([{ code: "too-long", stepId: "coat2", message: expect.stringMatching(/^7 steps .*15 hours/) }]);
});
