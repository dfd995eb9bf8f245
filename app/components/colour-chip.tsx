import { SHEEN_WORDS } from "#core/catalogue/vocabulary";
import type { Sheen } from "#core/catalogue/vocabulary";

/** A dab of colour in its sheen: matt is grainy, satin soft, gloss has a window in it. */
export function ColourChip({ colour, sheen, size = 24 }: { colour: string; sheen?: Sheen | undefined; size?: number }) {
  return (
    <svg
      viewBox="0 0 24 24"
      width={size}
      height={size}
      role="img"
      aria-label={`colour ${colour}${sheen ? `, ${SHEEN_WORDS[sheen]}` : ""}`}
      className="inline shrink-0 align-text-bottom"
    >
      <path d="M2 12C2 5 6 2 12 2s10 3 10 10-4 10-10 10S2 19 2 12z" fill={colour} stroke="var(--ink)" strokeWidth="1.2" />
      {sheen === "matte" && <path d="M6 8h1M11 6h1M16 9h1M8 13h1M13 12h1M17 15h1M10 18h1M6 16h1M14 17h1" stroke="#000" strokeOpacity="0.4" strokeWidth="1.3" />}
      {sheen === "satin" && <path d="M5 8c4-3 10-3 14 0" fill="none" stroke="#fff" strokeOpacity="0.6" strokeWidth="3.4" strokeLinecap="round" />}
      {sheen === "gloss" && <path d="M6 6l6-1 0 5-6 1zM13 5l3 .5 0 4.5-3 0z" fill="#fff" fillOpacity="0.95" />}
    </svg>
  );
}
