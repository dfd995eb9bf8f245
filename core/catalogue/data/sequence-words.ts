import type { Role, TechniqueId } from "../vocabulary";

/** What is done without leaving a film, as painters call it. Read in this order: the first that is said counts. */
export const ACT_WORDS: readonly { readonly says: RegExp; readonly role: Role; readonly product: string }[] = [
  { says: /\b(rub(bed)?|eras(ed?|ing)|wip(ed?|ing))\b.*\b(guides?|lines?|rings?|chalk|pencil)\b/i, role: "unmark", product: "eraser" },
  { says: /\b(peel(ed)?|lift(ed)?|pull(ed)?)\b.*\b(tape|mask|film)\b|\b(tape|mask|film)\b.*\boff\b/i, role: "unmask", product: "peel" },
  { says: /\bchalk(ed)?\b(?!y?[- ]?(paint|white|cream))/i, role: "mark", product: "chalk-pencil" },
  { says: /\bcharcoal\b/i, role: "mark", product: "charcoal-pencil" },
  { says: /\b(dry[- ]?erase|whiteboard)\b/i, role: "mark", product: "dry-erase-marker" },
  { says: /\bpencil(led)?\b|\bgraphite\b/i, role: "mark", product: "graphite-pencil" },
  { says: /\b(masking tape|taped?|masked?|masking)\b/i, role: "mask", product: "tape" },
  { says: /\brubber bands?\b/i, role: "mask", product: "rubber-band" },
  { says: /\b(soap|dish ?washing liquid|detergent|degreased?)\b/i, role: "clean", product: "soap-wash" },
  { says: /\b(isopropyl|rubbing alcohol|wiped? (it )?with alcohol|meths)\b/i, role: "clean", product: "isopropyl-alcohol" },
  { says: /\bsoak(ed)?\b/i, role: "clean", product: "fresh-water-soak" },
  { says: /\b(wash(ed)?|scrub(bed)?|rins(ed?|ing))\b(?! of)/i, role: "clean", product: "water-wash" },
  { says: /\bbrush(ed)? (it )?(off|clean|dry)\b|\bdust(ed)? off\b/i, role: "clean", product: "dry-brush" },
  { says: /\b(scuff(ed)?|keyed)\b/i, role: "sand", product: "scuffing" },
  { says: /\bsand(ed|ing)?\b/i, role: "sand", product: "sanding" },
  { says: /\b(bake[ds]?|baking|in the oven)\b/i, role: "heat-set", product: "oven-bake" },
  { says: /\bsign(ed)?\b/i, role: "sign", product: "signature" },
  { says: /\bglue[ds]?\b.*\bon\b/i, role: "assemble", product: "glue" },
];

/** Kinds of decoration, as painters call them. */
export const TECHNIQUE_WORDS: readonly { readonly says: RegExp; readonly technique: TechniqueId }[] = [
  { says: /\bwalk(ed|ing) dots?\b/i, technique: "walked-dots" },
  { says: /\bspong(ed|e) dots?\b/i, technique: "sponge-dots" },
  { says: /\b(dots?|dotted|dotting)\b/i, technique: "dots" },
  { says: /\bswip(es?|ed)\b/i, technique: "swipes" },
  { says: /\b(bands?|stripes?|striped)\b/i, technique: "bands" },
  { says: /\bstencil(s|led)?\b/i, technique: "stencil" },
  { says: /\b(letters?|lettering|words|writing|name)\b/i, technique: "lettering" },
  { says: /\boutlin(es?|ed)\b/i, technique: "outline" },
  { says: /\bswirl(s|ed)?\b/i, technique: "swirled" },
  { says: /\bblend(ed|s)?\b/i, technique: "blended" },
  { says: /\b(flowers?|leaves|brushwork|freehand|picture|motif|pattern|strokes?)\b/i, technique: "freehand-brush" },
];

/** Numbers as they are said. */
export const COUNT_WORDS: Readonly<Record<string, number>> = { a: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, once: 1, twice: 2 };

/** Says that paints are mixed, and are not laid one beside the other. */
export const MIX_WORDS =
  /\bmix(ed|ture)?\b|\bhalf and half\b|\b(a|some) (little|touch|bit|dash|drop|spot|hint)\b|\bdrops? of\b|\bparts?\b|\b\d{1,2}\s*(:|to)\s*\d{1,2}\b(?!\s*coats)|\btint(ed)?\b|\bplus\b/i;
/** How much is meant by what people say of the smaller part [from memory]. */
export const MIX_AMOUNTS: readonly { readonly says: RegExp; readonly parts: number }[] = [
  { says: /\b(drops?|spot|hint) of\s*$/i, parts: 0.05 },
  { says: /\b(little|touch|bit|dash)( of)?\s*$/i, parts: 0.15 },
  { says: /\b(some)\s*$/i, parts: 0.4 },
  { says: /\b(lots|plenty|mostly)( of)?\s*$/i, parts: 3 },
];

/** Sequences people commonly work in, to begin from [common practice of the trade]. */
export const COMMON_SEQUENCES: readonly string[] = [
  "gesso, two coats of craft acrylic, dots, two coats of acrylic varnish",
  "craft acrylic straight on, two coats, acrylic varnish",
  "washed with soap, adhesion primer, two coats of craft acrylic, dots, polyurethane",
  "wiped with alcohol, two coats of bakeable enamel, baked at 160 °C for 30 min",
  "gesso, two coats of craft acrylic, dots, resin",
];
