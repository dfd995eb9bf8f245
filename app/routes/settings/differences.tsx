import { useState } from "react";
import { sayField, sayValue } from "~/components/difference-words";
import type { Difference } from "~/store/differences";

const MOST_SHOWN = 20;

/** Where it was said, besides here. */
function whereSaid(differences: readonly Difference[]): string {
  const from = new Set(differences.map((one) => one.from));
  if (from.size > 1) return "here, in a file that was brought in and in another tab";
  return from.has("file") ? "here and in a file that was brought in" : "in two tabs";
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What this notebook and a file that was brought in say differently, each with both values, to be decided. */
export function Differences({
  differences,
  decide,
}: {
  differences: readonly Difference[];
  decide: (ids: readonly string[], whose: "mine" | "theirs") => void;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? differences : differences.slice(0, MOST_SHOWN);
  const ids = differences.map((one) => one.id);
  return (
    <>
      <p>
        {differences.length === 1 ? "One thing was" : `${differences.length} things were`} said differently {whereSaid(differences)}, neither knowing of the
        other. What is here stands until you choose.
      </p>
      <ul className="mt-3 grid gap-3">
        {shown.map(({ id, store, name, field, mine, theirs, from }) => {
          const [place, take] = from === "file" ? ["In the file", "Take the file’s"] : ["Set in another tab", "Take that"];
          const what = `${name}, ${sayField(store, field)}`;
          return (
            <li key={id} className="rounded-lg border border-line p-3 [overflow-wrap:anywhere]" data-difference={id}>
              <h3 className="font-semibold">
                {capital(name)}: {sayField(store, field)}
              </h3>
              <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3">
                <dt className="text-soft">Here</dt>
                <dd>{sayValue(mine)}</dd>
                <dt className="text-soft">{place}</dt>
                <dd>{sayValue(theirs)}</dd>
              </dl>
              <p className="mt-2 flex flex-wrap gap-2">
                <button type="button" className="button" aria-label={`Leave as here: ${what}`} onClick={() => decide([id], "mine")}>
                  Leave as here
                </button>
                <button type="button" className="button" aria-label={`${take}: ${what}`} onClick={() => decide([id], "theirs")}>
                  {take}
                </button>
              </p>
            </li>
          );
        })}
      </ul>
      {shown.length < differences.length && (
        <button type="button" className="button mt-3" onClick={() => setAll(true)}>
          Show all {differences.length}
        </button>
      )}
      {differences.length > 1 && (
        <p className="mt-3 flex flex-wrap gap-2">
          <button type="button" className="button" onClick={() => decide(ids, "mine")}>
            Leave all as here
          </button>
          <button type="button" className="button" onClick={() => decide(ids, "theirs")}>
            Take all the others
          </button>
        </p>
      )}
    </>
  );
}
