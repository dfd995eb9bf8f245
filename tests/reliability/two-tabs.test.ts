/** Two tabs that do not always see what the other does: nothing is overwritten in silence, and nothing is told that is not so. */
import "fake-indexeddb/auto";
import { expect, test } from "@jest/globals";
import { candidateId, stepId } from "#core/catalogue/ids";
import { changePiece } from "#core/coating/model/apply-changes";
import type { Change } from "#core/coating/model/change";
import type { Piece } from "#core/piece/piece";
import { openStore } from "~/store/database";
import { addPiece, OwnValues, pieceById, savePiece } from "~/store/pieces";
import { editPlan, planFor } from "~/store/plans";
import { pebble } from "../reference/bench";
import { follow, set } from "../reference/notebook";
import { seeded } from "./attack";

const EDITS = 200;
const TECHNIQUES = ["dots", "bands", "lettering", "swipes", "outline"] as const;
/** Fields that take one value, and a value of each that was never there before. */
const FIELDS: Readonly<Record<string, (turn: number) => unknown>> = {
  name: (turn) => `Name ${turn}`,
  count: (turn) => turn + 2,
  "form.lengthMm": (turn) => 100 + turn / 10,
  "room.temperatureC": (turn) => 10 + turn / 20,
};

const valueAt = (piece: Piece, path: string) => path.split(".").reduce<unknown>((inside, key) => (inside as Record<string, unknown>)[key], piece);

test(`${EDITS} edits of a piece: every one stands, or is told because the other tab set the same and it was not seen yet`, async () => {
  const random = seeded(20261126);
  const db = await openStore({}, "two-tabs");
  const room = { temperatureC: 20, relativeHumidity: 0.5, airflow: "still" } as const;
  const { id, piece } = await addPiece(db, pebble({ room, decoration: { techniques: [] } }));
  const tabs = [0, 1].map(() => ({ seen: piece, own: new OwnValues() }));
  /** Who set each field last. */
  const by = new Map<string, number>();
  const techniques = new Set<string>();
  const tally = { stood: 0, told: 0 };
  for (let turn = 1; turn <= EDITS; turn += 1) {
    const who = random() < 0.5 ? 0 : 1;
    const tab = tabs[who]!;
    const before = (await pieceById(db, id))!.piece;
    if (random() < 0.3) {
      const one = TECHNIQUES[Math.floor(random() * TECHNIQUES.length)]!;
      const shown = tab.seen.decoration?.techniques ?? [];
      const wanted = shown.includes(one) ? shown.filter((other) => other !== one) : [...shown, one];
      if (wanted.length < shown.length) techniques.delete(one);
      else techniques.add(one);
      const change = set("decoration.techniques", wanted);
      expect((await savePiece(db, id, tab.seen, [change], tab.own)).kind).toBe("saved");
      // The tab's own screen shows it at once.
      tab.seen = changePiece(tab.seen, [change]);
      expect(new Set((await pieceById(db, id))!.piece.decoration?.techniques)).toEqual(techniques);
    } else {
      const [path, valueOf] = Object.entries(FIELDS)[Math.floor(random() * 4)]!;
      const foreign = by.get(path) === 1 - who && valueAt(tab.seen, path) !== valueAt(before, path);
      const change = set(path, valueOf(turn));
      const saved = await savePiece(db, id, tab.seen, [change], tab.own);
      expect([turn, path, saved.kind]).toEqual([turn, path, foreign ? "clash" : "saved"]);
      const now = (await pieceById(db, id))!.piece;
      if (foreign) {
        tally.told += 1;
        expect(now).toEqual(before);
        tab.seen = now;
      } else {
        tally.stood += 1;
        by.set(path, who);
        expect(now).toEqual(changePiece(before, [change]));
      }
    }
    // Now and then a tab hears of what the other did.
    for (const one of tabs) if (random() < 0.15) one.seen = (await pieceById(db, id))!.piece;
  }
  expect([tally.stood > 60, tally.told > 15]).toEqual([true, true]);
});

test(`${EDITS} changes of a plan: the same field of a step is told, another one joins`, async () => {
  const random = seeded(7);
  const db = await openStore({}, "two-plans");
  const { id } = await addPiece(db, pebble());
  const following = follow(candidateId("one"), "");
  const first = await planFor(db, id, following);
  const tabs = [0, 1].map(() => ({ edits: first.edits, own: new Set<string>() }));
  const last = new Map<string, { readonly value: number; readonly who: number }>();
  let told = 0;
  for (let turn = 1; turn <= EDITS; turn += 1) {
    const who = random() < 0.5 ? 0 : 1;
    const tab = tabs[who]!;
    const step = stepId(`top.base.${Math.floor(random() * 3)}`);
    const change: Change = { op: "set", stepId: step, field: "coats", value: (turn % 11) + 1 };
    const stands = last.get(step);
    const known = stands === undefined || tab.edits.some((one) => one.op === "set" && one.stepId === step && one.value === stands.value);
    const foreign = stands !== undefined && stands.who !== who && !known && stands.value !== change.value;
    const isOwn = (one: Change) => one.op === "set" && last.get(one.stepId)?.who === who && tab.own.has(`${one.stepId}=${String(one.value)}`);
    const answer = await editPlan(db, id, following, [change], {}, { edits: tab.edits, isOwn }).then(
      () => "stands",
      (error: Error) => error.name,
    );
    expect([turn, answer]).toEqual([turn, foreign ? "EditClash" : "stands"]);
    if (foreign) told += 1;
    else {
      last.set(step, { value: change.value as number, who });
      tab.own.add(`${step}=${String(change.value)}`);
    }
    const plan = await planFor(db, id, following);
    expect(Object.fromEntries(plan.edits.map((one) => (one.op === "set" ? [one.stepId, one.value] : [])))).toEqual(
      Object.fromEntries([...last].map(([at, { value }]) => [at, value])),
    );
    for (const [index, one] of tabs.entries()) if (random() < 0.4 || (foreign && index === who)) one.edits = plan.edits;
  }
  expect(told).toBeGreaterThan(15);
});
