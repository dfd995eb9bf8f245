import { USUAL_ROOM } from "#core/piece/complete-piece";
import type { Air, Piece, Room } from "#core/piece/piece";
import { useAppContext } from "~/components/app-context";
import { Chips, Choice, Radios } from "~/components/fields";
import { set, YOU_CHOOSE } from "./fact-props";
import type { FactProps } from "./fact-props";

const USUAL_ROOMS = [
  {
    id: "usual",
    name: `An ordinary room (${USUAL_ROOM.temperatureC} °C)`,
    room: { temperatureC: USUAL_ROOM.temperatureC, relativeHumidity: USUAL_ROOM.relativeHumidity },
  },
  { id: "cool", name: "A cool back room (16 °C, damp)", room: { temperatureC: 16, relativeHumidity: 0.65 } },
  { id: "cold", name: "A cold shed (11 °C, damp)", room: { temperatureC: 11, relativeHumidity: 0.75 } },
  { id: "warm", name: "A warm, dry room (24 °C)", room: { temperatureC: 24, relativeHumidity: 0.4 } },
] as const;

interface Place {
  readonly id: string;
  readonly name: string;
  readonly room: Omit<Room, "airflow"> & Partial<Pick<Room, "airflow">>;
}

const isSameAir = (one: Air, other: Air) => one.temperatureC === other.temperatureC && one.relativeHumidity === other.relativeHumidity;

/** The rooms a piece can be worked in, and the one it is worked in. */
export function placesFor({ room }: Piece, rooms: readonly Place[]): { readonly known: readonly Place[]; readonly here: Place } {
  const own: Place["room"] = {
    temperatureC: room?.temperatureC ?? USUAL_ROOM.temperatureC,
    relativeHumidity: room?.relativeHumidity ?? USUAL_ROOM.relativeHumidity,
    ...(room?.night ? { night: room.night } : {}),
  };
  const known: readonly Place[] = [...rooms.map(({ id, name, room: air }) => ({ id, name, room: air })), ...USUAL_ROOMS];
  const same = known.find(
    (one) => isSameAir(one.room, own) && (one.room.night && own.night ? isSameAir(one.room.night, own.night) : one.room.night === own.night),
  );
  if (same) return { known, here: same };
  const here = { id: "own", name: `Your room (${own.temperatureC} °C)`, room: own };
  return { known: [...known, here], here };
}

/** Where it is done, and how the air moves there. */
export function RoomFact({ record, save }: FactProps) {
  const { rooms } = useAppContext();
  const { piece } = record;
  const { known, here } = placesFor(piece, rooms);
  return (
    <div className="grid gap-3">
      <Radios
        legend="Room"
        value={here.id}
        choices={known}
        onChange={(id) => {
          const place = known.find((one) => one.id === id);
          // A room that is by night as by day says so: the night of the one before is taken away.
          if (place) save(Object.entries({ night: undefined, ...place.room }).map(([key, value]) => set(`room.${key}`, value)));
        }}
      />
      <Radios
        legend="Air"
        value={piece.room?.airflow ?? "still"}
        choices={[
          { id: "still", name: "Still air" },
          { id: "drafty", name: "A draught" },
          { id: "fan", name: "A fan on it" },
        ]}
        onChange={(id) => save([set("room.airflow", id)])}
      />
    </div>
  );
}

/** What can be had, and what may not be done. */
export function LimitsFact({ record, save }: FactProps) {
  const { oven, kiln, childSafe } = record.piece.constraints ?? {};
  return (
    <Chips
      label="Limits"
      choices={[
        { id: "oven", name: "No oven" },
        { id: "kiln", name: "A kiln can be had" },
        { id: "child", name: "Safe for a child to do" },
      ]}
      chosen={[...(oven === false ? ["oven"] : []), ...(kiln ? ["kiln"] : []), ...(childSafe ? ["child"] : [])]}
      onChange={(ids) =>
        save([
          set("constraints.oven", !ids.includes("oven")),
          set("constraints.kiln", ids.includes("kiln")),
          set("constraints.childSafe", ids.includes("child")),
        ])
      }
    />
  );
}

const WISHES = [
  { key: "primer", job: "ground", label: "Ground" },
  { key: "sealer", job: "seal", label: "Sealer" },
] as const;

/** What the user wants beneath and on top, whatever would be chosen. */
export function WishesFact({ record, menu, save }: FactProps) {
  return (
    <div className="grid gap-3">
      {WISHES.map(({ key, job, label }) => (
        <Choice
          key={key}
          label={label}
          value={record.piece.wishes?.[key] ?? ""}
          choices={[{ id: "", name: YOU_CHOOSE }, ...menu.products.filter((one) => one.jobs.includes(job))]}
          onChange={(id) => save([set(`wishes.${key}`, id === "" ? undefined : id)])}
        />
      ))}
    </div>
  );
}
