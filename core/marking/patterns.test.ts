/** Our own patterns, and those that are kept, on bodies of all kinds. */
import { describe, expect, test } from "@jest/globals";
import type { Row } from "../piece/pattern";
import { keptPatternOf, rowsOfKept } from "./kept-pattern";
import { PATTERN_TEMPLATES, beginsAt, rowsOfTemplate } from "./patterns";
import { solvePattern } from "./solve";
import { discTop, domeTop, pebbleTop, taperedWall } from "./surface";

const row = (id: string, more: Partial<Row> = {}): Row => ({ id, kind: "dots", diameterMm: 4, colours: ["#ffffff"], ...more });

describe("patterns", () => {
  const surfaces = {
    pebble: pebbleTop(120, 90, 30),
    dome: domeTop(32, 25),
    disc: discTop(100),
    pot: taperedWall(140, 203, 190),
    mug: taperedWall(82, 82, 70),
    jar: taperedWall(90, 90, 140),
  };

  test("ten of our own, each for three bodies at least, every row of them laid", () => {
    expect(PATTERN_TEMPLATES).toHaveLength(10);
    for (const one of PATTERN_TEMPLATES) {
      const on = Object.values(surfaces).flatMap((surface) => {
        const rows = rowsOfTemplate(one, surface, ["#f4efe2", "#d9822b"]);
        return rows ? [solvePattern(surface, { rows, guides: one.guides, from: beginsAt(surface) })] : [];
      });
      expect(on.length).toBeGreaterThanOrEqual(3);
      for (const { rows } of on) expect(rows.every(({ refused }) => !refused)).toBe(true);
    }
  });

  test("one that is kept goes on to a body of another size, larger in the same measure", () => {
    const kept = keptPatternOf("Rings", { zone: "top", guides: 8, rows: [row("a", { lengthMm: 10 })] }, discTop(50));
    expect(rowsOfKept(kept, discTop(52))).toBe(kept.rows);
    expect(rowsOfKept(kept, discTop(100))[0]).toMatchObject({ diameterMm: 8, lengthMm: 20 });
  });
});
