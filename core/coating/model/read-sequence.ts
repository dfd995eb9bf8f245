import type { Catalogue } from "../../catalogue/catalogue";
import { ACT_WORDS, COUNT_WORDS, TECHNIQUE_WORDS } from "../../catalogue/data/sequence-words";
import { productId } from "../../catalogue/ids";
import type { ProductId } from "../../catalogue/ids";
import type { ProductClass } from "../../catalogue/product-class";
import { classesOf, readLabel } from "../../catalogue/read-label";
import type { Role, Sheen, TechniqueId } from "../../catalogue/vocabulary";
import { LAYER_JOBS } from "./layer-jobs";
import type { LayerRole } from "./layer-jobs";
import { colourNamedIn } from "../../film/colour-names";
import { mixSaid } from "./mix-said";

/** A jar a painter may name. */
export interface NamedJar {
  readonly id: string;
  readonly name: string;
  readonly classId: string;
  readonly colour?: string;
}

/** One step of what somebody did, or means to do, as they said it. */
export interface SaidStep {
  readonly role: Role;
  readonly product: ProductId;
  readonly jar?: string;
  readonly coats?: number;
  readonly colour?: string;
  /** What its colour is mixed from: "navy and a little white". */
  readonly mix?: string;
  readonly sheen?: Sheen;
  readonly technique?: TechniqueId;
  readonly heat?: { readonly temperatureC: number; readonly holdMin: number };
  /** "YYYY-MM-DD", where it was said when. */
  readonly day?: string;
  /** The words it was read from. */
  readonly words: string;
}

/** What was read of a sequence. */
export interface ReadSequence {
  readonly steps: readonly SaidStep[];
  /** Words nothing was made of. */
  readonly unread: readonly string[];
}

/** What a product is laid for where it could be laid for several things: the first counts. */
const LIKELIEST: readonly LayerRole[] = ["prime", "base", "decorate", "seal", "size", "isolate", "lock", "fill"];

const does = ({ jobs }: ProductClass, role: LayerRole) => LAYER_JOBS[role].some((job) => jobs.includes(job));

/** As much as a record keeps of it. */
const MOST_OF_MIX = 80;
const WEEKDAYS = ["sunday", "monday", "tuesday", "wednesday", "thursday", "friday", "saturday"] as const;
const MS_PER_DAY = 86_400_000;

function coatsSaid(text: string): number | undefined {
  const match = text.match(/\b(\d{1,2}|a|one|two|three|four|five|six)\b[^,;]*?\b(?:coats?|layers?|times)\b|\b(once|twice)\b/i);
  const word = (match?.[1] ?? match?.[2])?.toLowerCase();
  if (word === undefined) return undefined;
  const count = COUNT_WORDS[word] ?? Number(word);
  return count >= 1 && count <= 20 ? count : undefined;
}

/** The day some words name, before today or on it. */
function daySaid(text: string, today: string): string | undefined {
  const back = (days: number) => new Date(Date.parse(`${today}T12:00:00Z`) - days * MS_PER_DAY).toISOString().slice(0, 10);
  if (/\b(today|this morning|just now)\b/i.test(text)) return today;
  if (/\b(yesterday|last night)\b/i.test(text)) return back(1);
  const ago = text.match(/\b(\d{1,3}|a|one|two|three|four|five|six) (day|week)s? ago\b/i);
  if (ago) return back((COUNT_WORDS[ago[1]!.toLowerCase()] ?? Number(ago[1])) * (ago[2]!.toLowerCase() === "week" ? 7 : 1));
  const named = WEEKDAYS.findIndex((day) => new RegExp(String.raw`\b${day}s?\b`, "i").test(text));
  if (named < 0) return undefined;
  const now = new Date(`${today}T12:00:00Z`).getUTCDay();
  return back((now - named + 7) % 7 || 7);
}

function jarSaid(text: string, jars: readonly NamedJar[]): NamedJar | null {
  const lower = text.toLowerCase();
  const named = jars.filter(({ name }) => lower.includes(name.toLowerCase()));
  return [...named].sort((a, b) => b.name.length - a.name.length)[0] ?? null;
}

/** A paint nobody named, of a colour somebody did: the jar of that colour, else what most paint with. */
const USUAL_PAINT = productId("craft-acrylic");

function productSaid(text: string, decorated: boolean, catalogue: Catalogue): ProductClass | null {
  const classes = classesOf(text, catalogue).flatMap(({ product }) => catalogue.products.get(product) ?? []);
  const fits = decorated ? classes.find(({ jobs }) => jobs.includes("decorate")) : undefined;
  const best = fits ?? classes[0];
  if (best) return best;
  const paint = decorated || colourNamedIn(text) !== null || /\b(paint(ed)?|base ?coat|colou?r)\b/i.test(text);
  return paint ? (catalogue.products.get(USUAL_PAINT) ?? null) : null;
}

function roleOf(product: ProductClass, text: string, decorated: boolean): Role {
  if (decorated) return "decorate";
  if (/\bvarnish|\bseal(ed|er)?\b|\btop ?coat\b/i.test(text) && does(product, "seal")) return "seal";
  if (/\bprim(ed?|er|ing)\b/i.test(text) && does(product, "prime")) return "prime";
  return LIKELIEST.find((role) => does(product, role)) ?? "base";
}

function stepSaid(words: string, today: string, catalogue: Catalogue, jars: readonly NamedJar[]): SaidStep | null {
  const [coats, day] = [coatsSaid(words), daySaid(words, today)];
  const when = day === undefined ? {} : { day };
  const technique = TECHNIQUE_WORDS.find(({ says }) => says.test(words))?.technique;
  const act = ACT_WORDS.find(({ says }) => says.test(words));
  const mix = mixSaid(words, jars);
  const named = jarSaid(words, jars);
  // What is mixed comes out of no one jar.
  const jar = mix ? null : named;
  if (act && !named) {
    const bake = act.role === "heat-set" ? readLabel(words).label.bake : undefined;
    return { role: act.role, product: productId(act.product), ...(bake ? { heat: { temperatureC: bake.atC, holdMin: bake.holdMin } } : {}), ...when, words };
  }
  const decorated = technique !== undefined;
  const product = named ? (catalogue.products.get(productId(named.classId)) ?? null) : productSaid(words, decorated, catalogue);
  if (!product) return null;
  const role = roleOf(product, words, decorated);
  const colour = mix?.colour ?? jar?.colour ?? (role === "base" || role === "decorate" ? (colourNamedIn(words) ?? undefined) : undefined);
  const sheen = role === "seal" ? readLabel(words).label.sheen : undefined;
  return {
    role,
    product: product.id,
    ...(jar ? { jar: jar.id } : {}),
    ...(coats === undefined ? {} : { coats }),
    ...(colour === undefined ? {} : { colour }),
    ...(mix ? { mix: mix.words.slice(0, MOST_OF_MIX) } : {}),
    ...(sheen === undefined ? {} : { sheen }),
    ...(technique === undefined ? {} : { technique }),
    ...when,
    words,
  };
}

/**
 * Reads what somebody did, or has in mind, from their words: steps in the order they are said, each with what is said of it and no more.
 *
 * @param text steps parted by commas, full stops, lines or "then"
 * @param today "YYYY-MM-DD": days are told from it
 * @param jars the painter's own, which they may name
 */
export function readSequence(text: string, today: string, catalogue: Catalogue, jars: readonly NamedJar[] = []): ReadSequence {
  const parts = text
    .split(/[,;\n]|\.(?!\d)|\bthen\b|\bafter that\b/i)
    .map((part) => part.replace(/^\s*(and|finally|first|last)\b/i, "").trim())
    .filter((part) => part !== "");
  const steps: SaidStep[] = [];
  const unread: string[] = [];
  for (const words of parts) {
    const step = stepSaid(words, today, catalogue, jars);
    const [last, coats] = [steps.at(-1), coatsSaid(words)];
    if (step) steps.push(step);
    // "Craft acrylic, two coats": of what was named just before.
    else if (last && last.coats === undefined && coats !== undefined) steps[steps.length - 1] = { ...last, coats, words: `${last.words}, ${words}` };
    else unread.push(words);
  }
  return { steps, unread };
}
