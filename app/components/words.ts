import type { Change } from "#core/coating/model/change";
import { zoneName, zoneNames } from "#core/catalogue/zone-words";
import { coatsOf, jarName, stepTitle } from "#core/coating/explain/step-title";
import type { ToldAct } from "#core/coating/explain/told-acts";
import type { Wait } from "#core/coating/model/step";
import type { Trade, Win } from "#core/coating/facts/trade-offs";
import { sayDuration, sayDurationRange } from "#core/units/duration";

export { jarName, stepTitle, zoneName, zoneNames };

/**
 * Where an act is done: "Inside, outside and rim; saucer only one coat"; "All over" where it is done in every place.
 *
 * @param places how many places of the piece are worked on
 */
export function placesText({ zones, fewer }: Pick<ToldAct, "zones" | "fewer">, places: number): string {
  const less = fewer.map(({ zone, coats }) => `${zoneName(zone).toLowerCase()} only ${coatsOf(coats, "coat")}`);
  return [zones.length === places ? "All over" : zoneNames(zones), ...less].join("; ");
}

/** What has changed in a step that is done all the same. */
const SETTING_WORDS: Readonly<Record<string, string>> = {
  sheen: "another sheen",
  colour: "another colour",
  thinning: "thinned otherwise",
  method: "laid on otherwise",
  heat: "another heat",
  marks: "other marks",
  coverage: "more or less of it",
  waitBefore: "another wait before it",
};

/** A setting of a step that is another now: "Base colour: craft acrylic: 3 coats". */
export function settingText(field: string, value: unknown): string {
  if (field === "marks" && typeof value === "object" && value !== null && "count" in value) return `${String(value.count)} marks`;
  return field === "coats" && typeof value === "number" ? coatsOf(value, "coat") : (SETTING_WORDS[field] ?? "done otherwise");
}

const UNTIL_WORDS: Record<Wait["until"], string> = {
  "set-to-touch": "until it has just set",
  "dust-free": "until dust no longer sticks",
  "tack-free": "until it is no longer tacky",
  "dry-to-touch": "until it is dry to the touch",
  "dry-hard": "until it is dry and hard",
  "dry-through": "until it is dry right through",
  "dry-to-recoat": "until it takes the next coat",
  cured: "until it is fully hard",
  "dry-body": "until the piece itself is dry",
};

/** A wait as a person says it, with the careful end of the range. */
export function waitText(wait: Wait): string {
  const until = UNTIL_WORDS[wait.until] ?? "";
  if (wait.set === "hers") return `Wait ${sayDuration(wait.min)} (set by you) ${until}`;
  const range = sayDurationRange(wait.min, wait.cautiousMin ?? wait.min);
  if (wait.body === "weighed") return `Weigh it now and then, until its weight stays the same: in this room about ${range}`;
  if (wait.body === "cement") return `Wait ${range} until the cement has hardened`;
  return `Wait ${range} ${until}`;
}

/** What one plan trades against another, as the user would say it. */
export const TRADE_WORDS: Record<Trade, string> = {
  "wears-longer": "wears longer",
  "wears-less": "wears less long",
  sooner: "ready sooner",
  later: "ready later",
  "less-work": "less time at the bench",
  "more-work": "more time at the bench",
  "less-to-buy": "fewer things to buy",
  "more-to-buy": "more to buy",
  "fewer-coats": "fewer coats of colour",
  "more-coats": "more coats of colour",
  cheaper: "cheaper in paint",
  dearer: "dearer in paint",
  "more-forgiving": "forgives more while you work",
  "less-forgiving": "forgives less while you work",
  gentler: "gentler to breathe and handle",
  harsher: "needs more care: fumes, heat or resin",
};

/** What a plan wins among those shown. */
export const WIN_WORDS: Record<Win, string> = {
  durability: "the hardest wearing",
  readyDays: "ready soonest",
  products: "the least to buy",
  harshness: "the gentlest",
  handsOnMin: "the least time at the bench",
  coats: "the fewest coats of colour",
  cost: "the cheapest in paint",
};

/** Facts of a piece as the user calls them, by the end of their path; others by their own words. */
const FACT_WORDS: Readonly<Record<string, string>> = {
  count: "how many",
  material: "what it is made of",
  object: "what it is",
  form: "shape and size",
  uses: "what it is for",
  conditions: "how it looks",
  techniques: "the decoration",
  layers: "what goes where",
  patterns: "the rows that are marked out",
  colours: "the colours",
  media: "what you decorate with",
  done: "what was on it before",
};
/** Facts that are said together, by the beginning of their path. */
const PART_WORDS: Readonly<Record<string, string>> = { room: "where you work", wishes: "ground and sealer", constraints: "what can be had" };

/** A fact of a piece by its path: "room.relativeHumidity" is "where you work", "decoration.baseColour" is "base colour". */
export function sayFact(path: string): string {
  const [part, last] = [path.split(".")[0]!, path.split(".").at(-1)!];
  if (PART_WORDS[part] !== undefined) return PART_WORDS[part];
  const words = last.replace(/(Mm|C|Mm2|Pct)$/, "").replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return FACT_WORDS[last] ?? words;
}

/** What a change of a plan is about. */
export function sayEdit(change: Change): string {
  if (change.op === "set") return `${sayFact(change.field)} of a step`;
  return change.op === "remove" ? "a step left out" : change.op === "move" ? "the place of a step" : "a step";
}

/** Which coat of a step, or which half of it: "coat 2 of 2, the half you do not hold"; "" where there is only one. */
export function coatWords(coat: number, half: "first" | "second" | undefined, of: number): string {
  const said = [...(of > 1 ? [`coat ${coat} of ${of}`] : []), ...(half ? [half === "first" ? "the half you do not hold" : "the other half"] : [])];
  return said.join(", ");
}

/** What lengths are measured in. */
export const UNIT_CHOICES = [
  { id: "mm", name: "millimetres" },
  { id: "in", name: "inches" },
] as const;
