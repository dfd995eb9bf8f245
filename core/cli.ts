import { readFileSync } from "node:fs";
import { runVerb, VERB_NAMES } from "./cli-verbs";

/** Reads standard input, writes standard output; exit 0 for an answer (a refusal is one), 2 for bad input. */
function main(args: readonly string[]): void {
  const known = VERB_NAMES.includes(args[0] ?? "");
  const result = runVerb(args[0], known ? readFileSync(0, "utf8") : "{}");
  if (result.ok) process.stdout.write(`${JSON.stringify(result.value, null, 2)}\n`);
  else {
    process.stderr.write(`${JSON.stringify({ error: result.problem })}\n`);
    process.exitCode = 2;
  }
}

main(process.argv.slice(2));
