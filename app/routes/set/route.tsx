import { Link } from "react-router";
import { pieceId } from "#core/catalogue/ids";
import type { StepId } from "#core/catalogue/ids";
import { coatStates } from "#core/logbook/coat-states";
import type { StepState } from "#core/logbook/coat-states";
import { actStates } from "#core/logbook/group-states";
import { perform } from "~/actions/perform";
import { Awaited } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { keptPiece, planOf } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import { followedOf } from "~/piece/followed";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";
import { MOST_TOGETHER, SET_INTENTS } from "./set-asks";
import type { SetAsk } from "./set-asks";
import { SetWork } from "./work";
import type { Made } from "./work";

function standing({ shown, work, done }: PlannedView): ReadonlyMap<StepId, StepState> {
  return shown && work ? coatStates(shown, work, done, Date.now()) : new Map();
}

/** The plan of each, as far as there is one. */
async function madeOf(all: readonly KeptPiece[]): Promise<Made> {
  const { firstView } = await import("~/workers/planner.client");
  const views = await Promise.all(all.map(async (kept) => ({ kept, view: await firstView(kept.record.id, planOf(kept)) })));
  return {
    pieces: views.flatMap(({ kept: { record }, view, view: { shown } }) =>
      shown
        ? [
            {
              id: record.id,
              name: record.piece.name,
              count: record.piece.count ?? 1,
              plan: shown,
              states: actStates(shown.acts, standing(view)),
              followed: followedOf(view)!,
              work: view.work,
              done: view.done,
            },
          ]
        : [],
    ),
    without: views.flatMap(({ kept, view }) => (view.shown ? [] : [kept.record.piece.name])),
  };
}

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const { names } = await import("~/store/names.client");
  const of = (await names()).filter(({ set, away }) => set === params.set && !away);
  const looked = of.slice(0, MOST_TOGETHER);
  const pieces = await Promise.all(looked.map(({ id }) => keptPiece(pieceId(id))));
  return { set: params.set, of, more: of.length - looked.length, made: madeOf(pieces) };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs) {
  const [{ database }, { markDoneTogether }] = await Promise.all([import("~/store/open.client"), import("~/store/progress")]);
  return perform<SetAsk, null>(request, SET_INTENTS, {
    "done-together": async ({ parts, at, what }, by) => (await markDoneTogether(await database(), parts, at, by, what), null),
  });
}

export function HydrateFallback() {
  return <p>Laying the set out…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** A set of pieces that are made together: one table of the work, act by act. */
export default function SetPage({ loaderData }: Route.ComponentProps) {
  const { set, of, more, made } = loaderData;
  const menu = useMenu();
  return (
    <>
      <title>{`${set} – Nook Coat`}</title>
      <h1 className="text-3xl">{set}</h1>
      {of.length === 0 ? (
        <p className="mt-3">
          Nothing is in this set. Open a piece, and put it in under “More to do with this piece”.{" "}
          <Link to="/pieces" className="underline">
            To the pieces
          </Link>
        </p>
      ) : (
        <Awaited of={made} waiting={<p role="status">Putting the work of {of.length} pieces together…</p>}>
          {(known, busy) => (
            <div aria-busy={busy}>
              <Members made={known} more={more} />
              <SetWork set={set} made={known} menu={menu} />
            </div>
          )}
        </Awaited>
      )}
    </>
  );
}

function Members({ made: { pieces, without }, more }: { made: Made; more: number }) {
  return (
    <>
      <ul className="mt-2 flex flex-wrap gap-2 print:hidden">
        {pieces.map(({ id, name, count }) => (
          <li key={id}>
            <Link to={`/pieces/${id}`} className="chip no-underline">
              {count > 1 ? `${count} × ` : ""}
              {name}
            </Link>
          </li>
        ))}
      </ul>
      {without.length > 0 && <p className="mt-2 text-stop">Without a plan, and not in the table: {without.join(", ")}.</p>}
      {more > 0 && <p className="mt-2">{more} more of the set are not in the table.</p>}
    </>
  );
}
