import { taskId } from "../coating/facts/task";
import type { ToldAct } from "../coating/explain/told-acts";
import type { Dates } from "./together/one-piece";

/** A coat on its day. */
export interface CoatDate {
  readonly coat: number;
  readonly half?: "first" | "second";
  /** Instant, ms. */
  readonly from: number;
}

/**
 * When each coat of an act is laid.
 *
 * @param dates of the piece; null where it cannot be dated
 * @param now instant, ms: what lies before it is left out
 * @returns each coat once a sitting, or each half of it where they are laid in several, in order; none where nothing can be dated, or it is done
 */
export function coatDates({ stepIds }: Pick<ToldAct, "stepIds">, dates: Pick<Dates, "items"> | null, now: number): readonly CoatDate[] {
  const ids = new Set<string>(stepIds);
  const found = new Map<string, CoatDate>();
  for (const { task, from, part = 1 } of dates?.items ?? []) {
    const { stepId, coat, half } = task;
    if (!ids.has(stepId) || from < now || part > 1) continue;
    const key = taskId("", coat, half);
    const before = found.get(key);
    if (!before || from < before.from) found.set(key, { coat, ...(half ? { half } : {}), from });
  }
  return bySitting([...found.values()].sort((a, b) => a.from - b.from));
}

/** Halves and places of one coat nearer than this are laid in one sitting, ms. */
const ONE_SITTING_MS = 12 * 3_600_000;

/** A coat whose halves are laid in one sitting is told once, by its begin. */
function bySitting(dates: readonly CoatDate[]): readonly CoatDate[] {
  const told: CoatDate[] = [];
  for (const date of dates) {
    const at = told.findIndex(({ coat, from }) => coat === date.coat && date.from - from < ONE_SITTING_MS);
    if (at < 0) told.push(date);
    else told[at] = { coat: date.coat, from: told[at]!.from };
  }
  return told;
}
