import { lazy, Suspense } from "react";
import type { ComponentType } from "react";
import type { ApexOptions } from "apexcharts";
import { getNonce } from "get-nonce";

interface ChartProps {
  readonly type: "line" | "bar" | "rangeBar";
  readonly height: number;
  readonly options: ApexOptions;
  readonly series: readonly {
    readonly name: string;
    readonly data:
      readonly number[] | readonly { readonly x: string; readonly y: readonly [number, number] }[] | readonly { readonly x: number; readonly y: number }[];
  }[];
}

/** The chart's code, fetched when a chart is first looked at: it is as heavy as the rest of the page. */
const LoadedChart = lazy(async () => {
  const loaded = (await import("react-apexcharts")).default as unknown as { readonly default?: unknown };
  return { default: (loaded.default ?? loaded) as ComponentType<ChartProps> };
});

/** A chart in the colours of the page; its room is kept while it is fetched. @param options beside those every chart has; `chart` is none of them */
export function Chart({ says, options, stacked = false, ...chart }: ChartProps & { readonly says: string; readonly stacked?: boolean }) {
  const nonce = getNonce();
  const all: ApexOptions = {
    chart: {
      stacked,
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
      fontFamily: "inherit",
      foreColor: "var(--soft)",
      ...(nonce === undefined ? {} : { nonce }),
    },
    grid: { borderColor: "var(--line)" },
    tooltip: { enabled: false },
    ...options,
  };
  return (
    <div style={{ minHeight: chart.height }} role="img" aria-label={says}>
      <Suspense fallback={null}>
        <LoadedChart {...chart} options={all} />
      </Suspense>
    </div>
  );
}
