import { memory } from "../catalogue/provenance";
import type { Row } from "../piece/pattern";
import { clearanceOf } from "./lay-row";
import type { Rings } from "./lay-row";
import type { Laying } from "./laying";
import { LEAST_DOT_MM, notLaid } from "./refusals";
import type { LaidRow } from "./refusals";
import { USUAL_GAP_MM } from "./ring-count";
import { lastOf } from "./row-kinds";
import { bareRow } from "./solved";
import type { MarkingFinding, PlacedMark, SolvedRow } from "./solved";
import { plainMm } from "./words";

function laid(row: Row, laying: Laying, more: Partial<SolvedRow>): LaidRow {
  const say = typeof more.level === "number" ? laying.rings.surface.say(more.level) : null;
  const result: SolvedRow = { ...bareRow(row), say, count: more.marks?.length ?? 0, ...more };
  for (const { spots } of result.marks) for (const { at, diameterMm } of spots) laying.laid.add({ at, diameterMm, row: row.id });
  return { result, notes: [] };
}

/** One dot in the middle of a top. */
export function layCentre(row: Row, laying: Laying): LaidRow {
  const { surface } = laying.rings;
  const radius = row.diameterMm / 2;
  if (surface.shape === "wall" || surface.from > 0) return notLaid(row, "not-on-this-body", "this place has no middle to set it in: begin with a row");
  if (radius > laying.outer) return notLaid(row, "over-the-edge", "it is larger than the place");
  const ring = laying.rings.at(0);
  const mark: PlacedMark = { place: 0, colour: row.colours[0]!, spots: [{ ...ring.at(0), diameterMm: row.diameterMm }] };
  if (laying.kept && clearanceOf([mark], laying.kept, 0)) return notLaid(row, "would-touch", "the middle is kept free");
  if (clearanceOf([mark], laying.laid, 0)) return notLaid(row, "would-touch", "it would touch a row before it");
  laying.edge = laying.outward ? Math.max(laying.edge, radius) : Math.min(laying.edge, laying.inner);
  return laid(row, laying, { level: 0, places: 1, marks: [mark] });
}

/** A stripe is looked at in so many points round. */
const LOOKS = 360;

const maskIt = (row: string): MarkingFinding => ({
  code: "mask-first",
  refused: false,
  row,
  message: "it runs over a place that is kept free: mask that place first",
});

/** A band or a line all round. */
export function layStripe(row: Row, laying: Laying, asked: { readonly rings: Rings; readonly level: number } | null): LaidRow {
  const radius = row.diameterMm / 2;
  const space = laying.before.length > 0 ? (row.apartMm ?? USUAL_GAP_MM.value) : (row.apartMm ?? 0);
  if (row.at && !asked) return notLaid(row, "not-on-this-body", "this place has no such measure: say it by its distance from the edge");
  const level = asked?.level ?? (laying.outward ? laying.edge + space + radius : laying.edge - space - radius);
  if (level - radius < laying.inner - 1e-9 || level + radius > laying.outer + 1e-9)
    return notLaid(row, "over-the-edge", `a stripe of ${plainMm(row.diameterMm)} mm does not go there`);
  laying.edge = laying.outward ? Math.max(laying.edge, level + radius) : Math.min(laying.edge, level - radius);
  const rings = asked?.rings ?? laying.rings;
  const stripe = laid(row, laying, { level, say: rings.surface.say(level), lengthMm: rings.at(level).lengthMm, places: 1, count: 1 });
  const { kept } = laying;
  const meets = kept && Array.from({ length: LOOKS }, (_unused, k) => rings.at(level).at(k / LOOKS)).some(({ at }) => kept.nearest(at, row.diameterMm, 0));
  return meets ? { ...stripe, notes: [...stripe.notes, maskIt(row.id)] } : stripe;
}

/** How far off the middle a top dot is set: so much of the room it has. */
const OFF_CENTRE = memory(0.6).value;

/** A smaller dot on each dot of another row, or on every second. */
export function layTopDots(row: Row, laying: Laying): LaidRow {
  const base = laying.before.findLast((one) => (row.on === undefined ? one.marks.length > 0 && one.row.kind !== "top-dots" : one.row.id === row.on));
  const dots = base?.marks.filter(({ spots }) => spots.length === 1) ?? [];
  if (dots.length === 0) return notLaid(row, "nothing-to-sit-on", "there are no dots for it to be set on");
  const step = row.everySecond ? 2 : 1;
  // Where some are left out, the turn goes on over their places.
  const gone = base!.count < base!.places;
  const under = dots.filter(({ place }, k) => (gone ? place : k) % step === 0);
  const least = Math.min(...under.map(({ spots }) => spots[0]!.diameterMm));
  if (row.diameterMm >= least)
    return notLaid(row, "larger-than-its-dot", `the dots under it are ${plainMm(least)} mm: a top dot leaves a ring of them to be seen`, {
      text: `Set it with ${plainMm(Math.max(LEAST_DOT_MM / 2, least / 2))} mm`,
      set: { diameterMm: Math.max(LEAST_DOT_MM / 2, least / 2) },
    });
  const top = laying.rings.surface.shape === "top";
  const marks = under.map(({ spots: [below] }, k): PlacedMark => {
    const [x, y] = below!.flat;
    const away = Math.hypot(x, y);
    const by = ((below!.diameterMm - row.diameterMm) / 2) * OFF_CENTRE;
    const out: readonly [number, number] = !top ? [0, 1] : away > 0 ? [x / away, y / away] : [0, 1];
    const ways = { centre: [-out[0], -out[1]], rim: out, left: [-1, 0], right: [1, 0] } as const;
    const [dx, dy] = row.towards ? ways[row.towards] : [0, 0];
    const spot = { flat: [x + dx * by, y + dy * by] as const, at: below!.at, diameterMm: row.diameterMm };
    return { place: k, colour: row.colours[k % row.colours.length]!, spots: [spot] };
  });
  const { level, say, lengthMm, start } = base!;
  return { result: { ...bareRow(row), level, say, lengthMm, start, marks, places: marks.length, count: marks.length }, notes: [] };
}

/** Dots of a scatter where no number is said. */
const USUAL_SCATTER = memory(24).value;
const TRIES = 120;

/** The same numbers every time: a scatter is worked out again and again, and stays as it was. */
function steadyNumbers(): () => number {
  let state = 0x2545f491;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

/** Dots of falling size, each where there is room for it yet. */
export function layScatter(row: Row, laying: Laying): LaidRow {
  const gap = row.gapMm ?? USUAL_GAP_MM.value;
  const space = laying.before.length > 0 ? (row.apartMm ?? gap) : 0;
  const depth = row.lengthMm ?? Infinity;
  const [low, high] = laying.outward
    ? [laying.edge + space, Math.min(laying.outer, laying.edge + space + depth)]
    : [Math.max(laying.inner, laying.edge - space - depth), laying.edge - space];
  const wanted = row.count ?? USUAL_SCATTER;
  const last = Math.min(row.diameterMm, lastOf(row));
  const number = steadyNumbers();
  const marks: PlacedMark[] = [];
  const { laid: spots, rings } = laying;
  let farthest = 0;
  for (let k = 0; k < wanted; k++) {
    const diameterMm = row.diameterMm + ((last - row.diameterMm) * k) / Math.max(1, wanted - 1);
    const [from, to] = [low + diameterMm / 2, high - diameterMm / 2];
    if (from > to) continue;
    for (let tried = 0; tried < TRIES; tried++) {
      // By area on tops: far out there is more room.
      const share = number();
      const level = rings.surface.shape === "top" ? Math.sqrt(from ** 2 + share * (to ** 2 - from ** 2)) : from + share * (to - from);
      const round = number();
      const ring = rings.surface.ring(level);
      const spot = { ...ring.at(round), diameterMm };
      if (spots.nearest(spot.at, diameterMm, gap) || laying.kept?.nearest(spot.at, diameterMm, 0)) continue;
      spots.add({ at: spot.at, diameterMm, row: row.id });
      marks.push({ place: marks.length, colour: row.colours[marks.length % row.colours.length]!, spots: [spot] });
      farthest = Math.max(farthest, level + diameterMm / 2);
      break;
    }
  }
  if (marks.length === 0) return notLaid(row, "no-room", "there is no room left for a single one");
  laying.edge = laying.outward ? Math.max(laying.edge, Number.isFinite(depth) ? high : farthest) : low;
  const result: SolvedRow = { ...bareRow(row), marks, places: marks.length, count: marks.length };
  const short = wanted - marks.length;
  return {
    result,
    notes: short === 0 ? [] : [{ code: "no-room", refused: false, row: row.id, message: `${marks.length} of the ${wanted} find room; ${short} do not` }],
  };
}
