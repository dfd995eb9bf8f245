import { DEFINITIONS } from "#core/formats/stores/stores";
import type { RecordOf, StoreName } from "#core/formats/stores/stores";
import { differences, pathText, sameValue, valueAt, withValue } from "#core/merge/field-walk";
import type { Path } from "#core/merge/field-walk";
import { FinalError } from "./final-error";
import type { Recorder } from "./recorder";

/** What was changed on the screen is gone meanwhile. */
export class GoneThing extends FinalError {
  override readonly name = "GoneThing";

  constructor(what: string) {
    super(`${what} was taken away meanwhile`);
  }
}

const withoutRev = (record: object) => ({ ...record, rev: 0 });

/** Keeps what a screen set beside what another tab has set there meanwhile, until it is decided. */
export async function keepBeside(recorder: Recorder, store: StoreName, record: string, path: Path, wanted: unknown): Promise<void> {
  const field = pathText(path);
  const id = `${store}/${record}/${field}`;
  await recorder.putDifference(id, {
    id,
    store,
    record,
    field,
    ...(wanted === undefined ? {} : { theirs: wanted }),
    theirMark: {},
    at: Date.now(),
    from: "tab",
  });
}

/**
 * Writes what a screen made of a record: the fields it changed, and no others. What another tab set meanwhile stays; where both set the same field
 * otherwise, what stands stays, and what the screen set is kept beside it until it is decided.
 *
 * @param seen the record as the screen showed it; null for one that was new to it
 * @param wanted what the screen made of it
 * @throws GoneThing when it was there, and is there no longer
 */
export async function putFields<S extends StoreName>(recorder: Recorder, store: S, seen: object | null, wanted: RecordOf<S>): Promise<void> {
  const current = await recorder.get(store, wanted.id);
  if (!current) {
    if (seen !== null) throw new GoneThing(DEFINITIONS.find(({ name }) => name === store)!.called);
    await recorder.put(store, { ...wanted, rev: 1 });
    return;
  }
  const { meets } = DEFINITIONS.find(({ name }) => name === store)!;
  let next: RecordOf<S> = current;
  for (const { path, before, after } of differences(meets, seen ?? current, wanted)) {
    const stands = valueAt(meets, current, path);
    if (sameValue(stands, before)) next = withValue(meets, next, path, after);
    else if (!sameValue(stands, after)) await keepBeside(recorder, store, wanted.id, path, after);
  }
  // A list of which the last entry went is no field any more, where the screen has none.
  next = Object.fromEntries(Object.entries(next).filter(([key, value]) => key in wanted || !(Array.isArray(value) && value.length === 0))) as RecordOf<S>;
  if (recorder.fits(store, { ...wanted, rev: 1 }) && !recorder.fits(store, next))
    throw new FinalError("another tab changed the same thing meanwhile, and the two do not fit together; look at it and say it anew");
  if (!sameValue(withoutRev(next), withoutRev(current))) await recorder.put(store, { ...next, rev: current.rev + 1 });
}
