import type { ApexOptions } from "apexcharts";
import type { Step } from "#core/coating/model/step";
import { days, hours, MIN_PER_DAY, sayDurationRange } from "#core/units/duration";
import { Chart } from "~/components/chart";

interface Range {
  readonly stage: string;
  readonly fromMin: number;
  readonly toMin: number;
}

/** Stages of a coat, each as it usually is and as a careful painter waits; what is nothing yet is left out. */
export function rangesOf({ typical, cautious }: Pick<Step, "typical" | "cautious">): readonly Range[] {
  if (!typical || !cautious) return [];
  const stages: readonly (readonly [string, number, number])[] = [
    ["dry to the touch", typical.touchDry, cautious.touchDry],
    ["next coat", typical.recoatFrom, cautious.recoatFrom],
    ["takes tape", typical.dryHard, cautious.dryHard],
    ["dry right through", typical.dryThrough, cautious.dryThrough],
    ["hard for good", (typical.cureDays ?? 0) * MIN_PER_DAY, (cautious.cureDays ?? 0) * MIN_PER_DAY],
  ];
  return stages.flatMap(([stage, one, other]) => (one > 0 ? [{ stage, fromMin: one, toMin: Math.max(one, other) }] : []));
}

/** Times that are marked, minutes: minutes and weeks go on one axis, each tenfold as wide as the last. */
const MARKED = [
  [hours(1), "1 h"],
  [days(1), "1 day"],
  [days(7), "1 week"],
] as const;
/** A range that is none is drawn as wide as this, in tenfolds. */
const LEAST_WIDE = 0.03;

/** How a coat dries here, stage by stage, from minutes to weeks. */
export function DryingRanges({ step }: { step: Pick<Step, "typical" | "cautious"> }) {
  const ranges = rangesOf(step);
  if (ranges.length === 0) return null;
  const tenfold = (min: number) => Math.log10(Math.max(1, min));
  const options: ApexOptions = {
    colors: ["var(--act)"],
    plotOptions: { bar: { horizontal: true, barHeight: "55%", borderRadius: 2 } },
    dataLabels: { enabled: false },
    legend: { show: false },
    xaxis: {
      min: Math.floor(tenfold(ranges[0]!.fromMin)),
      max: Math.ceil(tenfold(ranges.at(-1)!.toMin)),
      labels: { show: false },
      axisTicks: { show: false },
      axisBorder: { color: "var(--line)" },
    },
    yaxis: { labels: { style: { fontSize: "13px" } } },
    grid: { xaxis: { lines: { show: false } }, yaxis: { lines: { show: false } }, borderColor: "var(--line)", padding: { top: 16 } },
    annotations: {
      xaxis: MARKED.map(([min, text]) => ({
        x: tenfold(min),
        borderColor: "var(--soft)",
        label: {
          text,
          orientation: "horizontal",
          offsetY: -12,
          style: { color: "var(--soft)", background: "transparent", fontSize: "13px" },
          borderColor: "transparent",
        },
      })),
    },
  };
  const data = ranges.map(({ stage, fromMin, toMin }) => ({
    x: stage,
    y: [tenfold(fromMin), Math.max(tenfold(toMin), tenfold(fromMin) + LEAST_WIDE)] as const,
  }));
  const says = ranges.map(({ stage, fromMin, toMin }) => `${stage} ${sayDurationRange(fromMin, toMin)}`).join("; ");
  return <Chart type="rangeBar" height={210} options={options} series={[{ name: "from usual to careful", data }]} says={`How it dries here: ${says}.`} />;
}
