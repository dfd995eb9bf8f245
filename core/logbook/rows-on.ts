import type { StepId } from "../catalogue/ids";
import type { Step } from "../coating/model/step";
import type { StepState } from "./coat-states";

/** Rows of marks of which every step is on: each colour of a row is a step of its own. */
export function rowsOn(steps: readonly Pick<Step, "id" | "rows">[], states: ReadonlyMap<StepId, StepState>): ReadonlySet<string> {
  const open = new Set<string>();
  const on = new Set<string>();
  for (const { id, rows = [] } of steps) {
    const state = states.get(id)?.state;
    for (const row of rows) (state === "done" || state === "wet" ? on : open).add(row.id);
  }
  return new Set([...on].filter((row) => !open.has(row)));
}
