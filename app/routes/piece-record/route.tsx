import { Link } from "react-router";
import { BookCheck, GraduationCap, SquarePen } from "lucide-react";
import { pieceId } from "#core/catalogue/ids";
import { sayBody } from "#core/logbook/record/say-record";
import { useAsk } from "~/actions/use-ask";
import { useAppContext } from "~/components/app-context";
import { Awaited } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { timeZoneHere } from "~/components/time-zone";
import { LOGBOOK } from "~/logbook/logbook-asks";
import type { LogbookAsk } from "~/logbook/logbook-asks";
import { BesideWork, WorkTable } from "~/logbook/record-work";
import { sayLogDay } from "~/logbook/logbook-words";
import { useAfterWriting } from "~/logbook/use-after-writing";
import { keptPiece } from "~/piece/kept-piece";
import type { Route } from "./+types/route";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { database }, { recordOfPiece, recordSoFar }, { keyOf, workedOut }, { keptOverview }] = await Promise.all([
    keptPiece(params.id),
    import("~/store/open.client"),
    import("~/store/records"),
    import("~/piece/worked-out.client"),
    import("~/store/listing"),
  ]);
  const db = await database();
  const [made, written] = await Promise.all([recordSoFar(db, kept.record, timeZoneHere()), recordOfPiece(db, pieceId(params.id))]);
  const now = Date.now();
  const finished = keptOverview(db, kept.record.id, keyOf(kept), now).then(async (known) => (known ?? (await workedOut(db, kept, now))).finished);
  // Whoever shows it tells of a failure.
  finished.catch(() => undefined);
  return { made, written, finished, id: params.id };
}
clientLoader.hydrate = true as const;

export function ErrorBoundary() {
  return <RoomError />;
}

/** The record of a piece as far as it has come, and the click that writes it down. */
export default function PieceRecordRoom({ loaderData: { made, written, finished, id } }: Route.ComponentProps) {
  const { settings } = useAppContext();
  const ask = useAsk<LogbookAsk>(LOGBOOK);
  const [writing, write] = useAfterWriting((asked) => ask(asked));
  const since = written ? made.work.filter(({ last }) => last > written.writtenAt) : [];
  return (
    <>
      <title>{`Record: ${made.name} – Nook Coat`}</title>
      {written ? (
        <p className="next-line border-ready">
          <strong className="text-ready">Written down</strong> on {sayLogDay(written.writtenAt.slice(0, 10))}.{" "}
          <Link to={`/logbook/records/${written.id}`} className="underline">
            Its page in the logbook
          </Link>
        </p>
      ) : made.work.length === 0 ? (
        <p className="next-line border-soft">Nothing is noted of it yet. As you mark coats as done, its record grows here by itself.</p>
      ) : (
        <Awaited of={finished} waiting={<p className="next-line border-soft">Looking whether all its coats are on…</p>}>
          {(isFinished) => (
            <div className={`next-line flex flex-wrap items-center justify-between gap-3 ${isFinished ? "border-act" : "border-soft"}`}>
              <span>
                {isFinished ? (
                  <>
                    <strong className="text-act">All coats are on.</strong> Written down, it stands in the logbook for ever.
                  </>
                ) : (
                  "This is its record so far. It grows as you work; if you stop here, it can be written down as it is."
                )}
              </span>
              <button type="button" className={`button ${isFinished ? "button-act" : ""}`} disabled={writing} onClick={() => write(id)}>
                <BookCheck aria-hidden size={20} /> {isFinished ? "Write it down" : "It is finished as it is"}
              </button>
            </div>
          )}
        </Awaited>
      )}
      <div className="mt-4 grid gap-8 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <section aria-labelledby="so-far" className="min-w-0">
          <h2 id="so-far" className="text-2xl">
            {written ? (since.length > 0 ? "Done since it was written down" : "What was done") : "Done so far"}
          </h2>
          <p className="text-soft">
            {sayBody(made, settings.units)}
            {made.begunOn && `; begun ${sayLogDay(made.begunOn)}`}
          </p>
          {made.work.length > 0 && <WorkTable record={since.length > 0 ? { name: made.name, work: since } : made} />}
        </section>
        <aside className="grid content-start gap-5" aria-label="What it took, and what else can be done with it">
          <BesideWork record={made} />
          <section aria-labelledby="also">
            <h3 id="also" className="text-lg">
              Also
            </h3>
            <p className="mt-1 grid gap-2">
              <Link to={`/pieces/${id}/back`} className="button">
                <SquarePen aria-hidden size={20} /> Text for its back
              </Link>
              <Link to={`/pieces/${id}/class`} className="button">
                <GraduationCap aria-hidden size={20} /> Teach it to a class
              </Link>
            </p>
          </section>
        </aside>
      </div>
    </>
  );
}
