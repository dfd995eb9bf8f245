import { runVerb, VERB_NAMES } from "./cli-verbs";

/** What a command leaves behind. */
export interface DoorAnswer {
  /** 0 for an answer (a refusal is one), 2 for bad input. */
  readonly exitCode: 0 | 2;
  readonly stdout: string;
  readonly stderr: string;
}

/**
 * The headless door as a function: reads one JSON document, answers with one.
 *
 * @param args the words after the command; the first is the verb
 * @param readInput reads standard input; not called for a verb the door does not know
 */
export function throughDoor(args: readonly string[], readInput: () => string): DoorAnswer {
  const known = VERB_NAMES.includes(args[0] ?? "");
  const result = runVerb(args[0], known ? readInput() : "{}");
  if (result.ok) return { exitCode: 0, stdout: `${JSON.stringify(result.value, null, 2)}\n`, stderr: "" };
  return { exitCode: 2, stdout: "", stderr: `${JSON.stringify({ error: result.problem })}\n` };
}
