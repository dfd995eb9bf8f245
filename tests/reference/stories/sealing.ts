import { DAY, mug, pebble, pot, s, tray } from "../bench";
import type { Story } from "./story";

const base = s("base", "craft-acrylic", { coats: 2, colour: "#1f3a4d", after: 0 });
const shimmer = s("decorate", "metallic-watercolour", { technique: "metallic-wash", after: 90 });
const brushed = (after: number) => s("seal", "acrylic-varnish", { coats: 2, sheen: "satin", after });
const sprayed = (after: number) => s("seal", "acrylic-spray-clear", { coats: 3, sheen: "satin", method: "spray", after });
const outdoors = { uses: ["outdoor-exposed"] } as const;

export const SEALING_STORIES: readonly Story[] = [
  {
    code: "lifts-in-the-wash",
    tells: "polyurethane over craft acrylic peels off a mug in a sheet",
    severity: "stop",
    piece: mug(),
    wrong: {
      outside: [
        s("clean", "soap-wash", { after: 0 }),
        s("clean", "isopropyl-alcohol", { after: 0 }),
        base,
        s("seal", "waterborne-polyurethane", { coats: 2, after: 2 * DAY }),
      ],
    },
    right: {
      outside: [
        s("clean", "soap-wash", { after: 0 }),
        s("clean", "isopropyl-alcohol", { after: 0 }),
        s("base", "ceramic-paint-air", { coats: 2, colour: "#1f3a4d", after: 10 }),
      ],
    },
  },
  {
    code: "brush-over-rewettable",
    tells: "the varnish brush takes the shimmer off",
    severity: "stop",
    piece: pebble(),
    wrong: { top: [base, shimmer, brushed(2 * DAY)] },
    right: { top: [base, shimmer, sprayed(2 * DAY)] },
  },
  {
    code: "brush-over-rewettable",
    tells: "glitter paint is brushed over the watercolour",
    severity: "stop",
    piece: pebble(),
    wrong: { top: [base, shimmer, s("decorate", "glitter-acrylic", { technique: "loose-glitter", after: 60 })] },
    right: {
      top: [
        base,
        s("decorate", "glitter-acrylic", { technique: "loose-glitter", after: 90 }),
        s("decorate", "metallic-watercolour", { technique: "metallic-wash", after: 400 }),
      ],
    },
  },
  {
    code: "solvent-lifts",
    tells: "a wet spray pass makes the pen outline run",
    severity: "warn",
    piece: pebble(),
    wrong: { top: [base, s("decorate", "oil-paint-marker", { technique: "outline", after: 90 }), sprayed(120)] },
    right: { top: [base, s("decorate", "oil-paint-marker", { technique: "outline", after: 90 }), sprayed(3 * DAY)] },
  },
  {
    code: "window-shut",
    tells: "a second spray coat after five hours wrinkles the first",
    severity: "warn",
    piece: pebble(),
    wrong: { top: [s("base", "spray-paint", { coats: 3, after: 0 }), s("decorate", "craft-acrylic", { technique: "dots", after: 300 })] },
    right: { top: [s("base", "spray-paint", { coats: 3, after: 0 }), s("decorate", "craft-acrylic", { technique: "dots", after: 30 })] },
  },
  {
    code: "late-coat-unsealed",
    tells: "the rim is touched up after the varnish and rubs off",
    severity: "warn",
    piece: pebble({ uses: ["handled"] }),
    wrong: { top: [base, brushed(2 * DAY), s("decorate", "craft-acrylic", { technique: "solid", after: 300 })] },
    right: { top: [base, s("decorate", "craft-acrylic", { technique: "solid", after: 300 }), brushed(2 * DAY)] },
  },
  {
    code: "loose-not-locked",
    tells: "the varnish brush carries the powder all over",
    severity: "stop",
    piece: pebble(),
    wrong: { top: [base, s("decorate", "effect-powder", { technique: "effect-powder", after: 90 }), brushed(DAY)] },
    right: {
      top: [base, s("decorate", "effect-powder", { technique: "effect-powder", after: 90 }), s("lock", "decoupage-medium", { after: 0 }), brushed(2 * DAY)],
    },
  },
  {
    code: "seal-too-early",
    tells: "a day-old dome is sealed in and stays cloudy",
    severity: "warn",
    piece: pebble(),
    wrong: {
      top: [base, s("decorate", "craft-acrylic", { technique: "dots", marks: { count: 20, diameterMm: 6, heightMm: 0.66 }, after: 90 }), brushed(8 * 60)],
    },
    right: {
      top: [base, s("decorate", "craft-acrylic", { technique: "dots", marks: { count: 20, diameterMm: 6, heightMm: 0.66 }, after: 90 }), brushed(3 * DAY)],
    },
  },
  {
    code: "resin-darkens-bare",
    tells: "resin turns the pale beach stone dark and wet",
    severity: "warn",
    piece: pebble({ decoration: { baseColour: null } }),
    wrong: { top: [s("decorate", "craft-acrylic", { technique: "dots" }), s("seal", "coating-resin", { sheen: "gloss", after: 3 * DAY })] },
    right: { top: [base, s("decorate", "craft-acrylic", { technique: "dots" }), s("seal", "coating-resin", { sheen: "gloss", after: 3 * DAY })] },
  },
  {
    code: "resin-over-damp",
    tells: "resin over a wiped, still damp stone goes milky",
    severity: "stop",
    piece: pebble(),
    wrong: { top: [base, s("unmark", "damp-wipe", { after: 3 * DAY }), s("seal", "coating-resin", { after: 2 })] },
    right: { top: [base, s("unmark", "damp-wipe", { after: 3 * DAY }), s("seal", "coating-resin", { after: DAY })] },
  },
  {
    code: "resin-in-sun",
    tells: "the resin on the garden stone is amber by August",
    severity: "warn",
    piece: pebble(outdoors),
    wrong: { top: [base, s("seal", "coating-resin", { after: 3 * DAY })] },
    right: { top: [base, s("seal", "outdoor-varnish", { coats: 2, after: 3 * DAY })] },
  },
  {
    code: "not-weatherproof",
    tells: "decoupage medium whitens and peels in the first rain",
    severity: "stop",
    piece: pebble(outdoors),
    wrong: { top: [base, s("seal", "decoupage-medium", { coats: 3, after: 3 * DAY })] },
    right: { top: [base, s("seal", "acrylic-spray-clear", { coats: 3, after: 3 * DAY })] },
  },
  {
    code: "unsealed-wear",
    tells: "a door wedge loses its colour where it is picked up",
    severity: "warn",
    piece: pebble({ uses: ["handled"] }),
    wrong: { top: [base] },
    right: { top: [base, brushed(3 * DAY)] },
  },
  {
    code: "unsealed-wear",
    tells: "unbaked craft paint washes off a mug",
    severity: "stop",
    piece: mug(),
    wrong: { outside: [s("prime", "adhesion-primer"), base] },
    right: { outside: [s("decorate", "ceramic-paint-air", { technique: "dots" })] },
  },
  {
    code: "unsealed-wear",
    tells: "indoor varnish on a tray marks under the first wet glass",
    severity: "warn",
    piece: tray(),
    wrong: { inside: [base, brushed(3 * DAY)] },
    right: { inside: [base, s("seal", "waterborne-polyurethane", { coats: 3, after: 3 * DAY })] },
  },
  {
    code: "back-rubs-off",
    tells: "the dark back leaves a ring on the buyer's table",
    severity: "warn",
    piece: pebble({ uses: ["gift-or-sale"] }),
    wrong: { back: [base] },
    right: { back: [base, brushed(3 * DAY)] },
  },
  {
    code: "sheen-fights-ground",
    tells: "matt varnish takes the glint from the gold",
    severity: "note",
    piece: pebble(),
    wrong: { top: [base, s("decorate", "metallic-acrylic", { technique: "dots" }), s("seal", "acrylic-varnish", { sheen: "matte", coats: 2 })] },
    right: { top: [base, s("decorate", "metallic-acrylic", { technique: "dots" }), s("seal", "acrylic-varnish", { sheen: "gloss", coats: 2 })] },
  },
  {
    code: "sealed-pot-inside-bare",
    tells: "a planter sealed outside only sheds its paint by summer",
    severity: "stop",
    piece: pot({ uses: ["planter"] }),
    wrong: { outside: [base, s("seal", "outdoor-varnish", { coats: 2 })], inside: [] },
    right: { outside: [base, s("seal", "outdoor-varnish", { coats: 2 })], inside: [s("seal", "inside-sealer", { coats: 2 })] },
  },
  {
    code: "freeze-thaw",
    tells: "the painted pot splits in January",
    severity: "warn",
    piece: pot(outdoors),
    wrong: { outside: [base] },
    right: { outside: [base] },
    rightPiece: pot({ uses: ["planter"] }),
  },
  {
    code: "glue-on-film",
    tells: "the numeral falls off with the varnish under it",
    severity: "warn",
    piece: tray(),
    wrong: { inside: [base, brushed(3 * DAY), s("assemble", "glue", { after: DAY })] },
    right: { inside: [s("assemble", "glue")] },
  },
  {
    code: "coat-over-coat-unused",
    tells: "two varnishes where one would do",
    severity: "note",
    piece: pebble(),
    wrong: { top: [base, brushed(3 * DAY), s("seal", "outdoor-varnish", { coats: 2, after: 300 })] },
    right: { top: [base, s("seal", "outdoor-varnish", { coats: 2, after: 3 * DAY })] },
  },
];
