import type { Catalogue } from "../../catalogue/catalogue";
import type { ProductId } from "../../catalogue/ids";
import { ROUTES } from "../../catalogue/vocabulary";
import type { Route } from "../../catalogue/vocabulary";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { mainZone, mayBeFired } from "../../piece/zones";
import type { Zone } from "../../piece/zones";
import { makeCandidate } from "../candidate";
import { pieceFacts } from "../facts";
import type { PieceFacts, StackFacts } from "../facts";
import { PLAN_SET_FORMAT, PLAN_SET_VERSION } from "../plan";
import type { Candidate, PlanSet, StepChoice, ZoneSteps } from "../plan";
import type { Rule } from "../rule";
import { RULES } from "../rules/rules";
import type { ZoneContext } from "./context";
import { layersOf } from "./layers";
import type { MeasureName } from "./measures";
import { MEASURES } from "./measures";
import { nearestTo } from "./nearest";
import { ZoneSearch } from "./search-zone";
import { thinOut, titled } from "./thin-out";
import { wishFindings } from "./wishes";

/** One whole plan the search found, and what it was looking for. */
export interface Found {
  readonly candidate: Candidate;
  readonly measure: MeasureName | "school";
}

interface Attempt {
  readonly found: readonly Found[];
  readonly why: string;
  readonly code: string;
}

function contextOf(facts: PieceFacts, zone: Zone, route: Route): ZoneContext {
  const layers = layersOf(facts).filter((layer) => layer.zone === zone.zone);
  const field = zone.motifGround === undefined ? facts.piece.decoration.baseColour : zone.motifGround;
  // The ground under a motif is its field; what is set on it are its layers.
  const own = zone.motifGround === undefined ? layers : layers.filter((layer) => layer.technique.id !== "solid");
  return { ...facts, zone, route, layers: own, field, surface: facts.material.surface };
}

/** Zones that get steps, the main one first: the rest follow what it uses. What stands on the kiln shelf stays bare of glaze. */
function zonesToCoat(facts: PieceFacts, route: Route): readonly Zone[] {
  const main = mainZone(facts.zones);
  return facts.zones
    .filter((zone) => route !== "kiln" || zone.template.exposure !== "underside")
    .filter((zone) => zone.treatment === "paint" || zone.treatment === "finish-underside" || zone.treatment === "protect")
    .sort((a, b) => Number(b === main) - Number(a === main));
}

function routesOf(facts: PieceFacts): readonly Route[] {
  const { oven } = facts.piece.constraints;
  const open = ROUTES.filter((route) => {
    if (route === "air") return true;
    return route === "bake" ? oven && facts.material.bakeMaxC.value !== null : mayBeFired(facts.piece, facts.material);
  });
  const wished = open.filter((route) => route === facts.piece.wishes.route);
  return wished.length > 0 ? wished : open;
}

type Planned = { readonly zones: readonly ZoneSteps<StepChoice>[] } | { readonly zones: null; readonly why: string; readonly code: string };

/** What was chosen of a stack; its waits are worked out again with the whole plan. */
function choicesIn({ zone, areaMm2 }: Zone, stack: StackFacts): ZoneSteps<StepChoice> {
  return { zone, areaMm2, steps: stack.steps.map(({ step: { waitBefore: _wait, ...step } }) => step) };
}

/** Plans all zones of one route by one measure, the main zone first; the others prefer what is already bought. */
function planZones(searches: readonly ZoneSearch[], measure: MeasureName, forced?: ReadonlyMap<string, string>): Planned {
  const owned = new Set<ProductId>();
  const zones: ZoneSteps<StepChoice>[] = [];
  for (const [index, search] of searches.entries()) {
    const result = search.best(measure, owned, index === 0 ? forced : undefined);
    if (!result.stack) return { zones: null, why: result.why, code: result.code };
    zones.push(choicesIn(search.context.zone, result.stack));
    for (const { step } of result.stack.steps) owned.add(step.product);
  }
  return { zones };
}

function columnOrder(facts: PieceFacts, zones: readonly ZoneSteps<StepChoice>[]): readonly ZoneSteps<StepChoice>[] {
  const order = facts.zones.map((zone) => zone.zone);
  return [...zones].sort((a, b) => order.indexOf(a.zone) - order.indexOf(b.zone));
}

function planRoute(facts: PieceFacts, route: Route, rules: readonly Rule[]): Attempt {
  const searches = zonesToCoat(facts, route).map((zone) => new ZoneSearch(contextOf(facts, zone, route), rules));
  const found: Found[] = [];
  let unmet = { why: "every zone of it has to stay bare", code: "nothing-to-paint" };
  const attempt = (measure: MeasureName, as: Found["measure"], forced?: ReadonlyMap<string, string>) => {
    const planned = planZones(searches, measure, forced);
    if (!planned.zones) {
      if (as !== "school") unmet = { why: planned.why, code: planned.code };
      return;
    }
    const candidate = makeCandidate(facts, columnOrder(facts, planned.zones), rules, { title: "", route });
    const stop = candidate.findings.find((one) => one.severity === "stop");
    if (stop) unmet = { why: `${stop.message}: ${stop.why.charAt(0).toLowerCase()}${stop.why.slice(1)}`, code: stop.code };
    else if (as !== "school" || followsFirst(candidate, forced)) found.push({ candidate, measure: as });
  };
  /** A school differs where practitioners differ; it does not drag harsher stuff into the rest of the plan. */
  const followsFirst = (candidate: Candidate, forced?: ReadonlyMap<string, string>) =>
    forced?.has("sealing") || forced?.has("levelling") || forced?.has("heat") || candidate.scores.harshness <= found[0]!.candidate.scores.harshness;
  if (searches.length === 0) return { found, ...unmet };
  for (const measure of Object.keys(MEASURES) as MeasureName[]) attempt(measure, measure);
  if (found.length > 0) {
    for (const { slot, option } of searches[0]!.schools()) attempt("balanced", "school", new Map([[slot, option]]));
  }
  return { found, ...unmet };
}

/**
 * Plans a piece: searches the stacks of every zone by several measures and schools, on every route the piece can take.
 *
 * @param piece a piece whose ids the catalogue knows (see `parsePiece`)
 * @returns candidates without a `stop`, at most five; or a refusal with the nearest piece that can be planned
 */
export function planPiece(piece: Piece, catalogue: Catalogue, rules: readonly Rule[] = RULES): PlanSet {
  const { piece: complete, assumed } = completePiece(piece, catalogue);
  const facts = pieceFacts(complete, catalogue);
  const attempts = routesOf(facts).map((route) => planRoute(facts, route, rules));
  const all = attempts.flatMap((attempt) => attempt.found);
  const set = { format: PLAN_SET_FORMAT, version: PLAN_SET_VERSION, piece, assumed } as const;
  if (all.length === 0) {
    const { why, code } = attempts[0] ?? { why: "no route is open", code: "nothing-fits" };
    return {
      ...set,
      candidates: [],
      refusal: {
        code,
        message: `There is no sound plan for ${complete.name} as it stands`,
        why,
        nearest: nearestTo(piece, catalogue, (changed) => canPlan(changed, catalogue, rules)),
      },
    };
  }
  const wishes = (candidate: Candidate) => ({ ...candidate, findings: [...candidate.findings, ...wishFindings(facts, candidate)] });
  return { ...set, candidates: titled(thinOut(all)).map(wishes), refusal: null };
}

/** Does a piece have a plan at all? Stops at the first. */
export function canPlan(piece: Piece, catalogue: Catalogue, rules: readonly Rule[] = RULES): boolean {
  const facts = pieceFacts(completePiece(piece, catalogue).piece, catalogue);
  return routesOf(facts).some((route) => {
    const searches = zonesToCoat(facts, route).map((zone) => new ZoneSearch(contextOf(facts, zone, route), rules));
    if (searches.length === 0) return false;
    const zones = searches.map((search) => ({ context: search.context, ...search.any() }));
    if (zones.some(({ stack }) => stack === null)) return false;
    const choices = zones.flatMap(({ context, stack }) => (stack ? [choicesIn(context.zone, stack)] : []));
    return makeCandidate(facts, columnOrder(facts, choices), rules, { title: "", route }).findings.every((one) => one.severity !== "stop");
  });
}
