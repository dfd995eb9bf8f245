/**
 * `npm test`: sets up what is missing, then licences, format, lint, types, boundaries, build, unit and browser tests.
 * Ends with one line over unit and browser tests: `N passed, N failed`; a suite that could not run counts as failed.
 */
import { mkdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { build } from "./build.mjs";
import { ensureChromium, ensurePackages, ROOT, run } from "./ensure.mjs";

ensurePackages();
ensureChromium();

const bin = (path) => join(ROOT, "node_modules", path);
const node = (...args) => run(process.execPath, args);
const CHECKS = [
  ["licences", () => node(join(ROOT, "scripts/licences.mjs"))],
  ["format", () => node(bin("prettier/bin/prettier.cjs"), "--check", "--log-level", "warn", ".")],
  ["types of routes", () => node(bin("@react-router/dev/bin.js"), "typegen")],
  ["types", () => node(bin("typescript/bin/tsc"), "--noEmit")],
  ["lint", () => node(bin("eslint/bin/eslint.js"), ".", "--max-warnings", "0")],
  ["boundaries", () => node(bin("dependency-cruiser/bin/dependency-cruise.mjs"), "--config", ".dependency-cruiser.cjs", "core", "app", "tests")],
  ["build", () => build()],
];

let failedChecks = 0;
for (const [name, check] of CHECKS) {
  console.error(`— ${name}`);
  if (check() !== 0) {
    console.error(`✗ ${name} failed`);
    failedChecks += 1;
  }
}

const report = join(ROOT, "node_modules", ".cache", "test-report.json");
mkdirSync(join(ROOT, "node_modules", ".cache"), { recursive: true });
console.error("— unit and browser tests");
const status = node(
  "--experimental-vm-modules",
  "--no-warnings",
  bin("jest/bin/jest.js"),
  "--json",
  `--outputFile=${report}`,
  "--maxWorkers=2",
  ...process.argv.slice(2),
);

const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(report, "utf8"));
const broken = testResults.filter((suite) => suite.status === "failed" && suite.assertionResults.length === 0).length;
const failed = numFailedTests + broken + failedChecks;
console.log(`${numPassedTests} passed, ${failed} failed`);
process.exit(failed > 0 || numPassedTests === 0 || status !== 0 ? 1 : 0);
