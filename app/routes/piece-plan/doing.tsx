import { useState } from "react";
import { Link } from "react-router";
import { Check, RotateCcw, Wrench } from "lucide-react";
import { lastGo, nextGo } from "#core/coating/facts/task";
import type { Task } from "#core/coating/facts/task";
import type { StepState } from "#core/logbook/coat-states";
import { once } from "~/components/once";
import { coatWords, zoneNames } from "~/components/words";
import { AskWet } from "~/piece/ask-wet";
import { Touched } from "~/piece/touched";
import type { PlanActions } from "~/piece/plan-actions";
import { TookField, useTook } from "~/piece/took";

interface Props {
  readonly tasks: readonly Task[];
  readonly done: ReadonlyMap<string, number>;
  readonly actions: PlanActions;
  readonly title: string;
  readonly state: StepState | undefined;
}

/** Marks the next coat as done in all its places, or in one of them, or takes the last one back; says how long it took, or that what is beneath is tacky still. */
export function Doing({ tasks, done, actions, title, state }: Props) {
  const batch = nextGo(tasks, done);
  const laid = lastGo(tasks, done);
  const [next] = batch;
  const coats = Math.max(...tasks.map((task) => task.coat));
  const which = next ? coatWords(next.coat, batch.find((task) => task.half)?.half, coats) : "";
  const ready = state?.state === "ready";
  const took = useTook(`${tasks[0]?.stepId}-${next?.coat}`);
  const touch = next && (ready || state?.state === "waiting") ? actions.touchAsked(batch) : null;
  const [doubted, doubt] = useState<readonly Task[] | null>(null);
  const note = (what: readonly Task[]) => {
    actions.markDone(what, took.minutes, which === "" ? title : `${title}, ${which}`);
    took.type("");
  };
  const mark = (what: readonly Task[]) => {
    if (took.isWrong) return;
    // Over what is wet it is asked about first: a slip is likelier than the deed.
    if (state?.state === "waiting" && (state.until ?? 0) > Date.now()) doubt(what);
    else note(what);
  };
  return (
    <>
      {next && (
        <button
          type="button"
          className={`button ${ready ? "button-act" : ""}`}
          data-do="done"
          aria-label={`Mark as done: ${title}${which ? `, ${which}` : ""}`}
          onClick={(event) => once(event) && mark(batch)}
        >
          <Check aria-hidden size={20} /> {which ? `Done: ${which}` : "Done"}
        </button>
      )}
      {batch.length > 1 &&
        batch.map((task) => (
          <button
            key={task.id}
            type="button"
            className="chip"
            aria-label={`Mark as done only on the ${zoneNames(task.zones).toLowerCase()}: ${title}`}
            onClick={(event) => once(event) && mark([task])}
          >
            only {zoneNames(task.zones).toLowerCase()}
          </button>
        ))}
      {next && <TookField took={took} title={title} reckonedMin={batch.reduce((sum, task) => sum + task.handsOnMin, 0)} />}
      {touch && <Touched by={touch} title={title} note={(seen) => actions.markTouched(batch, seen, `What lies beneath ${title}`)} />}
      {(laid.length > 0 || ready) && batch.concat(laid).length > 0 && (
        <Link to={`/pieces/${actions.piece}/rescue?step=${encodeURIComponent((laid[0] ?? batch[0])!.stepId)}`} className="button">
          <Wrench aria-hidden size={18} /> It went wrong
        </Link>
      )}
      {doubted && <AskWet open title={title} until={state?.until ?? 0} piece={actions.piece} close={() => doubt(null)} note={() => note(doubted)} />}
      {laid.length > 0 && (
        <button type="button" className="button" aria-label={`Not done after all: ${title}`} onClick={() => actions.markUndone(laid)}>
          <RotateCcw aria-hidden size={18} /> Not done
        </button>
      )}
    </>
  );
}
