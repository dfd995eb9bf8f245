import { nameOfColour } from "./colour-names";

/** Families of colours as people look for them, each with the plain names that belong to it, in the order they are offered [from memory]. */
export const COLOUR_FAMILIES = {
  white: ["white", "off-white", "cream", "ivory"],
  grey: ["light grey", "grey", "charcoal", "dark grey", "stone", "silver"],
  black: ["black"],
  brown: ["sand", "beige", "tan", "brown", "chocolate", "dark brown", "bronze", "copper"],
  red: ["red", "scarlet", "crimson", "burgundy", "maroon", "rust", "terracotta", "coral"],
  orange: ["orange", "amber", "peach", "apricot", "salmon"],
  yellow: ["yellow", "primrose", "lemon", "ochre", "mustard", "gold"],
  green: ["mint", "green", "light green", "dark green", "bottle green", "sea green", "olive", "lime", "sage", "duck egg"],
  turquoise: ["turquoise", "teal", "aqua", "petrol"],
  blue: ["indigo", "navy", "dark blue", "blue", "grey-blue", "sky blue", "pale blue"],
  purple: ["plum", "purple", "violet", "lavender", "lilac"],
  pink: ["pink", "pale pink", "rose", "magenta"],
} as const satisfies Readonly<Record<string, readonly string[]>>;
export type ColourFamily = keyof typeof COLOUR_FAMILIES;

export const FAMILY_IDS = Object.keys(COLOUR_FAMILIES) as readonly ColourFamily[];

const FAMILY_OF = new Map<string, ColourFamily>(FAMILY_IDS.flatMap((family) => COLOUR_FAMILIES[family].map((name) => [name, family] as const)));

/** The family a plain name belongs to; null for a name that is none. @example familyOfName("navy") // "blue" */
export function familyOfName(name: string): ColourFamily | null {
  return FAMILY_OF.get(name) ?? null;
}

/** The family a colour belongs to, by the plain name nearest to it. @example familyOf("#1f2f4d") // "blue" */
export function familyOf(hex: string): ColourFamily {
  return familyOfName(nameOfColour(hex)) ?? "grey";
}
