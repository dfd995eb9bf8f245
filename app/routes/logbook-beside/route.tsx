import { Link } from "react-router";
import { besideRows } from "#core/logbook/record/beside";
import { useAppContext } from "~/components/app-context";
import { ColourChip } from "~/components/colour-chip";
import { LogbookRooms } from "~/components/logbook-rooms";
import { RoomError } from "~/components/room-error";
import { RecordFace } from "~/logbook/record-face";
import { sayWhen } from "~/logbook/logbook-words";
import type { Route } from "./+types/route";

export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  const params = new URL(request.url).searchParams;
  const { logbookLoaded } = await import("~/logbook/logbook-loaded.client");
  const { records, faceAt } = await logbookLoaded();
  const of = (name: string) => records.find(({ id }) => id === params.get(name)) ?? null;
  return { one: of("one"), other: of("other"), faceAt };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Laying them side by side…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

function Cell({ text, colour }: { text: string | null; colour: string | null }) {
  return (
    <td className="w-[42%] py-1.5 pr-3 align-top [overflow-wrap:anywhere]">
      {text === null ? (
        <span className="text-soft">nothing like it</span>
      ) : (
        <>
          {colour !== null && <ColourChip colour={colour} size={18} />} {text}
        </>
      )}
    </td>
  );
}

/** Two finished pieces side by side, place by place: what differs stands out. */
export default function Beside({ loaderData: { one, other, faceAt } }: Route.ComponentProps) {
  const { settings } = useAppContext();
  if (!one || !other)
    return (
      <>
        <title>Side by side – Nook Coat</title>
        <LogbookRooms />
        <h1 className="mt-4 text-2xl">Side by side</h1>
        <p className="mt-2">
          Choose two pieces in the{" "}
          <Link to="/logbook" className="underline">
            logbook
          </Link>{" "}
          to lay them side by side.
        </p>
      </>
    );
  const rows = besideRows(one, other, settings.units);
  const differing = rows.filter(({ same }) => !same).length;
  return (
    <>
      <title>{`${one.name} and ${other.name} – Nook Coat`}</title>
      <LogbookRooms />
      <h1 className="mt-4 text-2xl">Side by side</h1>
      <p className="text-soft">{differing === 0 ? "They were made alike." : `They differ in ${differing} of ${rows.length} things; those are marked.`}</p>
      <div className="mt-3 overflow-x-auto">
        <table className="w-full min-w-[34rem] border-collapse">
          <thead>
            <tr className="align-bottom">
              <th scope="col" className="sr-only">
                Of
              </th>
              {[one, other].map((record) => (
                <th key={record.id} scope="col" className="pb-2 text-left font-normal">
                  <RecordFace record={record} faceAt={faceAt} size={96} />
                  <Link to={`/logbook/records/${record.id}`} className="block font-display text-xl text-ink underline">
                    {record.name}
                  </Link>
                  <span className="text-soft">{sayWhen(record)}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, index) => (
              <tr key={index} className={`border-t border-line ${row.same ? "" : "bg-note-tint"}`}>
                <th scope="row" className="whitespace-nowrap py-1.5 pl-2 pr-3 text-left align-top font-normal text-soft">
                  {row.same ? "" : <span aria-label="differs">≠ </span>}
                  {row.of}
                </th>
                <Cell text={row.one} colour={row.colours[0]} />
                <Cell text={row.other} colour={row.colours[1]} />
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
