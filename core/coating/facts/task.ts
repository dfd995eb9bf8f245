import type { ProductId, StepId } from "../../catalogue/ids";
import type { DryingBy } from "../../drying/room-factor";
import type { Room } from "../../piece/piece";
import type { DryingStage, ZoneId } from "../../catalogue/vocabulary";

/** What has to have happened before, and how long ago. */
export interface Edge {
  readonly task: string;
  /** Least wait after its end, minutes: usual and careful. */
  readonly typicalMin: number;
  readonly cautiousMin: number;
  readonly until: DryingStage;
  /** What the wait is for: a film that dries so, or the body; absent where no room hurries it, such as what cools. */
  readonly by?: DryingBy;
  /** The class of the film that is waited for. */
  readonly film?: ProductId;
  /** Typical wait as it was reckoned, minutes, where `typicalMin` is what the user's own table has taught. */
  readonly reckonedMin?: number;
  /** What the film's label itself says of the stage, at 23 °C and 50 %, minutes: nothing learnt comes below it. */
  readonly labelMin?: number;
  /** The recoat window shuts this long after its end, and opens again later; absent: it stays open. */
  readonly closesMin?: number;
  readonly reopensMin?: number;
  /** It is worked into what the other laid while that is wet: piece by piece where there are several. */
  readonly wet?: true;
}

/** What a task asks of a film on its place. */
export interface Over extends Edge {
  /** It is laid before in any case; else it counts only where it is on. */
  readonly ordered: boolean;
  /** Bakes that make it dry, where they come after it: tasks. */
  readonly heats: readonly string[];
}

/** One sitting's worth of hands-on work: one coat, or one half of it, or an act on the whole piece. */
export interface Task {
  readonly id: string;
  readonly stepId: StepId;
  readonly coat: number;
  readonly half?: "first" | "second";
  readonly zones: readonly ZoneId[];
  /** What is laid in one go has one name: a coat of an act, in all its places; absent where it goes by itself. */
  readonly go?: string;
  readonly handsOnMin: number;
  /** As it was reckoned, minutes, where `handsOnMin` is what the user's own hands have taught. */
  readonly reckonedMin?: number;
  /** It may be put down and taken up again in the middle of a piece: dots may, a coat may not, or its edge shows. */
  readonly breaks?: true;
  /** It is in the oven or the kiln for so long, from its begin, minutes: nothing else of another heat is in it meanwhile. */
  readonly oven?: { readonly typicalMin: number; readonly cautiousMin: number };
  readonly after: readonly Edge[];
  /** What it asks of every film on its place; see `overWhatIsOn`. */
  readonly over?: readonly Over[];
  /** How long what it lays is wet to the touch; absent of what leaves no film. */
  readonly touch?: WetToTouch;
}

/** How long a film is wet to the touch, minutes: usually and as a careful painter waits. */
export interface WetToTouch {
  readonly typicalMin: number;
  readonly cautiousMin: number;
  readonly by?: DryingBy;
  readonly film: ProductId;
  readonly labelMin?: number;
}

/** What comes after the last task: drying for handling, and cure; minutes after the end of `task`. */
export interface Milestone {
  readonly task: string;
  /** What makes its last film dry, and its class; absent where no room hurries it. */
  readonly by?: DryingBy;
  readonly film?: ProductId;
  readonly handle: { readonly typicalMin: number; readonly cautiousMin: number };
  readonly cured: { readonly typicalMin: number; readonly cautiousMin: number };
}

export interface Work {
  /** In working order: what comes first is done first when both could be. */
  readonly tasks: readonly Task[];
  readonly milestones: readonly Milestone[];
  /** The room it dries in: where its nights are not as its days, waits go by the hour; absent: they are as the plan tells them. */
  readonly room?: Room;
}

/**
 * Names a task by its step, coat and half.
 *
 * @param coat from 1
 * @param half which half of an upright piece
 * @example taskId("top-base", 2, "first") // "top-base:2:first"
 */
export function taskId(stepId: string, coat: number, half?: "first" | "second"): string {
  return half ? `${stepId}:${coat}:${half}` : `${stepId}:${coat}`;
}

/** What is laid in one go: a coat in all its places; of what is held, one half of it. */
function sameGo(one: Task, other: Task): boolean {
  return one.coat === other.coat && (one.half === "second") === (other.half === "second");
}

/**
 * The tasks of an act, in all its places.
 *
 * @param stepIds its steps, one a place
 */
export function tasksOf({ stepIds }: { readonly stepIds: readonly StepId[] }, { tasks }: Pick<Work, "tasks">): readonly Task[] {
  return tasks.filter((task) => stepIds.includes(task.stepId));
}

/**
 * What comes next of an act: its next coat, in every place that still wants it.
 *
 * @param tasks of one act, in working order
 * @param done tasks that are done, by id
 * @returns none when all of it is done
 */
export function nextGo(tasks: readonly Task[], done: ReadonlyMap<string, number>): readonly Task[] {
  const next = tasks.find((task) => !done.has(task.id));
  return next ? tasks.filter((task) => sameGo(task, next) && !done.has(task.id)) : [];
}

/**
 * What was laid last of an act, in every place that has it.
 *
 * @returns none when nothing of it is done
 */
export function lastGo(tasks: readonly Task[], done: ReadonlyMap<string, number>): readonly Task[] {
  const last = tasks.findLast((task) => done.has(task.id));
  return last ? tasks.filter((task) => sameGo(task, last) && done.has(task.id)) : [];
}
