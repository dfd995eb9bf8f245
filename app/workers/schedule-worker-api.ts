import type { Finding } from "#core/coating/model/plan";
import type { PlainWork } from "#core/logbook/bench/work-left";
import type { FreeHours } from "#core/schedule/free-hours";
import type { Beside, Dates } from "#core/schedule/together/one-piece";
import type { Bought, ExtraSitting } from "#core/schedule/together/cures";
import type { Calendar } from "#core/schedule/together/calendar";
import type { Places } from "#core/schedule/together/loads";
import type { WhatIfAll } from "#core/schedule/together/what-if-all";
import type { Goal } from "#core/schedule/together/schedule-all";

/** What is asked of the schedule of all pieces; instants in ms. */
export interface ScheduleQuestion {
  readonly pieces: readonly PlainWork[];
  readonly hours: FreeHours;
  /** The days are days of this zone. */
  readonly timeZone: string;
  readonly start: number;
  readonly goal: Goal;
  readonly hands: number;
  readonly places: Places;
  /** So many days are laid out at least. */
  readonly days: number;
}

/** What is known of a schedule so far. */
export interface ScheduleNews {
  /** A better one than the last that was told; null where there is none. */
  readonly calendar: Calendar | null;
  readonly tried: number;
  readonly of: number;
}

/** The dates of one piece among all. */
export interface PieceDates extends Beside {
  /** Null where the free hours do not suffice. */
  readonly usual: Dates | null;
  readonly careful: Dates | null;
  /** What is wrong with its time. */
  readonly findings: readonly Finding[];
}

/** What would change, were something done about all of it. */
export interface AllIfs {
  readonly ifs: readonly WhatIfAll[];
  /** The latest sitting in which all of it may begin and be in time, ms; null where nothing is due, dates stand, or none is in time. */
  readonly latest: number | null;
}

/** The work of a late piece were something else done about it. */
export interface Variant {
  readonly key: string;
  readonly piece: PlainWork;
}

/** What was tried for a piece that is late, and what it buys. */
export interface Tried extends Bought {
  /** A variant's, or what is done about all of it. */
  readonly key: string;
  /** The stretch that is free besides, of "evening". */
  readonly extra?: ExtraSitting;
}

/** What the worker that dates all pieces together answers. */
export interface ScheduleWorkerApi {
  /**
   * Tells the first schedule, and every better one, until no more is tried, or it is stopped, or something newer is asked.
   *
   * @returns the last; null where the free hours do not suffice
   */
  readonly schedule: (question: ScheduleQuestion, told: (news: ScheduleNews) => void) => Promise<Calendar | null>;
  /** The dates of one of the pieces, the others laid out beside it as ever. */
  readonly dates: (question: ScheduleQuestion, piece: string) => Promise<PieceDates>;
  /** What a helper, one more stretch, laying all anew, and each variant would buy for a piece that is late; only what helps. */
  readonly cures: (question: ScheduleQuestion, piece: string, late: ReadonlyMap<string, number>, variants: readonly Variant[]) => Promise<readonly Tried[]>;
  /** How many of a batch would be in time; null where none, or it is one piece. */
  readonly inTimeOf: (question: ScheduleQuestion, piece: string) => Promise<number | null>;
  readonly whatIf: (question: ScheduleQuestion) => Promise<AllIfs>;
  /** What is found by now is taken. */
  readonly enough: () => void;
}
