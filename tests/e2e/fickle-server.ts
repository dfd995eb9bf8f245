import { createServer, request } from "node:http";
import type { IncomingMessage, ServerResponse } from "node:http";
import type { AddressInfo } from "node:net";

/** How a server can be: well, gone quiet, behind a broken gateway, or of a newer version. */
export type Mood = "well" | "quiet" | "bad-gateway" | "newer";

export interface FickleServer {
  readonly url: string;
  mood: Mood;
  readonly stop: () => Promise<void>;
}

/** Passes on what another server answers, in the mood it is in. */
export async function fickleServer(behind: string): Promise<FickleServer> {
  const state = { mood: "well" as Mood };
  const { host, hostname, port } = new URL(behind);
  const passed = (asked: IncomingMessage, answer: ServerResponse) => {
    const { "accept-encoding": _encoding, "if-none-match": _known, "if-modified-since": _since, ...headers } = asked.headers;
    const onward = request({ hostname, port, path: asked.url, method: asked.method, headers: { ...headers, host } }, (got) => {
      const chunks: Buffer[] = [];
      got.on("data", (chunk: Buffer) => chunks.push(chunk));
      got.on("end", () => {
        const body = Buffer.concat(chunks);
        // Any other byte in it makes it another version to the browser.
        const renewed =
          state.mood === "newer" && asked.url === "/sw.js" ? Buffer.from(body.toString().replace(/nook-coat-([0-9a-f]{12})/, "nook-coat-newer$1")) : body;
        const { "content-length": _length, "transfer-encoding": _transfer, ...kept } = got.headers;
        answer.writeHead(got.statusCode ?? 500, kept).end(renewed);
      });
    });
    onward.on("error", () => answer.destroy());
    onward.end();
  };
  const server = createServer((asked, answer) => {
    if (state.mood === "quiet") return;
    if (state.mood === "bad-gateway") return void answer.writeHead(502).end("bad gateway");
    passed(asked, answer);
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    get mood() {
      return state.mood;
    },
    set mood(next) {
      state.mood = next;
    },
    stop: async () => {
      server.closeAllConnections();
      await new Promise<void>((resolve) => server.close(() => resolve()));
    },
  };
}
