import { useRef } from "react";

/**
 * A value that is stepped faster than the plan comes back with it: each press counts on from the one before, not from what is still shown.
 *
 * @param shown the value in the plan on screen
 * @returns steps it by a difference and gives the new value
 */
export function useRunningValue(shown: number): (by: number) => number {
  /** What was shown when the presses began, and what each asked for since. */
  const asked = useRef<number[]>([]);
  return (by) => {
    const answered = asked.current.at(-1) === shown || !asked.current.includes(shown);
    if (answered) asked.current = [shown];
    const next = asked.current.at(-1)! + by;
    asked.current.push(next);
    return next;
  };
}
