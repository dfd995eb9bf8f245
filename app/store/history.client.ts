import { onCommand, takeBack } from "./command";
import type { Command } from "./command";
import { announceChange, database } from "./open.client";
import { allWritten } from "./write-queue";

/** Commands kept to be taken back; older ones are let go. */
const MOST_COMMANDS = 200;

export interface HistoryState {
  readonly undo: string | null;
  readonly redo: string | null;
  /** What to say of the last step, and which step it was. */
  readonly said: { readonly step: number; readonly text: string } | null;
}

let past: readonly Command[] = [];
let future: readonly Command[] = [];
let said: HistoryState["said"] = null;

onCommand((command) => {
  past = [...past, command].slice(-MOST_COMMANDS);
  future = [];
});

/** What can be taken back and done again. */
export function historyState(): HistoryState {
  return { undo: past.at(-1)?.label ?? null, redo: future.at(-1)?.label ?? null, said };
}

/** Takes back what was done last, or does it again; nothing where there is nothing. */
export async function step(direction: "undo" | "redo"): Promise<void> {
  await allWritten();
  const from = direction === "undo" ? past : future;
  const command = from.at(-1);
  if (!command) return;
  const reversed = await takeBack(await database(), command);
  if (direction === "undo") {
    past = past.slice(0, -1);
    if (reversed) future = [...future, reversed];
  } else {
    future = future.slice(0, -1);
    if (reversed) past = [...past, reversed];
  }
  announceChange();
  const text = reversed
    ? `${direction === "undo" ? "Taken back" : "Done again"}: ${command.label}`
    : `This could not be taken back: something else has changed ${command.label} since`;
  said = { step: (said?.step ?? 0) + 1, text };
}
