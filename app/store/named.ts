import { stepId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import { freshId } from "./fresh-id";

/** Changes in which every step that is put into a plan has a name of its own, whatever plan it is put into later: what is laid of it is known by it. */
export function named(changes: readonly Change[]): readonly Change[] {
  return changes.map((change) =>
    change.op === "add" && change.step.id === undefined
      ? { ...change, step: { ...change.step, id: stepId(`${change.zone}.${change.step.role}.${freshId().slice(0, 8)}`) } }
      : change,
  );
}
