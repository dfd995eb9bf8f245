import { useSyncExternalStore } from "react";

/** How far the calendar is: pieces looked through, then orders of the work tried. */
export interface Looking {
  readonly what: "pieces" | "orders";
  readonly done: number;
  readonly of: number;
}

let now: Looking | null = null;
const watchers = new Set<() => void>();

/** @param looking null: it has ended */
export function toldLooking(looking: Looking | null): void {
  now = looking;
  for (const told of watchers) told();
}

function watch(told: () => void): () => void {
  watchers.add(told);
  return () => watchers.delete(told);
}

/** How far it is; null when nothing is looked for. */
export function useLooking(): Looking | null {
  return useSyncExternalStore(
    watch,
    () => now,
    () => null,
  );
}
