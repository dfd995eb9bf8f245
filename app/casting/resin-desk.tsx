import { hardenerByVolume, hardenerByWeight, potLifeMin, resinMl, resinParts, resinWarnings, TYPICAL_RESIN } from "#core/casting/resin";
import type { ResinLabel, ResinWarning } from "#core/casting/resin";
import type { Run } from "#core/casting/weighing-run";
import { sayDurationRange } from "#core/units/duration";
import { sayMass } from "#core/units/mass";
import { MM2_PER_M2 } from "#core/units/volume";
import { useAppContext } from "~/components/app-context";
import { Choice } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { useDesk } from "~/mixing/use-desk";
import { ResinFields } from "./bag-form";
import { weightUnit } from "./casting-words";
import type { Casting } from "./use-casting";
import { WeighPart } from "./weigh-part";
import { useDraft } from "~/components/use-draft";

const WARNING_WORDS: Readonly<Record<ResinWarning, string>> = {
  stalls: "Below 15 °C it stalls and stays tacky: warm the room, the piece and both bottles first.",
  slow: "Cooler than it likes: it levels and hardens slowly. 20 to 25 °C is right.",
  runs: "So warm it runs, bubbles and sets at once: wait for a cooler hour.",
  "hot-cup": "So much in one cup runs hot, smokes and sets: split it, or pour it out wide at once.",
  "several-pours": "Too deep for one pour: in layers, each tacky or sanded before the next.",
};

/** A cup is left a fifth shorter or longer than is reckoned. */
const WITHIN = 0.2;
const WORDS = { first: "resin", second: "hardener" } as const;
const AREA_CM2 = { least: 0.5, most: 100_000 } as const;
const MM2_PER_CM2 = MM2_PER_M2 / 10_000;

interface State {
  readonly kit: string;
  readonly resin: ResinLabel;
  readonly areaCm2: number;
  readonly depthMm: number;
  readonly bumpMm: number;
  readonly lossPercent: number;
  readonly roomC?: number | null;
}

const START: State = { kit: "", resin: TYPICAL_RESIN, areaCm2: 100, depthMm: 1.6, bumpMm: 0, lossPercent: 10 };

/** Both parts of a resin for a top: by weight and by volume, and how long the cup lasts. */
export function ResinDesk({ casting, roomC, areaCm2 }: { casting: Casting; roomC: number; areaCm2: number | null }) {
  const unit = weightUnit(useAppContext().settings.units);
  const [state, set] = useDesk<State>(areaCm2 === null ? "resin" : `resin-${areaCm2}`, areaCm2 === null ? START : { ...START, areaCm2 });
  const [run, setRun] = useDraft<Run | null>("resin.run", null);
  const kits = casting.compounds.flatMap((one) => (one.kind === "resin" ? [one] : []));
  const kit = kits.find(({ id }) => id === state.kit) ?? (state.kit === "" ? kits[0] : undefined);
  const resin = kit?.resin ?? state.resin;
  const room = state.roomC ?? roomC;
  const { ml, pours } = resinMl({ areaMm2: state.areaCm2 * MM2_PER_CM2, depthMm: state.depthMm, bumpMm: state.bumpMm, lossPercent: state.lossPercent });
  const perPour = ml / pours;
  const parts = resinParts(perPour, resin);
  const g = parts.resinG + parts.hardenerG;
  const pot = potLifeMin(g, room, resin);
  const ratio = { waterPer100: (parts.resinG / parts.hardenerG) * 100 };
  const number = (
    label: string,
    of: "areaCm2" | "depthMm" | "bumpMm" | "lossPercent",
    word: string,
    bounds: { readonly least: number; readonly most: number },
  ) => <NumberField key={of} label={label} unit={word} value={state[of]} bounds={bounds} save={(value) => value !== undefined && set({ [of]: value })} />;
  return (
    <div className="grid gap-5">
      <section aria-label="What to weigh" className="sheet p-4">
        <p className="text-2xl tabular-nums sm:text-3xl">
          <strong>{sayMass(parts.resinG, unit)}</strong> resin, <strong>{sayMass(parts.hardenerG, unit)}</strong> hardener
        </p>
        <p className="text-soft">
          {pours > 1 ? `For each of ${pours} pours. ` : ""}By volume {parts.resinMl.toFixed(1)} ml and {parts.hardenerMl.toFixed(1)} ml:{" "}
          {Math.round(hardenerByWeight(resin))} to 100 by weight is {Math.round(hardenerByVolume(resin))} to 100 by volume.
        </p>
        <p>
          In the cup it stays fluid for about {sayDurationRange(pot * (1 - WITHIN), pot * (1 + WITHIN))} at {room} °C; poured out thin it lasts longer.
        </p>
        {resinWarnings(g, room, pours).map((warning) => (
          <p key={warning} className="text-act">
            {WARNING_WORDS[warning]}
          </p>
        ))}
      </section>
      <div className="grid items-end gap-3 sm:grid-cols-3">
        {number("Area", "areaCm2", "cm²", AREA_CM2)}
        {number("Deep, over the highest spot", "depthMm", "mm", { least: 0.2, most: 30 })}
        {number("Bumps stand up by", "bumpMm", "mm", { least: 0, most: 20 })}
        {number("Stays in the cup and runs off", "lossPercent", "%", { least: 0, most: 80 })}
        <NumberField
          label="The room"
          unit="°C"
          value={state.roomC ?? undefined}
          typical={String(roomC)}
          bounds={{ least: -5, most: 50 }}
          save={(c) => set({ roomC: c ?? null })}
        />
        <Choice
          label="Which resin"
          value={kit?.id ?? "typical"}
          choices={[...kits.map(({ id, name }) => ({ id: id as string, name })), { id: "typical", name: "one that is not on the shelf" }]}
          onChange={(id) => set({ kit: id })}
        />
      </div>
      {!kit && (
        <details>
          <summary className="min-h-11 cursor-pointer">
            What its label says: {resin.hardenerPer100} to 100 by {resin.by}
          </summary>
          <div className="mt-2 grid items-end gap-3 sm:grid-cols-3">
            <ResinFields resin={resin} set={(next) => set({ resin: next })} />
          </div>
        </details>
      )}
      {run ? (
        <div>
          <WeighPart
            draft="scale-resin"
            run={run}
            wanted={{ waterG: parts.resinG, powderG: parts.hardenerG }}
            ratio={ratio}
            words={WORDS}
            vessel="cup"
            note={setRun}
          />
          <p className="mt-3">
            <button type="button" className="button" onClick={() => setRun(null)}>
              {run.powderG === undefined ? "Leave it" : "Another cup"}
            </button>
          </p>
        </div>
      ) : (
        <p>
          <button type="button" className="button button-act text-lg" onClick={() => setRun({ tared: false })}>
            Weigh it at the scale
          </button>
        </p>
      )}
      <ul className="grid list-disc gap-1 pl-5 text-soft">
        <li>Off its ratio it never hardens: weigh both, scrape the cup, stir three minutes, stir again in a second cup.</li>
        <li>Gloves, long sleeves, air; it must not touch skin. No flame near, no child near. The label wins.</li>
        <li>Fill level, dry and dust-free; above 65 % damp the top may bloom.</li>
      </ul>
    </div>
  );
}
