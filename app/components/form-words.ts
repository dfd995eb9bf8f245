import type { FormKind } from "#core/piece/form";

/** Shapes as they are called. */
export const FORM_NAMES: Record<FormKind, string> = {
  pebble: "Pebble",
  dome: "Domed",
  disc: "Flat and round",
  frustum: "Tapered",
  cylinder: "Straight-sided",
  box: "Box-shaped",
  plate: "Plate",
  goblet: "Bowl on a stem",
  custom: "Measured by foil or tape",
};

/** Measures as they are called. */
export const MEASURE_NAMES: Record<string, string> = {
  lengthMm: "Length",
  widthMm: "Width",
  thicknessMm: "Thickness",
  heightMm: "Height",
  diameterMm: "Across",
  topDiameterMm: "Across the top",
  bottomDiameterMm: "Across the bottom",
  rimWidthMm: "Width of the rim",
  bowlDiameterMm: "Across the bowl",
  bowlHeightMm: "Height of the bowl",
  stemHeightMm: "Height of the stem",
  footDiameterMm: "Across the foot",
  areaMm2: "Area in cm²",
};
