import { expect, test } from "@jest/globals";
import { stageAt } from "./photo-stage";
import type { ProgressRecord } from "./progress";

const noted = (kind: ProgressRecord["kind"], stepId: string, hour: number) =>
  ({ kind, stepId, zone: "top", coat: 1, act: { role: stepId }, at: `2026-11-20T${String(hour).padStart(2, "0")}:00:00.000Z` }) as unknown as ProgressRecord;
const at = (hour: number) => `2026-11-20T${String(hour).padStart(2, "0")}:30:00.000Z`;

test("a photograph is of what stood on the piece then: nothing, the last coat, and not one that had been taken off again", () => {
  const progress = [noted("done", "prime", 10), noted("started", "base", 11), noted("done", "base", 12), noted("removed", "base", 14)];
  const role = (hour: number) => stageAt(progress, at(hour))?.role ?? null;
  expect([role(9), role(10), role(11), role(12), role(14)]).toEqual([null, "prime", "prime", "base", "prime"]);
});
