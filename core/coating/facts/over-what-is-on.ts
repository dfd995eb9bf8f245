import type { Edge, Milestone, Over, Task, Work } from "./task";

/** Whether a film has been through a bake since it was laid, or will have been, as one is still to come between. */
function isBaked({ task, heats, ordered }: Over, done: ReadonlyMap<string, number>): boolean {
  const laid = done.get(task);
  return heats.some((heat) => (done.has(heat) ? laid !== undefined && done.get(heat)! >= laid : ordered));
}

/** Ties to what is still to be done before a task where what lies between is done already: the order of the plan holds all the same. */
function stillBefore(task: Task, tasks: ReadonlyMap<string, Task>, done: ReadonlyMap<string, number>): readonly Edge[] {
  const open = new Set<string>();
  const seen = new Set<string>();
  const visit = (id: string): void => {
    if (seen.has(id)) return;
    seen.add(id);
    if (!done.has(id)) open.add(id);
    else for (const edge of tasks.get(id)?.after ?? []) visit(edge.task);
  };
  for (const { task: below } of task.after) visit(below);
  const direct = new Set(task.after.map((edge) => edge.task));
  return [...open].filter((id) => !direct.has(id)).map((id) => ({ task: id, typicalMin: 0, cautiousMin: 0, until: "dry-to-touch" }));
}

/**
 * Work where something is on the piece: each task waits for the films on its place as they are there now, in whatever order they were laid, and
 * by whomever; and for what is to be done before it yet.
 *
 * @param done tasks that are done, by id
 */
export function overWhatIsOn(work: Work, done: ReadonlyMap<string, number>): Work {
  if (done.size === 0) return work;
  const tasks = new Map(work.tasks.map((one) => [one.id, one]));
  const task = (one: Task): Task => {
    // What is on already waits for nothing that is not: that goes over it now.
    if (done.has(one.id)) return { ...one, after: one.after.filter((edge) => done.has(edge.task)) };
    const asked = (one.over ?? []).flatMap((over): readonly Edge[] => {
      const { ordered, heats: _heats, ...edge } = over;
      return (ordered || done.has(edge.task)) && !isBaked(over, done) ? [edge] : [];
    });
    return { ...one, after: [...one.after, ...stillBefore(one, tasks, done), ...asked] };
  };
  return { ...work, tasks: work.tasks.map(task), milestones: work.milestones.map((one) => fromLatest(one, work, done)) };
}

/** What hardens last on a place, does so from the film that was laid, or mended, last there. */
function fromLatest(one: Milestone, { tasks }: Work, done: ReadonlyMap<string, number>): Milestone {
  const end = done.get(one.task);
  const zones = tasks.find(({ id }) => id === one.task)?.zones ?? [];
  if (end === undefined) return one;
  const latest = tasks
    .filter(({ id, touch, zones: own }) => touch !== undefined && (done.get(id) ?? -Infinity) > end && own.some((zone) => zones.includes(zone)))
    .reduce<Task | null>((last, task) => (last && done.get(last.id)! >= done.get(task.id)! ? last : task), null);
  return latest ? { ...one, task: latest.id } : one;
}
