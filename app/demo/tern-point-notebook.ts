import { CATALOGUE } from "#core/catalogue/catalogue";
import { roomId } from "#core/catalogue/ids";
import type { OwnProduct } from "#core/catalogue/own-product";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { BundleParts } from "#core/formats/write-bundle";
import { dateOf, dayLater } from "#core/schedule/free-hours";
import { ownProductsOf } from "#core/shelf/own-products";
import { COOL, TERN_POINT } from "./tern-point";
import { TERN_POINT_MOULDS, ternPointCompounds, ternPointPours } from "./tern-point-casting";
import { ternPointRecords, ternPointTrials } from "./tern-point-logbook";
import { ternPointShelf } from "./tern-point-shelf";
import { TERN_POINT_TOOLS } from "./tern-point-tools";
import { ternPointWork } from "./tern-point-work";
import type { DemoView, DemoWork } from "./tern-point-work";

/** When and where the notebook is opened. */
export interface DemoInstant {
  /** Instant, ms. */
  readonly now: number;
  /** IANA name. */
  readonly timeZone: string;
}

const DAY_MS = 86_400_000;
/** The jars were looked into before any of the work was done. */
const SEEN_DAYS_AGO = 60;

const jarsAt = ({ now, timeZone }: DemoInstant) => ternPointShelf(dateOf(now, timeZone), new Date(now - SEEN_DAYS_AGO * DAY_MS).toISOString());

/** The shelf as the planner knows it: the same products whenever the notebook is opened. */
export function ternPointProducts(at: DemoInstant): readonly OwnProduct[] {
  return ownProductsOf(jarsAt(at), new Map(), CATALOGUE, dateOf(at.now, at.timeZone));
}

/**
 * Tern Point as it stands at an instant, all but its photographs: the same states whatever the weekday, the hour and the zone.
 *
 * @param views plans of the pieces that are begun, by piece
 * @returns its records, and what was done on each piece that is begun
 * @throws when a plan is missing, or a piece is stated to have a coat that its plan has not
 */
export function ternPointNotebook(
  views: ReadonlyMap<string, DemoView>,
  at: DemoInstant,
): { readonly parts: Partial<BundleParts>; readonly worked: ReadonlyMap<string, DemoWork> } {
  const { now, timeZone } = at;
  const today = dateOf(now, timeZone);
  const viewOf = (id: string): DemoView => {
    const view = views.get(id);
    if (!view) throw new Error(`no plan of ${id}`);
    return view;
  };
  const worked = ternPointWork(TERN_POINT, viewOf, now, timeZone);
  const pieces = TERN_POINT.map(({ id, piece, dueInDays, set }): PieceRecord => ({
    id,
    rev: 1,
    piece,
    planId: worked.get(id)?.plan.id ?? null,
    ...(dueInDays === undefined ? {} : { dates: { due: dayLater(today, dueInDays) } }),
    ...(set === undefined ? {} : { set }),
  }));
  return {
    parts: {
      pieces,
      plans: [...worked.values()].map(({ plan }) => plan),
      progress: [...worked.values()].flatMap(({ progress }) => progress),
      shelf: jarsAt(at),
      tools: TERN_POINT_TOOLS,
      moulds: TERN_POINT_MOULDS,
      compounds: ternPointCompounds(now),
      pours: ternPointPours(now),
      records: ternPointRecords(today, timeZone),
      trials: ternPointTrials(today, timeZone),
      rooms: [{ id: roomId("ternpointroom"), rev: 1, name: "Cool back room at Tern Point", room: COOL }],
    },
    worked,
  };
}
