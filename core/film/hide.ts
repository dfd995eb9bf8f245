import { memory } from "../catalogue/provenance";
import { colourDifference, lightness, PALE_GROUND } from "./colour";
import { areaCovered, coatsToHide, grinning, GRINS_FROM, MOST_COATS, seen, SOLID_BELOW } from "./hiding";
import type { HidingFilm } from "./hiding";
import { screenColour, USUAL_WET_MICRONS } from "./mix";
import { spectrumOf } from "./spectrum";
import type { Spectrum } from "./spectrum";

/** A paint as it is laid. */
export interface LaidPaint {
  /** sRGB hex laid thick. */
  readonly colour: string;
  /** Luminance of one coat over black ÷ over white, 0–1. */
  readonly contrastRatio: number;
  /** Wet film the ratio is of, µm. */
  readonly ofMicrons?: number;
}

export interface HideAsk {
  readonly paint: LaidPaint;
  /** sRGB hex of what lies beneath. */
  readonly over: string;
  /** Wet film of each coat as it is laid, µm; that of the ratio where absent. */
  readonly wetMicrons?: number;
  /** Thinner, per cent of the paint's volume. */
  readonly thinningPercent?: number;
  /** 8 where absent. */
  readonly coatsUpTo?: number;
}

/** What is seen after so many coats, where they lie thinnest. */
export interface AfterCoats {
  readonly coats: number;
  /** sRGB hex. */
  readonly colour: string;
  /** CIEDE2000 from the colour laid thick. */
  readonly deltaE: number;
}

/** A pale or grey coat beneath that saves coats of the colour. */
export interface Underlay {
  /** sRGB hex. */
  readonly colour: string;
  readonly name: "white" | "grey";
  /** Coats of it. */
  readonly coats: number;
  /** Coats of the colour over it. */
  readonly over: number;
  /** Coats fewer in all. */
  readonly saves: number;
}

export interface HideAnswer {
  /** Coats until it looks solid; null where it does not in as many as were asked about. */
  readonly coats: number | null;
  readonly perCoat: readonly AfterCoats[];
  readonly underlay: Underlay | null;
}

const USUAL_COATS = 8;
/** What a painter has for an underlay: white, and a middle grey, each as an opaque pale paint lays it [from memory]. */
const WHITE = memory({ name: "white", colour: PALE_GROUND, contrastRatio: 0.9 } as const);
const GREY = memory({ name: "grey", colour: "#8f9190", contrastRatio: 0.95 } as const);

/** A dot of white is as thick as so many coats. */
const WHITE_DOT_COATS = 2;

/** A contrast ratio of one wet film as a share of the coats of another: hiding goes with the film. */
const filmShare = ({ paint, wetMicrons }: HideAsk) => (wetMicrons === undefined ? 1 : wetMicrons / (paint.ofMicrons ?? USUAL_WET_MICRONS));

/** So many coats of an ask as a film. Thinner or thicker coats are thinned more or less than nothing. */
function filmOf(ask: HideAsk, coats: number): HidingFilm {
  const thinned = 1 + (ask.thinningPercent ?? 0) / 100;
  return { colour: ask.paint.colour, contrastRatio: ask.paint.contrastRatio, coats, thinnedPercent: (thinned / filmShare(ask) - 1) * 100 };
}

const thinnedOf = (ask: HideAsk) => filmOf(ask, 1).thinnedPercent ?? 0;

/** Coats until it looks solid over a ground; null beyond `MOST_COATS`. */
function enoughOver(ask: HideAsk, ground: Spectrum): number | null {
  const { colour, contrastRatio } = ask.paint;
  const coats = coatsToHide(colour, contrastRatio, ground, "thin-spot", thinnedOf(ask));
  return grinning(filmOf(ask, coats), ground) < SOLID_BELOW ? coats : null;
}

/**
 * The underlay that saves most coats, its own counted in.
 *
 * @param coats without one; null where the colour never hides by itself
 */
function underlayFor(ask: HideAsk, coats: number | null): Underlay | null {
  const ground = spectrumOf(ask.over);
  const without = coats ?? MOST_COATS + 1;
  const found = [WHITE.value, GREY.value].flatMap(({ name, colour, contrastRatio }): readonly Underlay[] => {
    if (colourDifference(colour, ask.over) < GRINS_FROM.value) return [];
    const over = enoughOver(ask, seen({ colour, contrastRatio, coats: 1 }, ground));
    return over === null || over + 1 >= without ? [] : [{ name, colour, coats: 1, over, saves: without - over - 1 }];
  });
  return [...found].sort((a, b) => b.saves - a.saves)[0] ?? null;
}

/**
 * A colour coat by coat over what is really beneath it, judged where a brushed film is thinnest.
 *
 * @param ask colours in sRGB hex, films in µm
 * @returns coats until it looks solid (ΔE00 under 2), each coat's colour, and an underlay that saves coats
 */
export function hide(ask: HideAsk): HideAnswer {
  const ground = spectrumOf(ask.over);
  const most = ask.coatsUpTo ?? USUAL_COATS;
  const perCoat = Array.from({ length: most }, (_unused, index): AfterCoats => {
    const film = filmOf(ask, index + 1);
    return { coats: index + 1, colour: screenColour(seen(film, ground, "thin-spot")), deltaE: grinning(film, ground) };
  });
  const enough = perCoat.find(({ deltaE }) => looksSolid(deltaE))?.coats ?? null;
  return { coats: enough, perCoat, underlay: underlayFor(ask, enoughOver(ask, ground)) };
}

/** What flakes or mica cover after so many coats, as a share of the area, from and to; nothing is said of their colour. */
export interface CoveredAfter {
  readonly coats: number;
  readonly from: number;
  readonly to: number;
}

/** From this share on flakes read as a closed surface [from memory]. */
const CLOSED_FROM = memory(0.95);

/**
 * Effects coat by coat, by area; approximate.
 *
 * @param cover share of the area one coat covers, from and to, 0–1
 * @returns coats until the middle of the range reads as closed; null where it does not in as many as were asked about
 */
export function covering(
  [from, to]: readonly [number, number],
  coatsUpTo = USUAL_COATS,
): { readonly coats: number | null; readonly perCoat: readonly CoveredAfter[] } {
  const perCoat = Array.from({ length: coatsUpTo }, (_unused, at) => ({ coats: at + 1, from: areaCovered(from, at + 1), to: areaCovered(to, at + 1) }));
  return { coats: perCoat.find(({ coats }) => areaCovered((from + to) / 2, coats) >= CLOSED_FROM.value)?.coats ?? null, perCoat };
}

/** What the eye says of a difference from the full colour. */
export type Solidity = "same" | "solid" | "grins-slightly" | "grins";

/** Below this ΔE00 nobody tells the difference [published: Paravina et al. 2015, perceptible from about 0.8]. */
const CANNOT_TELL = 1;

/** A difference at the thin spot in the trade's terms. @example solidityOf(2.5) // "grins-slightly" */
export function solidityOf(deltaE: number): Solidity {
  if (deltaE < CANNOT_TELL) return "same";
  if (deltaE < SOLID_BELOW) return "solid";
  return deltaE < GRINS_FROM.value ? "grins-slightly" : "grins";
}

/** Whether a film looks solid. @param deltaE CIEDE2000 from its full colour */
export function looksSolid(deltaE: number): boolean {
  return deltaE < SOLID_BELOW;
}

/** What a top dot leaves round it, and how it reads on its ground. */
export interface DotOnGround {
  /** sRGB hex of the dot as it dries: one thick mark. */
  readonly colour: string;
  readonly deltaE: number;
  /** A dot of white beneath makes it hold. */
  readonly whiteFirst: boolean;
}

/**
 * One dot over its ground: a cap is many coats thick in its middle, so that it mostly hides where a coat does not.
 *
 * @param heightMicrons wet height of the cap, µm; it thins out to nothing at its edge, half of it counts
 */
export function dotOver(ask: Omit<HideAsk, "wetMicrons">, heightMicrons: number): DotOnGround {
  const ground = spectrumOf(ask.over);
  const thick = filmOf({ ...ask, wetMicrons: heightMicrons / 2 }, 1);
  const deltaE = grinning(thick, ground, "mean");
  const onWhite = grinning(thick, seen({ ...WHITE.value, coats: WHITE_DOT_COATS }, ground), "mean");
  return {
    colour: screenColour(seen(thick, ground)),
    deltaE,
    whiteFirst: deltaE >= SOLID_BELOW && onWhite < deltaE / 2 && lightness(ask.over) < lightness(ask.paint.colour),
  };
}
