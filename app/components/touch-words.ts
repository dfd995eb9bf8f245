import type { Touch } from "#core/logbook/learning/stages";

/** How a film is touched, as a question the fingers answer. */
export const TOUCH_WORDS: Readonly<Record<Touch, string>> = {
  finger: "Press a clean fingertip on it where it shows least: does it stick, or leave a print?",
  nail: "Press a thumbnail on it where it shows least: does it dent, or slide?",
  cloth: "Rub it with a damp white cloth: does colour come off?",
};
