import type { Menu } from "#core/catalogue/menu";
import type { Change } from "#core/coating/model/change";
import type { Step } from "#core/coating/model/step";
import { stepTitle } from "~/components/words";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { PlanActions } from "./plan-actions";

/** One change as it would be noticed; settings of one step are said once. */
function said(changes: readonly Change[], view: PlannedView, menu: Menu): readonly string[] {
  const steps = new Map(
    [...view.before, ...(view.newer?.made ?? []), ...view.made].flatMap((zone) => zone.steps.map((step) => [step.id, step as Step] as const)),
  );
  const title = (id: string) => {
    const step = steps.get(id as never);
    return step ? stepTitle({ ...step, coats: step.coats ?? 1 }, menu, false) : id;
  };
  const added = changes.filter((change) => change.op === "add");
  const gone = changes.flatMap((change) => (change.op === "remove" ? (steps.get(change.stepId) ?? []) : []));
  // What goes and what comes for it in the same place are one change.
  const insteadOf = new Map(
    added.flatMap((change) => {
      const was = gone.find((step) => step.role === change.step.role && step.id.startsWith(`${change.zone}.`));
      return was ? [[change, was] as const] : [];
    }),
  );
  const replaced = new Set([...insteadOf.values()].map((step) => step.id));
  const lines = changes.flatMap((change): readonly string[] => {
    if (change.op === "add") {
      const now = stepTitle({ ...change.step, coats: change.step.coats ?? 1 } as Step, menu);
      const was = insteadOf.get(change);
      if (!was) return [`new: ${now}`];
      const before = stepTitle({ ...was, coats: was.coats ?? 1 }, menu);
      return [before === now ? `${now}, in another colour` : `${now} (was: ${before.charAt(0).toLowerCase()}${before.slice(1)})`];
    }
    if (change.op === "remove") return replaced.has(change.stepId) ? [] : [`no longer: ${title(change.stepId)}`];
    if (change.op === "set")
      return [change.field === "coats" ? `${title(change.stepId)}: ${String(change.value)} coats` : `another ${change.field}: ${title(change.stepId)}`];
    return [];
  });
  return [...new Set(lines)];
}

/** A plan kept by an older Nook Coat: what this one would do otherwise, and whose way is taken. Until then the kept plan stands. */
export function NewerEngine({ view, menu, settle }: { view: PlannedView; menu: Menu; settle: PlanActions["settleEngine"] }) {
  return (
    <section aria-label="Planned anew" className="mb-3 rounded-lg border-l-8 border-ready bg-note-tint p-3">
      <p>
        <strong>Nook Coat has learnt since you chose this plan.</strong> It would now do this otherwise; your plan stays as it was until you say so.
      </p>
      <ul className="list-disc pl-6">
        {said(view.newer!.changes, view, menu).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => settle("newer")}>
          Take the new one
        </button>
        <button type="button" className="button" onClick={() => settle("kept")}>
          Keep mine
        </button>
      </p>
    </section>
  );
}

const MOST_SAID = 8;

/** What other facts have changed in the plan the user follows; taken back by undo, which turns the fact round. */
export function ChangedPlan({ view, menu, settle, undo }: { view: PlannedView; menu: Menu; settle: () => void; undo: () => void }) {
  const lines = said(view.changed!, view, menu);
  return (
    <section aria-label="What has changed" className="mb-3 rounded-lg border-l-8 border-ready bg-note-tint p-3">
      <p>
        <strong>Your plan has followed what you changed.</strong> The rest of it is as it was.
      </p>
      <ul className="list-disc pl-6">
        {lines.slice(0, MOST_SAID).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {lines.length > MOST_SAID && <li>and {lines.length - MOST_SAID} more</li>}
      </ul>
      <p className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={settle}>
          Keep it so
        </button>
        <button type="button" className="button" onClick={undo}>
          Take it back
        </button>
      </p>
    </section>
  );
}
