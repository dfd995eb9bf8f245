import { bad, good } from "../problem";
import type { Parsed } from "../problem";
import { bytesOf, hexOf, MOST_OF_SWATCH_NAME, MOST_SWATCHES } from "./swatch";
import type { Swatch } from "./swatch";

const HEAD = "GIMP Palette";
const LINE = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/;

const oneLine = (text: string) => text.replace(/[\s\p{Cc}]+/gu, " ").trim();

/**
 * Writes a palette as the open text format of painting programs: a head, then a line a colour.
 * Source: GIMP developer documentation, "GPL palette format".
 *
 * @param title of the palette
 */
export function writeGpl(title: string, swatches: readonly Swatch[]): string {
  const lines = swatches.map(
    ({ name, colour }) =>
      `${bytesOf(colour)
        .map((byte) => String(byte).padStart(3))
        .join(" ")}\t${oneLine(name)}`,
  );
  return [HEAD, `Name: ${oneLine(title)}`, "Columns: 8", "#", ...lines, ""].join("\n");
}

/**
 * Reads such a palette. A colour without a name is called by its hex.
 *
 * @returns the swatches, or what is wrong with it, by line
 */
export function readGpl(text: string): Parsed<readonly Swatch[]> {
  const lines = text.replace(/^\uFEFF/, "").split(/\r\n|\r|\n/);
  if (oneLine(lines[0] ?? "") !== HEAD) return bad("bad-value", "line 1", `a palette of this kind begins with "${HEAD}"`);
  const swatches: Swatch[] = [];
  for (const [index, line] of lines.entries()) {
    if (index === 0 || line.trim() === "" || line.startsWith("#") || /^(Name|Columns|Channels):/i.test(line)) continue;
    const at = `line ${index + 1}`;
    const match = LINE.exec(line);
    if (!match) return bad("bad-value", at, "a colour is three numbers and a name");
    const bytes = match.slice(1, 4).map(Number);
    if (bytes.some((byte) => byte > 255)) return bad("bad-value", at, "red, green and blue go from 0 to 255");
    if (swatches.length === MOST_SWATCHES) return bad("bad-value", at, `more than ${MOST_SWATCHES} colours`);
    const colour = hexOf(bytes);
    const name = oneLine(match[4] ?? "").slice(0, MOST_OF_SWATCH_NAME);
    swatches.push({ name: name === "" ? colour : name, colour });
  }
  return swatches.length > 0 ? good(swatches) : bad("missing", "", "there is no colour in it");
}
