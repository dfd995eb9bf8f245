import type { Edge, Milestone, Task, Work } from "./task";

/**
 * Work where something is on the piece: each task waits for the films on its place as they are there now, in whatever order they were laid, and
 * by whomever; and for what is to be laid beneath it yet.
 *
 * @param done tasks that are done, by id
 */
export function overWhatIsOn(work: Work, done: ReadonlyMap<string, number>): Work {
  if (done.size === 0) return work;
  const task = (one: Task): Task => {
    // What is on already waits for nothing that is not: that goes over it now.
    if (done.has(one.id)) return { ...one, after: one.after.filter((edge) => done.has(edge.task)) };
    if (!one.over || one.over.length === 0) return one;
    const asked = one.over.flatMap(({ ordered, heats, ...edge }): readonly Edge[] => {
      const laid = done.get(edge.task);
      // A bake that is still to come lies between; one that was before it has nothing to do with it.
      const isBaked = heats.some((heat) => heat !== one.id && (done.get(heat) ?? Infinity) >= (laid ?? -Infinity) && (ordered || done.has(heat)));
      return isBaked || !(ordered || laid !== undefined) ? [] : [edge];
    });
    return { ...one, after: [...one.after, ...asked] };
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
