/** Times schedules of many pieces: the first answer, sixty tries, and how both grow; and what a missed evening takes. Prints, judges nothing. */
import { performance } from "node:perf_hooks";
import type { ProductId, StepId } from "../core/catalogue/ids";
import type { Task } from "../core/coating/facts/task";
import { MS_PER_MIN, usualHours } from "../core/schedule/free-hours";
import type { PieceWork } from "../core/schedule/together/network";
import { scheduleAll } from "../core/schedule/together/schedule-all";
import { againstOptimum } from "../tests/reference/small-schedules";

const START = Date.parse("2026-11-30T00:00:00Z");
const RUNS = 5;
const STEPS = 12;
const DAY_MIN = 1440;

/** What is laid is wet to the touch so long, minutes: nothing is held by it meanwhile. */
const touch = { typicalMin: 20, cautiousMin: 30, film: "craft-acrylic" as ProductId };

/** Twelve steps one after the other, every fourth on the back: an hour between coats, a night before every fourth. */
function pieceOf(index: number): PieceWork {
  const tasks = Array.from({ length: STEPS }, (_unused, k): Task => {
    const waitMin = k % 4 === 3 ? DAY_MIN : 60;
    const after = k === 0 ? [] : [{ task: `t${k - 1}`, typicalMin: waitMin, cautiousMin: 2 * waitMin, until: "dry-to-recoat" as const }];
    return {
      id: `t${k}`,
      stepId: `t${k}` as StepId,
      coat: 1,
      zones: [k % 4 === 3 ? "back" : "top"],
      touch,
      handsOnMin: 5 + ((index * 7 + k * 11) % 25),
      after,
    };
  });
  const dries = { typicalMin: DAY_MIN, cautiousMin: 2 * DAY_MIN };
  const work = { tasks, milestones: [{ task: `t${STEPS - 1}`, handle: dries, cured: dries }] };
  return { id: `p${index}`, work, count: 1, likeOf: ({ id }) => id, due: null, done: new Map() };
}

for (const count of [15, 30, 60, 120]) {
  const pieces = Array.from({ length: count }, (_unused, k) => pieceOf(k));
  const timed = (tries: number) => {
    let gap = 0;
    const times = Array.from({ length: RUNS }, () => {
      const from = performance.now();
      const { gapMs, bound, handle } = scheduleAll({ pieces, hours: usualHours("Europe/London"), start: START, tries })!;
      const took = performance.now() - from;
      gap = gapMs / (Math.max(...handle) - START);
      return { took, name: bound.name };
    }).sort((a, b) => a.took - b.took);
    return `${times[Math.floor(RUNS / 2)]!.took.toFixed(0)} ms, ${(gap * 100).toFixed(1)} % behind ${times[0]!.name}`;
  };
  // All dates agreed on, and the first evening missed.
  const first = scheduleAll({ pieces, hours: usualHours("Europe/London"), start: START, tries: 0 })!;
  const begins = new Map<string, number>();
  for (const { node, from } of first.sittings.flatMap(({ stints }) => stints)) {
    const { piece, task } = first.network.nodes[node]!;
    const key = `${first.network.pieces[piece]!.id}/${task.id}`;
    if (!begins.has(key)) begins.set(key, from);
  }
  const agreed = pieces.map((one) => ({ ...one, agreed: new Map(one.work.tasks.map(({ id }) => [id, begins.get(`${one.id}/${id}`)!])) }));
  const slips = Array.from({ length: RUNS }, () => {
    const from = performance.now();
    scheduleAll({ pieces: agreed, hours: usualHours("Europe/London"), start: START + DAY_MIN * MS_PER_MIN });
    return performance.now() - from;
  }).sort((a, b) => a - b);
  console.log(
    `schedule: ${count} pieces: laid anew round dates that stand after a missed evening ${slips[Math.floor(RUNS / 2)]!.toFixed(0)} ms${count === 60 ? " (goal: under 200 ms)" : ""}`,
  );
  console.log(
    `schedule: ${count} pieces of ${STEPS} steps: first answer ${timed(0)}; sixty tries ${timed(60)}${count === 60 ? " (goal: the first under 1 s)" : ""}`,
  );
}

const INSTANCES = 100;
const small = await againstOptimum(INSTANCES);
const behind = small.filter(({ gap }) => gap > 1e-9).sort((a, b) => b.gap - a.gap);
console.log(`schedule: ${INSTANCES} small instances against the optimum: ${INSTANCES - behind.length} are the best there is; the others, by seed:`);
for (const { seed, best, found, gap } of behind) console.log(`schedule:   ${seed}: ${found - best} min of ${best} later, ${(gap * 100).toFixed(1)} %`);
