import type { DryingStage, Role, TechniqueId } from "../../catalogue/vocabulary";
import { airsOf } from "../../drying/day-night";
import { roomFactor } from "../../drying/room-factor";
import { earliestRecoatMin, markThroughMin, stagesIn } from "../../drying/stages";
import type { Stages } from "../../drying/stages";
import { waterOutMin } from "../../drying/water-out";
import { hours } from "../../units/duration";
import type { StackFacts, StepFact } from "./facts";
import { cementWaitMin } from "./young-cement";
import { coversField, isClear, isColour, isFilm } from "./facts";
import type { BodyWait, StepChoice, Wait } from "../model/step";

export type Column = "typical" | "cautious";
type Need = "none" | "recoat" | "hard" | "touch" | "through" | "bake";

/** What an act asks of the coloured and clear films already down. */
const NEEDS: Partial<Record<Role, Need>> = {
  fill: "recoat",
  sand: "recoat",
  "dust-off": "recoat",
  size: "recoat",
  prime: "recoat",
  base: "recoat",
  isolate: "recoat",
  mark: "recoat",
  mask: "recoat",
  decorate: "recoat",
  "top-dot": "through",
  lock: "recoat",
  unmask: "touch",
  unmark: "through",
  sign: "recoat",
  seal: "through",
  "heat-set": "bake",
  fire: "through",
  assemble: "hard",
};

const UNTIL: Record<Need, DryingStage> = {
  none: "dry-to-touch",
  recoat: "dry-to-recoat",
  hard: "dry-hard",
  touch: "set-to-touch",
  through: "dry-through",
  bake: "dry-through",
};

/** A wipe with alcohol is gone in minutes; water stays [common practice: let it flash off]. */
const FLASH_OFF_MIN = 10;

function stagesOf(fact: StepFact, stack: StackFacts, column: Column): Stages | null {
  if (!fact.product || fact.product.drying.by === "none") return null;
  const marked = fact.step.marks ? fact.wetMicrons : null;
  return stagesIn(fact.product, stack.room, marked)?.[column] ?? null;
}

/** Until there is no water left in a film for an oven to boil, minutes. */
function waterOutOf({ product, wetMicrons }: StepFact, stack: StackFacts, column: Column): number {
  return (product && waterOutMin(product, wetMicrons, stack.room)?.[column]) ?? 0;
}

/** Binder types that must not be crossed before the lower film is dry through. */
export function crossesOilAndWater(upper: StepFact, lower: StepFact): boolean {
  if (!isFilm(upper) || !isFilm(lower)) return false;
  const oily = (fact: StepFact) => fact.product!.drying.by === "oxidation";
  return oily(upper) !== oily(lower) && upper.product!.carrier !== "none" && lower.product!.carrier !== "none";
}

/** Marks and lines that are set beside one another in one sitting, working outward; only what lies on them waits. */
const SET_BESIDE: readonly TechniqueId[] = ["dots", "walked-dots", "swipes", "sponge-dots", "raised-line", "lettering"];

/**
 * Whether two layers lie beside each other, not one on the other: marks of several colours, letters among dots, brushwork in two colours.
 *
 * @param upper the one laid later
 */
export function liesBeside(upper: StepFact, lower: StepFact): boolean {
  const [one, other] = [upper.step, lower.step];
  if (one.role !== "decorate" || other.role !== "decorate" || !one.technique || !other.technique) return false;
  if (coversField(upper) || coversField(lower) || upper.technique?.mask || lower.technique?.mask) return false;
  const beside = (technique: TechniqueId) => SET_BESIDE.includes(technique);
  return one.technique === other.technique || ((beside(one.technique) || one.technique === "outline") && beside(other.technique));
}

/** Colours of one technique that are worked into one another while they are wet. */
export function runsInto(upper: Pick<StepChoice, "while" | "technique">, lower: Pick<StepChoice, "while" | "technique">): boolean {
  return upper.while === "wet" && lower.while === "wet" && upper.technique === lower.technique;
}

/** Ink that is not dry through runs under a wet pass of solvent. */
function dissolvesInk(upper: StepFact, lower: StepFact): boolean {
  return isClear(upper) && upper.product!.carrier !== "water" && lower.product?.methods[0] === "pen";
}

function needOf(upper: StepFact, lower: StepFact): Need {
  const { role } = upper.step;
  if (runsInto(upper.step, lower.step) || liesBeside(upper, lower)) return "none";
  if (crossesOilAndWater(upper, lower) || dissolvesInk(upper, lower)) return "through";
  const need = NEEDS[role] ?? "none";
  // Paper and film lift sprayed paint that is soft inside, and so does a stencil that is pressed on it [common practice].
  if (role === "mask" && upper.aid?.mask?.lies && lower.product?.methods[0] === "spray") return "through";
  if (role === "mask" && upper.aid?.mask?.sticks) return "hard";
  // Clear and ground films below take a recoat; only what carries colour has to be dry right through.
  if ((need === "through" || need === "bake") && !isColour(lower)) return "recoat";
  return need;
}

/** Minutes a film needs before the act above it, in one column. */
function filmNeedMin(upper: StepFact, lower: StepFact, stack: StackFacts, column: Column): number {
  const stages = stagesOf(lower, stack, column);
  if (!stages) return 0;
  switch (needOf(upper, lower)) {
    case "none":
      return 0;
    case "touch":
      return stages.touchDry;
    case "recoat":
      return stages.recoatFrom;
    case "hard":
      return stages.dryHard;
    case "through":
      return stages.dryThrough;
    case "bake":
      return Math.max(stages.recoatFrom, lower.product?.bakeable?.afterMin ?? stages.dryThrough, waterOutOf(lower, stack, column));
  }
}

/**
 * Minutes the body needs after a wash, a soak or a damp condition, before anything is laid on it.
 *
 * @param lower the act that wetted the body
 * @param column typical, or as a careful painter waits
 * @returns minutes, from 0
 */
export function bodyDryMin(stack: StackFacts, lower: StepFact, column: Column): number {
  const { wets } = lower.aid ?? { wets: "no" };
  if (wets === "no") return 0;
  const weighed = lower.aid?.weighs ? stack.piece.body?.driesMin : undefined;
  if (weighed) return weighed[column];
  const factor = roomFactor("evaporation", stack.room);
  const scale = factor ? (column === "typical" ? factor.fast : factor.slow) : 1;
  const soaked = stack.material.bodyDryMin.value[column];
  return (wets === "damp" ? Math.min(soaked, hours(column === "typical" ? 0.5 : 1)) : soaked) * scale;
}

/** What a damp or undried body adds once, before the first film. */
export function conditionDryMin(stack: StackFacts): number {
  return Math.max(0, ...stack.conditions.map((condition) => condition.driesForMin));
}

/** On the piece since nobody knows when: taken as dry. */
function isLongDry({ step }: StepFact): boolean {
  return step.done === true && step.laidAt === undefined;
}

function isCleaning(fact: StepFact): boolean {
  return fact.step.role === "clean";
}

function aidNeedMin(upper: StepFact, lower: StepFact, stack: StackFacts, column: Column): number {
  if (lower.aid?.vapour && (isFilm(upper) || upper.aid?.heat)) return FLASH_OFF_MIN;
  if (isCleaning(upper) && lower.aid?.wets === "soaks" && upper.aid?.vapour !== true) return 0;
  return bodyDryMin(stack, lower, column);
}

/** Minutes between two coats of a step; 0 for what is no film. */
export function betweenCoatsMin(fact: StepFact, stack: StackFacts, column: Column): number {
  return isLongDry(fact) ? 0 : (stagesOf(fact, stack, column)?.recoatFrom ?? 0);
}

/**
 * Minutes one step itself spans: the waits between its own coats.
 *
 * @param column typical, or as a careful painter waits
 * @returns minutes, from 0
 */
export function withinMin(fact: StepFact, stack: StackFacts, column: Column): number {
  return Math.max(0, (fact.step.coats ?? 1) - 1) * betweenCoatsMin(fact, stack, column);
}

/**
 * Minutes known to pass between the end of one step and the start of a later one.
 *
 * @returns undefined when any wait on the way is unknown
 */
export function waitedBetween(stack: StackFacts, lower: StepFact, upper: StepFact): number | undefined {
  let sum = 0;
  for (const fact of stack.steps.slice(lower.index + 1, upper.index + 1)) {
    const wait = fact.step.waitBefore;
    if (wait === undefined) return undefined;
    sum += wait?.min ?? 0;
    if (fact !== upper) sum += withinMin(fact, stack, "typical");
  }
  return sum;
}

/** What is asked of what lies beneath: minutes, and the stage it has to reach. */
export interface Demand {
  readonly min: number;
  readonly until: DryingStage;
  readonly body?: BodyWait;
}

export function demand(upper: StepFact, lower: StepFact, stack: StackFacts, column: Column): Demand {
  if (isLongDry(lower) || upper.step.done) return { min: 0, until: "dry-to-recoat" };
  if (lower.aid) return { min: aidNeedMin(upper, lower, stack, column), until: "dry-body", ...(lower.aid.weighs ? { body: "weighed" } : {}) };
  return { min: filmNeedMin(upper, lower, stack, column), until: UNTIL[needOf(upper, lower)] };
}

export function waitOf(usual: Demand, careful: Demand): Wait | null {
  const min = rounded(usual.min);
  if (min <= 0 && careful.min <= 0) return null;
  const { until, body } = usual.min > 0 ? usual : careful;
  return { min, cautiousMin: Math.max(min, rounded(careful.min)), until, ...(body ? { body } : {}) };
}

function waitFor(stack: StackFacts, upper: StepFact, filled: readonly StepFact[], column: Column, elapsed: readonly number[]): Demand {
  let best: Demand = { min: 0, until: "dry-to-recoat" };
  let passed = 0;
  for (let index = upper.index - 1; index >= 0; index -= 1) {
    const lower = filled[index]!;
    const asked = demand(upper, lower, stack, column);
    if (asked.min - passed > best.min) best = { ...asked, min: asked.min - passed };
    passed += (elapsed[index] ?? 0) + withinMin(lower, stack, column);
  }
  const first = isFilm(upper) && !filled.some(isFilm);
  const body = first ? conditionDryMin(stack) : 0;
  if (body - passed > best.min) best = { min: body - passed, until: "dry-body" };
  const cement = cementWaitMin(stack, upper, filled);
  return cement - passed > best.min ? { min: cement - passed, until: "dry-body", body: "cement" } : best;
}

function rounded(min: number): number {
  return min <= 0 ? 0 : Math.max(1, Math.ceil(min));
}

/**
 * Works out every wait of a stack that the user has not set themselves, as typical and cautious minutes in this room.
 * A film far down that is still drying counts: the thickest mark decides before a sealer.
 *
 * @returns the steps with `waitBefore` filled; null where nothing has to be waited for
 */
export function fillWaits(stack: StackFacts): readonly StepChoice[] {
  const filled: StepFact[] = [];
  const typical: number[] = [];
  const cautious: number[] = [];
  for (const fact of stack.steps) {
    const set = fact.step.waitBefore;
    let wait: Wait | null;
    if (set && set.set === "hers") wait = set;
    else {
      const usual = waitFor(stack, fact, filled, "typical", typical);
      const careful = waitFor(stack, fact, filled, "cautious", cautious);
      wait = waitOf(usual, careful);
    }
    typical.push(wait?.min ?? 0);
    cautious.push(wait?.cautiousMin ?? wait?.min ?? 0);
    filled.push({ ...fact, step: { ...fact.step, waitBefore: wait } });
  }
  return filled.map((fact) => fact.step);
}

/** Rooms that class times hold for as they stand [common practice]. */
function isAtEase(room: StackFacts["room"]): boolean {
  return airsOf(room).every(({ temperatureC, relativeHumidity }) => temperatureC >= 18 && temperatureC <= 30 && relativeHumidity <= 0.65);
}

/** What a thick mark, or a class that dries slowly, needs in the standard room. */
function markNeedMin({ product, step, wetMicrons }: StepFact): number {
  return Math.max(product?.drying.through?.typical ?? 0, step.marks && wetMicrons !== null ? markThroughMin(wetMicrons) : 0);
}

/**
 * The least a film must have dried before a step above may start, at the fast end of this room's range; what rules judge by.
 *
 * @returns minutes; null where the film never dries by itself
 */
export function leastWaitMin(upper: StepFact, lower: StepFact, stack: StackFacts): number | null {
  if (isLongDry(lower) || !lower.product || lower.product.drying.by === "none") return 0;
  const need = needOf(upper, lower);
  if (need === "recoat") return earliestRecoatMin(lower.product, stack.room, lower.step.marks ? lower.wetMicrons : null);
  const stages = stagesOf(lower, stack, "typical");
  if (!stages) return null;
  const asked = filmNeedMin(upper, lower, stack, "typical");
  // A full day is a full day in any room people are at ease in, whatever the reckoning adds to it.
  return need === "through" && isAtEase(stack.room) ? Math.min(asked, Math.max(hours(24), stages.recoatFrom, markNeedMin(lower))) : asked;
}
