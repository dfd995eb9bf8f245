import { useState } from "react";
import type { ReactNode } from "react";
import type { Change } from "#core/coating/change";
import type { Assumption } from "#core/piece/piece";
import type { PieceRecord } from "#core/formats/records";
import type { Menu } from "#core/catalogue/menu";
import { SizeFields } from "./size-fields";

type Save = (changes: readonly Change[], seen: PieceRecord) => void;

const set = (path: string, value: unknown): Change => ({ op: "setPiece", path, value });

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="border-t-2 border-line pt-3 first:border-t-0 first:pt-0">
      <h2 className="mb-2 text-lg">{title}</h2>
      {children}
    </section>
  );
}

function Chips({
  label,
  choices,
  chosen,
  onChange,
  least = 0,
}: {
  label: string;
  choices: readonly { readonly id: string; readonly name: string }[];
  chosen: readonly string[];
  onChange: (ids: readonly string[]) => void;
  least?: number;
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-2">
      {choices.map(({ id, name }) => {
        const on = chosen.includes(id);
        return (
          <label key={id} className="chip">
            <input
              type="checkbox"
              className="accent-ready"
              checked={on}
              disabled={on && chosen.length <= least}
              onChange={() => onChange(on ? chosen.filter((one) => one !== id) : [...chosen, id])}
            />
            {name}
          </label>
        );
      })}
    </div>
  );
}

function Choice({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: string;
  choices: readonly { readonly id: string; readonly name: string }[];
  onChange: (id: string) => void;
}) {
  return (
    <label className="block">
      <span className="block">{label}</span>
      <select className="field" value={value} onChange={(event) => onChange(event.target.value)}>
        {choices.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** A colour that is saved when the picker closes, so that dragging in it does not save a hundred times. */
function Colour({ label, value, onChange }: { label: string; value: string; onChange: (hex: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <label className="flex items-center gap-2">
      <input
        type="color"
        className="h-11 w-14 rounded border-2 border-line bg-sheet"
        value={draft ?? value}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => {
          if (draft && draft !== value) onChange(draft);
          setDraft(null);
        }}
      />
      {label}
    </label>
  );
}

const ROOMS = [
  { id: "usual", name: "An ordinary room (21 °C)", room: { temperatureC: 21, relativeHumidity: 0.55 } },
  { id: "cool", name: "A cool back room (16 °C, damp)", room: { temperatureC: 16, relativeHumidity: 0.65 } },
  { id: "cold", name: "A cold shed (11 °C, damp)", room: { temperatureC: 11, relativeHumidity: 0.75 } },
  { id: "warm", name: "A warm, dry room (24 °C)", room: { temperatureC: 24, relativeHumidity: 0.4 } },
] as const;

const YOU_CHOOSE = "you choose";

/** Everything that sharpens a plan. Nothing here is required: what is left open is assumed, and the list says so. */
export function FactsPanel({ record, menu, assumed, save }: { record: PieceRecord; menu: Menu; assumed: readonly Assumption[]; save: Save }) {
  const { piece } = record;
  const decoration = piece.decoration ?? {};
  const object = menu.objects.find((one) => one.id === piece.object);
  const material = menu.materials.find((one) => one.id === piece.material);
  const taken = (path: string) => assumed.find((one) => one.path === path)?.value;
  const base = decoration.baseColour !== undefined ? decoration.baseColour : ((taken("decoration.baseColour") as string | null | undefined) ?? null);
  const colours = decoration.colours ?? (taken("decoration.colours") as readonly string[] | undefined) ?? [];
  const room = { temperatureC: piece.room?.temperatureC ?? 21, relativeHumidity: piece.room?.relativeHumidity ?? 0.55 };
  const roomId = ROOMS.find((one) => one.room.temperatureC === room.temperatureC && one.room.relativeHumidity === room.relativeHumidity)?.id ?? "own";
  const change = (...changes: Change[]) => save(changes, record);
  const clears = menu.products.filter((one) => one.jobs.includes("seal"));
  const grounds = menu.products.filter((one) => one.jobs.includes("ground"));
  const media = menu.products.filter((one) => one.jobs.includes("decorate"));
  return (
    <div className="grid gap-4">
      <Part title="Size">
        <SizeFields record={record} forms={object?.forms ?? []} change={save} />
        <div className="mt-2 grid grid-cols-2 gap-2">
          <Choice
            label="It is a"
            value={piece.object ?? String(taken("object") ?? "other")}
            choices={menu.objects}
            onChange={(id) => change(set("object", id))}
          />
          <Choice
            label="How many"
            value={String(piece.count ?? 1)}
            choices={[
              1,
              2,
              3,
              4,
              6,
              8,
              10,
              12,
              20,
              30,
              40,
              ...(piece.count && ![1, 2, 3, 4, 6, 8, 10, 12, 20, 30, 40].includes(piece.count) ? [piece.count] : []),
            ].map((n) => ({ id: String(n), name: String(n) }))}
            onChange={(id) => change(set("count", Number(id)))}
          />
        </div>
        {object && object.parts.length > 0 && (
          <div className="mt-2">
            <Chips
              label="It has"
              choices={object.parts.map((part) => ({ id: part, name: `With a ${part}` }))}
              chosen={piece.parts ?? []}
              onChange={(parts) => change(set("parts", parts))}
            />
          </div>
        )}
      </Part>
      <Part title="How does it look now?">
        <Chips
          label="Condition"
          choices={menu.conditions.filter((one) => material?.asks.includes(one.id) || piece.conditions?.includes(one.id as never))}
          chosen={piece.conditions ?? []}
          onChange={(conditions) => change(set("conditions", conditions))}
        />
      </Part>
      <Part title="What is it for?">
        <Chips label="Uses" choices={menu.uses} chosen={piece.uses} least={1} onChange={(uses) => change(set("uses", uses))} />
      </Part>
      <Part title="Colour and decoration">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <label className="chip">
            <input
              type="checkbox"
              className="accent-ready"
              checked={base !== null}
              onChange={() => change(set("decoration.baseColour", base === null ? "#2f4a5a" : null))}
            />
            Base colour all over
          </label>
          {base !== null && <Colour label="Base" value={base} onChange={(hex) => change(set("decoration.baseColour", hex))} />}
          {colours.map((colour, index) => (
            <Colour
              key={index}
              label={colours.length > 1 ? `Marks ${index + 1}` : "Marks"}
              value={colour}
              onChange={(hex) =>
                change(
                  set(
                    "decoration.colours",
                    colours.map((old, at) => (at === index ? hex : old)),
                  ),
                )
              }
            />
          ))}
        </div>
        <div className="mt-2">
          <Chips
            label="Decoration"
            choices={menu.techniques}
            chosen={decoration.techniques ?? []}
            onChange={(techniques) => change(set("decoration.techniques", techniques))}
          />
        </div>
        <div className="mt-2 grid grid-cols-2 gap-2">
          <Choice
            label="Decorate with"
            value={decoration.media?.[0] ?? ""}
            choices={[{ id: "", name: YOU_CHOOSE }, ...media]}
            onChange={(id) => change(set("decoration.media", id === "" ? [] : [id]))}
          />
          <Choice
            label="Finish"
            value={piece.finish ?? "satin"}
            choices={[
              { id: "matte", name: "Matt" },
              { id: "satin", name: "Satin" },
              { id: "gloss", name: "Gloss" },
            ]}
            onChange={(id) => change(set("finish", id))}
          />
        </div>
      </Part>
      <Part title="Your room, your wishes">
        <div className="grid gap-2">
          <Choice
            label="Where you work"
            value={roomId}
            choices={
              roomId === "own"
                ? [...ROOMS, { id: "own", name: `Your room (${room.temperatureC} °C, ${Math.round(room.relativeHumidity * 100)} % damp)` }]
                : ROOMS
            }
            onChange={(id) => {
              const chosen = ROOMS.find((one) => one.id === id);
              if (chosen) change(set("room.temperatureC", chosen.room.temperatureC), set("room.relativeHumidity", chosen.room.relativeHumidity));
            }}
          />
          <Choice
            label="Air"
            value={piece.room?.airflow ?? "still"}
            choices={[
              { id: "still", name: "Still air" },
              { id: "drafty", name: "A draught" },
              { id: "fan", name: "A fan on it" },
            ]}
            onChange={(id) => change(set("room.airflow", id))}
          />
          <div className="grid grid-cols-2 gap-2">
            <Choice
              label="Ground"
              value={piece.wishes?.primer ?? ""}
              choices={[{ id: "", name: YOU_CHOOSE }, ...grounds]}
              onChange={(id) => change(set("wishes.primer", id === "" ? undefined : id))}
            />
            <Choice
              label="Sealer"
              value={piece.wishes?.sealer ?? ""}
              choices={[{ id: "", name: YOU_CHOOSE }, ...clears]}
              onChange={(id) => change(set("wishes.sealer", id === "" ? undefined : id))}
            />
          </div>
          <Chips
            label="Limits"
            choices={[
              { id: "oven", name: "No oven" },
              { id: "child", name: "Safe for a child to do" },
            ]}
            chosen={[...(piece.constraints?.oven === false ? ["oven"] : []), ...(piece.constraints?.childSafe ? ["child"] : [])]}
            onChange={(ids) => change(set("constraints.oven", !ids.includes("oven")), set("constraints.childSafe", ids.includes("child")))}
          />
        </div>
      </Part>
      {assumed.length > 0 && (
        <Part title="Taken as usual">
          <p className="text-soft">You have not said, so the plan takes: {assumed.map((one) => one.text).join("; ")}.</p>
        </Part>
      )}
    </div>
  );
}
