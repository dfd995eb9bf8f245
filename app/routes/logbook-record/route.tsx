import { Link } from "react-router";
import { Columns2, Printer, Repeat2 } from "lucide-react";
import { logRecordId } from "#core/catalogue/ids";
import { recordIdSchema } from "#core/formats/stores/definition";
import type { LogRecord } from "#core/logbook/record/record";
import { remindersOf } from "#core/logbook/record/reminders";
import { sameDesign } from "#core/logbook/record/beside";
import { sayBody } from "#core/logbook/record/say-record";
import { perform } from "~/actions/perform";
import { useAppContext } from "~/components/app-context";
import { LogbookRooms } from "~/components/logbook-rooms";
import { RoomError } from "~/components/room-error";
import { BesideWork, ToldPart, WorkTable } from "~/logbook/record-work";
import { RecordFace } from "~/logbook/record-face";
import { RecordPictures } from "~/logbook/record-pictures";
import { sayLogDay } from "~/logbook/logbook-words";
import { useLogbook } from "~/logbook/use-logbook";
import type { PhotosOutcome } from "~/photos/photo-ask";
import type { Route } from "./+types/route";
import { Additions } from "./additions";
import { Looks } from "./looks";
import { MoneyPart } from "./money-part";
import { MorePictures } from "./more-pictures";
import { Moves } from "./moves";
import { RemoveRecord } from "./remove-record";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  return (await import("~/logbook/logbook-loaded.client")).recordLoaded(params.id);
}
clientLoader.hydrate = true as const;

/** Photographs that come to it afterwards. */
export async function clientAction({ request, params }: Route.ClientActionArgs) {
  const [{ addPicked }, { addRecordPictures }, { database }] = await Promise.all([
    import("~/photos/photo-commands.client"),
    import("~/store/records"),
    import("~/store/open.client"),
  ]);
  return perform<{ readonly intent: "add"; readonly files: string }, PhotosOutcome>(
    request,
    { add: (joi) => ({ files: recordIdSchema(joi).required() }) },
    { add: ({ files }, by) => addPicked(files, async (photos) => addRecordPictures(await database(), logRecordId(params.id), photos, by)) },
  );
}

export function HydrateFallback() {
  return <p>Turning to the page…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** The record is not in the logbook: it was taken out, or never was. */
function NotHere() {
  return (
    <>
      <title>Logbook – Nook Coat</title>
      <LogbookRooms />
      <section className="note mt-5 max-w-prose p-6">
        <h1 className="text-2xl">This record is not in the logbook</h1>
        <p className="mt-2">If it was taken out just now, taking that back brings it again.</p>
        <p className="mt-4">
          <Link to="/logbook" className="button">
            To the logbook
          </Link>
        </p>
      </section>
    </>
  );
}

export default function RecordPage({ loaderData }: Route.ComponentProps) {
  return loaderData.record ? <WholeRecord loaded={{ ...loaderData, record: loaderData.record }} /> : <NotHere />;
}

type Loaded = Route.ComponentProps["loaderData"] & { readonly record: LogRecord };

/** The record of a finished piece: what was done, how it held, where it went, what it cost; it prints as one page. */
function WholeRecord({ loaded }: { loaded: Loaded }) {
  const { faceAt, today, hasPiece } = loaded;
  const logbook = useLogbook(loaded);
  const { settings } = useAppContext();
  const record = logbook.records.find(({ id }) => id === loaded.record.id) ?? loaded.record;
  const change = (of: Parameters<typeof logbook.change>[1]) => logbook.change(record.id, of);
  const others = sameDesign(record, logbook.records);
  const [next] = remindersOf(record, today);
  const dates = [record.begunOn && `begun ${sayLogDay(record.begunOn)}`, record.finishedOn && `finished ${sayLogDay(record.finishedOn)}`]
    .filter(Boolean)
    .join(", ");
  return (
    <>
      <title>{`${record.name} – Logbook – Nook Coat`}</title>
      <LogbookRooms />
      <div className="mt-4 flex flex-wrap items-end gap-4 border-b-2 border-ink pb-2">
        <RecordFace record={record} faceAt={faceAt} size={110} />
        <div className="min-w-0 grow">
          <h1 className="text-3xl">{record.name}</h1>
          <p className="text-soft">
            {sayBody(record, settings.units)}
            {record.count > 1 && `; ${record.count} of them`}
            {dates !== "" && `; ${dates}`}
            {record.origin === "told" && "; told from memory"}
          </p>
        </div>
        <div className="flex flex-wrap gap-2 print:hidden">
          {record.piece && (
            <Link to={`/logbook/records/${record.id}/again`} className="button button-act">
              <Repeat2 aria-hidden size={20} /> Make it again
            </Link>
          )}
          <button type="button" className="button" onClick={() => window.print()}>
            <Printer aria-hidden size={20} /> Print
          </button>
        </div>
      </div>
      <div className="mt-4 grid gap-8 lg:grid-cols-[minmax(0,1fr)_22rem] print:grid-cols-1">
        <div className="grid min-w-0 content-start gap-6">
          <div className="grid gap-2">
            <RecordPictures pictures={record.pictures} faceAt={faceAt} />
            <MorePictures record={record.id} some={record.pictures.length > 0} />
          </div>
          <section aria-labelledby="was-done">
            <h2 id="was-done" className="text-2xl">
              What was done
            </h2>
            {record.work.length > 0 && <WorkTable record={record} />}
            <ToldPart {...(record.told ? { told: record.told } : {})} />
          </section>
          <Additions record={record} change={change} />
          {others.length > 0 && (
            <section aria-labelledby="same-design" className="print:hidden">
              <h2 id="same-design" className="text-xl">
                The same design in other colours
              </h2>
              <ul className="mt-2 flex flex-wrap gap-4">
                {others.slice(0, MOST_OTHERS).map((other) => (
                  <li key={other.id} className="grid justify-items-center gap-1">
                    <RecordFace record={other} faceAt={faceAt} size={84} />
                    <Link to={`/logbook/records/${other.id}`} className="text-ink underline">
                      {other.name}
                    </Link>
                    <Link to={`/logbook/beside?one=${record.id}&other=${other.id}`} className="button">
                      <Columns2 aria-hidden size={18} /> Side by side
                    </Link>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
        <aside className="grid min-w-0 content-start gap-6" aria-label="How it held, where it went, what it took">
          <Looks record={record} next={next ?? null} change={change} />
          <Moves record={record} today={today} change={change} />
          <MoneyPart record={record} change={change} />
          <BesideWork record={record} />
          <div className="flex flex-wrap gap-2 print:hidden">
            {hasPiece && record.pieceId !== undefined && (
              <>
                <Link to={`/pieces/${record.pieceId}`} className="button">
                  Its piece
                </Link>
                <Link to={`/pieces/${record.pieceId}/card`} className="button">
                  Care card and label
                </Link>
              </>
            )}
            <RemoveRecord record={record} ask={logbook.ask} />
          </div>
        </aside>
      </div>
    </>
  );
}

/** Pieces of the same design shown beside it. */
const MOST_OTHERS = 6;
