import { format } from "date-fns";
import { alikeZones } from "#core/coating/explain/alike-zones";
import { actNumbers, toldActs } from "#core/coating/explain/told-acts";
import type { Step } from "#core/coating/model/step";
import type { ToldAct } from "#core/coating/explain/told-acts";
import type { Candidate } from "#core/coating/model/plan";
import type { Menu } from "#core/catalogue/menu";
import { nameOfColour } from "#core/film/colour-names";
import { noteOfMix } from "#core/shelf/mixes";
import { needsOf } from "#core/shelf/needs";
import type { Need } from "#core/shelf/needs";
import { serves } from "#core/catalogue/tool";
import { sayDuration } from "#core/units/duration";
import { sayVolume } from "#core/units/volume";
import { CoatSection } from "~/components/coat-section/section";
import { ColourChip } from "~/components/colour-chip";
import { PaperPage } from "~/components/paper-page";
import { useAppContext } from "~/components/app-context";
import { Awaited } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import type { Piece } from "#core/piece/piece";
import type { DatesView } from "~/piece/dates.client";
import { coatDates } from "#core/schedule/coat-dates";
import type { CoatDate } from "#core/schedule/coat-dates";
import { keptPiece, planOf } from "~/piece/kept-piece";
import { readyText } from "~/piece/ready-text";
import { extentText } from "~/components/extent-words";
import { nameIn, useMenu } from "~/components/use-menu";
import { thinnersIn, thinningText } from "~/components/thinning-words";
import { sayTime } from "~/components/time-words";
import { coatWords, placesText, stepTitle, waitText, zoneName } from "~/components/words";
import type { Route } from "./+types/route";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { planView }, { datesOfPiece }] = await Promise.all([keptPiece(params.id), import("~/workers/planner.client"), import("~/piece/dates.client")]);
  return { kept, planned: Promise.all([planView(params.id, planOf(kept)), datesOfPiece(kept)]) };
}
clientLoader.hydrate = true as const;

/** One box to tick for each coat. */
function Ticks({ count }: { count: number }) {
  return (
    <span aria-hidden>
      {Array.from({ length: count }, (_unused, index) => (
        <svg key={index} width="22" height="20" className="inline align-text-bottom">
          <rect x="1" y="2" width="16" height="16" fill="none" stroke="var(--ink)" strokeWidth="1.4" rx="2" />
        </svg>
      ))}
    </span>
  );
}

/** A day and an hour on paper. */
function whenOf({ coat, half, from }: CoatDate, coats: number): string {
  const which = coatWords(coat, half, coats);
  return `${format(from, "EEE d MMM")} ${sayTime(from)}${which ? ` (${which})` : ""}`;
}

function Row({ act, places, menu, dates }: { act: ToldAct; places: number; menu: Menu; dates: readonly CoatDate[] }) {
  const { step, number } = act;
  const { units, dropsPerMl } = useAppContext().settings;
  const thinning = step.jarMl === null || step.jarMl === 0 ? null : thinningText(step, dropsPerMl);
  const extent = extentText(step, units);
  return (
    <tr className="break-inside-avoid border-t border-line align-top">
      <td className="py-1.5 pr-2 text-soft">{number}</td>
      <td className="w-px py-1.5 pr-3 sm:whitespace-nowrap">
        <Ticks count={step.coats} />
      </td>
      <td className="py-1.5 pr-3">
        {step.waitBefore && <span className="block font-semibold">{waitText(step.waitBefore)}</span>}
        {stepTitle(step, menu)}{" "}
        {act.colours.map((colour) => (
          <ColourChip key={colour} colour={colour} sheen={step.sheen} size={16} />
        ))}
        {dates.length > 0 && <span className="block font-semibold">{dates.map((one) => whenOf(one, step.coats)).join(", ")}</span>}
        {places > 1 && <span className="block font-semibold">{placesText(act, places)}</span>}
        {extent && <span className="block">{extent}</span>}
        {thinning && <span className="block">{thinning}</span>}
        {step.checks.map((check) => (
          <span key={check} className="block text-soft">
            {check}
          </span>
        ))}
      </td>
      <td className="whitespace-nowrap py-1.5 text-right">
        {step.jarMl !== null && sayVolume(step.jarMl)}
        <span className="block text-soft">{step.handsOnMin >= 1 && sayDuration(step.handsOnMin)}</span>
      </td>
    </tr>
  );
}

/** What a mixture is mixed from; nothing for what came out of a shop. */
function mixOf(menu: Menu, jar: string | undefined): string {
  const mix = menu.jars.find((one) => one.id === jar)?.mix;
  return mix ? `: ${noteOfMix(mix)}` : "";
}

/** What to have on the table before beginning: products with how much of each, then the rest. */
function Needed({ shown, menu }: { shown: Candidate; menu: Menu }) {
  const steps = shown.zones.flatMap((zone) => zone.steps);
  const needs = needsOf(shown);
  /** What has neither a colour nor a jar is told by its kind alone. */
  const isTold = (id: string) => (need: Need) => need.product === id && (need.colour ?? need.jar) !== undefined;
  const named = (of: readonly Step[]) => [...new Set(of.map((step) => nameIn(menu.products, step.product).toLowerCase()))];
  const aids = steps.filter((step) => !shown.totals.products.includes(step.product) && step.role !== "cure" && step.role !== "unmask");
  const isThing = (step: Step) => step.role === "mark" || step.role === "mask";
  const things = [...named(aids.filter(isThing)), ...thinnersIn(steps)];
  const doings = named(aids.filter((step) => !isThing(step)));
  const tools = menu.tools.filter((tool) => steps.some((step) => serves(tool, step))).map((tool) => tool.name);
  return (
    <section>
      <h3 className="text-lg">Have ready</h3>
      <ul className="gap-6 print:columns-2">
        {shown.totals.products.map((id) => (
          <li key={id} className="break-inside-avoid">
            {nameIn(menu.products, id)}
            {shown.totals.jarMlByProduct[id] !== undefined && <span className="text-soft">, {sayVolume(shown.totals.jarMlByProduct[id])}</span>}
            {needs.filter(isTold(id)).map(({ colour, jar, ml }) => (
              <span key={jar ?? colour} className="block pl-4">
                {colour && <ColourChip colour={colour} size={18} />} {menu.jars.find((one) => one.id === jar)?.name ?? nameOfColour(colour!)}
                <span className="text-soft">
                  , {sayVolume(ml)}
                  {mixOf(menu, jar)}
                </span>
              </span>
            ))}
          </li>
        ))}
      </ul>
      {tools.length > 0 && <p>Tools: {tools.join("; ")}.</p>}
      {things.length > 0 && <p>Also: {things.join(", ")}.</p>}
      {doings.length > 0 && <p className="text-soft">And what it takes to: {doings.join(", ")}.</p>}
    </section>
  );
}

/** The plan for the table: section, steps with boxes to tick, waits, amounts, cautions. */
export default function BenchSheet({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const { kept, planned } = loaderData;
  const { piece } = kept.record;
  return (
    <PaperPage title={`Bench sheet: ${piece.name}`}>
      <article className="mx-auto max-w-4xl bg-sheet p-6 print:p-0">
        <h2 className="text-2xl">{piece.name}</h2>
        <p>
          {nameIn(menu.materials, piece.material)}; {piece.uses.map((use) => nameIn(menu.uses, use).toLowerCase()).join(", ")}
          {(piece.count ?? 1) > 1 && `; ${piece.count} of them, amounts for all`}.
        </p>
        <Awaited of={planned} waiting={<p role="status">Working out the coats…</p>}>
          {([view, dated], busy) => (
            <div aria-busy={busy}>{view.shown ? <Sheet piece={piece} shown={view.shown} dated={dated} /> : <p>This piece has no plan yet.</p>}</div>
          )}
        </Awaited>
      </article>
    </PaperPage>
  );
}

export function ErrorBoundary() {
  return <RoomError />;
}

interface SheetProps {
  readonly piece: Piece;
  readonly shown: Candidate;
  readonly dated: DatesView;
}

function Sheet({ piece, shown, dated: { dates, now } }: SheetProps) {
  const menu = useMenu();
  const acts = toldActs(shown);
  const numbers = actNumbers(shown);
  const groups = alikeZones(shown.zones, numbers);
  const places = shown.zones.length;
  const cautions = shown.findings.filter((one) => one.severity !== "note");
  return (
    <>
      <p>
        {shown.title}: {shown.school}.
      </p>
      {dates?.usual && (
        <p>
          Ready for gentle hands {readyText(dates, "handle", now)}; fully hard {readyText(dates, "cured", now)}.
        </p>
      )}
      <div className={`my-3 grid items-start gap-5 ${groups.length + shown.bare.length > 1 ? "" : "sm:grid-cols-[19rem_1fr] print:grid-cols-[8cm_1fr]"}`}>
        <CoatSection groups={groups} menu={menu} material={piece.material} bare={shown.bare.map(zoneName)} numbers={numbers} />
        <Needed shown={shown} menu={menu} />
      </div>
      <section className="mt-3">
        <h3 className="text-lg">The work, in its order</h3>
        <table className="w-full border-collapse">
          <thead className="sr-only">
            <tr>
              <th scope="col">Step</th>
              <th scope="col">Done</th>
              <th scope="col">What</th>
              <th scope="col">How much, how long</th>
            </tr>
          </thead>
          <tbody>
            {acts.map((act) => (
              <Row key={act.number} act={act} places={places} menu={menu} dates={coatDates(act, dates?.usual ?? null, now)} />
            ))}
          </tbody>
        </table>
      </section>
      {cautions.length > 0 && (
        <section className="mt-4 break-inside-avoid border-2 border-ink p-3">
          <h3 className="text-lg">Take care</h3>
          <ul className="list-disc pl-5">
            {cautions.map((one) => (
              <li key={`${one.code}-${one.zone}-${one.stepId}`}>
                {one.message}. {one.fix.text}
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="mt-3 text-soft">Times and amounts are typical. Your product's label wins; nothing here replaces it, local rules or a professional.</p>
    </>
  );
}
