import { onAct, takeBack } from "./command";
import type { Act } from "./command";
import { announceChange, notebook } from "./open.client";

/** Acts kept to be taken back; older ones are let go. */
const MOST_ACTS = 200;

export interface HistoryState {
  readonly undo: string | null;
  readonly redo: string | null;
}

let past: readonly Act[] = [];
let future: readonly Act[] = [];
let state: HistoryState = { undo: null, redo: null };
const watchers = new Set<() => void>();

function changed(): void {
  state = { undo: past.at(-1)?.label ?? null, redo: future.at(-1)?.label ?? null };
  for (const watcher of watchers) watcher();
}

onAct((act) => {
  past = [...past, act].slice(-MOST_ACTS);
  future = [];
  changed();
});

export function historyState(): HistoryState {
  return state;
}

export function watchHistory(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/**
 * Takes back what was done last, or does it again.
 *
 * @returns what to say of it; null when there is nothing
 */
export async function step(direction: "undo" | "redo"): Promise<string | null> {
  const from = direction === "undo" ? past : future;
  const act = from.at(-1);
  if (!act) return null;
  const reversed = await takeBack(await notebook(), act);
  if (direction === "undo") {
    past = past.slice(0, -1);
    if (reversed) future = [...future, reversed];
  } else {
    future = future.slice(0, -1);
    if (reversed) past = [...past, reversed];
  }
  changed();
  announceChange();
  if (!reversed) return `This could not be taken back: something else has changed ${act.label} since`;
  return direction === "undo" ? `Taken back: ${act.label}` : `Done again: ${act.label}`;
}
