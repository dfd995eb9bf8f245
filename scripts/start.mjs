/** `npm start`: sets up, builds, serves, says where. */
import { build } from "./build.mjs";
import { ensurePackages } from "./ensure.mjs";

ensurePackages();
console.error("Building…");
if (build() !== 0) process.exit(1);
process.env.NODE_ENV = "production";
// A notebook that was never used opens with made-up pieces in it.
process.env.NOOK_COAT_DEMO ??= "1";
const { leaveWithParent, serve } = await import("../server/serve.mjs");
leaveWithParent();
const wanted = Number(process.env.PORT ?? 4173);
const host = process.env.HOST ?? "127.0.0.1";
const { url } = await serve({ port: wanted, host }).catch((error) => {
  if (error.code !== "EADDRINUSE" || process.env.PORT) throw error;
  console.error(`Port ${wanted} is taken; taking a free one.`);
  return serve({ port: 0, host });
});
console.log(`Nook Coat is at ${url}`);
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => process.exit(0));
