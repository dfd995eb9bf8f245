import { Clock } from "lucide-react";
import type { Change } from "#core/coating/change";
import type { Step } from "#core/coating/plan";
import { sayDurationRange } from "#core/units/duration";
import { sayVolume } from "#core/units/volume";
import type { Menu } from "#core/catalogue/menu";
import { stepTitle, waitText } from "~/components/words";

const MAX_COATS = 12;

function Figures({ step }: { step: Step }) {
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

function OwnChanges({ step, title, apply }: { step: Step; title: string; apply: (changes: readonly Change[]) => void }) {
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

/** The steps of one part of the work, in order and with reasons. */
export function Steps({
  title: heading,
  steps,
  menu,
  numbers,
  apply,
}: {
  title: string;
  steps: readonly Step[];
  menu: Menu;
  numbers: ReadonlyMap<string, number>;
  apply: (changes: readonly Change[]) => void;
}) {
  return (
    <section className="mt-6" aria-label={`Steps: ${heading}`}>
      <h3 className="text-xl">{heading}</h3>
      <ol className="mt-2 grid gap-2">
        {steps.map((step) => {
          const title = stepTitle(step, menu);
          return (
            <li
              key={step.id}
              id={`step-${step.id}`}
              tabIndex={-1}
              className="rounded-lg border border-line bg-sheet p-3 target:border-act target:shadow-[inset_0_0_0_2px_var(--act)]"
            >
              {step.waitBefore && (
                <p className="mb-1 flex items-center gap-2 font-semibold text-ready">
                  <Clock aria-hidden size={18} /> {waitText(step.waitBefore)}
                </p>
              )}
              <div className="flex flex-wrap items-start justify-between gap-2">
                <h4 className="font-text text-lg font-semibold">
                  <span className="mr-2 inline-block min-w-6 text-soft">{numbers.get(step.id)}</span>
                  {title}
                  {step.colour && (
                    <svg width="20" height="20" role="img" aria-label={`colour ${step.colour}`} className="ml-2 inline align-text-bottom">
                      <rect x="1" y="1" width="18" height="18" rx="4" fill={step.colour} stroke="var(--ink)" />
                    </svg>
                  )}
                </h4>
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
