import { useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import { X } from "lucide-react";
import { bodiesLeft, weighingsOf } from "#core/casting/pour";
import type { CastBodies } from "#core/casting/pour";
import { castMaturity } from "#core/casting/cast-maturity";
import { dryOf, knownOf, toldOf } from "#core/casting/pour-state";
import { costPerBody } from "#core/casting/records-say";
import { castRepairBody } from "#core/casting/repair/repair-body";
import { repairOf } from "#core/casting/repair/repair";
import type { PourRecord } from "#core/formats/stores/pours";
import { MS_PER_MIN } from "#core/schedule/free-hours";
import { sayMass } from "#core/units/mass";
import { setTimerTo } from "~/bench/timer-asks";
import { useAfter } from "~/actions/use-after";
import { useAppContext } from "~/components/app-context";
import { NumberField } from "~/components/number-field";
import { sayClock } from "~/components/time-words";
import { ToolButton } from "~/components/tool-button";
import { freshId } from "~/store/fresh-id";
import { sayDrying, weightUnit } from "./casting-words";
import { CementPart } from "./cement-part";
import { DryingChart } from "./drying-chart";
import { FaultList, NewFault } from "./fault-part";
import { HandOverForm } from "./hand-over";
import { MassField } from "./mass-field";
import { MouldPicture } from "./mould-picture";
import type { Casting } from "./use-casting";
import { useDraft, useOpenForm } from "~/components/use-draft";

interface Props {
  readonly pour: PourRecord;
  readonly bodies: CastBodies;
  readonly at: number;
  readonly now: number;
  readonly casting: Casting;
}

const WEIGHED = { least: 1, most: 100_000 } as const;

/** A weighing, now or at a time that is said. */
function Weigh({ form, onScale, note }: { form: string; onScale: number; note: (g: number, at: string) => void }) {
  const unit = weightUnit(useAppContext().settings.units);
  const [g, setG] = useDraft<number | undefined>(`${form}.g`, undefined);
  const [when, setWhen] = useDraft(`${form}.when`, "");
  const [round, setRound] = useState(0);
  const instant = when === "" ? Date.now : () => new Date(when).getTime();
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (g === undefined) return;
        note(g, new Date(Math.min(Date.now(), instant())).toISOString());
        setG(undefined);
        setWhen("");
        setRound(round + 1);
      }}
    >
      <div className="w-36">
        <MassField key={round} label={onScale > 1 ? `The ${onScale} weigh` : "It weighs"} g={g} unit={unit} bounds={WEIGHED} save={setG} />
      </div>
      <label className="w-56">
        <span>
          Weighed <span className="text-soft">(empty: now)</span>
        </span>
        <input type="datetime-local" className="field" value={when} onChange={(event) => setWhen(event.target.value)} />
      </label>
      <button type="submit" className="button" disabled={g === undefined}>
        Note it
      </button>
    </form>
  );
}

/** Bodies of one mould: how far they have dried, what is wrong with them, and their way to the pieces. */
export function BodiesPart({ pour, bodies, at, now, casting }: Props) {
  const navigate = useNavigate();
  const [going, after] = useAfter();
  const { settings, announce } = useAppContext();
  const unit = weightUnit(settings.units);
  const [handing, setHanding] = useOpenForm(`hand-over-${at}`, false);
  const [wrong, setWrong] = useOpenForm(`fault-${at}`, false);
  const mould = pour.moulds[bodies.mould]!;
  const left = bodiesLeft(bodies);
  const gypsum = pour.powder.kind === "gypsum";
  const { dryG, toLoseG } = useMemo(() => dryOf(pour, bodies), [pour, bodies]);
  const known = useMemo(() => knownOf(pour, bodies), [pour, bodies]);
  const weighings = useMemo(() => weighingsOf(bodies), [bodies]);
  const told = useMemo(() => toldOf(pour, bodies), [pour, bodies]);
  const maturity = gypsum ? null : castMaturity(pour, bodies, now);
  const change = (of: Parameters<Casting["change"]>[1]) => casting.change(pour.id, of);
  const body = castRepairBody(pour.powder.kind, mould.form, told?.constant === true);
  const cost = costPerBody(pour, bodies.mould);
  return (
    <li id={`bodies-${at}`} className="sheet grid min-w-0 gap-3 p-4" data-bodies={at}>
      <div className="flex items-center gap-3">
        <MouldPicture form={mould.form} />
        <div className="min-w-0">
          <h3 className="text-xl">
            {mould.name}
            {bodies.count > 1 && ` × ${bodies.count}`}
          </h3>
          <p className="text-soft">
            Out {sayClock(Date.parse(bodies.outAt), now)}
            {cost !== null && `; powder for ${cost.toFixed(2)} each`}
          </p>
        </div>
      </div>
      <p className={`text-lg ${told?.constant ? "text-ready" : ""}`} role="status">
        {gypsum ? sayDrying(told, unit, now, bodies.onScale > 1) : null}
      </p>
      <p className="flex flex-wrap gap-2">
        {left > 0 && !handing && (
          <button type="button" className={`button ${told?.constant || maturity?.share === 1 ? "button-act" : ""}`} onClick={() => setHanding(true)}>
            {left === 1 ? "Paint it" : `Paint the ${left}`}
          </button>
        )}
        {!wrong && (
          <button type="button" className="button" onClick={() => setWrong(true)}>
            Something is wrong with {bodies.count === 1 ? "it" : "some"}
          </button>
        )}
      </p>
      {going && <p role="status">Making the coat plan…</p>}
      {handing && !going && left > 0 && (
        <HandOverForm
          form={`hand-over-${at}`}
          bodies={bodies}
          mould={mould}
          soaped={pour.preparation === "soap"}
          matured={maturity?.share === 1}
          leave={() => setHanding(false)}
          hand={(of) => {
            const piece = freshId();
            after(casting.ask({ intent: "hand-over", id: pour.id, piece, bodies: at, of }), () => {
              setHanding(false);
              announce(`${of.name} is among your pieces`);
              void navigate(of.faulty ? `/pieces/${piece}/repair` : `/pieces/${piece}`);
            });
          }}
        />
      )}
      {wrong && (
        <NewFault
          form={`fault-${at}`}
          cast
          bodies={bodies.count}
          add={(fault) => {
            change({ kind: "fault", bodies: at, fault: { ...fault, id: freshId() } });
            setWrong(false);
          }}
        />
      )}
      {maturity && <CementPart maturity={maturity} now={now} />}
      {gypsum && !told && (
        <p className="text-soft">
          About {sayMass(toLoseG, unit)} of water have to leave {bodies.onScale > 1 ? "them" : "it"}: dry it weighs about {sayMass(dryG, unit)}.
        </p>
      )}
      {gypsum && (told?.leftG || told?.constant) && weighings.length > 1 && (
        <DryingChart weighings={weighings} known={known} told={told} unit={unit} now={now} />
      )}
      {gypsum && <Weigh form={`weighing-${at}`} onScale={bodies.onScale} note={(g, when) => change({ kind: "weigh", bodies: at, g, at: when })} />}
      {bodies.weighings.length > 0 && (
        <ul aria-label={`Weighings of ${mould.name}`} className="flex flex-wrap gap-2">
          {bodies.weighings.map((one) => (
            <li key={one.at} className="flex items-center rounded-md border border-line pl-2">
              {sayClock(Date.parse(one.at), now)}: {sayMass(one.g, unit)}
              <ToolButton
                icon={X}
                label={`Take off ${sayMass(one.g, unit)} of ${sayClock(Date.parse(one.at), now)}`}
                onClick={() => change({ kind: "weigh-off", bodies: at, at: one.at })}
              />
            </li>
          ))}
        </ul>
      )}
      {gypsum && bodies.count > 1 && bodies.weighings.length === 0 && (
        <div className="max-w-56">
          <NumberField
            label="How many lie on the scale"
            value={bodies.onScale}
            bounds={{ least: 1, most: bodies.count }}
            whole
            save={(count) => count !== undefined && change({ kind: "on-scale", bodies: at, count })}
          />
        </div>
      )}
      <FaultList
        faults={bodies.faults}
        count={bodies.count}
        repair={(fault) => repairOf(fault, body)}
        save={(fault) => change({ kind: "fault", bodies: at, fault })}
        remove={(id) => change({ kind: "fault-off", bodies: at, id })}
        wait={(min) => {
          setTimerTo(`Filled: ${mould.name} may be rubbed`.slice(0, 80), Date.now() + min * MS_PER_MIN, { pour: pour.id });
          announce("A timer runs on the Bench");
        }}
      />
      {bodies.pieces.length > 0 && (
        <p>
          {bodies.pieces.map(({ piece, count }, k) => (
            <span key={piece}>
              {k > 0 && "; "}
              {count} {casting.pieces[piece] === undefined ? "went to a piece that is no longer here" : "are "}
              {casting.pieces[piece] !== undefined && (
                <Link to={`/pieces/${piece}`} className="underline">
                  {casting.pieces[piece]}
                </Link>
              )}
            </span>
          ))}
          .
        </p>
      )}
    </li>
  );
}
