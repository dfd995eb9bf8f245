import type { DBSchema } from "idb";
import type { HoursRecord, PieceRecord, PlanRecord, ProgressRecord, RoomRecord, SettingsRecord } from "#core/formats/records";

/** The stores of the browser's database, one a noun. */
export interface DatabaseSchema extends DBSchema {
  pieces: { key: string; value: PieceRecord };
  plans: { key: string; value: PlanRecord; indexes: { byPiece: string } };
  progress: { key: string; value: ProgressRecord; indexes: { byPlan: string } };
  rooms: { key: string; value: RoomRecord };
  hours: { key: string; value: HoursRecord };
  settings: { key: string; value: SettingsRecord };
}

export type StoreName = "pieces" | "plans" | "progress" | "rooms" | "hours" | "settings";
