import { workableMin } from "../../drying/film-drying";
import { heatTimeline } from "../../drying/heat-timeline";
import type { HeatTimeline } from "../../drying/heat-timeline";
import type { Act, Candidate, OrderedCoat } from "../model/plan";
import type { Step, StepChoice, Wait, ZoneSteps } from "../model/step";
import type { Exposure } from "../../catalogue/use";
import type { DryingStage, Role, ZoneId } from "../../catalogue/vocabulary";
import type { ProductId, StepId } from "../../catalogue/ids";
import type { DryingBy } from "../../drying/room-factor";
import { runsInto } from "./waits";
import { taskId } from "./task";
import type { FilmDemand } from "./film-demands";
import type { Edge, Milestone, Over, Task, Work } from "./task";

/** What of a plan says how its work hangs together. */
export type Worked = Pick<Candidate, "zones" | "order" | "acts">;

type Draft = Omit<Task, "after" | "over" | "zones"> & { readonly after: Edge[]; readonly over: Over[]; readonly zones: ZoneId[] };

/** A chain's steps without the cure, which nobody works at, and without what is on the piece since nobody knows when. */
function worked(zone: ZoneSteps): readonly Step[] {
  return zone.steps.filter((step) => step.role !== "cure" && (!step.done || step.laidAt !== undefined));
}

function edge(task: string, typicalMin: number, cautiousMin: number, until: Edge["until"]): Edge {
  return { task, typicalMin: Math.ceil(typicalMin), cautiousMin: Math.ceil(Math.max(typicalMin, cautiousMin)), until };
}

/** What makes a film dry, its class, and what its label says of its stages. */
export interface Film {
  readonly by: DryingBy;
  readonly film: ProductId;
  readonly labelMin?: (stage: DryingStage) => number | undefined;
}

/** The film of a step; undefined of what leaves none that dries. */
export type FilmOf = (step: StepChoice) => Film | undefined;

/** What an edge says of the film it waits for. */
function waitsFor(film: Film | undefined, until: DryingStage): Pick<Edge, "by" | "film" | "labelMin"> {
  if (!film) return {};
  const label = film.labelMin?.(until);
  return { by: film.by, film: film.film, ...(label === undefined ? {} : { labelMin: label }) };
}

const NOTHING_DRIES: FilmOf = () => undefined;

/** Between two coats of one step: the next from when it takes one, within the window where there is one. */
function betweenCoats(task: string, step: Step, dries: Film | undefined): Edge {
  const { typical, cautious } = step;
  const open = { ...edge(task, typical?.recoatFrom ?? 0, cautious?.recoatFrom ?? 0, "dry-to-recoat"), ...waitsFor(dries, "dry-to-recoat") };
  const closes = typical?.recoatUntil;
  return closes === undefined ? open : { ...open, closesMin: Math.max(open.cautiousMin, Math.floor(closes)), reopensMin: Math.ceil(typical!.dryThrough) };
}

/** How long a bake takes, from the cold oven until it may be taken out by hand; null of what is none. */
function bakeOf({ heat }: Step): HeatTimeline["totalMin"] | null {
  return heat ? heatTimeline(heat).totalMin : null;
}

/** Between two steps of a place: the wait before the later one, and the time a bake takes. */
function between(previous: { readonly step: Step; readonly last: Draft }, wait: Wait | null, film: Film | undefined): Edge {
  const baked = bakeOf(previous.step);
  const [typical, cautious] = [wait?.min ?? 0, wait?.cautiousMin ?? wait?.min ?? 0];
  const until = wait?.until ?? "dry-to-touch";
  const tie = edge(previous.last.id, Math.max(typical, baked?.typicalMin ?? 0), Math.max(cautious, baked?.cautiousMin ?? 0), until);
  // What cools, what hardens with water, and what the user has said, goes by no air.
  const isOfRoom = wait !== null && typical >= (baked?.typicalMin ?? 0) && wait.set !== "hers";
  if (!isOfRoom || wait.body === "cement") return tie;
  return { ...tie, ...(until === "dry-body" ? { by: "evaporation" } : waitsFor(film, until)) };
}

/** The longest a step may be put off after the one before: a mask is lifted before the paint is hard, colours that are blended are laid while they are wet. */
function closing(tie: Edge, step: Step, below: Step | undefined): Edge {
  const film = below?.typical;
  if (!film) return tie;
  if (runsInto(step, below)) return { ...tie, closesMin: Math.max(1, Math.floor(workableMin(film.touchDry))), wet: true };
  return step.role === "unmask" && step.group === undefined ? { ...tie, closesMin: Math.max(tie.cautiousMin, Math.floor(film.dryHard)) } : tie;
}

/** The second half waits until the first can be held. */
function betweenHalves(task: string, step: Step, dries: Film | undefined): Edge {
  return { ...edge(task, step.typical?.touchDry ?? 0, step.cautious?.touchDry ?? 0, "dry-to-touch"), ...waitsFor(dries, "dry-to-touch") };
}

const filmOnly = (film: Film | undefined): Pick<Milestone, "by" | "film"> => (film ? { by: film.by, film: film.film } : {});

/** How long what a step lays is wet to the touch. */
function touchOf(step: Step, film: Film | undefined): Pick<Task, "touch"> {
  if (!step.typical || !step.cautious) return {};
  const [typicalMin, cautiousMin] = [step.typical.touchDry, Math.max(step.typical.touchDry, step.cautious.touchDry)];
  return { touch: { typicalMin, cautiousMin, ...(film ? waitsFor(film, "dry-to-touch") : {}), film: step.product } };
}

/** Acts that are put down and taken up again in the middle of a piece [common practice]. */
const BROKEN_OFF: ReadonlySet<Role> = new Set(["mark", "sand", "mask"]);

/** Marks are put down between two of them; a field of colour is laid in one go, or its edge shows, and what blends wet has to stay wet. */
function isBrokenOff({ role, marks, while: state }: Step): boolean {
  return BROKEN_OFF.has(role) || (marks !== undefined && marks !== null && state !== "wet");
}

/** All tasks in working order, not yet tied together. */
function drafts(candidate: Worked, filmOf: FilmOf): ReadonlyMap<string, Draft> {
  const byStep = new Map(candidate.zones.flatMap((zone) => worked(zone).map((step) => [step.id, { step, zone: zone.zone }] as const)));
  const zonesOf = (step: Step, own: ZoneId) =>
    step.group === undefined ? [own] : candidate.zones.filter((zone) => zone.steps.some((one) => one.group === step.group)).map((zone) => zone.zone);
  const actOf = new Map(candidate.acts.flatMap(({ number, stepIds }) => stepIds.map((id) => [id as string, number] as const)));
  // The second halves of what is held are laid once the first may be.
  const goOf = (step: StepId, coat: number, half: Task["half"]) =>
    actOf.has(step) ? { go: `${actOf.get(step)}/${coat}${half === "second" ? "/second" : ""}` } : {};
  const counts = new Map<string, number>();
  for (const { stepId } of candidate.order) counts.set(stepId, (counts.get(stepId) ?? 0) + 1);
  const made = candidate.order.flatMap(({ stepId, coat, half }: OrderedCoat): Draft[] => {
    const known = byStep.get(stepId);
    if (!known) return [];
    const { step, zone } = known;
    const id = taskId(stepId, coat, half);
    const breaks = isBrokenOff(step) ? { breaks: true as const } : {};
    return [
      {
        id,
        stepId,
        coat,
        ...(half ? { half } : {}),
        zones: zonesOf(step, zone),
        ...goOf(stepId, coat, half),
        handsOnMin: step.handsOnMin / counts.get(stepId)!,
        ...breaks,
        ...touchOf(step, filmOf(step)),
        ...(step.heat ? { oven: { typicalMin: Math.ceil(bakeOf(step)!.typicalMin), cautiousMin: Math.ceil(bakeOf(step)!.cautiousMin) } } : {}),
        after: [],
        over: [],
      },
    ];
  });
  // What was recorded is done, and still has to dry.
  const recorded = [...byStep.values()].flatMap(({ step, zone }): Draft[] =>
    step.done ? [{ id: taskId(step.id, 1), stepId: step.id, coat: 1, zones: [zone], handsOnMin: 0, ...touchOf(step, filmOf(step)), after: [], over: [] }] : [],
  );
  return new Map([...recorded, ...made].map((draft) => [draft.id, draft]));
}

/** The tasks of one step, in order; a shared act is known by the first zone's step. */
function tasksOfStep(step: Step, candidate: Worked, all: ReadonlyMap<string, Draft>): readonly Draft[] {
  const own = [...all.values()].filter((draft) => draft.stepId === step.id);
  if (own.length > 0 || step.group === undefined) return own;
  const twins = candidate.zones.flatMap((zone) => zone.steps.filter((one) => one.group === step.group)).map((one) => one.id);
  return [...all.values()].filter((draft) => twins.includes(draft.stepId));
}

function tieCoats(step: Step, tasks: readonly Draft[], dries: Film | undefined): void {
  for (const [index, task] of tasks.entries()) {
    const before = tasks[index - 1];
    if (!before) continue;
    const sameCoat = before.coat === task.coat;
    task.after.push(sameCoat ? betweenHalves(before.id, step, dries) : betweenCoats(before.id, step, dries));
    // A half takes its next coat over its own last one too.
    const ownHalf = tasks[index - 2];
    if (!sameCoat && task.half && ownHalf) task.after.push(betweenCoats(ownHalf.id, step, dries));
  }
}

/** A coat of one act is laid everywhere in one go: each place waits for what any of them waits for. */
function joinActs(acts: readonly Act[], all: readonly Draft[]): void {
  for (const { stepIds, coats } of acts) {
    if (stepIds.length < 2) continue;
    const steps = new Set(stepIds);
    for (let coat = 1; coat <= coats; coat += 1) {
      const own = all.filter((draft) => steps.has(draft.stepId) && draft.coat === coat);
      const inside = new Set(own.map((draft) => draft.id));
      const before = own.flatMap((draft) => draft.after.filter((one) => !inside.has(one.task)));
      const over = own.flatMap((draft) => draft.over.filter((one) => !inside.has(one.task)));
      for (const draft of own) {
        draft.after.push(...before.filter((one) => !draft.after.includes(one)));
        // What is not there yet is waited for where it is to lie beneath; what is there, everywhere.
        draft.over.push(...over.filter((one) => !draft.over.includes(one)).map((one) => ({ ...one, ordered: false })));
      }
    }
  }
}

/** Tells every task of a step what it asks of every coat of a film on its place. */
function tieFilms(demands: readonly FilmDemand[], candidate: Worked, all: ReadonlyMap<string, Draft>, filmOf: FilmOf): void {
  const steps = new Map(candidate.zones.flatMap((zone) => worked(zone)).map((step) => [step.id, step] as const));
  for (const { upper, lower, typicalMin, cautiousMin, until, beneath, heats } of demands) {
    const [above, below] = [steps.get(upper), steps.get(lower)];
    if (!above || !below) continue;
    const lowers = tasksOfStep(below, candidate, all);
    const baking = heats.flatMap((id) => tasksOfStep(steps.get(id)!, candidate, all).map((task) => task.id));
    for (const task of tasksOfStep(above, candidate, all))
      for (const one of lowers)
        task.over.push({
          ...edge(one.id, typicalMin, cautiousMin, until),
          ...waitsFor(filmOf(below), until),
          ordered: beneath && one === lowers.at(-1),
          heats: baking,
        });
  }
}

/** Whether what a zone stands on is done before it is begun. */
function isUnderside(zone: ZoneSteps, exposures: ReadonlyMap<ZoneId, Exposure>): boolean {
  return exposures.get(zone.zone) === "underside";
}

/**
 * Turns a candidate into tasks tied by waits: coats of a step, steps of a zone, halves of an upright piece, what it stands
 * on before the rest, shared acts once.
 *
 * @param exposures what each zone meets, so that undersides come first
 * @param filmOf the film of each step: absent, waits are told as they are whatever the hour
 * @param demands what each step asks of each film on its place
 */
export function workOf(candidate: Worked, exposures: ReadonlyMap<ZoneId, Exposure>, filmOf: FilmOf = NOTHING_DRIES, demands: readonly FilmDemand[] = []): Work {
  const all = drafts(candidate, filmOf);
  const milestones: Milestone[] = [];
  const undersideEnds: Edge[] = [];
  const tied = new Set<string>();
  for (const zone of candidate.zones) {
    const steps = worked(zone);
    let previous: { readonly step: Step; readonly last: Draft } | null = null;
    let film: Step | undefined;
    for (const step of steps) {
      const tasks = tasksOfStep(step, candidate, all);
      const first = tasks[0];
      if (!first) continue;
      if (!tied.has(first.id)) tieCoats(step, tasks, filmOf(step));
      tied.add(first.id);
      const wait = step.waitBefore;
      if (previous && previous.last !== first && !first.after.some((one) => one.task === previous!.last.id && one.typicalMin >= (wait?.min ?? 0)))
        first.after.push(closing(between(previous, wait ?? null, film && filmOf(film)), step, film));
      previous = { step, last: tasks[tasks.length - 1]! };
      if (step.typical) film = step;
    }
    if (!previous) continue;
    // What has been baked is dry right through: only what was laid after it has to dry.
    const last = steps.slice(steps.findLastIndex((step) => bakeOf(step) !== null) + 1).findLast((step) => step.typical !== null);
    const cure = zone.steps.find((step) => step.role === "cure")?.waitBefore;
    const span = (typicalMin: number, cautiousMin: number) => ({ typicalMin, cautiousMin: Math.max(typicalMin, cautiousMin) });
    const baked = bakeOf(previous.step);
    const handle = baked ? span(baked.typicalMin, baked.cautiousMin) : span(last?.typical?.dryThrough ?? 0, last?.cautious?.dryThrough ?? 0);
    milestones.push({
      task: previous.last.id,
      ...(baked || !last ? {} : filmOnly(filmOf(last))),
      handle,
      cured: span(Math.max(handle.typicalMin, cure?.min ?? 0), Math.max(handle.cautiousMin, cure?.cautiousMin ?? cure?.min ?? 0)),
    });
    if (isUnderside(zone, exposures) && candidate.acts.some((act) => act.zones.length === 1 && act.zones[0] === zone.zone)) {
      const own = steps.filter((step) => step.group === undefined);
      const ends = own.length > 0 ? tasksOfStep(own[own.length - 1]!, candidate, all).at(-1) : undefined;
      if (ends)
        undersideEnds.push({
          ...edge(ends.id, last?.typical?.dryHard ?? 0, last?.cautious?.dryHard ?? 0, "dry-hard"),
          ...waitsFor(last && filmOf(last), "dry-hard"),
        });
    }
  }
  // What all places get together comes first; the rest waits until what it stands on can be put down.
  const under = new Set(candidate.zones.filter((zone) => isUnderside(zone, exposures)).map((zone) => zone.zone));
  const last = Math.max(0, ...candidate.acts.filter((act) => act.zones.every((zone) => under.has(zone))).map((act) => act.number));
  const numbers = new Map(candidate.acts.flatMap(({ number, stepIds }) => stepIds.map((id) => [id, number] as const)));
  for (const zone of candidate.zones) {
    if (isUnderside(zone, exposures)) continue;
    const begin = worked(zone).find((step) => step.group === undefined && (numbers.get(step.id) ?? 0) > last);
    const first = begin ? tasksOfStep(begin, candidate, all)[0] : undefined;
    first?.after.push(...undersideEnds);
  }
  tieFilms(demands, candidate, all, filmOf);
  joinActs(candidate.acts, [...all.values()]);
  return { tasks: [...all.values()], milestones };
}
