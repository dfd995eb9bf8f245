import type { LogbookPage } from "#core/formats/logbook-html";
import type { PackedNotebook, Pictures, ReadNotebook } from "#core/formats/notebook-file";
import type { Parsed } from "#core/formats/problem";

/** What the worker that reads and writes files answers. */
export interface FilesWorkerApi {
  readonly read: (file: Blob) => Promise<Parsed<ReadNotebook>>;
  /** The whole logbook as one page that stands by itself. */
  readonly page: (page: LogbookPage) => string;
  /**
   * @param pictures of its photographs; a photograph whose picture is not among them is set aside
   * @throws when its own importer would not take the file back whole
   */
  readonly write: (parts: Readonly<Record<string, unknown>>, pictures: Pictures) => PackedNotebook;
}
