import { box, DAY, gypsum, mug, pebble, piece, plate, pot, s } from "../bench";
import type { Story } from "./story";

const NAVY = "#1f3a4d";
const base = s("base", "craft-acrylic", { coats: 3, colour: NAVY, after: 120 });
const concrete = piece({ material: "concrete-cast", object: "pot", form: { kind: "cylinder", diameterMm: 120, heightMm: 110 } });
const board = piece({ material: "wood-board", object: "sign", form: { kind: "box", lengthMm: 300, widthMm: 150, heightMm: 9 } });
const slate = piece({ material: "slate", object: "sign", form: { kind: "box", lengthMm: 300, widthMm: 150, heightMm: 8 } });
const FIRE = { kind: "kiln", temperatureC: 1000, holdMin: 10, start: "cold", cool: "inside" } as const;
const fire = s("fire", "kiln-fire", { heat: FIRE, after: DAY });
const under = s("base", "underglaze", { coats: 3, colour: NAVY, after: 0 });
const weighed = [s("clean", "constant-weight", { after: 0 }), s("clean", "dry-brush", { after: 0 })];

export const BODY_AND_KILN_STORIES: readonly Story[] = [
  {
    code: "alkaline-ground",
    tells: "a week-old concrete pot eats its acrylic",
    severity: "warn",
    piece: concrete,
    wrong: { outside: [s("prime", "gesso", { after: 7 * DAY }), base] },
    right: { outside: [s("prime", "masonry-primer", { after: 7 * DAY }), { ...base, waitBefore: { min: 400, until: "dry-to-recoat", set: "hers" } }] },
  },
  {
    code: "alkaline-ground",
    tells: "after four weeks any primer will do",
    severity: "warn",
    piece: concrete,
    wrong: { outside: [s("prime", "gesso", { after: 20 * DAY }), base] },
    right: { outside: [s("prime", "gesso", { after: 29 * DAY }), base] },
  },
  {
    code: "board-edge-thirst",
    tells: "the sawn edge of a board sign stays rough after one coat of primer",
    severity: "note",
    piece: board,
    wrong: { face: [s("prime", "gesso", { coats: 1, after: 0 }), base] },
    right: { face: [s("prime", "gesso", { coats: 2, after: 0 }), base] },
  },
  {
    code: "underlay-saves",
    tells: "a translucent white straight on slate goes on for ever",
    severity: "note",
    piece: slate,
    wrong: { face: [s("base", "spray-paint", { coats: 7, colour: "#f4efe2", after: DAY })] },
    right: { face: [s("prime", "gesso", { coats: 1, after: DAY }), s("base", "spray-paint", { coats: 3, colour: "#f4efe2", after: 120 })] },
  },
  {
    code: "wet-contact",
    tells: "a stencil laid on a wet base takes a print of it along",
    severity: "warn",
    piece: pebble(),
    wrong: { top: [base, s("mask", "stencil", { after: 3 }), s("decorate", "craft-acrylic", { technique: "stencil", after: 0 })] },
    right: { top: [base, s("mask", "stencil", { after: 90 }), s("decorate", "craft-acrylic", { technique: "stencil", after: 0 })] },
  },
  {
    code: "gypsum-wet-use",
    tells: "a cast stone by the door crumbles over the winter",
    severity: "stop",
    piece: gypsum({ uses: ["outdoor-exposed"] }),
    wrong: { top: [...weighed, base, s("seal", "outdoor-varnish", { coats: 2, after: 2 * DAY })] },
    right: { top: [...weighed, base, s("seal", "outdoor-varnish", { coats: 2, after: 2 * DAY })] },
    rightPiece: gypsum({ uses: ["indoor-display"] }),
  },
  {
    code: "soaks-what-it-holds",
    tells: "a terracotta cup drinks the coffee through its bare inside and sheds its paint",
    severity: "stop",
    piece: piece({ material: "terracotta", object: "mug", uses: ["drinkware"], form: { kind: "cylinder", diameterMm: 80, heightMm: 90 } }),
    wrong: { outside: [base, s("seal", "waterborne-polyurethane", { coats: 2, after: 2 * DAY })] },
    right: { outside: [base, s("seal", "waterborne-polyurethane", { coats: 2, after: 2 * DAY })] },
    rightPiece: piece({ material: "wood-hardwood", object: "mug", uses: ["drinkware"], form: { kind: "cylinder", diameterMm: 80, heightMm: 90 } }),
  },
  {
    code: "food-on-paint",
    tells: "cheese is served on the painted face of a pebble",
    severity: "stop",
    piece: pebble({ uses: ["tableware"] }),
    wrong: { top: [base, s("seal", "waterborne-polyurethane", { coats: 2, after: 2 * DAY })] },
    right: { top: [base, s("seal", "waterborne-polyurethane", { coats: 2, after: 2 * DAY })] },
    rightPiece: pebble({ uses: ["indoor-display"] }),
  },
  {
    code: "lid-seat-tight",
    tells: "a varnished lid sticks in its varnished box",
    severity: "note",
    piece: box(),
    wrong: {
      lid: [s("prime", "gesso", { coats: 2, after: 0 }), base, s("seal", "waterborne-polyurethane", { coats: 3, after: 2 * DAY })],
      body: [s("prime", "gesso", { coats: 2, after: 0 }), base, s("seal", "waterborne-polyurethane", { coats: 3, after: 2 * DAY })],
    },
    right: {
      lid: [s("prime", "gesso", { coats: 1, after: 0 }), s("seal", "acrylic-varnish", { coats: 1, after: DAY })],
      body: [s("prime", "gesso", { coats: 1, after: 0 }), s("seal", "acrylic-varnish", { coats: 1, after: DAY })],
    },
  },
  {
    code: "never-fired",
    tells: "underglaze on a plate that never saw a kiln washes off",
    severity: "stop",
    piece: plate({ uses: ["indoor-display"] }),
    wrong: { rim: [under] },
    right: { rim: [under, s("seal", "clear-glaze", { coats: 2, after: 120 }), fire] },
  },
  {
    code: "unglazed-food",
    tells: "a cake plate is fired with bare underglaze where the cake lies",
    severity: "stop",
    piece: plate(),
    wrong: { "food-side": [under, fire] },
    right: { "food-side": [under, s("seal", "clear-glaze", { coats: 2, after: 120 }), fire] },
  },
  {
    code: "microwave-energy",
    tells: "metallic paint in a microwave sparks and does not set",
    severity: "stop",
    piece: mug({ uses: ["indoor-display"] }),
    wrong: { outside: [s("decorate", "gloss-enamel-acrylic", { technique: "dots", after: 0 }), s("heat-set", "microwave", { after: DAY })] },
    right: { outside: [s("decorate", "gloss-enamel-acrylic", { technique: "dots", after: 0 }), s("heat-set", "oven-bake", { after: DAY })] },
  },
  {
    code: "toy-mouth",
    tells: "a child's stone goes to a baby sister",
    severity: "safety",
    piece: pebble({ uses: ["child-made"] }),
    wrong: { top: [base] },
    right: { top: [base] },
    rightPiece: pebble(),
  },
  {
    code: "plaster-heat",
    tells: "a hand is cast for fun",
    severity: "safety",
    piece: gypsum(),
    wrong: { top: [s("cast", "gypsum-mix", { after: 0 }), base] },
    right: { top: [...weighed, base] },
  },
  {
    code: "plaster-drain",
    tells: "the mixing bowl is rinsed in the sink",
    severity: "safety",
    piece: gypsum(),
    wrong: { top: [s("cast", "gypsum-mix", { after: 0 }), base] },
    right: { outside: [base] },
    rightPiece: pot(),
  },
];
