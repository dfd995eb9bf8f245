import type { Catalogue } from "../catalogue/catalogue";
import type { CandidateId } from "../catalogue/ids";
import { pieceFacts, stackFacts } from "../coating/facts/facts";
import { filmDemands } from "../coating/facts/film-demands";
import type { Candidate } from "../coating/model/plan";
import { productFor } from "../coating/facts/jars";
import { labelMin } from "../drying/label-min";
import { completePiece } from "../piece/complete-piece";
import type { Piece } from "../piece/piece";
import { dateWork } from "./date-work";
import type { Dates } from "./together/one-piece";
import type { FreeHours } from "./free-hours";
import type { Work } from "../coating/facts/task";
import { workOf } from "../coating/facts/work-of";
import type { FilmOf } from "../coating/facts/work-of";

/**
 * The tasks of a piece's plan.
 *
 * @returns tasks in working order, tied by waits in minutes
 */
export function workFor(piece: Piece, candidate: Candidate, catalogue: Catalogue): Work {
  const whole = completePiece(piece, catalogue).piece;
  const facts = pieceFacts(whole, catalogue);
  const filmOf: FilmOf = (step) => {
    const known = catalogue.products.get(step.product);
    const drying = known && productFor(known, step).drying;
    if (!drying || drying.by === "none") return undefined;
    return { by: drying.by, film: step.product, labelMin: (stage) => labelMin(drying, stage) };
  };
  const exposures = new Map(facts.zones.map((zone) => [zone.zone, zone.template.exposure]));
  const work = workOf(candidate, exposures, filmOf, filmDemands(stackFacts(facts, candidate.zones)));
  return { ...work, room: whole.room };
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
  const work = workFor(piece, candidate, catalogue);
  const dated = (careful: boolean) => asText(dateWork(work, hours, start, { careful, count: piece.count ?? 1 }));
  return { candidateId: candidate.id, usual: dated(false), careful: dated(true) };
}
