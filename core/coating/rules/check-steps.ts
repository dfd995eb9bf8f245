import type { Catalogue } from "../../catalogue/catalogue";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { pieceFacts, stackFacts } from "../facts/facts";
import type { PieceFacts } from "../facts/facts";
import { layersOf, wholeFieldOf } from "../facts/layers";
import { judge } from "./judge";
import type { Finding } from "../model/plan";
import type { StepChoice, ZoneSteps } from "../model/step";
import type { Rule } from "./rule";
import { RULES } from "./rules";

/** What a step leaves out and the piece says: colour, technique, sheen, marks. What the piece only assumes stays unsaid. */
function asStated(facts: PieceFacts, piece: Piece, { zone, steps, areaMm2 }: ZoneSteps<StepChoice>): ZoneSteps<StepChoice> {
  const { decoration = {}, finish } = piece;
  const layers = layersOf(facts).filter((layer) => layer.zone === zone);
  const open = [...layers];
  const field = wholeFieldOf(facts, zone)?.colour ?? decoration.baseColour ?? undefined;
  return {
    zone,
    areaMm2,
    steps: steps.map((step): StepChoice => {
      const product = facts.catalogue.products.get(step.product);
      if (!product) return step;
      if (step.role === "base" && step.colour === undefined && field !== undefined) return { ...step, colour: field };
      if (step.role === "seal" && step.sheen === undefined && finish !== undefined && product.sheens.includes(finish)) return { ...step, sheen: finish };
      if (step.role !== "decorate") return step;
      const at = open.findIndex(
        (layer) =>
          (step.technique === undefined ? product.techniques.includes(layer.technique.id) : layer.technique.id === step.technique) &&
          (layer.medium === null || layer.medium === step.product),
      );
      const [layer] = at < 0 ? [] : open.splice(at, 1);
      if (!layer) return step;
      const colours = decoration.colours ?? decoration.layers?.flatMap((one) => one.colour ?? []) ?? [];
      return {
        ...step,
        technique: step.technique ?? layer.technique.id,
        ...(step.colour === undefined && layer.colour !== null && colours.includes(layer.colour) ? { colour: layer.colour } : {}),
        ...(step.marks === undefined && layer.marks && decoration.layers?.some((one) => one.marks) ? { marks: layer.marks } : {}),
      };
    }),
  };
}

/**
 * Judges steps as they stand, planned or already done. Waits and coats that are not given are unknown: a rule that needs
 * them says a note with "if", or nothing. A colour, technique or sheen that a step leaves out is read from the piece.
 *
 * @param zones stacks by zone; zones the piece does not have are ignored
 */
export function checkSteps(piece: Piece, zones: readonly ZoneSteps<StepChoice>[], catalogue: Catalogue, rules: readonly Rule[] = RULES): readonly Finding[] {
  const facts = pieceFacts(completePiece(piece, catalogue).piece, catalogue);
  return judge(
    stackFacts(
      facts,
      zones.map((zone) => asStated(facts, piece, zone)),
    ),
    rules,
  );
}
