import Joi from "joi";
import type { ZoneId } from "../catalogue/vocabulary";
import { ringOn } from "../marking/ask-rings";
import type { RingFault, RingWish } from "../marking/ask-rings";
import { pagesOf } from "../marking/papers/pages";
import { PAPERS } from "../marking/papers/sheet";
import type { PaperId } from "../marking/papers/sheet";
import { pageSvg } from "../marking/papers/svg";
import { TEMPLATE_KINDS, templateOf } from "../marking/papers/templates";
import type { TemplateKind } from "../marking/papers/templates";
import { roomOffer } from "../marking/room-left";
import { solvePattern } from "../marking/solve";
import type { PatternRows } from "../marking/solve";
import type { MarkingSurface } from "../marking/surface";
import { surfaceOf } from "../marking/surface-of";
import { workingOrder } from "../marking/working-order";
import type { Form, FormKind } from "../piece/form";
import { PATTERN_LIMITS } from "../piece/pattern";
import type { Pattern, Row } from "../piece/pattern";
import { checkShape } from "./check-shape";
import { patternKeys, placeSchema, rowsSchema } from "./pattern-schema";
import { FORM_SCHEMAS } from "./piece-schema";
import { bad, good } from "./problem";
import type { Parsed } from "./problem";
import { zoneSchema } from "./zone-schema";

/** Where marks go when no place is named. */
const USUAL_ZONE: Readonly<Record<FormKind, ZoneId>> = {
  pebble: "top",
  dome: "top",
  disc: "top",
  frustum: "outside",
  cylinder: "outside",
  box: "lid",
  plate: "rim",
  goblet: "outside",
  custom: "top",
};

const within = ({ least, most }: { readonly least: number; readonly most: number }) => Joi.number().min(least).max(most);

const RING = Joi.object({
  at: placeSchema(Joi).required(),
  diameterMm: within(PATTERN_LIMITS.diameterMm).required(),
  gapMm: within(PATTERN_LIMITS.gapMm),
  count: within(PATTERN_LIMITS.count).integer(),
  multipleOf: within(PATTERN_LIMITS.multipleOf).integer(),
});

const TEMPLATE = Joi.object({
  kind: Joi.string()
    .valid(...TEMPLATE_KINDS)
    .required(),
  paper: Joi.string()
    .valid(...Object.keys(PAPERS))
    .required(),
  slices: within(PATTERN_LIMITS.guides).integer(),
  scale: Joi.number().min(0.8).max(1.25),
});

const MARK_SCHEMA = Joi.object({
  form: Joi.object({
    kind: Joi.string()
      .valid(...Object.keys(FORM_SCHEMAS))
      .required(),
  })
    .unknown()
    .required(),
  zone: zoneSchema(Joi),
  lipBandMm: within(PATTERN_LIMITS.placeMm),
  rings: Joi.array().items(RING).min(1).max(200),
  template: TEMPLATE,
  rows: rowsSchema(Joi).min(1),
  ...patternKeys(Joi),
})
  .or("rings", "template", "rows")
  .oxor("rings", "template")
  .oxor("rings", "rows");

interface MarkDocument extends Partial<Omit<Pattern, "zone" | "rows">> {
  readonly form: Form;
  readonly zone?: ZoneId;
  readonly lipBandMm?: number;
  readonly rings?: readonly RingWish[];
  readonly template?: { readonly kind: TemplateKind; readonly paper: PaperId; readonly slices?: number; readonly scale?: number };
  readonly rows?: readonly Row[];
}

const FAULTS: Readonly<Record<RingFault, string>> = {
  "no-such-measure": "this place has no such measure: tops have a radius, walls a height, both an inset",
  "off-the-surface": "this lies off the place",
};

function rings(surface: MarkingSurface, wishes: readonly RingWish[]): Parsed<unknown> {
  const answers = [];
  for (const [index, wish] of wishes.entries()) {
    const answer = ringOn(surface, wish);
    if (typeof answer === "string") return bad("bad-value", `rings.${index}.at`, FAULTS[answer]);
    answers.push(answer);
  }
  return good({ rings: answers });
}

function patternOf({ rows = [], from, guides, clearMm, keepOuts }: MarkDocument): PatternRows {
  return { rows, ...(keepOuts ? { keepOuts } : {}), ...(from ? { from } : {}), ...(guides ? { guides } : {}), ...(clearMm === undefined ? {} : { clearMm }) };
}

function solved(surface: MarkingSurface, document: MarkDocument): Parsed<unknown> {
  const pattern = patternOf(document);
  const answer = solvePattern(surface, pattern);
  return good({
    rows: answer.rows.map((one) => ({
      ...one.row,
      refused: one.refused,
      at: one.say ?? null,
      lengthMm: one.lengthMm,
      places: one.places,
      count: one.count,
      gapMm: one.gapMm,
      wide: one.wide,
      positions: one.marks.map(({ spots }) => spots[0]!.flat),
      diametersMm: one.marks.map(({ spots }) => spots[0]!.diameterMm),
      nearest: one.nearest(),
    })),
    order: workingOrder(surface, answer.rows),
    leftMm: answer.leftMm,
    offer: roomOffer(answer, pattern.rows),
    findings: answer.findings,
  });
}

function template(surface: MarkingSurface, document: MarkDocument): Parsed<unknown> {
  const { kind, paper, slices = 8, scale = 1 } = document.template!;
  const one = templateOf(kind);
  if (!one.fits(surface)) return bad("bad-value", "template.kind", `a ${one.name.toLowerCase()} does not fit this place`);
  const rows = document.rows ? solvePattern(surface, patternOf(document)) : null;
  const { keepOuts = [] } = document;
  const pages = pagesOf(one.draw({ surface, solved: rows, slices, keepOuts, title: "Template" }), paper, scale);
  return pages ? good({ pages: pages.map(pageSvg) }) : bad("bad-value", "form", "it takes more sheets than can be joined");
}

/**
 * Reads what `mark` is asked, and answers it: rings by themselves, rows of a pattern, or a template.
 *
 * @returns the answer, or the first fault with its dotted path
 */
export function answerMark(document: unknown): Parsed<unknown> {
  const shape = checkShape<MarkDocument>(MARK_SCHEMA, document);
  if (!shape.ok) return shape;
  const ask = shape.value;
  const form = checkShape<Form>(FORM_SCHEMAS[ask.form.kind]!, ask.form, ["form"]);
  if (!form.ok) return form;
  if (ask.form.kind === "plate" && ask.form.rimWidthMm * 2 >= ask.form.diameterMm)
    return bad("bad-value", "form.rimWidthMm", "the rim is wider than half the plate");
  const zone = ask.zone ?? USUAL_ZONE[ask.form.kind];
  const { lipBandMm, radiiMm } = ask;
  const surface = surfaceOf(ask.form, zone, { ...(lipBandMm === undefined ? {} : { lipBandMm }), ...(radiiMm ? { radiiMm } : {}) });
  if (!surface) return bad("bad-value", "zone", `nothing can be set out on the ${zone} of a ${ask.form.kind}`);
  if (ask.rings) return rings(surface, ask.rings);
  return ask.template ? template(surface, ask) : solved(surface, ask);
}
