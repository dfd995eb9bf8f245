import type { OwnProduct } from "#core/catalogue/own-product";
import { planId, progressId, roomId } from "#core/catalogue/ids";
import type { ProgressRecord } from "#core/logbook/progress";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { PieceRecord } from "#core/formats/stores/pieces";
import { ENGINE_VERSION } from "#core/coating/planner/engine-version";
import { writeBundle } from "#core/formats/write-bundle";
import { overviewOf } from "#core/logbook/overview";
import type { Overview } from "#core/logbook/overview";
import { coatEvents } from "#core/logbook/coat-events";
import { timeZoneHere } from "~/components/time-zone";
import { dateWork } from "#core/schedule/date-work";
import { dateOf, dayLater, usualHours } from "#core/schedule/free-hours";
import { checksAtHand, runCommand, storesWith } from "~/store/command";
import type { By } from "~/store/command";
import { keepOverview, overviewKey } from "~/store/listing";
import { importBundle } from "~/store/bundles";
import type { Database } from "~/store/database";
import { TERN_POINT } from "./tern-point";
import { TERN_POINT_MOULDS, ternPointCompounds, ternPointPours } from "./tern-point-casting";
import { ternPointRecords, ternPointTrials } from "./tern-point-logbook";
import { TERN_POINT_TOOLS } from "./tern-point-tools";
import type { DemoPiece, DemoPlans } from "./tern-point";

const VISITED = "nook-coat-visited";
const DAY_MS = 86_400_000;
/** The jars were looked into before any of the work was done. */
const SEEN_DAYS_AGO = 60;
const MIN_MS = 60_000;

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

interface Made {
  /** What the list says of it, so that it need not be worked out again. */
  readonly overview: Overview | null;
  readonly record: PieceRecord;
  readonly plan: PlanRecord | null;
  readonly progress: readonly ProgressRecord[];
}

/** Begun some days ago and worked at in the usual hours: what would be done by now is done. */
async function made(
  { id, piece, begunDaysAgo, lastMinutesAgo, dueInDays, set }: DemoPiece,
  built: DemoPlans["plans"],
  shelf: readonly OwnProduct[],
  now: number,
): Promise<Made> {
  const zone = timeZoneHere();
  const dates = dueInDays === undefined ? {} : { dates: { due: dayLater(dateOf(now, zone), dueInDays) } };
  const record: PieceRecord = { id, rev: 1, piece, planId: null, ...dates, ...(set === undefined ? {} : { set }) };
  if (begunDaysAgo === null) return { record, plan: null, progress: [], overview: null };
  const { firstView } = await import("~/workers/planner.client");
  const view = built[id] ?? (await firstView(id, { piece, keeping: { candidateId: null, school: "", edits: [] }, progress: [], shelf }));
  const { shown, work } = view;
  const worked = work && dateWork(work, usualHours(zone), now - begunDaysAgo * DAY_MS);
  if (!shown || !worked) return { record, plan: null, progress: [], overview: null };
  const plan: PlanRecord = {
    id: planId(`${id}plan`),
    pieceId: id,
    rev: 1,
    school: shown.school,
    candidateId: shown.id,
    edits: [],
    pinned: [],
    engineVersion: ENGINE_VERSION,
    made: view.made,
    madeFor: view.madeFor,
  };
  const endOf = (task: string) => Math.max(...worked.items.filter((item) => item.task.id === task).map((item) => item.to));
  const tasks = [...new Set(worked.items.map((item) => item.task.id))];
  const ended = tasks.filter((task) => endOf(task) <= now).sort((a, b) => endOf(a) - endOf(b));
  const finished = ended.length > 0 || lastMinutesAgo === undefined ? ended : tasks.slice(0, 1);
  const endedAt = (task: string, index: number) =>
    lastMinutesAgo !== undefined && index === finished.length - 1 ? now - lastMinutesAgo * MIN_MS : endOf(task);
  const events = finished.flatMap((task, index) => {
    const at = endedAt(task, index);
    return coatEvents(shown, worked.items.find((item) => item.task.id === task)!.task).map((event) => ({ ...event, at: new Date(at).toISOString() }));
  });
  const progress = events.map((event, index): ProgressRecord => ({
    ...event,
    id: progressId(`${id}done${String(index).padStart(3, "0")}`),
    rev: 1,
    pieceId: id,
    planId: plan.id,
    kind: "done",
  }));
  const done = new Map(finished.map((task, index) => [task, endedAt(task, index)]));
  return { record: { ...record, planId: plan.id }, plan, progress, overview: overviewOf({ shown, work, done }, now) };
}

/** Lays the Tern Point pieces beside whatever is there; the user's stay as they are. */
export async function openTernPoint(db: Database): Promise<void> {
  checksAtHand();
  const now = Date.now();
  const today = dateOf(now, timeZoneHere());
  const [{ CATALOGUE }, { ownProductsOf, shelfKey }, { ternPointShelf }, { ternPointPhotos }, { ownShelf }] = await Promise.all([
    import("#core/catalogue/catalogue"),
    import("#core/shelf/own-products"),
    import("./tern-point-shelf"),
    import("./tern-point-photos"),
    import("~/store/own-shelf.client"),
  ]);
  const jars = ternPointShelf(today, new Date(now - SEEN_DAYS_AGO * DAY_MS).toISOString());
  const products = ownProductsOf(jars, new Map(), CATALOGUE, today);
  const [built, { photos, pictures }] = await Promise.all([builtPlans(shelfKey(products)), ternPointPhotos(now)]);
  const all = await Promise.all(TERN_POINT.map((one) => made(one, built, products, now)));
  const bundle = writeBundle({
    pieces: all.map((one) => one.record),
    plans: all.flatMap((one) => one.plan ?? []),
    progress: all.flatMap((one) => one.progress),
    photos,
    shelf: jars,
    tools: TERN_POINT_TOOLS,
    moulds: TERN_POINT_MOULDS,
    compounds: ternPointCompounds(now),
    pours: ternPointPours(now),
    records: ternPointRecords(today),
    trials: ternPointTrials(today),
    rooms: [
      { id: roomId("ternpointroom"), rev: 1, name: "Cool back room at Tern Point", room: { temperatureC: 16, relativeHumidity: 0.62, airflow: "still" } },
    ],
  });
  const here = new Set(await db.getAllKeys("pieces"));
  const fresh = { ...bundle, pieces: bundle.pieces.filter((record) => !here.has(record.id)) };
  await importBundle(db, fresh, { label: "opening the Tern Point notebook", pictures });
  const { key: shelf } = await ownShelf(db);
  const added = all.filter((one) => !here.has(one.record.id));
  await Promise.all(
    added.map(
      async ({ record, plan, progress, overview }) =>
        overview && keepOverview(db, { id: record.id, key: overviewKey(record, plan, progress, shelf), overview }),
    ),
  );
}

/** What Tern Point has beside its pieces. */
const BESIDE = ["shelf", "tools", "rooms", "moulds", "compounds", "pours", "records", "trials"] as const;

function isOfTernPoint(id: string): boolean {
  return id.startsWith("ternpoint");
}

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
