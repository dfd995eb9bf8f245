/** Sequences an experienced painter would nod at: no rule may call them a stop or a likely fault. */
import { expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { checkSteps } from "#core/coating/rules/check-steps";
import type { Piece } from "#core/piece/piece";
import { DAY, goblet, jar, mug, pebble, pot, rough, s, stacks, tray, woodDisc } from "./bench";
import type { Stacks } from "./bench";

const washed = s("clean", "water-wash", { after: 0 });
const degreased = [s("clean", "soap-wash", { after: 0 }), s("clean", "isopropyl-alcohol", { after: 90 })];
const gesso = s("prime", "gesso", { coats: 1, after: 2 * DAY });
const base = s("base", "craft-acrylic", { coats: 2, colour: "#1f3a4d", after: 90 });
const dots = s("decorate", "craft-acrylic", {
  technique: "dots",
  colour: "#f4efe2",
  marks: { count: 60, diameterMm: 5, heightMm: 0.6 },
  while: "dry",
  after: 120,
});
const varnish = (after: number) => s("seal", "acrylic-varnish", { coats: 2, sheen: "satin", after });
const sanded = [s("sand", "sanding", { after: 120 }), s("dust-off", "damp-wipe", { after: 0 })];

const GOOD: readonly { tells: string; piece: Piece; steps: Stacks }[] = [
  { tells: "a dotted pebble, two days before varnish", piece: pebble(), steps: { top: [washed, gesso, base, dots, varnish(2 * DAY)] } },
  {
    tells: "a pebble with chalk guides, wiped when all is dry",
    piece: pebble(),
    steps: { top: [washed, gesso, base, s("mark", "chalk-pencil", { after: 90 }), dots, s("unmark", "damp-wipe", { after: 2 * DAY }), varnish(60)] },
  },
  {
    tells: "house emulsion straight on the stone, left without a sealer indoors",
    piece: pebble({ uses: ["handled"] }),
    steps: { top: [washed, s("base", "house-emulsion", { coats: 2, colour: "#1f3a4d", after: 2 * DAY })] },
  },
  {
    tells: "an isolation coat, and dots over it",
    piece: pebble(),
    steps: {
      top: [
        washed,
        gesso,
        base,
        s("isolate", "acrylic-varnish", { coats: 2, after: 120 }),
        { ...dots, waitBefore: { min: 300, until: "dry-to-recoat", set: "hers" } },
        varnish(2 * DAY),
      ],
    },
  },
  {
    tells: "fill, sand, fill again, lock, and paint",
    piece: rough({ conditions: ["pitted"] }),
    steps: {
      top: [
        washed,
        s("fill", "spackle", { after: 2 * DAY }),
        s("sand", "sanding", { after: 180 }),
        s("dust-off", "dry-brush", { after: 0 }),
        s("fill", "spackle", { after: 5 }),
        s("sand", "sanding", { after: 180 }),
        s("dust-off", "dry-brush", { after: 0 }),
        s("size", "decoupage-medium", { after: 5 }),
        base,
        dots,
        varnish(2 * DAY),
      ],
    },
  },
  {
    tells: "mask, paint, unmask, mask again on the first colour's dry edge",
    piece: pot(),
    steps: {
      outside: [
        washed,
        gesso,
        base,
        s("mask", "tape", { after: DAY }),
        s("decorate", "craft-acrylic", { technique: "bands", colour: "#f4efe2", after: 0 }),
        s("unmask", "peel", { after: 25 }),
        s("mask", "tape", { after: DAY }),
        s("decorate", "craft-acrylic", { technique: "bands", colour: "#d9822b", after: 0 }),
        s("unmask", "peel", { after: 25 }),
        varnish(2 * DAY),
      ],
    },
  },
  {
    tells: "shimmer over gesso, guides pressed in, a spray to finish",
    piece: pebble(),
    steps: {
      top: [
        washed,
        gesso,
        base,
        s("mark", "scored-line", { after: 90 }),
        s("decorate", "metallic-watercolour", { technique: "metallic-wash", colour: "#d9b13b", after: 0 }),
        s("seal", "acrylic-spray-clear", { coats: 3, method: "spray", after: 2 * DAY }),
      ],
    },
  },
  {
    tells: "powder locked under decoupage medium, outlined, resin at the end",
    piece: pebble(),
    steps: {
      top: [
        washed,
        gesso,
        base,
        s("decorate", "effect-powder", { technique: "effect-powder", after: 90 }),
        s("lock", "decoupage-medium", { after: 0 }),
        s("decorate", "craft-acrylic", { technique: "outline", colour: "#ffffff", after: 120 }),
        s("seal", "coating-resin", { coats: 1, sheen: "gloss", after: 3 * DAY }),
      ],
    },
  },
  {
    tells: "a planter sealed on both sides of its wall",
    piece: pot({ uses: ["planter"] }),
    steps: {
      outside: [washed, gesso, base, s("seal", "outdoor-varnish", { coats: 2, sheen: "satin", after: 2 * DAY })],
      inside: [washed, s("prime", "gesso", { after: 2 * DAY }), s("seal", "inside-sealer", { coats: 2, after: 90 })],
    },
  },
  {
    tells: "masonry paint on a garden stone, left as it is",
    piece: pebble({ uses: ["outdoor-exposed"] }),
    steps: { top: [washed, s("base", "masonry-paint", { coats: 2, colour: "#8a1f2b", after: 2 * DAY })] },
  },
  {
    tells: "a mug in ceramic paint after degreasing",
    piece: mug(),
    steps: { outside: [...degreased, s("decorate", "ceramic-paint-air", { technique: "dots", colour: "#1f3a4d", after: 15 })] },
  },
  {
    tells: "a mug in enamel, baked from cold after a full day",
    piece: mug(),
    steps: {
      outside: [
        ...degreased,
        s("decorate", "gloss-enamel-acrylic", { technique: "dots", colour: "#1f3a4d", after: 15 }),
        s("heat-set", "oven-bake", { after: DAY, heat: { kind: "oven", temperatureC: 163, holdMin: 30, start: "cold", cool: "inside" } }),
      ],
    },
  },
  {
    tells: "a wine glass with dry-erase guides taken off before the oven",
    piece: goblet(),
    steps: {
      outside: [
        ...degreased,
        s("mark", "dry-erase-marker", { after: 15 }),
        s("decorate", "gloss-enamel-acrylic", { technique: "dots", colour: "#8a1f2b", after: 0 }),
        s("unmark", "damp-wipe", { after: 2 * DAY }),
        s("heat-set", "oven-bake", { after: 60, heat: { kind: "oven", temperatureC: 163, holdMin: 30, start: "cold", cool: "inside" } }),
      ],
    },
  },
  {
    tells: "a lantern painted outside only",
    piece: jar({ uses: ["candle"] }),
    steps: { outside: [...degreased, s("decorate", "ceramic-paint-air", { technique: "freehand-brush", colour: "#1f3a4d", after: 15 })], inside: [], rim: [] },
  },
  {
    tells: "a light oak tray over stain-blocker, both faces, polyurethane",
    piece: tray(),
    steps: {
      inside: [
        s("clean", "dry-brush", { after: 0 }),
        s("sand", "sanding", { after: 0 }),
        s("dust-off", "damp-wipe", { after: 0 }),
        s("prime", "stain-blocking-primer", { coats: 2, after: 60 }),
        ...sanded,
        s("base", "craft-acrylic", { coats: 2, colour: "#f4efe2", after: 300 }),
        s("seal", "waterborne-polyurethane", { coats: 3, sheen: "satin", after: 2 * DAY }),
      ],
      back: [
        s("sand", "sanding", { after: 0 }),
        s("dust-off", "damp-wipe", { after: 0 }),
        s("base", "wood-stain", { coats: 1, after: 60 }),
        s("seal", "waterborne-polyurethane", { coats: 3, sheen: "satin", after: 2 * DAY }),
      ],
    },
  },
  {
    tells: "a wood disc with stout dots loosened with medium",
    piece: woodDisc({ uses: ["indoor-display"] }),
    steps: {
      top: [
        s("sand", "sanding", { after: 0 }),
        s("dust-off", "damp-wipe", { after: 0 }),
        s("prime", "stain-blocking-primer", { after: 60 }),
        ...sanded,
        { ...base, waitBefore: { min: 300, until: "dry-to-recoat", set: "hers" } },
        s("decorate", "heavy-body-acrylic", {
          technique: "dots",
          colour: "#f4efe2",
          marks: { count: 80, diameterMm: 6, heightMm: 0.7 },
          thinning: { with: productId("gloss-fluid-medium"), percent: 10 },
          after: 120,
        }),
        s("seal", "acrylic-spray-clear", { coats: 3, sheen: "satin", method: "spray", after: 3 * DAY }),
      ],
      back: [s("sand", "sanding", { after: 0 }), s("dust-off", "damp-wipe", { after: 0 }), s("prime", "stain-blocking-primer", { after: 60 }), varnish(DAY)],
    },
  },
];

test.each(GOOD.map((one) => [one.tells, one] as const))("%s", (_tells, { piece, steps }) => {
  const faults = checkSteps(piece, stacks(steps), CATALOGUE).filter((one) => one.severity === "stop" || one.severity === "warn");
  expect(faults.map((one) => `${one.code}: ${one.message}`)).toEqual([]);
});

test("there are at least fifteen of them", () => expect(GOOD.length).toBeGreaterThanOrEqual(15));
