import { Link } from "react-router";
import { bodiesLeft } from "#core/casting/pour";
import { castMaturity } from "#core/casting/cast-maturity";
import { openFaults } from "#core/casting/body-piece";
import { bowlState, bowlToTurnTo, toldOf } from "#core/casting/pour-state";
import type { PourRecord } from "#core/formats/stores/pours";
import { sayDay, sayTime } from "~/components/time-words";
import { sayMoulds, sayWhenDry } from "./casting-words";
import { MouldPicture } from "./mould-picture";
import type { Casting } from "./use-casting";

/** What a running pour asks for, in a line. */
function nextWords(pour: PourRecord, now: number): string {
  const at = bowlToTurnTo(pour, now);
  if (at === null) return "";
  const { next, pourBy } = bowlState(pour.bowls[at]!, pour, now);
  const which = pour.bowls.length > 1 ? `Bowl ${at + 1}: ` : "";
  if (next.kind === "weigh") return `${which}to be weighed`;
  if (next.kind === "wait") return `${which}${next.stage.name.toLowerCase()}, till ${sayTime(next.until)}`;
  if (next.kind === "stage") return `${which}${next.stage.name.toLowerCase()}${pourBy === null ? "" : `; pour it by ${sayTime(pourBy)}`}`;
  return "";
}

interface Lying {
  readonly pour: PourRecord;
  readonly at: number;
}

/** In a few words when a body may be painted. */
function whenWords({ pour, at }: Lying, now: number): { readonly text: string; readonly ready: boolean } {
  const bodies = pour.bodies[at]!;
  if (pour.powder.kind === "cement") {
    const { share, matureAt } = castMaturity(pour, bodies, now);
    if (share === 1) return { text: "mature", ready: true };
    return { text: matureAt === null ? "stands still in the cold" : `mature about ${sayDay(matureAt, now)}`, ready: false };
  }
  const told = toldOf(pour, bodies);
  if (!told) return { text: "weigh it", ready: false };
  if (told.constant) return { text: "may be painted", ready: true };
  return { text: told.constantAt ? `may be painted ${sayWhenDry(told.constantAt, now)}` : "weigh it again", ready: false };
}

/** Pours that are under way, and bodies that lie drying. */
export function OnTheGo({ casting, now }: { casting: Casting; now: number }) {
  const running = casting.pours.filter((pour) => bowlToTurnTo(pour, now) !== null);
  const lying = casting.pours.flatMap((pour) => pour.bodies.flatMap((bodies, at): readonly Lying[] => (bodiesLeft(bodies) > 0 ? [{ pour, at }] : [])));
  if (running.length + lying.length === 0) return null;
  return (
    <section aria-labelledby="on-the-go" className="mb-6">
      <h2 id="on-the-go" className="mb-2 text-2xl">
        In the moulds and on the rack
      </h2>
      <ul className="grid gap-2 sm:grid-cols-2">
        {running.map((pour) => (
          <li key={pour.id}>
            <Link to={`/desk/casting/pours/${pour.id}`} className="next-line block rounded-lg border-2 border-act p-3 no-underline">
              <strong className="block">{sayMoulds(pour.moulds)}</strong>
              <span className="text-act">{nextWords(pour, now)}</span>
            </Link>
          </li>
        ))}
        {lying.map((one) => {
          const bodies = one.pour.bodies[one.at]!;
          const mould = one.pour.moulds[bodies.mould]!;
          const faults = openFaults(bodies.faults);
          const when = whenWords(one, now);
          return (
            <li key={`${one.pour.id}-${one.at}`}>
              <Link
                to={`/desk/casting/pours/${one.pour.id}#bodies-${one.at}`}
                className={`grid grid-cols-[3rem_minmax(0,1fr)] items-center gap-2 rounded-lg border p-3 no-underline ${when.ready ? "border-ready" : "border-line"}`}
              >
                <MouldPicture form={mould.form} />
                <span className="min-w-0 leading-snug">
                  <strong className="block">
                    {mould.name}
                    {bodiesLeft(bodies) > 1 && ` × ${bodiesLeft(bodies)}`}
                  </strong>
                  <span className={when.ready ? "text-ready" : ""}>{when.text}</span>
                  {faults.length > 0 && <span className="block text-act">{Math.max(...faults.map(({ bodies: on }) => on))} to mend</span>}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
