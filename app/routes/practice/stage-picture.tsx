import type { ReactNode } from "react";
import type { Practice } from "#core/marking/practice";

/** The ground, cut through. */
const GROUND = <rect key="ground" x="4" y="78" width="152" height="10" rx="2" fill="var(--line)" stroke="var(--ink)" strokeWidth="0.8" />;
const paint = (d: string) => <path key={d} d={d} fill="var(--ready)" stroke="var(--ink)" strokeWidth="0.8" />;
/** A tool with its tip at a point. */
const tool = (x: number, y: number, tilt = 0) => (
  <g key={`tool${x}${y}`} transform={`translate(${x} ${y}) rotate(${tilt})`}>
    <path d="M-2.5 -64H2.5L2 -9H-2Z" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="0.8" />
    <circle cx="0" cy="-5" r="5" fill="var(--soft)" stroke="var(--ink)" strokeWidth="0.8" />
  </g>
);
const brush = (x: number, y: number, tilt = 0, spread = 4) => (
  <g key={`brush${x}${y}`} transform={`translate(${x} ${y}) rotate(${tilt})`}>
    <path d="M-2.5 -70H2.5L3 -26H-3Z" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="0.8" />
    <path
      d={`M-3 -26H3C${spread + 2} -14 ${spread} -6 0 0C-${spread} -6 -${spread + 2} -14 -3 -26Z`}
      fill="var(--soft)"
      stroke="var(--ink)"
      strokeWidth="0.8"
    />
  </g>
);
const arrow = (d: string) => <path key={d} d={d} fill="none" stroke="var(--act)" strokeWidth="2" strokeLinecap="round" strokeLinejoin="round" />;
const dome = (x: number, r: number) => paint(`M${x - r} 78C${x - r} ${78 - r * 0.9} ${x + r} ${78 - r * 0.9} ${x + r} 78Z`);
const seen = (d: string, width = 5) => (
  <path key={d} d={d} fill="none" stroke="var(--ready)" strokeWidth={width} strokeLinecap="round" strokeLinejoin="round" />
);
const faint = (d: string) => <path key={d} d={d} fill="none" stroke="var(--soft)" strokeWidth="1" strokeDasharray="3 3" />;

const STAGES: Readonly<Record<Practice["ruled"], readonly [ReactNode, ReactNode, ReactNode, ReactNode]>> = {
  dots: [
    [paint("M40 88V70H120V88Z"), tool(80, 80), arrow("M104 40V62M98 56L104 62L110 56")],
    [GROUND, tool(80, 78), arrow("M104 40V66M98 60L104 66L110 60")],
    [GROUND, dome(80, 16), tool(80, 76), arrow("M60 70H48M52 66L48 70L52 74M100 70H112M108 66L112 70L108 74")],
    [GROUND, dome(80, 18), tool(80, 46), arrow("M104 66V40M98 46L104 40L110 46")],
  ],
  walk: [
    [paint("M40 88V70H120V88Z"), tool(80, 82)],
    [GROUND, dome(34, 16), tool(34, 70)],
    [GROUND, dome(34, 16), dome(68, 12), tool(68, 72), arrow("M84 60H100M95 55L100 60L95 65")],
    [GROUND, dome(30, 16), dome(62, 12), dome(86, 9), dome(104, 7), dome(118, 5), tool(132, 60), arrow("M132 50V40")],
  ],
  swipes: [
    [GROUND, dome(48, 18), tool(48, 50)],
    [GROUND, dome(48, 18), <path key="n" d="M48 74L52 20" stroke="var(--ink)" strokeWidth="1.6" />],
    [seen("M40 48C60 44 84 50 104 46", 10), <circle key="h" cx="40" cy="48" r="12" fill="var(--ready)" />, arrow("M72 66H112M106 61L112 66L106 71")],
    [paint("M28 48C28 32 52 32 60 42C84 48 112 46 140 40C112 54 84 56 58 56C50 64 28 62 28 48Z"), arrow("M126 34L142 22M135 22H142V29")],
  ],
  lines: [
    [paint("M44 88C44 74 116 74 116 88Z"), brush(80, 84)],
    [faint("M16 60H144"), seen("M20 60H34", 3), brush(34, 58, 18)],
    [faint("M16 60H144"), seen("M20 60H84", 7), brush(84, 58, 22, 7), arrow("M92 78H128M122 73L128 78L122 83")],
    [paint("M20 60C50 52 104 52 140 60C104 66 50 66 20 60Z"), brush(140, 44, 26)],
  ],
  letters: [
    [faint("M10 28H150M10 68H150")],
    [
      faint("M10 28H150M10 68H150"),
      <text key="w" x="80" y="68" fontSize="48" textAnchor="middle" fill="none" stroke="var(--soft)" fontFamily="serif">
        e
      </text>,
      arrow("M80 84V76M76 80L80 76L84 80"),
    ],
    [faint("M10 28H150M10 68H150"), seen("M52 28L44 68M84 28L76 68M116 28L108 68"), arrow("M132 32L126 62M122 56L126 62L132 58")],
    [
      <text key="w" x="80" y="68" fontSize="52" textAnchor="middle" fill="var(--ready)" fontFamily="serif">
        Tea
      </text>,
    ],
  ],
  fields: [
    [faint("M20 20H140V76H20Z"), seen("M40 48H60", 12), brush(60, 46, 20, 6)],
    [faint("M20 20H140V76H20Z"), seen("M24 34H136", 12), brush(136, 34, 24, 6), arrow("M60 34H100M94 29L100 34L94 39")],
    [faint("M20 20H140V76H20Z"), seen("M26 30H134M26 42H134", 13), brush(60, 46, 20, 6)],
    [<rect key="f" x="20" y="20" width="120" height="56" fill="var(--ready)" />, arrow("M32 48H128M121 42L128 48L121 54")],
  ],
};

/** A stage of a stroke, as it looks from the side or from above. */
export function StagePicture({ ruled, stage }: { ruled: Practice["ruled"]; stage: number }) {
  return (
    <svg viewBox="0 0 160 92" className="w-full" aria-hidden>
      {STAGES[ruled][stage]}
    </svg>
  );
}
