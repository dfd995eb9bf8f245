import { createReadableStreamFromReadable } from "@react-router/node";
import { isbot } from "isbot";
import { randomBytes } from "node:crypto";
import { PassThrough } from "node:stream";
import { renderToPipeableStream } from "react-dom/server";
import { ServerRouter } from "react-router";
import type { EntryContext } from "react-router";
import { documentPolicy } from "./content-policy";

const GIVE_UP_MS = 5_000;

/** Renders a document and sets its security policy: the one place where it is set. */
export default function handleRequest(request: Request, status: number, headers: Headers, context: EntryContext): Promise<Response> {
  // In development the policy's nonce would differ between server and browser and warn at every load.
  const nonce = import.meta.env.PROD ? randomBytes(16).toString("base64") : undefined;
  return new Promise((resolve, reject) => {
    let shellRendered = false;
    let code = status;
    const ready = isbot(request.headers.get("user-agent") ?? "") ? "onAllReady" : "onShellReady";
    const { pipe, abort } = renderToPipeableStream(<ServerRouter context={context} url={request.url} nonce={nonce} />, {
      nonce,
      [ready]() {
        shellRendered = true;
        const body = new PassThrough();
        headers.set("Content-Type", "text/html; charset=utf-8");
        if (nonce) headers.set("Content-Security-Policy", documentPolicy(nonce));
        resolve(new Response(createReadableStreamFromReadable(body), { headers, status: code }));
        pipe(body);
      },
      onShellError: reject,
      onError(error: unknown) {
        code = 500;
        if (shellRendered) console.error(error);
      },
    });
    setTimeout(abort, GIVE_UP_MS);
  });
}
