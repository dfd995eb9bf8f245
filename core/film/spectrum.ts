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

function wantedXyz(hex: string): readonly number[] {
  const rgb = [1, 3, 5].map((at) => Math.min(MOST, Math.max(LEAST, WHITE_PAINT.value * linear(parseInt(hex.slice(at, at + 2), 16) / 255))));
  return TO_XYZ.map((row, axis) => (row.reduce((sum, weight, channel) => sum + weight * rgb[channel]!, 0) * WHITE[axis]!) / SRGB_WHITE[axis]!);
}

/** Solves A·x = b by elimination with pivoting; A is overwritten. */
function solved(matrix: number[][], right: number[]): number[] {
  const size = right.length;
  for (let column = 0; column < size; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < size; row += 1) if (Math.abs(matrix[row]![column]!) > Math.abs(matrix[pivot]![column]!)) pivot = row;
    [matrix[column], matrix[pivot]] = [matrix[pivot]!, matrix[column]!];
    [right[column], right[pivot]] = [right[pivot]!, right[column]!];
    for (let row = column + 1; row < size; row += 1) {
      const factor = matrix[row]![column]! / matrix[column]![column]!;
      if (factor === 0) continue;
      for (let at = column; at < size; at += 1) matrix[row]![at]! -= factor * matrix[column]![at]!;
      right[row]! -= factor * right[column]!;
    }
  }
  const x = new Array<number>(size).fill(0);
  for (let row = size - 1; row >= 0; row -= 1) {
    let sum = right[row]!;
    for (let at = row + 1; at < size; at += 1) sum -= matrix[row]![at]! * x[at]!;
    x[row] = sum / matrix[row]![row]!;
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
  const z = new Array<number>(COUNT).fill(0);
  const lambda = [0, 0, 0];
  for (let step = 0; step < NEWTON_STEPS; step += 1) {
    const reflectance = z.map((value) => (Math.tanh(value) + 1) / 2);
    const slope = z.map((value) => (1 - Math.tanh(value) ** 2) / 2);
    const bend = z.map((value) => -Math.tanh(value) * (1 - Math.tanh(value) ** 2));
    const pull = z.map((_unused, band) => WEIGHTS.reduce((sum, weights, axis) => sum + weights[band]! * lambda[axis]!, 0));
    const smooth = (band: number) => {
      const ends = band === 0 || band === COUNT - 1;
      return (ends ? 2 : 4) * z[band]! - 2 * (z[band - 1] ?? 0) - 2 * (z[band + 1] ?? 0);
    };
    const faults = [
      ...z.map((_unused, band) => smooth(band) + slope[band]! * pull[band]!),
      ...WEIGHTS.map((weights, axis) => weights.reduce((sum, weight, band) => sum + weight * reflectance[band]!, 0) - xyz[axis]!),
    ];
    if (Math.max(...faults.map(Math.abs)) < CLOSE_ENOUGH) break;
    const matrix = Array.from({ length: COUNT + 3 }, () => new Array<number>(COUNT + 3).fill(0));
    for (let band = 0; band < COUNT; band += 1) {
      const ends = band === 0 || band === COUNT - 1;
      matrix[band]![band] = (ends ? 2 : 4) + bend[band]! * pull[band]!;
      if (band > 0) matrix[band]![band - 1] = -2;
      if (band < COUNT - 1) matrix[band]![band + 1] = -2;
      for (let axis = 0; axis < 3; axis += 1) {
        matrix[band]![COUNT + axis] = slope[band]! * WEIGHTS[axis]![band]!;
        matrix[COUNT + axis]![band] = slope[band]! * WEIGHTS[axis]![band]!;
      }
    }
    const change = solved(
      matrix,
      faults.map((fault) => -fault),
    );
    for (let band = 0; band < COUNT; band += 1) z[band]! += change[band]!;
    for (let axis = 0; axis < 3; axis += 1) lambda[axis]! += change[COUNT + axis]!;
  }
  return z.map((value) => Math.min(MOST, Math.max(LEAST, (Math.tanh(value) + 1) / 2)));
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
  const spectrum = smoothest(wantedXyz(key));
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
