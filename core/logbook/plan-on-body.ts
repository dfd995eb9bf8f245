import type { Catalogue } from "../catalogue/catalogue";
import { pieceFacts } from "../coating/facts/facts";
import type { LaidStep } from "../coating/model/laid-step";
import { stepId } from "../catalogue/ids";
import type { StepId } from "../catalogue/ids";
import type { Candidate, PlanSet } from "../coating/model/plan";
import type { StepChoice } from "../coating/model/step";
import { choiceOf } from "../coating/model/step-choice";
import { makeCandidate } from "../coating/planner/candidate";
import { asDoneStep } from "../coating/planner/piece-search";
import { planPiece } from "../coating/planner/plan-piece";
import type { Asked } from "../coating/planner/piece-search";
import { remade } from "../coating/planner/edited";
import { followedIn, productsKept } from "../coating/planner/plan-with-edits";
import type { Keeping, PlanView } from "../coating/planner/plan-with-edits";
import { completePiece } from "../piece/complete-piece";
import type { Piece } from "../piece/piece";
import { alignWith } from "./align";
import { bodyOf, dryingSince, laidGroups, laidSince, laidSteps } from "./body-state";
import type { LaidAct, LaidGroup } from "./body-state";
import type { Change } from "../coating/model/change";
import { taskId } from "../coating/facts/task";
import type { ProgressRecord } from "./progress";

/** A plan as it stands at the bench. */
export interface BodyView extends PlanView {
  /** Instant, ms, at which each task that is done ended. */
  readonly done: ReadonlyMap<string, number>;
  /** Instant, ms, at which the film of a task was last found tacky. */
  readonly tacky: ReadonlyMap<string, number>;
  /** What the plan was made for: the bare piece, or the body as it was at this instant. */
  readonly basis: string | null;
  /** What is on the piece when nothing more can be planned for it; null otherwise. */
  readonly onIt: Candidate | null;
}

/** Plans a piece with what is on it; may remember what was planned before. */
export type PlanFor = (piece: Piece, body: readonly LaidStep[], followed?: Asked["followed"]) => PlanSet;

function planFor(catalogue: Catalogue): PlanFor {
  return (piece, body, followed) => planPiece(piece, catalogue, { body, ...(followed ? { followed } : {}) });
}

/** What is on a piece, as a plan of nothing but done steps. */
function onlyBody(piece: Piece, body: readonly LaidStep[], catalogue: Catalogue): Candidate | null {
  if (body.length === 0) return null;
  const facts = pieceFacts(completePiece(piece, catalogue).piece, catalogue);
  const zones = facts.zones.flatMap(({ zone, areaMm2 }) => {
    const steps = body.filter((step) => step.zone === zone).map(asDoneStep);
    return steps.length > 0 ? [{ zone, areaMm2, steps }] : [];
  });
  return zones.length > 0 ? makeCandidate(facts, zones, [], { title: "", route: "air" }) : null;
}

const stops = (candidate: Candidate) => candidate.findings.some((one) => one.severity === "stop");

/** A step the user has put into the plan, and that is on the body by now: a plan made for that body does not ask for it again. */
function isLaidSince(edit: Change, body: readonly LaidAct[]): boolean {
  return edit.op === "add" && edit.step.id !== undefined && body.some(({ zone, stepId: id }) => zone === edit.zone && id === edit.step.id);
}

/** What was seen since of films that were recorded before a plan was made: by their tasks, since when they dry, and when they were last found tacky. */
function seenSince(body: readonly LaidAct[], recorded: readonly LaidGroup[]): Pick<BodyView, "done" | "tacky"> {
  const [done, tacky] = [new Map<string, number>(), new Map<string, number>()];
  for (const { step, coats } of recorded) {
    const here = body.flatMap((laid) => (laid.zone === step.zone ? laid.coats : []));
    const now = coats.flatMap((coat) => here.find(({ at, coat: number, half }) => at === coat.at && number === coat.coat && half === coat.half) ?? []);
    if (step.id === undefined || now.length === 0) continue;
    const found = now.flatMap(({ tackyAt }) => (tackyAt === undefined ? [] : [Date.parse(tackyAt)]));
    done.set(taskId(step.id, 1), Math.max(...now.map((coat) => Date.parse(dryingSince(coat)))));
    if (found.length > 0) tacky.set(taskId(step.id, 1), Math.max(...found));
  }
  return { done, tacky };
}

/** The plan made for the body as it was at an instant, if what was done since is of it. */
function viewFrom(
  piece: Piece,
  keeping: Keeping,
  progress: readonly ProgressRecord[],
  basis: string | null,
  catalogue: Catalogue,
  plan: PlanFor,
): BodyView | null {
  const now = bodyOf(progress);
  const before = basis === null ? [] : bodyOf(progress.filter((one) => one.at <= basis));
  const since = laidSince(before, now);
  if (!since) return null;
  const groups = laidGroups(before);
  const onBody = groups.map(({ step }) => step);
  const kept = basis === (keeping.basis ?? null) ? keeping : { ...keeping, edits: keeping.edits.filter((edit) => !isLaidSince(edit, before)) };
  const view = followedIn(plan(piece, onBody, productsKept(keeping, catalogue)), kept, piece, catalogue);
  if (!view.shown) return since.length > 0 ? null : { ...view, done: new Map(), tacky: new Map(), basis, onIt: onlyBody(piece, onBody, catalogue) };
  const known = new Set(completeZones(piece, catalogue));
  const aligned = alignWith(
    view.shown,
    since.filter((laid) => known.has(laid.zone)),
    catalogue,
  );
  if (!aligned) return null;
  const shown = aligned.zones ? remade(view.shown, aligned.zones, piece, catalogue) : view.shown;
  if (aligned.zones && stops(shown) && !stops(view.shown)) return null;
  const earlier = seenSince(now, groups);
  const [done, tacky] = [new Map([...aligned.done, ...earlier.done]), new Map([...earlier.tacky, ...aligned.tacky])];
  return { ...view, shown, done, tacky, basis, onIt: null };
}

function completeZones(piece: Piece, catalogue: Catalogue): readonly string[] {
  return pieceFacts(completePiece(piece, catalogue).piece, catalogue).zones.map((zone) => zone.zone);
}

/**
 * The plan the user follows, as it stands with what was done. The body is folded from the records alone: a plan that what was done is part
 * of goes on; where facts or choices have changed so that it is not, one is made for the body as it is.
 *
 * @param progress every record of the piece
 * @param plan plans a piece with what is on it; `planPiece` when absent
 * @returns the view; what is on the body is in it whatever was changed
 */
export function planOnBody(
  piece: Piece,
  keeping: Keeping,
  progress: readonly ProgressRecord[],
  catalogue: Catalogue,
  plan: PlanFor = planFor(catalogue),
): BodyView {
  const last = progress.reduce<string | null>((latest, one) => (latest === null || one.at > latest ? one.at : latest), null);
  const kept = keeping.basis ?? null;
  const view = viewFrom(piece, keeping, progress, kept, catalogue, plan);
  if (view) return view;
  return viewFrom(piece, keeping, progress, last, catalogue, plan)!;
}

/**
 * The ways open from where the work stands: every candidate goes on from what is on the body.
 *
 * @returns the plan set, and what it was made for
 */
export function waysOn(
  piece: Piece,
  progress: readonly ProgressRecord[],
  catalogue: Catalogue,
  plan: PlanFor = planFor(catalogue),
): { readonly set: PlanSet; readonly basis: string | null } {
  const body = bodyOf(progress);
  const basis = progress.reduce<string | null>((latest, one) => (latest === null || one.at > latest ? one.at : latest), null);
  return { set: plan(piece, laidSteps(body)), basis: body.length > 0 ? basis : null };
}

/** What is left of a step of which some coats are done is a step of its own. */
const MORE = ".more";

/** The step of the plan itself, of what is left of it. */
export function wholeStep(id: StepId): StepId {
  return id.endsWith(MORE) ? stepId(id.slice(0, -MORE.length)) : id;
}

/**
 * A plan as far as it is still to do: what is done counts as on the piece, so that it compares with the other ways from here.
 *
 * @param done instant, ms, at which each task that is done ended
 */
export function standingPlan(piece: Piece, shown: Candidate, done: ReadonlyMap<string, number>, catalogue: Catalogue): Candidate {
  if (done.size === 0) return shown;
  const coatsDone = (id: string) => new Set([...done.keys()].filter((task) => task.startsWith(`${id}:`)).map((task) => task.split(":")[1])).size;
  const zones = shown.zones.map((zone) => ({
    ...zone,
    steps: zone.steps.flatMap((step): readonly StepChoice[] => {
      const choice = choiceOf(step);
      const laid = step.done ? 0 : coatsDone(step.id);
      if (laid === 0) return [choice];
      const ends = [...done].flatMap(([task, end]) => (task.startsWith(`${step.id}:`) ? [end] : []));
      const onIt: StepChoice = { ...choice, done: true, coats: Math.min(laid, step.coats), laidAt: new Date(Math.max(...ends)).toISOString() };
      return laid >= step.coats ? [onIt] : [onIt, { ...choice, id: stepId(`${step.id}${MORE}`), coats: step.coats - laid }];
    }),
  }));
  return remade(shown, zones, piece, catalogue);
}

/** What of a plan is still to do, as one text: two plans of the same text go on alike. */
export function stillToDo({ zones }: Candidate): string {
  return JSON.stringify(
    zones.map(({ zone, steps }) => [
      zone,
      steps.filter((step) => !step.done).map((step) => [step.role, step.product, step.coats, step.colour, step.technique, step.sheen, step.heat]),
    ]),
  );
}
