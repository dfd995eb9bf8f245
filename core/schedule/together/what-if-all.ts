import type { Edge, Milestone, Work } from "../../coating/facts/task";
import { deepFactor, roomFactor } from "../../drying/room-factor";
import type { DryingBy } from "../../drying/room-factor";
import { remedied, REMEDIES } from "../../drying/what-if";
import type { Remedy } from "../../drying/what-if";
import type { Room } from "../../piece/piece";
import { dateOf, dayLater, instantOf } from "../free-hours";
import { scheduleTo } from "./goals";
import { scheduleAll } from "./schedule-all";
import type { Together, TogetherAsk } from "./schedule-all";

/** What could be done about all of it. */
export const WHATS = [...REMEDIES, "tomorrow", "helper"] as const;
export type What = (typeof WHATS)[number];

/** All pieces under another condition, against how they are. */
export interface WhatIfAll {
  readonly what: Remedy | "tomorrow" | "helper";
  /** When the last piece may be handled, ms: now, and then. */
  readonly last: { readonly from: number; readonly to: number };
  /** Pieces that may be handled sooner, and later, by more than a few hours. */
  readonly sooner: readonly string[];
  readonly later: readonly string[];
  /** Pieces that are in time then and are not now, and the other way round. */
  readonly inTime: readonly string[];
  readonly late: readonly string[];
}

/** How many times longer a wait is in another room; 1 where nothing is known of it. */
function stretch(by: DryingBy, from: Room, to: Room, careful: boolean, deep: boolean): number {
  const factorOf = deep ? deepFactor : roomFactor;
  const [was, is] = [factorOf(by, from), factorOf(by, to)];
  return was && is ? (careful ? is.slow / was.slow : is.fast / was.fast) : 1;
}

/** Stages that are slow for what is inside the film: a fan does not hurry them. */
const DEEP: ReadonlySet<Edge["until"]> = new Set(["dry-through", "dry-hard", "cured"]);

/**
 * Work with its waits as they would be in another room.
 *
 * @returns what no room hurries stays as it is
 */
export function workInRoom(work: Work, to: Room): Work {
  const { room: from } = work;
  if (!from) return work;
  const times = (span: { readonly typicalMin: number; readonly cautiousMin: number }, by: DryingBy, deep: boolean) => {
    const typicalMin = Math.ceil(span.typicalMin * stretch(by, from, to, false, deep));
    return { typicalMin, cautiousMin: Math.max(typicalMin, Math.ceil(span.cautiousMin * stretch(by, from, to, true, deep))) };
  };
  const edge = (one: Edge): Edge => {
    if (one.by === undefined) return one;
    const waits = times(one, one.by, DEEP.has(one.until));
    const by = one.typicalMin > 0 ? waits.typicalMin / one.typicalMin : 1;
    const closes = one.closesMin === undefined ? {} : { closesMin: Math.max(waits.cautiousMin, Math.floor(one.closesMin * by)) };
    return { ...one, ...waits, ...closes };
  };
  const milestone = (one: Milestone): Milestone =>
    one.by === undefined ? one : { ...one, handle: times(one.handle, one.by, true), cured: times(one.cured, one.by, true) };
  return { ...work, tasks: work.tasks.map((task) => ({ ...task, after: task.after.map(edge) })), milestones: work.milestones.map(milestone), room: to };
}

function changed(ask: TogetherAsk, what: What): TogetherAsk | null {
  if (what === "helper") return (ask.hands ?? 1) > 1 ? null : { ...ask, hands: 2 };
  if (what === "tomorrow") return { ...ask, start: instantOf(dayLater(dateOf(ask.start, ask.hours.timeZone), 1), "00:00", ask.hours.timeZone) };
  let any = false;
  const pieces = ask.pieces.map((piece) => {
    const room = piece.work.room && remedied(piece.work.room, what);
    if (!room) return piece;
    any = true;
    return { ...piece, work: workInRoom(piece.work, room) };
  });
  return any ? { ...ask, pieces } : null;
}

/** Readiness that moves by less is not told, ms. */
const HARDLY_MS = 3 * 3_600_000;
/** Orders tried of each. */
const TRIES = 20;

const lastOf = ({ handle }: Together) => Math.max(...handle);
const sum = (values: readonly number[]) => values.reduce((all, one) => all + one, 0);

/** When each task begins as it is now, by piece and task. */
function beginsIn({ network, sittings }: Together): ReadonlyMap<string, ReadonlyMap<string, number>> {
  const begins = new Map<string, Map<string, number>>();
  for (const { node, from } of sittings.flatMap(({ stints }) => stints)) {
    const { piece, task } = network.nodes[node]!;
    const { id } = network.pieces[piece]!;
    const own = begins.get(id) ?? new Map<string, number>();
    begins.set(id, own.has(task.id) ? own : own.set(task.id, from));
  }
  return begins;
}

/** The best of what is laid anew and of what stays as it is as far as it can: with shorter waits nothing need be later than it is now. */
function bestOf(other: TogetherAsk, now: Together): Together | null {
  const begins = beginsIn(now);
  const anew = other.pieces.map(({ agreed: _agreed, ...piece }) => piece);
  const kept = anew.map((piece) => ({ ...piece, agreed: begins.get(piece.id) ?? new Map<string, number>() }));
  const found = [scheduleAll({ ...other, pieces: anew, tries: TRIES }), scheduleAll({ ...other, pieces: kept })].filter((one) => one !== null);
  const worth = (one: Together) => [sum(one.late), lastOf(one), one.handle.filter((at, k) => at > now.handle[k]! + HARDLY_MS).length, sum(one.handle)];
  return (
    found.sort((a, b) => {
      const [one, two] = [worth(a), worth(b)];
      const at = one.findIndex((value, k) => value !== two[k]);
      return at < 0 ? 0 : one[at]! - two[at]!;
    })[0] ?? null
  );
}

/**
 * What warmth, a fan, drier air, a helper, or putting it all off till tomorrow would do to all pieces.
 *
 * @param asked as it is laid out now
 * @yields of each that changes anything, what it changes; of tomorrow in any case; null of the others, so that somebody else may have a word in between
 */
export function* whatIfs(asked: TogetherAsk): Generator<WhatIfAll | null, void> {
  const now = scheduleTo(asked);
  if (!now) return;
  const ask: TogetherAsk = { ...asked, goal: "earliest" };
  const names = (is: (index: number) => boolean) => ask.pieces.flatMap(({ id }, index) => (is(index) ? [id] : []));
  for (const what of WHATS) {
    const other = changed(ask, what);
    const then = other && bestOf(other, now);
    if (!then) {
      yield null;
      continue;
    }
    const told: WhatIfAll = {
      what,
      last: { from: lastOf(now), to: lastOf(then) },
      // That something happens to fall better when all begins later is nothing that is bought.
      sooner: names((k) => what !== "tomorrow" && then.handle[k]! < now.handle[k]! - HARDLY_MS),
      later: names((k) => then.handle[k]! > now.handle[k]! + HARDLY_MS),
      inTime: names((k) => now.late[k]! > 0 && then.late[k] === 0),
      late: names((k) => now.late[k] === 0 && then.late[k]! > 0),
    };
    const isAny = told.sooner.length + told.later.length + told.inTime.length + told.late.length > 0;
    yield isAny || what === "tomorrow" ? told : null;
  }
}

/** As `whatIfs`, to its end. */
export function whatIfAll(asked: TogetherAsk): readonly WhatIfAll[] {
  return [...whatIfs(asked)].filter((one) => one !== null);
}
