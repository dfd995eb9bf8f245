import { memory } from "../catalogue/provenance";
import { FACES } from "./data/faces";
import type { Face } from "./face";

/** From one baseline to the next, in ems [common for running text, from memory]. */
const LINE_EMS = memory(1.25).value;
/** A letter that is in no table is as wide as an n. */
const UNKNOWN = "n";
/** A pen writes letters whose capitals are this many of its strokes high, at least [from memory]. */
const STROKES_HIGH = memory(6).value;
const MOST_LINES = 24;

/** Lettering fitted into a space. Lengths mm. */
export interface FittedText {
  readonly lines: readonly string[];
  /** How high a capital is. */
  readonly capMm: number;
  /** From one baseline to the next. */
  readonly lineMm: number;
  /** The widest line. */
  readonly widthMm: number;
  readonly heightMm: number;
  /** Size of the type. */
  readonly emMm: number;
}

export function faceOf(id: string): Face {
  return FACES.find((face) => face.id === id) ?? FACES[0]!;
}

/**
 * How wide a text is, in ems.
 *
 * @example Math.round(widthEms("Tea", faceOf("source-sans")) * 100) // 154
 */
export function widthEms(text: string, face: Face): number {
  return [...text].reduce((sum, letter) => sum + (face.widths[letter] ?? face.widths[UNKNOWN]!), 0);
}

/** Words laid into lines no wider than a limit, in ems; a word that is wider has a line of its own. */
function wrappedAt(words: readonly string[], limit: number, face: Face): readonly string[] {
  const lines: string[] = [];
  for (const word of words) {
    const longer = lines.length > 0 ? `${lines.at(-1)!} ${word}` : word;
    if (lines.length > 0 && widthEms(longer, face) <= limit + 1e-9) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** Words over so many lines at most, so that the widest is as narrow as can be. */
function broken(words: readonly string[], lines: number, face: Face): readonly string[] {
  const wide = (text: string) => widthEms(text, face);
  let [low, high] = [Math.max(...words.map(wide)), wide(words.join(" "))];
  if (wrappedAt(words, low, face).length <= lines) return wrappedAt(words, low, face);
  for (let k = 0; k < 30; k++) {
    const middle = (low + high) / 2;
    if (wrappedAt(words, middle, face).length <= lines) high = middle;
    else low = middle;
  }
  return wrappedAt(words, high, face);
}

function setIn(lines: readonly string[], widthMm: number, heightMm: number, face: Face): FittedText {
  const widest = Math.max(...lines.map((line) => widthEms(line, face)));
  const tall = face.capHeight + LINE_EMS * (lines.length - 1);
  const em = Math.min(widthMm / widest, heightMm / tall);
  return { lines, emMm: em, capMm: em * face.capHeight, lineMm: em * LINE_EMS, widthMm: em * widest, heightMm: em * tall };
}

/**
 * The largest lettering of a text in a space: over how many lines, how high, how far apart.
 *
 * @param text words; a line break is kept
 * @param widthMm,heightMm of the space, above 0
 * @returns null where there is nothing to letter
 */
export function fitText(text: string, widthMm: number, heightMm: number, face: Face): FittedText | null {
  const paragraphs = text
    .split("\n")
    .map((line) => line.trim())
    .filter(Boolean);
  if (paragraphs.length === 0) return null;
  if (paragraphs.length > 1) return setIn(paragraphs.slice(0, MOST_LINES), widthMm, heightMm, face);
  const words = paragraphs[0]!.split(/\s+/);
  const most = Math.min(words.length, MOST_LINES);
  return Array.from({ length: most }, (_unused, k) => setIn(broken(words, k + 1, face), widthMm, heightMm, face)).reduce((best, one) =>
    one.emMm > best.emMm + 1e-9 ? one : best,
  );
}

/** What of a list finds room, the most important first. */
export interface TextBudget {
  readonly fits: readonly string[];
  readonly leftOut: readonly string[];
  readonly lines: readonly string[];
  readonly capMm: number;
  readonly lineMm: number;
}

/**
 * How much text a back holds with a pen: lines are taken in their order for as long as there is room at the least size the pen writes.
 *
 * @param items most important first
 * @param penMm width of its stroke, mm
 */
export function textBudget(items: readonly string[], widthMm: number, heightMm: number, penMm: number, face: Face): TextBudget {
  const capMm = penMm * STROKES_HIGH;
  const em = capMm / face.capHeight;
  const lineMm = em * LINE_EMS;
  const room = Math.floor((heightMm - capMm) / lineMm + 1e-9) + 1;
  const fits: string[] = [];
  const lines: string[] = [];
  for (const item of items) {
    const words = item.trim().split(/\s+/).filter(Boolean);
    if (words.length === 0) continue;
    const tooWide = words.some((word) => widthEms(word, face) * em > widthMm);
    const laid = tooWide ? null : wrappedAt(words, widthMm / em, face);
    if (!laid || lines.length + laid.length > room) return { fits, leftOut: items.slice(items.indexOf(item)), lines, capMm, lineMm };
    lines.push(...laid);
    fits.push(item);
  }
  return { fits, leftOut: [], lines, capMm, lineMm };
}

/** So much of a square place is lettered: the rest is its margin [from memory]. */
const SQUARE_SHARE = memory(0.9).value;

/** The largest upright space for text in a place: all of a square one, what lies inside the edge of a round or oval one. */
export function textSpace(widthMm: number, heightMm: number, square: boolean): { readonly widthMm: number; readonly heightMm: number } {
  const share = square ? SQUARE_SHARE : Math.SQRT1_2;
  return { widthMm: widthMm * share, heightMm: heightMm * share };
}
