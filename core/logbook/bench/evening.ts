import type { Catalogue } from "../../catalogue/catalogue";
import type { ZoneId } from "../../catalogue/vocabulary";
import { actKey } from "../body-state";
import type { ProgressRecord, RecordedAct } from "../progress";
import type { BenchPiece } from "./bench-piece";

/** A coat that was laid, in all its places. */
export interface LaidTonight {
  readonly act: RecordedAct;
  readonly coat: number;
  readonly half?: "first" | "second";
  readonly zones: readonly ZoneId[];
  /** Instant of it, ms. */
  readonly at: number;
  /** It came off again since. */
  readonly off: boolean;
}

/** What was done on a piece in one evening. */
export interface DoneOnPiece {
  readonly piece: string;
  readonly laid: readonly LaidTonight[];
}

function laidOf(records: readonly ProgressRecord[], since: number): readonly LaidTonight[] {
  const laid = new Map<string, LaidTonight>();
  for (const { act, coat, half, zone, kind, at } of records) {
    const instant = Date.parse(at);
    if (instant < since) continue;
    const key = [actKey(act), coat, half ?? ""].join("|");
    const known = laid.get(key);
    if (kind === "done")
      laid.set(key, {
        act,
        coat,
        ...(half ? { half } : {}),
        zones: [...new Set([...(known?.off ? [] : (known?.zones ?? [])), zone])],
        at: instant,
        off: false,
      });
    if ((kind === "ruined" || kind === "removed") && known) laid.set(key, { ...known, off: true });
  }
  return [...laid.values()].sort((a, b) => a.at - b.at);
}

/**
 * What was done since an instant, piece by piece; what was taken back at once is left out.
 *
 * @param since instant, ms
 */
export function doneSince(pieces: readonly Pick<BenchPiece, "id" | "progress">[], since: number): readonly DoneOnPiece[] {
  return pieces
    .map(({ id, progress }) => ({ piece: id, laid: laidOf(progress, since) }))
    .filter(({ laid }) => laid.length > 0)
    .sort((a, b) => a.laid[0]!.at - b.laid[0]!.at);
}

/** What the brushes of an evening are washed in, and what must not be left lying. */
export interface ClearingUp {
  readonly water: boolean;
  readonly spirit: boolean;
  /** Rags that heat themselves. */
  readonly oilyRags: boolean;
  readonly resin: boolean;
  /** Dust that goes into no drain. */
  readonly gypsum: boolean;
}

/** What is to be cleared up after an evening. */
export function clearingUp(done: readonly DoneOnPiece[], catalogue: Catalogue): ClearingUp {
  const products = done.flatMap(({ laid }) => laid.map(({ act }) => catalogue.products.get(act.product))).filter((one) => one !== undefined);
  const brushed = products.filter(({ methods }) => methods.includes("brush") || methods.includes("sponge"));
  return {
    water: brushed.some(({ carrier }) => carrier === "water"),
    spirit: brushed.some(({ carrier }) => carrier === "solvent"),
    oilyRags: products.some(({ drying }) => drying.by === "oxidation"),
    resin: products.some(({ binder }) => binder === "epoxy"),
    gypsum: done.some(({ laid }) => laid.some(({ act }) => act.role === "sand" || act.role === "fill")),
  };
}
