import type Joi from "joi";
import { AIRFLOWS } from "../catalogue/vocabulary";
import { ROOM_TEMPERATURE_C } from "../piece/piece";
import type { JoiRoot } from "./stores/definition";

function airFields(joi: JoiRoot) {
  return { temperatureC: joi.number().min(ROOM_TEMPERATURE_C.least).max(ROOM_TEMPERATURE_C.most), relativeHumidity: joi.number().min(0).max(1) };
}

/** A room of which anything may be left open; its air by night is said whole. */
export function openRoomSchema(joi: JoiRoot): Joi.ObjectSchema {
  return joi.object({
    ...airFields(joi),
    airflow: joi.string().valid(...AIRFLOWS),
    night: joi.object(airFields(joi)).fork(["temperatureC", "relativeHumidity"], (field) => field.required()),
  });
}

/** A room, whole; by night it is as by day where nothing is said. */
export function roomSchema(joi: JoiRoot): Joi.ObjectSchema {
  return openRoomSchema(joi).fork(["temperatureC", "relativeHumidity", "airflow"], (field) => field.required());
}
