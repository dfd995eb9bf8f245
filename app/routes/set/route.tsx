import { Link } from "react-router";
import { Check } from "lucide-react";
import { pieceId } from "#core/catalogue/ids";
import type { StepId } from "#core/catalogue/ids";
import { sumOf, togetherActs } from "#core/coating/explain/together";
import type { OneOfSet, TogetherAct } from "#core/coating/explain/together";
import type { Menu } from "#core/catalogue/menu";
import { coatStates } from "#core/logbook/coat-states";
import type { StepState } from "#core/logbook/coat-states";
import { actStates } from "#core/logbook/group-states";
import { sayDuration } from "#core/units/duration";
import { sayVolume } from "#core/units/volume";
import { Awaited } from "~/components/awaited";
import { ColourChip } from "~/components/colour-chip";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { stepTitle, waitText } from "~/components/words";
import { keptPiece, planOf } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";

/** Pieces of one set whose work is told together, at most. */
const MOST_TOGETHER = 60;

interface SetPiece extends OneOfSet {
  readonly count: number;
  /** Where each of its acts stands, by the act's first step. */
  readonly states: ReadonlyMap<StepId, StepState>;
}

interface Made {
  readonly pieces: readonly SetPiece[];
  /** Names of those that have no plan. */
  readonly without: readonly string[];
}

function standing({ shown, work, done }: PlannedView): ReadonlyMap<StepId, StepState> {
  return shown && work ? coatStates(shown, work, done, Date.now()) : new Map();
}

/** The plan of each, as far as there is one. */
async function madeOf(all: readonly KeptPiece[]): Promise<Made> {
  const { firstView } = await import("~/workers/planner.client");
  const views = await Promise.all(all.map(async (kept) => ({ kept, view: await firstView(kept.record.id, planOf(kept)) })));
  return {
    pieces: views.flatMap(({ kept: { record }, view, view: { shown } }) =>
      shown ? [{ id: record.id, name: record.piece.name, count: record.piece.count ?? 1, plan: shown, states: actStates(shown.acts, standing(view)) }] : [],
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
          <Link to="/" className="underline">
            To the pieces
          </Link>
        </p>
      ) : (
        <Awaited of={made} waiting={<p role="status">Putting the work of {of.length} pieces together…</p>}>
          {(known, busy) => (
            <div aria-busy={busy}>
              <Members made={known} more={more} />
              <Work made={known} menu={menu} />
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

const isDone = (act: TogetherAct["parts"][number], made: Made) => {
  const state = made.pieces.find((one) => one.id === act.id)?.states.get(act.act.stepIds[0]!)?.state;
  return state === "done" || state === "wet";
};

/** Which pieces an act is done to: "6 × Herb pot, 2 coats"; those it is done on already are ticked. */
function Parts({ act, made }: { act: TogetherAct; made: Made }) {
  const sameCoats = new Set(act.parts.map((part) => part.act.step.coats)).size === 1;
  return (
    <ul className="flex flex-wrap gap-x-5">
      {act.parts.map((part) => {
        const piece = made.pieces.find((one) => one.id === part.id)!;
        const { coats } = part.act.step;
        return (
          <li key={part.id}>
            {isDone(part, made) && (
              <>
                <Check aria-hidden size={18} className="mr-1 inline text-ready" />
                <span className="sr-only">done: </span>
              </>
            )}
            <Link to={`/pieces/${part.id}?step=${encodeURIComponent(part.act.step.id)}`} className="underline underline-offset-4">
              {piece.count > 1 ? `${piece.count} × ` : ""}
              {piece.name}
            </Link>
            {!sameCoats && `, ${coats} ${coats === 1 ? "coat" : "coats"}`}
          </li>
        );
      })}
    </ul>
  );
}

/** The work act by act: what is done, to which of them, how much of it. */
function Work({ made, menu }: { made: Made; menu: Menu }) {
  const rows = togetherActs(made.pieces);
  return (
    <ol className="sheet mt-4 px-4 py-1" aria-label="The work on the set, in its order">
      {rows.map((act, index) => {
        const { step, parts } = act;
        const { jarMl, handsOnMin } = sumOf(parts.filter((part) => !isDone(part, made)));
        const sameCoats = new Set(parts.map((part) => part.act.step.coats)).size === 1;
        const over = parts.every((part) => isDone(part, made));
        return (
          <li
            key={`${index}-${step.id}`}
            className={`grid break-inside-avoid gap-x-6 border-b border-dashed border-line py-2 last:border-b-0 sm:grid-cols-[minmax(0,22rem)_minmax(0,1fr)] ${over ? "text-soft" : ""}`}
          >
            <div>
              <h2 className="font-text text-base font-semibold">
                <span className="mr-2 inline-block min-w-6 text-soft">{index + 1}</span>
                {stepTitle(step, menu, sameCoats)}
                {step.colour !== undefined && (
                  <span className="ml-2">
                    <ColourChip colour={step.colour} sheen={step.sheen} size={18} />
                  </span>
                )}
              </h2>
              {step.waitBefore && !over && <p className="text-ready">{waitText(step.waitBefore)}</p>}
            </div>
            <div>
              <Parts act={act} made={made} />
              <p className="text-soft">
                {jarMl !== null && jarMl > 0 && `Pour out ${sayVolume(jarMl)}${parts.length > 1 ? " in all" : ""}. `}
                {!over && handsOnMin >= 1 && `About ${sayDuration(handsOnMin)}.`}
              </p>
            </div>
          </li>
        );
      })}
    </ol>
  );
}
