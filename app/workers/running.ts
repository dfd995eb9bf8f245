import { wrap } from "comlink";
import type { Remote } from "comlink";

/** A worker that is made when it is first asked, and anew after it broke. */
export interface Running<Api> {
  readonly api: Remote<Api>;
  /** Rejects when the worker breaks; never resolves. */
  readonly broken: Promise<never>;
}

/**
 * Keeps one worker running.
 *
 * @param make a fresh worker
 * @param broke what those who wait for it are told when it breaks
 */
export function keptRunning<Api>(make: () => Worker, broke: () => Error): { readonly running: () => Running<Api>; readonly stop: () => void } {
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
  return { running: () => (now ??= start()), stop };
}
