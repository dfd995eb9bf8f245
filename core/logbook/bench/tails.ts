import type { Work } from "../../coating/facts/task";

/**
 * The longest chain of work and waits from the begin of each task until the piece may be handled: the critical path of what is left.
 *
 * @returns minutes, by task
 */
export function tailsOf({ tasks, milestones }: Work): ReadonlyMap<string, number> {
  const followers = new Map<string, { readonly id: string; readonly waitMin: number }[]>();
  for (const { id, after } of tasks)
    for (const edge of after) followers.set(edge.task, [...(followers.get(edge.task) ?? []), { id, waitMin: edge.typicalMin }]);
  const handle = new Map(milestones.map((one) => [one.task, one.handle.typicalMin]));
  const minutes = new Map(tasks.map(({ id, handsOnMin }) => [id, handsOnMin]));
  const tails = new Map<string, number>();
  const tailOf = (id: string): number => {
    const known = tails.get(id);
    if (known !== undefined) return known;
    const after = (followers.get(id) ?? []).map((one) => one.waitMin + tailOf(one.id));
    const tail = (minutes.get(id) ?? 0) + Math.max(0, handle.get(id) ?? 0, ...after);
    tails.set(id, tail);
    return tail;
  };
  for (const { id } of tasks) tailOf(id);
  return tails;
}
