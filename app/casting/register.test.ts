/** What is shown while it is being saved is what is there once it is: the page folds asks as the store does. */
import "fake-indexeddb/auto";
import { expect, test } from "@jest/globals";
import { compoundId, mouldId, pourId } from "#core/catalogue/ids";
import { beginPour, compoundsIn, keepCompound, keepMould, mouldsIn, poursIn, removeCompound, removeMould, removePour } from "~/store/casting";
import { openStore } from "~/store/database";
import { changePour } from "~/store/pours";
import type { CastingAsk } from "./casting-asks";
import { registerAfter } from "./register";
import type { Register } from "./register";

const at = (min: number) => new Date(Date.parse("2026-11-28T18:00:00Z") + min * 60_000).toISOString();
const FORM = { kind: "disc", diameterMm: 90, thicknessMm: 14 } as const;
const MOULD = { id: mouldId("mouldnumber1"), name: "Table number", form: FORM, count: 4 };
const POUR = pourId("pour00000001");
const BAG = { id: compoundId("bagofgypsum1"), kind: "gypsum", name: "Casting gypsum", label: { waterPer100: 38 } } as const;

const ASKS: readonly CastingAsk[] = [
  { intent: "keep-mould", mould: MOULD },
  { intent: "keep-mould", mould: { ...MOULD, count: 6, waterG: 88 } },
  { intent: "keep-compound", compound: BAG },
  { intent: "keep-mould", mould: { ...MOULD, id: mouldId("mouldzebra01"), name: "Zebra" } },
  { intent: "remove-mould", id: "mouldzebra01", name: "Zebra" },
  {
    intent: "begin",
    pour: {
      id: POUR,
      at: at(0),
      powder: { kind: "gypsum", name: BAG.name, label: BAG.label, compound: BAG.id },
      reservePercent: 5,
      preparation: "none",
      conditions: { roomC: 18 },
      moulds: [{ mould: MOULD.id, name: MOULD.name, form: FORM, count: 4, ml: 88 }],
      bowls: [{ fills: [{ mould: 0, count: 4 }], waterG: 180, powderG: 474, run: { tared: false }, stages: {} }],
      bodies: [],
    },
  },
  { intent: "pour", id: POUR, change: { kind: "water", waterC: 24 } },
  { intent: "pour", id: POUR, change: { kind: "run", bowl: 0, run: { tared: false, waterG: 181, powderG: 475 } } },
  { intent: "pour", id: POUR, change: { kind: "stage", bowl: 0, stage: "sprinkle", at: at(1) } },
  { intent: "pour", id: POUR, change: { kind: "stage", bowl: 0, stage: "release", at: at(70) } },
  { intent: "pour", id: POUR, change: { kind: "weigh", bodies: 0, at: at(90), g: 640 } },
  {
    intent: "pour",
    id: POUR,
    change: { kind: "fault", bodies: 0, fault: { id: "hole00000001", kind: "hole", place: "face", bodies: 1, each: 1, widthMm: 2 } },
  },
  { intent: "remove-compound", id: BAG.id, name: BAG.name },
];

test("after each ask", async () => {
  const db = await openStore({}, "register");
  const written: { readonly [I in CastingAsk["intent"]]?: (ask: never) => Promise<void> } = {
    "keep-mould": ({ mould }: Extract<CastingAsk, { intent: "keep-mould" }>) => keepMould(db, mould),
    "remove-mould": ({ id, name }: Extract<CastingAsk, { intent: "remove-mould" }>) => removeMould(db, mouldId(id), name),
    "keep-compound": ({ compound }: Extract<CastingAsk, { intent: "keep-compound" }>) => keepCompound(db, compound),
    "remove-compound": ({ id, name }: Extract<CastingAsk, { intent: "remove-compound" }>) => removeCompound(db, compoundId(id), name),
    begin: ({ pour }: Extract<CastingAsk, { intent: "begin" }>) => beginPour(db, pour),
    pour: ({ id, change }: Extract<CastingAsk, { intent: "pour" }>) => changePour(db, pourId(id), change),
    "remove-pour": ({ id }: Extract<CastingAsk, { intent: "remove-pour" }>) => removePour(db, pourId(id)),
  };
  const plain = ({ moulds, compounds, pours }: Register) => [moulds, compounds, pours].map((list) => list.map(({ rev: _rev, ...rest }) => rest));
  let shown: Register = { moulds: [], compounds: [], pours: [] };
  for (const ask of [...ASKS, { intent: "remove-pour", id: POUR } as const]) {
    shown = registerAfter(shown, ask);
    await written[ask.intent]!(ask as never);
    expect(plain(shown)).toEqual(plain({ moulds: await mouldsIn(db), compounds: await compoundsIn(db), pours: await poursIn(db) }));
  }
});
