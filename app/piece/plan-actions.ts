import type { StepId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import { touchAsked } from "#core/logbook/actual";
import type { Touch } from "#core/logbook/learning/stages";
import { coatEvents } from "#core/logbook/coat-events";
import type { Look } from "#core/logbook/progress";
import { doneEvents, touchedEvents } from "#core/logbook/table-events";
import type { Task } from "#core/coating/facts/task";
import { useAsk } from "~/actions/use-ask";
import { followedOf } from "./followed";
import type { KeptPiece } from "./kept-piece";
import type { SaveChanges } from "./use-record";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { PlanAsk } from "./plan-ask";

/** @param running what is still being picked or typed: it is saved when that rests, as one change */
export type Apply = (changes: readonly Change[], running?: string) => void;

/** What the parts of the plan screen may do to the plan. */
export interface PlanActions {
  /** Id of the piece. */
  readonly piece: string;
  /** Changes of the plan, and of the piece among them. */
  readonly apply: Apply;
  /** Keeps a step of the plan whatever is made right around it, or lets it go. */
  readonly pin: (stepIds: readonly StepId[], kept: boolean) => void;
  /** Marks coats as done, or not done, in every place they were laid. */
  readonly markDone: (tasks: readonly Task[], tookMin: number | null, what: string) => void;
  /** What the tasks wait for was touched. */
  readonly markTouched: (tasks: readonly Task[], seen: Look["seen"], what: string) => void;
  /** What the film beneath is touched with, where there is one that can be and nobody has found it dry. */
  readonly touchAsked: (tasks: readonly Task[]) => Touch | null;
  readonly markUndone: (tasks: readonly Task[]) => void;
  /** The clock is right by now: what lies later than it was noted by a wrong one. */
  readonly clockIsRight: () => void;
  readonly repair: (pinned: readonly StepId[]) => void;
  /** The plan as it was before the user's changes. */
  readonly asPlanned: () => void;
  readonly settleEngine: (take: "newer" | "kept") => void;
  /** The plan as a changed fact has made it is the one to follow. */
  readonly keepChanged: () => void;
  readonly takeBack: () => void;
}

/** The actions of a plan as it is shown. */
/** @param kept the plan that is kept of the piece, and what was done on it */
export function usePlanActions(pieceId: string, view: PlannedView, { plan, progress }: Pick<KeptPiece, "plan" | "progress">, save: SaveChanges): PlanActions {
  const ask = useAsk<PlanAsk>(`/pieces/${pieceId}?index`);
  const step = useAsk<{ readonly intent: "undo" }>("/history", false);
  const { shown } = view;
  const followed = followedOf(view);
  // Of a plan that is not followed yet the screen knows no changes.
  const known = plan && plan.candidateId === shown?.id && (plan.basis ?? null) === view.basis ? plan.edits : null;
  const now = () => new Date().toISOString();
  return {
    piece: pieceId,
    apply: (changes, running) => {
      const onPiece = changes.filter((change) => change.op === "setPiece");
      const edits = changes.filter((change) => change.op !== "setPiece");
      if (onPiece.length > 0) save(onPiece);
      if (edits.length === 0 || !followed) return;
      const all: PlanAsk = { intent: "edit", followed, edits, known };
      if (running === undefined) ask(all);
      // What was known when it was begun is known still: what lay in between was never saved.
      else ask(all, { about: `${pieceId}/${running}`, over: (earlier) => (earlier.intent === "edit" ? { ...all, known: earlier.known } : all) });
    },
    pin: (stepIds, kept) => followed && ask({ intent: "pin", followed, stepIds, kept }),
    markDone: (tasks, tookMin, what) => {
      if (!shown || !followed || !view.work) return;
      ask({ intent: "done", followed, coats: doneEvents(shown, tasks, tookMin), at: now(), what });
    },
    touchAsked: (tasks) => view.work && touchAsked(tasks, { work: view.work, done: view.done }, progress),
    markTouched: (tasks, seen, what) => {
      if (!shown || !view.work) return;
      const at = now();
      const coats = touchedEvents(shown, tasks, { work: view.work, done: view.done, now: Date.parse(at) }, seen);
      if (coats.length > 0) ask({ intent: seen, coats, at, what });
    },
    markUndone: (tasks) => shown && ask({ intent: "undone", coats: tasks.flatMap((task) => coatEvents(shown, task)), at: now() }),
    clockIsRight: () => void ask({ intent: "clock-right", at: now() }),
    repair: (pinned) => followed && ask({ intent: "repair", followed, pinned }),
    asPlanned: () => void ask({ intent: "plain" }),
    settleEngine: (take) => void ask({ intent: "engine", take }),
    keepChanged: () => followed && ask({ intent: "keep", followed }),
    takeBack: () => void step({ intent: "undo" }),
  };
}
