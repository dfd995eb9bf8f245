/** A sample of the matrix of pieces, drawn with a seed: an answer for every one, and none of them silly. The whole of it runs with the bench. */
import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceFacts } from "#core/coating/facts/facts";
import { bestOf, selectCandidates } from "#core/coating/planner/candidate-selection";
import { searchesFor } from "#core/coating/planner/piece-search";
import { planPiece } from "#core/coating/planner/plan-piece";
import { reweighed } from "#core/coating/planner/found";
import { faultsIn } from "#core/coating/planner/zone-search";
import { completePiece } from "#core/piece/complete-piece";
import { answerFaults, fixFault, sweepPieces } from "./sweep";

const SEED = 20261125;
const SHARE = 0.06;
/** Of the pieces drawn this share has every fix of its first plan tried. */
const FIXES_OF_EVERY = 9;
/** More refusals than this, and the planner gives up where a painter would not. */
const MOST_REFUSED = 0.08;
/** Three hundred pieces, each planned and tried: a slow machine may take its time. */
const LONG_MS = 600_000;

/** Pieces of which every plan found is weighed against the first. */
const WEIGHED = 60;

test(
  "the first plan weighs least all round of all that were found",
  () => {
    const pieces = [...sweepPieces()].filter((_piece, index) => index % Math.floor(5184 / WEIGHED) === 0);
    for (const piece of pieces) {
      const routes = searchesFor(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE));
      const best = bestOf(routes, "balanced");
      const [first] = selectCandidates(routes, CATALOGUE, best);
      if (!best || !first) continue;
      const found = routes.flatMap((route) => route.measures.flatMap((measure) => route.best(measure) ?? []));
      const least = Math.min(
        ...found.filter((one) => faultsIn(one.joined.judged) <= faultsIn(best.joined.judged)).map((one) => reweighed(one.joined, "balanced").total),
      );
      const own = found.filter((one) => one.make().id === first.id).map((one) => reweighed(one.joined, "balanced").total);
      expect([piece.material, piece.uses, Math.min(...own) - least < 1e-6]).toEqual([piece.material, piece.uses, true]);
    }
  },
  LONG_MS,
);

test(
  "a seeded tenth of the pieces a painter might state",
  () => {
    const pieces = [...sweepPieces()];
    const many = Math.floor(pieces.length * SHARE);
    const [drawn] = fc.sample(fc.shuffledSubarray(pieces, { minLength: many, maxLength: many }), { seed: SEED, numRuns: 1 });
    const faults: string[] = [];
    let refused = 0;
    for (const [index, piece] of drawn!.entries()) {
      const set = planPiece(piece, CATALOGUE);
      const [first] = set.candidates;
      refused += set.refusal ? 1 : 0;
      const fixes = first && index % FIXES_OF_EVERY === 0 ? first.findings.flatMap((finding) => fixFault(piece, first, finding) ?? []) : [];
      for (const fault of [...answerFaults(set), ...fixes])
        faults.push(`${piece.material}, ${piece.uses.join()}, ${JSON.stringify(piece.decoration)}: ${fault}`);
    }
    expect(faults).toEqual([]);
    expect(pieces.length).toBeGreaterThan(5000);
    expect(refused / drawn!.length).toBeLessThan(MOST_REFUSED);
  },
  LONG_MS,
);
