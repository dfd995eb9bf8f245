import { steady } from "../colours";
import type { Band } from "./bands";

/** In the ink of the page: a dark coat keeps its edge in the evening too. */
const EDGE = { stroke: "var(--ink)", strokeOpacity: 0.5, strokeWidth: 1 } as const;
const STROKE_SPACING = 13;
const DOT_COUNT = 5;
/** A mark this wide is drawn as a block of the field it covers, not as a line. */
const PATCHES = [0.03, 0.37, 0.71];

interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A film's outline with the edge its tool leaves: a brush waves, a sponge scallops, a pour runs round and flat. */
function outline({ x, y, width, height }: Place, method: string, seed: string): string {
  if (method === "pour") {
    const r = Math.min(9, height / 2);
    return `M${x} ${y + height}v${-(height - r)}q0 ${-r} ${r} ${-r}h${width - 2 * r}q${r} 0 ${r} ${r}v${height - r}z`;
  }
  const count = Math.round(width / STROKE_SPACING);
  const stepX = width / count;
  const points = Array.from({ length: count }, (_unused, index) => {
    const lift = method === "spray" ? 0 : method === "sponge" ? 3 : (steady(seed, index) - 0.5) * 2.6;
    return method === "sponge" ? `q${stepX / 2} ${-lift} ${stepX} 0` : `q${stepX / 2} ${-lift} ${stepX} 0`;
  });
  return `M${x} ${y + height}V${y}${points.join("")}V${y + height}z`;
}

function Dots({ band, place }: { band: Band; place: Place }) {
  const { x, y, width, height } = place;
  const swipes = band.step.technique === "swipes";
  const r = width / DOT_COUNT / 2.35;
  return (
    <g fill={band.fill} {...EDGE}>
      {Array.from({ length: DOT_COUNT }, (_unused, index) => {
        const shrink = band.step.technique === "walked-dots" ? 1 - (index % 3) * 0.25 : 1;
        const cx = x + (width / DOT_COUNT) * (index + 0.5);
        const [rx, ry] = [r * shrink, height * shrink];
        if (swipes)
          return <path key={index} d={`M${cx - rx} ${y + height}q${rx * 0.3} ${-ry * 1.3} ${rx} ${-ry * 0.8}q${rx} ${ry * 0.4} ${rx} ${ry * 0.8}z`} />;
        return <path key={index} d={`M${cx - rx} ${y + height}a${rx} ${ry} 0 0 1 ${2 * rx} 0z`} />;
      })}
    </g>
  );
}

/** Loose things lie about: glitter and powder as flakes, crystals as cut stones. */
function Flakes({ band, place }: { band: Band; place: Place }) {
  const { x, y, width, height } = place;
  const size = band.step.technique === "crystals" ? 5 : 2.6;
  return (
    <g fill={band.fill} {...EDGE} strokeWidth={0.7}>
      {Array.from({ length: 13 }, (_unused, index) => {
        const cx = x + 6 + (width - 12) * ((index + steady(band.step.id, index)) / 13);
        const cy = y + height - size - steady(band.step.id, index + 40) * (height - 2 * size);
        return <path key={index} d={`M${cx} ${cy - size}l${size} ${size}l${-size} ${size}l${-size} ${-size}z`} />;
      })}
    </g>
  );
}

/** A pen's or a fine brush's line, seen end on. */
function Lines({ band, place }: { band: Band; place: Place }) {
  const { x, y, width, height } = place;
  return (
    <g fill={band.fill} {...EDGE}>
      {Array.from({ length: 7 }, (_unused, index) => (
        <rect key={index} x={x + (width / 7) * (index + 0.3)} y={y + height * 0.3} width={width / 20} height={height * 0.7} rx={2} />
      ))}
    </g>
  );
}

function Field({ band, place, at }: { band: Band; place: Place; at: string }) {
  const { step, fill } = band;
  const { x, y, width, height } = place;
  const path = outline(place, step.method, step.id);
  const striae = step.method === "brush" ? Math.max(1, Math.round(height / 9)) : 0;
  return (
    <>
      <path d={path} fill={fill} {...EDGE} strokeDasharray={step.method === "spray" ? "1.5 3" : undefined} />
      {Array.from({ length: striae }, (_unused, index) => {
        const from = steady(step.id, index) * 0.3;
        const line = y + (height * (index + 0.7)) / (striae + 0.4);
        return <path key={index} d={`M${x + width * from} ${line}q${width * 0.25} 1.6 ${width * 0.55} 0`} fill="none" stroke="#1d2225" strokeOpacity="0.16" />;
      })}
      {step.method === "spray" &&
        Array.from({ length: 20 }, (_unused, index) => (
          <circle key={index} cx={x + (width * index) / 20 + 2} cy={y - 1 + steady(step.id, index) * height} r={0.9} fill="#1d2225" fillOpacity="0.3" />
        ))}
      {step.sheen === "matte" && <path d={path} fill={`url(#${at}-matte)`} />}
      {step.sheen === "satin" && <path d={path} fill={`url(#${at}-satin)`} />}
      {step.sheen === "gloss" && (
        <g fill="#ffffff">
          <rect x={x + 4} y={y + 2.5} width={width - 8} height={2.4} rx={1.2} opacity="0.95" />
          <path d={`M${x + width * 0.86} ${y + 2}h12l-8 ${height - 4}h-12z`} opacity="0.45" />
        </g>
      )}
      {Array.from({ length: step.coats - 1 }, (_unused, index) => (
        <path key={index} d={`M${x} ${y + (height * (index + 1)) / step.coats}h${width}`} stroke="#1d2225" strokeOpacity="0.4" strokeDasharray="2 3" />
      ))}
    </>
  );
}

/** One film as its tool leaves it. Marks are domes, lines and blocks; a field is a band with its sheen and its coats. */
export function FilmShape({ band, x, width, at }: { band: Band; x: number; width: number; at: string }) {
  const place = { x, y: band.y, width, height: band.height };
  const { step } = band;
  if (step.marks) return <Dots band={band} place={place} />;
  if (["loose-glitter", "effect-powder", "crystals"].includes(step.technique ?? "")) return <Flakes band={band} place={place} />;
  const coverage = step.role === "decorate" ? (step.coverage ?? 1) : 1;
  if (coverage < 0.15) return <Lines band={band} place={place} />;
  if (coverage < 0.9)
    return PATCHES.map((from) => (
      <Field key={from} band={band} at={at} place={{ ...place, x: x + width * from, width: width * Math.min(0.3, coverage * 0.7) }} />
    ));
  return <Field band={band} place={place} at={at} />;
}

/** Whether a sign set on the band stands on its colour, or over gaps. */
export function isSolid(band: Band): boolean {
  return band.kind === "film" && !band.step.marks && (band.step.role !== "decorate" || (band.step.coverage ?? 1) >= 0.9);
}
