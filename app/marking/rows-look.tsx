import { arrayMove } from "@dnd-kit/sortable";
import { Plus } from "lucide-react";
import { useState } from "react";
import { roomOffer } from "#core/marking/room-left";
import { ROW_KIND_DEFINITIONS } from "#core/marking/row-kinds";
import { keptPatternOf } from "#core/marking/kept-pattern";
import { PATTERN_LIMITS } from "#core/piece/pattern";
import type { Row, RowKind } from "#core/piece/pattern";
import { Choice } from "~/components/fields";
import { Gallery } from "./gallery";
import { RowFields } from "./row-fields";
import { RowList } from "./row-list";
import { freshlyNamed, freshRowId } from "./row-ids";
import type { LookProps } from "./look-props";

const KINDS = ROW_KIND_DEFINITIONS.map(({ id, name }) => ({ id, name }));

/** The rows: added, changed, moved; what closes is told at once. */
export function RowsLook({ pattern, place, solved, marking, colours, ground, chosen, choose, change }: LookProps) {
  const { rows, guides = 1 } = pattern;
  const { surface } = place;
  const [kind, setKind] = useState<RowKind>("dots");
  const [keeping, setKeeping] = useState<string | null>(null);
  const setRows = (next: readonly Row[]) => change({ rows: next });
  const edit = (id: string, set: Partial<Row>, clear: readonly (keyof Row)[] = []) =>
    setRows(
      rows.map((row) => {
        if (row.id !== id) return row;
        const left = Object.fromEntries(Object.entries(row).filter(([key]) => !clear.includes(key as keyof Row))) as unknown as Row;
        return { ...left, ...set };
      }),
    );
  const add = (row: Omit<Row, "id" | "colours">) => {
    const id = freshRowId();
    const colour = rows.at(-1)?.colours ?? [colours[0]!];
    setRows([...rows, { ...row, id, colours: colour }]);
    choose(id);
  };
  if (rows.length === 0)
    return (
      <div className="grid gap-3">
        <p>Take one of these; every row of it can be changed. Or begin with a row of your own.</p>
        <Gallery
          surface={surface}
          colours={colours}
          ground={ground}
          marking={marking}
          take={(next, lines, from) => change({ rows: freshlyNamed(next), guides: lines, from })}
        />
        <button
          type="button"
          className="button w-fit"
          onClick={() => add({ kind: surface.shape === "top" && surface.from === 0 ? "centre" : "dots", diameterMm: 5 })}
        >
          <Plus aria-hidden size={18} /> Begin with one row
        </button>
      </div>
    );
  const offer = roomOffer(solved, rows);
  const full = rows.length >= PATTERN_LIMITS.rows;
  return (
    <div className="grid gap-3">
      <RowList
        rows={rows}
        solved={solved}
        tools={marking.tools}
        hand={marking.hand}
        chosen={chosen}
        choose={choose}
        change={edit}
        move={(from, to) => setRows(arrayMove([...rows], from, to))}
        copy={(id) => {
          const at = rows.findIndex((row) => row.id === id);
          const copy = { ...rows[at]!, id: freshRowId() };
          if (full) return;
          setRows([...rows.slice(0, at + 1), copy, ...rows.slice(at + 1)]);
          choose(copy.id);
        }}
        remove={(id) => setRows(rows.filter((row) => row.id !== id && row.on !== id))}
        fields={(row, one) => (
          <RowFields
            row={row}
            solved={one}
            rows={rows}
            surface={surface}
            guides={guides}
            tools={marking.tools}
            hand={marking.hand}
            colours={marking.colours}
            change={(set, clear) => edit(row.id, set, clear)}
          />
        )}
      />
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-52">
          <Choice label="Another row" value={kind} choices={KINDS} onChange={(id) => setKind(id as RowKind)} />
        </div>
        <button type="button" className="button" disabled={full} onClick={() => add({ kind, diameterMm: kind === "line" ? 1 : (offer.diameterMm ?? 2) })}>
          <Plus aria-hidden size={18} /> Add it
        </button>
      </div>
      <p role="status">
        {offer.text}{" "}
        {offer.diameterMm !== null && !full && (
          <button type="button" className="underline" onClick={() => add({ kind: "dots", diameterMm: offer.diameterMm! })}>
            Add that row
          </button>
        )}
      </p>
      <div className="flex flex-wrap items-end gap-3 border-t border-line pt-3">
        {keeping === null ? (
          <button type="button" className="button" onClick={() => setKeeping("")}>
            Keep this pattern for other pieces
          </button>
        ) : (
          <form
            className="flex flex-wrap items-end gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              if (keeping.trim() === "") return;
              marking.keepPattern(keptPatternOf(keeping.trim(), pattern, surface));
              setKeeping(null);
            }}
          >
            <label className="block">
              Its name
              <input className="field" value={keeping} maxLength={80} onChange={(event) => setKeeping(event.target.value)} />
            </label>
            <button type="submit" className="button button-act">
              Keep it
            </button>
          </form>
        )}
        <button type="button" className="button" onClick={() => change({ rows: [] })}>
          Begin anew
        </button>
      </div>
    </div>
  );
}
