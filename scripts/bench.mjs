/** `npm run bench`: how fast the engine is, over a sweep of everything it knows, and how heavy the plan screen, and how the app bears thousands of pieces. Prints, judges nothing. */
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { benchMany } from "./bench-many.mjs";
import { build } from "./build.mjs";
import { ensureChromium, ensurePackages, ROOT } from "./ensure.mjs";

ensurePackages();
ensureChromium();
for (const part of ["engine", "mixing", "marking", "schedule", "logbook"]) {
  const { status } = spawnSync(process.execPath, ["--import", "tsx", join(ROOT, `scripts/bench-${part}.ts`)], { cwd: ROOT, stdio: "inherit" });
  if (status !== 0) process.exit(status ?? 1);
}
if (build({ stdio: "ignore" }) !== 0) process.exit(1);

process.env.NODE_ENV = "production";
const { serve } = await import("../server/serve.mjs");
const { gzipSync } = await import("node:zlib");
const { url, close } = await serve({ port: 0 });
const html = await (await fetch(`${url}/pieces/0000000000000000`)).text();
const scripts = [...new Set([...html.matchAll(/["'](\/assets\/[^"']+\.js)["']/g)].map((match) => match[1]))];
let bytes = 0;
for (const path of scripts) bytes += gzipSync(Buffer.from(await (await fetch(`${url}${path}`)).arrayBuffer())).length;
console.log(`plan screen, first-load JavaScript: ${(bytes / 1000).toFixed(0)} kB gzipped in ${scripts.length} files (goal: under 250 kB)`);
await benchMany(url);
await close();
process.exit(0);
