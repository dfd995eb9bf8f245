import { useMemo } from "react";
import { benchOf } from "#core/logbook/bench/bench";
import type { Bench } from "#core/logbook/bench/bench";
import type { TimerRecord } from "#core/formats/stores/timers";
import { useNowAt } from "~/components/use-now-at";
import type { OnBench } from "./bench-loaded.client";

/** What was noted just now is not later than the page's own time, ms. */
const JUST_NOW_MS = 60_000;

const lastNote = (pieces: readonly OnBench[]) => Math.max(0, ...pieces.map(({ progress }) => Date.parse(progress.at(-1)?.at ?? "") || 0));

/** The bench as it stands, told anew the moment something on it changes. */
export function useBench(pieces: readonly OnBench[], timers: readonly TimerRecord[]): { readonly bench: Bench; readonly now: number } {
  const last = useMemo(() => lastNote(pieces), [pieces]);
  const timed = (now: number) => (last > now && last - now < JUST_NOW_MS ? last : now);
  const told = useNowAt((now) => {
    const ends = timers.map(({ until }) => Date.parse(until)).filter((at) => at > now);
    const { changes } = benchOf(pieces, timed(now));
    const all = [...ends, ...(changes === null ? [] : [changes])];
    return all.length > 0 ? Math.min(...all) : null;
  });
  const now = timed(told);
  return { bench: useMemo(() => benchOf(pieces, now), [pieces, now]), now };
}
