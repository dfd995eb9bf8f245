import { useState } from "react";
import type { LayerTaken } from "#core/coating/facts/layers";
import type { Refusal } from "#core/coating/model/plan";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { stepId } from "#core/catalogue/ids";
import type { Assumption } from "#core/piece/piece";
import { perform } from "~/actions/perform";
import { useAsk } from "~/actions/use-ask";
import { Awaited, useLast } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { skipTo } from "~/components/skip-links";
import { useWide } from "~/components/use-columns";
import { useMenu } from "~/components/use-menu";
import { keptPiece, planOf } from "~/piece/kept-piece";
import { useRecord } from "~/piece/use-record";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";
import { FactsPanel } from "./facts/panel";
import { LaidAnew } from "./laid-anew";
import { OnItAlready } from "./on-it-already";
import { PhotoStrip } from "./photos/strip";
import { PhotoViewer } from "./photos/viewer";
import { PLAN_INTENTS } from "~/piece/plan-ask";
import type { PlanAsk } from "~/piece/plan-ask";
import { PlanPart } from "./plan-part";
import { usePlanActions } from "~/piece/plan-actions";
import type { Apply } from "~/piece/plan-actions";
import { Versions } from "./versions";

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const [kept, planner, { datesOfPiece }, { repairOf }, { versionsOf }, { openPhoto, stripOf }] = await Promise.all([
    keptPiece(params.id),
    import("~/workers/planner.client"),
    import("~/piece/dates.client"),
    import("~/store/repairs.client"),
    import("~/piece/versions.client"),
    import("~/photos/kept-photos.client"),
  ]);
  const of = planOf(kept);
  const { searchParams } = new URL(request.url);
  const [step, photo] = [searchParams.get("step"), searchParams.get("photo")];
  // Begun first, so that it need not wait for the photographs.
  const view = planner.firstView(params.id, of);
  const [photos, open] = await Promise.all([stripOf(params.id).catch(() => []), photo === null ? null : openPhoto(params.id, photo).catch(() => null)]);
  return {
    photos,
    photo: open,
    kept,
    step: step === null ? null : stepId(step),
    repair: repairOf(params.id),
    view,
    // After the plan itself: all other pieces on the table are read for them.
    dates: view.then(() => datesOfPiece(kept)),
    versions: versionsOf(params.id).catch(() => []),
    explanation: planner.explanationOf(params.id, of, step === null ? null : stepId(step), Date.now()),
  };
}
clientLoader.hydrate = true as const;

const NONE_ASSUMED: readonly Assumption[] = [];
const NONE_TAKEN: readonly LayerTaken[] = [];

type PlanLoaded = Route.ComponentProps["loaderData"];

export async function clientAction({ request, params }: Route.ClientActionArgs) {
  const { planCommands } = await import("./plan-commands.client");
  await perform<PlanAsk, unknown>(request, PLAN_INTENTS, planCommands(params.id));
  return null;
}

/** The plan: what is known of the piece on the left, what follows from it on the right; on a narrow page the plan comes first, for eyes and keys. */
export default function PlanRoom({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const wide = useWide();
  const { record, save } = useRecord();
  const ask = useAsk<PlanAsk>(`/pieces/${record.id}?index`);
  const [lit, light] = useState<ZoneId | null>(null);
  const last = useLast(loaderData.view);
  const assumed = last?.set.assumed ?? NONE_ASSUMED;
  const facts = (
    <aside
      key="facts"
      {...skipTo("facts", "Skip to what you know of it")}
      aria-label="What you know of it"
      className="min-w-0 lg:sticky lg:top-2 lg:max-h-[calc(100dvh-1rem)] lg:overflow-y-auto lg:pr-1 lg:pt-3"
    >
      <FactsPanel record={record} menu={menu} assumed={assumed} layersTaken={last?.layers ?? NONE_TAKEN} save={save} lit={lit} light={light} />
      <PhotoStrip piece={record.id} photos={loaderData.photos} progress={loaderData.kept.progress} />
      {loaderData.photo && <PhotoViewer open={loaderData.photo} photos={loaderData.photos} assumed={assumed} />}
    </aside>
  );
  const plan = (
    <div key="plan" {...skipTo("plan", "Skip to the plan")} className="min-w-0">
      <LaidAnew key={record.id} piece={record.piece} />
      <Awaited
        of={loaderData.view}
        waiting={
          // On a narrow page what comes after it waits below the window, so that nothing in sight moves.
          <p role="status" className="max-lg:min-h-dvh">
            Working out the coats…
          </p>
        }
      >
        {(view, busy) => (
          <div aria-busy={busy}>
            <p className="sr-only" role="status">
              {busy ? "Working out the plan" : view.shown ? `Plan ready: ${view.shown.title}` : "No plan for this yet"}
            </p>
            <Planned view={view} loaded={loaderData} light={light} />
            <Versions versions={loaderData.versions} bringBack={(id) => void ask({ intent: "version", id })} />
          </div>
        )}
      </Awaited>
    </div>
  );
  return <div className="spread">{wide ? [facts, plan] : [plan, facts]}</div>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

function Planned({ view, loaded, light }: { view: PlannedView; loaded: PlanLoaded; light: (zone: ZoneId | null) => void }) {
  const { record, save } = useRecord();
  const { kept, step, repair, dates, explanation } = loaded;
  const actions = usePlanActions(kept.record.id, view, kept, save);
  const { refusal } = view.set;
  return (
    <>
      {refusal && <Refused refusal={refusal} apply={actions.apply} />}
      {view.onIt && <OnItAlready candidate={view.onIt} material={record.piece.material} />}
      {view.shown && (
        <PlanPart
          record={record}
          view={view}
          shown={view.shown}
          plan={kept.plan}
          chosen={step}
          repair={repair}
          dates={dates}
          explanation={explanation}
          actions={actions}
          light={light}
        />
      )}
    </>
  );
}

function Refused({ refusal, apply }: { refusal: Refusal; apply: Apply }) {
  const { nearest } = refusal;
  return (
    <section className="rounded-xl border-l-8 border-stop bg-stop-tint p-4">
      <h2 className="text-2xl">{refusal.message}</h2>
      <p className="mt-2">{`${refusal.why.charAt(0).toUpperCase()}${refusal.why.slice(1)}.`}</p>
      {nearest && (
        <p className="mt-3">
          <button type="button" className="button button-act" onClick={() => apply(nearest.changes)}>
            Nearest that works: {nearest.text}
          </button>
        </p>
      )}
    </section>
  );
}
