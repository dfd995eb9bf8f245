import { describe, expect, test } from "@jest/globals";
import { perform } from "./perform";
import type { Intents } from "./perform";

interface RoomAsk {
  readonly intent: "room";
  readonly name: string;
}
type Asks = RoomAsk | { readonly intent: "none" };

const INTENTS: Intents<Asks> = { room: (joi) => ({ name: joi.string().max(5).required() }), none: () => ({}) };
const ask = (body: unknown) => new Request("http://nook.example/", { method: "POST", body: JSON.stringify(body) });
const done: string[] = [];
const performing = (body: unknown) =>
  perform<Asks, string>(ask(body), INTENTS, { room: async ({ name }) => (done.push(name), name), none: async () => "none" });
const refusal = (body: unknown) =>
  performing(body).then(
    () => null,
    (error: unknown) => error as { readonly data: string; readonly init: { readonly status: number } },
  );

describe("an action", () => {
  test("does what is asked", async () =>
    expect([await performing({ intent: "room", name: "Loft" }), await performing({ intent: "none" })]).toEqual(["Loft", "none"]));

  test.each([
    ["an intent it does not have", { intent: "explode" }, /intent/],
    ["a name of Object itself", { intent: "constructor" }, /intent/],
    ["a field that does not fit", { intent: "room", name: "Far too long" }, /name/],
    ["a field that is missing", { intent: "room" }, /name/],
    ["a field nobody asked for", { intent: "none", name: "Loft" }, /name/],
  ])("refuses %s, says where, and does nothing", async (_name, body, said) => {
    const before = done.length;
    const error = await refusal(body);
    expect(error?.init.status).toBe(400);
    expect(error?.data).toMatch(said);
    expect(done.length).toBe(before);
  });
});
