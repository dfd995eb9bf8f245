/**
 * `npm test`: sets up what is missing, then licences, format, lint, types, boundaries, build, unit and browser tests.
 * A browser test that fails is run once more; one that passes only then is listed as unsteady.
 * Ends with one line over unit and browser tests: `N passed, N failed`; a suite that could not run counts as failed.
 */
import { spawn } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join, relative } from "node:path";
import { cleanEnv, ensureChromium, ensurePackages, ROOT, run } from "./ensure.mjs";

ensurePackages();
ensureChromium();

const bin = (path) => join(ROOT, "node_modules", path);
const node = (...args) => run(process.execPath, args);

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

const CACHE = join(ROOT, "node_modules", ".cache");
mkdirSync(CACHE, { recursive: true });

/** Runs suites and reads what became of each test; `null` when the runner itself broke off. */
function suites(name, ...args) {
  const report = join(CACHE, `${name}.json`);
  rmSync(report, { force: true });
  node("--experimental-vm-modules", "--no-warnings", bin("jest/bin/jest.js"), "--json", `--outputFile=${report}`, "--maxWorkers=2", ...args);
  return existsSync(report) ? JSON.parse(readFileSync(report, "utf8")) : null;
}

/** A browser test failed: its file is run once more. What passes only then is unsteady, and is to be mended. */
function again(failing) {
  const files = failing.map((suite) => suite.name);
  console.error(`— once more: ${files.map((file) => relative(ROOT, file)).join(", ")}`);
  const second = suites("test-report-again", "--selectProjects", "browser", "--runTestsByPath", ...files);
  const passed = new Set(
    (second?.testResults ?? []).flatMap((suite) =>
      suite.assertionResults.filter((one) => one.status === "passed").map((one) => `${suite.name} ${one.fullName}`),
    ),
  );
  const unsteady = [];
  for (const suite of failing)
    for (const one of suite.assertionResults) {
      if (one.status !== "failed") continue;
      const twice = passed.has(`${suite.name} ${one.fullName}`);
      console.error(`  ${one.fullName}: failed, then ${twice ? "passed: UNSTEADY" : "failed again"}`);
      if (twice) unsteady.push(one.fullName);
    }
  return unsteady;
}

console.error("— unit and browser tests");
const result = suites("test-report", ...process.argv.slice(2));
if (!result) {
  console.log(`0 passed, ${failedChecks + 1} failed`);
  process.exit(1);
}
const { numPassedTests, numFailedTests, testResults } = result;
const broken = testResults.filter((suite) => suite.status === "failed" && suite.assertionResults.length === 0).length;
const failing = testResults.filter((suite) => suite.name.includes(join("tests", "e2e")) && suite.assertionResults.some((one) => one.status === "failed"));
const unsteady = failing.length > 0 ? again(failing) : [];
for (const name of unsteady) console.log(`unsteady: ${name}`);
const failed = numFailedTests - unsteady.length + broken + failedChecks;
console.log(`${numPassedTests + unsteady.length} passed, ${failed} failed`);
process.exit(failed > 0 || numPassedTests === 0 ? 1 : 0);
