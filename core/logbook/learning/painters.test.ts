/** Made-up painters at made-up tables: what is learnt of their paints is true, and nobody is hurried on. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import type { ProductId } from "../../catalogue/ids";
import type { Room } from "../../piece/piece";
import { numbersFrom } from "../../units/seeded";
import { leftWaiting } from "../actual";
import { learn } from "./learn";
import type { Observation } from "./learn";
import { learntWait } from "./learnt-wait";
import { censoredBy, judged } from "./looks";
import type { SeenFilm } from "./looks";
import { dryingFactors, dryingStretch, READY_SHARE } from "./own-times";

const RUNS = Number(process.env.RUNS ?? 1);
const ACRYLIC = "craft-acrylic" as ProductId;
const ROOM: Room = { temperatureC: 20, relativeHumidity: 0.5, airflow: "still" };
const RECKONED = 100;
const TRUTHS = [0.7, 1, 1.4, 2];

/** One film at the table: how long it is told to be left, how long it really takes, and numbers of chance. What the painter notes of it, minutes. */
type Painter = (told: number, takes: number, number: () => number) => readonly { readonly after: number; readonly seen: "tacky" | "dry" }[];

const untilDry: Painter = (told, takes) => {
  const looks: { after: number; seen: "tacky" | "dry" }[] = [];
  for (let after = told; ; after = leftWaiting(after, RECKONED)) {
    looks.push({ after, seen: after < takes ? "tacky" : "dry" });
    if (after >= takes) return looks;
  }
};
const PAINTERS: Readonly<Record<string, Painter>> = {
  "goes by the Bench and says what the finger says": untilDry,
  "touches when the mood takes her": (told, takes, number) => {
    const after = told * (0.4 + 1.4 * number());
    return [{ after, seen: after < takes ? "tacky" : "dry" }];
  },
  "goes by the Bench and says nothing": () => [],
  "goes on early and says it was dry, where it was": (told, takes, number) => {
    const after = told * (0.5 + 0.4 * number());
    return after >= takes ? [{ after, seen: "dry" }] : [];
  },
  "comes late": (told, takes, number) => {
    const after = told * (1.5 + 2 * number());
    return [{ after, seen: after < takes ? "tacky" : "dry" }];
  },
  "ticks a row of coats in one go, and says all were dry": (told) => [{ after: told * 3, seen: "dry" }],
  "never says tacky": (told, takes) => untilDry(told, takes, () => 0).slice(-1),
};

/** A painter's year: what is believed and told film by film. */
function year(painter: Painter, truth: number, seed: number, films = 40) {
  const number = numbersFrom(seed);
  const seen: SeenFilm[] = [];
  const told: { readonly factor: number; readonly wait: number; readonly takes: number }[] = [];
  for (let k = 0; k < films; k += 1) {
    const own = dryingFactors(seen);
    const { typicalMin: wait } = learntWait({ typicalMin: RECKONED, cautiousMin: RECKONED }, 20, dryingStretch(own, ACRYLIC, ROOM, "dry-to-recoat"));
    // Films of one paint differ.
    const spread = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].reduce((sum) => sum + number(), -6);
    const takes = RECKONED * truth * Math.exp(0.06 * spread);
    told.push({ factor: (own.films[0]?.factor ?? 1) * (own.rooms[0]?.factor ?? 1), wait, takes });
    const looks = painter(wait, takes, number).flatMap(({ after, seen: what }) => {
      const at = judged(after, RECKONED);
      return at === null ? [] : [{ at, seen: what }];
    });
    const censored = censoredBy(looks);
    if (censored) seen.push({ product: ACRYLIC, room: "20/0.5/still", stage: "dry-to-recoat", ...censored });
  }
  return told;
}

describe.each(Object.entries(PAINTERS))("a painter who %s", (_name, painter) => {
  test("and whose paint is as reckoned is never a tenth from it", () => {
    const off = Array.from({ length: 2 * RUNS }, (_unused, seed) => year(painter, 1, seed + 1).map(({ factor }) => Math.abs(Math.log(factor)))).flat();
    expect(Math.max(...off)).toBeLessThanOrEqual(Math.log(1.1));
  });
});

test.each(TRUTHS)("a paint of %d times: who goes by the Bench and says what she finds is seldom told too early", (truth) => {
  let [early, all] = [0, 0];
  for (let seed = 1; seed <= 2 * RUNS; seed += 1)
    for (const { wait, takes } of year(untilDry, truth, seed).slice(15)) {
      all += 1;
      if (wait < takes) early += 1;
    }
  expect(early / all).toBeLessThanOrEqual(1 - READY_SHARE);
});

describe("the verb", () => {
  const product = CATALOGUE.products.get(ACRYLIC)!;
  const answer = (observations: readonly Observation[], reckonedMin = 120) => learn({ product, room: ROOM, stage: "dryToRecoat", reckonedMin, observations });
  /** Looks about the time it takes, at films of one paint. */
  const looks = (truth: number, seed: number, films: number): readonly Observation[] => {
    const number = numbersFrom(seed);
    return Array.from({ length: films }, () => {
      const afterMin = 120 * truth * (0.5 + number());
      return { afterMin, seen: afterMin >= 120 * truth * Math.exp(0.12 * (number() - 0.5)) ? "dry" : "tacky" } as const;
    });
  };

  test.each([...TRUTHS, 0.6])("%d times is found within a tenth after thirty honest looks, nine times of ten, and it is in its range", (truth) => {
    const off = Array.from({ length: 12 * RUNS }, (_unused, seed) => {
      const { factor, observationsUsed, waitMin } = answer(looks(truth, seed + 1, 30));
      expect([observationsUsed, factor.from <= factor.typical, factor.to >= factor.typical]).toEqual([30, true, true]);
      expect(waitMin).toBeGreaterThanOrEqual(60);
      return Math.abs(Math.log(factor.typical / truth));
    }).sort((a, b) => a - b);
    expect(off[Math.floor(0.9 * (off.length - 1))]).toBeLessThan(Math.log(1.1));
    expect(off.at(-1)).toBeLessThan(Math.log(1.2));
  });

  test("going on teaches nothing; nothing comes below the label or half; the other stages stay", () => {
    const plain = answer([]);
    const wentOn = Array.from({ length: 40 }, () => ({ afterMin: 12, seen: "went-on" as const }));
    expect(answer(wentOn)).toEqual(plain);
    expect(plain).toMatchObject({ factor: { typical: 1 }, waitMin: 120, observationsUsed: 0 });
    const quick = Array.from({ length: 60 }, () => ({ afterMin: 20, seen: "dry" as const }));
    expect(answer(quick).waitMin).toBe(60);
    expect(
      answer(
        quick.map(({ seen }) => ({ afterMin: 60, seen })),
        300,
      ).waitMin,
    ).toBe(150);
    // Its label says an hour: a room in which that is reckoned as less is not made quicker still.
    expect(answer(quick, 45).waitMin).toBe(45);
    const { dryToRecoat, ...others } = answer(quick).stages;
    expect(others).toEqual(Object.fromEntries(Object.entries(plain.stages).filter(([key]) => key !== "dryToRecoat")));
    expect(dryToRecoat!.typicalMin).toBeGreaterThanOrEqual(60);
    // A film that takes no coat yet is not hard.
    const slow = answer(Array.from({ length: 30 }, () => ({ afterMin: 700, seen: "tacky" as const }))).stages;
    expect(slow.dryHard!.typicalMin).toBeGreaterThanOrEqual(slow.dryToRecoat!.typicalMin);
    const deep = learn({ product, room: ROOM, stage: "dryThrough", reckonedMin: 1440, observations: quick });
    expect([deep.factor.typical, deep.waitMin, deep.observationsUsed]).toEqual([1, 1440, 0]);
  });
});
