/** Plans for scripts, in a thread of their own: however long one takes, pages are served meanwhile. */
import { Worker } from "node:worker_threads";

/** Longest one question may take, ms; the slowest piece known takes a twentieth of it. */
const LIMIT_MS = 10_000;
/** Questions that may wait; more are told to come again. */
const MOST_WAITING = 32;

/** Why there is no answer now. */
export class Busy extends Error {
  /** @param {"full" | "too-long" | "broke"} why */
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
  /** @type {{ text: string, resolve: (answer: unknown) => void, reject: (error: Error) => void, timer?: NodeJS.Timeout } | null} */
  let running = null;
  const waiting = [];

  function end(error) {
    const old = worker;
    worker = null;
    void old?.terminate();
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
    fresh.on("message", (answer) => fresh === worker && finish((one) => one.resolve(answer)));
    fresh.on("error", () => fresh === worker && end(new Busy("broke")));
    // The server may end while it waits for work.
    fresh.unref();
    worker = fresh;
    return fresh;
  }

  function next() {
    if (running || waiting.length === 0) return;
    running = waiting.shift();
    running.timer = setTimeout(() => end(new Busy("too-long")), limitMs);
    thread().postMessage(running.text);
  }

  return {
    /**
     * @param {string} text the question, as JSON
     * @returns {Promise<{ ok: true, value: unknown } | { ok: false, problem: unknown }>}
     */
    ask(text) {
      if (waiting.length >= mostWaiting) return Promise.reject(new Busy("full"));
      return new Promise((resolve, reject) => {
        waiting.push({ text, resolve, reject });
        next();
      });
    },
    close: () => worker?.terminate(),
  };
}
