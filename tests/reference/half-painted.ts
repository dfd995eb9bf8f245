/** A piece at the bench, half painted: everything a user can do to it, and what it shows then. */
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { PieceId, PlanId, ProgressId } from "#core/catalogue/ids";
import { changePiece } from "#core/coating/model/apply-changes";
import type { Change } from "#core/coating/model/change";
import type { Candidate, PlanSet } from "#core/coating/model/plan";
import { planPiece } from "#core/coating/planner/plan-piece";
import type { Keeping } from "#core/coating/planner/plan-with-edits";
import type { Piece } from "#core/piece/piece";
import { workFor } from "#core/schedule/dates-of";
import { actKey, bodyOf, coatsOn } from "#core/logbook/body-state";
import { coatEvents } from "#core/logbook/coat-events";
import { planOnBody, waysOn } from "#core/logbook/plan-on-body";
import type { BodyView, PlanFor } from "#core/logbook/plan-on-body";
import type { ProgressKind, ProgressRecord } from "#core/logbook/progress";

const HOUR = 3_600_000;
const BEGIN = Date.parse("2026-11-02T18:00:00Z");
const NOTHING_KEPT: Keeping = { candidateId: null, school: "", edits: [] };
/** A change of one fact. */
export const set = (path: string, value: unknown): Change => ({ op: "setPiece", path, value });

export const planned = new Map<string, PlanSet>();
/** Plans every piece on every body once. */
export const plan: PlanFor = (stated, body) => {
  const key = JSON.stringify([stated, body]);
  const known = planned.get(key) ?? planPiece(stated, CATALOGUE, { body });
  planned.set(key, known);
  return known;
};

/** A piece at the bench: everything a user can do to it, and what it shows then. */
export class Bench {
  progress: readonly ProgressRecord[] = [];
  keeping: Keeping = NOTHING_KEPT;
  private clock = BEGIN;
  private count = 0;

  constructor(public piece: Piece) {}

  get view(): BodyView {
    return planOnBody(this.piece, this.keeping, this.progress, CATALOGUE, plan);
  }

  record(kind: ProgressKind, events: ReturnType<typeof coatEvents>): void {
    this.clock += HOUR;
    const at = new Date(this.clock).toISOString();
    const made = events.map((event): ProgressRecord => ({
      ...event,
      id: `p${(this.count += 1)}` as ProgressId,
      rev: 1,
      pieceId: "piece" as PieceId,
      planId: "plan" as PlanId,
      kind,
      at,
    }));
    this.progress = [...this.progress, ...made];
  }

  /** Does what comes next, as many tasks as asked; follows the plan that is shown. */
  work(tasks: number): this {
    for (let n = 0; n < tasks; n += 1) {
      const { shown, done, basis } = this.view;
      const next = shown && workFor(this.piece, shown, CATALOGUE).tasks.find((task) => !done.has(task.id) && task.after.every((edge) => done.has(edge.task)));
      if (!shown || !next) return this;
      this.follow(shown, basis);
      this.record("done", coatEvents(shown, next));
    }
    return this;
  }

  /** Works until the first open step is of a role. */
  workUpTo(role: string): this {
    for (let n = 0; n < 60 && this.open()[0]?.role !== role; n += 1) this.work(1);
    return this;
  }

  follow({ id, school }: Candidate, basis: string | null): void {
    this.keeping = { ...this.keeping, candidateId: id, school, basis };
  }

  change(...changes: Change[]): this {
    this.piece = changePiece(this.piece, changes);
    return this;
  }

  chooseWay(at: number): this {
    const ways = waysOn(this.piece, this.progress, CATALOGUE, plan);
    const way = ways.set.candidates[at % Math.max(1, ways.set.candidates.length)];
    if (way) this.keeping = { candidateId: way.id, school: way.school, edits: [], basis: ways.basis };
    return this;
  }

  /** Another of the same piece that has come just as far. */
  twin(): Bench {
    const other = new Bench(this.piece);
    other.progress = this.progress;
    other.keeping = this.keeping;
    other.clock = this.clock;
    other.count = this.count;
    return other;
  }

  /** Chooses a way that was made for the bare piece, as a plan that was kept before anything was done is. */
  chooseBareWay(at: number): this {
    const { candidates } = plan(this.piece, []);
    const way = candidates[at % Math.max(1, candidates.length)];
    if (way) this.keeping = { candidateId: way.id, school: way.school, edits: [] };
    return this;
  }

  /** Ruins the coat laid last. */
  ruin(): this {
    const last = this.progress.filter((one) => one.kind === "done").at(-1);
    if (last) this.record("ruined", [last]);
    return this;
  }

  /** Steps still to be done, in working order. */
  open() {
    const { shown, done } = this.view;
    if (!shown) return [];
    const steps = new Map(shown.zones.flatMap((zone) => zone.steps.map((step) => [step.id, { ...step, zone: zone.zone }])));
    const tasks = workFor(this.piece, shown, CATALOGUE).tasks.filter((task) => !done.has(task.id));
    return tasks.map((task) => ({ ...steps.get(task.stepId)!, coat: task.coat }));
  }
}

/** What of the body a view does not show as done. */
export function missing({ view, progress, piece: stated }: Bench): readonly string[] {
  const shown = view.shown ?? view.onIt;
  const zones = new Map(shown?.zones.map((zone) => [zone.zone, zone.steps]));
  return bodyOf(progress).flatMap((laid) => {
    const steps = zones.get(laid.zone);
    if (!steps) return planZones(stated).includes(laid.zone) ? [`${laid.zone}: ${actKey(laid.act)} is nowhere`] : [];
    const same = steps.filter((step) => actKey(step) === actKey(laid.act));
    const asDone = same.filter((step) => step.done).reduce((sum, step) => sum + step.coats, 0);
    const ticked = new Set(same.flatMap((step) => [...view.done.keys()].filter((id) => id.startsWith(`${step.id}:`)).map((id) => id.split(":", 2).join(":"))));
    return asDone + ticked.size >= coatsOn(laid) ? [] : [`${laid.zone}: ${actKey(laid.act)}, ${asDone + ticked.size} of ${coatsOn(laid)}`];
  });
}

function planZones(stated: Piece): readonly string[] {
  const { shown } = planOnBody(stated, NOTHING_KEPT, [], CATALOGUE, plan);
  return shown ? [...shown.zones.map((zone) => zone.zone), ...shown.bare] : [];
}

/** Grave findings on what can no longer be changed. */
export function pastFaults({ view }: Bench): readonly string[] {
  const done = new Set(view.shown?.zones.flatMap((zone) => zone.steps.filter((step) => step.done).map((step) => step.id)));
  const grave = view.shown?.findings.filter((one) => one.severity === "stop" || one.severity === "warn") ?? [];
  return grave.flatMap((one) => (one.stepId && done.has(one.stepId) && !one.fix.change ? [`${one.code} on ${one.stepId}`] : []));
}
