import { readFileSync } from "node:fs";
import { CATALOGUE } from "../core/catalogue/catalogue";
import { completePiece } from "../core/piece/complete-piece";
import { pieceFacts } from "../core/coating/facts/facts";
import { searchesFor } from "../core/coating/planner/plan-piece";
import { MEASURES } from "../core/coating/planner/cost";
import { reweighed } from "../core/coating/planner/route-search";
const piece = JSON.parse(readFileSync(process.argv[2]!, "utf8"));
const facts = pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE);
for (const route of searchesFor(facts)) {
  for (const m of Object.keys(MEASURES) as never[]) {
    const f = route.best(m); if (!f) continue;
    console.log(route.route, m, f.joined.total.toFixed(2), "balanced", reweighed(f.joined, "balanced").total.toFixed(2), f.proved);
    if (m === "balanced" || process.argv[3] === m) for (const [z, j] of f.joined.judged.entries()) console.log("   ", route.searches[z]!.context.zone.zone, j.extra.faults, j.stack.steps.map((s) => s.step.role + ":" + s.step.product + "x" + s.step.coats).join(" "), JSON.stringify(j.span), j.alternatives.reduce((a,b)=>a+b.part.strain,0));
  }
}
