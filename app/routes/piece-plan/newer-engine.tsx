import type { StepId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import type { Change } from "#core/coating/model/change";
import { replacementsIn } from "#core/coating/model/replacements";
import { settingText, stepTitle } from "~/components/words";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { PlanActions } from "~/piece/plan-actions";
import { lowerFirst } from "#core/units/letter-case";

/** One change as it would be noticed; settings of one step are said once. */
function said(changes: readonly Change[], view: PlannedView, menu: Menu): readonly string[] {
  const steps = new Map([...view.before, ...(view.newer?.made ?? []), ...view.made].flatMap((zone) => zone.steps.map((step) => [step.id, step] as const)));
  const title = (id: StepId) => {
    const step = steps.get(id);
    return step ? stepTitle(step, menu, false) : id;
  };
  const insteadOf = replacementsIn(changes, steps);
  const replaced = new Set([...insteadOf.values()].map((step) => step.id));
  const lines = changes.flatMap((change): readonly string[] => {
    if (change.op === "add") {
      const now = stepTitle(change.step, menu);
      const was = insteadOf.get(change);
      if (!was) return [`new: ${now}`];
      const before = stepTitle(was, menu);
      return [before === now ? `${now}, in another colour` : `${now} (was: ${lowerFirst(before)})`];
    }
    if (change.op === "remove") return replaced.has(change.stepId) ? [] : [`no longer: ${title(change.stepId)}`];
    return change.op === "set" ? [`${title(change.stepId)}: ${settingText(change.field, change.value)}`] : [];
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
