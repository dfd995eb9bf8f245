import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { Table2 } from "lucide-react";
import { DAY_ORDERS, guessColumns, OLDER_FIELDS, readOlderDay, readOlderPieces, readOlderTable } from "#core/formats/older-csv";
import type { DayOrder, OlderField, OlderPiece, OlderTable } from "#core/formats/older-csv";
import { RECORD_LIMITS } from "#core/formats/stores/records";
import { MOST_OF_ONE } from "#core/piece/piece";
import { useAfter } from "~/actions/use-after";
import { useAsk } from "~/actions/use-ask";
import { Choice, Radios } from "~/components/fields";
import { FileButton } from "~/components/file-button";
import { LogbookRooms } from "~/components/logbook-rooms";
import { NumberField } from "~/components/number-field";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { LOGBOOK } from "~/logbook/logbook-asks";
import type { LogbookAsk } from "~/logbook/logbook-asks";
import { freshId } from "~/store/fresh-id";
import { useDraft } from "~/components/use-draft";

export function ErrorBoundary() {
  return <RoomError />;
}

type Ask = (pieces: readonly OlderPiece[]) => void;

const text = (label: string, value: string, set: (text: string) => void, placeholder = "", most: number = RECORD_LIMITS.text) => (
  <label key={label} className="block">
    {label}
    <input className="field" maxLength={most} value={value} placeholder={placeholder} onChange={(event) => set(event.target.value)} />
  </label>
);

/** A piece told in a few words: its name is enough. */
function ShortForm({ tell, busy }: { tell: Ask; busy: boolean }) {
  const menu = useMenu();
  const [said, setSaid] = useDraft("older.said", { name: "", body: "", when: "", colours: "", paints: "", sealer: "", who: "", note: "" });
  const [count, setCount] = useDraft("older.count", 1);
  const [tried, tryIt] = useState(false);
  const set = (key: keyof typeof said) => (value: string) => setSaid({ ...said, [key]: value });
  const when = said.when.trim() === "" ? null : readOlderDay(said.when, "day-first");
  const wrongDay = said.when.trim() !== "" && when === null;
  return (
    <form
      className="sheet grid gap-3 p-4"
      aria-label="An older piece"
      onSubmit={(event) => {
        event.preventDefault();
        tryIt(true);
        if (said.name.trim() === "" || wrongDay) return;
        const words = {
          colours: said.colours,
          paints: said.paints,
          sealer: said.sealer,
          note: when?.onlyMonth ? `${said.note} Finished some time in ${said.when.trim()}.` : said.note,
        };
        tell([
          {
            name: said.name.trim(),
            body: said.body.trim() || "Not said",
            count,
            ...(when ? { finishedOn: when.day } : {}),
            ...(said.who.trim() === "" ? {} : { who: said.who.trim() }),
            told: Object.fromEntries(Object.entries(words).flatMap(([key, value]) => (value.trim() === "" ? [] : [[key, value.trim()]]))),
          },
        ]);
      }}
    >
      <datalist id="bodies">
        {menu.materials.map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
      {text("What it is called", said.name, set("name"), "Grey pebble with two rings", RECORD_LIMITS.name)}
      <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_7rem_minmax(0,1fr)]">
        <label className="block">
          What it is made of
          <input className="field" list="bodies" maxLength={RECORD_LIMITS.name} value={said.body} onChange={(event) => set("body")(event.target.value)} />
        </label>
        <NumberField label="How many" value={count} bounds={{ least: 1, most: MOST_OF_ONE }} whole save={(value) => setCount(value ?? 1)} />
        {text("Finished", said.when, set("when"), "March 2024, or 9 March 2024", 40)}
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        {text("Colours, as you called them", said.colours, set("colours"), "grey, cream, a pearl on the second ring")}
        {text("Paints", said.paints, set("paints"))}
        {text("Sealed with", said.sealer, set("sealer"), "matt varnish, two coats")}
        {text("Who has it", said.who, set("who"), "", RECORD_LIMITS.to)}
      </div>
      {text("What else you remember", said.note, set("note"))}
      {tried && said.name.trim() === "" && (
        <p role="alert" className="text-stop">
          Give it a name: that alone is enough.
        </p>
      )}
      {wrongDay && (
        <p role={tried ? "alert" : undefined} className="text-stop">
          Not a day or a month yet: March 2024, or 9 March 2024.
        </p>
      )}
      <p>
        <button type="submit" className="button button-act" disabled={busy}>
          Write it down
        </button>
      </p>
    </form>
  );
}

const FIELD_WORDS: Readonly<Record<OlderField, string>> = {
  name: "what it is called",
  body: "what it is made of",
  count: "how many",
  finished: "when it was finished",
  colours: "colours",
  paints: "paints",
  sealer: "what it is sealed with",
  who: "who has it",
  note: "notes",
};

/** Lines shown of a table before it is brought in. */
const SHOWN = 3;

/** A table of older pieces: the user says what each column is, sees what comes of it, and brings it in. */
function FromTable({ table, tell, leave, busy }: { table: OlderTable; tell: Ask; leave: () => void; busy: boolean }) {
  const [columns, setColumns] = useState<readonly (OlderField | null)[]>(() => guessColumns(table.headers));
  const [order, setOrder] = useState<DayOrder>("day-first");
  const read = readOlderPieces(table, columns, order);
  const choose = (at: number, field: string) =>
    // One field comes from one column.
    setColumns(columns.map((one, index) => (index === at ? (field === "" ? null : (field as OlderField)) : one === field ? null : one)));
  return (
    <section className="sheet grid gap-3 p-4" aria-label="The columns of your table">
      <p>
        {table.rows.length} {table.rows.length === 1 ? "line" : "lines"}. Say what each column holds; what you leave out stays away.
      </p>
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {table.headers.map((header, index) => (
          <li key={index} className="min-w-0">
            <Choice
              label={header === "" ? `Column ${index + 1}` : header}
              value={columns[index] ?? ""}
              choices={[{ id: "", name: "left out" }, ...OLDER_FIELDS.map((id) => ({ id, name: FIELD_WORDS[id] }))]}
              onChange={(field) => choose(index, field)}
            />
            <span className="block truncate text-soft">
              {table.rows
                .slice(0, SHOWN)
                .map(({ cells }) => cells[index] ?? "")
                .filter((cell) => cell !== "")
                .join(" · ")}
            </span>
          </li>
        ))}
      </ul>
      {columns.includes("finished") && (
        <Radios
          legend="Of 3/4/2024 the first number is"
          value={order}
          choices={DAY_ORDERS.map((id) => ({ id, name: id === "day-first" ? "the day" : "the month" }))}
          onChange={(id) => setOrder(id as DayOrder)}
        />
      )}
      {read.ok ? (
        <p role="status">
          {read.value.length} {read.value.length === 1 ? "piece" : "pieces"}:{" "}
          {read.value
            .slice(0, SHOWN)
            .map(({ name }) => name)
            .join(", ")}
          {read.value.length > SHOWN && ` and ${read.value.length - SHOWN} more`}.
        </p>
      ) : (
        <p role="alert" className="text-stop">
          {read.problem.message}
          {read.problem.path !== "" && ` (${read.problem.path})`}. Nothing is brought in until that is put right.
        </p>
      )}
      <p className="flex flex-wrap gap-2">
        <button type="button" className="button button-act" disabled={!read.ok || busy} onClick={() => read.ok && tell(read.value)}>
          Bring them in
        </button>
        <button type="button" className="button" onClick={leave}>
          Leave it
        </button>
      </p>
    </section>
  );
}

/** The text of a file: table programs write it in UTF-8, older ones as they did before it. */
async function textOf(file: File): Promise<string> {
  const bytes = await file.arrayBuffer();
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder("windows-1252").decode(bytes);
  }
}

/** Pieces finished before there was a notebook: told in a few words, or out of a table. */
export default function OlderPieces() {
  const ask = useAsk<LogbookAsk>(LOGBOOK);
  const navigate = useNavigate();
  const [waiting, after] = useAfter();
  const [table, setTable] = useState<OlderTable | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const tell: Ask = (pieces) => {
    const withIds = pieces.map((piece) => ({ id: freshId(), piece }));
    const to = withIds.length === 1 ? `/logbook/records/${withIds[0]!.id}` : "/logbook";
    after(ask({ intent: "tell", pieces: withIds, at: new Date().toISOString() }), () => void navigate(to));
  };
  const take = (file: File) =>
    void textOf(file).then((content) => {
      const read = readOlderTable(content);
      setWrong(read.ok ? null : `${read.problem.message}${read.problem.path === "" ? "" : ` (${read.problem.path})`}`);
      setTable(read.ok ? read.value : null);
    });
  return (
    <>
      <title>Older pieces – Logbook – Nook Coat</title>
      <LogbookRooms />
      <h1 className="mt-4 text-2xl">Finished before Nook Coat</h1>
      <p className="max-w-prose text-soft">What you still know of it is enough; more can be added to its page whenever it comes back to you.</p>
      <div className="mt-3 grid max-w-4xl gap-5">
        {table ? <FromTable table={table} tell={tell} leave={() => setTable(null)} busy={waiting} /> : <ShortForm tell={tell} busy={waiting} />}
        {!table && (
          <div>
            <p className="mb-2">Or you have a list of them already, as a table (.csv): its columns may be called anything.</p>
            <FileButton icon={Table2} label="A table of older pieces" accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values,text/plain" take={take}>
              From a table
            </FileButton>
            {wrong !== null && (
              <p role="alert" className="mt-2 text-stop">
                This table was not read: {wrong}.
              </p>
            )}
          </div>
        )}
        <p>
          <Link to="/logbook" className="underline">
            Back to the logbook
          </Link>
        </p>
      </div>
    </>
  );
}
