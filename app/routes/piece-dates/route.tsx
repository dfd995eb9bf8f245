import { Link } from "react-router";
import { pieceId } from "#core/catalogue/ids";
import { daySchema } from "#core/formats/hours-schema";
import type { JoiRoot } from "#core/formats/stores/definition";
import { timesApplied } from "#core/logbook/learning/own-times";
import type { OwnTimes } from "#core/logbook/learning/own-times";
import { wholeRoom } from "#core/piece/complete-piece";
import type { Piece } from "#core/piece/piece";
import { lowerFirst } from "#core/units/letter-case";
import { dateOf } from "#core/schedule/free-hours";
import { perform } from "~/actions/perform";
import { useAsk, useAsked } from "~/actions/use-ask";
import { useAppContext } from "~/components/app-context";
import { Awaited } from "~/components/awaited";
import { DayField } from "~/components/day-field";
import { RoomError } from "~/components/room-error";
import { otherZoneHere } from "~/components/time-zone";
import { useMenu } from "~/components/use-menu";
import { useNow } from "~/components/use-now";
import { sayDay, sayZone } from "~/components/time-words";
import { timesTold } from "~/components/own-times-words";
import type { PlannedDates } from "~/calendar/table.client";
import { keptPiece } from "~/piece/kept-piece";
import type { Days } from "~/store/pieces";
import { hardText, readyText } from "~/piece/ready-text";
import type { Route } from "./+types/route";
import { Latest, Sittings } from "./sittings";

interface DatesAsk {
  readonly intent: "dates";
  readonly dates: Days;
  /** The days the screen showed; null where these stand whatever was set meanwhile. */
  readonly seen?: Days | null;
}

const DAY_LABELS: Readonly<Record<keyof Days, string>> = { start: "Start on", due: "Needed on" };

function daysField(joi: JoiRoot) {
  return joi.object({ start: daySchema(joi).allow(""), due: daySchema(joi).allow("") });
}

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { datesOfPiece }] = await Promise.all([keptPiece(params.id), import("~/piece/dates.client")]);
  return { kept, dated: datesOfPiece(kept) };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request, params }: Route.ClientActionArgs) {
  const [{ database }, { DaysClash, setDates }, clashes] = await Promise.all([
    import("~/store/open.client"),
    import("~/store/pieces"),
    import("~/store/clashes.client"),
  ]);
  return perform<DatesAsk, null>(
    request,
    { dates: (joi) => ({ dates: daysField(joi).required(), seen: daysField(joi).allow(null) }) },
    {
      dates: async ({ dates, seen = null }, by) => {
        const [id, key] = [pieceId(params.id), clashes.clashKey("dates", Object.keys(dates))];
        try {
          await setDates(await database(), id, dates, by, seen && { days: seen, own: clashes.ownValuesOf(id) });
          clashes.settleClash(id, key);
        } catch (error) {
          if (!(error instanceof DaysClash)) throw error;
          const again: DatesAsk = { intent: "dates", dates, seen: null };
          clashes.noteClash(id, { key, what: error.days.map((day) => DAY_LABELS[day].toLowerCase()), again: { action: `/pieces/${id}/dates`, ask: again } });
        }
        return null;
      },
    },
  );
}

/** When: a day to start, a day it is needed by, and the sittings that follow from free hours. */
export default function DatesRoom({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const { hours } = useAppContext();
  const now = useNow();
  const today = dateOf(now, hours.timeZone);
  const elsewhere = otherZoneHere(hours.timeZone, now);
  const { kept, dated } = loaderData;
  const action = `/pieces/${kept.record.id}/dates`;
  const ask = useAsk<DatesAsk>(action);
  const asked = useAsked<DatesAsk>(action);
  const { start = "", due = "" } = asked.reduce<Days>((days, one) => ({ ...days, ...one.dates }), kept.record.dates ?? {});
  const save = (field: keyof Days) => (day: string) => {
    const seen = { start, due };
    // What the user knew when they began to type is known still.
    const over = (earlier: DatesAsk): DatesAsk => ({ intent: "dates", dates: { [field]: day }, ...(earlier.seen === undefined ? {} : { seen: earlier.seen }) });
    ask({ intent: "dates", dates: { [field]: day }, seen }, { about: `${kept.record.id}/${field}`, over });
  };
  return (
    <section aria-label="Dates" className="grid max-w-4xl gap-4">
      <div className="flex flex-wrap items-end gap-3">
        <DayField label={DAY_LABELS.start} value={start} today={today} save={save("start")} />
        <DayField label={DAY_LABELS.due} value={due} today={today} min={today} save={save("due")} />
        <p className="grow text-soft">
          In your free hours, {sayZone(hours.timeZone)}.{" "}
          <Link to="/settings#hours" className="underline">
            Change them
          </Link>
        </p>
      </div>
      {elsewhere && (
        <p role="status" className="notice bg-note-tint">
          Your hours were said in {sayZone(hours.timeZone)}. This device is on {sayZone(elsewhere)}, and the times below are what its clock will show.
        </p>
      )}
      <Awaited of={dated} waiting={<p role="status">Laying it into your free hours…</p>}>
        {({ dates, now: from }, busy) => (
          <div className="grid gap-4" aria-busy={busy}>
            {!dates && <p>This piece has no plan to date yet.</p>}
            {dates && <Latest dates={dates} now={from} begun={kept.progress.length > 0} />}
            {dates && (
              <p>
                Ready for gentle hands: <strong>{readyText(dates, "handle", from)}</strong>. Fully hard: <strong>{readyText(dates, "cured", from)}</strong>;
                from then on it may be {hardText(kept.record.piece.uses)}.
              </p>
            )}
            {dates && <Beside dates={dates} now={from} />}
            {dates && <OwnTimesUsed own={kept.shelf.own} dates={dates} room={kept.record.piece.room} />}
            {dates?.usual && <Sittings dates={dates.usual} shown={dates.shown} menu={menu} now={from} />}
            {dates && !dates.usual && <p role="alert">You have no free hour in the settings, so nothing can be dated.</p>}
          </div>
        )}
      </Awaited>
    </section>
  );
}

/** What the other pieces on the table make of it. */
function Beside({ dates: { others, alone }, now }: { dates: PlannedDates; now: number }) {
  return (
    <p>
      {others > 0 &&
        `${others === 1 ? "Another piece is" : `${others} other pieces are`} on the table too${alone === null ? "" : `; by itself it would be ready ${sayDay(alone, now)}`}. `}
      <Link to="/calendar" className="underline">
        All pieces in one calendar
      </Link>
    </p>
  );
}

/** That the user's own times are reckoned with, and which. */
function OwnTimesUsed({ own, dates, room }: { own: OwnTimes | null; dates: PlannedDates; room: Piece["room"] }) {
  const menu = useMenu();
  const { rooms } = useAppContext();
  const told = own ? timesTold(timesApplied(own, dates.shown, wholeRoom(room)), menu, rooms) : [];
  if (told.length === 0) return null;
  return (
    <p className="text-soft">
      Reckoned with{" "}
      <Link to="/settings#own-times" className="underline">
        your own times
      </Link>
      : {told.map(({ what, said, sure }) => `${lowerFirst(what)} ${said} (${sure})`).join("; ")}.
    </p>
  );
}

export function ErrorBoundary() {
  return <RoomError />;
}
