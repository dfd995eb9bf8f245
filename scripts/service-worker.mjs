/**
 * Writes build/client/sw.js: it keeps every built file and one page of each kind, so that the app opens without its server.
 * Pages come from the network while it is there, files from the cache.
 */
import { createHash } from "node:crypto";
import { readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join, relative } from "node:path";
import { ROOT } from "./ensure.mjs";

const CLIENT = join(ROOT, "build", "client");
/** One address of each kind of page: what is kept under it answers for every address of that kind. */
const SHELLS = ["/", "/pieces/new", "/pieces/shell", ...["dates", "ways", "sheet", "card"].map((room) => `/pieces/shell/${room}`), "/settings"];

function files(folder) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? files(path) : [path];
  });
}

/** Runs in the browser; written out as text. */
function worker(VERSION, FILES, PAGES) {
  const shellOf = (path) => (PAGES.includes(path) ? path : path.replace(/^\/pieces\/[^/]+/, "/pieces/shell"));
  const text = (response, address) => response.text().then((html) => new Response(html.replaceAll("/pieces/shell", address), { headers: response.headers }));
  self.addEventListener("install", (event) => {
    const keep = async () => {
      const cache = await caches.open(VERSION);
      await cache.addAll([...FILES, ...PAGES]);
      await self.skipWaiting();
    };
    event.waitUntil(keep());
  });
  self.addEventListener("activate", (event) => {
    const clear = async () => {
      for (const name of await caches.keys()) if (name !== VERSION) await caches.delete(name);
      await self.clients.claim();
    };
    event.waitUntil(clear());
  });
  self.addEventListener("fetch", (event) => {
    const { request } = event;
    const { pathname, origin } = new URL(request.url);
    if (request.method !== "GET" || origin !== self.location.origin) return;
    if (request.mode === "navigate") {
      const page = async () => {
        try {
          return await fetch(request);
        } catch {
          const kept = await caches.match(shellOf(pathname));
          if (!kept) return Response.error();
          const [piece] = /^\/pieces\/[^/]+/.exec(pathname) ?? [];
          return piece && !PAGES.includes(pathname) ? text(kept, piece) : kept;
        }
      };
      event.respondWith(page());
      return;
    }
    if (FILES.includes(pathname)) event.respondWith(caches.match(pathname).then((kept) => kept ?? fetch(request)));
  });
}

const built = files(CLIENT).filter((path) => !/\.map$|(^|\/)sw\.js$|\/\.vite\//.test(path) && !path.includes(".vite"));
const addresses = built.map((path) => `/${relative(CLIENT, path).replaceAll("\\", "/")}`).sort();
const hash = createHash("sha256");
for (const path of [...built].sort()) hash.update(path).update(readFileSync(path));
const version = `nook-coat-${hash.digest("hex").slice(0, 12)}`;
writeFileSync(join(CLIENT, "sw.js"), `(${worker.toString()})(${JSON.stringify(version)}, ${JSON.stringify(addresses)}, ${JSON.stringify(SHELLS)});\n`);
console.log(`service worker: ${addresses.length} files kept as ${version}`);
