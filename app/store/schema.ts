import type { DBSchema } from "idb";
import type { Act } from "./acts";
import type { KeptOverview } from "./overviews";
import type { KeptPicture } from "./pictures";
import type { Stamp } from "#core/merge/stamp";
import type { KeptDifference, ThisDevice } from "./beside";
import type { Version } from "./versions";
import type { RecordOf, StoreName } from "#core/formats/stores/stores";

type Stores = { [N in StoreName]: { key: string; value: RecordOf<N>; indexes: Record<string, string> } };

/** The stores of the browser's database, derived from their definitions. */
export interface DatabaseSchema extends DBSchema, Stores {
  /** What was done last, in this browser only. */
  acts: { key: string; value: Act; indexes: { byTime: number; byRemoval: number; byUndone: number } };
  /** What the list said of a piece last, in this browser only. */
  overviews: { key: string; value: KeptOverview };
  /** The pictures of photographs, each once; in a file they stand beside the records. */
  pictures: { key: string; value: KeptPicture };
  /** Who changed what in the records. */
  stamps: { key: string; value: Stamp; indexes: Record<string, string> };
  /** The name of this device. */
  devices: { key: string; value: ThisDevice; indexes: Record<string, string> };
  /** What a file that was brought in says differently, until it is decided. */
  differences: { key: string; value: KeptDifference; indexes: Record<string, string> };
  /** What a piece and its plan were before, in this browser only. */
  versions: { key: string; value: Version; indexes: { byPiece: string } };
}
