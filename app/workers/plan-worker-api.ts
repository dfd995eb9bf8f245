import type { OwnTimes } from "#core/logbook/learning/own-times";
import type { OwnWear } from "#core/catalogue/product-class";
import type { OwnProduct } from "#core/catalogue/own-product";
import type { StepId } from "#core/catalogue/ids";
import type { PlanColour } from "#core/coating/explain/plan-colours";
import type { Explanation } from "#core/coating/explain/explain-step";
import type { Keeping } from "#core/coating/planner/plan-with-edits";
import type { SaidStep } from "#core/coating/model/read-sequence";
import type { CheckedMine } from "#core/coating/planner/check-mine";
import type { DoneOn } from "#core/logbook/said-done";
import type { AppliedRecipe } from "#core/coating/planner/apply-recipe";
import type { RecipeRecord } from "#core/formats/stores/recipes";
import type { Candidate, PlanSet } from "#core/coating/model/plan";
import type { Repair } from "#core/coating/planner/repair";
import type { Overview } from "#core/logbook/overview";
import type { BodyView } from "#core/logbook/plan-on-body";
import type { ProgressRecord } from "#core/logbook/progress";
import type { Piece } from "#core/piece/piece";
import type { Need } from "#core/shelf/needs";
import type { Step } from "#core/coating/model/step";
import type { LayerTaken } from "#core/coating/facts/layers";
import type { Work } from "#core/coating/facts/task";

/** What a plan is made from: the piece, what is kept of the plan, what was done. */
export interface PlanOf {
  readonly piece: Piece;
  readonly keeping: Keeping;
  readonly progress: readonly ProgressRecord[];
  /** What the user owns. */
  readonly shelf: readonly OwnProduct[];
  /** What the user's table has taught of times; absent where waits and work are as they are reckoned. */
  readonly own?: OwnTimes | null;
  /** What the user's finished pieces have shown of films; absent for nothing. */
  readonly wear?: readonly OwnWear[];
}

/** A plan as it is shown, with its tasks. */
export interface PlannedView extends BodyView {
  readonly work: Work | null;
  /** What is taken for each layer the user has said, where its marks and its share are left open. */
  readonly layers: readonly (LayerTaken | null)[];
  /** False while only the first candidate is known. */
  readonly whole: boolean;
}

/** The ways open from where the work stands. */
export interface WaysView {
  readonly candidates: PlanSet["candidates"];
  /** What they go on from; null for the bare piece. */
  readonly basis: string | null;
  /** The plan the user follows, as far as it is still to do, so that it compares with them; null when nothing can be planned. */
  readonly yours: Candidate | null;
}

/** A way of working of the user's own, as it comes out on a piece. */
export interface OwnWay {
  readonly id: string;
  readonly applied: AppliedRecipe;
}

/** What the user has in mind or has done, judged on a piece. */
export interface MineView extends CheckedMine {
  /** As coats to be noted, by the day they were laid. */
  readonly done: readonly DoneOn[];
}

/** A piece in a list, with the paint it still wants. */
export interface ListedOverview extends Overview {
  readonly needs: readonly Need[];
}

/** A piece as it stands on the table among others; with what it takes to follow its plan. */
export interface AtTable extends Pick<PlannedView, "tacky" | "basis" | "made" | "madeFor" | "edits"> {
  readonly work: Work;
  /** What each task is like: the same work with the same stuff, by task. */
  readonly likes: Readonly<Record<string, string>>;
  /** Tasks that are done, by id: when each ended, ms. */
  readonly done: ReadonlyMap<string, number>;
  /** Its steps, by id, as they are told. */
  readonly steps: Readonly<Record<string, Step>>;
  /** Places it is worked at. */
  readonly places: number;
  /** The plan the tasks are of: dates are never drawn against another. */
  readonly shown: Candidate;
}

/** What the plan worker answers; the whole protocol. */
export interface PlanWorkerApi {
  /** The plan as soon as what is shown of it is known; the other candidates may be missing. */
  firstView: (of: PlanOf) => PlannedView;
  planView: (of: PlanOf) => PlannedView;
  /** What a list says of a piece at an instant, ms. */
  overview: (of: PlanOf, now: number) => ListedOverview;
  ways: (of: PlanOf) => WaysView;
  /** What the user said they did or mean to do; null where nothing can be planned, or nothing was said. */
  mine: (of: PlanOf, said: readonly SaidStep[]) => MineView | null;
  /** The user's own ways on a piece; none where nothing can be planned for it. */
  recipes: (of: PlanOf, recipes: readonly RecipeRecord[]) => readonly OwnWay[];
  /** A piece among all that are dated together; null where nothing can be planned. */
  atTable: (of: PlanOf) => AtTable | null;
  explain: (of: PlanOf, stepId: StepId | null, now: number) => Explanation | null;
  /** The colours of the plan that is shown, as far as it is to do; none where nothing can be planned. */
  colours: (of: PlanOf) => readonly PlanColour[];
  repair: (of: PlanOf, pinned: readonly StepId[]) => Repair | null;
}
