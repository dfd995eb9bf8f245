import { COMMON_PRACTICE } from "../provenance";
import type { Tool } from "../tool";

const PLAIN = { techniques: [], roles: [], methods: [], provenance: COMMON_PRACTICE } as const;

/** Tools of the table, all common practice. */
export const TOOLS: readonly Tool[] = [
  { ...PLAIN, id: "soft-flat-brush", name: "a soft flat brush", roles: ["size", "prime", "base", "isolate", "lock", "seal"], methods: ["brush"] },
  { ...PLAIN, id: "sponge-dauber", name: "a sponge dauber, to even brush marks out", roles: ["base"], methods: ["brush"] },
  { ...PLAIN, id: "dotting-tools", name: "dotting tools, ball-ended, in several sizes", techniques: ["dots", "walked-dots"] },
  { ...PLAIN, id: "swipe-blade", name: "a palette knife or a card, for swipes", techniques: ["swipes"] },
  { ...PLAIN, id: "round-brush", name: "a pointed round brush", techniques: ["freehand-brush", "metallic-wash"] },
  { ...PLAIN, id: "liner-brush", name: "a liner brush", techniques: ["lettering", "outline"], methods: ["brush"] },
  { ...PLAIN, id: "sponges", name: "a clean sponge for each colour", techniques: ["blended", "stencil", "sponge-dots"] },
  { ...PLAIN, id: "fine-point", name: "a needle or a fine point", techniques: ["swirled"] },
  { ...PLAIN, id: "squeeze-writer", name: "a squeeze bottle with a fine nozzle", techniques: ["raised-line"] },
  { ...PLAIN, id: "shaker", name: "a sheet of paper to catch what falls", techniques: ["loose-glitter", "effect-powder"] },
  { ...PLAIN, id: "tweezers", name: "tweezers or a wax pencil", techniques: ["crystals"] },
  { ...PLAIN, id: "sanding-sponges", name: "sanding sponges, coarse to fine", roles: ["sand"] },
  { ...PLAIN, id: "filling-knife", name: "a filling knife", roles: ["fill"] },
  { ...PLAIN, id: "scale", name: "a kitchen scale", roles: ["cast"] },
  { ...PLAIN, id: "damp-swabs", name: "cotton swabs, for stray marks", roles: ["decorate"], methods: ["tool"] },
];
