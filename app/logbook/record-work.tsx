import { format } from "date-fns";
import { zoneNames } from "#core/catalogue/zone-words";
import type { MadeRecord, WorkLine } from "#core/logbook/record/record";
import { lineDetails, sayRoom } from "#core/logbook/record/say-record";
import { lowerFirst } from "#core/units/letter-case";
import { sayMl } from "#core/units/volume";
import { useAppContext } from "~/components/app-context";
import { ColourChip } from "~/components/colour-chip";
import { INSPECTIONS_LIST } from "#core/logbook/inspections/inspection";
import { useMenu } from "~/components/use-menu";
import { sayMass } from "#core/units/mass";
import { sayDuration } from "#core/units/duration";
import { weightUnit } from "~/casting/casting-words";
import { sayMinutes, workKind } from "./logbook-words";

const day = (at: string) => format(new Date(at), "d MMM yyyy");

function whenOf({ first, last }: WorkLine): string {
  const [from, to] = [day(first), day(last)];
  return from === to ? from : `${format(new Date(first), "d MMM")} – ${to}`;
}

/** What was done, in its order: what, where, with what in it, when. */
export function WorkTable({ record }: { record: Pick<MadeRecord, "work" | "name"> }) {
  const { settings } = useAppContext();
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">What was done on {record.name}</caption>
      <thead className="sr-only">
        <tr>
          <th scope="col">What</th>
          <th scope="col">Where</th>
          <th scope="col">When</th>
        </tr>
      </thead>
      <tbody>
        {record.work.map((line) => (
          <tr
            key={`${line.first}${line.title}${line.zones.join()}${line.colour ?? ""}`}
            className="break-inside-avoid border-t border-line align-top max-sm:grid"
          >
            <td className="py-1.5 pr-3">
              {line.colour !== undefined && <ColourChip colour={line.colour} sheen={line.sheen} size={18} />}{" "}
              <span className="font-semibold">{line.title}</span>
              {lineDetails(line, settings.units).map((detail) => (
                <span key={detail} className="block pl-1">
                  {detail}
                </span>
              ))}
            </td>
            <td className="py-1.5 pr-3 text-soft max-sm:py-0">{lowerFirst(zoneNames(line.zones))}</td>
            <td className="whitespace-nowrap py-1.5 text-right text-soft max-sm:pt-0 max-sm:text-left">{whenOf(line)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What is remembered of an older piece. */
export function ToldPart({ told }: Pick<MadeRecord, "told">) {
  if (!told) return null;
  const lines = [
    ["Colours", told.colours],
    ["Paints", told.paints],
    ["Sealer", told.sealer],
    ["", told.note],
  ] as const;
  return (
    <dl className="grid gap-1">
      {lines.map(
        ([label, text]) =>
          text !== undefined && (
            <div key={label} className="sm:grid sm:grid-cols-[7rem_1fr]">
              <dt className="text-soft">{label}</dt>
              <dd className="whitespace-pre-wrap [overflow-wrap:anywhere]">{text}</dd>
            </div>
          ),
      )}
    </dl>
  );
}

/** What went into it beside the order of the work: paint, hands, weighings, what went wrong, checks. */
export function BesideWork({ record }: { record: MadeRecord }) {
  const menu = useMenu();
  const { settings } = useAppContext();
  const { work, paint, minutes, mishaps, checks, cast } = record;
  const unit = weightUnit(settings.units);
  return (
    <>
      {paint.length > 0 && (
        <section>
          <h3 className="text-lg">Paint it took</h3>
          <ul>
            {paint.map(({ name, jar, ml }) => (
              <li key={jar ?? name}>
                {name}, <span className="tabular-nums">{sayMl(ml)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {minutes.length > 0 && (
        <section>
          <h3 className="text-lg">Hands on it</h3>
          <p>{sayMinutes(minutes)}.</p>
          <ul className="text-soft">
            {minutes.slice(0, 4).map(({ kind, min }) => (
              <li key={kind}>
                {workKind(kind, menu)}: {sayDuration(Math.max(1, min))}
              </li>
            ))}
          </ul>
        </section>
      )}
      {sayRoom(record) !== null && work.length > 0 && (
        <section>
          <h3 className="text-lg">Where it dried</h3>
          <p>{sayRoom(record)}.</p>
        </section>
      )}
      {cast && (
        <section>
          <h3 className="text-lg">How it was cast</h3>
          <p>
            {cast.powder}, {day(cast.pouredAt)}
            {cast.waterPer100 !== undefined && `, ${Math.round(cast.waterPer100)} water to 100 powder by weight`}.
          </p>
          {cast.weighings.length > 0 && (
            <ul className="text-soft">
              {cast.weighings.map(({ at, g, bodies }) => (
                <li key={at}>
                  {day(at)}: {sayMass(g, unit)}
                  {bodies > 1 && `, ${bodies} together`}
                </li>
              ))}
            </ul>
          )}
        </section>
      )}
      {mishaps.length > 0 && (
        <section>
          <h3 className="text-lg">What went wrong</h3>
          <ul>
            {mishaps.map(({ at, kind, title, zones }) => (
              <li key={`${at}${title}`}>
                {day(at)}: {title} ({lowerFirst(zoneNames(zones))}) {kind === "tacky" ? "was still tacky" : "was laid again"}
              </li>
            ))}
          </ul>
        </section>
      )}
      {checks.length > 0 && (
        <section>
          <h3 className="text-lg">Checks</h3>
          <ul>
            {checks.map(({ at, kind, passed, zone }) => (
              <li key={`${at}${kind}${zone}`}>
                {day(at)}: {lowerFirst(INSPECTIONS_LIST.find(({ id }) => id === kind)?.name ?? kind)} {passed ? "held" : "failed"} (
                {lowerFirst(zoneNames([zone]))})
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
