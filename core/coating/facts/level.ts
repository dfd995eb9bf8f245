import type { CompletePiece } from "../../piece/piece";
import type { Zone } from "../../piece/zones";
import type { SurfaceName } from "../../catalogue/object-kind";

/** Faces that lie level while a poured film sets. */
const LEVEL: readonly SurfaceName[] = ["front", "lid", "food-side"];

/**
 * Whether a poured film stays where it is put: a flat top, with its edge taped or wiped; the floor of a tray. A dome, a wall and an underside let it run.
 *
 * @param stack the place, and the piece it is a place of
 */
export function isLevel({ zone, piece }: { readonly zone: Zone; readonly piece: CompletePiece }): boolean {
  const { surface, exposure } = zone.template;
  if (exposure === "underside") return false;
  if (exposure === "carrying") return true;
  return LEVEL.includes(surface) && piece.form.kind !== "pebble" && piece.form.kind !== "dome";
}
