import type { MouseEvent } from "react";

/** A double click is one: by its second click the button may be that of the next step. */
export function once({ detail }: MouseEvent): boolean {
  return detail <= 1;
}
