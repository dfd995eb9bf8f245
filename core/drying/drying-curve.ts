import { memory } from "../catalogue/provenance";
import { numbersFrom } from "../units/seeded";
import { ALL_SHAPES, halfStep, rangeAbout, shapesOf, waterLeft } from "./drying-shapes";
import type { DryingShape, ShapeRange } from "./drying-shapes";

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
/** Bodies whose rate falls from the start are as many as all others together [from memory]. */
const FROM_START = 9;
/** By what was poured the dry weight is known to so much: spoon, bowl and powder differ [from memory]. */
const POURED_WITHIN = memory(0.03).value;
/** Bodies of the trade dry with a time constant about this, hours, and a spread of a factor e^1.2 [from memory]. */
const USUAL_TAU = memory({ hours: 36, spread: 1.2 }).value;
const SAMPLES = 400;
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
  readonly sigma0: number;
  readonly dry: { readonly mean: number; readonly precision: number };
}

function fitted(shape: DryingShape, { hours, g, sigma0, dry }: Data): Fitted {
  const left = hours.map((one) => waterLeft(shape, one));
  // Precision and its product with the mean, prior first.
  let [dd, da, aa] = [dry.precision, 0, VAGUE];
  let [yd, ya, yy] = [dry.precision * dry.mean, 0, dry.precision * dry.mean ** 2];
  for (const [k, f] of left.entries()) {
    dd += 1;
    da += f;
    aa += f * f;
    yd += g[k]!;
    ya += f * g[k]!;
    yy += g[k]! ** 2;
  }
  const det = dd * aa - da * da;
  const mean = [(aa * yd - da * ya) / det, (dd * ya - da * yd) / det] as const;
  const residual = left.reduce((sum, f, k) => sum + (g[k]! - mean[0] - mean[1] * f) ** 2, 0) + dry.precision * (mean[0] - dry.mean) ** 2;
  const shapeA = (TRUST + g.length) / 2;
  const scaleB = (TRUST * sigma0 ** 2 + residual) / 2;
  const prior = -0.5 * (Math.log(shape.tauHours / USUAL_TAU.hours) / USUAL_TAU.spread) ** 2 + (shape.falls === 1 ? Math.log(FROM_START) : 0);
  const possible = det > 0 && mean[0] > 0 && mean[1] > 0 && Number.isFinite(yy);
  return {
    shape,
    logWeight: possible ? prior - 0.5 * Math.log(det) - shapeA * Math.log(scaleB) : -Infinity,
    mean,
    cov: [aa / det, -da / det, dd / det],
    sigma: Math.sqrt(scaleB / shapeA),
  };
}

/** Weighings that lie so many times farther off the best curve than a scale errs follow none. */
const STRAY = 5;
/** A shape so much less likely than the best, as a logarithm, is out of the question. */
const NEGLIGIBLE = 9;
/** So often the search closes in on the shapes that are left. */
const ROUNDS = 3;

interface Search {
  readonly fits: readonly Fitted[];
  /** The best logarithm of a weight; −∞ where no shape fits. */
  readonly top: number;
  readonly range: ShapeRange;
}

/** Closes in on the shapes that fit: precise weighings leave room for few. */
function searched(data: Data): Search {
  let range: ShapeRange = ALL_SHAPES;
  for (let round = 1; ; round += 1) {
    const fits = shapesOf(range).map((shape) => fitted(shape, data));
    const top = Math.max(...fits.map(({ logWeight }) => logWeight));
    if (round === ROUNDS || !Number.isFinite(top)) return { fits, top, range };
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

/**
 * The ways in which a body's weighings may go on, each as likely as any other: every shape of drying is held against them, by Bayes' rule, with the
 * dry weight that follows from what was poured where that is known.
 *
 * @param weighings in order of time, three or more; two where the dry weight is known
 * @returns none where they cannot tell: too few, or no loss among them
 */
export function dryingSamples(weighings: readonly Weighing[], { dryG, stepG = stepOf(weighings) }: KnownBody = {}): readonly DryingSample[] {
  const [first, last] = [weighings[0], weighings.at(-1)];
  if (!first || !last || weighings.length < (dryG === undefined ? 3 : 2) || last.at <= first.at) return [];
  const sigma0 = Math.hypot(stepG * HANDLING.steps, first.g * HANDLING.share);
  if (first.g - last.g <= 2 * sigma0) return [];
  const data: Data = {
    hours: weighings.map(({ at }) => (at - first.at) / MS_PER_HOUR),
    g: weighings.map(({ g }) => g),
    sigma0,
    dry: dryG === undefined ? { mean: last.g, precision: VAGUE } : { mean: dryG, precision: (sigma0 / (POURED_WITHIN * dryG)) ** 2 },
  };
  const { fits, top, range } = searched(data);
  const best = fits.find(({ logWeight }) => logWeight === top);
  // Weighings that jump about, or fall ever faster, are of no body that dries.
  if (!best || !Number.isFinite(top) || best.sigma > STRAY * sigma0) return [];
  const step = halfStep(range);
  const weights = fits.map(({ logWeight }) => Math.exp(logWeight - top));
  const total = weights.reduce((sum, one) => sum + one, 0);
  const number = numbersFrom(1);
  const samples: DryingSample[] = [];
  let [at, passed] = [0, weights[0]!];
  // Systematic draws over the shapes: each gets as many as its weight.
  for (let k = 0; k < SAMPLES; k += 1) {
    const mark = ((k + 0.5) / SAMPLES) * total;
    while (passed < mark && at < fits.length - 1) passed += weights[++at]!;
    const { tauHours, falls } = fits[at]!.shape;
    const shape = {
      tauHours: tauHours * Math.exp((2 * number() - 1) * step.logTau),
      falls: falls === 1 ? 1 : Math.min(1, falls + (2 * number() - 1) * step.falls),
    };
    const [dry, water] = drawn(fitted(shape, data), number);
    if (dry > 0 && water > 0) samples.push({ shape, dryG: dry, waterG: water });
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
