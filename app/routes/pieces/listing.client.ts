import type { Overview } from "#core/logbook/overview";
import { keptPiece, planOf } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import type { Database } from "~/store/database";
import { begunPieces, keepOverview, keptOverview, overviewKey } from "~/store/listing";
import { names } from "~/store/names.client";
import type { NamedPiece } from "~/store/listing";
import { isNotWanted, leaveList, overviewFor } from "~/workers/planner.client";

/** A piece of the list, as it is read when its place comes into sight. */
export interface Listed {
  readonly kept: KeptPiece;
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
    const kept = await keptPiece(id);
    const overview = this.overviewOf(kept).catch((error: unknown): Promise<Overview> => {
      if (!isNotWanted(error)) throw error;
      // The list was left, or loaded anew: nobody waits for this answer any more.
      this.read.delete(id);
      return new Promise<never>(() => undefined);
    });
    return { kept, overview };
  }

  private async overviewOf(kept: KeptPiece): Promise<Overview> {
    const { id } = kept.record;
    const key = overviewKey(kept.record, kept.plan, kept.progress);
    const remembered = await keptOverview(this.db, id, key, this.now);
    if (remembered) return remembered;
    const overview = await overviewFor(id, planOf(kept), this.now);
    void keepOverview(this.db, { id, key, overview });
    return overview;
  }
}

/** The list of all pieces. */
export async function listingOf(db: Database): Promise<Listing> {
  // What was asked for the list before is asked again where it is still in sight.
  leaveList();
  const [pieces, begun] = await Promise.all([names(), begunPieces(db)]);
  const here = new Set(pieces.map((one) => one.id));
  return new Listing(
    db,
    pieces,
    begun.filter((id) => here.has(id)),
    Date.now(),
  );
}
