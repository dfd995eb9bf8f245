import { memory } from "../catalogue/provenance";
import { capVolume } from "../piece/areas";
import { MM2_PER_M2 } from "../units/volume";

/** Paint that stays in brush and palette for each colour and sitting, mL [from memory: 0.3–1]. */
export const DEAD_VOLUME_ML = memory(0.5);

export interface Amount {
  /** Thinned paint laid down, with what brush and palette keep, mL. */
  readonly volumeMl: number;
  /** Paint out of the jar for it, mL. */
  readonly jarMl: number;
}

export interface FieldAmount {
  readonly areaMm2: number;
  /** Share of the area covered, 0–1. */
  readonly coverage: number;
  readonly wetMicrons: number;
  readonly coats: number;
  readonly thinnerPercent: number;
  /** Extra the bare surface drinks with the first coat, mL/m². */
  readonly uptakeMlPerM2: number;
  readonly pieces: number;
  /** Sittings in which the brush is loaded afresh. */
  readonly sittings: number;
}

function withJar(volumeMl: number, thinnerPercent: number): Amount {
  return { volumeMl, jarMl: (volumeMl * 100) / (100 + thinnerPercent) };
}

/**
 * Paint for a field: area × wet film × coats, the first coat's uptake, and a fixed dead volume for each sitting.
 * µm over m² is mL.
 *
 * @param field area in mm², film in µm, shares 0–1
 * @returns mL out of the jar, and mL as it is laid
 * @example fieldAmount({ areaMm2: 1e6, coverage: 1, wetMicrons: 75, coats: 2, thinnerPercent: 0, uptakeMlPerM2: 0, pieces: 1, sittings: 0 }).jarMl // 150
 */
export function fieldAmount(field: FieldAmount): Amount {
  const areaM2 = (field.areaMm2 / MM2_PER_M2) * field.coverage * field.pieces;
  const laid = areaM2 * (field.wetMicrons * field.coats + field.uptakeMlPerM2);
  return withJar(laid + DEAD_VOLUME_ML.value * field.sittings, field.thinnerPercent);
}

/**
 * Paint for dots: count × the volume of a cap, never a share of the area.
 *
 * @param marks diameter and height of one wet dot, mm
 */
export function marksAmount(
  marks: { readonly count: number; readonly diameterMm: number; readonly heightMm: number },
  pieces: number,
  coats: number,
  thinnerPercent: number,
): Amount {
  const ml = (capVolume(marks.diameterMm, marks.heightMm) * marks.count * pieces * coats) / 1000;
  return withJar(ml + DEAD_VOLUME_ML.value, thinnerPercent);
}
