import { useMemo } from "react";
import { benchOf } from "#core/logbook/bench/bench";
import type { Bench } from "#core/logbook/bench/bench";
import { datesFrom, orderOf } from "#core/logbook/bench/order";
import type { TimerRecord } from "#core/formats/stores/timers";
import { handsFor } from "~/calendar/hands";
import type { Common } from "~/calendar/hands";
import { timeZoneHere } from "~/components/time-zone";
import { useAt, useExactNow } from "~/components/use-exact-now";
import type { BenchLoaded, OnBench } from "./bench-loaded.client";

/** What was noted just now is not later than the page's own time, ms. */
const JUST_NOW_MS = 60_000;

/** The last thing that was noted, or set, on the bench: instant, ms. */
const lastNote = (pieces: readonly OnBench[], timers: readonly TimerRecord[]) =>
  Math.max(0, ...pieces.map(({ progress }) => Date.parse(progress.at(-1)?.at ?? "") || 0), ...timers.map(({ from }) => Date.parse(from) || 0));

/** The order of what is done next, from an instant on, ms: the one the calendar begins with. */
export const orderFrom = (pieces: readonly OnBench[], from: number, common: Common) => orderOf(pieces, from, handsFor(pieces, common), common.hours.timeZone);

/** The bench as it stands, told anew the moment something on it changes. */
export function useBench(
  pieces: readonly OnBench[],
  { common, timers }: Pick<BenchLoaded, "common" | "timers">,
): { readonly bench: Bench; readonly now: number } {
  const [told, look] = useExactNow();
  const last = useMemo(() => lastNote(pieces, timers), [pieces, timers]);
  const now = last > told && last - told < JUST_NOW_MS ? last : told;
  const from = datesFrom(now);
  // The order stays still for a quarter of an hour, as the dates do.
  const order = useMemo(() => orderFrom(pieces, from, common), [pieces, from, common]);
  const bench = useMemo(() => benchOf(pieces, now, timeZoneHere(), order), [pieces, now, order]);
  const ends = [...timers.map(({ until }) => Date.parse(until)), bench.changes ?? Infinity].filter((at) => at > now);
  const next = Math.min(...ends);
  useAt(Number.isFinite(next) ? next : null, look);
  return { bench, now };
}
