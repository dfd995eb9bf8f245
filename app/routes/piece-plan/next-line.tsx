import { Link } from "react-router";
import type { StepId } from "#core/catalogue/ids";
import type { Step } from "#core/coating/model/step";
import type { StepState } from "#core/logbook/coat-states";
import type { Menu } from "#core/catalogue/menu";
import { sayDuration } from "#core/units/duration";
import { sayClock } from "~/components/time-words";
import { stepTitle } from "~/components/words";

/** What to do now, in one line; or what to leave alone and until when. */
export function NextLine({
  steps,
  states,
  menu,
  piece,
  select,
}: {
  steps: readonly Step[];
  states: ReadonlyMap<StepId, StepState>;
  menu: Menu;
  /** Id of the piece. */
  piece: string;
  select: (step: StepId) => void;
}) {
  const worked = steps.filter((step) => states.has(step.id));
  const ready = worked.find((step) => states.get(step.id)?.state === "ready");
  const waiting = worked.filter((step) => states.get(step.id)?.state === "waiting").sort((a, b) => states.get(a.id)!.until! - states.get(b.id)!.until!)[0];
  if (ready)
    return (
      <p className="next-line flex items-baseline gap-2 border-act">
        <strong className="text-act">Now:</strong>
        <button type="button" className="text-left" onClick={() => select(ready.id)}>
          <span className="underline decoration-2 underline-offset-4">{stepTitle(ready, menu)}</span>
          <span className="text-soft"> · about {sayDuration(Math.max(1, ready.handsOnMin))}</span>
        </button>
      </p>
    );
  if (waiting)
    return (
      <p className="next-line hatched border-soft">
        <strong>Leave it alone</strong> until about {sayClock(states.get(waiting.id)!.until!)}; then{" "}
        <button type="button" className="text-left underline underline-offset-4" onClick={() => select(waiting.id)}>
          {stepTitle(waiting, menu)}
        </button>
      </p>
    );
  if (worked.length > 0 && worked.every((step) => ["done", "wet"].includes(states.get(step.id)!.state)))
    return (
      <p className="next-line border-ready">
        <strong className="text-ready">All coats are on.</strong> Leave it to harden;{" "}
        <Link to={`/pieces/${piece}/record`} className="underline underline-offset-4">
          its record
        </Link>{" "}
        is ready for the logbook.
      </p>
    );
  return null;
}
