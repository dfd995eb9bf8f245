import { Link } from "react-router";
import { MapPin, Sunrise } from "lucide-react";
import { format, parseISO } from "date-fns";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { roomKey } from "#core/logbook/learning/room-key";
import { benchOf } from "#core/logbook/bench/bench";
import type { Bench } from "#core/logbook/bench/bench";
import { clearingUp, doneSince, eveningOf } from "#core/logbook/bench/evening";
import type { ClearingUp, DoneOnPiece } from "#core/logbook/bench/evening";
import { dateOf } from "#core/schedule/free-hours";
import { runsOf } from "#core/schedule/together/runs";
import { runInBrief } from "~/calendar/act-words";
import type { Laid as LaidOut } from "~/calendar/table.client";
import { aloneWords, goTitle } from "~/bench/bench-words";
import type { OnBench } from "~/bench/bench-loaded.client";
import { orderFrom, useBench } from "~/bench/use-bench";
import { useAppContext } from "~/components/app-context";
import { Awaited } from "~/components/awaited";
import { sayCountdown } from "~/components/countdown";
import { RoomError } from "~/components/room-error";
import { sayClock, sayDay, sayTime } from "~/components/time-words";
import { timeZoneHere } from "~/components/time-zone";
import { useMenu } from "~/components/use-menu";
import { coatWords, stepTitle, zoneNames } from "~/components/words";
import type { Route } from "./+types/route";

export async function clientLoader() {
  const [{ database }, { benchLoaded }, { calendarLaid }] = await Promise.all([
    import("~/store/open.client"),
    import("~/bench/bench-loaded.client"),
    import("~/calendar/table.client"),
  ]);
  const db = await database();
  const bench = await benchLoaded(db);
  const [{ recordsToLookAt }, today] = [await import("~/store/records"), dateOf(Date.now(), timeZoneHere())];
  return { bench, again: await recordsToLookAt(db, today), laid: bench.pieces.then(async () => (await calendarLaid(db)).laid) };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Looking back at the evening…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** The end of an evening: what was done, what is drying and where, what tomorrow wants. */
export default function Evening({ loaderData: { bench, again, laid } }: Route.ComponentProps) {
  return (
    <>
      <title>Evening’s end – Nook Coat</title>
      <h1 className="text-3xl">Evening’s end</h1>
      <Awaited of={bench.pieces} waiting={<p role="status">Looking back at the evening…</p>}>
        {(pieces) => <Told pieces={pieces} loaded={bench} laid={laid} />}
      </Awaited>
      {again.length > 0 && (
        <section aria-labelledby="again" className="mt-6">
          <h2 id="again" className="text-2xl">
            Finished a while ago
          </h2>
          <p>
            {again.map(({ record }) => record.name).join(", ")}:{" "}
            <Link to="/logbook" className="underline">
              how have they held?
            </Link>
          </p>
        </section>
      )}
    </>
  );
}

function Told({ pieces, loaded, laid }: { pieces: readonly OnBench[]; loaded: Route.ComponentProps["loaderData"]["bench"]; laid: Promise<LaidOut> }) {
  const { bench, now } = useBench(pieces, loaded);
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const { since, morning } = eveningOf(now, timeZoneHere());
  const done = doneSince(pieces, since);
  return (
    <div className="mt-3 grid gap-6 lg:grid-cols-2">
      <div className="grid content-start gap-6">
        <Done done={done} pieces={byId} />
        <Awaited of={laid} waiting={<p className="text-soft">Looking what tomorrow wants…</p>}>
          {(laidOut) => <Next laid={laidOut} now={now} />}
        </Awaited>
        <Clearing up={clearingUp(done, CATALOGUE)} any={done.length > 0} />
      </div>
      <div className="grid content-start gap-6">
        <Drying bench={bench} pieces={byId} now={now} />
        <Morning bench={benchOf(pieces, morning, timeZoneHere(), orderFrom(pieces, morning, loaded.common))} pieces={byId} morning={morning} now={now} />
      </div>
    </div>
  );
}

function Done({ done, pieces }: { done: readonly DoneOnPiece[]; pieces: ReadonlyMap<string, OnBench> }) {
  const menu = useMenu();
  return (
    <section aria-labelledby="done">
      <h2 id="done" className="text-2xl">
        Done today
      </h2>
      {done.length === 0 && <p className="mt-1 text-soft">Nothing is noted for today.</p>}
      {done.map(({ piece, laid }) => (
        <div key={piece} className="mt-2 border-t border-dashed border-line pt-2" data-done-on={piece}>
          <Link to={`/pieces/${piece}`} className="font-semibold underline underline-offset-4">
            {pieces.get(piece)?.name}
          </Link>
          <ul>
            {laid.map((one) => (
              <li key={`${one.at}${one.act.role}${one.act.product}${one.coat}${one.half ?? ""}${one.act.colour ?? ""}`}>
                <span className="tabular-nums text-soft">{sayTime(one.at)}</span> {stepTitle(one.act, menu, false)}
                {(one.coat > 1 || one.half) && `, ${coatWords(one.coat, one.half, one.coat > 1 ? one.coat : 1).replace(/ of \d+/, "")}`}
                <span className="text-soft"> · {zoneNames(one.zones).toLowerCase()}</span>
                {one.off && <strong className="text-stop"> · taken off again</strong>}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

function Clearing({ up, any }: { up: ClearingUp; any: boolean }) {
  if (!any) return null;
  const lines = [
    "Lids on, a daub of the colour on each; the palette in a closed bag keeps till tomorrow.",
    ...(up.water ? ["Brushes and sponges: soap and lukewarm water, points drawn out, laid flat."] : []),
    ...(up.spirit ? ["Brushes from solvent paint: white spirit or alcohol, window open, no flame; the rest to the collection point."] : []),
    ...(up.oilyRags ? ["Oily rags heat themselves: spread them flat outdoors, or put them under water. Never in a heap, never in the bin."] : []),
    ...(up.resin ? ["Resin left over hardens in its cup and goes hot: stand it on stone, away from paper."] : []),
    ...(up.gypsum ? ["Dust and rinsing water of filler and gypsum: into a bucket, not down the drain."] : []),
    "Turn the fan low; keep children and cats out.",
  ];
  return (
    <section aria-labelledby="clearing">
      <h2 id="clearing" className="text-2xl">
        Before the lamp goes out
      </h2>
      <ul className="mt-1 list-disc pl-5">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

/** What dries, by room and by where it was put down. */
function Drying({ bench, pieces, now }: { bench: Bench; pieces: ReadonlyMap<string, OnBench>; now: number }) {
  const { rooms } = useAppContext();
  const roomOf = ({ work }: OnBench) => rooms.find(({ room }) => work.room !== undefined && roomKey(room) === roomKey(work.room))?.name ?? "Your room";
  const all = [
    ...bench.alone.map((one) => ({ piece: pieces.get(one.piece)!, text: aloneWords(one, pieces.get(one.piece)!), until: one.until })),
    ...bench.hardening.map((one) => ({ piece: pieces.get(one.piece)!, text: "hardening", until: one.handle > now ? one.handle : one.cured })),
  ];
  const keyOf = ({ piece }: (typeof all)[number]) => `${roomOf(piece)}|${piece.record.standsAt ?? ""}`;
  const places = [...new Set(all.map(keyOf))].map((key) => [key, all.filter((one) => keyOf(one) === key)] as const);
  return (
    <section aria-labelledby="drying">
      <h2 id="drying" className="text-2xl">
        Leave these alone
      </h2>
      {all.length === 0 && <p className="mt-1 text-soft">Nothing is drying.</p>}
      {places.map(([key, list]) => {
        const [room, place] = key.split("|") as [string, string];
        return (
          <div key={key} className="hatched mt-2 rounded-lg border border-soft p-3">
            <p className="font-semibold">
              <MapPin aria-hidden size={16} className="inline" /> {room}
              {place !== "" && `, ${place}`}
            </p>
            <ul>
              {list.map(({ piece, text, until }) => (
                <li key={piece.id}>
                  {piece.name}: {text}, till {sayClock(until, now)} <span className="text-soft">({sayCountdown(until - now)})</span>
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </section>
  );
}

function Morning({ bench, pieces, morning, now }: { bench: Bench; pieces: ReadonlyMap<string, OnBench>; morning: number; now: number }) {
  const menu = useMenu();
  return (
    <section aria-labelledby="morning">
      <h2 id="morning" className="text-2xl">
        <Sunrise aria-hidden size={24} className="mr-1 inline" /> Ready {sayClock(morning, now)}
      </h2>
      {bench.now.length === 0 ? (
        <p className="mt-1 text-soft">Nothing may be touched by then.</p>
      ) : (
        <ul className="mt-1">
          {bench.now.map((go) => (
            <li key={go.id}>
              <strong>{pieces.get(go.piece)?.name}</strong>: {goTitle(go, menu)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** The next day that has work in it, as the calendar has it. */
function Next({ laid: { first }, now }: { laid: LaidOut; now: number }) {
  const menu = useMenu();
  const today = dateOf(now, timeZoneHere());
  const day = first.calendar?.days.find(({ date, sittings }) => date > today && sittings.some(({ acts }) => acts.length > 0));
  if (!day) return null;
  const acts = day.sittings.flatMap((sitting) => sitting.acts);
  return (
    <section aria-labelledby="next">
      <h2 id="next" className="text-2xl first-letter:uppercase">
        {sayDay(parseISO(day.date).getTime(), now)} wants
      </h2>
      <p className="text-soft">
        {format(parseISO(day.date), "d MMMM")}, from {sayTime(acts[0]!.from)}
      </p>
      <ul className="mt-1">
        {runsOf(acts).map((run) => (
          <li key={run[0].id} className="first-letter:uppercase">
            {runInBrief(run, first.pieces, menu)}
          </li>
        ))}
      </ul>
      <p className="mt-1">
        <Link to={`/calendar?day=${day.date}`} className="inline-flex min-h-[44px] items-center underline">
          The calendar of that day
        </Link>
      </p>
    </section>
  );
}
