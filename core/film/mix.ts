import { formatHex, modeLab65, modeRgb, useMode } from "culori/fn";
import { memory } from "../catalogue/provenance";
import { lightness } from "./colour";
import { contrastRatioAt, scatterOfCoat } from "./hiding";
import { absorptionOverScatter, infiniteReflectance } from "./kubelka-munk";
import { labOf, spectrumOf, WHITE_PAINT, xyzOf } from "./spectrum";
import type { Spectrum } from "./spectrum";

useMode(modeLab65);
useMode(modeRgb);

/** A paint as far as mixing goes. */
export interface MixPaint {
  /** sRGB "#rrggbb" of the paint laid thick. */
  readonly colour: string;
  /** Luminance of one coat over black ÷ over white, 0–1. */
  readonly contrastRatio: number;
  /** Wet film of that coat, µm; where it is absent all paints of a mixture lie equally thick. */
  readonly wetMicrons?: number;
}

/** One paint of a mixture. */
export interface MixPart extends MixPaint {
  /** How much of it, by volume; 0 or more, in any unit the others are in. */
  readonly parts: number;
}

/** Scattering of a paint that has next to none: a clear one still counts by what it takes up of the light. */
const LEAST_SCATTER = 1e-4;
/** Wet film where none is said, µm: of an ordinary brushed coat [from memory: trade handbook §4]. */
export const USUAL_WET_MICRONS = 75;

/** L* at which a paint is as dark, and as pale, as its hiding knows [from memory]. */
const DARK_AT = 20;
const PALE_AT = 70;
/** A dark paint takes up what light comes through: one coat of it hides. */
const DARK_HIDES = memory(0.998);
/** One coat of an ordinary pale paint: the class's semi-opaque default (trade handbook §4). */
const PALE_HIDES = memory(0.8);

/**
 * How one coat of a paint hides where neither a label nor a swatch says it: a dark one at once, a pale one as its class does.
 *
 * @param colour sRGB hex
 * @param ofClass contrast ratio of its class, 0–1
 */
export function usualContrastRatio(colour: string, ofClass = PALE_HIDES.value): number {
  const share = Math.min(1, Math.max(0, (lightness(colour) - DARK_AT) / (PALE_AT - DARK_AT)));
  const dark = Math.max(ofClass, DARK_HIDES.value);
  return dark + share * (ofClass - dark);
}

/** Scattering of a volume of paint, in units of a coat's S·X for an ordinary coat's thickness. */
export function scatterByVolume({ colour, contrastRatio, wetMicrons = USUAL_WET_MICRONS }: MixPaint): number {
  return Math.max(LEAST_SCATTER, (scatterOfCoat(colour, contrastRatio) * USUAL_WET_MICRONS) / wetMicrons);
}

/** A mixture laid thick: its reflectance in 31 bands, and the scattering of a volume of it. */
export interface Mixture {
  readonly infinite: Spectrum;
  readonly scatter: number;
}

/**
 * What paints come to when they are mixed: two-constant Kubelka–Munk, absorption and scattering each added by volume, band by band.
 * [published: Duncan, The colour of pigment mixtures, Proc. Phys. Soc. 52, 1940; after Kubelka & Munk, 1931]
 *
 * @param mixture at least one paint with a part above 0; how well each hides says how much it scatters
 */
export function mixtureOf(mixture: readonly MixPart[]): Mixture {
  const volume = mixture.reduce((sum, { parts }) => sum + parts, 0);
  const paints = mixture.map((part) => ({ infinite: spectrumOf(part.colour), scatter: part.parts * scatterByVolume(part) }));
  const scatter = paints.reduce((sum, paint) => sum + paint.scatter, 0);
  const [{ infinite: bands }] = paints as [(typeof paints)[number]];
  const infinite = bands.map((_value, band) =>
    infiniteReflectance(paints.reduce((sum, paint) => sum + paint.scatter * absorptionOverScatter(paint.infinite[band]!), 0) / scatter),
  );
  return { infinite, scatter: scatter / volume };
}

/** The colour of a reflectance as a screen shows it: a white on the screen stands for a white paint, here as in `spectrumOf`. */
export function screenColour(reflectance: Spectrum): string {
  const [x, y, z] = xyzOf(reflectance);
  const white = WHITE_PAINT.value;
  return formatHex(labOf([x / white, y / white, z / white]));
}

/**
 * The colour paints come to when they are mixed; see `mixtureOf`.
 *
 * @param mixture at least one paint
 * @returns sRGB "#rrggbb" of the mixture laid thick, brought inside sRGB
 * @example mixedColour([{ colour: "#1f3a4d", parts: 1, contrastRatio: 0.95 }]) // "#1f3a4d"
 */
export function mixedColour(mixture: readonly MixPart[]): string {
  return screenColour(mixtureOf(mixture).infinite);
}

/**
 * How one coat of a mixture hides.
 *
 * @param wetMicrons wet film of the coat, µm
 * @returns contrast ratio, 0–1
 */
export function mixedContrastRatio(mixture: readonly MixPart[], wetMicrons = USUAL_WET_MICRONS): number {
  const { infinite, scatter } = mixtureOf(mixture);
  return contrastRatioAt(infinite, (scatter * wetMicrons) / USUAL_WET_MICRONS);
}
