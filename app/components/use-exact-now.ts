import { useEffect, useState } from "react";
import { useNow } from "./use-now";

/** No timer runs for longer, ms; by then the page is told the time anyway. */
const LONGEST_MS = 2_000_000_000;
/** A moment after it, so that the clock is past it, ms. */
const PAST_MS = 20;

/** The time, told again every so often, and whenever it is looked at: the second says that it is to be. */
export function useExactNow(): readonly [number, () => void] {
  const told = useNow();
  const [exact, setExact] = useState(0);
  const [look] = useState(() => () => setExact(Date.now()));
  // A clock that was set back is followed by what tells the time.
  return [exact - told > LONGEST_MS ? told : Math.max(told, exact), look];
}

/** Does something at an instant, ms; null for never. Nothing is counted: it is the clock that says when. */
export function useAt(at: number | null, act: () => void): void {
  useEffect(() => {
    if (at === null) return;
    const timer = setTimeout(act, Math.min(LONGEST_MS, Math.max(0, at - Date.now()) + PAST_MS));
    return () => clearTimeout(timer);
  }, [at, act]);
}
