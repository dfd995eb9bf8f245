import { roomId } from "#core/catalogue/ids";
import type { RoomId } from "#core/catalogue/ids";
import { USUAL_SETTINGS } from "#core/formats/stores/settings";
import type { SettingsRecord } from "#core/formats/stores/settings";
import type { RoomRecord } from "#core/formats/stores/rooms";
import type { Room } from "#core/piece/piece";
import { contestedDays, hoursMerged, usualHours } from "#core/schedule/free-hours";
import type { FreeHours } from "#core/schedule/free-hours";
import { runCommand } from "./command";
import type { By } from "./command";
import { freshId } from "./fresh-id";
import type { Database } from "./database";
import { FinalError } from "./final-error";
import { keepBeside } from "./put-fields";
import { namesGone } from "./removals";

export async function settingsIn(db: Database): Promise<SettingsRecord> {
  return (await db.get("settings", "settings")) ?? USUAL_SETTINGS;
}

/** What the user may choose anew. */
export type SettingsChange = Partial<Omit<SettingsRecord, "id" | "rev">>;

export function saveSettings(db: Database, change: SettingsChange, by: By = {}): Promise<SettingsRecord> {
  return runCommand(
    db,
    "the settings",
    "settings",
    ["settings"],
    async (recorder) => {
      const current = (await recorder.get("settings", "settings")) ?? USUAL_SETTINGS;
      const next = { ...current, ...change, rev: current.rev + 1 };
      await recorder.put("settings", next);
      return next;
    },
    by,
  );
}

/** The user's free hours; evenings and Saturdays until the user has said. */
export async function hoursIn(db: Database, timeZone: string): Promise<FreeHours> {
  return (await db.get("hours", "hours"))?.hours ?? usualHours(timeZone);
}

/**
 * Saves the free hours as the user changed them: the days they changed, and no others. A weekday that another tab has set otherwise meanwhile stays as it is
 * there, and what was wanted is kept beside it until it is decided.
 *
 * @param seen the hours their screen showed
 */
export function saveHours(db: Database, seen: FreeHours, wanted: FreeHours, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "the free hours",
    "hours",
    ["hours"],
    async (recorder) => {
      const stored = await recorder.get("hours", "hours");
      // Hours too damaged to be read are said anew.
      const record = stored && recorder.fits("hours", stored) ? stored : undefined;
      const current = record?.hours ?? seen;
      for (const at of contestedDays(seen, wanted, current)) await keepBeside(recorder, "hours", "hours", ["hours", "weekday", String(at)], wanted.weekday[at]);
      const hours = hoursMerged(seen, wanted, current);
      if (record && JSON.stringify(record.hours) === JSON.stringify(hours)) return;
      await recorder.put("hours", { id: "hours", rev: (stored?.rev ?? 0) + 1, hours });
    },
    by,
  );
}

export async function roomsIn(db: Database): Promise<readonly RoomRecord[]> {
  // A damaged room costs itself; a file still has it.
  const rooms = (await db.getAll("rooms")).filter(({ name, room }) => typeof name === "string" && typeof room?.temperatureC === "number");
  return rooms.sort((a, b) => a.name.localeCompare(b.name));
}

/** Two rooms of one name cannot be told apart. */
export class SameName extends FinalError {
  override readonly name = "SameName";

  constructor(name: string) {
    super(`there is a room called ${name} already`);
  }
}

/**
 * Adds a room.
 *
 * @param id of its own, so that asking twice adds one
 * @throws SameName
 */
export function addRoom(db: Database, name: string, room: Room, id: RoomId = roomId(freshId()), by: By = {}): Promise<RoomRecord> {
  return runCommand(
    db,
    `the room ${name}`,
    "rooms",
    ["rooms"],
    async (recorder) => {
      const here = await recorder.get("rooms", id);
      if (here) return here;
      const known = await recorder.all("rooms");
      if (known.some((one) => one.name.trim().toLowerCase() === name.trim().toLowerCase())) throw new SameName(name);
      const record: RoomRecord = { id, rev: 1, name, room };
      await recorder.put("rooms", record);
      return record;
    },
    by,
  );
}

export function removeRoom(db: Database, id: RoomId, by: By = {}): Promise<void> {
  return runCommand(
    db,
    (entries) => `taking ${namesGone(entries, "rooms").join() || "a room"} away`,
    "rooms",
    ["rooms"],
    (recorder) => recorder.remove("rooms", id),
    by,
  );
}
