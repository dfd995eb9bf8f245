import { zoneName } from "#core/catalogue/zone-words";
import type { ZoneId } from "#core/catalogue/vocabulary";
import type { LogRecord, Look, Saw } from "#core/logbook/record/record";
import { Chips, Choice } from "~/components/fields";
import { freshId } from "~/store/fresh-id";
import { SAW_CHOICES, sawAfter } from "./logbook-words";
import { NoteOrNot } from "./note-or-not";
import { useDraft } from "~/components/use-draft";

interface Props {
  readonly record: Pick<LogRecord, "name" | "work">;
  readonly note: (look: Look) => void;
  readonly leave: () => void;
}

/** What was seen on a finished piece, and where. */
export function LookForm({ record, note, leave }: Props) {
  const [saw, setSaw] = useDraft<readonly Saw[]>("look.saw", []);
  const [zone, setZone] = useDraft("look.zone", "");
  const [words, setWords] = useDraft("look.words", "");
  const zones = [...new Set(record.work.flatMap((line) => line.zones))];
  return (
    <form
      className="sheet mt-2 grid gap-3 p-3"
      aria-label={`How ${record.name} has held`}
      onSubmit={(event) => {
        event.preventDefault();
        if (saw.length === 0) return;
        const said = words.trim();
        note({ id: freshId(), at: new Date().toISOString(), saw, ...(zone === "" ? {} : { zone: zone as ZoneId }), ...(said === "" ? {} : { note: said }) });
      }}
    >
      <div>
        <p className="mb-1">What do you see?</p>
        <Chips label="What you see" choices={SAW_CHOICES} chosen={saw} onChange={(next) => setSaw(sawAfter(saw, next))} />
      </div>
      <div className="grid gap-3 sm:grid-cols-[12rem_minmax(0,1fr)]">
        {zones.length > 0 && (
          <Choice
            label="Where"
            value={zone}
            choices={[{ id: "", name: "all over" }, ...zones.map((id) => ({ id: id as string, name: zoneName(id).toLowerCase() }))]}
            onChange={setZone}
          />
        )}
        <label className="block">
          In your words
          <input className="field" maxLength={500} value={words} placeholder="only where the sun comes in" onChange={(event) => setWords(event.target.value)} />
        </label>
      </div>
      <NoteOrNot ready={saw.length > 0} leave={leave} />
    </form>
  );
}
