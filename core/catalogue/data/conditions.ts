import type { ConditionKind } from "../condition";
import { productId } from "../ids";
import { days } from "../../units/duration";

const PLAIN = { soil: null, adds: [], uneven: false, oldFilm: false, bleeds: false, driesForMin: 0 } as const;
const ids = (...names: string[]) => names.map(productId);

/** What is done about each condition is common practice; drying-out times are from memory. */
export const CONDITION_KINDS: readonly ConditionKind[] = [
  { ...PLAIN, id: "dusty", name: "Dusty", soil: "dust", adds: ids("dry-brush") },
  { ...PLAIN, id: "greasy", name: "Greasy", soil: "grease", adds: ids("soap-wash") },
  { ...PLAIN, id: "damp", name: "Damp", driesForMin: days(2) },
  { ...PLAIN, id: "pitted", name: "Pitted", uneven: true },
  { ...PLAIN, id: "bumpy", name: "Bumpy", uneven: true },
  { ...PLAIN, id: "air-holes", name: "Air holes", uneven: true },
  { ...PLAIN, id: "chipped", name: "Chipped", uneven: true },
  { ...PLAIN, id: "efflorescence", name: "White salts on it", soil: "salts", adds: ids("salt-brush", "fresh-water-soak") },
  { ...PLAIN, id: "knots", name: "Knots", bleeds: true },
  { ...PLAIN, id: "previously-painted", name: "Painted before", oldFilm: true },
  { ...PLAIN, id: "glossy-coating", name: "Old glossy coat", oldFilm: true },
  { ...PLAIN, id: "flaking-old-paint", name: "Flaking old paint", oldFilm: true },
  { ...PLAIN, id: "beach-found", name: "From the shore", soil: "shore-salt", adds: ids("fresh-water-soak") },
  { ...PLAIN, id: "release-agent", name: "Mould release or soap on it", soil: "release-agent", adds: ids("soap-wash") },
  { ...PLAIN, id: "green-wood", name: "Fresh, undried wood", driesForMin: days(60) },
];
