import { Fragment } from "react";
import { Link } from "react-router";
import type { Menu } from "#core/catalogue/menu";
import type { Candidate } from "#core/coating/model/plan";
import { nameOfColour } from "#core/film/colour-names";
import { beginBefore } from "#core/logbook/class/handout";
import type { AdultReason, Handout, HandoutStep, Station } from "#core/logbook/class/handout";
import type { Piece } from "#core/piece/piece";
import { needsOf } from "#core/shelf/needs";
import { sayDuration, sayDurationRange } from "#core/units/duration";
import { sayVolume } from "#core/units/volume";
import { useAppContext } from "~/components/app-context";
import { ColourChip } from "~/components/colour-chip";
import { extentText, saySize } from "~/components/extent-words";
import { nameIn, useMenu } from "~/components/use-menu";
import { placesText, stepTitle } from "~/components/words";

const ADULT_WORDS: Readonly<Record<AdultReason, string>> = {
  heat: "Only an adult: heat.",
  spray: "Only an adult, outdoors or at an open window: spray.",
  resin: "Only an adult, with gloves: resin.",
  powder: "Only an adult tips the powder: a mask, no draught.",
  dust: "Only an adult sands: dust, a mask.",
  solvent: "Only an adult: solvent, open window, no flame.",
};

const STATION_WORDS: Readonly<Record<Station["id"], string>> = {
  paint: "painting, an apron and a place each",
  wash: "basins for washing brushes and hands",
  dry: "places to dry, names on them",
  adults: "a table only adults work at",
};

/** With less of the decorating than this done together it is said. */
const MOST_OF_IT = 0.95;
/** Shorter than this nobody stops for it, minutes. */
const PAUSE_MIN = 3;

function Steps({ steps, from, places, menu, total }: { steps: readonly HandoutStep[]; from: number; places: number; menu: Menu; total: boolean }) {
  const { units } = useAppContext().settings;
  return (
    <ol className="list-decimal pl-7" start={from}>
      {steps.map(({ act, eachMin, waitMin, waitCarefulMin, adult }, index) => {
        const extent = extentText(act.step, units);
        const wait = index > 0 && waitMin >= PAUSE_MIN;
        return (
          <Fragment key={act.number}>
            {wait && (
              <li className="-ml-7 list-none border-l-8 border-soft pl-5 font-semibold">
                {total ? "Wait" : "Pause"} {sayDurationRange(waitMin, waitCarefulMin)}
              </li>
            )}
            <li value={from + index} className="break-inside-avoid py-1">
              <span className="font-semibold">{stepTitle(act.step, menu)}</span>{" "}
              {act.colours.map((colour) => (
                <ColourChip key={colour} colour={colour} size={16} />
              ))}
              <span className="text-soft">
                {" "}
                {places > 1 && `${placesText(act, places).toLowerCase()}; `}about {sayDuration(Math.max(1, total ? act.step.handsOnMin : eachMin))}
                {total ? " for all" : ""}
              </span>
              {extent && <span className="block">{extent}</span>}
              {adult && <span className="block font-semibold text-stop">{ADULT_WORDS[adult]}</span>}
              {act.step.checks.slice(0, 1).map((check) => (
                <span key={check} className="block text-soft">
                  {check}
                </span>
              ))}
            </li>
          </Fragment>
        );
      })}
    </ol>
  );
}

/** What to have for all of them: paints with how much, what is at home, what is to be got. */
function Shopping({ shown, menu }: { shown: Candidate; menu: Menu }) {
  const needs = needsOf(shown);
  return (
    <ul className="gap-6 sm:columns-2 print:columns-2">
      {needs.map(({ product, colour, jar, ml }) => {
        const own = menu.jars.find(({ id }) => id === jar);
        const short = own?.leftMl !== undefined && own.leftMl < ml;
        return (
          <li key={`${product}${colour ?? ""}${jar ?? ""}`} className="break-inside-avoid">
            {colour && <ColourChip colour={colour} size={16} />} {own?.name ?? nameIn(menu.products, product)}
            {!own && colour && `, ${nameOfColour(colour)}`}
            <span className="text-soft">
              , {sayVolume(ml)}
              {own === undefined ? ": to get" : short ? `: you have ${sayVolume(own.leftMl!)}, get more` : ""}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

/** The sheet of a class: what was made before, the steps with their pauses, what is done after, what to have, what to take care of. */
export function HandoutSheet({ piece, handout, shown }: { piece: Piece; handout: Handout; shown: Candidate }) {
  const menu = useMenu();
  const { units } = useAppContext().settings;
  const { ask, before, session, after, usedMin, overMin, decoratingShare, sketched, standIns, stations } = handout;
  const places = shown.zones.length;
  const lead = beginBefore(handout);
  const cautions = shown.findings.filter(({ severity }) => severity === "safety" || severity === "stop");
  const first = before.length + (sketched ? 1 : 0) + 1;
  return (
    <article className="mx-auto max-w-4xl bg-sheet p-6 print:p-0">
      <h2 className="text-2xl">
        {piece.name}: a class for {ask.people}
      </h2>
      <p>
        {nameIn(menu.materials, piece.material)}, one each. {sayDuration(usedMin)} together, with setting up and clearing away; times are for hands that do it
        for the first time.
      </p>
      {overMin > 0 && (
        <p className="mt-2 font-semibold text-stop">That is {sayDuration(overMin)} longer than you have: fewer marks, fewer people, or two evenings.</p>
      )}
      {overMin === 0 && decoratingShare < MOST_OF_IT && (
        <p className="mt-2 font-semibold text-stop">
          There is time for about {Math.max(1, Math.round(decoratingShare * 10))} tenths of the decorating; the rest is done afterwards, unless you stay longer.
        </p>
      )}
      {before.length > 0 && (
        <section className="mt-4">
          <h3 className="text-xl">Beforehand, by whoever leads</h3>
          <p>
            Begin about {sayDuration(lead.careful)} before the class; where everything dries well, {sayDuration(lead.usual)} are enough.
          </p>
          <Steps steps={before} from={1} places={places} menu={menu} total />
          {handout.leadMin.usual >= PAUSE_MIN && (
            <p className="font-semibold">Then it rests {sayDurationRange(handout.leadMin.usual, handout.leadMin.careful)} before the class begins.</p>
          )}
        </section>
      )}
      <section className="mt-4">
        <h3 className="text-xl">Together</h3>
        {sketched && (
          <p className="py-1">
            <strong>{before.length + 1}. Draw the design on, lightly:</strong> white pencil on dark, soft pencil on light. Nobody need draw well: it is only
            where the marks go.
          </p>
        )}
        {ask.level === "direct" && (
          <p className="py-1 text-soft">Set straight on, without a drawing: from the middle outward, one row all round before the next.</p>
        )}
        <Steps steps={session} from={first} places={places} menu={menu} total={false} />
      </section>
      {after.length > 0 && (
        <section className="mt-4">
          <h3 className="text-xl">Afterwards</h3>
          <p className="text-soft">When it has dried, by whoever leads, or at home.</p>
          <Steps steps={after} from={first + session.length} places={places} menu={menu} total />
        </section>
      )}
      <div className="mt-4 grid gap-5 sm:grid-cols-2 print:grid-cols-2">
        <section>
          <h3 className="text-lg">The room</h3>
          <ul>
            {stations.map(({ id, places: many }) => (
              <li key={id}>
                {many} × {STATION_WORDS[id]}
              </li>
            ))}
          </ul>
        </section>
        {standIns.length > 0 && (
          <section>
            <h3 className="text-lg">Where there are no dotting tools</h3>
            <ul>
              {standIns.map(({ diameterMm, thing }) => (
                <li key={diameterMm}>
                  {saySize(diameterMm, units)}: {thing}
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <section className="mt-4">
        <h3 className="text-lg">For all {ask.people}</h3>
        <Shopping shown={shown} menu={menu} />
      </section>
      <section className="mt-4 break-inside-avoid border-2 border-ink p-3">
        <h3 className="text-lg">Take care</h3>
        <ul className="list-disc pl-5">
          <li>Heat, spray, resin, powder, sanding and solvent are for adults; children under three nowhere near small parts.</li>
          {cautions.map(({ code, zone, stepId, message, fix }) => (
            <li key={`${code}${zone}${stepId}`}>
              {message}. {fix.text}
            </li>
          ))}
        </ul>
      </section>
      <p className="mt-3 print:hidden">
        <Link to="/practice" className="underline">
          Practice strokes to print beside it
        </Link>
      </p>
      <p className="mt-3 text-soft">Times and amounts are typical. Labels win; nothing here replaces them, or the rules of the house you teach in.</p>
    </article>
  );
}
