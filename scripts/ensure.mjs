/** Sets up what a fresh clone lacks: packages, and for the tests a Chromium. Says what it does on standard error. */
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const STAMP = join(ROOT, "node_modules", ".nook-coat-lock");
const CHROMIUM_PATHS = ["/usr/bin/chromium", "/usr/bin/chromium-browser"];

/** The environment without what a calling npm leaks into it. */
export function cleanEnv() {
  const env = Object.fromEntries(Object.entries(process.env).filter(([key]) => key !== "NODE_ENV" && !key.startsWith("npm_config_")));
  return { ...env, npm_config_update_notifier: "false" };
}

export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: ROOT, env: cleanEnv(), stdio: ["ignore", 2, 2], ...options });
  if (result.error) throw result.error;
  return result.status ?? 1;
}

/** Installs the packages of the lock file when they are not there, or are of another lock file. */
export function ensurePackages() {
  const lock = createHash("sha256")
    .update(readFileSync(join(ROOT, "package-lock.json")))
    .digest("hex");
  if (existsSync(STAMP) && readFileSync(STAMP, "utf8") === lock) return;
  console.error("Setting up the packages…");
  if (run("npm", ["ci", "--include=dev", "--no-audit", "--no-fund"]) !== 0) {
    console.error("The packages could not be set up; see above.");
    process.exit(1);
  }
  mkdirSync(dirname(STAMP), { recursive: true });
  writeFileSync(STAMP, lock);
}

/** What Chromium is started with, wherever it is started. */
export const CHROMIUM_ARGS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

/** The browser of the tests: CHROMIUM_PATH, or Debian's. */
export function chromiumPath() {
  return [process.env.CHROMIUM_PATH, ...CHROMIUM_PATHS].find((path) => path && existsSync(path)) ?? null;
}

/** Installs a Debian package. @returns {boolean} whether it went well */
function installed(name) {
  const sudo = process.getuid?.() === 0 ? [] : ["sudo"];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, "apt-get", ...args];
    return run(command, rest, { env: { ...cleanEnv(), DEBIAN_FRONTEND: "noninteractive" } });
  };
  apt("update");
  return apt("install", "-y", name) === 0;
}

export function ensureChromium() {
  if (chromiumPath()) return;
  console.error("Setting up Chromium for the browser tests…");
  if (installed("chromium") && chromiumPath()) return;
  console.error("Chromium could not be installed; install Debian's package `chromium`, or set CHROMIUM_PATH.");
  process.exit(1);
}

const FAKETIME = "/usr/bin/faketime";

/** What tells a process another time than it is: Debian's faketime. */
export function ensureFaketime() {
  if (existsSync(FAKETIME)) return FAKETIME;
  console.error("Setting up faketime, which sets the clock of a process…");
  if (installed("faketime") && existsSync(FAKETIME)) return FAKETIME;
  console.error("faketime could not be installed; install Debian's package `faketime`.");
  process.exit(1);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) ensurePackages();
