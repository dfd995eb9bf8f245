import { useState } from "react";
import { columnVisibilityFeature, createColumnHelper, createSortedRowModel, rowSortingFeature, tableFeatures, useTable } from "@tanstack/react-table";
import { format, parseISO } from "date-fns";
import { ArrowDown, ArrowUp, ArrowUpDown, Copy, PencilLine, Trash2 } from "lucide-react";
import type { JarId } from "#core/catalogue/ids";
import { JAR_BOUNDS } from "#core/formats/stores/shelf";
import { seenByEye } from "#core/shelf/amount-left";
import { put } from "#core/shelf/jar-change";
import type { ShelfRow } from "#core/shelf/shelf-rows";
import { sayMl } from "#core/units/volume";
import { ColourChip } from "~/components/colour-chip";
import { Choice, Tick } from "~/components/fields";
import { ToolButton } from "~/components/tool-button";
import { TypedBox } from "~/components/typed-box";
import { useTyped } from "~/components/use-typed";
import { colourShown, sayLeft, sizeOf, STATE_WORDS } from "~/shelf/shelf-view";
import type { ChangeJar } from "~/shelf/shelf-view";

interface Props {
  readonly rows: readonly ShelfRow[];
  readonly open: (id: JarId) => void;
  readonly change: ChangeJar;
  readonly copy: (id: JarId) => void;
  readonly remove: (row: ShelfRow) => void;
}

/** A name in its cell, saved while it is typed. */
function NameCell({ row: { jar, states }, change }: { row: ShelfRow; change: ChangeJar }) {
  const field = useTyped<string>({
    value: jar.name,
    text: (name) => name,
    read: (text) => (text.trim() === "" ? { wrong: "a jar needs a name" } : { value: text.trim() }),
    draft: `name-${jar.id}`,
    save: (name, before) => change(jar.id, put("name", name), `${jar.id}/name`, put("name", before)),
  });
  return (
    <span className="flex items-center gap-2">
      <ColourChip colour={colourShown(jar)} sheen={jar.label.sheen} size={30} />
      <span className="min-w-0 grow">
        <TypedBox
          field={field}
          aria-label={`Name of ${jar.name}`}
          className="w-full min-w-32 border-b border-dashed border-transparent bg-transparent py-2 hover:border-soft focus:border-ink"
          maxLength={JAR_BOUNDS.name}
        />
        {states.length > 0 && <span className="block text-sm font-semibold text-act">{states.map((state) => STATE_WORDS[state]).join(", ")}</span>}
      </span>
    </span>
  );
}

const EYE = [
  { id: "4", name: "full" },
  { id: "3", name: "¾" },
  { id: "2", name: "half" },
  { id: "1", name: "¼" },
  { id: "0", name: "empty" },
];

/** How much is left, said anew where it stands. */
function LeftCell({ row: { jar, leftMl }, change }: { row: ShelfRow; change: ChangeJar }) {
  const size = sizeOf(jar);
  const now = "now";
  return (
    <span className="block sm:min-w-40">
      <Choice
        unseen
        label={`Left in ${jar.name}`}
        value={now}
        choices={[{ id: now, name: sayLeft(jar, leftMl) }, ...EYE.map(({ id, name }) => ({ id, name: `now ${name}` }))]}
        onChange={(id) => id !== now && change(jar.id, { set: { left: seenByEye(Number(id), size.ml, new Date().toISOString()) } })}
      />
    </span>
  );
}

/** What the pieces want of a jar, and whether it reaches. */
export function PromisedText({ promised }: Pick<ShelfRow, "promised">) {
  if (!promised) return <span className="text-soft">…</span>;
  const wanted = promised.promises.reduce((sum, one) => sum + one.ml, 0);
  if (wanted === 0) return <span className="text-soft">nothing</span>;
  return (
    <>
      {sayMl(wanted)} for {promised.promises.length === 1 ? promised.promises[0]!.name : `${promised.promises.length} pieces`}
      {promised.short !== null && promised.short > 0.5 && <span className="block font-semibold text-act">{sayMl(promised.short)} short</span>}
    </>
  );
}

const features = tableFeatures({ rowSortingFeature, columnVisibilityFeature, sortedRowModel: createSortedRowModel() });
const helper = createColumnHelper<typeof features, ShelfRow>();

interface Sortable {
  readonly getValue: (column: string) => unknown;
}

const asText = (one: Sortable, other: Sortable, column: string) =>
  String(one.getValue(column)).localeCompare(String(other.getValue(column)), undefined, { numeric: true });
const asNumber = (one: Sortable, other: Sortable, column: string) => Number(one.getValue(column)) - Number(other.getValue(column));
/** What is not known is less than nothing. */
const UNKNOWN = -1;

const COLUMNS = helper.columns([
  helper.accessor((row) => row.jar.name, { id: "name", header: "Jar", enableHiding: false, sortFn: asText }),
  helper.accessor((row) => row.kind, { id: "kind", header: "Kind", sortFn: asText }),
  helper.accessor((row) => row.leftMl ?? UNKNOWN, { id: "left", header: "Left", sortFn: asNumber }),
  helper.accessor((row) => row.promised?.promises.reduce((sum, one) => sum + one.ml, 0) ?? UNKNOWN, { id: "promised", header: "Promised", sortFn: asNumber }),
  helper.accessor((row) => row.promised?.free ?? UNKNOWN, { id: "free", header: "Free after", sortFn: asNumber }),
  helper.accessor((row) => row.jar.openedOn ?? "", { id: "opened", header: "Opened", sortFn: asText }),
  helper.accessor((row) => row.jar.paid ?? UNKNOWN, { id: "paid", header: "Paid", sortFn: asNumber }),
]);

/** How wide each column is, whatever stands in it: what is said anew of one jar moves no other. */
const WIDTHS: Readonly<Record<string, string>> = {
  name: "sm:w-[22%]",
  kind: "sm:w-[14%]",
  left: "sm:w-[20%]",
  promised: "sm:w-[15%]",
  free: "sm:w-[9%]",
  opened: "sm:w-[8%]",
  paid: "sm:w-[6%]",
};

/** Columns that a phone has no room for: they stand on the jar's own page. */
const WIDE_ONLY = new Set(["kind", "free", "opened", "paid"]);

function Cell({ column, row, change }: { column: string; row: ShelfRow; change: ChangeJar }) {
  const { jar, promised } = row;
  if (column === "name") return <NameCell row={row} change={change} />;
  if (column === "kind") return <>{row.kind}</>;
  if (column === "left") return <LeftCell row={row} change={change} />;
  if (column === "promised") return <PromisedText promised={promised} />;
  if (column === "free") return <span className="whitespace-nowrap">{promised?.free === null || promised === null ? "" : sayMl(promised.free)}</span>;
  if (column === "opened") return <span className="whitespace-nowrap">{jar.openedOn ? format(parseISO(jar.openedOn), "MMM yyyy") : ""}</span>;
  return <>{jar.paid ?? ""}</>;
}

const SORTED = { asc: [ArrowUp, "ascending"], desc: [ArrowDown, "descending"] } as const;

/** The shelf as a table: sorted by any column, said anew where it stands. */
export function JarTable({ rows, open, change, copy, remove }: Props) {
  const [sorting, setSorting] = useState([{ id: "name", desc: false }]);
  const [columnVisibility, setColumnVisibility] = useState<Record<string, boolean>>({ paid: false });
  const table = useTable({
    features,
    columns: COLUMNS,
    data: rows as ShelfRow[],
    getRowId: (row) => row.jar.id,
    state: { sorting, columnVisibility },
    onSortingChange: setSorting,
    onColumnVisibilityChange: setColumnVisibility,
  });
  return (
    <>
      <div className="mt-3 overflow-x-auto">
        <table className="w-full border-collapse text-left max-sm:block sm:min-w-[60rem] sm:table-fixed">
          <caption className="sr-only">Jars on the shelf</caption>
          <thead className="max-sm:block">
            <tr className="border-b-2 border-ink max-sm:flex max-sm:gap-5">
              {table.getFlatHeaders().map(({ column }) => {
                const sorted = column.getIsSorted();
                const [Icon, said] = sorted ? SORTED[sorted] : [ArrowUpDown, "none"];
                return (
                  <th
                    key={column.id}
                    scope="col"
                    aria-sort={said as "none"}
                    className={`pr-3 align-bottom ${WIDTHS[column.id]} ${WIDE_ONLY.has(column.id) ? "max-sm:hidden" : ""}`}
                  >
                    <button
                      type="button"
                      className="inline-flex min-h-[44px] items-center gap-1 whitespace-nowrap font-semibold"
                      onClick={() => column.toggleSorting()}
                    >
                      {String(column.columnDef.header)}
                      <Icon aria-hidden size={14} className={sorted ? "" : "text-soft opacity-60"} />
                    </button>
                  </th>
                );
              })}
              <th scope="col" className="w-36 max-sm:hidden">
                <span className="sr-only">What to do with it</span>
              </th>
            </tr>
          </thead>
          <tbody className="max-sm:block">
            {table.getRowModel().rows.map(({ id, original: row }) => (
              <tr
                key={id}
                className="border-b border-dashed border-line max-sm:grid max-sm:grid-cols-[3fr_2fr] max-sm:items-center max-sm:gap-x-2 max-sm:py-2"
                data-jar={row.jar.id}
              >
                {table.getVisibleLeafColumns().map((column) => (
                  <td
                    key={column.id}
                    className={`py-1 pr-3 align-middle ${WIDE_ONLY.has(column.id) ? "max-sm:hidden" : ""} ${column.id === "name" ? "max-sm:col-span-2" : ""}`}
                  >
                    <Cell column={column.id} row={row} change={change} />
                  </td>
                ))}
                <td className="whitespace-nowrap text-right max-sm:col-span-2">
                  <ToolButton icon={PencilLine} label={`All of ${row.jar.name}`} onClick={() => open(row.jar.id)} />
                  <ToolButton icon={Copy} label={`Another jar of ${row.jar.name}`} onClick={() => copy(row.jar.id)} />
                  <ToolButton icon={Trash2} label={`Take ${row.jar.name} off the shelf`} onClick={() => remove(row)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <details className="mt-2 max-sm:hidden">
        <summary className="w-fit py-2 text-soft underline">Columns</summary>
        <div className="flex flex-wrap gap-2">
          {table
            .getAllLeafColumns()
            .filter((column) => column.getCanHide())
            .map((column) => (
              <Tick key={column.id} name={String(column.columnDef.header)} on={column.getIsVisible()} onChange={(on) => column.toggleVisibility(on)} />
            ))}
        </div>
      </details>
    </>
  );
}
