import { format } from "date-fns";
import { useEffect } from "react";
import { Link } from "react-router";
import type { Menu } from "#core/catalogue/menu";
import type { Overview } from "#core/logbook/overview";
import { Awaited } from "~/components/awaited";
import { Guard } from "~/components/guard";
import { MiniSection } from "~/components/coat-section/mini-section";
import { Silhouette } from "~/components/shape/silhouette";
import { nameIn } from "~/components/use-menu";
import { WindowedGrid } from "~/components/windowed-grid";
import { sayClock } from "~/components/time-words";
import { stepTitle } from "~/components/words";
import type { NamedPiece } from "~/store/listing";
import { cardSeen } from "./listing.client";
import type { Listed, Listing } from "./listing.client";

function Standing({ overview, now, menu }: { overview: Overview; now: number; menu: Menu }) {
  if (overview.refused) return <span className="font-semibold text-stop">Cannot be planned as it stands</span>;
  if (overview.finished) return <span className="font-semibold text-ready">All coats on, hardening</span>;
  if (!overview.next) return null;
  const { step, state } = overview.next;
  if (state.state === "waiting")
    return (
      <span className="text-soft">
        <strong>Leave alone</strong> till {sayClock(state.until!, now)}
      </span>
    );
  return (
    <span>
      <strong className="text-act">{overview.states ? "Now:" : "Begin:"}</strong> {stepTitle(step, menu)}
    </span>
  );
}

/** Pieces that are being chosen, several at once. */
export interface Choosing {
  readonly chosen: ReadonlySet<string>;
  readonly choose: (id: string, on: boolean) => void;
}

interface OfList {
  /** Null where a card opens its piece. */
  readonly choosing: Choosing | null;
  readonly listing: Listing;
  /** Those of the list that are looked for, in their order. */
  readonly pieces: readonly NamedPiece[];
  readonly now: number;
  readonly menu: Menu;
}

/** What the rest of a card needs to be read from its piece. */
function CardBody({ listed: { kept, face, overview }, now, menu }: { listed: Listed; now: number; menu: Menu }) {
  const { record } = kept;
  const { piece } = record;
  const body = menu.materials.find((one) => one.id === piece.material);
  const due = record.dates?.due;
  const needed = due && <span className="block text-soft">needed {format(`${due}T12:00`, "EEE d MMM")}</span>;
  return (
    <>
      <span className="flex items-center gap-3">
        {face === null ? (
          <Silhouette piece={piece} body={body?.colour ?? "#999999"} texture={body?.texture ?? "dense"} />
        ) : (
          <img src={face} alt="" className="size-16 shrink-0 rounded border border-line object-cover" />
        )}
        <span className="min-w-0">
          <span className="block font-display text-lg leading-snug [overflow-wrap:anywhere]">{piece.name}</span>
          <span className="block text-soft">
            {body?.name}
            {(piece.count ?? 1) > 1 && ` × ${piece.count}`}, {nameIn(menu.uses, piece.uses[0]!).toLowerCase()}
          </span>
        </span>
      </span>
      <Awaited of={overview} waiting={<span className="mt-auto text-soft">Working out the coats…{needed}</span>}>
        {(known) => (
          <span className="mt-auto flex items-end justify-between gap-3">
            <span className="min-w-0">
              <span className="block">
                <Standing overview={known} now={now} menu={menu} />
              </span>
              {needed}
            </span>
            {known.groups.length > 0 && (
              <MiniSection groups={known.groups} menu={menu} material={piece.material} states={known.states} label={`Coats of ${piece.name}`} />
            )}
          </span>
        )}
      </Awaited>
    </>
  );
}

/** A piece whose record cannot be read costs its own card, not the list. */
function Unreadable({ name }: { name: string }) {
  return (
    <>
      <span className="font-display text-lg [overflow-wrap:anywhere]">{name}</span>
      <span className="mt-auto font-semibold text-stop">This piece cannot be shown. Open it to set it aside.</span>
    </>
  );
}

const CARD = "sheet flex h-full min-h-36 flex-col gap-2 p-4 text-ink no-underline";

/** One piece in the list: it opens, or is chosen among others. */
function Card({ of: { id, name }, choosing, listing, now, menu }: OfList & { of: NamedPiece }) {
  useEffect(() => cardSeen(id), [id]);
  const on = choosing?.chosen.has(id) === true;
  const body = (
    <Guard instead={<Unreadable name={name} />} of={listing}>
      <Awaited of={listing.piece(id)} waiting={<span className="font-display text-lg [overflow-wrap:anywhere]">{name}</span>}>
        {(listed) => <CardBody listed={listed} now={now} menu={menu} />}
      </Awaited>
    </Guard>
  );
  if (!choosing)
    return (
      <Link to={`/pieces/${id}`} className={`${CARD} hover:border-ink`}>
        {body}
      </Link>
    );
  return (
    <label className={`${CARD} relative cursor-pointer pr-12 ${on ? "border-ready bg-note-tint" : ""}`}>
      <input
        type="checkbox"
        className="absolute right-3 top-3 size-6 accent-ready"
        aria-label={`Choose ${name}`}
        checked={on}
        onChange={(event) => choosing.choose(id, event.target.checked)}
      />
      {body}
    </label>
  );
}

/** Height of a row before it is measured, px. */
const ROW_PX = 176;

export function Cards(of: OfList) {
  const { pieces } = of;
  return <WindowedGrid items={pieces} keyOf={({ id }) => id} label={`${pieces.length} pieces`} rowPx={ROW_PX} card={(one) => <Card of={one} {...of} />} />;
}
