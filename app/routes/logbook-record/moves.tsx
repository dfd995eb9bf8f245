import { Send } from "lucide-react";
import { RECORD_LIMITS } from "#core/formats/stores/records";
import type { LogRecord, Move } from "#core/logbook/record/record";
import { editionNumber, piecesOf } from "#core/logbook/record/pieces-left";
import type { RecordChange } from "#core/logbook/record/record-changes";
import { DayField } from "~/components/day-field";
import { Radios } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { freshId } from "~/store/fresh-id";
import { MOVE_CHOICES, sayLogDay, sayMove } from "~/logbook/logbook-words";
import { NotedLine } from "./noted-line";
import { NoteOrNot } from "~/logbook/note-or-not";
import { useDraft, useOpenForm } from "~/components/use-draft";

interface Props {
  readonly record: LogRecord;
  readonly today: string;
  readonly change: (change: RecordChange) => void;
}

const WHO: Readonly<Record<Move["kind"], string>> = {
  sold: "To whom (if you like)",
  given: "To whom",
  "left-out": "Where it was left",
  kept: "Where it stands",
  lost: "What became of it",
};

function MoveForm({ record, today, note, leave }: Omit<Props, "change"> & { note: (move: Move) => void; leave: () => void }) {
  const { here } = piecesOf(record);
  const [kind, setKind] = useDraft<Move["kind"]>("move.kind", record.money?.price === undefined ? "given" : "sold");
  const [count, setCount] = useDraft("move.count", 1);
  const [to, setTo] = useDraft("move.to", "");
  const [price, setPrice] = useDraft<number | undefined>("move.price", record.money?.price);
  const [on, setOn] = useDraft("move.on", today);
  return (
    <form
      className="sheet mt-2 grid gap-3 p-3"
      aria-label={`Where ${record.name} went`}
      onSubmit={(event) => {
        event.preventDefault();
        const who = to.trim();
        note({
          id: freshId(),
          on: on === "" ? today : on,
          kind,
          count,
          ...(who === "" ? {} : { to: who }),
          ...(kind === "sold" && price !== undefined ? { price } : {}),
        });
      }}
    >
      <Radios legend="What became of it" value={kind} choices={MOVE_CHOICES} onChange={(id) => setKind(id as Move["kind"])} />
      <div className="grid gap-3 sm:grid-cols-2">
        {here > 1 && (
          <NumberField
            label={`How many of the ${here}`}
            value={count}
            bounds={{ least: 1, most: here }}
            whole
            save={(value) => value !== undefined && setCount(value)}
          />
        )}
        <label className="block">
          {WHO[kind]}
          <input className="field" maxLength={RECORD_LIMITS.to} value={to} onChange={(event) => setTo(event.target.value)} />
        </label>
        {kind === "sold" && <NumberField label="For, each" value={price} bounds={{ least: 0, most: RECORD_LIMITS.money }} save={setPrice} />}
        <DayField label="On" value={on} today={today} save={setOn} />
      </div>
      <NoteOrNot leave={leave} />
    </form>
  );
}

/** Where the pieces of a record went, and how many are here. */
export function Moves({ record, today, change }: Props) {
  const [open, setOpen] = useOpenForm("move", false);
  const { here } = piecesOf(record);
  return (
    <section aria-labelledby="went">
      <h2 id="went" className="text-xl">
        Where it went
      </h2>
      <ul className="grid gap-1">
        {record.moves.map((move) => (
          <NotedLine
            key={move.id}
            when={sayLogDay(move.on)}
            off={`Take “${sayMove(move, record.count)}” off`}
            takeOff={() => change({ kind: "off", of: "moves", id: move.id })}
          >
            {sayMove(move, record.count)}
          </NotedLine>
        ))}
      </ul>
      <p>
        {here === 0 ? "None of it is here any more." : record.count === 1 ? "It is here." : `${here} of ${record.count} ${here === 1 ? "is" : "are"} here.`}
        {here > 0 && record.count > 1 && (
          <span className="text-soft">
            {" "}
            The next to go is number {editionNumber(record)} of {record.count}.
          </span>
        )}
      </p>
      {here > 0 &&
        (open ? (
          <MoveForm
            record={record}
            today={today}
            note={(move) => {
              change({ kind: "move", move });
              setOpen(false);
            }}
            leave={() => setOpen(false)}
          />
        ) : (
          <button type="button" className="button mt-2 print:hidden" onClick={() => setOpen(true)}>
            <Send aria-hidden size={20} /> Given, sold, left out…
          </button>
        ))}
    </section>
  );
}
