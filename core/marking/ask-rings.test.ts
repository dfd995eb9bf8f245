/** One ring by itself. */
import { describe, expect, test } from "@jest/globals";
import { ringOn } from "./ask-rings";
import { discTop, domeTop, pebbleTop, taperedWall } from "./surface";

describe("a ring by itself", () => {
  test("on a dome it says what the compass and the tape give; on a flat top there is nothing to say", () => {
    const dome = ringOn(domeTop(32.5, 25), { at: { radiusMm: 20 }, diameterMm: 4 });
    if (typeof dome === "string") throw new Error(dome);
    expect(dome.lengthMm).toBeCloseTo(40 * Math.PI, 9);
    expect(dome.compassMm!).toBeGreaterThan(20);
    expect(dome.tapeMm!).toBeGreaterThan(dome.compassMm!);
    expect(ringOn(discTop(40), { at: { radiusMm: 20 }, diameterMm: 4 })).toMatchObject({ compassMm: null, tapeMm: null });
  });

  test("so many of a size that just touch: set at that size they do", () => {
    const asked = { at: { heightMm: 50 }, diameterMm: 4, count: 40 };
    const ring = ringOn(taperedWall(90, 120, 100), asked);
    if (typeof ring === "string") throw new Error(ring);
    const filled = ringOn(taperedWall(90, 120, 100), { ...asked, diameterMm: ring.diameterThatTouchesMm! });
    expect(filled).toMatchObject({ gapMm: expect.closeTo(0, 9) as unknown });
  });

  test("a measure the surface has not, or a place off it, is named", () => {
    expect(ringOn(discTop(40), { at: { heightMm: 10 }, diameterMm: 4 })).toBe("no-such-measure");
    expect(ringOn(discTop(40), { at: { radiusMm: 41 }, diameterMm: 4 })).toBe("off-the-surface");
    expect(ringOn(taperedWall(90, 90, 100), { at: { insetMm: 101 }, diameterMm: 4 })).toBe("off-the-surface");
  });

  test("on the very edge of an oval it still lies on it; one mark alone has no gap", () => {
    expect(ringOn(pebbleTop(100, 70, 30), { at: { insetMm: 0 }, diameterMm: 4, multipleOf: 4 })).toMatchObject({ count: expect.any(Number) as unknown });
    expect(ringOn(discTop(40), { at: { radiusMm: 0 }, diameterMm: 4 })).toMatchObject({ count: 1, gapMm: null, positions: [[0, 0]] });
  });
});
