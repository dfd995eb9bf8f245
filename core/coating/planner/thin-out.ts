import type { Candidate } from "../plan";
import type { MeasureName } from "./measures";
import type { Found } from "./plan-piece";

/** A painter can weigh a handful of plans, not a list. */
const MOST_CANDIDATES = 5;

/** What makes two plans different at the bench: route, products in their roles, heat. Not coats or sheen. */
function signature(candidate: Candidate): string {
  const steps = candidate.zones.flatMap((zone) => zone.steps.map((step) => `${zone.zone}:${step.role}:${step.product}:${step.heat?.temperatureC ?? ""}`));
  return [candidate.route, ...steps].join("|");
}

function faults(candidate: Candidate): number {
  return candidate.findings.filter((one) => one.severity === "warn").length;
}

/** Where plans part: ground, isolation, seal, route and heat. Fresh ground is worth showing. */
function schoolKeys(candidate: Candidate): readonly string[] {
  return candidate.zones
    .flatMap((zone) => zone.steps)
    .filter((step) => ["prime", "isolate", "seal", "heat-set", "size"].includes(step.role))
    .map((step) => `${step.role}:${step.product}:${step.heat?.temperatureC ?? ""}`);
}

/**
 * Thins the plans found to at most five that really differ: the best all round first, then what wins another measure, then
 * other schools, each bringing something not yet shown. A plan with more likely faults than the first is not shown.
 */
export function thinOut(found: readonly Found[]): readonly Found[] {
  const order: Record<Found["measure"], number> = { balanced: 0, durable: 1, soonest: 2, fewest: 3, gentle: 4, school: 5 };
  const least = Math.min(...found.map((one) => faults(one.candidate)));
  const sorted = found.filter((one) => faults(one.candidate) === least).sort((a, b) => order[a.measure] - order[b.measure]);
  const kept: Found[] = [];
  const shown = new Set<string>();
  const seen = new Set<string>();
  const consider = (one: Found, fresh: boolean) => {
    const key = signature(one.candidate);
    if (kept.length >= MOST_CANDIDATES || seen.has(key)) return;
    const schools = schoolKeys(one.candidate);
    if (fresh && kept.length > 0 && schools.every((school) => shown.has(school))) return;
    seen.add(key);
    for (const school of schools) shown.add(school);
    kept.push(one);
  };
  for (const one of sorted) consider(one, true);
  for (const one of sorted) if (kept.length < 2) consider(one, false);
  return kept;
}

const TITLES: Record<MeasureName, string> = {
  balanced: "Sound all round",
  durable: "Hardest wearing",
  soonest: "Ready soonest",
  fewest: "Fewest things to buy",
  gentle: "No fumes, no oven",
};

interface Trait {
  readonly title: string;
  readonly wins: (mine: Candidate, others: readonly Candidate[]) => boolean;
}

const strictly = (pick: (candidate: Candidate) => number) => (mine: Candidate, others: readonly Candidate[]) =>
  others.every((other) => pick(mine) < pick(other));

/** What a plan may be called by: the measure it wins outright among those shown. */
const TRAITS: readonly Trait[] = [
  { title: TITLES.durable, wins: strictly((one) => -one.scores.durability) },
  { title: TITLES.soonest, wins: strictly((one) => one.scores.readyDays) },
  { title: TITLES.fewest, wins: strictly((one) => one.scores.products) },
  { title: "Least time at the bench", wins: strictly((one) => one.scores.handsOnMin) },
];

/** Titles computed from what each plan wins among those shown; otherwise from the school it follows. */
export function titled(found: readonly Found[]): readonly Candidate[] {
  const candidates = found.map((one) => one.candidate);
  const used = new Set<string>();
  return found.map(({ candidate, measure }, index) => {
    const others = candidates.filter((one) => one !== candidate);
    const options = [
      ...(index === 0 ? [TITLES.balanced] : []),
      ...TRAITS.filter((trait) => others.length > 0 && trait.wins(candidate, others)).map((trait) => trait.title),
      ...(measure === "gentle" && candidate.scores.harshness === 0 && others.some((other) => other.scores.harshness > 0) ? [TITLES.gentle] : []),
    ];
    const title = options.find((one) => !used.has(one)) ?? `With ${ownWay(candidate, candidates[0]!)}`;
    used.add(title);
    return { ...candidate, title };
  });
}

/** What of a plan's school the first one does not do. */
function ownWay(candidate: Candidate, first: Candidate): string {
  const usual = new Set(first.school.split(" · "));
  return candidate.school.split(" · ").find((part) => !usual.has(part)) ?? candidate.school;
}
