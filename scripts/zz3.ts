import { CATALOGUE } from "../core/catalogue/catalogue";
import { planPiece } from "../core/coating/planner/plan-piece";
import { sweepPieces } from "../tests/reference/sweep";
const every = Number(process.argv[2] ?? 7);
const counts = new Map<string, number>(); const warns = new Map<string, number>(); let n = 0, ref = 0; let more = 0; const slow: number[] = [];
for (const [i, piece] of [...sweepPieces()].entries()) {
  if (i % every) continue; n++;
  const t = performance.now(); const set = planPiece(piece, CATALOGUE); slow.push(performance.now() - t);
  if (set.refusal) { ref++; const k = `${set.refusal.code} | ${piece.material} ${piece.uses} ${piece.decoration?.techniques}`; counts.set(k, (counts.get(k) ?? 0) + 1); }
  else { for (const f of set.candidates[0]!.findings) if (f.severity === "warn" || f.severity === "note") warns.set(f.severity + " " + f.code + (f.code === "rewettable-bare" || f.code==="unsealed-wear" ? JSON.stringify([piece.material, piece.uses, piece.constraints]) : ""), (warns.get(f.severity + " " + f.code) ?? 0) + 1); more += set.candidates.length; }
}
slow.sort((a, b) => a - b);
console.log(n, ref, (100*ref/n).toFixed(1) + "%", "ways", (more/(n-ref)).toFixed(2), "median ms", slow[slow.length>>1]!.toFixed(0), "p99", slow[Math.floor(slow.length*.99)]!.toFixed(0));
for (const [k, v] of [...counts].sort((a, b) => b[1] - a[1])) console.log(v, k);
for (const [k, v] of [...warns].sort((a, b) => b[1] - a[1])) console.log(v, k);
