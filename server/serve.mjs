import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import gzipped from "express-static-gzip";
import { fileURLToPath } from "node:url";
import { plans, turnAway } from "./guards.mjs";
import { planPool } from "./plan-pool.mjs";

const CLIENT = fileURLToPath(new URL("../build/client", import.meta.url));
const BUILD = new URL("../build/server/index.js", import.meta.url).href;
const A_YEAR = "1y";
const PARENT_WATCH_MS = 500;
/** A request that has not come through by then is closed, ms. */
const HEADERS_MS = 10_000;
const REQUEST_MS = 20_000;

/** What every answer says: what it is stays what it is, no other site may hold a window or a file of it, and it asks for no part of the device but the screen's sleep. */
const HEADERS = {
  "X-Content-Type-Options": "nosniff",
  "Referrer-Policy": "no-referrer",
  "Cross-Origin-Resource-Policy": "same-origin",
  "Permissions-Policy":
    "accelerometer=(), autoplay=(), camera=(), display-capture=(), geolocation=(), gyroscope=(), hid=(), magnetometer=(), microphone=(), midi=(), payment=(), serial=(), usb=(), screen-wake-lock=(self)",
};

/** Whether the browser holds the way here for safe: https, or this very machine. */
function isTrusted({ headers }) {
  return headers["x-forwarded-proto"] === "https" || /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/.test(headers.host ?? "");
}

/** A worker obeys the policy of its own response, so assets carry one too. */
const ASSET_POLICY = "default-src 'none'; script-src 'self'; connect-src 'self'";

function assets(root, options) {
  const serveStatic = { ...options, setHeaders: (response) => response.setHeader("Content-Security-Policy", ASSET_POLICY) };
  return gzipped(root, { index: false, serveStatic });
}

/**
 * Serves the built app.
 *
 * @param {{ port?: number, host?: string }} options port 0 takes any free one
 * @returns {Promise<{ url: string, close: () => Promise<void> }>}
 */
export async function serve({ port = 4173, host = "127.0.0.1" } = {}) {
  const build = await import(BUILD);
  const app = express();
  app.disable("x-powered-by");
  // What is turned away says so too.
  app.use((request, response, next) => {
    response.set(HEADERS);
    // Over plain http from another machine a browser trusts no opener policy, and says so on its console.
    if (isTrusted(request)) response.set("Cross-Origin-Opener-Policy", "same-origin");
    next();
  });
  app.use(turnAway);
  const pool = planPool();
  app.post("/api/plan", plans(pool, build.routes["routes/api-plan/route"].module.faultOf));
  // The browser asks for it anew each time, so that a new version is found.
  app.get("/sw.js", (_request, response, next) => {
    response.setHeader("Cache-Control", "no-cache");
    next();
  });
  // Browsers ask for this one by themselves where a page was left before it said which is its own.
  app.get("/favicon.ico", (_request, response) => response.redirect(301, "/favicon.svg"));
  app.use("/assets", assets(`${CLIENT}/assets`, { immutable: true, maxAge: A_YEAR }));
  app.use(assets(CLIENT, { maxAge: "1h", cacheControl: false }));
  app.use(compression());
  app.use(createRequestHandler({ build, mode: "production" }));
  const listening = await new Promise((resolve, reject) => {
    const server = app.listen(port, host, (error) => (error ? reject(error) : resolve(server)));
  });
  listening.headersTimeout = HEADERS_MS;
  listening.requestTimeout = REQUEST_MS;
  const url = `http://${host}:${listening.address().port}`;
  return {
    url,
    close: async () => {
      await pool.close();
      listening.closeAllConnections();
      await new Promise((done) => listening.close(() => done(undefined)));
    },
  };
}

/**
 * A server that leaves when its parent has gone, for a test that takes its parent away: npm passes no signal on. Where nobody asks for that a server begun
 * in the background outlives the shell it was begun in.
 */
export function leaveWithParent() {
  const parent = process.ppid;
  setInterval(() => {
    if (process.ppid !== parent) process.exit(0);
  }, PARENT_WATCH_MS).unref();
}
