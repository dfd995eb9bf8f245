import { productId } from "../catalogue/ids";
import type { Jar } from "../catalogue/jar";
import { SHEEN_WORDS } from "../catalogue/vocabulary";
import type { Sheen } from "../catalogue/vocabulary";
import { COLOUR_NAMES } from "../film/colour-names";

/** What most shelves begin with. */
export const BASIC_PAINTS = ["craft-acrylic", "soft-body-acrylic", "satin-multisurface"] as const;
export type BasicPaint = (typeof BASIC_PAINTS)[number];

const COLOURS = ["white", "black", "red", "yellow", "blue"] as const;
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Jars of a basic set: white, black, three primaries, a ground and a varnish. Their ids are the caller's. */
export function basicSet(paint: BasicPaint, varnish: Sheen): readonly Omit<Jar, "id">[] {
  return [
    ...COLOURS.map((name) => ({ classId: productId(paint), name: capital(name), colour: COLOUR_NAMES[name]!, label: {} })),
    { classId: productId("gesso"), name: "Gesso", label: {} },
    { classId: productId("acrylic-varnish"), name: `${capital(SHEEN_WORDS[varnish])} varnish`, label: { sheen: varnish } },
  ];
}
