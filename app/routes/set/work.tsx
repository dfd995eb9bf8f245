import { Check } from "lucide-react";
import { Link } from "react-router";
import type { PieceId, StepId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import { sumOf, togetherActs } from "#core/coating/explain/together";
import type { OneOfSet, TogetherAct, TogetherPart } from "#core/coating/explain/together";
import { nextGo, tasksOf } from "#core/coating/facts/task";
import type { Task, Work } from "#core/coating/facts/task";
import { doneEvents } from "#core/logbook/table-events";
import type { StepState } from "#core/logbook/coat-states";
import { sayDuration } from "#core/units/duration";
import { sayVolume } from "#core/units/volume";
import { useAsk } from "~/actions/use-ask";
import { ColourChip } from "~/components/colour-chip";
import { once } from "~/components/once";
import { sayClock } from "~/components/time-words";
import { TookField, useTook } from "~/piece/took";
import { stepTitle, waitText } from "~/components/words";
import type { Followed } from "~/store/plans";
import type { SetAsk } from "./set-asks";

/** A piece of a set with its plan, and how far it is. */
export interface SetPiece extends OneOfSet {
  readonly id: PieceId;
  readonly count: number;
  /** Where each of its acts stands, by the act's first step. */
  readonly states: ReadonlyMap<StepId, StepState>;
  readonly followed: Followed;
  readonly work: Work | null;
  /** Tasks that are done, by id: when each ended, ms. */
  readonly done: ReadonlyMap<string, number>;
}

/** A set as far as its pieces have plans. */
export interface Made {
  readonly pieces: readonly SetPiece[];
  /** Names of those that have no plan. */
  readonly without: readonly string[];
}

const pieceOf = ({ id }: TogetherPart, made: Made): SetPiece => made.pieces.find((one) => one.id === id)!;
const stateOf = (part: TogetherPart, made: Made): StepState | undefined => pieceOf(part, made).states.get(part.act.stepIds[0]!);

function isDone(part: TogetherPart, made: Made): boolean {
  const state = stateOf(part, made)?.state;
  return state === "done" || state === "wet";
}

/** How far one of them is, where it cannot be gone on with. */
function Standing({ state }: { state: StepState | undefined }) {
  if (state?.state === "waiting") return <span className="text-soft"> (leave alone till {sayClock(state.until!)})</span>;
  if (state?.state === "wet") return <span className="text-soft"> (wet till {sayClock(state.until!)})</span>;
  return null;
}

/** Which pieces an act is done to: "6 × Herb pot, 2 coats"; those it is done on already are ticked. */
function Parts({ act, made }: { act: TogetherAct; made: Made }) {
  const sameCoats = new Set(act.parts.map((part) => part.act.step.coats)).size === 1;
  return (
    <ul className="flex flex-wrap gap-x-5">
      {act.parts.map((part) => {
        const piece = pieceOf(part, made);
        const state = stateOf(part, made);
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
            {state && !isDone(part, made) && state.done > 0 && `, ${state.done} of ${state.of} done`}
            <Standing state={state} />
          </li>
        );
      })}
    </ul>
  );
}

/** The next coat of an act on one piece, where it may be laid now. */
function goOn(part: TogetherPart, made: Made): readonly Task[] {
  const { work, done } = pieceOf(part, made);
  return work && stateOf(part, made)?.state === "ready" ? nextGo(tasksOf(part.act, work), done) : [];
}

/** Marks the next coat of an act as done on every piece of the set that is ready for it. */
function DoneTogether({ set, act, made, title }: { set: string; act: TogetherAct; made: Made; title: string }) {
  const ask = useAsk<SetAsk>(`/sets/${encodeURIComponent(set)}`);
  const took = useTook(`${set}-${act.step.id}`);
  const ready = act.parts.flatMap((part) => {
    const tasks = goOn(part, made);
    return tasks.length > 0 ? [{ part, tasks }] : [];
  });
  const [first] = ready;
  if (!first) return null;
  const open = act.parts.filter((part) => !isDone(part, made)).length;
  const [{ coat }] = first.tasks as readonly [Task];
  const coats = Math.max(...act.parts.map((part) => part.act.step.coats));
  const which = coats === 1 ? "" : ready.every((one) => one.tasks[0]!.coat === coat) ? ` coat ${coat}` : " the next coat";
  const on = ready.length === open ? (open === 1 ? "" : ` on all ${open}`) : ` on ${ready.length} of ${open}`;
  const handsOf = (tasks: readonly Task[]) => tasks.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0);
  const all = ready.reduce((sum, { tasks }) => sum + handsOf(tasks), 0);
  const mark = () => {
    if (took.isWrong) return;
    const { minutes } = took;
    const parts = ready.map(({ part, tasks }) => {
      const { id, followed, plan } = pieceOf(part, made);
      return { piece: id, followed, coats: doneEvents(plan, tasks, minutes === null || all <= 0 ? null : (minutes * handsOf(tasks)) / all) };
    });
    ask({ intent: "done-together", parts, at: new Date().toISOString(), what: title });
    took.type("");
  };
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2 print:hidden">
      <button
        type="button"
        className="button"
        aria-label={`Mark as done${on}: ${title}${which === "" ? "" : `,${which}`}`}
        onClick={(event) => once(event) && mark()}
      >
        <Check aria-hidden size={20} /> {which === "" ? "Done" : `Done:${which}`}
        {on}
      </button>
      {all > 0 && <TookField took={took} title={title} reckonedMin={all} />}
    </div>
  );
}

/** The work act by act: what is done, to which of them, how much of it. */
export function SetWork({ set, made, menu }: { set: string; made: Made; menu: Menu }) {
  const rows = togetherActs(made.pieces);
  return (
    <ol className="sheet mt-4 px-4 py-1" aria-label="The work on the set, in its order">
      {rows.map((act, index) => {
        const { step, parts } = act;
        const open = parts.filter((part) => !isDone(part, made));
        const { jarMl, handsOnMin } = sumOf(open);
        const sameCoats = new Set(parts.map((part) => part.act.step.coats)).size === 1;
        const over = open.length === 0;
        const title = stepTitle(step, menu, sameCoats);
        return (
          <li
            key={`${index}-${step.id}`}
            className={`grid break-inside-avoid gap-x-6 border-b border-dashed border-line py-2 last:border-b-0 sm:grid-cols-[minmax(0,22rem)_minmax(0,1fr)] ${over ? "text-soft" : ""}`}
          >
            <div>
              <h2 className="font-text text-base font-semibold">
                <span className="mr-2 inline-block min-w-6 text-soft">{index + 1}</span>
                {title}
                {step.colour !== undefined && (
                  <span className="ml-2">
                    <ColourChip colour={step.colour} sheen={step.sheen} size={18} />
                  </span>
                )}
              </h2>
              {step.waitBefore && !over && <p className="text-ready">{waitText(step.waitBefore)}</p>}
              <DoneTogether set={set} act={act} made={made} title={title} />
            </div>
            <div>
              <Parts act={act} made={made} />
              <p className="text-soft">
                {jarMl !== null && jarMl > 0 && `Pour out ${sayVolume(jarMl)}${open.length > 1 ? " in all" : ""}. `}
                {!over && handsOnMin >= 1 && `About ${sayDuration(handsOnMin)}.`}
              </p>
            </div>
          </li>
        );
      })}
    </ol>
  );
}
