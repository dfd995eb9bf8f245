import { memory, practice } from "../catalogue/provenance";
import { contrastRatioAt } from "./hiding";
import { fromTwoGrounds, overGround } from "./kubelka-munk";
import { hexOfLight, lightOf } from "./light";
import type { Light } from "./light";
import { channelsOf, spectrumOfChannels, WHITE_PAINT } from "./spectrum";
import type { Channels, Spectrum } from "./spectrum";

/** A place on a swatch: the mean of what was seen there, and how sure it is. */
export interface Reading {
  /** sRGB hex. */
  readonly colour: string;
  /** Standard error of the mean in each channel as a share of full light, 0–1; that of a colour typed by eye where absent. */
  readonly error?: number;
}

/** One coat over two grounds, beside the two grounds themselves. */
export interface Swatch {
  /** The dark ground: a black line, or the bare piece. */
  readonly dark: Reading;
  /** The pale ground: white card, or the primed piece. */
  readonly pale: Reading;
  readonly overDark: Reading;
  readonly overPale: Reading;
  /** The paint laid thick, where that was taken too. */
  readonly thick?: Reading;
  /** Thinner in the coat, per cent of the paint's volume. */
  readonly thinnedPercent?: number;
}

/** How a coat of a paint hides, as far as a swatch shows it. */
export interface MeasuredHiding {
  /** Contrast ratio of one unthinned coat on the standard chart, 0–1. */
  readonly ratio: number;
  /** In nine swatches of ten it lies between the two. */
  readonly from: number;
  readonly to: number;
  /** It hides too well to be told: no less than `from`. */
  readonly atLeast: boolean;
  /** sRGB hex of the paint laid thick. */
  readonly colour: string;
}

export type Calibrated = { readonly ok: true; readonly hiding: MeasuredHiding } | { readonly ok: false; readonly why: SwatchFault };
/** What is wrong with a swatch. */
export type SwatchFault = "grounds-alike" | "not-a-coat" | "too-unsure";

/** Error of a colour picked or typed by eye, a share of full light [from memory]. */
const BY_EYE = memory(0.012);
/** No photograph is truer than this: noise, haze, a lamp on one side [from memory]. */
const LEAST_ERROR = memory(0.008);
/** Above this a swatch does not tell one hiding from the next: a film that covers shows nothing of its grounds. */
const TELLS_UP_TO = 0.95;
/** What white card, or a primed piece, throws back [common practice: the white of a contrast card, about 0.80]. */
const CARD_WHITE = practice(0.8);
/** Standard errors to either side: nine in ten wants 1.645, and there is something in paint that no fit knows of [from memory]. */
const NINE_IN_TEN = memory(2);
/** Grounds less apart in light than this tell nothing. */
const LEAST_APART = 0.25;
const STEPS = 40;
const MOST_DAMPING = 1e9;
/** A step that fits no better than by this was the last. */
const SMALL_GAIN = 1e-4;
/** Sum of squared errors beyond which no coat of one paint looks so; two are to be expected. */
const MOST_MISFIT = 60;
/** A wider interval tells nothing. */
const MOST_SPREAD = 0.4;
/** A ratio of one would want an endless film. */
const MOST_RATIO = 0.995;
/** Luminance of red, green and blue [published: IEC 61966-2-1]. */
const LUMINANCE = [0.2126, 0.7152, 0.0722] as const;
/** Step of a difference quotient. */
const NUDGE = 1e-4;

interface Seen {
  readonly value: number;
  readonly error: number;
}

/** A swatch in the card's own light: every channel over the white beside it, which is known. */
function inCardLight({ dark, pale, overDark, overPale, thick }: Swatch): Readings {
  const white = lightOf(pale.colour);
  const scaled = ({ colour, error = BY_EYE.value }: Reading): readonly Seen[] =>
    lightOf(colour).map((light, at) => ({
      value: (light / white[at]!) * CARD_WHITE.value,
      error: (Math.max(LEAST_ERROR.value, error) / white[at]!) * CARD_WHITE.value,
    }));
  return {
    dark: scaled(dark),
    overDark: scaled(overDark),
    overPale: scaled(overPale),
    thick: thick ? scaled(thick) : null,
    paleError: scaled(pale).map(({ error }) => error),
  };
}

const LEAST = 0.003;
const MOST = 0.97;
const bounded = (value: number) => Math.min(MOST, Math.max(LEAST, value));
const asOpen = (value: number) => Math.log(value / (1 - value));
const asShare = (value: number) => 1 / (1 + Math.exp(-value));

/** Solves (AᵀA + damping) x = b. */
function normalSolved(rows: readonly (readonly number[])[], right: readonly number[], damping: number): readonly number[] {
  const size = right.length;
  const matrix = right.map((value, i) => [
    ...right.map((_column, j) => rows.reduce((sum, row) => sum + row[i]! * row[j]!, 0) + (i === j ? damping : 0)),
    value,
  ]);
  for (let column = 0; column < size; column += 1)
    for (let row = 0; row < size; row += 1) {
      if (row === column) continue;
      const factor = matrix[row]![column]! / matrix[column]![column]!;
      for (let at = column; at <= size; at += 1) matrix[row]![at]! -= factor * matrix[column]![at]!;
    }
  return matrix.map((row, at) => row[size]! / row[at]!);
}

/** How a function of some parameters changes with each of them. */
function gradient(of: (parameters: readonly number[]) => number, parameters: readonly number[]): readonly number[] {
  return parameters.map((_one, which) => {
    const by = (step: number) => of(parameters.map((one, at) => (at === which ? one + step : one)));
    return (by(NUDGE) - by(-NUDGE)) / (2 * NUDGE);
  });
}

/** What was read of a swatch, as the fit takes it. */
interface Readings {
  readonly dark: readonly Seen[];
  readonly overDark: readonly Seen[];
  readonly overPale: readonly Seen[];
  readonly thick: readonly Seen[] | null;
  /** Errors of the two grounds, each channel. */
  readonly paleError: readonly number[];
}

/** Parameters of a fit: R∞ of three channels as log-odds, and the logarithm of the scattering power. */
type Parameters = readonly number[];
const infiniteAt = (parameters: Parameters, channel: number) => bounded(asShare(parameters[channel]!));
const spectrumAt = (parameters: Parameters) => spectrumOfChannels([0, 1, 2].map((at) => infiniteAt(parameters, at)) as unknown as Channels);
const scatterAt = (parameters: Parameters) => Math.exp(parameters[3]!);

/** What is seen of a film over a ground, in the channels of a screen. */
function seenOver(paint: Spectrum, scatter: number, ground: Spectrum): Channels {
  return channelsOf(paint.map((infinite, band) => overGround(infinite, ground[band]!, scatter)));
}

/** What each reading is off by, in its own errors; an unsure ground makes what is seen over it unsure by as much as shows through. */
function residualsOf({ dark, overDark, overPale, thick, paleError }: Readings, through: readonly number[]) {
  const error = (own: number, ground: number, channel: number) => Math.hypot(own, ground * through[channel]!);
  const darkGround = spectrumOfChannels(dark.map(({ value }) => value) as unknown as Channels);
  const paleGround = darkGround.map(() => CARD_WHITE.value);
  return (parameters: Parameters): readonly number[] => {
    const [paint, scatter] = [spectrumAt(parameters), scatterAt(parameters)];
    const [onDark, onPale] = [seenOver(paint, scatter, darkGround), seenOver(paint, scatter, paleGround)];
    return [0, 1, 2].flatMap((at) => [
      (onDark[at]! - overDark[at]!.value) / error(overDark[at]!.error, dark[at]!.error, at),
      (onPale[at]! - overPale[at]!.value) / error(overPale[at]!.error, paleError[at]!, at),
      ...(thick ? [(infiniteAt(parameters, at) - thick[at]!.value) / thick[at]!.error] : []),
    ]);
  };
}

/** Where to begin: what the two grounds of each channel say alone. */
function begun({ dark, overDark, overPale }: Readings): Parameters {
  const alone = [0, 1, 2].map((at) =>
    fromTwoGrounds({ dark: { ground: dark[at]!.value, film: overDark[at]!.value }, pale: { ground: CARD_WHITE.value, film: overPale[at]!.value } }),
  );
  const scatters = alone.flatMap((one) => (one && Number.isFinite(one.scatter) && one.scatter > 0 ? [one.scatter] : [])).sort((a, b) => a - b);
  const scatter = scatters[Math.floor(scatters.length / 2)] ?? 2;
  return [...[0, 1, 2].map((at) => asOpen(bounded(alone[at]?.infinite ?? overPale[at]!.value))), Math.log(Math.min(50, Math.max(0.01, scatter)))];
}

/** Least squares by damped Gauss–Newton (Levenberg–Marquardt). */
function fitted(residuals: (parameters: Parameters) => readonly number[], start: Parameters) {
  const slopesAt = (parameters: Parameters, left: readonly number[]) => {
    const columns = parameters.map((_one, which) => residuals(parameters.map((one, at) => (at === which ? one + NUDGE : one))));
    return left.map((here, row) => columns.map((column) => (column[row]! - here) / NUDGE));
  };
  const sum = (values: readonly number[]) => values.reduce((all, one) => all + one * one, 0);
  let parameters = start;
  let left = residuals(parameters);
  let slopes = slopesAt(parameters, left);
  let misfit = sum(left);
  let damping = 1;
  for (let step = 0; step < STEPS && damping < MOST_DAMPING; step += 1) {
    const right = parameters.map((_one, at) => -slopes.reduce((all, row, which) => all + row[at]! * left[which]!, 0));
    const change = normalSolved(slopes, right, damping);
    const next = parameters.map((one, at) => one + Math.max(-2, Math.min(2, change[at]!)));
    const there = residuals(next);
    const gained = misfit - sum(there);
    if (gained < 0) {
      damping *= 8;
      continue;
    }
    [parameters, left, misfit, damping] = [next, there, sum(there), damping / 4];
    slopes = slopesAt(parameters, left);
    if (gained < SMALL_GAIN) break;
  }
  return { parameters, misfit, slopes };
}

/** What of a ground shows through a film in a channel: the slope of what is seen by what lies beneath. */
const showingThrough = (infinite: number, ground: number, scatter: number) =>
  (overGround(infinite, bounded(ground + NUDGE), scatter) - overGround(infinite, bounded(ground - NUDGE), scatter)) / (2 * NUDGE);

function luminanceOf(channels: readonly number[]): number {
  return channels.reduce((sum, value, at) => sum + LUMINANCE[at]! * value, 0);
}

/** Contrast ratio of a coat so many times as strong, on the standard chart. */
const ratioAt = (parameters: Parameters, times: number) => contrastRatioAt(spectrumAt(parameters), scatterAt(parameters) * times);

/**
 * Fits the hiding of a paint to one coat of it over two grounds. What is seen is taken in the light of the pale ground, which is known, so that lamp and
 * camera do not count.
 *
 * @param swatch colours as read from a photograph or typed, each with its error
 * @returns the contrast ratio with the interval it lies in nine times in ten, and the colour laid thick; or what is wrong with the swatch
 */
export function calibrated(swatch: Swatch): Calibrated {
  const readings = inCardLight(swatch);
  const { dark } = readings;
  if (CARD_WHITE.value - luminanceOf(dark.map(({ value }) => value)) < LEAST_APART) return { ok: false, why: "grounds-alike" };
  const start = begun(readings);
  const through = [0, 1, 2].map((at) => showingThrough(infiniteAt(start, at), dark[at]!.value, scatterAt(start)));
  const { parameters, misfit, slopes } = fitted(residualsOf(readings, through), start);
  if (misfit > MOST_MISFIT) return { ok: false, why: "not-a-coat" };
  const times = 1 + (swatch.thinnedPercent ?? 0) / 100;
  const slope = gradient((all) => asOpen(ratioAt(all, times)), parameters);
  const spread = Math.sqrt(
    Math.max(
      0,
      slope.reduce((sum, one, at) => sum + one * normalSolved(slopes, slope, 1e-9)[at]!, 0),
    ),
  );
  const colour = hexOfLight([0, 1, 2].map((at) => infiniteAt(parameters, at) / WHITE_PAINT.value) as unknown as Light);
  const ratio = Math.min(MOST_RATIO, ratioAt(parameters, times));
  const [from, to] = [-1, 1].map((side) => asShare(asOpen(ratio) + side * NINE_IN_TEN.value * spread)) as [number, number];
  if (ratio > TELLS_UP_TO) return { ok: true, hiding: { ratio, from: Math.min(from, TELLS_UP_TO), to: 1, atLeast: true, colour } };
  if (to - from > MOST_SPREAD) return { ok: false, why: "too-unsure" };
  return { ok: true, hiding: { ratio, from, to, atLeast: false, colour } };
}

/** A mean of several readings of one place, with its standard error; the spread of the readings is that of the paint and the camera together. */
export function readingOf(samples: readonly Light[]): Reading {
  const mean = [0, 1, 2].map((at) => samples.reduce((sum, one) => sum + one[at]!, 0) / samples.length) as unknown as Light;
  const spread = samples.reduce((sum, one) => sum + one.reduce((all, light, at) => all + (light - mean[at]!) ** 2, 0) / 3, 0) / Math.max(1, samples.length - 1);
  return { colour: hexOfLight(mean), error: Math.max(LEAST_ERROR.value, Math.sqrt(spread / samples.length)) };
}
