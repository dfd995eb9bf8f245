import { CATALOGUE } from "./catalogue/catalogue";
import { checkSteps } from "./coating/check-steps";
import { planPiece } from "./coating/planner/plan-piece";
import { parseCheck } from "./formats/parse-check";
import { parsePiece } from "./formats/parse-piece";
import { bad } from "./formats/problem";
import type { Parsed } from "./formats/problem";
import { zoneAreas } from "./piece/zone-areas";

function answered<T>(parsed: Parsed<T>, answer: (value: T) => unknown): Parsed<unknown> {
  return parsed.ok ? { ok: true, value: answer(parsed.value) } : parsed;
}

/** `plan` takes a bare piece, or `{ piece }`. */
function pieceIn(document: unknown): { value: unknown; at: readonly string[] } {
  const wrapped = typeof document === "object" && document !== null && "piece" in document && !("format" in document);
  return wrapped ? { value: (document as { piece: unknown }).piece, at: ["piece"] } : { value: document, at: [] };
}

function strangers(document: unknown, known: readonly string[]): string | undefined {
  return typeof document === "object" && document !== null && !("format" in document) && "piece" in document
    ? Object.keys(document).find((key) => !known.includes(key))
    : undefined;
}

const VERBS: Readonly<Record<string, (document: unknown) => Parsed<unknown>>> = {
  plan: (document) => {
    const stranger = strangers(document, ["piece"]);
    if (stranger !== undefined) return bad("unknown-key", stranger, `"${stranger}" is not something plan takes`);
    const { value, at } = pieceIn(document);
    return answered(parsePiece(value, CATALOGUE, at), (piece) => planPiece(piece, CATALOGUE));
  },
  check: (document) => answered(parseCheck(document, CATALOGUE), ({ piece, zones }) => ({ findings: checkSteps(piece, zones, CATALOGUE) })),
  area: (document) => answered(parsePiece(document, CATALOGUE), (piece) => ({ zones: zoneAreas(piece, CATALOGUE) })),
};

/**
 * The headless door: one JSON document in, one out.
 *
 * @returns the answer, or the problem that goes to standard error
 */
export function runVerb(verb: string | undefined, input: string): Parsed<unknown> {
  const run = verb === undefined ? undefined : VERBS[verb];
  if (!run) return bad("bad-verb", "", `say one of: ${Object.keys(VERBS).join(", ")}`);
  let document: unknown;
  try {
    document = JSON.parse(input.replace(/^\uFEFF/, ""));
  } catch (error) {
    return bad("not-json", "", `standard input is not JSON: ${(error as Error).message}`);
  }
  return run(document);
}

/** Verbs the door knows. */
export const VERB_NAMES: readonly string[] = Object.keys(VERBS);
