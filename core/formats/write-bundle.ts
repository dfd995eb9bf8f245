import type { PieceRecord, PlanRecord } from "./records";

export const BUNDLE_FORMAT = "nook-coat/bundle";
export const BUNDLE_VERSION = 1;

/** Everything kept, as one file. Parts that nothing writes yet stay empty. */
export interface Bundle {
  readonly format: typeof BUNDLE_FORMAT;
  readonly version: typeof BUNDLE_VERSION;
  readonly pieces: readonly PieceRecord[];
  readonly plans: readonly PlanRecord[];
}

/** Writes everything kept as one document; records are sorted by id, so the same store writes the same file. */
export function writeBundle(pieces: readonly PieceRecord[], plans: readonly PlanRecord[]): Bundle {
  const byId = <R extends { readonly id: string }>(records: readonly R[]) => [...records].sort((a, b) => (a.id < b.id ? -1 : 1));
  return { format: BUNDLE_FORMAT, version: BUNDLE_VERSION, pieces: byId(pieces), plans: byId(plans) };
}
