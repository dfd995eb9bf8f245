/** A notebook with one record in every store, each with all its fields: what is to hold of every store and every field is asked of these. */
import type { BundleParts } from "#core/formats/write-bundle";
import { usualHours } from "#core/schedule/free-hours";
import { pebble } from "./bench";

const at = "2026-11-20T18:00:00.000Z";
const later = "2026-11-21T18:00:00.000Z";
const form = { kind: "disc", diameterMm: 90, thicknessMm: 14 };
const [piece, plan, jar, mould, bag, pour] = ["everypiece01", "everyplan001", "everyjar0001", "everymould01", "everybag0001", "everypour001"];
const step = "top.base.craft-acrylic";
const room = { temperatureC: 19, relativeHumidity: 0.5, airflow: "still", night: { temperatureC: 15, relativeHumidity: 0.6 } };
const row = (id: string, diameterMm: number) => ({ id, kind: "dots", colours: ["#f4efe2"], diameterMm });
const look = (id: string, note: string) => ({ id, at, saw: ["faded"], zone: "top", note });
const picture = { picture: "aaaaaaaabbbbbbbb", small: "ccccccccdddddddd", width: 800, height: 600, at, caption: "before the varnish" };
const act = { role: "base", product: "craft-acrylic", ownProduct: jar, colour: "#1f3a4d", wetMicrons: 90, thinning: { with: "water", percent: 10 } };
const pin = { zone: "top", stepId: step };

const EVERYTHING = {
  pieces: [
    {
      id: piece,
      rev: 4,
      piece: pebble({
        name: "Door wedge",
        count: 2,
        room: room as never,
        decoration: { baseColour: "#1f3a4d", colours: ["#f4efe2"], patterns: [{ zone: "top", rows: [row("r1", 4), row("r2", 6)] }] as never },
      }),
      planId: plan,
      dates: { start: "2026-11-25", due: "2026-12-24" },
      set: "For the terrace",
      putAway: "2026-12-01",
      standsAt: "left of the window",
      faults: [{ kind: "hole", place: "face", bodies: 1, each: 3, widthMm: 2 }],
      marked: { "top/r1": 5 },
    },
  ],
  plans: [
    {
      id: plan,
      pieceId: piece,
      rev: 2,
      school: "gesso below",
      candidateId: "0011",
      edits: [
        { op: "set", stepId: step, field: "coats", value: 4 },
        { op: "remove", stepId: "top.seal.1" },
      ],
      pinned: [step],
      engineVersion: 3,
      made: [{ zone: "top", areaMm2: 4000, steps: [] }],
      madeFor: "0123456789abcdef",
      basis: at,
    },
  ],
  progress: [
    {
      id: "everycoat001",
      rev: 1,
      pieceId: piece,
      planId: plan,
      ...pin,
      act,
      coat: 1,
      half: "first",
      kind: "done",
      jarMl: 2,
      handsOnMin: 6,
      actual: { work: { min: 5, reckonedMin: 6 } },
      pieces: 1,
      at,
    },
  ],
  inspections: [{ id: "everylook001", rev: 1, pieceId: piece, ...pin, kind: "tape", passed: false, grade: 3, at }],
  photos: [{ id: "everyphoto01", rev: 1, pieceId: piece, ...picture }],
  records: [
    {
      id: "everyrecord1",
      rev: 3,
      origin: "told",
      pieceId: piece,
      writtenAt: at,
      name: "Herb pot",
      body: "terracotta pot",
      material: "terracotta",
      piece: pebble({ name: "Herb pot" }),
      count: 3,
      begunOn: "2026-10-01",
      finishedOn: "2026-10-20",
      work: [{ zones: ["top"], title: "Base colour", role: "base", product: "craft-acrylic", coats: 2, first: at, last: later }],
      paint: [{ name: "Harbour navy", ml: 12, perMl: 0.05 }],
      minutes: [{ kind: "base", min: 20, timedMin: 10 }],
      mishaps: [{ at, kind: "tacky", zones: ["top"], title: "Base colour" }],
      checks: [{ at, zone: "top", kind: "tape", passed: true, grade: 1 }],
      cast: { powder: "Casting gypsum", waterPer100: 38, pouredAt: at, weighings: [{ at, g: 640, bodies: 4 }] },
      pictures: [{ ...picture, stage: "after" }],
      told: { colours: "navy and cream", paints: "craft paint", sealer: "matt", note: "for the porch" },
      additions: [{ id: "everyadded01", at, text: "still holding" }],
      looks: [look("everyseen001", "a little pale")],
      lookedAt: at,
      moves: [{ id: "everymove001", on: "2026-10-25", kind: "sold", count: 1, to: "the market", price: 18 }],
      money: { body: 3, other: 1, price: 18 },
    },
  ],
  trials: [
    {
      id: "everytrial01",
      rev: 2,
      name: "Three varnishes",
      material: "slate",
      lies: "south sill",
      begunOn: "2026-09-01",
      spots: [
        { id: "everyspot001", what: "bare", bare: true, looks: [] },
        { id: "everyspot002", what: "matt, two coats", jar, looks: [look("everyseen002", "chalky")] },
      ],
    },
  ],
  shelf: [
    {
      id: jar,
      rev: 5,
      classId: "craft-acrylic",
      name: "Harbour navy",
      colour: "#1f3a4d",
      label: { opacity: "opaque", recoatMin: 60, bake: { atC: 150, holdMin: 30 } },
      openedOn: "2026-08-01",
      sizeMl: 59,
      tareG: 12,
      paid: 3,
      hiding: { ratio: 0.97, from: 0.95, to: 0.99, by: "swatch" },
      mix: [{ jar: "everyjar0002", name: "Blue", colour: "#0000ff", share: 1 }],
      dropsPerMl: 22,
      left: { ml: 40, by: "eye", at },
    },
  ],
  recipes: [
    {
      id: "everyway0001",
      rev: 1,
      name: "Herb pots",
      school: "sealed inside",
      appliesTo: { material: "terracotta", conditions: ["dusty"] },
      stacks: [{ zone: "outside", exposure: "seen", main: true, areaMm2: 90_000, steps: [] }],
    },
  ],
  tools: [{ id: "everytool001", rev: 1, set: "dotting", label: "Number 4", tip: "ball", mm: 4, leaves: 1.2 }],
  patterns: [{ id: "everyrows001", rev: 1, name: "Sun", shape: "top", acrossMm: 80, guides: 8, from: "centre", rows: [row("r1", 4), row("r2", 6)] }],
  moulds: [{ id: mould, rev: 1, name: "Table number", form, part: "body", waterG: 88, count: 4, stiff: true, traps: ["groove"] }],
  compounds: [
    { id: bag, rev: 2, kind: "gypsum", name: "Casting gypsum", label: { waterPer100: 38 }, bagG: 4536, paid: 14, left: { g: 4000, at } },
    {
      id: "everykit0001",
      rev: 1,
      kind: "resin",
      name: "Tray resin",
      resin: { hardenerPer100: 50, by: "volume", resinGPerMl: 1.1, hardenerGPerMl: 1, potMin: 40, potG: 150, potC: 23 },
    },
  ],
  pours: [
    {
      id: pour,
      rev: 3,
      at,
      powder: { kind: "gypsum", name: "Casting gypsum", label: { waterPer100: 38 }, compound: bag, paidPerG: 0.003 },
      reservePercent: 5,
      bowlG: 900,
      preparation: "soap",
      conditions: { roomC: 16, waterC: 20 },
      moulds: [{ mould, name: "Table number", form, count: 4, ml: 88 }],
      bowls: [{ fills: [{ mould: 0, count: 4 }], waterG: 140, powderG: 370, run: { tared: false, waterG: 140, powderG: 370 }, stages: { sprinkle: at } }],
      bodies: [
        {
          mould: 0,
          count: 4,
          outAt: at,
          onScale: 4,
          weighings: [{ at, g: 640 }],
          faults: [{ id: "fault0000002", kind: "hole", place: "face", bodies: 2, each: 3, widthMm: 2, roundsDone: 1 }],
          pieces: [{ piece, count: 2 }],
        },
      ],
    },
  ],
  rooms: [{ id: "everyroom001", rev: 1, name: "Back room", room }],
  hours: [{ id: "hours", rev: 1, hours: { ...usualHours("Europe/London"), exceptions: [{ date: "2026-12-25", spans: [] }] } }],
  calendar: [
    {
      id: "calendar",
      rev: 1,
      goal: "earliest",
      hands: 1,
      rackPlaces: 6,
      ovenPlaces: 2,
      agreed: [{ piece, task: "base 1", at }],
      held: [{ piece, task: "seal 1", at: later }],
    },
  ],
  timers: [{ id: "everytimer01", rev: 1, label: "Look for bubbles", from: at, until: later, piece, pour, rescue: { mishap: "run", remedy: "scrape", ...pin } }],
  settings: [
    {
      id: "settings",
      rev: 3,
      units: "in",
      theme: "dim",
      sounds: true,
      singleKeys: false,
      signature: "M.",
      dropsPerMl: 21,
      ownTimes: false,
      toldLearntAnew: true,
      spaceNotes: true,
      notify: true,
      awake: true,
      perHour: 12,
      toolsEach: 1,
      margin: 0.3,
      tellAt: "the gate",
    },
  ],
};

/** The notebook; nobody may change what is in it. */
export const EVERY_STORE = EVERYTHING as unknown as BundleParts;
