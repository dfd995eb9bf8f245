/** Measures of the section, in pixels: it is drawn at its own size, so that its words stay as large as the page's. */
export const BAND = 96;
/** From a band to the words beside it. */
export const LEAD = 14;
export const WORDS = BAND + LEAD;
/** Between two places side by side. */
export const GAP = 16;
export const TOP = 10;
export const BODY = 44;
/** A wash or a sanding is a dot on the body: its radius, one dot to the next, and how many stand abreast. */
export const ACT = 9.5;
export const ACT_PITCH = 22;
export const ACTS_ABREAST = 4;
export const HEAD_SIZE = 14;
export const TAIL_SIZE = 13;
export const LINE = 17;
/** A place is no narrower, or its words would be read in shreds; and no wider, or they would stand far from its bands. */
const LEAST_PLACE = 214;
const MOST_PLACE = 330;

/**
 * How many places stand side by side, and how wide each is. Rows are filled evenly: four places that do not fit are two and two.
 *
 * @param places 1 or more
 * @param width of what they stand in, px
 */
export function rowsOf(places: number, width: number): { readonly perRow: number; readonly each: number } {
  const fit = Math.max(1, Math.floor((width + GAP) / (LEAST_PLACE + GAP)));
  const perRow = Math.max(1, Math.ceil(places / Math.ceil(places / fit)));
  return { perRow, each: Math.min(MOST_PLACE, Math.floor((width - (perRow - 1) * GAP) / perRow)) };
}
