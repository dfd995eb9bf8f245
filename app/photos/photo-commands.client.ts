import { photoId, pieceId } from "#core/catalogue/ids";
import { filesOf, letGo } from "~/actions/handed.client";
import { whyOf } from "~/actions/perform";
import type { By } from "~/store/command";
import { database } from "~/store/open.client";
import { addPhotos, removePhoto, savePhoto } from "~/store/photos";
import type { Shrunk } from "~/store/photos";
import type { NotTaken, PhotoAsk, PhotosOutcome } from "./photo-ask";
import { shrunk } from "./shrink.client";

/** Each file shrunk, one after another, so that a phone holds no more than one of them unpacked. */
async function shrinkAll(files: readonly File[]): Promise<{ readonly good: readonly Shrunk[]; readonly notTaken: readonly NotTaken[] }> {
  const good: Shrunk[] = [];
  const notTaken: NotTaken[] = [];
  for (const file of files)
    await shrunk(file).then(
      (photo) => good.push(photo),
      (error: unknown) => notTaken.push({ name: file.name, why: whyOf(error) }),
    );
  return { good, notTaken };
}

/** Shrinks the files that were picked and keeps them where they belong. */
export async function addPicked(token: string, keep: (photos: readonly Shrunk[]) => Promise<number>): Promise<PhotosOutcome> {
  const files = filesOf(token);
  if (!files) return { kind: "failed", why: "the photographs are to be picked once more", files: token };
  try {
    const { good, notTaken } = await shrinkAll(files);
    const added = good.length === 0 ? 0 : await keep(good);
    letGo(token);
    return { kind: "added", added, same: good.length - added, notTaken };
  } catch (error) {
    return { kind: "failed", why: whyOf(error), files: token };
  }
}

/** What each ask does. */
export function photoCommands(piece: string) {
  return {
    add: ({ files }: Extract<PhotoAsk, { readonly intent: "add" }>, by: By) =>
      addPicked(files, async (photos) => addPhotos(await database(), pieceId(piece), photos, by)),
    say: async ({ id, caption, at }: Extract<PhotoAsk, { readonly intent: "say" }>, by: By) => {
      const words = { ...(caption === undefined ? {} : { caption: caption.trim() }), ...(at === undefined ? {} : { at }) };
      await savePhoto(await database(), photoId(id), words, by);
      return null;
    },
    remove: async ({ id }: Extract<PhotoAsk, { readonly intent: "remove" }>, by: By) => {
      await removePhoto(await database(), photoId(id), by);
      return null;
    },
  };
}
