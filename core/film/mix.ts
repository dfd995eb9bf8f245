import { formatHex, modeLab65, modeRgb, useMode } from "culori/fn";
import { scatterOfCoat } from "./hiding";
import { labOf, spectrumOf, WHITE_PAINT, xyzOf } from "./spectrum";

useMode(modeLab65);
useMode(modeRgb);

/** One paint of a mixture. */
export interface MixPart {
  /** sRGB "#rrggbb" of the paint laid thick. */
  readonly colour: string;
  /** How much of it, by volume; above 0, in any unit the others are in. */
  readonly parts: number;
  /** Luminance of one coat over black ÷ over white, 0–1. */
  readonly contrastRatio: number;
}

/** Scattering of a paint that has next to none: a clear one still counts by what it takes up of the light. */
const LEAST_SCATTER = 1e-4;

/**
 * The colour paints come to when they are mixed: two-constant Kubelka–Munk, absorption and scattering each added by volume, band by band.
 * [published: Duncan, The colour of pigment mixtures, Proc. Phys. Soc. 52, 1940; after Kubelka & Munk, 1931]
 *
 * @param mixture at least one paint; how well each hides says how much it scatters
 * @returns sRGB "#rrggbb" of the mixture laid thick, brought inside sRGB
 * @example mixedColour([{ colour: "#1f3a4d", parts: 1, contrastRatio: 0.95 }]) // "#1f3a4d"
 */
export function mixedColour(mixture: readonly MixPart[]): string {
  const paints = mixture.map(({ colour, parts, contrastRatio }) => ({
    infinite: spectrumOf(colour),
    scatter: parts * Math.max(LEAST_SCATTER, scatterOfCoat(colour, contrastRatio)),
  }));
  const scatter = paints.reduce((sum, paint) => sum + paint.scatter, 0);
  const [{ infinite: bands }] = paints as [(typeof paints)[number]];
  const mixed = bands.map((_value, band) => {
    const absorbed = paints.reduce((sum, paint) => sum + (paint.scatter * (1 - paint.infinite[band]!) ** 2) / (2 * paint.infinite[band]!), 0);
    const ratio = absorbed / scatter;
    return 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio);
  });
  const [x, y, z] = xyzOf(mixed);
  // A white on the screen stands for a white paint, here as in `spectrumOf`.
  const white = WHITE_PAINT.value;
  return formatHex(labOf([x / white, y / white, z / white]));
}
