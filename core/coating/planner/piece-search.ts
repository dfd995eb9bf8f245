import { stepId } from "../../catalogue/ids";
import type { ProductId } from "../../catalogue/ids";
import type { Catalogue } from "../../catalogue/catalogue";
import { COVERS_FROM } from "../../catalogue/technique";
import { knowsShelf } from "../../catalogue/own-product";
import { ROUTES } from "../../catalogue/vocabulary";
import type { Route, ZoneId } from "../../catalogue/vocabulary";
import { completePiece } from "../../piece/complete-piece";
import type { Assumption, Piece } from "../../piece/piece";
import { mainZone, mayBeFired } from "../../piece/zones";
import type { Zone } from "../../piece/zones";
import { makeCandidate } from "./candidate";
import { pieceFacts, stackFacts } from "../facts/facts";
import type { PieceFacts, StackFacts } from "../facts/facts";
import { firstStop, judge, zoneWord } from "../rules/judge";
import type { LaidStep } from "../model/laid-step";
import type { StepChoice, ZoneSteps } from "../model/step";
import { stepIdOf } from "../model/step-id";
import type { Rule } from "../rules/rule";
import { RULES } from "../rules/rules";
import type { ZoneContext } from "./context";
import { PROVISIONAL } from "./domains";
import { layersOf, wholeFieldOf } from "../facts/layers";
import type { ZoneLayer } from "../facts/layers";
import { RouteSearch } from "./route-search";
import { withoutBlockedMedia } from "./wishes";
import { ZoneSearch } from "./zone-search";

/** Steps of the user's that stay, each in its zone. */
export interface PinnedStep extends StepChoice {
  readonly zone: ZoneId;
}

export interface Asked {
  readonly rules?: readonly Rule[];
  /** "Keep these steps of mine, make the rest right." */
  readonly keep?: readonly PinnedStep[];
  /** What was recorded at the bench: on the piece already, and told apart from what the user only states. */
  readonly body?: readonly LaidStep[];
  /** "role:product" of the plan that is followed, by zone: a change of one fact keeps its products wherever they still hold. */
  readonly followed?: ReadonlyMap<ZoneId, ReadonlySet<string>>;
}

/** A blend over the whole place: the base colour, where one is named, is the first that is blended. */
function blendOf(facts: PieceFacts, layers: readonly ZoneLayer[]): readonly ZoneLayer[] {
  const first = layers.find((layer) => layer.technique.while === "wet" && layer.coverage >= COVERS_FROM);
  const base = facts.piece.decoration.baseColour;
  if (!first || base === null || layers.some((layer) => layer.technique === first.technique && layer.colour === base)) return layers;
  return [{ ...first, colour: base }, ...layers];
}

function contextOf(facts: PieceFacts, zone: Zone, route: Route, { keep = [], body = [], followed }: Asked): ZoneContext {
  const layers = zone.treatment === "paint" ? layersOf(facts).filter((layer) => layer.zone === zone.zone) : [];
  const whole = zone.motifGround === undefined ? wholeFieldOf(facts, zone.zone) : null;
  const plain = zone.motifGround === undefined ? (whole?.colour ?? facts.piece.decoration.baseColour) : zone.motifGround;
  // The ground under a motif is its field; what is set on it are its layers.
  const own = zone.motifGround === undefined ? blendOf(facts, layers) : layers.filter((layer) => layer.technique.id !== "solid");
  const blend = own.find((layer) => layer.technique.while === "wet" && layer.coverage >= COVERS_FROM);
  return {
    ...facts,
    zone,
    route,
    layers: own,
    field: zone.treatment === "finish" ? null : (blend?.colour ?? plain),
    fieldMedium: whole?.medium ?? null,
    blended: blend !== undefined,
    followed: followed?.get(zone.zone) ?? null,
    surface: facts.material.surface,
    done: [...facts.piece.done, ...body].filter((step) => step.zone === zone.zone),
    keep: keep.filter((step) => step.zone === zone.zone).map(({ zone: _zone, ...step }) => step),
  };
}

/** Zones that get steps, the main one first: the rest follow what it uses. What stands on the kiln shelf stays bare of glaze. */
function zonesToCoat(facts: PieceFacts, route: Route): readonly Zone[] {
  const main = mainZone(facts.zones);
  return facts.zones
    .filter((zone) => route !== "kiln" || zone.template.exposure !== "underside")
    .filter((zone) => ["paint", "finish-underside", "finish", "protect"].includes(zone.treatment))
    .sort((a, b) => Number(b === main) - Number(a === main));
}

/** What a zone's stack hangs on, but for its name and size: zones alike in it are treated alike, as a painter would. */
function kindOf({ zone, layers, field, fieldMedium, blended, followed, done, keep }: ZoneContext): string {
  const { template, wears, mustStayBare, treatment, motifGround } = zone;
  const { exposure, decorated, halves, optional, part } = template;
  const plain = (steps: readonly object[]) => steps.map((step) => ({ ...step, zone: "", id: "", laidAt: "" }));
  return JSON.stringify([
    treatment,
    exposure,
    decorated,
    halves,
    optional,
    part,
    wears,
    mustStayBare,
    motifGround,
    field,
    fieldMedium,
    blended,
    [...(followed ?? [])],
    layers,
    plain(done),
    plain(keep),
  ]);
}

function searchesOf(facts: PieceFacts, route: Route, asked: Asked, rules: readonly Rule[]): readonly ZoneSearch[] {
  const kinds = new Map<string, { readonly context: ZoneContext; readonly zones: Zone[] }>();
  for (const zone of zonesToCoat(facts, route)) {
    const context = contextOf(facts, zone, route, asked);
    const kind = kindOf(context);
    const known = kinds.get(kind);
    if (known) known.zones.push(zone);
    else kinds.set(kind, { context, zones: [zone] });
  }
  return [...kinds.values()].map(({ context, zones }) => new ZoneSearch(context, zones, rules));
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

/** A stack's choices in one of the zones it is for; its waits are worked out again with the whole plan. */
function choicesIn({ zone, areaMm2 }: Zone, stack: StackFacts): ZoneSteps<StepChoice> {
  const taken = new Set<string>();
  let beneath: ProductId | null = null;
  const steps = stack.steps.map(({ product, step: { waitBefore, ...step } }): StepChoice => {
    const renamed = step.id.startsWith(`${stack.zone.zone}.`) ? stepId(`${zone}${step.id.slice(stack.zone.zone.length)}`) : step.id;
    const id = step.id.startsWith(PROVISIONAL) ? stepIdOf(zone, step, beneath, taken) : renamed;
    if (product) beneath = product.id;
    return { ...step, id, ...(waitBefore?.set === "hers" ? { waitBefore } : {}) };
  });
  return { zone, areaMm2, steps };
}

/** The stacks of every zone, in the order of the piece's columns. */
function zoneChoices(facts: PieceFacts, searches: readonly ZoneSearch[], stacks: readonly StackFacts[]): readonly ZoneSteps<StepChoice>[] {
  const order = facts.zones.map((zone) => zone.zone);
  return searches
    .flatMap((search, index) => search.zones.map((zone) => choicesIn(zone, stacks[index]!)))
    .sort((a, b) => order.indexOf(a.zone) - order.indexOf(b.zone));
}

const ON_IT = [{ requirement: "already-done", text: "it is on the piece" }];

/** A recorded coat as a step of the plan. */
export function asDoneStep({ zone, id, ...step }: LaidStep): StepChoice {
  return { checks: [], because: ON_IT, origin: "engine", ...step, id: id ?? stepIdOf(zone, step, null, new Set()), done: true };
}

/** Every recorded coat with its own instant, and zones that get nothing more but have coats on them. */
function withBody(facts: PieceFacts, zones: readonly ZoneSteps<StepChoice>[], body: readonly LaidStep[]): readonly ZoneSteps<StepChoice>[] {
  if (body.length === 0) return zones;
  const instants = new Map(body.map((step) => [step.id, step.laidAt]));
  const dated = zones.map((zone) => ({
    ...zone,
    steps: zone.steps.map((step) => {
      const laidAt = step.done ? instants.get(step.id) : undefined;
      return laidAt === undefined ? step : { ...step, laidAt };
    }),
  }));
  const planned = new Set(zones.map((zone) => zone.zone));
  const others = facts.zones.filter((zone) => !planned.has(zone.zone) && body.some((step) => step.zone === zone.zone));
  return [...dated, ...others.map(({ zone, areaMm2 }) => ({ zone, areaMm2, steps: body.filter((step) => step.zone === zone).map(asDoneStep) }))];
}

function routeSearch(facts: PieceFacts, route: Route, asked: Asked): RouteSearch {
  const { rules = RULES, body = [] } = asked;
  const searches = searchesOf(facts, route, asked, rules);
  const whole = (stacks: readonly StackFacts[]) => withBody(facts, zoneChoices(facts, searches, stacks), body);
  const across = rules.filter((rule) => rule.acrossZones);
  return new RouteSearch(searches, {
    route,
    sound: (stacks) => firstStop(stackFacts(facts, whole(stacks)), across) === null,
    why: (stacks) => judge(stackFacts(facts, whole(stacks)), rules).find((one) => one.severity === "stop") ?? null,
    candidate: (stacks) => makeCandidate(facts, whole(stacks), rules, { title: "", route }),
    priced: knowsShelf(facts.catalogue) && [...facts.catalogue.products.values()].some((product) => (product.own?.pricePerMl ?? null) !== null),
  });
}

/** How many marks of which size were taken, where the user gave none. */
function marksAssumed(facts: PieceFacts): readonly Assumption[] {
  const { layers } = facts.piece.decoration;
  const taken = layersOf(facts).filter((layer) => layer.marks !== null && !layers.some((one) => one.technique === layer.technique.id && one.marks));
  const kinds = [...new Map(taken.map((layer) => [`${layer.zone}|${layer.technique.id}`, layer])).values()];
  return kinds.map(({ zone, technique, marks }): Assumption => {
    const colours = taken.filter((layer) => layer.zone === zone && layer.technique === technique).length;
    const { count, diameterMm } = marks!;
    const each = colours > 1 ? ` of each of ${colours} colours` : "";
    const text = `about ${count} ${technique.name.toLowerCase()}${each}, ${diameterMm} mm across, on the ${zoneWord(zone)}`;
    return { path: `decoration.marks.${zone}.${technique.id}`, value: { count, diameterMm }, text };
  });
}

/** The facts of a piece as it is planned, what was taken as usual, and what cannot be had. */
export function factsOf(piece: Piece, catalogue: Catalogue) {
  const { piece: complete, assumed } = completePiece(piece, catalogue);
  const { piece: open, blocked } = withoutBlockedMedia(complete, catalogue);
  const facts = pieceFacts(open, catalogue);
  return { facts, stated: pieceFacts(complete, catalogue), assumed: [...assumed, ...marksAssumed(facts)], blocked };
}

/**
 * The searches of every route a piece can take.
 *
 * @param facts of a complete piece
 * @param asked what stays, and what is on the piece
 * @returns one search a route, the air first
 */
export function searchesFor(facts: PieceFacts, asked: Asked = {}): readonly RouteSearch[] {
  return routesOf(facts).map((route) => routeSearch(facts, route, asked));
}

/** Does a piece have a plan at all? Stops at the first. */
export function canPlan(piece: Piece, catalogue: Catalogue, asked: Asked = {}): boolean {
  const { facts } = factsOf(piece, catalogue);
  // One route at a time: the first that has a plan will do.
  return routesOf(facts).some((route) => routeSearch(facts, route, asked).any());
}
