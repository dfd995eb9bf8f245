import type { Solidity } from "#core/film/hide";
import { nearnessOf } from "#core/film/tint";
import type { Nearness } from "#core/film/tint";
import type { JarHides } from "#core/shelf/mixes";
import type { SwatchFault } from "#core/film/calibrate";

/** What the eye says of a coat. */
export const SOLIDITY_WORDS: Readonly<Record<Solidity, string>> = {
  same: "cannot tell",
  solid: "looks solid",
  "grins-slightly": "grins slightly",
  grins: "grins through",
};

const NEARNESS_WORDS: Readonly<Record<Nearness, string>> = {
  same: "nobody tells them apart",
  alike: "it looks the same",
  close: "close: side by side you see a difference",
  near: "near, but another colour",
  far: "far off",
};

/** How near a mixture comes, as the eye says it. */
export const nearnessText = (deltaE: number): string => NEARNESS_WORDS[nearnessOf(deltaE)];

/** A sentence of words that begin small. */
export const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** So many coats. */
export const coatsText = (coats: number): string => (coats === 1 ? "1 coat" : `${coats} coats`);

/** Where it is known from how a paint hides. */
export const HIDES_BY: Readonly<Record<JarHides["by"], string>> = {
  swatch: "by your swatch",
  mixture: "reckoned from what is in it",
  label: "by its label",
  typical: "typical of its kind; a swatch tells better",
};

/** How a paint covers, by a swatch or a mixture: 100 of 100 is one coat through which nothing shows. */
export function hidesText({ ratio, from, atLeast }: { readonly ratio: number; readonly from: number; readonly atLeast: boolean }): string {
  return `One coat covers ${atLeast ? "at least " : "about "}${Math.round((atLeast ? from : ratio) * 100)} of 100.`;
}

/** Drops beyond which they are not counted but measured. */
const MOST_COUNTED = 60;
/** Measured in a small spoon or syringe, to this, mL. */
const FINE_ML = 10;

const mlText = (ml: number) => (ml < FINE_ML ? `${ml.toFixed(1)} ml` : `${Math.round(ml)} ml`);

/** So much of a paint, as it is measured out: counted where it is little, else by the millilitre. */
export function measureText(ml: number, drops: number): string {
  if (drops <= MOST_COUNTED) return drops === 1 ? "1 drop" : `${drops} drops`;
  return mlText(ml);
}

/** Both ways where both are of use: "2.5 ml (50 drops)". */
export function measureBoth(ml: number, drops: number): string {
  if (drops > MOST_COUNTED) return mlText(ml);
  return ml >= 0.5 ? `${measureText(ml, drops)} (${mlText(ml)})` : measureText(ml, drops);
}

export const FAULT_WORDS: Readonly<Record<SwatchFault, string>> = {
  "grounds-alike": "The dark and the pale ground are too much alike: take a black line on white card, or bare clay beside primed clay.",
  "not-a-coat": "No coat of one paint looks like this: see that each spot is where it belongs, and that no lamp shines on one half.",
  "too-unsure": "These colours are too unsure to tell: take the photograph in daylight, and each spot well inside its patch.",
};

/** Thinner in a paint, by the user's own drops. */
export function thinnedText(percent: number, dropsPerMl: number): string {
  if (percent === 0) return "nothing";
  const drops = Math.max(1, Math.round((percent / 100) * dropsPerMl));
  return `${drops === 1 ? "1 drop" : `${drops} drops`} to a ml`;
}

/** Cents nobody counts. */
const TWENTIETH = 20;

/** Money as it is written: the currency is the user's own. */
export function costText(cost: number): string {
  if (cost < 0.025) return "next to nothing";
  return `about ${cost < 10 ? (Math.round(cost * TWENTIETH) / TWENTIETH).toFixed(2) : Math.round(cost)}`;
}
