import { Plus, X } from "lucide-react";
import { PATTERN_LIMITS } from "#core/piece/pattern";
import type { Row, RowPlace } from "#core/piece/pattern";
import { nameOfColour } from "#core/film/colour-names";
import { dotOf } from "#core/marking/tool";
import type { Hand, MarkTool } from "#core/marking/tool";
import { USUAL_GAP_MM } from "#core/marking/ring-count";
import { lastOf, lengthOf, ROW_KIND_DEFINITIONS, rowKind, stepsOf } from "#core/marking/row-kinds";
import type { SolvedRow } from "#core/marking/solved";
import type { MarkingSurface } from "#core/marking/surface";
import { plainMm } from "#core/marking/words";
import { Choice, Colour, Tick } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { ToolButton } from "~/components/tool-button";
import { rowTitle, toolName } from "./row-words";

interface Props {
  readonly row: Row;
  readonly solved: SolvedRow;
  readonly rows: readonly Row[];
  readonly surface: MarkingSurface;
  readonly guides: number;
  readonly tools: readonly MarkTool[];
  readonly hand: Hand;
  readonly colours: readonly { readonly name: string; readonly colour: string }[];
  readonly change: (set: Partial<Row>, clear?: readonly (keyof Row)[]) => void;
}

const SEATS = [
  { id: "free", name: "begins at the top" },
  { id: "guides", name: "one on each line" },
  { id: "between", name: "between the marks of the row before" },
  { id: "nestle", name: "nestled outside the row before" },
] as const;

const NEXT = "next";

/** The measures a place can be said in. */
function placesOf(surface: MarkingSurface): readonly { readonly id: string; readonly name: string }[] {
  const inset = { id: "insetMm", name: "so far in from the edge" };
  const own = surface.shape === "top" ? { id: "radiusMm", name: "so far from the middle" } : { id: "heightMm", name: "so high above the foot" };
  return [{ id: NEXT, name: "next to the row before" }, own, inset];
}

function PlaceField({ row, solved, surface, change }: Pick<Props, "row" | "solved" | "surface" | "change">) {
  const kind = row.at ? Object.keys(row.at)[0]! : NEXT;
  const mm = row.at ? (Object.values(row.at)[0] as number) : 0;
  const now = (id: string) => {
    const say = solved.say as Readonly<Record<string, number | null>> | null;
    return Math.round((say?.[id] ?? 10) * 10) / 10;
  };
  return (
    <>
      <Choice
        label="Where it lies"
        value={kind}
        choices={placesOf(surface)}
        onChange={(id) => (id === NEXT ? change({}, ["at"]) : change({ at: { [id]: now(id) } as unknown as RowPlace }))}
      />
      {kind !== NEXT && (
        <NumberField
          label="How far"
          unit="mm"
          value={mm}
          bounds={PATTERN_LIMITS.placeMm}
          save={(value) => value !== undefined && change({ at: { [kind]: value } as unknown as RowPlace })}
        />
      )}
      {kind === NEXT && (
        <NumberField
          label="Clear of the row before"
          unit="mm"
          value={row.apartMm}
          typical={plainMm(USUAL_GAP_MM.value)}
          bounds={PATTERN_LIMITS.apartMm}
          save={(value) => (value === undefined ? change({}, ["apartMm"]) : change({ apartMm: value }))}
        />
      )}
    </>
  );
}

/** Colours taken in turn along the row. */
function ColoursField({ row, colours, change }: Pick<Props, "row" | "colours" | "change">) {
  const set = (index: number, hex: string) => change({ colours: row.colours.map((one, k) => (k === index ? hex : one)) });
  return (
    <div className="sm:col-span-2">
      <ul className="flex flex-wrap items-center gap-3" aria-label="Colours in turn">
        {row.colours.map((colour, index) => (
          <li key={index} className="flex items-center gap-1">
            <Colour
              label={colours.find((one) => one.colour === colour)?.name ?? `near ${nameOfColour(colour)}`}
              value={colour}
              onChange={(hex) => set(index, hex)}
            />
            {row.colours.length > 1 && (
              <ToolButton
                icon={X}
                label={`Leave ${nameOfColour(colour)} out`}
                onClick={() => change({ colours: row.colours.filter((_one, k) => k !== index) })}
              />
            )}
          </li>
        ))}
        {row.colours.length < PATTERN_LIMITS.colours && row.kind !== "centre" && row.kind !== "band" && row.kind !== "line" && (
          <li>
            <button
              type="button"
              className="button"
              onClick={() => change({ colours: [...row.colours, colours.find(({ colour }) => !row.colours.includes(colour))?.colour ?? "#d9822b"] })}
            >
              <Plus aria-hidden size={18} /> Another in turn
            </button>
          </li>
        )}
      </ul>
      {colours.length > 0 && (
        <div className="mt-2 max-w-80">
          <Choice
            label="From your shelf"
            value={colours.find((one) => one.colour === row.colours[0])?.colour ?? ""}
            choices={[{ id: "", name: "a colour of your own" }, ...colours.map(({ colour, name }) => ({ id: colour, name }))].filter(
              (one, k, all) => all.findIndex((other) => other.id === one.id) === k,
            )}
            onChange={(hex) => hex !== "" && set(0, hex)}
          />
        </div>
      )}
    </div>
  );
}

/** What is said of one row. What is left empty is worked out. */
export function RowFields({ row, solved, rows, surface, guides, tools, hand, colours, change }: Props) {
  const { asks, hint } = rowKind(row.kind);
  const has = (field: keyof Row) => asks.includes(field);
  const number = (
    field: "gapMm" | "count" | "multipleOf" | "lengthMm" | "steps" | "lastMm",
    label: string,
    unit: string | undefined,
    typical: string,
    whole = false,
  ) =>
    has(field) && (
      <NumberField
        label={label}
        {...(unit === undefined ? {} : { unit })}
        value={row[field]}
        typical={typical}
        whole={whole}
        bounds={field === "lastMm" ? PATTERN_LIMITS.diameterMm : PATTERN_LIMITS[field]}
        save={(value) => (value === undefined ? change({}, [field]) : change({ [field]: value }))}
      />
    );
  const striped = row.kind === "band" || row.kind === "line";
  const dotted = rows.filter(
    (one) => one.id !== row.id && rowKind(one.kind).technique !== "swipes" && one.kind !== "band" && one.kind !== "line" && one.kind !== "top-dots",
  );
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <p className="text-soft first-letter:uppercase sm:col-span-2">{hint}.</p>
      <Choice
        label="Kind of row"
        value={row.kind}
        choices={ROW_KIND_DEFINITIONS.map(({ id, name }) => ({ id, name }))}
        onChange={(kind) => change({ kind: kind as Row["kind"] })}
      />
      <NumberField
        label={striped ? "Width" : row.kind === "scatter" ? "Largest dot" : "Dot"}
        unit="mm"
        value={row.diameterMm}
        bounds={PATTERN_LIMITS.diameterMm}
        save={(value) => value !== undefined && change({ diameterMm: value }, ["tool", "toolName"])}
      />
      {!striped && tools.length > 0 && (
        <Choice
          label="Tool"
          value={row.tool ?? ""}
          choices={[
            { id: "", name: "whichever leaves this dot" },
            ...tools.map((tool) => ({ id: tool.id, name: `${tool.label}: leaves ${plainMm(dotOf(tool, hand))} mm` })),
          ]}
          onChange={(id) => {
            const tool = tools.find((one) => one.id === id);
            if (tool) change({ tool: tool.id, toolName: toolName(tool), diameterMm: dotOf(tool, hand) });
            else change({}, ["tool", "toolName"]);
          }}
        />
      )}
      {number(
        "count",
        row.kind === "scatter" ? "How many" : "How many round",
        undefined,
        solved.refused || row.kind === "scatter" ? "as many as go" : String(solved.places),
        true,
      )}
      {number("multipleOf", "A multiple of", undefined, "any", true)}
      {number("gapMm", "At least between", "mm", plainMm(USUAL_GAP_MM.value))}
      {number("steps", row.kind === "petals" ? "Dots each side" : "Dots of one series", undefined, String(stepsOf(row)), true)}
      {number("lastMm", "The last dot", "mm", plainMm(lastOf(row)))}
      {number(
        "lengthMm",
        row.kind === "scatter" ? "How deep a field" : "Length to the point",
        "mm",
        row.kind === "scatter" ? "to the edge" : plainMm(lengthOf(row)),
      )}
      {has("runs") && (
        <Choice
          label="Which way"
          value={row.runs ?? "out"}
          choices={[
            { id: "out", name: surface.shape === "top" ? "outward" : "upward" },
            { id: "in", name: surface.shape === "top" ? "inward" : "downward" },
            ...(row.kind === "walk" ? [{ id: "round", name: "round a large dot" }] : []),
          ]}
          onChange={(runs) => change({ runs: runs as NonNullable<Row["runs"]> })}
        />
      )}
      {has("seat") && (
        <Choice
          label="How it sits"
          value={row.seat ?? "free"}
          choices={SEATS.filter(({ id }) => id !== "guides" || guides > 1)}
          onChange={(seat) => (seat === "free" ? change({}, ["seat"]) : change({ seat: seat as NonNullable<Row["seat"]> }))}
        />
      )}
      {has("on") && (
        <Choice
          label="On the dots of"
          value={row.on ?? dotted.at(-1)?.id ?? ""}
          choices={dotted.map((one) => ({ id: one.id, name: `row ${rows.indexOf(one) + 1}: ${rowTitle(one)}` }))}
          onChange={(on) => on !== "" && change({ on })}
        />
      )}
      {has("towards") && (
        <Choice
          label="Off the middle"
          value={row.towards ?? ""}
          choices={[
            { id: "", name: "no, in the middle" },
            { id: "rim", name: "towards the rim" },
            { id: "centre", name: surface.shape === "top" ? "towards the middle" : "towards the foot" },
            { id: "left", name: "to the left" },
            { id: "right", name: "to the right" },
          ]}
          onChange={(towards) => (towards === "" ? change({}, ["towards"]) : change({ towards: towards as NonNullable<Row["towards"]> }))}
        />
      )}
      {has("everySecond") && (
        <div className="self-end">
          <Tick
            name="only on every second"
            on={row.everySecond ?? false}
            onChange={(on) => (on ? change({ everySecond: true }) : change({}, ["everySecond"]))}
          />
        </div>
      )}
      {row.kind !== "centre" && row.kind !== "top-dots" && row.seat !== "between" && row.kind !== "scatter" && (
        <PlaceField row={row} solved={solved} surface={surface} change={change} />
      )}
      <ColoursField row={row} colours={colours} change={change} />
    </div>
  );
}
