import { jarId } from "#core/catalogue/ids";
import type { JarId } from "#core/catalogue/ids";
import { isReadableJar } from "#core/catalogue/jar";
import type { Jar } from "#core/catalogue/jar";
import type { JarRecord } from "#core/formats/stores/shelf";
import type { ProgressRecord } from "#core/logbook/progress";
import { changedJar } from "#core/shelf/jar-change";
import type { JarChange } from "#core/shelf/jar-change";
import { bookingOf, seenAfter } from "#core/shelf/mixes";
import { usedSince } from "#core/logbook/paint-used";
import { stockOf } from "#core/shelf/stock";
import { sayMl } from "#core/units/volume";
import { mergedChanges } from "#core/coating/model/piece-changes";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import { freshId } from "./fresh-id";
import type { OwnValues } from "./pieces";
import { FinalError } from "./final-error";

/** Every jar that can be read, by name. */
export async function shelfIn(db: Database): Promise<readonly JarRecord[]> {
  const jars = (await db.getAll("shelf")).filter(isReadableJar);
  const order = new Intl.Collator(undefined, { numeric: true });
  return jars.sort((a, b) => order.compare(a.name, b.name));
}

/** Ids of jars that are too damaged to be read. */
export async function damagedJars(db: Database): Promise<readonly JarId[]> {
  return (await db.getAll("shelf")).filter((jar) => !isReadableJar(jar)).map((jar: { readonly id: JarId }) => jar.id);
}

/** All that was laid out of some jars. */
export async function laidFrom(db: Database, shelf: readonly Pick<Jar, "id">[]): Promise<readonly ProgressRecord[]> {
  const laid = await Promise.all(shelf.map(({ id }): Promise<ProgressRecord[]> => db.getAllFromIndex("progress", "byJar", id)));
  return laid.flat();
}

/** What is left in each jar of which it was said: the seen amount less what was laid since, mL by jar. */
export async function stockIn(db: Database, shelf: readonly Jar[]): Promise<ReadonlyMap<string, number>> {
  const known = shelf.filter((jar) => jar.left !== undefined);
  return stockOf(known, await laidFrom(db, known));
}

const sayJars = (jars: readonly Pick<Jar, "name">[]) => (jars.length === 1 ? jars[0]!.name : `${jars.length} jars`);

/**
 * Puts jars on the shelf, all of them or none; those whose ids are on it already stay as they are.
 *
 * @param label what the user did, for "take back …"
 */
export function addJars(db: Database, jars: readonly Jar[], by: By = {}, label = `the new jar ${sayJars(jars)}`): Promise<void> {
  return runCommand(
    db,
    jars.length === 1 ? label : `putting ${sayJars(jars)} on the shelf`,
    "shelf",
    ["shelf"],
    async (recorder) => {
      const here = await recorder.ids("shelf");
      for (const jar of jars) if (!here.has(jar.id)) await recorder.put("shelf", { ...jar, rev: 1 });
    },
    by,
  );
}

/** The jar was taken off the shelf meanwhile, in another tab. */
export class GoneJar extends FinalError {
  override readonly name = "GoneJar";

  constructor() {
    super("this jar was taken off the shelf meanwhile");
  }
}

/** What a screen knew of a jar when it was changed there. */
export interface KnownJar {
  /** The jar as it showed it. */
  readonly seen: object;
  /** What its tab has set of the jar before. */
  readonly own: OwnValues;
}

export type JarChanged =
  | { readonly kind: "changed" }
  /** Another tab set the same of it otherwise; nothing was written. */
  | { readonly kind: "clash"; readonly paths: readonly string[]; readonly theirs: JarRecord };

/**
 * Changes what is known of a jar: the fields that are named, and no others; what another tab has set of it stays.
 *
 * @param known what the screen knew; null to have the change stand whatever was set meanwhile
 * @throws GoneJar
 */
export function changeJar(db: Database, id: JarId, change: JarChange, by: By = {}, known: KnownJar | null = null): Promise<JarChanged> {
  return runCommand(
    db,
    "the change to a jar",
    `shelf/${id}`,
    ["shelf"],
    async (recorder): Promise<JarChanged> => {
      const jar = await recorder.get("shelf", id);
      if (!jar) throw new GoneJar();
      if (known !== null) {
        const seen = { ...known.seen, label: { ...(known.seen as Partial<Jar>).label } };
        // What is fulfilled already by the jar as it stands is no clash of it.
        const { clashes, changes } = mergedChanges(seen, changedJar(seen, change), { ...jar }, known.own.isOwn);
        if (clashes.length > 0) return { kind: "clash", paths: clashes, theirs: jar };
        known.own.note(changes);
      }
      await recorder.put("shelf", { ...changedJar(jar, change), rev: jar.rev + 1 });
      return { kind: "changed" };
    },
    by,
  );
}

/** Another jar like one of the shelf, full and unopened. */
export function copyJar(db: Database, id: JarId, copy: JarId = jarId(freshId()), by: By = {}): Promise<void> {
  return runCommand(
    db,
    "another jar of the same",
    "shelf",
    ["shelf"],
    async (recorder) => {
      const jar = await recorder.get("shelf", id);
      if (!jar) throw new GoneJar();
      if (await recorder.get("shelf", copy)) return;
      const { openedOn: _opened, left: _left, ...same } = jar;
      await recorder.put("shelf", { ...same, id: copy, rev: 1 });
    },
    by,
  );
}

/** Takes a jar off the shelf; what was laid out of it stays laid. */
export function removeJar(db: Database, id: JarId, name: string, by: By = {}): Promise<void> {
  return runCommand(db, `taking ${name} off the shelf`, `shelf/${id}`, ["shelf"], (recorder) => recorder.remove("shelf", id), by);
}

/** Amounts are kept to a hundredth of a millilitre: a drop is a twentieth. */
const GRAIN = 100;

/**
 * Mixes a puddle: books it off the jars it is mixed from, of which it is known what is in them, and puts it into its pot.
 *
 * @param ml of the mixture
 * @param at instant, ISO 8601
 * @throws GoneJar
 */
export function mixPuddle(db: Database, id: JarId, ml: number, at: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `mixing ${sayMl(ml)}`,
    "shelf",
    ["shelf", "progress"],
    async (recorder) => {
      const pot = await recorder.get("shelf", id);
      if (!pot?.mix) throw new GoneJar();
      for (const { jar: from, takenMl } of bookingOf(pot, ml)) {
        const jar = from === id ? pot : await recorder.get("shelf", from);
        if (!jar || (!jar.left && takenMl > 0)) continue;
        const left = jar.left ?? { ml: 0, by: "volume", at };
        const laid = await recorder.of("progress", "byJar", from);
        const used = usedSince(laid, new Map([[from, left.at]])).get(from) ?? 0;
        const seen = Math.round(seenAfter({ left }, used, takenMl)! * GRAIN) / GRAIN;
        await recorder.put("shelf", { ...jar, left: { ...left, ml: seen }, rev: jar.rev + 1 });
      }
    },
    by,
  );
}
