import type { ApexOptions } from "apexcharts";
import { format, parseISO } from "date-fns";
import type { WeekLoad } from "#core/schedule/together/calendar";
import { MIN_PER_HOUR } from "#core/units/duration";
import { Chart } from "~/components/chart";

const MOST_WEEKS = 8;
const LEAST_WEEKS = 4;
const hoursOf = (min: number) => Math.round((min / MIN_PER_HOUR) * 10) / 10;

/** Hours of work against hours that are free, week by week. */
export function Load({ weeks }: { weeks: readonly WeekLoad[] }) {
  // A week without work after the last says that it is over; more of them say nothing.
  const last = weeks.findLastIndex(({ busyMin }) => busyMin > 0);
  const shown = weeks.slice(0, Math.min(MOST_WEEKS, Math.max(LEAST_WEEKS, last + 2)));
  const names = shown.map(({ date }) => format(parseISO(date), "d MMM"));
  const options: ApexOptions = {
    colors: ["var(--act)", "var(--soft)"],
    plotOptions: { bar: { columnWidth: "60%", borderRadius: 2 } },
    // The second by lines too: colour alone tells nobody.
    fill: { type: ["solid", "pattern"], pattern: { style: "slantedLines", width: 6, height: 6, strokeWidth: 2 } },
    dataLabels: { enabled: false },
    xaxis: { categories: names, title: { text: "week from" }, axisBorder: { color: "var(--line)" } },
    yaxis: { title: { text: "hours" }, labels: { formatter: (value) => String(Math.round(value)) } },
    legend: { position: "top", horizontalAlign: "left" },
  };
  const says = shown.map(({ busyMin, freeMin }, k) => `${names[k]}: ${hoursOf(busyMin)} of ${hoursOf(freeMin)}`).join("; ");
  return (
    <figure className="m-0 max-w-3xl">
      <figcaption className="font-display text-lg">Work and free hours</figcaption>
      <Chart
        type="bar"
        height={240}
        options={options}
        series={[
          { name: "hours of work", data: shown.map(({ busyMin }) => hoursOf(busyMin)) },
          { name: "hours free", data: shown.map(({ freeMin }) => hoursOf(freeMin)) },
        ]}
        says={`Hours of work of hours free, by the week from: ${says}.`}
      />
    </figure>
  );
}
