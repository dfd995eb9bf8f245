import { DEFINITIONS } from "#core/formats/stores/stores";
import type { StoreName } from "#core/formats/stores/stores";
import { namedBy } from "#core/merge/named-by";
import type { Act, Kept } from "./acts";
import type { Recorder } from "./recorder";

/** Which store's records name which other's, in which field, and the index over it where there is one. */
const NAMING = DEFINITIONS.flatMap((definition) =>
  namedBy(definition).map(({ field, store }) => ({
    by: definition.name as StoreName,
    of: store as StoreName,
    field,
    index: Object.entries(definition.indexes).find(([, path]) => path === field)?.[0] ?? null,
  })),
);

/** More records of one store than these are looked up all at once, not one by one. */
const MOST_ASKED = 20;

const valueIn = (record: unknown, field: string) => (record as Readonly<Record<string, unknown>>)[field];

/** Stores whose records may stand on those of an act. */
export function standingOn(act: Act): readonly StoreName[] {
  return NAMING.filter(({ of }) => act.entries.some((entry) => entry.store === of)).map(({ by }) => by);
}

/**
 * Records of an act that go when it is taken back, and that something else stands on by now: a coat that another tab noted stands on its piece and on
 * its plan. They stay.
 *
 * @returns their keys: "plans/ID"
 */
export async function stoodOn(recorder: Recorder, act: Act): Promise<ReadonlySet<string>> {
  const own = new Set(act.entries.map(({ store, id }) => `${store}/${id}`));
  const kept = new Set<string>();
  for (const { by, of, field, index } of NAMING) {
    const going = act.entries.filter((entry) => entry.store === of && entry.before === null).map(({ id }) => id);
    if (going.length === 0) continue;
    const isAsked = index !== null && going.length <= MOST_ASKED;
    const standing = isAsked ? (await Promise.all(going.map((id) => recorder.of(by, index, id)))).flat() : await recorder.all(by);
    const named = new Set(standing.filter((one) => !own.has(`${by}/${one.id}`)).map((one) => valueIn(one, field)));
    for (const id of going) if (named.has(id)) kept.add(`${of}/${id}`);
  }
  return kept;
}

/** A record that is taken back, but for what names something that stays. */
export function stillNaming(store: StoreName, next: Kept, current: Kept | undefined, kept: ReadonlySet<string>): Kept {
  if (current === undefined) return next;
  const named = NAMING.filter(({ by, of, field }) => by === store && kept.has(`${of}/${String(valueIn(current, field))}`));
  return { ...next, ...Object.fromEntries(named.map(({ field }) => [field, valueIn(current, field)])) };
}
