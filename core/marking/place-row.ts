import type { Row } from "../piece/pattern";
import { leftOutNote, MOST_LEFT_OUT, openMarks } from "./keep-outs";
import { clearanceOf, gapBetween, marksOfRow, placeMarks, placesThatClose, reachOf } from "./lay-row";
import type { Rings } from "./lay-row";
import { levelAt } from "./level-at";
import { apart, leastCommon, UNSEEN_MM, USUAL_GAP_MM } from "./ring-count";
import type { Closing } from "./ring-count";
import { rowKind } from "./row-kinds";
import type { UnitMark } from "./row-kinds";
import { notLaid, refusal } from "./refusals";
import type { LaidRow } from "./refusals";
import { layScatter, layStripe, layTopDots, layCentre } from "./placeless-rows";
import type { MarkingFinding, PlacedMark, SolvedRow } from "./solved";
import { gapWords, plainMm } from "./words";
import { wideSideOf } from "./wide-side";
import type { Laying } from "./laying";

const HAIR = 1e-9;
/** A row pushed this often against what it touches does not go. */
const MOST_PUSHES = 24;
const BISECTIONS = 30;

/** What a row with places is laid by. */
interface Seat {
  readonly row: Row;
  readonly laying: Laying;
  readonly rings: Rings;
  readonly unit: readonly UnitMark[];
  readonly reach: readonly [number, number];
  readonly gapMm: number;
  readonly apartMm: number;
  readonly multipleOf: number;
  /** Null: as many as close. */
  readonly count: number | null;
  readonly start: number;
  readonly on: SolvedRow | null;
}

/** The level a row is asked for at; null where its place has no such measure. */
function askedLevel({ at }: Row, { rings, evenRings }: Laying): { readonly rings: Rings; readonly level: number } | null {
  const found = at && levelAt(rings.surface, at);
  return found ? { rings: found.surface === rings.surface ? rings : evenRings!, level: found.level } : null;
}

/** Next to what is laid: the first row begins at the edge itself. */
function nextLevel(seat: Seat): number {
  const { row, laying, reach, apartMm } = seat;
  const space = laying.before.length > 0 ? apartMm : (row.apartMm ?? 0);
  const level = laying.outward ? laying.edge + space - reach[0] : laying.edge - space - reach[1];
  return seat.rings.surface.straight ? level : acrossCurve(seat, level);
}

/** Steps in which a level is put right for the curve: each leaves a hundredth of what was wrong. */
const CURVE_STEPS = 3;

/** On a curve two rows are nearer in space than along it: the level from which the row before is as far away as it would be on a flat top. */
function acrossCurve({ laying, rings }: Seat, level: number): number {
  const before = laying.before.findLast((one) => one.level !== null)?.level;
  if (before === undefined || before === null) return level;
  const wanted = Math.abs(level - before);
  const from = rings.at(before).at(0).at;
  const sign = laying.outward ? 1 : -1;
  let at = level;
  for (let k = 0; k < CURVE_STEPS; k++) at += sign * Math.max(0, wanted - apart(from, rings.surface.ring(at).at(0).at));
  return at;
}

function closes(seat: Seat, level: number, count: number): boolean {
  return gapBetween(seat.rings, seat.unit, level, count, seat.start) >= (seat.row.gapMm ?? 0) - HAIR;
}

/** The first level from there on where a count closes; the same where it does already or never does. */
function whereItCloses(seat: Seat, from: number, count: number): number {
  const { laying, reach } = seat;
  if (!laying.outward || closes(seat, from, count)) return from;
  let [low, high] = [from, laying.outer - reach[1]];
  if (high <= low || !closes(seat, high, count)) return from;
  for (let k = 0; k < BISECTIONS; k++) {
    const middle = (low + high) / 2;
    if (closes(seat, middle, count)) high = middle;
    else low = middle;
  }
  return high;
}

/** Places of an oval row that are looked at while it is nestled. */
const NESTLE_LOOKS = 4;
/** Between the marks of the row below, as near to it as the clear space allows. */
function nestled(seat: Seat): number {
  const { laying, rings, unit, apartMm, start, on } = seat;
  const far = nextLevel(seat);
  let [near, clear] = [on!.level!, far];
  // Round a circle every place is like the first; on an oval some are looked at all round.
  const looks = rings.surface.round ? 1 : Math.min(NESTLE_LOOKS, on!.places);
  const shares = Array.from({ length: looks }, (_unused, k) => start + Math.round((k * on!.places) / looks) / on!.places);
  const isClear = (level: number) =>
    shares.every((share) =>
      placeMarks(rings, unit, level, share).every((spots) =>
        spots.every(({ at, diameterMm }) => (laying.laid.nearest(at, diameterMm, apartMm)?.gapMm ?? apartMm) >= apartMm - HAIR),
      ),
    );
  for (let k = 0; k < BISECTIONS; k++) {
    const middle = (near + clear) / 2;
    if (isClear(middle)) clear = middle;
    else near = middle;
  }
  return clear;
}

function countAt(seat: Seat, level: number): number {
  return seat.count ?? placesThatClose(seat.rings, seat.unit, level, seat.gapMm, seat.multipleOf, seat.start);
}

function seatOf(row: Row, laying: Laying, unit: readonly UnitMark[], rings: Rings): Seat | null {
  const { seat = "free" } = row;
  const on = laying.before.findLast(({ places, level }) => places > 1 && level !== null) ?? null;
  const leans = seat === "between" || seat === "nestle";
  if (leans && !on) return null;
  const guided = seat === "guides" ? laying.guides : 1;
  const turns = row.colours.length;
  return {
    row,
    laying,
    rings,
    unit,
    reach: reachOf(unit),
    gapMm: row.gapMm ?? USUAL_GAP_MM.value,
    apartMm: row.apartMm ?? USUAL_GAP_MM.value,
    multipleOf: leastCommon(leastCommon(row.multipleOf ?? 1, turns), guided),
    count: leans ? on!.places : (row.count ?? (seat === "guides" && laying.guides > 1 ? leastCommon(guided, turns) : null)),
    start: leans ? on!.start + 0.5 / on!.places : 0,
    on: leans ? on : null,
  };
}

function firstLevel(seat: Seat): number {
  const { row, laying, reach } = seat;
  if (row.seat === "between") return seat.on!.level!;
  if (row.seat === "nestle") return nestled(seat);
  const next = nextLevel(seat);
  if (seat.count !== null) return whereItCloses(seat, next, seat.count);
  // Round an empty middle the first row leaves room for its own marks to stand round.
  const open = laying.rings.surface.shape === "top" && laying.outward && laying.before.length === 0 && laying.inner === 0;
  return open ? Math.max(next, reach[1] - reach[0] + seat.gapMm - reach[0]) : next;
}

/** Counts beside the one taken, with their gaps. */
function nearestTo(seat: Seat, level: number, count: number): readonly Closing[] {
  const step = seat.multipleOf;
  const middle = Math.max(step, Math.round(count / step) * step);
  return [0, -step, step, -2 * step, 2 * step].flatMap((by): Closing[] => {
    const wanted = middle + by;
    if (wanted < 2) return [];
    const gapMm = gapBetween(seat.rings, seat.unit, level, wanted, seat.start);
    return gapMm >= -HAIR ? [{ count: wanted, gapMm: Math.max(0, gapMm) }] : [];
  });
}

/** As many as close at a level with no less between than was asked for, whatever count was. */
function mostAt({ rings, unit, row, multipleOf, start }: Seat, level: number): number {
  return placesThatClose(rings, unit, level, row.gapMm ?? 0, multipleOf, start);
}

/** The row at a level, with what is wrong with it there. */
function tryAt(seat: Seat, level: number) {
  const { laying, reach, row, rings, unit, start } = seat;
  const fits = level + reach[0] >= laying.inner - HAIR && level + reach[1] <= laying.outer + HAIR;
  if (!fits) return { fault: "over-the-edge" as const };
  const count = countAt(seat, level);
  if (count < 1) return { fault: "no-room" as const };
  const gapMm = gapBetween(rings, unit, level, count, start);
  const wished = seat.count === null ? seat.gapMm : (row.gapMm ?? 0);
  if (gapMm < wished - HAIR) return { fault: "too-many" as const, gapMm, count };
  const marks = marksOfRow(rings, row, unit, level, count, start);
  return { fault: null, marks, count, gapMm };
}

/** Space that must stay free to what is laid already. */
function clearOf({ row, apartMm }: Seat): number {
  if (row.seat === "between") return row.gapMm ?? 0;
  return row.at ? (row.apartMm ?? 0) : apartMm;
}

/** Wholly beyond all that is laid, where levels are true distances: nothing is to be measured. */
function beyond({ laying, rings, reach: [low, high] }: Seat, level: number, wanted: number): boolean {
  if (!rings.surface.straight || laying.mixed || rings !== laying.rings) return false;
  return laying.outward ? level + low >= laying.edge + wanted - HAIR : level + high <= laying.edge - wanted + HAIR;
}

interface Found {
  readonly count: number;
  readonly gapMm: number;
  readonly marks: readonly PlacedMark[];
  readonly leftOut: number;
}

function laidRow(seat: Seat, level: number, { count, gapMm, marks, leftOut }: Found): LaidRow {
  const { row, laying, rings, reach } = seat;
  for (const { spots } of marks) for (const { at, diameterMm } of spots) laying.laid.add({ at, diameterMm, row: row.id });
  laying.mixed ||= rings !== laying.rings;
  laying.edge = laying.outward ? Math.max(laying.edge, level + reach[1]) : Math.min(laying.edge, level + reach[0]);
  const result: SolvedRow = {
    row,
    level,
    say: rings.surface.say(level),
    lengthMm: rings.at(level).lengthMm,
    places: count,
    inEach: seat.unit.length,
    count: marks.length,
    gapMm: Number.isFinite(gapMm) ? gapMm : null,
    start: seat.start,
    marks,
    nearest: () => nearestTo(seat, level, count),
    gapWith: (other) => gapBetween(rings, seat.unit, level, other, seat.start),
    wide: wideSideOf(rings, level, laying.before.findLast((one) => one.level !== null) ?? null, reach),
    refused: false,
  };
  return { result, notes: [...leftOutNote(row.id, leftOut), ...seamNote(row, count), ...nearlyNote(seat, level, count, gapMm)] };
}

/** Two of one colour meet where a count is no multiple of the colours. */
function seamNote(row: Row, count: number): readonly MarkingFinding[] {
  const turns = row.colours.length;
  if (turns < 2 || count % turns === 0) return [];
  const fewer = Math.max(turns, count - (count % turns));
  return [
    {
      code: "uneven-colours",
      refused: false,
      row: row.id,
      message: `${count} is no multiple of its ${turns} colours: where the row ends, two of one colour meet`,
      fix: { text: `Take ${fewer}`, set: { count: fewer } },
    },
  ];
}

/** A gap this much wider than was wished is looked into. */
const WIDE_GAP = 3;

/** One step more closes with a gap nobody tells from the wished one: it is not refused for a hair. */
function nearlyNote(seat: Seat, level: number, count: number, gapMm: number): readonly MarkingFinding[] {
  const more = count + seat.multipleOf;
  if (seat.count !== null || seat.multipleOf < 2 || gapMm < seat.gapMm * WIDE_GAP) return [];
  const near = gapBetween(seat.rings, seat.unit, level, more, seat.start);
  if (near < Math.max(0, seat.gapMm - UNSEEN_MM.value)) return [];
  return [
    {
      code: "gap-wanders",
      refused: false,
      row: seat.row.id,
      message: `${more} close too, with ${gapWords(near)}: nobody sees that it is less than ${plainMm(seat.gapMm)} mm`,
      fix: { text: `Take ${more}`, set: { count: more, gapMm: Math.floor(near * 100) / 100 } },
    },
  ];
}

function layPlaces(row: Row, laying: Laying, unit: readonly UnitMark[]): LaidRow {
  const asked = askedLevel(row, laying);
  if (row.at && !asked) return notLaid(row, "not-on-this-body", "this place has no such measure: say it by its distance from the edge");
  const seat = seatOf(row, laying, unit, asked?.rings ?? laying.rings);
  if (!seat) return notLaid(row, "nothing-to-sit-on", "there is no row before it to sit between");
  let level = asked?.level ?? firstLevel(seat);
  const free = !asked && row.seat !== "between";
  const wanted = clearOf(seat);
  for (let push = 0; ; push++) {
    const here = tryAt(seat, level);
    if (here.fault) return refusal(row, here, { laying, seat, level, nearest: () => nearestTo(seat, level, mostAt(seat, level)) });
    const open = openMarks(here.marks, laying.kept);
    // Too many would be missing: the row keeps off that place as off a row.
    const off = open.length < here.marks.length * (1 - MOST_LEFT_OUT);
    const space = off ? 0 : wanted;
    const touched = off ? clearanceOf(here.marks, laying.kept!, 0) : beyond(seat, level, wanted) ? null : clearanceOf(open, laying.laid, wanted);
    if (!touched || touched.gapMm >= space - Math.max(HAIR, space * HAIR))
      return laidRow(seat, level, { ...here, marks: open, leftOut: here.marks.length - open.length });
    if (!free || push >= MOST_PUSHES)
      return refusal(row, { fault: "would-touch", gapMm: touched.gapMm, other: touched.row }, { laying, seat, level, nearest: () => [] });
    const step = space - touched.gapMm + (seat.reach[1] - seat.reach[0]) * 1e-5;
    // What cannot slip in between lies wholly beyond.
    level = push === MOST_PUSHES / 2 ? nextLevel(seat) : level + (laying.outward ? step : -step);
  }
}

/** Lays one row against those before it, and tells what is to be known of it. */
export function layRow(row: Row, laying: Laying): LaidRow {
  const { unit } = rowKind(row.kind);
  if (unit) return layPlaces(row, laying, unit(row, laying.rings.surface.shape === "wall"));
  switch (row.kind) {
    case "centre":
      return layCentre(row, laying);
    case "scatter":
      return layScatter(row, laying);
    case "top-dots":
      return layTopDots(row, laying);
    default:
      return layStripe(row, laying, askedLevel(row, laying));
  }
}
