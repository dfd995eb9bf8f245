import { Link } from "react-router";
import { format } from "date-fns";
import { keepingOf } from "#core/formats/keeping-of";
import { doneTasks } from "#core/logbook/done-tasks";
import { Silhouette } from "~/components/shape/silhouette";
import { PaperPage } from "~/components/paper-page";
import { keptPiece, useKeptPlan } from "~/components/use-kept-plan";
import { useMenu } from "~/components/use-menu";
import { useAppContext } from "~/components/app-context";
import { useDates } from "../piece/dates-part";
import type { Route } from "./+types/route";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  return keptPiece(params.id);
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

/** What the one who receives the piece should know: how to keep it, and from when it is fully hard. */
export default function CareCard({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const { settings } = useAppContext();
  const view = useKeptPlan(loaderData);
  const { record, plan, progress } = loaderData;
  const { dates } = useDates(record, keepingOf(plan), doneTasks(progress));
  const { piece } = record;
  const body = menu.materials.find((one) => one.id === piece.material);
  const care = [...new Set(piece.uses.flatMap((use) => menu.uses.find((one) => one.id === use)?.care ?? []))];
  const hard = dates?.careful?.cured;
  return (
    <div aria-busy={view === null}>
      <PaperPage title={`Care card: ${piece.name}`} back={`/pieces/${record.id}`}>
        <article className="note mx-auto max-w-[30rem] p-6">
          <div className="flex items-center gap-4">
            <Silhouette piece={piece} body={body?.colour ?? "#999999"} texture={body?.texture ?? "dense"} size={92} />
            <div>
              <h1 className="text-2xl">{piece.name}</h1>
              <p>{body?.name}, painted by hand</p>
            </div>
          </div>
          <h2 className="mt-4 text-lg">How to keep it</h2>
          <ul className="list-disc pl-5">
            {care.map((line) => (
              <li key={line}>{line}</li>
            ))}
            {hard !== undefined && (
              <li>Its coats are fully hard from {format(hard, "d MMMM yyyy")}. Until then: no washing, no wrapping in film, nothing heavy on it.</li>
            )}
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
    </div>
  );
}
