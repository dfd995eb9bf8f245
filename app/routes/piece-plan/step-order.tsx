import { arrayMove } from "@dnd-kit/sortable";
import type { ReactNode } from "react";
import type { ToldAct } from "#core/coating/explain/told-acts";
import type { Change } from "#core/coating/model/change";
import { moveBehind } from "#core/coating/model/own-steps";
import type { Candidate } from "#core/coating/model/plan";
import { useAppContext } from "~/components/app-context";
import { DragOrder, useDragged } from "~/components/drag-order";

interface Props {
  readonly acts: readonly ToldAct[];
  readonly zones: Candidate["zones"];
  readonly titleOf: (act: ToldAct) => string;
  readonly apply: (changes: readonly Change[]) => void;
  readonly children: ReactNode;
}

const INSTRUCTIONS = "Press space to take this step up, the arrow keys to move it, space again to put it down there, escape to leave it where it was.";

/** What the changes of an act dragged from one place in the order to another are. */
function dragged(acts: readonly ToldAct[], zones: Candidate["zones"], from: number, to: number): readonly Change[] {
  const order = arrayMove([...acts], from, to);
  return moveBehind(zones, acts[from]!.stepIds, new Set(order.slice(0, to).flatMap((act) => act.stepIds)));
}

/** The order of the work under the user's hands: acts are dragged by their handles, or moved with the keys. */
export function StepOrder({ acts, zones, titleOf, apply, children }: Props) {
  const { announce } = useAppContext();
  return (
    <DragOrder
      ids={acts.map((act) => act.step.id)}
      nameOf={(index) => (acts[index] ? `step ${acts[index].number}, ${titleOf(acts[index])}` : "the step")}
      instructions={INSTRUCTIONS}
      move={(from, to) => {
        const changes = dragged(acts, zones, from, to);
        if (changes.length > 0) apply(changes);
        else announce("Nothing between is in the same place: the order there stays as it is");
      }}
    >
      {children}
    </DragOrder>
  );
}

/** One act of the order, with the handle it is dragged by. */
export function MovableStep({ act, title, className, children }: { act: ToldAct; title: string; className: string; children: ReactNode }) {
  const { step } = act;
  const { place, style, lifted, grip } = useDragged(step.id, `Move step ${act.number}: ${title}`, { fixed: step.done === true, handle: "-ml-2 self-start" });
  return (
    <li ref={place} id={`step-${step.id}`} style={style} className={`flex gap-1 ${lifted} ${className}`}>
      {grip}
      <div className="min-w-0 grow">{children}</div>
    </li>
  );
}
