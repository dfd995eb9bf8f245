import { memory } from "../../catalogue/provenance";
import type { ProductId } from "../../catalogue/ids";
import type { Candidate } from "../../coating/model/plan";
import type { Room } from "../../piece/piece";
import type { ProgressRecord, RecordedAct } from "../progress";
import { beliefOf, evidenceOf, LOOK_SPREAD } from "./belief";
import type { Belief } from "./belief";
import { kindOfWork } from "./kind-of-work";
import { seenFilms, WILD } from "./looks";
import type { SeenFilm } from "./looks";
import { roomKey } from "./room-key";
import type { LearntStage } from "./stages";

/** A factor that was learnt: so many times what is reckoned. */
export interface OwnFactor {
  readonly key: string;
  readonly factor: number;
  /** The truth lies between, two times of three. */
  readonly from: number;
  readonly to: number;
  /** Times it was seen. */
  readonly seen: number;
}

/** How much longer a film takes to one stage, by its paint or by its room. */
export interface DryingFactor extends OwnFactor {
  readonly stage: LearntStage;
  /** Films among those seen that took longer than reckoned. */
  readonly slow: number;
  /** Standard deviation of its logarithm. */
  readonly spread: number;
}

/** What the table has taught: how long films take here to be touched or painted on, and how long the hands. */
export interface OwnTimes {
  /** By class of product and stage. */
  readonly films: readonly DryingFactor[];
  /** By room and stage: the same for all that dries in it. */
  readonly rooms: readonly DryingFactor[];
  /** By kind of work. */
  readonly hands: readonly OwnFactor[];
}

/** How far the hands of painters are from what is reckoned, and one time from the next; logarithms [from memory]. */
const HANDS = memory({ spread: 0.4, noise: 0.4 }).value;

type Seen = Pick<ProgressRecord, "pieceId" | "kind" | "actual" | "at"> & { readonly act: Pick<RecordedAct, "role" | "technique"> };

const bySeen = (one: OwnFactor, other: OwnFactor) => other.seen - one.seen || one.key.localeCompare(other.key);

function factorOf(key: string, mean: number, from: number, to: number, seen: number): OwnFactor {
  return { key, factor: Math.exp(mean), from: Math.exp(from), to: Math.exp(to), seen };
}

const MOST_SWEEPS = 12;
const SETTLED = 1e-3;
/** Of one paint in one room the latest so many films count: paints and rooms change. */
const LATEST = 40;

/** The latest films of each paint, room and stage. */
function latest(films: readonly SeenFilm[], most: number): readonly SeenFilm[] {
  const left = new Map<string, number>();
  const kept = [...films].reverse().filter(({ product, room, stage }) => {
    const key = `${product}/${room}/${stage}`;
    const count = (left.get(key) ?? 0) + 1;
    left.set(key, count);
    return count <= most;
  });
  return kept.reverse();
}

const WHICH = ["film", "room"] as const;

/** Films and rooms at once, for one stage: what a film took is laid to its paint and to its room, each by turns given the other. */
function factorsOfStage(stage: LearntStage, seen: readonly SeenFilm[]): Pick<OwnTimes, "films" | "rooms"> {
  const keyOf = { film: (one: Pick<SeenFilm, "product" | "room">) => one.product as string, room: (one: Pick<SeenFilm, "product" | "room">) => one.room };
  const beliefs = { film: new Map<string, Belief>(), room: new Map<string, Belief>() };
  const weighed = seen.map((film) => ({ product: film.product, room: film.room, ...evidenceOf(film) }));
  let moved = Infinity;
  for (let sweep = 0; sweep < MOST_SWEEPS && moved > SETTLED; sweep += 1) {
    moved = 0;
    for (const which of WHICH) {
      const other = which === "film" ? "room" : "film";
      for (const key of new Set(seen.map(keyOf[which]))) {
        const own = weighed.filter((one) => keyOf[which](one) === key);
        const now = beliefOf(
          own,
          which,
          own.map((one) => beliefs[other].get(keyOf[other](one))?.mode ?? 0),
        );
        moved = Math.max(moved, Math.abs(now.mode - (beliefs[which].get(key)?.mode ?? 0)));
        beliefs[which].set(key, now);
      }
    }
  }
  const factors = (which: "film" | "room"): readonly DryingFactor[] =>
    [...beliefs[which]].map(([key, { mode, from, to, slow, spread }]) => ({
      ...factorOf(key, mode, from, to, seen.filter((one) => keyOf[which](one) === key).length),
      stage,
      slow,
      spread,
    }));
  return { films: factors("film"), rooms: factors("room") };
}

/**
 * How much longer films take than reckoned, by paint and by room, each stage by itself.
 *
 * @param films by time
 * @param most films of one paint in one room that count, the latest
 */
export function dryingFactors(films: readonly SeenFilm[], most = LATEST): Pick<OwnTimes, "films" | "rooms"> {
  const seen = latest(films, most);
  const stages = [...new Set(seen.map(({ stage }) => stage))].map((stage) =>
    factorsOfStage(
      stage,
      seen.filter((one) => one.stage === stage),
    ),
  );
  return { films: stages.flatMap((one) => one.films).sort(bySeen), rooms: stages.flatMap((one) => one.rooms).sort(bySeen) };
}

/** The hands: each time gives how long it took against what was reckoned; few times count for little. */
function handFactors(records: readonly Seen[]): readonly OwnFactor[] {
  const kinds = new Map<string, number[]>();
  for (const { kind, act, actual } of records) {
    const work = actual?.work;
    if (kind !== "done" || !work || work.min <= 0 || work.reckonedMin <= 0) continue;
    const ratio = work.min / work.reckonedMin;
    if (ratio > WILD || ratio < 1 / WILD) continue;
    const key = kindOfWork(act);
    kinds.set(key, [...(kinds.get(key) ?? []), Math.log(ratio)]);
  }
  // A normal mean with a normal belief before it: shrunk towards what is reckoned.
  const precision = 1 / HANDS.spread ** 2;
  return [...kinds]
    .map(([key, logs]) => {
      const all = precision + logs.length / HANDS.noise ** 2;
      const mean = logs.reduce((sum, one) => sum + one, 0) / HANDS.noise ** 2 / all;
      const spread = Math.sqrt(1 / all);
      return factorOf(key, mean, mean - spread, mean + spread, logs.length);
    })
    .sort(bySeen);
}

/**
 * What the table has taught of drying and of the hands, each shrunk towards what is reckoned as long as it was seen seldom. A film that was touched and
 * was tacky takes longer than that; one that was touched and was dry no longer. That something was gone on with says nothing.
 *
 * @param records of all pieces, by time
 */
export function ownTimesOf(records: readonly Seen[]): OwnTimes {
  return { ...dryingFactors(seenFilms(records)), hands: handFactors(records) };
}

/** Of the waits that are learnt, films of this share are ready when it is said. */
export const READY_SHARE = 0.8;
/** A normal deviate that holds it, by simulation, for beliefs that are shrunk. */
const READY_DEVIATE = 1.1;
/** So many slow films are half of what a margin wants. */
const SLOW_ENOUGH = 2;

/** How many times longer a film is left than reckoned: usually, and by who is careful of what is not known yet. */
export interface Stretch {
  readonly typical: number;
  readonly cautious: number;
}

const AS_RECKONED: Stretch = { typical: 1, cautious: 1 };

/**
 * How many times longer than reckoned a film is left, so that of films like those seen `READY_SHARE` are ready then. Upwards it goes as far as the
 * films seen say, downwards only as far as is sure; what is as reckoned stays as it is.
 *
 * @param film class of product
 * @param room where it dries
 * @param stage that is waited for
 */
export function dryingStretch(
  { films, rooms }: Pick<OwnTimes, "films" | "rooms">,
  film: ProductId | undefined,
  room: Room | undefined,
  stage: LearntStage,
): Stretch {
  // A room says something only of films, whatever paint they are of.
  if (film === undefined) return AS_RECKONED;
  const found = [
    films.find((one) => one.key === film && one.stage === stage),
    room && rooms.find((one) => one.key === roomKey(room) && one.stage === stage),
  ].filter((one) => one !== undefined);
  if (found.length === 0) return AS_RECKONED;
  const middle = found.reduce((sum, { factor }) => sum + Math.log(factor), 0);
  const margin = READY_DEVIATE * Math.hypot(LOOK_SPREAD, ...found.map(({ spread }) => spread));
  const slow = Math.max(...found.map((one) => one.slow));
  const up = (margin * slow) / (slow + SLOW_ENOUGH);
  const left = middle >= 0 ? middle + up : Math.min(Math.max(0, middle + up), middle + margin);
  return { typical: Math.exp(left), cautious: Math.max(1, Math.exp(left + up)) };
}

/** What of it is reckoned with in a plan: films of its steps, the room it dries in, kinds of its work. */
export function timesApplied(own: OwnTimes, { zones }: Pick<Candidate, "zones">, room: Room | undefined): OwnTimes {
  const steps = zones.flatMap((zone) => zone.steps);
  const films = new Set<string>(steps.map(({ product }) => product));
  const kinds = new Set(steps.map(kindOfWork));
  return {
    films: own.films.filter(({ key }) => films.has(key)),
    rooms: own.rooms.filter(({ key }) => room !== undefined && key === roomKey(room)),
    hands: own.hands.filter(({ key }) => kinds.has(key)),
  };
}
