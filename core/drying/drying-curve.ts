import { memory } from "../catalogue/provenance";
import { numbersFrom } from "../units/seeded";
import { DRYING_KINDS, allOf, halfStep, rangeAbout, shapesOf, waterLeft } from "./drying-shapes";
import type { DryingKind, DryingShape, ShapeRange } from "./drying-shapes";

/** What a body weighed at an instant. */
export interface Weighing {
  /** Instant, ms. */
  readonly at: number;
  /** Grams, above 0. */
  readonly g: number;
}

/** What is known of a body beside its weighings. */
export interface KnownBody {
  /** What it weighs dry, by what was poured into it, g. */
  readonly dryG?: number;
  /** What it weighs wet, by what was poured into it, g. */
  readonly wetG?: number;
  /** The smallest step of the scale, g; read off the weighings where it is not said. */
  readonly stepG?: number;
}

/** One way the weighings may go on. */
export interface DryingSample {
  readonly shape: DryingShape;
  readonly dryG: number;
  /** Water at the first weighing, g. */
  readonly waterG: number;
}

const MS_PER_HOUR = 3_600_000;
/** What hand and scale err by: half a step, and a share of the weight [from memory]. */
const HANDLING = memory({ steps: 0.7, share: 0.0004 }).value;
/** Trust in that before any residual is seen: as much as so many weighings. */
const TRUST = 2;
/** So likely is each way to dry before anything is weighed [from memory]. */
const KINDS: Readonly<Record<DryingKind, number>> = memory({
  even: 0.4,
  "steady-first": 0.25,
  "from-depth": 0.15,
  "two-stores": 0.15,
  "two-far-stores": 0.05,
}).value;
/** By what was poured the dry weight is known to so much: spoon, bowl and powder differ [from memory]. */
export const POURED_WITHIN = memory(0.03).value;
/** Where nothing was poured: water is such a share of what it weighs last, give or take; never more than so much of a wet body [from memory]. */
export const USUAL_WATER = memory({ share: 0.08, spread: 0.1, most: 0.6 }).value;
/** Bodies of the trade dry with a time constant about this, hours; sheds and bags, far slower, are none too rare: Student's t over its logarithm [from memory]. */
const USUAL_TAU = memory({ hours: 36, spread: 1, freedom: 3 }).value;
/** Days are warm and nights are cool: what is lost runs ahead of its curve, or behind, by so many hours of drying [from memory]. */
const DAY_NIGHT_HOURS = memory(1).value;
const SAMPLES = 300;
/** No shape is bent less. */
const MIN_BEND = 0.02;
/** Nothing is known of it: a precision as good as none. */
const VAGUE = 1e-9;

/**
 * The smallest step that the weighings show: whole grams, or the decimals that were read off.
 *
 * @example stepOf([{ at: 0, g: 612 }, { at: 1, g: 610.5 }]) // 0.1
 */
export function stepOf(weighings: readonly Weighing[]): number {
  return [1, 0.1, 0.01].find((step) => weighings.every(({ g }) => Math.abs(g / step - Math.round(g / step)) < 1e-6)) ?? 0.001;
}

/** The posterior of dry weight and water under one shape: normal–inverse-gamma, closed (Gelman et al., Bayesian Data Analysis, 3rd ed., ch. 14). */
interface Fitted {
  readonly shape: DryingShape;
  readonly logWeight: number;
  readonly mean: readonly [number, number];
  /** Covariance over the variance of a weighing. */
  readonly cov: readonly [number, number, number];
  readonly sigma: number;
}

interface Data {
  readonly hours: readonly number[];
  readonly g: readonly number[];
  /** Weight of each weighing: (scale's error / its own error)². */
  readonly weights: readonly number[];
  readonly sigma0: number;
  readonly dry: { readonly mean: number; readonly precision: number };
}

/** Student's t over the logarithm of the time constant, as a logarithm. */
function tauPrior(tauHours: number): number {
  const z = Math.log(tauHours / USUAL_TAU.hours) / USUAL_TAU.spread;
  return (-(USUAL_TAU.freedom + 1) / 2) * Math.log(1 + (z * z) / USUAL_TAU.freedom);
}

function fitted(shape: DryingShape, { hours, g, weights, sigma0, dry }: Data): Fitted {
  const left = hours.map((one) => waterLeft(shape, one));
  // Precision and its product with the mean, prior first.
  let [dd, da, aa] = [dry.precision, 0, VAGUE];
  let [yd, ya] = [dry.precision * dry.mean, 0];
  for (const [k, f] of left.entries()) {
    const w = weights[k]!;
    dd += w;
    da += w * f;
    aa += w * f * f;
    yd += w * g[k]!;
    ya += w * f * g[k]!;
  }
  const det = dd * aa - da * da;
  const mean = [(aa * yd - da * ya) / det, (dd * ya - da * yd) / det] as const;
  const residual = left.reduce((sum, f, k) => sum + weights[k]! * (g[k]! - mean[0] - mean[1] * f) ** 2, 0) + dry.precision * (mean[0] - dry.mean) ** 2;
  const shapeA = (TRUST + g.length) / 2;
  const scaleB = (TRUST * sigma0 ** 2 + residual) / 2;
  const possible = det > 0 && mean[0] > 0 && mean[1] > 0;
  return {
    shape,
    logWeight: possible ? tauPrior(shape.tauHours) - 0.5 * Math.log(det) - shapeA * Math.log(scaleB) : -Infinity,
    mean,
    cov: [aa / det, -da / det, dd / det],
    sigma: Math.sqrt(scaleB / shapeA),
  };
}

/** Weighings that lie so many times farther off the best curve than a scale errs follow none. */
const STRAY = 2.5;
/** A shape so much less likely than the best, as a logarithm, is out of the question. */
const NEGLIGIBLE = 9;
/** So often the search closes in on the shapes that are left. */
const ROUNDS = 3;

interface Search {
  readonly fits: readonly Fitted[];
  readonly range: ShapeRange;
}

const best = (fits: readonly Fitted[]) => Math.max(...fits.map(({ logWeight }) => logWeight));

/** Closes in on the shapes of a kind that fit: precise weighings leave room for few. */
function searched(kind: DryingKind, data: Data): Search {
  let range: ShapeRange = allOf(kind);
  const whole = halfStep(range);
  for (let round = 1; ; round += 1) {
    const fits = shapesOf(range).map((shape) => fitted(shape, data));
    const top = best(fits);
    if (round === ROUNDS || !Number.isFinite(top)) {
      // Each stands for its own part of all shapes of its kind.
      const step = halfStep(range);
      const part = (step.logTau / whole.logTau) * (whole.bend > 0 ? step.bend / whole.bend : 1);
      const share = Math.log((KINDS[kind] * part) / shapesOf(allOf(kind)).length);
      return { fits: fits.map((one) => ({ ...one, logWeight: one.logWeight + share })), range };
    }
    range = rangeAbout(
      fits.filter(({ logWeight }) => logWeight > top - NEGLIGIBLE).map(({ shape }) => shape),
      range,
    );
  }
}

/** A standard normal number out of two even ones (Box & Muller 1958). */
const normal = (number: () => number) => Math.sqrt(-2 * Math.log(1 - number())) * Math.cos(2 * Math.PI * number());

/** One draw of dry weight and water under a shape. */
function drawn({ mean, cov: [dd, da, aa], sigma }: Fitted, number: () => number): readonly [number, number] {
  const l = Math.sqrt(dd);
  const low = da / l;
  const [x, y] = [normal(number), normal(number)];
  return [mean[0] + sigma * l * x, mean[1] + sigma * (low * x + Math.sqrt(Math.max(0, aa - low * low)) * y)];
}

/** What each weighing may be off by beside the scale: the day's warmth and the night's cool, as fast as it was drying then. */
function weightsOf(weighings: readonly Weighing[], sigma0: number): readonly number[] {
  return weighings.map(({ at }, k) => {
    const [before, after] = [weighings[Math.max(0, k - 1)]!, weighings[Math.min(weighings.length - 1, k + 1)]!];
    const rate = (Math.max(0, before.g - after.g) * MS_PER_HOUR) / (after.at - before.at);
    return at === weighings[0]!.at ? 1 : sigma0 ** 2 / (sigma0 ** 2 + (DAY_NIGHT_HOURS * rate) ** 2);
  });
}

/** The dry weight before any curve is drawn: by what was poured, or as bodies of the trade have it. */
function dryBefore(last: Weighing, sigma0: number, dryG: number | undefined): Data["dry"] {
  if (dryG !== undefined) return { mean: dryG, precision: (sigma0 / (POURED_WITHIN * dryG)) ** 2 };
  return { mean: last.g * (1 - USUAL_WATER.share), precision: (sigma0 / (USUAL_WATER.spread * last.g)) ** 2 };
}

/** What hand and scale err by, g. */
export function scaleErrsG(g: number, stepG: number): number {
  return Math.hypot(stepG * HANDLING.steps, g * HANDLING.share);
}

/**
 * The ways in which a body's weighings may go on, each as likely as any other: every shape of every kind of drying is held against them, by Bayes' rule,
 * with the dry weight that follows from what was poured where that is known.
 *
 * @param weighings in order of time, three or more; two where the dry weight is known
 * @returns none where they cannot tell: too few, or no loss among them
 */
export function dryingSamples(weighings: readonly Weighing[], { dryG, stepG = stepOf(weighings) }: KnownBody = {}): readonly DryingSample[] {
  const [first, last] = [weighings[0], weighings.at(-1)];
  if (!first || !last || weighings.length < (dryG === undefined ? 3 : 2) || last.at <= first.at) return [];
  const sigma0 = scaleErrsG(first.g, stepG);
  if (first.g - last.g <= 2 * sigma0) return [];
  const hours = weighings.map(({ at }) => (at - first.at) / MS_PER_HOUR);
  const data: Data = { hours, g: weighings.map(({ g }) => g), weights: weightsOf(weighings, sigma0), sigma0, dry: dryBefore(last, sigma0, dryG) };
  const searches = DRYING_KINDS.map((kind) => searched(kind, data));
  const all = searches.flatMap(({ fits, range }) => fits.map((fit) => ({ fit, step: halfStep(range) })));
  const top = best(all.map(({ fit }) => fit));
  // Weighings that jump about, or fall ever faster, are of no body that dries.
  if (!Number.isFinite(top) || all.find(({ fit }) => fit.logWeight === top)!.fit.sigma > STRAY * sigma0) return [];
  const weights = all.map(({ fit }) => Math.exp(fit.logWeight - top));
  const total = weights.reduce((sum, one) => sum + one, 0);
  const number = numbersFrom(1);
  const samples: DryingSample[] = [];
  let [at, passed] = [0, weights[0]!];
  // Systematic draws over the shapes: each gets as many as its weight.
  for (let k = 0; k < SAMPLES; k += 1) {
    const mark = ((k + 0.5) / SAMPLES) * total;
    while (passed < mark && at < all.length - 1) passed += weights[++at]!;
    const { fit, step } = all[at]!;
    const { kind, tauHours, bend } = fit.shape;
    const about = (half: number) => (2 * number() - 1) * half;
    const shape = { kind, tauHours: tauHours * Math.exp(about(step.logTau)), bend: Math.min(1, Math.max(MIN_BEND, bend + about(step.bend))) };
    const [dry, water] = drawn(fitted(shape, data), number);
    if (dry > 0 && water > 0 && water <= USUAL_WATER.most * (dry + water)) samples.push({ shape, dryG: dry, waterG: water });
  }
  return samples;
}

/** What a sample weighs after so many hours, g. */
export function weightAfter({ shape, dryG, waterG }: DryingSample, hours: number): number {
  return dryG + waterG * waterLeft(shape, Math.max(0, hours));
}

/**
 * A quantile of numbers, between neighbours in proportion.
 *
 * @param share 0–1
 * @example quantile([4, 1, 3, 2, 5], 0.5) // 3
 */
export function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  const at = share * (sorted.length - 1);
  const [low, high] = [sorted[Math.floor(at)]!, sorted[Math.ceil(at)]!];
  return low + (high - low) * (at - Math.floor(at));
}
