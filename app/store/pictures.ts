import type { PhotoRecord } from "#core/formats/stores/photos";
import type { Database } from "./database";

export const PICTURES_STORE = "pictures";

/** A picture by what is in it. */
export interface KeptPicture {
  readonly id: string;
  /** A JPEG. */
  readonly bytes: Uint8Array<ArrayBuffer>;
}

function named(photo: Partial<PhotoRecord> | null): readonly string[] {
  return [photo?.picture, photo?.small].flatMap((id) => (id === undefined ? [] : [id]));
}

/**
 * Clears away pictures that no photograph shows any more, and that nothing that can be taken back would bring back.
 *
 * @returns how many
 */
export async function clearPictures(db: Database): Promise<number> {
  const transaction = db.transaction([PICTURES_STORE, "photos", "acts"], "readwrite");
  const ids = await transaction.objectStore(PICTURES_STORE).getAllKeys();
  const photos = ids.length === 0 ? [] : await transaction.objectStore("photos").getAll();
  const shown = new Set(photos.flatMap(named));
  const loose = ids.filter((id) => !shown.has(id));
  const acts = loose.length === 0 ? [] : await transaction.objectStore("acts").getAll();
  const mayReturn = new Set(
    acts.flatMap(({ entries }) =>
      entries.flatMap(({ store, before, after }) => (store === "photos" ? [before, after].flatMap((one) => named(one as PhotoRecord)) : [])),
    ),
  );
  const gone = loose.filter((id) => !mayReturn.has(id));
  for (const id of gone) await transaction.objectStore(PICTURES_STORE).delete(id);
  await transaction.done;
  return gone.length;
}
