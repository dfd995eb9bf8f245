import { useState } from "react";
import { Check, Clock, Droplet, Hourglass } from "lucide-react";
import type { StepId } from "#core/catalogue/ids";
import type { ToldAct } from "#core/coating/explain/told-acts";
import type { Change } from "#core/coating/model/change";
import { moveBy } from "#core/coating/model/own-steps";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import type { StepState } from "#core/logbook/coat-states";
import { sayDurationRange } from "#core/units/duration";
import { sayVolume } from "#core/units/volume";
import type { Menu } from "#core/catalogue/menu";
import { looseningOf, MOST_PERCENT, PERCENT_PER_DROP } from "#core/film/thinning";
import { useAppContext } from "~/components/app-context";
import { ColourChip } from "~/components/colour-chip";
import { extentText } from "~/components/extent-words";
import { skipTo } from "~/components/skip-links";
import { isWaterborne } from "~/components/use-menu";
import { thinningText } from "~/components/thinning-words";
import { placesText, stepTitle, waitText } from "~/components/words";
import { DryingRanges } from "./drying-ranges";
import { MovableStep, StepOrder } from "./step-order";
import { useRunningValue } from "./use-running-value";

const MAX_COATS = 12;

/** The numbers behind a step, one level deeper. */
export function Figures({ step }: { step: Step }) {
  const rows = [
    step.jarMl === null ? null : ["From the jar", `${step.jarMl.toFixed(1)} ml`],
    step.thinning && step.thinning.percent > 0 ? ["Thinned by", `${step.thinning.percent} % of the paint`] : null,
    step.wetMicrons === null ? null : ["Wet film", `${Math.round(step.wetMicrons)} µm a coat`],
    step.dryMicrons === null ? null : ["Dry film", `${Math.round(step.dryMicrons)} µm a coat`],
    step.typical && step.cautious ? ["Dry to the touch", sayDurationRange(step.typical.touchDry, step.cautious.touchDry)] : null,
    step.typical && step.cautious ? ["Next coat from", sayDurationRange(step.typical.recoatFrom, step.cautious.recoatFrom)] : null,
    step.typical && step.cautious ? ["Dry right through", sayDurationRange(step.typical.dryThrough, step.cautious.dryThrough)] : null,
  ].filter((row) => row !== null);
  const [open, setOpen] = useState(false);
  if (rows.length === 0) return null;
  return (
    <details className="mt-1" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="w-fit py-1 text-soft underline">Exact figures (typical; your label wins)</summary>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4">
        {rows.map(([term, value]) => (
          <div key={term} className="contents">
            <dt className="text-soft">{term}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      {open && <DryingRanges step={step} />}
    </details>
  );
}

/** The user's own hand in the plan: a coat more or fewer, a drop more or fewer, or the act left out, in all its places. */
export function OwnChanges({
  act,
  title,
  menu,
  zones,
  apply,
}: {
  act: ToldAct;
  title: string;
  menu: Menu;
  zones: Candidate["zones"];
  apply: (changes: readonly Change[]) => void;
}) {
  const { step, stepIds } = act;
  const set = (field: string, value: unknown) => apply(stepIds.map((stepId): Change => ({ op: "set", stepId, field, value })));
  const { thinning } = step;
  const coatsAfter = useRunningValue(step.coats, 1, MAX_COATS);
  const percentAfter = useRunningValue(thinning?.percent ?? 0, 0, MOST_PERCENT);
  const earlier = moveBy(zones, stepIds, -1);
  const later = moveBy(zones, stepIds, 1);
  const layCoats = (by: number) => set("coats", coatsAfter(by));
  const thin = (by: number) => {
    if (thinning) set("thinning", { with: looseningOf(thinning, isWaterborne(menu, step.product)), percent: percentAfter(by) });
  };
  return (
    <div className="flex flex-wrap gap-2 print:hidden">
      {step.wetMicrons !== null && (
        <>
          <button type="button" className="chip" disabled={step.coats <= 1} aria-label={`One coat fewer: ${title}`} onClick={() => layCoats(-1)}>
            − coat
          </button>
          <button type="button" className="chip" disabled={step.coats >= MAX_COATS} aria-label={`One coat more: ${title}`} onClick={() => layCoats(1)}>
            + coat
          </button>
        </>
      )}
      {thinning && (step.role === "base" || step.role === "decorate" || thinning.with !== "none") && (
        <>
          <button
            type="button"
            className="chip"
            disabled={thinning.percent <= 0}
            aria-label={`A drop thicker: ${title}`}
            onClick={() => thin(-PERCENT_PER_DROP)}
          >
            − drop
          </button>
          <button
            type="button"
            className="chip"
            disabled={thinning.percent >= MOST_PERCENT}
            aria-label={`A drop thinner: ${title}`}
            onClick={() => thin(PERCENT_PER_DROP)}
          >
            + drop
          </button>
        </>
      )}
      <button type="button" className="chip" disabled={earlier.length === 0} aria-label={`Do it a step earlier: ${title}`} onClick={() => apply(earlier)}>
        earlier
      </button>
      <button type="button" className="chip" disabled={later.length === 0} aria-label={`Do it a step later: ${title}`} onClick={() => apply(later)}>
        later
      </button>
      <button
        type="button"
        className="chip"
        aria-label={`Leave out: ${title}`}
        onClick={() => apply(stepIds.map((stepId): Change => ({ op: "remove", stepId })))}
      >
        Leave out
      </button>
    </div>
  );
}

function StateMark({ state }: { state: StepState | undefined }) {
  if (!state || state.state === "to-come") return null;
  const {
    icon: Icon,
    word,
    tone,
  } = {
    done: { icon: Check, word: "done", tone: "text-ready" },
    wet: { icon: Droplet, word: "wet", tone: "text-ready" },
    waiting: { icon: Hourglass, word: "leave it alone", tone: "text-soft" },
    ready: { icon: Clock, word: "now", tone: "text-act" },
  }[state.state];
  return (
    <span className={`inline-flex items-center gap-1 text-sm font-semibold ${tone}`}>
      <Icon aria-hidden size={16} /> {state.done > 0 && state.done < state.of ? `${state.done} of ${state.of} done` : word}
    </span>
  );
}

interface Props {
  readonly acts: readonly ToldAct[];
  readonly zones: Candidate["zones"];
  /** How many places of the piece are worked on. */
  readonly places: number;
  readonly menu: Menu;
  readonly states: ReadonlyMap<StepId, StepState>;
  readonly begun: boolean;
  readonly selected: StepId | null;
  readonly select: (step: StepId) => void;
  readonly apply: (changes: readonly Change[]) => void;
}

/** The work in its order, act by act, with reasons. */
export function Steps({ acts, zones, places, menu, states, begun, selected, select, apply }: Props) {
  const { settings } = useAppContext();
  return (
    <section {...skipTo("steps", "Skip to the work, in its order")} className="mt-5" aria-label="The work in its order">
      <h3 className="text-xl">The work, in its order</h3>
      <StepOrder acts={acts} zones={zones} titleOf={(act) => stepTitle(act.step, menu)} apply={apply}>
        <ol className="mt-2 grid gap-2">
          {acts.map((act) => {
            const { step } = act;
            const title = stepTitle(step, menu);
            const thinning = thinningText(step, settings.dropsPerMl);
            const extent = extentText(step, settings.units);
            return (
              <MovableStep
                key={step.id}
                act={act}
                title={title}
                className={`rounded-lg border bg-sheet p-3 ${step.id === selected ? "border-ready shadow-[inset_0_0_0_2px_var(--ready)]" : "border-line"}`}
              >
                {step.waitBefore && (
                  <p className="mb-1 flex items-center gap-2 font-semibold text-ready">
                    <Clock aria-hidden size={18} /> {waitText(step.waitBefore)}
                  </p>
                )}
                <div className="flex flex-wrap items-start justify-between gap-2">
                  <h4 className="font-text text-lg font-semibold">
                    <button type="button" className="text-left" onClick={() => select(step.id)}>
                      <span className="mr-2 inline-block min-w-6 text-soft">{act.number}</span>
                      {title}
                    </button>
                    {act.colours.map((colour) => (
                      <span key={colour} className="ml-2">
                        <ColourChip colour={colour} sheen={step.sheen} size={20} />
                      </span>
                    ))}
                  </h4>
                  {begun && <StateMark state={states.get(step.id)} />}
                  {states.get(step.id)?.state !== "done" && <OwnChanges act={act} title={title} menu={menu} zones={zones} apply={apply} />}
                </div>
                {places > 1 && <p className="font-semibold">{placesText(act, places)}</p>}
                {step.because.map(({ requirement, text }) => (
                  <p key={`${requirement}-${text}`}>Because {text}.</p>
                ))}
                {extent && <p className="text-soft">{extent}</p>}
                {step.jarMl !== null && step.jarMl > 0 && (
                  <p className="text-soft">
                    Pour out {sayVolume(step.jarMl)}
                    {thinning ? `. ${thinning}` : "."}
                  </p>
                )}
                {step.checks.map((check) => (
                  <p key={check} className="text-soft">
                    <span aria-hidden>✓ </span>
                    {check}
                  </p>
                ))}
                <Figures step={step} />
              </MovableStep>
            );
          })}
        </ol>
      </StepOrder>
    </section>
  );
}
