/** Writes a gzipped copy beside every built file that shrinks by it: the server hands it out as it is, and need not do it anew for every visit. */
import { readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { ROOT } from "./ensure.mjs";

const SHRINKS = /\.(js|css|svg|json|webmanifest)$/;

function compress(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) compress(path);
    else if (SHRINKS.test(name)) writeFileSync(`${path}.gz`, gzipSync(readFileSync(path), { level: 9 }));
  }
}

compress(join(ROOT, "build", "client"));
