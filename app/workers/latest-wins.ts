/** A question to the worker, with everyone who waits for its answer. */
interface Question<Answer> {
  readonly ask: () => Promise<Answer>;
  readonly waiting: { readonly answer: (answer: Answer) => void; readonly fail: (error: unknown) => void }[];
}

/**
 * Questions about the same thing, one at a time: while one runs only the newest waits, and whoever asked an older one gets the newest one's answer.
 *
 * @returns asks a question; rejects with what the question rejects with
 */
export function latestWins<Answer>(): (ask: () => Promise<Answer>) => Promise<Answer> {
  let running: Question<Answer> | null = null;
  let next: Question<Answer> | null = null;
  async function run(question: Question<Answer>): Promise<void> {
    running = question;
    let settle: (one: Question<Answer>["waiting"][number]) => void;
    try {
      const answer = await question.ask();
      settle = (one) => one.answer(answer);
    } catch (error) {
      settle = (one) => one.fail(error);
    }
    running = null;
    const newer = next;
    next = null;
    if (newer) {
      newer.waiting.push(...question.waiting);
      void run(newer);
    } else for (const one of question.waiting) settle(one);
  }
  return (ask) =>
    new Promise((answer, fail) => {
      const waiting = [...(next?.waiting ?? []), { answer, fail }];
      const question = { ask, waiting };
      if (running) next = question;
      else void run(question);
    });
}
