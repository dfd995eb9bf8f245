/** One share of the sweep, in a thread of its own; posts what the planner answered to each piece. */
import { performance } from "node:perf_hooks";
import { parentPort, workerData } from "node:worker_threads";
import { CATALOGUE } from "../core/catalogue/catalogue";
import { pieceFacts } from "../core/coating/facts/facts";
import type { PlanSet } from "../core/coating/model/plan";
import { searchesFor } from "../core/coating/planner/piece-search";
import { planPiece } from "../core/coating/planner/plan-piece";
import { completePiece } from "../core/piece/complete-piece";
import type { Piece } from "../core/piece/piece";
import { answerFaults, sweepPieces } from "../tests/reference/sweep";

/** What is kept of one answer. */
export interface SweepRow {
  readonly name: string;
  readonly ms: number;
  readonly faults: readonly string[];
  readonly titles: readonly string[];
  readonly warned: readonly string[];
  readonly refusal: { readonly code: string; readonly why: string; readonly wayOut: string } | null;
  /** Searches by measure, and how many of them were proved; of every 25th piece. */
  readonly searches: { readonly sought: number; readonly proved: number };
}

export interface Shard {
  readonly index: number;
  readonly of: number;
}

const PROOF_OF_EVERY = 25;

function searched(piece: Piece): SweepRow["searches"] {
  let [sought, proved] = [0, 0];
  for (const route of searchesFor(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE)))
    for (const measure of route.measures) {
      const found = route.best(measure);
      if (!found) continue;
      sought += 1;
      proved += found.proved ? 1 : 0;
    }
  return { sought, proved };
}

function rowOf(piece: Piece, ms: number, answer: PlanSet, withProof: boolean): SweepRow {
  const { candidates, refusal } = answer;
  return {
    name: piece.name,
    ms,
    faults: answerFaults(answer),
    titles: candidates.map((one) => one.title),
    warned: [...new Set(candidates[0]?.findings.filter((one) => one.severity === "warn").map((one) => one.code))],
    refusal: refusal && { code: refusal.code, why: refusal.why, wayOut: refusal.nearest?.text ?? "none" },
    searches: withProof && !refusal ? searched(piece) : { sought: 0, proved: 0 },
  };
}

const shard = workerData as Shard;
const rows = [...sweepPieces()].flatMap((piece, at): readonly SweepRow[] => {
  if (at % shard.of !== shard.index) return [];
  const from = performance.now();
  const answer = planPiece(piece, CATALOGUE);
  return [rowOf(piece, performance.now() - from, answer, at % PROOF_OF_EVERY === 0)];
});
parentPort?.postMessage(rows);
