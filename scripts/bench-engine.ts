/** Times the engine; with `--write` it writes docs/coverage.md out of the sweep. Prints, judges nothing. */
import { performance } from "node:perf_hooks";
import { writeFileSync } from "node:fs";
import { availableParallelism } from "node:os";
import { Worker } from "node:worker_threads";
import { CATALOGUE, makeCatalogue, STANDARD_LISTS } from "../core/catalogue/catalogue";
import type { MaterialId, UseId } from "../core/catalogue/ids";
import { productId } from "../core/catalogue/ids";
import { withOwnProducts } from "../core/catalogue/own-product";
import { checkSteps } from "../core/coating/rules/check-steps";
import { planPiece } from "../core/coating/planner/plan-piece";
import { pieceFrom } from "../core/piece/new-piece";
import type { Piece } from "../core/piece/piece";
import type { Shard, SweepRow } from "./sweep-shard";

const ONE_PLAN_RUNS = 60;
const WARM_UP = 5;
const FIRST_FEW = 20;

function spread(times: readonly number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
  return `median ${at(0.5).toFixed(1)} ms, p99 ${at(0.99).toFixed(1)} ms`;
}

function timed<T>(work: () => T): { readonly result: T; readonly ms: number } {
  const from = performance.now();
  const result = work();
  return { result, ms: performance.now() - from };
}

const often = (work: () => unknown, runs = ONE_PLAN_RUNS) => spread(Array.from({ length: runs + WARM_UP }, () => timed(work).ms).slice(WARM_UP));
const uses = (...ids: string[]) => ids as readonly string[] as readonly UseId[];
const stated = (material: string, use: readonly UseId[], techniques: Parameters<typeof pieceFrom>[0]["techniques"]) =>
  pieceFrom({ material: material as MaterialId, uses: use, techniques }, CATALOGUE);

const pebble = stated("stone-smooth", uses("indoor-display"), ["dots"]);
const herbPot: Piece = { ...stated("terracotta", uses("planter", "outdoor-exposed"), ["bands", "dots"]), parts: ["saucer"] };
console.log(`one plan (pebble, one zone, dots): ${often(() => planPiece(pebble, CATALOGUE))}`);
console.log(`one plan (planter, six zones, two techniques): ${often(() => planPiece(herbPot, CATALOGUE))}`);
const [candidate] = planPiece(herbPot, CATALOGUE).candidates;
console.log(`every rule over that plan: ${often(() => checkSteps(herbPot, candidate!.zones, CATALOGUE))}`);

// How the cost grows: twins of every product class, and a shelf of two hundred jars.
const twins = (times: number) =>
  makeCatalogue({
    ...STANDARD_LISTS,
    products: STANDARD_LISTS.products.flatMap((product) =>
      Array.from({ length: times }, (_unused, twin) => (twin === 0 ? product : { ...product, id: productId(`${product.id}-${twin}`) })),
    ),
  });
for (const times of [1, 2, 4]) {
  const catalogue = twins(times);
  console.log(`  ${catalogue.products.size} product classes: ${often(() => planPiece(pebble, catalogue), FIRST_FEW)}`);
}
const classes = [...CATALOGUE.products.keys()];
const shelf = Array.from({ length: 200 }, (_unused, index) => ({ id: `jar${index}`, classId: classes[index % classes.length]!, name: `Jar ${index}` }));
console.log(`  a shelf of 200: ${often(() => planPiece(pebble, withOwnProducts(CATALOGUE, shelf)), FIRST_FEW)}`);
for (const zones of [["top"], ["top", "back"]] as const) {
  const piece: Piece = zones.length === 1 ? pebble : { ...pebble, uses: uses("gift-or-sale") };
  console.log(`  ${zones.length} zone${zones.length > 1 ? "s" : ""}: ${often(() => planPiece(piece, CATALOGUE), FIRST_FEW)}`);
}

function inThread(shard: Shard): Promise<readonly SweepRow[]> {
  return new Promise((resolve, reject) => {
    // A thread does not inherit the loader for TypeScript.
    const url = JSON.stringify(new URL("sweep-shard.ts", import.meta.url).href);
    const worker = new Worker(`import("tsx/esm/api").then(({ register }) => { register(); return import(${url}); })`, { eval: true, workerData: shard });
    worker.once("message", resolve);
    worker.once("error", reject);
  });
}

const threads = availableParallelism();
const from = performance.now();
const shards = await Promise.all(Array.from({ length: threads }, (_unused, index) => inThread({ index, of: threads })));
const seconds = (performance.now() - from) / 1000;
const rows = shards.flat();
const tally = (names: readonly string[]) => {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts].sort((x, y) => y[1] - x[1]);
};
const sum = (pick: (row: SweepRow) => number) => rows.reduce((total, row) => total + pick(row), 0);
const share = (count: number, of: number) => `${((100 * count) / of).toFixed(1)} %`;
const refused = rows.filter((row) => row.refusal);
const faults = tally(rows.flatMap((row) => row.faults));
const sought = sum((row) => row.searches.sought);
console.log(
  `sweep of ${rows.length} pieces in ${seconds.toFixed(1)} s on ${threads} threads: ${spread(rows.map((row) => row.ms))}; ${refused.length} refused (${share(refused.length, rows.length)})`,
);
console.log(
  `proved that nothing noticeably better was missed: ${share(
    sum((row) => row.searches.proved),
    sought,
  )} of ${sought} searches of every 25th piece`,
);
for (const [fault, count] of faults) console.log(`  FAULT ${count} × ${fault}`);

if (process.argv.includes("--write")) {
  const planned = rows.length - refused.length;
  const lines = [
    "# What the planner answers",
    "",
    `Written out of the sweep by \`npm run coverage\`: every material in every use, decorated six ways, in six settings of room and constraints; ${rows.length} pieces.`,
    "",
    `- Planned: ${planned} (${share(planned, rows.length)}), with ${(sum((row) => row.titles.length) / planned).toFixed(1)} ways each.`,
    `- Refused: ${refused.length} (${share(refused.length, rows.length)}), each with a nearest piece that plans.`,
    `- Silly answers by the sense checks: ${faults.reduce((total, [, count]) => total + count, 0)}.`,
    "",
    "## Refused, by reason",
    "",
    "| reason | pieces | the ways out, most often first | for example |",
    "| --- | --- | --- | --- |",
    ...tally(refused.map((row) => row.refusal!.code)).map(([code, count]) => {
      const own = refused.filter((row) => row.refusal!.code === code);
      const most = tally(own.map((row) => row.refusal!.wayOut)).slice(0, 4);
      return `| \`${code}\` | ${count} | ${most.map(([text, times]) => `${text} (${times})`).join("; ")} | ${own[0]!.name}: ${own[0]!.refusal!.why} |`;
    }),
    "",
    "## Likely faults the first plan cannot be without",
    "",
    ...tally(rows.flatMap((row) => row.warned)).map(([code, count]) => `- \`${code}\`: ${count}`),
    "",
    "## What the ways shown are called",
    "",
    ...tally(rows.flatMap((row) => row.titles.map((title) => title.replace(/^(With|Another way).*/, "by its school")))).map(
      ([title, count]) => `- ${title}: ${count}`,
    ),
    "",
  ];
  writeFileSync(new URL("../docs/coverage.md", import.meta.url), lines.join("\n"));
}
