import { wrap } from "comlink";
import type { Remote } from "comlink";
import { whileHeard } from "./running";
import type { FilesWorkerApi } from "./files-worker-api";

/** Longest a file may take, ms: the largest there may be takes a third of it. */
const LARGE_FILE_MS = 180_000;

/**
 * Asks the worker that reads and writes files one question; it ends with it, so that a large file leaves nothing behind.
 *
 * @throws when the worker breaks off, or what the question throws
 */
export async function asFiles<Answer>(question: (api: Remote<FilesWorkerApi>) => Promise<Answer>, signal?: AbortSignal): Promise<Answer> {
  const worker = new Worker(new URL("./files.worker.ts", import.meta.url), { type: "module" });
  const broken = new Promise<never>((_resolve, reject) => {
    worker.addEventListener("error", () => reject(new Error("reading the file broke off")));
    signal?.addEventListener("abort", () => reject(new Error("stopped before anything was written")));
  });
  try {
    return await whileHeard(
      () => Promise.race([question(wrap<FilesWorkerApi>(worker)), broken]),
      () => worker.terminate(),
      () => new Error("reading the file broke off"),
      LARGE_FILE_MS,
    );
  } finally {
    worker.terminate();
  }
}
