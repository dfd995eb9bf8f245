import { formatHex, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch, modeRgb, parse, useMode } from "culori/fn";
import { bad, good } from "../problem";
import type { Parsed } from "../problem";
import { MOST_OF_SWATCH_NAME, MOST_SWATCHES } from "./swatch";
import type { Swatch } from "./swatch";

for (const mode of [modeRgb, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch]) useMode(mode as never);

/** A name as a custom property may have it. @example propertyName("Harbour navy!") // "harbour-navy" */
export function propertyName(name: string): string {
  const slug = name
    .normalize("NFKD")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "");
  return slug === "" ? "colour" : slug;
}

/** Writes a palette as custom properties of a style sheet; names that would be one get a number. */
export function writeCss(swatches: readonly Swatch[]): string {
  const taken = new Set<string>();
  const lines = swatches.map(({ name, colour }) => {
    const base = propertyName(name);
    let free = base;
    for (let n = 2; taken.has(free); n += 1) free = `${base}-${n}`;
    taken.add(free);
    return `  --${free}: ${colour};`;
  });
  return [":root {", ...lines, "}", ""].join("\n");
}

/** What a colour in a style sheet is as sRGB hex; null for what is none. */
function colourOf(text: string): string | null {
  const found = parse(text.trim());
  return found ? (formatHex(found) ?? null) : null;
}

/**
 * Reads the colours among the custom properties of a style sheet; other properties are passed over. A property is called by its name without dashes.
 *
 * @returns the swatches, or that there are none
 */
export function readCss(text: string): Parsed<readonly Swatch[]> {
  const swatches: Swatch[] = [];
  for (const [, property, value] of text.replace(/\/\*[\s\S]*?\*\//g, "").matchAll(/--([\p{L}\p{N}_-]+)\s*:\s*([^;{}]+)/gu)) {
    const colour = colourOf(value!);
    if (colour === null) continue;
    if (swatches.length === MOST_SWATCHES) return bad("bad-value", "", `more than ${MOST_SWATCHES} colours`);
    const name = property!.replace(/[-_]+/g, " ").trim().slice(0, MOST_OF_SWATCH_NAME);
    swatches.push({ name: name === "" ? colour : name, colour });
  }
  return swatches.length > 0 ? good(swatches) : bad("missing", "", "there is no custom property in it that is a colour, such as --navy: #1f2f4d");
}
