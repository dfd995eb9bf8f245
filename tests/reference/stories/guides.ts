import { DAY, jar, pebble, pot, s } from "../bench";
import type { Story } from "./story";

const base = s("base", "craft-acrylic", { coats: 2, colour: "#1f3a4d", after: 0 });
const dots = s("decorate", "craft-acrylic", { technique: "dots", marks: { count: 40, diameterMm: 6, heightMm: 0.66 }, after: 90 });
const misted = s("lock", "acrylic-spray-clear", { coats: 2, method: "spray" });
const bands = s("decorate", "craft-acrylic", { technique: "bands", after: 0 });

export const GUIDE_STORIES: readonly Story[] = [
  {
    code: "guide-unseen",
    tells: "pencil rings on black cannot be found again by lamplight",
    severity: "note",
    piece: pebble(),
    wrong: {
      top: [
        s("base", "craft-acrylic", { colour: "#111111" }),
        s("mark", "graphite-pencil"),
        s("decorate", "craft-acrylic", { technique: "dots", colour: "#f4efe2" }),
      ],
    },
    right: {
      top: [
        s("base", "craft-acrylic", { colour: "#111111" }),
        s("mark", "chalk-pencil"),
        s("decorate", "craft-acrylic", { technique: "dots", colour: "#f4efe2" }),
      ],
    },
  },
  {
    code: "guide-sealed-in",
    tells: "chalk lines are varnished in for ever",
    severity: "stop",
    piece: pebble(),
    wrong: { top: [base, s("mark", "chalk-pencil"), dots, s("seal", "acrylic-varnish", { after: 3 * DAY })] },
    right: { top: [base, s("mark", "chalk-pencil"), dots, s("unmark", "damp-wipe", { after: 3 * DAY }), s("seal", "acrylic-varnish", { after: 60 })] },
  },
  {
    code: "guide-sealed-in",
    tells: "dry-erase lines are baked on to a glass",
    severity: "stop",
    piece: jar(),
    wrong: {
      outside: [s("mark", "dry-erase-marker"), s("decorate", "gloss-enamel-acrylic", { technique: "dots" }), s("heat-set", "oven-bake", { after: DAY })],
    },
    right: {
      outside: [
        s("mark", "dry-erase-marker"),
        s("decorate", "gloss-enamel-acrylic", { technique: "dots" }),
        s("unmark", "damp-wipe", { after: DAY }),
        s("heat-set", "oven-bake", { after: 60 }),
      ],
    },
  },
  {
    code: "guide-wipe-reactivates",
    tells: "wiping the chalk wipes the shimmer with it",
    severity: "stop",
    piece: pebble(),
    wrong: {
      top: [
        base,
        s("mark", "chalk-pencil"),
        s("decorate", "metallic-watercolour", { technique: "metallic-wash" }),
        s("unmark", "damp-wipe", { after: 3 * DAY }),
      ],
    },
    right: { top: [base, s("mark", "scored-line"), s("decorate", "metallic-watercolour", { technique: "metallic-wash" })] },
  },
  {
    code: "unmark-too-early",
    tells: "the cloth drags dots that were dry on top only",
    severity: "warn",
    piece: pebble(),
    wrong: { top: [base, s("mark", "chalk-pencil", { after: 80 }), dots, s("unmark", "damp-wipe", { after: 120 })] },
    right: { top: [base, s("mark", "chalk-pencil", { after: 80 }), dots, s("unmark", "damp-wipe", { after: 3 * DAY })] },
  },
  {
    code: "mask-on-green-paint",
    tells: "tape lifts a base of an hour",
    severity: "warn",
    piece: pot(),
    wrong: { outside: [base, s("mask", "tape", { after: 40 }), bands] },
    right: { outside: [base, s("mask", "tape", { after: DAY }), bands] },
  },
  {
    code: "mask-left-too-long",
    tells: "film left on over the weekend tears the edge",
    severity: "note",
    piece: pot(),
    wrong: { outside: [base, s("mask", "tape", { after: DAY }), bands, s("unmask", "peel", { after: 3 * DAY })] },
    right: { outside: [base, s("mask", "tape", { after: DAY }), bands, s("unmask", "peel", { after: 25 })] },
  },
  {
    code: "mask-sealed-in",
    tells: "the stencil film is varnished over",
    severity: "stop",
    piece: pot(),
    wrong: { outside: [base, s("mask", "adhesive-film", { after: DAY }), bands, s("seal", "acrylic-varnish", { after: 3 * DAY })] },
    right: {
      outside: [base, s("mask", "adhesive-film", { after: DAY }), bands, s("unmask", "peel", { after: 25 }), s("seal", "acrylic-varnish", { after: 3 * DAY })],
    },
  },
  {
    code: "guide-with-nothing",
    tells: "rings are drawn on a plain pot",
    severity: "note",
    piece: pot(),
    wrong: { outside: [base, s("mark", "chalk-pencil")] },
    right: { outside: [base, s("mark", "chalk-pencil"), dots] },
  },
  {
    code: "scored-in-glitter",
    tells: "the ring scored for the dots stays as a bare line in the glitter",
    severity: "warn",
    piece: pebble(),
    wrong: { top: [base, s("decorate", "glitter-acrylic", { technique: "loose-glitter", after: 90 }), s("mark", "scored-line", { after: DAY }), dots] },
    right: { top: [base, s("decorate", "glitter-acrylic", { technique: "loose-glitter", after: 90 }), dots] },
  },
  {
    code: "guide-wipe-reactivates",
    tells: "the shimmer is misted over the chalk rings, which stay in it for good",
    severity: "stop",
    piece: pebble(),
    wrong: {
      top: [
        base,
        s("mark", "chalk-pencil", { after: 90 }),
        s("decorate", "metallic-watercolour", { technique: "metallic-wash" }),
        misted,
        s("unmark", "damp-wipe"),
      ],
    },
    right: {
      top: [
        base,
        s("decorate", "metallic-watercolour", { technique: "metallic-wash", after: 90 }),
        misted,
        s("mark", "chalk-pencil"),
        dots,
        s("unmark", "damp-wipe"),
      ],
    },
  },
];
