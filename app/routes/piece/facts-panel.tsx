import { useState } from "react";
import type { Change } from "#core/coating/change";
import type { Assumption } from "#core/piece/piece";
import type { PieceRecord } from "#core/formats/records";
import type { Menu } from "#core/catalogue/menu";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { USUAL_FORMS } from "#core/piece/form";
import type { Form, FormKind } from "#core/piece/form";
import type { LengthUnit } from "#core/units/length";
import { Chips, Choice, Colour, focusFact, Part } from "~/components/fields";
import { MeasuredDrawing } from "~/components/shape/measured-drawing";
import type { SaveChanges } from "~/components/shape/measured-drawing";
import { useWorkshop } from "~/components/workshop";

const set = (path: string, value: unknown): Change => ({ op: "setPiece", path, value });
const YOU_CHOOSE = "you choose";
const COUNTS = [1, 2, 3, 4, 6, 8, 10, 12, 20, 30, 40];
const USUAL_BASE = "#2f4a5a";

const FORM_NAMES: Record<FormKind, string> = {
  pebble: "Pebble",
  dome: "Domed",
  disc: "Flat and round",
  frustum: "Tapered",
  cylinder: "Straight-sided",
  box: "Box-shaped",
  plate: "Plate",
  goblet: "Bowl on a stem",
  custom: "Measured with foil",
};

const PART_WORDS: Readonly<Record<string, string>> = { numerals: "With numerals to glue on", works: "With clock works", stem: "Glued on a pedestal" };

const USUAL_ROOMS = [
  { id: "usual", name: "An ordinary room (21 °C)", room: { temperatureC: 21, relativeHumidity: 0.55 } },
  { id: "cool", name: "A cool back room (16 °C, damp)", room: { temperatureC: 16, relativeHumidity: 0.65 } },
  { id: "cold", name: "A cold shed (11 °C, damp)", room: { temperatureC: 11, relativeHumidity: 0.75 } },
  { id: "warm", name: "A warm, dry room (24 °C)", room: { temperatureC: 24, relativeHumidity: 0.4 } },
] as const;

interface Props {
  readonly record: PieceRecord;
  readonly menu: Menu;
  readonly assumed: readonly Assumption[];
  readonly save: SaveChanges;
  readonly lit: ZoneId | null;
  readonly light: (zone: ZoneId | null) => void;
}

function valueTaken(assumed: readonly Assumption[], path: string): unknown {
  return assumed.find((one) => one.path === path)?.value;
}

function Shape({ record, menu, assumed, save, lit, light }: Props) {
  const { settings } = useWorkshop();
  const { piece } = record;
  const objectId = piece.object ?? String(valueTaken(assumed, "object") ?? "other");
  const object = menu.objects.find((one) => one.id === objectId);
  const body = menu.materials.find((one) => one.id === piece.material);
  const kinds = (Object.keys(FORM_NAMES) as FormKind[]).filter((kind) => object?.forms.includes(kind) || kind === piece.form.kind);
  const lipMm = Math.max(0, ...piece.uses.map((use) => menu.uses.find((one) => one.id === use)?.lipMm ?? 0));
  const change = (...changes: Change[]) => save(changes, record);
  const base = piece.decoration?.baseColour ?? null;
  const [own, setOwn] = useState<LengthUnit | null>(null);
  const unit = own ?? settings.units;
  const setUnits = async (units: LengthUnit) => {
    setOwn(units);
    const [{ notebook }, { saveSettings }] = await Promise.all([import("~/store/open.client"), import("~/store/preferences")]);
    await saveSettings(await notebook(), { units });
  };
  return (
    <Part title="Shape and size">
      <MeasuredDrawing
        record={record}
        unit={unit}
        change={save}
        body={{ colour: body?.colour ?? "#999999", texture: body?.texture ?? "dense" }}
        lipMm={lipMm}
        zoneOf={new Map(object?.zones.map(({ zone, surface }) => [surface, zone]))}
        base={base}
        lit={lit}
        light={light}
      />
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Choice label="It is a" fact="object" value={objectId} choices={menu.objects} onChange={(id) => change(set("object", id))} />
        <Choice
          label="Shape"
          value={piece.form.kind}
          choices={kinds.map((kind) => ({ id: kind, name: FORM_NAMES[kind] }))}
          onChange={(kind) => change(set("form", USUAL_FORMS[kind as FormKind] satisfies Form))}
        />
        <Choice
          label="Unit"
          value={unit}
          choices={[
            { id: "mm", name: "mm" },
            { id: "in", name: "inches" },
          ]}
          onChange={(units) => void setUnits(units as LengthUnit)}
        />
        <Choice
          label="How many"
          fact="count"
          value={String(piece.count ?? 1)}
          choices={[...COUNTS, ...(piece.count && !COUNTS.includes(piece.count) ? [piece.count] : [])].map((n) => ({ id: String(n), name: String(n) }))}
          onChange={(id) => change(set("count", Number(id)))}
        />
      </div>
      {object && object.parts.length > 0 && (
        <div className="mt-2">
          <Chips
            label="It has"
            choices={object.parts.map((part) => ({ id: part, name: PART_WORDS[part] ?? `With a ${part}` }))}
            chosen={piece.parts ?? []}
            onChange={(parts) => change(set("parts", parts))}
          />
        </div>
      )}
    </Part>
  );
}

function Decoration({ record, menu, assumed, save }: Props) {
  const { piece } = record;
  const decoration = piece.decoration ?? {};
  const base =
    decoration.baseColour !== undefined ? decoration.baseColour : ((valueTaken(assumed, "decoration.baseColour") as string | null | undefined) ?? null);
  const colours = decoration.colours ?? (valueTaken(assumed, "decoration.colours") as readonly string[] | undefined) ?? [];
  const media = menu.products.filter((one) => one.jobs.includes("decorate"));
  const change = (...changes: Change[]) => save(changes, record);
  const recoloured = (index: number, hex: string) => colours.map((old, at) => (at === index ? hex : old));
  return (
    <Part title="Colour and decoration">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="chip" data-fact="decoration.baseColour">
          <input
            type="checkbox"
            className="accent-ready"
            checked={base !== null}
            onChange={() => change(set("decoration.baseColour", base === null ? USUAL_BASE : null))}
          />
          Base colour all over
        </label>
        {base !== null && <Colour label="Base" value={base} onChange={(hex) => change(set("decoration.baseColour", hex))} />}
        {colours.map((colour, index) => (
          <Colour
            key={index}
            fact={index === 0 ? "decoration.colours" : undefined!}
            label={colours.length > 1 ? `Marks ${index + 1}` : "Marks"}
            value={colour}
            onChange={(hex) => change(set("decoration.colours", recoloured(index, hex)))}
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
          fact="finish"
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
  );
}

function Place({ record, menu, save }: Props) {
  const { rooms } = useWorkshop();
  const { piece } = record;
  const here = { temperatureC: piece.room?.temperatureC ?? 21, relativeHumidity: piece.room?.relativeHumidity ?? 0.55 };
  const known = [...rooms.map((one) => ({ id: one.id as string, name: one.name, room: one.room })), ...USUAL_ROOMS];
  const own = { id: "own", name: `Your room (${here.temperatureC} °C)`, room: here };
  const matches = (room: { readonly temperatureC: number; readonly relativeHumidity: number }) =>
    room.temperatureC === here.temperatureC && room.relativeHumidity === here.relativeHumidity;
  const chosen = known.find((one) => matches(one.room));
  const change = (...changes: Change[]) => save(changes, record);
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

/** What she has not said, and what is taken instead; each leads to where it is said. */
function Taken({ assumed }: { assumed: readonly Assumption[] }) {
  if (assumed.length === 0) return null;
  return (
    <Part title="Taken as usual">
      <ul className="grid gap-1">
        {assumed.map((one) => (
          <li key={one.path}>
            <button
              type="button"
              className="min-h-[32px] text-left underline decoration-dotted underline-offset-4"
              onClick={() =>
                focusFact(one.path === "room.relativeHumidity" ? "room.temperatureC" : one.path === "constraints.kiln" ? "constraints.oven" : one.path)
              }
            >
              {one.text}
            </button>
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** Everything that sharpens a plan. Nothing here is required: what is left open is assumed, and the list says so. */
export function FactsPanel(props: Props) {
  const { record, menu, assumed, save } = props;
  const { piece } = record;
  const material = menu.materials.find((one) => one.id === piece.material);
  const change = (...changes: Change[]) => save(changes, record);
  return (
    <div className="grid gap-4">
      <Shape {...props} />
      <Part title="How does it look now?">
        <Chips
          label="Condition"
          fact="conditions"
          choices={menu.conditions.filter((one) => material?.asks.includes(one.id) || piece.conditions?.includes(one.id as never))}
          chosen={piece.conditions ?? []}
          onChange={(conditions) => change(set("conditions", conditions))}
        />
      </Part>
      <Part title="What is it for?">
        <Chips label="Uses" choices={menu.uses} chosen={piece.uses} least={1} onChange={(uses) => change(set("uses", uses))} />
      </Part>
      <Decoration {...props} />
      <Place {...props} />
      <Taken assumed={assumed} />
    </div>
  );
}
