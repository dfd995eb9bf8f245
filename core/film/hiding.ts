import { differenceCiede2000 } from "culori/fn";
import { memory, published } from "../catalogue/provenance";
import { overGround } from "./kubelka-munk";
import { WEIGHTS } from "./observer";
import { labOf, spectrumOf, xyzOf } from "./spectrum";
import type { Spectrum } from "./spectrum";

/** The chart a contrast ratio is read on: luminance of its black and of its white [published: the convention of ISO 6504-3 and ASTM D2805; the values of trade handbook §4]. */
const CHART = { black: 0.05, white: 0.8 };
/** How uneven a brushed film is: the thin spot of n coats lies this many √n coats below their mean. */
export const UNEVEN = memory(0.5);
/** Below this ΔE00 a coat looks solid. */
export const LOOKS_SOLID = published("Paravina et al. 2015: perceptible from about 0.8, acceptable to about 1.8; 2 is the trade handbook's round figure");
export const SOLID_BELOW = 2;
/** Contrast ratio taken as full hiding by the convention of ISO 6504-1 and ASTM D2805; a ratio at or above it would need an endless film. */
const FULL = 0.995;
/** From here a painter sees the ground grin through; between the two the user has to look for it [from memory: trade handbook §8]. */
export const GRINS_FROM = memory(4);
/** More coats than this nobody lays: the colour does not hide. */
export const MOST_COATS = 12;

const deltaE = differenceCiede2000();

function luminanceOver(infinite: Spectrum, ground: number, scatter: number): number {
  return WEIGHTS[1]!.reduce((sum, weight, band) => sum + weight * overGround(infinite[band]!, ground, scatter), 0);
}

/**
 * What was worked out over a spectrum, by what was asked: the search asks the same of the same few grounds thousands of times.
 * Spectra are never changed, so the object itself stands for its values.
 */
class OverSpectrum<T> {
  private readonly known = new WeakMap<Spectrum, Map<string, T>>();

  get(beneath: Spectrum, asked: string, work: () => T): T {
    let here = this.known.get(beneath);
    if (!here) this.known.set(beneath, (here = new Map()));
    let found = here.get(asked);
    if (found === undefined) here.set(asked, (found = work()));
    return found;
  }
}

const scatters = new Map<string, number>();
const HALVINGS = 48;

/**
 * Scattering power S·X of one dry coat, the same in every band, found from the colour's own masstone and contrast ratio.
 *
 * @param colour sRGB hex of the colour itself
 * @param contrastRatio luminance over black ÷ over white of one coat of this very colour, 0–1
 * @returns 0 for a ratio that a clear film has
 */
export function scatterOfCoat(colour: string, contrastRatio: number): number {
  const key = `${colour}|${contrastRatio}`;
  const before = scatters.get(key);
  if (before !== undefined) return before;
  const infinite = spectrumOf(colour);
  const wanted = Math.min(FULL, contrastRatio);
  let [low, high] = [0, 400];
  for (let round = 0; round < HALVINGS; round += 1) {
    const middle = (low + high) / 2;
    if (contrastRatioAt(infinite, middle) < wanted) low = middle;
    else high = middle;
  }
  scatters.set(key, high);
  return high;
}

/**
 * Contrast ratio of a film of some scattering power; the inverse of `scatterOfCoat`.
 *
 * @param infinite reflectance of the paint laid thick, 31 bands
 * @param scatter S·X, 0 or more
 * @returns luminance over black ÷ over white of the chart, 0–1
 */
export function contrastRatioAt(infinite: Spectrum, scatter: number): number {
  return luminanceOver(infinite, CHART.black, scatter) / luminanceOver(infinite, CHART.white, scatter);
}

/** A film of colour as far as hiding goes. */
export interface HidingFilm {
  readonly colour: string;
  readonly contrastRatio: number;
  readonly coats: number;
  /** Thinner, per cent of the paint's volume: what hides is spread that much thinner. 0 where absent. */
  readonly thinnedPercent?: number;
}

/** Coats that count at the thin spot of a brushed film: the mean of n less half of √n of one. @example coatsAtThinSpot(1) // 0.5 */
export function coatsAtThinSpot(coats: number): number {
  return Math.max(0, coats - UNEVEN.value * Math.sqrt(coats));
}

/**
 * Reflectance of a film over what is beneath, at its mean thickness or at its thin spot.
 *
 * @param beneath reflectance in 31 bands, 0–1
 * @param at the mean film, or the thin spot a brush leaves
 * @returns reflectance in 31 bands, 0–1
 */
export function seen({ colour, contrastRatio, coats, thinnedPercent = 0 }: HidingFilm, beneath: Spectrum, at: "mean" | "thin-spot" = "mean"): Spectrum {
  return seenFilms.get(beneath, `${colour}|${contrastRatio}|${coats}|${thinnedPercent}|${at}`, () => {
    const power = ((scatterOfCoat(colour, contrastRatio) * 100) / (100 + thinnedPercent)) * (at === "mean" ? coats : coatsAtThinSpot(coats));
    return spectrumOf(colour).map((infinite, band) => overGround(infinite, beneath[band]!, power));
  });
}

const seenFilms = new OverSpectrum<Spectrum>();

/**
 * How far a film is from its full colour, ΔE00 at its thin spot or at its mean. Source of ΔE00: Sharma, Wu & Dalal 2005.
 *
 * @param beneath reflectance in 31 bands, 0–1
 * @param at the mean film, or the thin spot a brush leaves
 * @returns CIEDE2000 to the paint laid infinitely thick
 */
export function grinning(film: HidingFilm, beneath: Spectrum, at: "mean" | "thin-spot" = "thin-spot"): number {
  return grins.get(beneath, `${film.colour}|${film.contrastRatio}|${film.coats}|${film.thinnedPercent ?? 0}|${at}`, () =>
    deltaE(labOf(xyzOf(seen(film, beneath, at))), labOf(xyzOf(spectrumOf(film.colour)))),
  );
}

const grins = new OverSpectrum<number>();

const needed = new OverSpectrum<number>();

/**
 * Coats until a colour looks solid over what is beneath: ΔE00 to its full colour under 2 at the thin spot.
 *
 * @param at "mean" for an ideal, even film
 * @param thinnedPercent thinner as per cent of the paint's volume, 0 or more
 * @returns whole coats from 1 to 12; 12 where it never does
 */
export function coatsToHide(colour: string, contrastRatio: number, beneath: Spectrum, at: "mean" | "thin-spot" = "thin-spot", thinnedPercent = 0): number {
  return needed.get(beneath, `${colour}|${contrastRatio}|${thinnedPercent}|${at}`, () => {
    let coats = 1;
    while (coats < MOST_COATS && grinning({ colour, contrastRatio, coats, thinnedPercent }, beneath, at) >= SOLID_BELOW) coats += 1;
    return coats;
  });
}

/**
 * Share of the area that coats of flakes or mica cover, by chance overlap: 1 − (1 − c)ⁿ. Approximate; it says nothing of colour.
 *
 * @param cover share one coat covers, 0–1
 * @example areaCovered(0.45, 2).toFixed(2) // "0.70"
 */
export function areaCovered(cover: number, coats: number): number {
  return 1 - (1 - cover) ** coats;
}
