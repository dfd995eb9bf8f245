/** A colour with a name, as a palette file has it. */
export interface Swatch {
  readonly name: string;
  /** sRGB "#rrggbb", lower case. */
  readonly colour: string;
}

/** Swatches no palette needs more of. */
export const MOST_SWATCHES = 2000;
export const MOST_OF_SWATCH_NAME = 120;

/** A byte of each channel as sRGB hex. @example hexOf([31, 58, 77]) // "#1f3a4d" */
export function hexOf(bytes: readonly number[]): string {
  return `#${bytes.map((byte) => byte.toString(16).padStart(2, "0")).join("")}`;
}

/** The channels of an sRGB hex, 0–255. @example bytesOf("#1f3a4d") // [31, 58, 77] */
export function bytesOf(hex: string): readonly [number, number, number] {
  return [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as unknown as readonly [number, number, number];
}
