import type { RoomId } from "../../catalogue/ids";
import { AIRFLOWS } from "../../catalogue/vocabulary";
import { ROOM_TEMPERATURE_C } from "../../piece/piece";
import type { Room } from "../../piece/piece";
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
  return {
    name: joi.string().trim().min(1).max(60).required(),
    room: joi
      .object({
        temperatureC: joi.number().min(ROOM_TEMPERATURE_C.least).max(ROOM_TEMPERATURE_C.most).required(),
        relativeHumidity: joi.number().min(0).max(1).required(),
        airflow: joi
          .string()
          .valid(...AIRFLOWS)
          .required(),
      })
      .required(),
  };
}

export const ROOMS = defineStore<RoomRecord>({
  name: "rooms",
  called: "a room",
  since: 3,
  indexes: {},
  schema: (joi) => joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...roomFields(joi) }),
  onImport: "keep",
  lists: [],
  migrations: [],
});
