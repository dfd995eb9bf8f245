/** What is said of a piece for the text on its back. */
export interface BackFacts {
  readonly signature: string;
  /** "YYYY-MM-DD". */
  readonly day: string;
  /** A number of an edition: the third of twenty. */
  readonly edition?: { readonly number: number; readonly of: number };
  readonly name: string;
  /** It is left outdoors for others to find. */
  readonly found: boolean;
  /** Where a finder may tell of it: an address, a tag. */
  readonly tellAt?: string;
  /** Wanted lines that are left out otherwise. */
  readonly also?: readonly string[];
}

const MONTHS = ["Jan", "Feb", "March", "April", "May", "June", "July", "Aug", "Sept", "Oct", "Nov", "Dec"];

/** Month and year, as a maker writes them. @example monthOnBack("2027-03-09") // "March 2027" */
export function monthOnBack(day: string): string {
  return `${MONTHS[Number(day.slice(5, 7)) - 1]} ${day.slice(0, 4)}`;
}

/**
 * What goes on the back of a piece, the most important first: where room runs out, the last lines stay away. A piece to be found says first what the
 * finder is to do, as nobody else will tell them; one to be kept begins with who made it [common practice].
 */
export function backText({ signature, day, edition, name, found, tellAt, also = [] }: BackFacts): readonly string[] {
  const who = signature.trim() === "" ? [] : [signature.trim()];
  const when = [monthOnBack(day)];
  const number = edition && edition.of > 1 ? [`${edition.number}/${edition.of}`] : [];
  const rest = also.map((line) => line.trim()).filter((line) => line !== "");
  if (!found) return [...who, ...when, ...number, ...rest, name];
  const tell = tellAt === undefined || tellAt.trim() === "" ? [] : [`Tell of it: ${tellAt.trim()}`];
  return ["Keep or hide again", ...tell, name, ...when, ...who, ...number, ...rest];
}
