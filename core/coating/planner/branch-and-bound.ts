/** What is known to be wrong with every combination that has all its parts: learnt from the first one judged. */
export interface Conflict {
  readonly code: string;
  readonly stop: boolean;
  readonly parts: readonly { readonly slot: number; readonly key: string }[];
}

export interface Choice {
  readonly key: string;
  readonly cost: number;
}

interface Walk<C extends Choice> {
  /** For each slot its choices; an empty list has no combination. */
  readonly lists: readonly (readonly C[])[];
  /** Grows while the walk goes on. */
  readonly conflicts: readonly Conflict[];
  /** What one distinct fault costs. */
  readonly faultCost: number;
  /** Judges a whole combination: its cost beyond the choices' own, or null when it is ruled out. */
  readonly judge: (chosen: readonly C[]) => number | null;
  /** Asked at every step; true gives up with the best so far. */
  readonly enough: () => boolean;
}

/**
 * Finds the cheapest combination of one choice from each list: branch and bound, the lists with fewest choices first. A branch
 * is left as soon as its choices, the cheapest rest and the faults already known of it cost as much as the best found.
 * Exact, unless `enough` ends it.
 *
 * @returns the choices in the order of the lists, or null when every combination is ruled out
 */
export function cheapest<C extends Choice>({ lists, conflicts, faultCost, judge, enough }: Walk<C>): readonly C[] | null {
  const order = lists.map((_list, slot) => slot).sort((a, b) => lists[a]!.length - lists[b]!.length || a - b);
  const sorted = lists.map((list) => [...list].sort((a, b) => a.cost - b.cost));
  const restFrom = new Array<number>(order.length + 1).fill(0);
  for (let depth = order.length - 1; depth >= 0; depth -= 1) restFrom[depth] = restFrom[depth + 1]! + (sorted[order[depth]!]![0]?.cost ?? Infinity);
  const chosen = new Array<C | undefined>(lists.length).fill(undefined);
  let best: { readonly total: number; readonly chosen: readonly C[] } | null = null;

  /** What is known against the choices made so far: Infinity for a stop. */
  const known = (): number => {
    const codes = new Set<string>();
    for (const conflict of conflicts) {
      if (!conflict.parts.every((part) => chosen[part.slot]?.key === part.key)) continue;
      if (conflict.stop) return Infinity;
      codes.add(conflict.code);
    }
    return codes.size * faultCost;
  };
  const hopeless = (depth: number, cost: number) => best !== null && cost + restFrom[depth]! >= best.total;

  const walk = (depth: number, cost: number): void => {
    if (depth === order.length) {
      const more = judge(chosen as C[]);
      if (more !== null && (best === null || cost + more < best.total)) best = { total: cost + more, chosen: [...(chosen as C[])] };
      return;
    }
    const slot = order[depth]!;
    for (const choice of sorted[slot]!) {
      if (enough() || hopeless(depth + 1, cost + choice.cost)) break;
      chosen[slot] = choice;
      const faults = known();
      if (faults < Infinity && !hopeless(depth + 1, cost + choice.cost + faults)) walk(depth + 1, cost + choice.cost);
      chosen[slot] = undefined;
      // What was learnt below may rule out the choices made above: then nothing is left to find here.
      const above = known();
      if (above === Infinity || hopeless(depth, cost + above)) break;
    }
  };
  if (lists.every((list) => list.length > 0)) walk(0, 0);
  return (best as { chosen: readonly C[] } | null)?.chosen ?? null;
}
