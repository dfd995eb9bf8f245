/** The ink that reads on a colour. @param hex sRGB "#rrggbb" */
export function inkOn(hex: string): string {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as [number, number, number];
  return r * 0.299 + g * 0.587 + b * 0.114 > 140 ? "#1d2225" : "#ffffff";
}

/** A number from 0 to 1 that is always the same for the same words: hand-drawn edges that do not dance. */
export function steady(text: string, index: number): number {
  let value = 0x811c9dc5 ^ index;
  for (let at = 0; at < text.length; at += 1) value = Math.imul(value ^ text.charCodeAt(at), 0x01000193) >>> 0;
  value = Math.imul(value ^ (value >>> 15), 0x2c1b3c6d) >>> 0;
  return ((value ^ (value >>> 12)) >>> 0) / 0xffffffff;
}
