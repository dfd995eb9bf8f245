import type { LogbookPage } from "#core/formats/logbook-html";
import { allPictures } from "~/store/photos";
import { database } from "~/store/open.client";
import { asFiles } from "~/workers/files.client";

/** The whole logbook as one page, put together beside the page that asks for it. */
export async function logbookPage(page: Omit<LogbookPage, "pictures">): Promise<string> {
  const pictures = await allPictures(await database());
  return asFiles((api) => api.page({ ...page, pictures }));
}
