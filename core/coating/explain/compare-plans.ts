import type { StepId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import { alikeZones } from "./alike-zones";
import type { Candidate } from "../model/plan";
import type { Step } from "../model/step";

/** One line of two plans side by side: a step of both, or of one only. */
export interface ComparedRow {
  readonly left: Step | null;
  readonly right: Step | null;
  /** What of a step that both have is not the same. */
  readonly differs: readonly ("coats" | "sheen" | "product" | "heat" | "wait")[];
}

export interface ComparedZone {
  readonly zones: readonly ZoneId[];
  readonly rows: readonly ComparedRow[];
}

/** The same work, perhaps with another product. */
function alike(a: Step, b: Step): boolean {
  return a.role === b.role && a.technique === b.technique && (a.colour ?? "") === (b.colour ?? "");
}

function differences(a: Step, b: Step): ComparedRow["differs"] {
  return [
    ...(a.product !== b.product ? (["product"] as const) : []),
    ...(a.coats !== b.coats ? (["coats"] as const) : []),
    ...(a.sheen !== b.sheen ? (["sheen"] as const) : []),
    ...(a.heat?.temperatureC !== b.heat?.temperatureC ? (["heat"] as const) : []),
    ...(Math.abs((a.waitBefore?.min ?? 0) - (b.waitBefore?.min ?? 0)) > 30 ? (["wait"] as const) : []),
  ];
}

/** Aligns two stacks by their longest common run of the same work. */
function aligned(left: readonly Step[], right: readonly Step[]): readonly ComparedRow[] {
  const length = left.map(() => right.map(() => 0));
  const at = (i: number, j: number) => length[i]?.[j] ?? 0;
  for (let i = left.length - 1; i >= 0; i -= 1)
    for (let j = right.length - 1; j >= 0; j -= 1) length[i]![j] = alike(left[i]!, right[j]!) ? at(i + 1, j + 1) + 1 : Math.max(at(i + 1, j), at(i, j + 1));
  const rows: ComparedRow[] = [];
  let [i, j] = [0, 0];
  while (i < left.length || j < right.length) {
    const [a, b] = [left[i], right[j]];
    if (a && b && alike(a, b)) {
      rows.push({ left: a, right: b, differs: differences(a, b) });
      i += 1;
      j += 1;
    } else if (b === undefined || (a !== undefined && at(i + 1, j) >= at(i, j + 1))) {
      rows.push({ left: a!, right: null, differs: [] });
      i += 1;
    } else {
      rows.push({ left: null, right: b, differs: [] });
      j += 1;
    }
  }
  return rows;
}

/**
 * Puts two plans of one piece side by side, zone by zone; zones treated alike in both are told once.
 *
 * @param left the plan that is followed
 * @param right the other
 * @returns rows in working order, by zones treated alike
 */
export function comparePlans(left: Candidate, right: Candidate): readonly ComparedZone[] {
  const groups = alikeZones(left.zones);
  return groups.flatMap((group) => {
    const rest = new Map<string, ZoneId[]>();
    for (const zone of group.zones) {
      const twin = alikeZones(right.zones).find((one) => one.zones.includes(zone));
      const key = twin?.zones.join("+") ?? "";
      rest.set(key, [...(rest.get(key) ?? []), zone]);
    }
    return [...rest.values()].map((zones): ComparedZone => {
      const steps = (candidate: Candidate) => candidate.zones.find((one) => one.zone === zones[0])?.steps ?? [];
      return { zones, rows: aligned(steps(left), steps(right)) };
    });
  });
}

/**
 * Steps of one of two plans that the other does otherwise, or not at all.
 *
 * @param compared as `comparePlans` gives it
 * @param plan the one of that side
 * @returns their ids, in every zone
 */
export function differing(compared: readonly ComparedZone[], plan: Candidate, side: "left" | "right"): ReadonlySet<StepId> {
  return new Set(
    compared.flatMap(({ zones, rows }) => {
      const steps = (zone: ZoneId) => plan.zones.find((one) => one.zone === zone)?.steps ?? [];
      const first = steps(zones[0]!);
      const at = rows.flatMap((row) => (row[side] && (!row.left || !row.right || row.differs.length > 0) ? [first.indexOf(row[side])] : []));
      return zones.flatMap((zone) => at.flatMap((index) => steps(zone)[index]?.id ?? []));
    }),
  );
}
