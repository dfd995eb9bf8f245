/** Runs suites of tests in a process of their own, and reads what became of each. */
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { cleanEnv, ROOT, run } from "./ensure.mjs";

const CACHE = join(ROOT, "node_modules", ".cache");

/**
 * @param {string} name of the report
 * @param {string[]} args for the runner
 * @param {{ env?: Record<string, string>, before?: string[] }} [told] what the processes are told beside their environment; a command that sets their clock
 * @returns the runner's report; null where it broke off
 */
export function suites(name, args, { env = {}, before = [] } = {}) {
  const report = join(CACHE, `${name}.json`);
  mkdirSync(CACHE, { recursive: true });
  rmSync(report, { force: true });
  const jest = [join(ROOT, "node_modules/jest/bin/jest.js"), "--json", `--outputFile=${report}`, "--maxWorkers=2", ...args];
  const [command, ...rest] = [...before, process.execPath, "--experimental-vm-modules", "--no-warnings", ...jest];
  run(command, rest, { env: { ...cleanEnv(), ...env } });
  return existsSync(report) ? JSON.parse(readFileSync(report, "utf8")) : null;
}

/** Name of what stands for a suite that could not run. */
export const COULD_NOT_RUN = "could not run";

/** Names of the tests of a report that failed, with their files; a suite that could not run counts as one. */
export function failedIn({ testResults }) {
  return testResults.flatMap((suite) =>
    suite.status === "failed" && suite.assertionResults.length === 0
      ? [{ file: suite.name, name: COULD_NOT_RUN }]
      : suite.assertionResults.filter((one) => one.status === "failed").map((one) => ({ file: suite.name, name: one.fullName })),
  );
}

/**
 * What failed is run once more, file by file.
 *
 * @param {{ file: string, name: string }[]} failed
 * @returns names of those that pass now: they are unsteady, and are to be mended
 */
export function unsteadyOf(failed, told = {}) {
  if (failed.length === 0) return [];
  const second = suites("test-report-again", ["--selectProjects", "browser", "--runTestsByPath", ...new Set(failed.map(({ file }) => file))], told);
  const passed = new Set(
    (second?.testResults ?? []).flatMap((suite) =>
      suite.assertionResults.filter((one) => one.status === "passed").map((one) => `${suite.name} ${one.fullName}`),
    ),
  );
  return failed.filter(({ file, name }) => passed.has(`${file} ${name}`)).map(({ name }) => name);
}
