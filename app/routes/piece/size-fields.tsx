import { useId, useState } from "react";
import type { Change } from "#core/coating/change";
import { FORM_MEASURES, MAX_AREA_MM2, MAX_LENGTH_MM, USUAL_FORMS } from "#core/piece/form";
import type { Form, FormKind } from "#core/piece/form";
import type { PieceRecord } from "#core/formats/records";
import { fromMm, toMm } from "#core/units/length";
import type { LengthUnit } from "#core/units/length";

export const FORM_NAMES: Record<FormKind, string> = {
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

const MEASURE_NAMES: Record<string, string> = {
  lengthMm: "Length",
  widthMm: "Width",
  thicknessMm: "Thickness",
  heightMm: "Height",
  diameterMm: "Across",
  topDiameterMm: "Across the top",
  bottomDiameterMm: "Across the bottom",
  rimWidthMm: "Width of the rim",
  bowlDiameterMm: "Across the bowl",
  bowlHeightMm: "Height of the bowl",
  stemHeightMm: "Height of the stem",
  footDiameterMm: "Across the foot",
  areaMm2: "Area in mm²",
};

const LEAST_MM = 0.5;

function shown(value: number, unit: LengthUnit, isArea: boolean): string {
  if (isArea) return String(Math.round(value));
  return String(Math.round(fromMm(value, unit) * 100) / 100);
}

/** One measure: typed freely, saved when she leaves it, refused with a reason when it cannot be. */
function Measure({
  name,
  value,
  unit,
  record,
  change,
}: {
  name: string;
  value: number;
  unit: LengthUnit;
  record: PieceRecord;
  change: (changes: readonly Change[], seen: PieceRecord) => void;
}) {
  const id = useId();
  const isArea = name === "areaMm2";
  const [draft, setDraft] = useState<{ readonly text: string; readonly seen: PieceRecord } | null>(null);
  const text = draft?.text ?? shown(value, unit, isArea);
  const typed = Number(text.replace(",", "."));
  const mm = isArea ? typed : toMm(typed, unit);
  const most = isArea ? MAX_AREA_MM2 : MAX_LENGTH_MM;
  const wrong =
    text.trim() === "" || !Number.isFinite(mm) ? "a number, please" : mm < LEAST_MM ? "too small to paint" : mm > most ? "too large: is the unit right?" : null;
  const commit = () => {
    if (draft && !wrong && draft.text !== shown(value, unit, isArea))
      change([{ op: "setPiece", path: `form.${name}`, value: Math.round(mm * 100) / 100 }], draft.seen);
    if (!wrong) setDraft(null);
  };
  return (
    <div>
      <label htmlFor={id} className="block">
        {MEASURE_NAMES[name]}
      </label>
      <input
        id={id}
        inputMode="decimal"
        className="field"
        value={text}
        aria-invalid={wrong !== null}
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        onFocus={() => setDraft({ text, seen: record })}
        onChange={(event) => setDraft({ text: event.target.value, seen: draft?.seen ?? record })}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === "Enter") commit();
          if (event.key === "Escape") setDraft(null);
        }}
      />
      {wrong && (
        <p id={`${id}-wrong`} role="alert" className="text-stop">
          {wrong}
        </p>
      )}
    </div>
  );
}

/** The shape and its measures, in mm or inches. */
export function SizeFields({
  record,
  forms,
  change,
}: {
  record: PieceRecord;
  forms: readonly string[];
  change: (changes: readonly Change[], seen: PieceRecord) => void;
}) {
  const [unit, setUnit] = useState<LengthUnit>("mm");
  const { form } = record.piece;
  const kinds = (Object.keys(FORM_NAMES) as FormKind[]).filter((kind) => forms.includes(kind) || kind === form.kind);
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-[1fr_auto] gap-2">
        <label>
          <span className="block">Shape</span>
          <select
            className="field"
            value={form.kind}
            onChange={(event) => change([{ op: "setPiece", path: "form", value: USUAL_FORMS[event.target.value as FormKind] satisfies Form }], record)}
          >
            {kinds.map((kind) => (
              <option key={kind} value={kind}>
                {FORM_NAMES[kind]}
              </option>
            ))}
          </select>
        </label>
        <label>
          <span className="block">Unit</span>
          <select className="field" value={unit} onChange={(event) => setUnit(event.target.value as LengthUnit)}>
            <option value="mm">mm</option>
            <option value="in">inches</option>
          </select>
        </label>
      </div>
      <div className="grid grid-cols-2 gap-2">
        {FORM_MEASURES[form.kind].map((name) => (
          <Measure
            key={`${form.kind}-${name}-${unit}`}
            name={name}
            value={(form as unknown as Record<string, number>)[name] ?? 0}
            unit={unit}
            record={record}
            change={change}
          />
        ))}
      </div>
    </div>
  );
}
