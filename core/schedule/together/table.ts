import { clocksFrom } from "../drying-clock";
import { firstSittings } from "../free-hours";
import type { FreeHours, Sitting } from "../free-hours";
import { brushIn, keptSittings, ranksOf } from "./kept-sittings";
import { networkOf } from "./network";
import type { Network, PieceWork } from "./network";
import type { Places } from "./loads";

/** All pieces on the table, and the order their work is done in by rule. */
export interface OnTable {
  readonly network: Network;
  /** Free hours from now on. */
  readonly sittings: readonly Sitting[];
  /** As `keptSittings` and `ranksOf` give them. */
  readonly keep: Float64Array;
  readonly rule: Float64Array;
  /** What the brush is in. */
  readonly brush: string;
}

interface Asked {
  readonly pieces: readonly PieceWork[];
  readonly hours: FreeHours;
  readonly start: number;
  readonly careful?: boolean;
  readonly places?: Places;
}

/** When a piece is whole again that is to be put right: in the first sitting in which that can be done it is put right, and no more. */
function afterSpoilt(sittings: readonly Sitting[], spoilt: number): number {
  return sittings.find(({ to }) => to > spoilt)?.to ?? spoilt;
}

/** Lays the pieces on the table: their work as a network, what stays in its sitting, and the rank of the priority rule. */
export function tableOf({ pieces, hours, start, careful = false, places = {} }: Asked): OnTable {
  const sittings = firstSittings(hours, start);
  const longestMs = Math.max(0, ...sittings.map(({ from, to }) => to - from));
  const whole = pieces.map((piece) =>
    piece.spoilt === undefined ? piece : { ...piece, from: Math.max(piece.from ?? -Infinity, afterSpoilt(sittings, piece.spoilt)) },
  );
  const network = networkOf(whole, { careful, places, clockOf: clocksFrom(start, hours.timeZone, careful), longestMs });
  const keep = keptSittings(network, hours, sittings, start);
  return { network, sittings, keep, rule: ranksOf(network, keep), brush: brushIn(network, hours, sittings[0]) };
}
