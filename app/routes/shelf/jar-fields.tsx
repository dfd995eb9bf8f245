import type { Jar, JarLabel, Opacity } from "#core/catalogue/jar";
import { productId } from "#core/catalogue/ids";
import type { Sheen } from "#core/catalogue/vocabulary";
import type { ProductClass } from "#core/catalogue/product-class";
import { isDay } from "#core/formats/hours-schema";
import { JAR_BOUNDS } from "#core/formats/stores/shelf";
import { put, putLine } from "#core/shelf/jar-change";
import type { JarChange } from "#core/shelf/jar-change";
import { comesInColours } from "#core/shelf/jar-from-words";
import { Choice } from "~/components/fields";
import { TypedBox } from "~/components/typed-box";
import { useTyped } from "~/components/use-typed";
import { KINDS, kindOf, OPACITY_CHOICES, SHEEN_CHOICES, sizeOf } from "~/shelf/shelf-view";
import { Amount } from "./amount";
import { ColourField } from "~/components/colour-field";
import { NumberField } from "~/components/number-field";

/** @param was what it comes instead of, as the user knew it when they began to type */
export type ChangeFields = (change: JarChange, about?: string, was?: JarChange) => void;

interface Props {
  readonly jar: Jar;
  readonly leftMl: number | undefined;
  readonly shelf: readonly Jar[];
  readonly change: ChangeFields;
  /** What it is called where nothing is said. */
  readonly usualName?: string;
}

const NOT_SAID = { id: "", name: "not said" };
const YES_NO = [NOT_SAID, { id: "yes", name: "yes" }, { id: "no", name: "no" }];

/** What stands softly in a field of the label: the typical value of the kind. */
function typicalOf(kind: ProductClass | null) {
  const span = (minutes: number | undefined) => (minutes === undefined ? undefined : `${Math.round(minutes)}, typical`);
  const number = (value: number | null | undefined) => (value === null || value === undefined ? undefined : `${Math.round(value * 10) / 10}, typical`);
  const wet = kind?.film.wetMicrons ?? null;
  return {
    touchMin: span(kind?.drying.touch.typical),
    recoatMin: span(kind?.drying.recoat?.typical),
    minC: number(kind?.drying.minC),
    coats: number(kind?.coats),
    thinnerPercent: kind?.carrier === "water" ? number(kind.maxWaterPercent.thirsty) : undefined,
    spreadM2PerL: wet === null ? undefined : number(1000 / wet),
  };
}

/** One line of a label that is a number. */
function Line({
  field,
  label,
  unit,
  jar,
  typical,
  change,
  whole = false,
}: {
  field: "touchMin" | "recoatMin" | "minC" | "maxC" | "coats" | "thinnerPercent" | "spreadM2PerL";
  label: string;
  unit: string;
  jar: Jar;
  typical?: string | undefined;
  change: ChangeFields;
  whole?: boolean;
}) {
  return (
    <NumberField
      label={label}
      unit={unit}
      value={jar.label[field]}
      typical={typical}
      bounds={JAR_BOUNDS[field]}
      whole={whole}
      save={(value, before) => change(putLine(field, value), field, putLine(field, before))}
    />
  );
}

function YesNo({
  label,
  value,
  typical,
  save,
}: {
  label: string;
  value: boolean | undefined;
  typical: boolean | undefined;
  save: (value: boolean | undefined) => void;
}) {
  const choices = typical === undefined ? YES_NO : [{ id: "", name: `not said (${typical ? "yes" : "no"}, typical)` }, ...YES_NO.slice(1)];
  return (
    <Choice
      label={label}
      value={value === undefined ? "" : value ? "yes" : "no"}
      choices={choices}
      onChange={(id) => save(id === "" ? undefined : id === "yes")}
    />
  );
}

/** How the label says it is baked: both figures, or not at all. */
function Bake({ jar, kind, change }: { jar: Jar; kind: ProductClass | null; change: ChangeFields }) {
  const { bake } = jar.label;
  const typical = kind?.bakeable;
  const set = (next: JarLabel["bake"] | undefined) => change(putLine("bake", next), "bake");
  const usual = { atC: typical?.lowerC ?? 160, holdMin: typical?.holdMin ?? 30 };
  return (
    <>
      <YesNo
        label="It may be baked"
        value={bake === undefined ? undefined : bake !== null}
        typical={typical !== null && typical !== undefined}
        save={(yes) => set(yes === undefined ? undefined : yes ? usual : null)}
      />
      {bake && (
        <>
          <NumberField label="Bake at" unit="°C" value={bake.atC} bounds={JAR_BOUNDS.bakeC} save={(atC) => atC !== undefined && set({ ...bake, atC })} />
          <NumberField
            label="for"
            unit="min"
            value={bake.holdMin}
            bounds={JAR_BOUNDS.bakeMin}
            save={(holdMin) => holdMin !== undefined && set({ ...bake, holdMin })}
          />
        </>
      )}
    </>
  );
}

/** Its name, saved while it is typed. */
function NameField({ jar, usualName, change }: Pick<Props, "jar" | "usualName" | "change">) {
  const field = useTyped<string>({
    value: jar.name,
    text: (name) => name,
    read: (text) => {
      const name = text.trim();
      return name === "" && usualName === undefined ? { wrong: "a jar needs a name" } : { value: name };
    },
    save: (name, before) => change(put("name", name), "name", put("name", before)),
  });
  return (
    <TypedBox
      field={field}
      label="What you call it"
      className="field placeholder:text-soft placeholder:italic"
      maxLength={JAR_BOUNDS.name}
      placeholder={usualName}
    />
  );
}

/** A day; half typed it says nothing. */
function OpenedOn({ jar, change }: Pick<Props, "jar" | "change">) {
  const field = useTyped<string>({
    value: jar.openedOn ?? "",
    text: (day) => day,
    read: (text) => (text === "" || isDay(text) ? { value: text } : { wrong: "not a day yet" }),
    save: (day, before) => change(put("openedOn", day === "" ? undefined : day), "openedOn", put("openedOn", before === "" ? undefined : before)),
  });
  return <TypedBox field={field} label="Opened on" type="date" />;
}

/** All that may be said of a jar; what its label leaves out stands as is typical of its kind, softly. */
export function JarFields({ jar, leftMl, shelf, change, usualName }: Props) {
  const kind = kindOf(jar);
  const typical = typicalOf(kind);
  const size = sizeOf(jar);
  return (
    <div className="grid gap-4">
      <div className="grid gap-2 sm:grid-cols-2">
        <NameField jar={jar} change={change} {...(usualName === undefined ? {} : { usualName })} />
        <Choice
          label="Kind of paint"
          value={jar.classId}
          choices={KINDS.map(({ id, name }) => ({ id, name }))}
          onChange={(id) => change({ set: { classId: productId(id) } })}
        />
      </div>
      {(kind === null || comesInColours(kind) || jar.colour !== undefined) && (
        <ColourField colour={jar.colour} change={(hex) => change(put("colour", hex), "colour")} />
      )}
      <div className="grid gap-2 sm:grid-cols-3">
        <NumberField
          label="Size when full"
          unit="ml"
          value={jar.sizeMl}
          typical={`${size.ml}, typical`}
          bounds={JAR_BOUNDS.sizeMl}
          save={(sizeMl, before) => change(put("sizeMl", sizeMl), "sizeMl", put("sizeMl", before))}
        />
        <OpenedOn jar={jar} change={change} />
        <NumberField
          label="Paid for a full one"
          unit="your money"
          value={jar.paid}
          bounds={JAR_BOUNDS.paid}
          save={(paid, before) => change(put("paid", paid), "paid", put("paid", before))}
        />
      </div>
      <Amount jar={jar} leftMl={leftMl} shelf={shelf} change={change} />
      <details open={Object.keys(jar.label).length > 0}>
        <summary className="w-fit py-2 font-semibold underline">What its label says</summary>
        <p className="mb-2 text-soft">Copy only what stands on it. What you leave empty is worked with as is typical; what you copy wins everywhere.</p>
        <div className="grid gap-2 sm:grid-cols-3">
          <Choice
            label="Sheen"
            value={jar.label.sheen ?? ""}
            choices={[NOT_SAID, ...SHEEN_CHOICES]}
            onChange={(id) => change(putLine("sheen", id === "" ? undefined : (id as Sheen)))}
          />
          <Choice
            label="It covers"
            value={jar.label.opacity ?? ""}
            choices={[NOT_SAID, ...OPACITY_CHOICES]}
            onChange={(id) => change(putLine("opacity", id === "" ? undefined : (id as Opacity)))}
          />
          <Line field="coats" label="Coats" unit="at least" jar={jar} typical={typical.coats} change={change} whole />
          <Line field="touchMin" label="Touch dry after" unit="min" jar={jar} typical={typical.touchMin} change={change} />
          <Line field="recoatMin" label="Next coat after" unit="min" jar={jar} typical={typical.recoatMin} change={change} />
          <Line field="spreadM2PerL" label="Covers" unit="m² a litre" jar={jar} typical={typical.spreadM2PerL} change={change} />
          <Line field="minC" label="Not below" unit="°C" jar={jar} typical={typical.minC} change={change} />
          <Line field="maxC" label="Not above" unit="°C" jar={jar} change={change} />
          <Line field="thinnerPercent" label="Water at most" unit="%" jar={jar} typical={typical.thinnerPercent} change={change} />
          <YesNo label="For outdoors" value={jar.label.weatherproof} typical={kind?.weatherproof} save={(yes) => change(putLine("weatherproof", yes))} />
          <YesNo label="Says it is food safe" value={jar.label.foodClaim} typical={kind?.foodClaim} save={(yes) => change(putLine("foodClaim", yes))} />
          <Bake jar={jar} kind={kind} change={change} />
        </div>
      </details>
    </div>
  );
}
