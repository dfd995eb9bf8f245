import { PICTURED } from "./command";
import { isReadOnly } from "./database";
import type { Database } from "./database";
import { OVERVIEWS_STORE } from "./overviews";
import { PICTURES_STORE } from "./pictures";
import { VERSIONS_STORE } from "./versions";

interface Pictured {
  readonly picture?: string;
  readonly small?: string;
}

/** Pictures a photograph names, or those the record of a finished piece keeps. */
function named(kept: (Pictured & { readonly pictures?: readonly Pictured[] }) | null): readonly string[] {
  return [kept, ...(kept?.pictures ?? [])].flatMap((one) => [one?.picture, one?.small].flatMap((id) => (id === undefined ? [] : [id])));
}

/**
 * Clears away pictures that no photograph shows any more, and that nothing that can be taken back would bring back.
 *
 * @returns how many
 */
export async function clearPictures(db: Database): Promise<number> {
  if ((await db.count(PICTURES_STORE)) === 0) return 0;
  const transaction = db.transaction([PICTURES_STORE, "photos", "records", "acts"], "readwrite");
  const ids = await transaction.objectStore(PICTURES_STORE).getAllKeys();
  const photos = await transaction.objectStore("photos").getAll();
  const records = await transaction.objectStore("records").getAll();
  const shown = new Set([...photos, ...records].flatMap(named));
  const loose = ids.filter((id) => !shown.has(id));
  const acts = loose.length === 0 ? [] : await transaction.objectStore("acts").getAll();
  const mayReturn = new Set(
    acts.flatMap(({ entries }) =>
      entries.flatMap(({ store, before, after }) =>
        (PICTURED as readonly string[]).includes(store) ? [before, after].flatMap((one) => named(one as Pictured)) : [],
      ),
    ),
  );
  const gone = loose.filter((id) => !mayReturn.has(id));
  for (const id of gone) await transaction.objectStore(PICTURES_STORE).delete(id);
  await transaction.done;
  return gone.length;
}

/**
 * Clears away the versions of pieces that are gone, and that nothing that can be taken back would bring back.
 *
 * @returns how many
 */
export async function clearVersions(db: Database): Promise<number> {
  const pieces: string[] = [];
  const index = db.transaction(VERSIONS_STORE).store.index("byPiece");
  for (let cursor = await index.openKeyCursor(null, "nextunique"); cursor; cursor = await cursor.continue()) pieces.push(String(cursor.key));
  const here = new Set(await db.getAllKeys("pieces"));
  // To look is cheap, and mostly the end of it: only where something is loose is anything locked.
  if (pieces.every((id) => here.has(id))) return 0;
  const transaction = db.transaction([VERSIONS_STORE, "pieces", "acts"], "readwrite");
  const now = new Set(await transaction.objectStore("pieces").getAllKeys());
  const acts = await transaction.objectStore("acts").getAll();
  const mayReturn = new Set(acts.flatMap(({ entries }) => entries.flatMap(({ store, id }) => (store === "pieces" ? [id] : []))));
  const versions = transaction.objectStore(VERSIONS_STORE);
  let gone = 0;
  for (const id of pieces.filter((one) => !now.has(one) && !mayReturn.has(one)))
    for (const key of await versions.index("byPiece").getAllKeys(id)) {
      await versions.delete(key);
      gone += 1;
    }
  await transaction.done;
  return gone;
}

/**
 * Clears away overviews of pieces that are gone: they are worked out again where a piece comes back.
 *
 * @returns how many
 */
export async function clearOverviews(db: Database): Promise<number> {
  const here = new Set<string>(await db.getAllKeys("pieces"));
  const gone = (await db.getAllKeys(OVERVIEWS_STORE)).filter((id) => !here.has(id));
  if (gone.length === 0) return 0;
  const transaction = db.transaction([OVERVIEWS_STORE, "pieces"], "readwrite");
  const now = new Set<string>(await transaction.objectStore("pieces").getAllKeys());
  for (const id of gone.filter((one) => !now.has(one))) await transaction.objectStore(OVERVIEWS_STORE).delete(id);
  await transaction.done;
  return gone.length;
}

/** Clears away what nothing needs any more; a notebook that is only read is left as it is. */
export async function tidyUp(db: Database): Promise<void> {
  if (isReadOnly(db)) return;
  await clearPictures(db);
  await clearVersions(db);
  await clearOverviews(db);
}
