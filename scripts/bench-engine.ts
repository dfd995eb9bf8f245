/** Times the engine; with `--write` it writes docs/coverage.md out of the sweep. Prints, judges nothing. */
import { performance } from "node:perf_hooks";
import { writeFileSync } from "node:fs";
import { CATALOGUE, makeCatalogue, STANDARD_LISTS } from "../core/catalogue/catalogue";
import type { MaterialId, UseId } from "../core/catalogue/ids";
import { productId } from "../core/catalogue/ids";
import { withOwnProducts } from "../core/catalogue/own-product";
import { checkSteps } from "../core/coating/check-steps";
import { pieceFacts } from "../core/coating/facts";
import { planPiece, searchesFor } from "../core/coating/planner/plan-piece";
import { completePiece } from "../core/piece/complete-piece";
import { pieceFrom } from "../core/piece/new-piece";
import type { Piece } from "../core/piece/piece";
import { answerFaults, sweepPieces } from "../tests/reference/sweep";

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

const times: number[] = [];
const reasons = new Map<string, { count: number; example: string; wayOut: Map<string, number> }>();
const faults = new Map<string, number>();
const warned = new Map<string, number>();
const titles = new Map<string, number>();
let [proved, measured, refused, ways] = [0, 0, 0, 0];
for (const piece of sweepPieces()) {
  const { result, ms } = timed(() => planPiece(piece, CATALOGUE));
  times.push(ms);
  for (const fault of answerFaults(result)) faults.set(fault, (faults.get(fault) ?? 0) + 1);
  ways += result.candidates.length;
  for (const one of result.candidates)
    titles.set(one.title.replace(/^(With|Another way).*/, "by its school"), (titles.get(one.title.replace(/^(With|Another way).*/, "by its school")) ?? 0) + 1);
  for (const code of new Set(result.candidates[0]?.findings.filter((one) => one.severity === "warn").map((one) => one.code)))
    warned.set(code, (warned.get(code) ?? 0) + 1);
  if (result.refusal) {
    refused += 1;
    const known = reasons.get(result.refusal.code) ?? { count: 0, example: `${piece.name}: ${result.refusal.why}`, wayOut: new Map<string, number>() };
    const wayOut = result.refusal.nearest?.text ?? "none";
    known.wayOut.set(wayOut, (known.wayOut.get(wayOut) ?? 0) + 1);
    reasons.set(result.refusal.code, { ...known, count: known.count + 1 });
  } else if (times.length % 25 === 0) {
    for (const route of searchesFor(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE)))
      for (const measure of route.measures) {
        const found = route.best(measure);
        if (!found) continue;
        measured += 1;
        proved += found.proved ? 1 : 0;
      }
  }
}
const seconds = times.reduce((sum, ms) => sum + ms, 0) / 1000;
const share = (count: number, of: number) => `${((100 * count) / of).toFixed(1)} %`;
console.log(`sweep of ${times.length} pieces in ${seconds.toFixed(1)} s: ${spread(times)}; ${refused} refused (${share(refused, times.length)})`);
console.log(`proved that nothing noticeably better was missed: ${share(proved, measured)} of ${measured} searches of every 25th piece`);
for (const [fault, count] of faults) console.log(`  FAULT ${count} × ${fault}`);

if (process.argv.includes("--write")) {
  const sorted = [...reasons].sort((a, b) => b[1].count - a[1].count);
  const lines = [
    "# What the planner answers",
    "",
    `Written out of the sweep by \`npm run coverage\`: every material in every use, decorated six ways, in six settings of room and constraints; ${times.length} pieces.`,
    "",
    `- Planned: ${times.length - refused} (${share(times.length - refused, times.length)}), with ${(ways / (times.length - refused)).toFixed(1)} ways each.`,
    `- Refused: ${refused} (${share(refused, times.length)}), each with a nearest piece that plans.`,
    `- Silly answers by the sense checks: ${[...faults.values()].reduce((sum, count) => sum + count, 0)}.`,
    "",
    "## Refused, by reason",
    "",
    "| reason | pieces | the ways out, most often first | for example |",
    "| --- | --- | --- | --- |",
    ...sorted.map(([code, { count, example, wayOut }]) => {
      const most = [...wayOut].sort((a, b) => b[1] - a[1]).slice(0, 4);
      return `| \`${code}\` | ${count} | ${most.map(([text, times]) => `${text} (${times})`).join("; ")} | ${example} |`;
    }),
    "",
    "## Likely faults the first plan cannot be without",
    "",
    ...[...warned].sort((a, b) => b[1] - a[1]).map(([code, count]) => `- \`${code}\`: ${count}`),
    "",
    "## What the ways shown are called",
    "",
    ...[...titles].sort((a, b) => b[1] - a[1]).map(([title, count]) => `- ${title}: ${count}`),
    "",
  ];
  writeFileSync(new URL("../docs/coverage.md", import.meta.url), lines.join("\n"));
}
