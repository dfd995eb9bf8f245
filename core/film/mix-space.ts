import { absorptionOverScatter, infiniteReflectance } from "./kubelka-munk";
import { scatterByVolume } from "./mix";
import type { MixPaint } from "./mix";
import { WEIGHTS, WHITE } from "./observer";
import { spectrumOf, WHITE_PAINT } from "./spectrum";

const BANDS = WEIGHTS[0]!.length;
/** As culori has it, and as colours of a screen are compared: CIE L*a*b* of what is seen, a white paint as white. */
const [WHITE_X, WHITE_Y, WHITE_Z] = WHITE.map((value) => value * WHITE_PAINT.value) as [number, number, number];
const EDGE = 216 / 24389;
const SLOPE = 24389 / 27 / 116;

const f = (value: number) => (value > EDGE ? Math.cbrt(value) : SLOPE * value + 16 / 116);
const df = (value: number) => (value > EDGE ? 1 / (3 * Math.cbrt(value) ** 2) : SLOPE);

function summingToOne(values: readonly number[]): readonly number[] {
  const whole = values.reduce((sum, one) => sum + one, 0);
  return values.map((one) => one / whole);
}

export interface Lab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}

/**
 * Paints in the space in which they mix along straight lines: absorption over scattering in each band, a mixture being the mean of its paints weighted by
 * what each scatters.
 */
export class MixSpace {
  /**
   * @param ratios K/S of each paint, band by band, one paint after another
   * @param scatters scattering of a volume of each paint
   */
  private constructor(
    private readonly ratios: Float64Array,
    private readonly scatters: Float64Array,
  ) {}

  static of(paints: readonly MixPaint[]): MixSpace {
    const ratios = new Float64Array(paints.length * BANDS);
    for (const [index, { colour }] of paints.entries())
      for (const [band, infinite] of spectrumOf(colour).entries()) ratios[index * BANDS + band] = absorptionOverScatter(infinite);
    return new MixSpace(ratios, Float64Array.from(paints, scatterByVolume));
  }

  /** The space of a few of its paints. */
  only(which: readonly number[]): MixSpace {
    const ratios = new Float64Array(which.length * BANDS);
    for (const [at, paint] of which.entries()) ratios.set(this.ratios.subarray(paint * BANDS, (paint + 1) * BANDS), at * BANDS);
    return new MixSpace(
      ratios,
      Float64Array.from(which, (paint) => this.scatters[paint]!),
    );
  }

  /** K/S of a mixture of all its paints, by weights of scattering that sum to 1. */
  blend(weights: readonly number[]): Float64Array {
    const blended = new Float64Array(BANDS);
    for (const [paint, weight] of weights.entries()) for (let band = 0; band < BANDS; band += 1) blended[band]! += weight * this.ratios[paint * BANDS + band]!;
    return blended;
  }

  /** Shares of volume that give weights of scattering. */
  sharesOf(weights: readonly number[]): readonly number[] {
    return summingToOne(weights.map((weight, paint) => weight / this.scatters[paint]!));
  }

  /** Weights of scattering that shares of volume give. */
  weightsOf(shares: readonly number[]): readonly number[] {
    return summingToOne(shares.map((share, paint) => share * this.scatters[paint]!));
  }

  /** Where each paint lies as it is seen from a mixture, to first order: three numbers a paint, one after another. */
  seenFrom(centre: Float64Array, from: Lab, target: Lab): Float64Array {
    const { l, a, b } = slopes(centre);
    const count = this.scatters.length;
    const points = new Float64Array(count * 3);
    for (let paint = 0; paint < count; paint += 1) {
      let [dl, da, db] = [from.l - target.l, from.a - target.a, from.b - target.b];
      for (let band = 0; band < BANDS; band += 1) {
        const step = this.ratios[paint * BANDS + band]! - centre[band]!;
        dl += l[band]! * step;
        da += a[band]! * step;
        db += b[band]! * step;
      }
      points[paint * 3] = dl;
      points[paint * 3 + 1] = da;
      points[paint * 3 + 2] = db;
    }
    return points;
  }
}

/** K/S of a colour in the same bands. */
export function ratiosOfColour(colour: string): Float64Array {
  return Float64Array.from(spectrumOf(colour), absorptionOverScatter);
}

function xyzOfRatios(ratios: Float64Array): readonly [number, number, number] {
  let [x, y, z] = [0, 0, 0];
  for (let band = 0; band < BANDS; band += 1) {
    const seen = infiniteReflectance(ratios[band]!);
    x += WEIGHTS[0]![band]! * seen;
    y += WEIGHTS[1]![band]! * seen;
    z += WEIGHTS[2]![band]! * seen;
  }
  return [x, y, z];
}

/** CIE L*a*b* of a mixture laid thick. */
export function labOfRatios(ratios: Float64Array): Lab {
  const [x, y, z] = xyzOfRatios(ratios);
  const [fx, fy, fz] = [f(x / WHITE_X), f(y / WHITE_Y), f(z / WHITE_Z)];
  return { l: 116 * fy - 16, a: 500 * (fx - fy), b: 200 * (fy - fz) };
}

/** How L*, a* and b* change with K/S of each band. */
function slopes(ratios: Float64Array): { readonly l: Float64Array; readonly a: Float64Array; readonly b: Float64Array } {
  const [x, y, z] = xyzOfRatios(ratios);
  const [sx, sy, sz] = [df(x / WHITE_X) / WHITE_X, df(y / WHITE_Y) / WHITE_Y, df(z / WHITE_Z) / WHITE_Z];
  const [l, a, b] = [new Float64Array(BANDS), new Float64Array(BANDS), new Float64Array(BANDS)];
  for (let band = 0; band < BANDS; band += 1) {
    const ratio = ratios[band]!;
    // No paint reflects so well that the slope has no end.
    const slope = 1 - (ratio + 1) / Math.sqrt(Math.max(1e-9, ratio * ratio + 2 * ratio));
    const [dx, dy, dz] = [sx * WEIGHTS[0]![band]! * slope, sy * WEIGHTS[1]![band]! * slope, sz * WEIGHTS[2]![band]! * slope];
    l[band] = 116 * dy;
    a[band] = 500 * (dx - dy);
    b[band] = 200 * (dy - dz);
  }
  return { l, a, b };
}
