import { useEffect, useState } from "react";
import { Pin, Wrench } from "lucide-react";
import type { StepId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import { stepTitle } from "~/components/words";
import { useAppContext } from "~/components/app-context";
import type { PlanActions } from "~/piece/plan-actions";
import type { RepairAnswered } from "~/store/repairs.client";

interface Props {
  readonly shown: Candidate;
  readonly pinned: readonly StepId[];
  readonly menu: Menu;
  readonly actions: PlanActions;
  readonly repair: RepairAnswered | null;
}

/** Steps that stay whatever is made right around them: those the user keeps, and those the user put in or changed themselves. */
function keptSteps(shown: Candidate, pinned: readonly StepId[]): readonly Step[] {
  return shown.zones.flatMap((zone) => zone.steps).filter((step) => !step.done && (pinned.includes(step.id) || step.origin === "hers"));
}

/** "Keep these steps of mine, make the rest right": what the user keeps, the button, and what stands in the way when nothing fits. */
export function RepairPart({ shown, pinned, menu, actions, repair }: Props) {
  const { announce } = useAppContext();
  // An answer stands until the next change: only one that came after this plan was first shown is about it.
  const asked = JSON.stringify([shown.id, pinned]);
  const [seen, setSeen] = useState({ asked, at: repair?.at ?? 0 });
  if (seen.asked !== asked) setSeen({ asked, at: repair?.at ?? 0 });
  const answer = repair && repair.at > seen.at ? repair.answer : null;
  useEffect(() => {
    if (answer?.done && answer.changes > 0) announce("The rest is made right around what you keep");
  }, [answer, announce]);
  const kept = keptSteps(shown, pinned);
  const wrong = shown.findings.some((one) => one.severity === "stop" || one.severity === "warn");
  if (kept.length === 0 || (pinned.length === 0 && !wrong)) return null;
  const titles = [...new Set(kept.map((step) => stepTitle(step, menu)))];
  return (
    <section aria-label="What you keep" className="mt-3 rounded-lg bg-note-tint p-3">
      <div className="flex flex-wrap items-center gap-3">
        <p className="grow">
          <Pin aria-hidden size={18} className="inline text-ready" /> You keep: {titles.join("; ")}.
        </p>
        <button type="button" className="button" onClick={() => actions.repair(kept.map((step) => step.id))}>
          <Wrench aria-hidden size={18} /> Make the rest right
        </button>
      </div>
      {answer?.done && answer.changes === 0 && <p role="status">The rest goes with it: nothing to change.</p>}
      {answer?.done === false && (
        <div role="alert" className="mt-2">
          <p>
            <strong>Nothing fits around that.</strong> {answer.refusal.why}.
          </p>
          <p className="mt-2 flex flex-wrap gap-2">
            {kept
              .filter((step) => answer.inTheWay.includes(step.id) && pinned.includes(step.id))
              .map((step) => (
                <button key={step.id} type="button" className="button" onClick={() => actions.pin([step.id], false)}>
                  Let go: {stepTitle(step, menu)}
                </button>
              ))}
          </p>
        </div>
      )}
    </section>
  );
}
