import type { ZoneGroup } from "#core/coating/explain/alike-zones";
import type { Menu } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";

/** A wait of this many minutes or more is a night: drawn as a gap. */
const NIGHT_MIN = 8 * 60;
export const NIGHT_GAP = 14;
const SEAM = 2;
export const MIN_BAND = 20;
const MAX_BAND = 46;
const GUIDE_ROW = 17;
const CAP_ROW = 21;

const PALE = "#f8f5ec";
export const CLEAR = "#dfeaea";
const SHIMMER = "#c9b37e";

/**
 * Height of a band: it grows with the logarithm of the dry film, so that a thin varnish can still be read and a poured
 * resin does not fill the page. About: one thin coat 19, two coats of colour 26, a raised dot 34, poured resin 42.
 *
 * @param dryMicrons of all coats together, µm
 */
export function bandHeight(dryMicrons: number): number {
  return Math.min(MAX_BAND, MIN_BAND + 10 * Math.log10(1 + dryMicrons / 20));
}

/** What is drawn of a step: a film as a band, what vanishes again as a guide, heat and cure as a cap, what leaves nothing as a dot on the body. */
export type Kind = "film" | "guide" | "cap" | "act";

export interface Band {
  readonly step: Step;
  readonly kind: Kind;
  readonly y: number;
  readonly height: number;
  readonly fill: string;
  /** Wait under it, minutes, where it is long enough to be a gap. */
  readonly gapMin: number;
}

export interface Column {
  readonly group: ZoneGroup;
  readonly bands: readonly Band[];
  /** Acts on the bare surface: washing, sanding, wiping. */
  readonly acts: readonly Step[];
  /** From the body's top to the top of the highest band. */
  readonly height: number;
}

export function kindOf(step: Step, menu: Menu): Kind {
  if (menu.products.some((one) => one.id === step.product && !one.aid)) return "film";
  if (step.role === "mark" || step.role === "mask" || step.role === "sign") return "guide";
  if (step.role === "heat-set" || step.role === "fire" || step.role === "assemble" || step.role === "cure") return "cap";
  return "act";
}

/** A film's colour: its own, white grounds pale, clear films the colour of water. */
export function fillOf(step: Step, menu: Menu): string {
  if (step.colour !== undefined) return step.colour;
  const jobs = menu.products.find((one) => one.id === step.product)?.jobs ?? [];
  if (jobs.includes("white-ground") || jobs.includes("fill")) return PALE;
  return jobs.includes("decorate") || jobs.includes("colour") ? SHIMMER : CLEAR;
}

export function isClearFill(band: Band): boolean {
  return band.step.colour === undefined && band.fill === CLEAR;
}

function dryOf(step: Step): number {
  return step.marks ? step.marks.heightMm * 300 : (step.dryMicrons ?? 6) * step.coats;
}

/** Lays a group's steps up from the body; y is negative upwards from its top. */
export function columnOf(group: ZoneGroup, menu: Menu): Column {
  let y = 0;
  let waited = 0;
  const bands: Band[] = [];
  const acts: Step[] = [];
  for (const step of group.steps) {
    const kind = kindOf(step, menu);
    waited += step.waitBefore?.min ?? 0;
    if (kind === "act") {
      if (!bands.some((band) => band.kind === "film")) acts.push(step);
      continue;
    }
    // Hardening says its own length.
    const gapMin = bands.length > 0 && step.role !== "cure" && waited >= NIGHT_MIN ? waited : 0;
    const height = kind === "film" ? bandHeight(dryOf(step)) : kind === "guide" ? GUIDE_ROW : CAP_ROW;
    y -= height + (gapMin > 0 ? NIGHT_GAP : SEAM);
    bands.push({ step, kind, y, height, fill: fillOf(step, menu), gapMin });
    waited = 0;
  }
  return { group, bands, acts, height: -y };
}
