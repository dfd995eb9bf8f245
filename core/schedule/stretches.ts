import type { ZoneId } from "../catalogue/vocabulary";
import type { DatedTask } from "./together/one-piece";
import { MS_PER_MIN } from "./free-hours";

/** A stretch of one act: the same coat, one place after another, with no break between. */
export interface Stretch {
  /** Of its act; undefined for what is in none. */
  readonly number: number | undefined;
  /** Its first piece of work. */
  readonly item: DatedTask;
  readonly to: number;
  readonly zones: readonly ZoneId[];
}

/**
 * Dated work as it is told: a coat that is laid in one place after another is one line.
 *
 * @param items of one day, in order
 * @param numbers of their acts, by step
 */
export function stretchesOf(items: readonly DatedTask[], numbers: ReadonlyMap<string, number>): readonly Stretch[] {
  const told: Stretch[] = [];
  for (const item of items) {
    const number = numbers.get(item.task.stepId);
    const before = told.at(-1);
    const goesOn =
      before !== undefined &&
      number !== undefined &&
      before.number === number &&
      before.item.task.coat === item.task.coat &&
      before.item.task.half === item.task.half &&
      item.from <= before.to + MS_PER_MIN &&
      !item.part &&
      !item.windowShut;
    if (goesOn) told[told.length - 1] = { ...before, to: item.to, zones: [...new Set([...before.zones, ...item.task.zones])] };
    else told.push({ number, item, to: item.to, zones: item.task.zones });
  }
  return told;
}
