import { Link } from "react-router";
import { HandCoins, Printer, Table2 } from "lucide-react";
import { RECORD_LIMITS } from "#core/formats/stores/records";
import { costOf, MOST_MARGIN } from "#core/logbook/record/cost";
import { SELLING_RULES } from "#core/logbook/giving/not-for";
import { stallOf } from "#core/logbook/record/pieces-left";
import { useAppContext } from "~/components/app-context";
import { download } from "~/components/download";
import { LogbookRooms } from "~/components/logbook-rooms";
import { NumberField } from "~/components/number-field";
import { RoomError } from "~/components/room-error";
import { sayMoney } from "~/logbook/logbook-words";
import { useLogbook } from "~/logbook/use-logbook";
import { freshId } from "~/store/fresh-id";
import type { Route } from "./+types/route";

export async function clientLoader() {
  return (await import("~/logbook/logbook-loaded.client")).logbookLoaded();
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Setting up the stall…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

const MONEY = { least: 0, most: RECORD_LIMITS.money } as const;
const IN_HUNDRED = 100;

/** What an hour, the tools and the margin come to: said once, for all pieces. */
function Rates() {
  const { settings, saveSettings } = useAppContext();
  return (
    <section id="rates" aria-labelledby="rates-title" className="mt-6 max-w-2xl print:hidden">
      <h2 id="rates-title" className="text-xl">
        What you reckon with
      </h2>
      <div className="mt-1 grid items-end gap-3 sm:grid-cols-3">
        <NumberField
          label="An hour of your hands"
          value={settings.perHour ?? undefined}
          bounds={MONEY}
          save={(value) => saveSettings({ perHour: value ?? null }, true)}
        />
        <NumberField
          label="Brushes, tools, heat, a piece"
          value={settings.toolsEach ?? undefined}
          bounds={MONEY}
          save={(value) => saveSettings({ toolsEach: value ?? null }, true)}
        />
        <NumberField
          label="Left over, of the price"
          unit="in 100"
          value={settings.margin === null ? undefined : Math.round(settings.margin * IN_HUNDRED)}
          bounds={{ least: 0, most: MOST_MARGIN * IN_HUNDRED }}
          save={(value) => saveSettings({ margin: value === undefined ? null : value / IN_HUNDRED }, true)}
        />
      </div>
      <p className="mt-1 text-soft">In your own money, whatever that is. Prices of jars are said on the Shelf, of a body in its record.</p>
    </section>
  );
}

/** The stall: what can be taken along and at what price, what was sold, the list to print. */
export default function Stall({ loaderData }: Route.ComponentProps) {
  const { records, change } = useLogbook(loaderData);
  const { settings } = useAppContext();
  const { today } = loaderData;
  const lines = stallOf(records);
  const here = lines.reduce((sum, { pieces }) => sum + pieces.here, 0);
  const sold = lines.reduce((sum, { pieces }) => sum + pieces.sold, 0);
  const takings = lines.reduce((sum, { pieces }) => sum + pieces.takings, 0);
  return (
    <>
      <title>The stall – Logbook – Nook Coat</title>
      <LogbookRooms />
      <h2 className="mt-3 hidden text-2xl print:block">To take along</h2>
      {lines.length === 0 ? (
        <p className="mt-4 max-w-prose">What is written down in the logbook and still here stands on this list, with its price and what was sold of it.</p>
      ) : (
        <>
          <div className="mt-4 flex flex-wrap items-center justify-between gap-3">
            <p>
              <strong>{here}</strong> to take along; {sold} sold so far{takings > 0 && `, for ${sayMoney(takings)}`}.
            </p>
            <div className="flex flex-wrap gap-2 print:hidden">
              <button type="button" className="button" onClick={() => window.print()}>
                <Printer aria-hidden size={20} /> Print the list
              </button>
              <button
                type="button"
                className="button"
                onClick={() =>
                  void import("#core/formats/logbook-csv").then(({ writeStallCsv }) =>
                    download({ name: `nook-coat-stall-${today}.csv`, text: writeStallCsv(records), type: "text/csv" }),
                  )
                }
              >
                <Table2 aria-hidden size={20} /> As a table
              </button>
            </div>
          </div>
          <div className="mt-2 overflow-x-auto">
            <table className="w-full border-collapse">
              <thead>
                <tr className="border-b-2 border-ink text-left">
                  <th scope="col">Piece</th>
                  <th scope="col" className="px-1 text-right">
                    Here
                  </th>
                  <th scope="col" className="px-1 text-right">
                    Sold
                  </th>
                  <th scope="col" className="text-right max-sm:hidden print:hidden">
                    Cost of one
                  </th>
                  <th scope="col" className="text-right">
                    Price
                  </th>
                  <th scope="col" className="pl-3">
                    <span className="print:hidden max-sm:sr-only">One gone</span>
                    <span className="hidden print:inline">Sold today</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {lines.map(({ record, pieces, price }) => {
                  const { known, missing } = costOf(record, settings);
                  return (
                    <tr key={record.id} className="border-b border-line">
                      <th scope="row" className="py-1 pr-3 text-left font-normal">
                        <Link to={`/logbook/records/${record.id}`} className="text-ink underline">
                          {record.name}
                        </Link>
                        <span className="text-soft max-sm:hidden">, {record.body}</span>
                      </th>
                      <td className="text-right tabular-nums">{pieces.here}</td>
                      <td className="text-right tabular-nums">{pieces.sold}</td>
                      <td className="text-right tabular-nums text-soft max-sm:hidden print:hidden">
                        {known > 0 ? `${missing.length > 0 ? "over " : ""}${sayMoney(known)}` : "–"}
                      </td>
                      <td className="text-right tabular-nums">{price === null ? "–" : sayMoney(price)}</td>
                      <td className="py-1 pl-3">
                        <span className="print:hidden">
                          {pieces.here > 0 && (
                            <button
                              type="button"
                              className="button"
                              aria-label={`One of ${record.name} sold`}
                              onClick={() =>
                                change(record.id, {
                                  kind: "move",
                                  move: { id: freshId(), on: today, kind: "sold", count: 1, ...(price === null ? {} : { price }) },
                                })
                              }
                            >
                              <HandCoins aria-hidden size={18} className="max-sm:hidden" /> Sold
                            </button>
                          )}
                        </span>
                        <span aria-hidden className="hidden border-b border-ink print:block">
                          &nbsp;
                        </span>
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        </>
      )}
      <Rates />
      <p className="mt-4 max-w-prose text-soft">{SELLING_RULES}</p>
    </>
  );
}
