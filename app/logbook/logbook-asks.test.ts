/** What the logbook may be asked, what its page shows while it is asked, and how it says things. */
import { describe, expect, test } from "@jest/globals";
import joi from "joi";
import { trialId } from "#core/catalogue/ids";
import { checkShape } from "#core/formats/check-shape";
import { look, record } from "../../tests/reference/records";
import { LOGBOOK_FIELDS } from "./logbook-asks";
import type { LogbookAsk } from "./logbook-asks";
import { sawAfter, sayLook, sayMinutes, sayMoney, sayMove, saySaw } from "./logbook-words";
import { shownAfter } from "./shown-after";

const at = "2026-11-28T18:00:00.000Z";
const id = "logrecord001";
const move = { id: "move00000001", on: "2026-11-28", kind: "sold", count: 1, price: 9 } as const;
const TRIAL = {
  id: "trial0000001",
  name: "Which yellows",
  begunOn: "2026-11-28",
  spots: ["A", "B"].map((what, n) => ({ id: `spot0000000${n}`, what, looks: [] })),
};
const followed = { candidateId: "one" as never, school: "", basis: null, made: [], madeFor: "facts" };

const SOUND: readonly LogbookAsk[] = [
  { intent: "write-down", piece: "piece0000001", id, at },
  { intent: "tell", pieces: [{ id, piece: { name: "Gull", body: "Slate", count: 1, who: "Marn", told: { note: "on the step" } } }], at },
  { intent: "change", id, change: { kind: "look", look: look(30, "faded") } },
  { intent: "change", id, change: { kind: "move", move } },
  { intent: "change", id, change: { kind: "add", addition: { id: "added0000001", at, text: "more" } } },
  { intent: "change", id, change: { kind: "off", of: "looks", id: "look00000001" } },
  { intent: "change", id, change: { kind: "money", money: { body: 1, price: 4 } } },
  { intent: "remove", id, name: "Gull" },
  { intent: "again", piece: "piece0000001", of: {}, followed, edits: [{ op: "remove", stepId: "top.seal" as never }] },
  { intent: "again", piece: "piece0000001", of: {}, followed: null, edits: [] },
  { intent: "begin-trial", trial: TRIAL },
  { intent: "look-trial", id: TRIAL.id, looks: [{ spot: "spot00000001", look: look(30, "fine") }] },
  { intent: "remove-trial", id: TRIAL.id, name: TRIAL.name },
];
const checked = ({ intent, ...ask }: LogbookAsk) => checkShape(joi.object(LOGBOOK_FIELDS[intent](joi)), ask);

describe("an ask", () => {
  test.each(SOUND.map((ask, index) => [index, ask.intent, ask] as const))("%i %s goes through as it is", (_index, _intent, ask) => {
    const { intent: _said, ...fields } = ask;
    expect(checked(ask)).toEqual({ ok: true, value: fields });
  });

  test.each<[string, string, unknown]>([
    ["write-down", "at", { piece: "piece0000001", id, at: "yesterday" }],
    ["tell", "pieces.0.piece.name", { pieces: [{ id, piece: { name: " ", body: "Slate", count: 1, told: {} } }], at }],
    ["change", "change", { id, change: { kind: "rewrite", work: [] } }],
    ["change", "change", { id, change: { kind: "move", move: { ...move, count: 0 } } }],
    ["again", "followed", { piece: "piece0000001", of: {}, edits: [] }],
    ["begin-trial", "trial.spots", { trial: { ...TRIAL, spots: TRIAL.spots.slice(0, 1) } }],
    ["look-trial", "looks", { id: TRIAL.id, looks: [] }],
  ])("%s is turned away at %s", (intent, path, fields) => {
    const shape = checkShape(joi.object(LOGBOOK_FIELDS[intent as LogbookAsk["intent"]](joi)), fields);
    expect(shape.ok ? null : shape.problem.path).toContain(path);
  });
});

describe("while it is asked", () => {
  const shown = { records: [record({ count: 1 })], trials: [] };
  const of = shown.records[0]!.id;

  test("the page shows it already; what cannot be changes nothing; asked twice it is there once", () => {
    const sold = shownAfter(shown, { intent: "change", id: of, change: { kind: "move", move } });
    expect(sold.records[0]!.moves).toHaveLength(1);
    expect(shownAfter(sold, { intent: "change", id: of, change: { kind: "move", move: { ...move, id: "move00000002" } } }).records).toEqual(sold.records);
    expect(shownAfter(shown, { intent: "remove", id: of, name: "" }).records).toEqual([]);
    const begun = SOUND.reduce(shownAfter, shown).trials;
    expect(begun).toEqual([]);
    const twice = [SOUND[10]!, SOUND[10]!, SOUND[11]!, SOUND[11]!].reduce(shownAfter, shown).trials;
    expect(twice.map(({ id: one, spots }) => [one, spots.map(({ looks }) => looks.length)])).toEqual([[trialId(TRIAL.id), [0, 1]]]);
  });
});

describe("in words", () => {
  test("fine and anything else are never said together: the last one ticked counts", () => {
    expect(sawAfter(["faded"], ["faded", "fine"])).toEqual(["fine"]);
    expect(sawAfter(["fine"], ["fine", "faded"])).toEqual(["faded"]);
    expect(sawAfter(["faded", "chipped"], ["chipped"])).toEqual(["chipped"]);
    expect(sawAfter(["fine"], [])).toEqual([]);
  });

  test("looks, moves, money and minutes are said as people say them", () => {
    expect(saySaw(["faded", "chipped", "sticky"])).toBe("faded, chipped and sticky");
    expect(sayLook({ ...look(3, "faded"), note: "at the rim" })).toBe("faded; at the rim");
    expect(sayMove({ ...move, count: 2 }, 4)).toBe("2 sold, for 9 each");
    expect(sayMove({ ...move, kind: "left-out", to: "by the pier" }, 1)).toBe("left to be found, by the pier, for 9");
    expect([9, 9.5, 9.004, 0].map(sayMoney)).toEqual(["9", "9.50", "9", "0"]);
    const minutes = (timedMin: number) => sayMinutes([{ kind: "base", min: 60, timedMin }]);
    expect([minutes(0), minutes(60), minutes(20), sayMinutes([])]).toEqual([
      "about 60 min, as reckoned",
      "about 60 min, by the clock",
      "about 60 min, 20 min of it by the clock",
      "",
    ]);
  });
});
