import { Link } from "react-router";
import { Plus, Undo2 } from "lucide-react";
import { format } from "date-fns";
import type { Menu } from "#core/catalogue/menu";
import { perform } from "~/actions/perform";
import { useAsk } from "~/actions/use-ask";
import { Awaited } from "~/components/awaited";
import { MiniSection } from "~/components/coat-section/mini-section";
import { RoomError } from "~/components/room-error";
import { Silhouette } from "~/components/shape/silhouette";
import { nameIn, useMenu } from "~/components/use-menu";
import { sayClock, stepTitle } from "~/components/words";
import { keptPieces, planOf } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import { useNow } from "~/components/use-now";
import type { RemovedPiece } from "~/store/history.client";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";
import { overviewOf } from "./overview";
import type { Overview } from "./overview";

interface Listed {
  readonly kept: KeptPiece;
  readonly view: Promise<PlannedView>;
}

interface PiecesAsk {
  readonly intent: "open-demo";
}

export function loader() {
  return { demo: process.env.NOOK_COAT_DEMO === "1" };
}

export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const [{ database }, { removedLately }, { seedOnce }, { planView }] = await Promise.all([
    import("~/store/open.client"),
    import("~/store/history.client"),
    import("~/demo/seed.client"),
    import("~/workers/planner.client"),
  ]);
  const db = await database();
  await seedOnce(db, async () => (await serverLoader()).demo);
  const [all, removed] = await Promise.all([keptPieces(db), removedLately(db)]);
  const listed = all.map((kept): Listed => ({ kept, view: planView(kept.record.id, planOf(kept)) }));
  return { listed, removed, whole: Promise.all(listed.map((one) => one.view)) };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

export async function clientAction({ request }: Route.ClientActionArgs) {
  const [{ database }, { openTernPoint }] = await Promise.all([import("~/store/open.client"), import("~/demo/seed.client")]);
  return perform<PiecesAsk, null>(request, { "open-demo": () => ({}) }, { "open-demo": async () => (await openTernPoint(await database()), null) });
}

export function ErrorBoundary() {
  return <RoomError />;
}

function Standing({ overview, menu }: { overview: Overview; menu: Menu }) {
  if (overview.refused) return <span className="font-semibold text-stop">Cannot be planned as it stands</span>;
  if (overview.finished) return <span className="font-semibold text-ready">All coats on, hardening</span>;
  if (!overview.next) return null;
  const { step, state } = overview.next;
  if (state.state === "waiting")
    return (
      <span className="text-soft">
        <strong>Leave alone</strong> till {sayClock(state.until!)}
      </span>
    );
  return (
    <span>
      <strong className="text-act">{overview.states ? "Now:" : "Begin:"}</strong> {stepTitle(step, menu)}
    </span>
  );
}

function Card({ listed: { kept, view }, now, menu }: { listed: Listed; now: number; menu: Menu }) {
  const { record } = kept;
  const { piece } = record;
  const body = menu.materials.find((one) => one.id === piece.material);
  const due = record.dates?.due;
  const needed = due && <span className="block text-soft">needed {format(`${due}T12:00`, "EEE d MMM")}</span>;
  return (
    <li>
      <Link to={`/pieces/${record.id}`} className="sheet flex h-full flex-col gap-2 p-4 text-ink no-underline hover:border-ink">
        <span className="flex items-center gap-3">
          <Silhouette piece={piece} body={body?.colour ?? "#999999"} texture={body?.texture ?? "dense"} />
          <span className="min-w-0">
            <span className="block font-display text-lg leading-snug">{piece.name}</span>
            <span className="block text-soft">
              {body?.name}
              {(piece.count ?? 1) > 1 && ` × ${piece.count}`}, {nameIn(menu.uses, piece.uses[0]!).toLowerCase()}
            </span>
          </span>
        </span>
        <Awaited of={view} waiting={<span className="mt-auto text-soft">Working out the coats…{needed}</span>}>
          {(planned) => {
            const overview = overviewOf(planned, now);
            return (
              <span className="mt-auto flex items-end justify-between gap-3">
                <span className="min-w-0">
                  <span className="block">
                    <Standing overview={overview} menu={menu} />
                  </span>
                  {needed}
                </span>
                {overview.groups.length > 0 && (
                  <MiniSection groups={overview.groups} menu={menu} material={piece.material} states={overview.states} label={`Coats of ${piece.name}`} />
                )}
              </span>
            );
          }}
        </Awaited>
      </Link>
    </li>
  );
}

/** What can be done now over all pieces, and when the next wait ends. */
function Now({ listed, views, now, menu }: { listed: readonly Listed[]; views: readonly PlannedView[]; now: number; menu: Menu }) {
  const begun = views.flatMap((view, at) => {
    const overview = overviewOf(view, now);
    const record = listed[at]?.kept.record;
    return record && overview.states && overview.next ? [{ record, next: overview.next }] : [];
  });
  const ready = begun.filter(({ next }) => next.state.state === "ready");
  const [waiting] = begun.filter(({ next }) => next.state.state === "waiting").sort((a, b) => a.next.state.until! - b.next.state.until!);
  if (ready.length === 0 && !waiting) return null;
  return (
    <section aria-label="On the table" className="mt-3 grid gap-1">
      {ready.map(({ record, next }) => (
        <p key={record.id} className="next-line border-act">
          <strong className="text-act">Now:</strong> {stepTitle(next.step, menu)},{" "}
          <Link to={`/pieces/${record.id}`} className="underline underline-offset-4">
            {record.piece.name}
          </Link>
        </p>
      ))}
      {waiting && (
        <p className="px-3 text-soft">
          {ready.length === 0 ? "Leave everything alone. " : ""}The next wait ends about {sayClock(waiting.next.state.until!)}: {waiting.record.piece.name}.
        </p>
      )}
    </section>
  );
}

function Empty() {
  const ask = useAsk<PiecesAsk>("/?index");
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
  const { listed, removed, whole } = loaderData;
  return (
    <>
      <title>Pieces – Nook Coat</title>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">Pieces</h1>
        {listed.length > 0 && (
          <Link to="/pieces/new" className="button button-act">
            <Plus aria-hidden size={20} /> New piece
          </Link>
        )}
      </div>
      {listed.length === 0 ? (
        <Empty />
      ) : (
        <>
          <Awaited of={whole} waiting={<p className="mt-3 text-soft">Looking what can be done now…</p>}>
            {(views) => <Now listed={listed} views={views} now={now} menu={menu} />}
          </Awaited>
          <ul className="mt-5 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
            {listed.map((one) => (
              <Card key={one.kept.record.id} listed={one} now={now} menu={menu} />
            ))}
          </ul>
        </>
      )}
      {removed.length > 0 && <Removed removed={removed} />}
    </>
  );
}

interface BringBackAsk {
  readonly intent: "bring-back";
  readonly actId: string;
}

/** What was removed lately, and the way back. */
function Removed({ removed }: { removed: readonly RemovedPiece[] }) {
  const ask = useAsk<BringBackAsk>("/history", false);
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
            <button
              type="button"
              className="button"
              aria-label={`Bring back ${names[0] ?? "what was removed"}`}
              onClick={() => void ask({ intent: "bring-back", actId })}
            >
              <Undo2 aria-hidden size={18} /> Bring back
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
