import { Tabs } from "radix-ui";
import { useEffect, useState } from "react";
import type { StepId } from "#core/catalogue/ids";
import { alikeZones } from "#core/coating/explain/alike-zones";
import { partsOfWork, stepNumbers } from "#core/coating/explain/parts-of-work";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import { groupStates } from "#core/logbook/group-states";
import type { ProgressRecord } from "#core/logbook/progress";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { sayDuration } from "#core/units/duration";
import { CoatSection } from "~/components/coat-section/section";
import { isTyping } from "~/components/shortcuts";
import { useMenu } from "~/components/use-menu";
import { zoneName, zoneNames } from "~/components/words";
import { useAppContext } from "~/components/app-context";
import { Candidates } from "./candidates";
import { DatesPart, readyText, useDates } from "./dates-part";
import { Findings } from "./findings";
import { NextLine } from "./next-line";
import { tasksOf } from "./plan-actions";
import type { PlanActions } from "./plan-actions";
import { Questions } from "./questions";
import { RepairPart } from "./repair-part";
import { StepPanel } from "./step-panel";
import { Steps } from "./steps";
import type { Planned } from "./use-plan";
import { useStates } from "./use-states";

interface Props {
  readonly record: PieceRecord;
  readonly planned: Planned;
  readonly shown: Candidate;
  readonly progress: readonly ProgressRecord[];
  readonly edits: number;
  readonly pinned: readonly StepId[];
  readonly actions: PlanActions;
  readonly asPlanned: () => void;
  readonly setDates: (dates: { readonly start?: string; readonly due?: string }) => void;
  readonly light: (zone: ZoneId | null) => void;
}

/** The D key marks the next coat of the open band. */
function useDoneKey(open: boolean): void {
  useEffect(() => {
    if (!open) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== "d" || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      document.querySelector<HTMLButtonElement>("[data-panel] [data-do=done]")?.click();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [open]);
}

function useChangesSaid(planned: Planned): void {
  const { announce } = useAppContext();
  const { fresh } = planned;
  useEffect(() => {
    if (fresh.size > 0) announce(fresh.size === 1 ? "One coat of the plan is new or has changed" : `${fresh.size} steps of the plan are new or have changed`);
  }, [fresh, announce]);
}

/** The plan: what is next, the section, an opened band, what it has to say for itself, and steps, dates and other ways. */
export function PlanPart({ record, planned, shown, progress, edits, pinned, actions, asPlanned, setDates, light }: Props) {
  const menu = useMenu();
  const view = planned.view!;
  const { candidates } = view.set;
  const groups = alikeZones(shown.zones);
  const parts = partsOfWork(groups, shown.order);
  const numbers = stepNumbers(parts, groups);
  const told = parts.flatMap((part) => part.steps);
  const { states: each, begun, done } = useStates(view, progress);
  const states = groupStates(groups, shown.zones, each);
  const { dates, now } = useDates(record, planned.keeping, done);
  const [chosen, setSelected] = useState<StepId | null>(null);
  // A section of one column leaves room beside it: the step that is next stands there from the start.
  const narrow = groups.length + (shown.bare.length > 0 ? 1 : 0) === 1;
  const first = narrow
    ? (told.find((step) => states.get(step.id)?.state === "ready") ?? told.find((step) => states.get(step.id)?.state === "waiting") ?? told[0])
    : undefined;
  const selected = chosen ?? first?.id ?? null;
  const open = groups.flatMap((group) => group.steps).find((step) => step.id === selected) ?? told.find((step) => step.id === selected) ?? null;
  const at = open ? told.findIndex((step) => step.id === open.id || (open.group !== undefined && step.group === open.group)) : -1;
  const urgent = shown.findings.filter((one) => one.severity === "stop" || one.severity === "warn");
  const notes = shown.findings.filter((one) => one.severity === "note");
  const cautions = shown.findings.filter((one) => one.severity === "safety");
  useDoneKey(open !== null);
  useChangesSaid(planned);
  const select = (step: StepId) => {
    setSelected(step);
    light(groups.find((group) => group.steps.some((one) => one.id === step))?.zones[0] ?? null);
  };
  const lost = view.lost.length;
  const panel = open && (
    <StepPanel
      piece={record.piece}
      keeping={planned.keeping}
      step={open}
      number={numbers.get(open.id)}
      tasks={view.work ? tasksOf(open, groups, shown, view.work) : []}
      done={done}
      state={begun || states.get(open.id)?.state === "ready" ? states.get(open.id) : undefined}
      menu={menu}
      actions={actions}
      kept={pinned.includes(open.id)}
      neighbours={{ before: told[at - 1] ?? null, after: told[at + 1] ?? null }}
      select={select}
      narrow={narrow}
    />
  );
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-2xl">{shown.title}</h2>
        {dates?.usual && (
          <p className="text-soft">
            ready {readyText(dates, "handle", now)} · hard {readyText(dates, "cured", now)}
          </p>
        )}
      </div>
      <p className="mb-2">
        About {sayDuration(shown.totals.handsOnMin)} of your time, spread over {sayDuration(Math.max(60, shown.totals.elapsedMin))}; handle it gently after that
        {shown.totals.cureDays >= 1 && `, and let it harden ${sayDuration(shown.totals.cureDays * 24 * 60)} before hard use`}.
      </p>
      <NextLine steps={told} states={states} menu={menu} select={select} />
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
          fresh={planned.fresh}
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
      <Questions piece={record.piece} menu={menu} answer={actions.apply} />
      {!narrow && panel}
      {(edits > 0 || lost > 0) && (
        <p className="mt-3 flex flex-wrap items-center gap-3 rounded-lg bg-note-tint p-3">
          <span>
            {edits > 0 && `${edits} ${edits === 1 ? "change" : "changes"} of yours ${edits === 1 ? "is" : "are"} in this plan.`}
            {lost > 0 && ` ${lost} no longer ${lost === 1 ? "fits" : "fit"} and ${lost === 1 ? "is" : "are"} set aside.`}
          </span>
          <button type="button" className="button" onClick={asPlanned}>
            Back to the plan as it was
          </button>
        </p>
      )}
      <RepairPart piece={record.piece} keeping={planned.keeping} shown={shown} pinned={pinned} menu={menu} actions={actions} />
      <div className="mt-4">
        <Findings findings={urgent} apply={actions.apply} />
      </div>
      <Tabs.Root defaultValue="steps" className="mt-5">
        <Tabs.List aria-label="The plan" className="flex flex-wrap gap-1 border-b-2 border-ink">
          <Tabs.Trigger value="steps" className="tab">
            Steps
          </Tabs.Trigger>
          <Tabs.Trigger value="dates" className="tab">
            Dates
          </Tabs.Trigger>
          {candidates.length > 1 && (
            <Tabs.Trigger value="ways" className="tab">
              {candidates.length} ways to do it
            </Tabs.Trigger>
          )}
        </Tabs.List>
        <Tabs.Content value="steps" className="pt-1">
          {parts.map((part) => (
            <Steps
              key={part.key}
              title={part.zones.length > 0 ? zoneNames(part.zones) : part.key === "first" ? "First, the whole piece" : "Last, the whole piece"}
              steps={part.steps as readonly Step[]}
              menu={menu}
              numbers={numbers}
              states={states}
              begun={begun}
              selected={selected}
              select={select}
              apply={actions.apply}
            />
          ))}
        </Tabs.Content>
        <Tabs.Content value="dates" className="pt-4">
          <DatesPart record={record} shown={shown} menu={menu} setDates={setDates} dates={dates} now={now} />
        </Tabs.Content>
        <Tabs.Content value="ways" className="pt-4">
          <Candidates candidates={candidates} shown={shown} menu={menu} choose={actions.choose} />
        </Tabs.Content>
      </Tabs.Root>
      <Said title="Worth knowing" findings={notes} apply={actions.apply} />
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
