import { UNNOTICED } from "../facts/noticeable";
import type { Catalogue } from "../../catalogue/catalogue";
import type { ProductClass } from "../../catalogue/product-class";
import { sayStanding } from "../../catalogue/provenance";
import { WEARS } from "../../catalogue/use";
import type { Exposure, Use, Wear } from "../../catalogue/use";
import { markdownTable } from "./markdown-table";
import { weightsAsMarkdown } from "./weights-page";

const EXPOSURE_WORDS: Record<Exposure, string> = {
  seen: "what is seen and touched",
  underside: "what it stands on",
  contents: "what holds the contents",
  carrying: "what things stand on",
  lip: "the lip",
  food: "the eating side",
  mouth: "above a flame or an opening",
  joint: "where it is glued",
};
const GRADE_WORDS = ["–", "1 fair", "2 good", "3 very good"] as const;

function useRows(use: Use): readonly (readonly string[])[] {
  const met = Object.entries(use.wears) as [Exposure, readonly Wear[]][];
  return met.map(([exposure, wears]) => [use.name, EXPOSURE_WORDS[exposure], wears.join(", "), sayStanding(use.provenance)]);
}

function grades(product: ProductClass, pick: (product: ProductClass) => Partial<Record<Wear, 1 | 2 | 3>>): readonly string[] | null {
  const own = pick(product);
  return Object.keys(own).length === 0
    ? null
    : [product.name, ...WEARS.map((wear) => GRADE_WORDS[own[wear] ?? 0]), sayStanding(product.standing["resists"] ?? product.standing.default)];
}

/** What wears, in which use, and how every film stands it, as a page to argue with. */
export function durabilityAsMarkdown(catalogue: Catalogue): string {
  const products = [...catalogue.products.values()];
  const films = (pick: Parameters<typeof grades>[1]) => products.flatMap((product) => [grades(product, pick) ?? []].filter((row) => row.length > 0));
  const head = ["film", ...WEARS, "standing"];
  return `${[
    "# How long-wearing a plan is, and what it is chosen by",
    "Written out of the code by `npm run rules`. The model is plain on purpose: it tells plans apart, it does not foretell years. Your product's label wins.",
    "## The model",
    "1. A use brings **wears** to each place of the piece (first table). A place with none meets a duster.",
    "2. Each wear meets the **last film** of that place: the sealer; where there is none, the weakest of the colours, by what they stand alone (or alone and baked).",
    "3. On slick ware (glass, glaze) a clear film holds no better than **one grade** above the paint under it: it lifts with it.",
    "4. Grades run from 0 (not made for it) to 3 (very good). A place scores **half its weakest wear and half the mean of all**: a weak spot counts, and does not hide the rest.",
    `5. A plan is as long-wearing as its **weakest painted place**; between plans alike in that, all places count together. A difference under ${UNNOTICED.durability} is not told.`,
    "Points 3 to 5 are judgements of this project. The grades are typical values, most from memory; none is a test result.",
    "## What wears, by use",
    markdownTable(
      ["use", "place", "wears", "standing"],
      [...catalogue.uses.values()].flatMap((use) => useRows(use)),
    ),
    "## Films over the colour",
    markdownTable(
      head,
      films((product) => product.resists),
    ),
    "## Colours that stand alone",
    markdownTable(
      head,
      films((product) => product.standsAlone),
    ),
    "## Colours that stand alone once baked",
    markdownTable(
      head,
      films((product) => product.standsAloneBaked),
    ),
    weightsAsMarkdown(),
  ].join("\n\n")}\n`;
}
