import type { MaterialId, PieceId, UseId } from "#core/catalogue/ids";
import { pieceId } from "#core/catalogue/ids";
import type { Role, TechniqueId, ZoneId } from "#core/catalogue/vocabulary";
import type { PlannedView } from "~/workers/plan-worker-api";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { PATTERN_TEMPLATES, rowsOfTemplate } from "#core/marking/patterns";
import { withPatternLayers } from "#core/marking/solve-piece";
import { surfaceOf } from "#core/marking/surface-of";
import type { Form } from "#core/piece/form";
import type { Pattern } from "#core/piece/pattern";
import type { Piece } from "#core/piece/piece";

/** How a made-up piece stands on the first Bench, whenever that is opened. */
export type DemoStanding = "to-do" | "under-way" | "wet-by-minutes" | "wet-by-hours" | "wet-by-a-day" | "drying-through" | "hardening";

/** A coat of a batch that some of the pieces have. */
export interface DemoUnderWay {
  readonly pieces: number;
  /** Hands were laid on it this long ago. */
  readonly begunMinutesAgo: number;
}

/** What is on a made-up piece, and since when: everything before its last coat follows from the plan. */
export interface DemoState {
  /** The act that was done last, with the coat of it. */
  readonly last: { readonly zone: ZoneId; readonly role: Role; readonly technique?: TechniqueId; readonly coat: number };
  /** It was finished this many minutes ago. */
  readonly minutesAgo: number;
  /** The coat that comes next is under way. */
  readonly underWay?: DemoUnderWay;
  readonly stands: DemoStanding;
}

/** A made-up piece and how far it has come. */
export interface DemoPiece {
  readonly id: PieceId;
  readonly piece: Piece;
  /** Null: not begun. */
  readonly state: DemoState | null;
  /** Needed this many days from now. */
  readonly dueInDays?: number;
  /** The set it is made with. */
  readonly set?: string;
}

/** Plans of begun pieces as they were worked out when the app was built. */
export interface DemoPlans {
  readonly engineVersion: number;
  /** Key of the shelf they were made from. */
  readonly shelf: string;
  readonly plans: Readonly<Record<string, Pick<PlannedView, "shown" | "work" | "made" | "madeFor">>>;
}

/** A made-up piece, stated in plain words. */
export type Stated = Omit<Piece, "format" | "version" | "material" | "uses"> & { readonly material: string; readonly uses: readonly string[] };

/** The room at Tern Point. */
export const COOL = { temperatureC: 16, relativeHumidity: 0.62, airflow: "still" } as const;
export const NAVY = "#1f3a4d";
export const CREAM = "#f4efe2";
export const SIGNAL = "#c8402f";
export const AMBER = "#d9822b";
export const SEA = "#3f7f7a";

const WINDOW_PEBBLE: Form = { kind: "pebble", lengthMm: 62, widthMm: 48, thicknessMm: 24 };

/** A pattern of Tern Point as it lies on the top of a body. */
function markedOut(id: string, form: Form, colours: readonly string[]): Pattern {
  const template = PATTERN_TEMPLATES.find((one) => one.id === id)!;
  return { zone: "top", guides: template.guides, rows: rowsOfTemplate(template, surfaceOf(form, "top")!, colours) ?? [] };
}

/** The piece, in the cool back room where nothing else is said. */
export function pieceOf({ material, uses, ...rest }: Stated): Piece {
  const plain: Piece = {
    format: "nook-coat/piece",
    version: 1,
    room: COOL,
    ...rest,
    material: material as MaterialId,
    uses: uses as readonly string[] as readonly UseId[],
  };
  return withPatternLayers(plain, CATALOGUE);
}

const HOUR_MIN = 60;
const DAY_MIN = 24 * HOUR_MIN;

function demo(number: number, stated: Stated, how: Omit<DemoPiece, "id" | "piece">): DemoPiece {
  return { id: pieceId(`ternpoint${String(number).padStart(3, "0")}`), piece: pieceOf(stated), ...how };
}

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
    {
      // Second of two base coats, yesterday: hard enough for the tape.
      state: { last: { zone: "top", role: "base", coat: 2 }, minutesAgo: 26 * HOUR_MIN, stands: "to-do" },
      set: "For the terrace",
    },
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
    {
      // The dots, five hours ago: wet for hours yet, and so thick that they hold the whole pot.
      state: { last: { zone: "outside", role: "decorate", technique: "dots", coat: 1 }, minutesAgo: 5 * HOUR_MIN, stands: "wet-by-hours" },
      dueInDays: 75,
      set: "For the terrace",
    },
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
    { state: null },
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
    {
      // Last of three coats, fifteen hours ago: dry to the touch, and not dry through.
      state: { last: { zone: "outside", role: "decorate", technique: "freehand-brush", coat: 3 }, minutesAgo: 15 * HOUR_MIN, stands: "drying-through" },
    },
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
    {
      // First of three coats, more than an hour ago: wet for minutes yet.
      state: { last: { zone: "outside", role: "decorate", technique: "freehand-brush", coat: 1 }, minutesAgo: 78, stands: "wet-by-minutes" },
    },
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
    {
      // Last of three coats, two days ago: the pencil may be rubbed out.
      state: { last: { zone: "inside", role: "decorate", technique: "freehand-brush", coat: 3 }, minutesAgo: 2 * DAY_MIN, stands: "to-do" },
    },
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
    { state: null, dueInDays: 40 },
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
    { state: null, set: "For the terrace" },
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
    {
      // The dots, two hours and a half ago: wet for most of a day.
      state: { last: { zone: "outside", role: "decorate", technique: "dots", coat: 1 }, minutesAgo: 150, stands: "wet-by-a-day" },
    },
  ),
  demo(
    10,
    {
      name: "Window pebbles for sale",
      material: "stone-smooth",
      object: "stone",
      form: WINDOW_PEBBLE,
      uses: ["gift-or-sale"],
      decoration: { baseColour: SEA, patterns: [markedOut("lamp-rings", WINDOW_PEBBLE, [CREAM, AMBER])] },
      finish: "gloss",
      count: 20,
    },
    {
      // The last seal, three days ago: handled gently, hard in a month.
      state: { last: { zone: "top", role: "seal", coat: 2 }, minutesAgo: 3 * DAY_MIN, stands: "hardening" },
    },
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
    {
      // Second of two base coats, yesterday: ready for the pencil.
      state: { last: { zone: "top", role: "base", coat: 2 }, minutesAgo: 27 * HOUR_MIN, stands: "to-do" },
    },
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
    { state: null, dueInDays: 90 },
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
    {
      // Second of three coats, two hours ago; half of the plates have the third.
      state: { last: { zone: "rim", role: "base", coat: 2 }, minutesAgo: 2 * HOUR_MIN, underWay: { pieces: 3, begunMinutesAgo: 17 }, stands: "under-way" },
      dueInDays: 10,
    },
  ),
];
