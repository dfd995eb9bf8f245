import { joiResolver } from "@hookform/resolvers/joi";
import Joi from "joi";
import { useEffect } from "react";
import { Controller, useForm } from "react-hook-form";
import { Plus, Trash2 } from "lucide-react";
import { ROOM_TEMPERATURE_C } from "#core/piece/piece";
import type { Room } from "#core/piece/piece";
import { Choice } from "~/components/fields";
import { ToolButton } from "~/components/tool-button";
import { useDraft } from "~/components/use-draft";
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

/** By night it is as by day. */
const AS_BY_DAY = "";
const NIGHT_DAMP = [{ id: AS_BY_DAY, name: "as by day" }, ...DAMP];

interface RoomForm {
  readonly name: string;
  readonly temperature: string;
  readonly damp: string;
  readonly air: string;
  /** By night; empty: as by day. */
  readonly nightTemperature: string;
  readonly nightDamp: string;
}

const { least, most } = ROOM_TEMPERATURE_C;
/** A temperature as people write it; NaN where it is none ("0x14" is none). */
function temperatureOf(text: string): number {
  const plain = text.trim().replace(",", ".").replace("−", "-");
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : NaN;
}

const WRONG_TEMPERATURE = `a temperature between −${-least} and ${most} °C`;
const temperatureField = () =>
  Joi.string()
    .custom((text: string, helpers) => {
      const value = temperatureOf(text);
      return value >= least && value <= most ? text : helpers.error("any.invalid");
    })
    .messages({ "any.invalid": WRONG_TEMPERATURE, "string.empty": WRONG_TEMPERATURE });

/** A form is the one place where what is typed is converted: a decimal comma is a point. */
const ROOM_FORM = Joi.object<RoomForm>({
  name: Joi.string().trim().min(1).max(60).required().messages({ "string.empty": "give it a name" }),
  temperature: temperatureField().required(),
  damp: Joi.string().required(),
  air: Joi.string().required(),
  nightTemperature: temperatureField().required().allow(""),
  nightDamp: Joi.string().required().allow(AS_BY_DAY),
});

const EMPTY: RoomForm = { name: "", temperature: "20", damp: "0.55", air: "still", nightTemperature: "", nightDamp: AS_BY_DAY };

/** Where the user works: the air of a room sets how long everything dries. */
export function Rooms({ known, add, remove }: { known: readonly string[]; add: (name: string, room: Room) => void; remove: (id: string) => void }) {
  const { rooms } = useAppContext();
  const [draft, keepDraft] = useDraft<RoomForm>("room.new", EMPTY);
  const { register, control, subscribe, handleSubmit, resetField, setError, formState } = useForm<RoomForm>({
    resolver: joiResolver(ROOM_FORM),
    defaultValues: draft,
  });
  useEffect(() => subscribe({ formState: { values: true }, callback: ({ values }) => keepDraft(values) }), [subscribe, keepDraft]);
  const submit = handleSubmit(({ name, temperature, damp, air, nightTemperature, nightDamp }) => {
    if (known.some((one) => one.trim().toLowerCase() === name.trim().toLowerCase())) {
      setError("name", { message: "there is a room of that name already" });
      return;
    }
    const day = { temperatureC: temperatureOf(temperature), relativeHumidity: Number(damp) };
    const night = {
      temperatureC: nightTemperature.trim() === "" ? day.temperatureC : temperatureOf(nightTemperature),
      relativeHumidity: nightDamp === AS_BY_DAY ? day.relativeHumidity : Number(nightDamp),
    };
    const isAsByDay = night.temperatureC === day.temperatureC && night.relativeHumidity === day.relativeHumidity;
    add(name.trim(), { ...day, airflow: air as Room["airflow"], ...(isAsByDay ? {} : { night }) });
    resetField("name", { defaultValue: "" });
  });
  const wrong = formState.errors.name?.message ?? formState.errors.temperature?.message ?? formState.errors.nightTemperature?.message;
  return (
    <>
      {rooms.length > 0 && (
        <ul className="mb-3 grid gap-1">
          {rooms.map((one) => (
            <li key={one.id} className="flex items-center justify-between gap-3">
              <span>
                {one.name}: {one.room.temperatureC} °C, {Math.round(one.room.relativeHumidity * 100)} % damp,{" "}
                {AIR.find((air) => air.id === one.room.airflow)?.name}
                {one.room.night && `; by night ${one.room.night.temperatureC} °C, ${Math.round(one.room.night.relativeHumidity * 100)} %`}
              </span>
              <ToolButton icon={Trash2} label={`Remove the room ${one.name}`} onClick={() => remove(one.id)} />
            </li>
          ))}
        </ul>
      )}
      <form className="grid gap-2 sm:grid-cols-2" noValidate onSubmit={(event) => void submit(event)}>
        <label>
          <span className="block">Name of a room</span>
          <input className="field" maxLength={60} aria-invalid={formState.errors.name !== undefined} {...register("name")} />
        </label>
        <label>
          <span className="block">Temperature, °C</span>
          <input className="field" inputMode="decimal" aria-invalid={formState.errors.temperature !== undefined} {...register("temperature")} />
        </label>
        <Controller
          control={control}
          name="damp"
          render={({ field }) => <Choice label="Its air is" value={field.value} choices={DAMP} onChange={field.onChange} />}
        />
        <Controller
          control={control}
          name="air"
          render={({ field }) => <Choice label="It has" value={field.value} choices={AIR} onChange={field.onChange} />}
        />
        <label>
          <span className="block">By night, °C</span>
          <input
            className="field"
            inputMode="decimal"
            placeholder="as by day"
            aria-invalid={formState.errors.nightTemperature !== undefined}
            {...register("nightTemperature")}
          />
        </label>
        <Controller
          control={control}
          name="nightDamp"
          render={({ field }) => <Choice label="Its air by night is" value={field.value} choices={NIGHT_DAMP} onChange={field.onChange} />}
        />
        <p>
          <button type="submit" className="button">
            <Plus aria-hidden size={18} /> Add the room
          </button>
        </p>
        {wrong && (
          <p role="alert" className="self-center font-semibold text-stop">
            {wrong}
          </p>
        )}
      </form>
    </>
  );
}
