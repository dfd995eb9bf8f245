import { Link } from "react-router";
import { format } from "date-fns";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceId } from "#core/catalogue/ids";
import { notFor } from "#core/logbook/giving/not-for";
import { editionNumber } from "#core/logbook/record/pieces-left";
import { materialsOn } from "#core/logbook/record/film-lines";
import type { LogRecord } from "#core/logbook/record/record";
import { lowerFirst } from "#core/units/letter-case";
import { Silhouette } from "~/components/shape/silhouette";
import { PaperPage } from "~/components/paper-page";
import { Awaited } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { timeZoneHere } from "~/components/time-zone";
import { keptPiece } from "~/piece/kept-piece";
import { useMenu } from "~/components/use-menu";
import { hardText } from "~/piece/ready-text";
import { useAppContext } from "~/components/app-context";
import { sayMoney, sayWhen } from "~/logbook/logbook-words";
import type { Route } from "./+types/route";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { datesOfPiece }, { database }, { recordOfPiece, recordSoFar }] = await Promise.all([
    keptPiece(params.id),
    import("~/piece/dates.client"),
    import("~/store/open.client"),
    import("~/store/records"),
  ]);
  const db = await database();
  const [made, written] = await Promise.all([recordSoFar(db, kept.record, timeZoneHere()), recordOfPiece(db, pieceId(params.id))]);
  return { kept, dates: datesOfPiece(kept), work: made.work, written };
}
clientLoader.hydrate = true as const;

export function ErrorBoundary() {
  return <RoomError />;
}

/** A label to tie on: small, and cut out. */
function Label({ name, body, signature, written, of }: { name: string; body: string; signature: string; written: LogRecord | null; of: number }) {
  const price = written?.money?.price;
  return (
    <section aria-label="Label" className="mx-auto mt-6 w-72 break-inside-avoid border-2 border-dashed border-ink bg-sheet p-3 text-center">
      <p className="font-display text-xl">{name}</p>
      <p>
        {body}, painted by hand{signature ? ` by ${signature}` : ""}
      </p>
      <p className="text-soft">
        {[of > 1 ? `${written ? editionNumber(written) : "__"} of ${of}` : "", written ? sayWhen(written) : ""].filter(Boolean).join(" · ")}
      </p>
      {price !== undefined && <p className="text-2xl tabular-nums">{sayMoney(price)}</p>}
    </section>
  );
}

/** What the one who receives the piece should know: how to keep it, what it is not for, what it is made with, and from when it is fully hard; and a label. */
export default function CareCard({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const { settings } = useAppContext();
  const { kept, work, written } = loaderData;
  const { piece } = kept.record;
  const body = menu.materials.find((one) => one.id === piece.material);
  const care = [...new Set(piece.uses.flatMap((use) => menu.uses.find((one) => one.id === use)?.care ?? []))];
  const nots = notFor(
    piece.uses.flatMap((use) => CATALOGUE.uses.get(use) ?? []),
    work.some(({ role }) => role === "fire"),
  );
  const materials = materialsOn(work, CATALOGUE);
  return (
    <PaperPage title={`Care card: ${piece.name}`}>
      <article className="note mx-auto max-w-[30rem] p-6">
        <div className="flex items-center gap-4">
          <Silhouette piece={piece} body={body?.colour ?? "#999999"} texture={body?.texture ?? "dense"} size={92} />
          <div>
            <h2 className="text-2xl">{piece.name}</h2>
            <p>{body?.name}, painted by hand</p>
          </div>
        </div>
        <h3 className="mt-4 text-lg">How to keep it</h3>
        <ul className="list-disc pl-5">
          {care.map((line) => (
            <li key={line}>{line}</li>
          ))}
          <Awaited of={loaderData.dates} waiting={<li className="text-soft">Working out when it is hard…</li>}>
            {({ dates }) => {
              const hard = dates?.careful?.cured;
              return (
                hard !== undefined && (
                  <li>
                    Its coats are fully hard from {format(hard, "d MMMM yyyy")}, and from then on it may be {hardText(piece.uses)}. Until then: no washing, no
                    wrapping in film, nothing heavy on it.
                  </li>
                )
              );
            }}
          </Awaited>
        </ul>
        <h3 className="mt-3 text-lg">What it is not</h3>
        <ul className="list-disc pl-5">
          {nots.map(({ id, text }) => (
            <li key={id}>{text}</li>
          ))}
        </ul>
        {materials.length > 0 && (
          <>
            <h3 className="mt-3 text-lg">What is on it</h3>
            <p>{materials.map(lowerFirst).join(", ")}.</p>
          </>
        )}
        <p className="mt-5 border-t-2 border-dashed border-line pt-2">
          {settings.signature ? `Made by ${settings.signature}` : "Made by ______________________"}
        </p>
      </article>
      <Label name={piece.name} body={body?.name ?? ""} signature={settings.signature} written={written} of={written?.count ?? piece.count ?? 1} />
      {settings.signature === "" && (
        <p className="mt-3 text-center text-soft print:hidden">
          <Link to="/settings" className="underline">
            Say how you sign
          </Link>{" "}
          and your name stands here.
        </p>
      )}
      <p className="mt-3 text-center text-soft print:hidden">
        {written ? (
          <Link to={`/logbook/records/${written.id}`} className="underline">
            Its price, and where each of them went
          </Link>
        ) : (
          <>
            Once it is{" "}
            <Link to={`/pieces/${kept.record.id}/record`} className="underline">
              written down
            </Link>
            , the label carries its price and number.
          </>
        )}
      </p>
    </PaperPage>
  );
}
