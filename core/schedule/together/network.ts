import type { Edge, Task, Work } from "../../coating/facts/task";
import { waitedFrom } from "../drying-clock";
import type { ClockOf, DryingClock } from "../drying-clock";
import { LEAST_PART_MIN, MS_PER_MIN } from "../free-hours";
import { loadsOf } from "./loads";
import type { Load, Places } from "./loads";

/** One piece (or one batch of pieces alike) with the work that is to be done on it. */
export interface PieceWork {
  readonly id: string;
  readonly work: Work;
  /** Pieces in the batch. */
  readonly count: number;
  /** Acts with the same word are best done one after the other: the same paint in the same brush. */
  readonly likeOf: (task: Task) => string;
  /** Instant, ms, by which it must be ready to be handled; null: no hurry. */
  readonly due: number | null;
  /** Tasks that are done: when each ended, ms. */
  readonly done: ReadonlyMap<string, number>;
  /** Instant, ms, before which nothing is done on it; absent: any time. */
  readonly from?: number;
  /** Tasks the user has put into a sitting: its begin, ms. Nothing of them is done before, and they go first in it. */
  readonly held?: ReadonlyMap<string, number>;
  /** When tasks were to begin as the dates were agreed on, ms: they stay in the sitting that falls into as long as they can, in that order. */
  readonly agreed?: ReadonlyMap<string, number>;
  /** It is to be put right before anything else is done on it, from this instant on, ms: nothing of it is done before the sitting after that. */
  readonly spoilt?: number;
  /** Tasks that hands are on: they go on before anything else, but for what the user has put into a sitting since. */
  readonly begun?: ReadonlySet<string>;
}

/** How long after its end something may be done, and the clock that goes by; null: the clock on the wall. */
export interface After {
  readonly waitMs: number;
  readonly clock: DryingClock | null;
}

/** What has to have happened for a piece to be ready, by its place in the network. */
export interface Readiness extends After {
  readonly node: number;
}

/** What has to have happened before, by its place in the network. */
export interface Arc extends After {
  readonly from: number;
  /** After its end the window shuts, and opens again; Infinity: it stays open. */
  readonly closesMs: number;
  readonly reopensMs: number;
}

/** One task of one piece. */
export interface Node {
  readonly piece: number;
  /** What of a batch goes together has one number, and so many pieces. */
  readonly load: number;
  readonly count: number;
  /** So long it is in the oven or the kiln, from its begin, ms; 0: not at all. */
  readonly ovenMs: number;
  /** Nothing may touch it after its end until all of these are over: what comes next of it may be done, or it may be handled. */
  readonly dries: readonly After[];
  /** How long what it lays is wet to the touch; null of what leaves no film. */
  readonly touch: After | null;
  readonly task: Task;
  readonly ms: number;
  /** It may be broken off at multiples of this, ms; Infinity: it is done in one go. */
  readonly breakMs: number;
  /** It is to be done in one go, and no sitting is as long: it is broken off all the same. */
  readonly tooLong: boolean;
  readonly like: string;
  readonly arcs: readonly Arc[];
  readonly next: readonly number[];
  /** Work and waits that hang on it until its piece may be handled, ms, its own work not counted. */
  readonly tailMs: number;
  /** The same with each wait as short as it can be, whenever it begins. */
  readonly leastTailMs: number;
  /** From its begin until the next coat is on, where a window may shut before: they go into one sitting; else its own work. */
  readonly goMs: number;
  /** Not before this instant, ms; -Infinity: any time. */
  readonly from: number;
  /** The sitting the user has put it into, ms; null: none. */
  readonly held: number | null;
  /** When it was to begin by the dates that were agreed on, ms; null: it is in none. */
  readonly agreed: number | null;
  /** Hands are on it, and nobody has put it off since. */
  readonly begun: boolean;
  /** When it ended, where it is done. */
  readonly endedAt: number | null;
}

/** All pieces' tasks as one network, each piece's in its working order. */
export interface Network {
  readonly pieces: readonly PieceWork[];
  readonly nodes: readonly Node[];
  /** What has to be over for each piece to be handled: the node, and how long after its end, ms. */
  readonly ready: readonly (readonly Readiness[])[];
  readonly cured: readonly (readonly Readiness[])[];
}

/**
 * When a task's piece may be touched again.
 *
 * @param end of the task, ms
 * @returns ms; its end where nothing has to dry
 */
export function dryAt({ dries }: Pick<Node, "dries">, end: number): number {
  return dries.reduce((at, { waitMs, clock }) => Math.max(at, waitedFrom(end, waitMs, clock)), end);
}

/** The shortest a wait can be, whenever it begins, ms. */
export function leastWaitMs({ waitMs, clock }: After): number {
  return clock ? clock.leastMs(waitMs) : waitMs;
}

/** Hands-on time is counted in whole minutes, at least this many. */
const LEAST_TASK_MIN = 1;
/** A window that shuts within this is one that has to be met in the same sitting, ms. */
const SOON_MS = 12 * 60 * MS_PER_MIN;
/** A piece that takes longer than this may be left half done, minutes. */
const LONG_PIECE_MIN = 60;

/**
 * Where a task may be broken off: a batch between two of its pieces, unless one alone is an evening's work; one piece anywhere, if at all. What is to be done
 * in one go and fits no sitting is broken off all the same.
 */
function breaksOf(count: number, { breaks }: Task, min: number, longestMs: number): Pick<Node, "breakMs" | "tooLong"> {
  const each = min / count;
  const between = each * Math.max(1, Math.ceil(LEAST_PART_MIN / each));
  const inPieces = count > 1 && (!breaks || each <= LONG_PIECE_MIN);
  const least = inPieces ? between : breaks ? LEAST_PART_MIN : Infinity;
  const go = Math.min(least, min) * MS_PER_MIN;
  if (go > longestMs) return { breakMs: Math.min(LEAST_PART_MIN * MS_PER_MIN, longestMs), tooLong: true };
  return { breakMs: least >= min ? Infinity : least * MS_PER_MIN, tooLong: false };
}

function arcOf(from: number, { typicalMin, cautiousMin, closesMin = Infinity, reopensMin = 0 }: Edge, careful: boolean, clock: DryingClock | null): Arc {
  return { from, waitMs: (careful ? cautiousMin : typicalMin) * MS_PER_MIN, closesMs: closesMin * MS_PER_MIN, reopensMs: reopensMin * MS_PER_MIN, clock };
}

function touchOf({ touch }: Task, careful: boolean, clock: DryingClock | null): After | null {
  return touch ? { waitMs: (careful ? touch.cautiousMin : touch.typicalMin) * MS_PER_MIN, clock } : null;
}

/** Two ties between the same tasks are one: the longer wait, and the window that shuts first. */
function tighter(one: Arc, other: Arc | undefined): Arc {
  if (!other) return one;
  const [first, second] = one.closesMs <= other.closesMs ? [one, other] : [other, one];
  const longer = second.waitMs > first.waitMs ? second : first;
  return { ...first, waitMs: longer.waitMs, clock: longer.clock };
}

/** Whether anything dries otherwise by night. */
function clocked(drafts: readonly { readonly arcs: readonly After[] }[], ready: readonly (readonly After[])[]): boolean {
  return drafts.some(({ arcs }) => arcs.some(({ clock }) => clock !== null)) || ready.some((all) => all.some(({ clock }) => clock !== null));
}

/** What a network is made for. */
export interface NetworkOptions {
  /** Wait as a careful painter does. */
  readonly careful?: boolean;
  readonly places?: Places;
  /** How drying goes on by day and by night in each piece's room. */
  readonly clockOf?: ClockOf;
  /** The longest sitting there is, ms. */
  readonly longestMs?: number;
}

/** Ties the work of all pieces into one network. */
export function networkOf(
  pieces: readonly PieceWork[],
  { careful = false, places: room = {}, clockOf = () => null, longestMs = Infinity }: NetworkOptions = {},
): Network {
  const loads = pieces.flatMap((piece, index) => loadsOf(piece, index, room));
  const places = new Map<string, number>();
  for (const { key, piece } of loads) for (const task of piece.work.tasks) places.set(`${key}/${task.id}`, places.size);
  const at = (load: Load<PieceWork>, task: string) => places.get(`${load.key}/${task}`);
  const drafts = loads.flatMap((load, number) =>
    load.piece.work.tasks.map((task) => {
      const { piece, index, count } = load;
      const min = Math.max(LEAST_TASK_MIN, Math.ceil((task.handsOnMin * count) / piece.count));
      const arcs = new Map<number, Arc>();
      for (const edge of task.after) {
        const from = at(load, edge.task);
        if (from !== undefined) arcs.set(from, tighter(arcOf(from, edge, careful, clockOf(edge.by, piece.work.room)), arcs.get(from)));
      }
      const like = piece.likeOf(task);
      const held = piece.held?.get(task.id) ?? null;
      const begun = held === null && piece.spoilt === undefined && (piece.begun?.has(task.id) ?? false);
      return {
        piece: index,
        load: number,
        count,
        ovenMs: ((careful ? task.oven?.cautiousMin : task.oven?.typicalMin) ?? 0) * MS_PER_MIN,
        task,
        touch: touchOf(task, careful, clockOf(task.touch?.by, piece.work.room)),
        ms: min * MS_PER_MIN,
        ...breaksOf(count, task, min, longestMs),
        like,
        arcs: [...arcs.values()],
        begun,
        from: begun ? -Infinity : Math.max(piece.from ?? -Infinity, held ?? -Infinity),
        held,
        agreed: begun ? null : (piece.agreed?.get(task.id) ?? null),
        endedAt: piece.done.get(task.id) ?? null,
      };
    }),
  );
  const next = drafts.map((): number[] => []);
  for (const [index, { arcs }] of drafts.entries()) for (const { from } of arcs) next[from]!.push(index);
  const after = (pick: "handle" | "cured") =>
    pieces.map((piece, index): readonly Readiness[] => [
      ...piece.work.milestones.flatMap((one) =>
        loads.flatMap((load) => {
          const node = load.piece === piece ? at(load, one.task) : undefined;
          const waitMs = (careful ? one[pick].cautiousMin : one[pick].typicalMin) * MS_PER_MIN;
          return node === undefined ? [] : [{ node, waitMs, clock: clockOf(one.by, piece.work.room) }];
        }),
      ),
      // What nothing hangs on has to be over too.
      ...[...drafts.keys()].filter((node) => drafts[node]!.piece === index && next[node]!.length === 0).map((node) => ({ node, waitMs: 0, clock: null })),
    ]);
  const ready = after("handle");
  const afters: After[][] = drafts.map(() => []);
  for (const { node, ...wait } of ready.flat()) if (wait.waitMs > 0) afters[node]!.push(wait);
  for (const { arcs } of drafts) for (const { from, waitMs, clock } of arcs) afters[from]!.push({ waitMs, clock });
  /** Work and waits that hang on each task. */
  const tailsBy = (msOf: (after: After) => number): Float64Array => {
    const tails = new Float64Array(drafts.length).fill(NaN);
    const ends = new Float64Array(drafts.length);
    for (const { node, ...wait } of ready.flat()) ends[node] = Math.max(ends[node]!, msOf(wait));
    const tail = (index: number): number => {
      if (!Number.isNaN(tails[index])) return tails[index]!;
      tails[index] = 0;
      let longest = ends[index]!;
      for (const follower of next[index]!)
        for (const arc of drafts[follower]!.arcs) if (arc.from === index) longest = Math.max(longest, msOf(arc) + drafts[follower]!.ms + tail(follower));
      return (tails[index] = longest);
    };
    for (const index of drafts.keys()) tail(index);
    return tails;
  };
  const tails = tailsBy(({ waitMs }) => waitMs);
  const leastTails = clocked(drafts, ready) ? tailsBy(leastWaitMs) : tails;
  /** From the begin of a task to the end of the coat that has to follow it while its window is open. */
  const go = (index: number): number => {
    const { ms } = drafts[index]!;
    const tied = next[index]!.flatMap((follower) =>
      drafts[follower]!.arcs.filter(({ from, closesMs }) => from === index && closesMs < SOON_MS).map(({ waitMs }) => ms + waitMs + go(follower)),
    );
    return Math.max(ms, ...tied);
  };
  return {
    pieces,
    ready,
    cured: after("cured"),
    nodes: drafts.map((draft, index) => ({
      ...draft,
      next: next[index]!,
      tailMs: tails[index]!,
      leastTailMs: leastTails[index]!,
      goMs: go(index),
      dries: afters[index]!.filter(({ waitMs }) => waitMs > 0),
    })),
  };
}
