/** What the Bench notes: how long hands were on it, the share of a batch, what is still tacky; and how it says what it shows. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { candidateId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import { menuOf } from "#core/catalogue/menu";
import { benchOf } from "#core/logbook/bench/bench";
import { planPiece } from "#core/coating/planner/plan-piece";
import { workFor } from "#core/schedule/dates-of";
import type { Piece } from "#core/piece/piece";
import { pebble, pot } from "../../tests/reference/bench";
import { follow } from "../../tests/reference/notebook";
import { sayCountdown } from "~/components/countdown";
import { actionOf, doneAsk, startedAsk, touchedAsk } from "./bench-asks";
import type { OnBench } from "./bench-loaded.client";
import { actPlaces, aloneWords, goCoat, goTitle, neededWords } from "./bench-words";

const MIN = 60_000;
const NOW = Date.parse("2026-11-27T19:00:00Z");
const MENU: Menu = menuOf(CATALOGUE);
const DOTS = { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] };

/** A piece with its first tasks done, the last of them some minutes ago. */
function onBench(piece: Piece, tasksDone: number, minutesAgo: number): OnBench {
  const shown = planPiece(piece, CATALOGUE).candidates[0]!;
  const work = workFor(piece, shown, CATALOGUE);
  const done = new Map(work.tasks.slice(0, tasksDone).map((task) => [task.id, NOW - minutesAgo * MIN]));
  const record = { id: "p", rev: 1, piece, planId: null } as never;
  return {
    id: "p",
    name: piece.name,
    count: piece.count ?? 1,
    due: null,
    shown,
    work,
    done,

    progress: [],
    record,
    followed: follow(candidateId("one"), ""),
  };
}

const primed = (more: Partial<OnBench> = {}) => {
  const piece = onBench(pebble({ uses: ["handled"], count: 12, decoration: DOTS }), 0, 0);
  const prime = piece.work.tasks.findIndex(({ stepId }) => stepId.includes(".prime."));
  return { ...onBench(pebble({ uses: ["handled"], count: 12, decoration: DOTS }), prime + 1, 600), ...more };
};
const nextOf = (piece: OnBench) => piece.work.tasks.filter(({ id }) => !piece.done.has(id)).slice(0, 1);
const actualOf = (ask: ReturnType<typeof doneAsk>) => (ask.intent === "done" ? ask.coats[0]?.actual?.work : undefined);

describe("what is noted", () => {
  test("goes to the piece it is of", () => {
    expect(actionOf({ id: "abc" })).toBe("/pieces/abc?index");
  });

  test("done: with the minutes since it was begun, where those can be meant", () => {
    const piece = primed();
    const tasks = nextOf(piece);
    const reckoned = tasks[0]!.handsOnMin;
    const begunAgo = (min: number) => ({ at: NOW - min * MIN, ends: [] });
    expect(actualOf(doneAsk(piece, tasks, begunAgo(reckoned * 1.5), NOW))?.min).toBeCloseTo(reckoned * 1.5);
    // Called away in the middle, or never begun: it says nothing of the hands.
    expect(actualOf(doneAsk(piece, tasks, begunAgo(reckoned * 20), NOW))).toBeUndefined();
    expect(actualOf(doneAsk(piece, tasks, null, NOW))).toBeUndefined();
    // Said afterwards: nobody knows how long it took.
    const said = doneAsk(piece, tasks, begunAgo(reckoned), NOW - 30 * MIN, true);
    expect(actualOf(said)).toBeUndefined();
    expect(said).toMatchObject({ said: true, at: "2026-11-27T18:30:00.000Z" });
  });

  test("counted: the pieces that have it, and their share of the paint", () => {
    const piece = primed();
    const whole = doneAsk(piece, nextOf(piece), null, NOW);
    const some = startedAsk(piece, nextOf(piece), 3, NOW);
    if (whole.intent !== "done" || some.intent !== "started") throw new Error("other asks than were wanted");
    expect(some.coats[0]?.pieces).toBe(3);
    expect(some.coats[0]!.jarMl).toBeCloseTo(whole.coats[0]!.jarMl! / 4);
  });

  test("touched: the coat beneath, the stage that was asked about and what it was touched with; nothing where nothing beneath has to dry", () => {
    const piece = primed();
    for (const seen of ["tacky", "dry"] as const) {
      const ask = touchedAsk(piece, nextOf(piece), NOW, seen);
      if (ask?.intent !== seen) throw new Error(`nothing was ${seen}`);
      expect(ask.coats[0]?.act.role).toBe("prime");
      expect(ask.coats[0]?.actual?.look).toMatchObject({ afterMin: 600, stage: "dry-to-recoat", by: "finger", seen });
    }
    expect(touchedAsk(onBench(pebble(), 0, 0), nextOf(onBench(pebble(), 0, 0)), NOW, "tacky")).toBeNull();
  });
});

describe("in the painter's words", () => {
  test("a go says what, which coat and where; nothing of a micron", () => {
    const [go] = benchOf([primed()], NOW, "UTC").now;
    expect(goTitle(go!, MENU)).toMatch(/^Base colour: /);
    expect(goCoat(go!)).toMatch(/^coat 1 of \d$/);
    expect(actPlaces(go!, primed())).toBe("all over");
    expect(goTitle(go!, MENU)).not.toMatch(/µm|micron|mm²/);
    expect(actPlaces({ zones: ["rim", "saucer"] as never }, { shown: { zones: [1, 2, 3] } as never })).toBe("rim and saucer");
  });

  test("what is left alone says where it is wet, and whether the rest may be touched", () => {
    const shown = onBench(pot({ decoration: DOTS }), 0, 0);
    expect(aloneWords({ wet: [], partly: false }, shown)).toBe("drying through");
    expect(aloneWords({ wet: ["rim"], partly: true }, shown)).toBe("wet: rim; the rest may be touched");
    // Of a batch that was counted each piece has its own clock.
    const batch = { ...shown, count: 12 };
    expect(aloneWords({ wet: ["rim"], partly: false, dry: 5 }, batch)).toBe("wet: rim; the first 5 of 12 may be turned");
    expect(aloneWords({ wet: ["rim"], partly: false }, batch)).toBe("wet: rim");
    expect(aloneWords({ wet: [], partly: false, dry: 5 }, batch)).toBe("drying through");
    expect(aloneWords({ wet: shown.shown.zones.map(({ zone }) => zone), partly: false }, shown)).toBe("wet all over");
  });

  test("a day it is needed by is said when it is near, and when it is past", () => {
    const day = 24 * 60 * MIN;
    const needed = (days: number | null) => neededWords({ due: days === null ? null : NOW + days * day }, NOW);
    expect([null, 15, 9, 4, 0, -2].map(needed)).toEqual([null, null, "needed Sun 6 Dec", "needed Tuesday", "needed today", "was needed Wed 25 Nov"]);
  });

  test.each([
    [1, "under 1 min"],
    [59_000, "under 1 min"],
    [61_000, "2 min"],
    [59 * MIN, "59 min"],
    [60 * MIN, "1 h 00"],
    [65 * MIN, "1 h 05"],
    [23 * 60 * MIN + 59 * MIN, "23 h 59"],
    [24 * 60 * MIN, "1 day"],
    [60 * 60 * MIN, "3 days"],
  ])("%d ms are left: %s", (ms, said) => {
    expect(sayCountdown(ms)).toBe(said);
  });
});
