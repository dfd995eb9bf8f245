/** A closed line seen from above, mm from its centre: x to the right, y away from the viewer, clockwise from twelve o'clock. */
export interface Outline {
  readonly lengthMm: number;
  /** Shortest way from the centre to the line, mm. */
  readonly leastMm: number;
  readonly mostMm: number;
  /** A circle: every part of it is like every other. */
  readonly circle: boolean;
  /** @param share 0–1 of the way round, by length */
  readonly at: (share: number) => readonly [number, number];
}

const TURN = 2 * Math.PI;
/** Points a line that is no circle is measured at. */
const SAMPLES = 720;

/** The share itself, brought into 0–1. */
export function wrapped(share: number): number {
  const rest = share % 1;
  return rest < 0 ? rest + 1 : rest;
}

/** A circle. @param radiusMm 0 or more */
export function circle(radiusMm: number): Outline {
  return {
    lengthMm: TURN * radiusMm,
    leastMm: radiusMm,
    mostMm: radiusMm,
    circle: true,
    at: (share) => [radiusMm * Math.sin(TURN * share), radiusMm * Math.cos(TURN * share)],
  };
}

/** A closed line given by its point at every turn, 0–2π, measured once. */
function measured(point: (turn: number) => readonly [number, number], leastMm: number, mostMm: number, exactMm?: number): Outline {
  const along = new Float64Array(SAMPLES + 1);
  let [x, y] = point(0);
  for (let k = 1; k <= SAMPLES; k++) {
    const [nextX, nextY] = point((TURN * k) / SAMPLES);
    along[k] = along[k - 1]! + Math.hypot(nextX - x, nextY - y);
    [x, y] = [nextX, nextY];
  }
  const total = along[SAMPLES]!;
  // The turn at each even part of the length: a point is found without a search.
  const turns = new Float64Array(SAMPLES + 2);
  for (let k = 0, from = 0; k <= SAMPLES; k++) {
    const wanted = (total * k) / SAMPLES;
    while (from < SAMPLES - 1 && along[from + 1]! < wanted) from += 1;
    const span = along[from + 1]! - along[from]!;
    turns[k] = (TURN * (from + (span > 0 ? (wanted - along[from]!) / span : 0))) / SAMPLES;
  }
  turns[SAMPLES + 1] = turns[SAMPLES]!;
  const at = (share: number) => {
    const place = wrapped(share) * SAMPLES;
    const k = Math.floor(place);
    return point(turns[k]! + (turns[k + 1]! - turns[k]!) * (place - k));
  };
  return { lengthMm: exactMm ?? total, leastMm, mostMm, circle: false, at };
}

/** An oval: an ellipse. @param halfWidthMm,halfHeightMm half axes, 0 or more */
export function oval(halfWidthMm: number, halfHeightMm: number, lengthMm: number): Outline {
  if (halfWidthMm === halfHeightMm) return circle(halfWidthMm);
  return measured(
    (turn) => [halfWidthMm * Math.sin(turn), halfHeightMm * Math.cos(turn)],
    Math.min(halfWidthMm, halfHeightMm),
    Math.max(halfWidthMm, halfHeightMm),
    lengthMm,
  );
}

/** A rectangle with square corners. @param halfWidthMm,halfHeightMm half sides, 0 or more */
export function rectangle(halfWidthMm: number, halfHeightMm: number): Outline {
  const [w, h] = [halfWidthMm, halfHeightMm];
  const lengthMm = 4 * (w + h);
  const at = (share: number): readonly [number, number] => {
    let way = wrapped(share) * lengthMm;
    if (way <= w) return [way, h];
    way -= w;
    if (way <= 2 * h) return [w, h - way];
    way -= 2 * h;
    if (way <= 2 * w) return [w - way, -h];
    way -= 2 * w;
    if (way <= 2 * h) return [-w, -h + way];
    return [-w + (way - 2 * h), h];
  };
  return { lengthMm, leastMm: Math.min(w, h), mostMm: Math.hypot(w, h), circle: false, at };
}

/** Slope at a value between two neighbours that never overshoots: none at a high or low, else the harmonic mean of both sides [published: Fritsch & Carlson 1980]. */
function calmSlope(before: number, here: number, after: number): number {
  const [left, right] = [here - before, after - here];
  return left * right <= 0 ? 0 : (2 * left * right) / (left + right);
}

/** A closed cubic through a value at each of n equal angles: it passes through all, never breaks and never leaves their range. */
export function smoothRadius(radiiMm: readonly number[], turn: number): number {
  const n = radiiMm.length;
  const place = (wrapped(turn / TURN) * n) % n;
  const k = Math.floor(place);
  const t = place - k;
  const value = (index: number) => radiiMm[(index + n) % n]!;
  const [from, to] = [value(k), value(k + 1)];
  const slopeFrom = calmSlope(value(k - 1), from, to);
  const slopeTo = calmSlope(from, to, value(k + 2));
  const [t2, t3] = [t * t, t * t * t];
  return from * (2 * t3 - 3 * t2 + 1) + slopeFrom * (t3 - 2 * t2 + t) + to * (3 * t2 - 2 * t3) + slopeTo * (t3 - t2);
}

/**
 * The edge of an uneven stone.
 *
 * @param radiiMm from its centre to its edge at equal angles, clockwise from twelve, mm
 * @param insetMm taken off all round
 */
export function uneven(radiiMm: readonly number[], insetMm = 0): Outline {
  const radius = (turn: number) => Math.max(0, smoothRadius(radiiMm, turn) - insetMm);
  let [least, most] = [Infinity, 0];
  for (let k = 0; k < 180; k++) {
    const r = radius((TURN * k) / 180);
    [least, most] = [Math.min(least, r), Math.max(most, r)];
  }
  return measured((turn) => [radius(turn) * Math.sin(turn), radius(turn) * Math.cos(turn)], least, most);
}

/**
 * From the middle to a line at equal angles, as they are measured on a stone: clockwise from twelve.
 *
 * @param count how often
 * @returns mm, to a half
 */
export function radiiOf(line: Pick<Outline, "at">, count: number): readonly number[] {
  return Array.from({ length: count }, (_unused, k) => Math.round(reachOf(line, (TURN * k) / count) * 2) / 2);
}

/** From the middle to a line in a direction, mm. @param turn clockwise from twelve, radians */
export function reachOf(line: Pick<Outline, "at">, turn: number): number {
  let [best, nearest] = [0, Infinity];
  for (let k = 0; k < SAMPLES; k++) {
    const [x, y] = line.at(k / SAMPLES);
    const angle = Math.atan2(x, y) - turn;
    const off = Math.abs(Math.atan2(Math.sin(angle), Math.cos(angle)));
    if (off < nearest) [best, nearest] = [Math.hypot(x, y), off];
  }
  return best;
}

/** The same line, larger or smaller about its centre. @param share 0 or more */
export function scaled(line: Outline, share: number): Outline {
  return {
    lengthMm: line.lengthMm * share,
    leastMm: line.leastMm * share,
    mostMm: line.mostMm * share,
    circle: line.circle,
    at: (way) => {
      const [x, y] = line.at(way);
      return [x * share, y * share];
    },
  };
}
