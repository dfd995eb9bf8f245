import { Hand, Hourglass } from "lucide-react";
import type { Bowl, Pour } from "#core/casting/pour";
import type { PourChange } from "#core/casting/pour-changes";
import { bowlState, ratioOfPour } from "#core/casting/pour-state";
import { stagesOfCast } from "#core/casting/stages";
import type { StagePlan } from "#core/casting/stages";
import { partOf } from "#core/casting/weighing-run";
import { sayDurationRange } from "#core/units/duration";
import { Countdown } from "~/components/countdown";
import { useAt } from "~/components/use-exact-now";
import { sayTime } from "~/components/time-words";
import { WeighPart } from "./weigh-part";

interface Props {
  readonly pour: Pour & { readonly id: string };
  readonly bowl: Bowl;
  readonly at: number;
  readonly now: number;
  readonly look: () => void;
  readonly change: (change: PourChange) => void;
}

const POWDER_WORDS = { first: "water", second: "powder" } as const;

/** A stage that is due: what the hands do, how it looks when it is right, and what to check. */
function Due({ stage, begin }: { stage: StagePlan; begin: () => void }) {
  return (
    <div data-stage={stage.id}>
      <p className="flex items-center gap-2 text-3xl">
        <Hand aria-hidden size={28} className="shrink-0 text-act" /> {stage.name}
      </p>
      <p className="mt-1 text-lg">{stage.does}</p>
      <p className="text-soft">
        Right when: {stage.look} About {sayDurationRange(stage.fromMin, stage.toMin)}.
      </p>
      {stage.check && <p className="text-act">{stage.check}</p>}
      <button type="button" data-primary className="button button-act mt-3 text-lg" onClick={begin}>
        {stage.waits ? "It begins now" : stage.id === "release" ? "It is out" : "Doing it"}
      </button>
    </div>
  );
}

/** The stages of a bowl in their order, with when each was begun. */
function Timeline({ stages, bowl, current }: { stages: readonly StagePlan[]; bowl: Bowl; current: string | null }) {
  return (
    <ol aria-label="Stages" className="mt-4 grid gap-1">
      {stages.map((stage) => {
        const begun = bowl.stages[stage.id];
        return (
          <li
            key={stage.id}
            aria-current={current === stage.id ? "step" : undefined}
            className={`grid grid-cols-[4.5rem_minmax(0,1fr)_auto] gap-2 border-b border-line py-1 ${current === stage.id ? "font-semibold" : begun === undefined ? "text-soft" : ""}`}
          >
            <span className="tabular-nums">{begun === undefined ? "" : sayTime(Date.parse(begun))}</span>
            <span>{stage.name}</span>
            <span className="text-soft">{sayDurationRange(stage.fromMin, stage.toMin)}</span>
          </li>
        );
      })}
    </ol>
  );
}

/** One bowl from the scale to the bodies it gives: weighed, then stage by stage; what waits is a timer on the Bench. */
export function BowlPart({ pour, bowl, at, now, look, change }: Props) {
  const ratio = ratioOfPour(pour);
  const { next, pourBy } = bowlState(bowl, pour, now);
  const stages = stagesOfCast(pour.powder.kind, pour.powder.label, pour.conditions);
  useAt(next.kind === "wait" ? next.until : pourBy, look);
  const begin = (stage: StagePlan) => {
    change({ kind: "stage", bowl: at, stage: stage.id, at: new Date().toISOString() });
    look();
  };
  const late = pourBy !== null && now > pourBy;
  const following = next.kind === "wait" ? stages[stages.findIndex(({ id }) => id === next.stage.id) + 1] : undefined;
  return (
    <div>
      <WeighPart
        draft={`scale-${at}`}
        run={bowl.run}
        wanted={bowl}
        ratio={ratio}
        words={POWDER_WORDS}
        vessel="bowl"
        note={(run) => change({ kind: "run", bowl: at, run })}
      />
      {partOf(bowl.run, ratio) === "done" && (
        <section aria-label="Now" className="sheet mt-3 p-4" aria-live="polite">
          {pourBy !== null && (
            <p className={late ? "text-stop" : "text-act"}>
              {late
                ? "It is past the time it can be poured: if it heaps on the spoon, throw it out. Not down the drain."
                : `Pour it by ${sayTime(pourBy)} at the latest.`}
            </p>
          )}
          {next.kind === "stage" && <Due stage={next.stage} begin={() => begin(next.stage)} />}
          {next.kind === "wait" && (
            <div data-waiting={next.stage.id}>
              <p className="flex items-center gap-2 text-2xl">
                <Hourglass aria-hidden size={26} className="shrink-0 text-ready" /> {next.stage.name}
              </p>
              <Countdown large since={next.from} until={next.until} careful={next.longest} now={now} />
              <p className="mt-1 text-soft">
                {next.stage.does} {next.stage.look}
              </p>
              {next.stage.check && <p className="text-act">{next.stage.check}</p>}
              {following && (
                <button type="button" className="button mt-3" onClick={() => begin(following)}>
                  It looks right: {following.name.toLowerCase()}
                </button>
              )}
            </div>
          )}
          {next.kind === "over" && <p className="text-xl">This bowl is done; its bodies lie below.</p>}
          <Timeline stages={stages} bowl={bowl} current={next.kind === "stage" || next.kind === "wait" ? next.stage.id : null} />
        </section>
      )}
    </div>
  );
}
