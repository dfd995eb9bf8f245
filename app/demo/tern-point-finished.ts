import type { Role, Sheen, TechniqueId, ZoneId } from "#core/catalogue/vocabulary";
import { productId } from "#core/catalogue/ids";
import type { LogRecord, Move, RecordedRow, Saw } from "#core/logbook/record/record";
import type { Row } from "#core/piece/pattern";
import { AMBER, CREAM, NAVY, SEA, SIGNAL } from "./tern-point";
import type { Stated } from "./tern-point";

const GREY = "#8b8f91";
const PEARL = "#e9e4da";

/** A line of made-up work: so many days after it was begun. */
export interface DemoLine {
  readonly day: number;
  readonly zones: readonly ZoneId[];
  readonly title: string;
  readonly role: Role;
  readonly product: string;
  readonly colour?: string;
  readonly jar?: string;
  readonly coats?: number;
  readonly technique?: TechniqueId;
  readonly sheen?: Sheen;
  readonly rows?: readonly RecordedRow[];
  readonly thin?: number;
}

/** A piece that was finished at Tern Point. */
export interface DemoFinished {
  readonly key: string;
  readonly daysAgo: number;
  readonly stated: Stated;
  readonly lines: readonly DemoLine[];
  readonly paint: readonly (readonly [name: string, ml: number, perMl?: number])[];
  readonly minutes: readonly (readonly [kind: string, min: number, timed: number])[];
  /** Days after it was finished, and what was seen. */
  readonly looks?: readonly (readonly [days: number, saw: readonly Saw[], note?: string])[];
  readonly moves?: readonly (readonly [days: number, kind: Move["kind"], count: number, to?: string, price?: number])[];
  readonly money?: LogRecord["money"];
  readonly added?: string;
}

const dots = (number: number, mm: number, count: number, tool: string): RecordedRow => ({
  id: `r${number}`,
  name: `Dots of ${mm} mm`,
  count,
  diameterMm: mm,
  tool,
  number,
});

/** Three rings of dots as they are marked out on a pebble; the second in a paint of its own. */
const rings = (first: string, second: string, third: string): readonly Row[] => [
  { id: "r1", kind: "centre", colours: [first], diameterMm: 7 },
  { id: "r2", kind: "dots", colours: [second], diameterMm: 4, multipleOf: 8, medium: productId("pearl-acrylic") },
  { id: "r3", kind: "dots", colours: [third], diameterMm: 3, multipleOf: 8 },
];

const pebble = (name: string, base: string, row: readonly Row[], count: number): Stated => ({
  name,
  material: "stone-smooth",
  object: "stone",
  form: { kind: "pebble", lengthMm: 70, widthMm: 56, thicknessMm: 26 },
  uses: ["gift-or-sale"],
  decoration: { baseColour: base, patterns: [{ zone: "top", rows: row }] },
  finish: "matte",
  count,
});

const washed: DemoLine = { day: 0, zones: ["back", "top"], title: "Soap and water", role: "clean", product: "soap-wash" };
const varnished = (day: number, name = "Quiet varnish", product = "acrylic-varnish"): DemoLine => ({
  day,
  zones: ["back", "top"],
  title: `Seal: matt ${name}`,
  role: "seal",
  product,
  sheen: "matte",
  coats: 2,
  jar: name,
});

type JarOf = readonly [name: string, colour: string];

/** A pebble with its three rings: ground, middle dot, a ring of pearl, an outer ring. @param thinned as it was done with care for the dots */
function ringed([ground, groundColour]: JarOf, [outer, outerColour]: JarOf, day: number, thinned: boolean): readonly DemoLine[] {
  const set = (jar: string, colour: string, row: RecordedRow, product = "craft-acrylic"): DemoLine => ({
    day,
    zones: ["top"],
    title: `Dots: ${jar}`,
    role: "decorate",
    product,
    colour,
    jar,
    technique: "dots",
    rows: [row],
    ...(thinned && product === "craft-acrylic" ? { thin: 15 } : {}),
  });
  return [
    washed,
    {
      day: 1,
      zones: ["back", "top"],
      title: `Base colour: ${ground}`,
      role: "base",
      product: "craft-acrylic",
      colour: groundColour,
      jar: ground,
      coats: 2,
      ...(thinned ? { thin: 5 } : {}),
    },
    set("Chalk cream", CREAM, { ...dots(1, 7, 1, "ball 7"), name: "Middle dot of 7 mm" }),
    set("Moon pearl", PEARL, dots(2, 4, 16, "ball 4"), "pearl-acrylic"),
    set(outer, outerColour, dots(3, 3, 32, "ball 3")),
  ];
}

export const FINISHED: readonly DemoFinished[] = [
  {
    key: "grey",
    daysAgo: 410,
    stated: pebble("Grey pebble", GREY, rings(CREAM, PEARL, NAVY), 1),
    lines: [...ringed(["Rain grey", GREY], ["Harbour navy", NAVY], 2, true), varnished(4)],
    paint: [
      ["Rain grey", 4.1, 0.05],
      ["Chalk cream", 0.2, 0.024],
      ["Moon pearl", 0.3],
      ["Harbour navy", 0.3, 0.034],
      ["Quiet varnish", 2.4, 0.06],
    ],
    minutes: [
      ["decorate/dots", 24, 24],
      ["base", 9, 0],
      ["seal", 8, 0],
      ["clean", 2, 0],
    ],
    looks: [
      [33, ["fine"]],
      [372, ["fine"], "on the sill all summer"],
    ],
    moves: [[2, "given", 1, "Ida"]],
  },
  {
    key: "green",
    daysAgo: 205,
    stated: pebble("Green pebble for the gate", SEA, rings(CREAM, PEARL, AMBER), 4),
    lines: [...ringed(["Sea-glass green", SEA], ["Lamp amber", AMBER], 3, false), varnished(6, "Shore varnish")],
    paint: [
      ["Sea-glass green", 15.2, 0.051],
      ["Chalk cream", 0.8, 0.024],
      ["Moon pearl", 1.1],
      ["Lamp amber", 1, 0.051],
      ["Shore varnish", 9.4, 0.07],
    ],
    minutes: [
      ["decorate/dots", 96, 70],
      ["base", 31, 12],
      ["seal", 26, 0],
      ["clean", 8, 0],
    ],
    looks: [
      [31, ["fine"]],
      [160, ["yellowed"], "against the white gatepost it shows"],
    ],
    moves: [
      [20, "sold", 2, undefined, 9],
      [24, "sold", 1, undefined, 9],
    ],
    money: { body: 0, price: 9 },
    added: "The varnish that yellowed was the end of an old jar.",
  },
  {
    key: "doors",
    daysAgo: 96,
    stated: {
      name: "Signal-band wedges, first lot",
      material: "stone-smooth",
      object: "stone",
      form: { kind: "pebble", lengthMm: 120, widthMm: 85, thicknessMm: 48 },
      uses: ["handled"],
      decoration: { techniques: ["bands"], baseColour: CREAM, colours: [SIGNAL, NAVY] },
      count: 4,
    },
    lines: [
      washed,
      {
        day: 1,
        zones: ["back", "top"],
        title: "Base colour: Chalk cream",
        role: "base",
        product: "craft-acrylic",
        colour: CREAM,
        jar: "Chalk cream",
        coats: 3,
      },
      {
        day: 3,
        zones: ["top"],
        title: "Bands: Signal red",
        role: "decorate",
        product: "craft-acrylic",
        colour: SIGNAL,
        jar: "Signal red",
        technique: "bands",
        coats: 2,
      },
      {
        day: 4,
        zones: ["top"],
        title: "Bands: Harbour navy",
        role: "decorate",
        product: "craft-acrylic",
        colour: NAVY,
        jar: "Harbour navy",
        technique: "bands",
        coats: 1,
      },
      varnished(6),
    ],
    paint: [
      ["Chalk cream", 42, 0.024],
      ["Signal red", 11, 0.051],
      ["Harbour navy", 6, 0.034],
      ["Quiet varnish", 21, 0.06],
    ],
    minutes: [
      ["decorate/bands", 88, 40],
      ["base", 62, 20],
      ["seal", 40, 0],
      ["clean", 8, 0],
    ],
    looks: [[32, ["fine"]]],
    moves: [
      [5, "kept", 2, "the tea room doors"],
      [9, "sold", 1, undefined, 22],
    ],
    money: { body: 0, price: 22 },
  },
  {
    key: "pots",
    daysAgo: 48,
    stated: {
      name: "Mint pots for the sills",
      material: "terracotta",
      object: "pot",
      form: { kind: "frustum", topDiameterMm: 120, bottomDiameterMm: 84, heightMm: 110 },
      uses: ["planter", "outdoor-sheltered"],
      decoration: { techniques: ["bands"], baseColour: NAVY, colours: [CREAM] },
      count: 6,
    },
    lines: [
      { day: 0, zones: ["outside", "rim", "inside"], title: "Dry brush", role: "dust-off", product: "dry-brush" },
      { day: 0, zones: ["inside"], title: "Seal: pot inside sealer", role: "seal", product: "inside-sealer", coats: 2 },
      {
        day: 2,
        zones: ["outside", "rim"],
        title: "Base colour: Harbour navy",
        role: "base",
        product: "craft-acrylic",
        colour: NAVY,
        jar: "Harbour navy",
        coats: 2,
        thin: 10,
      },
      {
        day: 3,
        zones: ["outside"],
        title: "Bands: Chalk cream",
        role: "decorate",
        product: "craft-acrylic",
        colour: CREAM,
        jar: "Chalk cream",
        technique: "bands",
        coats: 2,
      },
      {
        day: 5,
        zones: ["outside", "rim"],
        title: "Seal: satin Outdoor varnish",
        role: "seal",
        product: "outdoor-varnish",
        sheen: "satin",
        coats: 3,
        jar: "Outdoor varnish",
      },
    ],
    paint: [
      ["Harbour navy", 38, 0.034],
      ["Chalk cream", 14, 0.024],
      ["Outdoor varnish", 52, 0.055],
      ["Pot inside sealer", 46],
    ],
    minutes: [
      ["base", 74, 30],
      ["decorate/bands", 90, 0],
      ["seal", 85, 20],
      ["dust-off", 6, 0],
    ],
    moves: [[6, "given", 2, "the lighthouse keepers"]],
    money: { body: 2.4, price: 16 },
  },
];
