import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { Form } from "../piece/form";
import type { KeepOut, Row } from "../piece/pattern";
import { ROW_KINDS, ROW_SEATS, RUNS } from "../piece/pattern";
import { keptFree } from "./keep-outs";
import { apart } from "./ring-count";
import { rowKind } from "./row-kinds";
import { solvePattern } from "./solve";
import type { PlacedSpot, SolvedRow } from "./solved";
import type { MarkingSurface } from "./surface";
import { surfaceOf } from "./surface-of";

const RUNS_OF_EACH = Number(process.env.RUNS ?? 40);
const EPS = 1e-6;

/** By hundredths: doubles drawn by their bits would nearly all be next to nothing. */
const mm = (least: number, most: number) => fc.integer({ min: Math.ceil(least * 100), max: most * 100 }).map((hundredths) => hundredths / 100);
interface Body {
  readonly form: Form;
  readonly zone: "top" | "outside" | "lid" | "rim";
  readonly radiiMm?: readonly number[];
}

const bodies: fc.Arbitrary<Body> = fc.oneof(
  mm(30, 300).map((diameterMm): Body => ({ form: { kind: "disc", diameterMm, thicknessMm: 8 }, zone: "top" })),
  fc.tuple(mm(30, 200), mm(0.05, 0.5)).map(([diameterMm, rise]): Body => ({ form: { kind: "dome", diameterMm, heightMm: diameterMm * rise }, zone: "top" })),
  fc
    .tuple(mm(40, 160), mm(0.3, 1), mm(0.2, 0.6))
    .map(([lengthMm, wide, thick]): Body => ({ form: { kind: "pebble", lengthMm, widthMm: lengthMm * wide, thicknessMm: lengthMm * thick }, zone: "top" })),
  fc
    .tuple(mm(60, 240), mm(0.5, 1.5), mm(40, 220))
    .map(([topDiameterMm, taper, heightMm]): Body => ({
      form: { kind: "frustum", topDiameterMm, bottomDiameterMm: topDiameterMm * taper, heightMm },
      zone: "outside",
    })),
  fc.tuple(mm(60, 300), mm(20, 300)).map(([lengthMm, widthMm]): Body => ({ form: { kind: "box", lengthMm, widthMm, heightMm: 40 }, zone: "lid" })),
  mm(120, 300).map((diameterMm): Body => ({ form: { kind: "plate", diameterMm, rimWidthMm: diameterMm * 0.16 }, zone: "rim" })),
  fc
    .array(mm(30, 42), { minLength: 4, maxLength: 8 })
    .map((radiiMm): Body => ({ form: { kind: "pebble", lengthMm: 80, widthMm: 70, thicknessMm: 25 }, zone: "top", radiiMm })),
);

const kinds = ROW_KINDS.filter((kind) => kind !== "top-dots");
const rows: fc.Arbitrary<readonly Row[]> = fc
  .array(
    fc.record(
      {
        kind: fc.constantFrom(...kinds),
        diameterMm: mm(1, 9),
        gapMm: mm(0, 3),
        apartMm: mm(0, 3),
        count: fc.integer({ min: 1, max: 60 }),
        multipleOf: fc.integer({ min: 1, max: 8 }),
        seat: fc.constantFrom(...ROW_SEATS),
        runs: fc.constantFrom(...RUNS),
        steps: fc.integer({ min: 1, max: 6 }),
        at: fc.oneof(
          mm(0, 60).map((insetMm) => ({ insetMm })),
          mm(0, 60).map((radiusMm) => ({ radiusMm })),
          mm(0, 60).map((heightMm) => ({ heightMm })),
        ),
        colours: fc.constantFrom(["#ffffff"], ["#ffffff", "#000000"]),
      },
      { requiredKeys: ["kind", "diameterMm", "colours"] },
    ),
    { minLength: 1, maxLength: 7 },
  )
  .map((list) => list.map((row, k) => ({ ...row, id: `r${k}` }) as Row));

const keepOuts: fc.Arbitrary<readonly KeepOut[]> = fc.array(
  fc.record({
    count: fc.integer({ min: 1, max: 12 }),
    at: fc.oneof(
      mm(0, 40).map((insetMm) => ({ insetMm })),
      mm(0, 60).map((radiusMm) => ({ radiusMm })),
      mm(0, 60).map((heightMm) => ({ heightMm })),
    ),
    diameterMm: mm(2, 30),
  }),
  { minLength: 1, maxLength: 3 },
);

const from = fc.constantFrom("centre" as const, "rim" as const);

function surfaceFor({ form, zone, radiiMm }: Body): MarkingSurface {
  return surfaceOf(form, zone, radiiMm ? { radiiMm } : {})!;
}

type Spot = PlacedSpot & { readonly place: number };

function spotsOf({ marks }: SolvedRow): readonly Spot[] {
  return marks.flatMap(({ spots, place }) => spots.map((spot) => ({ ...spot, place })));
}

/** By comparing every pair: nothing of the engine's own search. */
function leastGap(a: readonly Spot[], b: readonly Spot[], leaveOut: (one: Spot, other: Spot) => boolean): number {
  let least = Infinity;
  for (const one of a)
    for (const other of b)
      if (one !== other && !leaveOut(one, other)) least = Math.min(least, apart(one.at, other.at) - (one.diameterMm + other.diameterMm) / 2);
  return least;
}

/** Rows two spots of which must keep clear of one another: bands carry marks, top dots lie on them. */
const isSolid = ({ row }: SolvedRow) => rowKind(row.kind).unit !== null || row.kind === "centre" || row.kind === "scatter";

describe("rows of a pattern, on any body", () => {
  test("no two marks of a solved row are nearer than its gap, and no two rows touch", () => {
    fc.assert(
      fc.property(bodies, rows, from, (body, list, way) => {
        const { rows: solved } = solvePattern(surfaceFor(body), { rows: list, from: way });
        const laid = solved.filter((one) => !one.refused && isSolid(one)).map((one) => ({ one, spots: spotsOf(one) }));
        for (const { one, spots } of laid) {
          const leans = one.row.seat === "between" || one.row.seat === "nestle";
          const wished = one.row.gapMm ?? (one.row.count === undefined && !leans ? 0.5 : 0);
          const sameUnit = (a: Spot, b: Spot) => a.place === b.place && one.row.kind !== "scatter";
          expect(leastGap(spots, spots, sameUnit)).toBeGreaterThanOrEqual(wished - EPS);
        }
        for (let k = 0; k < laid.length; k++)
          for (let m = 0; m < k; m++) expect(leastGap(laid[k]!.spots, laid[m]!.spots, () => false)).toBeGreaterThanOrEqual(-EPS);
      }),
      { numRuns: RUNS_OF_EACH },
    );
  });

  test("no mark lies on a place that is kept free, and at most a fifth of a row is left out for it", () => {
    fc.assert(
      fc.property(bodies, rows, from, keepOuts, (body, list, way, kept) => {
        const surface = surfaceFor(body);
        const spots = keptFree(surface, kept);
        for (const one of solvePattern(surface, { rows: list, from: way, keepOuts: kept }).rows.filter((each) => !each.refused && isSolid(each))) {
          for (const { at, diameterMm } of spotsOf(one))
            for (const spot of spots) expect(apart(at, spot.at)).toBeGreaterThanOrEqual((diameterMm + spot.diameterMm) / 2 - EPS);
          const unit = rowKind(one.row.kind).unit?.(one.row, surface.shape === "wall").length ?? 1;
          if (one.row.kind !== "scatter") expect(one.count).toBeGreaterThanOrEqual(0.8 * unit * one.places - EPS);
        }
      }),
      { numRuns: RUNS_OF_EACH },
    );
  });

  test("a closed row closes: its places part the round evenly, to the last", () => {
    fc.assert(
      fc.property(bodies, rows, (body, list) => {
        const surface = surfaceFor(body);
        for (const { row, refused, places, marks, level, start } of solvePattern(surface, { rows: list }).rows) {
          if (refused || level === null || places < 2 || rowKind(row.kind).unit === null) continue;
          const even = row.at && "insetMm" in row.at ? (surface.fromEdge ?? surface) : surface;
          const ring = even.ring(level);
          const first = rowKind(row.kind).unit!(row, surface.shape === "wall")[0]![0]!;
          if (first.across !== 0 || first.out !== 0) continue;
          const heads = marks.filter((mark, k) => k === 0 || marks[k - 1]!.place !== mark.place).map(({ spots }) => spots[0]!.at);
          heads.forEach((head, k) => expect(apart(head, ring.at(start + k / places).at)).toBeLessThan(0.05));
          expect(heads).toHaveLength(places);
        }
      }),
      { numRuns: RUNS_OF_EACH },
    );
  });

  test("a multiple stays a multiple, two colours meet nowhere", () => {
    fc.assert(
      fc.property(bodies, rows, (body, list) => {
        const free = list.map(({ count: _count, seat: _seat, ...row }) => row);
        for (const { row, refused, places } of solvePattern(surfaceFor(body), { rows: free }).rows) {
          if (refused || rowKind(row.kind).unit === null) continue;
          expect(places % (row.multipleOf ?? 1)).toBe(0);
          expect(places % row.colours.length).toBe(0);
        }
      }),
      { numRuns: RUNS_OF_EACH },
    );
  });

  test("every mark stays inside what may be painted", () => {
    fc.assert(
      fc.property(bodies, rows, from, mm(0, 6), (body, list, way, clearMm) => {
        const surface = surfaceFor(body);
        // A row that is measured in from the edge keeps clear of it evenly; others as much more as the side is wider.
        const outlineOf = (rings: MarkingSurface) => {
          const edge = rings.ring(Math.max(rings.from, rings.to - clearMm));
          return Array.from({ length: 1440 }, (_unused, k) => edge.at(k / 1440).at);
        };
        const [scaled, even] = [outlineOf(surface), outlineOf(surface.fromEdge ?? surface)];
        const flat = surface.shape === "top";
        for (const one of solvePattern(surface, { rows: list, from: way, clearMm }).rows) {
          const outline = one.row.at && "insetMm" in one.row.at ? even : scaled;
          for (const {
            at,
            diameterMm,
            flat: [, up],
          } of spotsOf(one)) {
            if (!flat) {
              expect(up + diameterMm / 2).toBeLessThanOrEqual(surface.to - clearMm + EPS);
              expect(up - diameterMm / 2).toBeGreaterThanOrEqual(surface.from - EPS);
            } else if (surface.straight && surface.round) expect(Math.hypot(at[0], at[1]) + diameterMm / 2).toBeLessThanOrEqual(surface.to - clearMm + EPS);
            else if (surface.straight) expect(Math.min(...outline.map((point) => apart(point, at)))).toBeGreaterThanOrEqual(diameterMm / 2 - 0.05);
            else expect(Math.hypot(at[0], at[1])).toBeLessThanOrEqual(Math.max(...outline.map(([x, y]) => Math.hypot(x, y))) + EPS);
          }
        }
      }),
      { numRuns: RUNS_OF_EACH },
    );
  });

  test("twice the size is the same pattern", () => {
    const twice = (value: unknown): unknown =>
      typeof value === "number"
        ? value * 2
        : Array.isArray(value)
          ? value.map(twice)
          : typeof value === "object" && value !== null
            ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, ["count", "multipleOf", "steps"].includes(key) ? one : twice(one)]))
            : value;
    fc.assert(
      fc.property(bodies, rows, (body, list) => {
        const said = list.filter(({ kind }) => kind !== "scatter").map((row) => ({ gapMm: 0.4, apartMm: 0.7, ...row }));
        const small = solvePattern(surfaceFor(body), { rows: said });
        const large = solvePattern(surfaceFor(twice(body) as Body), { rows: twice(said) as readonly Row[] });
        // Where a row fits by less than rounding it may go in one size and not in the other.
        if (small.rows.some(({ gapMm, row }) => gapMm !== null && Math.abs(gapMm - (row.gapMm ?? 0)) < 1e-5)) return;
        expect(large.rows.map(({ places, refused }) => [places, refused])).toEqual(small.rows.map(({ places, refused }) => [places, refused]));
      }),
      { numRuns: RUNS_OF_EACH },
    );
  });

  test("worked out again it is the same, to the last digit", () => {
    fc.assert(
      fc.property(bodies, rows, (body, list) => {
        const plain = () => JSON.stringify(solvePattern(surfaceFor(body), { rows: list }));
        expect(plain()).toBe(plain());
      }),
      { numRuns: 20 },
    );
  });
});
