import { useId, useMemo } from "react";
import { keptFree } from "#core/marking/keep-outs";
import type { SolvedPattern, SolvedRow } from "#core/marking/solved";
import type { MarkingSurface } from "#core/marking/surface";
import { swipeOutline } from "#core/marking/swipe-outline";
import type { KeepOut } from "#core/piece/pattern";

interface Props {
  readonly surface: MarkingSurface;
  readonly solved: SolvedPattern;
  readonly guides: number;
  readonly keepOuts?: readonly KeepOut[];
  /** The ground the marks lie on. */
  readonly ground: string;
  readonly label: string;
  readonly chosen?: string | null;
  readonly choose?: (row: string) => void;
  /** Of a wall: which part of the round looks at the viewer, 0–1. */
  readonly turned?: number;
  readonly unrolled?: boolean;
  readonly small?: boolean;
  /** What is set by now of each row, by its id; nothing where it is not counted. */
  readonly set?: (row: SolvedRow) => number | null;
}

const TURN = 2 * Math.PI;
const n = (value: number) => String(Math.round(value * 1000) / 1000);

function ellipse(x: number, y: number, rx: number, ry: number): string {
  return `M${n(x - rx)} ${n(y)}a${n(rx)} ${n(ry)} 0 1 0 ${n(2 * rx)} 0a${n(rx)} ${n(ry)} 0 1 0 ${n(-2 * rx)} 0Z`;
}

/** How a surface is seen: where a point of it lies in the drawing, and how much a dot there is foreshortened; null of what is behind. */
interface View {
  readonly box: readonly [number, number, number, number];
  readonly outline: string;
  readonly spot: (share: number, level: number, diameterMm: number, flat: readonly [number, number]) => string | null;
  /** A point of the surface; null of what is behind. */
  readonly point: (share: number, level: number, flat: readonly [number, number]) => readonly [number, number] | null;
  readonly ring: (level: number) => string;
  readonly guide: (share: number) => string;
}

const STEPS = 96;

function through(points: readonly (readonly [number, number])[], closed: boolean): string {
  return `${points.map(([x, y], k) => `${k === 0 ? "M" : "L"}${n(x)} ${n(y)}`).join("")}${closed ? "Z" : ""}`;
}

function topView(surface: MarkingSurface): View {
  const [w, h] = [surface.widthMm / 2, surface.heightMm / 2];
  const ring = (level: number) => {
    const line = surface.ring(level);
    if (line.circleMm !== null) return ellipse(0, 0, line.circleMm, line.circleMm);
    return through(
      Array.from({ length: STEPS * 2 }, (_unused, k) => line.at(k / STEPS / 2).flat).map(([x, y]) => [x, -y] as const),
      true,
    );
  };
  const edge = surface.ring(surface.to);
  const inner = surface.ring(surface.from);
  return {
    box: [-w, -h, 2 * w, 2 * h],
    outline: surface.from > 0 ? `${ring(surface.to)}${ring(surface.from)}` : ring(surface.to),
    spot: (_share, _level, diameterMm, [x, y]) => ellipse(x, -y, diameterMm / 2, diameterMm / 2),
    point: (_share, _level, [x, y]) => [x, -y],
    ring,
    guide: (share) => {
      const [x0, y0] = inner.at(share).flat;
      const [x1, y1] = edge.at(share).flat;
      return `M${n(x0)} ${n(-y0)}L${n(x1)} ${n(-y1)}`;
    },
  };
}

/** Worked out once for each level: a row has hundreds of marks at the same one. */
function byLevel<T>(work: (level: number) => T): (level: number) => T {
  const kept = new Map<number, T>();
  return (level) => {
    const here = kept.get(level);
    if (here !== undefined) return here;
    const value = work(level);
    kept.set(level, value);
    return value;
  };
}

function standingView(surface: MarkingSurface, turned: number): View {
  const profile = byLevel((level): readonly [number, number] => [surface.ring(level).lengthMm / TURN, surface.say(level).heightMm ?? level]);
  const looks = Array.from({ length: 33 }, (_unused, k) => profile(surface.from + ((surface.to - surface.from) * k) / 32));
  const widest = Math.max(...looks.map(([r]) => r));
  const [low, high] = [looks[0]![1], looks.at(-1)![1]];
  const right = looks.map(([r, h]) => [r, -h] as const);
  const left = [...looks].reverse().map(([r, h]) => [-r, -h] as const);
  return {
    box: [-widest, -high, 2 * widest, high - low],
    outline: through([...right, ...left], true),
    spot: (share, level, diameterMm) => {
      const angle = TURN * (share - turned);
      const front = Math.cos(angle);
      if (front <= 0.02) return null;
      const [r, h] = profile(level);
      return ellipse(r * Math.sin(angle), -h, (diameterMm / 2) * front, diameterMm / 2);
    },
    point: (share, level) => {
      const angle = TURN * (share - turned);
      if (Math.cos(angle) < 0) return null;
      const [r, h] = profile(level);
      return [r * Math.sin(angle), -h];
    },
    ring: (level) => {
      const [r, h] = profile(level);
      return `M${n(-r)} ${n(-h)}L${n(r)} ${n(-h)}`;
    },
    guide: (share) => {
      const angle = TURN * (share - turned);
      if (Math.cos(angle) < 0) return "";
      return through(
        looks.map(([r, h]) => [r * Math.sin(angle), -h] as const),
        false,
      );
    },
  };
}

/** A wall laid out as a strip: lines all round are as long as they are, from the middle out. */
function unrolledView(surface: MarkingSurface): View {
  const lengthAt = byLevel((level) => surface.ring(level).lengthMm);
  const at = (share: number, level: number): readonly [number, number] => [(share - 0.5) * lengthAt(level), -level];
  const rise = Array.from({ length: 17 }, (_unused, k) => surface.from + ((surface.to - surface.from) * k) / 16);
  return {
    box: [-surface.widthMm / 2, -surface.to, surface.widthMm, surface.to - surface.from],
    outline: through([...rise.map((level) => at(0, level)), ...[...rise].reverse().map((level) => at(1, level))], true),
    spot: (share, level, diameterMm) => ellipse(...at(share - Math.floor(share), level), diameterMm / 2, diameterMm / 2),
    point: (share, level) => at(share, level),
    ring: (level) => through([at(0, level), at(1, level)], false),
    guide: (share) =>
      through(
        rise.map((level) => at(share, level)),
        false,
      ),
  };
}

function viewOf(surface: MarkingSurface, turned: number, unrolled: boolean): View {
  if (surface.shape === "top") return topView(surface);
  return unrolled || !surface.round ? unrolledView(surface) : standingView(surface, turned);
}

/** Marks of one row in one colour, as one path. */
function pathsOf(row: SolvedRow, surface: MarkingSurface, view: View, set: number | null): ReadonlyMap<string, string> {
  const paths = new Map<string, string>();
  const lengthAt = byLevel((level) => Math.max(1e-6, surface.ring(level).lengthMm));
  row.marks.forEach(({ colour, spots }, index) => {
    const key = set === null || index < set ? colour : `${colour}/open`;
    let d = paths.get(key) ?? "";
    const shareOf = ([x, level]: readonly [number, number]) => (surface.shape === "wall" ? x / lengthAt(level) : 0);
    if (spots.length === 1) {
      const { flat, diameterMm } = spots[0]!;
      d += view.spot(shareOf(flat), flat[1], diameterMm, flat) ?? "";
    } else {
      const seen = swipeOutline(spots).flatMap((flat) => {
        const point = view.point(shareOf(flat), flat[1], flat);
        return point ? [point] : [];
      });
      if (seen.length > 2) d += through(seen, true);
    }
    paths.set(key, d);
  });
  return paths;
}

const NOTHING_KEPT: readonly KeepOut[] = [];

/** A place of the piece true to scale with its rows, from the side that is painted. */
export function MarkingDrawing({
  surface,
  solved,
  guides,
  keepOuts = NOTHING_KEPT,
  ground,
  label,
  chosen = null,
  choose,
  turned = 0,
  unrolled = false,
  small = false,
  set,
}: Props) {
  const view = useMemo(() => viewOf(surface, turned, unrolled), [surface, turned, unrolled]);
  const edge = useId();
  const [x, y, w, h] = view.box;
  const pad = Math.max(w, h) * (small ? 0.03 : 0.04);
  const thin = Math.max(w, h) / 500;
  const kept = useMemo(
    () =>
      keptFree(surface, keepOuts)
        .map(({ flat, diameterMm }) => view.spot(surface.shape === "wall" ? flat[0] / surface.ring(flat[1]).lengthMm : 0, flat[1], diameterMm, flat) ?? "")
        .join(""),
    [surface, keepOuts, view],
  );
  const shown = solved.rows.filter(({ refused }) => !refused);
  const picked = shown.find(({ row }) => row.id === chosen) ?? null;
  return (
    <svg
      viewBox={`${n(x - pad)} ${n(y - pad)} ${n(w + 2 * pad)} ${n(h + 2 * pad)}`}
      role="img"
      aria-label={label}
      className={small ? "block h-20 w-full" : "block max-h-[26rem] w-full"}
    >
      <clipPath id={edge}>
        <path d={view.outline} clipRule="evenodd" />
      </clipPath>
      <path d={view.outline} fill={ground} fillRule="evenodd" stroke="var(--ink)" strokeWidth={thin * 1.5} />
      {!small && guides > 1 && (
        <path
          d={Array.from({ length: guides }, (_unused, k) => view.guide(k / guides)).join("")}
          fill="none"
          stroke="#8a8a8a"
          strokeOpacity={0.75}
          strokeWidth={thin}
          strokeDasharray={`${n(thin * 4)} ${n(thin * 3)}`}
        />
      )}
      {keepOuts.length > 0 && <path d={kept} fill="none" stroke="var(--stop)" strokeWidth={thin * 1.5} strokeDasharray={`${n(thin * 2)} ${n(thin * 2)}`} />}
      {shown.map((row) => (
        <g key={row.row.id} onClick={choose && (() => choose(row.row.id))} className={choose ? "cursor-pointer" : undefined}>
          {row.marks.length === 0 && row.level !== null && (
            <path d={view.ring(row.level)} clipPath={`url(#${edge})`} fill="none" stroke={row.row.colours[0]} strokeWidth={row.row.diameterMm} />
          )}
          {[...pathsOf(row, surface, view, set ? set(row) : null)].map(([key, d]) =>
            key.endsWith("/open") ? (
              <path key={key} d={d} fill="none" stroke={key.slice(0, 7)} strokeWidth={thin * 1.2} />
            ) : (
              <path key={key} d={d} fill={key} stroke="rgb(0 0 0 / 0.35)" strokeWidth={thin * 0.6} />
            ),
          )}
        </g>
      ))}
      {picked && picked.level !== null && !small && (
        <path
          d={view.ring(picked.level)}
          fill="none"
          stroke="var(--act)"
          strokeWidth={thin * 2}
          strokeDasharray={`${n(thin * 6)} ${n(thin * 4)}`}
          pointerEvents="none"
        />
      )}
    </svg>
  );
}
