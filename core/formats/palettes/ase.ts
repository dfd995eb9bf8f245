import { formatHex, modeLab, modeRgb, useMode } from "culori/fn";
import { bad, good } from "../problem";
import type { Parsed } from "../problem";
import { bytesOf, hexOf, MOST_OF_SWATCH_NAME, MOST_SWATCHES } from "./swatch";
import type { Swatch } from "./swatch";

useMode(modeRgb);
const toRgb = useMode(modeRgb);
useMode(modeLab);

/** "ASEF", then version 1.0. */
const MAGIC = 0x41534546;
const HEAD_BYTES = 12;
const COLOUR = 0x0001;
const GROUP_START = 0xc001;
const GROUP_END = 0xc002;
/** Of a name: its length, and the zero that ends it. */
const NAME_EXTRA = 2;

/**
 * Writes a palette as a swatch exchange file: big-endian blocks, names in UTF-16, channels as 32-bit floats. The format has no published standard; it is
 * written as the programs that read it agree on [from memory].
 */
export function writeAse(swatches: readonly Swatch[]): Uint8Array {
  const sizes = swatches.map(({ name }) => 2 + (name.length + 1) * 2 + 4 + 12 + 2);
  const view = new DataView(new ArrayBuffer(HEAD_BYTES + sizes.reduce((sum, size) => sum + 6 + size, 0)));
  view.setUint32(0, MAGIC);
  view.setUint16(4, 1);
  view.setUint32(8, swatches.length);
  let at = HEAD_BYTES;
  for (const [index, { name, colour }] of swatches.entries()) {
    view.setUint16(at, COLOUR);
    view.setUint32(at + 2, sizes[index]!);
    view.setUint16(at + 6, name.length + 1);
    at += 8;
    for (let char = 0; char < name.length; char += 1, at += 2) view.setUint16(at, name.charCodeAt(char));
    at += NAME_EXTRA;
    for (const char of "RGB ") view.setUint8(at++, char.charCodeAt(0));
    for (const byte of bytesOf(colour)) {
      view.setFloat32(at, byte / 255);
      at += 4;
    }
    view.setUint16(at, 2);
    at += 2;
  }
  return new Uint8Array(view.buffer);
}

const CHANNELS: Readonly<Record<string, number>> = { "RGB ": 3, CMYK: 4, "LAB ": 3, Gray: 1 };
const byte = (share: number) => Math.round(Math.min(1, Math.max(0, share)) * 255);

/** A colour of a swatch as sRGB hex. Inks are taken as they are, without a press: a screen's guess. */
function hexFrom(model: string, [a = 0, b = 0, c = 0, d = 0]: readonly number[]): string {
  if (model === "RGB ") return hexOf([byte(a), byte(b), byte(c)]);
  if (model === "Gray") return hexOf([byte(a), byte(a), byte(a)]);
  if (model === "LAB ") return formatHex(toRgb({ mode: "lab", l: a * 100, a: b, b: c })) ?? "#808080";
  return hexOf([a, b, c].map((ink) => byte((1 - ink) * (1 - d))));
}

interface Block {
  readonly at: number;
  readonly end: number;
}

function swatchIn(view: DataView, { at, end }: Block): Swatch | null {
  const length = view.getUint16(at);
  const nameEnd = at + 2 + length * 2;
  if (length === 0 || nameEnd + 4 > end) return null;
  const chars = Array.from({ length: length - 1 }, (_unused, index) => String.fromCharCode(view.getUint16(at + 2 + index * 2))).join("");
  const model = String.fromCharCode(...[0, 1, 2, 3].map((index) => view.getUint8(nameEnd + index)));
  const count = CHANNELS[model];
  if (count === undefined || nameEnd + 4 + count * 4 > end) return null;
  const channels = Array.from({ length: count }, (_unused, index) => view.getFloat32(nameEnd + 4 + index * 4));
  if (channels.some((one) => !Number.isFinite(one))) return null;
  const colour = hexFrom(model, channels);
  const name = chars.slice(0, MOST_OF_SWATCH_NAME);
  return { name: name.trim() === "" ? colour : name, colour };
}

/**
 * Reads a swatch exchange file; groups are passed through.
 *
 * @returns the swatches, or what is wrong with it, by byte
 */
export function readAse(bytes: Uint8Array): Parsed<readonly Swatch[]> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.byteLength < HEAD_BYTES || view.getUint32(0) !== MAGIC) return bad("bad-value", "byte 0", "this is not a swatch exchange file");
  const blocks = view.getUint32(8);
  const swatches: Swatch[] = [];
  let at = HEAD_BYTES;
  for (let block = 0; block < blocks; block += 1) {
    const where = `byte ${at}`;
    if (at + 6 > bytes.byteLength) return bad("bad-value", where, "the file ends in the middle");
    const kind = view.getUint16(at);
    const end = at + 6 + view.getUint32(at + 2);
    if (end > bytes.byteLength) return bad("bad-value", where, "the file ends in the middle");
    if (kind === COLOUR) {
      const swatch = swatchIn(view, { at: at + 6, end });
      if (!swatch) return bad("bad-value", where, "a colour that cannot be read");
      if (swatches.length === MOST_SWATCHES) return bad("bad-value", where, `more than ${MOST_SWATCHES} colours`);
      swatches.push(swatch);
    } else if (kind !== GROUP_START && kind !== GROUP_END) return bad("bad-value", where, "a part that is neither a colour nor a group");
    at = end;
  }
  return swatches.length > 0 ? good(swatches) : bad("missing", "", "there is no colour in it");
}
