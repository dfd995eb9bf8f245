import { useEffect } from "react";
import { Link, useLocation, useNavigate } from "react-router";
import { Trash2 } from "lucide-react";
import { bowlState, bowlToTurnTo } from "#core/casting/pour-state";
import { preparationName, ratioSaid } from "#core/casting/records-say";
import { CAST_STAGES, PREPARATIONS } from "#core/casting/stages";
import { trapsOf, TRAPS } from "#core/casting/mould";
import { POUR_BOUNDS } from "#core/formats/stores/pours";
import type { PourRecord } from "#core/formats/stores/pours";
import { useAfter } from "~/actions/use-after";
import { BodiesPart } from "~/casting/bodies-part";
import { BowlPart } from "~/casting/bowl-part";
import { sayMoulds, sayRatio } from "~/casting/casting-words";
import { useCasting } from "~/casting/use-casting";
import type { Casting } from "~/casting/use-casting";
import { useStageCalls } from "~/casting/use-stage-calls";
import { NumberField } from "~/components/number-field";
import { RoomError } from "~/components/room-error";
import { sayDay } from "~/components/time-words";
import { useExactNow } from "~/components/use-exact-now";
import { useSetParam } from "~/components/use-set-param";
import type { Route } from "./+types/route";

export async function clientLoader() {
  return (await import("~/casting/casting-loaded.client")).castingLoaded();
}
clientLoader.hydrate = true as const;

export { notForAnotherLook as shouldRevalidate } from "~/mixing/should-load";

export function HydrateFallback() {
  return <p>Fetching the bowl…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** One pour: its bowls at the scale and through their stages, and its bodies until they are painted. */
export default function PourRoom({ loaderData, params }: Route.ComponentProps) {
  const casting = useCasting(loaderData);
  const navigate = useNavigate();
  const [leaving, after] = useAfter();
  const pour = casting.pours.find(({ id }) => id === params.id);
  if (leaving) return <p role="status">Letting go of it…</p>;
  if (!pour)
    return (
      <p className="text-lg">
        This pour is not in your notebook; it may have been let go in another tab.{" "}
        <Link to="/desk/casting" className="underline">
          To casting
        </Link>
      </p>
    );
  const letGo = () => after(casting.ask({ intent: "remove-pour", id: pour.id }), () => void navigate("/desk/casting"));
  return <Poured pour={pour} casting={casting} letGo={letGo} />;
}

/** Moulds before the pour: how they are prepared, and where air stays in them. */
function Before({ pour }: { pour: PourRecord }) {
  const preparation = PREPARATIONS.find(({ id }) => id === pour.preparation)!;
  const traps = [...new Set(pour.moulds.flatMap((mould) => trapsOf(mould)))];
  return (
    <section aria-label="Before you pour" className="grid gap-1">
      <h2 className="text-xl">The moulds</h2>
      <p>{preparation.does}</p>
      {traps.map((trap) => (
        <p key={trap}>
          Air stays in {TRAPS[trap].name}. {TRAPS[trap].how}
        </p>
      ))}
      <h2 className="mt-2 text-xl">Mind</h2>
      <p>Powder dusts: a particle mask (FFP2 or N95). What is left over sets in the bowl and goes in the bin, never down a drain.</p>
      <p>
        {pour.powder.kind === "gypsum"
          ? "Gypsum gets hot as it sets: never keep a hand in it. Gloves, it dries the skin."
          : "Wet cement is caustic: gloves and goggles, and wash it off at once."}{" "}
        What the label says wins.
      </p>
    </section>
  );
}

function Poured({ pour, casting, letGo }: { pour: PourRecord; casting: Casting; letGo: () => void }) {
  const { hash } = useLocation();
  const [now, look] = useExactNow();
  const [chosen, choose] = useSetParam("bowl", false);
  const turn = bowlToTurnTo(pour, now);
  const asked = chosen === null ? null : Number(chosen) - 1;
  const at = asked !== null && pour.bowls[asked] ? asked : turn;
  const bowl = at === null ? null : pour.bowls[at]!;
  const ends = pour.bowls.flatMap((one) => {
    const { next } = bowlState(one, pour, now);
    return next.kind === "wait" ? [{ until: next.until, text: next.stage.name }] : [];
  });
  const soonest = ends.reduce<(typeof ends)[number] | null>((first, one) => (first && first.until <= one.until ? first : one), null);
  useStageCalls(soonest?.until ?? null, `${soonest?.text ?? ""}: its time is up`);
  useEffect(() => {
    if (hash !== "") document.querySelector(hash)?.scrollIntoView({ block: "start" });
  }, [hash]);
  const ratio = ratioSaid(pour);
  const isUsed = pour.bowls.some(({ run, stages }) => run.waterG !== undefined || CAST_STAGES.some((stage) => stages[stage] !== undefined));
  return (
    <>
      <title>A pour – Nook Coat</title>
      <p>
        <Link to="/desk/casting" className="underline">
          Casting
        </Link>
      </p>
      <h1 className="text-2xl sm:text-3xl">{sayMoulds(pour.moulds)}</h1>
      <p className="text-soft">
        {sayDay(Date.parse(pour.at), now)}, {pour.powder.name}, {preparationName(pour)}
        {ratio && `; ${sayRatio(ratio.waterPer100)}${ratio.off ? ", off the label" : ""}`}
      </p>
      <div className={`mt-4 grid gap-6 ${turn === null ? "" : "lg:grid-cols-[minmax(0,1fr)_20rem]"}`}>
        <div className="grid min-w-0 content-start gap-4">
          {pour.bowls.length > 1 && (turn !== null || asked !== null) && (
            <nav aria-label="Bowls" className="flex flex-wrap gap-2">
              {pour.bowls.map((one, k) => {
                const { next } = bowlState(one, pour, now);
                return (
                  <button
                    key={k}
                    type="button"
                    className="chip"
                    data-on={k === at}
                    aria-current={k === at ? "step" : undefined}
                    onClick={() => choose(String(k + 1))}
                  >
                    Bowl {k + 1}{" "}
                    <span className="text-soft">{next.kind === "weigh" ? "to weigh" : next.kind === "over" ? "done" : next.stage.name.toLowerCase()}</span>
                  </button>
                );
              })}
            </nav>
          )}
          {bowl && at !== null && (turn !== null || asked !== null) && (
            <BowlPart key={at} pour={pour} bowl={bowl} at={at} now={now} look={look} change={(change) => (choose(null), casting.change(pour.id, change))} />
          )}
          {pour.bodies.length > 0 && (
            <section aria-labelledby="bodies">
              <h2 id="bodies" className="mb-2 text-2xl">
                Out of the moulds
              </h2>
              <ul className={`grid items-start gap-4 ${turn === null && pour.bodies.length > 1 ? "lg:grid-cols-2" : ""}`}>
                {pour.bodies.map((bodies, k) => (
                  <BodiesPart key={`${bodies.mould}-${bodies.outAt}`} pour={pour} bodies={bodies} at={k} now={now} casting={casting} />
                ))}
              </ul>
            </section>
          )}
        </div>
        <aside aria-label="Before and beside" className="grid content-start gap-4">
          {turn !== null && <Before pour={pour} />}
          {turn !== null && (
            <NumberField
              label="The water is"
              unit="°C"
              value={pour.conditions.waterC}
              typical={`${pour.conditions.roomC}, as the room`}
              bounds={POUR_BOUNDS.celsius}
              save={(waterC) => waterC !== undefined && casting.change(pour.id, { kind: "water", waterC })}
            />
          )}
          <p>
            <button type="button" className="button" onClick={letGo}>
              <Trash2 aria-hidden size={18} /> {isUsed ? "Let go of this pour" : "Do not pour it after all"}
            </button>
          </p>
        </aside>
      </div>
    </>
  );
}
