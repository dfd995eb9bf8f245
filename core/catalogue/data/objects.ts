import type { ObjectKind, SurfaceName, ZoneTemplate } from "../object-kind";
import { memory } from "../provenance";
import type { Exposure } from "../use";
import type { ZoneId } from "../vocabulary";

function zone(
  id: ZoneId,
  surface: SurfaceName,
  exposure: Exposure,
  share: number,
  more: Partial<Pick<ZoneTemplate, "decorated" | "part" | "optional" | "halves">> = {},
): ZoneTemplate {
  return { zone: id, surface, exposure, share: memory(share), decorated: false, optional: false, halves: false, ...more };
}

const DECORATED = { decorated: true } as const;
const UPRIGHT = { decorated: true, halves: true } as const;
const OPTIONAL = { optional: true } as const;

/** Objects and their zones, back to front in the order they are looked at. Order here is the order of columns in a section. */
export const OBJECT_KINDS: readonly ObjectKind[] = [
  {
    id: "stone",
    name: "Stone",
    forms: ["pebble", "dome", "disc", "custom"],
    loose: [],
    commonIn: ["stone-smooth", "stone-rough", "gypsum-cast", "concrete-cast"],
    everydayIn: ["stone-smooth", "stone-rough", "gypsum-cast"],
    zones: [zone("top", "front", "seen", 0.5, DECORATED), zone("back", "back", "underside", 0.5, OPTIONAL)],
  },
  {
    id: "pot",
    name: "Pot",
    forms: ["frustum", "cylinder", "custom"],
    loose: [],
    commonIn: ["terracotta", "concrete-cast"],
    everydayIn: ["terracotta", "concrete-cast"],
    zones: [
      zone("outside", "wall", "seen", 0.42, UPRIGHT),
      zone("rim", "rim", "seen", 0.04),
      zone("inner-strip", "inner-strip", "seen", 0.06),
      zone("inside", "inner", "contents", 0.36, OPTIONAL),
      zone("base", "foot", "underside", 0.12, OPTIONAL),
      zone("saucer", "saucer", "seen", 0.2, { part: "saucer" }),
      zone("stem", "parts", "seen", 0.25, { part: "stem" }),
      zone("glue-spot", "joint", "joint", 0.04, { part: "stem" }),
    ],
  },
  {
    id: "mug",
    name: "Mug or cup",
    forms: ["cylinder", "frustum", "custom"],
    loose: [],
    commonIn: ["ceramic-glazed", "ceramic-bisque", "wood-hardwood", "wood-softwood", "terracotta", "concrete-cast"],
    everydayIn: ["ceramic-glazed"],
    zones: [
      zone("outside", "wall", "seen", 0.4, UPRIGHT),
      zone("lip-band", "lip-band", "lip", 0.12, OPTIONAL),
      zone("inside", "inner", "contents", 0.4, OPTIONAL),
      zone("foot", "foot", "underside", 0.08, OPTIONAL),
      zone("handle", "handle", "seen", 0.1, { part: "handle", optional: true }),
    ],
  },
  {
    id: "goblet",
    name: "Stemmed glass",
    forms: ["goblet", "custom"],
    loose: [],
    commonIn: ["glass"],
    everydayIn: [],
    zones: [
      zone("outside", "wall", "seen", 0.35, UPRIGHT),
      zone("lip-band", "lip-band", "lip", 0.1, OPTIONAL),
      zone("inside", "inner", "contents", 0.35, OPTIONAL),
      zone("stem", "stem", "seen", 0.08, OPTIONAL),
      zone("foot", "foot", "seen", 0.12, OPTIONAL),
    ],
  },
  {
    id: "jar",
    name: "Jar or lantern",
    forms: ["cylinder", "frustum", "custom"],
    loose: [],
    commonIn: ["glass"],
    everydayIn: ["glass"],
    zones: [
      zone("outside", "wall", "seen", 0.45, UPRIGHT),
      zone("lip-band", "lip-band", "lip", 0.1, OPTIONAL),
      zone("rim", "rim", "mouth", 0.03, OPTIONAL),
      zone("inside", "inner", "contents", 0.4, OPTIONAL),
      zone("base", "foot", "underside", 0.12, OPTIONAL),
    ],
  },
  {
    id: "plate",
    name: "Plate",
    forms: ["plate", "disc", "custom"],
    loose: [],
    commonIn: ["ceramic-glazed", "glass", "ceramic-bisque", "wood-hardwood", "wood-softwood", "wood-board", "terracotta", "slate", "concrete-cast"],
    everydayIn: ["ceramic-bisque"],
    zones: [
      zone("food-side", "food-side", "food", 0.3, DECORATED),
      zone("rim", "plate-rim", "seen", 0.2, DECORATED),
      zone("back", "back", "underside", 0.5, OPTIONAL),
    ],
  },
  {
    id: "tray",
    name: "Tray",
    forms: ["box", "disc", "custom"],
    loose: [],
    commonIn: ["wood-hardwood", "wood-softwood", "wood-board"],
    everydayIn: [],
    zones: [zone("inside", "inner", "carrying", 0.45, DECORATED), zone("outside", "sides", "seen", 0.2), zone("back", "back", "underside", 0.35)],
  },
  {
    id: "box",
    name: "Box",
    forms: ["box", "cylinder", "custom"],
    loose: [],
    commonIn: ["wood-hardwood", "wood-softwood", "wood-board", "gypsum-cast"],
    everydayIn: [],
    zones: [
      zone("lid", "lid", "seen", 0.25, DECORATED),
      zone("body", "sides", "seen", 0.35),
      zone("inside", "inner", "contents", 0.3, OPTIONAL),
      zone("back", "back", "underside", 0.1, OPTIONAL),
    ],
  },
  {
    id: "clock",
    name: "Clock face",
    forms: ["disc", "box", "custom"],
    loose: ["works"],
    hole: "spindle",
    commonIn: ["wood-board", "wood-hardwood", "slate"],
    everydayIn: [],
    zones: [
      zone("face", "front", "seen", 0.5, DECORATED),
      zone("edge", "edge", "seen", 0.05),
      zone("back", "back", "underside", 0.45, OPTIONAL),
      zone("parts", "parts", "seen", 0.03, { part: "numerals" }),
      zone("glue-spot", "joint", "joint", 0.01, { part: "numerals" }),
    ],
  },
  {
    id: "sign",
    name: "Sign",
    forms: ["box", "disc", "custom"],
    loose: [],
    hole: "hanging",
    commonIn: ["slate", "wood-softwood", "wood-board"],
    everydayIn: ["slate", "wood-board"],
    zones: [zone("face", "front", "seen", 0.5, DECORATED), zone("edge", "edge", "seen", 0.05), zone("back", "back", "underside", 0.45, OPTIONAL)],
  },
  {
    id: "tile",
    name: "Tile",
    forms: ["box", "disc", "custom"],
    loose: [],
    commonIn: ["ceramic-glazed", "ceramic-bisque", "slate", "gypsum-cast"],
    everydayIn: [],
    zones: [zone("face", "front", "seen", 0.5, DECORATED), zone("back", "back", "underside", 0.5, OPTIONAL)],
  },
  {
    id: "disc",
    name: "Disc or slice",
    forms: ["disc", "custom"],
    loose: [],
    commonIn: ["wood-hardwood", "wood-softwood", "wood-board"],
    everydayIn: ["wood-hardwood", "wood-softwood"],
    zones: [zone("top", "front", "seen", 0.45, DECORATED), zone("edge", "edge", "seen", 0.1), zone("back", "back", "underside", 0.45)],
  },
  {
    id: "other",
    name: "Something else",
    forms: ["pebble", "dome", "disc", "frustum", "cylinder", "box", "plate", "goblet", "custom"],
    loose: [],
    commonIn: [],
    everydayIn: [],
    zones: [zone("outside", "wall", "seen", 1, DECORATED)],
  },
];
