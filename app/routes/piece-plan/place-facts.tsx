import type { Change } from "#core/coating/model/change";
import { USUAL_ROOM } from "#core/piece/complete-piece";
import { Chips, Choice, Part } from "~/components/fields";
import { useAppContext } from "~/components/app-context";
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

/** Where it is done, what the user wants or rules out. */
export function PlaceFacts({ record, menu, save }: FactProps) {
  const { rooms } = useAppContext();
  const { piece } = record;
  const here = {
    temperatureC: piece.room?.temperatureC ?? USUAL_ROOM.temperatureC,
    relativeHumidity: piece.room?.relativeHumidity ?? USUAL_ROOM.relativeHumidity,
  };
  const known = [...rooms.map((one) => ({ id: one.id as string, name: one.name, room: one.room })), ...USUAL_ROOMS];
  const own = { id: "own", name: `Your room (${here.temperatureC} °C)`, room: here };
  const matches = (room: { readonly temperatureC: number; readonly relativeHumidity: number }) =>
    room.temperatureC === here.temperatureC && room.relativeHumidity === here.relativeHumidity;
  const chosen = known.find((one) => matches(one.room));
  const change = (...changes: Change[]) => save(changes);
  const wish = (key: "primer" | "sealer", job: string, label: string) => (
    <Choice
      label={label}
      value={piece.wishes?.[key] ?? ""}
      choices={[{ id: "", name: YOU_CHOOSE }, ...menu.products.filter((one) => one.jobs.includes(job))]}
      onChange={(id) => change(set(`wishes.${key}`, id === "" ? undefined : id))}
    />
  );
  return (
    <Part title="Your room, your wishes">
      <div className="grid gap-2">
        <Choice
          label="Where you work"
          fact="room.temperatureC"
          value={chosen?.id ?? "own"}
          choices={chosen ? known : [...known, own]}
          onChange={(id) => {
            const room = known.find((one) => one.id === id)?.room;
            if (room) change(...Object.entries(room).map(([key, value]) => set(`room.${key}`, value)));
          }}
        />
        <Choice
          label="Air"
          fact="room.airflow"
          value={piece.room?.airflow ?? "still"}
          choices={[
            { id: "still", name: "Still air" },
            { id: "drafty", name: "A draught" },
            { id: "fan", name: "A fan on it" },
          ]}
          onChange={(id) => change(set("room.airflow", id))}
        />
        <div className="grid grid-cols-2 gap-2">
          {wish("primer", "ground", "Ground")}
          {wish("sealer", "seal", "Sealer")}
        </div>
        <Chips
          label="Limits"
          fact="constraints.oven"
          choices={[
            { id: "oven", name: "No oven" },
            { id: "kiln", name: "A kiln can be had" },
            { id: "child", name: "Safe for a child to do" },
          ]}
          chosen={[
            ...(piece.constraints?.oven === false ? ["oven"] : []),
            ...(piece.constraints?.kiln ? ["kiln"] : []),
            ...(piece.constraints?.childSafe ? ["child"] : []),
          ]}
          onChange={(ids) =>
            change(
              set("constraints.oven", !ids.includes("oven")),
              set("constraints.kiln", ids.includes("kiln")),
              set("constraints.childSafe", ids.includes("child")),
            )
          }
        />
      </div>
    </Part>
  );
}
