import type { Menu } from "#core/catalogue/menu";
import { SHEEN_WORDS } from "#core/catalogue/vocabulary";
import { nameOfColour } from "#core/film/colour-names";
import type { Assumption, Layer, Piece } from "#core/piece/piece";
import { patternWords } from "~/components/extent-words";
import { nameIn } from "~/components/use-menu";
import { zoneName } from "~/components/words";
import { baseOf, coloursOf, objectOf } from "./fact-props";
import { lowerFirst } from "#core/units/letter-case";

/** What of a piece is said, and changed, in one go. */
export type FactKey =
  | "material"
  | "object"
  | "count"
  | "conditions"
  | "uses"
  | "base"
  | "techniques"
  | "layers"
  | "colours"
  | "media"
  | "finish"
  | "room"
  | "limits"
  | "wishes"
  | "done";

export const FACT_LABELS: Readonly<Record<FactKey, string>> = {
  material: "What it is made of",
  object: "What it is",
  count: "How many there are",
  conditions: "How it looks now",
  uses: "What it is for",
  base: "Base colour",
  techniques: "Decoration",
  layers: "What goes where, in its order",
  colours: "Colours of the decoration",
  media: "What you decorate with",
  finish: "Finish",
  room: "Where you work",
  limits: "What can be had",
  wishes: "Ground and sealer",
  done: "What was on it before",
};

/** A part of a sentence that opens its choices. */
export interface Said {
  readonly fact: FactKey;
  readonly words: string;
  /** Nobody said it: it is taken as usual. */
  readonly soft: boolean;
  /** Colours it names, as daubs before the words. */
  readonly daubs: readonly string[];
}

export type Sentence = readonly (string | Said)[];

/** What sentences are made from. */
export interface Telling {
  readonly piece: Piece;
  readonly assumed: readonly Assumption[];
  readonly menu: Menu;
  /** Where the work is done, as it is called. */
  readonly roomName: string;
}

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Several in one breath: "dots, bands and lettering". */
function listed(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}

/** A colour as the painter calls it: the name of a jar of just that colour, else a plain name. */
export function colourWords(hex: string, menu: Menu): string {
  return menu.jars.find((jar) => jar.colour?.toLowerCase() === hex.toLowerCase())?.name ?? nameOfColour(hex);
}

function said(fact: FactKey, words: string, soft = false, daubs: readonly string[] = []): Said {
  return { fact, words, soft, daubs };
}

function thing({ piece, assumed, menu }: Telling): Sentence {
  const parts = piece.parts ?? [];
  const kind = `${lowerFirst(nameIn(menu.objects, objectOf(piece, assumed)))}${parts.length === 0 ? "" : ` with ${listed(parts)}`}`;
  const count = piece.count ?? 1;
  const conditions = (piece.conditions ?? []).map((id) => lowerFirst(nameIn(menu.conditions, id)));
  return [
    said("material", nameIn(menu.materials, piece.material)),
    ": ",
    said("object", kind, piece.object === undefined),
    ", ",
    said("count", count === 1 ? "just one" : `${count} of them`, piece.count === undefined),
    ", ",
    said("conditions", conditions.length === 0 ? "clean and sound" : listed(conditions), piece.conditions === undefined),
    ".",
  ];
}

function purpose({ piece, menu }: Telling): Sentence {
  const uses = piece.uses.map((id) => lowerFirst(nameIn(menu.uses, id)));
  return [said("uses", upper(uses.join("; "))), "."];
}

/** One layer in a few words: "dots in amber on the rim". */
function layerWords({ technique, colour, zone, medium }: Layer, menu: Menu): string {
  const inColour = colour === undefined ? "" : ` in ${colourWords(colour, menu)}`;
  const there = zone === undefined ? "" : ` on the ${lowerFirst(zoneName(zone))}`;
  return `${lowerFirst(nameIn(menu.techniques, technique))}${inColour}${medium === undefined ? "" : `, ${lowerFirst(nameIn(menu.products, medium))},`}${there}`;
}

/** Layers in their order; those of a pattern in one breath for each place. */
function layersWords(layers: readonly Layer[], menu: Menu): string {
  const own = layers.filter(({ rows }) => !rows).map((one) => layerWords(one, menu));
  const zones = [...new Set(layers.flatMap(({ rows, zone }) => (rows && zone ? [zone] : [])))];
  const marked = zones.map((zone) => `${patternWords(layers.filter((one) => one.rows && one.zone === zone))} on the ${lowerFirst(zoneName(zone))}`);
  return [...own, ...marked].join("; ");
}

function decoration({ piece, assumed, menu }: Telling): Sentence {
  const { baseColour, colours: own, techniques = [], media = [], layers = [] } = piece.decoration ?? {};
  const base = baseOf(piece, assumed);
  const colours = coloursOf(piece, assumed);
  const ground = said("base", base === null ? "Its own face" : upper(colourWords(base, menu)), baseColour === undefined, base === null ? [] : [base]);
  if (layers.length > 0) return [ground, " all over, then ", said("layers", layersWords(layers, menu), false, colours), "."];
  const none = techniques.length === 0;
  const how = said("techniques", none ? "no decoration" : listed(techniques.map((id) => lowerFirst(nameIn(menu.techniques, id)))), none);
  if (none) return [ground, " all over, ", how, "."];
  return [
    ground,
    " all over, ",
    how,
    ...(colours.length === 0 ? [] : [" in ", said("colours", listed(colours.map((hex) => colourWords(hex, menu))), own === undefined, colours)]),
    ", with ",
    said("media", media.length === 0 ? "whatever suits" : listed(media.map((id) => lowerFirst(nameIn(menu.products, id)))), media.length === 0),
    ".",
  ];
}

const WISHED = [
  ["primer", "first"],
  ["sealer", "on top"],
] as const;

function wishes({ piece, menu }: Telling): Sentence {
  const told = WISHED.flatMap(([key, where]) => {
    const id = piece.wishes?.[key];
    return id === undefined ? [] : [`${lowerFirst(nameIn(menu.products, id))} ${where}`];
  });
  return [told.length === 0 ? said("wishes", "Ground and sealer: you choose", true) : said("wishes", upper(told.join(", "))), "."];
}

const AIR_WORDS = { still: "still air", drafty: "a draught", fan: "a fan on it" } as const;

function bench({ piece, roomName }: Telling): Sentence {
  const room = piece.room ?? {};
  const { oven, kiln, childSafe } = piece.constraints ?? {};
  const limits = [oven === false ? "No oven" : "An oven", kiln ? "a kiln" : "no kiln", ...(childSafe ? ["safe for a child to do"] : [])];
  const roomSoft = room.temperatureC === undefined && room.relativeHumidity === undefined && room.airflow === undefined;
  return [
    said("room", `${roomName}, ${AIR_WORDS[room.airflow ?? "still"]}`, roomSoft),
    ". ",
    said("limits", limits.join(", "), oven === undefined && kiln === undefined && !childSafe),
    ".",
  ];
}

function already({ piece, menu }: Telling): Sentence {
  const done = piece.done ?? [];
  if (done.length === 0) return [said("done", "Nothing was on it before", true), "."];
  const coats = done.map((step) => `${lowerFirst(nameIn(menu.products, step.product))} (${zoneName(step.zone).toLowerCase()})`);
  return ["On it before: ", said("done", listed(coats)), "."];
}

/**
 * A piece in a few sentences, as its painter would say it; every part of them opens its choices.
 *
 * @returns sentences in the order they are read
 */
export function sentencesOf(telling: Telling): readonly Sentence[] {
  const finish = telling.piece.finish;
  return [
    thing(telling),
    purpose(telling),
    decoration(telling),
    [said("finish", `${upper(SHEEN_WORDS[finish ?? "satin"])} in the end`, finish === undefined), "."],
    bench(telling),
    wishes(telling),
    already(telling),
  ];
}
