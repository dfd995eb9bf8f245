/** One call for one thing, whichever tab makes it; and where a device keeps nothing, it calls all the same. */
import { afterEach, beforeEach, describe, expect, test } from "@jest/globals";
import { awakeRefused, isFirstToTell, keepEnds, nextEnd, notifyRefused } from "./alerts.client";

type Global = Record<string, unknown>;
const device = (more: Global) => Object.assign(globalThis as unknown as Global, { window: { isSecureContext: true }, navigator: {}, ...more });

/** A store as a browser has one. */
function store(): Storage {
  const kept = new Map<string, string>();
  return { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value) } as unknown as Storage;
}

const before = { ...(globalThis as unknown as Global) };
beforeEach(() => void device({ localStorage: store() }));
afterEach(() => {
  for (const key of ["window", "navigator", "localStorage", "Notification"]) {
    if (key in before) (globalThis as unknown as Global)[key] = before[key];
    else Reflect.deleteProperty(globalThis, key);
  }
});

describe("a wait that has ended", () => {
  test("is told once, by the first tab that sees it; the next one is told again", () => {
    expect([isFirstToTell("pot 19:40"), isFirstToTell("pot 19:40"), isFirstToTell("pot 20:10")]).toEqual([true, false, true]);
  });

  test("is known on other pages in its order, past ones no more", () => {
    keepEnds([300, 100, 200]);
    expect([nextEnd(0), nextEnd(100), nextEnd(299), nextEnd(300)]).toEqual([100, 200, 300, null]);
    device({ localStorage: { getItem: () => "{not a list", setItem: () => undefined } });
    expect(nextEnd(0)).toBeNull();
  });

  test("is told in every tab where the browser keeps nothing", () => {
    const forbidden = () => {
      throw new DOMException("no storage here", "SecurityError");
    };
    device({ localStorage: { getItem: forbidden, setItem: forbidden } });
    keepEnds([1]);
    expect([isFirstToTell("x"), isFirstToTell("x"), nextEnd(0)]).toEqual([true, true, null]);
  });
});

test("what a device will not do is said plainly: over plain http, where the browser cannot, where it was forbidden", () => {
  device({ window: { isSecureContext: false } });
  expect([notifyRefused(), awakeRefused()]).toEqual(["insecure", "insecure"]);
  device({ window: { isSecureContext: true } });
  Reflect.deleteProperty(globalThis, "Notification");
  expect([notifyRefused(), awakeRefused()]).toEqual(["missing", "missing"]);
  device({ Notification: { permission: "denied" } });
  expect(notifyRefused()).toBe("denied");
  device({ Notification: { permission: "default" } });
  expect(notifyRefused()).toBeNull();
});
