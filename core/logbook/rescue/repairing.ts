import { productId } from "../../catalogue/ids";
import type { Catalogue } from "../../catalogue/catalogue";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { FaultPlace } from "../../casting/repair/fault";
import type { Repair } from "../../casting/repair/repair";
import type { Change, NewStep, Place } from "../../coating/model/change";
import type { Candidate } from "../../coating/model/plan";
import type { Step } from "../../coating/model/step";

/** Zones a place of a body may be in, the likeliest first. */
const ZONES_OF: Readonly<Record<FaultPlace, readonly ZoneId[]>> = {
  face: ["top", "face", "outside", "body", "lid"],
  edge: ["top", "face", "rim", "outside", "body"],
  "inside-edge": ["inside", "inner-strip", "rim", "body"],
  wall: ["outside", "body", "face", "top"],
  foot: ["base", "back", "foot", "saucer"],
};

/** Roles of the work on the bare body, which a repair stands in place of. */
const BARE_WORK: readonly Step["role"][] = ["fill", "sand", "dust-off"];
/** Roles that come before it. */
const BEFORE: readonly Step["role"][] = ["cast", "clean"];

const because = (text: string) => [{ requirement: "level-surface", text }];
const DUSTED: NewStep = {
  role: "dust-off",
  product: productId("dry-brush"),
  because: because("dust under a film keeps it from holding"),
  checks: ["A dark cloth comes away clean."],
};

function sanded(words: readonly string[], why: string): NewStep {
  return { role: "sand", product: productId("sanding"), because: because(why), checks: words };
}

/** What a zone's repairs come to, as steps in their order: what stands out is taken down, then filled round by round and rubbed level, resin last. */
function stepsOf(repairs: readonly Repair[]): readonly NewStep[] {
  const ways = (way: readonly Repair["way"][]) => repairs.filter((one) => way.includes(one.way));
  const down = ways(["rub-down"]);
  const fills = ways(["fill", "build-up"]).filter(({ filler }) => filler !== null);
  const levels = ways(["level"]);
  const fillers = [...new Set(fills.map(({ filler }) => filler!))];
  const words = (of: readonly Repair[], from = 0) => [...new Set(of.flatMap(({ steps }) => steps.slice(from)))];
  return [
    ...(down.length > 0 ? [sanded(words(down), "what stands out shows through every film")] : []),
    ...fillers.flatMap((filler): readonly NewStep[] => {
      const own = fills.filter((one) => one.filler === filler);
      const rounds = Math.max(...own.map((one) => one.rounds));
      const why = own.find((one) => one.rounds === rounds)!.why;
      return [{ role: "fill", product: filler, coats: rounds, because: because(why), checks: words(own) }];
    }),
    ...(fills.length > 0
      ? [sanded([...new Set(fills.flatMap(({ steps }) => steps.filter((text) => text.startsWith("Rub it level"))))], "a filled place is felt by every finger")]
      : []),
    ...(down.length + fills.length > 0 ? [DUSTED] : []),
    ...levels.flatMap((one): readonly NewStep[] => [
      { role: "fill", product: productId("coating-resin"), coats: 1, method: "pour", because: because(one.why), checks: one.steps },
      { role: "sand", product: productId("scuffing"), because: because("nothing holds on glossy resin"), checks: ["Dull all over, no shiny spots."] },
      { role: "dust-off", product: productId("damp-wipe"), because: because("dust under a film keeps it from holding"), checks: [] },
    ]),
  ];
}

/** The zone a place is in: of those the plan has steps for, the likeliest. */
export function zoneOfPlace(place: FaultPlace, shown: Candidate): ZoneId | null {
  const zones = shown.zones.map(({ zone }) => zone);
  return ZONES_OF[place].find((zone) => zones.includes(zone)) ?? zones[0] ?? null;
}

function placeIn(steps: readonly Step[], gone: ReadonlySet<string>): Place {
  const open = steps.filter(({ id, done }) => !done && !gone.has(id));
  const first = open.find(({ role }) => !BEFORE.includes(role));
  if (first) return { before: first.id };
  const last = steps.filter(({ id }) => !gone.has(id)).at(-1);
  return last ? { after: last.id } : { start: true };
}

/**
 * Repairs as changes of the plan that is followed: in each zone they stand before its first film, in place of the filling and sanding the plan had there.
 * What is done already stays; what is to be cast anew, or is closed by the primer, changes nothing.
 *
 * @returns none where there is nothing to write, or the plan holds them already
 */
export function repairChanges(repairs: readonly Repair[], shown: Candidate, catalogue: Catalogue): readonly Change[] {
  const byZone = new Map<ZoneId, Repair[]>();
  for (const repair of repairs) {
    const zone = zoneOfPlace(repair.fault.place, shown);
    if (zone !== null) byZone.set(zone, [...(byZone.get(zone) ?? []), repair]);
  }
  return [...byZone].flatMap(([zone, own]) => {
    const fresh = stepsOf(own);
    const { steps } = shown.zones.find((one) => one.zone === zone)!;
    const firstFilm = steps.findIndex(({ role, product }) => !BARE_WORK.includes(role) && !BEFORE.includes(role) && catalogue.products.has(product));
    const before = firstFilm < 0 ? steps : steps.slice(0, firstFilm);
    const replaced = before.filter(({ role, done }) => !done && BARE_WORK.includes(role));
    if (fresh.length === 0 || isThere(fresh, replaced)) return [];
    const at = placeIn(steps, new Set(replaced.map(({ id }) => id as string)));
    // Each is put before the same step, so that they come in their order; after one, the last comes first.
    const ordered = "before" in at ? fresh : [...fresh].reverse();
    return [...replaced.map(({ id }): Change => ({ op: "remove", stepId: id })), ...ordered.map((step): Change => ({ op: "add", zone, at, step }))];
  });
}

const print = (step: Pick<NewStep, "role" | "product" | "coats" | "checks">) =>
  [step.role, step.product, step.role === "fill" ? (step.coats ?? 1) : "", ...(step.checks ?? [])].join("|");

/** The plan holds the very same steps already. */
function isThere(fresh: readonly NewStep[], had: readonly Step[]): boolean {
  return fresh.length === had.length && fresh.every((step, k) => print(step) === print(had[k]!));
}
