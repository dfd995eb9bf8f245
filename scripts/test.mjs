/**
 * `npm test`: sets up what is missing, then licences, format, lint, types, boundaries, build, unit and browser tests.
 * A browser test that fails is run once more; one that passes only then is listed as unsteady.
 * Ends with one line over unit and browser tests: `N passed, N failed`; a suite that could not run counts as failed.
 */
import { spawn } from "node:child_process";
import { join, relative } from "node:path";
import { cleanEnv, ensureChromium, ensurePackages, ROOT } from "./ensure.mjs";
import { COULD_NOT_RUN, failedIn, suites, unsteadyOf } from "./suites.mjs";

ensurePackages();
ensureChromium();

const bin = (path) => join(ROOT, "node_modules", path);

/** Runs one check without waiting for it; settles with its exit code. */
const begun = (args) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, args, { cwd: ROOT, env: cleanEnv(), stdio: ["ignore", 2, 2] });
    child.once("error", () => resolve(1));
    child.once("exit", (code) => resolve(code ?? 1));
  });

/** Checks that nothing else waits for, and then two rows of them side by side: each is one program on one core. */
const FIRST = [["types of routes", [bin("@react-router/dev/bin.js"), "typegen"]]];
const ROWS = [
  [
    ["lint", [bin("eslint/bin/eslint.js"), ".", "--max-warnings", "0"]],
    ["boundaries", [bin("dependency-cruiser/bin/dependency-cruise.mjs"), "--config", ".dependency-cruiser.cjs", "core", "app", "tests"]],
    // After the lint, which reads the types of routes that a build may write anew.
    ["build", [join(ROOT, "scripts/build.mjs")]],
  ],
  [
    ["licences", [join(ROOT, "scripts/licences.mjs")]],
    ["types", [bin("typescript/bin/tsc"), "--noEmit"]],
    ["format", [bin("prettier/bin/prettier.cjs"), "--check", "--log-level", "warn", "."]],
  ],
];

let failedChecks = 0;
async function checked(row) {
  for (const [name, args] of row) {
    console.error(`— ${name}`);
    if ((await begun(args)) === 0) continue;
    console.error(`✗ ${name} failed`);
    failedChecks += 1;
  }
}
await checked(FIRST);
await Promise.all(ROWS.map(checked));

/** The day's own date draws the instants at which a few walks are tried. */
const told = { env: { NOOK_COAT_DAY: new Date().toISOString().slice(0, 10) } };

console.error("— unit and browser tests");
const result = suites("test-report", process.argv.slice(2), told);
if (!result) {
  console.log(`0 passed, ${failedChecks + 1} failed`);
  process.exit(1);
}
const failing = failedIn(result);
const ofBrowser = failing.filter(({ file, name }) => name !== COULD_NOT_RUN && file.includes(join("tests", "e2e")));
if (ofBrowser.length > 0) console.error(`— once more: ${[...new Set(ofBrowser.map(({ file }) => relative(ROOT, file)))].join(", ")}`);
const unsteady = unsteadyOf(ofBrowser, told);
for (const { name } of ofBrowser) console.error(`  ${name}: failed, then ${unsteady.includes(name) ? "passed: UNSTEADY" : "failed again"}`);
for (const name of unsteady) console.log(`unsteady: ${name}`);
const failed = failing.length - unsteady.length + failedChecks;
console.log(`${result.numPassedTests + unsteady.length} passed, ${failed} failed`);
process.exit(failed > 0 || result.numPassedTests === 0 ? 1 : 0);
