import { CATALOGUE } from "#core/catalogue/catalogue";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { recipeId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import { pieceAgain, recipeOfRecord, scaledForm } from "#core/logbook/record/recipe-of-record";
import { replacedPaints } from "#core/logbook/record/replaced";
import type { Replaced } from "#core/logbook/record/replaced";
import type { LogRecord } from "#core/logbook/record/record";
import type { Piece } from "#core/piece/piece";
import { withPatternLayers } from "#core/marking/solve-piece";
import { followedAs, followedOf } from "~/piece/followed";
import { database } from "~/store/open.client";
import { ownShelf } from "~/store/own-shelf.client";
import type { Followed } from "~/store/plans";
import { recordById } from "~/store/records";
import { shelfIn, stockIn } from "~/store/shelf";
import { planView, recipesView } from "~/workers/planner.client";

/** The same piece again, as it comes out from what is on the shelf now. */
export interface AgainView {
  /** What it is begun with; null where nothing can be planned for the body, and the plan is made when it is opened. */
  readonly followed: Followed | null;
  readonly edits: readonly Change[];
  readonly replaced: readonly Replaced[];
  /** Places of the record this body does not have. */
  readonly without: readonly ZoneId[];
  readonly handsOnMin: number | null;
  /** What would fail. */
  readonly stops: readonly string[];
}

interface Asked {
  readonly times: number;
  /** As many as then where nothing is said. */
  readonly count: number | null;
}

const NAME_ENDS = ", again";
const MOST_NAME = 120;

async function viewOf(record: LogRecord, piece: Piece): Promise<AgainView> {
  const db = await database();
  const [{ products, own, wear }, jars] = await Promise.all([ownShelf(db), shelfIn(db)]);
  const left = await stockIn(db, jars);
  const of = { piece, keeping: { candidateId: null, school: "", edits: [] }, progress: [], shelf: products, own, wear };
  const recipe = recipeOfRecord(record, CATALOGUE);
  const key = `again-${record.id}`;
  const [ways, plain] = await Promise.all([recipe ? recipesView(key, of, [{ ...recipe, id: recipeId("againrecipe"), rev: 1 }]) : [], planView(key, of)]);
  const applied = ways[0]?.applied;
  const plan = applied?.plan ?? plain.shown;
  const shelf = jars.map((jar) => ({
    id: jar.id,
    name: jar.name,
    ...(jar.colour === undefined ? {} : { colour: jar.colour }),
    ...(left.has(jar.id) ? { leftMl: left.get(jar.id)! } : {}),
  }));
  return {
    followed: applied ? followedAs(applied.on, null, piece) : followedOf(plain),
    edits: applied?.edits ?? [],
    replaced: plan ? replacedPaints(record, plan.zones, shelf) : [],
    without: applied?.without ?? [],
    handsOnMin: plan?.totals.handsOnMin ?? null,
    stops: plan?.findings.filter(({ severity }) => severity === "stop").map(({ message }) => message) ?? [],
  };
}

/** A record to be made again; null where it is gone, or does not say how it was made. */
export async function again(id: string, { times, count }: Asked) {
  const record = await recordById(await database(), id);
  if (!record?.piece) return null;
  const name = `${record.name.slice(0, MOST_NAME - NAME_ENDS.length)}${NAME_ENDS}`;
  const piece = withPatternLayers(pieceAgain(record.piece, { name, form: scaledForm(record.piece.form, times), count: count ?? record.count }), CATALOGUE);
  const view = viewOf(record, piece);
  view.catch(() => undefined);
  return { record, piece, view, times };
}
