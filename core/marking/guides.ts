import { memory } from "../catalogue/provenance";
import { sayFine } from "../units/length";
import type { GuideAsk, GuideStep } from "./guide-ask";
import { keptSteps } from "./kept-steps";
import { chordOf } from "./ring-count";
import type { SolvedPattern, SolvedRow } from "./solved";
import { rowName } from "./working-order";

/** Parting by halves, as it is said [common practice]. */
const HALVINGS: Readonly<Record<number, string>> = {
  2: "one line across",
  4: "one line across, one square to it",
  8: "one line across, one square to it, then halve each quarter",
  16: "one line across, one square to it, halve each quarter, and halve again",
  32: "halve and halve again, five times in all",
};

function howToPart(parts: number): string {
  if (HALVINGS[parts]) return HALVINGS[parts];
  if (parts === 6) return "one mark, the opposite one, then two in each half";
  if (parts === 12) return "one mark, the opposite one, two in each half, then halve each sixth";
  if (parts === 3) return "one mark, then two thirds of the round to each side of it";
  return parts % 2 === 0 ? `one mark, the opposite one, then ${parts / 2 - 1} in each half` : "step it round with the compass";
}

function centre({ surface, form, unit }: GuideAsk): GuideStep | null {
  if (surface.shape === "wall" || surface.from > 0) return null;
  const say = (mm: number) => sayFine(mm, unit);
  if (surface.round)
    return {
      id: "centre",
      instrument: "compass",
      title: "Find the middle",
      text: `Half of ${say(surface.widthMm)} is ${say(surface.widthMm / 2)}: open the compass to it and strike a short arc from the edge on four sides. Where they meet is the middle.`,
    };
  const sides = form.kind === "box" ? "from corner to corner" : `half the length is ${say(surface.widthMm / 2)}, half the width ${say(surface.heightMm / 2)}`;
  return { id: "centre", instrument: "ruler", title: "Find the middle", text: `Draw two lines across it: ${sides}. Where they cross is the middle.` };
}

/** Where the front of a mug or jar with a handle is: the face seen when the handle is at the holder's left. */
function front({ surface, parts, pattern, unit }: GuideAsk): GuideStep | null {
  if (surface.shape !== "wall" || !parts.includes("handle")) return null;
  const quarter = sayFine(surface.ring(surface.to).lengthMm / 4, unit);
  const left = pattern.hand === "left";
  return {
    id: "front",
    instrument: "tape",
    title: "Which side faces the others",
    text: `Hold the handle at your ${left ? "right" : "left"}: what you see is what others see when a ${left ? "left" : "right"} hand drinks. Its middle is ${quarter} round from the middle of the handle. Begin the rows there.`,
  };
}

function parting(ask: GuideAsk): GuideStep | null {
  const { surface, pattern, solved, unit } = ask;
  const parts = pattern.guides ?? 1;
  if (parts < 2) return null;
  if (pattern.byEye) return byEye(parts);
  if (surface.shape === "top") {
    const edge = surface.ring(surface.to);
    const step = sayFine(chordOf(edge, parts), unit);
    return {
      id: "slices",
      instrument: "template",
      title: `Part it in ${parts}`,
      text: `${capital(howToPart(parts))}; or lay the printed slices on it. ${surface.round ? `Round the edge the compass steps ${step}, ${parts} times, and closes.` : "Along the edge the parts are even by length, not by angle."}`,
    };
  }
  const edge = surface.ring(surface.to);
  const step = surface.round ? chordOf(edge, parts) : edge.lengthMm / parts;
  const foot = surface.ring(Math.max(surface.from, firstLevel(solved)));
  return {
    id: "steps",
    instrument: surface.round ? "compass" : "tape",
    title: `Part the round in ${parts}`,
    text: `At the rim step ${sayFine(step, unit)} with the compass, ${parts} times: it closes. By tape along the rim it is ${sayFine(edge.lengthMm / parts, unit)}${
      Math.abs(foot.lengthMm - edge.lengthMm) > 1 ? `, and ${sayFine(foot.lengthMm / parts, unit)} at the lowest row` : ""
    }. Join each mark straight down to the foot.`,
  };
}

function byEye(parts: number): GuideStep {
  return {
    id: "by-eye",
    instrument: "eye",
    title: "By eye, across the piece",
    text: `No lines: one dot, the one straight across from it, then ${parts > 2 ? `${howToPart(parts).replace(/^one (line across|mark)(, one square to it|, the opposite one)?,? ?/, "") || "one square to them on each side"}` : "the rest between"}. Always go across, never on round: what is off then is off alike on both sides.`,
  };
}

function firstLevel({ rows }: SolvedPattern): number {
  return Math.min(...rows.flatMap(({ level, refused }) => (level === null || refused ? [] : [level])), Infinity);
}

/** How a row is stepped round: straight from place to place. */
function stepping({ places }: SolvedRow, { surface, unit }: GuideAsk, level: number): string {
  if (places < 3) return "";
  const chord = chordOf(surface.ring(level), places);
  return ` Step ${sayFine(chord, unit)} from the middle of one to the middle of the next, ${places} times.`;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** How one row's line is drawn. */
function ringStep(one: SolvedRow, ask: GuideAsk): GuideStep | null {
  const { surface, unit, form } = ask;
  const { say, row, level } = one;
  if (!say || level === null || level <= 1e-6 || row.kind === "top-dots" || row.seat === "nestle" || row.seat === "between") return null;
  const id = `ring-${row.id}`;
  const title = rowName(row);
  const fine = (mm: number) => sayFine(mm, unit);
  const stripe = row.kind === "band" || row.kind === "line" ? row.diameterMm / 2 : 0;
  if (surface.shape === "wall") {
    const at = (by: number) => surface.say(level + by).heightMm!;
    const heights = stripe > 0.6 ? `${fine(at(-stripe))} and ${fine(at(stripe))}` : fine(at(0));
    return {
      id,
      instrument: "stack",
      title,
      text: `Rest the pencil on a stack ${heights} high and turn the piece against it. Round there: ${fine(one.lengthMm)} by tape.${stepping(one, ask, level)}`,
    };
  }
  if (surface.round) {
    const tape = surface.straight ? "" : ` By tape from the middle it is ${fine(say.tapeMm!)}: the compass gives the straight way.`;
    return { id, instrument: "compass", title, text: `Compass from the middle: ${fine(say.compassMm!)}.${tape}${stepping(one, ask, level)}` };
  }
  const inset = `${fine(say.insetMm)} in from the edge at the narrow side`;
  return {
    id,
    instrument: form.kind === "box" ? "ruler" : "template",
    title,
    text:
      form.kind === "box"
        ? `${capital(fine(say.insetMm))} in from every side.${stepping(one, ask, level)}`
        : `The printed oval for it; ${inset}. Equal angles are not equal steps here: step along the line.${stepping(one, ask, level)}`,
  };
}

function clear({ surface, pattern, unit }: GuideAsk): GuideStep | null {
  const mm = pattern.clearMm ?? 0;
  if (mm <= 0) return null;
  const how =
    surface.shape === "wall"
      ? `Turn it upside down, lay the pencil flat on something ${sayFine(mm, unit)} high, and drag the rim along it`
      : `Lay the pencil flat on something ${sayFine(mm, unit)} high on the table and drag the piece round against it, or measure it in from the edge`;
  return { id: "clear", instrument: "pencil", title: "The rim that stays clear", text: `${how}.` };
}

function notched({ surface }: GuideAsk): GuideStep | null {
  if (surface.shape === "wall") return null;
  return {
    id: "notch",
    instrument: "pencil",
    title: "A notch to find it again",
    text: "Nick the template at twelve and make one small mark under it on the edge: a template that slipped goes back where it was.",
  };
}

/** Less of it below than above: leaves in the middle of the height look too low [the rule is common practice, the share from memory]. */
const STEM_SHARE = memory(0.45).value;

function stem({ parts, surface, unit }: GuideAsk): GuideStep | null {
  if (!parts.includes("stem") || surface.shape !== "wall") return null;
  const tall = surface.say(surface.to).heightMm ?? surface.to;
  return {
    id: "stem",
    instrument: "ruler",
    title: "An upright for the stem",
    text: `Draw one line from foot to rim, and set the leaves about ${sayFine(tall * STEM_SHARE, unit)} up it: less below than above looks right.`,
  };
}

function takeOff({ pencil, pattern }: GuideAsk): GuideStep | null {
  if (!pencil || pattern.byEye) return null;
  const off = pencil.takeOff
    ? ` To take them off: ${pencil.takeOff}, when everything is dry and before any clear coat.`
    : pencil.pressed
      ? " They stay: paint hides them."
      : "";
  return { id: "pencil", instrument: pencil.pressed ? "tool" : "pencil", title: "What the lines are drawn with", text: `${pencil.draw}, lightly.${off}` };
}

/**
 * What is measured and drawn before the first mark, in working order, each with the instrument for it.
 *
 * @returns the short form where the pattern is set by eye
 */
export function guideSteps(ask: GuideAsk): readonly GuideStep[] {
  const part = parting(ask);
  const common = [...keptSteps(ask), clear(ask)];
  const rings = ask.solved.rows.filter(({ refused }) => !refused).map((one) => ringStep(one, ask));
  const all = ask.pattern.byEye
    ? [centre(ask), front(ask), ...common, part ?? byEye(4)]
    : [takeOff(ask), centre(ask), front(ask), ...common, notched(ask), part, stem(ask), ...rings];
  return all.filter((step) => step !== null);
}
