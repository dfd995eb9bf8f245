import { useRef } from "react";
import type { KeyboardEvent } from "react";
import type { StepId } from "#core/catalogue/ids";
import type { Step } from "#core/coating/model/step";
import type { Column } from "./bands";

/** What may be walked to: everything drawn of every column, from the body up. */
function walkable(columns: readonly Column[]): readonly (readonly Step[])[] {
  return columns.map((column) => [...column.acts, ...column.bands.map((band) => band.step)]);
}

/** Walks the section with the arrow keys: up and down a column, across to the next; Enter opens. */
export function useWalk(columns: readonly Column[], selected: StepId | null, select: (step: StepId) => void) {
  const figure = useRef<HTMLElement>(null);
  const grid = walkable(columns);
  const first = grid.flat()[0]?.id;
  const current = grid.flat().some((step) => step.id === selected) ? selected : first;
  const go = (id: StepId) => {
    select(id);
    figure.current?.querySelector<SVGGElement>(`[data-step="${CSS.escape(id)}"]`)?.focus();
  };
  const onKeyDown = (event: KeyboardEvent<SVGGElement>, id: StepId) => {
    const column = grid.findIndex((steps) => steps.some((step) => step.id === id));
    const at = grid[column]!.findIndex((step) => step.id === id);
    const along = (other: number) => grid[other]?.[Math.min(at, grid[other].length - 1)]?.id;
    const target = { ArrowUp: grid[column]?.[at + 1]?.id, ArrowDown: grid[column]?.[at - 1]?.id, ArrowRight: along(column + 1), ArrowLeft: along(column - 1) }[
      event.key
    ];
    if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      select(id);
    } else if (target) {
      event.preventDefault();
      go(target);
    }
  };
  return { figure, current, onKeyDown };
}
