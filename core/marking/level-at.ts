import type { RowPlace } from "../piece/pattern";
import type { MarkingSurface } from "./surface";

/** A level, on the surface it is measured on: an inset is even all round, also on an oval. */
export interface FoundLevel {
  readonly surface: MarkingSurface;
  readonly level: number;
}

/** The level a place is said at; null where the surface has no such measure. */
export function levelAt(surface: MarkingSurface, at: RowPlace): FoundLevel | null {
  if ("insetMm" in at) {
    const even = surface.fromEdge ?? surface;
    return { surface: even, level: even.atInset(at.insetMm) };
  }
  const level = "radiusMm" in at ? surface.atRadius(at.radiusMm) : surface.atHeight(at.heightMm);
  return level === null ? null : { surface, level };
}
