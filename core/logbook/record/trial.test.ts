/** Trials: what is laid beside what, what was seen when, and never more said than one body shows. */
import { expect, test } from "@jest/globals";
import { look } from "../../../tests/reference/records";
import { trialDays, trialSays } from "./trial";
import type { TrialSpot } from "./trial";

const spot = (what: string, ...looks: TrialSpot["looks"]): TrialSpot => ({ id: what, what, looks, ...(what === "bare" ? { bare: true as const } : {}) });

test("days stand in their order, with what each field showed on them", () => {
  const spots = [spot("A", look(30, "fine"), look(200, "yellowed")), spot("B", look(200, "fine")), spot("bare", look(30, "faded"))];
  expect(trialDays({ spots })).toEqual([
    { on: "2026-04-09", saw: [["fine"], null, ["faded"]] },
    { on: "2026-09-26", saw: [["yellowed"], ["fine"], null] },
  ]);
});

test("it says which held where which did not, that one trial is one case, and what the bare field is for", () => {
  const says = (...spots: readonly TrialSpot[]) => trialSays({ spots });
  expect(says(spot("A"), spot("B"))).toBeNull();
  expect(says(spot("A", look(30, "fine")), spot("B", look(30, "fine")))!.text).toBe("Nothing has suffered yet: all are alike so far.");
  const told = says(
    spot("A", look(30, "fine"), look(200, "fine")),
    spot("B", look(30, "fine"), look(200, "yellowed", "cloudy")),
    spot("bare", look(200, "faded")),
  )!;
  expect(told.suffered).toEqual([
    { what: "“B”", on: "2026-09-26", saw: ["yellowed", "cloudy"] },
    { what: "the bare field", on: "2026-09-26", saw: ["faded"] },
  ]);
  expect(told.text).toBe(
    "On this one, “A” held where “B” and the bare field did not; the bare field shows what is the body's own. One trial is one case: lay it again before you lean on it.",
  );
  expect(says(spot("A", look(20, "sticky")), spot("B", look(20, "peeling")))!.text).toContain("made no difference here");
  // What nobody looked at is not called fine.
  expect(says(spot("A", look(20, "fine")), spot("B"))!.fine).toEqual(["“A”"]);
});
