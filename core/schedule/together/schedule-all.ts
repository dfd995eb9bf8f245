import { numbersFrom } from "../../units/seeded";
import { waitedFrom } from "../drying-clock";
import type { FreeHours, Sitting } from "../free-hours";
import { lowerBound } from "./bound";
import type { Bound } from "./bound";
import { dispatch } from "./dispatch";
import type { Dispatched, Manner, Stint } from "./dispatch";
import type { Places } from "./loads";
import type { Network, PieceWork } from "./network";
import { tableOf } from "./table";

/** What a schedule is after. */
export const GOALS = ["earliest", "fewest-sittings", "latest-begin"] as const;
export type Goal = (typeof GOALS)[number];

export interface TogetherAsk {
  readonly pieces: readonly PieceWork[];
  readonly hours: FreeHours;
  /** Instant, ms: not before. */
  readonly start: number;
  readonly goal?: Goal;
  readonly careful?: boolean;
  /** Decides between orders that are as good as each other, and what is tried. */
  readonly seed?: number;
  /** Orders that are tried. */
  readonly tries?: number;
  /** Pairs of them, 1 or more. */
  readonly hands?: number;
  readonly places?: Places;
  /** The first sitting goes by the priority rule alone, as `firstSitting` tells it: what is tried is the order of all later ones. */
  readonly ruled?: boolean;
  /** Asked between tries; true: what is found by then is taken. */
  readonly stop?: () => boolean;
}

/** A sitting that is used, with what is done in it. */
export interface UsedSitting {
  readonly from: number;
  readonly to: number;
  readonly stints: readonly Stint[];
}

export interface Together {
  readonly network: Network;
  /** Pairs of hands. */
  readonly hands: number;
  readonly sittings: readonly UsedSitting[];
  /** By piece: from when it may be handled, from when it is fully hard; instants in ms. */
  readonly handle: readonly number[];
  readonly cured: readonly number[];
  readonly bound: Bound;
  /** How far the last piece is behind the bound, ms. */
  readonly gapMs: number;
  /** By piece: how late it is, ms; 0 where it is in time or has no date. */
  readonly late: readonly number[];
}

/** Orders tried where none are asked for: few pieces are reckoned so fast that many may be tried. */
const USUAL_TRIES = { least: 60, most: 300, ofNodes: 12_000 } as const;
const usualTries = (nodes: number) => Math.max(USUAL_TRIES.least, Math.min(USUAL_TRIES.most, Math.round(USUAL_TRIES.ofNodes / Math.max(1, nodes))));

interface Judged {
  readonly done: Dispatched;
  readonly handle: readonly number[];
  readonly late: readonly number[];
  /** The less the better, the first that differs decides. */
  readonly worth: readonly number[];
}

const usedOf = ({ stints }: Dispatched, sittings: readonly Sitting[]): readonly UsedSitting[] => {
  let at = 0;
  const used: { from: number; to: number; stints: Stint[] }[] = [];
  let last = -1;
  for (const stint of stints) {
    while (sittings[at]!.to <= stint.from) at += 1;
    if (last !== at) used.push({ ...sittings[at]!, stints: [] });
    last = at;
    used.at(-1)!.stints.push(stint);
  }
  return used;
};

function instants(network: Network, ends: Float64Array, pick: "ready" | "cured", start: number): readonly number[] {
  return network[pick].map((all) => Math.max(start, ...all.map(({ node, waitMs, clock }) => waitedFrom(ends[node]!, waitMs, clock))));
}

function judge(network: Network, done: Dispatched, sittings: readonly Sitting[], goal: Goal, start: number): Judged {
  const handle = instants(network, done.ends, "ready", start);
  const late = handle.map((at, piece) => Math.max(0, at - (network.pieces[piece]!.due ?? Infinity)));
  const lateness = late.reduce((sum, ms) => sum + ms, 0);
  const [last, all] = [Math.max(start, ...handle), handle.reduce((sum, at) => sum + at, 0)];
  const count = usedOf(done, sittings).length;
  return { done, handle, late, worth: goal === "fewest-sittings" ? [lateness, count, last, all] : [lateness, last, all, count] };
}

function isBetter(one: Judged, other: Judged): boolean {
  const at = one.worth.findIndex((value, index) => value !== other.worth[index]);
  return at >= 0 && one.worth[at]! < other.worth[at]!;
}

/** How far a rank is shaken, try after try, against the longest tail: a little about it, and now and then as if there were none. */
const SHAKEN = [1 / 6, 1 / 3, 2 / 3, 1, 2.5] as const;

/** A rank shaken about. */
function shaken(rank: Float64Array, byMs: number, number: () => number): Float64Array {
  return rank.map((value) => value + (number() - 0.5) * byMs);
}

interface Thinning {
  readonly network: Network;
  readonly rank: Float64Array;
  readonly start: number;
  readonly manner: Manner;
  readonly stop: () => boolean;
}

/** Sittings are left out, the least used first, as long as nothing is later for its date and fewer are wanted. */
function thinnedOut({ network, rank, start, manner, stop }: Thinning, best: Judged, sittings: readonly Sitting[]): Judged {
  let [kept, found] = [sittings, best];
  const refused = new Set<number>();
  while (!stop()) {
    const used = usedOf(found.done, kept).map(({ from, stints }) => ({ from, busy: stints.reduce((sum, one) => sum + one.to - one.from, 0) }));
    const next = used.filter(({ from }) => !refused.has(from)).sort((a, b) => a.busy - b.busy || a.from - b.from)[0];
    if (!next) break;
    refused.add(next.from);
    const without = kept.filter(({ from }) => from !== next.from);
    const done = dispatch(network, rank, without, start, manner);
    const tried = done && judge(network, done, without, "fewest-sittings", start);
    if (tried && isBetter(tried, found)) [kept, found] = [without, tried];
  }
  return found;
}

/** A schedule while better ones are looked for. */
export interface Improving {
  readonly best: Together;
  /** Orders that were tried, and how many will be. */
  readonly tried: number;
  readonly of: number;
}

/** How far the hands rest for what is more urgent, try after try. */
const PATIENCE = [0, 1, 0.5] as const;
/** Orders tried between two looks at how far it is. */
const TRIES_A_LOOK = 5;

/**
 * Dates the work of all pieces for the hands there are: every wait kept, nothing idle that may be done unless all is done sooner for it, dates met where they
 * can be. Priority rules, then shaken orders of them; the same seed gives the same schedule. Where dates were agreed on they stand as far as they can: only what slipped is laid anew.
 *
 * @yields the first schedule, and then the best so far again and again; nothing when the free hours do not suffice
 */
export function* improving({
  pieces,
  hours,
  start,
  goal = "earliest",
  careful = false,
  seed = 1,
  tries,
  hands = 1,
  places = {},
  ruled = false,
  stop = () => false,
}: TogetherAsk): Generator<Improving, void> {
  const { sittings, network, keep, rule, brush } = tableOf({ pieces, hours, start, careful, places });
  const number = numbersFrom(seed);
  const manner: Manner = { hands, keep, places, brush, ...(ruled ? { first: rule } : {}) };
  let rank = rule;
  const first = dispatch(network, rank, sittings, start, manner);
  if (!first) return;
  let best = judge(network, first, sittings, goal, start);
  const bound = lowerBound(network, sittings, start, hands);
  const reach = Math.max(1, ...network.nodes.map(({ tailMs }) => tailMs));
  let known: { readonly judged: Judged; readonly together: Together } | null = null;
  const told = (tried: number, of: number): Improving => {
    if (known?.judged === best) return { best: known.together, tried, of };
    const last = Math.max(start, ...best.handle);
    known = {
      judged: best,
      together: {
        network,
        hands,
        sittings: usedOf(best.done, sittings),
        handle: best.handle,
        cured: instants(network, best.done.ends, "cured", start),
        bound,
        gapMs: Math.max(0, last - bound.at),
        late: best.late,
      },
    };
    return { best: known.together, tried, of };
  };
  // What was agreed on is not shaken.
  const most = keep.every(Number.isNaN) ? (tries ?? usualTries(network.nodes.length)) : 0;
  const isBest = () => best.worth[0] === 0 && goal !== "fewest-sittings" && Math.max(...best.handle) <= bound.at;
  yield told(0, most);
  for (let tried = 0; tried < most && !isBest() && !stop(); tried += 1) {
    const other = shaken(rank, reach * SHAKEN[tried % SHAKEN.length]!, number);
    const done = dispatch(network, other, sittings, start, { ...manner, patience: PATIENCE[tried % PATIENCE.length]! });
    const judged = done && judge(network, done, sittings, goal, start);
    if (judged && isBetter(judged, best)) [best, rank] = [judged, other];
    if ((tried + 1) % TRIES_A_LOOK === 0) yield told(tried + 1, most);
  }
  if (goal === "fewest-sittings" && most > 0) best = thinnedOut({ network, rank, start, manner, stop }, best, sittings);
  yield told(most, most);
}

/**
 * As `improving`, to its end.
 *
 * @returns null when the free hours do not suffice
 */
export function scheduleAll(ask: TogetherAsk): Together | null {
  let last: Together | null = null;
  for (const { best } of improving(ask)) last = best;
  return last;
}
