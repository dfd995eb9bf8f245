import type { StoreName } from "#core/formats/stores/stores";
import type { Stamp } from "#core/merge/stamp";
import type { VersionVector } from "#core/merge/version-vector";

/** Who changed what in the records: it goes into files, and tells newer from older where two notebooks are put together. */
export const STAMPS_STORE = "stamps";
/** The name of this device among those the notebook has met. */
export const DEVICES_STORE = "devices";
/** What two notebooks say differently, until it is decided. */
export const DIFFERENCES_STORE = "differences";

export interface ThisDevice {
  readonly id: string;
  readonly device: string;
}

/** A value the notebook and a file that was brought in, or two tabs, say differently; what the notebook says stands until it is decided. */
export interface KeptDifference {
  /** Store, record and path of the value: "pieces/ID/piece.name". */
  readonly id: string;
  readonly store: StoreName;
  readonly record: string;
  readonly field: string;
  /** What the file says, or what was set over what another tab had set meanwhile; absent where it says nothing. */
  readonly theirs?: unknown;
  readonly theirMark: VersionVector;
  /** When it was brought in: instant, ms. */
  readonly at: number;
  /** Not a file says so, but a tab. */
  readonly from?: "tab";
}

/** A stamp or a difference that was, or is to be again; null for none. */
export interface KeptBeside<T> {
  readonly id: string;
  readonly was: T | null;
}

/** What stands beside records, inside a transaction. */
export interface BesideInside {
  readonly stamps: {
    readonly get: (id: string) => Promise<Stamp | undefined>;
    readonly put: (stamp: Stamp) => Promise<unknown>;
    readonly delete: (id: string) => Promise<void>;
  };
  readonly devices: { readonly get: (id: string) => Promise<ThisDevice | undefined>; readonly put: (device: ThisDevice) => Promise<unknown> };
  readonly differences: {
    readonly get: (id: string) => Promise<KeptDifference | undefined>;
    readonly put: (difference: KeptDifference) => Promise<unknown>;
    readonly delete: (id: string) => Promise<void>;
  };
}
