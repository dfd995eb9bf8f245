import type { Change } from "./change";

/** What a change of a plan sets, so that two that set the same can be told: a field of a step, its place, or whether it is there. */
export function targetOf(change: Change): string {
  if (change.op === "set") return `${change.stepId}.${change.field}`;
  if (change.op === "remove" || change.op === "move") return `${change.stepId}:${change.op}`;
  return change.op === "setPiece" ? change.path : "";
}

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/** Whether two changes cannot both stand: they set the same, or one leaves out what the other changes. */
function meet(one: Change, other: Change): boolean {
  if (!("stepId" in one) || !("stepId" in other) || one.stepId !== other.stepId) return false;
  return one.op === "remove" || other.op === "remove" || targetOf(one) === targetOf(other);
}

/**
 * Changes of a plan that meet others which were made meanwhile, and which whoever made them could not know.
 *
 * @param mine changes to be made
 * @param known changes of the plan as the screen showed it
 * @param current changes of the plan as it stands
 * @param isOwn whether a change was made on the same screen
 * @returns those of mine that clash
 */
export function editClashes(
  mine: readonly Change[],
  known: readonly Change[],
  current: readonly Change[],
  isOwn: (change: Change) => boolean = () => false,
): readonly Change[] {
  return mine.filter((change) => {
    const theirs = current.findLast((one) => meet(one, change));
    return theirs !== undefined && !same(theirs, change) && !known.some((one) => same(one, theirs)) && !isOwn(theirs);
  });
}
