import { performance } from "node:perf_hooks";
import { CATALOGUE } from "../core/catalogue/catalogue";
import type { MaterialId, UseId } from "../core/catalogue/ids";
import type { TechniqueId } from "../core/catalogue/vocabulary";
import { checkSteps } from "../core/coating/check-steps";
import { planPiece } from "../core/coating/planner/plan-piece";
import { pieceFrom } from "../core/piece/new-piece";
import type { Piece } from "../core/piece/piece";

const ONE_PLAN_RUNS = 60;
const TECHNIQUE_SETS: readonly (readonly TechniqueId[])[] = [[], ["dots"], ["bands", "dots"], ["lettering", "outline"], ["blended", "effect-powder"]];
const CONSTRAINTS: readonly Piece["constraints"][] = [{}, { oven: false }, { childSafe: true }];

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

const herbPot: Piece = {
  ...pieceFrom(
    { material: "terracotta" as MaterialId, uses: ["planter", "outdoor-exposed"] as readonly string[] as readonly UseId[], techniques: ["bands", "dots"] },
    CATALOGUE,
  ),
  parts: ["saucer"],
};
const one = Array.from({ length: ONE_PLAN_RUNS }, () => timed(() => planPiece(herbPot, CATALOGUE)).ms);
console.log(`one plan (planter, six zones, two techniques): ${spread(one.slice(5))}`);
const [candidate] = planPiece(herbPot, CATALOGUE).candidates;
const judged = Array.from({ length: ONE_PLAN_RUNS }, () => timed(() => checkSteps(herbPot, candidate!.zones, CATALOGUE)).ms);
console.log(`every rule over that plan: ${spread(judged.slice(5))}`);

const times: number[] = [];
const refused = new Map<string, number>();
for (const material of CATALOGUE.materials.keys())
  for (const use of CATALOGUE.uses.keys())
    for (const techniques of TECHNIQUE_SETS)
      for (const constraints of CONSTRAINTS) {
        const piece = { ...pieceFrom({ material, uses: [use], techniques }, CATALOGUE), constraints };
        const { result, ms } = timed(() => planPiece(piece, CATALOGUE));
        times.push(ms);
        if (result.refusal) refused.set(`${material} ${use}: ${result.refusal.code}`, (refused.get(`${material} ${use}: ${result.refusal.code}`) ?? 0) + 1);
      }
const seconds = times.reduce((sum, ms) => sum + ms, 0) / 1000;
const lost = [...refused.values()].reduce((sum, count) => sum + count, 0);
console.log(`sweep of ${times.length} pieces in ${seconds.toFixed(1)} s: ${spread(times)}; ${lost} refused (${((100 * lost) / times.length).toFixed(1)} %)`);
for (const [reason, count] of [...refused].sort((a, b) => b[1] - a[1])) console.log(`  ${count} × ${reason}`);
