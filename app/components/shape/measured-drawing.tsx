import { useId } from "react";
import { changePiece } from "#core/coating/model/apply-changes";
import { measureFault } from "#core/piece/form";
import type { Form, MeasureFault } from "#core/piece/form";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { SurfaceName } from "#core/catalogue/object-kind";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { typedLength } from "#core/units/length";
import type { LengthUnit } from "#core/units/length";
import { readLength } from "#core/units/read-length";
import type { SaveChanges } from "~/piece/use-record";
import { useTyped } from "../use-typed";
import type { Reading } from "../use-typed";
import { Texture } from "../coat-section/textures";
import { MEASURE_NAMES } from "../form-words";
import { drawingOf, VIEW } from "./geometry";
import type { Dimension } from "./geometry";

const MM2_PER_CM2 = 100;

const FAULT_WORDS: Record<MeasureFault, string> = {
  "too-small": "too small to paint",
  "too-large": "too large: is the unit right?",
  "rim-too-wide": "the rim is wider than the plate",
};

function shown(name: string, value: number, unit: LengthUnit): string {
  if (name === "areaMm2") return String(Math.round(value) / MM2_PER_CM2);
  return typedLength(value, unit);
}

/** A measure as it is typed: a length as people write them; an area is a plain number. */
function measured(text: string, name: string, unit: LengthUnit, form: Form): Reading<number> {
  const length = readLength(text, name === "areaMm2" ? "mm" : unit);
  if (length === null) return { wrong: text.trim() === "" ? "a number, please" : "not a length: 80, 3 1/4, 8 cm" };
  const value = Math.round((name === "areaMm2" ? length * MM2_PER_CM2 : length) * 100) / 100;
  const fault = measureFault(form, name, value);
  return fault === null ? { value } : { wrong: FAULT_WORDS[fault] };
}

interface MeasureProps {
  readonly dimension: Dimension;
  readonly form: Form;
  readonly value: number;
  readonly unit: LengthUnit;
  /** What is cut off the view above and below. */
  readonly spare: number;
  readonly save: (value: number, before: number) => void;
}

/** One measure, typed where it is drawn; saved while it is typed, refused with a reason when it cannot be. */
function Measure({ dimension: { name, at }, form, value, unit, spare, save }: MeasureProps) {
  const id = useId();
  const field = useTyped({ value, text: (mm) => shown(name, mm, unit), read: (text) => measured(text, name, unit, form), save });
  const { wrong } = field;
  return (
    <div
      className="absolute -translate-x-1/2 -translate-y-1/2"
      style={{ left: `${(at[0] / VIEW.width) * 100}%`, top: `${((at[1] - spare) / (VIEW.height - 2 * spare)) * 100}%` }}
    >
      <label htmlFor={id} className="sr-only">
        {MEASURE_NAMES[name]}
      </label>
      <input
        id={id}
        inputMode={unit === "in" ? "text" : "decimal"}
        title={MEASURE_NAMES[name]}
        autoComplete="off"
        className={`h-9 w-16 rounded border-[1.5px] bg-sheet px-1 text-center text-base text-ink ${wrong ? "border-stop" : "border-soft"}`}
        value={field.text}
        aria-invalid={wrong !== null}
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        onFocus={(event) => {
          field.begin();
          event.target.select();
        }}
        onChange={(event) => field.type(event.target.value)}
        onBlur={field.leave}
        onKeyDown={(event) => {
          if (event.key === "Enter") field.leave();
          if (event.key === "Escape") field.forget();
        }}
      />
      {wrong && (
        <p id={`${id}-wrong`} role="alert" className="absolute left-1/2 z-[1] w-max max-w-40 -translate-x-1/2 rounded bg-stop-tint px-2 text-sm text-stop">
          {wrong}
        </p>
      )}
    </div>
  );
}

interface DrawingProps {
  readonly record: PieceRecord;
  readonly unit: LengthUnit;
  readonly change: SaveChanges;
  readonly body: { readonly colour: string; readonly texture: string };
  readonly lipMm: number;
  /** Which zone each surface is, for this object. */
  readonly zoneOf: ReadonlyMap<SurfaceName, ZoneId>;
  readonly base: string | null;
  readonly lit: ZoneId | null;
  readonly light: (zone: ZoneId | null) => void;
  /** The user points at a place, to say what goes there. */
  readonly point: (zone: ZoneId) => void;
}

/** The piece in side view with its measures: sizes are typed on the drawing, which follows them; zones light up under the pointer. */
export function MeasuredDrawing({ record, unit, change, body, lipMm, zoneOf, base, lit, light, point }: DrawingProps) {
  const at = useId().replace(/[^a-z0-9]/gi, "");
  const { form, parts = [] } = record.piece;
  const drawn = drawingOf(form, lipMm, parts);
  const known = drawn.patches.filter((patch) => patch.surface === "" || zoneOf.has(patch.surface));
  return (
    <div className="relative mx-auto w-full max-w-[21rem]">
      <svg viewBox={`0 ${drawn.spare} ${VIEW.width} ${VIEW.height - 2 * drawn.spare}`} className="block w-full" aria-hidden onPointerLeave={() => light(null)}>
        <defs>
          <Texture id={`${at}-body`} texture={body.texture} colour={body.colour} />
          <marker id={`${at}-end`} viewBox="0 0 6 10" refX="3" refY="5" markerWidth="5" markerHeight="8" orient="auto-start-reverse">
            <path d="M3 0v10" stroke="var(--soft)" strokeWidth="2" />
          </marker>
        </defs>
        {known.map((patch, index) => {
          const zone = patch.surface === "" ? null : (zoneOf.get(patch.surface) ?? null);
          const bare = patch.surface === "lip-band" || patch.surface === "inner";
          return (
            <path
              key={index}
              d={patch.path}
              fill={patch.line ? "none" : base && !bare ? base : `url(#${at}-body)`}
              stroke={zone !== null && zone === lit ? "var(--act)" : "var(--ink)"}
              strokeWidth={zone !== null && zone === lit ? 4 : 1.6}
              strokeDasharray={patch.line ? "4 4" : undefined}
              onPointerEnter={() => light(zone)}
              className={zone === null ? "" : "cursor-pointer"}
              onClick={() => zone !== null && point(zone)}
            />
          );
        })}
        {drawn.dimensions.map(({ name, from, to }) => (
          <path
            key={name}
            d={`M${from[0]} ${from[1]}L${to[0]} ${to[1]}`}
            stroke="var(--soft)"
            strokeWidth="1.4"
            markerStart={`url(#${at}-end)`}
            markerEnd={`url(#${at}-end)`}
          />
        ))}
      </svg>
      {drawn.dimensions.map((dimension) => (
        <Measure
          key={`${form.kind}-${dimension.name}-${unit}`}
          dimension={dimension}
          form={form}
          value={(form as unknown as Record<string, number>)[dimension.name] ?? 0}
          unit={unit}
          spare={drawn.spare}
          save={(value, before) => {
            const path = `form.${dimension.name}`;
            const seen = changePiece(record.piece, [{ op: "setPiece", path, value: before }]);
            change([{ op: "setPiece", path, value }], { seen, typed: true });
          }}
        />
      ))}
    </div>
  );
}
