/** Pieces with made-up work, for what dates them. */
import type { StepId } from "#core/catalogue/ids";
import type { Edge, Task, Work } from "#core/coating/facts/task";
import type { FreeHours } from "#core/schedule/free-hours";
import type { PieceWork } from "#core/schedule/together/network";

/** Evenings, and Saturdays from ten. */
export const EVENINGS: FreeHours = {
  weekday: [0, 1, 2, 3, 4, 5, 6].map((day) => (day === 6 ? [] : day === 5 ? [{ from: "10:00", to: "16:00" }] : [{ from: "19:00", to: "21:30" }])),
  exceptions: [],
  timeZone: "Europe/London",
};
export const START = Date.parse("2026-11-30T09:00:00Z");
export const HOUR = 60;

export const edge = (task: string, typicalMin: number, more: Partial<Edge> = {}): Edge => ({
  task,
  typicalMin,
  cautiousMin: typicalMin * 2,
  until: "dry-to-recoat",
  ...more,
});
export const task = (id: string, handsOnMin: number, after: readonly Edge[] = []): Task => ({
  id,
  stepId: id as StepId,
  coat: 1,
  zones: ["top"],
  handsOnMin,
  after,
});
export const workOf = (tasks: readonly Task[], handleMin = 24 * HOUR): Work => ({
  tasks,
  milestones: [
    {
      task: tasks.at(-1)!.id,
      handle: { typicalMin: handleMin, cautiousMin: handleMin * 2 },
      cured: { typicalMin: handleMin * 10, cautiousMin: handleMin * 20 },
    },
  ],
});
export const piece = (id: string, work: Work, more: Partial<PieceWork> = {}): PieceWork => ({
  id,
  work,
  count: 1,
  likeOf: ({ id: step }) => step,
  due: null,
  done: new Map(),
  ...more,
});
/** Prime, base, dots, seal. */
export const COATS = workOf([
  task("prime", 20),
  task("base", 20, [edge("prime", 60)]),
  task("dots", 45, [edge("base", 60)]),
  task("seal", 15, [edge("dots", 30 * HOUR)]),
]);
