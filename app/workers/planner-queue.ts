/** Why a question got no answer. */
export class PlannerStopped extends Error {
  override readonly name = "PlannerStopped";

  constructor(readonly why: "broke" | "too-long") {
    super(
      why === "broke"
        ? "the planner stopped in the middle of its work; it starts again with the next try"
        : "the planner took longer than it may, and was stopped; it starts afresh with the next try",
    );
  }
}

/** The question is no longer wanted: whoever asked has left. */
export class NotWanted extends Error {
  override readonly name = "NotWanted";
}

interface Waiting {
  readonly answer: (answer: unknown) => void;
  readonly fail: (error: unknown) => void;
}

interface Question {
  readonly about: string;
  /** The piece it is about. */
  readonly piece: string;
  /** Looked at now. */
  urgent: boolean;
  /** Asked only for a list. */
  listed: boolean;
  ask: () => Promise<unknown>;
  readonly waiting: Waiting[];
}

export interface QueueParts {
  /** Longest a question may take, ms. */
  readonly limitMs: number;
  /** Does something after so many ms; gives what calls it off. */
  readonly later: (work: () => void, ms: number) => () => void;
  /** Ends the worker: the next question is asked of a fresh one. */
  readonly stop: () => void;
}

/**
 * Questions to one worker, one at a time: what is looked at comes before what is listed, the piece looked at last before all others. Of questions about
 * the same thing only the newest is asked, and whoever asked an older one gets its answer. One that takes too long is stopped, and the worker with it.
 */
export class PlannerQueue {
  private waiting: Question[] = [];
  private running: Question | null = null;

  constructor(private readonly parts: QueueParts) {}

  /**
   * @param about what is asked, such as "plan/ID"
   * @param piece the piece it is about
   * @param urgent it is looked at; else it may wait
   * @param listed it is only for a list, and is let go of when that is left
   * @throws PlannerStopped, NotWanted, or what the question throws
   */
  ask<Answer>(about: string, piece: string, urgent: boolean, ask: () => Promise<Answer>, listed = !urgent): Promise<Answer> {
    if (urgent) this.lookAt(piece);
    return new Promise<Answer>((answer, fail) => {
      const who: Waiting = { answer: answer as (answer: unknown) => void, fail };
      const known = this.waiting.find((one) => one.about === about);
      if (known) {
        known.ask = ask;
        known.urgent ||= urgent;
        known.listed &&= listed;
        known.waiting.push(who);
      } else this.waiting.push({ about, piece, urgent, listed, ask, waiting: [who] });
      void this.next();
    });
  }

  /** Lets go of questions that wait and are only for a list. */
  letGo(isLeft: (piece: string) => boolean): void {
    const left = this.waiting.filter((one) => one.listed && isLeft(one.piece));
    this.waiting = this.waiting.filter((one) => !left.includes(one));
    for (const one of left) for (const who of one.waiting) who.fail(new NotWanted());
  }

  /** What was looked at before may wait now. */
  private lookAt(piece: string): void {
    for (const one of this.waiting) if (one.piece !== piece) one.urgent = false;
  }

  private async next(): Promise<void> {
    if (this.running) return;
    const question = this.waiting.find((one) => one.urgent) ?? this.waiting[0];
    if (!question) return;
    this.waiting = this.waiting.filter((one) => one !== question);
    this.running = question;
    let settle: (who: Waiting) => void;
    try {
      const answer = await this.limited(question.ask);
      settle = (who) => who.answer(answer);
    } catch (error) {
      settle = (who) => who.fail(error);
    }
    this.running = null;
    const newer = this.waiting.find((one) => one.about === question.about);
    if (newer) newer.waiting.push(...question.waiting);
    else question.waiting.forEach(settle);
    void this.next();
  }

  private async limited(ask: () => Promise<unknown>): Promise<unknown> {
    const { later, limitMs, stop } = this.parts;
    let callOff = () => {};
    const tooLong = new Promise<never>((_answer, fail) => {
      callOff = later(() => {
        stop();
        fail(new PlannerStopped("too-long"));
      }, limitMs);
    });
    try {
      return await Promise.race([ask(), tooLong]);
    } finally {
      callOff();
    }
  }
}
