import { roomId } from "#core/catalogue/ids";
import type { RoomId } from "#core/catalogue/ids";
import { USUAL_SETTINGS } from "#core/formats/records";
import type { RoomRecord, SettingsRecord } from "#core/formats/records";
import type { Room } from "#core/piece/piece";
import { usualHours } from "#core/schedule/free-hours";
import type { FreeHours } from "#core/schedule/free-hours";
import { act } from "./command";
import { freshId } from "./fresh-id";
import type { Notebook } from "./database";

export async function settingsIn(db: Notebook): Promise<SettingsRecord> {
  return (await db.get("settings", "settings")) ?? USUAL_SETTINGS;
}

/** What the user may choose anew. */
export type SettingsChange = Partial<Omit<SettingsRecord, "id" | "rev">>;

export function saveSettings(db: Notebook, change: SettingsChange): Promise<SettingsRecord> {
  return act(db, "the settings", ["settings"], async (recorder) => {
    const current = (await recorder.get("settings", "settings")) ?? USUAL_SETTINGS;
    const next = { ...current, ...change, rev: current.rev + 1 };
    await recorder.put("settings", next);
    return next;
  });
}

/** The user's free hours; evenings and Saturdays until the user has said. */
export async function hoursIn(db: Notebook, timeZone: string): Promise<FreeHours> {
  return (await db.get("hours", "hours"))?.hours ?? usualHours(timeZone);
}

export function saveHours(db: Notebook, hours: FreeHours): Promise<void> {
  return act(db, "the free hours", ["hours"], async (recorder) => {
    const rev = ((await recorder.get("hours", "hours"))?.rev ?? 0) + 1;
    await recorder.put("hours", { id: "hours", rev, hours });
  });
}

export async function roomsIn(db: Notebook): Promise<readonly RoomRecord[]> {
  return (await db.getAll("rooms")).sort((a, b) => a.name.localeCompare(b.name));
}

export function addRoom(db: Notebook, name: string, room: Room): Promise<RoomRecord> {
  return act(db, `the room ${name}`, ["rooms"], async (recorder) => {
    const record: RoomRecord = { id: roomId(freshId()), rev: 1, name, room };
    await recorder.put("rooms", record);
    return record;
  });
}

export function removeRoom(db: Notebook, id: RoomId): Promise<void> {
  return act(db, "removing the room", ["rooms"], (recorder) => recorder.remove("rooms", id));
}
