import type { ProductId } from "../../catalogue/ids";
import { MIN_PER_DAY } from "../../units/duration";
import { BEST_GRADE, durabilityOf } from "./durability";
import { has, isColour } from "./facts";
import type { PieceFacts, StackFacts, StepFact } from "./facts";
import { harshnessOf } from "./harshness";
import type { Scores, Totals } from "../model/plan";
import type { Step, ZoneSteps } from "../model/step";

type Column = "typical" | "cautious";

/** Minutes of a zone's own chain before its cure: waits, and the waits between coats of one step. */
function chainMin(steps: readonly Step[], column: Column): number {
  return steps
    .filter((step) => step.role !== "cure" && !step.done)
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

/**
 * Sums a plan up.
 *
 * @param zones stacks with their numbers
 * @returns minutes, days and mL over all zones and the whole count
 */
export function totalsOf(zones: readonly ZoneSteps[], facts: PieceFacts): Totals {
  const steps = zones.flatMap((zone) => zone.steps);
  const jar: Record<string, number> = {};
  for (const step of steps) if (step.jarMl !== null && !step.done) jar[step.product] = (jar[step.product] ?? 0) + step.jarMl;
  const elapsedMin = elapsed(zones, facts, "typical");
  const last = Math.max(0, ...zones.map((zone) => [...zone.steps].reverse().find((step) => step.typical)?.typical?.dryThrough ?? 0));
  return {
    handsOnMin: handsOn(zones),
    elapsedMin,
    elapsedCautiousMin: elapsed(zones, facts, "cautious"),
    handleAfterMin: elapsedMin + last,
    cureDays: Math.max(0, ...steps.filter((step) => step.role === "cure").map((step) => (step.waitBefore?.min ?? 0) / MIN_PER_DAY)),
    jarMlByProduct: jar,
    products: [...new Set(steps.filter((step) => !step.done && facts.catalogue.products.has(step.product)).map((step): ProductId => step.product))],
  };
}

/** Ground and colour in coats; zones that get the same are painted in one go. */
function coatsIn(stacks: readonly StackFacts[]): number {
  const told = new Set<string>();
  return stacks.reduce((sum, stack) => {
    const coats = stack.steps.filter((fact) => !fact.step.done && !fact.step.marks && (isColour(fact) || has(fact, "ground")));
    const look = coats.map((fact) => `${fact.step.role}:${fact.step.product}:${fact.step.coats}:${fact.step.colour}`).join("|");
    if (told.has(look)) return sum;
    told.add(look);
    return sum + coats.reduce((own, fact) => own + (fact.step.coats ?? 1), 0);
  }, 0);
}

/** What the user's paint costs for this piece; null while any of it has no price. */
function costIn(totals: Totals, facts: PieceFacts): number | null {
  const prices = Object.entries(totals.jarMlByProduct).map(([id, ml]) => {
    const price = facts.catalogue.products.get(id as ProductId)?.own?.pricePerMl ?? null;
    return price === null ? null : price * ml;
  });
  return prices.length === 0 || prices.includes(null) ? null : prices.reduce<number>((sum, price) => sum + (price ?? 0), 0);
}

/** Off the beaten track, over all zones: products not usual here, and how unusual each is. */
function strainIn(kinds: readonly StepFact[], facts: PieceFacts): number {
  return kinds.reduce((sum, { product }) => sum + (product ? product.usual.rank + (product.usual.on.includes(facts.material.surface) ? 0 : 2) : 0), 0);
}

/**
 * How a plan does by each measure.
 *
 * @param totals of the same stacks
 * @returns each measure in its own unit; see `Scores`
 */
export function scoresOf(stacks: readonly StackFacts[], totals: Totals, facts: PieceFacts): Scores {
  const work = stacks.flatMap((stack) => stack.steps).filter((fact) => !fact.step.done);
  const kinds = [...new Map(work.map((fact) => [fact.step.product, fact])).values()];
  const roles = new Set(work.map((fact) => fact.step.role));
  return {
    durability: Math.min(BEST_GRADE, ...stacks.map(durabilityOf)),
    readyDays: totals.elapsedMin / MIN_PER_DAY + totals.cureDays,
    handsOnMin: totals.handsOnMin,
    products: totals.products.filter((id) => facts.catalogue.products.get(id)?.own === undefined).length,
    coats: coatsIn(stacks),
    harshness: kinds.reduce((sum, fact) => sum + harshnessOf(fact.product, fact.aid), 0),
    cost: costIn(totals, facts),
    forgiving: Number(roles.has("mark")) + Number(roles.has("isolate")),
    strain: strainIn(kinds, facts),
  };
}
