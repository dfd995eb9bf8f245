import type { RecordedAct } from "../progress";

/** The kind of work an act is: its role, and of marks their technique. */
export function kindOfWork({ role, technique }: Pick<RecordedAct, "role" | "technique">): string {
  return role === "decorate" && technique ? `${role}/${technique}` : role;
}
