import type { Catalogue } from "../catalogue/catalogue";
import type { MaterialId, UseId } from "../catalogue/ids";
import type { TechniqueId } from "../catalogue/vocabulary";
import { usualForm } from "./complete-piece";
import { likelyObject } from "./guess-object";
import { PIECE_FORMAT, PIECE_VERSION } from "./piece";
import type { Piece } from "./piece";

/** The three facts a plan starts from. */
export interface ThreeFacts {
  readonly material: MaterialId;
  readonly uses: readonly UseId[];
  readonly techniques: readonly TechniqueId[];
}

/**
 * A piece out of three facts, at a usual size, named after what it is.
 *
 * @param catalogue names it after its material and object
 * @returns a piece at a usual size; nothing else is stated
 */
export function pieceFrom({ material, uses, techniques }: ThreeFacts, catalogue: Catalogue): Piece {
  const object = likelyObject(material, uses, catalogue);
  const kind = object === "other" ? "" : ` ${(catalogue.objects.get(object)?.name ?? "").toLowerCase().split(" or ")[0]}`;
  const named = catalogue.materials.get(material)?.name ?? material;
  const decorated = techniques[0] ? ` with ${catalogue.techniques.get(techniques[0])?.name.toLowerCase()}` : "";
  return {
    format: PIECE_FORMAT,
    version: PIECE_VERSION,
    name: `${named}${named.toLowerCase().endsWith(kind.trim()) || object === "stone" ? "" : kind}${decorated}`,
    material,
    object,
    form: usualForm(object, catalogue),
    uses,
    decoration: { techniques },
  };
}
