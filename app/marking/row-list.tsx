import { Copy, Minus, Plus, Trash2 } from "lucide-react";
import { useRef } from "react";
import type { KeyboardEvent, ReactNode } from "react";
import type { Row } from "#core/piece/pattern";
import { rowKind } from "#core/marking/row-kinds";
import type { Hand, MarkTool } from "#core/marking/tool";
import type { SolvedPattern, SolvedRow } from "#core/marking/solved";
import { fillingDiameter, kindredCounts } from "#core/marking/suggestions";
import { plainMm } from "#core/marking/words";
import { ColourChip } from "~/components/colour-chip";
import { DragOrder, useDragged } from "~/components/drag-order";
import { ToolButton } from "~/components/tool-button";
import { closesText, closingText, rowTitle, toolWords, wideText } from "./row-words";

interface Props {
  readonly rows: readonly Row[];
  readonly solved: SolvedPattern;
  readonly tools: readonly MarkTool[];
  readonly hand: Hand;
  readonly chosen: string | null;
  readonly choose: (id: string | null) => void;
  readonly change: (id: string, set: Partial<Row>, clear?: readonly (keyof Row)[]) => void;
  /** From one place in the list to another. */
  readonly move: (from: number, to: number) => void;
  readonly copy: (id: string) => void;
  readonly remove: (id: string) => void;
  /** Fields of the chosen row. */
  readonly fields: (row: Row, solved: SolvedRow) => ReactNode;
}

/** Counts beside the one taken, and those that go with other rows: one click takes another. */
function Counts({
  solved,
  others,
  change,
}: {
  solved: SolvedRow;
  others: readonly SolvedRow[];
  change: (set: Partial<Row>, clear?: readonly (keyof Row)[]) => void;
}) {
  const own = solved.nearest();
  const beside = own.filter(({ count }) => count !== solved.places);
  const kin = kindredCounts(solved, others).filter(({ count }) => count !== solved.places && !own.some((one) => one.count === count));
  const filling = fillingDiameter(solved);
  const chips = (label: string, list: typeof beside) =>
    list.length > 0 && (
      <div className="flex flex-wrap items-center gap-2" role="group" aria-label={label}>
        <span className="text-soft">{label}:</span>
        {[...list]
          .sort((a, b) => a.count - b.count)
          .map((one) => (
            <button key={one.count} type="button" className="chip" onClick={() => change({ count: one.count })}>
              {closingText(one)}
            </button>
          ))}
      </div>
    );
  return (
    <>
      {chips("Also close", beside)}
      {chips("With the other rows", kin)}
      {filling !== null && (
        <button type="button" className="chip w-fit" onClick={() => change({ count: solved.places, diameterMm: filling }, ["tool", "toolName"])}>
          {solved.places} of {plainMm(filling)} mm fill it
        </button>
      )}
    </>
  );
}

/** Fewer and more of a row, in steps that keep its multiple. */
function Steppers({ row, solved, change }: { row: Row; solved: SolvedRow; change: Props["change"] }) {
  const step = Math.max(row.multipleOf ?? 1, row.colours.length);
  const leans = row.seat === "between" || row.seat === "nestle";
  if (rowKind(row.kind).unit === null || leans || solved.refused) return null;
  const take = (count: number) => count > 0 && change(row.id, { count });
  const title = rowTitle(row);
  return (
    <>
      <ToolButton icon={Minus} label={`Fewer: ${title}`} disabled={solved.places <= step} onClick={() => take(solved.places - step)} />
      <ToolButton icon={Plus} label={`More: ${title}`} onClick={() => take(solved.places + step)} />
    </>
  );
}

interface ItemProps extends Omit<Props, "rows" | "move" | "chosen"> {
  readonly row: Row;
  readonly index: number;
  readonly open: boolean;
  readonly onKeyDown: (event: KeyboardEvent<HTMLButtonElement>) => void;
}

/** One row: how it closes, what it is set with, what is to be known of it; opened, what can be said of it. */
function RowItem({ row, index, solved, tools, hand, open, choose, change, copy, remove, fields, onKeyDown }: ItemProps) {
  const one = solved.rows[index]!;
  const findings = solved.findings.filter((finding) => finding.row === row.id);
  const title = rowTitle(row);
  const tool = toolWords(one, tools, hand);
  const wide = open ? wideText(one) : null;
  const { place, style, lifted, grip } = useDragged(row.id, `Move row ${index + 1}: ${title}`);
  return (
    <li ref={place} style={style} className={`sheet p-2 ${lifted} ${one.refused ? "border-stop" : open ? "border-ink" : ""}`} data-row={row.id}>
      <div className="flex flex-wrap items-center gap-x-1">
        {grip}
        <button
          type="button"
          data-row-title
          className="flex min-h-11 min-w-0 grow basis-44 items-center gap-2 text-left"
          aria-expanded={open}
          aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown Delete"
          onClick={() => choose(open ? null : row.id)}
          onKeyDown={onKeyDown}
        >
          <span className="w-5 text-right text-soft tabular-nums">{index + 1}</span>
          <span className="flex gap-0.5">
            {row.colours.map((colour, k) => (
              <ColourChip key={k} colour={colour} size={20} />
            ))}
          </span>
          <span className="min-w-0">
            <strong>{title}</strong>
            <span className={`block leading-snug ${one.refused ? "text-stop" : ""}`}>{closesText(one, findings[0])}</span>
          </span>
        </button>
        <span className="flex">
          <Steppers row={row} solved={one} change={change} />
          <ToolButton icon={Copy} label={`Copy: ${title}`} onClick={() => copy(row.id)} />
          <ToolButton icon={Trash2} label={`Leave out: ${title}`} onClick={() => remove(row.id)} />
        </span>
      </div>
      {tool && (
        <p className="flex flex-wrap items-center gap-2 pl-12 leading-snug text-soft">
          <span>{tool.text}</span>
          {tool.take && open && (
            <button type="button" className="button" onClick={() => change(row.id, tool.take!)}>
              Take it
            </button>
          )}
        </p>
      )}
      {findings.map((note) => (
        <p key={note.code} className="flex flex-wrap items-center gap-2 pl-12">
          {!note.refused && <span>{note.message}.</span>}
          {note.fix && (
            <button type="button" className="button" onClick={() => change(row.id, note.fix!.set)}>
              {note.fix.text}
            </button>
          )}
        </p>
      ))}
      {open && (
        <div className="mt-2 grid gap-3 border-t border-line pt-3">
          {wide && <p>{wide}</p>}
          {!one.refused && (
            <Counts solved={one} others={solved.rows.filter((other) => other !== one && !other.refused)} change={(set, clear) => change(row.id, set, clear)} />
          )}
          {row.count !== undefined && (
            <button type="button" className="button w-fit" onClick={() => change(row.id, {}, ["count"])}>
              As many as close
            </button>
          )}
          {fields(row, one)}
        </div>
      )}
    </li>
  );
}

const INSTRUCTIONS = "Press space to take this row up, the arrow keys to move it, space again to put it down there, escape to leave it where it was.";

/** The rows of a pattern, from where they begin: dragged, or moved with the keys. */
export function RowList({ rows, move, chosen, ...given }: Props) {
  const list = useRef<HTMLOListElement>(null);
  // A row's title goes with it: it is where it was moved to after the redraw.
  const focusRow = (index: number) => requestAnimationFrame(() => list.current?.querySelectorAll<HTMLButtonElement>("[data-row-title]")[index]?.focus());
  const onKeyDown = (event: KeyboardEvent<HTMLButtonElement>, index: number) => {
    const by = event.key === "ArrowUp" ? -1 : event.key === "ArrowDown" ? 1 : 0;
    const to = index + by;
    if (by !== 0 && to >= 0 && to < rows.length) {
      event.preventDefault();
      if (event.altKey) move(index, to);
      focusRow(to);
    } else if (event.key === "Delete") {
      event.preventDefault();
      given.remove(rows[index]!.id);
      focusRow(Math.min(index, rows.length - 2));
    }
  };
  return (
    <DragOrder
      ids={rows.map(({ id }) => id)}
      nameOf={(index) => (rows[index] ? `row ${index + 1}, ${rowTitle(rows[index])}` : "the row")}
      move={move}
      instructions={INSTRUCTIONS}
    >
      <ol ref={list} className="grid gap-2" aria-label="Rows">
        {rows.map((row, index) => (
          <RowItem key={row.id} {...given} row={row} index={index} open={chosen === row.id} onKeyDown={(event) => onKeyDown(event, index)} />
        ))}
      </ol>
    </DragOrder>
  );
}
