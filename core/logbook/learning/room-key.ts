import type { Room } from "../../piece/piece";

/** A room by its air. */
export function roomKey({ temperatureC, relativeHumidity, airflow, night }: Room): string {
  return [temperatureC, relativeHumidity, airflow, ...(night ? [night.temperatureC, night.relativeHumidity] : [])].join("/");
}
