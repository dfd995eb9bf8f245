/** Measured shapes. Lengths in mm, outside measures. */
export type Form =
  | { readonly kind: "pebble"; readonly lengthMm: number; readonly widthMm: number; readonly thicknessMm: number }
  | { readonly kind: "dome"; readonly diameterMm: number; readonly heightMm: number }
  | { readonly kind: "disc"; readonly diameterMm: number; readonly thicknessMm: number }
  | { readonly kind: "frustum"; readonly topDiameterMm: number; readonly bottomDiameterMm: number; readonly heightMm: number }
  | { readonly kind: "cylinder"; readonly diameterMm: number; readonly heightMm: number }
  | { readonly kind: "box"; readonly lengthMm: number; readonly widthMm: number; readonly heightMm: number }
  | { readonly kind: "plate"; readonly diameterMm: number; readonly rimWidthMm: number }
  | { readonly kind: "goblet"; readonly bowlDiameterMm: number; readonly bowlHeightMm: number; readonly stemHeightMm: number; readonly footDiameterMm: number }
  | { readonly kind: "custom"; readonly areaMm2: number };

export type FormKind = Form["kind"];

/** The measures of each form in the order a tape goes round it. The one list behind validation and the size fields. */
export const FORM_MEASURES = {
  pebble: ["lengthMm", "widthMm", "thicknessMm"],
  dome: ["diameterMm", "heightMm"],
  disc: ["diameterMm", "thicknessMm"],
  frustum: ["topDiameterMm", "bottomDiameterMm", "heightMm"],
  cylinder: ["diameterMm", "heightMm"],
  box: ["lengthMm", "widthMm", "heightMm"],
  plate: ["diameterMm", "rimWidthMm"],
  goblet: ["bowlDiameterMm", "bowlHeightMm", "stemHeightMm", "footDiameterMm"],
  custom: ["areaMm2"],
} as const satisfies { [K in FormKind]: readonly (keyof Extract<Form, { kind: K }>)[] };

/** Longest measure taken, mm: beyond it the number was typed in the wrong unit. */
export const MAX_LENGTH_MM = 3000;
/** Largest area taken, mm² (3 m by 3 m). */
export const MAX_AREA_MM2 = 9_000_000;

/** Shortest measure taken, mm, and smallest area, mm². */
export const LEAST_LENGTH_MM = 0.5;
export const LEAST_AREA_MM2 = 1;

/** What is wrong with a measure. */
export type MeasureFault = "too-small" | "too-large" | "rim-too-wide";

/**
 * What is wrong with one measure of a form.
 *
 * @param name as in `FORM_MEASURES`
 * @param value mm, or mm² for an area
 * @returns null when it can be kept
 */
export function measureFault(form: Form, name: string, value: number): MeasureFault | null {
  const [least, most] = name === "areaMm2" ? [LEAST_AREA_MM2, MAX_AREA_MM2] : [LEAST_LENGTH_MM, MAX_LENGTH_MM];
  if (value < least) return "too-small";
  if (value > most) return "too-large";
  const measured = { ...form, [name]: value } as Form;
  return measured.kind === "plate" && measured.rimWidthMm * 2 >= measured.diameterMm ? "rim-too-wide" : null;
}

/** Common sizes to start from while nothing has been measured, mm [from memory]. */
export const USUAL_FORMS: { readonly [K in FormKind]: Extract<Form, { kind: K }> } = {
  pebble: { kind: "pebble", lengthMm: 70, widthMm: 55, thicknessMm: 25 },
  dome: { kind: "dome", diameterMm: 65, heightMm: 25 },
  disc: { kind: "disc", diameterMm: 200, thicknessMm: 12 },
  frustum: { kind: "frustum", topDiameterMm: 160, bottomDiameterMm: 110, heightMm: 140 },
  cylinder: { kind: "cylinder", diameterMm: 82, heightMm: 95 },
  box: { kind: "box", lengthMm: 400, widthMm: 280, heightMm: 45 },
  plate: { kind: "plate", diameterMm: 210, rimWidthMm: 30 },
  goblet: { kind: "goblet", bowlDiameterMm: 80, bowlHeightMm: 100, stemHeightMm: 80, footDiameterMm: 70 },
  custom: { kind: "custom", areaMm2: 20_000 },
};
