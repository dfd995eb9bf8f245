import type { Catalogue } from "../catalogue/catalogue";
import type { ObjectKind } from "../catalogue/object-kind";
import type { ObjectId } from "../catalogue/vocabulary";
import type { Piece } from "./piece";

/**
 * Guesses what a piece is from its shape, its material and its use, most telling first.
 *
 * @returns the object whose usual form, material and zones fit best; "other" when none does
 */
export function guessObject(piece: Pick<Piece, "form" | "material" | "uses" | "parts">, catalogue: Catalogue): ObjectId {
  const uses = piece.uses.flatMap((id) => catalogue.uses.get(id) ?? []);
  let best: { id: ObjectId; score: number } = { id: "other", score: 0 };
  for (const object of catalogue.objects.values()) {
    const place = object.forms.indexOf(piece.form.kind);
    if (place < 0 || object.id === "other") continue;
    const exposures = new Set(object.zones.map((zone) => zone.exposure));
    const demanded = uses.flatMap((use) => [...Object.keys(use.bare), ...Object.keys(use.wears)]);
    const met = demanded.filter((exposure) => exposures.has(exposure as never)).length;
    const parts = (piece.parts ?? []).filter((part) => object.zones.some((zone) => zone.part === part)).length;
    const score = 8 - place + (object.commonIn.includes(piece.material) ? 6 : 0) + met + parts * 8;
    if (score > best.score) best = { id: object.id, score };
  }
  return best.id;
}

/** Exposures that single an object out: a cup's lip, a tray's floor, a plate's eating side, a lantern's mouth. */
const TELLING = ["lip", "carrying", "food", "mouth"] as const;
/** How much each counts: a demand met, a telling one met, a telling one nobody asked for, the everyday object [judgement]. */
const SCORES = { met: 2, telling: 2, idle: -1, everyday: 1.5 } as const;

/**
 * The object to start from when only material and uses are known.
 *
 * @returns an object common in the material whose zones meet the uses best; "other" when the material has none
 */
export function likelyObject(material: string, uses: Piece["uses"], catalogue: Catalogue): ObjectId {
  const demanded = new Set<string>(uses.flatMap((id) => catalogue.uses.get(id) ?? []).flatMap((use) => [...Object.keys(use.bare), ...Object.keys(use.wears)]));
  const score = (object: ObjectKind) => {
    const exposures = new Set<string>(object.zones.map((zone) => zone.exposure));
    const telling = TELLING.filter((exposure) => exposures.has(exposure));
    const asked = telling.filter((exposure) => demanded.has(exposure)).length;
    const met = [...demanded].filter((exposure) => exposures.has(exposure)).length;
    const everyday = object.everydayIn.includes(material) ? SCORES.everyday : 0;
    return met * SCORES.met + asked * SCORES.telling + (telling.length - asked) * SCORES.idle + everyday;
  };
  const common = [...catalogue.objects.values()].filter((object) => object.commonIn.includes(material));
  return common.reduce<ObjectKind | null>((best, object) => (best && score(best) >= score(object) ? best : object), null)?.id ?? "other";
}
