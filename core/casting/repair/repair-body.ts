import type { Catalogue } from "../../catalogue/catalogue";
import type { Wear } from "../../catalogue/use";
import type { Form } from "../../piece/form";
import { FORM_MEASURES } from "../../piece/form";
import type { Piece } from "../../piece/piece";
import type { RepairBody } from "./repair";

/** Of a body of which only the area is known, mm. */
const UNKNOWN_MM = 100;

/** Measures of a form, mm; of a body of which only the area is known a usual one. */
export function measuresOf(form: Form): readonly number[] {
  if (form.kind === "custom") return [UNKNOWN_MM, UNKNOWN_MM];
  return FORM_MEASURES[form.kind].map((name) => (form as unknown as Record<string, number>)[name]!);
}

/** Forms with a top that lies flat. */
const FLAT: readonly Form["kind"][] = ["disc", "plate", "box"];

/** Wear that wets a body. */
const WETS: readonly Wear[] = ["weather", "wet-soil", "washing", "wet-rings"];

/** Hands on casting a body, its share of mixing and cleaning up, minutes [from memory]. */
export const CAST_MIN = 12;

/**
 * The body of a piece, as a repair asks for it.
 *
 * @throws Error when the material is not in the catalogue
 */
export function repairBody({ material, form, uses }: Pick<Piece, "material" | "form" | "uses">, catalogue: Catalogue): RepairBody {
  const { traits, surface } = catalogue.materials.get(material)!;
  const measures = measuresOf(form);
  const wears = uses.flatMap((use) => Object.values(catalogue.uses.get(use)?.wears ?? {}).flat());
  return {
    of: traits.includes("dissolves") ? "gypsum" : traits.includes("alkaline") ? "cement" : surface === "porous" ? "mineral" : surface,
    ownPowder: false,
    wet: wears.some((wear) => WETS.includes(wear)),
    longestMm: Math.max(...measures),
    thinnestMm: Math.min(...measures),
    levels: FLAT.includes(form.kind) && !traits.includes("water-moves-through"),
    castMin: traits.includes("dissolves") || traits.includes("alkaline") ? CAST_MIN : null,
  };
}
