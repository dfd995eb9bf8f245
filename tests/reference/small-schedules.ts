/** Small instances of seeded numbers, and the best schedule of each by a general solver (HiGHS). */
import loadHighs from "highs";
import type { Highs } from "highs";
import type { StepId } from "#core/catalogue/ids";
import type { Task } from "#core/coating/facts/task";
import { MS_PER_MIN, sittingsFrom } from "#core/schedule/free-hours";
import type { FreeHours } from "#core/schedule/free-hours";
import type { PieceWork } from "#core/schedule/together/network";
import { scheduleAll } from "#core/schedule/together/schedule-all";

/** All lengths are whole slots, so that the best schedule starts everything at a slot. */
const SLOT_MIN = 15;
const EVENING = [{ from: "19:00", to: "20:30" }];
export const HOURS: FreeHours = { weekday: [EVENING, EVENING, [], EVENING, EVENING, EVENING, []], exceptions: [], timeZone: "UTC" };
export const START = Date.parse("2026-11-30T00:00:00Z");
const SITTINGS = 7;
const DAY_MIN = 1440;

/** Numbers from a seed, 0–1: the minimal standard generator (Park & Miller 1988). */
function numbers(seed: number): (most: number) => number {
  let state = seed * 7919 + 17;
  return (most) => {
    state = (state * 48_271) % 2_147_483_647;
    return state % most;
  };
}

/** Two or three pieces of two to four coats, in chains or with a second start. */
export function instance(seed: number): readonly PieceWork[] {
  const number = numbers(seed);
  return Array.from({ length: 2 + number(2) }, (_unused, k): PieceWork => {
    const tasks = Array.from({ length: 2 + number(3) }, (_none, at): Task => {
      const before = at > 0 && number(5) > 0 ? `t${at - 1 - (at > 1 && number(4) === 0 ? 1 : 0)}` : null;
      const waitMin = SLOT_MIN * [0, 1, 2, 4, 60, 96][number(6)]!;
      const after = before === null ? [] : [{ task: before, typicalMin: waitMin, cautiousMin: waitMin, until: "dry-to-recoat" as const }];
      return { id: `t${at}`, stepId: `t${at}` as StepId, coat: 1, zones: ["top"], handsOnMin: SLOT_MIN * (1 + number(4)), after };
    });
    const dries = (days: number) => ({ typicalMin: days * DAY_MIN, cautiousMin: days * DAY_MIN });
    const work = { tasks, milestones: [{ task: tasks.at(-1)!.id, handle: dries(number(3)), cured: dries(9) }] };
    return { id: `p${k}`, work, count: 1, likeOf: ({ id }) => id, due: null, done: new Map() };
  });
}

/** The earliest instant at which all may be handled, min after the start: by start slots, each task in one of them, no slot with two. */
function optimum(pieces: readonly PieceWork[], highs: Highs): number {
  const sittings = [...sittingsFrom(HOURS, START)]
    .slice(0, SITTINGS)
    .map(({ from, to }) => ({ from: (from - START) / MS_PER_MIN, to: (to - START) / MS_PER_MIN }));
  const slots = sittings.flatMap(({ from, to }) => Array.from({ length: (to - from) / SLOT_MIN }, (_unused, k) => ({ at: from + k * SLOT_MIN, to })));
  const jobs = pieces.flatMap((piece, p) => piece.work.tasks.map((task) => ({ task, name: `${p}_${task.id}`, p, min: task.handsOnMin })));
  const starts = new Map(jobs.map((job) => [job.name, slots.filter(({ at, to }) => at + job.min <= to)]));
  const x = (name: string, at: number) => `x_${name}_${at}`;
  const sum = (name: string, by: number, sign = "+") =>
    starts
      .get(name)!
      .map(({ at }) => `${sign} ${at + by} ${x(name, at)}`)
      .join("\n");
  const lines: string[] = [];
  for (const { name } of jobs)
    lines.push(
      `${starts
        .get(name)!
        .map(({ at }) => x(name, at))
        .join("\n + ")} = 1`,
    );
  for (const { at } of slots) {
    const busy = jobs.flatMap(({ name, min }) => starts.get(name)!.flatMap((one) => (one.at <= at && at < one.at + min ? [x(name, one.at)] : [])));
    if (busy.length > 1) lines.push(`${busy.join("\n + ")} <= 1`);
  }
  for (const { task, name, p } of jobs)
    for (const { task: before, typicalMin } of task.after) {
      const earlier = jobs.find((one) => one.p === p && one.task.id === before)!;
      lines.push(`${sum(name, 0)}\n${sum(earlier.name, 0, "-")}\n >= ${earlier.min + typicalMin}`);
    }
  for (const { task, name, p, min } of jobs) {
    const dries = pieces[p]!.work.milestones.find((one) => one.task === task.id)?.handle.typicalMin ?? 0;
    lines.push(`last\n${sum(name, 0, "-")}\n >= ${min + dries}`);
  }
  const binaries = jobs.flatMap(({ name }) => starts.get(name)!.map(({ at }) => x(name, at)));
  const program = `Minimize\n obj: last\nSubject To\n${lines.map((line, k) => ` c${k}: ${line}`).join("\n")}\nBinary\n${binaries.join("\n")}\nEnd`;
  const solved = highs.solve(program);
  if (solved.Status !== "Optimal") throw new Error(`the solver ended with ${solved.Status}`);
  return Math.round(solved.ObjectiveValue);
}

/** One instance: the best there is, what was found, and the bound, minutes after the start. */
export interface AgainstOptimum {
  readonly seed: number;
  readonly best: number;
  readonly found: number;
  readonly bound: number;
  /** Share by which what was found is later than the best. */
  readonly gap: number;
}

/** Schedules of so many instances against the best of each. */
export async function againstOptimum(instances: number): Promise<readonly AgainstOptimum[]> {
  const highs = await loadHighs({});
  return Array.from({ length: instances }, (_unused, k) => {
    const pieces = instance(k + 1);
    const best = optimum(pieces, highs);
    const told = scheduleAll({ pieces, hours: HOURS, start: START })!;
    const found = (Math.max(...told.handle) - START) / MS_PER_MIN;
    return { seed: k + 1, best, found, bound: (told.bound.at - START) / MS_PER_MIN, gap: (found - best) / best };
  });
}
