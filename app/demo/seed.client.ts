import type { OwnProduct } from "#core/catalogue/own-product";
import { ENGINE_VERSION } from "#core/coating/planner/engine-version";
import { writeBundle } from "#core/formats/write-bundle";
import { overviewOf } from "#core/logbook/overview";
import { shelfKey } from "#core/shelf/own-products";
import { timeZoneHere } from "~/components/time-zone";
import { checksAtHand, runCommand } from "~/store/command";
import { storesWith } from "~/store/recorder";
import type { By } from "~/store/command";
import { keepOverview, overviewKey } from "~/store/listing";
import { importBundle } from "~/store/bundles";
import type { Database } from "~/store/database";
import { isOfTernPoint } from "./of-tern-point";
import { TERN_POINT } from "./tern-point";
import type { DemoPlans } from "./tern-point";
import type { DemoView } from "./tern-point-work";

const VISITED = "nook-coat-visited";

function remembered(): boolean {
  try {
    const known = localStorage.getItem(VISITED) !== null;
    localStorage.setItem(VISITED, "1");
    return known;
  } catch {
    return true;
  }
}

/** What the build has worked out already; nothing where the server does not have it, or where it was made from another shelf. */
async function builtPlans(shelf: string): Promise<DemoPlans["plans"]> {
  try {
    const answer = await fetch("/tern-point.json");
    const built = (await answer.json()) as DemoPlans;
    return built.engineVersion === ENGINE_VERSION && built.shelf === shelf ? built.plans : {};
  } catch {
    return {};
  }
}

/** The plans of all that is begun: as the build worked them out, else worked out here. */
async function viewsOf(shelf: readonly OwnProduct[]): Promise<ReadonlyMap<string, DemoView>> {
  const built = await builtPlans(shelfKey(shelf));
  const begun = TERN_POINT.filter(({ state }) => state !== null);
  const views = begun.map(async ({ id, piece }): Promise<readonly [string, DemoView]> => {
    if (built[id]) return [id, built[id]];
    const { firstView } = await import("~/workers/planner.client");
    return [id, await firstView(id, { piece, keeping: { candidateId: null, school: "", edits: [] }, progress: [], shelf })];
  });
  return new Map(await Promise.all(views));
}

/** Lays the Tern Point pieces beside whatever is there; the user's stay as they are. */
export async function openTernPoint(db: Database): Promise<void> {
  checksAtHand();
  const at = { now: Date.now(), timeZone: timeZoneHere() };
  const [{ ternPointNotebook, ternPointProducts }, { ternPointPhotos }, { ownShelf }] = await Promise.all([
    import("./tern-point-notebook"),
    import("./tern-point-photos"),
    import("~/store/own-shelf.client"),
  ]);
  const views = await viewsOf(ternPointProducts(at));
  const { parts, worked } = ternPointNotebook(views, at);
  const { photos, pictures } = await ternPointPhotos((piece) => worked.get(piece)?.hands[0]?.from ?? at.now);
  const bundle = writeBundle({ ...parts, photos });
  const here = new Set(await db.getAllKeys("pieces"));
  const fresh = { ...bundle, pieces: bundle.pieces.filter((record) => !here.has(record.id)) };
  await importBundle(db, fresh, { label: "opening the Tern Point notebook", pictures });
  const { key: shelf } = await ownShelf(db);
  // What the list says of it is kept, so that it need not be worked out again.
  const kept = fresh.pieces.flatMap((record) => {
    const own = worked.get(record.id);
    const { shown = null, work = null } = views.get(record.id) ?? {};
    return own
      ? [{ id: record.id, key: overviewKey(record, own.plan, own.progress, shelf), overview: overviewOf({ shown, work, done: own.done }, at.now) }]
      : [];
  });
  await Promise.all(kept.map((one) => keepOverview(db, one)));
}

/** What Tern Point has beside its pieces. */
const BESIDE = ["shelf", "tools", "rooms", "moulds", "compounds", "pours", "records", "trials"] as const;

export async function hasTernPoint(db: Database): Promise<boolean> {
  return (await db.getAllKeys("pieces")).some(isOfTernPoint);
}

/** Takes every Tern Point piece out again, with plans and work, in one go. */
export function closeTernPoint(db: Database, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "removing the Tern Point notebook",
    "everything",
    [...storesWith("pieces"), ...BESIDE],
    async (recorder) => {
      for (const { id } of await recorder.all("pieces")) if (isOfTernPoint(id)) await recorder.removeWhole("pieces", id);
      for (const store of BESIDE) for (const { id } of await recorder.all(store)) if (isOfTernPoint(id)) await recorder.remove(store, id);
    },
    by,
  );
}

/** A database that has never been used is shown with Tern Point in it, where the server says so; once, and never over anything. */
export async function seedOnce(db: Database, wanted: () => Promise<boolean>): Promise<void> {
  const known = remembered();
  if (known || (await db.count("pieces")) > 0 || (await db.count("settings")) > 0) return;
  if (!(await wanted())) return;
  await openTernPoint(db);
}
