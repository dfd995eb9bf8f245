import { ellipseArc, ellipsePerimeter } from "./ellipse";
import { circle, oval, rectangle, scaled, uneven } from "./outline";
import type { Outline } from "./outline";

export type Point3 = readonly [number, number, number];

/** A closed line on a surface at one level. */
export interface Ring {
  readonly lengthMm: number;
  /** Of a line that is a circle in space: its radius; null of every other. */
  readonly circleMm: number | null;
  /** The least width of what it goes round, where both sides of it lie on one face; Infinity round a wall. */
  readonly acrossMm: number;
  /** The point at a share of the way round. */
  readonly at: (share: number) => Spot3;
}

/** A point of a surface, mm: as it is told (seen from above from the centre, or unrolled from the left edge and the foot), and in space. */
export interface Spot3 {
  readonly flat: readonly [number, number];
  readonly at: Point3;
}

/** Where a level lies, in the measures of the hand. Null where a measure has no sense. */
export interface LevelWords {
  /** From the centre, seen from above; on ovals along the shorter half. */
  readonly radiusMm: number | null;
  /** Straight from the crown to the line: what a compass is opened to. */
  readonly compassMm: number | null;
  /** From the crown along the surface: what a tape shows. */
  readonly tapeMm: number | null;
  /** Above the foot. */
  readonly heightMm: number | null;
  /** From the edge inward: seen from above on tops, along the wall on walls. */
  readonly insetMm: number;
}

/** A surface that rows can be laid on. Levels are mm along it: from the centre of a top, from the foot of a wall. */
export interface MarkingSurface {
  readonly shape: "top" | "wall";
  readonly from: number;
  readonly to: number;
  /** Whether its lines are circles. */
  readonly round: boolean;
  /** Whether two lines are as far apart in space as along the surface: flat tops, straight walls. */
  readonly straight: boolean;
  readonly ring: (level: number) => Ring;
  readonly say: (level: number) => LevelWords;
  readonly atRadius: (mm: number) => number | null;
  readonly atHeight: (mm: number) => number | null;
  readonly atInset: (mm: number) => number;
  /** Of ovals and uneven tops: the same measured evenly in from its edge. */
  readonly fromEdge?: MarkingSurface;
  /** Its edge seen from above, or its unrolled width and height, mm. */
  readonly outline: Outline | null;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** A table of a growing function, read either way by straight lines between its points. */
function table(points: number, at: (k: number) => readonly [number, number]) {
  const xs = new Float64Array(points + 1);
  const ys = new Float64Array(points + 1);
  for (let k = 0; k <= points; k++) [xs[k], ys[k]] = at(k) as [number, number];
  const read = (from: Float64Array, to: Float64Array) => (value: number) => {
    let [low, high] = [0, points];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (from[middle]! <= value) low = middle;
      else high = middle;
    }
    const span = from[high]! - from[low]!;
    return to[low]! + (span > 0 ? ((value - from[low]!) / span) * (to[high]! - to[low]!) : 0);
  };
  return { forward: read(xs, ys), back: read(ys, xs) };
}

/** How a top rises: from a level to its share of the way out (seen from above, of the shorter half) and its height. */
interface Rise {
  readonly straight: boolean;
  readonly toLevel: number;
  readonly outAt: (level: number) => number;
  readonly levelAt: (outMm: number) => number;
  readonly heightAt: (outMm: number) => number;
}

/** A flat top. @param halfMm from its centre to its edge, along the shorter half */
function flat(halfMm: number): Rise {
  return { straight: true, toLevel: halfMm, outAt: (level) => level, levelAt: (out) => out, heightAt: () => 0 };
}

/** A dome: part of a ball over a foot of that radius. */
function ball(halfMm: number, heightMm: number): Rise {
  const radius = (halfMm ** 2 + heightMm ** 2) / (2 * heightMm);
  // Higher than half a ball, it is wider above its foot: rows end at its widest line.
  const toLevel = heightMm > radius ? (radius * Math.PI) / 2 : radius * 2 * Math.atan(heightMm / halfMm);
  return {
    straight: false,
    toLevel,
    outAt: (level) => radius * Math.sin(level / radius),
    levelAt: (out) => radius * Math.asin(Math.min(1, out / radius)),
    heightAt: (out) => Math.sqrt(Math.max(0, radius ** 2 - out ** 2)) - radius,
  };
}

/** Half an ellipsoid over its widest line. */
function pebble(halfMm: number, heightMm: number): Rise {
  const points = 128;
  const lookup = table(points, (k) => {
    const turn = (Math.PI / 2) * (k / points);
    return [halfMm * Math.sin(turn), ellipseArc(halfMm, heightMm, turn)];
  });
  return {
    straight: false,
    toLevel: lookup.forward(halfMm),
    outAt: lookup.back,
    levelAt: lookup.forward,
    heightAt: (out) => heightMm * Math.sqrt(Math.max(0, 1 - (out / halfMm) ** 2)) - heightMm,
  };
}

interface TopShape {
  /** Its line at a way out along the shorter half. */
  readonly line: (outMm: number) => Outline;
  readonly halfMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly fromMm?: number;
}

function top({ line, halfMm, widthMm, heightMm, fromMm = 0 }: TopShape, rise: Rise, fromEdge?: MarkingSurface): MarkingSurface {
  const edge = line(halfMm);
  return {
    shape: "top",
    from: rise.levelAt(fromMm),
    to: rise.toLevel,
    round: edge.circle,
    straight: rise.straight,
    outline: edge,
    widthMm,
    heightMm,
    ...(fromEdge ? { fromEdge } : {}),
    ring: (level) => {
      const out = rise.outAt(Math.max(0, level));
      const outline = line(out);
      const z = rise.heightAt(out);
      return {
        lengthMm: outline.lengthMm,
        circleMm: outline.circle ? out : null,
        acrossMm: 2 * out,
        at: (share) => {
          const flat = outline.at(share);
          return { flat, at: [flat[0], flat[1], z] };
        },
      };
    },
    say: (level) => {
      const out = rise.outAt(Math.max(0, level));
      return { radiusMm: out, compassMm: Math.hypot(out, rise.heightAt(out)), tapeMm: level, heightMm: null, insetMm: halfMm - out };
    },
    atRadius: (mm) => rise.levelAt(mm),
    atHeight: () => null,
    atInset: (mm) => rise.levelAt(Math.max(0, halfMm - mm)),
  };
}

/** A round flat top. @param innerMm where it begins: a plate's rim begins at its well */
export function discTop(radiusMm: number, innerMm = 0): MarkingSurface {
  return top({ line: circle, halfMm: radiusMm, widthMm: 2 * radiusMm, heightMm: 2 * radiusMm, fromMm: innerMm }, flat(radiusMm));
}

/** A dome over a round foot. @param heightMm above 0 */
export function domeTop(radiusMm: number, heightMm: number): MarkingSurface {
  const rise = ball(radiusMm, heightMm);
  const half = rise.outAt(rise.toLevel);
  return top({ line: circle, halfMm: half, widthMm: 2 * half, heightMm: 2 * half }, rise);
}

/** The top half of a pebble: half an ellipsoid, longest across the view. */
export function pebbleTop(lengthMm: number, widthMm: number, thicknessMm: number): MarkingSurface {
  const [a, b] = [lengthMm / 2, widthMm / 2];
  const least = Math.min(a, b);
  const size = { halfMm: least, widthMm: lengthMm, heightMm: widthMm };
  const rise = pebble(least, thicknessMm / 2);
  const even = (out: number) => {
    const [x, y] = [a - least + out, b - least + out];
    return oval(x, y, ellipsePerimeter(x, y));
  };
  const edge = even(least);
  const alike = (out: number) => scaled(edge, out / least);
  return top({ line: alike, ...size }, rise, a === b ? undefined : top({ line: even, ...size }, rise));
}

/** A top whose edge was measured at equal angles. @param thicknessMm of the stone */
export function unevenTop(radiiMm: readonly number[], thicknessMm: number): MarkingSurface {
  const edge = uneven(radiiMm);
  const half = edge.leastMm;
  let [right, up] = [0, 0];
  for (let k = 0; k < 90; k++) {
    const [x, y] = edge.at(k / 90);
    [right, up] = [Math.max(right, Math.abs(x)), Math.max(up, Math.abs(y))];
  }
  const size = { halfMm: half, widthMm: 2 * right, heightMm: 2 * up };
  const rise = pebble(half, thicknessMm / 2);
  return top({ line: (out) => scaled(edge, out / half), ...size }, rise, top({ line: (out) => uneven(radiiMm, half - out), ...size }, rise));
}

/** A flat top with square corners: a lid, a tray, a sign. */
export function squareTop(lengthMm: number, widthMm: number): MarkingSurface {
  const [a, b] = [lengthMm / 2, widthMm / 2];
  const least = Math.min(a, b);
  const line = (out: number) => rectangle(a - least + out, b - least + out);
  return top({ line, halfMm: least, widthMm: lengthMm, heightMm: widthMm }, flat(least));
}

/** How a wall stands: its line at a height above the foot. */
interface Upright {
  readonly straight: boolean;
  readonly tallMm: number;
  readonly line: (heightMm: number) => Outline;
  /** Along the wall. */
  readonly levelAt: (heightMm: number) => number;
  readonly heightAt: (level: number) => number;
}

function wall({ straight, tallMm, line, levelAt, heightAt }: Upright, fromMm = 0): MarkingSurface {
  const to = levelAt(tallMm);
  const widest = line(tallMm).lengthMm;
  return {
    shape: "wall",
    from: levelAt(fromMm),
    to,
    round: line(tallMm).circle,
    straight,
    outline: null,
    widthMm: Math.max(widest, line(fromMm).lengthMm),
    heightMm: to,
    ring: (level) => {
      const height = heightAt(level);
      const outline = line(height);
      return {
        lengthMm: outline.lengthMm,
        circleMm: outline.circle ? outline.leastMm : null,
        acrossMm: Infinity,
        at: (share) => {
          const [x, y] = outline.at(share);
          return { flat: [share * outline.lengthMm, level], at: [x, y, height] };
        },
      };
    },
    say: (level) => ({ radiusMm: null, compassMm: null, tapeMm: null, heightMm: heightAt(level), insetMm: to - level }),
    atRadius: () => null,
    atHeight: levelAt,
    atInset: (mm) => to - mm,
  };
}

/** A wall that narrows or widens straight from foot to rim. @param heightMm upright */
export function taperedWall(footMm: number, rimMm: number, heightMm: number, bandMm = 0): MarkingSurface {
  const slant = Math.hypot(heightMm, (rimMm - footMm) / 2) / heightMm;
  const line = (height: number) => circle((footMm + ((rimMm - footMm) * height) / heightMm) / 2);
  return wall({ straight: true, tallMm: Math.max(0, heightMm - bandMm), line, levelAt: (height) => height * slant, heightAt: (level) => level / slant });
}

/** The sides of a box. */
export function boxWall(lengthMm: number, widthMm: number, heightMm: number): MarkingSurface {
  const line = () => rectangle(lengthMm / 2, widthMm / 2);
  return wall({ straight: true, tallMm: heightMm, line, levelAt: (height) => height, heightAt: (level) => level });
}

/** The bowl of a stemmed glass: half an ellipsoid on its stem, a band under the rim kept apart. */
export function bowlWall(rimMm: number, heightMm: number, bandMm = 0): MarkingSurface {
  const radius = rimMm / 2;
  const points = 128;
  const lookup = table(points, (k) => {
    const turn = (Math.PI / 2) * (k / points);
    return [heightMm * (1 - Math.cos(turn)), ellipseArc(radius, heightMm, turn)];
  });
  const line = (height: number) => circle(radius * Math.sqrt(Math.max(0, 1 - (1 - height / heightMm) ** 2)));
  return wall({ straight: false, tallMm: Math.max(0, heightMm - bandMm), line, levelAt: lookup.forward, heightAt: lookup.back });
}
