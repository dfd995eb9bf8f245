import { taskId } from "../coating/facts/task";
import type { Work } from "../coating/facts/task";
import type { ToldAct } from "../coating/explain/told-acts";
import type { Dates } from "./date-work";

/** A coat on its day. */
export interface CoatDate {
  readonly coat: number;
  readonly half?: "first" | "second";
  /** Instant, ms. */
  readonly from: number;
}

/** What is known of when a piece is worked at. */
export interface Dated {
  readonly work: Work | null;
  /** Of its own, in the free hours; null where it cannot be dated. */
  readonly own: Dates | null;
  /** Dates that stand in the calendar, by task. */
  readonly standing: ReadonlyMap<string, number>;
  /** Instant, ms: dates before it have slipped. */
  readonly now: number;
}

/**
 * When each coat of an act is laid: as the calendar of all pieces has it where its dates stand, else as the piece's own free hours have it.
 *
 * @returns each coat once a sitting, or each half of it where they are laid in several, in order; none where nothing can be dated, or it is done
 */
export function coatDates({ stepIds }: Pick<ToldAct, "stepIds">, { work, own: dates, standing, now }: Dated): readonly CoatDate[] {
  const ids = new Set<string>(stepIds);
  const isStanding = [...standing.values()].some((at) => at >= now);
  const own = new Map((dates?.items ?? []).filter(({ part = 1 }) => part === 1).map(({ task, from }) => [task.id, from]));
  const found = new Map<string, CoatDate>();
  for (const { id, stepId, coat, half } of work?.tasks ?? []) {
    const from = isStanding ? standing.get(id) : own.get(id);
    if (!ids.has(stepId) || from === undefined || from < now) continue;
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
