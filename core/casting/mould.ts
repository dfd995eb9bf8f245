import type { Form } from "../piece/form";
import type { Part } from "../catalogue/vocabulary";
import { formVolumeMl } from "../piece/form-volume";
import { memory } from "../catalogue/provenance";
import { volumeOfWater } from "./mix";

/** A mould as its owner knows it. */
export interface Mould {
  readonly name: string;
  /** The body that comes out of it. */
  readonly form: Form;
  /** The part of a piece it casts; absent: a whole piece. */
  readonly part?: Part | "body";
  /** What it holds full, g of water; absent: by its measured size. */
  readonly waterG?: number;
  /** So many of them are owned. */
  readonly count: number;
  /** A new one is stiff: it is bent open with care, and gives the first casts marks. */
  readonly stiff?: boolean;
  /** Where air stays in it, as its owner knows it: a lip, a groove, a corner. */
  readonly traps?: readonly TrapKind[];
}

export const TRAP_KINDS = ["lip", "undercut", "groove", "thin-wall", "fine-detail"] as const;
export type TrapKind = (typeof TRAP_KINDS)[number];

/** A size taken with a tape is this far off in volume either way, as a share [from memory]. */
const BY_SIZE_WITHIN = memory(0.1).value;

/** What a mould holds. */
export interface Capacity {
  readonly ml: number;
  readonly fromMl: number;
  readonly toMl: number;
  readonly by: "water" | "size";
}

/**
 * What a mould holds: as it was weighed full of water, else by the size of its body.
 *
 * @returns mL; null where neither can tell (a shape of which only the area is known)
 */
export function capacityOf({ waterG, form }: Pick<Mould, "waterG" | "form">): Capacity | null {
  if (waterG !== undefined) {
    const ml = volumeOfWater(waterG);
    return { ml, fromMl: ml, toMl: ml, by: "water" };
  }
  const ml = formVolumeMl(form);
  return ml === null ? null : { ml, fromMl: ml * (1 - BY_SIZE_WITHIN), toMl: ml * (1 + BY_SIZE_WITHIN), by: "size" };
}

/** How air is got out of a place it stays in [common practice]. */
export const TRAPS: Readonly<Record<TrapKind, { readonly name: string; readonly how: string }>> = {
  lip: { name: "a lip that turns in", how: "Fill to below the lip, knock, tilt it once round, then fill up." },
  undercut: { name: "an undercut", how: "Brush a little slurry into the undercut first, then pour from the other side." },
  groove: { name: "grooves or letters", how: "Brush slurry into the grooves with a soft brush before pouring." },
  "thin-wall": { name: "a thin wall", how: "Pour in a thread down one side, so that the air leaves by the other." },
  "fine-detail": { name: "fine detail", how: "Pour a little, roll it over the detail, then fill up." },
};

/** Places of a form in which air stays whatever the mould: what it is cast upside down in. */
const FORM_TRAPS: Partial<Readonly<Record<Form["kind"], readonly TrapKind[]>>> = {
  box: ["thin-wall"],
  plate: ["lip"],
  goblet: ["undercut", "thin-wall"],
  cylinder: [],
};

/** Where air stays in a mould: by the shape of its body, and as its owner knows it. */
export function trapsOf({ form, traps = [], part }: Pick<Mould, "form" | "traps" | "part">): readonly TrapKind[] {
  const byForm = part === "lid" ? (["lip"] as const) : (FORM_TRAPS[form.kind] ?? []);
  return [...new Set([...traps, ...byForm])];
}
