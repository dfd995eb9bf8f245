import type { Catalogue } from "../../catalogue/catalogue";
import type { ZoneId } from "../../catalogue/vocabulary";
import { dateOf, dayLater, instantOf } from "../../schedule/free-hours";
import { actKey } from "../body-state";
import type { ProgressRecord, RecordedAct } from "../progress";
import type { BenchPiece } from "./bench-piece";

/** An evening belongs to the day it began on, until this hour of the night; and the next morning begins at the other. */
const TURNS = { night: "04:00", morning: "08:00" } as const;

/**
 * The evening an instant belongs to.
 *
 * @param now instant, ms
 * @param timeZone IANA name
 * @returns since when it counts, and when the next morning is, ms
 */
export function eveningOf(now: number, timeZone: string): { readonly since: number; readonly morning: number } {
  const today = dateOf(now, timeZone);
  const turn = instantOf(today, TURNS.night, timeZone);
  const since = turn <= now ? turn : instantOf(dayLater(today, -1), TURNS.night, timeZone);
  return { since, morning: instantOf(dayLater(dateOf(since, timeZone), 1), TURNS.morning, timeZone) };
}

/**
 * The last time clocks showed this: "19:00" in the evening is today's, in the small hours yesterday's.
 *
 * @param typed "HH:MM"
 * @returns instant, ms, no later than now; null for what is no time
 */
export function lastTime(typed: string, now: number, timeZone: string): number | null {
  if (!/^([01]\d|2[0-3]):[0-5]\d$/.test(typed)) return null;
  const today = dateOf(now, timeZone);
  const at = instantOf(today, typed, timeZone);
  return at <= now ? at : instantOf(dayLater(today, -1), typed, timeZone);
}

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
