/** Checks that every package we ship or build with has a licence we may use. Reads the lock file and the packages themselves. */
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { ROOT } from "./ensure.mjs";

const FINE = [
  "MIT",
  "ISC",
  "BSD-2-Clause",
  "BSD-3-Clause",
  "Apache-2.0",
  "0BSD",
  "CC0-1.0",
  "Unlicense",
  "BlueOak-1.0.0",
  "Python-2.0",
  "MIT-0",
  "OFL-1.1",
  "CC-BY-4.0",
  "Zlib",
  "WTFPL",
];
/** Fine for tools that are not shipped: used as they are, unchanged. */
const FINE_FOR_TOOLS = ["MPL-2.0"];

const lock = JSON.parse(readFileSync(join(ROOT, "package-lock.json"), "utf8"));

function licenceOf(path, entry) {
  const file = join(ROOT, path, "package.json");
  const own = existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : {};
  const said = own.license ?? own.licenses ?? entry.license;
  return typeof said === "string" ? said : Array.isArray(said) ? said.map((one) => one.type).join(" OR ") : (said?.type ?? null);
}

function allows(said, fine) {
  const bare = said.replace(/[()]/g, "");
  if (bare.includes(" OR ")) return bare.split(" OR ").some((one) => allows(one, fine));
  return bare.split(" AND ").every((one) => fine.includes(one.trim()));
}

const bad = [];
let checked = 0;
for (const [path, entry] of Object.entries(lock.packages)) {
  if (path === "" || !existsSync(join(ROOT, path))) continue;
  checked += 1;
  const said = licenceOf(path, entry);
  const fine = entry.dev || entry.devOptional ? [...FINE, ...FINE_FOR_TOOLS] : FINE;
  if (!said || !allows(said, fine)) bad.push(`${path}: ${said ?? "no licence named"}`);
}
if (checked === 0) bad.push("no package was found to check");
for (const line of bad) console.error(line);
console.error(`${checked} packages checked, ${bad.length} with a licence we may not use`);
process.exit(bad.length > 0 ? 1 : 0);
