/** The same piece again: the plan comes from the record, scaled to the new body; what is gone from the shelf is replaced and said. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId } from "../../catalogue/ids";
import type { PieceId } from "../../catalogue/ids";
import { withOwnProducts } from "../../catalogue/own-product";
import type { OwnProduct } from "../../catalogue/own-product";
import { applyRecipe } from "../../coating/planner/apply-recipe";
import { planPiece } from "../../coating/planner/plan-piece";
import { FORM_MEASURES } from "../../piece/form";
import type { Form } from "../../piece/form";
import { Bench } from "../../../tests/reference/half-painted";
import { jar, mug, pebble, pot } from "../../../tests/reference/bench";
import { line, record, sealed } from "../../../tests/reference/records";
import { recordOf } from "./record-of";
import { pieceAgain, recipeOfRecord, scaledForm } from "./recipe-of-record";
import { replacedPaints } from "./replaced";

const FILMS = new Set(["size", "prime", "base", "decorate", "top-dot", "isolate", "lock", "seal"]);

describe("a piece that was worked to its end, made again from its record", () => {
  test.each([
    ["a pebble", pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] } })],
    ["a pot", pot({ uses: ["planter", "outdoor-exposed"], decoration: { techniques: ["bands"], baseColour: "#1f3a4d", colours: ["#f4efe2"] } })],
    ["a jar", jar({ uses: ["candle"], decoration: { techniques: ["freehand-brush"], colours: ["#1f3a4d"] } })],
    ["a mug", mug({ decoration: { techniques: ["dots"], colours: ["#c8402f"] }, wishes: { route: "bake" } })],
  ])("%s gets the films it had, in their places and in their order", (_name, piece) => {
    const bench = new Bench(piece).work(80);
    const made = recordOf(
      { pieceId: "piece" as PieceId, piece: bench.piece, progress: bench.progress, checks: [], pictures: [], jars: [], pours: [] },
      CATALOGUE,
      "UTC",
    );
    const again = pieceAgain(piece, { name: "Again", form: piece.form, count: 6 });
    const { plan } = applyRecipe(recipeOfRecord(made, CATALOGUE)!, planPiece(again, CATALOGUE).candidates, again, CATALOGUE);
    const films = (steps: readonly { readonly role: string; readonly product: string; readonly colour?: string; readonly coats?: number }[]) =>
      steps.filter(({ role }) => FILMS.has(role)).map(({ role, product, colour, coats }) => [role, product, colour ?? "", coats].join("/"));
    const before = (zone: string) => films(bench.view.shown!.zones.find((one) => one.zone === zone)!.steps);
    for (const { zone, steps } of plan.zones) expect([zone, films(steps)]).toEqual([zone, before(zone)]);
    expect(plan.findings.filter(({ severity }) => severity === "stop")).toEqual([]);
  });
});

test("what is told in words, or was never laid, cannot be followed", () => {
  expect(recipeOfRecord(record(), CATALOGUE)).toBeNull();
  const { piece: _piece, ...told } = record({ work: [line({ title: "Base" })] });
  expect(recipeOfRecord(told, CATALOGUE)).toBeNull();
});

test("the new body is bare and waits as its material does; a form grows in every measure, an area by its square", () => {
  const piece = { ...pebble(), body: { weightG: 40 }, done: [] };
  expect(pieceAgain(piece, { name: "Six", form: piece.form, count: 6 })).toEqual({ ...pebble(), name: "Six", count: 6 });
  expect(scaledForm({ kind: "custom", areaMm2: 1000 }, 2)).toEqual({ kind: "custom", areaMm2: 4000 });
  for (const [kind, names] of Object.entries(FORM_MEASURES)) {
    if (kind === "custom") continue;
    const form = { kind, ...Object.fromEntries(names.map((name, index) => [name, 40 + 10 * index])) } as unknown as Form;
    const twice = scaledForm(form, 1.5) as unknown as Record<string, number>;
    for (const [index, name] of names.entries()) expect(twice[name]).toBe((40 + 10 * index) * 1.5);
  }
});

describe("paints that are gone", () => {
  const craft = productId("craft-acrylic");
  const piece = pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["solid"], baseColour: "#1f3a4d" } });
  const own = (id: string, name: string, colour: string): OwnProduct => ({ id, classId: craft, name, colour });
  const navy = { id: "old", name: "Harbour navy" };
  const zones = ["top", "back"] as const;
  const was = record({
    piece,
    work: [line({ zones, title: "Base colour: Harbour navy", colour: "#1f3a4d", jar: navy, coats: 2 }), sealed("matt varnish", "acrylic-varnish")],
  });
  const planned = (shelf: readonly OwnProduct[]) => planPiece(piece, shelf.length > 0 ? withOwnProducts(CATALOGUE, shelf) : CATALOGUE).candidates[0]!.zones;
  const told = (shelf: readonly OwnProduct[], left?: number) =>
    replacedPaints(
      was,
      planned(shelf),
      shelf.map(({ id, name, colour }) => ({ id, name, ...(colour === undefined ? {} : { colour }), ...(left === undefined ? {} : { leftMl: left }) })),
    );

  test("a jar of the same colour is taken, and said; the same jar, or its namesake, is no replacement; an empty one is none", () => {
    expect(told([own("new", "Deep navy", "#1f3a4d")])).toMatchObject([{ was: "Harbour navy", now: "Deep navy", apart: 0 }]);
    expect(told([own("old", "Harbour navy", "#1f3a4d")])).toEqual([]);
    expect(told([own("other", "harbour navy", "#1f3a4d")])).toEqual([]);
    expect(told([own("new", "Deep navy", "#1f3a4d")], 0)).toMatchObject([{ was: "Harbour navy", now: null }]);
    expect(told([])).toMatchObject([{ was: "Harbour navy", wasColour: "#1f3a4d", now: null, nowColour: null, apart: null }]);
  });
});
