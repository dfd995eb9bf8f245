import { useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import { BookPlus, Columns2 } from "lucide-react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { dueLooks } from "#core/logbook/record/reminders";
import { heldAgainst, heldBy, sayAgainst, sayHeld } from "#core/logbook/record/held";
import { choicesIn, searchRecords } from "#core/logbook/record/search";
import { Awaited } from "~/components/awaited";
import { LogbookRooms } from "~/components/logbook-rooms";
import { RoomError } from "~/components/room-error";
import { WindowedGrid } from "~/components/windowed-grid";
import { useLogbook } from "~/logbook/use-logbook";
import type { Route } from "./+types/route";
import { LookAgain } from "./look-again";
import { Outward } from "./outward";
import { ReadyToWrite } from "./ready-to-write";
import { SeekRecords, useSoughtRecords } from "./seek-records";
import { ShelfPiece } from "./shelf-piece";

export async function clientLoader() {
  return (await import("~/logbook/logbook-loaded.client")).logbookLoaded();
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs) {
  return (await import("~/logbook/logbook-loaded.client")).performLogbook(request);
}

export function HydrateFallback() {
  return <p>Opening the logbook…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** What the records say is told line by line up to here; the rest is behind a word. */
const SAID_AT_ONCE = 3;
/** Height of a row of the shelf before it is measured, px. */
const ROW_PX = 290;

/** What the looks at finished pieces say of their films. */
function WhatHeld({ said }: { said: readonly string[] }) {
  if (said.length === 0) return null;
  const [first, rest] = [said.slice(0, SAID_AT_ONCE), said.slice(SAID_AT_ONCE)];
  return (
    <section aria-labelledby="what-held">
      <h2 id="what-held" className="text-xl">
        What held
      </h2>
      <ul className="mt-1 grid gap-1">
        {first.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {rest.length > 0 && (
        <details>
          <summary className="min-h-11 w-fit cursor-pointer py-2 underline">{rest.length} more</summary>
          <ul className="grid gap-1">
            {rest.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function Empty() {
  return (
    <section className="note mt-5 max-w-prose p-6">
      <h2 className="text-2xl">Nothing is written down yet</h2>
      <p className="mt-2">
        When a piece has all its coats, its record is there already: what you laid, from which jar, when and how long. One click puts it on this shelf. What you
        made before can be told in a few words, or brought in from a table.
      </p>
      <p className="mt-4">
        <Link to="/logbook/older" className="button button-act">
          <BookPlus aria-hidden size={20} /> Tell of an older piece
        </Link>
      </p>
    </section>
  );
}

/** The logbook: a shelf of finished pieces, what can be asked of them, and what is to be looked at again. */
export default function LogbookRoom({ loaderData }: Route.ComponentProps) {
  const logbook = useLogbook(loaderData);
  const { indexedOf, faceAt, today, ready } = loaderData;
  const { records, trials } = logbook;
  const [sought, seek] = useSoughtRecords();
  const navigate = useNavigate();
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  // A long logbook is gone through once, not at every letter that is typed.
  const all = useMemo(() => records.map(indexedOf), [records, indexedOf]);
  const choices = useMemo(() => choicesIn(all), [all]);
  const found = searchRecords(all, sought);
  const said = useMemo(() => {
    const held = heldBy(records, CATALOGUE);
    return [...heldAgainst(held).map(sayAgainst), ...held.map(sayHeld)];
  }, [records]);
  const pick = (id: string) => {
    const next = picked?.includes(id) ? picked.filter((one) => one !== id) : [...(picked ?? []), id];
    if (next.length === 2) void navigate(`/logbook/beside?one=${next[0]}&other=${next[1]}`);
    else setPicked(next);
  };
  return (
    <>
      <title>Logbook – Nook Coat</title>
      <div className="flex flex-wrap items-end justify-between gap-3">
        <LogbookRooms />
        <Link to="/logbook/older" className="button">
          <BookPlus aria-hidden size={20} /> An older piece
        </Link>
      </div>
      <div className="mt-2 grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_21rem]">
        <div className="min-w-0">
          {records.length === 0 ? (
            <Empty />
          ) : (
            <>
              {records.length > 1 && <SeekRecords sought={sought} seek={seek} choices={choices} />}
              <div className="mt-3 flex flex-wrap items-center justify-between gap-3">
                <p role="status" className={found.length === records.length ? "text-soft" : ""}>
                  {found.length === 0
                    ? "Nothing written down is like that."
                    : found.length === records.length
                      ? `${records.length} ${records.length === 1 ? "piece" : "pieces"} written down`
                      : `${found.length} of ${records.length}`}
                </p>
                {records.length > 1 && (
                  <button type="button" className="button" aria-pressed={picked !== null} onClick={() => setPicked(picked === null ? [] : null)}>
                    <Columns2 aria-hidden size={20} /> {picked === null ? "Two side by side" : picked.length === 0 ? "Choose the first" : "Choose the second"}
                  </button>
                )}
              </div>
              <WindowedGrid
                items={found}
                keyOf={({ record }) => record.id}
                label={`${found.length} finished pieces`}
                rowPx={ROW_PX}
                card={({ record, answers }) => (
                  <ShelfPiece
                    record={record}
                    answers={answers}
                    faceAt={faceAt}
                    picked={picked && { on: picked.includes(record.id), pick: () => pick(record.id) }}
                  />
                )}
              />
            </>
          )}
        </div>
        <aside className="grid min-w-0 content-start gap-6" aria-label="To write down, to look at again, what held">
          <Awaited of={ready} waiting={null}>
            {(pieces) => <ReadyToWrite pieces={pieces} ask={logbook.ask} />}
          </Awaited>
          <LookAgain due={dueLooks(records, today)} change={logbook.change} />
          <WhatHeld said={said} />
          {records.length + trials.length > 0 && <Outward records={records} trials={trials} today={today} />}
        </aside>
      </div>
    </>
  );
}
