/** A step that goes and one that comes in its place are one change to the reader. */
import { expect, test } from "@jest/globals";
import { productId } from "../../catalogue/ids";
import type { StepId } from "../../catalogue/ids";
import type { Role, ZoneId } from "../../catalogue/vocabulary";
import { replacementsIn } from "./replacements";
import type { Change } from "./change";
import type { StepChoice } from "./step";

const step = (id: string, role: Role, product: string) => ({ id: id as StepId, role, product: productId(product) }) as StepChoice;
const gone = [step("top.seal", "seal", "acrylic-varnish"), step("edge.seal", "seal", "acrylic-varnish"), step("top.base", "base", "craft-acrylic")];
const steps = new Map(gone.map((one) => [one.id, one]));
const remove = (id: string): Change => ({ op: "remove", stepId: id as StepId });
const add = (zone: ZoneId, role: Role, product: string): Change => ({ op: "add", zone, at: { start: true }, step: step(`${zone}.new`, role, product) });

test("pairs what is done in the same place for the same purpose, and nothing else", () => {
  const seal = add("top", "seal", "polyurethane");
  const mark = add("top", "mark", "pencil");
  const pairs = replacementsIn([remove("top.base"), remove("edge.seal"), remove("top.seal"), seal, mark], steps);
  expect([...pairs].map(([one, old]) => [one.step.product, old.id])).toEqual([["polyurethane", "top.seal"]]);
});

test("what went is told once, though two steps came", () => {
  const pairs = replacementsIn([remove("top.seal"), add("top", "seal", "polyurethane"), add("top", "seal", "paste-wax")], steps);
  expect([...pairs.keys()].map((one) => one.step.product)).toEqual(["polyurethane"]);
});
