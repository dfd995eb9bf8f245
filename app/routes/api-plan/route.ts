import { runVerb } from "#core/cli-verbs";
import type { Route } from "./+types/route";

const TOO_LARGE_BYTES = 1_000_000;

function refuse(status: number, problem: { code: string; message: string; path: string }): Response {
  return Response.json({ error: problem }, { status });
}

/** Plans for scripts: the same core, the same answers and the same errors as the headless door. */
export async function action({ request }: Route.ActionArgs) {
  if (request.method !== "POST") return refuse(405, { code: "bad-verb", message: "send a piece with POST", path: "" });
  const text = await request.text();
  if (text.length > TOO_LARGE_BYTES) return refuse(413, { code: "bad-value", message: "a piece is never this large", path: "" });
  const answer = runVerb("plan", text);
  return answer.ok ? Response.json(answer.value) : refuse(422, answer.problem);
}

export function loader() {
  return refuse(405, { code: "bad-verb", message: "send a piece with POST", path: "" });
}
