const THINNER_WORDS: Readonly<Record<string, string>> = {
  water: "water",
  "gloss-fluid-medium": "fluid medium",
  "pouring-medium": "pouring medium",
  "fluid-white": "fluid white",
  "white-spirit": "white spirit",
};

/** What stands where there is no thinner. */
export const NO_THINNER = "nothing";

/** What a thinner is called; "nothing" where there is none. @example thinnerName("gloss-fluid-medium") // "fluid medium" */
export function thinnerName(thinner: string): string {
  return THINNER_WORDS[thinner] ?? NO_THINNER;
}
