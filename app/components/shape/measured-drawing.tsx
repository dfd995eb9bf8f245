import { useId, useState } from "react";
import type { Change } from "#core/coating/model/change";
import { MAX_AREA_MM2, MAX_LENGTH_MM } from "#core/piece/form";
import type { Piece } from "#core/piece/piece";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { SurfaceName } from "#core/catalogue/object-kind";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { fromMm, toMm } from "#core/units/length";
import type { LengthUnit } from "#core/units/length";
import { Texture } from "../coat-section/textures";
import { drawingOf, VIEW } from "./geometry";
import type { Dimension } from "./geometry";

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
  areaMm2: "Area in cm²",
};
const LEAST_MM = 0.5;
const MM2_PER_CM2 = 100;

export type SaveChanges = (changes: readonly Change[], seen?: Piece) => void;

function shown(name: string, value: number, unit: LengthUnit): string {
  if (name === "areaMm2") return String(Math.round(value / MM2_PER_CM2));
  return String(Math.round(fromMm(value, unit) * 100) / 100);
}

function inside(name: string, typed: number, unit: LengthUnit): number {
  return name === "areaMm2" ? typed * MM2_PER_CM2 : toMm(typed, unit);
}

function faultOf(name: string, text: string, value: number): string | null {
  if (text.trim() === "" || !Number.isFinite(value)) return "a number, please";
  if (value < LEAST_MM) return "too small to paint";
  return value > (name === "areaMm2" ? MAX_AREA_MM2 : MAX_LENGTH_MM) ? "too large: is the unit right?" : null;
}

interface MeasureProps {
  readonly dimension: Dimension;
  readonly value: number;
  readonly unit: LengthUnit;
  readonly record: PieceRecord;
  readonly change: SaveChanges;
  /** The drawing follows what is typed before it is saved; null when typing has ended. */
  readonly preview: (value: number | null) => void;
}

/** One measure, typed where it is drawn; saved when the user leaves it, refused with a reason when it cannot be. */
function Measure({ dimension: { name, at }, value, unit, record, change, preview }: MeasureProps) {
  const id = useId();
  const [draft, setDraft] = useState<{ readonly text: string; readonly seen: PieceRecord } | null>(null);
  const text = draft?.text ?? shown(name, value, unit);
  const typed = inside(name, Number(text.replace(",", ".")), unit);
  const wrong = faultOf(name, text, typed);
  const leave = () => {
    preview(null);
    setDraft(null);
  };
  const commit = () => {
    if (draft && !wrong && draft.text !== shown(name, value, unit))
      change([{ op: "setPiece", path: `form.${name}`, value: Math.round(typed * 100) / 100 }], draft.seen.piece);
    if (!wrong) leave();
  };
  return (
    <div className="absolute -translate-x-1/2 -translate-y-1/2" style={{ left: `${(at[0] / VIEW.width) * 100}%`, top: `${(at[1] / VIEW.height) * 100}%` }}>
      <label htmlFor={id} className="sr-only">
        {MEASURE_NAMES[name]}
      </label>
      <input
        id={id}
        inputMode="decimal"
        title={MEASURE_NAMES[name]}
        className={`h-9 w-16 rounded border-[1.5px] bg-sheet px-1 text-center text-base text-ink ${wrong ? "border-stop" : "border-soft"}`}
        value={text}
        aria-invalid={wrong !== null}
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        onFocus={(event) => {
          setDraft({ text, seen: record });
          event.target.select();
        }}
        onChange={(event) => {
          const next = event.target.value;
          const nextValue = inside(name, Number(next.replace(",", ".")), unit);
          setDraft({ text: next, seen: draft?.seen ?? record });
          preview(faultOf(name, next, nextValue) ? null : nextValue);
        }}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === "Enter") commit();
          if (event.key === "Escape") leave();
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
}

/** The piece in side view with its measures: sizes are typed on the drawing, which follows them; zones light up under the pointer. */
export function MeasuredDrawing({ record, unit, change, body, lipMm, zoneOf, base, lit, light }: DrawingProps) {
  const at = useId().replace(/[^a-z0-9]/gi, "");
  const [typing, setTyping] = useState<{ readonly name: string; readonly value: number } | null>(null);
  const { form, parts = [] } = record.piece;
  const drawn = drawingOf(typing ? { ...form, [typing.name]: typing.value } : form, lipMm, parts);
  const known = drawn.patches.filter((patch) => patch.surface === "" || zoneOf.has(patch.surface));
  return (
    <div className="relative mx-auto w-full max-w-[25rem]">
      <svg viewBox={`0 0 ${VIEW.width} ${VIEW.height}`} className="block w-full" aria-hidden onPointerLeave={() => light(null)}>
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
      {drawingOf(form, lipMm, parts).dimensions.map((dimension) => (
        <Measure
          key={`${form.kind}-${dimension.name}-${unit}`}
          dimension={dimension}
          value={(form as unknown as Record<string, number>)[dimension.name] ?? 0}
          unit={unit}
          record={record}
          change={change}
          preview={(value) => setTyping(value === null ? null : { name: dimension.name, value })}
        />
      ))}
    </div>
  );
}
