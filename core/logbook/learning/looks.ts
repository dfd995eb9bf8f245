import type { ProductId } from "../../catalogue/ids";
import type { DryingStage } from "../../catalogue/vocabulary";
import type { ProgressRecord } from "../progress";
import type { Censored } from "./belief";
import { roomKey } from "./room-key";
import { isLearnt } from "./stages";
import type { LearntStage } from "./stages";

/** One film that was looked at, as far as it says something. */
export interface SeenFilm extends Censored {
  readonly product: ProductId;
  readonly room: string;
  readonly stage: LearntStage;
}

type Noted = Pick<ProgressRecord, "pieceId" | "actual" | "at">;

/** What is further from what was reckoned than this was no judgement of the film, but a slip, or a night between, times. */
export const WILD = 8;
/** Looks at one film count from one laying of it, give or take this long, ms. */
const ONE_LAYING_MS = 2 * 60_000;

/**
 * The logarithm of a time against what was reckoned.
 *
 * @returns null where it is no judgement
 */
export function judged(afterMin: number, reckonedMin: number): number | null {
  const ratio = afterMin / reckonedMin;
  return Number.isFinite(ratio) && ratio >= 1 / WILD && ratio <= WILD ? Math.log(ratio) : null;
}

/**
 * What one film was seen to take: longer than the last time it was tacky, no longer than the first time after that it was dry.
 *
 * @param looks at one film, in any order
 */
export function censoredBy(looks: readonly { readonly at: number; readonly seen: "tacky" | "dry" }[]): Censored | null {
  const tacky = looks.filter(({ seen }) => seen === "tacky").map(({ at }) => at);
  const longerThan = tacky.length > 0 ? Math.max(...tacky) : null;
  const dry = looks.filter(({ seen, at }) => seen === "dry" && at > (longerThan ?? -Infinity)).map(({ at }) => at);
  return longerThan === null && dry.length === 0 ? null : { longerThan, notLongerThan: dry.length > 0 ? Math.min(...dry) : null };
}

/**
 * The films that were looked at, each once, however often it was touched. What was gone on with, early or late, says nothing of a film: only what was
 * looked at does.
 *
 * @param records of all pieces, by time
 */
export function seenFilms(records: readonly Noted[]): readonly SeenFilm[] {
  const films: {
    readonly of: string;
    readonly laidAt: number;
    readonly film: Omit<SeenFilm, keyof Censored>;
    readonly looks: { at: number; seen: "tacky" | "dry" }[];
  }[] = [];
  for (const { pieceId, actual, at: noted } of records) {
    const look = actual?.look;
    if (!look || !isLearnt(look.stage as DryingStage)) continue;
    const at = judged(look.afterMin, look.reckonedMin);
    if (at === null) continue;
    const laidAt = Date.parse(noted) - look.afterMin * 60_000;
    const of = [pieceId, look.stepId, look.coat, look.stage].join("/");
    const known = films.find((one) => one.of === of && Math.abs(one.laidAt - laidAt) < ONE_LAYING_MS);
    if (known) known.looks.push({ at, seen: look.seen });
    else
      films.push({ of, laidAt, film: { product: look.product, room: roomKey(look.room), stage: look.stage as LearntStage }, looks: [{ at, seen: look.seen }] });
  }
  return films.flatMap(({ film, looks }) => {
    const censored = censoredBy(looks);
    return censored ? [{ ...film, ...censored }] : [];
  });
}
