import { Check, Hourglass, ShieldAlert } from "lucide-react";
import type { Candidate } from "#core/coating/model/plan";
import type { Effect } from "#core/logbook/rescue/remedy";
import type { Offered } from "#core/logbook/rescue/rescue";
import { costOf } from "#core/logbook/rescue/rewriting";
import type { Rewriting } from "#core/logbook/rescue/rewriting";
import { sayDurationRange } from "#core/units/duration";
import { once } from "~/components/once";
import { sayClock } from "~/components/time-words";

interface Props {
  readonly offered: Offered;
  readonly first: boolean;
  readonly rewriting: Rewriting;
  readonly shown: Candidate;
  /** When it may be done, ms; null for at once. */
  readonly until: number | null;
  /** When the film is dry to the touch, ms. */
  readonly dryAt: number;
  readonly done: () => void;
  readonly hold: (until: number) => void;
  readonly now: number;
}

/** What becomes of the plan. */
const PLAN_WORDS: Readonly<Record<Effect["kind"], string>> = {
  none: "The plan stays as it is; where it got fresh paint it dries anew.",
  wait: "The plan stays; the piece is left for longer.",
  relay: "Its last coat is asked for again.",
  "take-off": "The coat, and what was on it, is asked for again.",
  "refill-ground": "The ground is noted as laid, and the coat asked for again.",
  "one-more": "The coat is noted as laid, and dries from now on.",
  block: "The stain blocker is noted as laid, and one coat more is asked for.",
  accent: "The accent is noted as laid, a step of its own, and dries from now on.",
  "start-again": "Everything on this place is asked for again.",
};

const least = (min: number) => Math.max(1, Math.round(min));

/** One way to put it right: steps, what it costs, what would make it worse, and what becomes of the plan. */
export function RemedyCard({ offered, first, rewriting, shown, until, dryAt, done, hold, now }: Props) {
  const { remedy, steps, whyHere, cautions } = offered;
  const { hands, waits } = costOf(remedy.min, rewriting, shown);
  const letsDry = remedy.id === "let-dry";
  return (
    <section aria-label={remedy.name} className={`note p-4 ${first ? "border-l-8 border-l-act" : ""}`} data-remedy={remedy.id}>
      <h3 className="text-xl">{remedy.name}</h3>
      {remedy.school !== undefined && (
        <p className="text-soft">
          {remedy.school} {whyHere !== null && <strong className="text-ink">{whyHere}</strong>}
        </p>
      )}
      {cautions.map((caution) => (
        <p key={caution} className="mt-1 flex gap-2">
          <ShieldAlert aria-hidden size={20} className="mt-0.5 shrink-0" /> {caution}
        </p>
      ))}
      <ol className="mt-2 list-decimal pl-6">
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p className="mt-2">
        <strong>Would make it worse:</strong> {remedy.worse.join("; ")}.
      </p>
      <p className="mt-1 text-soft">
        Costs {sayDurationRange(least(hands[0]), least(hands[1]))} of your hands
        {waits[1] > 0 && `, and ${sayDurationRange(waits[0], waits[1])} of drying`} (typical). {PLAN_WORDS[remedy.effect.kind]}
      </p>
      <p className="mt-3 flex flex-wrap gap-2">
        {until === null && !letsDry && (
          <button
            type="button"
            className={`button ${first ? "button-act" : ""}`}
            aria-label={`I have done it: ${remedy.name}`}
            onClick={(event) => once(event) && done()}
          >
            <Check aria-hidden size={20} /> I have done it
          </button>
        )}
        {(until !== null || letsDry) && (
          <button
            type="button"
            className="button"
            aria-label={`Hold the piece and remind me: ${remedy.name}`}
            onClick={(event) => once(event) && hold(until ?? dryAt)}
          >
            <Hourglass aria-hidden size={20} /> Hold it, remind me {sayClock(until ?? dryAt, now)}
          </button>
        )}
      </p>
    </section>
  );
}
