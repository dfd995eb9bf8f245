import { describe, expect, test } from "@jest/globals";
import { heatTimeline } from "./heat-timeline";

describe("a bake as one timeline", () => {
  const at163 = heatTimeline({ kind: "oven", temperatureC: 163, holdMin: 30 });

  test("from cold: up to heat, the hold counted from then, cooling inside; the whole is its parts", () => {
    expect(at163.spans.map(({ phase }) => phase)).toEqual(["heating", "hold", "cooling"]);
    for (const end of ["typicalMin", "cautiousMin"] as const) {
      const part = end === "typicalMin" ? "fromMin" : "toMin";
      expect(at163.totalMin[end]).toBeCloseTo(
        at163.spans.reduce((sum, span) => sum + span[part], 0),
        9,
      );
    }
    expect(at163.spans[1]).toMatchObject({ fromMin: 30, toMin: 30 });
    // One stays near until the hold is over, not while it cools.
    expect(at163.presenceMin.cautiousMin).toBeLessThan(at163.totalMin.cautiousMin);
    expect(at163.presenceMin.typicalMin).toBeGreaterThan(30);
  });

  test("hotter and longer take longer; a household oven is cold again in an evening, a kiln is not", () => {
    const at180 = heatTimeline({ kind: "oven", temperatureC: 180, holdMin: 30 });
    expect(at180.totalMin.typicalMin).toBeGreaterThan(at163.totalMin.typicalMin);
    expect(at163.totalMin.cautiousMin).toBeLessThan(3 * 60);
    // Newton's law by hand: from 143 K over the room to 20 K, at 40 min to 1/e.
    expect(at163.spans[2]!.toMin).toBeCloseTo(40 * Math.log(143 / 20), 9);
    expect(heatTimeline({ kind: "kiln", temperatureC: 1000, holdMin: 10 }).totalMin.typicalMin).toBeGreaterThan(12 * 60);
    expect(heatTimeline({ kind: "oven", temperatureC: 20, holdMin: 0 }).totalMin.cautiousMin).toBe(0);
  });
});
