import { format } from "date-fns";
import { RECORD_LIMITS } from "#core/formats/stores/records";
import type { LogRecord } from "#core/logbook/record/record";
import type { RecordChange } from "#core/logbook/record/record-changes";
import { freshId } from "~/store/fresh-id";
import { NotedLine } from "./noted-line";
import { useDraft } from "~/components/use-draft";

/** What is added afterwards: the record itself stays as it was written. */
export function Additions({ record, change }: { record: LogRecord; change: (change: RecordChange) => void }) {
  const [text, setText] = useDraft("addition.text", "");
  const said = text.trim();
  return (
    <section aria-labelledby="added">
      <h2 id="added" className={`text-xl ${record.additions.length === 0 ? "print:hidden" : ""}`}>
        Added later
      </h2>
      <ul className="mt-1 grid gap-1">
        {record.additions.map(({ id, at, text: line }) => (
          <NotedLine
            key={id}
            when={format(new Date(at), "d MMM yyyy")}
            off={`Take “${line.slice(0, 40)}” off`}
            takeOff={() => change({ kind: "off", of: "additions", id })}
          >
            {line}
          </NotedLine>
        ))}
      </ul>
      <form
        className="mt-1 flex flex-wrap items-end gap-2 print:hidden"
        onSubmit={(event) => {
          event.preventDefault();
          if (said === "") return;
          change({ kind: "add", addition: { id: freshId(), at: new Date().toISOString(), text: said } });
          setText("");
        }}
      >
        <label className="block min-w-0 grow basis-64">
          Something to add, or to put right
          <input
            className="field"
            maxLength={RECORD_LIMITS.text}
            value={text}
            placeholder="the shimmer lies only on the second ring"
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button type="submit" className="button" disabled={said === ""}>
          Add it
        </button>
      </form>
    </section>
  );
}
