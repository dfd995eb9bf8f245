import { memory } from "../../catalogue/provenance";
import type { CompletePiece } from "../../piece/piece";
import type { Zone } from "../../piece/zones";
import type { SurfaceName } from "../../catalogue/object-kind";

/** Faces that lie level while a poured film sets. */
const LEVEL: readonly SurfaceName[] = ["front", "lid", "food-side"];

/** A pebble no thicker than this share of its width has a top that a pour stays on, with a drip edge to wipe. */
const FLAT_PEBBLE = memory(0.6);

/**
 * Whether a poured film stays where it is put: a flat top, with its edge taped or wiped; the floor of a tray. A dome, a wall and an underside let it run.
 *
 * @param stack the place, and the piece it is a place of
 */
export function isLevel({ zone, piece }: { readonly zone: Zone; readonly piece: CompletePiece }): boolean {
  const { surface, exposure } = zone.template;
  if (exposure === "underside") return false;
  if (exposure === "carrying") return true;
  const { form } = piece;
  if (form.kind === "dome") return false;
  return LEVEL.includes(surface) && (form.kind !== "pebble" || form.thicknessMm <= FLAT_PEBBLE.value * form.widthMm);
}
