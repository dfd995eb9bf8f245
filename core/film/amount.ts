import { memory } from "../catalogue/provenance";
import type { Method } from "../catalogue/vocabulary";
import { capVolume } from "../piece/areas";
import { MM2_PER_M2 } from "../units/volume";

/** Paint that stays in brush and palette for each colour and sitting, mL [from memory: 0.3–1]. */
export const DEAD_VOLUME_ML = memory(0.5);
/** What a tool keeps for each colour and sitting, mL, where it is not that of a brush: a sponge drinks, a pen and a can keep what is left in them [from memory]. */
const TOOL_KEEPS = memory<Partial<Record<Method, number>>>({ sponge: 1, pen: 0, spray: 0 });
/** Share of the paint that misses the piece or dries on the tool: what drifts past in a spray, what a sponge holds; a brush's loss is what it keeps [from memory]. */
const TOOL_LOSS = memory<Partial<Record<Method, number>>>({ spray: 0.35, sponge: 0.1 });

/** What stays in tool and palette for each colour and sitting, mL. */
export function keptBy(method: Method): number {
  return TOOL_KEEPS.value[method] ?? DEAD_VOLUME_ML.value;
}

/** Share of the paint a tool loses, 0–1. */
export function lossOf(method: Method): number {
  return TOOL_LOSS.value[method] ?? 0;
}

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
  /** Sittings in which the tool is loaded afresh. */
  readonly sittings: number;
  /** What it is laid with; a brush where absent. */
  readonly method?: Method;
}

function withJar(volumeMl: number, thinnerPercent: number): Amount {
  return { volumeMl, jarMl: (volumeMl * 100) / (100 + thinnerPercent) };
}

/**
 * Paint for a field: area × wet film × coats and the first coat's uptake, with what the tool loses of them, and what stays in it for each sitting.
 * µm over m² is mL.
 *
 * @param field area in mm², film in µm, shares 0–1
 * @returns mL out of the jar, and mL as it is laid
 * @example fieldAmount({ areaMm2: 1e6, coverage: 1, wetMicrons: 75, coats: 2, thinnerPercent: 0, uptakeMlPerM2: 0, pieces: 1, sittings: 0 }).jarMl // 150
 */
export function fieldAmount(field: FieldAmount): Amount {
  const areaM2 = (field.areaMm2 / MM2_PER_M2) * field.coverage * field.pieces;
  const { method = "brush" } = field;
  const laid = (areaM2 * (field.wetMicrons * field.coats + field.uptakeMlPerM2)) / (1 - lossOf(method));
  return withJar(laid + keptBy(method) * field.sittings, field.thinnerPercent);
}

/**
 * Paint for dots: count × the volume of a cap, never a share of the area.
 *
 * @param marks diameter and height of one wet dot, mm
 * @param freshPuddle false where it is set from a puddle that another row was set from: what stays in the palette is lost once
 */
export function marksAmount(
  marks: { readonly count: number; readonly diameterMm: number; readonly heightMm: number },
  pieces: number,
  coats: number,
  thinnerPercent: number,
  freshPuddle = true,
): Amount {
  const ml = (capVolume(marks.diameterMm, marks.heightMm) * marks.count * pieces * coats) / 1000;
  return withJar(ml + (freshPuddle ? DEAD_VOLUME_ML.value : 0), thinnerPercent);
}

/** Density of aluminium, g/cm³ [published: CRC Handbook of Chemistry and Physics]. */
const ALUMINIUM_G_CM3 = 2.7;
/** Household foil, µm [from memory: 10 to 18; the box says]. */
const FOIL_MICRONS = memory(15);

/** What a square metre of household foil weighs, g; typical, her own sheet weighed wins. */
export const FOIL_G_PER_M2 = memory(ALUMINIUM_G_CM3 * FOIL_MICRONS.value);

/**
 * Area of a body by the foil that wraps it: pressed on, trimmed, taken off and weighed.
 *
 * @param massG foil that covered it once, g
 * @param gPerM2 of the foil
 * @returns mm²
 * @example areaByFoil(0.81, 40.5) // 20000
 */
export function areaByFoil(massG: number, gPerM2 = FOIL_G_PER_M2.value): number {
  return (massG / gPerM2) * MM2_PER_M2;
}

/**
 * Area of a body by the tape that covers it: strips laid edge to edge.
 *
 * @param lengthMm of all strips together, mm
 * @param widthMm of the tape, mm
 * @returns mm²
 */
export function areaByTape(lengthMm: number, widthMm: number): number {
  return lengthMm * widthMm;
}
