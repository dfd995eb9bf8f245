import type { HoursRecord, PieceRecord, PlanRecord, ProgressRecord, RoomRecord, SettingsRecord } from "./records";

export const BUNDLE_FORMAT = "nook-coat/bundle";
export const BUNDLE_VERSION = 1;

/** The records of a database, by what they are. */
export interface BundleParts {
  readonly pieces: readonly PieceRecord[];
  readonly plans: readonly PlanRecord[];
  readonly progress: readonly ProgressRecord[];
  readonly rooms: readonly RoomRecord[];
  /** None or one. */
  readonly hours: readonly HoursRecord[];
  readonly settings: readonly SettingsRecord[];
}

/** Everything kept, as one file. Parts that nothing writes yet stay away. */
export interface Bundle extends BundleParts {
  readonly format: typeof BUNDLE_FORMAT;
  readonly version: typeof BUNDLE_VERSION;
}

/** The parts of a database, in the order of a file. */
export const PART_NAMES = ["pieces", "plans", "progress", "rooms", "hours", "settings"] as const satisfies readonly (keyof BundleParts)[];

function byId<R extends { readonly id: string }>(records: readonly R[] = []): readonly R[] {
  return [...records].sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** Writes what is kept as one document; records are sorted by id, so the same store writes the same file. */
export function writeBundle(parts: Partial<BundleParts>): Bundle {
  return {
    format: BUNDLE_FORMAT,
    version: BUNDLE_VERSION,
    pieces: byId(parts.pieces),
    plans: byId(parts.plans),
    progress: byId(parts.progress),
    rooms: byId(parts.rooms),
    hours: byId(parts.hours),
    settings: byId(parts.settings),
  };
}
