import { expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import type { MaterialId, UseId } from "../../catalogue/ids";
import { pieceFrom } from "../../piece/new-piece";
import type { Piece } from "../../piece/piece";
import { completePiece } from "../../piece/complete-piece";
import { pieceFacts } from "../facts/facts";
import type { MeasureName } from "./cost";
import { SLACK } from "./cost";
import { searchesFor } from "./piece-search";

const stated = (material: string, use: string, techniques: Parameters<typeof pieceFrom>[0]["techniques"], own: Partial<Piece> = {}): Piece => ({
  ...pieceFrom({ material: material as MaterialId, uses: [use as UseId], techniques }, CATALOGUE),
  ...own,
});
/** What the best plan costs by a measure; the best all round is sought first, as in planning. */
function best(piece: Piece, measure: MeasureName): number {
  const routes = searchesFor(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE));
  return Math.min(...routes.flatMap((route) => (route.best("balanced") && route.best(measure)?.joined.total) ?? []));
}

/** Everything but these few; what is found with the whole catalogue may not be noticeably worse. */
const only = (piece: Piece, ...ids: string[]): Piece => ({
  ...piece,
  constraints: { ...piece.constraints, avoid: [...CATALOGUE.products.keys()].filter((id) => !ids.includes(id)) },
});

// The better plan has the same few products in every zone: it is missed when each zone is bettered by itself.
test.each([
  ["one paint in every zone", stated("wood-hardwood", "indoor-display", ["dots"]), "balanced", ["gesso", "soft-body-acrylic", "acrylic-varnish"]],
  ["one varnish in every zone", stated("wood-board", "handled", ["bands", "stencil"]), "balanced", ["gesso", "soft-body-acrylic", "acrylic-varnish"]],
  ["no ground in any zone", stated("stone-rough", "found-outdoors", ["dots"]), "fewest", ["craft-acrylic", "outdoor-varnish"]],
  ["a seal over what would wash off", stated("wood-board", "indoor-display", ["dots"]), "balanced", ["gesso", "soft-body-acrylic", "acrylic-varnish"]],
  ["its back in exterior paint", stated("stone-rough", "outdoor-exposed", ["dots"]), "soonest", ["craft-acrylic", "outdoor-varnish", "masonry-paint"]],
  [
    "the same varnish on pot and rim",
    stated("concrete-cast", "planter", ["blended", "effect-powder"]),
    "balanced",
    ["masonry-primer", "craft-acrylic", "effect-powder", "acrylic-varnish", "outdoor-varnish", "inside-sealer"],
  ],
] as const)("%s: the whole catalogue leads to nothing worse than the few products it takes", (_name, piece, measure, ids) => {
  const few = best(only(piece, ...ids), measure);
  expect(few).toBeLessThan(Infinity);
  expect(best(piece, measure)).toBeLessThanOrEqual(few + SLACK[measure]);
});
