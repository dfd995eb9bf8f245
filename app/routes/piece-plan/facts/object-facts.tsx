import { USUAL_FORMS } from "#core/piece/form";
import type { Form, FormKind } from "#core/piece/form";
import { MOST_OF_ONE } from "#core/piece/piece";
import type { LengthUnit } from "#core/units/length";
import { useAppContext } from "~/components/app-context";
import { Chips, Radios } from "~/components/fields";
import { FORM_NAMES } from "~/components/form-words";
import { TypedBox } from "~/components/typed-box";
import { useTyped } from "~/components/use-typed";
import { UNIT_CHOICES } from "~/components/words";
import { FoilMeasure } from "./foil-measure";
import { objectOf, set } from "./fact-props";
import type { FactProps } from "./fact-props";

const PART_WORDS: Readonly<Record<string, string>> = { numerals: "With numerals to glue on", works: "With clock works", stem: "Glued on a pedestal" };

/** What it is made of: it can turn out to be something else than was thought. */
export function MaterialFact({ record, menu, save }: FactProps) {
  return (
    <Radios legend="It is made of" unseen value={record.piece.material} choices={menu.materials} onChange={(material) => save([set("material", material)])} />
  );
}

/** What it is, its shape, its loose parts, and what it is measured in. */
export function ObjectFact({ record, menu, assumed, save }: FactProps) {
  const { settings, saveSettings } = useAppContext();
  const { piece } = record;
  const id = objectOf(piece, assumed);
  const object = menu.objects.find((one) => one.id === id);
  const kinds = (Object.keys(FORM_NAMES) as FormKind[]).filter((kind) => object?.forms.includes(kind) || kind === piece.form.kind);
  return (
    <div className="grid gap-3">
      <Radios legend="It is a" value={id} choices={menu.objects} onChange={(chosen) => save([set("object", chosen)])} />
      <Radios
        legend="Shape"
        value={piece.form.kind}
        choices={kinds.map((kind) => ({ id: kind, name: FORM_NAMES[kind] }))}
        onChange={(kind) => save([set("form", USUAL_FORMS[kind as FormKind] satisfies Form)])}
      />
      {piece.form.kind === "custom" && <FoilMeasure save={(areaMm2) => save([set("form", { kind: "custom", areaMm2 } satisfies Form)], { typed: true })} />}
      {object && object.parts.length > 0 && (
        <Chips
          label="It has"
          choices={object.parts.map((part) => ({ id: part, name: PART_WORDS[part] ?? `With a ${part}` }))}
          chosen={piece.parts ?? []}
          onChange={(parts) => save([set("parts", parts)])}
        />
      )}
      <Radios legend="Measured in" value={settings.units} choices={UNIT_CHOICES} onChange={(units) => saveSettings({ units: units as LengthUnit })} />
    </div>
  );
}

/** How many of it there are; any number. */
export function CountFact({ record, save }: FactProps) {
  const field = useTyped<number>({
    value: record.piece.count ?? 1,
    text: String,
    read: (text) => {
      const number = /^\d+$/.test(text.trim()) ? Number(text) : NaN;
      return number >= 1 && number <= MOST_OF_ONE ? { value: number } : { wrong: `a whole number from 1 to ${MOST_OF_ONE}` };
    },
    save: (count) => save([set("count", count)], { typed: true }),
  });
  return <TypedBox field={field} label="How many" inputMode="numeric" />;
}

/** How it looks now; what its material is prone to comes first. */
export function ConditionFact({ record, menu, save }: FactProps) {
  const { piece } = record;
  const asks = menu.materials.find((one) => one.id === piece.material)?.asks ?? [];
  const rank = (id: string) => (asks.includes(id) ? asks.indexOf(id) : asks.length);
  return (
    <div className="grid gap-3">
      <Chips
        label="Condition"
        choices={[...menu.conditions].sort((a, b) => rank(a.id) - rank(b.id))}
        chosen={piece.conditions ?? []}
        onChange={(conditions) => save([set("conditions", conditions)])}
      />
      {piece.conditions === undefined && (
        <button type="button" className="button justify-self-start" onClick={() => save([set("conditions", [])])}>
          It is clean and sound
        </button>
      )}
    </div>
  );
}

export function UseFact({ record, menu, save }: FactProps) {
  return <Chips label="Uses" choices={menu.uses} chosen={record.piece.uses} least={1} onChange={(uses) => save([set("uses", uses)])} />;
}
