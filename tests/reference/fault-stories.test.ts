/** Every rule, told by a real sequence that fails and one that does not; and every fix it offers, tried. */
import { describe, expect, test } from "@jest/globals";
import { readFileSync } from "node:fs";
import { durabilityAsMarkdown } from "#core/coating/explain/durability-page";
import { rulesAsMarkdown } from "#core/coating/rules/as-markdown";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { SEVERITIES } from "#core/catalogue/vocabulary";
import { applyChanges, changePiece } from "#core/coating/model/apply-changes";
import { checkSteps } from "#core/coating/rules/check-steps";
import { RULES } from "#core/coating/rules/rules";
import { stacks } from "./bench";
import { GROUND_STORIES } from "./stories/ground";
import { GUIDE_STORIES } from "./stories/guides";
import { HEAT_PEOPLE_ROOM_STORIES } from "./stories/heat-people-room";
import { SEALING_STORIES } from "./stories/sealing";
import { BODY_AND_KILN_STORIES } from "./stories/bodies-and-kiln";
import type { Story } from "./stories/story";
import { SURFACE_STORIES } from "./stories/surface";

const STORIES: readonly Story[] = [
  ...SURFACE_STORIES,
  ...GROUND_STORIES,
  ...GUIDE_STORIES,
  ...SEALING_STORIES,
  ...HEAT_PEOPLE_ROOM_STORIES,
  ...BODY_AND_KILN_STORIES,
];

const fired = (story: Story) => checkSteps(story.piece, stacks(story.wrong), CATALOGUE).find((one) => one.code === story.code);

describe.each(STORIES.map((story) => [`${story.code}: ${story.tells}`, story] as const))("%s", (_name, story) => {
  test("the rule fires as gravely as told, and says why and what to do", () => {
    const found = fired(story);
    expect(found).toMatchObject({ severity: story.severity });
    for (const text of [found!.message, found!.why, found!.fix.text]) {
      expect(text.length).toBeGreaterThan(10);
      expect(text).not.toMatch(/[{}]|undefined|null/);
    }
  });

  test("the sound way raises it no more", () => {
    const still = checkSteps(story.rightPiece ?? story.piece, stacks(story.right), CATALOGUE).filter((one) => one.code === story.code);
    expect(still.filter((one) => one.severity === story.severity)).toEqual([]);
  });

  test("its fix, where there is one, clears it and brings no stop", () => {
    const change = fired(story)!.fix.change;
    if (!change) return;
    const before = checkSteps(story.piece, stacks(story.wrong), CATALOGUE);
    const after = checkSteps(changePiece(story.piece, change), applyChanges(stacks(story.wrong), change).zones, CATALOGUE);
    const first = before.find((one) => one.code === story.code)!;
    expect(after.filter((one) => one.code === story.code && one.stepId === first.stepId && one.severity === story.severity)).toEqual([]);
    const stops = (findings: typeof before) => findings.filter((one) => one.severity === "stop").map((one) => one.code);
    expect(stops(after).filter((code) => !stops(before).includes(code))).toEqual([]);
  });
});

test("every rule has a story, so that taking a rule away fails a test", () => {
  const told = new Set(STORIES.map((story) => story.code));
  // A jar of another colour and an old sealer are of the user's own shelf, what suffered before of their records: they have their tests there.
  expect(RULES.filter((rule) => !told.has(rule.code)).map((rule) => rule.code)).toEqual(["colour-not-owned", "suffered-before", "old-sealer"]);
  expect(RULES.length).toBeGreaterThanOrEqual(30);
});

test("no two rules share a code, and every row is complete", () => {
  expect(new Set(RULES.map((rule) => rule.code)).size).toBe(RULES.length);
  for (const rule of RULES) {
    expect(SEVERITIES).toContain(rule.severity);
    for (const text of [rule.when, rule.message, rule.why, rule.fix]) expect(text.length).toBeGreaterThan(8);
  }
});

test("what is not said is not invented: an unsaid wait is a note with an if, never a fault", () => {
  const unsaid = STORIES.find((story) => story.code === "seal-too-early")!;
  const { top = [] } = unsaid.wrong;
  const findings = checkSteps(unsaid.piece, stacks({ top: top.map(({ waitBefore: _wait, ...step }) => step) }), CATALOGUE);
  const said = findings.find((one) => one.code === "seal-too-early");
  expect(said?.severity).toBe("note");
  expect(said?.message).toMatch(/^If you have not/);
});

test("docs/rules.md and docs/durability.md are written out of these very rules and grades", () => {
  expect(readFileSync("docs/rules.md", "utf8")).toBe(rulesAsMarkdown());
  expect(readFileSync("docs/durability.md", "utf8")).toBe(durabilityAsMarkdown(CATALOGUE));
});
