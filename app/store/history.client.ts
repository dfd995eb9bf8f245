import { onCommand, takeBack } from "./command";
import type { Command } from "./command";
import { announceChange, database } from "./open.client";
import { allWritten } from "./write-queue";

/** Commands kept to be taken back; older ones are let go. */
const MOST_COMMANDS = 200;

export interface HistoryState {
  readonly undo: string | null;
  readonly redo: string | null;
}

let past: readonly Command[] = [];
let future: readonly Command[] = [];
let state: HistoryState = { undo: null, redo: null };
const watchers = new Set<() => void>();

function changed(): void {
  state = { undo: past.at(-1)?.label ?? null, redo: future.at(-1)?.label ?? null };
  for (const watcher of watchers) watcher();
}

onCommand((command) => {
  past = [...past, command].slice(-MOST_COMMANDS);
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
  await allWritten();
  const from = direction === "undo" ? past : future;
  const command = from.at(-1);
  if (!command) return null;
  const reversed = await takeBack(await database(), command);
  if (direction === "undo") {
    past = past.slice(0, -1);
    if (reversed) future = [...future, reversed];
  } else {
    future = future.slice(0, -1);
    if (reversed) past = [...past, reversed];
  }
  changed();
  announceChange();
  if (!reversed) return `This could not be taken back: something else has changed ${command.label} since`;
  return direction === "undo" ? `Taken back: ${command.label}` : `Done again: ${command.label}`;
}
