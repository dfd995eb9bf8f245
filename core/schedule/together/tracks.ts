import { dryAt } from "./network";
import type { Together } from "./schedule-all";

/** A piece against the days. */
export interface PieceTrack {
  readonly piece: string;
  /** Hands on it. */
  readonly touched: readonly { readonly from: number; readonly to: number }[];
  /** It is to be left alone. */
  readonly drying: readonly { readonly from: number; readonly to: number }[];
  readonly handle: number;
  readonly cured: number;
  readonly due: number | null;
  /** How late it is, ms; 0: in time, or no date. */
  readonly lateMs: number;
}

interface Span {
  readonly from: number;
  readonly to: number;
}

/** Spans in order, those that touch as one. */
function joined(spans: readonly Span[]): readonly Span[] {
  const out: { from: number; to: number }[] = [];
  for (const { from, to } of [...spans].sort((a, b) => a.from - b.from)) {
    const before = out.at(-1);
    if (before && from <= before.to) before.to = Math.max(before.to, to);
    else out.push({ from, to });
  }
  return out;
}

/**
 * Each piece against the days.
 *
 * @param start instant, ms: what has dried before is not told
 */
export function tracksOf(together: Together, start: number): readonly PieceTrack[] {
  const { network, sittings, handle, cured, late } = together;
  const stints = sittings.flatMap((one) => one.stints);
  const ends = new Map<number, number>();
  for (const [index, { endedAt }] of network.nodes.entries()) if (endedAt !== null) ends.set(index, endedAt);
  for (const { node, to } of stints) ends.set(node, to);
  return network.pieces.map(({ id, due }, piece) => ({
    piece: id,
    touched: joined(stints.filter(({ node }) => network.nodes[node]!.piece === piece)),
    drying: joined(
      [...ends].flatMap(([index, end]) => {
        const node = network.nodes[index]!;
        return node.piece === piece && node.dries.length > 0 ? [{ from: end, to: dryAt(node, end) }] : [];
      }),
    ).filter(({ to }) => to > start),
    handle: handle[piece]!,
    cured: cured[piece]!,
    due,
    lateMs: late[piece]!,
  }));
}
