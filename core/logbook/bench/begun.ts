import { taskId } from "../../coating/facts/task";
import type { Task, Work } from "../../coating/facts/task";
import { MS_PER_MIN } from "../../schedule/free-hours";
import type { ProgressRecord } from "../progress";
import type { BenchPiece } from "./bench-piece";

/** A coat of a batch that is under way. */
export interface Begun {
  /** Instant, ms, at which hands were laid on it. */
  readonly at: number;
  /** When each piece that has it was finished, ms, the first one first. */
  readonly ends: readonly number[];
}

/**
 * How far a coat has come that was begun and is not done.
 *
 * @param progress records of the piece, by time
 * @param tasks of the go, in all its places
 * @returns null where nobody has begun
 */
export function begunOf(progress: readonly ProgressRecord[], tasks: readonly Task[]): Begun | null {
  const own = (one: ProgressRecord) => tasks.some(({ stepId, coat, half }) => one.stepId === stepId && one.coat === coat && one.half === half);
  let begun: { at: number; ends: number[] } | null = null;
  for (const record of progress.filter(own)) {
    const at = Date.parse(record.at);
    if (record.kind !== "started") {
      begun = null;
      continue;
    }
    begun ??= { at, ends: [] };
    const { pieces = begun.ends.length } = record;
    // One that was counted too many is taken off the end again.
    begun.ends = pieces <= begun.ends.length ? begun.ends.slice(0, pieces) : [...begun.ends, ...Array.from({ length: pieces - begun.ends.length }, () => at)];
  }
  return begun;
}

/**
 * Tasks of a piece that are begun and not done, with how far each has come.
 *
 * @param progress records of the piece, by time
 */
export function begunTasks({ work, done, progress }: Pick<BenchPiece, "work" | "done" | "progress">): ReadonlyMap<string, Begun> {
  const started = new Set(progress.filter(({ kind }) => kind === "started").map(({ stepId, coat, half }) => taskId(stepId, coat, half)));
  const begun = new Map<string, Begun>();
  if (started.size === 0) return begun;
  for (const task of work.tasks) {
    if (done.has(task.id) || !started.has(task.id)) continue;
    const how = begunOf(progress, [task]);
    if (how) begun.set(task.id, how);
  }
  return begun;
}

/**
 * Work with what is left of it: a coat that many pieces of the batch have already takes the hands less long.
 *
 * @param piece with its count of pieces
 */
export function leftOfBatch(piece: Pick<BenchPiece, "work" | "done" | "progress" | "count">): Work {
  const begun = begunTasks(piece);
  if (begun.size === 0 || piece.count < 2) return piece.work;
  const left = (task: Task): Task => {
    const has = Math.min(piece.count - 1, begun.get(task.id)?.ends.length ?? 0);
    return has === 0 ? task : { ...task, handsOnMin: (task.handsOnMin * (piece.count - has)) / piece.count };
  };
  return { ...piece.work, tasks: piece.work.tasks.map(left) };
}

/**
 * When each piece of a batch got a coat that is done: those that were counted at their own time, the rest when all were.
 *
 * @param progress records of the piece, by time
 * @param count pieces of the batch
 * @returns instants, ms, the first one first; null where nobody has counted
 */
export function endsLaid(progress: readonly ProgressRecord[], task: Pick<Task, "stepId" | "coat" | "half">, count: number): readonly number[] | null {
  const own = progress.filter((one) => one.stepId === task.stepId && one.coat === task.coat && one.half === task.half);
  const at = own.findLastIndex(({ kind }) => kind === "done");
  if (at < 0) return null;
  const begun = begunOf(own.slice(0, at), [task as Task]);
  if (!begun || begun.ends.length === 0) return null;
  const done = Date.parse(own[at]!.at);
  return [...begun.ends, ...Array.from({ length: Math.max(0, count - begun.ends.length) }, () => done)].slice(0, count);
}

/** The pieces of a batch that are wet by now. */
export interface BatchClock {
  /** Pieces that may be turned, or stood on, by now. */
  readonly dry: number;
  /** When the next of them may be, ms; null where all are dry that have the coat. */
  readonly next: number | null;
  /** When the last may be, ms. */
  readonly last: number | null;
}

/**
 * Which pieces of a batch may be touched: each dries from its own end on.
 *
 * @param ends when each was finished, ms
 * @param touchDryMin until its film is dry to the touch, minutes
 * @param now instant, ms
 * @example batchClock([0, 120_000], 6, 400_000) // { dry: 1, next: 480_000, last: 480_000 }
 */
export function batchClock(ends: readonly number[], touchDryMin: number, now: number): BatchClock {
  const dries = ends.map((end) => end + touchDryMin * MS_PER_MIN).sort((a, b) => a - b);
  const wet = dries.filter((at) => at > now);
  return { dry: dries.length - wet.length, next: wet[0] ?? null, last: wet.at(-1) ?? null };
}
