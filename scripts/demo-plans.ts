/** Works the plans of the Tern Point pieces out once, at the build, and writes them beside the assets: the first visit shows them without working them out. */
import { writeFileSync } from "node:fs";
import { isDeepStrictEqual } from "node:util";
import { ternPointPlans } from "../app/demo/tern-point-plans";

const [to] = process.argv.slice(2);
if (to === undefined) throw new Error("say which file to write");
const written = ternPointPlans();
const text = JSON.stringify(written);
if (!isDeepStrictEqual(JSON.parse(text), written)) throw new Error("a plan does not come back from its file as it went");
writeFileSync(to, text);
