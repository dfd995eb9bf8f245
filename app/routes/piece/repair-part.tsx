import { useState } from "react";
import { Pin, Wrench } from "lucide-react";
import type { StepId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import type { Keeping } from "#core/coating/plan-with-edits";
import type { Candidate, Step } from "#core/coating/plan";
import type { Repair } from "#core/coating/repair";
import type { Piece } from "#core/piece/piece";
import { stepTitle } from "~/components/words";
import { useWorkshop } from "~/components/workshop";
import type { PlanDoer } from "./plan-doer";

interface Props {
  readonly piece: Piece;
  readonly keeping: Keeping;
  readonly shown: Candidate;
  readonly pinned: readonly StepId[];
  readonly menu: Menu;
  readonly doer: PlanDoer;
}

/** Steps that stay whatever is made right around them: those she keeps, and those she put in or changed herself. */
function keptSteps(shown: Candidate, pinned: readonly StepId[]): readonly Step[] {
  return shown.zones.flatMap((zone) => zone.steps).filter((step) => !step.done && (pinned.includes(step.id) || step.origin === "hers"));
}

/** "Keep these steps of mine, make the rest right": what she keeps, the button, and what stands in the way when nothing fits. */
export function RepairPart({ piece, keeping, shown, pinned, menu, doer }: Props) {
  const { announce } = useWorkshop();
  const [failed, setFailed] = useState<{ readonly of: Candidate; readonly repair: Extract<Repair, { done: false }> } | null>(null);
  const kept = keptSteps(shown, pinned);
  const wrong = shown.findings.some((one) => one.severity === "stop" || one.severity === "warn");
  if (kept.length === 0 || (pinned.length === 0 && !wrong)) return null;
  const refused = failed?.of === shown ? failed.repair : null;
  const make = async () => {
    const { repair } = await import("~/workers/planner.client");
    const answer = await repair(
      piece,
      keeping,
      kept.map((step) => step.id),
    );
    if (!answer) return;
    setFailed(answer.done ? null : { of: shown, repair: answer });
    if (answer.done && answer.changes.length > 0) doer.apply(answer.changes);
    announce(
      answer.done ? (answer.changes.length > 0 ? "The rest is made right around what you keep" : "It is right as it is") : "Nothing fits around what you keep",
    );
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
      {refused && (
        <div role="alert" className="mt-2">
          <p>
            <strong>Nothing fits around that.</strong> {refused.refusal.why}.
          </p>
          <p className="mt-2 flex flex-wrap gap-2">
            {kept
              .filter((step) => refused.inTheWay.includes(step.id) && pinned.includes(step.id))
              .map((step) => (
                <button key={step.id} type="button" className="button" onClick={() => doer.pin(step.id, false)}>
                  Let go: {stepTitle(step, menu)}
                </button>
              ))}
          </p>
        </div>
      )}
    </section>
  );
}
