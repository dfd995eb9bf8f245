import { Check, Clock, Droplet, Hourglass } from "lucide-react";
import type { StepId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import type { Step } from "#core/coating/model/step";
import type { StepState } from "#core/logbook/coat-states";
import { sayDurationRange } from "#core/units/duration";
import { sayVolume } from "#core/units/volume";
import type { Menu } from "#core/catalogue/menu";
import { ColourChip } from "~/components/colour-chip";
import { stepTitle, waitText } from "~/components/words";

const MAX_COATS = 12;

/** The numbers behind a step, one level deeper. */
export function Figures({ step }: { step: Step }) {
  const rows = [
    step.jarMl === null ? null : ["From the jar", `${step.jarMl.toFixed(1)} ml`],
    step.wetMicrons === null ? null : ["Wet film", `${Math.round(step.wetMicrons)} µm a coat`],
    step.dryMicrons === null ? null : ["Dry film", `${Math.round(step.dryMicrons)} µm a coat`],
    step.typical && step.cautious ? ["Dry to the touch", sayDurationRange(step.typical.touchDry, step.cautious.touchDry)] : null,
    step.typical && step.cautious ? ["Next coat from", sayDurationRange(step.typical.recoatFrom, step.cautious.recoatFrom)] : null,
    step.typical && step.cautious ? ["Dry right through", sayDurationRange(step.typical.dryThrough, step.cautious.dryThrough)] : null,
  ].filter((row) => row !== null);
  if (rows.length === 0) return null;
  return (
    <details className="mt-1">
      <summary className="w-fit py-1 text-soft underline">Exact figures (typical; your label wins)</summary>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4">
        {rows.map(([term, value]) => (
          <div key={term} className="contents">
            <dt className="text-soft">{term}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}

/** The user's own hand in the plan: a coat more or fewer, or the step left out. */
export function OwnChanges({ step, title, apply }: { step: Step; title: string; apply: (changes: readonly Change[]) => void }) {
  const set = (coats: number) => apply([{ op: "set", stepId: step.id, field: "coats", value: coats }]);
  return (
    <div className="flex flex-wrap gap-2 print:hidden">
      {step.wetMicrons !== null && (
        <>
          <button type="button" className="chip" disabled={step.coats <= 1} aria-label={`One coat fewer: ${title}`} onClick={() => set(step.coats - 1)}>
            − coat
          </button>
          <button type="button" className="chip" disabled={step.coats >= MAX_COATS} aria-label={`One coat more: ${title}`} onClick={() => set(step.coats + 1)}>
            + coat
          </button>
        </>
      )}
      <button type="button" className="chip" aria-label={`Leave out: ${title}`} onClick={() => apply([{ op: "remove", stepId: step.id }])}>
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
  readonly title: string;
  readonly steps: readonly Step[];
  readonly menu: Menu;
  readonly numbers: ReadonlyMap<string, number>;
  readonly states: ReadonlyMap<StepId, StepState>;
  readonly begun: boolean;
  readonly selected: StepId | null;
  readonly select: (step: StepId) => void;
  readonly apply: (changes: readonly Change[]) => void;
}

/** The steps of one part of the work, in order and with reasons. */
export function Steps({ title: heading, steps, menu, numbers, states, begun, selected, select, apply }: Props) {
  return (
    <section className="mt-5" aria-label={`Steps: ${heading}`}>
      <h3 className="text-xl">{heading}</h3>
      <ol className="mt-2 grid gap-2">
        {steps.map((step) => {
          const title = stepTitle(step, menu);
          return (
            <li
              key={step.id}
              id={`step-${step.id}`}
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
                    <span className="mr-2 inline-block min-w-6 text-soft">{numbers.get(step.id)}</span>
                    {title}
                  </button>
                  {step.colour && (
                    <span className="ml-2">
                      <ColourChip colour={step.colour} sheen={step.sheen} size={20} />
                    </span>
                  )}
                </h4>
                {begun && <StateMark state={states.get(step.id)} />}
                <OwnChanges step={step} title={title} apply={apply} />
              </div>
              {step.because.map(({ requirement, text }) => (
                <p key={requirement}>Because {text}.</p>
              ))}
              {step.jarMl !== null && <p className="text-soft">Pour out {sayVolume(step.jarMl)}.</p>}
              {step.thinning && (
                <p className="text-soft">
                  Loosen it with about {step.thinning.percent} parts of {step.thinning.with === "water" ? "water" : "fluid medium"} to 100 of paint.
                </p>
              )}
              {step.checks.map((check) => (
                <p key={check} className="text-soft">
                  <span aria-hidden>✓ </span>
                  {check}
                </p>
              ))}
              <Figures step={step} />
            </li>
          );
        })}
      </ol>
    </section>
  );
}
