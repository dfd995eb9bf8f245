import { filterDeficiencyDeuter, filterDeficiencyProt, filterDeficiencyTrit, formatHex } from "culori/fn";
import type { Sheen } from "../catalogue/vocabulary";
import { memory, practice } from "../catalogue/provenance";
import { colourDifference, DARK_BELOW, lightness } from "./colour";
import { spectrumOf } from "./spectrum";
import { screenColour } from "./mix";

/** ΔE00 a mark needs against its ground, and |ΔL*| for lettering [from memory: trade handbook §8]. */
export const MARK_CONTRAST = memory(10);
export const LETTER_CONTRAST = memory(20);

/** Two colours that lie side by side. */
export interface Contrast {
  readonly deltaE: number;
  /** Difference of lightness, L*, from 0. */
  readonly byLightness: number;
  /** A mark of the one reads on the other. */
  readonly marks: boolean;
  /** So does lettering. */
  readonly letters: boolean;
}

/** How one colour stands out from another. */
export function contrastOf(one: string, other: string): Contrast {
  const deltaE = colourDifference(one, other);
  const byLightness = Math.abs(lightness(one) - lightness(other));
  return { deltaE, byLightness, marks: deltaE >= MARK_CONTRAST.value, letters: byLightness >= LETTER_CONTRAST.value };
}

/** The common kinds of colour blindness. */
export const SIGHTS = ["red-blind", "green-blind", "blue-blind"] as const;
export type Sight = (typeof SIGHTS)[number];

const FILTERS: Readonly<Record<Sight, (severity?: number) => (colour: string) => unknown>> = {
  "red-blind": filterDeficiencyProt as never,
  "green-blind": filterDeficiencyDeuter as never,
  "blue-blind": filterDeficiencyTrit as never,
};

/** A colour as eyes of some sight see it. [published: Machado, Oliveira & Fernandes 2009, as culori has it] */
export function seenBy(sight: Sight, hex: string): string {
  return formatHex(FILTERS[sight](1)(hex) as never) ?? hex;
}

/** Two colours of a palette that are told apart by most eyes, and not by some. */
export interface Confused {
  readonly sight: Sight;
  readonly pair: readonly [string, string];
}

const pairsOf = <T>(list: readonly T[]): readonly (readonly [T, T])[] => list.flatMap((one, at) => list.slice(at + 1).map((other) => [one, other] as const));

/** Pairs of a palette that lose their contrast to colour-blind eyes. */
export function confusedIn(palette: readonly string[]): readonly Confused[] {
  return SIGHTS.flatMap((sight) =>
    pairsOf(palette)
      .filter(([one, other]) => contrastOf(one, other).marks && !contrastOf(seenBy(sight, one), seenBy(sight, other)).marks)
      .map((pair) => ({ sight, pair })),
  );
}

/** Light a matte skin scatters back over every colour, and what of it a gloss one saves [from memory: of the 4 % that any film's face throws back]. */
const SKIN = memory<Readonly<Record<Sheen, number>>>({ matte: 0.006, satin: -0.006, gloss: -0.012 });
/** A reflectance below this no film shows. */
const DARKEST = 0.004;

/**
 * What a clear film over a matte paint does to its colour: gloss deepens it, most of all the darks; matte veils them.
 *
 * @param hex sRGB of the paint, dry and bare
 * @returns sRGB hex
 */
export function underSealer(hex: string, sheen: Sheen): string {
  return screenColour(spectrumOf(hex).map((reflectance) => Math.max(DARKEST, reflectance + SKIN.value[sheen])));
}

/** How much a sealer changes a colour, ΔE00. */
export function sealerShift(hex: string, sheen: Sheen): number {
  return colourDifference(hex, underSealer(hex, sheen));
}

/** Rows of dots of one colour each, from the middle outward, and how well they stand apart. */
export interface Rows {
  readonly colours: readonly string[];
  /** The least ΔE00 between neighbours and against the ground. */
  readonly least: number;
}

/** The most rows that are laid out: each may be any colour of the palette. */
export const MOST_ROWS = 12;
/** Going back to a colour is worth this much contrast: a pattern that repeats reads as one [common practice]. */
const REPEATS = practice(4);

/** How good it is to lay a colour outside another on a ground. */
function worth(colour: string, before: string | null, ground: string): number {
  const own = colourDifference(colour, ground);
  const beside = before === null ? own : colourDifference(colour, before);
  // Two pale rows on a pale ground want a dark one between them.
  const paleTwice =
    before !== null && lightness(before) >= DARK_BELOW && lightness(colour) >= DARK_BELOW && lightness(ground) >= DARK_BELOW ? REPEATS.value : 0;
  return Math.min(own, 2 * MARK_CONTRAST.value) + Math.min(beside, 3 * MARK_CONTRAST.value) - paleTwice;
}

/**
 * A sequence of colours for rows that stand apart from one another and from the ground, with dark rows between pale ones, the colours coming back in turn.
 *
 * @param palette colours to take, each at least once where there are rows enough
 * @param rows from 1
 */
export function rowsOfColours(palette: readonly string[], rows: number, ground: string): Rows {
  const taken: string[] = [];
  const uses = new Map(palette.map((colour) => [colour, 0]));
  for (let row = 0; row < Math.min(rows, MOST_ROWS); row += 1) {
    const before = taken.at(-1) ?? null;
    const [next] = [...palette]
      .filter((colour) => colour !== before || palette.length === 1)
      .map((colour) => ({ colour, good: worth(colour, before, ground) - 2 * REPEATS.value * uses.get(colour)! }))
      .sort((a, b) => b.good - a.good);
    if (!next) break;
    taken.push(next.colour);
    uses.set(next.colour, uses.get(next.colour)! + 1);
  }
  const neighbours = taken.map((colour, at) => Math.min(colourDifference(colour, ground), at === 0 ? Infinity : colourDifference(colour, taken[at - 1]!)));
  return { colours: taken, least: Math.min(...neighbours) };
}

/**
 * The colour a border is best taken from: of those least used the one that stands out from the ground.
 *
 * @param used mL or marks of each colour
 * @returns null for no palette
 */
export function borderColour(used: ReadonlyMap<string, number>, ground: string): string | null {
  const reads = [...used].filter(([colour]) => contrastOf(colour, ground).marks);
  const [least] = (reads.length > 0 ? reads : [...used]).sort(
    ([one, a], [other, b]) => a - b || colourDifference(other, ground) - colourDifference(one, ground),
  );
  return least?.[0] ?? null;
}
