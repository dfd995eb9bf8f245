import { taskId } from "../coating/facts/task";

/** What of a progress record says that something was done. */
interface Happened {
  readonly stepId: string;
  readonly coat: number;
  readonly half?: "first" | "second";
  readonly kind: string;
  readonly at: string;
}

/** Tasks done, by id, with the instant of each, ms; a coat that was ruined later counts as not done. */
export function doneTasks(progress: readonly Happened[]): ReadonlyMap<string, number> {
  const done = new Map<string, number>();
  for (const one of [...progress].sort((a, b) => a.at.localeCompare(b.at))) {
    const id = taskId(one.stepId, one.coat, one.half);
    if (one.kind === "done") done.set(id, Date.parse(one.at));
    if (one.kind === "ruined") done.delete(id);
  }
  return done;
}
