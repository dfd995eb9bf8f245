import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { StepId } from "#core/catalogue/ids";
import type { Candidate } from "#core/coating/model/plan";
import { cutStack } from "#core/logbook/inspections/inspection";
import { bodyOf } from "#core/logbook/body-state";
import { mishapsAt, remediesFor } from "#core/logbook/rescue/rescue";
import type { Offered } from "#core/logbook/rescue/rescue";
import { rewritingOf } from "#core/logbook/rescue/rewriting";
import { bandsToMend, spotOf, wetnessFrom, wetnessOf, WETNESSES } from "#core/logbook/rescue/spot";
import type { Band, Wetness } from "#core/logbook/rescue/spot";
import { MS_PER_MIN } from "#core/schedule/free-hours";
import { askOf } from "~/actions/use-ask";
import { actionOf } from "~/bench/bench-asks";
import { Inspect } from "~/bench/inspect";
import { MishapPicture } from "~/bench/mishap-picture";
import { setTimerTo } from "~/bench/timer-asks";
import { useAppContext } from "~/components/app-context";
import { Awaited } from "~/components/awaited";
import { Choice } from "~/components/fields";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { useNow } from "~/components/use-now";
import { stepTitle, zoneName } from "~/components/words";
import { followedOf } from "~/piece/followed";
import { keptPiece, planOf } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import type { PlanAsk } from "~/piece/plan-ask";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";
import { OneOfMany } from "./one-of-many";
import { RemedyCard } from "./remedy-card";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { firstView }, { database }, { timersIn }] = await Promise.all([
    keptPiece(params.id),
    import("~/workers/planner.client"),
    import("~/store/open.client"),
    import("~/store/timers"),
  ]);
  return { kept, view: firstView(params.id, planOf(kept)), timers: await timersIn(await database()) };
}
clientLoader.hydrate = true as const;

export function ErrorBoundary() {
  return <RoomError />;
}

/** Something went wrong: what, on which band, how wet; and what puts it right. */
export default function RescueRoom({ loaderData: { kept, view, timers } }: Route.ComponentProps) {
  return (
    <Awaited of={view} waiting={<p role="status">Looking at what is on it…</p>}>
      {(told) =>
        told.shown && told.work ? (
          <Rescue kept={kept} view={told} shown={told.shown} timer={timers.find(({ piece, rescue }) => rescue && piece === kept.record.id)?.id ?? null} />
        ) : (
          <p>Nothing can be planned for this piece as it stands; change that first.</p>
        )
      }
    </Awaited>
  );
}

const WET_WORDS: Readonly<Record<Wetness, string>> = {
  wet: "wet: it still flows",
  tacky: "tacky: a finger sticks",
  dry: "dry to the touch",
  hard: "hard right through",
  heated: "baked or fired",
};

const keyOf = ({ zone, step }: Pick<Band, "zone" | "step">) => `${zone}|${step.id}`;

function Rescue({ kept, view, shown, timer }: { kept: KeptPiece; view: PlannedView; shown: Candidate; timer: string | null }) {
  const menu = useMenu();
  const now = useNow();
  const navigate = useNavigate();
  const { announce } = useAppContext();
  const [params, setParams] = useSearchParams();
  const { record, progress } = kept;
  const [said, say] = useState<Wetness | null>(null);
  const wanted = params.get("step");
  const bands = bandsToMend(shown, view.done, wanted);
  const band = bands.find((one) => keyOf(one) === params.get("band")) ?? bands.find(({ step }) => step.id === wanted) ?? bands[0];
  if (!band)
    return (
      <div className="max-w-prose text-lg">
        <p>No coat is on it yet, so nothing can have gone wrong in one. Mark what is laid as done first, on the Bench or in the plan.</p>
        <p className="mt-3 flex flex-wrap gap-2 text-base">
          <Link to="/" className="button">
            To the Bench
          </Link>
          <Link to={`/pieces/${record.id}`} className="button">
            To its plan
          </Link>
        </p>
      </div>
    );
  const byClock: Wetness = band.end === null ? "wet" : wetnessOf(band.step, band.end, now);
  const spot = spotOf(record.piece, shown, view.done, view.work!.tasks, { zone: band.zone, step: band.step, wetness: said ?? byClock }, CATALOGUE);
  const mishaps = mishapsAt(spot);
  const mishap = mishaps.find(({ id }) => id === params.get("what"));
  const set = (key: string, value: string) => {
    const next = new URLSearchParams(params);
    next.set(key, value);
    if (key === "band") next.delete("what");
    setParams(next, { replace: true, preventScrollReset: true });
  };
  const body = bodyOf(progress);
  const followed = followedOf(view);
  const ask = (of: PlanAsk) => askOf(actionOf(record), of);
  const carriedOut = ({ remedy }: Offered) => {
    if (!followed) return;
    const rewriting = rewritingOf(remedy, spot, shown, body, CATALOGUE);
    ask({ intent: "put-right", followed, rewriting, timer, at: new Date().toISOString(), what: `${remedy.name}, ${record.piece.name}` });
    void navigate("/");
  };
  /** When the film will be as dry as a remedy wants it, ms. */
  const whenIs = (wetness: Exclude<Wetness, "heated">) => Math.max(now + MS_PER_MIN, wetnessFrom(band.step, band.end ?? now, wetness) ?? 0);
  const hold = (offered: Offered, until: number) => {
    setTimerTo(`Put right: ${mishap!.name.toLowerCase()}, ${record.piece.name}`.slice(0, 80), until, {
      piece: record.id,
      rescue: { mishap: mishap!.id, remedy: offered.remedy.id, zone: band.zone, stepId: band.step.id as StepId },
    });
    announce("The piece is held until then");
    void navigate("/");
  };
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]">
      <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-3">
        <h2 className="text-2xl">It went wrong</h2>
        <p className="text-soft">Nothing is lost yet. Say where and what; what is noted can be taken back.</p>
        <OneOfMany record={record} />
        <Choice
          label="In which coat"
          value={keyOf(band)}
          choices={bands.map((one) => ({ id: keyOf(one), name: `${zoneName(one.zone)}: ${stepTitle(one.step, menu, false)}` }))}
          onChange={(id) => set("band", id)}
        />
        {spot.wetness !== "heated" && (
          <fieldset>
            <legend>How wet is it?</legend>
            <div className="mt-1 grid gap-2">
              {WETNESSES.filter((one) => one !== "heated").map((one) => (
                <label key={one} className="chip">
                  <input type="radio" name="wet" className="size-5 accent-ready" checked={(said ?? byClock) === one} onChange={() => say(one)} />
                  {WET_WORDS[one]}
                  {one === byClock && <span className="text-soft">(by the clock)</span>}
                </label>
              ))}
            </div>
          </fieldset>
        )}
        <Inspect
          key={keyOf(band)}
          step={band.step}
          zone={band.zone}
          hard={spot.wetness === "hard" || spot.wetness === "heated"}
          title="Or see whether it holds"
          top={spot.above.at(-1) ?? band.step}
          stack={cutStack(shown, band.zone, CATALOGUE.materials.get(record.piece.material)!)}
          note={(found) => ask({ intent: "inspected", zone: band.zone, stepId: band.step.id, at: new Date().toISOString(), ...found })}
          apply={(edits) => followed && ask({ intent: "edit", followed, edits })}
          wait={() =>
            followed &&
            ask({
              intent: "put-right",
              followed,
              rewriting: rewritingOf({ effect: { kind: "wait" }, lays: [] }, spot, shown, body, CATALOGUE),
              timer: null,
              at: new Date().toISOString(),
            })
          }
          rescue={(what) => set("what", what)}
        />
        {spot.wetness === "heated" && <p>It has been {shown.route === "kiln" ? "fired" : "baked"} since: what is on it stays, or is shaved off.</p>}
      </div>
      <div className="min-w-0">
        <h2 className="text-2xl">{mishap ? mishap.name : "What does it look like?"}</h2>
        {mishap ? (
          <>
            <p className="mt-1 flex flex-wrap items-center gap-3 text-soft">
              <MishapPicture id={mishap.id} /> {mishap.looks}{" "}
              <button type="button" className="button" onClick={() => set("what", "")}>
                Something else
              </button>
            </p>
            <ul className="mt-3 grid gap-4">
              {remediesFor(mishap, spot).map((offered, index) => (
                <li key={offered.remedy.id}>
                  <RemedyCard
                    offered={offered}
                    first={index === 0}
                    rewriting={rewritingOf(offered.remedy, spot, shown, body, CATALOGUE)}
                    shown={shown}
                    until={offered.later === null || offered.later === "heated" ? null : whenIs(offered.later)}
                    dryAt={whenIs("dry")}
                    done={() => carriedOut(offered)}
                    hold={(until) => hold(offered, until)}
                    now={now}
                  />
                </li>
              ))}
            </ul>
          </>
        ) : (
          <ul className="mt-3 grid gap-2 sm:grid-cols-2 xl:grid-cols-3">
            {mishaps.map(({ id, name, looks }) => (
              <li key={id}>
                <button type="button" className="sheet flex h-full w-full items-center gap-3 p-2 text-left hover:border-ink" onClick={() => set("what", id)}>
                  <MishapPicture id={id} />
                  <span>
                    <span className="block font-semibold leading-snug">{name}</span>
                    <span className="block text-sm text-soft">{looks}</span>
                  </span>
                </button>
              </li>
            ))}
          </ul>
        )}
      </div>
    </div>
  );
}
