import type { ProductId } from "../catalogue/ids";
import { MIN_PER_DAY } from "../units/duration";
import { wearScore } from "./planner/measures";
import { films, isClear, isColour, lastFilm } from "./facts";
import type { PieceFacts, StackFacts } from "./facts";
import type { Scores, Step, Totals, ZoneSteps } from "./plan";

type Column = "typical" | "cautious";

/** Minutes of a zone's own chain before its cure: waits, and the waits between coats of one step. */
function chainMin(steps: readonly Step[], column: Column): number {
  return steps
    .filter((step) => step.role !== "cure")
    .reduce((sum, step) => {
      const wait = (column === "typical" ? step.waitBefore?.min : (step.waitBefore?.cautiousMin ?? step.waitBefore?.min)) ?? 0;
      return sum + wait + (step[column]?.recoatFrom ?? 0) * (step.coats - 1);
    }, 0);
}

function isUnderside(zone: ZoneSteps, facts: PieceFacts): boolean {
  return facts.zones.find((one) => one.zone === zone.zone)?.template.exposure === "underside";
}

/** The back is finished before the face is begun; the other zones go on side by side. */
function elapsed(zones: readonly ZoneSteps[], facts: PieceFacts, column: Column): number {
  const longest = (some: readonly ZoneSteps[]) => Math.max(0, ...some.map((zone) => chainMin(zone.steps, column)));
  return longest(zones.filter((zone) => isUnderside(zone, facts))) + longest(zones.filter((zone) => !isUnderside(zone, facts)));
}

/** One shared act counts once, however many zones carry it. */
function handsOn(zones: readonly ZoneSteps[]): number {
  const seen = new Set<string>();
  return zones
    .flatMap((zone) => zone.steps)
    .filter((step) => step.group === undefined || (!seen.has(step.group) && (seen.add(step.group), true)))
    .reduce((sum, step) => sum + step.handsOnMin, 0);
}

/** Sums a plan up. */
export function totalsOf(zones: readonly ZoneSteps[], facts: PieceFacts): Totals {
  const steps = zones.flatMap((zone) => zone.steps);
  const jar: Record<string, number> = {};
  for (const step of steps) if (step.jarMl !== null) jar[step.product] = (jar[step.product] ?? 0) + step.jarMl;
  const elapsedMin = elapsed(zones, facts, "typical");
  const last = Math.max(0, ...zones.map((zone) => [...zone.steps].reverse().find((step) => step.typical)?.typical?.dryThrough ?? 0));
  return {
    handsOnMin: handsOn(zones),
    elapsedMin,
    elapsedCautiousMin: elapsed(zones, facts, "cautious"),
    handleAfterMin: elapsedMin + last,
    cureDays: Math.max(0, ...steps.filter((step) => step.role === "cure").map((step) => (step.waitBefore?.min ?? 0) / MIN_PER_DAY)),
    jarMlByProduct: jar,
    products: [...new Set(steps.filter((step) => facts.catalogue.products.has(step.product)).map((step): ProductId => step.product))],
  };
}

function stackWear(stack: StackFacts): number {
  const last = lastFilm(stack);
  if (!last) return 3;
  if (isClear(last)) return wearScore(last.product!.resists, stack.zone.wears);
  const baked = stack.steps.some((step) => step.aid?.heat);
  return Math.min(
    ...films(stack)
      .filter(isColour)
      .map(({ product }) => wearScore(baked && product!.bakeable ? product!.standsAloneBaked : product!.standsAlone, stack.zone.wears)),
  );
}

/** How a plan does by each measure: wear is that of its weakest painted zone, 0–3. */
export function scoresOf(stacks: readonly StackFacts[], totals: Totals): Scores {
  const painted = stacks.filter((stack) => films(stack).length > 0);
  const facts = stacks.flatMap((stack) => stack.steps);
  const kinds = new Set(facts.map((fact) => fact.step.product));
  const harsh = [...kinds].reduce((sum, id) => {
    const fact = facts.find((one) => one.step.product === id)!;
    return sum + (fact.product?.carrier === "solvent" ? 1 : 0) + (fact.product?.traits.includes("two-part") ? 1.5 : 0) + (fact.aid?.heat ? 1 : 0);
  }, 0);
  return {
    durability: painted.length === 0 ? 3 : Math.min(...painted.map(stackWear)),
    readyDays: totals.elapsedMin / MIN_PER_DAY + totals.cureDays,
    handsOnMin: totals.handsOnMin,
    products: totals.products.length,
    harshness: harsh,
  };
}
