import type { IDBPTransaction } from "idb";
import { DEFINITIONS } from "#core/formats/stores/stores";
import type { RecordOf, StoreName } from "#core/formats/stores/stores";
import type { Stamp } from "#core/merge/stamp";
import type { ACTS_STORE } from "./acts";
import type { Entry, Kept } from "./acts";
import type { assertFits as AssertFits } from "./check-record";
import { PICTURES_STORE } from "./pictures";
import type { KeptPicture } from "./pictures";
import type { DatabaseSchema } from "./schema";
import { DEVICES_STORE, DIFFERENCES_STORE, STAMPS_STORE } from "./beside";
import { swapped } from "./stamps";
import type { BesideInside, KeptBeside, KeptDifference } from "./beside";
import type { VERSIONS_STORE } from "./versions";

/** Stores of what stands beside records: every command may write to them. */
export const BESIDE = [STAMPS_STORE, DEVICES_STORE, DIFFERENCES_STORE] as const;
export type Written = StoreName | typeof ACTS_STORE | typeof VERSIONS_STORE | typeof PICTURES_STORE | (typeof BESIDE)[number];
export type Writing = IDBPTransaction<DatabaseSchema, Written[], "readwrite">;

/** The stores whose records belong to those of a store. */
export function ownedBy(store: string): readonly (typeof DEFINITIONS)[number][] {
  return DEFINITIONS.filter((one) => one.owner?.store === store);
}

/** The stores a record of one is removed from with all that belongs to it. */
export function storesWith(store: StoreName): readonly StoreName[] {
  return [store, ...ownedBy(store).flatMap(({ name }) => storesWith(name as StoreName))];
}

/** Reads and writes inside one transaction, and remembers every record as it was. */
export class Recorder {
  private readonly touched = new Map<string, Entry>();
  private readonly stampsWere = new Map<string, KeptBeside<Stamp>>();
  private readonly unstamped = new Set<string>();
  private readonly differencesWere = new Map<string, KeptBeside<KeptDifference>>();
  /** What stands beside the records. */
  readonly beside: BesideInside;

  constructor(
    private readonly transaction: Writing,
    private readonly assertFits: typeof AssertFits,
  ) {
    const store = (name: (typeof BESIDE)[number]) => transaction.objectStore(name);
    this.beside = { stamps: store(STAMPS_STORE), devices: store(DEVICES_STORE), differences: store(DIFFERENCES_STORE) } as unknown as BesideInside;
  }

  /** Says who changed what in a record: what the command itself does to it is then not stamped. Taken back, the stamp is again what it was. */
  async putStamp(id: string, stamp: Stamp | null): Promise<void> {
    const { stamps } = await swapped(this.beside, [{ id, was: stamp }], []);
    if (!this.stampsWere.has(id)) this.stampsWere.set(id, stamps[0]!);
  }

  /** Leaves a record without a stamp that has none, whatever the command does to it. */
  leaveUnstamped(id: string): void {
    this.unstamped.add(id);
  }

  /** Records whose stamps the command has set itself. */
  get exact(): ReadonlySet<string> {
    return new Set([...this.stampsWere.keys(), ...this.unstamped]);
  }

  /** Keeps a difference until it is decided, or lets it go. */
  async putDifference(id: string, difference: KeptDifference | null): Promise<void> {
    const { differences } = await swapped(this.beside, [], [{ id, was: difference }]);
    if (!this.differencesWere.has(id)) this.differencesWere.set(id, differences[0]!);
  }

  /** Stamps of all records, and differences that are not decided. */
  async allBeside(): Promise<{ readonly stamps: readonly Stamp[]; readonly differences: readonly KeptDifference[] }> {
    const [stamps, differences] = [this.transaction.objectStore(STAMPS_STORE), this.transaction.objectStore(DIFFERENCES_STORE)];
    return { stamps: await stamps.getAll(), differences: await differences.getAll() };
  }

  get stampsBefore(): readonly KeptBeside<Stamp>[] {
    return [...this.stampsWere.values()];
  }

  get differencesBefore(): readonly KeptBeside<KeptDifference>[] {
    return [...this.differencesWere.values()];
  }

  async get<S extends StoreName>(store: S, id: string): Promise<RecordOf<S> | undefined> {
    return (await this.transaction.objectStore(store).get(id)) as RecordOf<S> | undefined;
  }

  async all<S extends StoreName>(store: S): Promise<readonly RecordOf<S>[]> {
    return (await this.transaction.objectStore(store).getAll()) as unknown as RecordOf<S>[];
  }

  /** Records of a store that belong to one of another, over the index of that name. */
  async of<S extends StoreName>(store: S, index: string, id: string): Promise<readonly RecordOf<S>[]> {
    return (await this.transaction
      .objectStore(store)
      .index(index as never)
      .getAll(id as never)) as unknown as RecordOf<S>[];
  }

  /** @throws UnfitRecord when the record fails its own schema; nothing of the command is written then */
  async put<S extends StoreName>(store: S, record: RecordOf<S>): Promise<void> {
    this.assertFits(store, record);
    await this.note(store, record.id, record as Kept);
    await this.transaction.objectStore(store).put(record as never);
  }

  /** Keeps a picture for a photograph of the same command; one that is here already stays. */
  async putPicture(picture: KeptPicture): Promise<void> {
    const pictures = this.transaction.objectStore(PICTURES_STORE);
    if ((await pictures.getKey(picture.id)) === undefined) await pictures.put(picture);
  }

  /** Whether a record fits its schema. */
  fits(store: StoreName, record: unknown): boolean {
    try {
      this.assertFits(store, record);
      return true;
    } catch {
      return false;
    }
  }

  /** Ids of all records of a store. */
  async ids(store: StoreName): Promise<ReadonlySet<string>> {
    return new Set(await this.transaction.objectStore(store).getAllKeys());
  }

  async remove(store: StoreName, id: string): Promise<void> {
    await this.note(store, id, null);
    await this.transaction.objectStore(store).delete(id);
  }

  /** A record goes with all that belongs to it. */
  async removeWhole(store: StoreName, id: string): Promise<void> {
    for (const { name, owner, indexes } of ownedBy(store)) {
      const [index] = Object.entries(indexes).find(([, field]) => field === owner!.field)!;
      for (const record of await this.of(name as StoreName, index, id)) await this.removeWhole(name as StoreName, record.id);
    }
    await this.remove(store, id);
  }

  get entries(): readonly Entry[] {
    return [...this.touched.values()];
  }

  private async note(store: StoreName, id: string, after: Kept | null): Promise<void> {
    const key = `${store}/${id}`;
    const known = this.touched.get(key);
    const before = known ? known.before : (((await this.transaction.objectStore(store).get(id)) as Kept | undefined) ?? null);
    this.touched.set(key, { store, id, before, after });
  }
}
