import { memory } from "../catalogue/provenance";
import { BANDS_NM, WEIGHTS, WHITE } from "./observer";

/** Reflectance in each band, 0–1. */
export type Spectrum = readonly number[];

/** Reflectances outside this are not met in paint, and Kubelka–Munk has no answer at 0 and 1 [published: trade handbook §8 states the clamp]. */
const LEAST = 0.003;
const MOST = 0.97;
const COUNT = BANDS_NM.length;

/** sRGB to linear light [published: IEC 61966-2-1]. */
function linear(channel: number): number {
  return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
}

/** Linear sRGB to XYZ under D65 [published: IEC 61966-2-1]. */
const TO_XYZ = [
  [0.4124564, 0.3575761, 0.1804375],
  [0.2126729, 0.7151522, 0.072175],
  [0.0193339, 0.119192, 0.9503041],
] as const;
const SRGB_WHITE = [0.9504559, 1, 1.0890577] as const;

/**
 * What the whitest paint reflects; the white of a screen stands for it. A hex is picked by eye beside white paper, so its
 * brightest is a white paint's masstone (about L* 94), not a perfect white that no paint reaches.
 */
export const WHITE_PAINT = memory(0.85);

/** Reflectance in the red, green and blue of a screen, 0–1. */
export type Channels = readonly [number, number, number];

function channelsWanted(hex: string): Channels {
  const [r, g, b] = [1, 3, 5].map((at) => WHITE_PAINT.value * linear(parseInt(hex.slice(at, at + 2), 16) / 255)) as [number, number, number];
  return [r, g, b];
}

function wantedXyz(channels: Channels): readonly number[] {
  const rgb = channels.map((value) => Math.min(MOST, Math.max(LEAST, value)));
  return TO_XYZ.map((row, axis) => (row.reduce((sum, weight, channel) => sum + weight * rgb[channel]!, 0) * WHITE[axis]!) / SRGB_WHITE[axis]!);
}

/** Unknowns of a step: the curve in each band, and one multiplier for each of X, Y and Z. */
const SIZE = COUNT + 3;
/** A row of the equations, with its right side as its last number. */
const WIDE = SIZE + 1;
/** Rows that may have something in a column of the bands, once rows have changed places: two above the diagonal. */
const REACH = 2;

/** Takes a multiple of one row from another so that nothing is left in a column; only where there may be something. */
function cleared(matrix: Float64Array, row: number, from: number, column: number): void {
  const factor = matrix[row * WIDE + column]! / matrix[from * WIDE + column]!;
  if (factor === 0) return;
  const end = Math.min(COUNT, column + REACH + 1);
  for (let at = column; at < end; at += 1) matrix[row * WIDE + at]! -= factor * matrix[from * WIDE + at]!;
  for (let at = Math.max(COUNT, column); at < WIDE; at += 1) matrix[row * WIDE + at]! -= factor * matrix[from * WIDE + at]!;
}

function swapped(matrix: Float64Array, one: number, other: number): void {
  for (let at = 0; at < WIDE; at += 1) {
    const held = matrix[one * WIDE + at]!;
    matrix[one * WIDE + at] = matrix[other * WIDE + at]!;
    matrix[other * WIDE + at] = held;
  }
}

/**
 * Solves A·x = b by elimination with pivoting, where A is three diagonals with a border of three rows and columns; it is overwritten. The diagonals alone
 * leave a constant open, which shows in their last column: from there on the border decides.
 */
function solved(matrix: Float64Array): Float64Array {
  for (let column = 0; column < SIZE; column += 1) {
    const inBand = column < COUNT - 1;
    const last = inBand ? column + 1 : SIZE - 1;
    let pivot = column;
    for (let row = column + 1; row <= last; row += 1) if (Math.abs(matrix[row * WIDE + column]!) > Math.abs(matrix[pivot * WIDE + column]!)) pivot = row;
    if (pivot !== column) swapped(matrix, column, pivot);
    for (let row = column + 1; row <= last; row += 1) cleared(matrix, row, column, column);
    if (inBand) for (let row = COUNT; row < SIZE; row += 1) cleared(matrix, row, column, column);
  }
  const x = new Float64Array(SIZE);
  for (let row = SIZE - 1; row >= 0; row -= 1) {
    let sum = matrix[row * WIDE + SIZE]!;
    for (let at = row + 1; at < SIZE; at += 1) sum -= matrix[row * WIDE + at]! * x[at]!;
    x[row] = sum / matrix[row * WIDE + row]!;
  }
  return x;
}

const NEWTON_STEPS = 30;
const CLOSE_ENOUGH = 1e-8;

/**
 * The smoothest reflectance that looks like a colour: of all with its X, Y, Z the one whose hyperbolic-tangent curve has the
 * least slope squared, so that it stays between 0 and 1. Newton's method on the Lagrange conditions.
 * [published: S. A. Burns, Numerical methods for smoothest reflectance reconstruction, Color Research & Application 45, 2020]
 */
function smoothest(xyz: readonly number[]): Spectrum {
  const z = new Float64Array(COUNT);
  const lambda = new Float64Array(3);
  const matrix = new Float64Array(SIZE * WIDE);
  const [xs, ys, zs] = WEIGHTS as readonly [readonly number[], readonly number[], readonly number[]];
  for (let step = 0; step < NEWTON_STEPS; step += 1) {
    matrix.fill(0);
    let worst = 0;
    const sums = [-xyz[0]!, -xyz[1]!, -xyz[2]!] as [number, number, number];
    for (let band = 0; band < COUNT; band += 1) {
      const bent = Math.tanh(z[band]!);
      const slope = (1 - bent * bent) / 2;
      const bend = -bent * (1 - bent * bent);
      const [wx, wy, wz] = [xs[band]!, ys[band]!, zs[band]!];
      const pull = wx * lambda[0]! + wy * lambda[1]! + wz * lambda[2]!;
      const own = band === 0 || band === COUNT - 1 ? 2 : 4;
      const fault = own * z[band]! - 2 * (z[band - 1] ?? 0) - 2 * (z[band + 1] ?? 0) + slope * pull;
      const reflectance = (bent + 1) / 2;
      sums[0] += wx * reflectance;
      sums[1] += wy * reflectance;
      sums[2] += wz * reflectance;
      worst = Math.max(worst, Math.abs(fault));
      const row = band * WIDE;
      matrix[row + SIZE] = -fault;
      matrix[row + band] = own + bend * pull;
      if (band > 0) matrix[row + band - 1] = -2;
      if (band < COUNT - 1) matrix[row + band + 1] = -2;
      matrix[row + COUNT] = matrix[COUNT * WIDE + band] = slope * wx;
      matrix[row + COUNT + 1] = matrix[(COUNT + 1) * WIDE + band] = slope * wy;
      matrix[row + COUNT + 2] = matrix[(COUNT + 2) * WIDE + band] = slope * wz;
    }
    for (let axis = 0; axis < 3; axis += 1) {
      worst = Math.max(worst, Math.abs(sums[axis]!));
      matrix[(COUNT + axis) * WIDE + SIZE] = -sums[axis]!;
    }
    if (worst < CLOSE_ENOUGH) break;
    const change = solved(matrix);
    for (let band = 0; band < COUNT; band += 1) z[band]! += change[band]!;
    for (let axis = 0; axis < 3; axis += 1) lambda[axis]! += change[COUNT + axis]!;
  }
  return Array.from(z, (value) => Math.min(MOST, Math.max(LEAST, (Math.tanh(value) + 1) / 2)));
}

/** The smoothest reflectance with these channels, which are brought inside what paint reflects. */
export function spectrumOfChannels(channels: Channels): Spectrum {
  return smoothest(wantedXyz(channels));
}

/** X, Y, Z to linear sRGB: the inverse of `TO_XYZ` [published: IEC 61966-2-1]. */
const FROM_XYZ = [
  [3.2404542, -1.5371385, -0.4985314],
  [-0.969266, 1.8760108, 0.041556],
  [0.0556434, -0.2040259, 1.0572252],
] as const;

/** Reflectance in the channels of a screen; outside 0–1 where no screen shows the colour. */
export function channelsOf(spectrum: Spectrum): Channels {
  const xyz = xyzOf(spectrum).map((value, axis) => (value * SRGB_WHITE[axis]!) / WHITE[axis]!);
  return FROM_XYZ.map((row) => row.reduce((sum, weight, axis) => sum + weight * xyz[axis]!, 0)) as unknown as Channels;
}

const known = new Map<string, Spectrum>();
const MOST_KNOWN = 2000;

/**
 * The reflectance of a colour in 31 bands.
 *
 * @param hex sRGB "#rrggbb"
 * @returns reflectances from 0.003 to 0.97; the very lightest and darkest colours are brought inside that
 */
export function spectrumOf(hex: string): Spectrum {
  const key = hex.toLowerCase();
  const before = known.get(key);
  if (before) return before;
  if (known.size > MOST_KNOWN) known.clear();
  const spectrum = spectrumOfChannels(channelsWanted(key));
  known.set(key, spectrum);
  return spectrum;
}

/** X, Y, Z of a reflectance under daylight; white has Y = 1. */
export function xyzOf(spectrum: Spectrum): readonly [number, number, number] {
  const sum = (axis: number) => WEIGHTS[axis]!.reduce((total, weight, band) => total + weight * spectrum[band]!, 0);
  return [sum(0), sum(1), sum(2)];
}

/** CIE L*a*b* of X, Y, Z against this observer's white [published: CIE 15]. */
export function labOf([x, y, z]: readonly [number, number, number]): { readonly mode: "lab65"; readonly l: number; readonly a: number; readonly b: number } {
  const f = (value: number) => (value > 216 / 24389 ? Math.cbrt(value) : (24389 / 27 / 116) * value + 16 / 116);
  const [fx, fy, fz] = [f(x / WHITE[0]!), f(y / WHITE[1]!), f(z / WHITE[2]!)];
  return { mode: "lab65", l: 116 * fy - 16, a: 500 * (fx - fy), b: 200 * (fy - fz) };
}
