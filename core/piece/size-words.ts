import { sayLength, typedLength } from "../units/length";
import type { LengthUnit } from "../units/length";
import { FORM_MEASURES } from "./form";
import type { Form } from "./form";

const MM2_PER_CM2 = 100;

/**
 * A form's measures in one breath.
 *
 * @param unit the user's
 * @example sizeWords({ kind: "pebble", lengthMm: 62, widthMm: 48, thicknessMm: 24 }, "mm") // "62 × 48 × 24 mm"
 */
export function sizeWords(form: Form, unit: LengthUnit): string {
  if (form.kind === "custom") return `${Math.round(form.areaMm2 / MM2_PER_CM2)} cm²`;
  const measures = FORM_MEASURES[form.kind].map((name) => (form as unknown as Readonly<Record<string, number>>)[name]!);
  return unit === "mm" ? `${measures.map((mm) => typedLength(mm, "mm")).join(" × ")} mm` : measures.map((mm) => sayLength(mm, "in")).join(" × ");
}
