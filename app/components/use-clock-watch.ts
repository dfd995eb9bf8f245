import { useEffect, useState } from "react";
import { laterThanNow } from "#core/logbook/noted-times";
import { useNow } from "./use-now";

const KEY = "nook-coat-clock";

function shownBefore(): number {
  try {
    const at = Number(localStorage.getItem(KEY));
    return Number.isFinite(at) ? at : 0;
  } catch {
    return 0;
  }
}

function remember(at: number): void {
  try {
    localStorage.setItem(KEY, String(at));
  } catch {
    // A device that remembers nothing tells of nothing after a reload.
  }
}

export interface ClockWatch {
  /** Instant, ms. */
  readonly now: number;
  /** The latest the clock has shown here, where it now stands well before it; null where it does not. */
  readonly shown: number | null;
  /** The user says that it is right now. */
  readonly setRight: () => void;
}

/** Watches the clock, over reloads too: one that is set back is told of, for waits are counted from it. */
export function useClockWatch(): ClockWatch {
  const now = useNow();
  const [latest, setLatest] = useState(shownBefore);
  if (now > latest) setLatest(now);
  useEffect(() => remember(latest), [latest]);
  return { now, shown: laterThanNow([latest], now), setRight: () => setLatest(now) };
}
