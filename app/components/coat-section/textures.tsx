import type { Menu } from "#core/catalogue/menu";
import { inkOn } from "../colours";

const PORES = [
  [4, 5],
  [15, 3],
  [22, 12],
  [9, 15],
  [18, 19],
] as const;
const PITS = [
  [6, 6, 3],
  [20, 14, 4],
  [12, 18, 2],
] as const;

/** The body of a piece as a fill: pores, pits, grain, glaze, glass, dense stone. */
export function Texture({ id, texture, colour }: { id: string; texture: string; colour: string }) {
  const ink = inkOn(colour);
  return (
    <pattern id={id} width="28" height="22" patternUnits="userSpaceOnUse">
      <rect width="28" height="22" fill={colour} />
      <g fill={ink} stroke={ink} opacity="0.28" strokeWidth="0.8">
        {texture === "pores" && PORES.map(([x, y]) => <circle key={`${x}-${y}`} cx={x} cy={y} r="1.3" stroke="none" />)}
        {texture === "pitted" && PITS.map(([x, y, r]) => <ellipse key={`${x}-${y}`} cx={x} cy={y} rx={r} ry={r / 1.8} stroke="none" />)}
        {texture === "grain" && <path d="M0 4q7-3 14 0t14 0M0 11q7 3 14 0t14 0M0 18q7-2 14 0t14 0" fill="none" />}
        {texture === "glaze" && <path d="M0 1.5h28M0 3.5h28" fill="none" />}
        {texture === "glass" && <path d="M2 20L14 2M12 22L26 4" fill="none" />}
        {texture === "slate" && <path d="M0 5h18M6 11h22M0 17h14" fill="none" />}
        {texture === "chalk" && PORES.map(([x, y]) => <circle key={`${x}-${y}`} cx={x} cy={y} r="0.7" stroke="none" />)}
        {texture === "ply" && <path d="M0 4h28M0 9h28M0 14h28M0 19h28" fill="none" strokeDasharray="7 2" />}
        {texture === "dense" && PORES.slice(0, 2).map(([x, y]) => <circle key={`${x}-${y}`} cx={x} cy={y} r="0.9" stroke="none" />)}
      </g>
    </pattern>
  );
}

/** Fills of the section's grammar: the body, matte grain, satin and gloss, wet, leave alone. `at` keeps ids apart on one page. */
export function Grammar({ at, menu, material }: { at: string; menu: Menu; material: string }) {
  const body = menu.materials.find((one) => one.id === material);
  return (
    <defs>
      <Texture id={`${at}-body`} texture={body?.texture ?? "dense"} colour={body?.colour ?? "#999999"} />
      <pattern id={`${at}-matte`} width="6" height="6" patternUnits="userSpaceOnUse">
        <path d="M1 1h1M4 2h1M2 4h1M5 5h1" stroke="#000" strokeOpacity="0.22" />
      </pattern>
      <linearGradient id={`${at}-satin`} x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stopColor="#fff" stopOpacity="0.5" />
        <stop offset="0.6" stopColor="#fff" stopOpacity="0.08" />
        <stop offset="1" stopColor="#000" stopOpacity="0.1" />
      </linearGradient>
      <pattern id={`${at}-wet`} width="18" height="10" patternUnits="userSpaceOnUse">
        <path d="M0 5q4.5-5 9 0t9 0" fill="none" stroke="#1b6470" strokeWidth="1.6" strokeOpacity="0.75" />
        <path d="M0 6.6q4.5-5 9 0t9 0" fill="none" stroke="#ffffff" strokeWidth="1.2" strokeOpacity="0.7" />
      </pattern>
      <pattern id={`${at}-alone`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0v8" stroke="var(--soft)" strokeWidth="1.8" />
      </pattern>
      <pattern id={`${at}-tape`} width="10" height="10" patternUnits="userSpaceOnUse" patternTransform="rotate(60)">
        <rect width="10" height="10" fill="#efe2b8" />
        <path d="M0 0v10" stroke="#b9a25a" strokeWidth="2" />
      </pattern>
    </defs>
  );
}

/** The hatching of what is left alone, as a patch beside its words. */
export function Alone({ at }: { at: string }) {
  return (
    <svg width="34" height="18" aria-hidden className="mt-1 shrink-0">
      <pattern id={`${at}-patch`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0v8" stroke="var(--soft)" strokeWidth="1.8" />
      </pattern>
      <rect width="34" height="18" fill={`url(#${at}-patch)`} stroke="var(--line)" />
    </svg>
  );
}
