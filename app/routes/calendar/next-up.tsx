import { Hand } from "lucide-react";
import type { CalendarDay, DaySitting } from "#core/schedule/together/calendar";
import { sayDuration } from "#core/units/duration";
import { runInBrief } from "~/calendar/act-words";
import { runsOf } from "#core/schedule/together/runs";
import type { CalendarShown } from "~/calendar/act-words";
import { sayClock, sayDay, sayTime } from "~/components/time-words";

/** Runs of a sitting that are told in one sentence. */
const MOST_TOLD = 2;

const busySittings = (days: readonly CalendarDay[]): readonly DaySitting[] => days.flatMap(({ sittings }) => sittings.filter(({ acts }) => acts.length > 0));

/** What is to do next, in one sentence, and how long nothing is to be done after it. */
export function NextUp({ calendar, pieces, menu, now }: CalendarShown) {
  const [next, after] = busySittings(calendar.days);
  if (!next) return <p className="next-line flex-1">Nothing is left to do: it only has to harden.</p>;
  const [first] = next.acts as readonly [(typeof next.acts)[number]];
  const runs = runsOf(next.acts);
  const told = runs.slice(0, MOST_TOLD).map((run) => runInBrief(run, pieces, menu));
  const more = runs.length - told.length;
  const begins = first.from <= now ? "Now" : `${sayDay(first.from, now)} ${sayTime(first.from)}`;
  return (
    <p className="next-line flex min-w-0 flex-1 basis-96 gap-3" data-next>
      <Hand aria-hidden size={22} className="mt-1 shrink-0 text-act" />
      <span>
        <strong className="inline-block first-letter:uppercase">{begins}:</strong> {told.join("; ")}
        {more > 0 && `; and ${more} more things`}. {sayDuration(next.busyMin)} of work
        {after ? <>, then leave all of it alone till {sayClock(after.acts[0]!.from, now)}.</> : ", and that is the last of it."}
      </span>
    </p>
  );
}
