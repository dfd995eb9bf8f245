import type { ReactNode } from "react";

/** Marks of each way of decorating, drawn for this app: what it leaves on the piece. */
const TECHNIQUE_GLYPHS: Readonly<Record<string, ReactNode>> = {
  solid: <rect x="4" y="7" width="24" height="18" rx="3" fill="currentColor" stroke="none" />,
  dots: [
    [8, 12, 3.4],
    [17, 10, 3.4],
    [25, 14, 3.4],
    [12, 21, 3.4],
    [21, 23, 3.4],
  ].map(([x, y, r]) => <circle key={x} cx={x} cy={y} r={r} fill="currentColor" stroke="none" />),
  "walked-dots": [
    [6, 17, 4.5],
    [14, 16, 3.5],
    [20.5, 15.5, 2.6],
    [25.5, 15.2, 1.8],
    [29, 15, 1.1],
  ].map(([x, y, r]) => <circle key={x} cx={x} cy={y} r={r} fill="currentColor" stroke="none" />),
  swipes: <path d="M5 22c4-10 9-12 12-10-5 2-8 6-9 11zM17 22c3-9 7-11 11-9-4 1-7 5-8 10z" fill="currentColor" />,
  "freehand-brush": <path d="M5 23c7-1 4-13 11-13s4 10 11 4" strokeWidth="3.5" />,
  blended: <path d="M4 10h24M4 14h24M4 18h24M4 22h24" strokeDasharray="9 2 4 2 2 2 1 3" strokeWidth="3" />,
  swirled: <path d="M16 17c0-2 3-2 3 0s-3 4-6 2-3-8 3-8 9 5 7 9-8 6-12 3" strokeWidth="2.4" />,
  bands: <path d="M4 10h24M4 16h24M4 22h24" strokeWidth="3.6" />,
  stencil: <path d="M4 6h24v20H4zM10 16l6-6 6 6-6 6z" strokeWidth="2" />,
  "sponge-dots": [
    [9, 12],
    [20, 11],
    [14, 21],
    [25, 21],
  ].map(([x, y]) => <circle key={x} cx={x} cy={y} r="4.4" strokeWidth="2.6" strokeDasharray="2 1.6" />),
  lettering: <path d="M5 24l6-16 6 16M7.5 18h7M20 24v-9M20 19c0-4 7-4 7 1s-7 5-7 1" strokeWidth="2.4" />,
  outline: <path d="M6 20c-1-8 6-13 12-11s9 8 6 12-16 6-18-1z" strokeWidth="2" />,
  "loose-glitter": <path d="M8 8v6M5 11h6M20 6v8M16 10h8M24 20v6M21 23h6M11 20v6M8 23h6" strokeWidth="1.8" />,
  "effect-powder": <path d="M6 22c4-9 16-9 20 0z" fill="currentColor" fillOpacity="0.45" strokeDasharray="1.5 2.5" strokeWidth="2.4" />,
  "metallic-wash": <path d="M4 20c4-8 8 4 12-4s8 2 12-5M4 25c4-6 8 3 12-3s8 2 12-4" strokeWidth="2" />,
  "raised-line": <path d="M4 22q6-12 12-4t12-6" strokeWidth="5" />,
  crystals: <path d="M10 8l5 5-5 6-5-6zM22 13l5 5-5 6-5-6z" strokeWidth="1.8" />,
};

/** What a way of decorating leaves behind. */
export function TechniqueGlyph({ id }: { id: string }) {
  return (
    <svg
      viewBox="0 0 32 32"
      width="32"
      height="32"
      aria-hidden
      fill="none"
      stroke="currentColor"
      strokeLinecap="round"
      strokeLinejoin="round"
      className="shrink-0"
    >
      {TECHNIQUE_GLYPHS[id] ?? TECHNIQUE_GLYPHS.solid}
    </svg>
  );
}
