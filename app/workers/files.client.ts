import { wrap } from "comlink";
import type { Remote } from "comlink";
import type { FilesWorkerApi } from "./files-worker-api";

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
    return await Promise.race([question(wrap<FilesWorkerApi>(worker)), broken]);
  } finally {
    worker.terminate();
  }
}
