/** Plans for scripts, in a thread of their own: however long one takes, pages are served meanwhile. */
import { Worker } from "node:worker_threads";

/** Longest one question may take, ms; the slowest piece known takes a twentieth of it. */
const LIMIT_MS = 10_000;
/** Questions that may wait; more are told to come again. */
const MOST_WAITING = 32;

/** Why there is no answer now. */
export class Busy extends Error {
  /** @param {"full" | "too-long" | "broke" | "gone"} why */
  constructor(why) {
    super(why);
    this.why = why;
  }
}

/**
 * One worker, asked one question after another. One that takes too long, or breaks, costs its own answer; the worker starts afresh.
 *
 * @param {{ limitMs?: number, mostWaiting?: number }} [options]
 */
export function planPool({ limitMs = LIMIT_MS, mostWaiting = MOST_WAITING } = {}) {
  /** @type {Worker | null} */
  let worker = null;
  /** The thread has loaded what it works with: from then on a question takes working time. */
  let isWarm = false;
  /** @type {{ text: string, resolve: (answer: unknown) => void, reject: (error: Error) => void, timer?: NodeJS.Timeout } | null} */
  let running = null;
  const waiting = [];
  let isClosed = false;
  let wasWarmOnce = false;

  function end(error) {
    const [old, wasWarm] = [worker, isWarm];
    worker = null;
    isWarm = false;
    void old?.terminate();
    // One that cannot even begin is not begun again and again: who waits is told.
    if (!wasWarm) for (const one of waiting.splice(0)) one.reject(error);
    finish((one) => one.reject(error));
  }

  function finish(settle) {
    const one = running;
    running = null;
    if (one) {
      globalThis.clearTimeout(one.timer);
      settle(one);
    }
    next();
  }

  function thread() {
    if (worker) return worker;
    const fresh = new Worker(new URL("./plan-thread.mjs", import.meta.url));
    fresh.on("message", (answer) => {
      if (fresh !== worker) return;
      if (answer !== "ready") return finish((one) => one.resolve(answer));
      isWarm = true;
      wasWarmOnce = true;
      next();
    });
    fresh.on("error", () => fresh === worker && end(new Busy("broke")));
    // The server may end while it waits for work.
    fresh.unref();
    worker = fresh;
    return fresh;
  }

  function next() {
    // The next is warm before it is needed.
    if (!isClosed && (waiting.length > 0 || wasWarmOnce)) thread();
    if (running || !isWarm || waiting.length === 0) return;
    running = waiting.shift();
    running.timer = setTimeout(() => end(new Busy("too-long")), limitMs);
    worker.postMessage(running.text);
  }

  thread();
  return {
    /**
     * @param {string} text the question, as JSON
     * @param {AbortSignal} [signal] whoever asks has gone: a question that waits is dropped
     * @returns {Promise<{ ok: true, value: unknown } | { ok: false, problem: unknown }>}
     */
    ask(text, signal) {
      if (waiting.length >= mostWaiting) return Promise.reject(new Busy("full"));
      return new Promise((resolve, reject) => {
        const question = { text, resolve, reject };
        waiting.push(question);
        signal?.addEventListener("abort", () => {
          const at = waiting.indexOf(question);
          if (at < 0) return;
          waiting.splice(at, 1);
          reject(new Busy("gone"));
        });
        next();
      });
    },
    close: () => {
      isClosed = true;
      return worker?.terminate();
    },
  };
}
