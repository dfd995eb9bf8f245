import { wrap } from "comlink";
import type { Remote } from "comlink";

/** Longest a worker may be silent while it is waited for, ms: the slowest question known takes a tenth of it. */
export const SILENT_MS = 30_000;

/**
 * Waits for a worker's answer, but not for one that has died without a word: where nothing is heard of it for so long it is ended, and made afresh with
 * the next question.
 *
 * @param ask puts the question; it is handed what says that something was heard
 * @param stop ends the worker
 * @param broke what whoever waits is told
 */
export function whileHeard<Answer>(ask: (heard: () => void) => Promise<Answer>, stop: () => void, broke: () => Error, limitMs = SILENT_MS): Promise<Answer> {
  return new Promise((resolve, reject) => {
    let timer: ReturnType<typeof setTimeout>;
    const heard = () => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        stop();
        reject(broke());
      }, limitMs);
    };
    heard();
    ask(heard)
      .then(resolve, reject)
      .finally(() => clearTimeout(timer));
  });
}

/** A worker that is made when it is first asked, and anew after it broke. */
export interface Running<Api> {
  readonly api: Remote<Api>;
  /** Rejects when the worker breaks; never resolves. */
  readonly broken: Promise<never>;
}

/** A worker that is kept running. */
export interface KeptRunning<Api> {
  readonly running: () => Running<Api>;
  readonly stop: () => void;
  /** One question to it: its answer, or what those who wait are told when it breaks or dies without a word. */
  readonly asked: <Answer>(question: (api: Remote<Api>, heard: () => void) => Promise<Answer>) => Promise<Answer>;
}

/**
 * Keeps one worker running.
 *
 * @param make a fresh worker
 * @param broke what those who wait for it are told when it breaks
 */
export function keptRunning<Api>(make: () => Worker, broke: () => Error): KeptRunning<Api> {
  let worker: Worker | null = null;
  let now: Running<Api> | null = null;
  const stop = () => {
    worker?.terminate();
    worker = null;
    now = null;
  };
  const start = (): Running<Api> => {
    const made = make();
    const broken = new Promise<never>((_resolve, reject) => {
      const stopped = () => {
        stop();
        reject(broke());
      };
      made.addEventListener("error", stopped);
      made.addEventListener("messageerror", stopped);
    });
    // It may break while nobody asks.
    broken.catch(() => undefined);
    worker = made;
    return { api: wrap<Api>(made), broken };
  };
  const running = () => (now ??= start());
  const asked: KeptRunning<Api>["asked"] = (question) =>
    whileHeard(
      (heard) => {
        const { api, broken } = running();
        return Promise.race([question(api, heard), broken]);
      },
      stop,
      broke,
    );
  return { running, stop, asked };
}
