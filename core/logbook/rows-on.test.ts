import { expect, test } from "@jest/globals";
import type { StepId } from "../catalogue/ids";
import type { StepState } from "./coat-states";
import { rowsOn } from "./rows-on";

test("a row is on when all its colours are, wet or dry; one of whose colours is still to come is not", () => {
  const row = (id: string) => ({ id, name: "Dots", count: 8, diameterMm: 4 });
  const steps = [
    { id: "cream" as StepId, rows: [row("a"), row("turns")] },
    { id: "amber" as StepId, rows: [row("turns")] },
    { id: "green" as StepId, rows: [row("b")] },
    { id: "seal" as StepId },
  ];
  const at = (states: Readonly<Record<string, StepState["state"]>>) =>
    new Map(Object.entries(states).map(([id, state]) => [id as StepId, { state } as StepState]));
  expect([...rowsOn(steps, at({ cream: "done", amber: "ready", green: "waiting" }))]).toEqual(["a"]);
  expect([...rowsOn(steps, at({ cream: "done", amber: "wet", green: "waiting" }))]).toEqual(["a", "turns"]);
  expect(rowsOn(steps, new Map()).size).toBe(0);
});
