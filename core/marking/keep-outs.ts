import type { ObjectId, Part } from "../catalogue/vocabulary";
import { memory } from "../catalogue/provenance";
import type { KeepOut } from "../piece/pattern";
import type { Spots } from "./clearance";
import { clearanceOf } from "./lay-row";
import { levelAt } from "./level-at";
import type { MarkingFinding, PlacedMark, PlacedSpot } from "./solved";
import type { MarkingSurface } from "./surface";

/** What spots that are kept free are laid under, in place of a row. */
export const KEPT_FREE = "";

/** The spots of a place that are kept free, where they lie; what has no such measure there, or lies off it, is left out. */
export function keptFree(surface: MarkingSurface, keepOuts: readonly KeepOut[]): readonly PlacedSpot[] {
  return keepOuts.flatMap(({ count, at, diameterMm }) => {
    const found = levelAt(surface, at);
    if (!found || found.level < found.surface.from - 1e-6 || found.level > found.surface.to + 1e-6) return [];
    const ring = found.surface.ring(found.level);
    return Array.from({ length: count }, (_unused, k): PlacedSpot => ({ ...ring.at(k / count), diameterMm }));
  });
}

/** Of a row's marks at most this share is left out for places that are kept free. */
export const MOST_LEFT_OUT = memory(0.2).value;

const HAIR = 1e-9;

/** The marks that lie on no place that is kept free. */
export function openMarks(marks: readonly PlacedMark[], kept: Spots | null): readonly PlacedMark[] {
  return kept ? marks.filter((mark) => !clearanceOf([mark], kept, -HAIR)) : marks;
}

/** That a row goes on round a place that is kept free, without the marks that would lie on it. */
export function leftOutNote(row: string, leftOut: number): readonly MarkingFinding[] {
  if (leftOut === 0) return [];
  const are = leftOut === 1 ? "1 mark is" : `${leftOut} marks are`;
  return [{ code: "left-out", refused: false, row, message: `${are} left out where a place is kept free` }];
}

/** Room for the nut and washer of a clock's works: a share of its face, and the least there is, mm across. */
const WORKS = memory({ share: 0.12, leastMm: 16 }).value;
/** Numerals of a clock: how far out their middles stand, and how large they are, as shares of half the face. */
const NUMERALS = memory({ out: 0.8, across: 0.22 }).value;
/** A hanging hole: how far in, and how far round it the cord rubs, mm. */
const HANGER = memory({ insetMm: 12, acrossMm: 16 }).value;

/** Across the middle of a face that stays flat for the works, mm. */
export function worksMm({ widthMm, heightMm }: Pick<MarkingSurface, "widthMm" | "heightMm">): number {
  return Math.max(WORKS.leastMm, Math.round(Math.min(widthMm, heightMm) * WORKS.share));
}

/** A place to keep free that an object usually has. */
export interface UsualKeepOut {
  readonly id: "works" | "numerals" | "hanger";
  readonly keepOut: KeepOut;
}

/**
 * What usually is kept free on such a thing, to begin with.
 *
 * @returns none on walls
 */
export function usualKeepOuts(surface: MarkingSurface, object: ObjectId, parts: readonly Part[]): readonly UsualKeepOut[] {
  if (surface.shape === "wall") return [];
  const half = Math.min(surface.widthMm, surface.heightMm) / 2;
  const works: UsualKeepOut = { id: "works", keepOut: { count: 1, at: { radiusMm: 0 }, diameterMm: worksMm(surface) } };
  const numerals: UsualKeepOut = {
    id: "numerals",
    keepOut: { count: 12, at: { radiusMm: Math.round(half * NUMERALS.out) }, diameterMm: Math.round(half * NUMERALS.across) },
  };
  const hanger: UsualKeepOut = { id: "hanger", keepOut: { count: 1, at: { insetMm: HANGER.insetMm }, diameterMm: HANGER.acrossMm } };
  return [...(object === "clock" ? [works] : []), ...(parts.includes("numerals") ? [numerals] : []), ...(object === "sign" ? [hanger] : [])];
}
