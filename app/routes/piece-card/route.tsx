import { Link } from "react-router";
import { format } from "date-fns";
import { Silhouette } from "~/components/shape/silhouette";
import { PaperPage } from "~/components/paper-page";
import { Awaited } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { keptPiece } from "~/piece/kept-piece";
import { useMenu } from "~/components/use-menu";
import { hardText } from "~/piece/ready-text";
import { useAppContext } from "~/components/app-context";
import type { Route } from "./+types/route";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { datesOfPiece }] = await Promise.all([keptPiece(params.id), import("~/piece/dates.client")]);
  return { kept, dates: datesOfPiece(kept) };
}
clientLoader.hydrate = true as const;

export function ErrorBoundary() {
  return <RoomError />;
}

/** What the one who receives the piece should know: how to keep it, and from when it is fully hard. */
export default function CareCard({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const { settings } = useAppContext();
  const { piece } = loaderData.kept.record;
  const body = menu.materials.find((one) => one.id === piece.material);
  const care = [...new Set(piece.uses.flatMap((use) => menu.uses.find((one) => one.id === use)?.care ?? []))];
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
        <p className="mt-5 border-t-2 border-dashed border-line pt-2">
          {settings.signature ? `Made by ${settings.signature}` : "Made by ______________________"}
        </p>
      </article>
      {settings.signature === "" && (
        <p className="mt-3 text-center text-soft print:hidden">
          <Link to="/settings" className="underline">
            Say how you sign
          </Link>{" "}
          and your name stands here.
        </p>
      )}
    </PaperPage>
  );
}
