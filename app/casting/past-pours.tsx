import { Link } from "react-router";
import { bodiesLeft } from "#core/casting/pour";
import { bowlToTurnTo } from "#core/casting/pour-state";
import { preparationName, ratioSaid } from "#core/casting/records-say";
import { sayMoulds, sayRatio } from "./casting-words";
import { sayDay } from "~/components/time-words";
import type { Casting } from "./use-casting";

/** Pours shown at once. */
const SHOWN = 8;

/** Pours whose bodies are all with the pieces, the newest first. */
export function PastPours({ casting, now }: { casting: Casting; now: number }) {
  const past = casting.pours.filter((pour) => bowlToTurnTo(pour, now) === null && pour.bodies.every((bodies) => bodiesLeft(bodies) === 0));
  if (past.length === 0) return null;
  return (
    <section aria-labelledby="past-pours">
      <h2 id="past-pours" className="text-xl">
        Earlier pours
      </h2>
      <ul className="grid gap-1">
        {past.slice(0, SHOWN).map((pour) => {
          const ratio = ratioSaid(pour);
          return (
            <li key={pour.id}>
              <Link to={`/desk/casting/pours/${pour.id}`} className="underline">
                {sayDay(Date.parse(pour.at), now)}
              </Link>
              : {sayMoulds(pour.moulds)}, {preparationName(pour)}
              {ratio && `, ${sayRatio(ratio.waterPer100)}`}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
