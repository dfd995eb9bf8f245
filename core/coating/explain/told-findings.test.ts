import { expect, test } from "@jest/globals";
import type { Finding } from "../model/plan";
import { toldFindings } from "./told-findings";

const found = (code: string, zone: string | null, more: object = {}) =>
  ({ code, severity: "note", zone, stepId: null, message: code, why: "it does", fix: { text: "sand it" }, ...more }) as unknown as Finding;
const mend = (zone: string) => ({ fix: { text: "take it off", change: [{ op: "remove", stepId: `${zone}.seal` }] } });

test("what is found in three places is said once, of all three, and mended in all of them; what differs is said by itself", () => {
  const told = toldFindings([
    found("grain", "face"),
    found("sun", null),
    found("grain", "edge"),
    found("soft", "face", mend("face")),
    found("soft", "edge", mend("edge")),
  ]);
  expect(told.map(({ finding, zones, change }) => [finding.code, zones, change])).toEqual([
    ["grain", ["face", "edge"], null],
    ["sun", [], null],
    ["soft", ["face", "edge"], [...mend("face").fix.change, ...mend("edge").fix.change]],
  ]);
  expect(toldFindings([found("grain", "face"), found("grain", "edge", { message: "worse" })])).toHaveLength(2);
  expect(toldFindings([found("soft", "face", mend("face")), found("soft", "face", mend("face"))])[0]!.change).toHaveLength(1);
});
