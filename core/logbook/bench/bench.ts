import type { ZoneId } from "../../catalogue/vocabulary";
import { MS_PER_MIN } from "../../schedule/free-hours";
import type { FirstSitting } from "../../schedule/together/first-sitting";
import { zoneHere } from "../coat-states";
import { batchClock, endsLaid } from "./begun";
import type { BenchPiece } from "./bench-piece";
import { goesOf } from "./go";
import type { Go } from "./go";
import { orderOf } from "./order";
import { wetFilms } from "./wet-films";

/** A piece, or a part of it, that is not to be touched. */
export interface LeftAlone {
  readonly piece: string;
  /** Where it is wet; none where only what lies beneath is still to dry through. */
  readonly wet: readonly ZoneId[];
  /** Instants, ms, until which it is left alone: usual and careful. */
  readonly until: number;
  readonly untilCareful: number;
  /** Since when it waits, ms: the countdown begins there. */
  readonly since: number;
  /** What is done then; null where only its touch is waited for. */
  readonly then: Go | null;
  /** Of a batch that was counted: how many of the pieces may be touched by now, each by its own clock. */
  readonly dry?: number;
  /** Something else of the same piece may be touched meanwhile. */
  readonly partly: boolean;
}

/** A piece that only has to harden. */
export interface Hardening {
  readonly piece: string;
  /** Instants, ms: gentle hands, and everything it is for. */
  readonly handle: number;
  readonly cured: number;
}

/** All that lies on the bench at an instant. */
export interface Bench {
  /** What may be touched, what is best done first first. */
  readonly now: readonly Go[];
  /** What must not be, what is free soonest first. */
  readonly alone: readonly LeftAlone[];
  readonly hardening: readonly Hardening[];
  /** When something of this changes by itself, ms; null for never. */
  readonly changes: number | null;
}

/** A window that shuts within this time, and that no sitting reaches, goes before everything but what hands are on, ms. */
const SHUTS_SOON_MS = 2 * 60 * MS_PER_MIN;

/** The order of what may be done: what hands are on, windows that shut, then the calendar's; what was put off comes last, the next of it first. */
function rankOf({ piece, tasks, begun, closes, shut, putOff, act }: Go, { place, rank }: FirstSitting, now: number): readonly number[] {
  const least = (of: (piece: string, task: string) => number) => Math.min(...tasks.map(({ id }) => of(piece, id)));
  const at = least(place);
  const shuts = at === Infinity && closes !== null && !shut && closes - now < SHUTS_SOON_MS ? closes : Infinity;
  return [begun && putOff === null ? 0 : 1, shuts, putOff ?? -Infinity, at, least(rank), act.number];
}

function before(one: readonly number[], other: readonly number[]): number {
  for (const [at, value] of one.entries()) if (value !== other[at]) return value < other[at]! ? -1 : 1;
  return 0;
}

function milestonesOf({ id, work, done }: BenchPiece): Hardening {
  const at = (pick: "handle" | "cured") => Math.max(0, ...work.milestones.map((one) => (done.get(one.task) ?? 0) + one[pick].typicalMin * MS_PER_MIN));
  return { piece: id, handle: at("handle"), cured: at("cured") };
}

const isOpen = ({ work, done }: BenchPiece) => work.tasks.some((task) => !done.has(task.id));
const lastEnd = ({ done }: BenchPiece) => Math.max(0, ...done.values());

/** What of a piece is left alone, given what may be done of it. */
function aloneOf(piece: BenchPiece, goes: readonly Go[], films: ReturnType<typeof wetFilms>, now: number): readonly LeftAlone[] {
  if (piece.spoilt !== undefined) {
    const until = Math.max(piece.spoilt, films[0]?.until ?? 0);
    const wet = [...new Set(films.flatMap(({ zones }) => zones))];
    return until > now ? [{ piece: piece.id, wet, until, untilCareful: until, since: Math.min(lastEnd(piece), now), then: null, partly: false }] : [];
  }
  const waiting = goes.filter((go) => go.from > now).sort((a, b) => a.from - b.from)[0];
  const free = goes.some((go) => go.from <= now);
  const wet = [...new Set(films.flatMap(({ zones }) => zones))];
  if (!waiting && wet.length === 0) return [];
  const [last] = films;
  const since = Math.max(...films.map(({ end }) => end), waiting ? lastEnd(piece) : 0);
  // While one part of it may be worked at, only its wet places are told, and until they are dry.
  const until = free || !waiting ? (last?.until ?? waiting!.from) : waiting.from;
  const untilCareful = free || !waiting ? (last?.untilCareful ?? waiting!.fromCareful) : Math.max(waiting.fromCareful, waiting.from);
  if (free && wet.length === 0) return [];
  const ends = piece.count > 1 && last ? endsLaid(piece.progress, last.task, piece.count) : null;
  const dry = ends && last ? batchClock(ends, last.task.touch?.typicalMin ?? 0, now).dry : 0;
  const some = dry > 0 && dry < piece.count ? { dry } : {};
  return [{ piece: piece.id, wet, until, untilCareful, since: Math.min(since, now), then: free ? null : (waiting ?? null), ...some, partly: free }];
}

/**
 * What may be touched now over all pieces, what is left alone and until when, and what only hardens.
 *
 * @param pieces with their plans and all that was done
 * @param now instant, ms
 * @param timeZone where they dry, IANA name; absent: where this runs
 * @param order of the next sitting; absent: by one pair of hands at the usual hours
 * @returns nothing in `now` lies on, or is held by, a film that is wet by the typical times
 */
export function benchOf(
  pieces: readonly BenchPiece[],
  now: number,
  timeZone: string = zoneHere(),
  order: FirstSitting = orderOf(pieces, now, null, timeZone),
): Bench {
  const all = pieces.map((piece) => {
    const films = wetFilms(piece, now, timeZone);
    // What is to be put right comes before everything else on the piece.
    return { piece, films, goes: piece.spoilt === undefined ? goesOf(piece, films, now, timeZone, order) : [] };
  });
  const ranks = new Map<Go, readonly number[]>();
  const free = all.flatMap(({ goes }) => goes.filter((go) => go.from <= now));
  for (const go of free) ranks.set(go, rankOf(go, order, now));
  const alone = all.flatMap(({ piece, goes, films }) => aloneOf(piece, goes, films, now)).sort((a, b) => a.until - b.until);
  const hardening = pieces.filter((piece) => !isOpen(piece)).map(milestonesOf);
  const ends = [
    ...all.flatMap(({ goes, films }) => [...goes.map(({ from }) => from), ...films.map(({ until }) => until)]),
    ...hardening.flatMap(({ handle, cured }) => [handle, cured]),
  ].filter((at) => at > now && Number.isFinite(at));
  return {
    now: free.sort((one, other) => before(ranks.get(one)!, ranks.get(other)!)),
    alone,
    hardening: hardening.filter(({ cured }) => cured > now).sort((a, b) => a.handle - b.handle),
    changes: ends.length > 0 ? Math.min(...ends) : null,
  };
}
