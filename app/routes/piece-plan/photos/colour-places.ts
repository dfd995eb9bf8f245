import type { Change } from "#core/coating/model/change";
import type { Menu } from "#core/catalogue/menu";
import type { Assumption, Piece } from "#core/piece/piece";
import { nameIn } from "~/components/use-menu";
import { zoneName } from "~/components/words";
import { baseOf, coloursOf, marksName, MOST_COLOURS, sayLayered, set } from "../facts/fact-props";

/** A colour of a piece that may become another. */
export interface ColourPlace {
  readonly name: string;
  /** As it is now, sRGB hex; null where there is none yet. */
  readonly now: string | null;
  /** What makes it that colour. */
  readonly changes: (hex: string) => readonly Change[];
}

/**
 * Where on a piece a colour can be used: all over, in its marks or layers, or as one colour more.
 *
 * @param assumed what was taken for what nobody said
 */
export function colourPlaces(piece: Piece, assumed: readonly Assumption[], menu: Menu): readonly ColourPlace[] {
  const base: ColourPlace = { name: "Base", now: baseOf(piece, assumed), changes: (hex) => [set("decoration.baseColour", hex)] };
  const layers = piece.decoration?.layers ?? [];
  if (layers.length > 0)
    return [
      base,
      ...layers.map((layer, index): ColourPlace => ({
        name: `${nameIn(menu.techniques, layer.technique)}${layer.zone === undefined ? "" : `, ${zoneName(layer.zone).toLowerCase()}`}`,
        now: layer.colour ?? null,
        changes: (hex) =>
          sayLayered(
            piece,
            layers.map((one, at) => (at === index ? { ...one, colour: hex } : one)),
          ),
      })),
    ];
  const colours = coloursOf(piece, assumed);
  const marks = colours.map((colour, index): ColourPlace => ({
    name: marksName(index, colours.length),
    now: colour,
    changes: (hex) => [
      set(
        "decoration.colours",
        colours.map((one, at) => (at === index ? hex : one)),
      ),
    ],
  }));
  const more: ColourPlace = { name: "One colour more", now: null, changes: (hex) => [set("decoration.colours", [...colours, hex])] };
  return [base, ...marks, ...(colours.length < MOST_COLOURS ? [more] : [])];
}
