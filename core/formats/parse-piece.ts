import type { Catalogue } from "../catalogue/catalogue";
import { measureFault } from "../piece/form";
import type { Piece } from "../piece/piece";
import { PIECE_FORMAT, PIECE_VERSION } from "../piece/piece";
import { checkShape } from "./check-shape";
import { FORM_SCHEMAS, PIECE_SCHEMA } from "./piece-schema";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";

type Path = readonly (string | number)[];

const join = (at: Path, ...more: Path) => [...at, ...more].join(".");

/** Every id a piece names, with its path and the shelf it has to be on. */
function idsOf(piece: Piece): readonly { path: Path; id: string; on: "materials" | "uses" | "products" | "steps" }[] {
  const { decoration = {}, wishes = {}, constraints = {} } = piece;
  const list = <S extends "uses" | "products" | "steps">(ids: readonly string[] | undefined, path: Path, on: S) =>
    (ids ?? []).map((id, index) => ({ id, path: [...path, index], on }));
  const { route: _route, guide, ...wished } = wishes;
  return [
    { id: piece.material, path: ["material"], on: "materials" },
    ...list(piece.uses, ["uses"], "uses"),
    ...list(decoration.media, ["decoration", "media"], "products"),
    ...(decoration.layers ?? []).flatMap((layer, index) =>
      layer.medium ? [{ id: layer.medium, path: ["decoration", "layers", index, "medium"], on: "products" as const }] : [],
    ),
    ...Object.entries(wished).map(([key, id]) => ({ id, path: ["wishes", key], on: "products" as const })),
    ...(guide ? [{ id: guide, path: ["wishes", "guide"], on: "steps" as const }] : []),
    ...list(constraints.avoid, ["constraints", "avoid"], "steps"),
    ...(piece.done ?? []).map((step, index) => ({ id: step.product, path: ["done", index, "product"], on: "steps" as const })),
  ];
}

function knows(catalogue: Catalogue, on: "materials" | "uses" | "products" | "steps", id: string): boolean {
  if (on === "steps") return catalogue.products.has(id as never) || catalogue.aids.has(id as never);
  return catalogue[on].has(id as never);
}

function tooNew(value: unknown): number | null {
  const { format, version } = (value ?? {}) as { format?: unknown; version?: unknown };
  return format === PIECE_FORMAT && typeof version === "number" && version > PIECE_VERSION ? version : null;
}

/**
 * Reads a piece out of an unknown document: shape, measures, and that every id is in the catalogue.
 *
 * @param at where the piece stands in a larger document, for the path of a fault
 * @returns the piece, or the first fault with its dotted path
 */
export function parsePiece(value: unknown, catalogue: Catalogue, at: Path = []): Parsed<Piece> {
  if (typeof value !== "object" || value === null || Array.isArray(value)) return bad("not-a-piece", join(at), "a piece is a JSON object");
  const newer = tooNew(value);
  if (newer !== null)
    return bad(
      "too-new",
      join(at, "version"),
      `this piece is version ${newer}; this Nook Coat reads version ${PIECE_VERSION}. Get the newer Nook Coat, or save it from there as version ${PIECE_VERSION}`,
    );
  const shape = checkShape<Piece>(PIECE_SCHEMA, value, at);
  if (!shape.ok) return shape;
  const piece = shape.value;
  const measured = checkShape(FORM_SCHEMAS[piece.form.kind]!, piece.form, [...at, "form"]);
  if (!measured.ok) return measured as Parsed<Piece>;
  if (piece.form.kind === "plate" && measureFault(piece.form, "rimWidthMm", piece.form.rimWidthMm) !== null)
    return bad("bad-value", join(at, "form", "rimWidthMm"), "the rim is wider than the plate");
  for (const { id, path, on } of idsOf(piece)) {
    if (knows(catalogue, on, id)) continue;
    const known = on === "steps" ? [] : [...catalogue[on].keys()];
    return bad("unknown-id", join(at, ...path), `"${id}" is not known here${known.length > 0 && known.length < 20 ? `; known: ${known.join(", ")}` : ""}`);
  }
  return good(piece);
}
