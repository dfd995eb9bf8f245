/** Square millimetres in a square metre. */
export const MM2_PER_M2 = 1_000_000;
/** Square millimetres in a square decimetre, the size of a palm. */
export const MM2_PER_DM2 = 10_000;

/** Volume of one level teaspoon, mL [common practice: kitchen measure]. */
const ML_PER_TEASPOON = 5;

/**
 * Says an amount of paint as a person would measure it out at the table.
 *
 * @param ml millilitres, 0 or more
 * @example sayVolume(7.2) // "1½ teaspoons"
 */
export function sayVolume(ml: number): string {
  if (ml <= 0) return "none";
  if (ml < 1.5) return "a few drops";
  const halves = Math.max(1, Math.ceil((ml / ML_PER_TEASPOON) * 2));
  if (halves > 12) return `${Math.ceil(ml / 10) * 10} ml`;
  if (halves === 1) return "½ teaspoon";
  const whole = Math.floor(halves / 2);
  return `${whole}${halves % 2 ? "½" : ""} ${halves <= 2 ? "teaspoon" : "teaspoons"}`;
}

/**
 * Says how much is in a jar, in millilitres as they can be seen in one.
 *
 * @param ml millilitres, 0 or more
 * @example sayMl(112.9) // "110 ml"
 */
export function sayMl(ml: number): string {
  if (ml < 0.05) return "nothing";
  if (ml < 1) return "a few drops";
  const grain = ml < 10 ? 1 : ml < 100 ? 5 : 10;
  return `${Math.round(ml / grain) * grain} ml`;
}

/**
 * Says an area in the unit a painter pictures.
 *
 * @param mm2 square millimetres
 * @example sayArea(48_000) // "480 cm²"
 */
export function sayArea(mm2: number): string {
  const cm2 = mm2 / 100;
  return cm2 < 10 ? `${cm2.toFixed(1)} cm²` : `${Math.round(cm2)} cm²`;
}
