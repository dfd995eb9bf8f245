import type { ConditionKind } from "../condition";
import { productId } from "../ids";
import { days } from "../../units/duration";

const PLAIN = { soil: null, adds: [], uneven: false, oldFilm: false, glossy: false, bleeds: false, driesForMin: 0 } as const;
const ids = (...names: string[]) => names.map(productId);

/** What is done about each condition is common practice; drying-out times are from memory. */
export const CONDITION_KINDS: readonly ConditionKind[] = [
  { ...PLAIN, id: "dusty", name: "Dusty", said: "it is dusty", soil: "dust", adds: ids("dry-brush") },
  { ...PLAIN, id: "greasy", name: "Greasy", said: "it is greasy", soil: "grease", adds: ids("soap-wash") },
  { ...PLAIN, id: "damp", name: "Damp", said: "it is damp", driesForMin: days(2) },
  { ...PLAIN, id: "pitted", name: "Pitted", said: "it is pitted", uneven: true },
  { ...PLAIN, id: "bumpy", name: "Bumpy", said: "it is bumpy", uneven: true },
  { ...PLAIN, id: "air-holes", name: "Air holes", said: "it has air holes", uneven: true },
  { ...PLAIN, id: "chipped", name: "Chipped", said: "it is chipped", uneven: true },
  { ...PLAIN, id: "efflorescence", name: "White salts on it", said: "there are white salts on it", soil: "salts", adds: ids("salt-brush", "fresh-water-soak") },
  { ...PLAIN, id: "knots", name: "Knots", said: "it has knots", bleeds: true },
  { ...PLAIN, id: "previously-painted", name: "Painted before", said: "it was painted before", oldFilm: true },
  { ...PLAIN, id: "glossy-coating", name: "Old glossy coat", said: "there is an old glossy coat on it", oldFilm: true, glossy: true },
  { ...PLAIN, id: "flaking-old-paint", name: "Flaking old paint", said: "old paint is flaking off it", oldFilm: true },
  { ...PLAIN, id: "beach-found", name: "From the shore", said: "it comes from the shore, with salt in it", soil: "shore-salt", adds: ids("fresh-water-soak") },
  {
    ...PLAIN,
    id: "release-agent",
    name: "Mould release or soap on it",
    said: "mould release or soap is still on it",
    soil: "release-agent",
    adds: ids("soap-wash"),
  },
  { ...PLAIN, id: "green-wood", name: "Fresh, undried wood", said: "the wood is fresh", driesForMin: days(60) },
];
