import type { ZoneGroup } from "#core/coating/alike-zones";
import type { Step } from "#core/coating/plan";
import { sayDuration } from "#core/units/duration";
import type { Menu } from "#core/catalogue/menu";
import { stepTitle, zoneNames } from "./words";

const COLUMN = 250;
const GAP = 18;
const TOP = 14;
const FOOT = 66;
const LABEL = 26;
/** A wait of this many minutes or more is drawn as a gap: a night. */
const NIGHT_MIN = 8 * 60;
const NIGHT_GAP = 7;

const PALE = "#f8f5ec";
const CLEAR = "#dfe9ea";

/**
 * Height of a band: logarithmic in the dry film, so that a thin varnish still shows and a poured resin does not fill the
 * page. 10 µm → 15, 50 µm → 24, 1 600 µm → 42.
 */
function bandHeight(step: Step): number {
  const dry = step.marks ? step.marks.heightMm * 400 : (step.dryMicrons ?? 8) * step.coats;
  return Math.min(46, 8 + 7 * Math.log10(1 + dry) * 1.5);
}

function bandColour(step: Step, menu: Menu): string {
  if (step.colour !== undefined) return step.colour;
  const jobs = menu.products.find((one) => one.id === step.product)?.jobs ?? [];
  if (jobs.includes("white-ground") || jobs.includes("fill")) return PALE;
  return jobs.includes("decorate") || jobs.includes("colour") ? "#c9b37e" : CLEAR;
}

function inkOn(colour: string): string {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16)) as [number, number, number];
  return r * 0.299 + g * 0.587 + b * 0.114 > 140 ? "#1d2225" : "#ffffff";
}

function isBand(step: Step, menu: Menu): boolean {
  return menu.products.some((one) => one.id === step.product && !one.aid);
}

interface Band {
  readonly step: Step;
  readonly y: number;
  readonly height: number;
  readonly gapMin: number;
}

/** Stacks a column's bands from the body up; a night's wait leaves a gap. */
function stacked(group: ZoneGroup, menu: Menu, floor: number): readonly Band[] {
  let y = floor;
  let waited = 0;
  const bands: Band[] = [];
  for (const step of group.steps) {
    waited += step.waitBefore?.min ?? 0;
    if (!isBand(step, menu)) continue;
    const gapMin = bands.length > 0 && waited >= NIGHT_MIN ? waited : 0;
    const height = bandHeight(step);
    y -= height + (gapMin > 0 ? NIGHT_GAP : 1.5);
    bands.push({ step, y, height, gapMin });
    waited = 0;
  }
  return bands;
}

function columnHeight(group: ZoneGroup, menu: Menu): number {
  return stacked(group, menu, 0).reduce((least, band) => Math.min(least, band.y), 0) * -1;
}

function Texture({ id, texture, colour }: { id: string; texture: string; colour: string }) {
  const ink = inkOn(colour);
  return (
    <pattern id={id} width="28" height="22" patternUnits="userSpaceOnUse">
      <rect width="28" height="22" fill={colour} />
      <g fill={ink} stroke={ink} opacity="0.28" strokeWidth="0.8">
        {texture === "pores" &&
          [
            [4, 5],
            [15, 3],
            [22, 12],
            [9, 15],
            [18, 19],
          ].map(([x, y]) => <circle key={`${x}-${y}`} cx={x} cy={y} r="1.3" stroke="none" />)}
        {texture === "pitted" &&
          [
            [6, 6, 3],
            [20, 14, 4],
            [12, 18, 2],
          ].map(([x, y, r]) => <ellipse key={`${x}-${y}`} cx={x} cy={y} rx={r} ry={r! / 1.8} stroke="none" />)}
        {texture === "grain" && <path d="M0 4q7-3 14 0t14 0M0 11q7 3 14 0t14 0M0 18q7-2 14 0t14 0" fill="none" />}
        {texture === "glaze" && <path d="M0 1.5h28M0 3.5h28" fill="none" />}
        {texture === "glass" && <path d="M2 20L14 2M12 22L26 4" fill="none" />}
        {texture === "dense" &&
          [
            [7, 8],
            [20, 16],
          ].map(([x, y]) => <circle key={`${x}-${y}`} cx={x} cy={y} r="0.9" stroke="none" />)}
      </g>
    </pattern>
  );
}

/** Marks as domes along the band, pen lines as strokes, a field as a plain band; sprayed edges are dotted. */
function BandShape({ band, x, width, fill }: { band: Band; x: number; width: number; fill: string }) {
  const { step, y, height } = band;
  const edge = { stroke: "#1d2225", strokeOpacity: 0.45, strokeWidth: 1 } as const;
  if (step.marks) {
    const count = 9;
    const r = width / count / 2.3;
    return (
      <g fill={fill} {...edge}>
        {Array.from({ length: count }, (_unused, index) => {
          const cx = x + (width / count) * (index + 0.5);
          return <path key={index} d={`M${cx - r} ${y + height}a${r} ${height} 0 0 1 ${2 * r} 0z`} />;
        })}
      </g>
    );
  }
  const partial = step.role === "decorate" && (step.coverage ?? 1) < 0.9;
  if (partial) {
    return (
      <g fill={fill} {...edge}>
        {[0.03, 0.37, 0.71].map((at) => (
          <rect key={at} x={x + width * at} y={y} width={width * 0.26} height={height} rx="2" />
        ))}
      </g>
    );
  }
  return (
    <>
      <rect x={x} y={y} width={width} height={height} rx="2" fill={fill} {...edge} strokeDasharray={step.method === "spray" ? "1 3" : undefined} />
      {step.sheen === "gloss" && <rect x={x + 4} y={y + 2.5} width={width - 8} height="2" fill="#ffffff" opacity="0.75" />}
      {Array.from({ length: step.coats - 1 }, (_unused, index) => (
        <path
          key={index}
          d={`M${x + width * 0.72} ${y + (height * (index + 1)) / step.coats}h${width * 0.28}`}
          stroke="#1d2225"
          strokeOpacity="0.25"
          strokeDasharray="5 3"
        />
      ))}
    </>
  );
}

/**
 * The piece cut through: its body at the bottom, zones side by side, each coat a band in its colour. A band leads to its
 * step; the number on it is the step's own.
 */
export function CoatSection({
  groups,
  menu,
  material,
  bare,
  numbers,
}: {
  groups: readonly ZoneGroup[];
  menu: Menu;
  material: string;
  bare: readonly string[];
  numbers: ReadonlyMap<string, number>;
}) {
  const body = menu.materials.find((one) => one.id === material);
  const colour = body?.colour ?? "#999999";
  const columns = groups.length + (bare.length > 0 ? 1 : 0);
  const width = columns * COLUMN + (columns - 1) * GAP;
  const tallest = Math.max(60, ...groups.map((group) => columnHeight(group, menu)));
  const floor = TOP + tallest;
  const height = floor + FOOT + LABEL;
  return (
    <figure className="m-0 overflow-x-auto rounded-xl border-2 border-line bg-sheet p-3" tabIndex={0} aria-label="Coat section">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        style={{ minWidth: `${columns * 130}px`, maxHeight: "24rem" }}
        className="block w-full"
        role="group"
        aria-label="The piece cut through, coat by coat from the body up"
      >
        <defs>
          <Texture id="body-texture" texture={body?.texture ?? "dense"} colour={colour} />
          <pattern id="leave-alone" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0v9" stroke="var(--soft)" strokeWidth="2" />
          </pattern>
        </defs>
        {groups.map((group, column) => {
          const x = column * (COLUMN + GAP);
          return (
            <g key={group.zones.join("+")}>
              <rect x={x} y={floor} width={COLUMN} height={FOOT} fill="url(#body-texture)" stroke="var(--ink)" strokeWidth="1.5" />
              {stacked(group, menu, floor).map((band) => {
                const fill = bandColour(band.step, menu);
                const title = stepTitle(band.step, menu);
                const middle = band.y + band.height / 2 + 4.5;
                return (
                  <a key={band.step.id} href={`#step-${band.step.id}`} aria-label={`Step ${numbers.get(band.step.id)}, ${zoneNames(group.zones)}: ${title}`}>
                    {band.gapMin > 0 && <title>{`${title}, after ${sayDuration(band.gapMin)}`}</title>}
                    <BandShape band={band} x={x} width={COLUMN} fill={fill} />
                    {band.step.marks ? null : (
                      <text
                        x={x + 8}
                        y={middle}
                        fontSize="13"
                        fontWeight="600"
                        fill={band.step.role === "decorate" && (band.step.coverage ?? 1) < 0.9 ? "none" : inkOn(fill)}
                      >
                        {numbers.get(band.step.id)} · {(menu.products.find((one) => one.id === band.step.product)?.name ?? "").slice(0, 30)}
                      </text>
                    )}
                    {band.gapMin > 0 && <path d={`M${x} ${band.y + band.height + NIGHT_GAP / 2}h${COLUMN}`} stroke="var(--soft)" strokeDasharray="2 5" />}
                  </a>
                );
              })}
              <text x={x + COLUMN / 2} y={floor + FOOT + 19} textAnchor="middle" fontSize="15" fill="var(--ink)">
                {zoneNames(group.zones).length > 34 ? `${zoneNames(group.zones.slice(0, 1))} and ${group.zones.length - 1} more alike` : zoneNames(group.zones)}
              </text>
            </g>
          );
        })}
        {bare.length > 0 && (
          <g>
            <rect x={groups.length * (COLUMN + GAP)} y={floor} width={COLUMN} height={FOOT} fill="url(#body-texture)" stroke="var(--ink)" strokeWidth="1.5" />
            <rect x={groups.length * (COLUMN + GAP)} y={floor - 22} width={COLUMN} height="20" fill="url(#leave-alone)" />
            <text x={groups.length * (COLUMN + GAP) + COLUMN / 2} y={floor + FOOT + 19} textAnchor="middle" fontSize="15" fill="var(--ink)">
              Stays bare: {bare.join(", ").toLowerCase()}
            </text>
          </g>
        )}
      </svg>
    </figure>
  );
}
