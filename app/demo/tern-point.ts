import type { MaterialId, PieceId, UseId } from "#core/catalogue/ids";
import { jarId, pieceId, productId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import type { JarRecord } from "#core/formats/stores/shelf";
import { dayLater } from "#core/schedule/free-hours";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { Piece } from "#core/piece/piece";

/** A made-up piece and how far it has come. */
export interface DemoPiece {
  readonly id: PieceId;
  readonly piece: Piece;
  /** Begun this many days ago in the usual free hours; null: not begun. */
  readonly begunDaysAgo: number | null;
  /** The last act was this many minutes ago, so that something is wet. */
  readonly lastMinutesAgo?: number;
  /** Needed this many days from now. */
  readonly dueInDays?: number;
}

/** Plans of begun pieces as they were worked out when the app was built. */
export interface DemoPlans {
  readonly engineVersion: number;
  /** Key of the shelf they were made from. */
  readonly shelf: string;
  readonly plans: Readonly<Record<string, Pick<PlannedView, "shown" | "work" | "made" | "madeFor">>>;
}

type Stated = Omit<Piece, "format" | "version" | "material" | "uses"> & { readonly material: string; readonly uses: readonly string[] };

const COOL = { temperatureC: 16, relativeHumidity: 0.62, airflow: "still" } as const;
const NAVY = "#1f3a4d";
const CREAM = "#f4efe2";
const SIGNAL = "#c8402f";
const AMBER = "#d9822b";
const SEA = "#3f7f7a";

function demo(number: number, stated: Stated, how: Omit<DemoPiece, "id" | "piece">): DemoPiece {
  const { material, uses, ...rest } = stated;
  const piece: Piece = {
    format: "nook-coat/piece",
    version: 1,
    room: COOL,
    ...rest,
    material: material as MaterialId,
    uses: uses as readonly string[] as readonly UseId[],
  };
  return { id: pieceId(`ternpoint${String(number).padStart(3, "0")}`), piece, ...how };
}

interface StatedJar extends Omit<Jar, "id" | "classId" | "openedOn" | "left"> {
  readonly kind: string;
  /** Months since it was opened. */
  readonly openedMonths?: number;
  /** Seen in it before the work began, mL. */
  readonly seenMl?: number;
}

/** What stands on the shelf at Tern Point; made up like the rest. */
const JARS: readonly StatedJar[] = [
  {
    kind: "craft-acrylic",
    name: "Harbour navy",
    colour: NAVY,
    sizeMl: 118,
    seenMl: 118,
    openedMonths: 5,
    paid: 4,
    label: { opacity: "opaque", sheen: "matte" },
  },
  {
    kind: "craft-acrylic",
    name: "Chalk cream",
    colour: CREAM,
    sizeMl: 250,
    seenMl: 210,
    openedMonths: 9,
    paid: 6,
    label: { opacity: "semi-opaque", sheen: "matte" },
  },
  {
    kind: "craft-acrylic",
    name: "Signal red",
    colour: SIGNAL,
    sizeMl: 250,
    seenMl: 30,
    openedMonths: 14,
    paid: 3,
    label: { opacity: "semi-opaque", sheen: "matte", recoatMin: 60 },
  },
  { kind: "craft-acrylic", name: "Lamp amber", colour: AMBER, sizeMl: 59, seenMl: 12, openedMonths: 14, paid: 3, label: { sheen: "matte" } },
  { kind: "craft-acrylic", name: "Sea-glass green", colour: SEA, sizeMl: 59, seenMl: 59, paid: 3, label: { sheen: "matte" } },
  { kind: "craft-acrylic", name: "White", colour: "#fbfaf6", sizeMl: 118, seenMl: 60, openedMonths: 3, paid: 4, label: { opacity: "opaque", sheen: "matte" } },
  {
    kind: "gloss-enamel-acrylic",
    name: "Tern blue for mugs",
    colour: "#24507a",
    sizeMl: 59,
    seenMl: 45,
    openedMonths: 7,
    paid: 5,
    label: { sheen: "gloss", bake: { atC: 163, holdMin: 30 } },
  },
  { kind: "gesso", name: "Gesso", sizeMl: 500, seenMl: 420, openedMonths: 11, paid: 8, label: {} },
  { kind: "acrylic-varnish", name: "Satin varnish", sizeMl: 236, seenMl: 150, openedMonths: 8, paid: 9, label: { sheen: "satin" } },
  { kind: "outdoor-varnish", name: "Terrace varnish", sizeMl: 236, seenMl: 236, paid: 14, label: { sheen: "satin", recoatMin: 240, weatherproof: true } },
  { kind: "spackle", name: "Smooth spackle", sizeMl: 250, seenMl: 125, openedMonths: 20, label: {} },
  { kind: "masonry-paint", name: "Left-over lighthouse white", colour: "#f1f0ea", sizeMl: 2500, seenMl: 600, openedMonths: 60, label: { weatherproof: true } },
  { kind: "acrylic-paint-pen", name: "Black pen, fine", colour: "#1b1b1d", label: {} },
];

/**
 * The shelf at Tern Point.
 *
 * @param today local date "YYYY-MM-DD"
 * @param seen instant at which the jars were looked into, ISO 8601
 */
export function ternPointShelf(today: string, seen: string): readonly JarRecord[] {
  return JARS.map(({ kind, openedMonths, seenMl, ...jar }, at) => ({
    ...jar,
    id: jarId(`ternpointjar${String(at + 1).padStart(2, "0")}`),
    rev: 1,
    classId: productId(kind),
    ...(openedMonths === undefined ? {} : { openedOn: dayLater(today, -Math.round(openedMonths * DAYS_PER_MONTH + 3)) }),
    ...(seenMl === undefined ? {} : { left: { ml: seenMl, by: "eye", at: seen } }),
  }));
}

const DAYS_PER_MONTH = 30.4;

/** Tern Point, an invented lighthouse tea room that opens again in spring; everything here is made up. */
export const TERN_POINT: readonly DemoPiece[] = [
  demo(
    1,
    {
      name: "Signal-band door wedges",
      material: "stone-smooth",
      object: "stone",
      form: { kind: "pebble", lengthMm: 120, widthMm: 85, thicknessMm: 48 },
      uses: ["handled"],
      conditions: ["beach-found"],
      decoration: { techniques: ["bands"], baseColour: CREAM, colours: [SIGNAL, NAVY] },
      count: 6,
    },
    { begunDaysAgo: 6 },
  ),
  demo(
    2,
    {
      name: "Terrace herb pot",
      material: "terracotta",
      object: "pot",
      form: { kind: "frustum", topDiameterMm: 203, bottomDiameterMm: 140, heightMm: 190 },
      parts: ["saucer"],
      uses: ["planter", "outdoor-exposed"],
      conditions: ["dusty"],
      decoration: { techniques: ["bands", "dots"], baseColour: NAVY, colours: [CREAM, AMBER] },
      count: 4,
    },
    { begunDaysAgo: 4, dueInDays: 75 },
  ),
  demo(
    3,
    {
      name: "Old terrace pot, white salts",
      material: "terracotta",
      object: "pot",
      form: { kind: "frustum", topDiameterMm: 260, bottomDiameterMm: 170, heightMm: 240 },
      uses: ["planter", "outdoor-exposed"],
      conditions: ["efflorescence", "previously-painted"],
      decoration: { techniques: ["freehand-brush"], baseColour: SEA, colours: [CREAM] },
    },
    { begunDaysAgo: null },
  ),
  demo(
    4,
    {
      name: "Storm lantern jar",
      material: "glass",
      object: "jar",
      form: { kind: "cylinder", diameterMm: 95, heightMm: 140 },
      uses: ["candle"],
      decoration: { techniques: ["freehand-brush"], baseColour: null, colours: [NAVY] },
      count: 8,
    },
    { begunDaysAgo: 2 },
  ),
  demo(
    5,
    {
      name: "Tea mug, tern in flight",
      material: "ceramic-glazed",
      object: "mug",
      form: { kind: "cylinder", diameterMm: 84, heightMm: 96 },
      parts: ["handle"],
      uses: ["drinkware", "gift-or-sale"],
      decoration: { techniques: ["freehand-brush", "dots"], baseColour: null, colours: [NAVY, SIGNAL] },
      wishes: { route: "bake" },
    },
    { begunDaysAgo: 1, lastMinutesAgo: 12 },
  ),
  demo(
    6,
    {
      name: "Oak serving tray",
      material: "wood-hardwood",
      object: "tray",
      form: { kind: "box", lengthMm: 420, widthMm: 290, heightMm: 45 },
      uses: ["serving-tray"],
      decoration: { techniques: ["outline", "freehand-brush"], baseColour: CREAM, colours: [NAVY, AMBER] },
    },
    { begunDaysAgo: 3, lastMinutesAgo: 40 },
  ),
  demo(
    7,
    {
      name: "Tide clock face",
      material: "wood-board",
      object: "clock",
      parts: ["numerals", "works"],
      form: { kind: "disc", diameterMm: 260, thicknessMm: 12 },
      uses: ["indoor-display"],
      decoration: { techniques: ["lettering", "dots"], baseColour: NAVY, colours: [CREAM, AMBER] },
    },
    { begunDaysAgo: null, dueInDays: 40 },
  ),
  demo(
    8,
    {
      name: "Landing stone by the steps",
      material: "stone-rough",
      object: "stone",
      form: { kind: "pebble", lengthMm: 260, widthMm: 190, thicknessMm: 120 },
      uses: ["outdoor-exposed"],
      conditions: ["bumpy"],
      decoration: { techniques: ["lettering"], baseColour: NAVY, colours: [CREAM] },
    },
    { begunDaysAgo: null },
  ),
  demo(
    9,
    {
      name: "Opening-night goblets",
      material: "glass",
      object: "goblet",
      form: { kind: "goblet", bowlDiameterMm: 82, bowlHeightMm: 105, stemHeightMm: 80, footDiameterMm: 72 },
      uses: ["drinkware"],
      decoration: { techniques: ["dots"], baseColour: null, colours: [AMBER] },
      count: 12,
    },
    { begunDaysAgo: 12 },
  ),
  demo(
    10,
    {
      name: "Window pebbles for sale",
      material: "stone-smooth",
      object: "stone",
      form: { kind: "pebble", lengthMm: 62, widthMm: 48, thicknessMm: 24 },
      uses: ["gift-or-sale"],
      decoration: { techniques: ["dots"], baseColour: SEA, colours: [CREAM, AMBER] },
      finish: "gloss",
      count: 20,
    },
    { begunDaysAgo: 30 },
  ),
  demo(
    11,
    {
      name: "Cast table numbers",
      material: "gypsum-cast",
      object: "stone",
      form: { kind: "dome", diameterMm: 80, heightMm: 28 },
      uses: ["handled"],
      conditions: ["air-holes"],
      decoration: { techniques: ["lettering", "dots"], baseColour: CREAM, colours: [NAVY, SIGNAL] },
      count: 12,
    },
    { begunDaysAgo: 5 },
  ),
  demo(
    12,
    {
      name: "Slate menu sign",
      material: "slate",
      object: "sign",
      form: { kind: "box", lengthMm: 400, widthMm: 250, heightMm: 9 },
      uses: ["outdoor-sheltered"],
      decoration: { techniques: ["lettering", "outline"], baseColour: null, colours: [CREAM, AMBER] },
    },
    { begunDaysAgo: null, dueInDays: 90 },
  ),
  demo(
    13,
    {
      name: "Kiln-fired cake plates",
      material: "ceramic-bisque",
      object: "plate",
      form: { kind: "plate", diameterMm: 210, rimWidthMm: 30 },
      uses: ["tableware"],
      decoration: { techniques: ["dots", "bands"], baseColour: NAVY, colours: [CREAM, AMBER] },
      constraints: { kiln: true },
      count: 6,
    },
    { begunDaysAgo: 1, lastMinutesAgo: 9 },
  ),
];
