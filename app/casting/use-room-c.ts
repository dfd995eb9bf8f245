import { USUAL_ROOM } from "#core/piece/complete-piece";
import { useAppContext } from "~/components/app-context";

/** °C of the room the user works in, where they have said so; of a usual one else. */
export function useRoomC(): number {
  return useAppContext().rooms[0]?.room.temperatureC ?? USUAL_ROOM.temperatureC;
}
