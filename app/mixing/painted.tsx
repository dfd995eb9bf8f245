import { useId } from "react";
import type { Sheen } from "#core/catalogue/vocabulary";
import { inkOn, steady } from "~/components/colours";

interface Props {
  readonly colour: string;
  readonly sheen?: Sheen | undefined;
  /** What it is, for whoever listens and under the paint. */
  readonly label: string;
  readonly says?: string;
  readonly tall?: number;
}

/** A stroke with ragged ends, always the same for its words. */
function stroke(key: string): string {
  const edge = (at: number) => 3 + steady(key, at) * 7;
  const left = [0, 1, 2, 3].map((at) => `${edge(at).toFixed(1)} ${6 + at * 17}`);
  const right = [3, 2, 1, 0].map((at) => `${(100 - edge(at + 10)).toFixed(1)} ${6 + at * 17}`);
  return `M${left[0]!} C ${left.slice(1).join(", ")} L${right[0]!} C ${right.slice(1).join(", ")} Z`;
}

/** Light on a film by its sheen. */
function Shine({ sheen, fill }: { sheen: Sheen | undefined; fill: string }) {
  if (sheen === "gloss") return <path d="M12 12h76v7H12z" fill={`url(#${fill})`} />;
  if (sheen === "satin") return <path d="M12 10h76v14H12z" fill={`url(#${fill})`} opacity={0.5} />;
  return null;
}

/** A brush stroke of a colour: painted, not filled in. */
export function Painted({ colour, sheen, label, says, tall = 64 }: Props) {
  const id = useId().replace(/[^a-zA-Z0-9]/g, "");
  return (
    <figure className="m-0 min-w-0">
      <svg viewBox="0 0 100 64" preserveAspectRatio="none" width="100%" height={tall} role="img" aria-label={`${label}: colour ${colour}`} className="block">
        <defs>
          <linearGradient id={id} x1="0" x2="0" y1="0" y2="1">
            <stop offset="0" stopColor="#fff" stopOpacity="0.75" />
            <stop offset="1" stopColor="#fff" stopOpacity="0" />
          </linearGradient>
        </defs>
        <path
          d={stroke(label)}
          fill={colour}
          stroke={inkOn(colour) === "#ffffff" ? "none" : "var(--line)"}
          strokeWidth={0.8}
          vectorEffect="non-scaling-stroke"
        />
        <Shine sheen={sheen} fill={id} />
      </svg>
      <figcaption className="leading-snug">
        {label}
        {says !== undefined && <span className="block text-soft">{says}</span>}
      </figcaption>
    </figure>
  );
}

/** Strips of 1, 2, 3 … coats over a ground, the full colour at the end. */
export function Strips({
  ground,
  strips,
  full,
}: {
  ground: string;
  strips: readonly { readonly colour: string; readonly label: string; readonly says: string; readonly solid: boolean }[];
  full: string;
}) {
  return (
    <ol className="grid grid-cols-[repeat(auto-fit,minmax(4.6rem,1fr))] gap-x-1 gap-y-3" aria-label="Coats beside the full colour">
      {strips.map(({ colour, label, says, solid }) => (
        <li key={label} className="min-w-0">
          <svg viewBox="0 0 80 96" width="100%" height={96} preserveAspectRatio="none" role="img" aria-label={`${label}: ${says}`} className="block">
            <rect width={80} height={96} fill={ground} />
            <rect x={0} y={14} width={40} height={68} fill={colour} />
            <rect x={40} y={14} width={40} height={68} fill={full} />
          </svg>
          <span className={`block leading-snug ${solid ? "font-bold" : ""}`}>{label}</span>
          <span className="block text-sm leading-snug text-soft">{says}</span>
        </li>
      ))}
    </ol>
  );
}
