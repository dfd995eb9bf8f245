import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../catalogue/catalogue";
import { menuOf } from "../catalogue/menu";
import { mug, pebble, pot, rough } from "../../tests/reference/bench";
import { openQuestions } from "./open-questions";
import type { Piece } from "./piece";

const menu = menuOf(CATALOGUE);
const asked = (piece: Piece) => openQuestions(piece, menu).map((one) => `${one.kind}:${one.id}`);

describe("what is worth asking", () => {
  test("a pot is asked of its salts, before anything of its use", () => {
    const questions = asked(pot());
    expect(questions[0]).toMatch(/^condition:/);
    expect(questions).toContain("condition:efflorescence");
  });
  test("once the user has said how it is, even that nothing is wrong, nobody asks again", () =>
    expect(asked(pot({ conditions: [] })).filter((one) => one.startsWith("condition:"))).toEqual([]));
  test("nobody asks for a use the user has named, or whether what stands outdoors goes outdoors", () => {
    expect(asked(pebble({ conditions: [], uses: ["gift-or-sale"] }))).toEqual(["use:outdoor-exposed"]);
    expect(asked(pebble({ conditions: [], uses: ["outdoor-exposed"] }))).toEqual(["use:gift-or-sale"]);
    expect(asked(pebble({ conditions: [], uses: ["outdoor-sheltered"] }))).toEqual(["use:gift-or-sale"]);
  });
  test("never more than five at once, never the same twice", () => {
    for (const piece of [pebble(), rough(), pot(), mug()]) {
      const questions = asked(piece);
      expect(questions.length).toBeLessThanOrEqual(5);
      expect(new Set(questions).size).toBe(questions.length);
    }
  });
});
