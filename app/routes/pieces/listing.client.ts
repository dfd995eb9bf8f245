import type { Overview } from "#core/logbook/overview";
import { faceOf } from "~/photos/kept-photos.client";
import { keptPiece } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import { keyOf, workedOut } from "~/piece/worked-out.client";
import type { Database } from "~/store/database";
import { begunPieces, keptOverview } from "~/store/listing";
import { names } from "~/store/names.client";
import type { NamedPiece } from "~/store/listing";
import { isNotWanted, leaveList } from "~/workers/planner.client";

/** A piece of the list, as it is read when its place comes into sight. */
export interface Listed {
  readonly kept: KeptPiece;
  /** Address of its last photograph; null where it has none. */
  readonly face: string | null;
  readonly overview: Promise<Overview>;
}

/** Begun pieces that are looked through for what can be done now. */
const MOST_BEGUN = 60;

/** The list as it stood when the page was loaded: names at once, the rest of a piece when it is looked at. */
export class Listing {
  private readonly read = new Map<string, Promise<Listed>>();

  constructor(
    private readonly db: Database,
    readonly pieces: readonly NamedPiece[],
    readonly begun: readonly string[],
    private readonly now: number,
  ) {}

  /** One piece; its overview is remembered from the last time, or worked out after all that is looked at. */
  readonly piece = (id: string): Promise<Listed> => {
    const known = this.read.get(id);
    if (known) return known;
    const listed = this.readPiece(id);
    this.read.set(id, listed);
    return listed;
  };

  /** The begun ones with their overviews, as far as they can be read. */
  async standing(): Promise<readonly { readonly kept: KeptPiece; readonly overview: Overview }[]> {
    const found = await Promise.allSettled(
      this.begun.slice(0, MOST_BEGUN).map(async (id) => {
        const { kept, overview } = await this.piece(id);
        return { kept, overview: await overview };
      }),
    );
    return found.flatMap((one) => (one.status === "fulfilled" ? [one.value] : []));
  }

  private async readPiece(id: string): Promise<Listed> {
    const [kept, face] = await Promise.all([keptPiece(id), faceOf(id).catch(() => null)]);
    const overview = this.overviewOf(kept).catch((error: unknown): Promise<Overview> => {
      if (!isNotWanted(error)) throw error;
      // The list was left, or loaded anew: nobody waits for this answer any more.
      this.read.delete(id);
      return new Promise<never>(() => undefined);
    });
    return { kept, face, overview };
  }

  private async overviewOf(kept: KeptPiece): Promise<Overview> {
    const remembered = await keptOverview(this.db, kept.record.id, keyOf(kept), this.now);
    return remembered ?? workedOut(this.db, kept, this.now);
  }
}

/** How often the list, and each card of it, is in the page: over two loads of the list a card stays. */
const inSight = new Map<string, number>();
/** Pieces of the list that are looked through whether their cards are in sight or not. */
let told: ReadonlySet<string> = new Set();

/**
 * Something of the list has come into the page.
 *
 * @returns says that it has left it
 */
function seen(what: string, left: () => void): () => void {
  inSight.set(what, (inSight.get(what) ?? 0) + 1);
  return () => {
    inSight.set(what, inSight.get(what)! - 1);
    // It may come back at once: another load of the list has it too.
    setTimeout(() => {
      if (inSight.get(what) !== 0) return;
      inSight.delete(what);
      left();
    });
  };
}

/** The list is looked at. @returns says that it was left: nothing need be worked out for it any more */
export function listSeen(): () => void {
  return seen("list", () => leaveList());
}

/** A card is in the page. @returns says that it has left it: what waits only for it need not be worked out any more */
export function cardSeen(id: string): () => void {
  return seen(`card/${id}`, () => {
    if (!told.has(id)) leaveList((piece) => piece === id);
  });
}

/** The list of all pieces. */
export async function listingOf(db: Database): Promise<Listing> {
  // What was asked for the list before is asked again where it is still in sight.
  leaveList();
  const [pieces, begun] = await Promise.all([names(), begunPieces(db)]);
  const here = new Set(pieces.filter((one) => !one.away).map((one) => one.id));
  const begunHere = begun.filter((id) => here.has(id));
  told = new Set(begunHere.slice(0, MOST_BEGUN));
  return new Listing(db, pieces, begunHere, Date.now());
}
