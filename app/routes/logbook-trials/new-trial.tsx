import { useState } from "react";
import { Plus } from "lucide-react";
import { RECORD_LIMITS } from "#core/formats/stores/records";
import { TRIAL_LIMITS } from "#core/logbook/record/trial";
import { Choice, Tick } from "~/components/fields";
import { useMenu } from "~/components/use-menu";
import type { AskedTrial } from "~/logbook/logbook-asks";
import { freshId } from "~/store/fresh-id";
import { useDraft } from "~/components/use-draft";

interface Props {
  readonly today: string;
  readonly begin: (trial: AskedTrial) => void;
  readonly leave: () => void;
}

/** What is laid beside what. */
export function NewTrial({ today, begin, leave }: Props) {
  const menu = useMenu();
  const [name, setName] = useDraft("trial.name", "");
  const [material, setMaterial] = useDraft("trial.material", "");
  const [lies, setLies] = useDraft("trial.lies", "");
  const [fields, setFields] = useDraft<readonly string[]>("trial.fields", ["", ""]);
  const [bare, setBare] = useDraft("trial.bare", true);
  const [tried, tryIt] = useState(false);
  const laid = fields.map((one) => one.trim()).filter((one) => one !== "");
  const enough = laid.length + (bare ? 1 : 0) >= 2;
  return (
    <form
      className="sheet mt-3 grid max-w-2xl gap-3 p-4"
      aria-label="A trial"
      onSubmit={(event) => {
        event.preventDefault();
        tryIt(true);
        if (name.trim() === "" || !enough) return;
        const spots = laid.map((what) => {
          const jar = menu.jars.find((one) => one.name === what);
          return { id: freshId(), what, looks: [], ...(jar ? { jar: jar.id } : {}) };
        });
        begin({
          id: freshId(),
          name: name.trim(),
          begunOn: today,
          ...(material === "" ? {} : { material }),
          ...(lies.trim() === "" ? {} : { lies: lies.trim() }),
          spots: [...spots, ...(bare ? [{ id: freshId(), what: "bare", bare: true as const, looks: [] }] : [])],
        });
      }}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <label className="block">
          What is to be found out
          <input
            className="field"
            maxLength={RECORD_LIMITS.name}
            value={name}
            placeholder="Which matt varnish yellows"
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label className="block">
          Where it lies
          <input className="field" maxLength={RECORD_LIMITS.to} value={lies} placeholder="south sill" onChange={(event) => setLies(event.target.value)} />
        </label>
        <Choice label="On what" value={material} choices={[{ id: "", name: "not said" }, ...menu.materials]} onChange={setMaterial} />
      </div>
      <fieldset className="grid gap-2">
        <legend>What is laid, field by field</legend>
        <datalist id="jars-for-trial">
          {menu.jars.map((jar) => (
            <option key={jar.id} value={jar.name} />
          ))}
        </datalist>
        {fields.map((what, index) => (
          <input
            key={index}
            className="field"
            aria-label={`Field ${index + 1}`}
            list="jars-for-trial"
            maxLength={RECORD_LIMITS.name}
            value={what}
            onChange={(event) => setFields(fields.map((one, at) => (at === index ? event.target.value : one)))}
          />
        ))}
        <div className="flex flex-wrap gap-2">
          {fields.length + 1 < TRIAL_LIMITS.spots && (
            <button type="button" className="button" onClick={() => setFields([...fields, ""])}>
              <Plus aria-hidden size={18} /> Another field
            </button>
          )}
          <Tick name="and a bare field beside them" on={bare} onChange={setBare} />
        </div>
      </fieldset>
      {tried && name.trim() === "" && (
        <p role="alert" className="text-stop">
          Say what is to be found out.
        </p>
      )}
      {tried && !enough && (
        <p role="alert" className="text-stop">
          Two fields at least: one thing alone tells nothing.
        </p>
      )}
      <p className="flex flex-wrap gap-2">
        <button type="submit" className="button button-act">
          Begin it
        </button>
        <button type="button" className="button" onClick={leave}>
          Leave it
        </button>
      </p>
    </form>
  );
}
