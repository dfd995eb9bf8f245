import { format, parseISO } from "date-fns";
import type { ApexOptions } from "apexcharts";
import { costByShare, monthsOf } from "#core/logbook/record/sums";
import { MIN_PER_HOUR } from "#core/units/duration";
import { useAppContext } from "~/components/app-context";
import { Chart } from "~/components/chart";
import { LogbookRooms } from "~/components/logbook-rooms";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { SHARE_WORDS, sayMoney, workKind } from "~/logbook/logbook-words";
import { useLogbook } from "~/logbook/use-logbook";
import type { Route } from "./+types/route";

export async function clientLoader() {
  return (await import("~/logbook/logbook-loaded.client")).logbookLoaded();
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Adding up…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** Colours of kinds of work, told apart by lightness too. */
const KIND_COLOURS = ["var(--ready)", "#d9822b", "#7fa07b", "var(--act)", "#b9a5d6", "var(--soft)"];
const shortMonth = (month: string) => format(parseISO(`${month}-01`), "MMM yy");
const MOST_LABELS = 8;
const tenth = (value: number) => Math.round(value * 10) / 10;

/** Hands and pieces by month, and what everything cost by share: where the time and the money go. */
export default function InNumbers({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const { settings } = useAppContext();
  const { records } = useLogbook(loaderData);
  const { months, kinds } = monthsOf(records);
  const shares = costByShare(records, settings);
  // Of many months only some are named: all of them would lie over one another.
  const every = Math.ceil(months.length / MOST_LABELS);
  const labels = months.map(({ month }, index) => (index % every === 0 ? shortMonth(month) : ""));
  const hours = (kind: string) => months.map(({ minutes }) => tenth((minutes[kind] ?? 0) / MIN_PER_HOUR));
  const common: ApexOptions = {
    dataLabels: { enabled: false },
    plotOptions: { bar: { columnWidth: "60%" } },
    xaxis: { categories: labels, labels: { rotate: 0, hideOverlappingLabels: false }, axisTicks: { show: false } },
    legend: { position: "top" },
  };
  const allHours = tenth(kinds.reduce((sum, kind) => sum + hours(kind).reduce((all, one) => all + one, 0), 0));
  return (
    <>
      <title>In numbers – Logbook – Nook Coat</title>
      <LogbookRooms />
      {months.length === 0 ? (
        <p className="mt-4 max-w-prose">As soon as pieces are written down, this says how many you finish, where your hours go, and what they cost.</p>
      ) : (
        <div className="mt-4 grid gap-8 lg:grid-cols-2">
          {kinds.length > 0 && (
            <figure className="min-w-0">
              <figcaption className="text-xl font-display">Hours by kind of work</figcaption>
              <p className="text-soft">{allHours} in all, counted in the month the piece was finished; what was not timed is as reckoned.</p>
              <Chart
                type="bar"
                height={290}
                stacked
                options={{ ...common, colors: KIND_COLOURS, yaxis: { labels: { formatter: (value) => String(tenth(value)) } } }}
                series={kinds.map((kind) => ({ name: workKind(kind, menu), data: hours(kind) }))}
                says={`Hours by kind of work: ${kinds.map((kind) => `${workKind(kind, menu)} ${tenth(hours(kind).reduce((sum, one) => sum + one, 0))}`).join(", ")}.`}
              />
            </figure>
          )}
          <figure className="min-w-0">
            <figcaption className="text-xl font-display">Pieces finished</figcaption>
            <p className="text-soft">{months.reduce((sum, { pieces }) => sum + pieces, 0)} in all.</p>
            <Chart
              type="bar"
              height={290}
              options={{ ...common, colors: ["var(--ready)"], yaxis: { labels: { formatter: (value) => String(Math.round(value)) } } }}
              series={[{ name: "pieces", data: months.map(({ pieces }) => pieces) }]}
              says={`Pieces finished: ${months.map(({ month, pieces }) => `${shortMonth(month)} ${pieces}`).join(", ")}.`}
            />
          </figure>
          {shares.length > 0 && (
            <figure className="min-w-0 lg:col-span-2">
              <figcaption className="text-xl font-display">What they cost, by share</figcaption>
              <p className="text-soft">{sayMoney(shares.reduce((sum, { money }) => sum + money, 0))} in all, of what is known.</p>
              <Chart
                type="bar"
                height={60 + 44 * shares.length}
                options={{
                  plotOptions: { bar: { horizontal: true } },
                  dataLabels: { enabled: true, formatter: (value) => sayMoney(Number(value)), style: { colors: ["var(--on-act)"] } },
                  colors: ["var(--act)"],
                  xaxis: { categories: shares.map(({ share }) => SHARE_WORDS[share]), labels: { formatter: (value) => sayMoney(Number(value)) } },
                }}
                series={[{ name: "cost", data: shares.map(({ money }) => Math.round(money * 100) / 100) }]}
                says={`Cost by share: ${shares.map(({ share, money }) => `${SHARE_WORDS[share]} ${sayMoney(money)}`).join(", ")}.`}
              />
            </figure>
          )}
        </div>
      )}
    </>
  );
}
