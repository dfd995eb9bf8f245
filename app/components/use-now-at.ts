import { useEffect, useState } from "react";
import { useNow } from "./use-now";

/** No timer runs for longer, ms; by then the page is told the time anyway. */
const LONGEST_MS = 2_000_000_000;
/** A moment after it, so that the clock is past it, ms. */
const PAST_MS = 20;

/**
 * The time, told again every so often and at the very instant something changes. Nothing is counted: what is left follows from the clock.
 *
 * @param next when something changes after an instant: instants, ms; null for never
 */
export function useNowAt(next: (now: number) => number | null): number {
  const told = useNow();
  const [exact, setExact] = useState(0);
  // A clock that was set back is followed by what tells the time.
  const now = exact - told > LONGEST_MS ? told : Math.max(told, exact);
  const at = next(now);
  useEffect(() => {
    if (at === null) return;
    const timer = setTimeout(() => setExact(Date.now()), Math.min(LONGEST_MS, Math.max(0, at - Date.now()) + PAST_MS));
    return () => clearTimeout(timer);
  }, [at]);
  return now;
}
