import { CATALOGUE } from "#core/catalogue/catalogue";
import { logRecordId, productId, trialId } from "#core/catalogue/ids";
import type { TrialRecord } from "#core/formats/stores/trials";
import type { LogRecord, Look, Saw, ToldWork, WorkLine } from "#core/logbook/record/record";
import { dayLater, instantOf } from "#core/schedule/free-hours";
import type { Piece } from "#core/piece/piece";
import { pieceOf } from "./tern-point";
import type { Stated } from "./tern-point";
import { FINISHED } from "./tern-point-finished";
import type { DemoFinished, DemoLine } from "./tern-point-finished";

/** Remembered from before there was a notebook. */
interface DemoTold {
  readonly key: string;
  readonly name: string;
  readonly body: string;
  readonly daysAgo: number;
  readonly told: ToldWork;
  readonly to?: string;
}

const TOLD: readonly DemoTold[] = [
  {
    key: "gull",
    name: "Gull on slate",
    body: "Slate",
    daysAgo: 900,
    told: { colours: "white, grey, a little ochre on the beak", sealer: "spray, gloss", note: "The chalk lines never came off under the spray." },
    to: "Marn at the ferry",
  },
  {
    key: "first",
    name: "First striped stone",
    body: "Smooth stone",
    daysAgo: 1250,
    told: { colours: "red and cream", note: "No primer; it is still on the step." },
  },
];

/** Writes the instants of whole hours of a day, by the clocks of a zone. */
type AtHour = (day: string, hour: number) => string;

const hoursIn =
  (timeZone: string): AtHour =>
  (day, hour) =>
    new Date(instantOf(day, `${String(hour).padStart(2, "0")}:00`, timeZone)).toISOString();

function lineOf({ day, zones, title, role, product, colour, jar, coats = 1, technique, sheen, rows, thin }: DemoLine, begun: string, at: AtHour): WorkLine {
  return {
    zones,
    title,
    role,
    product: productId(product),
    coats,
    ...(technique ? { technique } : {}),
    ...(sheen ? { sheen } : {}),
    ...(colour === undefined ? {} : { colour }),
    ...(rows ? { rows } : {}),
    ...(jar === undefined ? {} : { jar: { id: `ternpointjar-${jar}`.toLowerCase().replace(/[^a-z0-9-]/g, "-"), name: jar } }),
    ...(thin === undefined ? {} : { thinning: { with: productId("water"), percent: thin } }),
    first: at(dayLater(begun, day), 18),
    last: at(dayLater(begun, day), coats > 1 ? 20 : 18),
  };
}

const NONE = { work: [], paint: [], minutes: [], mishaps: [], checks: [], pictures: [], additions: [], looks: [], moves: [] } as const;

/** Pieces that were finished, each worked out once. */
const pieces = new Map<string, Piece>();

function pieceNamed(key: string, stated: Stated): Piece {
  const piece = pieces.get(key) ?? pieceOf(stated);
  pieces.set(key, piece);
  return piece;
}

function madeRecord({ key, daysAgo, stated, lines, paint, minutes, looks = [], moves = [], money, added }: DemoFinished, today: string, at: AtHour): LogRecord {
  const piece = pieceNamed(key, stated);
  const lastDay = Math.max(...lines.map(({ day }) => day));
  const finishedOn = dayLater(today, -daysAgo);
  const begunOn = dayLater(finishedOn, -lastDay);
  const after = (days: number) => dayLater(finishedOn, days);
  const seen = looks.map(([days, saw, note], index): Look => ({
    id: `ternpoint${key}look${index}`,
    at: at(after(days), 9),
    saw,
    ...(note === undefined ? {} : { note }),
  }));
  return {
    ...NONE,
    id: logRecordId(`ternpointlog${key}`),
    rev: 1,
    origin: "bench",
    name: piece.name,
    body: CATALOGUE.materials.get(piece.material)!.name,
    material: piece.material,
    piece,
    count: piece.count ?? 1,
    begunOn,
    finishedOn,
    writtenAt: at(finishedOn, 21),
    work: lines.map((line) => lineOf(line, begunOn, at)),
    paint: paint.map(([name, ml, perMl]) => ({ name, ml, ...(perMl === undefined ? {} : { perMl }) })),
    minutes: minutes.map(([kind, min, timedMin]) => ({ kind, min, timedMin })),
    looks: seen,
    ...(seen.length > 0 ? { lookedAt: seen.at(-1)!.at } : {}),
    moves: moves.map(([days, kind, count, to, price], index) => ({
      id: `ternpoint${key}move${index}`,
      on: after(days),
      kind,
      count,
      ...(to === undefined ? {} : { to }),
      ...(price === undefined ? {} : { price }),
    })),
    additions: added === undefined ? [] : [{ id: `ternpoint${key}added`, at: at(after(165), 20), text: added }],
    ...(money ? { money } : {}),
  };
}

function toldRecord({ key, name, body, daysAgo, told, to }: DemoTold, today: string, at: AtHour): LogRecord {
  const finishedOn = dayLater(today, -daysAgo);
  return {
    ...NONE,
    id: logRecordId(`ternpointlog${key}`),
    rev: 1,
    origin: "told",
    name,
    body,
    count: 1,
    finishedOn,
    writtenAt: at(dayLater(today, -40), 20),
    told,
    moves: to === undefined ? [] : [{ id: `ternpoint${key}move0`, on: finishedOn, kind: "given", count: 1, to }],
  };
}

/** What is written down at Tern Point; made up like the rest. */
export function ternPointRecords(today: string, timeZone: string): readonly LogRecord[] {
  const at = hoursIn(timeZone);
  return [...FINISHED.map((one) => madeRecord(one, today, at)), ...TOLD.map((one) => toldRecord(one, today, at))];
}

/** Two sealers beside a bare field on one tile. */
export function ternPointTrials(today: string, timeZone: string): readonly TrialRecord[] {
  const at = hoursIn(timeZone);
  const look = (key: string, daysAgo: number, saw: readonly Saw[]): Look => ({ id: `ternpoint${key}${daysAgo}`, at: at(dayLater(today, -daysAgo), 9), saw });
  return [
    {
      id: trialId("ternpointtrial1"),
      rev: 1,
      name: "Which matt varnish yellows",
      begunOn: dayLater(today, -190),
      lies: "on the south sill",
      spots: [
        { id: "ternpointspot1", what: "Quiet varnish", looks: [look("quiet", 160, ["fine"]), look("quiet", 12, ["fine"])] },
        { id: "ternpointspot2", what: "Shore varnish, old jar", looks: [look("shore", 160, ["fine"]), look("shore", 12, ["yellowed"])] },
        { id: "ternpointspot3", what: "bare", bare: true, looks: [look("bare", 160, ["fine"]), look("bare", 12, ["faded"])] },
      ],
    },
  ];
}
