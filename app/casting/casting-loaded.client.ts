import { CATALOGUE } from "#core/catalogue/catalogue";
import { compoundId, mouldId, pieceId, pourId } from "#core/catalogue/ids";
import { openFaults, pieceOfBodies, pieceOfMould } from "#core/casting/body-piece";
import { toldOf } from "#core/casting/pour-state";
import type { PourRecord } from "#core/formats/stores/pours";
import { dryingBegun } from "#core/logbook/drying-begun";
import { powderLeftG } from "#core/shelf/powder-stock";
import { inOwnColours } from "#core/shelf/own-colours";
import { perform } from "~/actions/perform";
import { followedOf } from "~/piece/followed";
import { GoneThing } from "~/store/put-fields";
import { beginPour, compoundsIn, keepCompound, keepMould, mouldsIn, poursIn, removeCompound, removeMould, removePour } from "~/store/casting";
import type { Database } from "~/store/database";
import { database } from "~/store/open.client";
import { ownShelf } from "~/store/own-shelf.client";
import { addPiece, setFaults } from "~/store/pieces";
import { changePour, GonePour, handOver } from "~/store/pours";
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

async function handedOver(db: Database, ask: Extract<CastingAsk, { readonly intent: "hand-over" }>, by: Parameters<typeof handOver>[3]): Promise<null> {
  const pour: PourRecord | undefined = await db.get("pours", ask.id);
  const bodies = pour?.bodies[ask.bodies];
  if (!pour || !bodies) throw new GonePour();
  const { products, own, wear } = await ownShelf(db);
  const piece = inOwnColours(pieceOfBodies(pour, bodies, toldOf(pour, bodies), ask.of, CATALOGUE), products, CATALOGUE);
  const view = await firstView(ask.piece, { piece, keeping: { candidateId: null, school: "", edits: [] }, progress: [], shelf: products, own, wear });
  const followed = followedOf(view);
  await handOver(
    db,
    pourId(ask.id),
    {
      id: pieceId(ask.piece),
      bodies: ask.bodies,
      piece,
      faults: ask.of.faulty ? openFaults(bodies.faults) : [],
      ...(ask.set === undefined ? {} : { set: ask.set }),
      begun: followed && view.shown && { followed, coats: dryingBegun(view.shown, CATALOGUE), at: bodies.outAt },
    },
    by,
  );
  return null;
}

async function addPieceOfMould(db: Database, mould: string, id: string): Promise<null> {
  const known = await db.get("moulds", mould);
  if (!known) throw new GoneThing("the mould");
  const { products } = await ownShelf(db);
  await addPiece(db, inOwnColours(pieceOfMould(known, CATALOGUE), products, CATALOGUE), pieceId(id));
  return null;
}

/** Does what casting is asked. */
export async function performCasting(request: Request): Promise<null> {
  const db = await database();
  const quiet = async (work: Promise<unknown>) => (await work, null);
  return perform<CastingAsk, null>(request, CASTING_FIELDS, {
    "keep-mould": ({ mould, seen = null }, by) => quiet(keepMould(db, { ...mould, id: mouldId(mould.id) }, by, seen)),
    "remove-mould": ({ id, name }, by) => quiet(removeMould(db, mouldId(id), name, by)),
    "keep-compound": ({ compound, seen = null }, by) => quiet(keepCompound(db, { ...compound, id: compoundId(compound.id) }, by, seen)),
    "remove-compound": ({ id, name }, by) => quiet(removeCompound(db, compoundId(id), name, by)),
    begin: ({ pour }, by) => quiet(beginPour(db, { ...pour, id: pourId(pour.id) }, by)),
    pour: ({ id, change }, by) => quiet(changePour(db, pourId(id), change, by)),
    "remove-pour": ({ id }, by) => quiet(removePour(db, pourId(id), by)),
    "hand-over": (ask, by) => handedOver(db, ask, by),
    "piece-of-mould": ({ mould, piece }) => addPieceOfMould(db, mould, piece),
    faults: ({ piece, faults, seen }, by) => quiet(setFaults(db, pieceId(piece), faults, by, seen)),
  });
}
