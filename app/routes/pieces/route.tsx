import { Link, useFetcher } from "react-router";
import { Plus } from "lucide-react";
import { format } from "date-fns";
import { MiniSection } from "~/components/coat-section/mini-section";
import { Silhouette } from "~/components/shape/silhouette";
import { nameIn, useMenu } from "~/components/use-menu";
import { sayClock, stepTitle } from "~/components/words";
import { allPieces } from "~/store/pieces";
import type { Menu } from "#core/catalogue/menu";
import type { Route } from "./+types/route";
import { useOverviews } from "./use-overviews";
import type { Overview } from "./use-overviews";
import type { KeptPiece } from "~/components/use-kept-plan";

export async function clientLoader() {
  const { database } = await import("~/store/open.client");
  const db = await database();
  const { seedOnce } = await import("~/demo/seed.client");
  await seedOnce(db);
  const [records, plans, progress] = await Promise.all([allPieces(db), db.getAll("plans"), db.getAll("progress")]);
  const kept = records
    .sort((a, b) => a.piece.name.localeCompare(b.piece.name))
    .map((record): KeptPiece => {
      const plan = plans.find((one) => one.id === record.planId) ?? null;
      return { record, plan, progress: plan ? progress.filter((one) => one.planId === plan.id) : [] };
    });
  return { kept };
}
clientLoader.hydrate = true as const;

export async function clientAction() {
  const { database } = await import("~/store/open.client");
  const { openTernPoint } = await import("~/demo/seed.client");
  await openTernPoint(await database());
  return null;
}

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

function Standing({ overview, menu }: { overview: Overview | undefined; menu: Menu }) {
  if (!overview) return <span className="text-soft">…</span>;
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

function Card({ kept: { record }, overview, menu }: { kept: KeptPiece; overview: Overview | undefined; menu: Menu }) {
  const { piece } = record;
  const body = menu.materials.find((one) => one.id === piece.material);
  const due = record.dates?.due;
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
        <span className="mt-auto flex items-end justify-between gap-3">
          <span className="min-w-0">
            <span className="block">
              <Standing overview={overview} menu={menu} />
            </span>
            {due && <span className="block text-soft">needed {format(`${due}T12:00`, "EEE d MMM")}</span>}
          </span>
          {overview && overview.groups.length > 0 && (
            <MiniSection groups={overview.groups} menu={menu} material={piece.material} states={overview.states} label={`Coats of ${piece.name}`} />
          )}
        </span>
      </Link>
    </li>
  );
}

/** What can be done now over all pieces, and when the next wait ends. */
function Now({ kept, overviews, menu }: { kept: readonly KeptPiece[]; overviews: ReadonlyMap<string, Overview>; menu: Menu }) {
  const begun = kept.flatMap((one) => {
    const overview = overviews.get(one.record.id);
    return overview?.states && overview.next ? [{ record: one.record, next: overview.next }] : [];
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
  const fetcher = useFetcher();
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
      <fetcher.Form method="post" className="mt-3">
        <button type="submit" className="button">
          Open the Tern Point notebook
        </button>
        <p className="mt-1 text-soft">Made-up pieces in all stages, to look around in. They can be removed in one go.</p>
      </fetcher.Form>
    </section>
  );
}

export default function Pieces({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const { kept } = loaderData;
  const overviews = useOverviews(kept);
  return (
    <>
      <title>Pieces – Nook Coat</title>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">Pieces</h1>
        {kept.length > 0 && (
          <Link to="/pieces/new" className="button button-act">
            <Plus aria-hidden size={20} /> New piece
          </Link>
        )}
      </div>
      {kept.length === 0 ? (
        <Empty />
      ) : (
        <>
          <Now kept={kept} overviews={overviews} menu={menu} />
          <ul className="mt-5 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
            {kept.map((one) => (
              <Card key={one.record.id} kept={one} overview={overviews.get(one.record.id)} menu={menu} />
            ))}
          </ul>
        </>
      )}
    </>
  );
}
