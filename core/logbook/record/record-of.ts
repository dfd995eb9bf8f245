import type { Catalogue } from "../../catalogue/catalogue";
import type { Jar } from "../../catalogue/jar";
import { pricePerMl } from "../../catalogue/jar-price";
import type { PieceId } from "../../catalogue/ids";
import { ratioSaid } from "../../casting/records-say";
import type { Pour } from "../../casting/pour";
import type { Names } from "../../coating/explain/step-title";
import type { Piece } from "../../piece/piece";
import { dateOf } from "../../schedule/free-hours";
import { usedSince } from "../paint-used";
import type { ProgressRecord } from "../progress";
import { stageAt } from "../photo-stage";
import type { MadeRecord, PaintLine, RecordedCast, RecordedCheck, RecordPicture } from "./record";
import { minutesOf, mishapsOf, workLines } from "./work-lines";

/** A photograph, as the notebook keeps it. */
export type KeptPicture = Omit<RecordPicture, "stage">;

/** All that the notebook knows of a piece. */
export interface Known {
  readonly pieceId: PieceId;
  readonly piece: Piece;
  readonly progress: readonly ProgressRecord[];
  readonly checks: readonly RecordedCheck[];
  readonly pictures: readonly KeptPicture[];
  readonly jars: readonly Jar[];
  readonly pours: readonly Pour[];
}

/** What products, techniques and jars are called. */
export function namesOf(catalogue: Catalogue, jars: readonly Jar[]): Names {
  const products = [...catalogue.products.values(), ...catalogue.aids.values()].map(({ id, name }) => ({
    id: id as string,
    name,
    means: "",
    jobs: [],
    aid: false,
    waterborne: false,
  }));
  return { products, techniques: [...catalogue.techniques.values()].map(({ id, name }) => ({ id, name })), jars };
}

/** Where a photograph stands among the work: nothing was done yet, something is still to come, or it is the finished piece. */
function stageOf(at: string, progress: readonly ProgressRecord[], last: string | undefined): RecordPicture["stage"] {
  if (stageAt(progress, at) === null) return "before";
  return last !== undefined && Date.parse(at) >= Date.parse(last) ? "after" : "during";
}

/** Paint that went into it: out of jars of the user's own, and what no jar is known of by its kind. */
function paintOf({ progress, jars }: Known, catalogue: Catalogue): readonly PaintLine[] {
  const none = new Map<string, string>();
  const own = [...usedSince(progress, none)].map(([id, ml]): PaintLine => {
    const jar = jars.find((one) => one.id === id);
    const price = jar ? pricePerMl(jar, jars) : null;
    return { jar: id, name: jar?.name ?? "a jar that is gone", ml, ...(price === null ? {} : { perMl: price }) };
  });
  const others = usedSince(progress, none, ({ ownProduct, product }) => (ownProduct === undefined ? product : undefined));
  const byKind = [...others].map(([product, ml]): PaintLine => ({ name: catalogue.products.get(product as never)?.name ?? product, ml }));
  return [...own, ...byKind].filter(({ ml }) => ml > 0);
}

/** How its body was cast, where it was cast here. */
function castOf({ pieceId, pours }: Known): RecordedCast | null {
  for (const pour of pours) {
    const bodies = pour.bodies.filter(({ pieces }) => pieces.some(({ piece }) => piece === pieceId));
    if (bodies.length === 0) continue;
    const ratio = ratioSaid(pour);
    return {
      powder: pour.powder.name,
      ...(ratio ? { waterPer100: ratio.waterPer100 } : {}),
      pouredAt: pour.at,
      weighings: bodies.flatMap(({ weighings, onScale }) => weighings.map(({ at, g }) => ({ at, g, bodies: onScale }))),
    };
  }
  return null;
}

/**
 * The record of a piece, made from what was noted at the bench and from nothing else: body, coats as they were laid, paints by the user's names, mixes,
 * thinning, rows with tools and counts, dates, minutes, weighings, what went wrong.
 *
 * @param known all that the notebook knows of the piece
 * @param timeZone days are told in, IANA name
 */
export function recordOf(known: Known, catalogue: Catalogue, timeZone: string): MadeRecord {
  const { piece, progress, checks, pictures, jars } = known;
  const names = namesOf(catalogue, jars);
  const work = workLines(progress, names, piece.decoration?.patterns ?? []);
  const [first] = work;
  const last = work
    .map((line) => line.last)
    .sort()
    .at(-1);
  const cast = castOf(known);
  return {
    origin: "bench",
    name: piece.name,
    body: catalogue.materials.get(piece.material)?.name ?? piece.material,
    material: piece.material,
    piece,
    count: piece.count ?? 1,
    ...(first ? { begunOn: dateOf(Date.parse(first.first), timeZone) } : {}),
    ...(last === undefined ? {} : { finishedOn: dateOf(Date.parse(last), timeZone) }),
    work,
    paint: paintOf(known, catalogue),
    minutes: minutesOf(progress),
    mishaps: mishapsOf(progress, names),
    checks: [...checks].sort((a, b) => a.at.localeCompare(b.at)),
    ...(cast ? { cast } : {}),
    pictures: [...pictures].sort((a, b) => a.at.localeCompare(b.at)).map((one) => ({ ...one, stage: stageOf(one.at, progress, last) })),
  };
}
