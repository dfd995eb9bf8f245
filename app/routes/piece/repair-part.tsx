import { useState } from "react";
import { Pin, Wrench } from "lucide-react";
import type { StepId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import type { Keeping } from "#core/coating/planner/plan-with-edits";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import type { Repair } from "#core/coating/planner/repair";
import type { Piece } from "#core/piece/piece";
import { stepTitle } from "~/components/words";
import { useAppContext } from "~/components/app-context";
import type { PlanActions } from "./plan-actions";

interface Props {
  readonly piece: Piece;
  readonly keeping: Keeping;
  readonly shown: Candidate;
  readonly pinned: readonly StepId[];
  readonly menu: Menu;
  readonly actions: PlanActions;
}

/** Steps that stay whatever is made right around them: those the user keeps, and those the user put in or changed themselves. */
function keptSteps(shown: Candidate, pinned: readonly StepId[]): readonly Step[] {
  return shown.zones.flatMap((zone) => zone.steps).filter((step) => !step.done && (pinned.includes(step.id) || step.origin === "hers"));
}

/** What an answer is an answer to: the plan's steps as they stand, and those kept. */
function asking(shown: Candidate, kept: readonly Step[]): string {
  const looks = shown.zones.flatMap((zone) => zone.steps.map((step) => [step.id, step.product, step.coats]));
  return JSON.stringify([shown.id, looks, kept.map((step) => step.id)]);
}

/** "Keep these steps of mine, make the rest right": what the user keeps, the button, and what stands in the way when nothing fits. */
export function RepairPart({ piece, keeping, shown, pinned, menu, actions }: Props) {
  const { announce } = useAppContext();
  const [answered, setAnswered] = useState<{ readonly of: string; readonly repair: Repair } | null>(null);
  const kept = keptSteps(shown, pinned);
  const wrong = shown.findings.some((one) => one.severity === "stop" || one.severity === "warn");
  if (kept.length === 0 || (pinned.length === 0 && !wrong)) return null;
  const asked = asking(shown, kept);
  const answer = answered?.of === asked ? answered.repair : null;
  const make = async () => {
    const { repair } = await import("~/workers/planner.client");
    const made = await repair(
      piece,
      keeping,
      kept.map((step) => step.id),
    );
    if (!made) return;
    setAnswered({ of: asked, repair: made });
    if (made.done && made.changes.length > 0) {
      actions.apply(made.changes);
      announce("The rest is made right around what you keep");
    }
  };
  const titles = [...new Set(kept.map((step) => stepTitle(step, menu)))];
  return (
    <section aria-label="What you keep" className="mt-3 rounded-lg bg-note-tint p-3">
      <div className="flex flex-wrap items-center gap-3">
        <p className="grow">
          <Pin aria-hidden size={18} className="inline text-ready" /> You keep: {titles.join("; ")}.
        </p>
        <button type="button" className="button" onClick={() => void make()}>
          <Wrench aria-hidden size={18} /> Make the rest right
        </button>
      </div>
      {answer?.done && answer.changes.length === 0 && <p role="status">The rest goes with it: nothing to change.</p>}
      {answer?.done === false && (
        <div role="alert" className="mt-2">
          <p>
            <strong>Nothing fits around that.</strong> {answer.refusal.why}.
          </p>
          <p className="mt-2 flex flex-wrap gap-2">
            {kept
              .filter((step) => answer.inTheWay.includes(step.id) && pinned.includes(step.id))
              .map((step) => (
                <button key={step.id} type="button" className="button" onClick={() => actions.pin(step.id, false)}>
                  Let go: {stepTitle(step, menu)}
                </button>
              ))}
          </p>
        </div>
      )}
    </section>
  );
}
