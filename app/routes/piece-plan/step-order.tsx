import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import type { Announcements, DragEndEvent } from "@dnd-kit/core";
import { arrayMove, SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import type { ReactNode } from "react";
import type { ToldAct } from "#core/coating/explain/told-acts";
import type { Change } from "#core/coating/model/change";
import { moveBehind } from "#core/coating/model/own-steps";
import type { Candidate } from "#core/coating/model/plan";
import { useAppContext } from "~/components/app-context";

interface Props {
  readonly acts: readonly ToldAct[];
  readonly zones: Candidate["zones"];
  readonly titleOf: (act: ToldAct) => string;
  readonly apply: (changes: readonly Change[]) => void;
  readonly children: ReactNode;
}

/** How far a finger goes before it drags and not scrolls, px. */
const DRAG_FROM_PX = 6;

const INSTRUCTIONS = "Press space to take this step up, the arrow keys to move it, space again to put it down there, escape to leave it where it was.";

/** What the changes of an act dragged from one place in the order to another are. */
function dragged(acts: readonly ToldAct[], zones: Candidate["zones"], from: number, to: number): readonly Change[] {
  const order = arrayMove([...acts], from, to);
  return moveBehind(zones, acts[from]!.stepIds, new Set(order.slice(0, to).flatMap((act) => act.stepIds)));
}

/** The order of the work under the user's hands: acts are dragged by their handles, or moved with the keys. */
export function StepOrder({ acts, zones, titleOf, apply, children }: Props) {
  const { announce } = useAppContext();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const indexOf = (id: unknown) => acts.findIndex((act) => act.step.id === id);
  const named = (id: unknown) => {
    const act = acts[indexOf(id)];
    return act ? `step ${act.number}, ${titleOf(act)}` : "the step";
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const [from, to] = [indexOf(active.id), indexOf(over?.id)];
    if (from < 0 || to < 0 || from === to) return;
    const changes = dragged(acts, zones, from, to);
    if (changes.length > 0) apply(changes);
    else announce("Nothing between is in the same place: the order there stays as it is");
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Taken up: ${named(active.id)}`,
    onDragOver: ({ active, over }) => {
      if (!over) return undefined;
      return over.id === active.id ? `Taken up: ${named(active.id)}, still in its place` : `${named(active.id)} stands where ${named(over.id)} was`;
    },
    onDragEnd: ({ active }) => `Put down: ${named(active.id)}`,
    onDragCancel: ({ active }) => `Left where it was: ${named(active.id)}`,
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
      accessibility={{ announcements, screenReaderInstructions: { draggable: INSTRUCTIONS } }}
    >
      <SortableContext items={acts.map((act) => act.step.id)} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** One act of the order, with the handle it is dragged by. */
export function MovableStep({ act, title, className, children }: { act: ToldAct; title: string; className: string; children: ReactNode }) {
  const { step } = act;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
    disabled: step.done === true,
  });
  return (
    <li
      ref={setNodeRef}
      id={`step-${step.id}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex gap-1 ${isDragging ? "relative z-10 shadow-lg" : ""} ${className}`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        className={`tool -ml-2 shrink-0 touch-none self-start text-soft print:hidden ${step.done ? "invisible" : "cursor-grab"}`}
        aria-label={`Move step ${act.number}: ${title}`}
      >
        <GripVertical aria-hidden size={20} />
      </button>
      <div className="min-w-0 grow">{children}</div>
    </li>
  );
}
