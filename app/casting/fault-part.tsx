import { Check, Plus, Trash2 } from "lucide-react";
import type { FoundFault } from "#core/casting/pour";
import { FAULT_BOUNDS, FAULT_KINDS, FAULTS } from "#core/casting/repair/fault";
import type { Fault, FaultKind, FaultPlace } from "#core/casting/repair/fault";
import type { Repair } from "#core/casting/repair/repair";
import { sayDuration } from "#core/units/duration";
import { fromMm, toMm } from "#core/units/length";
import { useAppContext } from "~/components/app-context";
import { Choice } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { ToolButton } from "~/components/tool-button";
import { PLACE_WORDS, sayFault } from "./casting-words";
import { useDraft } from "~/components/use-draft";

const rounded = (value: number) => Math.round(value * 100) / 100;

/** How a fault is mended, in the order of the hands. */
export function RepairSteps({ repair }: { repair: Repair }) {
  return (
    <>
      <p className="leading-snug">
        <strong>{repair.title}.</strong> {repair.why}
        {repair.handsMin > 0 && <span className="text-soft"> About {sayDuration(Math.max(1, repair.handsMin))} of your hands.</span>}
      </p>
      <ol className="list-decimal pl-6">
        {repair.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      {repair.instead && <p className="text-soft">{repair.instead}</p>}
      {repair.cautions.map((caution) => (
        <p key={caution} className="text-act">
          {caution}
        </p>
      ))}
    </>
  );
}

/** What is wrong, where, how large: put in with a few taps. @param form the beginning of the names of its drafts @param cast it came out of a mould: what brings it about there is told */
export function NewFault({ form, bodies, cast, add }: { form: string; bodies: number; cast: boolean; add: (fault: Fault) => void }) {
  const { units } = useAppContext().settings;
  const [kind, setKind] = useDraft<FaultKind>(`${form}.kind`, "hole");
  const [place, setPlace] = useDraft<FaultPlace>(`${form}.place`, "face");
  const [on, setOn] = useDraft(`${form}.on`, 1);
  const [each, setEach] = useDraft(`${form}.each`, 1);
  const [widthMm, setWidth] = useDraft<number | undefined>(`${form}.widthMm`, undefined);
  const [depthMm, setDepth] = useDraft<number | undefined>(`${form}.depthMm`, undefined);
  const sort = FAULTS[kind];
  const at = sort.places.includes(place) ? place : sort.places[0]!;
  const size = (mm: number) => rounded(fromMm(mm, units));
  const bounds = (of: { readonly least: number; readonly most: number }) => ({ least: size(of.least), most: size(of.most) });
  return (
    <form
      className="grid items-end gap-3 sm:grid-cols-3"
      aria-label="Something is wrong"
      onSubmit={(event) => {
        event.preventDefault();
        add({ kind, place: at, bodies: Math.min(on, bodies), each, widthMm: widthMm ?? sort.usual.widthMm, ...(depthMm === undefined ? {} : { depthMm }) });
        setDepth(undefined);
        setWidth(undefined);
        setEach(1);
      }}
    >
      <Choice
        label="What is wrong"
        value={kind}
        choices={FAULT_KINDS.map((id) => ({ id, name: FAULTS[id].name }))}
        onChange={(id) => setKind(id as FaultKind)}
      />
      <Choice label="Where" value={at} choices={sort.places.map((id) => ({ id, name: PLACE_WORDS[id] }))} onChange={(id) => setPlace(id as FaultPlace)} />
      {bodies > 1 && (
        <NumberField label="On how many of them" value={on} bounds={{ least: 1, most: bodies }} whole save={(value) => value !== undefined && setOn(value)} />
      )}
      <NumberField label="How many on each" value={each} bounds={FAULT_BOUNDS.each} whole save={(value) => value !== undefined && setEach(value)} />
      <NumberField
        label="Across"
        unit={units}
        value={widthMm === undefined ? undefined : size(widthMm)}
        typical={`${size(sort.usual.widthMm)}, usual`}
        bounds={bounds(FAULT_BOUNDS.widthMm)}
        save={(value) => setWidth(value === undefined ? undefined : rounded(toMm(value, units)))}
      />
      <NumberField
        label="Deep, or high"
        unit={units}
        value={depthMm === undefined ? undefined : size(depthMm)}
        typical={`${size(sort.usual.depthMm)}, usual`}
        bounds={bounds(FAULT_BOUNDS.depthMm)}
        save={(value) => setDepth(value === undefined ? undefined : rounded(toMm(value, units)))}
      />
      <button type="submit" className="button justify-self-start">
        <Plus aria-hidden size={18} /> Note it
      </button>
      <p className="text-soft sm:col-span-2">
        What it looks like: {sort.looks}. {cast && sort.from}
      </p>
    </form>
  );
}

interface ListProps {
  readonly faults: readonly FoundFault[];
  readonly count: number;
  readonly repair: (fault: Fault) => Repair;
  readonly save: (fault: FoundFault) => void;
  readonly remove: (id: string) => void;
  /** A round is in: it is left for so long, minutes. */
  readonly wait: (min: number) => void;
}

/** Faults that were found, each with how it is mended here and now, and how far that has come. */
export function FaultList({ faults, count, repair, save, remove, wait }: ListProps) {
  if (faults.length === 0) return null;
  return (
    <ul aria-label="What is wrong with them" className="grid gap-3">
      {faults.map((fault) => {
        const mend = repair(fault);
        const done = fault.roundsDone ?? 0;
        return (
          <li key={fault.id} className="rounded-lg border border-line p-3">
            <div className="flex items-start justify-between gap-2">
              <p className="text-lg">
                {fault.mended && <Check aria-hidden size={20} className="mr-1 inline text-ready" />}
                {sayFault(fault, count)}
                {fault.mended && <span className="text-ready">: mended</span>}
              </p>
              <ToolButton icon={Trash2} label={`Take off: ${sayFault(fault, count)}`} onClick={() => remove(fault.id)} />
            </div>
            {!fault.mended && <RepairSteps repair={mend} />}
            {!fault.mended && mend.way !== "cast-anew" && (
              <p className="mt-2 flex flex-wrap gap-2">
                {done < mend.rounds && (
                  <button
                    type="button"
                    className="button"
                    onClick={() => {
                      save({ ...fault, roundsDone: done + 1 });
                      wait(mend.roundWaitMin);
                    }}
                  >
                    {mend.rounds > 1 ? `Round ${done + 1} of ${mend.rounds} is in` : "It is filled"}
                  </button>
                )}
                <button type="button" className={`button ${done >= mend.rounds ? "button-act" : ""}`} onClick={() => save({ ...fault, mended: true })}>
                  Mended
                </button>
                {done > 0 && <span className="self-center text-soft">{done === 1 ? "one round is in" : `${done} rounds are in`}</span>}
              </p>
            )}
          </li>
        );
      })}
    </ul>
  );
}
