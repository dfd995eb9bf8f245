import type { Role } from "../../catalogue/vocabulary";
import { bringsSalts, isResin, isWood } from "./conditions";
import type { Spot } from "./spot";

/** Something that went wrong, as it looks. */
export interface Mishap {
  readonly id: string;
  readonly name: string;
  readonly looks: string;
  /** Steps whose film it happens in. */
  readonly roles: readonly Role[];
  readonly fits?: (spot: Spot) => boolean;
  /** What helps, the gentlest first. */
  readonly remedies: readonly string[];
}

const MARKS: readonly Role[] = ["decorate", "top-dot"];
const FIELDS: readonly Role[] = ["prime", "base", "size", "isolate", "seal", "lock"];
const COLOURS: readonly Role[] = ["base", "decorate", "top-dot"];
const CLEARS: readonly Role[] = ["size", "isolate", "lock", "seal"];
const ALL: readonly Role[] = ["fill", "size", "prime", "base", "isolate", "decorate", "top-dot", "lock", "seal"];

const isDots = ({ step }: Spot) => step.marks !== undefined;
const isStroke = ({ step }: Spot) => ["swipes", "freehand-brush", "lettering", "outline", "bands", "metallic-wash"].includes(step.technique ?? "");

/** Every row of it, in the order of the work. */
export const MISHAPS: readonly Mishap[] = [
  {
    id: "dot-misplaced",
    name: "A dot in the wrong place",
    looks: "one of them off its mark",
    roles: MARKS,
    fits: isDots,
    remedies: ["lift", "let-dry", "erase", "scrape", "accent"],
  },
  {
    id: "row-misplaced",
    name: "A whole row in the wrong place",
    looks: "all of them shifted",
    roles: MARKS,
    remedies: ["wipe-all", "let-dry", "refill", "sand-back", "accent"],
  },
  {
    id: "dots-merged",
    name: "Two dots have run together",
    looks: "a figure of eight",
    roles: MARKS,
    fits: isDots,
    remedies: ["lift", "top-dot", "erase", "sand-back"],
  },
  { id: "bubble", name: "A bubble in it", looks: "a little dome, or a crater", roles: ALL, remedies: ["pop", "fill-drop", "rub-down"] },
  { id: "spike", name: "A spike on a dome", looks: "a peak that stands up", roles: MARKS, fits: isDots, remedies: ["swirl", "top-dot", "scrape"] },
  { id: "ring-gap", name: "A gap at the end of a ring", looks: "the last one does not close", roles: MARKS, remedies: ["respread", "accent", "top-dot"] },
  { id: "grins", name: "The ground grins through", looks: "patchy, thin places", roles: COLOURS.concat("prime"), remedies: ["one-more", "top-dot", "dab"] },
  { id: "bleed", name: "It has crept under the mask", looks: "a ragged edge", roles: COLOURS, remedies: ["to-mask", "touch-up", "outline", "erase"] },
  { id: "crooked", name: "A crooked edge", looks: "a line that wobbles", roles: COLOURS, remedies: ["lift", "outline", "touch-up", "erase"] },
  { id: "broken-line", name: "A broken line", looks: "it stops and begins again", roles: MARKS, fits: isStroke, remedies: ["reload", "bridge", "touch-up"] },
  {
    id: "skinny-dot",
    name: "A skinny dot, or a bare middle",
    looks: "the ground shows in the middle",
    roles: MARKS,
    fits: isDots,
    remedies: ["push", "redot", "top-dot"],
  },
  { id: "short-swipe", name: "A swipe that is too short", looks: "its tail is missing", roles: MARKS, fits: isStroke, remedies: ["reload", "redot", "accent"] },
  {
    id: "too-dark",
    name: "Too much dark in a swirl",
    looks: "it goes to mud",
    roles: COLOURS,
    fits: ({ step }) => ["blended", "swirled"].includes(step.technique ?? ""),
    remedies: ["base-back", "one-more", "accent", "refill"],
  },
  { id: "outline-thick", name: "An outline has swallowed a thin shape", looks: "more line than shape", roles: MARKS, remedies: ["lift", "inside", "erase"] },
  { id: "slumps", name: "The paint slumps or runs out", looks: "flat marks with soft edges", roles: MARKS, remedies: ["wipe-all", "refill", "redot", "erase"] },
  {
    id: "disliked",
    name: "The whole design is not liked",
    looks: "it is well done, and wrong",
    roles: ALL,
    remedies: ["wipe-all", "let-dry", "sand-back", "start-again", "wash-bisque"],
  },
  {
    id: "smeared",
    name: "It was touched and smeared",
    looks: "a print, a streak",
    roles: ALL,
    remedies: ["lift", "wipe-all", "dab", "let-dry", "erase", "touch-up", "rub-down"],
  },
  { id: "run", name: "A run or a drip", looks: "a tear with a thick end", roles: ALL, remedies: ["blot", "rub-down", "scrape"] },
  { id: "brush-lines", name: "Brush lines or lap marks", looks: "ridges along the strokes", roles: FIELDS, remedies: ["dab", "rub-down", "one-more"] },
  { id: "dust-in", name: "Dust, a hair or an insect in it", looks: "grit or a thread", roles: ALL, remedies: ["pick-out", "resin-pick", "rub-down", "erase"] },
  {
    id: "too-early",
    name: "Laid on what was still wet",
    looks: "it drags, tears or lifts",
    roles: ALL,
    remedies: ["wipe-all", "warm-air", "let-dry", "sand-back"],
  },
  {
    id: "wrong-colour",
    name: "The wrong colour",
    looks: "the right mark from the wrong pot",
    roles: COLOURS,
    remedies: ["wipe-all", "one-more", "refill", "erase"],
  },
  {
    id: "letter-smudge",
    name: "A letter is smudged or misspelt",
    looks: "one letter gone wrong",
    roles: MARKS,
    fits: ({ step }) => step.technique === "lettering",
    remedies: ["lift", "scrape", "refill", "erase"],
  },
  {
    id: "sticky",
    name: "It stays sticky",
    looks: "a finger leaves a print days later",
    roles: FIELDS,
    fits: (spot) => !isResin(spot),
    remedies: ["warm-air", "sand-back"],
  },
  { id: "cloudy", name: "It has gone cloudy", looks: "milky, or white in the corners", roles: CLEARS, remedies: ["warm-air", "clear-thin", "sand-back"] },
  {
    id: "guide-shows",
    name: "A guide shows under the clear coat",
    looks: "a chalk or pencil line shut in",
    roles: CLEARS,
    remedies: ["wipe-all", "sand-back", "accent"],
  },
  {
    id: "wrinkled",
    name: "It has wrinkled",
    looks: "a skin like old milk",
    roles: ALL,
    fits: (spot) => spot.carrier === "solvent",
    remedies: ["warm-air", "sand-back"],
  },
  { id: "cracked", name: "It has cracked", looks: "a net of fine lines", roles: ALL, remedies: ["one-more", "sand-back", "key-and-relay"] },
  { id: "peels", name: "It peels or flakes off", looks: "an edge that lifts", roles: ALL, remedies: ["key-and-relay", "blade-off-glass", "paint-over"] },
  {
    id: "stain-through",
    name: "A stain comes through",
    looks: "yellow or brown from the wood",
    roles: ["prime", "base"],
    fits: isWood,
    remedies: ["block-stain", "one-more"],
  },
  { id: "salts-through", name: "White bloom comes through", looks: "fluff or crust on the paint", roles: ALL, fits: bringsSalts, remedies: ["brush-salts"] },
  {
    id: "resin-fault",
    name: "Resin that is sticky or dimpled",
    looks: "soft spots, fish eyes",
    roles: ["seal", "fill"],
    fits: isResin,
    remedies: ["resin-pick", "resin-again", "warm-air"],
  },
  {
    id: "strays",
    name: "Glitter or powder where it should not be",
    looks: "sparkle on the ground",
    roles: ["decorate", "lock"],
    remedies: ["tape-dab", "one-more"],
  },
  { id: "came-off", name: "A part or a crystal has come off", looks: "a bare spot with glue", roles: ["decorate", "seal"], remedies: ["glue-again"] },
  { id: "chipped", name: "It was dropped: a chip", looks: "the body shows", roles: ALL, remedies: ["mend-chip", "blade-off-glass", "accent"] },
  {
    id: "after-heat",
    name: "It came out of the heat wrong",
    looks: "browned, blistered, faded",
    roles: ALL,
    fits: ({ wetness }) => wetness === "heated",
    remedies: ["blade-off-glass", "accent", "new-body"],
  },
];

/** What helps where a row has nothing for this body and this wetness; the last of it is to start again. */
export const ANYWAY: readonly string[] = ["let-dry", "scrape", "sand-back", "paint-over", "erase", "blade-off-glass", "start-again", "wash-bisque", "new-body"];
