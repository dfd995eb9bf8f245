import type { Stint } from "./dispatch";
import type { Network } from "./network";

/** What is lost in reckoning is no piece. */
const ROUNDING = 1e-6;

/**
 * How many pieces of its batch each stretch of work finishes: what is begun counts where it is finished.
 *
 * @param stints in order of time
 */
export function piecesFinished({ nodes, pieces }: Network, stints: readonly Stint[]): ReadonlyMap<Stint, number> {
  const worked = new Map<number, number>();
  return new Map(
    stints.map((stint) => {
      const { piece, ms, count } = nodes[stint.node]!;
      const before = worked.get(stint.node) ?? 0;
      const after = before + stint.to - stint.from;
      worked.set(stint.node, after);
      const finished = (sum: number) => Math.floor((sum / ms) * count + ROUNDING);
      return [stint, pieces[piece]!.count === 1 ? 1 : finished(after) - finished(before)] as const;
    }),
  );
}
