import type { Change } from "#core/coating/model/change";
import { USUAL_FORMS } from "#core/piece/form";
import type { Form, FormKind } from "#core/piece/form";
import type { LengthUnit } from "#core/units/length";
import { Chips, Choice, Part } from "~/components/fields";
import { MeasuredDrawing } from "~/components/shape/measured-drawing";
import { useAppContext } from "~/components/app-context";
import { MOST_OF_ONE } from "#core/piece/piece";
import { useTyped } from "~/components/use-typed";
import { set, valueTaken } from "./fact-props";
import type { FactProps } from "./fact-props";

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

/** How many of it there are; any number. */
function Count({ count, put }: { count: number; put: (count: number) => void }) {
  const field = useTyped<number>({
    value: count,
    text: String,
    read: (text) => {
      const number = /^\d+$/.test(text.trim()) ? Number(text) : NaN;
      return number >= 1 && number <= MOST_OF_ONE ? { value: number } : { wrong: `a whole number from 1 to ${MOST_OF_ONE}` };
    },
    save: put,
  });
  return (
    <label data-fact="count">
      <span className="block">How many</span>
      <input
        className="field"
        inputMode="numeric"
        autoComplete="off"
        value={field.text}
        aria-invalid={field.wrong !== null}
        onFocus={field.begin}
        onChange={(event) => field.type(event.target.value)}
        onBlur={field.leave}
      />
      {field.wrong !== null && (
        <span role="alert" className="text-stop">
          {field.wrong}
        </span>
      )}
    </label>
  );
}

/** Its shape, its size, how many of it. */
export function ShapeFacts({ record, menu, assumed, save, lit, light }: FactProps) {
  const { settings, saveSettings } = useAppContext();
  const { piece } = record;
  const objectId = piece.object ?? String(valueTaken(assumed, "object") ?? "other");
  const object = menu.objects.find((one) => one.id === objectId);
  const body = menu.materials.find((one) => one.id === piece.material);
  const kinds = (Object.keys(FORM_NAMES) as FormKind[]).filter((kind) => object?.forms.includes(kind) || kind === piece.form.kind);
  const lipMm = Math.max(0, ...piece.uses.map((use) => menu.uses.find((one) => one.id === use)?.lipMm ?? 0));
  const change = (...changes: Change[]) => save(changes);
  const base = piece.decoration?.baseColour ?? null;
  return (
    <Part title="Shape and size">
      <MeasuredDrawing
        record={record}
        unit={settings.units}
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
          value={settings.units}
          choices={[
            { id: "mm", name: "mm" },
            { id: "in", name: "inches" },
          ]}
          onChange={(units) => saveSettings({ units: units as LengthUnit })}
        />
        <Count count={piece.count ?? 1} put={(count) => save([set("count", count)], { typed: true })} />
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
