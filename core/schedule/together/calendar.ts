import type { ZoneId } from "../../catalogue/vocabulary";
import type { StepId } from "../../catalogue/ids";
import { dateOf, dayLater, instantOf, MS_PER_MIN, sittingsFrom, weekdayOf } from "../free-hours";
import type { FreeHours } from "../free-hours";
import type { Stint } from "./dispatch";
import { begunAt } from "./kept-sittings";
import type { Node } from "./network";
import { overloads } from "./overload";
import type { Overload } from "./overload";
import { piecesFinished } from "./parts-done";
import type { Together } from "./schedule-all";
import { tracksOf } from "./tracks";
import type { PieceTrack } from "./tracks";

/** What of an act is done to one piece. */
export interface ActPart {
  readonly piece: string;
  /** Pieces of its batch that are finished with it in this stretch, of how many. */
  readonly count: number;
  readonly of: number;
  readonly stepId: StepId;
  readonly tasks: readonly string[];
  /** When each of them begins, ms. */
  readonly starts: readonly number[];
  readonly half?: "first" | "second";
  readonly zones: readonly ZoneId[];
}

/** The same coat on one piece after another, told as one act. */
export interface DayAct {
  /** Names it in the whole calendar. */
  readonly id: string;
  /** Instants, ms. */
  readonly from: number;
  readonly to: number;
  /** The step of its first part; the others are laid from the same paint. */
  readonly stepId: StepId;
  readonly coat: number;
  /** Which half of all its parts; each part has its own. */
  readonly half?: "first" | "second";
  readonly parts: readonly ActPart[];
  /** From 1 where it goes on over several sittings. */
  readonly part?: number;
  readonly windowShut?: true;
  /** The user has put it there. */
  readonly held?: true;
  /** It was to be done in a sitting that is past, or cannot be ready for the one it was agreed for: that sitting's begin, ms. */
  readonly movedFrom?: number;
  /** Whose hands, from 1 where another pair helps. */
  readonly hand?: number;
}

/** Free time of a day, with what is done in it. */
export interface DaySitting {
  readonly from: number;
  readonly to: number;
  readonly busyMin: number;
  readonly acts: readonly DayAct[];
}

export interface CalendarDay {
  /** "YYYY-MM-DD". */
  readonly date: string;
  readonly sittings: readonly DaySitting[];
  /** Pieces needed on this day, that may be handled from it on, and that are hard from it on. */
  readonly due: readonly string[];
  readonly ready: readonly string[];
  readonly cured: readonly string[];
}

/** Work against free hours of one week. */
export interface WeekLoad {
  /** Its Monday. */
  readonly date: string;
  readonly busyMin: number;
  readonly freeMin: number;
}

/** All pieces against the days. */
export interface Calendar {
  readonly days: readonly CalendarDay[];
  readonly tracks: readonly PieceTrack[];
  readonly weeks: readonly WeekLoad[];
  readonly overloads: readonly { readonly due: number; readonly workMin: number; readonly freeMin: number; readonly pieces: readonly string[] }[];
  /** Acts that could not stay where they were agreed. */
  readonly moved: number;
  /** When the last piece may be handled, and how much later that is than any schedule could be, minutes. */
  readonly last: number;
  readonly gapMin: number;
}

/** A task, and when it begins. */
export interface TaskBegin {
  readonly piece: string;
  readonly task: string;
  /** Instant, ms. */
  readonly at: number;
}

/** The tasks of an act. */
export function tasksIn({ parts }: Pick<DayAct, "parts">): readonly TaskBegin[] {
  return parts.flatMap(({ piece, tasks, starts }) => tasks.map((task, k) => ({ piece, task, at: starts[k]! })));
}

/** When each task begins: of what goes over several sittings, the first of them. */
export function beginsOf({ days }: Pick<Calendar, "days">): readonly TaskBegin[] {
  const found = new Map<string, TaskBegin>();
  for (const one of days.flatMap(({ sittings }) => sittings.flatMap(({ acts }) => acts.flatMap(tasksIn)))) {
    const key = `${one.piece}/${one.task}`;
    if (!found.has(key)) found.set(key, one);
  }
  return [...found.values()];
}

/** One stretch is followed by the next at once. */
const NO_BREAK_MS = MS_PER_MIN;

interface Laid {
  readonly stint: Stint;
  readonly node: Node;
}

/** Whether a stretch goes on with what the one before did: the same coat of the same paint, on the next place or the next piece. */
function goesOn(before: Laid, next: Laid, frame: Frame): boolean {
  const [one, other] = [before.node.task, next.node.task];
  return (
    before.node.like === next.node.like &&
    one.coat === other.coat &&
    (before.node.piece !== next.node.piece || one.half === undefined || other.half === undefined || one.half === other.half) &&
    (before.stint.hand ?? 0) === (next.stint.hand ?? 0) &&
    next.stint.from <= before.stint.to + NO_BREAK_MS &&
    !before.stint.part &&
    !next.stint.part &&
    !next.stint.windowShut &&
    isMoved(before, frame) === isMoved(next, frame) &&
    (before.node.held === null) === (next.node.held === null)
  );
}

/** It was put, or agreed on, for another sitting than the one it is in. */
function isMoved({ stint: { part = 1 }, node }: Laid, { begun, to }: Frame): boolean {
  const wanted = wantedOf(node);
  return wanted !== null && part === 1 && (wanted < begun || wanted >= to);
}

const wantedOf = ({ held, agreed }: Node) => held ?? agreed;

/** A sitting, with when it began: the one that is going on began before now. */
interface Frame {
  readonly begun: number;
  readonly to: number;
}

/** Parts of one piece are one. */
function partsOf(group: readonly Laid[], names: readonly string[], counts: readonly number[], finished: ReadonlyMap<Stint, number>): readonly ActPart[] {
  const parts = new Map<number, ActPart>();
  const loads = new Set<number>();
  for (const { stint, node } of group) {
    const before = parts.get(node.piece);
    parts.set(node.piece, {
      piece: names[node.piece]!,
      // Another place of the same pieces is no more pieces; another load of the batch is.
      count: (before?.count ?? 0) + (loads.has(node.load) ? 0 : finished.get(stint)!),
      of: counts[node.piece]!,
      stepId: before?.stepId ?? node.task.stepId,
      tasks: [...(before?.tasks ?? []), node.task.id],
      starts: [...(before?.starts ?? []), stint.from],
      ...((node.task.half ?? before?.half) ? { half: node.task.half ?? before!.half! } : {}),
      zones: [...new Set([...(before?.zones ?? []), ...node.task.zones])],
    });
    loads.add(node.load);
  }
  return [...parts.values()];
}

/** Stretches told as acts: the same coat on one piece after another is one. */
function actsOf(together: Together, frame: Frame, stints: readonly Stint[], finished: ReadonlyMap<Stint, number>): readonly DayAct[] {
  const { nodes, pieces } = together.network;
  const [names, counts] = [pieces.map(({ id }) => id), pieces.map(({ count }) => count)];
  const groups: Laid[][] = [];
  for (const stint of [...stints].sort((a, b) => (a.hand ?? 0) - (b.hand ?? 0) || a.from - b.from)) {
    const laid = { stint, node: nodes[stint.node]! };
    const last = groups.at(-1);
    if (last && goesOn(last.at(-1)!, laid, frame)) last.push(laid);
    else groups.push([laid]);
  }
  return groups
    .map((group): DayAct => {
      const [{ stint, node }] = group as [Laid];
      const { task } = node;
      const moved = group.find((one) => isMoved(one, frame));
      return {
        id: `${names[node.piece]!}/${task.id}/${node.load}/${stint.part ?? 0}`,
        from: stint.from,
        to: group.at(-1)!.stint.to,
        stepId: task.stepId,
        coat: task.coat,
        ...(task.half && group.every((one) => one.node.task.half === task.half) ? { half: task.half } : {}),
        parts: partsOf(group, names, counts, finished),
        ...(stint.part ? { part: stint.part } : {}),
        ...(stint.windowShut ? { windowShut: true as const } : {}),
        ...(node.held !== null ? { held: true as const } : {}),
        ...(moved ? { movedFrom: wantedOf(moved.node)! } : {}),
        ...(stint.hand ? { hand: stint.hand } : {}),
      };
    })
    .sort((a, b) => a.from - b.from);
}

function weeksOf(days: readonly CalendarDay[]): readonly WeekLoad[] {
  const weeks = new Map<string, { busyMin: number; freeMin: number }>();
  for (const { date, sittings } of days) {
    const monday = mondayOf(date);
    const week = weeks.get(monday) ?? { busyMin: 0, freeMin: 0 };
    for (const { from, to, busyMin } of sittings) {
      week.busyMin += busyMin;
      week.freeMin += (to - from) / MS_PER_MIN;
    }
    weeks.set(monday, week);
  }
  return [...weeks].map(([date, load]) => ({ date, ...load }));
}

/**
 * The Monday of a day's week.
 *
 * @param date "YYYY-MM-DD"
 * @returns "YYYY-MM-DD"
 * @example mondayOf("2026-11-29") // "2026-11-23"
 */
export function mondayOf(date: string): string {
  return dayLater(date, -weekdayOf(date));
}

const pieceNames = ({ network }: Together, { pieces, ...load }: Overload) => ({ ...load, pieces: pieces.map((index) => network.pieces[index]!.id) });

/**
 * Lays a schedule out day by day.
 *
 * @param timeZone the days are days of this zone, IANA name
 * @param start from its day on, instant, ms
 * @param least so many days at least, whether anything happens on them or not
 */
export function calendarOf(together: Together, hours: FreeHours, timeZone: string, start: number, least: number): Calendar {
  const { network, handle, cured } = together;
  const names = network.pieces.map(({ id }) => id);
  const stints = together.sittings.flatMap((one) => one.stints);
  const finished = piecesFinished(network, stints);
  const dayOf = (instant: number) => dateOf(instant, timeZone);
  const dues = network.pieces.map(({ due }) => (due === null ? null : dayOf(due)));
  const readies = handle.map(dayOf);
  const cures = cured.map(dayOf);
  const first = dayOf(start);
  const last = [dayLater(first, least - 1), ...readies, ...dues.flatMap((date) => date ?? [])].reduce((one, other) => (one > other ? one : other));
  const [now] = sittingsFrom(hours, start);
  const begunOf = (from: number) => (from === now?.from ? begunAt(hours, now) : from);
  const used = new Map(together.sittings.map(({ from, to, stints: of }) => [from, actsOf(together, { begun: begunOf(from), to }, of, finished)]));
  const free = new Map<string, DaySitting[]>();
  const end = instantOf(dayLater(last, 1), "00:00", timeZone);
  for (const { from, to } of sittingsFrom(hours, start)) {
    if (from >= end) break;
    const acts = used.get(from) ?? [];
    const busyMin = (together.sittings.find((one) => one.from === from)?.stints ?? []).reduce((sum, one) => sum + one.to - one.from, 0) / MS_PER_MIN;
    const date = dayOf(from);
    free.set(date, [...(free.get(date) ?? []), { from, to, busyMin, acts }]);
  }
  const on = (dates: readonly (string | null)[], date: string) => names.filter((_name, index) => dates[index] === date);
  const days: CalendarDay[] = [];
  for (let date = first; date <= last; date = dayLater(date, 1))
    days.push({ date, sittings: free.get(date) ?? [], due: on(dues, date), ready: on(readies, date), cured: on(cures, date) });
  const acts = days.flatMap((day) => day.sittings.flatMap((sitting) => sitting.acts));
  return {
    days,
    weeks: weeksOf(days),
    tracks: tracksOf(together, start),
    overloads: overloads(network, hours, start, together.hands).map((one) => pieceNames(together, one)),
    moved: acts.filter(({ movedFrom }) => movedFrom !== undefined).length,
    last: Math.max(start, ...handle),
    gapMin: Math.round(together.gapMs / MS_PER_MIN),
  };
}
