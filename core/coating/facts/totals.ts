import type { ProductId } from "../../catalogue/ids";
import { MIN_PER_DAY } from "../../units/duration";
import { BEST_GRADE, durabilityOf } from "./durability";
import { has, isColour } from "./facts";
import type { PieceFacts, StackFacts, StepFact } from "./facts";
import { jarFor } from "./jars";
import { harshnessOf } from "./harshness";
import { offTrack } from "./off-track";
import type { PaintTotal, Scores, Totals } from "../model/plan";
import type { Step, ZoneSteps } from "../model/step";
import type { Edge, Work } from "./task";
import { workOf } from "./work-of";
import type { Worked } from "./work-of";

type Column = "typical" | "cautious";

/** From the first act to the last, without time at the bench: the longest chain of waits through the joined work. */
function elapsed({ tasks, milestones }: Work, column: Column): { readonly minutes: number; readonly handled: number } {
  const of = (edge: Edge) => (column === "typical" ? edge.typicalMin : edge.cautiousMin);
  const known = new Map(tasks.map((task) => [task.id, task]));
  const at = new Map<string, number>();
  const when = (id: string): number => {
    const found = at.get(id);
    if (found !== undefined) return found;
    at.set(id, 0);
    const instant = Math.max(0, ...known.get(id)!.after.map((edge) => when(edge.task) + of(edge)));
    at.set(id, instant);
    return instant;
  };
  const minutes = Math.max(0, ...tasks.map((task) => when(task.id)));
  const handled = Math.max(minutes, ...milestones.map(({ task, handle }) => when(task) + (column === "typical" ? handle.typicalMin : handle.cautiousMin)));
  return { minutes, handled };
}

/** One shared act counts once, however many zones carry it. */
function handsOn(zones: readonly ZoneSteps[]): number {
  const seen = new Set<string>();
  return zones
    .flatMap((zone) => zone.steps)
    .filter((step) => step.group === undefined || (!seen.has(step.group) && (seen.add(step.group), true)))
    .reduce((sum, step) => sum + step.handsOnMin, 0);
}

/** Paint by colour, sheen and jar; in the order it is first laid. */
function paintsOf(steps: readonly Step[]): readonly PaintTotal[] {
  const paints = new Map<string, PaintTotal>();
  for (const { product, colour, sheen, ownProduct, jarMl, volumeMl, done } of steps) {
    if (jarMl === null || jarMl <= 0 || done) continue;
    const key = [product, colour ?? sheen ?? "", ownProduct ?? ""].join("/");
    const known = paints.get(key);
    const what = { product, ...(colour ? { colour } : sheen ? { sheen } : {}), ...(ownProduct ? { ownProduct } : {}) };
    paints.set(key, { ...what, jarMl: (known?.jarMl ?? 0) + jarMl, thinnerMl: (known?.thinnerMl ?? 0) + (volumeMl ?? jarMl) - jarMl });
  }
  return [...paints.values()];
}

/**
 * Sums a plan up.
 *
 * @param plan stacks with their numbers, joined into acts, in working order
 * @returns minutes, days and mL over all zones and the whole count
 */
export function totalsOf(plan: Worked, facts: PieceFacts): Totals {
  const { zones } = plan;
  const work = workOf(plan, new Map(facts.zones.map((zone) => [zone.zone, zone.template.exposure])));
  const usual = elapsed(work, "typical");
  const steps = zones.flatMap((zone) => zone.steps);
  const jar: Record<string, number> = {};
  for (const step of steps) if (step.jarMl !== null && !step.done) jar[step.product] = (jar[step.product] ?? 0) + step.jarMl;
  return {
    handsOnMin: handsOn(zones),
    elapsedMin: usual.minutes,
    elapsedCautiousMin: elapsed(work, "cautious").minutes,
    handleAfterMin: usual.handled,
    cureDays: Math.max(0, ...steps.filter((step) => step.role === "cure").map((step) => (step.waitBefore?.min ?? 0) / MIN_PER_DAY)),
    jarMlByProduct: jar,
    paints: paintsOf(steps),
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

/** What the user's paint costs for this piece, each by its own jar, else by another of its kind; null while any of it has no price. */
function costIn({ paints }: Totals, facts: PieceFacts): number | null {
  const prices = paints.map(({ product, ownProduct, jarMl }) => {
    const own = facts.catalogue.products.get(product)?.own;
    const price = own?.jars.find((jar) => jar.id === ownProduct)?.product.own?.pricePerMl ?? own?.pricePerMl ?? null;
    return price === null ? null : price * jarMl;
  });
  return prices.length === 0 || prices.includes(null) ? null : prices.reduce<number>((sum, price) => sum + (price ?? 0), 0);
}

/** What has to be bought for a step: a product of which the user owns nothing, or one that they own in other colours or sheens only. */
function toBuy({ product, step }: StepFact): readonly string[] {
  if (!product) return [];
  if (!product.own) return [product.id];
  return jarFor(product, step) ? [] : [`${product.id}/${step.colour ?? step.sheen ?? ""}`];
}

/** Off the beaten track, over all zones: products not usual here, and how unusual each is. */
function strainIn(kinds: readonly StepFact[], facts: PieceFacts): number {
  return kinds.reduce((sum, { product }) => sum + (product ? offTrack(product, facts) : 0), 0);
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
    products: new Set(work.flatMap(toBuy)).size,
    coats: coatsIn(stacks),
    harshness: kinds.reduce((sum, fact) => sum + harshnessOf(fact.product, fact.aid), 0),
    cost: costIn(totals, facts),
    forgiving: Number(roles.has("mark")) + Number(roles.has("isolate")),
    strain: strainIn(kinds, facts),
  };
}
