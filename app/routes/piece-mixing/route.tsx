import { Link } from "react-router";
import type { Jar } from "#core/catalogue/jar";
import type { PlanColour } from "#core/coating/explain/plan-colours";
import { nameOfColour } from "#core/film/colour-names";
import { sayMl } from "#core/units/volume";
import { Awaited } from "~/components/awaited";
import { ColourChip } from "~/components/colour-chip";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { useSetParam } from "~/components/use-set-param";
import { stepTitle } from "~/components/words";
import { Desk } from "~/mixing/desk";
import { coatsText, costText } from "~/mixing/desk-words";
import { KeptMixes } from "~/mixing/kept-mixes";
import { subjectOfPlan } from "~/mixing/subject";
import { useShelf } from "~/mixing/use-shelf";
import type { DeskShelf } from "~/mixing/use-shelf";
import { keptPiece, planOf } from "~/piece/kept-piece";
import { usePlanActions } from "~/piece/plan-actions";
import { useRecord } from "~/piece/use-record";
import { ShelfClashes } from "~/shelf/shelf-clashes";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, planner, { deskLoaded }] = await Promise.all([keptPiece(params.id), import("~/workers/planner.client"), import("~/mixing/desk-loaded.client")]);
  const of = planOf(kept);
  const view = planner.planView(params.id, of);
  return { kept, desk: await deskLoaded(), planned: Promise.all([view, planner.coloursOf(params.id, of)]) };
}
clientLoader.hydrate = true as const;

export { notForAnotherLook as shouldRevalidate } from "~/mixing/should-load";

export function ErrorBoundary() {
  return <RoomError />;
}

/** What is to be known of a colour at a glance: how many coats, and what would save some. */
function glance({ hides, marks, coats, underlay, done, coversArea }: PlanColour): string {
  if (done) return "done";
  if (marks) return `${marks.count} dots of ${marks.diameterMm} mm`;
  const says = coatsText(coats);
  if (coversArea) return `${says}, covers by its flakes`;
  if (!hides) return says;
  if (hides.coats !== null && hides.coats <= coats) return underlay ? `${says}; white beneath saves some` : `${says}: solid`;
  return hides.underlay ? `${says}: wants white beneath` : `${says}: it grins through`;
}

/** What so much out of a jar costs, where it is known what a full one did. */
function costOf(jar: Jar | undefined, ml: number): string {
  return jar?.paid === undefined || jar.sizeMl === undefined ? "" : `, ${costText((jar.paid / jar.sizeMl) * ml)}`;
}

/** The colours of the plan, to take one on to the desk. */
function Colours({ colours, chosen, shelf, take }: { colours: readonly PlanColour[]; chosen: PlanColour; shelf: DeskShelf; take: (step: string) => void }) {
  const menu = useMenu();
  return (
    <ul className="grid gap-2" aria-label="Colours of this plan">
      {colours.map((one) => {
        const jar = shelf.jars.find((kept) => kept.id === one.jar);
        return (
          <li key={one.key}>
            <button
              type="button"
              aria-pressed={one === chosen}
              className={`sheet flex w-full items-center gap-3 p-2 text-left hover:bg-note-tint ${one === chosen ? "border-ink bg-note-tint" : ""}`}
              onClick={() => take(one.stepIds[0]!)}
            >
              <ColourChip colour={one.colour} size={36} />
              <span className="min-w-0">
                <strong>{jar?.name ?? nameOfColour(one.colour)}</strong>
                {!jar && !one.done && <span className="text-act"> – not on your shelf</span>}
                <span className="block leading-snug">{glance(one)}</span>
                <span className="block leading-snug text-soft">
                  {one.jarMl > 0 ? `${sayMl(one.jarMl)}${costOf(jar, one.jarMl)}; ` : ""}
                  {stepTitle(one.step, menu)}
                </span>
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function Planned({ view, colours, loaded }: { view: PlannedView; colours: readonly PlanColour[]; loaded: Route.ComponentProps["loaderData"] }) {
  const { record, save } = useRecord();
  const shelf = useShelf(loaded.desk);
  // By its step: its colour may become that of a mixture.
  const [asked, take] = useSetParam("step", false);
  const actions = usePlanActions(record.id, view, loaded.kept, save);
  const chosen = colours.find(({ stepIds }) => stepIds.some((id) => id === asked)) ?? colours[0];
  if (!chosen)
    return (
      <p>
        This plan has no colour to mix.{" "}
        <Link to="/desk" className="underline">
          The mixing desk by itself
        </Link>
      </p>
    );
  return (
    <>
      <ShelfClashes clashes={loaded.desk.clashes} />
      <div className="spread">
        <aside aria-label="Colours of this plan" className="min-w-0">
          <h2 className="mb-2 text-2xl">Its colours</h2>
          <Colours colours={colours} chosen={chosen} shelf={shelf} take={take} />
        </aside>
        <div className="min-w-0">
          <Desk
            subject={subjectOfPlan(chosen, shelf.jars)}
            place={record.id}
            shelf={shelf}
            colours={colours}
            doing={{ material: record.piece.material, apply: (changes) => actions.apply(changes) }}
          />
        </div>
      </div>
      <KeptMixes shelf={shelf} place={`${record.id}/`} but={chosen.jar} />
    </>
  );
}

/** The mixing desk for a piece: which colour wants what, and what of it goes back into the plan. */
export default function PieceMixing({ loaderData }: Route.ComponentProps) {
  return (
    <Awaited of={loaderData.planned} waiting={<p role="status">Working out the colours…</p>}>
      {([view, colours], busy) => (
        <div aria-busy={busy}>
          <Planned view={view} colours={[...colours].sort((a, b) => Number(a.done) - Number(b.done))} loaded={loaderData} />
        </div>
      )}
    </Awaited>
  );
}
