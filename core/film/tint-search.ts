import { differenceCiede2000 } from "culori/fn";
import { labOfRatios, MixSpace, ratiosOfColour } from "./mix-space";
import type { Lab } from "./mix-space";
import type { MixPaint } from "./mix";

const deltaE = differenceCiede2000();
/** CIEDE2000 between two colours. */
export function apart(one: Lab, other: Lab): number {
  return deltaE({ mode: "lab65", ...one }, { mode: "lab65", ...other });
}

/** Paints taken together, and the weights of scattering that come nearest. */
export interface Blend {
  readonly which: readonly number[];
  readonly weights: readonly number[];
  readonly apart: number;
}

/** What came to the front of a search by first order is worked out in full: so many of each size. */
const KEPT = { pairs: 40, triples: 60 } as const;
/** So many of the best are tried on where none comes near. */
const TRIED_ON = 16;
const REFINEMENTS = 12;
/** A step that comes no nearer than by this, ΔE00, was the last. */
const CLOSER = 1e-6;
/** Less of a paint than this share is none. */
const LEAST_WEIGHT = 1e-6;
/** Paints looked through between two breaths. */
const ROWS_A_BREATH = 16;

/** The few best of many, kept in order. */
class Front {
  private readonly kept: { readonly which: readonly number[]; readonly far: number }[] = [];

  constructor(private readonly most: number) {}

  /** Beyond this nothing comes in. */
  limit = Infinity;

  offer(which: readonly number[], far: number): void {
    let at = this.kept.length;
    while (at > 0 && this.kept[at - 1]!.far > far) at -= 1;
    this.kept.splice(at, 0, { which, far });
    if (this.kept.length > this.most) this.kept.pop();
    if (this.kept.length === this.most) this.limit = this.kept.at(-1)!.far;
  }

  get all(): readonly (readonly number[])[] {
    return this.kept.map(({ which }) => which);
  }
}

/** Pairs by how near the line between the two passes to the target. */
function pairsFront(points: Float64Array, count: number): Front {
  const front = new Front(KEPT.pairs);
  for (let i = 0; i < count; i += 1) {
    const [ax, ay, az] = [points[3 * i]!, points[3 * i + 1]!, points[3 * i + 2]!];
    for (let j = i + 1; j < count; j += 1) {
      const [dx, dy, dz] = [points[3 * j]! - ax, points[3 * j + 1]! - ay, points[3 * j + 2]! - az];
      const long = dx * dx + dy * dy + dz * dz;
      const along = long === 0 ? 0 : Math.min(1, Math.max(0, -(ax * dx + ay * dy + az * dz) / long));
      const far = (ax + along * dx) ** 2 + (ay + along * dy) ** 2 + (az + along * dz) ** 2;
      if (far < front.limit) front.offer([i, j], far);
    }
  }
  return front;
}

/** Triples with j and k above a paint, where the target lies over the inside of their triangle; by how far it lies off its plane. */
function triplesOf(i: number, points: Float64Array, crossed: Float64Array, count: number, front: Front): void {
  const ax = points[3 * i]!;
  const ay = points[3 * i + 1]!;
  const az = points[3 * i + 2]!;
  for (let j = i + 1; j < count - 1; j += 1) {
    const ij = 3 * (i * count + j);
    const ux = crossed[ij]!;
    const uy = crossed[ij + 1]!;
    const uz = crossed[ij + 2]!;
    for (let k = j + 1; k < count; k += 1) {
      const jk = 3 * (j * count + k);
      const ik = 3 * (i * count + k);
      const vx = crossed[jk]!;
      const vy = crossed[jk + 1]!;
      const vz = crossed[jk + 2]!;
      const wx = -crossed[ik]!;
      const wy = -crossed[ik + 1]!;
      const wz = -crossed[ik + 2]!;
      const nx = ux + vx + wx;
      const ny = uy + vy + wy;
      const nz = uz + vz + wz;
      // Weights of k, i and j, each by the square of the normal.
      if (nx * ux + ny * uy + nz * uz <= 0 || nx * vx + ny * vy + nz * vz <= 0 || nx * wx + ny * wy + nz * wz <= 0) continue;
      const volume = ax * vx + ay * vy + az * vz;
      const far = (volume * volume) / (nx * nx + ny * ny + nz * nz);
      if (far < front.limit) front.offer([i, j, k], far);
    }
  }
}

function crossings(points: Float64Array, count: number): Float64Array {
  const crossed = new Float64Array(3 * count * count);
  for (let i = 0; i < count; i += 1)
    for (let j = i + 1; j < count; j += 1) {
      const [ax, ay, az] = [points[3 * i]!, points[3 * i + 1]!, points[3 * i + 2]!];
      const [bx, by, bz] = [points[3 * j]!, points[3 * j + 1]!, points[3 * j + 2]!];
      const at = 3 * (i * count + j);
      crossed[at] = ay * bz - az * by;
      crossed[at + 1] = az * bx - ax * bz;
      crossed[at + 2] = ax * by - ay * bx;
    }
  return crossed;
}

/** The weights of one to three points whose mean is nearest to nought: the least squares inside their simplex. */
function nearestWeights(points: Float64Array, which: readonly number[]): readonly number[] {
  const at = (paint: number) => [points[3 * paint]!, points[3 * paint + 1]!, points[3 * paint + 2]!] as const;
  const dot = (one: readonly number[], other: readonly number[]) => one[0]! * other[0]! + one[1]! * other[1]! + one[2]! * other[2]!;
  const onLine = (i: number, j: number): readonly number[] => {
    const [a, b] = [at(which[i]!), at(which[j]!)];
    const d = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
    const long = dot(d, d);
    const along = long === 0 ? 0 : Math.min(1, Math.max(0, -dot(a, d) / long));
    return which.map((_paint, index) => (index === i ? 1 - along : index === j ? along : 0));
  };
  if (which.length === 1) return [1];
  if (which.length === 2) return onLine(0, 1);
  const [a, b, c] = [at(which[0]!), at(which[1]!), at(which[2]!)];
  const [d, e] = [
    [b[0] - a[0], b[1] - a[1], b[2] - a[2]],
    [c[0] - a[0], c[1] - a[1], c[2] - a[2]],
  ] as const;
  const [dd, de, ee, da, ea] = [dot(d, d), dot(d, e), dot(e, e), dot(d, a), dot(e, a)];
  const whole = dd * ee - de * de;
  if (whole > 1e-12) {
    const s = (de * ea - ee * da) / whole;
    const t = (de * da - dd * ea) / whole;
    if (s >= 0 && t >= 0 && s + t <= 1) return [1 - s - t, s, t];
  }
  const far = (weights: readonly number[]) => {
    const mean = [0, 1, 2].map((axis) => which.reduce((sum, paint, index) => sum + weights[index]! * points[3 * paint + axis]!, 0));
    return dot(mean, mean);
  };
  return [onLine(0, 1), onLine(0, 2), onLine(1, 2)].sort((one, other) => far(one) - far(other))[0]!;
}

/** A blend worked out in full: from first order on, seen from where it stands, until it comes no nearer. */
function refined(space: MixSpace, which: readonly number[], target: Lab, start: readonly number[]): Blend {
  const own = space.only(which);
  const all = which.map((_paint, index) => index);
  const judged = (weights: readonly number[]): Blend => ({ which, weights, apart: apart(labOfRatios(own.blend(weights)), target) });
  let best = judged(start);
  for (let round = 0; round < REFINEMENTS; round += 1) {
    const centre = own.blend(best.weights);
    const next = nearestWeights(own.seenFrom(centre, labOfRatios(centre), target), all);
    // Half the way where the whole of it leads astray, and half of that.
    const tried = [1, 0.5, 0.25].map((part) => judged(best.weights.map((one, index) => one + part * (next[index]! - one))));
    const [nearest] = tried.sort((a, b) => a.apart - b.apart);
    if (nearest!.apart >= best.apart - CLOSER) break;
    best = nearest!;
  }
  return best;
}

/** Parts of ten in which a pair is tried before it is worked out: from a bad beginning the way may end in a hollow on the near side of a hill. */
const TENTHS = [1, 2, 3, 4, 5, 6, 7, 8, 9] as const;

/** The best beginning for a pair: as first order has it, or one of its tenths. */
function bestBegun(space: MixSpace, which: readonly number[], target: Lab, guess: readonly number[]): readonly number[] {
  const own = space.only(which);
  const far = (weights: readonly number[]) => apart(labOfRatios(own.blend(weights)), target);
  const begun = [guess, ...TENTHS.map((tenth) => own.weightsOf([tenth / 10, 1 - tenth / 10]))].map((weights) => ({ weights, far: far(weights) }));
  return begun.sort((a, b) => a.far - b.far)[0]!.weights;
}

/** Steps of weight by which a blend far from its target is tried on, each half of the one before. */
const TRIED_BY = [0.3, 0.15, 0.08, 0.04, 0.02, 0.01, 0.004, 0.001];
/** So near a target, ΔE00, lightness, chroma and hue weigh alike, and first order has found the best. */
const NEAR = 1;

/** A blend far from its target, tried on by the difference itself: what is nearest in L*a*b* is not always nearest to the eye. */
function triedOn(space: MixSpace, blend: Blend, target: Lab): Blend {
  if (blend.apart < NEAR || blend.which.length < 2) return blend;
  const own = space.only(blend.which);
  let best = blend;
  for (const by of TRIED_BY)
    for (let moved = true; moved;) {
      moved = false;
      for (const [from] of blend.which.entries())
        for (const [to] of blend.which.entries()) {
          const step = Math.min(by, best.weights[from]!);
          if (from === to || step <= 0) continue;
          const weights = best.weights.map((one, at) => (at === from ? one - step : at === to ? one + step : one));
          const far = apart(labOfRatios(own.blend(weights)), target);
          if (far >= best.apart - CLOSER) continue;
          best = { ...blend, weights, apart: far };
          moved = true;
        }
    }
  return best;
}

const used = ({ which, weights, ...rest }: Blend): Blend => {
  const kept = which.map((_paint, index) => index).filter((index) => weights[index]! > LEAST_WEIGHT);
  return { ...rest, which: kept.map((index) => which[index]!), weights: kept.map((index) => weights[index]!) };
};

/**
 * Searches one to three paints whose mixture comes nearest to a colour. Mixtures lie on straight lines between their paints in K/S; seen from the target to
 * first order these are lines in colour too, so that every pair and triple can be looked at; the few that come nearest are then worked out in full.
 *
 * @param most paints in one mixture, 1 to 3
 * @returns blends by ΔE00, each set of paints once; after each yield it may be left
 */
export function* searchBlends(paints: readonly MixPaint[], target: string, most: number): Generator<number, readonly Blend[]> {
  const space = MixSpace.of(paints);
  const count = paints.length;
  const ratios = ratiosOfColour(target);
  const wanted = labOfRatios(ratios);
  const points = space.seenFrom(ratios, wanted, wanted);
  const singles = Array.from({ length: count }, (_unused, paint): Blend => ({
    which: [paint],
    weights: [1],
    apart: apart(labOfRatios(space.only([paint]).blend([1])), wanted),
  }));
  const found = new Map<string, Blend>();
  const keep = (blend: Blend) => {
    const kept = used(blend);
    const key = [...kept.which].sort((a, b) => a - b).join();
    if ((found.get(key)?.apart ?? Infinity) > kept.apart) found.set(key, kept);
  };
  for (const single of singles) keep(single);
  if (most >= 2) {
    const near = pairsFront(points, count).all;
    // Where the target is far off first order says little: the nearest single paints are tried with every other.
    const [nearest] = [...singles].sort((a, b) => a.apart - b.apart);
    const beside = nearest ? singles.flatMap(({ which: [paint] }) => (paint === nearest.which[0] ? [] : [[nearest.which[0]!, paint!]])) : [];
    for (const which of [...near, ...beside]) keep(refined(space, which, wanted, bestBegun(space, which, wanted, nearestWeights(points, which))));
    yield 0;
  }
  if (most >= 3 && count >= 3) {
    const crossed = crossings(points, count);
    const front = new Front(KEPT.triples);
    for (let i = 0; i < count - 2; i += 1) {
      triplesOf(i, points, crossed, count, front);
      if (i % ROWS_A_BREATH === 0) yield i / count;
    }
    const pairs = [...found.values()].filter(({ which }) => which.length === 2).sort((a, b) => a.apart - b.apart);
    const [best] = pairs;
    const besides = best ? Array.from({ length: count }, (_unused, paint) => paint).filter((paint) => !best.which.includes(paint)) : [];
    for (const which of front.all) keep(refined(space, which, wanted, nearestWeights(points, which)));
    for (const paint of besides) keep(refined(space, [...best!.which, paint], wanted, [...best!.weights.map((one) => one * 0.98), 0.02]));
  }
  const inOrder = () => [...found.values()].sort((a, b) => a.apart - b.apart || a.which.length - b.which.length);
  for (const blend of inOrder().slice(0, TRIED_ON)) keep(triedOn(space, blend, wanted));
  return inOrder();
}
