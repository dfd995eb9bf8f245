import { formatHex, modeOklab, modeRgb, useMode } from "culori/fn";

useMode(modeRgb);
const toOklab = useMode(modeOklab);

/** A colour of a picture, and how much of it is near to that colour. */
export interface MainColour {
  /** sRGB "#rrggbb". */
  readonly colour: string;
  /** 0–1. */
  readonly share: number;
}

interface Bin {
  readonly at: readonly [number, number, number];
  readonly weight: number;
}

/** Colours are counted in cells of this many steps of a channel. */
const CELL = 8;
const ROUNDS = 12;
/** Light and shade on one paint change its lightness most: it counts for less here than hue and strength [from memory]. */
const LIGHTNESS_COUNTS = 0.45;
/** Nearer than this, so measured, two are one colour to whoever looks for paints [from memory]. */
const ONE_COLOUR = 0.05;
/** Less than this of a picture is not one of its main colours: a row of dots is more. */
const LEAST_SHARE = 0.004;
/** Groups that are begun with for each colour that is wanted, so that small ones are not lost among large ones. */
const GROUPS_EACH = 2;
const OPAQUE = 128;

function apart(a: Bin["at"], b: Bin["at"]): number {
  return Math.hypot(LIGHTNESS_COUNTS * (a[0] - b[0]), a[1] - b[1], a[2] - b[2]);
}

function binsOf(rgba: ArrayLike<number>): readonly Bin[] {
  const cells = new Map<number, [number, number, number, number]>();
  for (let at = 0; at + 3 < rgba.length; at += 4) {
    if (rgba[at + 3]! < OPAQUE) continue;
    const [r, g, b] = [rgba[at]!, rgba[at + 1]!, rgba[at + 2]!];
    const key = ((Math.floor(r / CELL) << 10) | (Math.floor(g / CELL) << 5) | Math.floor(b / CELL)) >>> 0;
    const cell = cells.get(key) ?? [0, 0, 0, 0];
    cells.set(key, [cell[0] + r, cell[1] + g, cell[2] + b, cell[3] + 1]);
  }
  // In the order of the cells, so that equal colours are settled alike wherever they stand in the picture.
  const counted = [...cells].sort(([one], [other]) => one - other);
  return counted.map(([_key, [r, g, b, weight]]): Bin => {
    const of = (sum: number) => sum / weight / 255;
    const { l, a, b: yellow } = toOklab({ mode: "rgb", r: of(r), g: of(g), b: of(b) });
    return { at: [l, a, yellow], weight };
  });
}

/** Each bin with its nearest centre; the centres are then the means of what is theirs. */
function settled(bins: readonly Bin[], centres: readonly Bin["at"][]): readonly Bin[] {
  const sums = centres.map((): [number, number, number, number] => [0, 0, 0, 0]);
  for (const { at, weight } of bins) {
    const distances = centres.map((centre) => apart(at, centre));
    const sum = sums[distances.indexOf(Math.min(...distances))]!;
    for (const axis of [0, 1, 2] as const) sum[axis] += at[axis] * weight;
    sum[3] += weight;
  }
  return sums.flatMap(([l, a, b, weight]): readonly Bin[] => (weight === 0 ? [] : [{ at: [l / weight, a / weight, b / weight], weight }]));
}

/** Centres to begin from: the commonest colour, then always the one that stands farthest from those taken, there being enough of it. */
function begin(bins: readonly Bin[], most: number): readonly Bin["at"][] {
  const first = bins.reduce((best, one) => (one.weight > best.weight ? one : best));
  const taken: Bin["at"][] = [first.at];
  while (taken.length < most) {
    const worth = bins.map(({ at, weight }) => Math.min(...taken.map((one) => apart(at, one))) ** 2 * Math.sqrt(weight));
    const best = Math.max(...worth);
    if (!(best > 0)) break;
    taken.push(bins[worth.indexOf(best)]!.at);
  }
  return taken;
}

/** Colours the eye takes for one are one; the commoner first. */
function merged(centres: readonly Bin[]): readonly Bin[] {
  return [...centres]
    .sort((a, b) => b.weight - a.weight)
    .reduce<readonly Bin[]>((kept, one) => {
      const same = kept.find((other) => apart(other.at, one.at) < ONE_COLOUR);
      return same ? kept.map((other) => (other === same ? { ...other, weight: other.weight + one.weight } : other)) : [...kept, one];
    }, []);
}

/**
 * The main colours of a picture: k-means in OKLab over its counted colours, begun the same way for the same picture.
 *
 * @param rgba four bytes a pixel, sRGB; pixels that are not opaque are left out
 * @param most how many, 1–12
 * @returns the commonest first; empty for a picture without pixels
 * Source: Lloyd, Least squares quantization in PCM, 1982; Ottosson, OKLab, 2020, computed by culori.
 */
export function mainColours(rgba: ArrayLike<number>, most = 6): readonly MainColour[] {
  const bins = binsOf(rgba);
  if (bins.length === 0) return [];
  let centres: readonly Bin[] = begin(bins, GROUPS_EACH * most).map((at) => ({ at, weight: 0 }));
  for (let round = 0; round < ROUNDS; round += 1)
    centres = settled(
      bins,
      centres.map((one) => one.at),
    );
  const all = bins.reduce((sum, one) => sum + one.weight, 0);
  const found = [...merged(centres)].sort((a, b) => b.weight - a.weight);
  return found
    .map(({ at: [l, a, b], weight }) => ({ colour: formatHex({ mode: "oklab", l, a, b }), share: weight / all }))
    .filter(({ share }) => share >= LEAST_SHARE)
    .slice(0, most);
}
