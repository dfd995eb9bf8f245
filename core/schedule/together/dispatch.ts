import type { Sitting } from "../free-hours";
import type { Places } from "./loads";
import type { Network, Node } from "./network";
import { opening, shutOut } from "./opening";
import type { Open } from "./opening";
import { RoomFor } from "./room-for";
import { WetInHand } from "./wet-in-hand";

/** A stretch of one task at the table. */
export interface Stint {
  readonly node: number;
  readonly from: number;
  readonly to: number;
  /** From 1 where the task is broken off; absent where it is done in one go. */
  readonly part?: number;
  /** The window for the coat had shut: it is scuffed first. */
  readonly windowShut?: true;
  /** Whose hands, from 1 where another pair helps; absent: the user's own. */
  readonly hand?: number;
}

export interface Dispatched {
  readonly stints: readonly Stint[];
  /** When each task ended, ms. */
  readonly ends: Float64Array;
}

/** What is left of a task by reckoning in parts is no work, ms. */
const NOTHING_MS = 1;
/** So much nearer its end is what is like the act before, ms. */
const LIKE_MS = 12 * 3_600_000;
/** Before this a window that is about to shut goes before everything else, ms. */
const HURRY_MS = 3 * 3_600_000;

/** How the table is worked at, beside the order. */
export interface Manner {
  /** Room to dry and to bake. */
  readonly places?: Places;
  /** Pairs of hands, 1 or more; one piece is in one pair at a time. */
  readonly hands?: number;
  /** The sitting each task is to stay in, its begin in ms; NaN: in none. What stays has its time kept free in its sitting. */
  readonly keep?: Float64Array;
  /**
   * How far the hands rest for something more urgent that opens soon, 0–1 of the time until the first of what may be done would be over: 0, never idle while
   * anything may be done [published: Bierwirth & Mattfeld 1999, parameterized active schedules]. 0 where absent.
   */
  readonly patience?: number;
  /** Rank of each task in the first sitting, where nothing is waited for; absent: as in every other. */
  readonly first?: Float64Array;
  /** What the brush is in before anything is done; absent: in nothing. */
  readonly brush?: string;
}

/** The table: what is to do, what is over, and the hours it is done in. */
class Table {
  readonly stints: Stint[] = [];
  readonly ends: Float64Array;
  private readonly missing: Int32Array;
  private readonly rest: Float64Array;
  private readonly parts: Int32Array;
  private open: Open[] = [];
  private left = 0;
  /** What each pair of hands did last. */
  private readonly last: string[];
  /** Until when each piece is in somebody's hands, ms. */
  private readonly busy: Float64Array;
  private sitting: Sitting = { from: 0, to: 0 };
  private rank: Float64Array = new Float64Array();
  private patience = 0;
  /** Work that is to stay in this sitting and is not done yet, ms. */
  private reserved = 0;

  constructor(
    private readonly nodes: readonly Node[],
    private readonly start: number,
    /** The longest sitting there is, ms: what has to go together and fits none is begun all the same. */
    private readonly longest: number,
    private readonly keep: Float64Array | null,
    private readonly hands: number,
    private readonly room: RoomFor,
    private readonly wet: WetInHand,
    brush: string,
  ) {
    this.last = Array.from({ length: hands }, (_none, hand) => (hand === 0 ? brush : ""));
    this.busy = new Float64Array(1 + Math.max(-1, ...nodes.map(({ piece }) => piece))).fill(-Infinity);
    this.ends = new Float64Array(nodes.length).fill(NaN);
    this.missing = Int32Array.from(nodes, ({ arcs }) => arcs.length);
    this.rest = Float64Array.from(nodes, ({ ms }) => ms);
    this.parts = new Int32Array(nodes.length);
    for (const [index, { endedAt }] of nodes.entries())
      if (endedAt === null) this.left += 1;
      else {
        this.over(index, endedAt);
        this.room.done(index, endedAt - nodes[index]!.ms, endedAt);
        this.wet.done(index, endedAt);
      }
    for (const [index, { endedAt }] of nodes.entries()) if (endedAt === null && this.missing[index] === 0) this.add(index);
  }

  get finished(): boolean {
    return this.left === 0;
  }

  private add(index: number): void {
    const kept = this.keep?.[index] ?? NaN;
    const open = opening(index, this.nodes[index]!, this.ends, this.start);
    this.open.push(kept > open.at ? { ...open, at: Math.min(kept, Math.max(open.at, open.closes)) } : open);
  }

  private isKept(index: number): boolean {
    return this.keep?.[index] === this.sitting.from;
  }

  private over(index: number, at: number): void {
    this.ends[index] = at;
    for (const follower of this.nodes[index]!.next) this.missing[follower]! -= 1;
  }

  /** How much of a task goes into the time left: all of it, whole parts, or nothing. */
  private share(index: number, freeMs: number): number {
    const wanted = this.rest[index]!;
    if (wanted <= freeMs) return wanted;
    const { breakMs } = this.nodes[index]!;
    return breakMs <= freeMs ? Math.floor(freeMs / breakMs) * breakMs : 0;
  }

  /** What is done next: what hands are on, what would shut, then the first by rank, and of those alike what the brush is in already. */
  private better(one: Open, other: Open, now: number, hand: number): boolean {
    const begun = this.nodes[one.node]!.begun;
    if (begun !== this.nodes[other.node]!.begun) return begun;
    const [hurry, calm] = [one.closes - now < HURRY_MS, other.closes - now < HURRY_MS];
    if (hurry !== calm) return hurry;
    if (hurry && one.closes !== other.closes) return one.closes < other.closes;
    return this.standing(one.node, hand) < this.standing(other.node, hand);
  }

  /** The first moment from which a task that still fits must not be kept waiting, lest its window shuts. */
  private nextHurry(now: number, until: number): { readonly node: number; readonly at: number } {
    let first = { node: -1, at: Infinity };
    for (const { node, at, closes } of this.open)
      if (closes > now && closes < first.at && this.share(node, until - Math.max(now, at)) > 0) first = { node, at: closes };
    return first;
  }

  /** Its rank; what the brush is in already stands a little further in front. */
  private standing(index: number, hand: number): number {
    return this.rank[index]! - (this.nodes[index]!.like === this.last[hand] ? LIKE_MS : 0);
  }

  private choose(now: number, until: number, hand: number): { readonly open: Open; readonly from: number; readonly until: number } | null {
    let [first, over] = [Infinity, Infinity];
    const hurry = this.nextHurry(now, until);
    const may: { readonly open: Open; readonly at: number }[] = [];
    for (const [place, kept] of this.open.entries()) {
      const free = this.roomFrom(kept.node, Math.max(now, kept.at, this.busy[this.nodes[kept.node]!.piece]!));
      const open = free > kept.closes ? shutOut(kept.node, this.nodes[kept.node]!.arcs, this.ends, free) : kept;
      this.open[place] = open;
      const at = open.at > free ? this.roomFrom(open.node, open.at) : free;
      const share = this.share(open.node, this.endsFor(open.node, hurry, until) - at);
      if (share <= 0 || this.partsTheGo(open.node, until - at)) continue;
      may.push({ open, at });
      [first, over] = [Math.min(first, at), Math.min(over, at + share)];
    }
    // Until then the hands may rest for what is more urgent.
    const rests = first + this.patience * (over - first);
    const soon = may.filter(({ at }) => at === first || at < rests);
    const best = soon.reduce((one, other) => (this.better(other.open, one.open, first, hand) ? other : one), soon[0]!);
    return best && { open: best.open, from: best.at, until: this.endsFor(best.open.node, hurry, until) };
  }

  /** When there is room for it, and nothing it would be held by is wet. */
  private roomFrom(index: number, at: number): number {
    const ms = Math.min(this.rest[index]!, this.nodes[index]!.breakMs);
    let from = at;
    for (let next = this.wet.from(index, this.room.from(index, from, ms)); next > from; next = this.wet.from(index, this.room.from(index, from, ms)))
      from = next;
    return from;
  }

  /** Until when a task may go on now: what must not be kept waiting and what is to stay in this sitting have their time. */
  private endsFor(index: number, hurry: { readonly node: number; readonly at: number }, until: number): number {
    return Math.min(this.isKept(index) ? until : until - this.reserved / this.hands, index === hurry.node ? Infinity : hurry.at);
  }

  /** Begun now its next coat would come after its window has shut, and there is a sitting that is long enough. */
  private partsTheGo(index: number, freeMs: number): boolean {
    const { goMs, ms } = this.nodes[index]!;
    return goMs > ms && goMs > freeMs && goMs <= this.longest;
  }

  /** Works through a sitting: in which order, and how patiently. */
  work(sitting: Sitting, rank: Float64Array, patience: number): void {
    [this.sitting, this.rank, this.patience] = [sitting, rank, patience];
    this.reserved = this.nodes.reduce((sum, _node, index) => (this.isKept(index) && Number.isNaN(this.ends[index]) ? sum + this.rest[index]! : sum), 0);
    const now = new Float64Array(this.hands).fill(sitting.from);
    while (!this.finished) {
      const hand = now.indexOf(Math.min(...now));
      const chosen = this.choose(now[hand]!, sitting.to, hand);
      if (!chosen) return;
      now[hand] = this.lay(chosen.open, chosen.from, chosen.until, hand);
    }
  }

  private lay({ node: index, shut }: Open, from: number, until: number, hand: number): number {
    const node = this.nodes[index]!;
    const ms = this.share(index, until - from);
    const to = from + ms;
    const whole = this.rest[index]! - ms < NOTHING_MS;
    const part = this.parts[index]! + 1;
    this.stints.push({
      node: index,
      from,
      to,
      ...(part > 1 || !whole ? { part } : {}),
      ...(shut ? { windowShut: true as const } : {}),
      ...(hand > 0 ? { hand } : {}),
    });
    this.room.done(index, from, to);
    this.wet.done(index, to);
    this.last[hand] = node.like;
    if (this.isKept(index)) this.reserved -= ms;
    if (this.hands > 1) this.busy[node.piece] = to;
    if (!whole) {
      this.rest[index]! -= ms;
      this.parts[index] = part;
      return to;
    }
    this.open = this.open.filter((one) => one.node !== index);
    this.left -= 1;
    this.over(index, to);
    for (const follower of node.next) if (this.missing[follower] === 0 && Number.isNaN(this.ends[follower])) this.add(follower);
    return to;
  }
}

function tableFor({ nodes }: Network, sittings: readonly Sitting[], start: number, { hands = 1, keep, places = {}, brush = "" }: Manner): Table {
  const longest = Math.max(0, ...sittings.map(({ from, to }) => to - from));
  return new Table(nodes, start, longest, keep ?? null, hands, new RoomFor(nodes, places), new WetInHand(nodes), brush);
}

const inOrder = ({ stints }: Table, hands: number): readonly Stint[] => (hands > 1 ? [...stints].sort((a, b) => a.from - b.from) : stints);

/**
 * Does all the work in the order of a rank, never idle while something that may be done fits into the sitting, but for what is to stay in a later one, and
 * as far as there is patience for what is more urgent.
 *
 * @param rank of each task, the least first
 * @param sittings free hours, in order
 * @returns null where they do not suffice
 */
export function dispatch(network: Network, rank: Float64Array, sittings: readonly Sitting[], start: number, manner: Manner = {}): Dispatched | null {
  const { hands = 1, patience = 0, first } = manner;
  const table = tableFor(network, sittings, start, manner);
  for (const [at, sitting] of sittings.entries()) {
    if (table.finished) break;
    if (at === 0 && first) table.work(sitting, first, 0);
    else table.work(sitting, rank, patience);
  }
  return table.finished ? { stints: inOrder(table, hands), ends: table.ends } : null;
}

/** As `dispatch`, as far as the first sitting goes. */
export function dispatchFirst(network: Network, rank: Float64Array, sittings: readonly Sitting[], start: number, manner: Manner = {}): readonly Stint[] {
  const table = tableFor(network, sittings, start, manner);
  if (sittings[0]) table.work(sittings[0], rank, 0);
  return inOrder(table, manner.hands ?? 1);
}
