/** What somebody has in mind, or has done: judged, made a plan of, gone on from. */
import { expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { withOwnProducts } from "../../catalogue/own-product";
import { ownProductsOf } from "../../shelf/own-products";
import { readSequence } from "../model/read-sequence";
import { planOnBody } from "../../logbook/plan-on-body";
import { saidDone } from "../../logbook/said-done";
import type { ProgressRecord } from "../../logbook/progress";
import type { Piece } from "../../piece/piece";
import { pebble, pot } from "../../../tests/reference/bench";
import { checkMine } from "./check-mine";
import { planPiece } from "./plan-piece";
import { planWithEdits } from "./plan-with-edits";

const mine = (text: string, piece: Piece) => {
  const said = readSequence(text, "2026-11-26", CATALOGUE).steps;
  return { said, ...checkMine(said, planPiece(piece, CATALOGUE).candidates, piece, CATALOGUE) };
};
const codes = (text: string, piece: Piece) => mine(text, piece).findings.map(({ code }) => code);

test("no primer, resin on top, outdoors: it says what that costs; a sound sequence has no fault", () => {
  const outdoors = pebble({ uses: ["outdoor-exposed"] });
  expect(codes("two coats of navy craft acrylic, resin", outdoors)).toContain("resin-in-sun");
  const indoors = pebble({ uses: ["indoor-display"], conditions: [] });
  const faults = mine("washed, gesso, three coats of navy craft acrylic, acrylic varnish", indoors).findings.filter(
    ({ severity }) => severity === "stop" || severity === "warn",
  );
  expect(faults.map(({ code }) => code)).toEqual([]);
});

test("a colour no jar of hers has is told as missing; one she mixes is not", () => {
  const navy = { id: "navyjar00001", name: "Harbour navy", classId: "craft-acrylic", colour: "#1f3a4d", label: {} };
  const own = ownProductsOf([navy as unknown as Parameters<typeof ownProductsOf>[0][number]], new Map(), CATALOGUE, "2026-11-26");
  const catalogue = withOwnProducts(CATALOGUE, own);
  const piece = pebble({ uses: ["indoor-display"] });
  const told = (text: string) =>
    checkMine(readSequence(text, "2026-11-26", catalogue).steps, planPiece(piece, catalogue).candidates, piece, catalogue).findings.map(({ code }) => code);
  expect(told("gesso, two coats of yellow craft acrylic")).toContain("colour-not-owned");
  expect(told("gesso, two coats of craft acrylic in yellow mixed with a little red")).not.toContain("colour-not-owned");
});

test("made a plan it is just hers: her steps in her order, decoration where it belongs", () => {
  const piece = pot({ uses: ["indoor-display"], decoration: { techniques: ["dots"] } });
  const { on, edits, plan } = mine("gesso, two coats of navy craft acrylic, chalk rings, cream dots, matt varnish", piece);
  const shown = planWithEdits(piece, { candidateId: on.id, school: on.school, edits }, CATALOGUE);
  expect(shown.lost).toEqual([]);
  const roles = (zone: string) => shown.shown!.zones.find((one) => one.zone === zone)!.steps.map(({ role }) => role);
  expect(roles("outside")).toEqual(["prime", "base", "mark", "decorate", "seal", "cure"]);
  expect(roles("rim")).toEqual(["prime", "base", "seal", "cure"]);
  // What is shown before it is followed is what comes of following it; her two coats stay two, though three would hide.
  expect(plan.zones).toEqual(shown.shown!.zones);
  expect(shown.shown!.zones[0]!.steps.find(({ role }) => role === "base")!.coats).toBe(2);
  expect(shown.shown!.findings.map(({ code }) => code)).toContain("coats-do-not-hide");
});

test("done already, the plan goes on from there: nothing that is on is asked for again", () => {
  const piece = pebble({ uses: ["indoor-display"], decoration: { techniques: ["dots"], baseColour: "#1f2f4d" } });
  const { said, on, plan } = mine("washed on Friday, gesso on Sunday, two navy coats", piece);
  const done = saidDone(said, plan);
  expect(done.map(({ day, coats }) => [day, coats.map(({ act, coat }) => `${act.role} ${coat}`)])).toEqual([
    ["2026-11-20", expect.arrayContaining(["clean 1"])],
    ["2026-11-22", expect.arrayContaining(["prime 1", "base 1", "base 2"])],
  ]);
  const progress = done.flatMap(({ day, coats }) =>
    coats.map(
      (coat, index) =>
        ({ ...coat, id: `done${day}${index}`, rev: 1, pieceId: "p", planId: "q", kind: "done", at: `${day}T12:00:00.000Z` }) as unknown as ProgressRecord,
    ),
  );
  const view = planOnBody(piece, { candidateId: on.id, school: on.school, edits: [] }, progress, CATALOGUE);
  const open = view.shown!.zones[0]!.steps.filter((step) => !step.done && ![...view.done.keys()].some((task) => task.startsWith(`${step.id}:`)));
  expect(open.map(({ role }) => role)).not.toContain("prime");
  expect(open.map(({ role }) => role)).toEqual(expect.arrayContaining(["decorate", "seal"]));
});

test("of what is done without a number one coat is noted: the rest is asked for", () => {
  const piece = pebble({ uses: ["indoor-display"] });
  const { said, plan } = mine("gesso yesterday, navy craft acrylic", piece);
  const base = saidDone(said, plan).flatMap(({ coats }) => coats.filter(({ act }) => act.role === "base"));
  expect(base.map(({ coat }) => coat)).toEqual([1]);
});
