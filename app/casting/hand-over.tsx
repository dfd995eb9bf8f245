import { useState } from "react";
import { openFaults } from "#core/casting/body-piece";
import type { HandOver } from "#core/casting/body-piece";
import { bodiesLeft } from "#core/casting/pour";
import type { CastBodies, PouredMould } from "#core/casting/pour";
import { Chips, Radios, Tick } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { useMenu } from "~/components/use-menu";
import { useDraft } from "~/components/use-draft";

interface Props {
  readonly bodies: CastBodies;
  /** The beginning of the names of its drafts. */
  readonly form: string;
  readonly mould: PouredMould;
  readonly soaped: boolean;
  readonly matured: boolean;
  readonly hand: (of: HandOver) => void;
  readonly leave: () => void;
}

/** Bodies become a piece: what they are for, how many, and which of them. */
export function HandOverForm({ form, bodies, mould, soaped, matured, hand, leave }: Props) {
  const menu = useMenu();
  const open = openFaults(bodies.faults);
  const left = bodiesLeft(bodies);
  const bad = Math.min(left, Math.max(0, ...open.map((one) => one.bodies)));
  const good = left - bad;
  const [faulty, setFaulty] = useDraft(`${form}.faulty`, good === 0);
  const [name, setName] = useDraft(`${form}.name`, mould.name);
  const [uses, setUses] = useDraft<readonly string[]>(`${form}.uses`, ["handled"]);
  const [count, setCount] = useDraft<number | null>(`${form}.count`, null);
  const [soapy, setSoapy] = useDraft(`${form}.soapy`, false);
  const [tried, tryIt] = useState(false);
  const most = faulty ? bad : bad === 0 ? left : good;
  const many = Math.min(count ?? most, most);
  const nameless = name.trim() === "";
  return (
    <form
      className="sheet mt-3 grid gap-3 p-4"
      aria-label="They become a piece"
      onSubmit={(event) => {
        event.preventDefault();
        tryIt(true);
        if (!nameless && many > 0) hand({ name: name.trim(), count: many, uses, faulty, soapy, matured });
      }}
    >
      {bad > 0 && good > 0 && (
        <Radios
          legend="Which of them?"
          value={faulty ? "bad" : "good"}
          choices={[
            { id: "good", name: `the ${good} that are sound` },
            { id: "bad", name: `the ${bad} with something to mend` },
          ]}
          onChange={(id) => (setFaulty(id === "bad"), setCount(null))}
        />
      )}
      <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_8rem]">
        <label className="block">
          What they are called
          <input className="field" maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        {most > 1 && (
          <NumberField key={most} label="How many" value={many} bounds={{ least: 1, most }} whole save={(value) => value !== undefined && setCount(value)} />
        )}
      </div>
      {tried && nameless && (
        <p role="alert" className="text-stop">
          Give them a name.
        </p>
      )}
      <div>
        <p className="mb-1">What they are for</p>
        <Chips label="What they are for" choices={menu.uses} chosen={uses} onChange={setUses} least={1} />
      </div>
      {soaped && <Tick name="the soap is still on them: it was not rinsed off" on={soapy} onChange={setSoapy} />}
      <p className="flex flex-wrap gap-2">
        <button type="submit" className="button button-act">
          Make the coat plan
        </button>
        <button type="button" className="button" onClick={leave}>
          Leave them here
        </button>
      </p>
    </form>
  );
}
