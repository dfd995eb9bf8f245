import type { StepId } from "#core/catalogue/ids";
import type { Explanation } from "#core/coating/explain/explain-step";
import type { Keeping, PlanView } from "#core/coating/planner/plan-with-edits";
import type { Repair } from "#core/coating/planner/repair";
import type { Piece } from "#core/piece/piece";
import type { DatedPlan, Wanted } from "#core/schedule/dates-of";
import type { Work } from "#core/schedule/task";

/** A plan as it is shown, with its tasks. */
export interface PlannedView extends PlanView {
  readonly work: Work | null;
}

/** What the plan worker answers; the whole protocol. */
export interface PlanWorkerApi {
  planView: (piece: Piece, keeping: Keeping) => PlannedView;
  dates: (piece: Piece, keeping: Keeping, wanted: Wanted) => DatedPlan | null;
  explain: (piece: Piece, keeping: Keeping, stepId: StepId) => Explanation | null;
  repair: (piece: Piece, keeping: Keeping, pinned: readonly StepId[]) => Repair | null;
}

/** One question to the worker, with its answer's way back. */
interface Question<Asked extends readonly unknown[], Answer> {
  readonly asked: Asked;
  readonly answer: (answer: Answer | null) => void;
  readonly fail: (error: unknown) => void;
}

/**
 * Asks one question at a time; while one runs only the newest waits. A question that was overtaken is answered with null.
 *
 * @param ask the worker's own call
 */
export function latestWins<Asked extends readonly unknown[], Answer>(ask: (...asked: Asked) => Promise<Answer>): (...asked: Asked) => Promise<Answer | null> {
  let running = false;
  let waiting: Question<Asked, Answer> | null = null;
  async function run(question: Question<Asked, Answer>): Promise<void> {
    running = true;
    try {
      const answer = await ask(...question.asked);
      question.answer(waiting ? null : answer);
    } catch (error) {
      question.fail(error);
    }
    running = false;
    const next = waiting;
    waiting = null;
    if (next) void run(next);
  }
  return (...asked) =>
    new Promise((answer, fail) => {
      const question = { asked, answer, fail };
      if (!running) void run(question);
      else {
        waiting?.answer(null);
        waiting = question;
      }
    });
}
