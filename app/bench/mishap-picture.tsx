import type { ReactNode } from "react";

/** A dot on the ground. */
const dot = (x: number, y: number, r = 5) => <circle key={`${x}-${y}-${r}`} cx={x} cy={y} r={r} fill="var(--ready)" stroke="var(--ink)" strokeWidth="0.8" />;
const row = (xs: readonly number[], y = 24, r = 5) => xs.map((x) => dot(x, y, r));
const line = (d: string, width = 3, colour = "var(--ready)") => (
  <path key={d} d={d} fill="none" stroke={colour} strokeWidth={width} strokeLinecap="round" strokeLinejoin="round" />
);
const field = (key = "field") => (
  <rect key={key} x="6" y="12" width="60" height="24" rx="3" fill="var(--ready)" opacity="0.55" stroke="var(--ink)" strokeWidth="0.8" />
);
const mark = (d: string) => line(d, 2, "var(--act)");
const ring = (x: number, y: number, r = 9) => (
  <circle key={`ring${x}${y}`} cx={x} cy={y} r={r} fill="none" stroke="var(--act)" strokeWidth="1.6" strokeDasharray="3 2" />
);

/** Each mishap as it looks, in a few strokes; the dashed ring is round the fault. */
const PICTURES: Readonly<Record<string, ReactNode>> = {
  "dot-misplaced": [row([12, 28, 60]), dot(44, 34), ring(44, 34)],
  "row-misplaced": [line("M6 16H66", 1, "var(--soft)"), row([12, 26, 40, 54], 32), ring(34, 32, 12)],
  "dots-merged": [row([12, 60]), dot(32, 24, 6), dot(41, 24, 6), ring(36, 24, 13)],
  bubble: [field(), <circle key="b" cx="36" cy="22" r="6" fill="var(--sheet)" stroke="var(--ink)" />, ring(36, 22, 11)],
  spike: [
    line("M6 38H66", 1, "var(--soft)"),
    <path key="s" d="M18 38C22 22 31 26 35 8C39 26 49 22 54 38Z" fill="var(--ready)" stroke="var(--ink)" strokeWidth="0.8" />,
    ring(35, 11, 8),
  ],
  "ring-gap": [0, 45, 90, 135, 180, 225, 270]
    .map((of) => dot(36 + 15 * Math.cos((of * Math.PI) / 180), 24 + 15 * Math.sin((of * Math.PI) / 180), 4))
    .concat(ring(47, 13, 7)),
  grins: [field(), line("M14 18L30 30M26 16L46 32M44 16L58 30", 3, "var(--sheet)"), ring(36, 24, 14)],
  bleed: [<path key="e" d="M6 12H40C44 15 38 18 43 21S39 26 44 29S38 33 40 36H6Z" fill="var(--ready)" />, line("M40 8V40", 1, "var(--ink)"), ring(44, 24, 10)],
  crooked: [line("M6 26C20 18 26 32 38 24S56 30 66 20", 4), ring(38, 25, 11)],
  "broken-line": [line("M6 24H28", 4), line("M44 24H66", 4), ring(36, 24, 10)],
  "skinny-dot": [row([14, 58]), <circle key="k" cx="36" cy="24" r="8" fill="none" stroke="var(--ready)" strokeWidth="4" />, ring(36, 24, 14)],
  "short-swipe": [
    <path key="a" d="M10 12C26 10 26 30 16 40C20 26 12 20 10 12Z" fill="var(--ready)" />,
    <path key="b" d="M42 12C56 11 55 20 49 24C48 18 43 17 42 12Z" fill="var(--ready)" />,
    ring(50, 32, 9),
  ],
  "too-dark": [field(), line("M14 30C20 14 30 34 40 20S56 26 58 18", 6, "var(--ink)"), ring(38, 24, 15)],
  "outline-thick": [<ellipse key="o" cx="36" cy="24" rx="20" ry="9" fill="var(--ready)" stroke="var(--ink)" strokeWidth="7" />],
  slumps: [<path key="s" d="M10 34C18 26 54 26 62 34Z" fill="var(--ready)" stroke="var(--ink)" strokeWidth="0.8" />, mark("M24 18V26M36 14V24M48 18V26")],
  disliked: [field(), row([18, 36, 54], 24, 4), mark("M10 8L62 40M62 8L10 40")],
  smeared: [row([12]), <path key="s" d="M28 24C36 14 52 18 66 12C58 24 46 34 28 24Z" fill="var(--ready)" />, ring(46, 22, 13)],
  run: [<path key="r" d="M6 8H66V18H42C42 26 44 32 38 38C31 34 34 26 34 18H6Z" fill="var(--ready)" stroke="var(--ink)" strokeWidth="0.8" />, ring(38, 34, 9)],
  "brush-lines": [field(), line("M8 17H64M8 22H64M8 27H64M8 32H64", 1.4, "var(--ink)")],
  "dust-in": [field(), line("M28 20C34 28 40 16 46 28", 1.4, "var(--ink)"), <circle key="g" cx="20" cy="28" r="1.6" fill="var(--ink)" />, ring(37, 23, 12)],
  "too-early": [field(), line("M16 30L24 18L32 31L42 17L54 30", 2, "var(--sheet)"), mark("M50 8L60 2M56 10L66 8")],
  "wrong-colour": [row([12, 28, 60]), <circle key="w" cx="44" cy="24" r="5" fill="var(--act)" stroke="var(--ink)" strokeWidth="0.8" />, ring(44, 24, 10)],
  "letter-smudge": [
    <text key="t" x="8" y="33" fontSize="26" fill="var(--ready)" fontFamily="serif">
      Tea
    </text>,
    line("M40 30C48 26 56 30 64 24", 5),
    ring(52, 28, 10),
  ],
  sticky: [
    field(),
    <path key="f" d="M30 12C30 22 42 22 42 12" fill="none" stroke="var(--ink)" strokeWidth="1" />,
    line("M32 20C33 15 39 15 40 20M30 26C33 30 39 30 42 26", 1, "var(--ink)"),
  ],
  cloudy: [field(), <path key="c" d="M18 30C12 20 24 14 30 20C34 12 50 16 48 24C56 24 54 32 46 31Z" fill="var(--sheet)" opacity="0.85" />],
  "guide-shows": [field(), line("M8 24H64", 1.6, "var(--ink)"), ring(36, 24, 9)],
  wrinkled: [field(), line("M10 20C14 14 18 26 22 20S30 26 34 20S42 26 46 20S54 26 60 20M12 30C16 24 20 34 24 29S34 34 38 29S50 34 60 29", 1.4, "var(--ink)")],
  cracked: [field(), line("M14 12L22 22L18 36M22 22L38 20L44 12M38 20L42 36M38 20L58 26L66 22M58 26L56 36", 1.2, "var(--ink)")],
  peels: [
    <path key="p" d="M6 36V16H44C52 16 52 8 46 6C58 8 60 20 50 22C46 23 48 36 48 36Z" fill="var(--ready)" stroke="var(--ink)" strokeWidth="0.8" />,
    ring(50, 12, 10),
  ],
  "stain-through": [
    field(),
    <circle key="k" cx="36" cy="24" r="8" fill="var(--act)" opacity="0.5" />,
    <circle key="j" cx="36" cy="24" r="3" fill="var(--act)" opacity="0.7" />,
  ],
  "salts-through": [
    field(),
    [16, 24, 34, 46, 56].map((x, k) => (
      <path key={x} d={`M${x} ${18 + (k % 3) * 6}l2 -5l2 5l4 0l-4 3z`} fill="var(--sheet)" stroke="var(--soft)" strokeWidth="0.6" />
    )),
  ],
  "resin-fault": [field(), [22, 38, 52].map((x) => <circle key={x} cx={x} cy={24} r="4" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="0.8" />)],
  strays: [
    row([14]),
    [30, 36, 44, 50, 58, 62].map((x, k) => <path key={x} d={`M${x} ${14 + ((k * 7) % 22)}l1.6 3l3 1l-3 1l-1.6 3l-1.6 -3l-3 -1l3 -1z`} fill="var(--act)" />),
  ],
  "came-off": [row([14, 58]), <circle key="g" cx="36" cy="24" r="6" fill="none" stroke="var(--ink)" strokeDasharray="2 2" />, ring(36, 24, 12)],
  chipped: [<path key="c" d="M6 12H50L44 20L54 22L66 26V36H6Z" fill="var(--ready)" opacity="0.6" stroke="var(--ink)" strokeWidth="0.8" />, ring(54, 18, 10)],
  "after-heat": [
    field(),
    [18, 32, 48].map((x) => <circle key={x} cx={x} cy={22} r="5" fill="var(--act)" opacity="0.6" />),
    mark("M20 46C18 42 24 42 22 38M36 46C34 42 40 42 38 38M52 46C50 42 56 42 54 38"),
  ],
};

export function MishapPicture({ id }: { id: string }) {
  return (
    <svg width="108" height="72" viewBox="0 0 72 48" aria-hidden className="shrink-0">
      {PICTURES[id] ?? field()}
    </svg>
  );
}
