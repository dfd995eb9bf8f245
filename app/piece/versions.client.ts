import { saidChanges } from "#core/coating/explain/said-changes";
import type { SaidChanges } from "#core/coating/explain/said-changes";
import { database } from "~/store/open.client";

/** A version of a piece as its plan tells it: when, and what it changed. */
export interface ToldVersion {
  readonly id: string;
  readonly at: number;
  /** Null of the first: there was nothing before. */
  readonly changes: SaidChanges | null;
  /** The piece and its plan are as they were then. */
  readonly isNow: boolean;
}

/** What was changed of a piece and its plan, the newest first. */
export async function versionsOf(piece: string): Promise<readonly ToldVersion[]> {
  const db = await database();
  const versions = await db.getAllFromIndex("versions", "byPiece", piece);
  return versions
    .map((version, index): ToldVersion => ({
      id: version.id,
      at: version.at,
      changes: index === 0 ? null : saidChanges(versions[index - 1]!, version),
      isNow: index === versions.length - 1,
    }))
    .reverse();
}
