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
const SHELLS = [
  "/",
  "/evening",
  "/practice",
  "/pieces",
  "/pieces/new",
  "/pieces/shell",
  ...["dates", "ways", "marks", "mixing", "sheet", "card", "rescue", "repair", "record", "back", "class"].map((room) => `/pieces/shell/${room}`),
  "/sets/shell",
  "/desk",
  "/desk/marking",
  "/desk/casting",
  "/desk/casting/pours/shell",
  "/desk/casting/resin",
  "/calendar",
  "/shelf",
  "/shelf/shopping",
  "/logbook",
  "/logbook/records/shell",
  "/logbook/records/shell/again",
  "/logbook/beside",
  "/logbook/trials",
  "/logbook/stall",
  "/logbook/numbers",
  "/logbook/older",
  "/settings",
];

function files(folder) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? files(path) : [path];
  });
}

/** Answers for every address that is none: the page that says so. */
const NOWHERE = "/shell-for-no-page";

/** Runs in the browser; written out as text. */
function worker(VERSION, FILES, PAGES, NOWHERE) {
  /** A server that accepts and never answers is as good as none after this long, ms. */
  const PATIENCE_MS = 2500;
  const trimmed = (path) => (path.length > 1 ? path.replace(/\/+$/, "") : path) || "/";
  const shellOf = (path) => {
    const shell = PAGES.includes(path) ? path : path.replace(/^\/(pieces|sets|desk\/casting\/pours|logbook\/records)\/[^/]+/, "/$1/shell");
    return PAGES.includes(shell) ? shell : NOWHERE;
  };
  const text = (response, from, to) =>
    response.text().then((html) => new Response(html.replaceAll(from, to), { headers: response.headers, status: response.status }));
  /** The page as it was kept, under the address that was asked for. */
  const keptPage = async (pathname) => {
    const path = trimmed(pathname);
    const shell = shellOf(path);
    const cache = await caches.open(VERSION);
    const kept = await cache.match(shell);
    if (!kept) return Response.error();
    if (shell === NOWHERE) return text(kept, NOWHERE, pathname);
    if (path !== pathname) return Response.redirect(path, 302);
    const [found, kind] = /^\/(pieces|sets|desk\/casting\/pours|logbook\/records)\/[^/]+/.exec(path) ?? [];
    return found && !PAGES.includes(path) ? text(kept, `/${kind}/shell`, found) : kept;
  };
  /** A file of this version; else of one that is kept beside it, for a page of that version; else from the server. */
  const keptFile = async (request, pathname) => (await (await caches.open(VERSION)).match(pathname)) ?? (await caches.match(pathname)) ?? fetch(request);
  self.addEventListener("install", (event) => {
    const keep = async () => {
      const cache = await caches.open(VERSION);
      await cache.addAll([...FILES, ...PAGES]);
      await cache.put(NOWHERE, await fetch(NOWHERE));
      // The first one serves at once; a newer one waits until the user says so, or the last page of the old one is closed.
      if (!self.registration.active) await self.skipWaiting();
    };
    event.waitUntil(keep());
  });
  self.addEventListener("message", (event) => {
    if (event.data === "take-over") void self.skipWaiting();
  });
  self.addEventListener("activate", (event) => {
    const clear = async () => {
      // Pages of the version before may still be open: its files stay until the next one comes.
      const names = (await caches.keys()).filter((name) => name !== VERSION);
      for (const name of names.slice(0, -1)) await caches.delete(name);
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
        const controller = new self.AbortController();
        const timer = self.setTimeout(() => controller.abort(), PATIENCE_MS);
        try {
          const answer = await fetch(request.url, { signal: controller.signal, credentials: "same-origin", redirect: "manual" });
          if (answer.status >= 500) return await keptPage(pathname);
          return answer;
        } catch {
          return keptPage(pathname);
        } finally {
          self.clearTimeout(timer);
        }
      };
      event.respondWith(page());
      return;
    }
    if (FILES.includes(pathname) || pathname.startsWith("/assets/")) event.respondWith(keptFile(request, pathname));
  });
}

const built = files(CLIENT).filter((path) => !/\.(map|gz)$|(^|\/)sw\.js$|\/\.vite\//.test(path) && !path.includes(".vite"));
const addresses = built.map((path) => `/${relative(CLIENT, path).replaceAll("\\", "/")}`).sort();
const hash = createHash("sha256");
for (const path of [...built].sort()) hash.update(path).update(readFileSync(path));
const version = `nook-coat-${hash.digest("hex").slice(0, 12)}`;
writeFileSync(
  join(CLIENT, "sw.js"),
  `(${worker.toString()})(${JSON.stringify(version)}, ${JSON.stringify(addresses)}, ${JSON.stringify(SHELLS)}, ${JSON.stringify(NOWHERE)});\n`,
);
console.log(`service worker: ${addresses.length} files kept as ${version}`);
