import { differenceCiede2000, parseHex, useMode, modeLab65, modeRgb } from "culori/fn";

useMode(modeRgb);
const toLab = useMode(modeLab65);
const deltaE = differenceCiede2000();

/**
 * CIE L* of an sRGB hex, 0 (black) to 100 (white).
 *
 * @param hex sRGB, #rrggbb
 * @throws never: a malformed hex reads as mid grey, because edges check colours and core trusts them
 * @returns CIE L*, 0–100
 */
export function lightness(hex: string): number {
  return toLab(parseHex(hex))?.l ?? 50;
}

/**
 * Colour difference ΔE00 between two sRGB hexes.
 * Source: Sharma, Wu & Dalal, The CIEDE2000 color-difference formula, 2005; computed by culori.
 *
 * @param a sRGB, #rrggbb
 * @param b sRGB, #rrggbb
 * @returns CIEDE2000, from 0
 * @example colourDifference("#ffffff", "#ffffff") // 0
 */
export function colourDifference(a: string, b: string): number {
  return deltaE(toLab(parseHex(a)) ?? { mode: "lab65", l: 50, a: 0, b: 0 }, toLab(parseHex(b)) ?? { mode: "lab65", l: 50, a: 0, b: 0 });
}

/** What a white ground looks like; the screen's white stands for the whitest paint. */
export const PALE_GROUND = "#f8f5ec";

/** Below this L* a colour is dark: it rubs off visibly and swallows pale colours [from memory]. */
export const DARK_BELOW = 40;
/** Above this L* a colour is light: tannin and marker show through it [from memory]. */
export const LIGHT_ABOVE = 65;
