import { useId } from "../ids";
import { COMMON_PRACTICE, practice } from "../provenance";
import type { Use } from "../use";

const PLAIN = {
  bare: {},
  finishedUnderside: false,
  outdoors: false,
  sun: false,
  flame: false,
  hotThings: false,
  childMade: false,
  wild: false,
  kept: true,
  provenance: COMMON_PRACTICE,
} as const;

const HAND_WASH = "Wash by hand with a soft cloth; no scourer, no dishwasher, no soaking.";
const DRINK_BARE = { code: "lip-zone", why: "hobby paint is not a food surface, whatever the jar says" };
const FLAME_BARE = { code: "flame-near-film", why: "a film inside or above a flame can burn and give off fumes" };

export const USES: readonly Use[] = [
  { ...PLAIN, id: useId("indoor-display"), name: "On show indoors", wears: { seen: ["wipe"] }, care: ["Dust with a dry or barely damp cloth."] },
  {
    ...PLAIN,
    id: useId("handled"),
    name: "Picked up and handled",
    wears: { seen: ["wipe", "rub"], underside: ["rub"] },
    care: ["Wipe with a barely damp cloth."],
  },
  {
    ...PLAIN,
    id: useId("gift-or-sale"),
    name: "A gift, or for sale",
    wears: { seen: ["wipe", "rub"], underside: ["rub"] },
    finishedUnderside: true,
    care: ["Wipe with a barely damp cloth."],
  },
  {
    ...PLAIN,
    id: useId("outdoor-sheltered"),
    name: "Outdoors, under cover",
    wears: { seen: ["weather"], underside: ["weather"] },
    outdoors: true,
    sun: true,
    care: ["Keep under cover; bring in for the winter."],
  },
  {
    ...PLAIN,
    id: useId("outdoor-exposed"),
    name: "Outdoors, in sun and rain",
    wears: { seen: ["weather", "rub"], underside: ["weather"] },
    outdoors: true,
    sun: true,
    care: ["Look it over each spring and renew the clear coat when it dulls."],
  },
  {
    ...PLAIN,
    id: useId("planter"),
    name: "A planter with wet soil",
    wears: { seen: ["weather", "rub"], underside: ["weather"], contents: ["wet-soil"] },
    care: ["Water the soil, not the wall; empty the saucer."],
  },
  {
    ...PLAIN,
    id: useId("drinkware"),
    name: "To drink from",
    wears: { seen: ["washing", "rub"] },
    bare: { lip: DRINK_BARE, contents: DRINK_BARE },
    lipBandMm: practice(25),
    care: [HAND_WASH],
  },
  {
    ...PLAIN,
    id: useId("tableware"),
    name: "To eat from",
    wears: { seen: ["washing"], underside: ["washing"] },
    bare: { food: { ...DRINK_BARE, code: "food-side" }, contents: { ...DRINK_BARE, code: "food-side" } },
    care: [HAND_WASH],
  },
  {
    ...PLAIN,
    id: useId("serving-tray"),
    name: "A tray for cups and plates",
    wears: { seen: ["wipe", "rub"], carrying: ["rub", "wet-rings"], underside: ["rub"] },
    hotThings: true,
    care: ["Hot cups go on a coaster. Wipe spills at once; never soak."],
  },
  {
    ...PLAIN,
    id: useId("candle"),
    name: "To hold a candle",
    wears: { seen: ["wipe", "rub"] },
    bare: { contents: FLAME_BARE, mouth: FLAME_BARE },
    flame: true,
    care: ["Tea light in its metal cup only; never leave it burning alone."],
  },
  { ...PLAIN, id: useId("child-made"), name: "Made with a child", wears: { seen: ["wipe"] }, childMade: true, care: ["Wipe with a barely damp cloth."] },
  {
    ...PLAIN,
    id: useId("found-outdoors"),
    name: "Left outdoors for others to find",
    wears: { seen: ["weather", "rub"], underside: ["weather"] },
    outdoors: true,
    wild: true,
    sun: true,
    care: ["Leave it only where local rules allow."],
  },
];
