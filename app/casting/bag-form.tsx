import { useState } from "react";
import { compoundId } from "#core/catalogue/ids";
import { sayStanding } from "#core/catalogue/provenance";
import { LABEL_BOUNDS, POWDERS } from "#core/casting/compound";
import type { PowderKind, PowderLabel } from "#core/casting/compound";
import { RESIN_BOUNDS, TYPICAL_RESIN } from "#core/casting/resin";
import type { ResinLabel } from "#core/casting/resin";
import { COMPOUND_BOUNDS } from "#core/formats/stores/compounds";
import { useDraft } from "~/components/use-draft";
import { useAppContext } from "~/components/app-context";
import { Choice } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { freshId } from "~/store/fresh-id";
import type { KeptCompound } from "./casting-asks";
import { COMPOUND_KIND_WORDS, weightUnit } from "./casting-words";
import { KeepOrLeave } from "./keep-or-leave";
import { MassField } from "./mass-field";

const LABEL_WORDS: Readonly<Record<keyof PowderLabel, { readonly label: string; readonly unit: string }>> = {
  waterPer100: { label: "Water to 100 of powder", unit: "g" },
  openMin: { label: "Can be poured for", unit: "min" },
  setMin: { label: "Has set after", unit: "min" },
  densityGPerMl: { label: "Density of the powder", unit: "g/cm³" },
};

function PowderFields({ kind, label, set }: { kind: PowderKind; label: PowderLabel; set: (label: PowderLabel) => void }) {
  return (Object.keys(LABEL_WORDS) as (keyof PowderLabel)[]).map((field) => {
    const { value, provenance } = POWDERS[kind].typical[field];
    return (
      <NumberField
        key={`${kind}-${field}`}
        {...LABEL_WORDS[field]}
        value={label[field]}
        typical={`${value}${provenance.kind === "memory" ? ", typical" : ""}`}
        bounds={LABEL_BOUNDS[field]}
        save={(next) => {
          const { [field]: _before, ...rest } = label;
          set(next === undefined ? rest : { ...rest, [field]: next });
        }}
      />
    );
  });
}

/** The label of a two-part resin. */
export function ResinFields({ resin, set }: { resin: ResinLabel; set: (resin: ResinLabel) => void }) {
  const number = (
    field: Exclude<keyof ResinLabel, "by">,
    label: string,
    unit: string | undefined,
    bounds: { readonly least: number; readonly most: number },
  ) => (
    <NumberField
      key={field}
      label={label}
      {...(unit === undefined ? {} : { unit })}
      value={resin[field]}
      bounds={bounds}
      save={(next) => next !== undefined && set({ ...resin, [field]: next })}
    />
  );
  return (
    <>
      {number("hardenerPer100", "Hardener to 100 of resin", undefined, RESIN_BOUNDS.hardenerPer100)}
      <Choice
        label="Those parts are"
        value={resin.by}
        choices={[
          { id: "weight", name: "by weight" },
          { id: "volume", name: "by volume" },
        ]}
        onChange={(by) => set({ ...resin, by: by as ResinLabel["by"] })}
      />
      {number("resinGPerMl", "Density of the resin", "g/ml", RESIN_BOUNDS.density)}
      {number("hardenerGPerMl", "Density of the hardener", "g/ml", RESIN_BOUNDS.density)}
      {number("potMin", "Stays fluid in the cup", "min", RESIN_BOUNDS.potMin)}
      {number("potG", "with so much in it", "g", RESIN_BOUNDS.potG)}
      {number("potC", "at", "°C", RESIN_BOUNDS.potC)}
    </>
  );
}

type Said = Pick<KeptCompound, "name" | "bagG" | "paid" | "left"> & {
  readonly kind: KeptCompound["kind"];
  readonly label: PowderLabel;
  readonly resin: ResinLabel;
};

const said = (of: KeptCompound | null, kind: KeptCompound["kind"]): Said => ({
  name: of?.name ?? "",
  kind: of?.kind ?? kind,
  label: of && of.kind !== "resin" ? of.label : {},
  resin: of?.kind === "resin" ? of.resin : TYPICAL_RESIN,
  ...(of?.bagG === undefined ? {} : { bagG: of.bagG }),
  ...(of?.paid === undefined ? {} : { paid: of.paid }),
  ...(of?.left === undefined ? {} : { left: of.left }),
});

interface Props {
  readonly compound: KeptCompound | null;
  readonly kind?: KeptCompound["kind"];
  /** What is left in it by now, g. */
  readonly leftG: number | null;
  readonly keep: (compound: KeptCompound, seen: KeptCompound | null) => void;
  readonly leave: () => void;
}

/** A bag of powder or a kit of resin, new or as it is kept: what its label says, and what is left in it. */
export function BagForm({ compound, kind = "gypsum", leftG, keep, leave }: Props) {
  const unit = weightUnit(useAppContext().settings.units);
  // What another tab makes of it meanwhile is not what was seen here.
  const [{ seen, now, seenG }, sayAll] = useDraft("bag.said", () => ({ seen: { compound, leftG }, now: said(compound, kind), seenG: leftG ?? undefined }));
  const say = (next: (before: Said) => Said) => sayAll((all) => ({ ...all, now: next(all.now) }));
  const see = (g: number | undefined) => sayAll((all) => ({ ...all, seenG: g }));
  const [tried, tryIt] = useState(false);
  const nameless = now.name.trim() === "";
  const set = (change: Partial<Said>) => say((before) => ({ ...before, ...change }));
  const drop = (field: "bagG" | "paid") => say(({ [field]: _gone, ...rest }) => rest as Said);
  return (
    <form
      className="sheet grid gap-3 p-4"
      noValidate
      aria-label={compound ? compound.name : "A new bag"}
      onSubmit={(event) => {
        event.preventDefault();
        tryIt(true);
        if (nameless) return;
        const { label, resin, kind: of, left: _left, ...rest } = now;
        const g = seenG ?? now.bagG;
        // What is left is said anew only where it was looked at anew: from then on pours are taken off it.
        const left = g === undefined ? undefined : seen.compound?.left && g === seen.leftG ? seen.compound.left : { g, at: new Date().toISOString() };
        const common = { ...rest, name: now.name.trim(), id: compound?.id ?? compoundId(freshId()), ...(left ? { left } : {}) };
        keep(of === "resin" ? { ...common, kind: of, resin } : { ...common, kind: of, label }, seen.compound);
      }}
    >
      <h3 className="text-xl">{compound ? compound.name : "A new bag or kit"}</h3>
      <div className="grid gap-3 sm:grid-cols-2">
        <label className="block">
          What it is called
          <input
            className="field"
            maxLength={80}
            value={now.name}
            placeholder="Casting gypsum, 10 lb"
            onChange={(event) => set({ name: event.target.value })}
          />
        </label>
        <Choice
          label="Kind"
          value={now.kind}
          choices={Object.entries(COMPOUND_KIND_WORDS).map(([id, name]) => ({ id, name }))}
          onChange={(id) => set({ kind: id as Said["kind"] })}
        />
        <MassField
          label={now.kind === "resin" ? "Both parts together, full" : "A full bag"}
          g={now.bagG}
          unit={unit}
          bounds={COMPOUND_BOUNDS.bagG}
          save={(g) => (g === undefined ? drop("bagG") : set({ bagG: g }))}
        />
        <MassField
          label="Left in it"
          g={seenG}
          unit={unit}
          bounds={COMPOUND_BOUNDS.leftG}
          typical={now.bagG === undefined ? undefined : "all of it"}
          save={see}
        />
        <NumberField label="Paid for it" value={now.paid} bounds={COMPOUND_BOUNDS.paid} save={(paid) => (paid === undefined ? drop("paid") : set({ paid }))} />
        {now.kind === "resin" ? (
          <ResinFields resin={now.resin} set={(resin) => set({ resin })} />
        ) : (
          <PowderFields kind={now.kind} label={now.label} set={(label) => set({ label })} />
        )}
      </div>
      <p className="text-soft">Left empty, the typical value counts ({sayStanding({ kind: "memory" })}).</p>
      <KeepOrLeave keep={compound ? "Keep it so" : "Put it on the shelf"} nameless={tried && nameless} leave={leave} />
    </form>
  );
}
