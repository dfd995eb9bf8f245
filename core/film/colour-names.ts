import { colourDifference } from "./colour";

/** Plain names of colours, as people say them, each with a typical paint of that name in sRGB [from memory]. */
export const COLOUR_NAMES: Readonly<Record<string, string>> = {
  white: "#fbfaf6",
  "off-white": "#f3eee1",
  cream: "#f4e9c9",
  ivory: "#f6efd9",
  sand: "#dcc9a0",
  beige: "#d9c6a5",
  stone: "#b9b0a0",
  "light grey": "#c4c6c6",
  grey: "#8b8f91",
  charcoal: "#36393c",
  "dark grey": "#4c5154",
  black: "#1b1b1d",
  yellow: "#f5c518",
  primrose: "#f4ea9c",
  lemon: "#f6e653",
  ochre: "#c68a2c",
  mustard: "#c9992c",
  gold: "#c29a3f",
  amber: "#d9822b",
  orange: "#e8741e",
  peach: "#f4bf9d",
  apricot: "#f0a868",
  salmon: "#ee8f78",
  coral: "#ec6a56",
  red: "#c5281f",
  scarlet: "#d93a24",
  crimson: "#a51c30",
  burgundy: "#5e1a2b",
  maroon: "#6b1d26",
  rust: "#a4472a",
  terracotta: "#b5603f",
  brown: "#6d4629",
  chocolate: "#4a2f22",
  "dark brown": "#3f2a1c",
  tan: "#b98d5f",
  pink: "#ef9fb4",
  "pale pink": "#f6d3d8",
  rose: "#d3657e",
  magenta: "#b8206e",
  plum: "#5d2a4a",
  purple: "#63358a",
  violet: "#7a56b3",
  lavender: "#b9a5d6",
  lilac: "#cdb3d9",
  indigo: "#2c2a68",
  navy: "#1f2f4d",
  "dark blue": "#1c3f75",
  blue: "#1f5fae",
  "grey-blue": "#7590b4",
  petrol: "#17545f",
  "sky blue": "#86bfe3",
  "pale blue": "#bcd8e8",
  "duck egg": "#c3d8cf",
  turquoise: "#2aa7a5",
  teal: "#1f6f72",
  aqua: "#6fc9c4",
  mint: "#a9dcc0",
  green: "#2f8a46",
  "light green": "#93c67b",
  "dark green": "#1e4b33",
  "bottle green": "#123f30",
  "sea green": "#3f7f7a",
  olive: "#6f6d2f",
  lime: "#a5c83a",
  sage: "#a3ad8b",
  silver: "#b3b7ba",
  copper: "#a8663d",
  bronze: "#7b5d36",
};

/** Names that were worked out already: the same colour is asked for again and again. */
const known = new Map<string, string>();
const MOST_KNOWN = 4000;

/**
 * The plain name nearest to a colour.
 *
 * @param hex sRGB, #rrggbb
 * @returns one of `COLOUR_NAMES`
 * @example nameOfColour("#1f2f4d") // "navy"
 */
export function nameOfColour(hex: string): string {
  const before = known.get(hex);
  if (before !== undefined) return before;
  const [first] = Object.entries(COLOUR_NAMES)
    .map(([name, colour]) => ({ name, apart: colourDifference(colour, hex) }))
    .sort((a, b) => a.apart - b.apart);
  // A notebook has few colours; one that is dragged through a picker has many.
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(hex, first!.name);
  return first!.name;
}

const BY_LENGTH = Object.keys(COLOUR_NAMES).sort((a, b) => b.length - a.length);

/** A plain colour in a text, and where it stands. */
export interface NamedColour {
  readonly name: string;
  /** sRGB hex. */
  readonly colour: string;
  readonly at: number;
}

/**
 * Every colour a text names by a plain name, in the order they stand; of "dark blue" the longer name counts.
 *
 * @example coloursNamedIn("navy, then pale blue").map(({ name }) => name) // ["navy", "pale blue"]
 */
export function coloursNamedIn(text: string): readonly NamedColour[] {
  let rest = text.toLowerCase().replace(/gray/g, "grey");
  const found: NamedColour[] = [];
  for (const name of BY_LENGTH) {
    const says = new RegExp(String.raw`\b${name.replace("-", "[- ]")}\b`);
    for (let match = says.exec(rest); match; match = says.exec(rest)) {
      found.push({ name, colour: COLOUR_NAMES[name]!, at: match.index });
      rest = `${rest.slice(0, match.index)}${"_".repeat(match[0].length)}${rest.slice(match.index + match[0].length)}`;
    }
  }
  return found.sort((a, b) => a.at - b.at);
}

/**
 * The colour a text names: the longest plain name in it.
 *
 * @returns sRGB hex; null where it names none
 * @example colourNamedIn("Harbour navy, matt") // "#1f2f4d"
 */
export function colourNamedIn(text: string): string | null {
  const words = ` ${text
    .toLowerCase()
    .replace(/gray/g, "grey")
    .replace(/[^a-z]+/g, " ")} `;
  const name = BY_LENGTH.find((one) => words.includes(` ${one.replace("-", " ")} `));
  return name === undefined ? null : COLOUR_NAMES[name]!;
}
