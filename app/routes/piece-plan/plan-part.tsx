import { useEffect, useRef, useState } from "react";
import type { RefObject } from "react";
import { useSearchParams } from "react-router";
import type { StepId } from "#core/catalogue/ids";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { alikeZones } from "#core/coating/explain/alike-zones";
import type { Explanation } from "#core/coating/explain/explain-step";
import { actNumbers, toldActs } from "#core/coating/explain/told-acts";
import { tasksOf } from "#core/coating/facts/task";
import type { Candidate } from "#core/coating/model/plan";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { PlanRecord } from "#core/formats/stores/plans";
import { actStates, groupStates } from "#core/logbook/group-states";
import { laterThanNow } from "#core/logbook/noted-times";
import { hasOneColumn, openStep } from "#core/logbook/open-step";
import { MS_PER_MIN } from "#core/schedule/free-hours";
import { sayDuration } from "#core/units/duration";
import { useAppContext } from "~/components/app-context";
import { Awaited, useLast } from "~/components/awaited";
import { CoatSection } from "~/components/coat-section/section";
import { isTyping } from "~/components/shortcuts";
import { goTo } from "~/components/skip-links";
import { useMenu } from "~/components/use-menu";
import { zoneName } from "~/components/words";
import type { DatesView } from "~/piece/dates.client";
import { readyText } from "~/piece/ready-text";
import { useStates } from "~/piece/use-states";
import type { PlannedView } from "~/workers/plan-worker-api";
import { Findings } from "~/components/findings";
import { ChangedPlan, NewerEngine } from "./newer-engine";
import { NextLine } from "./next-line";
import { WrongClock } from "./wrong-clock";
import type { PlanActions } from "~/piece/plan-actions";
import { Questions } from "./questions";
import { RepairPart } from "./repair-part";
import type { RepairAnswered } from "~/store/repairs.client";
import { StepPanel } from "./step-panel";
import { Steps } from "./steps";

interface Props {
  readonly record: PieceRecord;
  readonly view: PlannedView;
  readonly shown: Candidate;
  readonly plan: PlanRecord | null;
  /** The step chosen in the address; null where none is. */
  readonly chosen: StepId | null;
  readonly repair: RepairAnswered | null;
  readonly dates: Promise<DatesView>;
  readonly explanation: Promise<Explanation | null>;
  readonly actions: PlanActions;
  readonly light: (zone: ZoneId | null) => void;
}

/** The D key marks the next coat of the open band. */
function useDoneKey(open: boolean): void {
  const { singleKeys } = useAppContext().settings;
  useEffect(() => {
    if (!open || !singleKeys) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== "d" || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      document.querySelector<HTMLButtonElement>("[data-panel] [data-do=done]")?.click();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [open, singleKeys]);
}

/** Steps by what a painter would see of them. */
function looks({ shown }: PlannedView): ReadonlyMap<string, string> {
  const steps = shown?.zones.flatMap((zone) => zone.steps) ?? [];
  return new Map(steps.map((step) => [step.id as string, JSON.stringify([step.product, step.coats, step.colour, step.sheen, step.technique])]));
}

const NONE_FRESH: ReadonlySet<string> = new Set();

/** Steps of the view that the one before did not have, or had otherwise. */
function useFresh(view: PlannedView): ReadonlySet<string> {
  const { announce } = useAppContext();
  const [seen, setSeen] = useState({ view, fresh: NONE_FRESH });
  if (seen.view !== view) {
    const old = looks(seen.view);
    setSeen({ view, fresh: new Set([...looks(view)].filter(([id, look]) => old.get(id) !== look).map(([id]) => id)) });
  }
  const { fresh } = seen;
  useEffect(() => {
    if (fresh.size > 0) announce(fresh.size === 1 ? "One coat of the plan is new or has changed" : `${fresh.size} steps of the plan are new or have changed`);
  }, [fresh, announce]);
  return fresh;
}

/** Brings the panel of an opened step into view, and the focus to it, once it shows the step that was asked for. */
function useRevealed(shown: StepId | null): { readonly panelRef: RefObject<HTMLElement | null>; readonly reveal: (step: StepId) => void } {
  const panelRef = useRef<HTMLElement>(null);
  const [wanted, reveal] = useState<{ readonly step: StepId } | null>(null);
  const met = useRef(wanted);
  useEffect(() => {
    if (wanted === null || met.current === wanted || wanted.step !== shown) return;
    met.current = wanted;
    goTo(panelRef.current);
  }, [wanted, shown]);
  return { panelRef, reveal: (step) => reveal({ step }) };
}

const NONE_PINNED: readonly StepId[] = [];

/** The plan: what is next, the section, an opened band, what it has to say for itself, and its steps. */
export function PlanPart({ record, view, shown, plan, chosen, repair, dates, explanation, actions, light }: Props) {
  const menu = useMenu();
  const [, setSearch] = useSearchParams();
  const acts = toldActs(shown);
  const numbers = actNumbers(shown);
  const groups = alikeZones(shown.zones, numbers);
  const told = acts.map((act) => act.step);
  const places = shown.zones.length;
  const { states: each, begun, done, now } = useStates(view);
  const states = groupStates(groups, shown.zones, each);
  const standing = actStates(shown.acts, each);
  const fresh = useFresh(view);
  const narrow = hasOneColumn(shown);
  const selected = chosen ?? (view.work ? openStep(shown, view.work, done, now) : null);
  const follows = plan?.candidateId === shown.id && (plan.basis ?? null) === view.basis;
  const pinned = follows ? plan.pinned : NONE_PINNED;
  const edits = follows ? plan.edits.length : 0;
  const at = selected === null ? -1 : acts.findIndex((act) => act.stepIds.includes(selected));
  const open = acts[at] ?? null;
  const urgent = shown.findings.filter((one) => one.severity === "stop" || one.severity === "warn");
  const notes = shown.findings.filter((one) => one.severity === "note");
  const cautions = shown.findings.filter((one) => one.severity === "safety");
  const timed = useLast(dates);
  useDoneKey(open !== null);
  const { panelRef, reveal } = useRevealed(open?.step.id ?? null);
  const leadOf = (step: StepId) => acts.find((act) => act.stepIds.includes(step))?.step.id ?? step;
  const select = (step: StepId) => {
    const lead = leadOf(step);
    // In the address, so that Back from another page finds it open.
    setSearch({ step: lead }, { replace: true, preventScrollReset: true });
    light(groups.find((group) => group.steps.some((one) => one.id === step))?.zones[0] ?? null);
  };
  /** From a list, where the opened step may stand out of sight: it is brought into view. */
  const show = (step: StepId) => {
    select(step);
    reveal(leadOf(step));
  };
  const lost = view.lost.length;
  const panel = open && (
    <StepPanel
      act={open}
      acts={acts}
      zones={shown.zones}
      places={places}
      tasks={view.work ? tasksOf(open, view.work) : []}
      done={done}
      state={begun || standing.get(open.step.id)?.state === "ready" ? standing.get(open.step.id) : undefined}
      menu={menu}
      actions={actions}
      kept={open.stepIds.every((id) => pinned.includes(id))}
      neighbours={{ before: told[at - 1] ?? null, after: told[at + 1] ?? null }}
      select={select}
      narrow={narrow}
      explanation={explanation}
      ref={panelRef}
    />
  );
  return (
    <>
      <h2 className="text-2xl">{shown.title}</h2>
      {/* Its lines are kept free from the first: nothing below moves under a hand when the dates come. */}
      <div className="min-h-[2.75em] leading-snug text-soft xl:min-h-[1.375em]">
        <Awaited of={dates} waiting={<p>dating it…</p>}>
          {({ dates: dated, now: from }) =>
            dated?.usual && (
              <p>
                ready {readyText(dated, "handle", from)} · hard {readyText(dated, "cured", from)}
              </p>
            )
          }
        </Awaited>
      </div>
      {view.changed && !view.newer && <ChangedPlan view={view} menu={menu} settle={actions.keepChanged} undo={actions.takeBack} />}
      {view.newer && <NewerEngine view={view} menu={menu} settle={actions.settleEngine} />}
      <WrongClock last={laterThanNow(done.values(), now)} now={now} setRight={actions.clockIsRight} />
      <NextLine steps={told} states={standing} menu={menu} piece={record.id} select={show} />
      <div className={`sheet mt-2 p-3 ${narrow ? "grid items-start gap-4 md:grid-cols-[minmax(0,19rem)_minmax(0,1fr)]" : ""}`}>
        <CoatSection
          groups={groups}
          menu={menu}
          material={record.piece.material}
          bare={shown.bare.map(zoneName)}
          numbers={numbers}
          states={states}
          begun={begun}
          selected={selected}
          select={select}
          fresh={fresh}
        />
        {narrow && panel}
        <details className="mt-1 md:col-span-2">
          <summary className="w-fit py-1 text-soft underline">How to read this</summary>
          <p className="max-w-prose text-soft">
            The piece is cut through, its body at the bottom. Bands go up in the order they are laid. A thicker film is a thicker band, but not to scale: a
            poured resin is forty times a coat of varnish and would fill the page, so each doubling adds the same little height. Brushed edges wave, sprayed
            ones are specks, poured ones are round. Grain is matt, a soft light is satin, a bright line and a window are gloss. Dashes vanish again: guides and
            masks. A gap with a moon is a long wait. Numbered dots are washes and sandings.
          </p>
        </details>
      </div>
      <p className="mt-2 min-h-[2.75em]">
        About {sayDuration(shown.totals.handsOnMin)} of your time, and {sayDuration(Math.max(60, shown.totals.elapsedMin))} of paint and waits
        {timed?.dates?.usual && `; in your free hours it is ready in ${sayDuration(Math.max(60, (timed.dates.usual.handle - timed.now) / MS_PER_MIN))}`}. Handle
        it gently after that
        {shown.totals.cureDays >= 1 && `, and let it harden ${sayDuration(shown.totals.cureDays * 24 * 60)} before hard use`}.
      </p>
      <Questions piece={record.piece} menu={menu} answer={actions.apply} />
      {!narrow && panel}
      {(edits > 0 || lost > 0) && (
        <p className="mt-3 flex flex-wrap items-center gap-3 rounded-lg bg-note-tint p-3">
          <span>
            {edits > 0 && `${edits} ${edits === 1 ? "change" : "changes"} of yours ${edits === 1 ? "is" : "are"} in this plan.`}
            {lost > 0 && ` ${lost} no longer ${lost === 1 ? "fits" : "fit"} and ${lost === 1 ? "is" : "are"} set aside.`}
          </span>
          <button type="button" className="button" onClick={actions.asPlanned}>
            Back to the plan as it was
          </button>
        </p>
      )}
      <RepairPart shown={shown} pinned={pinned} menu={menu} actions={actions} repair={repair} />
      <div className="mt-4">
        <Findings findings={[...urgent, ...(timed?.dates?.findings.filter((one) => one.severity !== "note") ?? [])]} apply={actions.apply} />
      </div>
      <Steps
        zones={shown.zones}
        acts={acts}
        places={places}
        menu={menu}
        states={standing}
        begun={begun}
        selected={open?.step.id ?? null}
        select={show}
        apply={actions.apply}
      />
      <Said title="Worth knowing" findings={[...notes, ...(timed?.dates?.findings.filter((one) => one.severity === "note") ?? [])]} apply={actions.apply} />
      <Said
        title="Take care of yourself"
        findings={cautions}
        apply={actions.apply}
        more="None of this replaces the product's label, local rules or a professional."
      />
    </>
  );
}

/** Findings under a heading; nothing where there are none. */
function Said({ title, findings, apply, more }: { title: string; findings: Candidate["findings"]; apply: PlanActions["apply"]; more?: string }) {
  if (findings.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="mb-2 text-xl">{title}</h2>
      <Findings findings={findings} apply={apply} />
      {more && <p className="mt-2 text-soft">{more}</p>}
    </section>
  );
}
