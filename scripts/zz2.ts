import { readFileSync } from "node:fs";
import { CATALOGUE } from "../core/catalogue/catalogue";
import { completePiece } from "../core/piece/complete-piece";
import { pieceFacts } from "../core/coating/facts/facts";
import { searchesFor } from "../core/coating/planner/plan-piece";
import { violationsOf, avoidableCodes } from "../core/coating/planner/violations";
import { RULES } from "../core/coating/rules/rules";
const piece = JSON.parse(readFileSync(process.argv[2]!, "utf8"));
const facts = pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE);
for (const route of searchesFor(facts)) {
  const s = route.searches[0]!; const best = route.best("balanced")!;
  const alts = best.joined.judged[0]!.alternatives;
  for (const [v, variable] of s.variables.entries()) for (const alt of s.domains[v]!) {
    const chosen = alts.map((a, i) => i === v ? alt : a); if (alt === alts[v]) continue;
    const j = s.judge(chosen); 
    console.log(variable.name, alt.key, j.stop, j.extra.faults, violationsOf(j.stack, RULES, avoidableCodes(RULES)).map(x=>x.code + ":" + x.severity).join(","));
  }
}
