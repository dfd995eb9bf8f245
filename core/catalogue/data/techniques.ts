import { memory } from "../provenance";
import type { Technique } from "../technique";

const PLAIN = { role: "decorate", method: "brush", guided: false, while: "dry", needsSmooth: false, needsBody: false, loose: false } as const;

/** Height of a dot of ordinary paint as a share of its diameter [from memory]. */
const DOT_HEIGHT_SHARE = 0.12;
const DOT_MM = 5;
const MICRONS_PER_MM = 1000;

/** Height of a dot of ordinary paint, µm wet. @param diameterMm mm */
export function dotMicrons(diameterMm: number): number {
  return diameterMm * DOT_HEIGHT_SHARE * MICRONS_PER_MM;
}

/** Ways of decorating. Coverage and mark sizes are typical starting points from memory. */
export const TECHNIQUES_DATA: readonly Technique[] = [
  { ...PLAIN, id: "solid", name: "Solid colour", act: "paint the area", coverage: memory(1) },
  {
    ...PLAIN,
    id: "dots",
    name: "Dots",
    act: "set the dots",
    method: "tool",
    guided: true,
    needsSmooth: true,
    needsBody: true,
    coverage: memory(0.25),
    marks: memory({ count: 60, diameterMm: DOT_MM, heightMm: DOT_MM * DOT_HEIGHT_SHARE }),
  },
  {
    ...PLAIN,
    id: "walked-dots",
    name: "Walking dots",
    act: "walk the dots",
    method: "tool",
    guided: true,
    needsSmooth: true,
    needsBody: true,
    coverage: memory(0.2),
    marks: memory({ count: 60, diameterMm: 4, heightMm: 0.5 }),
  },
  {
    ...PLAIN,
    id: "swipes",
    name: "Swipes",
    act: "pull the swipes",
    method: "tool",
    guided: true,
    needsSmooth: true,
    needsBody: true,
    coverage: memory(0.3),
    marks: memory({ count: 24, diameterMm: 8, heightMm: 0.5 }),
  },
  { ...PLAIN, id: "freehand-brush", name: "Freehand brushwork", act: "paint the motif", guided: true, coverage: memory(0.3) },
  { ...PLAIN, id: "blended", name: "Blended ground", act: "blend the colours while they are wet", method: "sponge", while: "wet", coverage: memory(1) },
  { ...PLAIN, id: "swirled", name: "Swirls", act: "swirl the colours while they are wet", method: "tool", while: "wet", coverage: memory(0.4) },
  { ...PLAIN, id: "bands", name: "Bands", act: "paint the bands", mask: "tape", needsSmooth: true, coverage: memory(0.3) },
  { ...PLAIN, id: "stencil", name: "Stencil", act: "dab through the stencil", method: "sponge", mask: "stencil", coverage: memory(0.25) },
  { ...PLAIN, id: "sponge-dots", name: "Sponged dots", act: "dab the dots", method: "sponge", guided: true, coverage: memory(0.25) },
  { ...PLAIN, id: "lettering", name: "Lettering", act: "letter the text", guided: true, needsSmooth: true, coverage: memory(0.08) },
  { ...PLAIN, id: "outline", name: "Outlines", act: "draw the outlines", method: "pen", guided: true, needsSmooth: true, coverage: memory(0.06) },
  { ...PLAIN, id: "loose-glitter", name: "Glitter", act: "lay the glitter", coverage: memory(0.3), loose: true },
  { ...PLAIN, id: "effect-powder", name: "Effect powder", act: "rub in the powder", method: "hand", coverage: memory(0.4), loose: true },
  { ...PLAIN, id: "metallic-wash", name: "Shimmer wash", act: "wash on the shimmer", coverage: memory(0.5) },
  { ...PLAIN, id: "raised-line", name: "Raised lines", act: "draw the raised lines", method: "tool", guided: true, needsBody: true, coverage: memory(0.08) },
  { ...PLAIN, id: "crystals", name: "Stuck-on crystals", act: "set the crystals", method: "hand", coverage: memory(0.05), loose: true },
];
