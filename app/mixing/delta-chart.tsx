import type { ApexOptions } from "apexcharts";
import type { AfterCoats } from "#core/film/hide";
import { SOLID_BELOW } from "#core/film/hiding";
import { Chart } from "~/components/chart";

/** Beyond this difference nobody asks how far it is. */
const TOP = 12;

/** What stands at the side: differences as the eye takes them. */
const TICKS: Readonly<Record<number, string>> = { 0: "none", 4: "slight", 8: "clear", 12: "strong" };

/** How far each coat still is from the full colour, with the line under which it looks solid. */
export function DeltaChart({ perCoat }: { perCoat: readonly AfterCoats[] }) {
  const coats = perCoat.map(({ coats: one }) => String(one));
  const options: ApexOptions = {
    colors: ["var(--act)"],
    stroke: { width: 3, curve: "straight" },
    markers: { size: 5 },
    xaxis: { categories: coats, title: { text: "coats" }, axisBorder: { color: "var(--line)" } },
    yaxis: { min: 0, max: TOP, tickAmount: 3, labels: { formatter: (value) => TICKS[Math.round(value)] ?? "" } },
    annotations: {
      yaxis: [
        {
          y: SOLID_BELOW,
          borderColor: "var(--ready)",
          strokeDashArray: 4,
          label: {
            text: "looks solid below",
            position: "right",
            textAnchor: "end",
            offsetX: -6,
            style: { background: "transparent", color: "var(--ready)" },
            borderColor: "transparent",
          },
        },
      ],
    },
    legend: { show: false },
  };
  const says = perCoat.map(({ coats: one, deltaE }) => `${one}: ${deltaE.toFixed(1)}`).join(", ");
  return (
    <figure className="m-0">
      <figcaption>How far each coat still is from the full colour</figcaption>
      <Chart
        type="line"
        height={230}
        options={options}
        series={[{ name: "off the full colour", data: perCoat.map(({ deltaE }) => Math.min(TOP, deltaE)) }]}
        says={`Difference from the full colour by coats: ${says}. It looks solid below ${SOLID_BELOW}.`}
      />
    </figure>
  );
}
