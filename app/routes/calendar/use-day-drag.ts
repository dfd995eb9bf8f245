import { KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import type { Announcements, DragEndEvent, KeyboardCoordinateGetter } from "@dnd-kit/core";
import { format, parseISO } from "date-fns";
import { dayLater } from "#core/schedule/free-hours";
import type { CalendarDay, DayAct } from "#core/schedule/together/calendar";
import { runsOf } from "#core/schedule/together/runs";
import type { Run } from "#core/schedule/together/runs";

/** How far a finger goes before it drags and does not tap, px. */
const DRAG_FROM_PX = 8;
const DAYS_BY_KEY: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 7, ArrowUp: -7 };
const MOST_STEPS = 14;

/** With the arrows from one day to the next on which hands are free. */
const byDays: KeyboardCoordinateGetter = (event, { context: { over, active, droppableRects, droppableContainers } }) => {
  const by = DAYS_BY_KEY[event.code];
  const from = over?.id ?? active?.data.current?.date;
  if (by === undefined || typeof from !== "string") return undefined;
  event.preventDefault();
  let date = from;
  for (let step = 0; step < MOST_STEPS; step++) {
    date = dayLater(date, by);
    const rect = droppableRects.get(date);
    if (rect && droppableContainers.get(date)?.disabled === false) return { x: rect.left, y: rect.top };
  }
  return undefined;
};

const sayDate = (date: string) => format(parseISO(date), "EEEE d MMMM");

/**
 * Work is dragged from one day to another, or moved there by the keys.
 *
 * @param days on which it may be put down, and others
 * @param put is told what is put down on another day than it was taken up from
 */
export function useDayDrag(days: readonly CalendarDay[], nameOf: (run: Run) => string, put: (acts: readonly DayAct[], to: CalendarDay) => void) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: byDays }),
  );
  const runs = days.flatMap(({ date, sittings }) => sittings.flatMap((one) => runsOf(one.acts).map((run) => ({ run, date }))));
  const found = (id: unknown) => runs.find(({ run }) => run[0].id === id);
  const named = (id: unknown) => {
    const one = found(id);
    return one ? nameOf(one.run) : "";
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const taken = found(active.id);
    const to = days.find(({ date }) => date === over?.id);
    if (taken && to && to.date !== taken.date) put(taken.run, to);
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Taken up: ${named(active.id)}`,
    onDragOver: ({ active, over }) => (over ? `${named(active.id)}: ${sayDate(String(over.id))}` : undefined),
    onDragEnd: ({ active, over }) => (over ? `Put down on ${sayDate(String(over.id))}: ${named(active.id)}` : `Left where it was: ${named(active.id)}`),
    onDragCancel: ({ active }) => `Left where it was: ${named(active.id)}`,
  };
  const draggable = "Press Space to take it up, the arrow keys to go to another day, Space to put it down there, Escape to leave it where it was.";
  return { sensors, onDragEnd, accessibility: { announcements, screenReaderInstructions: { draggable } } };
}
