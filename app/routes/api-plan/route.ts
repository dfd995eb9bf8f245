import { runVerb } from "#core/cli-verbs";
import type { Parsed } from "#core/formats/problem";

/** Plans for scripts: the same core, the same answers and the same errors as the headless door. The server asks it in a thread of its own. */
export function answered(text: string): Parsed<unknown> {
  return runVerb("plan", text);
}

/** A plan is asked for with POST, which the server answers before any page. */
export function loader() {
  return Response.json({ error: { code: "bad-verb", message: "send a piece with POST", path: "" } }, { status: 405 });
}
