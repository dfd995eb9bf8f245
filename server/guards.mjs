/** What the server takes, and what it turns away before anything is done for it. */
import { Busy } from "./plan-pool.mjs";

/** A question is never larger, bytes. */
export const MOST_BYTES = 256 * 1024;
const RETRY_AFTER_S = "5";
const HOST = /^(\[[0-9a-f:.]+\]|[a-z0-9._-]{1,255})(:\d{1,5})?$/i;

/** Whether a name may be that of a host, with a port that there is. */
function isHost(host) {
  const port = /:(\d+)$/.exec(host)?.[1];
  return HOST.test(host) && !host.includes("..") && !host.startsWith(".") && (port === undefined || Number(port) <= 65_535) && URL.canParse(`http://${host}/`);
}

function refuse(response, status, code, message) {
  response.status(status).json({ error: { code, message, path: "" } });
}

/** Odd methods, hosts and origins get a 4xx. */
export function turnAway(request, response, next) {
  const { method, headers } = request;
  if (!isHost(headers.host ?? "")) return refuse(response, 400, "bad-value", "this request names no host, or an odd one");
  if (method === "POST") {
    if (request.path !== "/api/plan") return refuse(response.set("Allow", "GET, HEAD"), 405, "bad-verb", "this address is only read");
    const { origin } = headers;
    if (origin !== undefined && (!URL.canParse(origin) || new URL(origin).host !== headers.host))
      return refuse(response, 403, "bad-value", "asked from another site");
    return next();
  }
  if (method !== "GET" && method !== "HEAD") return refuse(response.set("Allow", "GET, HEAD, POST"), 405, "bad-verb", "use GET, or POST for a plan");
  return next();
}

/** Reads a body, counted while it streams; null when it is too large. */
async function bodyOf(request) {
  if (Number(request.headers["content-length"] ?? 0) > MOST_BYTES) return null;
  const chunks = [];
  let size = 0;
  for await (const chunk of request) {
    size += chunk.length;
    if (size > MOST_BYTES) return null;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString("utf8");
}

/**
 * Answers questions for plans out of the pool.
 *
 * @param {ReturnType<typeof import("./plan-pool.mjs").planPool>} pool
 * @param {(text: string) => unknown} faultOf what is wrong with a question, null for nothing
 */
export function plans(pool, faultOf) {
  return async (request, response) => {
    const text = await bodyOf(request).catch(() => undefined);
    // The asker has gone.
    if (text === undefined) return void response.destroy();
    if (text === null) {
      response.set("Connection", "close");
      refuse(response, 413, "bad-value", "a piece is never this large");
      return void response.on("finish", () => request.destroy());
    }
    // What is wrong with it is told at once, however much waits.
    const fault = faultOf(text);
    if (fault) return void response.status(422).json({ error: fault });
    const gone = new AbortController();
    response.on("close", () => gone.abort());
    try {
      const answer = await pool.ask(text, gone.signal);
      if (answer.ok) response.json(answer.value);
      else response.status(422).json({ error: answer.problem });
    } catch (error) {
      if (gone.signal.aborted) return void response.destroy();
      if (!(error instanceof Busy)) throw error;
      const said = error.why === "full" ? "too many questions at once; come again" : "this took longer than it may; ask for less, or come again";
      refuse(response.set("Retry-After", RETRY_AFTER_S), 503, "bad-value", said);
    }
  };
}
