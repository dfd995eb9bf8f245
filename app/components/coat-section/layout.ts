/** Measures of the section, in its own units. */
export const COLUMN = 250;
export const GAP = 20;
export const TOP = 12;
export const BODY = 56;
export const LABEL = 30;
export const ACT = 11;
