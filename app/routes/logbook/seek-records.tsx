import { useSearchParams } from "react-router";
import type { ColourFamily } from "#core/film/colour-family";
import { ANY_RECORD } from "#core/logbook/record/search";
import type { SearchChoices, SoughtRecord } from "#core/logbook/record/search";
import { Choice } from "~/components/fields";
import { sayMonth } from "~/logbook/logbook-words";

const KEYS = ["text", "family", "body", "sealer", "paint", "month", "who"] as const;

/** What is looked for, as the page's address has it. */
export function useSoughtRecords(): readonly [SoughtRecord, (part: Partial<SoughtRecord>) => void] {
  const [params, setParams] = useSearchParams();
  const sought: SoughtRecord = { ...(Object.fromEntries(KEYS.map((key) => [key, params.get(key) ?? ANY_RECORD[key]])) as unknown as SoughtRecord) };
  const seek = (part: Partial<SoughtRecord>) =>
    setParams(
      (before) => {
        const after = new URLSearchParams(before);
        for (const [key, value] of Object.entries(part))
          if (value === "") after.delete(key);
          else after.set(key, value);
        return after;
      },
      { replace: true, preventScrollReset: true },
    );
  return [sought, seek];
}

const any = (ids: readonly string[], name: (id: string) => string = (id) => id) => [{ id: "", name: "any" }, ...ids.map((id) => ({ id, name: name(id) }))];

interface Props {
  readonly sought: SoughtRecord;
  readonly seek: (part: Partial<SoughtRecord>) => void;
  readonly choices: SearchChoices;
}

/** Asks the logbook: in words, or by what a piece is. */
export function SeekRecords({ sought, seek, choices }: Props) {
  const narrowed = KEYS.some((key) => key !== "text" && sought[key] !== "");
  const lists = [
    { key: "family", label: "Colour", list: any(choices.families), most: choices.families.length },
    { key: "body", label: "Body", list: any(choices.bodies), most: choices.bodies.length },
    { key: "sealer", label: "Sealed with", list: any(choices.sealers), most: choices.sealers.length },
    { key: "paint", label: "Painted with", list: any(choices.paints), most: choices.paints.length },
    { key: "month", label: "Finished in", list: any(choices.months, sayMonth), most: choices.months.length },
    { key: "who", label: "Who has it", list: any(choices.holders), most: choices.holders.length },
  ] as const;
  const fields = (
    <div className="mt-2 grid gap-3 sm:grid-cols-3">
      {lists
        .filter(({ most, key }) => most > 1 || sought[key] !== "")
        .map(({ key, label, list }) => (
          <Choice key={key} label={label} value={sought[key]} choices={list} onChange={(value) => seek({ [key]: value as ColourFamily })} />
        ))}
    </div>
  );
  return (
    <search className="mt-4 block" aria-label="Ask the logbook">
      <label className="block">
        Ask it: what did I put on…
        <input
          type="search"
          className="field text-lg"
          value={sought.text}
          placeholder="grey pebble shimmer"
          onChange={(event) => seek({ text: event.target.value })}
        />
      </label>
      <details open={narrowed}>
        <summary className="min-h-11 w-fit cursor-pointer py-2 underline">By colour, body, sealer, paint, month, or who has it</summary>
        {fields}
      </details>
      {(narrowed || sought.text !== "") && (
        <button type="button" className="button mt-2" onClick={() => seek(ANY_RECORD)}>
          All of them again
        </button>
      )}
    </search>
  );
}
