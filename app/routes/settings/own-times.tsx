import type { OwnWear } from "#core/catalogue/product-class";
import { WEAR_PLACES } from "#core/logbook/record/held";
import type { OwnTimes } from "#core/logbook/learning/own-times";
import { useAppContext } from "~/components/app-context";
import { Tick } from "~/components/fields";
import { timesTold } from "~/components/own-times-words";
import { nameIn, useMenu } from "~/components/use-menu";

interface Props {
  readonly learnt: OwnTimes;
  /** What finished pieces have shown of films. */
  readonly worn: readonly OwnWear[];
  readonly on: boolean;
  readonly set: (on: boolean) => void;
}

/** What the user's own table has taught of drying, of their hands and of wear, and whether it is reckoned with. */
export function OwnTimesTold({ learnt, worn, on, set }: Props) {
  const menu = useMenu();
  const { rooms } = useAppContext();
  const told = timesTold(learnt, menu, rooms);
  return (
    <div className="grid gap-2">
      {told.length === 0 ? (
        <p>
          Nothing yet. Say how many minutes a coat <em>took</em> when you mark it as done, and what your finger says when the Bench asks: <em>dry</em> or{" "}
          <em>still tacky</em>. Waits and work are then reckoned as they are at your table.
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
      {learnt.films.length + learnt.rooms.length > 0 && (
        <p className="text-soft">
          Waits are told so that four films in five are ready. Never below what the label says, nor below half of what is reckoned; sealing, hardening and
          baking wait as long as ever.
        </p>
      )}
      {worn.length > 0 && (
        <ul className="grid gap-1">
          {worn.map(({ product, wear, failed, seen }) => (
            <li key={`${product}${wear}`}>
              {nameIn(menu.products, product)} suffered {WEAR_PLACES[wear]} on{" "}
              <strong>
                {failed} of {seen}
              </strong>{" "}
              pieces you looked at: <span className="text-soft">it is reckoned to wear less well there</span>
            </li>
          ))}
        </ul>
      )}
      <Tick name="Reckon with them" on={on} onChange={set} />
    </div>
  );
}
