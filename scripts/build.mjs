/** Builds the app and its service worker; used by start, test and bench. */
import { fileURLToPath } from "node:url";
import { join } from "node:path";
import { ROOT, run } from "./ensure.mjs";

/** @returns {number} 0 when all went well */
export function build(options = {}) {
  const steps = [
    [join(ROOT, "node_modules/@react-router/dev/bin.js"), "build"],
    ["--import", "tsx", join(ROOT, "scripts/demo-plans.ts"), join(ROOT, "build/client/tern-point.json")],
    [join(ROOT, "scripts/service-worker.mjs")],
    [join(ROOT, "scripts/compress.mjs")],
  ];
  for (const step of steps) {
    const ended = run(process.execPath, step, options);
    if (ended !== 0) return ended;
  }
  return 0;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) process.exit(build());
