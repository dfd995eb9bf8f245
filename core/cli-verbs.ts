import { CATALOGUE } from "./catalogue/catalogue";
import { withOwnProducts } from "./catalogue/own-product";
import { checkSteps } from "./coating/rules/check-steps";
import { planPiece } from "./coating/planner/plan-piece";
import { parseCheck } from "./formats/parse-check";
import { parseAsk } from "./formats/parse-ask";
import { answerCast } from "./formats/parse-cast";
import type { PlanAsk } from "./formats/parse-ask";
import { answerDry } from "./formats/parse-dry";
import { answerLearn } from "./formats/parse-learn";
import { answerMark } from "./formats/parse-mark";
import { answerMerge } from "./formats/parse-merge";
import { parsePiece } from "./formats/parse-piece";
import { answerHide, parseFilm, parseTint } from "./formats/parse-film";
import { parseSchedule } from "./formats/parse-schedule";
import { parseThin } from "./formats/parse-thin";
import { film } from "./film/film";
import { thin } from "./film/thin";
import { tint } from "./film/tint";
import { bad } from "./formats/problem";
import type { Parsed } from "./formats/problem";
import { withPatternLayers } from "./marking/solve-piece";
import { zoneAreas } from "./piece/zone-areas";
import { scheduled } from "./cli-schedule";
import { datedCandidate } from "./schedule/dates-of";
import { usualHours, writtenInstant } from "./schedule/free-hours";

function answered<T>(parsed: Parsed<T>, answer: (value: T) => unknown): Parsed<unknown> {
  return parsed.ok ? { ok: true, value: answer(parsed.value) } : parsed;
}

/** Plans what is asked; with a start, each candidate is dated too. */
function plan({ piece, shelf, keep, freeHours, start }: PlanAsk): unknown {
  const catalogue = shelf ? withOwnProducts(CATALOGUE, shelf) : CATALOGUE;
  const set = planPiece(withPatternLayers(piece, CATALOGUE), catalogue, keep ? { keep } : {});
  if (start === undefined) return set;
  const hours = freeHours ?? usualHours("UTC");
  const from = writtenInstant(start, "00:00", hours.timeZone);
  return { ...set, dates: set.candidates.map((one) => datedCandidate(piece, one, catalogue, hours, from)) };
}

const VERBS: Readonly<Record<string, (document: unknown) => Parsed<unknown>>> = {
  plan: (document) => answered(parseAsk(document, CATALOGUE), plan),
  check: (document) => answered(parseCheck(document, CATALOGUE), ({ piece, zones }) => ({ findings: checkSteps(piece, zones, CATALOGUE) })),
  thin: (document) => answered(parseThin(document, CATALOGUE), (ask) => thin(ask, CATALOGUE)),
  film: (document) => answered(parseFilm(document, CATALOGUE), film),
  hide: (document) => answerHide(document, CATALOGUE),
  tint: (document) => answered(parseTint(document), tint),
  dry: (document) => answerDry(document, CATALOGUE),
  learn: (document) => answerLearn(document, CATALOGUE),
  schedule: (document) => answered(parseSchedule(document, CATALOGUE), scheduled),
  mark: answerMark,
  merge: (document) => answerMerge(document, CATALOGUE),
  cast: answerCast,
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
