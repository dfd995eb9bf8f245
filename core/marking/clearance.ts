import type { Point3 } from "./surface";

/** A round spot that lies on a surface, mm. */
export interface LaidSpot {
  readonly at: Point3;
  readonly diameterMm: number;
  /** Of which row. */
  readonly row: string;
}

/** What two spots leave between them. */
export interface Nearest {
  readonly gapMm: number;
  readonly row: string;
}

/** Lists the cells are spread over: a power of two. */
const SLOTS = 1 << 13;

/** Cells far apart may share a list: what is found is measured anyway. */
function slotOf(x: number, y: number, z: number): number {
  return (Math.imul(x, 73_856_093) ^ Math.imul(y, 19_349_663) ^ Math.imul(z, 83_492_791)) & (SLOTS - 1);
}

/** Spots on a surface, found by where they lie: a grid of cells, hashed, each a linked list in flat arrays. */
export class Spots {
  private readonly first = new Int32Array(SLOTS).fill(-1);
  private readonly next: number[] = [];
  /** x, y, z and diameter of each. */
  private readonly places: number[] = [];
  private readonly rows: string[] = [];
  private largest = 0;

  /**
   * @param cellMm about twice the distance neighbours have
   * @param flat seen from above: no two lie one over the other
   */
  constructor(
    private readonly cellMm: number,
    private readonly flat: boolean,
  ) {}

  private cell(value: number): number {
    return Math.floor(value / this.cellMm);
  }

  add({ at: [x, y, z], diameterMm, row }: LaidSpot): void {
    const slot = slotOf(this.cell(x), this.cell(y), this.flat ? 0 : this.cell(z));
    this.next.push(this.first[slot]!);
    this.first[slot] = this.rows.length;
    this.places.push(x, y, z, diameterMm);
    this.rows.push(row);
    this.largest = Math.max(this.largest, diameterMm);
  }

  /**
   * The nearest laid spot, looked for no farther than a gap.
   *
   * @param withinMm gaps above it are of no interest
   * @returns null where none is nearer
   */
  nearest(at: Point3, diameterMm: number, withinMm: number): Nearest | null {
    const [atX, atY, atZ] = at;
    const reach = (diameterMm + this.largest) / 2 + withinMm;
    const [x0, x1] = [this.cell(atX - reach), this.cell(atX + reach)];
    const [y0, y1] = [this.cell(atY - reach), this.cell(atY + reach)];
    const [z0, z1] = this.flat ? [0, 0] : [this.cell(atZ - reach), this.cell(atZ + reach)];
    let best = -1;
    let least = withinMm;
    // Small marks with much space asked round them: there are fewer of them than cells.
    if ((x1 - x0 + 1) * (y1 - y0 + 1) * (z1 - z0 + 1) > this.rows.length) {
      for (let k = 0; k < this.rows.length; k++) {
        const gapMm = this.gapTo(k, at, diameterMm);
        if (gapMm < least) [best, least] = [k, gapMm];
      }
    } else {
      for (let x = x0; x <= x1; x++)
        for (let y = y0; y <= y1; y++)
          for (let z = z0; z <= z1; z++)
            for (let k = this.first[slotOf(x, y, z)]!; k >= 0; k = this.next[k]!) {
              const gapMm = this.gapTo(k, at, diameterMm);
              if (gapMm < least) [best, least] = [k, gapMm];
            }
    }
    return best < 0 ? null : { gapMm: least, row: this.rows[best]! };
  }

  private gapTo(k: number, at: Point3, diameterMm: number): number {
    const { places } = this;
    const [dx, dy, dz] = [at[0] - places[4 * k]!, at[1] - places[4 * k + 1]!, at[2] - places[4 * k + 2]!];
    return Math.sqrt(dx * dx + dy * dy + dz * dz) - (diameterMm + places[4 * k + 3]!) / 2;
  }
}
