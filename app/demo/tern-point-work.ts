import type { ProgressId } from "#core/catalogue/ids";
import { planId, progressId } from "#core/catalogue/ids";
import { tasksOf } from "#core/coating/facts/task";
import type { Task } from "#core/coating/facts/task";
import { ENGINE_VERSION } from "#core/coating/planner/engine-version";
import type { PlanRecord } from "#core/formats/stores/plans";
import { coatEvents, countedEvents } from "#core/logbook/coat-events";
import type { CoatEvent, ProgressRecord } from "#core/logbook/progress";
import { backdated } from "#core/schedule/backdate";
import { MS_PER_MIN, usualHours } from "#core/schedule/free-hours";
import type { FreeHours, Sitting } from "#core/schedule/free-hours";
import type { DemoPiece, DemoPlans, DemoState } from "./tern-point";

/** The plan of a made-up piece, as it was worked out. */
export type DemoView = DemoPlans["plans"][string];

/** What was done on a made-up piece by now. */
export interface DemoWork {
  readonly plan: PlanRecord;
  /** By time. */
  readonly progress: readonly ProgressRecord[];
  /** Instants, ms, at which tasks ended, by their ids. */
  readonly done: ReadonlyMap<string, number>;
  /** When the hands were on it, the first time first. */
  readonly hands: readonly Sitting[];
}

/** A piece with a plan, and the tasks that are done of it. */
interface Stated {
  readonly one: DemoPiece;
  readonly state: DemoState;
  readonly view: DemoView;
  readonly done: readonly Task[];
  readonly ended: number;
  readonly next: readonly Task[];
}

/** @throws when the plan has no such coat: what is stated of the piece is not true of its plan */
function statedIn(one: DemoPiece, state: DemoState, view: DemoView, now: number): Stated {
  const { shown, work } = view;
  const { zone, role, technique, coat } = state.last;
  const steps = shown?.zones.find((each) => each.zone === zone)?.steps ?? [];
  const step = steps.findLast((each) => each.role === role && each.technique === technique);
  const last = work?.tasks.findLastIndex((task) => task.stepId === step?.id && task.coat === coat) ?? -1;
  if (!work || !shown || last < 0) throw new Error(`${one.id} has no ${role} ${coat} on its ${zone}`);
  const done = work.tasks.slice(0, last + 1);
  const following = work.tasks[last + 1];
  const act = following && shown.acts.find(({ stepIds }) => stepIds.includes(following.stepId));
  const next = act && following ? tasksOf(act, work).filter(({ coat: of, half }) => of === following.coat && half === following.half) : [];
  return { one, state, view, done, ended: now - state.minutesAgo * MS_PER_MIN, next };
}

const isoOf = (instant: number) => new Date(instant).toISOString();

/** The pieces of a batch that have the coat under way, counted one after another until just now. */
function counted({ one, state, view, next }: Stated, now: number): readonly (CoatEvent & { readonly at: string })[] {
  const { underWay } = state;
  const { shown } = view;
  if (!underWay || !shown) return [];
  const each = (underWay.begunMinutesAgo * MS_PER_MIN) / (underWay.pieces + 1);
  return Array.from({ length: underWay.pieces + 1 }, (_unused, pieces) => {
    const at = isoOf(now - underWay.begunMinutesAgo * MS_PER_MIN + pieces * each);
    return countedEvents(shown, next, pieces, one.piece.count ?? 1).map((coat) => ({ ...coat, at }));
  }).flat();
}

/** When the hands are known to have been on a piece: at what it was left with, and at what is under way. */
function fixedHands({ state, done, ended }: Stated, now: number, hours: FreeHours): readonly Sitting[] {
  const hands = [...backdated(done.slice(-1), ended, hours, []).values()];
  return state.underWay ? [...hands, { from: now - state.underWay.begunMinutesAgo * MS_PER_MIN, to: now }] : hands;
}

/**
 * What was done at Tern Point until an instant, so that every piece stands as it is stated to, whatever the weekday, the hour and the zone: its last coat
 * was finished as long ago as is stated, and all before it in the usual hours, one thing at a time, every wait kept.
 *
 * @param pieces made-up pieces
 * @param viewOf the plan of each that is begun
 * @param now instant, ms
 * @param timeZone IANA name
 * @returns by piece; pieces that are not begun are not among them
 * @throws when a piece is stated to have a coat that its plan has not
 */
export function ternPointWork(pieces: readonly DemoPiece[], viewOf: (id: string) => DemoView, now: number, timeZone: string): ReadonlyMap<string, DemoWork> {
  const hours = usualHours(timeZone);
  const stated = pieces.flatMap((one) => (one.state ? [statedIn(one, one.state, viewOf(one.id), now)] : []));
  const taken = stated.flatMap((each) => fixedHands(each, now, hours).map((hands) => ({ id: each.one.id, ...hands })));
  const worked = new Map<string, DemoWork>();
  for (const each of stated) {
    const { one, view, done, ended } = each;
    const shown = view.shown!;
    const elsewhere = taken.filter(({ id }) => id !== one.id);
    const dated = backdated(done, ended, hours, elsewhere);
    taken.push(...[...dated.values()].slice(1).map((hands) => ({ id: one.id, ...hands })));
    const plan: PlanRecord = {
      id: planId(`${one.id}plan`),
      pieceId: one.id,
      rev: 1,
      school: shown.school,
      candidateId: shown.id,
      edits: [],
      pinned: [],
      engineVersion: ENGINE_VERSION,
      made: view.made,
      madeFor: view.madeFor,
    };
    const idOf = (index: number): ProgressId => progressId(`${one.id}done${String(index).padStart(3, "0")}`);
    const ends = done.map((task) => ({ task, at: dated.get(task.id)!.to })).sort((a, b) => a.at - b.at);
    const events = [
      ...ends.flatMap(({ task, at }) => coatEvents(shown, task).map((coat) => ({ ...coat, at: isoOf(at), kind: "done" as const }))),
      ...counted(each, now).map((coat) => ({ ...coat, kind: "started" as const })),
    ];
    worked.set(one.id, {
      plan,
      progress: events.map((event, index) => ({ ...event, id: idOf(index), rev: 1, pieceId: one.id, planId: plan.id })),
      done: new Map(ends.map(({ task, at }) => [task.id, at])),
      hands: [...dated.values()].sort((a, b) => a.from - b.from),
    });
  }
  return worked;
}
