import { describe, expect, test } from "@jest/globals";
import { Asks } from "./asks";
import type { Asked, Journal } from "./asks";

/** A journal that outlives its page, as the browser's storage does. */
function journal(room = Infinity): Journal & { readonly size: () => number } {
  const kept = new Map<string, string>();
  return {
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => {
      if (kept.size >= room) throw new Error("full");
      kept.set(key, value);
    },
    removeItem: (key) => void kept.delete(key),
    key: (index) => [...kept.keys()][index] ?? null,
    get length() {
      return kept.size;
    },
    size: () => kept.size,
  };
}

let pages = 0;
/** One clock for all pages. */
let time = 0;

/** A page whose answers are given by hand, and whose clock is turned by hand. */
function page(notes = journal()) {
  pages += 1;
  const sent: { asked: Asked; shown: () => void; lost: () => void }[] = [];
  let alarms: (() => void)[] = [];
  let keys = 0;
  const tab = `page${pages}`;
  const asks = new Asks({ journal: notes, tab, freshKey: () => `${tab}key${(keys += 1)}`, now: () => (time += 1), later: (work) => void alarms.push(work) });
  const connect = () =>
    asks.connect(
      (asked) => new Promise((resolve, reject) => sent.push({ asked, shown: resolve, lost: () => reject(new Error("the part did not come through")) })),
    );
  connect();
  const ring = () => {
    const due = alarms;
    alarms = [];
    for (const alarm of due) alarm();
  };
  /** The action has written it, and the page has shown it. */
  const done = async (at: number) => {
    asks.written(sent[at]!.asked.key);
    sent[at]!.shown();
    await settle();
  };
  const values = () => sent.map(({ asked }) => (asked.ask as unknown as { value: unknown }).value);
  const say = (value: unknown, about?: string) => asks.ask("/pieces/mug", { intent: "change", value } as never, about === undefined ? {} : { about });
  return { asks, sent, ring, done, values, say, tab };
}

const settle = () => new Promise((resolve) => setImmediate(resolve));

describe("asks of one page", () => {
  test("go one after another, each with its own answer, and leave when they are shown", async () => {
    const { asks, done, values, say } = page();
    for (const value of [1, 2, 3]) say(value);
    expect(values()).toEqual([1]);
    for (const at of [0, 1, 2]) await done(at);
    expect([values(), asks.snapshot().asked]).toEqual([[1, 2, 3], []]);
  });

  test("of different actions do not wait for one another", () => {
    const { asks, sent, say } = page();
    say(1);
    asks.ask("/settings", { intent: "settings" });
    expect(sent.map((one) => one.asked.action)).toEqual(["/pieces/mug", "/settings"]);
  });

  test("strokes of one field are one ask, sent when typing rests, when it is left, or before the next deed", () => {
    const { asks, ring, values, say } = page();
    for (const value of ["8", "80"]) say(value, "height");
    expect(values()).toEqual([]);
    ring();
    expect(values()).toEqual(["80"]);
    const left = page();
    left.say("9", "height");
    left.asks.hurry();
    expect(left.values()).toEqual(["9"]);
    const next = page();
    next.say("7", "height");
    next.say("tick");
    expect(next.values()).toEqual(["7"]);
    void asks;
  });

  test("a stroke may build on the one it comes instead of", () => {
    const { asks, sent } = page();
    const stroke = (value: number) =>
      asks.ask("/pieces/mug", { intent: "change", seen: value - 1, value } as { intent: string; seen: number }, {
        about: "height",
        over: (earlier) => ({ ...earlier, value }) as never,
      });
    for (const value of [71, 72, 73]) stroke(value);
    asks.hurry();
    expect(sent[0]?.asked.ask).toMatchObject({ seen: 70, value: 73 });
  });
});

describe("what could not be written", () => {
  test("stays, with why, holds back what comes after it, and is tried again by itself and by hand", async () => {
    const { asks, sent, ring, done, values, say } = page();
    say(1);
    say(2);
    asks.failed(sent[0]!.asked.key, "no room");
    sent[0]!.shown();
    await settle();
    expect(asks.snapshot().asked.map((one) => [one.state, one.why])).toEqual([
      ["unsaved", "no room"],
      ["waiting", null],
    ]);
    ring();
    expect(values()).toEqual([1, 1]);
    asks.failed(sent[1]!.asked.key, "no room");
    asks.retry();
    await done(2);
    await done(3);
    expect([values(), asks.snapshot().asked]).toEqual([[1, 1, 1, 2], []]);
  });

  test("whoever waits for all to be written is not held up by it", async () => {
    const { asks, sent, done, say } = page();
    let settled = false;
    say(1);
    say(2);
    const waiting = asks.settledBut("/history").then(() => (settled = true));
    await settle();
    expect(settled).toBe(false);
    asks.failed(sent[0]!.asked.key, "no room");
    await waiting;
    asks.retry();
    await done(1);
    await done(2);
    await asks.settledBut("/history");
    expect(asks.snapshot().asked).toEqual([]);
  });

  test("a page that never reached its action has not saved; what is refused is told once and let go", async () => {
    const { asks, sent, say } = page();
    say(1);
    sent[0]!.lost();
    await settle();
    expect(asks.snapshot().asked.map((one) => one.why)).toEqual(["the part did not come through"]);
    const other = page();
    const key = other.say(1);
    other.say(2);
    other.asks.refused(key, "too large");
    expect([other.asks.snapshot().refused, other.values()]).toEqual([[{ key, why: "too large" }], [1, 2]]);
    other.asks.read(key);
    expect(other.asks.snapshot().refused).toEqual([]);
  });
});

describe("a page that is gone", () => {
  test("leaves what it asked to the next, in order; what was written is not done again", async () => {
    const notes = journal();
    const first = page(notes);
    first.say("written");
    first.say("asked");
    first.say("typed", "height");
    first.asks.written(first.sent[0]!.asked.key);
    const second = page(notes);
    expect(second.asks.pagesLeft()).toEqual([first.tab]);
    second.asks.adopt(new Set([first.tab]));
    await second.done(0);
    await second.done(1);
    expect([second.values(), notes.size()]).toEqual([["asked", "typed"], 0]);
  });

  test("of two pages that are gone what was asked first is done first, and each is told to be left by a page", async () => {
    const notes = journal();
    const [one, other] = [page(notes), page(notes)];
    other.say("first");
    one.say("second");
    other.say("third");
    const next = page(notes);
    next.asks.adopt(new Set([one.tab, other.tab]));
    for (const at of [0, 1, 2]) await next.done(at);
    expect([next.values(), next.sent.every(({ asked }) => asked.left === true)]).toEqual([["first", "second", "third"], true]);
  });

  test("of a page that is still open nothing is taken; of rubbish in the journal neither", () => {
    const notes = journal();
    const first = page(notes);
    first.say(1);
    notes.setItem("nook-coat-ask/gone/000001/key", "{");
    notes.setItem("nook-coat-ask/gone/000002/key2", '{"action":"javascript:alert(1)","ask":{"intent":"x"}}');
    const second = page(notes);
    second.asks.adopt(new Set(["gone"]));
    expect([second.values(), second.asks.pagesLeft()]).toEqual([[], [first.tab]]);
  });

  test("what must not be done twice is not noted; a journal that is full stops nothing", () => {
    const notes = journal(1);
    const { asks, values, say } = page(notes);
    asks.ask("/history", { intent: "undo" }, { noted: false });
    expect(notes.size()).toBe(0);
    say(1);
    asks.ask("/settings", { intent: "settings" });
    expect([notes.size(), values()]).toEqual([1, [undefined, 1, undefined]]);
  });
});
