/** A piece as its painter would say it: what was said strong, what is taken soft, every part leading to its choices. */
import { expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { menuOf } from "#core/catalogue/menu";
import { changePiece } from "#core/coating/model/apply-changes";
import { completePiece } from "#core/piece/complete-piece";
import type { Layer, Piece } from "#core/piece/piece";
import { firstPlan, mug, pebble, pot, tray } from "../../../../tests/reference/bench";
import { ALSO, meantBy, sayable } from "./fact-words";
import { sayLayers } from "./say-layers";
import { FACT_LABELS, sentencesOf } from "./sentences";

const menu = menuOf(CATALOGUE);
const parts = (piece: Piece) => sentencesOf({ piece, assumed: completePiece(piece, CATALOGUE).assumed, menu, roomName: "An ordinary room (21 °C)" });
const told = (piece: Piece) =>
  parts(piece)
    .map((sentence) => sentence.map((part) => (typeof part === "string" ? part : part.soft ? `(${part.words})` : part.words)).join(""))
    .join(" ");

test("a pot as it would be told", () => {
  const piece = pot({
    object: "pot",
    parts: ["saucer"],
    conditions: ["dusty"],
    uses: ["planter", "outdoor-exposed"],
    count: 4,
    decoration: { techniques: ["bands", "dots"], baseColour: "#1f2f4d", colours: ["#f4efe2", "#d9822b"] },
    finish: "satin",
    constraints: { oven: false },
    wishes: { sealer: productId("outdoor-varnish") },
  });
  expect(told(piece)).toMatch(
    /^Terracotta: pot with saucer, 4 of them, dusty\. A planter with wet soil; outdoors, in sun and rain\. Navy all over, bands and dots in off-white and amber, with \(whatever suits\)\. Satin in the end\. \(An ordinary room \(21 °C\), still air\)\. No oven, no kiln\. Outdoor varnish on top\. \(Nothing was on it before\)\.$/,
  );
});

test("what nobody said is soft, and every assumption of the plan is told so", () => {
  for (const piece of [pebble({ decoration: { techniques: ["dots"] } }), mug(), tray()]) {
    const { assumed } = completePiece(piece, CATALOGUE);
    const soft = new Set(
      parts(piece)
        .flat()
        .flatMap((part) => (typeof part !== "string" && part.soft ? [part.fact as string] : [])),
    );
    const fact = (path: string) =>
      path
        .replace(/^room\..*/, "room")
        .replace(/^constraints\..*/, "limits")
        .replace("decoration.baseColour", "base")
        .replace("decoration.", "");
    for (const { path } of assumed) expect([path, soft.has(fact(path))]).toEqual([path, true]);
  }
});

test("every fact has a part that opens it: once there is decoration, or it is said what goes where", () => {
  const dotted = pebble({ decoration: { techniques: ["dots"] } });
  const opened = (piece: Piece) => parts(piece).flatMap((sentence) => sentence.flatMap((part) => (typeof part === "string" ? [] : [part.fact])));
  const layered = changePiece(dotted, [{ op: "setPiece", path: "decoration.layers", value: sayLayers(dotted) }]);
  expect([...new Set([...opened(dotted), ...opened(layered)])].sort()).toEqual(Object.keys(FACT_LABELS).sort());
  for (const piece of [dotted, layered]) expect(new Set(opened(piece)).size).toBe(opened(piece).length);
});

test("what goes where, said just as it was taken, changes no step of the plan; a layer in another place is laid there", () => {
  const piece = pot({ uses: ["indoor-display"], decoration: { techniques: ["dots", "bands"], baseColour: "#1f2f4d", colours: ["#f4efe2", "#d9822b"] } });
  const said = (layers: readonly Layer[]) => changePiece(piece, [{ op: "setPiece", path: "decoration.layers", value: layers }]);
  expect(firstPlan(said(sayLayers(piece))).zones).toEqual(firstPlan(piece).zones);
  const more: readonly Layer[] = [...sayLayers(piece), { technique: "dots", colour: "#d9822b", zone: "rim" }];
  expect(told(said(more))).toContain("Navy all over, then dots in off-white on the outside; bands in amber on the outside; dots in amber on the rim.");
  expect(
    firstPlan(said(more))
      .zones.find(({ zone }) => zone === "rim")!
      .steps.some(({ role }) => role === "decorate"),
  ).toBe(true);
  const plain = pot({ uses: ["indoor-display"] });
  expect([sayLayers(plain), sayLayers(plain, true).map(({ zone }) => zone)]).toEqual([[], ["outside"]]);
});

test("what is wrong with it is found by other words too, said, and taken back", () => {
  const piece = pebble({});
  const [first] = meantBy("varnished", sayable(piece, menu));
  expect(first?.name).toBe("Old glossy coat");
  const said = changePiece(piece, first!.changes);
  expect(said.conditions).toEqual(["glossy-coating"]);
  const again = meantBy("old glossy", sayable(said, menu))[0]!;
  expect([again.on, changePiece(said, again.changes).conditions]).toEqual([true, []]);
  expect(meantBy("  ", sayable(piece, menu))).toEqual([]);
  expect(meantBy("zzz", sayable(piece, menu))).toEqual([]);
});

test("other words are of things there are; the last use of a piece cannot be taken back", () => {
  const known = [menu.conditions, menu.uses, menu.techniques, menu.objects, menu.materials].flatMap((list) => list.map(({ id }) => id));
  expect(Object.keys(ALSO).filter((id) => !known.includes(id))).toEqual([]);
  const things = sayable(pebble({ uses: ["indoor-display"] }), menu);
  expect(things.some((thing) => thing.fact === "uses" && thing.on)).toBe(false);
});
