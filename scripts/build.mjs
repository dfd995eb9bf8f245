/** Builds the app and its service worker; used by start, test and bench. */
import { fileURLToPath } from "node:url";
import { join } from "node:path";
import { ROOT, run } from "./ensure.mjs";

/** @returns {number} 0 when all went well */
export function build(options = {}) {
  const built = run(process.execPath, [join(ROOT, "node_modules/@react-router/dev/bin.js"), "build"], options);
  return built === 0 ? run(process.execPath, [join(ROOT, "scripts/service-worker.mjs")], options) : built;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) process.exit(build());
