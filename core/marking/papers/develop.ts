import { arcPath, line, num } from "./sheet";
import type { Ink, Shape } from "./sheet";

/** A straight tapered wall laid flat. Points are told by their share of the way round and their way up the wall. */
export interface Developed {
  /** Turn the whole wall takes on paper, radians; 0 of an even wall, which is a strip. */
  readonly angle: number;
  /** From the point the wall would run together in, mm: at the foot and at the rim; null of an even wall. */
  readonly footRadiusMm: number | null;
  readonly rimRadiusMm: number | null;
  readonly slantMm: number;
  readonly at: (share: number, level: number) => readonly [number, number];
  /** A line all round at a level, from one share to another. */
  readonly round: (level: number, from: number, to: number, ink: Ink, group: string) => Shape;
  readonly box: readonly [number, number, number, number];
}

/** Walls that taper less than this are strips, mm. */
const EVEN_MM = 1e-4;

/**
 * Lays the wall of a pot flat: a strip, or a part of a ring: radii s·r/(r₂ − r₁), angle 2π(r₂ − r₁)/s, s the slant [published: the development
 * of a cone, Euclidean geometry].
 *
 * @param footMm,rimMm diameters at foot and rim, mm
 * @param slantMm along the wall, mm
 */
export function developWall(footMm: number, rimMm: number, slantMm: number): Developed {
  const [r1, r2] = [footMm / 2, rimMm / 2];
  if (Math.abs(r2 - r1) < EVEN_MM) {
    const width = Math.PI * rimMm;
    const at = (share: number, level: number): readonly [number, number] => [(share - 0.5) * width, -level];
    return {
      angle: 0,
      footRadiusMm: null,
      rimRadiusMm: null,
      slantMm,
      at,
      round: (level, from, to, ink, group) => line(...at(from, level), ...at(to, level), ink, group),
      box: [-width / 2, -slantMm, width / 2, 0],
    };
  }
  const widens = r2 > r1;
  const per = slantMm / Math.abs(r2 - r1);
  const [foot, rim] = [r1 * per, r2 * per];
  const angle = (2 * Math.PI) / per;
  const radius = (level: number) => foot + (widens ? level : -level);
  // A wall that widens upward hangs its point below; one that narrows, above.
  const at = (share: number, level: number): readonly [number, number] => {
    const turn = (share - 0.5) * angle;
    const way = radius(level);
    return [way * Math.sin(turn), widens ? -way * Math.cos(turn) : way * Math.cos(turn)];
  };
  const round = (level: number, from: number, to: number, ink: Ink, group: string): Shape => {
    const turns = [(from - 0.5) * angle, (to - 0.5) * angle] as const;
    const d = widens ? arcPath(0, 0, radius(level), ...turns) : arcPath(0, 0, radius(level), Math.PI - turns[0], Math.PI - turns[1]);
    return { kind: "path", d, ink, group };
  };
  const looks = Array.from({ length: 65 }, (_unused, k) => k / 64).flatMap((share) => [at(share, 0), at(share, slantMm)]);
  const xs = looks.map(([x]) => x);
  const ys = looks.map(([, y]) => y);
  return { angle, footRadiusMm: foot, rimRadiusMm: rim, slantMm, at, round, box: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)] };
}

/** The four sides of a wall laid flat, to cut along. */
export function wallEdge(wall: Developed): readonly Shape[] {
  const side = (share: number): Shape => {
    const [[x0, y0], [x1, y1]] = [wall.at(share, 0), wall.at(share, wall.slantMm)];
    return { kind: "path", d: `M${num(x0)} ${num(y0)}L${num(x1)} ${num(y1)}`, ink: "cut", group: "edge" };
  };
  return [wall.round(0, 0, 1, "cut", "edge"), wall.round(wall.slantMm, 0, 1, "cut", "edge"), side(0), side(1)];
}
