import { Link } from "react-router";
import { Check, Printer, X } from "lucide-react";
import { practiceOf, PRACTISED_TECHNIQUES } from "#core/marking/practice";
import { RoomError } from "~/components/room-error";
import { saySize } from "~/components/extent-words";
import { useAppContext } from "~/components/app-context";
import { nameIn, useMenu } from "~/components/use-menu";
import type { Route } from "./+types/route";
import { PracticeSheet } from "./practice-sheet";
import { StagePicture } from "./stage-picture";

/** What a sheet is ruled for where no step says it, mm. */
const USUAL_MM = 6;

export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  const { searchParams } = new URL(request.url);
  const [piece, step] = [searchParams.get("piece"), searchParams.get("step")];
  const of = searchParams.get("of") ?? "dots";
  if (piece === null) return { of, piece: null, marksMm: null };
  const [{ keptPiece, planOf }, { firstView }] = await Promise.all([import("~/piece/kept-piece"), import("~/workers/planner.client")]);
  try {
    const kept = await keptPiece(piece);
    const { shown } = await firstView(piece, planOf(kept));
    const steps = shown?.zones.flatMap((zone) => zone.steps) ?? [];
    const own = steps.find(({ id }) => id === step) ?? steps.find(({ technique, done }) => technique === of && done !== true);
    return { of, piece: { id: piece, name: kept.record.piece.name }, marksMm: own?.marks?.diameterMm ?? null };
  } catch {
    // The stroke is practised whether its piece is there or not.
    return { of, piece: null, marksMm: null };
  }
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Ruling a sheet…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** A stroke in four stages, what good looks like, and a sheet at true size to try it on. */
export default function PracticeRoom({ loaderData: { of, piece, marksMm } }: Route.ComponentProps) {
  const menu = useMenu();
  const { settings } = useAppContext();
  const practice = practiceOf(of);
  const size = marksMm ?? USUAL_MM;
  return (
    <>
      <title>Practice – Nook Coat</title>
      <div className="print:hidden">
        <h1 className="text-3xl">{nameIn(menu.techniques, practice.technique)}, stage by stage</h1>
        {piece && (
          <p className="mt-1">
            For{" "}
            <Link to={`/pieces/${piece.id}`} className="underline">
              {piece.name}
            </Link>
            {marksMm !== null && `, marks of ${saySize(marksMm, settings.units)}`}.
          </p>
        )}
        <ol className="mt-4 grid gap-4 sm:grid-cols-2 xl:grid-cols-4">
          {practice.stages.map((says, stage) => (
            <li key={says} className="sheet p-3">
              <StagePicture ruled={practice.ruled} stage={stage} />
              <p className="mt-2">
                <span className="mr-1 font-display text-xl text-act">{stage + 1}</span> {says}
              </p>
            </li>
          ))}
        </ol>
        <p className="mt-4 text-lg">
          <Check aria-hidden size={22} className="mr-1 inline text-ready" />
          <strong>Good looks like this:</strong> {practice.good}.
        </p>
        <ul className="mt-1">
          {practice.faults.map(({ seen, from }) => (
            <li key={seen}>
              <X aria-hidden size={20} className="mr-1 inline text-stop" />
              <strong>{seen}:</strong> {from}.
            </li>
          ))}
        </ul>
        <p className="mt-4 flex flex-wrap items-center gap-3">
          <button type="button" className="button button-act" onClick={() => window.print()}>
            <Printer aria-hidden size={20} /> Print the sheet
          </button>
          <span className="text-soft">At true size; lay baking paper over it and it serves for weeks.</span>
        </p>
        <nav aria-label="Other strokes" className="mt-4 flex flex-wrap gap-2">
          {PRACTISED_TECHNIQUES.filter((one) => one !== practice.technique).map((one) => (
            <Link key={one} to={`/practice?of=${one}${piece ? `&piece=${piece.id}` : ""}`} className="chip text-ink">
              {nameIn(menu.techniques, one)}
            </Link>
          ))}
        </nav>
      </div>
      <PracticeSheet practice={practice} diameterMm={size} name={nameIn(menu.techniques, practice.technique)} />
    </>
  );
}
