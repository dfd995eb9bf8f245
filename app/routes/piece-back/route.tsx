import { Link } from "react-router";
import { backText } from "#core/logbook/giving/back-text";
import { editionNumber } from "#core/logbook/record/pieces-left";
import { pieceId } from "#core/catalogue/ids";
import { faceOf, textBudget, textSpace } from "#core/marking/lettering";
import { undersideOf } from "#core/marking/underside";
import { plainMm } from "#core/marking/words";
import { dateOf } from "#core/schedule/free-hours";
import { useAppContext } from "~/components/app-context";
import { Tick } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { RoomError } from "~/components/room-error";
import { timeZoneHere } from "~/components/time-zone";
import { TypedBox } from "~/components/typed-box";
import { useTyped } from "~/components/use-typed";
import { TextDrawing } from "~/marking/text-drawing";
import { useDesk } from "~/mixing/use-desk";
import { keptPiece } from "~/piece/kept-piece";
import type { Route } from "./+types/route";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { database }, { recordOfPiece }] = await Promise.all([keptPiece(params.id), import("~/store/open.client"), import("~/store/records")]);
  return { kept, written: await recordOfPiece(await database(), pieceId(params.id)), today: dateOf(Date.now(), timeZoneHere()) };
}
clientLoader.hydrate = true as const;

export function ErrorBoundary() {
  return <RoomError />;
}

interface State {
  readonly penMm: number;
  readonly also: string;
  readonly found: boolean | null;
  readonly numbered: boolean;
}

const PEN = { least: 0.1, most: 10 } as const;
const SANS = "source-sans";

/** What is written on the underside before it is sealed: most important first, as much as a pen of some width finds room for. */
export default function BackRoom({ loaderData: { kept, written, today } }: Route.ComponentProps) {
  const { settings, saveSettings } = useAppContext();
  const { piece, id } = kept.record;
  const [state, set] = useDesk<State>(`back-${id}`, { penMm: 0.7, also: "", found: null, numbered: true });
  const tellAt = useTyped<string>({
    value: settings.tellAt,
    text: (text) => text,
    read: (text) => ({ value: text }),
    save: (text) => saveSettings({ tellAt: text }, true),
  });
  const signature = useTyped<string>({
    value: settings.signature,
    text: (text) => text,
    read: (text) => ({ value: text }),
    save: (text) => saveSettings({ signature: text }, true),
  });
  const found = state.found ?? piece.uses.some((use) => use === "found-outdoors");
  const of = written?.count ?? piece.count ?? 1;
  const lines = backText({
    signature: settings.signature,
    day: written?.finishedOn ?? today,
    name: piece.name,
    found,
    tellAt: settings.tellAt,
    also: state.also.split("\n"),
    ...(state.numbered && of > 1 ? { edition: { number: written ? editionNumber(written) : 1, of } } : {}),
  });
  const under = undersideOf(piece.form);
  const space = textSpace(under.widthMm, under.heightMm, under.square);
  const budget = textBudget(lines, space.widthMm, space.heightMm, state.penMm, faceOf(SANS));
  const em = budget.capMm / faceOf(SANS).capHeight;
  return (
    <>
      <title>{`Text for the back: ${piece.name} – Nook Coat`}</title>
      <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <section aria-labelledby="back-title" className="min-w-0">
          <h2 id="back-title" className="text-2xl">
            Text for the back
          </h2>
          <p className="text-soft">
            The underside is about {plainMm(under.widthMm)} by {plainMm(under.heightMm)} mm; text finds room on {Math.round(space.widthMm)} by{" "}
            {Math.round(space.heightMm)}. Letters with this pen are {plainMm(budget.capMm)} mm high. Sign before the back is sealed.
          </p>
          <div className="sheet mt-3 p-4">
            {budget.lines.length > 0 ? (
              <TextDrawing
                lines={budget.lines}
                emMm={em}
                lineMm={budget.lineMm}
                capMm={budget.capMm}
                widthMm={space.widthMm}
                heightMm={space.heightMm}
                face={SANS}
              />
            ) : (
              <p>Nothing finds room with this pen: take a finer one.</p>
            )}
          </div>
          {budget.leftOut.length > 0 && (
            <p role="status" className="mt-2">
              No room for: <strong>{budget.leftOut.join("; ")}</strong>. A finer pen, or a paper tag.
            </p>
          )}
        </section>
        <section aria-label="What goes on it" className="grid content-start gap-3">
          <TypedBox field={signature} label="How you sign" maxLength={80} />
          <Tick name="it is left outdoors to be found" on={found} onChange={(on) => set({ found: on })} />
          {found && <TypedBox field={tellAt} label="Where a finder may tell of it" placeholder="an address, a tag, a place on the map" maxLength={80} />}
          {of > 1 && <Tick name={`numbered, of ${of}`} on={state.numbered} onChange={(numbered) => set({ numbered })} />}
          <NumberField label="Stroke of the pen" unit="mm" value={state.penMm} bounds={PEN} save={(mm) => mm !== undefined && set({ penMm: mm })} />
          <label className="block">
            And also, a line each
            <textarea className="field" rows={3} maxLength={300} value={state.also} onChange={(event) => set({ also: event.target.value })} />
          </label>
          <p className="text-soft">
            Pen under varnish: one that does not bleed, tried on a scrap.{" "}
            <Link to={`/pieces/${id}/record`} className="underline">
              To its record
            </Link>
          </p>
        </section>
      </div>
    </>
  );
}
