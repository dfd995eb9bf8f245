import type { Catalogue } from "../../catalogue/catalogue";
import { stepId } from "../../catalogue/ids";
import type { RecipeStack, Recipe } from "../../coating/model/recipe";
import type { StepChoice } from "../../coating/model/step";
import { pieceFacts } from "../../coating/facts/facts";
import { completePiece } from "../../piece/complete-piece";
import { mainZone } from "../../piece/zones";
import type { Form } from "../../piece/form";
import { FORM_MEASURES } from "../../piece/form";
import type { Piece } from "../../piece/piece";
import type { MadeRecord, WorkLine } from "./record";

/** A line of the record as a step of a new plan: what was laid, without its amounts and its jar. */
function stepOf(line: WorkLine, index: number, zone: string): StepChoice {
  const { role, product, technique, method, sheen, colour, coverage, marks, rows, heat, group, thinning, coats } = line;
  const given = { technique, method, sheen, colour, coverage, marks, heat, group };
  const said = Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined));
  return {
    id: stepId(`${zone}.${role}.${product}.${index}`),
    role,
    product,
    coats,
    ...said,
    ...(thinning ? { thinning } : {}),
    ...(rows ? { rows: rows.map(({ number: _number, towards: _towards, everySecond: _second, ...row }) => row) } : {}),
    origin: "hers",
    because: [],
    checks: [],
  };
}

/**
 * The way a finished piece was worked, to be followed again: what was laid on what, place by place.
 *
 * @returns null where the record does not say: it was told in words, or nothing was laid
 */
export function recipeOfRecord(record: Pick<MadeRecord, "piece" | "work" | "name">, catalogue: Catalogue): Recipe | null {
  const { piece, work } = record;
  if (!piece || work.length === 0) return null;
  const facts = pieceFacts(completePiece(piece, catalogue).piece, catalogue);
  const main = mainZone(facts.zones)?.zone ?? null;
  const stacks = facts.zones.flatMap(({ zone, areaMm2, template }): readonly RecipeStack[] => {
    const steps = work.flatMap((line, index) => (line.zones.includes(zone) ? [stepOf(line, index, zone)] : []));
    return steps.length === 0 ? [] : [{ zone, exposure: template.exposure, main: zone === main, areaMm2, steps }];
  });
  return { name: record.name, school: "", appliesTo: { material: facts.piece.material, conditions: facts.piece.conditions }, stacks };
}

/**
 * A form so many times as large in every measure, as far as the shape allows.
 *
 * @param times above 0
 */
export function scaledForm(form: Form, times: number): Form {
  const rounded = (value: number) => Math.round(value * 10) / 10;
  if (form.kind === "custom") return { ...form, areaMm2: rounded(form.areaMm2 * times ** 2) };
  const measures = FORM_MEASURES[form.kind].map((name) => [name, rounded((form as unknown as Readonly<Record<string, number>>)[name]! * times)]);
  return { ...form, ...Object.fromEntries(measures) } as Form;
}

/** What is asked of making a piece again. */
export interface Again {
  readonly name: string;
  readonly form: Form;
  readonly count: number;
}

/** The same piece on another body: nothing is on it yet, and it waits as its material does. */
export function pieceAgain(piece: Piece, { name, form, count }: Again): Piece {
  const { done: _done, body: _body, ...rest } = piece;
  return { ...rest, name, form, count };
}
