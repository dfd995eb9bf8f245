import type { Rings } from "./lay-row";
import { UNSEEN_MM } from "./ring-count";
import type { SolvedRow, WideSide } from "./solved";

/** Looked at every half hour of a clock. */
const LOOKS = 24;
const HOURS = 12;

/** The hour of a clock a point of a top lies at. */
export function hourOf(x: number, y: number): number {
  const hour = Math.round(((Math.atan2(x, y) / (2 * Math.PI)) * HOURS + HOURS) % HOURS);
  return hour === 0 ? HOURS : hour;
}

/**
 * On a top that is no circle rows lie closest on the short side, and the space between them grows evenly to the wide side: where that is, how
 * much it leaves, and how much larger a dot may be there.
 *
 * @returns null on circles and walls, for the first row, and where nobody would see it
 */
export function wideSideOf(rings: Rings, level: number, before: SolvedRow | null, [low]: readonly [number, number]): WideSide | null {
  const { surface } = rings;
  if (surface.round || surface.shape === "wall" || before === null || before.level === null || before.places < 2) return null;
  const [inner, outer] = before.level < level ? [before.level, level] : [level, before.level];
  const [a, b] = [rings.at(inner), rings.at(outer)];
  let least = Infinity;
  let most = { space: 0, x: 0, y: 1 };
  for (let k = 0; k < LOOKS; k++) {
    const [x0, y0] = a.at(k / LOOKS).flat;
    const [x1, y1] = b.at(k / LOOKS).flat;
    const space = Math.hypot(x1 - x0, y1 - y0);
    least = Math.min(least, space);
    if (space > most.space) most = { space, x: x1, y: y1 };
  }
  const largerMm = most.space - least;
  if (largerMm < UNSEEN_MM.value) return null;
  const below = before.marks[0]?.spots[0]?.diameterMm ?? 0;
  return { towards: hourOf(most.x, most.y), gapMm: Math.max(0, most.space + low - below / 2), largerMm };
}
