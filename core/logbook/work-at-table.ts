import type { Catalogue } from "../catalogue/catalogue";
import { overWhatIsOn } from "../coating/facts/over-what-is-on";
import type { Work } from "../coating/facts/task";
import type { Candidate } from "../coating/model/plan";
import type { Piece } from "../piece/piece";
import { workFor } from "../schedule/dates-of";
import { leftLonger } from "./actual";
import type { OwnTimes } from "./learning/own-times";
import { withOwnTimes } from "./learning/with-own-times";
import type { BodyView } from "./plan-on-body";

/**
 * The work of a plan as it stands at the table: its times as the table has taught them, over what is on the piece as it lies there, and what was found
 * tacky left for longer. Bench, plan, dates, calendar and lists all go by it.
 *
 * @param own what the table has taught; null where waits and work are as they are reckoned
 */
export function workAtTable(
  piece: Piece,
  shown: Candidate,
  { done, tacky }: Pick<BodyView, "done" | "tacky">,
  own: OwnTimes | null,
  catalogue: Catalogue,
): Work {
  const reckoned = workFor(piece, shown, catalogue);
  return leftLonger(overWhatIsOn(own ? withOwnTimes(reckoned, shown, own) : reckoned, done), done, tacky);
}
