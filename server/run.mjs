/** Serves the built app as a process of its own, and says where. `PORT` and `HOST` say where it is wanted. */
process.env.NODE_ENV = "production";
const { leaveWithParent, serve } = await import("./serve.mjs");
// Only a test asks for it: whoever begins a server in the background means it to stay.
if (process.env.NOOK_COAT_LEAVE_WITH_PARENT === "1") leaveWithParent();
const wanted = Number(process.env.PORT ?? 4173);
const host = process.env.HOST ?? "127.0.0.1";
const { url } = await serve({ port: wanted, host }).catch((error) => {
  if (error.code !== "EADDRINUSE" || process.env.PORT) throw error;
  console.error(`Port ${wanted} is taken; taking a free one.`);
  return serve({ port: 0, host });
});
console.log(`Nook Coat is at ${url}`);
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => process.exit(0));
