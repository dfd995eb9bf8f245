import { dotMicrons } from "../catalogue/data/techniques";
import type { Material } from "../catalogue/material";
import type { ProductClass } from "../catalogue/product-class";
import type { Method } from "../catalogue/vocabulary";
import { fieldAmount, lossOf, marksAmount } from "./amount";
import { dryMicrons, spreadingRate } from "./build";

/** Tools a film is asked about. */
export const FILM_TOOLS = ["brush", "sponge", "spray"] as const satisfies readonly Method[];

export interface FilmAsk {
  readonly product: ProductClass;
  readonly areaMm2: number;
  readonly coats: number;
  /** Per cent of the paint's volume. */
  readonly thinningPercent?: number;
  readonly tool?: (typeof FILM_TOOLS)[number];
  /** Dots in place of a field: as many of this size. */
  readonly marks?: { readonly count: number; readonly diameterMm: number };
  /** The bare surface it lies on; where absent it lies on paint and nothing is drunk. */
  readonly material?: Material;
}

export interface FilmAnswer {
  /** Of one coat as the tool lays it; of a dot its height. */
  readonly wetMicrons: number;
  readonly dryMicrons: number;
  /** Out of the jar, mL. */
  readonly jarMl: number;
  readonly thinnerMl: number;
  /** Thinned, mL. */
  readonly volumeMl: number;
  /** Practical, of the paint as it comes out of the jar, m² a litre and coat. */
  readonly spreadingRateM2PerL: number;
}

const MICRONS_PER_MM = 1000;

/**
 * A film of paint and what it takes: µm wet and dry, mL out of the jar and of thinner.
 *
 * @returns null for what leaves no film
 */
export function film({ product, areaMm2, coats, thinningPercent = 0, tool, marks, material }: FilmAsk): FilmAnswer | null {
  const solids = product.film.volumeSolidsPercent;
  const wet = marks ? dotMicrons(marks.diameterMm) : product.film.wetMicrons;
  if (wet === null || solids === null) return null;
  const method = tool ?? product.methods[0] ?? "brush";
  const amount = marks
    ? marksAmount({ ...marks, heightMm: wet / MICRONS_PER_MM }, 1, coats, thinningPercent)
    : fieldAmount({
        areaMm2,
        coverage: 1,
        wetMicrons: wet,
        coats,
        thinnerPercent: thinningPercent,
        uptakeMlPerM2: material?.uptakeMlPerM2.value ?? 0,
        pieces: 1,
        sittings: coats,
        method,
      });
  const dry = dryMicrons(wet, solids, thinningPercent);
  return {
    wetMicrons: wet,
    dryMicrons: dry,
    ...amount,
    thinnerMl: amount.volumeMl - amount.jarMl,
    spreadingRateM2PerL: spreadingRate(solids, dry, lossOf(method)),
  };
}
