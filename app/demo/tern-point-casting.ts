import { compoundId, mouldId, pourId } from "#core/catalogue/ids";
import type { CastBodies, Pour, PouredMould } from "#core/casting/pour";
import type { CastStage, PreparationId } from "#core/casting/stages";
import type { CompoundRecord } from "#core/formats/stores/compounds";
import type { MouldRecord } from "#core/formats/stores/moulds";
import type { PourRecord } from "#core/formats/stores/pours";

const HOUR_MS = 3_600_000;
const MIN_MS = 60_000;

/** What is cast at Tern Point; made up. */
export const TERN_POINT_MOULDS: readonly MouldRecord[] = [
  { id: mouldId("ternpointmould1"), rev: 1, name: "Table number", form: { kind: "disc", diameterMm: 90, thicknessMm: 14 }, waterG: 88, count: 4 },
  { id: mouldId("ternpointmould2"), rev: 1, name: "Gull stone", form: { kind: "dome", diameterMm: 78, heightMm: 34 }, waterG: 101, count: 2, stiff: true },
  {
    id: mouldId("ternpointmould3"),
    rev: 1,
    name: "Salt box",
    form: { kind: "box", lengthMm: 110, widthMm: 80, heightMm: 60 },
    part: "body",
    waterG: 240,
    count: 1,
    traps: ["groove"],
  },
];

const LABEL = { waterPer100: 38, setMin: 25 };
const BAG = compoundId("ternpointbag01");
const PAID_PER_G = 14 / 4536;

export function ternPointCompounds(now: number): readonly CompoundRecord[] {
  const at = new Date(now - 40 * 24 * HOUR_MS).toISOString();
  return [
    { id: BAG, rev: 1, kind: "gypsum", name: "Casting gypsum, 10 lb bag", label: LABEL, bagG: 4536, paid: 14, left: { g: 4536, at } },
    {
      id: compoundId("ternpointbag02"),
      rev: 1,
      kind: "resin",
      name: "Tray resin",
      resin: { hardenerPer100: 50, by: "volume", resinGPerMl: 1.12, hardenerGPerMl: 0.98, potMin: 40, potG: 150, potC: 23 },
      bagG: 750,
      left: { g: 600, at },
    },
  ];
}

/** When each stage was begun, minutes after the first. */
const STAGES_MIN: Readonly<Record<CastStage, number>> = { sprinkle: 0, soak: 2, stir: 5, knock: 7, pour: 8, set: 10, warm: 35, cool: 45, release: 70 };

function poured(id: string, agoHours: number, now: number, preparation: PreparationId, moulds: readonly (readonly [MouldRecord, number])[]): PourRecord {
  const begun = now - agoHours * HOUR_MS;
  const iso = (min: number) => new Date(begun + min * MIN_MS).toISOString();
  const list: readonly PouredMould[] = moulds.map(([{ id: mould, name, form, part, stiff, waterG }, count]) => ({
    mould,
    name,
    form,
    ...(part === undefined ? {} : { part }),
    ...(stiff ? { stiff } : {}),
    count,
    ml: waterG!,
  }));
  const ml = list.reduce((sum, one) => sum + one.ml * one.count, 0) * 1.05;
  const powderG = Math.round(ml / (0.38 + 1 / 2.73));
  const waterG = Math.round(powderG * 0.38);
  const stages = Object.fromEntries(Object.entries(STAGES_MIN).map(([stage, min]) => [stage, iso(min)]));
  return {
    id: pourId(id),
    rev: 1,
    at: iso(-6),
    powder: { kind: "gypsum", name: "Casting gypsum, 10 lb bag", label: LABEL, compound: BAG, paidPerG: PAID_PER_G },
    reservePercent: 5,
    preparation,
    conditions: { roomC: 16 },
    moulds: list,
    bowls: [{ fills: list.map(({ count }, mould) => ({ mould, count })), waterG, powderG, run: { tared: false, waterG, powderG }, stages }],
    bodies: [],
  } satisfies Pour & { readonly id: unknown; readonly rev: number };
}

const out = (pour: PourRecord, mould: number, more: Partial<CastBodies>): CastBodies => ({
  mould,
  count: pour.moulds[mould]!.count,
  outAt: pour.bowls[0]!.stages.release!,
  onScale: pour.moulds[mould]!.count,
  weighings: [],
  faults: [],
  pieces: [],
  ...more,
});

/** Two pours: one with soap on the moulds, drying since some days; one without, with the holes that come of it. */
export function ternPointPours(now: number): readonly PourRecord[] {
  const [numbers, gulls] = TERN_POINT_MOULDS;
  const first = poured("ternpointpour1", 76, now, "soap", [
    [numbers!, 4],
    [gulls!, 1],
  ]);
  const second = poured("ternpointpour2", 50, now, "none", [[gulls!, 2]]);
  const weighed = (pour: PourRecord, hours: readonly (readonly [number, number])[]) =>
    hours.map(([after, g]) => ({ at: new Date(Date.parse(pour.bowls[0]!.stages.release!) + after * HOUR_MS).toISOString(), g }));
  return [
    {
      ...first,
      bodies: [
        out(first, 0, {
          weighings: weighed(first, [
            [1, 648],
            [25, 607],
            [47, 584],
            [70, 571],
          ]),
          faults: [{ id: "ternpointflt1", kind: "hole", place: "face", bodies: 2, each: 1, widthMm: 2, depthMm: 2 }],
        }),
        out(first, 1, {
          weighings: weighed(first, [
            [2, 184],
            [26, 172],
            [48, 165],
          ]),
        }),
      ],
    },
    {
      ...second,
      bodies: [
        out(second, 0, {
          weighings: weighed(second, [
            [1, 372],
            [24, 349],
          ]),
          faults: [
            { id: "ternpointflt2", kind: "hole", place: "face", bodies: 2, each: 3, widthMm: 3, depthMm: 4 },
            { id: "ternpointflt3", kind: "uneven-foot", place: "foot", bodies: 1, each: 1, widthMm: 60, depthMm: 1 },
          ],
        }),
      ],
    },
  ];
}
