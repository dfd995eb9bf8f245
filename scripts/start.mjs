/** `npm start`: sets up, builds, serves, says where. */
import { build } from "./build.mjs";
import { ensurePackages } from "./ensure.mjs";

ensurePackages();
console.error("Building…");
if (build() !== 0) process.exit(1);
// A notebook that was never used opens with made-up pieces in it.
process.env.NOOK_COAT_DEMO ??= "1";
await import("../server/run.mjs");
