import { useState } from "react";
import { Plus, Trash2 } from "lucide-react";
import { ROOM_TEMPERATURE_C } from "#core/piece/piece";
import type { Room } from "#core/piece/piece";
import { Choice } from "~/components/fields";
import { ToolButton } from "~/components/tool-button";
import { useAppContext } from "~/components/app-context";

const AIR = [
  { id: "still", name: "still air" },
  { id: "drafty", name: "a draught" },
  { id: "fan", name: "a fan" },
];

/** How damp, in words; the figure is what is worked with. */
const DAMP = [
  { id: "0.4", name: "dry (40 %)" },
  { id: "0.55", name: "ordinary (55 %)" },
  { id: "0.65", name: "damp (65 %)" },
  { id: "0.75", name: "very damp (75 %)" },
  { id: "0.85", name: "wet (85 %)" },
];

function wrongWith(name: string, temperatureC: number): string | null {
  const { least, most } = ROOM_TEMPERATURE_C;
  if (name.trim() === "") return "give it a name";
  return temperatureC >= least && temperatureC <= most ? null : `a temperature between −${-least} and ${most} °C`;
}

/** Where the user works: the air of a room sets how long everything dries. */
export function Rooms({ add, remove }: { add: (name: string, room: Room) => void; remove: (id: string) => void }) {
  const { rooms } = useAppContext();
  const [draft, setDraft] = useState({ name: "", temperature: "20", damp: "0.55", air: "still" });
  const temperatureC = Number(draft.temperature.trim().replace(",", ".") || NaN);
  const wrong = wrongWith(draft.name, temperatureC);
  const [tried, setTried] = useState(false);
  const submit = () => {
    setTried(wrong !== null);
    if (wrong) return;
    add(draft.name.trim().slice(0, 60), { temperatureC, relativeHumidity: Number(draft.damp), airflow: draft.air as Room["airflow"] });
    setDraft({ ...draft, name: "" });
  };
  return (
    <>
      {rooms.length > 0 && (
        <ul className="mb-3 grid gap-1">
          {rooms.map((one) => (
            <li key={one.id} className="flex items-center justify-between gap-3">
              <span>
                {one.name}: {one.room.temperatureC} °C, {Math.round(one.room.relativeHumidity * 100)} % damp,{" "}
                {AIR.find((air) => air.id === one.room.airflow)?.name}
              </span>
              <ToolButton icon={Trash2} label={`Remove the room ${one.name}`} onClick={() => remove(one.id)} />
            </li>
          ))}
        </ul>
      )}
      <form
        className="grid gap-2 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <label>
          <span className="block">Name of a room</span>
          <input className="field" maxLength={60} value={draft.name} onChange={(event) => setDraft({ ...draft, name: event.target.value })} />
        </label>
        <label>
          <span className="block">Temperature, °C</span>
          <input
            className="field"
            inputMode="decimal"
            value={draft.temperature}
            onChange={(event) => setDraft({ ...draft, temperature: event.target.value })}
          />
        </label>
        <Choice label="Its air is" value={draft.damp} choices={DAMP} onChange={(damp) => setDraft({ ...draft, damp })} />
        <Choice label="It has" value={draft.air} choices={AIR} onChange={(air) => setDraft({ ...draft, air })} />
        <p>
          <button type="submit" className="button">
            <Plus aria-hidden size={18} /> Add the room
          </button>
        </p>
        {tried && wrong && (
          <p role="alert" className="self-center font-semibold text-stop">
            {wrong}
          </p>
        )}
      </form>
    </>
  );
}
