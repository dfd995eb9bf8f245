import type { OwnTimes } from "#core/logbook/own-times";
import { useAppContext } from "~/components/app-context";
import { Tick } from "~/components/fields";
import { timesTold } from "~/components/own-times-words";
import { useMenu } from "~/components/use-menu";

/** What the user's own table has taught of drying and of their hands, and whether it is reckoned with. */
export function OwnTimesTold({ learnt, on, set }: { learnt: OwnTimes; on: boolean; set: (on: boolean) => void }) {
  const menu = useMenu();
  const { rooms } = useAppContext();
  const told = timesTold(learnt, menu, rooms);
  return (
    <div className="grid gap-2">
      {told.length === 0 ? (
        <p>
          Nothing yet. Say how many minutes a coat <em>took</em> when you mark it as done, and <em>still tacky</em> when a finger says so: waits and work are
          then reckoned as they are at your table.
        </p>
      ) : (
        <ul className="grid gap-1">
          {told.map(({ what, said, sure }) => (
            <li key={what}>
              {what} <strong>{said}</strong> <span className="text-soft">({sure})</span>
            </li>
          ))}
        </ul>
      )}
      <Tick name="Reckon with them" on={on} onChange={set} />
    </div>
  );
}
