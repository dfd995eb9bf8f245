import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { Repeat2 } from "lucide-react";
import { MOST_OF_ONE } from "#core/piece/piece";
import { differenceInWords } from "#core/coating/facts/jars";
import { sizeWords } from "#core/piece/size-words";
import { sayDuration } from "#core/units/duration";
import { useAfter } from "~/actions/use-after";
import { useAsk } from "~/actions/use-ask";
import { useAppContext } from "~/components/app-context";
import { Awaited } from "~/components/awaited";
import { ColourChip } from "~/components/colour-chip";
import { LogbookRooms } from "~/components/logbook-rooms";
import { NumberField } from "~/components/number-field";
import { RoomError } from "~/components/room-error";
import { said, useSetParam } from "~/components/use-set-param";
import { LOGBOOK } from "~/logbook/logbook-asks";
import type { LogbookAsk } from "~/logbook/logbook-asks";
import type { AgainView } from "~/logbook/again.client";
import { freshId } from "~/store/fresh-id";
import type { Route } from "./+types/route";

/** As large again, in the hundred: a body half to twice as long. */
const TIMES = { least: 25, most: 400 } as const;
const WHOLE = 100;

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const search = new URL(request.url).searchParams;
  const number = (name: string, least: number, most: number, usual: number) => {
    const value = Number(search.get(name) ?? usual);
    return value >= least && value <= most ? value : usual;
  };
  const times = number("size", TIMES.least, TIMES.most, WHOLE) / WHOLE;
  const { again } = await import("~/logbook/again.client");
  return again(params.id, { times, count: search.get("count") === null ? null : Math.round(number("count", 1, MOST_OF_ONE, 1)) });
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Looking what you have for it…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** Colours nearer than this are one colour to the eye, ΔE00. */
const SEEN_APART = 2;

/** What is no longer on the shelf, and what is taken for it. */
function Replacing({ view: { replaced, without } }: { view: AgainView }) {
  return (
    <>
      {replaced.length === 0 ? (
        <p className="mt-2">Everything it was made with is on your shelf.</p>
      ) : (
        <ul className="mt-2 grid gap-1" aria-label="What is taken in place of what is gone">
          {replaced.map(({ was, wasColour, now, nowColour, apart }) => (
            <li key={was}>
              {wasColour && <ColourChip colour={wasColour} size={18} />} <strong>{was}</strong> is not on the shelf any more:{" "}
              {now === null ? (
                "to be got again, or chosen anew in the plan."
              ) : (
                <>
                  {nowColour && <ColourChip colour={nowColour} size={18} />} {now} is taken
                  {wasColour && nowColour && (apart ?? 0) >= SEEN_APART ? `, ${differenceInWords(nowColour, wasColour)}` : ""}.
                </>
              )}
            </li>
          ))}
        </ul>
      )}
      {without.length > 0 && (
        <p className="mt-1">This body has no {without.map((zone) => zone.replace(/\/motif-\d+$/, "")).join(", no ")}: what lay there stays away.</p>
      )}
    </>
  );
}

/** The same piece again: so many, so large, from what is on the shelf now. */
export default function Again({ loaderData }: Route.ComponentProps) {
  const [, setCount] = useSetParam("count");
  const [, setSize] = useSetParam("size");
  const { settings } = useAppContext();
  const navigate = useNavigate();
  const send = useAsk<LogbookAsk>(LOGBOOK);
  const [making, after] = useAfter();
  const [id] = useState(freshId);
  if (!loaderData)
    return (
      <>
        <LogbookRooms />
        <h1 className="mt-4 text-2xl">Made again</h1>
        <p className="mt-2">
          This record does not say enough to be followed again.{" "}
          <Link to="/pieces/new" className="underline">
            Plan a new piece
          </Link>
          .
        </p>
      </>
    );
  const { record, piece, view, times } = loaderData;
  return (
    <>
      <title>{`${record.name} again – Nook Coat`}</title>
      <LogbookRooms />
      <h1 className="mt-4 text-2xl">{record.name}, again</h1>
      <p className="text-soft">As it was worked then, on a body of the same kind: {sizeWords(piece.form, settings.units)}.</p>
      <div className="mt-3 grid max-w-xl gap-3 sm:grid-cols-2">
        <NumberField label="How many" value={piece.count ?? 1} bounds={{ least: 1, most: MOST_OF_ONE }} whole save={(value) => setCount(said(value))} />
        <NumberField label="As large as then" unit="%" value={Math.round(times * WHOLE)} bounds={TIMES} whole save={(value) => setSize(said(value))} />
      </div>
      <Awaited
        of={view}
        waiting={
          <p role="status" className="mt-4">
            Working the coats out for it…
          </p>
        }
      >
        {(known, busy) => (
          <section aria-busy={busy} aria-labelledby="what-it-takes" className="mt-4 max-w-prose">
            <h2 id="what-it-takes" className="text-xl">
              From what you have
            </h2>
            <Replacing view={known} />
            {known.handsOnMin !== null && (
              <p className="mt-2">
                About {sayDuration(known.handsOnMin)} of work{(piece.count ?? 1) > 1 ? ` for all ${piece.count}` : ""}.
              </p>
            )}
            {known.stops.map((message) => (
              <p key={message} className="mt-1 font-semibold text-stop">
                {message}
              </p>
            ))}
            <p className="mt-4">
              <button
                type="button"
                className="button button-act"
                disabled={making || busy}
                onClick={() =>
                  after(send({ intent: "again", piece: id, of: piece, followed: known.followed, edits: known.edits }), () => void navigate(`/pieces/${id}`))
                }
              >
                <Repeat2 aria-hidden size={20} /> Begin {(piece.count ?? 1) > 1 ? `the ${piece.count}` : "it"}
              </button>
            </p>
          </section>
        )}
      </Awaited>
    </>
  );
}
