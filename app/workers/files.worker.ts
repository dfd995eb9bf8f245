import { expose } from "comlink";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { readBundle, sortedOut } from "#core/formats/bundle";
import { fileOf } from "#core/formats/write-bundle";
import { STORE_NAMES } from "#core/formats/stores/stores";
import type { FilesWorkerApi } from "./files-worker-api";

const api: FilesWorkerApi = {
  read: async (file) => readBundle(await file.text(), CATALOGUE),
  write: (parts) => {
    const { bundle, aside } = sortedOut(parts, CATALOGUE);
    const text = `${JSON.stringify(fileOf(bundle, aside), null, 2)}\n`;
    // A file that could not be brought in again is no safety.
    const again = readBundle(text, CATALOGUE);
    const isWhole = again.ok && !again.value.altered && STORE_NAMES.every((name) => again.value.bundle[name].length === bundle[name].length);
    if (!isWhole) throw new Error("the file could not be read back, so it was not given out");
    return { text, aside };
  },
};

expose(api);
