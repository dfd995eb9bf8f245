import { hasNames, recordName } from "#core/formats/stores/record-name";
import { DEFINITIONS, STORES } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";

/** A record before and after. */
interface Changed {
  readonly store: StoreName;
  readonly before: object | null;
  readonly after: object | null;
}

/** Names told of what was removed together; more are only counted. */
const MOST_NAMED = 3;

/** "one plan, 3 coats and one photograph". */
const LIST = new Intl.ListFormat("en-GB", { type: "conjunction" });

const isGone = (entry: Changed) => entry.before !== null && entry.after === null;

/**
 * The store of what an act has taken away and tells of: the first by the order of a file, for what belongs to it comes after it.
 *
 * @returns null where nothing was taken away, or only what goes with other things
 */
export function removedFrom(entries: readonly Changed[]): StoreName | null {
  const found = DEFINITIONS.find(
    ({ name, gone }) => gone && entries.some((entry) => entry.store === name && isGone(entry)) && !(gone.passing && entries.some((entry) => !isGone(entry))),
  );
  return (found?.name as StoreName | undefined) ?? null;
}

/** Whether what an act has taken away can be had back for longer than other acts can be taken back. */
export function isKeptLonger(entries: readonly Changed[]): boolean {
  const from = removedFrom(entries);
  return from !== null && DEFINITIONS.find(({ name }) => name === from)!.gone!.passing === undefined;
}

/** Names of what an act has taken out of a store; what cannot be read is called damaged. */
export function namesGone(entries: readonly Changed[], store: StoreName): readonly string[] {
  const [one] = STORES[store].counted;
  return entries.filter((entry) => entry.store === store && isGone(entry)).map(({ before }) => recordName(before) ?? `a damaged ${one}`);
}

/** What an act has taken away, in a sentence: with its name, and what went with it. */
export function removedText(entries: readonly Changed[], from: StoreName): string {
  const definition = DEFINITIONS.find(({ name }) => name === from)!;
  const { gone, counted } = definition;
  const beside = DEFINITIONS.flatMap(({ name, counted: [one, more] }) => {
    const count = name === from ? 0 : entries.filter((entry) => entry.store === name && isGone(entry)).length;
    return count === 0 ? [] : [count === 1 ? `one ${one}` : `${count} ${more}`];
  });
  const names = namesGone(entries, from);
  const what =
    !hasNames(definition) || names.length > MOST_NAMED ? (names.length === 1 ? `one ${counted[0]}` : `${names.length} ${counted[1]}`) : names.join(", ");
  return `${gone!.told}: ${what}${beside.length > 0 ? `, with ${LIST.format(beside)}` : ""}`;
}
