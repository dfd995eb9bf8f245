import { clashesOf } from "~/store/clashes.client";
import { database } from "~/store/open.client";
import { damagedJars, laidFrom, shelfIn } from "~/store/shelf";
import { ON_SHELF } from "./change-jar.client";
import { wantingPieces } from "./wanting.client";

/** The shelf, what was laid from it, and the promise of what the pieces want of it. */
export async function shelfLoaded() {
  const db = await database();
  const [jars, damaged] = await Promise.all([shelfIn(db), damagedJars(db)]);
  return { jars, damaged, laid: await laidFrom(db, jars), wanting: wantingPieces(db), clashes: clashesOf(ON_SHELF) };
}
