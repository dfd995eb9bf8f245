import type { Keeping, PlanView } from "#core/coating/plan-with-edits";
import type { Piece } from "#core/piece/piece";

/** What the plan worker answers; the whole protocol. */
export interface PlanWorkerApi {
  planView: (piece: Piece, keeping: Keeping) => PlanView;
}

/** One question to the worker, with its answer's way back. */
interface Question {
  readonly piece: Piece;
  readonly keeping: Keeping;
  readonly answer: (view: PlanView | null) => void;
  readonly fail: (error: unknown) => void;
}

/**
 * Asks one question at a time; while one runs only the newest waits. A question that was overtaken is answered with null.
 *
 * @param ask the worker's own call
 */
export function latestWins(ask: (piece: Piece, keeping: Keeping) => Promise<PlanView>): (piece: Piece, keeping: Keeping) => Promise<PlanView | null> {
  let running = false;
  let waiting: Question | null = null;
  async function run(question: Question): Promise<void> {
    running = true;
    try {
      const view = await ask(question.piece, question.keeping);
      question.answer(waiting ? null : view);
    } catch (error) {
      question.fail(error);
    }
    running = false;
    const next = waiting;
    waiting = null;
    if (next) void run(next);
  }
  return (piece, keeping) =>
    new Promise((answer, fail) => {
      const question: Question = { piece, keeping, answer, fail };
      if (!running) void run(question);
      else {
        waiting?.answer(null);
        waiting = question;
      }
    });
}
