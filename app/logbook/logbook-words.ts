import { format, parseISO } from "date-fns";
import type { LogRecord, Look, MinutesLine, Move, Saw } from "#core/logbook/record/record";
import { SAWS } from "#core/logbook/record/record";
import { MOVE_WORDS, SAW_WORDS } from "#core/logbook/record/say-record";
import type { CostShare } from "#core/logbook/record/cost";
import { sayDuration } from "#core/units/duration";
import { kindText } from "~/components/own-times-words";
import type { Menu } from "#core/catalogue/menu";

/** A day as the logbook says it: "5 Mar 2027". */
export const sayLogDay = (day: string) => format(parseISO(day), "d MMM yyyy");

/** A month as it is chosen: "March 2027". */
export const sayMonth = (month: string) => format(parseISO(`${month}-01`), "MMMM yyyy");

/** Money in the user's own: two places, or none where it is whole. */
export function sayMoney(money: number): string {
  return Number.isInteger(Math.round(money * 100) / 100) ? String(Math.round(money)) : money.toFixed(2);
}

export const SAW_CHOICES = SAWS.map((id) => ({ id, name: SAW_WORDS[id] }));

/** What was seen, in one breath: "faded and chipped". */
export function saySaw(saw: readonly Saw[]): string {
  const words = saw.map((one) => SAW_WORDS[one]);
  return words.length < 2 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}

/** "fine" and anything else cannot be true at once: the one that was ticked last counts. */
export function sawAfter(before: readonly string[], next: readonly string[]): readonly Saw[] {
  const added = next.find((one) => !before.includes(one));
  if (added === "fine") return ["fine"];
  return next.filter((one) => one !== "fine" || next.length === 1) as Saw[];
}

export const MOVE_CHOICES = (["sold", "given", "left-out", "kept", "lost"] as const).map((id) => ({ id, name: MOVE_WORDS[id] }));

/** Where some of it went: "2 sold, for 9 each"; "given away, to Ida". */
export function sayMove({ count, kind, to, price }: Move, of: number): string {
  const many = of > 1 ? `${count} ` : "";
  const where = to === undefined ? "" : kind === "left-out" ? `, ${to}` : kind === "kept" ? `: ${to}` : `, to ${to}`;
  return `${many}${MOVE_WORDS[kind]}${where}${price === undefined ? "" : `, for ${sayMoney(price)}${count > 1 ? " each" : ""}`}`;
}

/** A look in one line: "faded; only at the edge". */
export function sayLook({ saw, note }: Look): string {
  return `${saySaw(saw)}${note === undefined ? "" : `; ${note}`}`;
}

export const SHARE_WORDS: Readonly<Record<CostShare, string>> = {
  paint: "Paint",
  body: "The bare body",
  tools: "Brushes, tools, heat",
  hands: "Your hands",
  other: "Box, cord, felt",
};

/** Minutes in all, and how they are known: "about 2 h 10 min, most of it by the clock". */
export function sayMinutes(minutes: readonly MinutesLine[]): string {
  const [all, timed] = minutes.reduce(([sum, seen], { min, timedMin }) => [sum + min, seen + timedMin] as const, [0, 0] as readonly [number, number]);
  if (all === 0) return "";
  const how = timed === 0 ? "as reckoned" : timed >= all - 0.5 ? "by the clock" : `${sayDuration(timed)} of it by the clock`;
  return `about ${sayDuration(all)}, ${how}`;
}

/** A kind of work as charts call it. */
export function workKind(kind: string, menu: Menu): string {
  return kind === "rest" ? "the rest" : kindText(kind, menu);
}

/** When it was made: "Nov 2026", or nothing where nobody knows. */
export function sayWhen({ finishedOn }: Pick<LogRecord, "finishedOn">): string {
  return finishedOn === undefined ? "" : format(parseISO(finishedOn), "MMM yyyy");
}
