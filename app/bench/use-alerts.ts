import { useEffect, useRef } from "react";
import type { Bench } from "#core/logbook/bench/bench";
import type { TimerRecord } from "#core/formats/stores/timers";
import { useAppContext } from "~/components/app-context";
import type { OnBench } from "./bench-loaded.client";

const alerts = () => import("./alerts.client");

/** The bench as it was looked at. */
interface Looked {
  readonly now: number;
  readonly alone: Bench["alone"];
}

/** What ended between two looks, in words. */
function ended(bench: Bench, timers: readonly TimerRecord[], pieces: readonly OnBench[], { now: before, alone }: Looked, now: number): readonly string[] {
  const names = new Map(pieces.map(({ id, name }) => [id, name]));
  const free = alone
    .filter(({ piece, until }) => until <= now && !bench.alone.some((one) => one.piece === piece && one.until > now))
    .map(({ piece }) => `${names.get(piece) ?? "A piece"} may be touched`);
  const over = timers.filter(({ until }) => Date.parse(until) > before && Date.parse(until) <= now).map(({ label }) => label);
  return [...new Set([...free, ...over])];
}

/** Says aloud, sounds and shows, as it is wished, when a wait or a timer has ended while the page was open. */
export function useAlerts(bench: Bench, timers: readonly TimerRecord[], pieces: readonly OnBench[], now: number): void {
  const { settings, announce } = useAppContext();
  const looked = useRef<Looked>({ now, alone: bench.alone });
  useEffect(() => {
    const words = ended(bench, timers, pieces, looked.current, now);
    looked.current = { now, alone: bench.alone };
    void alerts().then(({ keepEnds }) => keepEnds([...bench.alone.map(({ until }) => until), ...timers.map(({ until }) => Date.parse(until))]));
    if (words.length === 0) return;
    const text = words.join("; ");
    announce(text);
    if (!settings.sounds && !settings.notify) return;
    void alerts().then(({ chime, isFirstToTell, showNote }) => {
      if (!isFirstToTell(text + String(Math.floor(now / 60_000)))) return;
      if (settings.sounds) chime();
      if (settings.notify) void showNote(text);
    });
  }, [bench, timers, pieces, now, settings.sounds, settings.notify, announce]);
}

/** Keeps the screen on while the Bench is in sight, where that is wished and the device can. */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted) return;
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const hold = () => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      navigator.wakeLock.request("screen").then(
        (held) => {
          if (left) void held.release();
          else lock = held;
        },
        // Little battery: the device would rather sleep.
        () => undefined,
      );
    };
    hold();
    // A page that was out of sight has lost it.
    document.addEventListener("visibilitychange", hold);
    return () => {
      left = true;
      document.removeEventListener("visibilitychange", hold);
      void lock?.release();
    };
  }, [wanted]);
}
