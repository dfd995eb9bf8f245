/** The thread plans are worked out in: text in, an answer out. */
import { parentPort } from "node:worker_threads";

const { routes } = await import(new URL("../build/server/index.js", import.meta.url).href);
const { answered } = routes["routes/api-plan/route"].module;

parentPort.postMessage("ready");
parentPort.on("message", (text) => parentPort.postMessage(answered(text)));
