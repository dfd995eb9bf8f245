import type { Catalogue } from "../../catalogue/catalogue";
import type { Wear } from "../../catalogue/use";
import type { Form } from "../../piece/form";
import { FORM_MEASURES } from "../../piece/form";
import type { Piece } from "../../piece/piece";
import type { PowderKind } from "../compound";
import type { RepairBody } from "./repair";

/** Of a body of which only the area is known, mm. */
const UNKNOWN_MM = 100;

/** Measures of a form, mm; of a body of which only the area is known a usual one. */
function measuresOf(form: Form): readonly number[] {
  if (form.kind === "custom") return [UNKNOWN_MM, UNKNOWN_MM];
  return FORM_MEASURES[form.kind].map((name) => (form as unknown as Record<string, number>)[name]!);
}

/** Forms with a top that lies flat. */
const FLAT: readonly Form["kind"][] = ["disc", "plate", "box"];

/** Wear that wets a body. */
const WETS: readonly Wear[] = ["weather", "wet-soil", "washing", "wet-rings"];

/** Hands on casting a body, its share of mixing and cleaning up, minutes [from memory]. */
const CAST_MIN = 12;

/** What its form says of a body: how long, how thin, whether a top of it lies flat. */
function sizesOf(form: Form): Pick<RepairBody, "longestMm" | "thinnestMm" | "levels"> {
  const measures = measuresOf(form);
  return { longestMm: Math.max(...measures), thinnestMm: Math.min(...measures), levels: FLAT.includes(form.kind) };
}

/**
 * The body of a piece, as a repair asks for it.
 *
 * @throws Error when the material is not in the catalogue
 */
export function repairBody({ material, form, uses }: Pick<Piece, "material" | "form" | "uses">, catalogue: Catalogue): RepairBody {
  const { traits, surface } = catalogue.materials.get(material)!;
  const wears = uses.flatMap((use) => Object.values(catalogue.uses.get(use)?.wears ?? {}).flat());
  const of = traits.includes("dissolves") ? "gypsum" : traits.includes("alkaline") ? "cement" : surface === "porous" ? "mineral" : surface;
  const sizes = sizesOf(form);
  return {
    ...sizes,
    of,
    ownPowder: false,
    wet: wears.some((wear) => WETS.includes(wear)),
    levels: sizes.levels && !traits.includes("water-moves-through"),
    castMin: of === "gypsum" || of === "cement" ? CAST_MIN : null,
  };
}

/** A body fresh from its mould, as a repair asks for it: while it is damp it is filled with its own powder. @param dry its weight stays the same */
export function castRepairBody(kind: PowderKind, form: Form, dry: boolean): RepairBody {
  return { ...sizesOf(form), of: kind, ownPowder: !dry, wet: false, castMin: CAST_MIN };
}
