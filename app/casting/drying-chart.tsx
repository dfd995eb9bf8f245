import type { ApexOptions } from "apexcharts";
import { format } from "date-fns";
import { dryingCurve } from "#core/drying/constant-weight";
import type { WeightTold } from "#core/drying/constant-weight";
import type { KnownBody, Weighing } from "#core/drying/drying-curve";
import { fromG, sayMass } from "#core/units/mass";
import { Chart } from "~/components/chart";
import { sayDay } from "~/components/time-words";
import type { WeightUnit } from "./casting-words";

const POINTS = 80;
const DAY_MS = 86_400_000;
/** Days that lie too far ahead would squeeze the weighings into a corner: so much is shown beyond them, times what they span and ms. */
const AHEAD = { times: 2, ms: 6 * DAY_MS } as const;
const HEIGHT = 260;
/** A margin above and below the curve, as a share of what it spans. */
const MARGIN = 0.12;

/** The weighings of a body, and the curve through them with how far it may be off; with the days on which it may be painted. */
export function DryingChart({
  weighings,
  known,
  told,
  unit,
  now,
}: {
  weighings: readonly Weighing[];
  known: KnownBody;
  told: WeightTold;
  unit: WeightUnit;
  now: number;
}) {
  const first = Math.min(...weighings.map(({ at }) => at));
  const last = Math.max(...weighings.map(({ at }) => at));
  const until = Math.min(Math.max(told.constantAt?.to ?? 0, last) + DAY_MS / 2, last + AHEAD.times * (last - first) + AHEAD.ms);
  const curve = dryingCurve(weighings, known, until, POINTS);
  const shown = (g: number) => Math.round(fromG(g, unit) * 10) / 10;
  const all = [...weighings.map(({ g }) => g), ...curve.flatMap(({ from, to }) => [from, to])];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = Math.max(1, (most - least) * MARGIN);
  const { constantAt } = told;
  const options: ApexOptions = {
    colors: ["var(--ready)", "var(--soft)", "var(--soft)", "var(--act)"],
    stroke: { width: [3, 1, 1, 0], curve: "straight", dashArray: [0, 4, 4, 0] },
    markers: { size: [0, 0, 0, 6], strokeWidth: 0 },
    legend: { show: false },
    xaxis: {
      type: "numeric",
      min: first,
      max: until,
      tickAmount: 4,
      labels: { formatter: (value) => format(Number(value), "EEE d"), hideOverlappingLabels: true, rotate: 0 },
      axisBorder: { color: "var(--line)" },
    },
    yaxis: { min: shown(Math.max(0, least - room)), max: shown(most + room), tickAmount: 4, labels: { formatter: (value) => `${Math.round(value)} ${unit}` } },
    annotations: {
      xaxis:
        constantAt && constantAt.from < until
          ? [{ x: constantAt.from, x2: Math.min(until, constantAt.to), fillColor: "var(--ready)", opacity: 0.18, borderColor: "var(--ready)" }]
          : [],
    },
  };
  const line = (pick: (point: (typeof curve)[number]) => number) => curve.map((point) => ({ x: point.at, y: shown(pick(point)) }));
  const says = `${weighings.map(({ at, g }) => `${sayDay(at, now)} ${sayMass(g, unit)}`).join(", ")}.${told.leftG && !told.constant ? ` Still in it: ${sayMass(told.leftG.from, unit)} to ${sayMass(told.leftG.to, unit)} of water.` : ""}`;
  return (
    <figure className="m-0">
      <figcaption className="text-soft">
        Weight over the days; the dashed lines are how far it may be off{constantAt && ", the shaded days when it may be dry"}
      </figcaption>
      <Chart
        type="line"
        height={HEIGHT}
        options={options}
        series={[
          { name: "the curve", data: line(({ typical }) => typical) },
          { name: "at least", data: line(({ from }) => from) },
          { name: "at most", data: line(({ to }) => to) },
          { name: "weighed", data: weighings.map(({ at, g }) => ({ x: at, y: shown(g) })) },
        ]}
        says={says}
      />
    </figure>
  );
}
