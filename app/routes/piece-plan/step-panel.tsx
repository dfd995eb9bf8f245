import type { RefObject } from "react";
import { Link } from "react-router";
import { ArrowLeft, ArrowRight, Check, Pin } from "lucide-react";
import type { Consequence, Explanation, Substitute } from "#core/coating/explain/explain-step";
import type { ToldAct } from "#core/coating/explain/told-acts";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import { tradesOf } from "#core/coating/facts/trade-offs";
import type { StepState } from "#core/logbook/coat-states";
import type { Task } from "#core/coating/facts/task";
import type { Menu } from "#core/catalogue/menu";
import { MIN_PER_DAY, sayDuration } from "#core/units/duration";
import { sayVolume } from "#core/units/volume";
import { useAppContext } from "~/components/app-context";
import { Awaited } from "~/components/awaited";
import { ColourChip } from "~/components/colour-chip";
import { extentText } from "~/components/extent-words";
import { ToolButton } from "~/components/tool-button";
import { nameIn } from "~/components/use-menu";
import { sayClock } from "~/components/time-words";
import { placesText, stepTitle, TRADE_WORDS, waitText } from "~/components/words";
import type { PlanActions } from "~/piece/plan-actions";
import { OwnStep } from "./own-step";
import { OwnWay } from "./own-way";
import { MixedOf, OwnJar, OwnThinner, Pour } from "~/piece/pouring";
import { Bake } from "./bake";
import { Doing } from "./doing";
import { Sooner } from "./sooner";
import { Figures, OwnChanges } from "./steps";
import { lowerFirst } from "#core/units/letter-case";

interface Props {
  readonly act: ToldAct;
  /** All acts, in their order. */
  readonly acts: readonly ToldAct[];
  readonly zones: Candidate["zones"];
  /** How many places of the piece are worked on. */
  readonly places: number;
  readonly tasks: readonly Task[];
  readonly done: ReadonlyMap<string, number>;
  readonly state: StepState | undefined;
  readonly menu: Menu;
  readonly actions: PlanActions;
  /** The user keeps it, whatever is made right around it. */
  readonly kept: boolean;
  readonly neighbours: { readonly before: Step | null; readonly after: Step | null };
  readonly select: (step: Step["id"]) => void;
  readonly explanation: Promise<Explanation | null>;
  readonly ref: RefObject<HTMLElement | null>;
  /** Beside a narrow section its parts stand one under another. */
  readonly narrow: boolean;
}

/** Less paint than this nobody misses, ml. */
const SOME_PAINT_ML = 1;

const product = (menu: Menu, id: string) => nameIn(menu.products, id).toLowerCase();

/** What a change of one step brings, each with its number: other coats, days, things to buy, paint, how it wears. */
function bringsWords({ others, jarMl, by }: Consequence, menu: Menu): readonly string[] {
  const { durability = 0, readyDays = 0, products = 0, cost = 0 } = by;
  const coats = new Map(
    others.map(({ product: id, from, to }) => [`${id}${from}${to}`, `${product(menu, id)} takes ${to} ${to === 1 ? "coat" : "coats"} instead of ${from}`]),
  );
  const trades = tradesOf({ durability, readyDays, products, cost }).map((trade) => {
    if (trade === "later" || trade === "sooner") return `it is ready ${sayDuration(Math.abs(readyDays) * MIN_PER_DAY)} ${trade}`;
    if (trade === "less-to-buy" || trade === "more-to-buy")
      return `there is ${Math.abs(products) === 1 ? "one thing" : `${Math.abs(products)} things`} ${products < 0 ? "fewer" : "more"} to buy`;
    return `it ${TRADE_WORDS[trade].replace(/^(cheaper|dearer)/, "is $1")}`;
  });
  const paint = Math.abs(jarMl) >= SOME_PAINT_ML ? [`it takes about ${sayVolume(Math.abs(jarMl))} ${jarMl > 0 ? "more" : "less"} paint in all`] : [];
  return [...coats.values(), ...trades, ...paint];
}

/** What a substitute brings, in one plain sentence. */
function bringing(one: Substitute, step: Step, menu: Menu): string {
  const said = [
    ...(one.coats !== step.coats ? [`${one.coats} ${one.coats === 1 ? "coat" : "coats"} instead of ${step.coats}`] : []),
    ...bringsWords(one, menu),
    ...one.faults.map((fault) => `but: ${lowerFirst(fault.message)}`),
  ];
  return said.length > 0 ? said.join("; ") : "the same coats, time and wear";
}

function Alternatives({ explanation, step, menu, actions }: { explanation: Explanation | null; step: Step; menu: Menu; actions: PlanActions }) {
  if (!explanation) return <p className="text-soft">Trying what else would do…</p>;
  const { leftOut, substitutes, sooner } = explanation;
  return (
    <div className="grid gap-3">
      <div>
        <h4 className="font-text font-semibold">If you leave it out</h4>
        {leftOut.faults.length > 0 ? (
          <ul>
            {leftOut.faults.map((fault) => (
              <li key={`${fault.code}-${fault.zone}`}>
                {fault.message}: {fault.why}.
              </li>
            ))}
          </ul>
        ) : (
          <p>{leftOut.unserved.length > 0 ? `What it is there for is lost: ${leftOut.unserved.join("; ")}.` : "Nothing else in the plan needs it."}</p>
        )}
        {bringsWords(leftOut, menu).length > 0 && <p>Then {bringsWords(leftOut, menu).join("; ")}.</p>}
      </div>
      <Bake heat={step.heat} />
      <Sooner sooner={sooner} />
      {substitutes.length > 0 && (
        <div>
          <h4 className="font-text font-semibold">What else would do</h4>
          <ul className="grid gap-1">
            {substitutes.map((one) => (
              <li key={one.product} className="flex flex-wrap items-baseline gap-x-2">
                <button
                  type="button"
                  className="chip min-h-[36px]"
                  aria-label={`Use ${nameIn(menu.products, one.product)} instead`}
                  onClick={() => actions.apply(one.change)}
                >
                  {nameIn(menu.products, one.product)}
                </button>
                <span className="text-soft">{bringing(one, step, menu)}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}

const STANDING: Record<StepState["state"], (state: StepState) => string> = {
  done: () => "Done.",
  wet: (state) => `Wet: do not touch it until about ${sayClock(state.until ?? 0)}.`,
  ready: () => "It may be done now.",
  waiting: (state) =>
    `Leave it alone until about ${sayClock(state.until ?? 0)}${state.untilCareful && state.untilCareful - (state.until ?? 0) > 600_000 ? `; ${sayClock(state.untilCareful)} is safer` : ""}.`,
  "to-come": () => "Other work comes first.",
};

/** Marks and guides are set out at the desk for them. */
function MarkedOut({ zone, piece }: { zone: string | undefined; piece: string }) {
  return (
    <p className="print:hidden">
      <Link to={`/pieces/${piece}/marks${zone === undefined ? "" : `?place=${encodeURIComponent(zone)}`}`} className="underline">
        Mark it out: which counts close, lines to draw, templates
      </Link>
    </p>
  );
}

/** An opened band: what is done, why, how it is seen to be right, what else would do, and the button that says it is done. */
export function StepPanel({ act, acts, zones, places, tasks, done, state, menu, actions, kept, neighbours, select, narrow, explanation, ref }: Props) {
  const { step, number } = act;
  const title = stepTitle(step, menu);
  const extent = extentText(step, useAppContext().settings.units);
  return (
    <section ref={ref} aria-label={`Step ${number}: ${title}`} className={`note scroll-mt-3 p-4 ${narrow ? "" : "mt-3"}`} data-panel>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <h3 className="text-xl">
            <span className="mr-2 text-soft">{number}</span>
            {title}{" "}
            {act.colours.map((colour) => (
              <ColourChip key={colour} colour={colour} sheen={step.sheen} />
            ))}
          </h3>
          {places > 1 && <p>{placesText(act, places)}</p>}
          {state && <p className={`font-semibold ${state.state === "ready" ? "text-act" : "text-ready"}`}>{STANDING[state.state](state)}</p>}
        </div>
        <div className="flex flex-wrap gap-2">
          {tasks.length > 0 && <Doing key={step.id} tasks={tasks} done={done} actions={actions} title={title} state={state} />}
          {!step.done && step.role !== "cure" && (
            <button
              type="button"
              className={`button ${kept ? "bg-note-tint" : ""}`}
              aria-pressed={kept}
              aria-label="Keep this step as it is"
              onClick={() => actions.pin(act.stepIds, !kept)}
            >
              <Pin aria-hidden size={18} /> {kept ? "Kept" : "Keep"}
            </button>
          )}
          <span className="inline-flex">
            <ToolButton
              icon={ArrowLeft}
              label="The step before"
              disabled={!neighbours.before}
              onClick={() => neighbours.before && select(neighbours.before.id)}
            />
            <ToolButton icon={ArrowRight} label="The step after" disabled={!neighbours.after} onClick={() => neighbours.after && select(neighbours.after.id)} />
          </span>
        </div>
      </div>
      <div className={`mt-3 grid gap-4 ${narrow ? "" : "md:grid-cols-2"}`}>
        <div className="grid content-start gap-1">
          {step.waitBefore && <p className="font-semibold text-ready">{waitText(step.waitBefore)}, then begin.</p>}
          {step.because.map(({ requirement, text }) => (
            <p key={`${requirement}-${text}`}>Because {text}.</p>
          ))}
          {extent && <p>{extent}</p>}
          {(step.marks !== undefined || step.rows !== undefined || step.role === "mark") && (
            <MarkedOut zone={zones.find((one) => one.steps.some(({ id }) => id === step.id))?.zone} piece={actions.piece} />
          )}
          {step.jarMl !== null && step.jarMl > 0 && <Pour act={act} menu={menu} tasks={tasks} done={done} />}
          {step.colour !== undefined && step.jarMl !== null && !step.done && step.role !== "prime" && <MixedOf act={act} menu={menu} piece={actions.piece} />}
          <OwnJar act={act} menu={menu} apply={actions.apply} />
          <OwnThinner act={act} menu={menu} apply={actions.apply} />
          {step.checks.map((check) => (
            <p key={check}>
              <Check aria-hidden size={18} className="inline text-ready" /> {check}
            </p>
          ))}
          <Figures step={step} />
          {state?.state !== "done" && <OwnChanges key={step.id} act={act} title={title} menu={menu} zones={zones} apply={actions.apply} />}
          {!step.done && step.role !== "cure" && <OwnWay key={`way-${step.id}`} act={act} acts={acts} zones={zones} menu={menu} apply={actions.apply} />}
          {step.role !== "cure" && <OwnStep key={`own-${step.id}`} act={act} zones={zones} menu={menu} apply={actions.apply} />}
        </div>
        <Awaited of={explanation} waiting={<Alternatives explanation={null} step={step} menu={menu} actions={actions} />}>
          {(answer) => <Alternatives explanation={answer?.stepId === step.id ? answer : null} step={step} menu={menu} actions={actions} />}
        </Awaited>
      </div>
    </section>
  );
}
