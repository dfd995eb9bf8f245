import { CATALOGUE } from "#core/catalogue/catalogue";
import { classHandout, CLASS_LIMITS, HELP_LEVELS } from "#core/logbook/class/handout";
import type { HelpLevel } from "#core/logbook/class/handout";
import { Awaited } from "~/components/awaited";
import { Radios } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { PaperPage } from "~/components/paper-page";
import { RoomError } from "~/components/room-error";
import { said, useSetParam } from "~/components/use-set-param";
import { keptPiece, planOf } from "~/piece/kept-piece";
import type { Route } from "./+types/route";
import { HandoutSheet } from "./handout-sheet";

const USUAL = { people: 8, sessionMin: 120 } as const;

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const search = new URL(request.url).searchParams;
  const whole = (name: "people" | "sessionMin") => {
    const { least, most } = CLASS_LIMITS[name];
    const value = Number(search.get(name) ?? USUAL[name]);
    return Number.isInteger(value) && value >= least && value <= most ? value : USUAL[name];
  };
  const level: HelpLevel = search.get("level") === "direct" ? "direct" : "sketch";
  const ask = { people: whole("people"), sessionMin: whole("sessionMin"), level };
  const [kept, { planView }] = await Promise.all([keptPiece(params.id), import("~/workers/planner.client")]);
  const of = planOf(kept);
  // A class begins with bare pieces, one for each.
  const planned = planView(`class-${params.id}`, { ...of, piece: { ...of.piece, count: ask.people }, progress: [] });
  planned.catch(() => undefined);
  return { kept, ask, planned };
}
clientLoader.hydrate = true as const;

export function ErrorBoundary() {
  return <RoomError />;
}

const LEVEL_WORDS: Readonly<Record<HelpLevel, string>> = { sketch: "drawn on first", direct: "set straight on" };

/** A piece as a class of several people makes it: a sheet to hand out, and what whoever leads does before. */
export default function ClassRoom({ loaderData: { kept, ask, planned } }: Route.ComponentProps) {
  const [, setPeople] = useSetParam("people");
  const [, setSession] = useSetParam("sessionMin");
  const [, setLevel] = useSetParam("level");
  const { piece } = kept.record;
  return (
    <PaperPage title={`Class: ${piece.name}`}>
      <div className="mb-4 grid items-end gap-3 sm:grid-cols-[8rem_10rem_auto] print:hidden">
        <NumberField label="People" value={ask.people} bounds={CLASS_LIMITS.people} whole save={(value) => setPeople(said(value))} />
        <NumberField label="Time together" unit="min" value={ask.sessionMin} bounds={CLASS_LIMITS.sessionMin} whole save={(value) => setSession(said(value))} />
        <Radios legend="The design is" value={ask.level} choices={HELP_LEVELS.map((id) => ({ id, name: LEVEL_WORDS[id] }))} onChange={setLevel} />
      </div>
      <Awaited of={planned} waiting={<p role="status">Working the class out…</p>}>
        {(view, busy) => (
          <div aria-busy={busy}>
            {view.shown ? (
              <HandoutSheet piece={piece} handout={classHandout(view.shown, ask, CATALOGUE)} shown={view.shown} />
            ) : (
              <p>This piece has no plan yet, so there is nothing to teach.</p>
            )}
          </div>
        )}
      </Awaited>
    </PaperPage>
  );
}
