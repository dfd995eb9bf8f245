import { roomId } from "#core/catalogue/ids";
import type { RoomId } from "#core/catalogue/ids";
import { USUAL_SETTINGS } from "#core/formats/stores/settings";
import type { SettingsRecord } from "#core/formats/stores/settings";
import type { RoomRecord } from "#core/formats/stores/rooms";
import type { Room } from "#core/piece/piece";
import { usualHours } from "#core/schedule/free-hours";
import type { FreeHours } from "#core/schedule/free-hours";
import { runCommand } from "./command";
import { freshId } from "./fresh-id";
import type { Database } from "./database";

export async function settingsIn(db: Database): Promise<SettingsRecord> {
  return (await db.get("settings", "settings")) ?? USUAL_SETTINGS;
}

/** What the user may choose anew. */
export type SettingsChange = Partial<Omit<SettingsRecord, "id" | "rev">>;

export function saveSettings(db: Database, change: SettingsChange): Promise<SettingsRecord> {
  return runCommand(db, "the settings", "settings", ["settings"], async (recorder) => {
    const current = (await recorder.get("settings", "settings")) ?? USUAL_SETTINGS;
    const next = { ...current, ...change, rev: current.rev + 1 };
    await recorder.put("settings", next);
    return next;
  });
}

/** The user's free hours; evenings and Saturdays until the user has said. */
export async function hoursIn(db: Database, timeZone: string): Promise<FreeHours> {
  return (await db.get("hours", "hours"))?.hours ?? usualHours(timeZone);
}

export function saveHours(db: Database, hours: FreeHours): Promise<void> {
  return runCommand(db, "the free hours", "hours", ["hours"], async (recorder) => {
    const rev = ((await recorder.get("hours", "hours"))?.rev ?? 0) + 1;
    await recorder.put("hours", { id: "hours", rev, hours });
  });
}

export async function roomsIn(db: Database): Promise<readonly RoomRecord[]> {
  return (await db.getAll("rooms")).sort((a, b) => a.name.localeCompare(b.name));
}

export function addRoom(db: Database, name: string, room: Room): Promise<RoomRecord> {
  return runCommand(db, `the room ${name}`, "rooms", ["rooms"], async (recorder) => {
    const record: RoomRecord = { id: roomId(freshId()), rev: 1, name, room };
    await recorder.put("rooms", record);
    return record;
  });
}

export function removeRoom(db: Database, id: RoomId): Promise<void> {
  return runCommand(db, "removing the room", "rooms", ["rooms"], (recorder) => recorder.remove("rooms", id));
}
