import type { Win } from "../facts/trade-offs";
import { TITLES } from "../planner/candidate-selection";
import { MEASURES } from "../planner/cost";
import type { Cost, MeasureName } from "../planner/cost";
import { markdownTable } from "./markdown-table";

/** What each part of the cost stands for at the table, and why it weighs what it weighs all round. */
const SAID: Partial<Record<keyof Cost, readonly [unit: string, why: string]>> = {
  faults: ["a likely fault that another choice would not have", "traded for nothing"],
  days: [
    "a day from the first step to the last coat",
    "three days less are worth one more product of a kind of its own; eleven days where four do are not sound",
  ],
  cureDays: ["a day of cure", "it waits by itself: only a week of it counts"],
  handsOnMin: ["a minute at the bench", "half an hour is worth a product less"],
  products: ["a product that is not owned", "money, and a jar that stands about"],
  kinds: ["a ground, a colour or a clear beside the first of its kind, owned or not", "one of each for the whole piece, unless a place needs another"],
  shortfall: ["a grade of wear short of the best, in the worst place", "the piece lasts as long as its weakest place"],
  shortfallInAll: ["a grade short, in every place", "between plans alike in their worst place"],
  harshness: ["solvent, oven and resin, each kind once", "taken where they are worth it, never for an hour or a penny"],
  strain: ["off the beaten track: what the trade does not reach for on this surface, marks by eye, pits left open", "a painter would ask why"],
  steps: ["a step", "fewer things to forget"],
  coats: ["a coat of ground or colour", "each brings minutes and a wait of its own, which are counted too"],
};

const SHORT: Partial<Record<keyof Cost, string>> = {
  days: "a day",
  cureDays: "a day of cure",
  handsOnMin: "a minute",
  products: "a product",
  kinds: "a kind of film",
  shortfall: "a grade in the worst place",
  shortfallInAll: "a grade anywhere",
  harshness: "solvent, oven, resin",
  strain: "off the beaten track",
  steps: "a step",
  coats: "a coat",
  money: "a unit of the user's money",
  unpriced: "a product without a price",
};

const WON: Record<Exclude<MeasureName, "balanced">, Win> = {
  durable: "durability",
  soonest: "readyDays",
  "least-work": "handsOnMin",
  fewest: "products",
  "fewest-coats": "coats",
  gentle: "harshness",
  cheapest: "cost",
};

/** What a plan is chosen by: the weights themselves, with what they stand for, as a page to argue with. */
export function weightsAsMarkdown(): string {
  const { balanced, ...others } = MEASURES;
  const plain = (Object.keys(SAID) as (keyof Cost)[]).map((key) => [SAID[key]![0], String(balanced[key]), SAID[key]![1]]);
  const raised = (Object.keys(others) as (keyof typeof others)[]).map((measure) => [
    TITLES[WON[measure]],
    (Object.keys(balanced) as (keyof Cost)[])
      .filter((key) => others[measure][key] !== balanced[key])
      .map((key) => `${SHORT[key] ?? key} ${others[measure][key]}`)
      .join(", "),
  ]);
  return [
    "## What a plan is chosen by",
    'A plan costs what it asks of the painter. "Sound all round" is the plan that costs least of all that were found, by whatever measure they were sought; a test over the sweep holds that. All weights are judgements of this project, set so that a reader who paints would not turn a plan down for its choice of materials.',
    markdownTable(["each", "weighs", "because"], plain),
    "The other ways are the best by one matter, with the rest still weighed as above and a plan held together more firmly: a second ground, colour or clear and anything off the beaten track weigh several times as much, so that no way is a shuffle of jars that saves an hour. One that takes what the trade does not reach for, or more paints than the first, is not shown.",
    markdownTable(["way", "weighs more"], raised),
    "Reviewed as a painter would: oil-based enamel on a garden stone, three systems in one piece and a wait of eleven days where four do had been sound all round. They lost that place when a likely fault, a second kind of film and what is off the beaten track were given their own weights, and when the first plan was taken from everything found instead of from one search.",
  ].join("\n\n");
}
