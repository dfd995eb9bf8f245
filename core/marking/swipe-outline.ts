/** A round spot on a flat drawing, mm. */
interface FlatSpot {
  readonly flat: readonly [number, number];
  readonly diameterMm: number;
}

/** Points the round head is drawn with. */
const HEAD_POINTS = 10;

/**
 * The edge of a swipe: round at its head, drawn out to its point.
 *
 * @param spots from the head to the point, two at least
 * @returns a closed line, in the coordinates of the spots
 */
export function swipeOutline(spots: readonly FlatSpot[]): readonly (readonly [number, number])[] {
  const directionAt = (k: number) => {
    const [a, b] = [spots[Math.max(0, k - 1)]!.flat, spots[Math.min(spots.length - 1, k + 1)]!.flat];
    return Math.atan2(b[1] - a[1], b[0] - a[0]);
  };
  const beside = (k: number, angle: number): readonly [number, number] => {
    const { flat, diameterMm } = spots[k]!;
    return [flat[0] + (diameterMm / 2) * Math.cos(angle), flat[1] + (diameterMm / 2) * Math.sin(angle)];
  };
  const left = spots.map((_spot, k) => beside(k, directionAt(k) + Math.PI / 2));
  const right = spots.map((_spot, k) => beside(k, directionAt(k) - Math.PI / 2)).reverse();
  const round = directionAt(0) - Math.PI / 2;
  const head = Array.from({ length: HEAD_POINTS - 1 }, (_unused, k) => beside(0, round - (Math.PI * (k + 1)) / HEAD_POINTS));
  return [...left, ...right, ...head];
}
