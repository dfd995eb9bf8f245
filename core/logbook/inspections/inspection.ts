import type { Provenance } from "../../catalogue/provenance";
import type { Material } from "../../catalogue/material";
import type { Role, ZoneId } from "../../catalogue/vocabulary";
import type { Candidate } from "../../coating/model/plan";

export const INSPECTION_IDS = ["fingertip", "colour-change", "rub", "water-drop", "raking-light", "tape"] as const;
export type InspectionKind = (typeof INSPECTION_IDS)[number];

/** One way of seeing whether a stage is right before the next covers it. */
export interface Inspection {
  readonly id: InspectionKind;
  readonly name: string;
  /** Steps it is made after. */
  readonly roles: readonly Role[];
  /** The film has to be hard right through. */
  readonly onlyHard?: true;
  readonly how: string;
  readonly good: string;
  readonly bad: string;
  readonly provenance: Provenance;
}

const PRACTICE = { kind: "common-practice" } as const;

export const INSPECTIONS_LIST: readonly Inspection[] = [
  {
    id: "fingertip",
    name: "Fingertip",
    roles: ["fill", "sand"],
    how: "Close your eyes and run a fingertip over it, lightly, in two directions.",
    good: "no ridge, no dip, no grain",
    bad: "a high spot, a dip, or grit under the finger",
    provenance: PRACTICE,
  },
  {
    id: "colour-change",
    name: "Colour change",
    roles: ["fill"],
    how: "Look at the filler in daylight and press a nail into its thickest place.",
    good: "one colour all over, hard, and no longer cool",
    bad: "a darker middle, or the nail leaves a mark",
    provenance: PRACTICE,
  },
  {
    id: "rub",
    name: "Damp white cloth",
    roles: ["base", "decorate", "top-dot", "isolate", "lock"],
    how: "Rub a hidden corner ten times with a white cloth that is barely damp.",
    good: "the cloth stays white",
    bad: "colour on the cloth",
    provenance: PRACTICE,
  },
  {
    id: "water-drop",
    name: "Drop of water",
    roles: ["size", "prime"],
    how: "Set one drop of water on it, wait a minute, dab it off.",
    good: "the drop stands, and nothing is darker beneath it",
    bad: "it sinks in, or leaves a dark spot",
    provenance: PRACTICE,
  },
  {
    id: "raking-light",
    name: "Light from the side",
    roles: ["prime", "base", "seal", "isolate"],
    how: "Hold a lamp low at its side in a dark room and turn the piece.",
    good: "one even sheen: no bare spot, no ridge, no dust",
    bad: "a miss, brush lines, a run, or dust in it",
    provenance: PRACTICE,
  },
  {
    id: "tape",
    name: "Cuts and tape",
    roles: ["seal", "base", "decorate", "heat-set"],
    onlyHard: true,
    how: "Only underneath, or on a test tile. Cut six lines one way and six across with a new blade, brush the crumbs off, press clear tape on and pull it off steeply.",
    good: "the edges of the cuts are whole",
    bad: "little squares come off with the tape",
    provenance: { kind: "published", source: "ISO 2409 (cross-cut test); ASTM D3359, method B" },
  },
];

export const inspectionById = (id: InspectionKind): Inspection => INSPECTIONS_LIST.find((one) => one.id === id)!;

/**
 * A class of the cross-cut test. The same picture has two names: ISO counts faults from 0, ASTM holds from 5B.
 *
 * Source: ISO 2409:2020, table 1; ASTM D3359-22, method B.
 */
export interface CutGrade {
  readonly grade: number;
  readonly astm: string;
  /** Share of the squares that has come off, at most. */
  readonly offUpTo: number;
  readonly says: string;
}

export const CUT_GRADES: readonly CutGrade[] = [
  { grade: 0, astm: "5B", offUpTo: 0, says: "Edges quite smooth, nothing off." },
  { grade: 1, astm: "4B", offUpTo: 0.05, says: "Small flakes at the crossings; no more than 5 %." },
  { grade: 2, astm: "3B", offUpTo: 0.15, says: "Flaked along the edges and at crossings; 5 to 15 %." },
  { grade: 3, astm: "2B", offUpTo: 0.35, says: "Whole edges and some squares off; 15 to 35 %." },
  { grade: 4, astm: "1B", offUpTo: 0.65, says: "Broad ribbons and squares off; 35 to 65 %." },
  { grade: 5, astm: "0B", offUpTo: 1, says: "Worse than that." },
];

/** A grade up to which a piece may be used as it is planned [judgement of this project]. */
export const GOOD_GRADE = 1;

/** Coats that are cut through. */
export interface CutStack {
  /** Of all of them, µm. */
  readonly dryMicrons: number;
  /** On a body that a blade goes into. */
  readonly soft: boolean;
}

/** All coats of a place, as they are cut through; marks stand between the cuts. */
export function cutStack({ zones }: Pick<Candidate, "zones">, zone: ZoneId, { surface, traits }: Pick<Material, "surface" | "traits">): CutStack {
  const steps = zones.find((one) => one.zone === zone)?.steps ?? [];
  return {
    dryMicrons: steps.reduce((sum, { dryMicrons, coats, marks }) => sum + (marks ? 0 : (dryMicrons ?? 0) * coats), 0),
    soft: surface === "wood" || traits.some((trait) => trait === "dissolves" || trait === "bisque"),
  };
}

/** Film up to which lines of each spacing are cut, µm, on hard bodies and on soft ones such as wood and gypsum; null: too thick for this test. */
const SPACINGS = {
  hard: [
    [60, 1],
    [120, 2],
    [250, 3],
  ],
  soft: [
    [60, 2],
    [120, 2],
    [250, 3],
  ],
} as const;

/**
 * How far apart the lines are cut.
 *
 * @param dryMicrons of the whole stack, µm
 * @param soft on wood, gypsum, bisque
 * @returns mm; null where the film is too thick for cuts: an X is cut instead (ASTM D3359, method A)
 * Source: ISO 2409:2020, 6.2.
 * @example cutSpacingMm(50, false) // 1
 */
export function cutSpacingMm(dryMicrons: number, soft: boolean): number | null {
  return SPACINGS[soft ? "soft" : "hard"].find(([upTo]) => dryMicrons <= upTo)?.[1] ?? null;
}
