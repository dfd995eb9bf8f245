import { useEffect, useState } from "react";
import { Link } from "react-router";
import { Layers, ListChecks, Plus, Undo2 } from "lucide-react";
import { pieceId } from "#core/catalogue/ids";
import { tableOrder } from "#core/logbook/overview";
import { perform } from "~/actions/perform";
import { useAsk } from "~/actions/use-ask";
import { CHANGES_BEFORE_ADVICE } from "~/components/backup-advice";
import { useAppContext } from "~/components/app-context";
import { Awaited, useLast } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { sayClock } from "~/components/time-words";
import { useNow } from "~/components/use-now";
import { openTernPoint, seedOnce } from "~/demo/seed.client";
import { backupState } from "~/store/backup.client";
import { removedLately } from "~/store/history.client";
import type { RemovedPiece } from "~/store/history.client";
import { database } from "~/store/open.client";
import type { Route } from "./+types/route";
import { Cards } from "./cards";
import { ChosenBar } from "./choosing";
import { listingOf, listSeen } from "./listing.client";
import { OnTheTable } from "./on-the-table";
import { PIECES_INTENTS } from "./pieces-asks";
import type { PiecesAsk } from "./pieces-asks";
import { Seek, useSought } from "./seek";
import { setsOf, soughtIn } from "./sought";

export function loader() {
  return { demo: process.env.NOOK_COAT_DEMO === "1" };
}

export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const db = await database();
  await seedOnce(db, async () => (await serverLoader()).demo);
  const [listing, removed] = await Promise.all([listingOf(db), removedLately(db)]);
  return { listing, removed, standing: listing.standing(), backup: backupState() };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

export async function clientAction({ request }: Route.ClientActionArgs) {
  const { setKeeping } = await import("~/store/pieces");
  return perform<PiecesAsk, null>(request, PIECES_INTENTS, {
    "open-demo": async () => (await openTernPoint(await database()), null),
    "keep-with": async ({ ids, set, putAway }, by) => {
      const keeping = { ...(set === undefined ? {} : { set }), ...(putAway === undefined ? {} : { putAway }) };
      await setKeeping(await database(), ids.map(pieceId), keeping, by);
      return null;
    },
  });
}

export function ErrorBoundary() {
  return <RoomError />;
}

function Empty() {
  const ask = useAsk<PiecesAsk>("/pieces");
  return (
    <section className="note mt-6 max-w-prose p-6">
      <h2 className="text-2xl">What have you got in your hand?</h2>
      <p className="mt-2">
        Say what it is made of, what it is for and how you want to decorate it. You get a coat plan at once: what goes on, in what order, how long to wait, and
        why.
      </p>
      <p className="mt-4">
        <Link to="/pieces/new" className="button button-act">
          <Plus aria-hidden size={20} /> Plan your first piece
        </Link>
      </p>
      <p className="mt-4 text-soft">
        Have a saved notebook file?{" "}
        <Link to="/settings#files" className="underline">
          Bring it in here.
        </Link>
      </p>
      <div className="mt-3">
        <button type="button" className="button" onClick={() => ask({ intent: "open-demo" })}>
          Open the Tern Point notebook
        </button>
        <p className="mt-1 text-soft">Made-up pieces in all stages, to look around in. They can be removed in one go.</p>
      </div>
    </section>
  );
}

export default function Pieces({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const now = useNow();
  const { listing, removed, standing, backup } = loaderData;
  useEffect(() => listSeen(), []);
  const [sought, seek] = useSought();
  const sets = setsOf(listing.pieces);
  const known = useLast(standing);
  const table = known ? [...known].sort((a, b) => tableOrder(a.overview, b.overview)).map(({ kept }) => kept.record.id as string) : [];
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const choose = (id: string, on: boolean) => setChosen((now) => new Set(on ? [...(now ?? []), id] : [...(now ?? [])].filter((one) => one !== id)));
  const pieces = soughtIn(listing.pieces, sought, { ids: listing.begun, table });
  return (
    <>
      <title>Pieces – Nook Coat</title>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">Pieces</h1>
        {listing.pieces.length > 0 && (
          <div className="flex flex-wrap gap-2">
            {listing.pieces.length > 1 && !chosen && (
              <button type="button" className="button" onClick={() => setChosen(new Set())}>
                <ListChecks aria-hidden size={20} /> Choose several
              </button>
            )}
            <Link to="/pieces/new" className="button button-act">
              <Plus aria-hidden size={20} /> New piece
            </Link>
          </div>
        )}
      </div>
      {listing.pieces.length === 0 ? (
        <Empty />
      ) : (
        <>
          {listing.begun.length > 0 && (
            <Awaited of={standing} waiting={<OnTheTable begun={listing.begun.length} standing={null} now={now} menu={menu} />}>
              {(told) => <OnTheTable begun={listing.begun.length} standing={told} now={now} menu={menu} />}
            </Awaited>
          )}
          {listing.pieces.length > 1 && <Seek sought={sought} seek={seek} sets={sets} />}
          {chosen && (
            <ChosenBar
              pieces={pieces}
              chosen={chosen}
              sets={sets}
              chooseAll={(on) => setChosen(new Set(on ? pieces.map(({ id }) => id) : []))}
              end={() => setChosen(null)}
            />
          )}
          {sought.set !== "" && (
            <p className="mt-3">
              <Link to={`/sets/${encodeURIComponent(sought.set)}`} className="button">
                <Layers aria-hidden size={20} /> Make “{sought.set}” together
              </Link>
            </p>
          )}
          <p role="status" className={pieces.length === listing.pieces.length ? "sr-only" : "mt-2 text-soft"}>
            {pieces.length === 0 ? "None is like that." : `${pieces.length} of ${listing.pieces.length} pieces`}
          </p>
          <Cards choosing={chosen && { chosen, choose }} listing={listing} pieces={pieces} now={now} menu={menu} />
        </>
      )}
      {listing.pieces.length > 0 && backup.changes >= CHANGES_BEFORE_ADVICE && (
        <p className="mt-6 text-soft">
          {backup.changes} changes have not been saved to a file yet.{" "}
          <Link to="/settings#files" className="underline">
            Save the notebook
          </Link>
        </p>
      )}
      {removed.length > 0 && <Removed removed={removed} />}
    </>
  );
}

/** What was removed lately, and the way back. */
function Removed({ removed }: { removed: readonly RemovedPiece[] }) {
  const { bringBack } = useAppContext();
  const now = useNow();
  return (
    <details className="mt-8 max-w-prose">
      <summary className="w-fit py-2 text-soft underline">Lately removed ({removed.length})</summary>
      <ul className="grid gap-1">
        {removed.map(({ actId, at, names }) => (
          <li key={actId} className="flex flex-wrap items-center justify-between gap-3 border-b border-dashed border-line pb-1">
            <span className="min-w-0 [overflow-wrap:anywhere]">
              {names.slice(0, 3).join(", ")}
              {names.length > 3 && ` and ${names.length - 3} more`}
              <span className="text-soft">, {sayClock(at, now)}</span>
            </span>
            <button type="button" className="button" aria-label={`Bring back ${names[0] ?? "what was removed"}`} onClick={() => bringBack(actId)}>
              <Undo2 aria-hidden size={18} /> Bring back
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
