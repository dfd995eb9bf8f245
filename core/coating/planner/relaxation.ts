import type { Catalogue } from "../../catalogue/catalogue";
import { changePiece } from "../model/apply-changes";
import type { Change } from "../model/change";
import type { Air, Piece } from "../../piece/piece";
import type { Refusal } from "../model/plan";

interface Relaxation {
  readonly text: string;
  readonly changes: readonly Change[];
}

const set = (path: string, value: unknown): Change => ({ op: "setPiece", path, value });

/** Relaxations of one constraint each, the smallest first. */
function relaxations(piece: Piece, catalogue: Catalogue): readonly Relaxation[] {
  const { constraints = {}, decoration = {}, conditions = [], room = {}, uses } = piece;
  const media = decoration.media ?? [];
  const layers = decoration.layers ?? [];
  const name = (id: string) => catalogue.products.get(id as never)?.name.toLowerCase() ?? id;
  const airChanges = ({ temperatureC = 20, relativeHumidity = 0.5 }: Partial<Air>, path: string) => [
    ...(temperatureC < 15 || temperatureC > 30 ? [set(`${path}.temperatureC`, 20)] : []),
    ...(relativeHumidity > 0.75 ? [set(`${path}.relativeHumidity`, 0.55)] : []),
  ];
  const roomChanges = [...airChanges(room, "room"), ...(room.night ? airChanges(room.night, "room.night") : [])];
  const alternatives: Relaxation[] = [];
  if (roomChanges.length > 0) alternatives.push({ text: "work in a warm, airy room", changes: roomChanges });
  if (conditions.includes("flaking-old-paint"))
    alternatives.push({
      text: "once it is tested for lead and taken back to sound paint",
      changes: [
        set(
          "conditions",
          conditions.filter((one) => one !== "flaking-old-paint"),
        ),
      ],
    });
  if (media.length > 0) {
    for (const out of media)
      alternatives.push({
        text: `leave out ${name(out)}`,
        changes: [
          set(
            "decoration.media",
            media.filter((one) => one !== out),
          ),
        ],
      });
    if (media.length > 1) alternatives.push({ text: "let the plan choose the paint", changes: [set("decoration.media", [])] });
  }
  if (layers.some((layer) => layer.medium !== undefined))
    alternatives.push({
      text: "let the plan choose the paint of each layer",
      changes: [
        set(
          "decoration.layers",
          layers.map(({ medium: _medium, ...rest }) => rest),
        ),
      ],
    });
  for (const [index, technique] of (decoration.techniques ?? []).entries()) {
    alternatives.push({
      text: `leave out ${catalogue.techniques.get(technique)?.name.toLowerCase() ?? technique}`,
      changes: [
        set(
          "decoration.techniques",
          (decoration.techniques ?? []).filter((_one, at) => at !== index),
        ),
      ],
    });
  }
  for (const out of constraints.avoid ?? [])
    alternatives.push({
      text: `allow ${name(out)}`,
      changes: [
        set(
          "constraints.avoid",
          (constraints.avoid ?? []).filter((one) => one !== out),
        ),
      ],
    });
  if ((constraints.avoid ?? []).length > 1) alternatives.push({ text: "allow what you avoid", changes: [set("constraints.avoid", [])] });
  const traits = catalogue.materials.get(piece.material)?.traits ?? [];
  if (traits.includes("bisque") && !constraints.kiln) alternatives.push({ text: "have it fired in a kiln", changes: [set("constraints.kiln", true)] });
  if (traits.includes("dissolves")) alternatives.push({ text: "cast it in cement instead", changes: [set("material", "concrete-cast")] });
  if (constraints.shelfOnly) alternatives.push({ text: "buy what is not on your shelf", changes: [set("constraints.shelfOnly", false)] });
  if ((piece.done ?? []).length > 0) alternatives.push({ text: "take it back to the bare piece and begin again", changes: [set("done", [])] });
  if (constraints.oven === false) alternatives.push({ text: "allow the kitchen oven", changes: [set("constraints.oven", true)] });
  if (constraints.childSafe) alternatives.push({ text: "let an adult do the steps a child may not", changes: [set("constraints.childSafe", false)] });
  if (layers.some((layer) => layer.zone !== undefined))
    alternatives.push({
      text: "put the decoration where it may be",
      changes: [
        set(
          "decoration.layers",
          layers.map(({ zone: _zone, ...rest }) => rest),
        ),
      ],
    });
  if ((decoration.bareZones ?? []).length > 0) alternatives.push({ text: "paint what you left bare", changes: [set("decoration.bareZones", [])] });
  if (layers.length > 0) alternatives.push({ text: "leave out the decoration", changes: [set("decoration.layers", []), set("decoration.techniques", [])] });
  for (const use of uses) {
    const rest = uses.filter((one) => one !== use);
    const said = catalogue.uses.get(use)?.name.toLowerCase() ?? use;
    alternatives.push({ text: `give up one use: ${said}`, changes: [set("uses", rest.length > 0 ? rest : ["indoor-display"])] });
  }
  return alternatives;
}

/** Refused because of what it is for: nothing but another use, or another making of it, helps. */
const OF_THE_USE: readonly string[] = ["food-on-paint", "soaks-what-it-holds", "gypsum-wet-use"];

function helpfulFirst(alternatives: readonly Relaxation[], code: string): readonly Relaxation[] {
  if (!OF_THE_USE.includes(code)) return alternatives;
  const helps = ({ changes }: Relaxation) => changes.some((one) => one.op === "setPiece" && ["uses", "material", "constraints.kiln"].includes(one.path));
  return [...alternatives.filter(helps), ...alternatives.filter((alternative) => !helps(alternative))];
}

/** Two changes together are tried among the smallest relaxations only. */
const FIRST_WAYS = 9;

const LAST_RESORT: Relaxation = {
  text: "a plain piece for the shelf indoors",
  changes: [
    set("uses", ["indoor-display"]),
    set("decoration", {}),
    set("constraints", {}),
    set("wishes", {}),
    set("conditions", []),
    set("room", {}),
    set("done", []),
  ],
};

/**
 * The smallest constraint relaxation after which a piece can be planned: one change, else two together, else a plain piece.
 *
 * @param code what the piece was refused for
 * @param plans says whether a changed piece can be planned
 */
export function nearestRelaxation(piece: Piece, catalogue: Catalogue, code: string, plans: (piece: Piece) => boolean): Refusal["nearest"] {
  const alternatives = helpfulFirst(relaxations(piece, catalogue), code);
  const one = alternatives.find((alternative) => plans(changePiece(piece, alternative.changes)));
  if (one) return { changes: one.changes, text: one.text };
  for (const [index, first] of alternatives.slice(0, FIRST_WAYS).entries()) {
    for (const second of alternatives.slice(index + 1, FIRST_WAYS)) {
      const changes = [...first.changes, ...second.changes];
      if (plans(changePiece(piece, changes))) return { changes, text: `${first.text}, and ${second.text}` };
    }
  }
  const plain = changePiece(piece, LAST_RESORT.changes);
  return plans(plain) ? { changes: LAST_RESORT.changes, text: LAST_RESORT.text } : null;
}
