import { useId } from "../../catalogue/ids";
import { COMMON_PRACTICE } from "../../catalogue/provenance";
import type { Catalogue } from "../../catalogue/catalogue";
import { knowsShelf } from "../../catalogue/own-product";
import { USUAL_BASE_COLOUR } from "../../piece/complete-piece";
import type { Assumption, Piece } from "../../piece/piece";
import { UNNOTICED } from "../facts/noticeable";
import type { PieceFacts } from "../facts/facts";
import { PLAN_SET_FORMAT, PLAN_SET_VERSION } from "../model/plan";
import type { Candidate, Finding, PlanSet } from "../model/plan";
import { nearestRelaxation } from "./relaxation";
import type { RouteSearch } from "./route-search";
import { bestOf, firstCandidate, selectCandidates } from "./candidate-selection";
import { coveredFindings, unkeptWish, wishFindings } from "./wishes";
import { giveUp, namedIn } from "./wish-relaxation";

import { canPlan, factsOf, searchesFor } from "./piece-search";
import type { Asked } from "./piece-search";

/** A plan set in the making. */
export interface PlanBegun {
  /** The set with its first candidate only; null where there is none to show before all is known. */
  readonly first: PlanSet | null;
  /** Looks for the rest. */
  readonly whole: () => PlanSet;
}

/**
 * Plans a piece: the best stacks of all its zones together by each measure, and by each school where practitioners differ, on
 * every route the piece can take.
 *
 * @param piece a piece whose ids the catalogue knows (see `parsePiece`)
 * @param catalogue with the user's own products in it where they have a shelf (see `withOwnProducts`)
 * @param asked what stays whatever is planned, and what is on the piece already
 * @returns candidates without a `stop`, at most five; or a refusal with the nearest piece that can be planned
 */
export function planPiece(piece: Piece, catalogue: Catalogue, asked: Asked = {}): PlanSet {
  return beginPlan(piece, catalogue, asked).whole();
}

/** Plans a piece in two steps: the candidate that is shown first, then all of them. */
export function beginPlan(piece: Piece, catalogue: Catalogue, asked: Asked = {}): PlanBegun {
  const known = factsOf(piece, catalogue);
  const { facts, stated, assumed, blocked } = known;
  const set = { format: PLAN_SET_FORMAT, version: PLAN_SET_VERSION, piece, assumed } as const;
  const routes = searchesFor(facts, asked);
  const best = bestOf(routes, "balanced");
  const withWishes = (candidate: Candidate, obstacle: string | null): Candidate => ({
    ...candidate,
    findings: [...candidate.findings, ...wishFindings(stated, candidate, { obstacle, blocked }), ...coveredFindings(stated, asked.body ?? [])],
  });
  return {
    first: best && { ...set, candidates: [withWishes(firstCandidate(best, catalogue), null)], refusal: null },
    whole: () => {
      const chosen = selectCandidates(routes, catalogue, best).map((one) => withWishes(one, null));
      const candidates = [...chosen, ...besideNamed(piece, chosen, catalogue, asked)];
      if (candidates.length > 0) return { ...set, candidates, refusal: null };
      return withoutCandidates(piece, catalogue, asked, known, routes);
    },
  };
}

/** A plan that wears less well than this leaves room for a harder one beside it: of 3. */
const WEARS_WELL = 2.5;
const MOST_BESIDE = 5;

/** Beside the paint the user named the one that wears longer, which says that it does without theirs: on glass and glaze the paint decides. */
function besideNamed(piece: Piece, candidates: readonly Candidate[], catalogue: Catalogue, asked: Asked): readonly Candidate[] {
  const [first] = candidates;
  const media = namedIn(piece, catalogue).filter((one) => one.product !== null && one.without(piece).decoration !== piece.decoration);
  const slick = catalogue.materials.get(piece.material)?.surface === "slick";
  if (!first || !slick || media.length === 0 || candidates.length >= MOST_BESIDE || first.scores.durability >= WEARS_WELL) return [];
  const free = media.reduce((one, { without }) => without(one), piece);
  const best = bestOf(searchesFor(factsOf(free, catalogue).facts, asked), "balanced");
  if (!best) return [];
  const other = best.make();
  if (other.scores.durability - first.scores.durability <= UNNOTICED.durability) return [];
  const said = media.map(({ said: message }) => unkeptWish({ message, why: "the paint it takes instead wears longer here" }));
  return [{ ...other, title: "Wears longer", findings: [...other.findings, ...said] }];
}

/** What is answered where the piece as it stands has no plan: one that gives a wish up, one on an assumed ground, one without the media named; or a refusal. */
function withoutCandidates(
  piece: Piece,
  catalogue: Catalogue,
  asked: Asked,
  { facts, assumed }: ReturnType<typeof factsOf>,
  routes: readonly RouteSearch[],
): PlanSet {
  const set = { format: PLAN_SET_FORMAT, version: PLAN_SET_VERSION, piece, assumed } as const;
  const obstacle = obstacleOf(facts, routes);
  // A wish that cannot be had is no reason to have no plan: it is given up alone, and the plan says why.
  const given = giveUp(
    piece,
    catalogue,
    (one) => canPlan(one, catalogue, asked),
    (one) => obstacleIn(one, catalogue, asked).why,
  );
  if (given) {
    const rest = planPiece(given.piece, catalogue, asked);
    const said = given.gone.map(({ said: message, why }) => unkeptWish({ message, why }));
    if (rest.candidates.length > 0)
      return { ...rest, piece, assumed, candidates: rest.candidates.map((one) => ({ ...one, findings: [...one.findings, ...said] })) };
  }
  // What the user wants painted does not hold on the bare ware, and they named no colour for a ground: then one is assumed.
  if (facts.material.surface === "slick" && piece.decoration?.baseColour === undefined) {
    const grounded = planPiece(withGround(piece), catalogue, asked);
    if (grounded.candidates.length > 0) return { ...grounded, piece, assumed: [...assumed.filter((one) => one.path !== GROUND.path), GROUND] };
  }
  const shown = FOOD_CODES.includes(obstacle.code) ? forShow(piece, catalogue, asked, obstacle.why) : null;
  if (shown) return shown;
  return {
    ...set,
    candidates: [],
    refusal: {
      ...obstacle,
      message: `There is no sound plan for ${facts.piece.name} as it stands`,
      nearest: nearestRelaxation(piece, catalogue, obstacle.code, (changed) => canPlan(changed, catalogue, asked)),
    },
  };
}

/** Nothing of the kind can be eaten or drunk from, whatever is on it; as a thing to look at it can be made all the same. */
const FOOD_CODES: readonly string[] = ["food-on-paint", "soaks-what-it-holds"];
const FOR_FOOD: readonly string[] = ["drinkware", "tableware"];

/** A plan for show, which says before all else that it is nothing to eat or drink from. */
function forShow(piece: Piece, catalogue: Catalogue, asked: Asked, why: string): PlanSet | null {
  const others = piece.uses.filter((use) => !FOR_FOOD.includes(use));
  const uses = others.length > 0 ? others : [useId("indoor-display")];
  const set = planPiece({ ...piece, uses }, catalogue, asked);
  const bisque = catalogue.materials.get(piece.material)?.traits.includes("bisque") ?? false;
  if (set.candidates.length === 0) return null;
  const said: Finding = {
    code: "for-show-only",
    severity: "warn",
    zone: null,
    stepId: null,
    message: "It cannot be eaten or drunk from; this is a plan for a piece to look at",
    why,
    fix: {
      text: "Keep it for show and say so to whoever gets it, or make it of glazed ware; bisque can be glazed and fired.",
      ...(bisque ? { change: [{ op: "setPiece", path: "constraints.kiln", value: true }] } : {}),
    },
    provenance: COMMON_PRACTICE,
  };
  return { ...set, piece, candidates: set.candidates.map((one) => ({ ...one, uses, findings: [said, ...one.findings] })) };
}

/** What stands in the way of a piece that has no plan. */
function obstacleIn(piece: Piece, catalogue: Catalogue, asked: Asked): { readonly why: string; readonly code: string } {
  const { facts } = factsOf(piece, catalogue);
  const routes = searchesFor(facts, asked);
  for (const route of routes) route.any();
  return obstacleOf(facts, routes);
}

const GROUND: Assumption = {
  path: "decoration.baseColour",
  value: USUAL_BASE_COLOUR,
  text: "a base colour to paint on: what you chose does not hold on the bare ware",
};

function withGround(piece: Piece): Piece {
  return { ...piece, decoration: { ...piece.decoration, baseColour: USUAL_BASE_COLOUR } };
}

function obstacleOf(facts: PieceFacts, routes: readonly RouteSearch[]): { readonly why: string; readonly code: string } {
  if (facts.piece.constraints.shelfOnly && !knowsShelf(facts.catalogue))
    return { why: "you asked for only what you own, and nothing is known to stand on your shelf", code: "shelf-empty" };
  return routes[0]?.obstacle() ?? { why: "no route is open", code: "nothing-fits" };
}
