import { differenceInCalendarDays } from "date-fns";
import type { Menu } from "#core/catalogue/menu";
import type { Go } from "#core/logbook/bench/go";
import type { LeftAlone } from "#core/logbook/bench/bench";
import { sayDay, sayTime } from "~/components/time-words";
import { coatWords, stepTitle, zoneNames } from "~/components/words";
import type { OnBench } from "./bench-loaded.client";

/** Which coat of it, or which half: "coat 1 of 2"; "" where there is only one. */
export function goCoat({ act, coat, half }: Go): string {
  return coatWords(coat, half, act.step.coats);
}

/** What is done, in the painter's words, one coat of it: "Base colour: Harbour navy, coat 1 of 2". */
export function goTitle(go: Go, menu: Menu): string {
  return [stepTitle(go.act.step, menu, false), goCoat(go)].filter(Boolean).join(", ");
}

/** Where it is done: "all over", "rim and saucer". */
export function actPlaces({ zones }: Pick<Go, "zones">, { shown }: Pick<OnBench, "shown">): string {
  return zones.length >= shown.zones.length ? "all over" : zoneNames(zones).toLowerCase();
}

/** A day that is nearer than this is said, ms. */
const NEAR_MS = 14 * 24 * 60 * 60_000;

/**
 * The day a piece is needed, where that is near or past: "needed Friday", "was needed yesterday".
 *
 * @param now instant, ms
 * @returns null where nobody has said, or it is more than a fortnight off
 */
export function neededWords({ due }: Pick<OnBench, "due">, now: number): string | null {
  if (due === null || due - now > NEAR_MS) return null;
  return `${differenceInCalendarDays(due, now) < 0 ? "was needed" : "needed"} ${sayDay(due, now)}`;
}

/** What something was put off to: its day, or its time where that is today. */
export function sayPutOff(putOff: number, now: number): string {
  return differenceInCalendarDays(putOff, now) === 0 ? sayTime(putOff) : sayDay(putOff, now);
}

/** What must not be touched of a piece: "wet on the rim", "drying through". */
export function aloneWords({ wet, partly, dry }: Pick<LeftAlone, "wet" | "partly" | "dry">, { shown, count }: Pick<OnBench, "shown" | "count">): string {
  if (wet.length === 0) return "drying through";
  const where = wet.length >= shown.zones.length ? "wet all over" : `wet: ${zoneNames(wet).toLowerCase()}`;
  if (dry !== undefined) return `${where}; the first ${dry} of ${count} may be turned`;
  return partly ? `${where}; the rest may be touched` : where;
}
