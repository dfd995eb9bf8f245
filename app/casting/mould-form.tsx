import { useState } from "react";
import { mouldId } from "#core/catalogue/ids";
import { capacityOf, TRAP_KINDS, TRAPS } from "#core/casting/mould";
import type { Mould, TrapKind } from "#core/casting/mould";
import { MOULD_BOUNDS } from "#core/formats/stores/moulds";
import { FORM_MEASURES, LEAST_LENGTH_MM, MAX_LENGTH_MM, measureFault, USUAL_FORMS } from "#core/piece/form";
import type { Form, FormKind } from "#core/piece/form";
import { fromMm, toMm, typedLength } from "#core/units/length";
import { fromG, toG } from "#core/units/mass";
import { useDraft } from "~/components/use-draft";
import { useAppContext } from "~/components/app-context";
import { Chips, Choice, Tick } from "~/components/fields";
import { FORM_NAMES, MEASURE_NAMES } from "~/components/form-words";
import { NumberField } from "~/components/number-field";
import { freshId } from "~/store/fresh-id";
import type { KeptMould } from "./casting-asks";
import { PART_WORDS, weightUnit } from "./casting-words";
import { KeepOrLeave } from "./keep-or-leave";

/** Shapes moulds are made in. */
const KINDS = (Object.keys(FORM_NAMES) as FormKind[]).filter((kind) => kind !== "custom");
const SIZES: Partial<Readonly<Record<FormKind, Form>>> = {
  disc: { kind: "disc", diameterMm: 100, thicknessMm: 12 },
  box: { kind: "box", lengthMm: 100, widthMm: 80, heightMm: 50 },
};

export const NEW_MOULD: Omit<KeptMould, "id"> = { name: "", form: SIZES.disc!, count: 1 };

const rounded = (value: number) => Math.round(value * 100) / 100;

/** A mould, new or as it is kept: what comes out of it, what it holds, and where air stays in it. */
export function MouldForm({ mould, keep, leave }: { mould: KeptMould | null; keep: (mould: KeptMould, seen: KeptMould | null) => void; leave: () => void }) {
  const { settings } = useAppContext();
  const unit = settings.units;
  const weight = weightUnit(unit);
  // What another tab makes of it meanwhile is not what was seen here.
  const [{ seen, said }, sayAll] = useDraft<{ readonly seen: KeptMould | null; readonly said: Omit<KeptMould, "id"> }>("mould.said", {
    seen: mould,
    said: mould ?? NEW_MOULD,
  });
  const say = (next: (before: Omit<KeptMould, "id">) => Omit<KeptMould, "id">) => sayAll((all) => ({ ...all, said: next(all.said) }));
  const [tried, tryIt] = useState(false);
  const set = (change: Partial<Omit<KeptMould, "id">>) => say((before) => ({ ...before, ...change }));
  const { form, waterG } = said;
  const sizes = form as unknown as Readonly<Record<string, number>>;
  const capacity = capacityOf(said);
  const nameless = said.name.trim() === "";
  const bounds = { least: rounded(fromMm(LEAST_LENGTH_MM, unit)), most: rounded(fromMm(MAX_LENGTH_MM, unit)) };
  return (
    <form
      className="sheet grid gap-3 p-4"
      noValidate
      aria-label={mould ? `The mould ${mould.name}` : "A new mould"}
      onSubmit={(event) => {
        event.preventDefault();
        tryIt(true);
        if (nameless || capacity === null) return;
        const { part, waterG: water, stiff, traps, ...rest } = said;
        const next = {
          ...rest,
          name: said.name.trim(),
          id: mould?.id ?? mouldId(freshId()),
          ...(part === undefined ? {} : { part }),
          ...(water === undefined ? {} : { waterG: water }),
          ...(stiff ? { stiff } : {}),
          ...(traps && traps.length > 0 ? { traps } : {}),
        };
        keep(next, seen);
      }}
    >
      <h3 className="text-xl">{mould ? "This mould" : "A new mould"}</h3>
      <label className="block">
        What comes out of it
        <input className="field" maxLength={80} value={said.name} placeholder="Table number" onChange={(event) => set({ name: event.target.value })} />
      </label>
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          label="Shape"
          value={form.kind}
          choices={KINDS.map((id) => ({ id, name: FORM_NAMES[id] }))}
          onChange={(kind) => set({ form: SIZES[kind as FormKind] ?? USUAL_FORMS[kind as FormKind] })}
        />
        <Choice
          label="It casts"
          value={said.part ?? ""}
          choices={Object.entries(PART_WORDS).map(([id, name]) => ({ id, name }))}
          onChange={(part) => say(({ part: _part, ...before }) => (part === "" ? before : { ...before, part: part as NonNullable<Mould["part"]> }))}
        />
        {(FORM_MEASURES[form.kind] as readonly string[]).map((name) => (
          <NumberField
            key={`${form.kind}-${name}`}
            label={MEASURE_NAMES[name] ?? name}
            unit={unit}
            value={Number(typedLength(sizes[name]!, unit))}
            bounds={bounds}
            save={(value) => {
              if (value === undefined) return;
              const mm = rounded(toMm(value, unit));
              if (measureFault(form, name, mm) === null) set({ form: { ...form, [name]: mm } as Form });
            }}
          />
        ))}
        <NumberField
          label="Holds, full of water"
          unit={weight}
          value={waterG === undefined ? undefined : rounded(fromG(waterG, weight))}
          typical={capacity?.by === "size" ? `about ${weight === "g" ? Math.round(capacity.ml) : Math.round(fromG(capacity.ml, weight) * 10) / 10}` : undefined}
          bounds={{ least: rounded(fromG(MOULD_BOUNDS.waterG.least, weight)), most: rounded(fromG(MOULD_BOUNDS.waterG.most, weight)) }}
          save={(value) => say(({ waterG: _water, ...before }) => (value === undefined ? before : { ...before, waterG: rounded(toG(value, weight)) }))}
        />
        <NumberField label="How many of it" value={said.count} bounds={MOULD_BOUNDS.count} whole save={(count) => count !== undefined && set({ count })} />
      </div>
      {capacity === null && (
        <p role={tried ? "alert" : undefined} className={tried ? "text-stop" : "text-soft"}>
          Of this shape the size does not tell what it holds: fill it with water and weigh it.
        </p>
      )}
      <p className="-mb-2">Where air stays in it</p>
      <Chips
        label="Where air stays in it"
        choices={TRAP_KINDS.map((id) => ({ id, name: TRAPS[id].name }))}
        chosen={said.traps ?? []}
        onChange={(ids) => set({ traps: ids as readonly TrapKind[] })}
      />
      <Tick
        name="new and stiff"
        on={said.stiff === true}
        onChange={(on) => say(({ stiff: _stiff, ...before }) => (on ? { ...before, stiff: true } : before))}
      />
      <KeepOrLeave keep={mould ? "Keep it so" : "Keep this mould"} nameless={tried && nameless} leave={leave} />
    </form>
  );
}
