/** What is still to be poured for an act, and what its jar lacks of it. */
export interface Reach {
  /** mL; of the whole act once all of it is done. */
  readonly pourMl: number;
  /** mL, from 0; 0 where it is not known what is in the jar. */
  readonly missingMl: number;
}

/**
 * Whether a jar reaches for an act: what is laid already is out of it.
 *
 * @param jarMl what the whole act takes
 * @param tasks the act's coats and halves
 * @param done those that are done
 * @param leftMl what is in the jar now; undefined where that is not known, or where it comes out of several
 * @example reachOf(10, ["one", "two"], new Set(["one"]), 3) // { pourMl: 5, missingMl: 2 }
 */
export function reachOf(jarMl: number, tasks: readonly string[], done: { readonly has: (task: string) => boolean }, leftMl: number | undefined): Reach {
  const open = tasks.filter((task) => !done.has(task)).length;
  if (tasks.length > 0 && open === 0) return { pourMl: jarMl, missingMl: 0 };
  const pourMl = tasks.length === 0 ? jarMl : (jarMl * open) / tasks.length;
  return { pourMl, missingMl: leftMl === undefined ? 0 : Math.max(0, pourMl - leftMl) };
}
