/** Sound plans, damaged as they are damaged at the table: how much of it the rules notice. */
import { describe, expect, test } from "@jest/globals";
import { readFileSync } from "node:fs";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { TechniqueId } from "#core/catalogue/vocabulary";
import { applyChanges, changePiece } from "#core/coating/model/apply-changes";
import { checkSteps } from "#core/coating/rules/check-steps";
import type { Candidate, Finding } from "#core/coating/model/plan";
import { planPiece } from "#core/coating/planner/plan-piece";
import { completePiece } from "#core/piece/complete-piece";
import type { Piece } from "#core/piece/piece";
import { gypsum, goblet, jar, mug, pebble, piece, plate, pot, rough, tray, woodDisc } from "../bench";
import { AFTER_PAINT } from "./after-paint";
import { BEFORE_PAINT } from "./before-paint";
import type { Zones } from "./damage";
import { IN_THE_PAINT } from "./in-the-paint";

const DAMAGES = [...BEFORE_PAINT, ...IN_THE_PAINT, ...AFTER_PAINT];
const SEED = 20261124;
const LEAST_TRIES = 10;
const LEAST_CAUGHT = 0.98;

/** Mulberry32: small, seeded, the same everywhere. */
function seeded(seed: number): (count: number) => number {
  let state = seed;
  return (count) => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return Math.floor((((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296) * count);
  };
}

const NAVY = "#1f3a4d";
const CREAM = "#f4efe2";
const SETS: readonly (readonly TechniqueId[])[] = [["dots"], ["bands", "dots"], ["freehand-brush"], ["lettering"], ["effect-powder"], ["metallic-wash"], []];

/** Pieces of every material, in the uses that damage shows in. */
function pieces(): readonly Piece[] {
  const colours = (techniques: readonly TechniqueId[], baseColour: string | null = NAVY) => ({
    decoration: { techniques, baseColour, colours: [baseColour === CREAM ? NAVY : CREAM] },
  });
  return SETS.flatMap((set) => [
    pebble({ uses: ["gift-or-sale"], ...colours(set) }),
    pebble({ uses: ["handled"], conditions: ["beach-found"], ...colours(set, CREAM) }),
    pebble({ uses: ["outdoor-exposed"], ...colours(set) }),
    rough({ uses: ["outdoor-exposed"], conditions: ["pitted"], ...colours(set) }),
    pebble({ uses: ["child-made"], ...colours(set) }),
    piece({ material: "slate", object: "sign", form: { kind: "box", lengthMm: 300, widthMm: 150, heightMm: 8 }, uses: ["handled"], ...colours(set, CREAM) }),
    pot({ uses: ["planter"], ...colours(set) }),
    pot({ uses: ["planter", "outdoor-exposed"], conditions: ["efflorescence"], parts: ["saucer"], ...colours(set) }),
    gypsum({ uses: ["gift-or-sale"], conditions: ["air-holes"], ...colours(set) }),
    piece({ material: "concrete-cast", object: "pot", form: { kind: "cylinder", diameterMm: 120, heightMm: 110 }, uses: ["handled"], ...colours(set) }),
    mug({ wishes: { route: "bake" }, decoration: { techniques: set.length > 0 ? set : ["dots"], colours: [NAVY] } }),
    goblet({ wishes: { route: "bake" }, decoration: { techniques: ["dots"], colours: [NAVY] } }),
    jar({ uses: ["candle"], decoration: { techniques: ["freehand-brush"], colours: [NAVY] } }),
    plate({ decoration: { techniques: set.filter((one) => one !== "effect-powder" && one !== "metallic-wash"), baseColour: NAVY, colours: [CREAM] } }),
    tray({ ...colours(set, CREAM) }),
    woodDisc({ uses: ["gift-or-sale"], ...colours(set) }),
    piece({
      material: "wood-softwood",
      object: "disc",
      form: { kind: "disc", diameterMm: 200, thicknessMm: 12 },
      uses: ["handled"],
      conditions: ["knots"],
      ...colours(set, CREAM),
    }),
    woodDisc({ uses: ["handled"], conditions: ["glossy-coating"], ...colours(set) }),
  ]);
}

interface Sound {
  readonly piece: Piece;
  readonly candidate: Candidate;
}

const SOUND: readonly Sound[] = pieces().flatMap((one) =>
  planPiece(one, CATALOGUE)
    .candidates.slice(0, 3)
    .map((candidate) => ({ piece: one, candidate })),
);

const grave = (findings: readonly Finding[]) => findings.filter((one) => one.severity === "stop" || one.severity === "warn");
const key = (one: Finding) => `${one.code}|${one.zone}|${one.stepId}|${one.severity}`;

test("enough of the trade is here to damage", () => {
  expect(SOUND.length).toBeGreaterThan(200);
  expect(DAMAGES.length).toBeGreaterThanOrEqual(30);
  expect(new Set(DAMAGES.map((one) => one.kind)).size).toBe(DAMAGES.length);
});

describe("undamaged plans", () => {
  const forced = new Set([...readFileSync("docs/forced-warnings.md", "utf8").matchAll(/^\| `([a-z-]+)`/gm)].map((match) => match[1]));
  test("raise no likely fault but those the piece itself forces, which are listed", () => {
    const raised = new Set(SOUND.flatMap(({ candidate }) => grave(candidate.findings).map((one) => one.code)));
    expect([...raised].filter((code) => !forced.has(code))).toEqual([]);
  });
});

test("damage is noticed: every kind tried twenty times or more, 98 % caught", () => {
  const pick = seeded(SEED);
  const lines: string[] = [];
  let [tried, caught] = [0, 0];
  for (const { kind, spoil } of DAMAGES) {
    let [own, seen] = [0, 0];
    const missed: string[] = [];
    for (let round = 0; round < 9000 && own < LEAST_TRIES; round += 1) {
      const { piece: of, candidate } = SOUND[pick(SOUND.length)]!;
      const spoilt: Zones | null = spoil(candidate.zones, completePiece(of, CATALOGUE).piece, pick);
      if (!spoilt) continue;
      own += 1;
      const before = new Set(grave(candidate.findings).map(key));
      if (grave(checkSteps(of, spoilt, CATALOGUE)).some((one) => !before.has(key(one)))) seen += 1;
      else missed.push(`${of.material}/${of.uses.join("+")}/${of.decoration?.techniques?.join("+") ?? ""}/${candidate.title}`);
    }
    lines.push(
      `${String(seen).padStart(3)} of ${String(own).padStart(3)}  ${kind}${missed.length > 0 ? `   missed: ${[...new Set(missed)].slice(0, 4).join(", ")}` : ""}`,
    );
    tried += own;
    caught += seen;
    expect([kind, own >= LEAST_TRIES]).toEqual([kind, true]);
  }
  console.log(`seed ${SEED}: ${caught} of ${tried} caught\n${lines.join("\n")}`);
  expect(caught / tried).toBeGreaterThanOrEqual(LEAST_CAUGHT);
});

test("what is offered as a fix clears its finding and brings no stop, on all of that damage", () => {
  const pick = seeded(SEED + 1);
  const faults: string[] = [];
  let tried = 0;
  for (const { kind, spoil } of DAMAGES) {
    let own = 0;
    for (let round = 0; round < 4000 && own < 8; round += 1) {
      const { piece: of, candidate } = SOUND[pick(SOUND.length)]!;
      const spoilt = spoil(candidate.zones, completePiece(of, CATALOGUE).piece, pick);
      if (!spoilt) continue;
      own += 1;
      const before = checkSteps(of, spoilt, CATALOGUE);
      const stops = new Set(before.filter((one) => one.severity === "stop").map((one) => `${one.code}|${one.zone}`));
      for (const finding of before) {
        if (!finding.fix.change || finding.severity === "safety") continue;
        tried += 1;
        const after = checkSteps(changePiece(of, finding.fix.change), applyChanges(spoilt, finding.fix.change).zones, CATALOGUE);
        if (after.some((one) => key(one) === key(finding) && one.message === finding.message))
          faults.push(`${kind}: ${finding.code} is still there after its fix`);
        for (const one of after)
          if (one.severity === "stop" && !stops.has(`${one.code}|${one.zone}`)) faults.push(`${kind}: the fix of ${finding.code} brings ${one.code}`);
      }
    }
  }
  expect(tried).toBeGreaterThan(500);
  expect(faults).toEqual([]);
});
