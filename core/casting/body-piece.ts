import type { Catalogue } from "../catalogue/catalogue";
import { materialId, useId } from "../catalogue/ids";
import type { Condition, ObjectId } from "../catalogue/vocabulary";
import type { WeightTold } from "../drying/constant-weight";
import { guessObject } from "../piece/guess-object";
import { BODY_DRIES_MIN, PIECE_FORMAT, PIECE_VERSION } from "../piece/piece";
import type { BodyFacts, Piece } from "../piece/piece";
import { POWDERS } from "./compound";
import type { Mould } from "./mould";
import type { CastBodies, FoundFault, Pour } from "./pour";
import { weighingsOf } from "./pour";
import { mixOfBody } from "./pour-state";
import { bodyWater } from "./body-water";
import type { FaultKind } from "./repair/fault";

const MS_PER_MIN = 60_000;

/** What a fault is called among the conditions of a piece. */
const CONDITION_OF: Partial<Readonly<Record<FaultKind, Condition>>> = {
  hole: "air-holes",
  pit: "pitted",
  chip: "chipped",
  "short-edge": "chipped",
  hairline: "chipped",
  bump: "bumpy",
};

/** Faults that are not mended yet. */
export function openFaults(faults: readonly FoundFault[]): readonly FoundFault[] {
  return faults.filter(({ mended }) => !mended);
}

/**
 * How long a body dries from the mould on, as its weighings have it, minutes; null where they cannot tell.
 *
 */
export function driesMinOf(bodies: Pick<CastBodies, "outAt" | "weighings">, told: WeightTold | null): NonNullable<BodyFacts["driesMin"]> | null {
  if (!told) return null;
  const out = Date.parse(bodies.outAt);
  // One that has dried for longer is dry: how long it took is no longer asked.
  const since = (instant: number) => Math.min(BODY_DRIES_MIN.most, Math.max(0, Math.round((instant - out) / MS_PER_MIN)));
  if (told.constant) {
    const at = since(Math.max(...weighingsOf(bodies).map((one) => one.at)));
    return { typical: at, cautious: at };
  }
  return told.constantAt && { typical: since(told.constantAt.typical), cautious: since(told.constantAt.to) };
}

/** A piece in the form of a mould, of gypsum until it is said otherwise; nothing else of it is said. */
export function pieceOfMould({ name, form, part }: Pick<Mould, "name" | "form" | "part">, catalogue: Catalogue): Piece {
  const piece: Piece = {
    format: PIECE_FORMAT,
    version: PIECE_VERSION,
    name,
    material: materialId(POWDERS.gypsum.material),
    form,
    uses: [useId("indoor-display")],
    ...(part === "lid" ? { parts: ["lid" as const] } : {}),
  };
  return { ...piece, object: guessObject(piece, catalogue) };
}

/** What is said when bodies go over to the pieces. */
export interface HandOver {
  readonly name: string;
  readonly count: number;
  readonly uses: readonly string[];
  /** Those with open faults, or those without. */
  readonly faulty: boolean;
  /** Soap was sprayed, and has not been rinsed off. */
  readonly soapy: boolean;
  /** Cement that has matured. */
  readonly matured: boolean;
}

/**
 * The piece bodies of a pour become: their material, form, weight and condition, and how long they dry.
 *
 * @param told what their weighings say; null where there are none
 */
export function pieceOfBodies(pour: Pour, bodies: CastBodies, told: WeightTold | null, of: HandOver, catalogue: Catalogue): Piece {
  const mould = pour.moulds[bodies.mould]!;
  const powder = POWDERS[pour.powder.kind];
  const conditions = new Set<Condition>(of.faulty ? openFaults(bodies.faults).flatMap(({ kind }) => CONDITION_OF[kind] ?? []) : []);
  if (of.soapy) conditions.add("release-agent");
  const driesMin = driesMinOf(bodies, told);
  const weightG = Math.round(bodyWater(mixOfBody(pour, mould), powder.binds.value).dryG);
  const piece: Piece = {
    format: PIECE_FORMAT,
    version: PIECE_VERSION,
    name: of.name,
    material: materialId(powder.material),
    form: mould.form,
    uses: of.uses.map(useId),
    ...(conditions.size > 0 ? { conditions: [...conditions] } : {}),
    count: of.count,
    room: { temperatureC: pour.conditions.roomC },
    body: { weightG, ...(driesMin ? { driesMin } : {}), ...(of.matured ? { matured: true } : {}) },
  };
  const object: ObjectId = guessObject(piece, catalogue);
  return { ...piece, object, ...(mould.part === "lid" ? { parts: ["lid" as const] } : {}) };
}
