import type { Jar } from "../catalogue/jar";
import { memory } from "../catalogue/provenance";
import type { ProductClass } from "../catalogue/product-class";
import { colourDifference } from "../film/colour";
import { MM2_PER_DM2, MM2_PER_M2 } from "../units/volume";
import type { Wanting } from "./promises";

/** Up to this ΔE00 a colour may stand in for another, to be tried on a scrap. */
const NEAR_ENOUGH = memory(12);

/**
 * How many coats of a palm's breadth a jar still holds.
 *
 * @param leftMl mL
 * @returns coats of 1 dm²; null where a coat of it has no thickness of its own
 */
export function palmCoats(leftMl: number, { film }: ProductClass): number | null {
  return film.wetMicrons === null ? null : leftMl / (film.wetMicrons * (MM2_PER_DM2 / MM2_PER_M2));
}

/** A colour a piece wants that a jar could stand in for. */
export interface StandIn {
  readonly piece: string;
  readonly name: string;
  /** sRGB hex the piece wants. */
  readonly colour: string;
  readonly ml: number;
  /** CIEDE2000 between the two. */
  readonly apart: number;
}

/** Colours that pieces want of the same kind of paint, that no jar has, and that a jar comes near to; the nearest first. */
export function standInsFor({ classId, colour }: Pick<Jar, "classId" | "colour">, wanting: readonly Wanting[]): readonly StandIn[] {
  if (colour === undefined) return [];
  return wanting
    .flatMap(({ id, name, needs }) =>
      needs.flatMap((need): readonly StandIn[] => {
        if (need.jar !== undefined || need.product !== classId || need.colour === undefined) return [];
        return [{ piece: id, name, colour: need.colour, ml: need.ml, apart: colourDifference(need.colour, colour) }];
      }),
    )
    .filter(({ apart }) => apart <= NEAR_ENOUGH.value)
    .sort((a, b) => a.apart - b.apart);
}
