import type { MarkingSurface } from "../surface";
import { practice } from "./practice-template";
import type { Drawing } from "./sheet";
import type { TemplateAsk } from "./template-ask";
import { dial, marksOf, ovalOf, ringsOf, sCurve, slicesOf } from "./top-templates";
import { bands, heightGauge, wrap } from "./wall-templates";

export const TEMPLATE_KINDS = ["wrap", "bands", "height-gauge", "slices", "rings", "oval", "dial", "s-curve", "marks", "practice"] as const;
export type TemplateKind = (typeof TEMPLATE_KINDS)[number];

interface Template {
  readonly id: TemplateKind;
  readonly name: string;
  readonly fits: (surface: MarkingSurface) => boolean;
  readonly draw: (ask: TemplateAsk) => Drawing;
}

const isTop = ({ shape }: MarkingSurface) => shape === "top";
const isStraightWall = ({ shape, straight }: MarkingSurface) => shape === "wall" && straight;

/** Every template, in the order they are offered. */
export const TEMPLATES: readonly Template[] = [
  { id: "wrap", name: "Wrap for the wall", fits: isStraightWall, draw: wrap },
  { id: "bands", name: "Band stencil", fits: isStraightWall, draw: bands },
  { id: "height-gauge", name: "Height gauge", fits: ({ shape }) => shape === "wall", draw: heightGauge },
  { id: "slices", name: "Slices", fits: isTop, draw: slicesOf },
  { id: "rings", name: "Rings", fits: isTop, draw: ringsOf },
  { id: "oval", name: "Oval guides", fits: (surface) => isTop(surface) && !surface.round, draw: ovalOf },
  { id: "dial", name: "Dial", fits: isTop, draw: dial },
  { id: "s-curve", name: "S curve", fits: isTop, draw: sCurve },
  { id: "marks", name: "All marks from above", fits: isTop, draw: marksOf },
  { id: "practice", name: "Practice sheet", fits: () => true, draw: practice },
];

export function templateOf(kind: TemplateKind): Template {
  return TEMPLATES.find(({ id }) => id === kind)!;
}
