/** The headless door, in process and once as a command; and the examples of its page, which have to go on working. */
import { describe, expect, test } from "@jest/globals";
import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { throughDoor } from "./cli-door";

function door(verb: string, input: string) {
  const { exitCode, stdout, stderr } = throughDoor([verb], () => input);
  return { status: exitCode, stdout, stderr: stderr.trim() };
}

const page = readFileSync("docs/headless.md", "utf8");
const examples = [...page.matchAll(/npm run -s core -- (\w+) <<'JSON'\n([\s\S]*?)\nJSON/g)].map(([, verb, input]) => ({ verb: verb!, input: input! }));

describe("the examples of docs/headless.md", () => {
  test("there is one for each verb, one for all that plan takes, and one for each shape of mark and of cast", () =>
    expect(examples.map((one) => one.verb)).toEqual([
      "plan",
      "plan",
      "check",
      "thin",
      "film",
      "hide",
      "tint",
      "dry",
      "learn",
      "schedule",
      "mark",
      "mark",
      "mark",
      "area",
      "cast",
      "cast",
      "cast",
      "merge",
    ]));

  test.each(examples)("$verb answers with one JSON document and nothing else", ({ verb, input }) => {
    const { status, stdout, stderr } = door(verb, input);
    expect(stderr).toBe("");
    expect(status).toBe(0);
    const answer = JSON.parse(stdout);
    if (verb === "plan") {
      expect(answer).toMatchObject({ format: "nook-coat/plan-set", version: 1, refusal: null });
      expect(answer.candidates.length).toBeGreaterThanOrEqual(input.includes("shelfOnly") ? 1 : 2);
    }
    if (verb === "check") expect(answer.findings.map((one: { code: string }) => one.code)).toEqual(expect.arrayContaining(["surface-greasy", "no-key"]));
    if (verb === "thin") {
      expect(answer).toMatchObject({ with: "water", percent: expect.any(Number), body: { wanted: "self-levels" } });
      expect(answer.drops.to).toBeGreaterThanOrEqual(answer.drops.from);
    }
    // 540 cm² of bare terracotta: two coats of 75 µm, what it drinks, and what the brush keeps twice.
    if (verb === "film") expect(answer.volumeMl).toBeCloseTo(0.054 * (2 * 75 + 90) + 2 * 0.5, 9);
    if (verb === "cast" && input.includes("moulds")) expect(answer).toMatchObject({ batches: 2, bowls: expect.any(Array), pours: 4 });
    if (verb === "cast" && input.includes("overshoot")) expect(answer.extraG).toBeCloseTo(64.9, 1);
    if (verb === "cast" && input.includes("drying"))
      expect(answer).toMatchObject({ constant: false, lostG: 91, constantTo: expect.stringContaining("2026-12-") });
    if (verb === "hide") expect(answer).toMatchObject({ coats: 3, perCoat: expect.any(Array), underlay: null });
    if (verb === "tint") expect(answer).toMatchObject({ reachable: true, recipes: expect.arrayContaining([expect.objectContaining({ startWith: "white" })]) });
    if (verb === "merge") {
      expect(answer).toMatchObject({
        taken: { rooms: 1 },
        clashes: [{ store: "rooms", id: "backroom0001", field: "name", mine: "Back room", theirs: "Back kitchen" }],
      });
      expect(answer.bundle.rooms).toMatchObject([{ name: "Back room", room: { temperatureC: 18 } }]);
    }
    if (verb === "area") expect(answer.zones[0].areaMm2).toBeCloseTo(Math.PI * (101.5 + 70) * Math.hypot(190, 31.5), 6);
  });
});

describe("bad input: exit 2, the place and the reason on standard error, nothing on standard output", () => {
  const good = JSON.parse(examples[0]!.input);
  test.each([
    ["plan", "{ not json", "not-json", ""],
    ["plan", "[]", "not-a-piece", ""],
    ["plan", JSON.stringify({ ...good, material: "moon-rock" }), "unknown-id", "material"],
    ["plan", JSON.stringify({ ...good, version: 2 }), "too-new", "version"],
    ["plan", JSON.stringify({ ...good, colour: "red" }), "unknown-key", "colour"],
    ["plan", JSON.stringify({ ...good, form: { kind: "pebble", lengthMm: "95", widthMm: 70, thicknessMm: 40 } }), "bad-value", "form.lengthMm"],
    ["plan", JSON.stringify({ ...good, form: { kind: "pebble", lengthMm: 95 } }), "missing", "form.widthMm"],
    ["plan", JSON.stringify({ ...good, uses: [] }), "bad-value", "uses"],
    ["plan", JSON.stringify({ piece: { ...good, uses: ["handled", "flying"] } }), "unknown-id", "piece.uses.1"],
    [
      "check",
      JSON.stringify({ piece: good, zones: [{ zone: "top", steps: [{ role: "base", product: "moon-paint" }] }] }),
      "unknown-id",
      "zones.0.steps.0.product",
    ],
    ["check", JSON.stringify({ piece: good, zones: [{ zone: "top", steps: [{ role: "polish", product: "gesso" }] }] }), "bad-value", "zones.0.steps.0.role"],
    ["thin", JSON.stringify({ product: "moon-paint", purpose: "base" }), "unknown-id", "product"],
    ["thin", JSON.stringify({ product: "acrylic-paint-pen", purpose: "fine-lines" }), "bad-value", "product"],
    ["thin", JSON.stringify({ product: "craft-acrylic", purpose: "polish" }), "bad-value", "purpose"],
    ["thin", JSON.stringify({ product: "craft-acrylic", purpose: "base", percent: -5 }), "bad-value", "percent"],
    ["thin", JSON.stringify({ product: "craft-acrylic", purpose: "base", puddleMl: 0 }), "bad-value", "puddleMl"],
    ["thin", JSON.stringify({ product: "craft-acrylic", purpose: "base", material: "moon-rock" }), "unknown-id", "material"],
    ["mix", "{}", "bad-verb", ""],
  ])("%s %s", (verb, input, code, path) => {
    const { status, stdout, stderr } = door(verb, input);
    expect({ status, stdout }).toEqual({ status: 2, stdout: "" });
    expect(JSON.parse(stderr).error).toMatchObject({ code, path });
    expect(JSON.parse(stderr).error.message.length).toBeGreaterThan(5);
  });
});

test("the command gives what the function gives: document, error, exit code", () => {
  for (const [verb, input] of [
    ["area", examples.find((one) => one.verb === "area")!.input],
    ["plan", "[]"],
  ] as const) {
    const { status, stdout, stderr } = spawnSync(process.execPath, ["--import", "tsx", "core/cli.ts", verb], { input, encoding: "utf8" });
    expect({ status, stdout, stderr: stderr.trim() }).toEqual(door(verb, input));
  }
});

test("a refusal is an answer: exit 0", () => {
  const refused = { ...JSON.parse(examples[0]!.input), room: { temperatureC: 2 } };
  const { status, stdout } = door("plan", JSON.stringify(refused));
  expect(status).toBe(0);
  expect(JSON.parse(stdout)).toMatchObject({ candidates: [], refusal: { code: "too-cold" } });
});
