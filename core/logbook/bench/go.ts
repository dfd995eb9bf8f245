import { tasksOf, nextGo } from "../../coating/facts/task";
import type { Task } from "../../coating/facts/task";
import { toldActs } from "../../coating/explain/told-acts";
import type { ToldAct } from "../../coating/explain/told-acts";
import type { ZoneId } from "../../catalogue/vocabulary";
import { loadsOf } from "../../schedule/together/loads";
import { MS_PER_MIN } from "../../schedule/free-hours";
import type { FirstSitting } from "../../schedule/together/first-sitting";
import { openingBy } from "../coat-states";
import { begunOf } from "./begun";
import type { Begun } from "./begun";
import type { BenchPiece } from "./bench-piece";
import { wetBeside } from "./wet-films";
import type { WetFilm } from "./wet-films";

/** What is laid next of one act of one piece. */
export interface Go {
  /** Names it on the whole bench. */
  readonly id: string;
  readonly piece: string;
  readonly act: ToldAct;
  readonly tasks: readonly Task[];
  readonly coat: number;
  readonly half?: "first" | "second";
  readonly zones: readonly ZoneId[];
  readonly handsOnMin: number;
  /** Instants, ms, from which it may be done: usual and careful; past ones where it may be done now. */
  readonly from: number;
  readonly fromCareful: number;
  /** Wet films elsewhere on the same body that it waits for. */
  readonly beside: readonly WetFilm[];
  /** Instant, ms, by which it has to be begun; null where there is none. `shut` says that it is past. */
  readonly closes: number | null;
  readonly shut: boolean;
  readonly begun: Begun | null;
  /** Pieces of the batch that go together, because it is worked while it is wet; null where all may. */
  readonly together: number | null;
  /** The later sitting, or the day, all of it was put off to, ms; null where it was not. It may be done all the same. */
  readonly putOff: number | null;
}

function closing(tasks: readonly Task[], done: ReadonlyMap<string, number>, now: number): Pick<Go, "closes" | "shut"> {
  const ties = tasks
    .flatMap(({ after }) => after)
    .flatMap((edge) => {
      const end = done.get(edge.task);
      if (edge.closesMin === undefined || end === undefined) return [];
      const reopens = edge.reopensMin === undefined ? Infinity : end + edge.reopensMin * MS_PER_MIN;
      return reopens <= now ? [] : [end + edge.closesMin * MS_PER_MIN];
    });
  if (ties.length === 0) return { closes: null, shut: false };
  const closes = Math.min(...ties);
  return { closes, shut: closes < now };
}

/** Pieces that go together where colours are worked into one another while they are wet. */
function togetherIn({ id, count, work }: BenchPiece, tasks: readonly Task[]): number | null {
  if (count < 2) return null;
  const own = new Set(tasks.map((task) => task.id));
  const wet = work.tasks.filter((task) => task.after.some((edge) => edge.wet === true && (own.has(task.id) || own.has(edge.task))));
  if (wet.length === 0) return null;
  const loads = loadsOf({ id, count, work }, 0, {});
  return loads.length > 1 ? Math.max(...loads.map((load) => load.count)) : null;
}

/**
 * What comes next of every act of a piece, as far as what lies beneath is laid.
 *
 * @param films wet films of the piece
 * @param now instant, ms
 * @param timeZone where the piece dries, IANA name
 * @param order of the next sitting
 * @returns goes in the order of the work
 */
export function goesOf(piece: BenchPiece, films: readonly WetFilm[], now: number, timeZone: string, { putOff }: Pick<FirstSitting, "putOff">): readonly Go[] {
  const { shown, work, done, progress } = piece;
  const open = openingBy(work.room, done, now, timeZone, false);
  const openCareful = openingBy(work.room, done, now, timeZone, true);
  return toldActs(shown).flatMap((act): Go[] => {
    const free = nextGo(tasksOf(act, work), done).filter((task) => open(task.after) !== null);
    const [first] = free;
    if (!first) return [];
    const zones = [...new Set(free.flatMap((task) => task.zones))];
    const beside = wetBeside({ zones, go: first.go }, films);
    const put = free.flatMap((task) => putOff(piece.id, task.id) ?? []);
    const later = (own: readonly (number | null)[], wet: readonly number[]) => Math.max(0, ...own.map((at) => at ?? 0), ...wet);
    return [
      {
        id: `${piece.id}/${first.id}`,
        piece: piece.id,
        act,
        tasks: free,
        coat: first.coat,
        ...(first.half ? { half: first.half } : {}),
        zones,
        handsOnMin: free.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0),
        from: later(
          free.map((task) => open(task.after)),
          beside.map(({ until }) => until),
        ),
        fromCareful: later(
          free.map((task) => openCareful(task.after)),
          beside.map(({ untilCareful }) => untilCareful),
        ),
        beside,
        ...closing(free, done, now),
        begun: begunOf(progress, free),
        together: togetherIn(piece, free),
        putOff: put.length === free.length ? Math.min(...put) : null,
      },
    ];
  });
}
