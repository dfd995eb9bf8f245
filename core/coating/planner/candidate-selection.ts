import { knowsShelf } from "../../catalogue/own-product";
import { productName } from "../../catalogue/catalogue";
import type { Catalogue } from "../../catalogue/catalogue";
import type { Candidate } from "../model/plan";
import { dominates, inHandNoLater, tradesOf, scoreDifference, winsOf } from "../facts/trade-offs";
import { offTrack } from "../facts/off-track";
import type { Trade, Win } from "../facts/trade-offs";
import type { MeasureName } from "./cost";
import { coloursIn, reweighed } from "./found";
import type { Found } from "./found";
import type { RouteSearch } from "./route-search";
import { practiceVariants } from "./practice-variants";
import { faultsIn } from "./zone-search";

/** A painter can weigh a handful of plans, not a list. */
const MOST_CANDIDATES = 5;
/** Places kept for schools, where practitioners differ by more than a measure. */
const FOR_SCHOOLS = 2;

/** What makes two plans different at the bench: route, products in their roles, heat. Not coats or sheen. */
function signature({ route, joined }: Found): string {
  const steps = joined.stacks.flatMap(({ zone, steps: facts }) =>
    facts.map(({ step }) => `${zone.zone}:${step.role}:${step.product}:${step.heat?.temperatureC ?? ""}`),
  );
  return [route, ...steps].join("|");
}

/** Where plans part: ground, isolation, guides or none, seal and heat. Fresh ground is worth showing. */
function schoolKeys({ joined }: Found): readonly string[] {
  const steps = joined.stacks.flatMap((stack) => stack.steps.map((fact) => fact.step));
  const parting = steps.filter((step) => ["prime", "isolate", "seal", "heat-set", "size"].includes(step.role));
  return [
    ...parting.map((step) => `${step.role}:${step.product}:${step.heat?.temperatureC ?? ""}`),
    steps.some((step) => step.role === "mark") ? "guided" : "by-eye",
  ];
}

/** The alternatives a plan takes in the main zone. */
function alternativesOf({ joined, variables }: Found): readonly string[] {
  return joined.judged[0]!.alternatives.map((alternative, variable) => `${variables[variable]!.name}:${alternative.key}`);
}

/** The best of all routes by a measure. */
export function bestOf(routes: readonly RouteSearch[], measure: MeasureName): Found | null {
  const found = routes.flatMap((route) => route.best(measure) ?? []);
  return found.sort((a, b) => a.joined.total - b.joined.total)[0] ?? null;
}

/** The best all round of all that was found, by the weights of that measure. */
function allRound(first: Found, found: readonly Found[]): Found {
  const weight = ({ joined }: Found) => reweighed(joined, "balanced").total;
  const least = faultsIn(first.joined.judged);
  const best = found.filter((one) => faultsIn(one.joined.judged) <= least).sort((a, b) => weight(a) - weight(b))[0];
  return best && weight(best) < weight(first) - EPSILON ? best : first;
}

const EPSILON = 1e-6;

/** From this far off usual practice a product is taken where nothing else will do, not for the sake of an hour. */
const STRAYS = 2;

class Selection {
  readonly candidates: Candidate[] = [];
  private readonly seen = new Set<string>();
  private readonly schools = new Set<string>();
  private readonly alternatives = new Set<string>();
  private readonly least: number;
  private readonly colours: number;

  constructor(first: Found) {
    this.colours = coloursIn(first.joined);
    this.least = faultsIn(first.joined.judged);
    this.show(first, first.make());
  }

  private show(found: Found, candidate: Candidate): void {
    this.seen.add(signature(found));
    for (const key of schoolKeys(found)) this.schools.add(key);
    for (const key of alternativesOf(found)) this.alternatives.add(key);
    this.candidates.push(candidate);
  }

  /** Takes a plan that is new, no worse in likely faults, and of which `worth` is true beside those shown. */
  consider(search: () => Found | null, most: number, worth: (candidate: Candidate, found: Found) => boolean): void {
    // No place is left: nothing need be looked for.
    if (this.candidates.length >= most) return;
    const found = search();
    if (!found || this.seen.has(signature(found)) || faultsIn(found.joined.judged) > this.least) return;
    this.seen.add(signature(found));
    if (this.strays(found)) return;
    const candidate = found.make();
    if (worth(candidate, found)) this.show(found, candidate);
  }

  /** Whether it takes what the trade does not reach for here and the first does without: no school, only a shuffle of jars. */
  private strays(found: Found): boolean {
    const usual = new Set(this.candidates[0]!.totals.products);
    // Several paints where one does the whole piece.
    if (coloursIn(found.joined) > this.colours) return true;
    return found.joined.stacks.some((stack) =>
      stack.steps.some(({ product, step }) => product && !step.done && !usual.has(product.id) && offTrack(product, stack) >= STRAYS),
    );
  }

  /** Does something none of those shown does where practitioners differ? */
  isFresh(found: Found): boolean {
    return schoolKeys(found).some((key) => !this.schools.has(key)) || found.route !== this.candidates[0]!.route;
  }

  /** Whether a plan shown takes this alternative in the main zone already. */
  has(variable: string, alternative: string): boolean {
    return this.alternatives.has(`${variable}:${alternative}`);
  }

  /** A painter would notice that it does better at something than every one shown, and none of them is as good in everything. */
  gains(candidate: Candidate): boolean {
    if (this.candidates.some((one) => dominates(one.scores, candidate.scores))) return false;
    return this.candidates.every((one) => {
      const said = tradesOf(scoreDifference(candidate.scores, one.scores));
      return said.some((trade) => ["wears-longer", "sooner", "less-work", "less-to-buy", "fewer-coats", "gentler", "cheaper"].includes(trade));
    });
  }
}

/** What a plan is called by what it wins. */
export const TITLES: Record<Win, string> = {
  durability: "Hardest wearing",
  readyDays: "Ready soonest",
  products: "Fewest things to buy",
  harshness: "No fumes, no oven",
  handsOnMin: "Least time at the bench",
  coats: "Fewest coats of colour",
  cost: "Cheapest in paint",
};

/** Titles computed from what each plan wins among those shown; otherwise from what of its school the first one does not do. */
function titled(candidates: readonly Candidate[], catalogue: Catalogue): readonly Candidate[] {
  const used = new Set<string>();
  const shelf = knowsShelf(catalogue) && candidates.some((one) => one.scores.products > 0);
  return candidates.map((candidate, index) => {
    const wins = winsOf(candidate, candidates);
    const owned = shelf && candidate.scores.products === 0 ? ["From what you own"] : [];
    const alternatives = [
      ...(index === 0 ? ["Sound all round"] : []),
      ...owned,
      ...wins.filter((win) => win !== "harshness" || candidate.scores.harshness === 0).map((win) => TITLES[win]),
    ];
    const title = [...alternatives, ...besideFirst(candidate, candidates[0]!, catalogue)].find((one) => !used.has(one)) ?? `Another way: ${candidate.school}`;
    used.add(title);
    return { ...candidate, title };
  });
}

/** The first candidate by itself, before any other is looked for. */
export function firstCandidate(found: Found, catalogue: Catalogue): Candidate {
  return titled([found.make()], catalogue)[0]!;
}

const ROUTE_TITLES: Record<Candidate["route"], string> = { air: "Without the oven", bake: "Set in the oven", kiln: "Fired in a kiln" };
const GAIN_TITLES: Partial<Record<Trade, string>> = {
  "wears-longer": "Wears longer",
  sooner: "Ready sooner",
  "less-to-buy": "Less to buy",
  gentler: "Gentler to work with",
  cheaper: "Cheaper in paint",
  "less-work": "Less time at the bench",
  "fewer-coats": "Fewer coats of colour",
};

/** What sets a plan apart from the first: its route, what of its school the first does not do, what it does better. */
function besideFirst(candidate: Candidate, first: Candidate, catalogue: Catalogue): readonly string[] {
  const usual = new Set(first.school.split(" · "));
  const own = candidate.school.split(" · ").filter((alternative) => !usual.has(alternative));
  const others = candidate.totals.products.filter((id) => !first.totals.products.includes(id)).map((id) => `With ${productName(catalogue, id).toLowerCase()}`);
  const gains = tradesOf(scoreDifference(candidate.scores, first.scores)).flatMap((trade) =>
    trade === "sooner" && !inHandNoLater(candidate, first) ? [] : (GAIN_TITLES[trade] ?? []),
  );
  return [...(candidate.route === first.route ? [] : [ROUTE_TITLES[candidate.route]]), ...own.map((alternative) => `With ${alternative}`), ...gains, ...others];
}

/**
 * The plans worth showing, at most five that differ in a product or in route: the best all round first, then what wins another
 * measure by more than nobody would notice (none of these is worse than another in everything), then other routes and the schools, which differ
 * by more than a measure says: what the user is used to, what a mistake costs.
 *
 * @param begun the best all round as far as was sought; one found on the way that weighs less all round takes its place
 * @returns nothing when no route has a plan
 */
export function selectCandidates(routes: readonly RouteSearch[], catalogue: Catalogue, begun: Found | null): readonly Candidate[] {
  if (!begun) return [];
  const measures = [...new Set(routes.flatMap((route) => route.measures))].filter((measure) => measure !== "balanced");
  const first = allRound(
    begun,
    measures.flatMap((measure) => bestOf(routes, measure) ?? []),
  );
  const shown = new Selection(first);
  for (const measure of measures)
    shown.consider(
      () => bestOf(routes, measure),
      MOST_CANDIDATES - FOR_SCHOOLS,
      (candidate) => shown.gains(candidate),
    );
  for (const route of routes)
    if (route.route !== first.route)
      shown.consider(
        () => route.best("balanced"),
        MOST_CANDIDATES,
        (_one, found) => shown.isFresh(found),
      );
  const home = routes.find((route) => route.route === first.route)!;
  const harshness = shown.candidates[0]!.scores.harshness;
  for (const school of practiceVariants(home.searches[0]!, (variable, alternative) => shown.has(variable, alternative))) {
    if (shown.candidates.length >= MOST_CANDIDATES) break;
    if (shown.has(school.variable, school.alternative)) continue;
    /** A school differs where practitioners differ; it does not drag harsher stuff into the rest of the plan. */
    const gentle = (one: Candidate) => ["sealing", "levelling", "heat"].includes(school.variable) || one.scores.harshness <= harshness;
    shown.consider(
      () => home.following(school),
      MOST_CANDIDATES,
      (one, found) => gentle(one) && shown.isFresh(found),
    );
  }
  return titled(shown.candidates, catalogue);
}
