import { runVerb } from "#core/cli-verbs";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { parseAsk } from "#core/formats/parse-ask";
import type { Parsed, Problem } from "#core/formats/problem";

/** Plans for scripts: the same core, the same answers and the same errors as the headless door. The server asks it in a thread of its own. */
export function answered(text: string): Parsed<unknown> {
  return runVerb("plan", text);
}

/** What is wrong with a question, before anything of it is planned; null where it may be asked. */
export function faultOf(text: string): Problem | null {
  let document: unknown;
  try {
    document = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch (error) {
    return { code: "not-json", path: "", message: `the body is not JSON: ${(error as Error).message}` };
  }
  const read = parseAsk(document, CATALOGUE);
  return read.ok ? null : read.problem;
}

/** A plan is asked for with POST, which the server answers before any page. */
export function loader() {
  return Response.json({ error: { code: "bad-verb", message: "send a piece with POST", path: "" } }, { status: 405 });
}
