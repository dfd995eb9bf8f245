/** `npm run -s core -- VERB`: the headless door. Standard output carries the answer and nothing else. */
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { ensurePackages, ROOT } from "./ensure.mjs";

ensurePackages();
const result = spawnSync(process.execPath, ["--import", "tsx", join(ROOT, "core/cli.ts"), ...process.argv.slice(2)], { cwd: ROOT, stdio: "inherit" });
process.exit(result.status ?? 1);
