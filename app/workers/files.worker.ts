import { expose } from "comlink";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { writeLogbookHtml } from "#core/formats/logbook-html";
import { packNotebook, readNotebook } from "#core/formats/notebook-file";
import type { FilesWorkerApi } from "./files-worker-api";

const api: FilesWorkerApi = {
  read: async (file) => readNotebook(new Uint8Array(await file.arrayBuffer()), CATALOGUE),
  page: (page) => writeLogbookHtml(page),
  write: (parts, pictures) => packNotebook(parts, pictures, CATALOGUE),
};

expose(api);
