/**
 * `npm run any-day`: all browser walks at five instants drawn from a seed, by the clocks of the pages and of the processes. `npm run any-day -- 10 7` takes
 * ten, from seed 7; what follows is passed to the runner: `npm run any-day -- 1 7 --testPathPatterns calendar`.
 */
import { drawInstants, sayInstant } from "../tests/draw-instants.ts";
import { build } from "./build.mjs";
import { ensureChromium, ensureFaketime, ensurePackages } from "./ensure.mjs";
import { failedIn, suites, unsteadyOf } from "./suites.mjs";

ensurePackages();
ensureChromium();
const faketime = ensureFaketime();
const [wanted = "5", seed = new Date().toISOString().slice(0, 10).replaceAll("-", ""), ...more] = process.argv.slice(2);
if (build({ stdio: "ignore" }) !== 0) throw new Error("the app could not be built");
console.log(`any day: ${wanted} instants from seed ${seed}`);

/** What the processes are told. The clock that only goes on, never back, is left to them: waits are measured by it. */
function toldOf({ at, zone }) {
  const utc = new Date(at).toISOString().replace("T", " ").slice(0, 19);
  return {
    env: { NOOK_COAT_AT: new Date(at).toISOString(), NOOK_COAT_ZONE: zone, TZ: "UTC", FAKETIME_DONT_FAKE_MONOTONIC: "1" },
    before: [faketime, "-f", `@${utc}`],
  };
}

let [allPassed, allFailed] = [0, 0];
for (const instant of drawInstants(Number(seed), Number(wanted))) {
  const told = toldOf(instant);
  const begun = performance.now();
  const result = suites("any-day", ["--selectProjects", "browser", ...more], told);
  const failing = result ? failedIn(result) : [{ file: "", name: "the runner broke off" }];
  const unsteady = result ? unsteadyOf(failing, told) : [];
  const failed = failing.length - unsteady.length;
  const passed = (result?.numPassedTests ?? 0) + unsteady.length;
  const took = Math.round((performance.now() - begun) / 1000);
  console.log(`| ${instant.kind} | ${sayInstant(instant)} | ${passed} passed | ${failed} failed | ${unsteady.length} unsteady | ${took} s |`);
  for (const { name } of failing) console.log(`    ${unsteady.includes(name) ? "unsteady" : "failed"}: ${name}`);
  allPassed += passed;
  allFailed += failed;
}
console.log(`${allPassed} passed, ${allFailed} failed`);
process.exit(allFailed > 0 ? 1 : 0);
