/** Light in red, green and blue, linear, each from 0. */
export type Light = readonly [number, number, number];

const linear = (channel: number) => (channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4);
const encoded = (light: number) => (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);
const FULL = 255;

/** Linear light of an sRGB hex, each channel 0–1 [published: IEC 61966-2-1]. @example lightOf("#ffffff") // [1, 1, 1] */
export function lightOf(hex: string): Light {
  const [r, g, b] = [1, 3, 5].map((at) => linear(parseInt(hex.slice(at, at + 2), 16) / FULL)) as [number, number, number];
  return [r, g, b];
}

/** Linear light of a pixel. @param pixel red, green and blue as a screen has them, 0–255 */
export function lightOfPixel([r, g, b]: readonly [number, number, number]): Light {
  return [linear(r / FULL), linear(g / FULL), linear(b / FULL)];
}

/** sRGB hex of linear light; what lies outside a screen's range is brought inside it. */
export function hexOfLight(light: Light): string {
  const channel = (value: number) => Math.round(encoded(Math.min(1, Math.max(0, value))) * FULL);
  return `#${light.map((value) => channel(value).toString(16).padStart(2, "0")).join("")}`;
}
