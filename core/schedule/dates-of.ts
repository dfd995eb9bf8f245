import type { Catalogue } from "../catalogue/catalogue";
import type { CandidateId } from "../catalogue/ids";
import { pieceFacts } from "../coating/facts/facts";
import type { Candidate } from "../coating/model/plan";
import { completePiece } from "../piece/complete-piece";
import type { Piece } from "../piece/piece";
import { dateWork, latestStart } from "./date-work";
import type { Dates } from "./date-work";
import type { FreeHours } from "./free-hours";
import type { Work } from "../coating/facts/task";
import { workOf } from "../coating/facts/work-of";

export interface Wanted {
  readonly hours: FreeHours;
  /** Instant, ms: not before. */
  readonly start: number;
  /** Instant, ms, by which it is needed; null when there is no hurry. */
  readonly due: number | null;
  readonly done: ReadonlyMap<string, number>;
  /** Pieces in its batch. */
  readonly count?: number;
}

export interface DatedPlan {
  /** Null when the user has no free hour. */
  readonly usual: Dates | null;
  readonly careful: Dates | null;
  /** Latest sittings to begin in and still be handled, or fully hard, by the date; null where even now is too late. */
  readonly latest: { readonly handle: number | null; readonly cured: number | null } | null;
}

/**
 * The tasks of a piece's plan.
 *
 * @returns tasks in working order, tied by waits in minutes
 */
export function workFor(piece: Piece, candidate: Candidate, catalogue: Catalogue): Work {
  const whole = completePiece(piece, catalogue).piece;
  const { zones } = pieceFacts(whole, catalogue);
  const work = workOf(candidate, new Map(zones.map((zone) => [zone.zone, zone.template.exposure])), ({ product }) => {
    const by = catalogue.products.get(product)?.drying.by;
    return by === undefined || by === "none" ? undefined : { by, film: product };
  });
  return { ...work, room: whole.room };
}

/**
 * Dates a plan: as usual, as a careful painter waits, and the latest start for a date.
 *
 * @param work as `workFor` gives it
 * @returns instants in ms; null where no free hour is long enough
 */
export function datesOf(work: Work, { hours, start, due, ...options }: Wanted): DatedPlan {
  const last = (goal: "handle" | "cured") => (due === null ? null : (latestStart(work, hours, start, due, goal, options)?.start ?? null));
  return {
    usual: dateWork(work, hours, start, options),
    careful: dateWork(work, hours, start, { ...options, careful: true }),
    latest: due === null ? null : { handle: last("handle"), cured: last("cured") },
  };
}

/** One candidate's dates for a file: instants as ISO text. */
export interface DatedCandidate {
  readonly candidateId: CandidateId;
  /** Null when no hour is free, or none long enough. */
  readonly usual: DatedTasks | null;
  readonly careful: DatedTasks | null;
}

export interface DatedTasks {
  readonly tasks: readonly { readonly task: string; readonly from: string; readonly to: string }[];
  readonly handle: string;
  readonly cured: string;
}

function asText(dates: Dates | null): DatedTasks | null {
  const iso = (instant: number) => new Date(instant).toISOString();
  return (
    dates && {
      tasks: dates.items.map(({ task, from, to }) => ({ task: task.id, from: iso(from), to: iso(to) })),
      handle: iso(dates.handle),
      cured: iso(dates.cured),
    }
  );
}

/**
 * Dates a candidate from an instant on, as usual and as a careful painter waits.
 *
 * @param start instant, ms
 * @returns instants as ISO 8601
 */
export function datedCandidate(piece: Piece, candidate: Candidate, catalogue: Catalogue, hours: FreeHours, start: number): DatedCandidate {
  const { usual, careful } = datesOf(workFor(piece, candidate, catalogue), { hours, start, due: null, done: new Map(), count: piece.count ?? 1 });
  return { candidateId: candidate.id, usual: asText(usual), careful: asText(careful) };
}
