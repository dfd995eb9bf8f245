import { chromium } from "playwright-core";
import { CHROMIUM_ARGS, chromiumPath } from "../../scripts/ensure.mjs";

/** Serves the built app on a free port and starts one browser for all suites. */
export default async function setUp() {
  process.env.NODE_ENV = "production";
  const { serve } = await import("../../server/serve.mjs");
  const server = await serve({ port: 0 });
  // A browser does not start by a clock that is set: its pages are told the time one by one.
  const { LD_PRELOAD: _clock, ...env } = process.env;
  const browser = await chromium.launchServer({ executablePath: chromiumPath(), args: CHROMIUM_ARGS, env });
  process.env.NOOK_COAT_CHROMIUM = JSON.stringify([chromiumPath(), ...CHROMIUM_ARGS]);
  process.env.NOOK_COAT_URL = server.url;
  process.env.NOOK_COAT_BROWSER = browser.wsEndpoint();
  globalThis.nookCoat = { server, browser };
}
