/** Times the mixing desk: recipes from a shelf of two hundred jars, and how the colours of a plan hide. Prints, judges nothing. */
import { performance } from "node:perf_hooks";
import { CATALOGUE } from "../core/catalogue/catalogue";
import type { MaterialId, UseId } from "../core/catalogue/ids";
import { planColours } from "../core/coating/explain/plan-colours";
import { planPiece } from "../core/coating/planner/plan-piece";
import { calibrated } from "../core/film/calibrate";
import { hide } from "../core/film/hide";
import { jarsToReach } from "../core/film/reach";
import { tint } from "../core/film/tint";
import { pieceFrom } from "../core/piece/new-piece";

const RUNS = 40;
const SEED = 20261127;

function spread(times: readonly number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
  return `median ${at(0.5).toFixed(1)} ms, p95 ${at(0.95).toFixed(1)} ms, most ${at(1).toFixed(1)} ms`;
}

function timed(work: () => unknown): number {
  const from = performance.now();
  work();
  return performance.now() - from;
}

let state = SEED;
const draw = () => (state = (state * 16807) % 2147483647) / 2147483647;
const colour = () =>
  `#${[0, 1, 2]
    .map(() =>
      Math.floor(20 + draw() * 220)
        .toString(16)
        .padStart(2, "0"),
    )
    .join("")}`;
const paints = Array.from({ length: 200 }, (_unused, index) => ({ id: `jar${index}`, colour: colour() }));

console.log(`recipes, pairs and triples of 200 jars, the very first (spectra and all): ${timed(() => tint({ target: "#f4bf9d", paints })).toFixed(0)} ms`);
console.log(`  and after it: ${spread(Array.from({ length: RUNS }, () => timed(() => tint({ target: colour(), paints }))))} (goal: under 300 ms)`);
const eleven = paints.slice(0, 11);
console.log(`  of eleven jars: ${spread(Array.from({ length: RUNS }, () => timed(() => tint({ target: colour(), paints: eleven }))))}`);
console.log(`what would have to be bought beside eleven jars: ${spread(Array.from({ length: 10 }, () => timed(() => jarsToReach(colour(), eleven))))}`);

const piece = {
  ...pieceFrom(
    { material: "terracotta" as MaterialId, uses: ["planter", "outdoor-exposed"] as readonly string[] as readonly UseId[], techniques: ["bands", "dots"] },
    CATALOGUE,
  ),
};
const [candidate] = planPiece(piece, CATALOGUE).candidates;
console.log(
  `the colours of a plan, with how they hide: ${spread(Array.from({ length: RUNS }, () => timed(() => planColours(piece, candidate!, CATALOGUE))).slice(5))} (goal: under 5 ms)`,
);
console.log(
  `one colour over a new ground: ${spread(Array.from({ length: RUNS }, () => timed(() => hide({ paint: { colour: colour(), contrastRatio: 0.8 }, over: colour() }))).slice(5))}`,
);
const swatch = { dark: { colour: "#26262a" }, pale: { colour: "#efece4" }, overDark: { colour: "#9a3f30" }, overPale: { colour: "#b94a3a" } };
console.log(`a swatch: ${spread(Array.from({ length: 10 }, () => timed(() => calibrated(swatch))))}`);
