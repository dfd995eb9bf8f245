import type { ProductClass } from "../product-class";
import type { TechniqueId } from "../vocabulary";
import { productClass, recoat, span } from "./build";

const BRUSHED: readonly TechniqueId[] = ["solid", "freehand-brush", "blended", "swirled", "bands", "stencil", "sponge-dots", "lettering", "outline"];
const DOTTED: readonly TechniqueId[] = ["dots", "walked-dots", "swipes"];

/** Shared by what goes into the kiln: on bisque, nothing before it is fired, everything after. */
const FIRED = { binder: "mineral", grips: ["porous"], ungroundedUpTo: "very-high", kilnSafe: true, maxTempC: 1000, traits: ["needs-firing"] } as const;

/** Kiln colours and glaze. Film values of the handbook's table; the glaze's own drying is from memory. */
export const KILN_COLOURS: readonly ProductClass[] = [
  productClass({
    ...FIRED,
    id: "underglaze",
    name: "Underglaze",
    means: "kiln colour for bisque: three coats for a solid field, two for dots, one for accents",
    jobs: ["colour", "decorate"],
    techniques: [...BRUSHED, ...DOTTED],
    coats: 3,
    film: { volumeSolidsPercent: 40, wetMicrons: 100, densityKgL: 1.4, contrastRatio: 0.6, body: "soft-dot" },
    drying: { touch: span(20), recoat: recoat(20), cureDays: null, minC: 5 },
    sheens: ["matte"],
    practice: ["means", "coats"],
  }),
  productClass({
    ...FIRED,
    id: "kiln-line-writer",
    name: "Kiln line writer",
    means: "a squeeze bottle for fine lines that go through the kiln",
    jobs: ["decorate"],
    techniques: ["outline", "lettering"],
    methods: ["pen"],
    coats: 1,
    film: { volumeSolidsPercent: 40, wetMicrons: 300, densityKgL: 1.4, contrastRatio: 0.9, body: "soft-dot" },
    drying: { touch: span(30), recoat: null, cureDays: null, minC: 5 },
    sheens: ["matte"],
    practice: ["means"],
  }),
  productClass({
    ...FIRED,
    id: "kiln-raised-line",
    name: "Kiln raised line",
    means: "a squeeze bottle for raised letters that go through the kiln",
    jobs: ["decorate"],
    techniques: ["raised-line"],
    methods: ["tool"],
    coats: 1,
    film: { volumeSolidsPercent: 40, wetMicrons: 800, maxWetMicrons: 1200, densityKgL: 1.4, contrastRatio: 0.9, body: "peaks" },
    drying: { touch: span(30), recoat: null, cureDays: null, minC: 5 },
    sheens: ["matte"],
    practice: ["means"],
  }),
  productClass({
    ...FIRED,
    id: "clear-glaze",
    name: "Clear glaze, food-safe",
    means: "fired to glass; food-safe only as its label says, on a matching body, and uncrazed",
    jobs: ["seal"],
    coats: 2,
    foodClaim: true,
    film: {},
    drying: { touch: span(30), recoat: recoat(60), cureDays: null, minC: 5 },
    resists: { wipe: 3, rub: 3, washing: 3, weather: 1, "wet-rings": 3 },
    sheens: ["gloss", "matte"],
    practice: ["means"],
  }),
];
