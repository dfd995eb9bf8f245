import type { Candidate } from "#core/coating/plan";
import { sayDuration } from "#core/units/duration";

const DAY_MIN = 24 * 60;

/** The ways to do it, as a choice: what each is, how soon, how long at the bench. */
export function Candidates({ candidates, chosen, choose }: { candidates: readonly Candidate[]; chosen: string; choose: (candidate: Candidate) => void }) {
  if (candidates.length < 2) return null;
  return (
    <fieldset className="m-0 p-0">
      <legend className="mb-2 font-display text-xl">{candidates.length} ways to do it</legend>
      <div className="grid gap-2 sm:grid-cols-2 xl:grid-cols-3">
        {candidates.map((one) => (
          <label key={one.id} className="chip flex-col items-start gap-0 py-2">
            <input type="radio" name="candidate" className="sr-only" checked={one.id === chosen} onChange={() => choose(one)} />
            <span className="font-bold">
              {one.id === chosen && <span aria-hidden>✓ </span>}
              {one.title}
            </span>
            <span className="text-sm font-normal text-soft">{one.school}</span>
            <span className="text-sm font-normal">
              {sayDuration(one.totals.handsOnMin)} of work; done in {sayDuration(Math.max(one.totals.elapsedMin, 60))}, hard in{" "}
              {sayDuration(one.scores.readyDays * DAY_MIN)}
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
