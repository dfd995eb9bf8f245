import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import type { Announcements, DragEndEvent } from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import type { ReactNode } from "react";

interface Props {
  /** Ids of the things, in their order. */
  readonly ids: readonly string[];
  /** What a thing is called while it is moved. */
  readonly nameOf: (index: number) => string;
  /** What is put down somewhere else than where it was taken up. */
  readonly move: (from: number, to: number) => void;
  /** How they are moved by the keys, in words. */
  readonly instructions: string;
  readonly children: ReactNode;
}

/** How far a finger goes before it drags and not scrolls, px. */
const DRAG_FROM_PX = 6;

/** Things in an order under the user's hands: dragged by their handles, or moved with the keys. */
export function DragOrder({ ids, nameOf, move, instructions, children }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const named = (id: unknown) => nameOf(ids.indexOf(String(id)));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
    if (from >= 0 && to >= 0 && from !== to) move(from, to);
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
      accessibility={{ announcements, screenReaderInstructions: { draggable: instructions } }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** One thing of an order: where it is drawn while it is moved, and the handle it is moved by. */
export function useDragged(id: string, label: string, { fixed = false, handle = "" }: { readonly fixed?: boolean; readonly handle?: string } = {}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id, disabled: fixed });
  return {
    place: setNodeRef,
    style: { transform: CSS.Translate.toString(transform), transition },
    lifted: isDragging ? "relative z-10 shadow-lg" : "",
    grip: (
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        className={`tool shrink-0 touch-none text-soft print:hidden ${fixed ? "invisible" : "cursor-grab"} ${handle}`}
        aria-label={label}
      >
        <GripVertical aria-hidden size={20} />
      </button>
    ),
  };
}
