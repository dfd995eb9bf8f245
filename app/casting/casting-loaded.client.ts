import { CATALOGUE } from "#core/catalogue/catalogue";
import { compoundId, mouldId, pieceId, pourId, productId, stepId, useId as idOfUse } from "#core/catalogue/ids";
import { openFaults, pieceOfBodies } from "#core/casting/body-piece";
import type { PourRecord } from "#core/formats/stores/pours";
import { guessObject } from "#core/piece/guess-object";
import { PIECE_FORMAT, PIECE_VERSION } from "#core/piece/piece";
import type { Piece } from "#core/piece/piece";
import { powderLeftG } from "#core/shelf/powder-stock";
import { inOwnColours } from "#core/shelf/own-colours";
import { perform } from "~/actions/perform";
import { followedOf } from "~/piece/followed";
import { beginPour, compoundsIn, keepCompound, keepMould, mouldsIn, poursIn, removeCompound, removeMould, removePour } from "~/store/casting";
import type { Database } from "~/store/database";
import { database } from "~/store/open.client";
import { ownShelf } from "~/store/own-shelf.client";
import { addPiece, setFaults } from "~/store/pieces";
import { changePour, GonePour, handOver, toldOf } from "~/store/pours";
import { firstView } from "~/workers/planner.client";
import { CASTING_FIELDS } from "./casting-asks";
import type { CastingAsk } from "./casting-asks";

/** Moulds, bags and pours, and the names of pieces that came of them. */
export async function castingLoaded() {
  const db = await database();
  const [moulds, compounds, pours] = await Promise.all([mouldsIn(db), compoundsIn(db), poursIn(db)]);
  const ids = [...new Set(pours.flatMap(({ bodies }) => bodies.flatMap(({ pieces }) => pieces.map(({ piece }) => piece))))];
  const found = await Promise.all(ids.map((id) => db.get("pieces", id)));
  const pieces = Object.fromEntries(found.flatMap((record) => (record ? [[record.id as string, record.piece.name] as const] : [])));
  const leftG = Object.fromEntries(compounds.map((one) => [one.id as string, powderLeftG(one, pours)]));
  return { moulds, compounds, pours, pieces, leftG };
}

export type CastingLoaded = Awaited<ReturnType<typeof castingLoaded>>;

/** A body from the mould has been drying since it was taken out: that is noted where the plan weighs it. */
function begunDrying(view: Awaited<ReturnType<typeof firstView>>, outAt: string) {
  const followed = followedOf(view);
  if (!followed || !view.shown) return null;
  const weighing = (product: string) => CATALOGUE.aids.get(productId(product))?.weighs === true;
  const coats = view.shown.zones.flatMap(({ zone, steps }) =>
    steps
      .filter(({ product, role }) => role === "clean" && weighing(product))
      .map(({ id, product, group }) => ({
        zone,
        stepId: stepId(id),
        act: { role: "clean" as const, product, ...(group === undefined ? {} : { group }) },
        coat: 1,
      })),
  );
  return { followed, coats, at: outAt };
}

async function handedOver(db: Database, ask: Extract<CastingAsk, { readonly intent: "hand-over" }>, by: Parameters<typeof handOver>[3]): Promise<null> {
  const pour: PourRecord | undefined = await db.get("pours", ask.id);
  const bodies = pour?.bodies[ask.bodies];
  if (!pour || !bodies) throw new GonePour();
  const { products, own } = await ownShelf(db);
  const piece = inOwnColours(pieceOfBodies(pour, bodies, toldOf(pour, bodies), ask.of, CATALOGUE), products, CATALOGUE);
  const view = await firstView(ask.piece, { piece, keeping: { candidateId: null, school: "", edits: [] }, progress: [], shelf: products, own });
  await handOver(
    db,
    pourId(ask.id),
    {
      id: pieceId(ask.piece),
      bodies: ask.bodies,
      piece,
      faults: ask.of.faulty ? openFaults(bodies.faults) : [],
      ...(ask.set === undefined ? {} : { set: ask.set }),
      begun: begunDrying(view, bodies.outAt),
    },
    by,
  );
  return null;
}

/** A piece in the form of a mould, nothing else of it said. */
async function pieceOfMould(db: Database, mould: string, id: string): Promise<null> {
  const known = await db.get("moulds", mould);
  if (!known) return null;
  const { products } = await ownShelf(db);
  const plain: Piece = {
    format: PIECE_FORMAT,
    version: PIECE_VERSION,
    name: known.name,
    material: [...CATALOGUE.materials.keys()].find((one) => one === "gypsum-cast")!,
    form: known.form,
    uses: [idOfUse("indoor-display")],
  };
  await addPiece(db, inOwnColours({ ...plain, object: guessObject(plain, CATALOGUE) }, products, CATALOGUE), pieceId(id));
  return null;
}

/** Does what casting is asked. */
export async function performCasting(request: Request): Promise<null> {
  const db = await database();
  const quiet = async (work: Promise<unknown>) => (await work, null);
  return perform<CastingAsk, null>(request, CASTING_FIELDS, {
    "keep-mould": ({ mould }, by) => quiet(keepMould(db, { ...mould, id: mouldId(mould.id) }, by)),
    "remove-mould": ({ id, name }, by) => quiet(removeMould(db, mouldId(id), name, by)),
    "keep-compound": ({ compound }, by) => quiet(keepCompound(db, { ...compound, id: compoundId(compound.id) }, by)),
    "remove-compound": ({ id, name }, by) => quiet(removeCompound(db, compoundId(id), name, by)),
    begin: ({ pour }, by) => quiet(beginPour(db, { ...pour, id: pourId(pour.id) }, by)),
    pour: ({ id, change }, by) => quiet(changePour(db, pourId(id), change, by)),
    "remove-pour": ({ id }, by) => quiet(removePour(db, pourId(id), by)),
    "hand-over": (ask, by) => handedOver(db, ask, by),
    "piece-of-mould": ({ mould, piece }) => pieceOfMould(db, mould, piece),
    faults: ({ piece, faults }, by) => quiet(setFaults(db, pieceId(piece), faults, by)),
  });
}
