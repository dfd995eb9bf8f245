import type { Aside, ReadBundle } from "#core/formats/bundle";
import type { Parsed } from "#core/formats/problem";

/** A notebook as the text of a file. */
export interface WrittenFile {
  readonly text: string;
  /** What fails its own schema; it is in the file, set aside. */
  readonly aside: readonly Aside[];
}

/** What the worker that reads and writes files answers. */
export interface FilesWorkerApi {
  readonly read: (file: Blob) => Promise<Parsed<ReadBundle>>;
  /** @throws when its own importer would not take the file back whole */
  readonly write: (parts: Readonly<Record<string, readonly unknown[]>>) => WrittenFile;
}
