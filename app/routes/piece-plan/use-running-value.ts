import { useEffect, useRef } from "react";

/**
 * A value that is stepped faster than the plan comes back with it: each press counts on from the one before, not from what is still shown.
 *
 * @param shown the value in the plan on screen
 * @param least the value it does not go under
 * @param most the value it does not go over
 * @returns steps it by a difference and gives the new value
 */
export function useRunningValue(shown: number, least: number, most: number): (by: number) => number {
  /** What was shown when the presses began, and what each asked for since. */
  const asked = useRef<number[]>([]);
  useEffect(() => {
    // The last press is answered; what is shown from now on, undone or changed elsewhere, is where the next one begins.
    if (asked.current.at(-1) === shown) asked.current = [];
  }, [shown]);
  return (by) => {
    if (!asked.current.includes(shown)) asked.current = [shown];
    const next = Math.min(most, Math.max(least, asked.current.at(-1)! + by));
    asked.current.push(next);
    return next;
  };
}
