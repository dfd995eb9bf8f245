import type { Edge, Milestone, Task, Work } from "../coating/facts/task";
import type { Candidate } from "../coating/model/plan";
import type { ProgressRecord, RecordedAct } from "./progress";
import type { ProductId } from "../catalogue/ids";
import { memory } from "../catalogue/provenance";
import type { Room } from "../piece/piece";

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

/** What the table has taught: how long films take here, and how long the hands. */
export interface OwnTimes {
  /** By class of product. */
  readonly films: readonly OwnFactor[];
  /** By room: the same for all that dries in it. */
  readonly rooms: readonly OwnFactor[];
  /** By kind of work. */
  readonly hands: readonly OwnFactor[];
}

/** How far a painter, a paint and a room are from what is reckoned, and how far one judgement is from the truth; in logarithms [from memory]. */
const SPREAD = memory({ film: 0.25, room: 0.25, hands: 0.4 }).value;
const NOISE = memory({ drying: 0.2, hands: 0.4 }).value;
/** What is further off than this was no judgement, but a slip or a night between, times. */
const WILD = 8;

type Seen = Pick<ProgressRecord, "pieceId" | "stepId" | "coat" | "kind" | "actual" | "at"> & { readonly act: Pick<RecordedAct, "role" | "technique"> };

/** The kind of work an act is: its role, and of marks their technique. */
export function kindOfWork({ role, technique }: Pick<RecordedAct, "role" | "technique">): string {
  return role === "decorate" && technique ? `${role}/${technique}` : role;
}

/** A room by its air. */
export function roomKey({ temperatureC, relativeHumidity, airflow, night }: Room): string {
  return [temperatureC, relativeHumidity, airflow, ...(night ? [night.temperatureC, night.relativeHumidity] : [])].join("/");
}

/** Something known of how long a film really took: longer than, or no longer than, so many times what was reckoned. */
interface Bounding {
  readonly film: string;
  readonly room: string;
  readonly at: number;
  readonly longer: boolean;
}

/** What was seen of drying: still tacky after so long; or gone on with after so long, which tells something where it was before its time, or had been tacky. */
function boundings(records: readonly Seen[]): readonly Bounding[] {
  const times = new Map<string, Bounding[]>();
  for (const one of allBoundings(records)) times.set(`${one.film}/${one.room}`, [...(times.get(`${one.film}/${one.room}`) ?? []), one].slice(-LATEST));
  return [...times.values()].flat();
}

function allBoundings(records: readonly Seen[]): readonly Bounding[] {
  const tacky = new Set(records.flatMap(({ kind, pieceId, stepId, coat }) => (kind === "tacky" ? [`${pieceId}/${stepId}/${coat}`] : [])));
  return records.flatMap(({ kind, pieceId, actual }): Bounding[] => {
    const { drying } = actual ?? {};
    if (!drying || drying.reckonedMin <= 0 || drying.waitedMin <= 0) return [];
    const ratio = drying.waitedMin / drying.reckonedMin;
    const early = ratio < 1 || tacky.has(`${pieceId}/${drying.stepId}/${drying.coat}`);
    if (ratio > WILD || ratio < 1 / WILD || (kind !== "tacky" && !early)) return [];
    return [{ film: drying.product, room: roomKey(drying.room), at: Math.log(ratio), longer: kind === "tacky" }];
  });
}

/** Normal distribution function, Abramowitz & Stegun 26.2.17; good to 1e-7. */
function normalShare(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = Math.exp((-x * x) / 2) * 0.3989422804 * poly;
  return x >= 0 ? 1 - tail : tail;
}

const GRID = { least: -1.5, most: 1.5, step: 0.03 } as const;

/** What is believed of one factor, given the rest: mean and deviation of its logarithm, on a grid. */
function believed(spread: number, seen: readonly { readonly at: number; readonly longer: boolean }[]): { readonly mean: number; readonly sd: number } {
  let [sum, first, second] = [0, 0, 0];
  for (let a = GRID.least; a <= GRID.most; a += GRID.step) {
    let weight = Math.exp((-a * a) / (2 * spread * spread));
    for (const { at, longer } of seen) weight *= Math.max(1e-9, normalShare((longer ? a - at : at - a) / NOISE.drying));
    sum += weight;
    first += weight * a;
    second += weight * a * a;
  }
  const mean = first / sum;
  return { mean, sd: Math.sqrt(Math.max(0, second / sum - mean * mean)) };
}

const SWEEPS = 6;
/** Of one paint in one room the latest so many times count: paints and rooms change. */
const LATEST = 40;

/** Films and rooms at once: what a film took is laid to its paint and to its room, each by turns given the other. */
function driedFactors(seen: readonly Bounding[]): Pick<OwnTimes, "films" | "rooms"> {
  const beliefs = { film: new Map<string, { mean: number; sd: number }>(), room: new Map<string, { mean: number; sd: number }>() };
  const other = { film: "room", room: "film" } as const;
  for (let sweep = 0; sweep < SWEEPS; sweep += 1)
    for (const which of ["film", "room"] as const)
      for (const key of new Set(seen.map((one) => one[which]))) {
        const own = seen.filter((one) => one[which] === key);
        const rest = (one: Bounding) => beliefs[other[which]].get(one[other[which]])?.mean ?? 0;
        beliefs[which].set(
          key,
          believed(
            SPREAD[which],
            own.map((one) => ({ at: one.at - rest(one), longer: one.longer })),
          ),
        );
      }
  const told = (which: "film" | "room") =>
    [...beliefs[which]].map(([key, { mean, sd }]) => factorOf(key, mean, sd, seen.filter((one) => one[which] === key).length)).sort(bySeen);
  return { films: told("film"), rooms: told("room") };
}

const bySeen = (one: OwnFactor, other: OwnFactor) => other.seen - one.seen || one.key.localeCompare(other.key);

function factorOf(key: string, mean: number, sd: number, seen: number): OwnFactor {
  return { key, factor: Math.exp(mean), from: Math.exp(mean - sd), to: Math.exp(mean + sd), seen };
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
  const precision = 1 / SPREAD.hands ** 2;
  return [...kinds]
    .map(([key, logs]) => {
      const all = precision + logs.length / NOISE.hands ** 2;
      return factorOf(key, logs.reduce((sum, one) => sum + one, 0) / NOISE.hands ** 2 / all, Math.sqrt(1 / all), logs.length);
    })
    .sort(bySeen);
}

/**
 * What the table has taught of drying and of the hands, each shrunk towards what is reckoned as long as it was seen seldom. A film that was still tacky took
 * longer than that; one that was gone on with before its time, or after it had been tacky, no longer. That something was gone on with when it might be says nothing.
 *
 * @param records of all pieces, by time
 */
export function ownTimesOf(records: readonly Seen[]): OwnTimes {
  return { ...driedFactors(boundings(records)), hands: handFactors(records) };
}

const NOTHING_LEARNT = { factor: 1, to: 1 } as const;

interface Stretch {
  readonly typical: number;
  readonly cautious: number;
}

/** How many times longer a film takes in a room: usually, and for who is careful of what is not known yet. */
export function dryingStretch({ films, rooms }: OwnTimes, film: ProductId | undefined, room: Room | undefined): Stretch {
  const [own, here] = [films.find(({ key }) => key === film), room && rooms.find(({ key }) => key === roomKey(room))].map((one) => one ?? NOTHING_LEARNT) as [
    Pick<OwnFactor, "factor" | "to">,
    Pick<OwnFactor, "factor" | "to">,
  ];
  // A room says something only of films, whatever paint they are of.
  if (film === undefined) return { typical: 1, cautious: 1 };
  return { typical: own.factor * here.factor, cautious: own.to * here.to };
}

/**
 * Work with waits and hands as the table has taught them. What was reckoned before is kept beside, to be learnt from again.
 *
 * @param candidate the plan the work is of
 */
export function withOwnTimes(work: Work, candidate: Pick<Candidate, "zones">, own: OwnTimes): Work {
  const steps = new Map(candidate.zones.flatMap((zone) => zone.steps.map((step) => [step.id, step] as const)));
  const hands = new Map(own.hands.map(({ key, factor }) => [key, factor]));
  const edge = (one: Edge): Edge => {
    const { typical, cautious } = dryingStretch(own, one.film, work.room);
    if (typical === 1 && cautious === 1) return one;
    const typicalMin = Math.ceil(one.typicalMin * typical);
    return {
      ...one,
      typicalMin,
      cautiousMin: Math.max(typicalMin, Math.ceil(one.cautiousMin * cautious)),
      reckonedMin: one.typicalMin,
      ...(one.closesMin === undefined ? {} : { closesMin: Math.max(typicalMin, Math.floor(one.closesMin * typical)) }),
      ...(one.reopensMin === undefined ? {} : { reopensMin: Math.ceil(one.reopensMin * typical) }),
    };
  };
  const task = (one: Task): Task => {
    const step = steps.get(one.stepId);
    const by = (step && hands.get(kindOfWork(step))) ?? 1;
    const after = one.after.map(edge);
    return by === 1 ? { ...one, after } : { ...one, after, handsOnMin: one.handsOnMin * by, reckonedMin: one.handsOnMin };
  };
  const milestone = (one: Milestone): Milestone => {
    const { typical, cautious } = dryingStretch(own, one.film, work.room);
    const times = (span: Milestone["handle"]) => {
      const typicalMin = Math.ceil(span.typicalMin * typical);
      return { typicalMin, cautiousMin: Math.max(typicalMin, Math.ceil(span.cautiousMin * cautious)) };
    };
    return { ...one, handle: times(one.handle), cured: times(one.cured) };
  };
  return { ...work, tasks: work.tasks.map(task), milestones: work.milestones.map(milestone) };
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
