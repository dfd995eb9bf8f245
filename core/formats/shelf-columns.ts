import type { Catalogue } from "../catalogue/catalogue";
import { jarId, productId } from "../catalogue/ids";
import { OPACITIES } from "../catalogue/jar";
import type { Jar, JarLabel, Opacity } from "../catalogue/jar";
import { SHEENS } from "../catalogue/vocabulary";
import type { Sheen } from "../catalogue/vocabulary";
import { isDay } from "./hours-schema";
import { JAR_BOUNDS } from "./stores/shelf";

/** A jar out of a table; one without an id is new. */
export type ReadJar = Omit<Jar, "id" | "left"> & { readonly id?: Jar["id"]; readonly leftMl?: number };

/** A row on its way to a jar. */
export type RowDraft = { -readonly [K in keyof Omit<ReadJar, "label">]?: ReadJar[K] } & { label: { -readonly [K in keyof JarLabel]?: JarLabel[K] } };

/** What a cell says, or what is wrong with it. */
type Cell = (text: string, draft: RowDraft) => string | null;

/** A column of the table: how a jar is written into it, and read out of it. */
export interface Column {
  readonly header: string;
  /** Other words for it. */
  readonly also?: readonly string[];
  readonly write: (jar: Jar, leftMl: number | undefined) => string | number | undefined;
  readonly read: Cell;
}

const NUMBER = /^-?\d+(?:[.,]\d+)?$/;

/** A number with a point or a comma, between bounds. */
function numberCell({ least, most }: { readonly least: number; readonly most: number }, take: (value: number, draft: RowDraft) => void, whole = false): Cell {
  return (text, draft) => {
    const value = NUMBER.test(text) ? Number(text.replace(",", ".")) : NaN;
    if (!(value >= least && value <= most) || (whole && !Number.isInteger(value)))
      return `"${text}" is not a ${whole ? "whole " : ""}number from ${least} to ${most}`;
    take(value, draft);
    return null;
  };
}

function wordCell<W extends string>(words: readonly W[], also: Readonly<Record<string, W>>, take: (word: W, draft: RowDraft) => void): Cell {
  return (text, draft) => {
    const said = text.toLowerCase();
    const word = words.find((one) => one === said) ?? also[said];
    if (word === undefined) return `"${text}" is none of: ${words.join(", ")}`;
    take(word, draft);
    return null;
  };
}

const YES = new Set(["yes", "y", "true", "1", "x"]);
const NO = new Set(["no", "n", "false", "0"]);

function yesCell(take: (value: boolean, draft: RowDraft) => void): Cell {
  return (text, draft) => {
    const said = text.toLowerCase();
    if (!YES.has(said) && !NO.has(said)) return `"${text}" is neither yes nor no`;
    take(YES.has(said), draft);
    return null;
  };
}

const sayYes = (value: boolean | undefined) => (value === undefined ? undefined : value ? "yes" : "no");

const BAKE_C: Cell = (text, draft) => {
  if (NO.has(text.toLowerCase())) {
    draft.label.bake = null;
    return null;
  }
  return numberCell(JAR_BOUNDS.bakeC, (atC) => (draft.label.bake = { atC, holdMin: draft.label.bake?.holdMin ?? NaN }))(text, draft);
};
const BAKE_MIN: Cell = (text, draft) =>
  numberCell(JAR_BOUNDS.bakeMin, (holdMin) => (draft.label.bake = { atC: draft.label.bake?.atC ?? NaN, holdMin }))(text, draft);

/** Every column, in the order they are written. */
export function columnsFor(catalogue: Catalogue): readonly Column[] {
  const byName = new Map([...catalogue.products.values()].flatMap(({ id, name }) => [[id as string, id] as const, [name.toLowerCase(), id] as const]));
  return [
    {
      header: "name",
      also: ["title"],
      write: ({ name }) => name,
      read: (text, draft) => {
        if (text.length > JAR_BOUNDS.name) return `a name has at most ${JAR_BOUNDS.name} letters`;
        draft.name = text;
        return null;
      },
    },
    {
      header: "kind",
      also: ["class", "type"],
      write: ({ classId }) => catalogue.products.get(classId)?.name ?? classId,
      read: (text, draft) => {
        const id = byName.get(text.toLowerCase());
        if (id === undefined) return `"${text}" is no kind of paint known here`;
        draft.classId = productId(id);
        return null;
      },
    },
    {
      header: "colour",
      also: ["color", "hex"],
      write: ({ colour }) => colour,
      read: (text, draft) => {
        const hex = /^#?([0-9a-f]{6})$/i.exec(text)?.[1] ?? /^#?([0-9a-f]{3})$/i.exec(text)?.[1]?.replace(/./g, "$&$&");
        if (hex === undefined) return `"${text}" is not a colour such as #1f3a4d`;
        draft.colour = `#${hex.toLowerCase()}`;
        return null;
      },
    },
    {
      header: "opacity",
      write: ({ label }) => label.opacity,
      read: wordCell<Opacity>(OPACITIES, { "semi-transparent": "translucent" }, (word, draft) => (draft.label.opacity = word)),
    },
    {
      header: "sheen",
      also: ["finish"],
      write: ({ label }) => label.sheen,
      read: wordCell<Sheen>(SHEENS, { matt: "matte", glossy: "gloss" }, (word, draft) => (draft.label.sheen = word)),
    },
    {
      header: "touch dry (min)",
      write: ({ label }) => label.touchMin,
      read: numberCell(JAR_BOUNDS.touchMin, (value, draft) => (draft.label.touchMin = value)),
    },
    {
      header: "recoat (min)",
      write: ({ label }) => label.recoatMin,
      read: numberCell(JAR_BOUNDS.recoatMin, (value, draft) => (draft.label.recoatMin = value)),
    },
    { header: "coldest (°C)", write: ({ label }) => label.minC, read: numberCell(JAR_BOUNDS.minC, (value, draft) => (draft.label.minC = value)) },
    { header: "warmest (°C)", write: ({ label }) => label.maxC, read: numberCell(JAR_BOUNDS.maxC, (value, draft) => (draft.label.maxC = value)) },
    { header: "coats", write: ({ label }) => label.coats, read: numberCell(JAR_BOUNDS.coats, (value, draft) => (draft.label.coats = value), true) },
    {
      header: "water at most (%)",
      also: ["thinner"],
      write: ({ label }) => label.thinnerPercent,
      read: numberCell(JAR_BOUNDS.thinnerPercent, (value, draft) => (draft.label.thinnerPercent = value)),
    },
    {
      header: "covers (m²/l)",
      also: ["covers (m2/l)", "spread"],
      write: ({ label }) => label.spreadM2PerL,
      read: numberCell(JAR_BOUNDS.spreadM2PerL, (value, draft) => (draft.label.spreadM2PerL = value)),
    },
    {
      header: "outdoors",
      also: ["weatherproof"],
      write: ({ label }) => sayYes(label.weatherproof),
      read: yesCell((value, draft) => (draft.label.weatherproof = value)),
    },
    { header: "food safe", also: ["food"], write: ({ label }) => sayYes(label.foodClaim), read: yesCell((value, draft) => (draft.label.foodClaim = value)) },
    { header: "bake (°C)", write: ({ label }) => (label.bake === null ? "no" : label.bake?.atC), read: BAKE_C },
    { header: "bake (min)", write: ({ label }) => label.bake?.holdMin, read: BAKE_MIN },
    {
      header: "opened",
      also: ["opened on"],
      write: ({ openedOn }) => openedOn,
      read: (text, draft) => {
        if (!isDay(text)) return `"${text}" is not a day such as 2026-05-01`;
        draft.openedOn = text;
        return null;
      },
    },
    { header: "size (ml)", write: ({ sizeMl }) => sizeMl, read: numberCell(JAR_BOUNDS.sizeMl, (value, draft) => (draft.sizeMl = value)) },
    { header: "left (ml)", write: (_jar, leftMl) => leftMl, read: numberCell(JAR_BOUNDS.ml, (value, draft) => (draft.leftMl = value)) },
    { header: "empty weight (g)", also: ["tare"], write: ({ tareG }) => tareG, read: numberCell(JAR_BOUNDS.grams, (value, draft) => (draft.tareG = value)) },
    { header: "paid", also: ["price"], write: ({ paid }) => paid, read: numberCell(JAR_BOUNDS.paid, (value, draft) => (draft.paid = value)) },
    {
      header: "id",
      write: ({ id }) => id,
      read: (text, draft) => {
        if (!/^[0-9a-z]{8,40}$/.test(text)) return `"${text}" is no id of a jar; leave it empty for a new one`;
        draft.id = jarId(text);
        return null;
      },
    },
  ];
}
