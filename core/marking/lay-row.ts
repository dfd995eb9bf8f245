import { PATTERN_LIMITS } from "../piece/pattern";
import type { Row } from "../piece/pattern";
import type { UnitMark } from "./row-kinds";
import type { Spots } from "./clearance";
import { apart, chordOf, closestDots, closingCount, isNarrow, leastChord } from "./ring-count";
import type { PlacedMark, PlacedSpot } from "./solved";
import type { MarkingSurface, Ring, Spot3 } from "./surface";

/** Points evenly round a ring, by length. */
interface Round {
  readonly level: number;
  readonly count: number;
  readonly start: number;
  readonly points: readonly Spot3[];
}

/** A surface whose rings are kept: a row asks for the same ones again and again. */
export class Rings {
  private readonly kept = new Map<number, Ring>();
  private last: Round | null = null;

  constructor(readonly surface: MarkingSurface) {}

  at(level: number): Ring {
    const here = this.kept.get(level);
    if (here) return here;
    const ring = this.surface.ring(level);
    this.kept.set(level, ring);
    return ring;
  }

  /** So many points evenly round: those of the last ask are kept, for a row is measured and then set. */
  round(level: number, count: number, start: number): readonly Spot3[] {
    if (this.last?.level === level && this.last.count === count && this.last.start === start) return this.last.points;
    const ring = this.at(level);
    const points = Array.from({ length: count }, (_unused, k) => ring.at(start + k / count));
    this.last = { level, count, start, points };
    return points;
  }
}

/** How far the marks of a place reach inward and outward of its level, mm. */
export function reachOf(unit: readonly UnitMark[]): readonly [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const spots of unit)
    for (const { out, diameterMm } of spots) {
      low = Math.min(low, out - diameterMm / 2);
      high = Math.max(high, out + diameterMm / 2);
    }
  return [low, high];
}

/** Turns the marks of a place a little way outward or inward: where they lie then. */
function spotAt(rings: Rings, level: number, share: number, { across, out, diameterMm }: UnitMark[number]): PlacedSpot {
  const ring = rings.at(level + out);
  const along = share + (ring.lengthMm > 0 ? across / ring.lengthMm : 0);
  const { flat, at } = ring.at(along);
  return { flat, at, diameterMm };
}

/**
 * The marks of one place of a row.
 *
 * @param share of the way round
 */
export function placeMarks(rings: Rings, unit: readonly UnitMark[], level: number, share: number): readonly (readonly PlacedSpot[])[] {
  return unit.map((spots) => spots.map((spot) => spotAt(rings, level, share, spot)));
}

function leastGap(a: readonly (readonly PlacedSpot[])[], b: readonly (readonly PlacedSpot[])[]): number {
  let least = Infinity;
  for (const marks of a)
    for (const one of marks)
      for (const others of b)
        for (const other of others) {
          const gap = apart(one.at, other.at) - (one.diameterMm + other.diameterMm) / 2;
          if (gap < least) least = gap;
        }
  return least;
}

/** One dot on the line itself: what it leaves is told by the line alone. */
function isSingleDot([mark, ...more]: readonly UnitMark[]): boolean {
  return more.length === 0 && mark!.length === 1 && mark![0]!.across === 0 && mark![0]!.out === 0;
}

/** As `chordOf`, from the points the row is set at. */
function chordAt(rings: Rings, level: number, count: number, start: number): number {
  const ring = rings.at(level);
  if (ring.circleMm !== null) return chordOf(ring, count, start);
  return leastChord(ring, rings.round(level, count, start));
}

/**
 * The least clear space between the marks of two places, mm; Infinity of a single one.
 *
 * @param count places round the row
 */
export function gapBetween(rings: Rings, unit: readonly UnitMark[], level: number, count: number, start: number): number {
  if (count < 2) return Infinity;
  if (isSingleDot(unit)) return chordAt(rings, level, count, start) - unit[0]![0]!.diameterMm;
  const at = (k: number) => placeMarks(rings, unit, level, start + k / count);
  // On a circle every pair is like the first; two neighbours only when there are two.
  if (rings.surface.round) {
    const next = leastGap(at(0), at(1));
    return count > 3 && unit.some((spots) => spots.length > 1) ? Math.min(next, leastGap(at(0), at(2))) : next;
  }
  const places = Array.from({ length: count }, (_unused, k) => at(k));
  const least = places.reduce((so, marks, k) => Math.min(so, leastGap(marks, places[(k + 1) % count]!)), Infinity);
  const [low, high] = reachOf(unit);
  if (count < 4 || !isNarrow(rings.at(level), Math.max(0, least) + 2 * (high - low))) return least;
  return closestDots(
    places.flatMap((marks, place) => marks.flatMap((spots) => spots.map(({ at: point, diameterMm }) => ({ at: point, diameterMm, place })))),
    least,
  );
}

const HAIR = 1e-9;

/**
 * As many places as close with the wished gap.
 *
 * @returns 0 where not even the least multiple goes
 */
export function placesThatClose(rings: Rings, unit: readonly UnitMark[], level: number, gapMm: number, multipleOf: number, start: number): number {
  const widest = Math.max(...unit.flat().map(({ diameterMm }) => diameterMm));
  const bound = Math.floor(PATTERN_LIMITS.count.most / multipleOf) * multipleOf;
  const first = Math.min(bound, closingCount(rings.at(level), { diameterMm: widest, gapMm, multipleOf }));
  if (isSingleDot(unit)) return first;
  const goes = (count: number) => gapBetween(rings, unit, level, count, start) >= gapMm - HAIR;
  // The gap falls as the count grows: halve the way to the most that go.
  let [most, over] = [0, first / multipleOf + 1];
  while (over - most > 1) {
    const middle = (most + over) >> 1;
    if (goes(middle * multipleOf)) most = middle;
    else over = middle;
  }
  return most * multipleOf;
}

/** All marks of a row. Colours are taken in turn from place to place. */
export function marksOfRow(rings: Rings, row: Row, unit: readonly UnitMark[], level: number, count: number, start: number): readonly PlacedMark[] {
  const { diameterMm } = unit[0]![0]!;
  if (isSingleDot(unit))
    return rings
      .round(level, count, start)
      .map((point, place) => ({ place, colour: row.colours[place % row.colours.length]!, spots: [{ flat: point.flat, at: point.at, diameterMm }] }));
  const marks: PlacedMark[] = [];
  for (let place = 0; place < count; place++) {
    const colour = row.colours[place % row.colours.length]!;
    for (const mark of unit) marks.push({ place, colour, spots: mark.map((spot) => spotAt(rings, level, start + place / count, spot)) });
  }
  return marks;
}

/** The least clear space from these marks to all that lies already; null where none is nearer than asked. */
export function clearanceOf(marks: readonly PlacedMark[], laid: Spots, withinMm: number) {
  let best: ReturnType<Spots["nearest"]> = null;
  for (const { spots } of marks)
    for (const { at, diameterMm } of spots) {
      const found = laid.nearest(at, diameterMm, best?.gapMm ?? withinMm);
      if (found) best = found;
    }
  return best;
}
