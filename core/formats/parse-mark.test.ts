/** What the verb `mark` takes and turns away. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { FORM_MEASURES, LEAST_LENGTH_MM } from "../piece/form";
import type { FormKind } from "../piece/form";
import { ROW_KINDS, ROW_SEATS } from "../piece/pattern";
import { answerMark } from "./parse-mark";

const DISC = { kind: "disc", diameterMm: 120, thicknessMm: 8 };
const RING = { at: { radiusMm: 40 }, diameterMm: 6 };
type Answer = { readonly rings: readonly { readonly count: number; readonly gapMm: number; readonly positions: readonly (readonly [number, number])[] }[] };
const rings = (document: object) => {
  const answer = answerMark(document);
  if (!answer.ok) throw new Error(answer.problem.message);
  return (answer.value as Answer).rings;
};

describe("a ring by itself", () => {
  test("closes with the usual gap, at the radius that was asked", () => {
    const [ring] = rings({ form: DISC, rings: [RING] });
    expect(ring!.count).toBe(Math.floor(Math.PI / Math.asin(6.5 / 80)));
    for (const [x, y] of ring!.positions) expect(Math.hypot(x, y)).toBeCloseTo(40, 9);
  });
  test("a count that overlaps is answered, with how much", () => expect(rings({ form: DISC, rings: [{ ...RING, count: 60 }] })[0]!.gapMm).toBeLessThan(0));
  test("on a wall positions are unrolled from the foot", () => {
    const [ring] = rings({ form: { kind: "cylinder", diameterMm: 80, heightMm: 90 }, rings: [{ at: { insetMm: 20 }, diameterMm: 6 }] });
    expect(ring!.positions[0]).toEqual([0, 70]);
    expect(Math.max(...ring!.positions.map(([x]) => x))).toBeLessThan(80 * Math.PI);
  });
  test("an inset on an oval is even at its long and its short side", () => {
    const [ring] = rings({
      form: { kind: "pebble", lengthMm: 100, widthMm: 70, thicknessMm: 30 },
      rings: [{ at: { insetMm: 10 }, diameterMm: 4, multipleOf: 4 }],
    });
    expect(Math.max(...ring!.positions.map(([x]) => x))).toBeCloseTo(40, 6);
    expect(Math.max(...ring!.positions.map(([, y]) => y))).toBeCloseTo(25, 6);
  });
});

describe("bad input, by its place", () => {
  test.each([
    [{}, "form", "missing"],
    [{ form: DISC }, "", "bad-value"],
    [{ form: DISC, rings: [RING], rows: [] }, "rows", "bad-value"],
    [{ form: { ...DISC, diameterMm: -3 }, rings: [RING] }, "form.diameterMm", "bad-value"],
    [{ form: { kind: "cone" }, rings: [RING] }, "form.kind", "bad-value"],
    [{ form: { kind: "custom", areaMm2: 900 }, rings: [RING] }, "zone", "bad-value"],
    [{ form: DISC, zone: "stem", rings: [RING] }, "zone", "bad-value"],
    [{ form: DISC, rings: [{ ...RING, at: { heightMm: 4 } }] }, "rings.0.at", "bad-value"],
    [{ form: DISC, rings: [RING, { ...RING, at: { radiusMm: 400 } }] }, "rings.1.at", "bad-value"],
    [{ form: DISC, rings: [{ ...RING, size: 3 }] }, "rings.0.size", "unknown-key"],
    [{ form: DISC, rows: [{ id: "a", kind: "stars", diameterMm: 3, colours: ["#ffffff"] }] }, "rows.0.kind", "bad-value"],
    [{ form: DISC, rows: [{ id: "a", kind: "dots", diameterMm: 3, colours: [] }] }, "rows.0.colours", "bad-value"],
    [{ form: DISC, template: { kind: "wrap", paper: "a4" } }, "template.kind", "bad-value"],
    [{ form: { ...DISC, diameterMm: 2800 }, template: { kind: "slices", paper: "a4" } }, "form", "bad-value"],
    [{ form: { kind: "plate", diameterMm: 100, rimWidthMm: 60 }, rings: [RING] }, "form.rimWidthMm", "bad-value"],
    [{ form: DISC, radiiMm: [1, 2, 3], rings: [RING] }, "radiiMm", "bad-value"],
  ])("%j", (document, path, code) => {
    const answer = answerMark(document);
    expect(answer.ok ? null : [answer.problem.path, answer.problem.code]).toEqual([path, code]);
  });
});

/** By hundredths: doubles drawn by their bits would nearly all be next to nothing. */
const mm = (least: number, most: number) => fc.integer({ min: Math.ceil(least * 100), max: most * 100 }).map((hundredths) => hundredths / 100);
const forms = fc
  .constantFrom(...(Object.keys(FORM_MEASURES) as FormKind[]))
  .chain((kind) =>
    fc
      .tuple(...FORM_MEASURES[kind].map((name) => mm(LEAST_LENGTH_MM, 400).map((value) => [name, value] as const)))
      .map((sizes) => ({ kind, ...Object.fromEntries(sizes) })),
  );
const rows = fc.array(
  fc.record(
    {
      kind: fc.constantFrom(...ROW_KINDS),
      diameterMm: mm(0.2, 60),
      gapMm: mm(0, 20),
      count: fc.integer({ min: 1, max: 300 }),
      seat: fc.constantFrom(...ROW_SEATS),
      steps: fc.integer({ min: 1, max: 12 }),
      at: mm(0, 200).map((insetMm) => ({ insetMm })),
    },
    { requiredKeys: ["kind", "diameterMm"] },
  ),
  { minLength: 1, maxLength: 6 },
);

test("any body and any rows are answered in whole numbers and finite ones, or turned away by their place: never by an error", () => {
  fc.assert(
    fc.property(
      forms,
      fc.constantFrom(undefined, "top", "outside", "rim", "body", "foot", "back", "inside", "inner-strip"),
      rows,
      fc.constantFrom("centre", "rim"),
      (form, zone, list, from) => {
        const at = zone === undefined ? {} : { zone };
        const laid = answerMark({ form, ...at, from, rows: list.map((row, k) => ({ ...row, id: `r${k}`, colours: ["#ffffff"] })) });
        if (laid.ok)
          for (const row of (laid.value as { readonly rows: readonly { readonly positions: readonly (readonly number[])[]; readonly lengthMm: number }[] })
            .rows)
            expect([row.lengthMm, ...row.positions.flat()].every(Number.isFinite)).toBe(true);
        else expect(laid.problem.path).not.toBe("");
        const ring = answerMark({ form, ...at, rings: [{ at: { insetMm: 3 }, diameterMm: 4 }] });
        if (ring.ok) for (const { positions } of (ring.value as Answer).rings) expect(positions.flat().every(Number.isFinite)).toBe(true);
      },
    ),
    { numRuns: 60 },
  );
});
