import type { RoomId } from "../../catalogue/ids";
import type { Room } from "../../piece/piece";
import { roomSchema } from "../room-schema";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** A place the user works in. */
export interface RoomRecord {
  readonly id: RoomId;
  readonly rev: number;
  readonly name: string;
  readonly room: Room;
}

/** A room's name and air, as typed or stored. */
export function roomFields(joi: JoiRoot) {
  return { name: joi.string().trim().min(1).max(60).required(), room: roomSchema(joi).required() };
}

export const ROOMS = defineStore<RoomRecord>({
  name: "rooms",
  called: "a room",
  counted: ["room", "rooms"],
  gone: { told: "Taken away" },
  says: { name: "its name", room: "its air" },
  since: 3,
  indexes: {},
  schema: (joi) => joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...roomFields(joi) }),
  meets: { whole: ["room.night"] },
  lists: [],
  migrations: [],
});
