/**
 * `npm run attack`: the nightly-sized run. Ten thousand damaged files against reader, planner and dates, sixty of them against every page, and the file of
 * every released version; a hundred times three devices changed and put together at random; sixty browsers killed while they write; a hundred walks of a
 * hand that does anything; and in every room two tabs, drafts, a full disk, dying workers, clocks, a new version and quick takings-back.
 * `npm run attack -- walks 20 7` runs one part, so many times, from a seed.
 */
import { chromium } from "playwright-core";
import { attack } from "../tests/reliability/attack";
import { battered, released } from "../tests/reliability/battered";
import { exchanged } from "../tests/reliability/devices";
import * as hardships from "../tests/reliability/hardships";
import { kills } from "../tests/reliability/kills";
import { walk } from "../tests/reliability/monkey";
import { build } from "./build.mjs";
import { CHROMIUM_ARGS, chromiumPath, ensureChromium, ensurePackages } from "./ensure.mjs";

/** The built app with the demo, for as long as a part needs it. */
async function served(part) {
  ensurePackages();
  ensureChromium();
  if (build({ stdio: "ignore" }) !== 0) return ["the app could not be built"];
  process.env.NODE_ENV = "production";
  process.env.NOOK_COAT_DEMO = "1";
  const { serve } = await import("../server/serve.mjs");
  const { url, close } = await serve({ port: 0 });
  try {
    return await part(url, chromiumPath());
  } finally {
    await close();
  }
}

/** The same, with one browser for all of a part. */
function inBrowser(part) {
  return served(async (url, executablePath) => {
    const browser = await chromium.launch({ executablePath, args: CHROMIUM_ARGS });
    return part(browser, url).finally(() => browser.close());
  });
}

/** One that is met once for each seed. */
const met = (hardship, count = 1) => ({
  count,
  run: (times, seed) =>
    inBrowser(async (browser, url) => {
      const faults = [];
      for (let index = 0; index < times; index += 1) faults.push(...(await hardship(browser, url, seed + index)));
      return faults;
    }),
});

const PARTS = {
  files: {
    count: 10_000,
    run: (count, seed) => {
      const { faults, ...tally } = attack(seed, count);
      console.log(JSON.stringify(tally));
      return faults;
    },
  },
  devices: { count: 100, run: (count, seed) => Array.from({ length: count }, (_unused, index) => exchanged(seed + index, 80)).flat() },
  pages: { count: 60, run: (count, seed) => inBrowser((browser, url) => battered(browser, url, count, seed)) },
  versions: { count: 1, run: () => inBrowser(released) },
  ...Object.fromEntries(Object.entries(hardships).map(([name, hardship]) => [name, met(hardship)])),
  kills: {
    count: 60,
    run: (count, seed) =>
      served(async (url, executable) => {
        const { faults, ...tally } = await kills(executable, CHROMIUM_ARGS, url, count, seed);
        console.log(JSON.stringify(tally));
        return faults;
      }),
  },
  walks: met(walk, 100),
};

const [only, wanted, seed = "1"] = process.argv.slice(2);
let failed = 0;
for (const [name, { count, run }] of Object.entries(PARTS)) {
  if (only !== undefined && only !== name) continue;
  const times = Number(wanted ?? count);
  const faults = await run(times, Number(seed));
  for (const fault of faults.slice(0, 30)) console.log(`  ${fault}`);
  console.log(`${name}: ${times} from seed ${seed}, ${faults.length} faults`);
  failed += faults.length;
}
process.exit(failed > 0 ? 1 : 0);
