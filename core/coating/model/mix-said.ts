import { COUNT_WORDS, MIX_AMOUNTS, MIX_WORDS } from "../../catalogue/data/sequence-words";
import { coloursNamedIn } from "../../film/colour-names";
import { mixedColour, usualContrastRatio } from "../../film/mix";

/** A jar whose colour is known, by its name. */
interface ColouredJar {
  readonly name: string;
  readonly colour?: string;
}

/** A mixture as somebody said it. */
export interface SaidMix {
  /** sRGB hex it comes to, about: nobody weighs drops, and what a label says of hiding is not asked. */
  readonly colour: string;
  /** What it is mixed from, the most of it first: "navy, and a little white". */
  readonly words: string;
}

interface Named {
  readonly name: string;
  readonly colour: string;
  readonly at: number;
}

/** Less than this share of the largest part is "a little". */
const SMALL = 0.3;

const asWord = (name: string) => new RegExp(String.raw`\b${name.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}\b`, "i");

/** Jars and plain colours in the order they are said; a name inside a longer one is not meant. */
function namedIn(text: string, jars: readonly ColouredJar[]): readonly Named[] {
  const own = jars.flatMap(({ name, colour }): readonly Named[] => {
    const at = asWord(name).exec(text)?.index;
    return colour === undefined || at === undefined ? [] : [{ name, colour, at }];
  });
  const longestFirst = [...own, ...coloursNamedIn(text)].sort((a, b) => b.name.length - a.name.length);
  const taken: Named[] = [];
  for (const one of longestFirst) if (!taken.some((other) => one.at < other.at + other.name.length && other.at < one.at + one.name.length)) taken.push(one);
  return taken.sort((a, b) => a.at - b.at);
}

function partsBefore(text: string): number {
  const counted = text.match(/\b(\d{1,2}|one|two|three|four|five|six) parts?( of)?\s*$/i)?.[1]?.toLowerCase();
  if (counted !== undefined) return COUNT_WORDS[counted] ?? Number(counted);
  return MIX_AMOUNTS.find(({ says }) => says.test(text))?.parts ?? 1;
}

/**
 * The mixture some words name: "blue mixed with a little white", "two parts navy and one part cream", "half and half red and yellow".
 *
 * @param text words of one step
 * @param jars the painter's own, which they may name
 * @returns null where nothing is mixed
 */
export function mixSaid(text: string, jars: readonly ColouredJar[]): SaidMix | null {
  if (!MIX_WORDS.test(text)) return null;
  const named = namedIn(text, jars);
  if (new Set(named.map(({ colour }) => colour)).size < 2) return null;
  const ratio = text.match(/\b(\d{1,2})\s*(?::|to)\s*(\d{1,2})\b(?!\s*coats)/);
  const parts = named.map(({ at }, index) => {
    const before = named[index - 1];
    const said = partsBefore(text.slice(before ? before.at + before.name.length : 0, at));
    return ratio && index < 2 ? Math.max(1, Number(ratio[index + 1])) : said;
  });
  const all = named.map(({ name, colour }, index) => ({ name, colour, parts: parts[index]! }));
  const most = Math.max(...parts);
  const words = [...all].sort((a, b) => b.parts - a.parts).map((one) => (one.parts < SMALL * most ? `a little ${one.name}` : one.name));
  return {
    colour: mixedColour(all.map(({ colour, parts: of }) => ({ colour, parts: of, contrastRatio: usualContrastRatio(colour) }))),
    words: `${words.slice(0, -1).join(", ")} and ${words.at(-1)!}`,
  };
}
