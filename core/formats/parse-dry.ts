import Joi from "joi";
import type { Catalogue } from "../catalogue/catalogue";
import { weightTold } from "../drying/constant-weight";
import { dryingOf } from "../drying/film-drying";
import { releasesOf } from "../drying/releases";
import { whatIf } from "../drying/what-if";
import type { Room } from "../piece/piece";
import { checkShape } from "./check-shape";
import { instantSchema } from "./hours-schema";
import { bad, good } from "./problem";
import { roomSchema } from "./room-schema";
import type { Parsed } from "./problem";

const DRY_SCHEMA = Joi.object({
  product: Joi.string().max(80).required(),
  room: roomSchema(Joi).required(),
  wetMicrons: Joi.number().greater(0).max(10_000),
  marks: Joi.object({ diameterMm: Joi.number().min(0.1).max(100).required(), onDiameterMm: Joi.number().min(0.1).max(100) }),
  thinningPercent: Joi.number().min(0).max(1000),
  material: Joi.string().max(80),
}).oxor("wetMicrons", "marks");

const WEIGHINGS_SCHEMA = Joi.object({
  weighings: Joi.array()
    .items(Joi.object({ at: instantSchema(Joi).required(), g: Joi.number().greater(0).max(1_000_000).required() }))
    .min(1)
    .max(1000)
    .unique("at")
    .required(),
});

/** Reads weighings of a body, and answers whether it has given its water off. */
function answerWeighings(document: unknown): Parsed<unknown> {
  const shape = checkShape<{ readonly weighings: readonly { readonly at: string; readonly g: number }[] }>(WEIGHINGS_SCHEMA, document);
  if (!shape.ok) return shape;
  const { constantAt, againAt, doubts, ...told } = weightTold(shape.value.weighings.map(({ at, g }) => ({ at: Date.parse(at), g })));
  const iso = (instant: number) => new Date(instant).toISOString();
  return good({
    ...told,
    constantAt: constantAt && { from: iso(constantAt.from), typical: iso(constantAt.typical), to: iso(constantAt.to) },
    againAt: againAt && iso(againAt),
    doubts: doubts.map((one) => ({ ...one, at: iso(one.at) })),
  });
}

interface DryDocument {
  readonly product: string;
  readonly room: Room;
  readonly wetMicrons?: number;
  readonly marks?: { readonly diameterMm: number; readonly onDiameterMm?: number };
  readonly thinningPercent?: number;
  readonly material?: string;
}

/** Reads what `dry` is asked, and answers it: the stages of one film in one room, what is wrong there, and what would help. */
export function answerDry(document: unknown, catalogue: Catalogue): Parsed<unknown> {
  if (typeof document === "object" && document !== null && "weighings" in document) return answerWeighings(document);
  const shape = checkShape<DryDocument>(DRY_SCHEMA, document);
  if (!shape.ok) return shape;
  const { product: named, material: on, ...rest } = shape.value;
  const product = catalogue.products.get(named as never);
  if (!product) return bad("unknown-id", "product", `"${named}" is not a product class known here`);
  const material = on === undefined ? undefined : catalogue.materials.get(on as never);
  if (on !== undefined && !material) return bad("unknown-id", "material", `"${on}" is not a material known here`);
  const ask = { ...rest, product, ...(material ? { material } : {}) };
  const dried = dryingOf(ask);
  return good({ ...dried, mayBe: dried.stages && releasesOf(dried.stages), helps: whatIf(ask) });
}
