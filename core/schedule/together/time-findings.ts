import { COMMON_PRACTICE } from "../../catalogue/provenance";
import type { Finding } from "../../coating/model/plan";
import { sayDuration } from "../../units/duration";
import { MS_PER_MIN } from "../free-hours";
import type { Together } from "./schedule-all";

const finding = (code: string, severity: Finding["severity"], stepId: Finding["stepId"], message: string, why: string, text: string): Finding => ({
  code,
  severity,
  zone: null,
  stepId,
  message,
  why,
  fix: { text },
  provenance: COMMON_PRACTICE,
});

/**
 * What is wrong with the time of one piece among all.
 *
 * @param id of the piece
 * @returns findings of its plan, each told once, of the step it weighs most on: late for its day, not hard by it, a window that shuts before the next coat, a coat that is longer than any sitting
 */
export function timeFindings({ network, sittings, late, cured }: Together, id: string): readonly Finding[] {
  const piece = network.pieces.findIndex((one) => one.id === id);
  if (piece < 0) return [];
  const { due } = network.pieces[piece]!;
  const found: Finding[] = [];
  const lateMs = late[piece]!;
  if (lateMs > 0)
    found.push(
      finding(
        "late",
        "warn",
        null,
        `it is ready ${sayDuration(lateMs / MS_PER_MIN)} after the day it is needed`,
        "your free hours, the waits and what else is on the table leave no sooner end",
        "A way that is ready sooner, one more evening, a warmer room or a fan: the calendar says what each would buy. Or a later day.",
      ),
    );
  else if (due !== null && cured[piece]! > due)
    found.push(
      finding(
        "not-hard-in-time",
        "note",
        null,
        "it may be handled by the day it is needed, and is not hard yet",
        "a film that still hardens takes marks of paper, film and whatever stands on it",
        "Hand it over unwrapped, with its care card, and say from when it may be washed; silicone paper where it has to be packed.",
      ),
    );
  const shut = new Set(
    sittings.flatMap(({ stints }) =>
      stints.flatMap(({ node, windowShut }) => (windowShut && network.nodes[node]!.piece === piece ? [network.nodes[node]!.task.stepId] : [])),
    ),
  );
  const [first] = shut;
  if (first !== undefined)
    found.push(
      finding(
        "window-shut",
        "warn",
        first,
        shut.size === 1
          ? "in your free hours this coat comes after the one below has closed"
          : `in your free hours ${shut.size} coats come after the ones below have closed`,
        "past its window a coat takes hold of nothing, a mask tears its edge, and colours no longer run into one another",
        "Find a longer stretch for both; else scuff the coat below, score along the mask, or lay fresh colour to blend into.",
      ),
    );
  const long = network.nodes.filter((node) => node.piece === piece && node.tooLong && node.endedAt === null);
  const longest = long.reduce<(typeof long)[number] | null>((most, node) => (most && most.ms >= node.ms ? most : node), null);
  if (longest) {
    const coats = new Set(long.map(({ task }) => task.stepId)).size;
    found.push(
      finding(
        "too-long",
        "warn",
        longest.task.stepId,
        coats === 1
          ? "this coat takes longer than any stretch of your free hours"
          : `${coats} steps take longer than any stretch of your free hours; this one longest, ${sayDuration(longest.ms / MS_PER_MIN)}`,
        "a coat that is broken off shows an edge where it was left",
        "Free one longer stretch for it, or break it off at a rim, a corner or a line of the pattern.",
      ),
    );
  }
  return found;
}
