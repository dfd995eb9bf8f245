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

/** Spots on a surface, found by where they lie. */
export class Spots {
  private readonly cells = new Map<number, LaidSpot[]>();
  private largest = 0;

  /**
   * @param cellMm about twice the distance neighbours have
   * @param flat seen from above: no two lie one over the other
   */
  constructor(
    private readonly cellMm: number,
    private readonly flat: boolean,
  ) {}

  /** Cells far apart may share a key: what is found is measured anyway. */
  private key(x: number, y: number, z: number): number {
    return ((x & 1023) << 20) | ((y & 1023) << 10) | (z & 1023);
  }

  private cell(value: number): number {
    return Math.floor(value / this.cellMm);
  }

  add(spot: LaidSpot): void {
    const key = this.key(this.cell(spot.at[0]), this.cell(spot.at[1]), this.flat ? 0 : this.cell(spot.at[2]));
    const here = this.cells.get(key);
    if (here) here.push(spot);
    else this.cells.set(key, [spot]);
    this.largest = Math.max(this.largest, spot.diameterMm);
  }

  /**
   * The nearest laid spot, looked for no farther than a gap.
   *
   * @param withinMm gaps above it are of no interest
   * @returns null where none is nearer
   */
  nearest(at: Point3, diameterMm: number, withinMm: number): Nearest | null {
    const reach = (diameterMm + this.largest) / 2 + withinMm;
    const [x0, x1] = [this.cell(at[0] - reach), this.cell(at[0] + reach)];
    const [y0, y1] = [this.cell(at[1] - reach), this.cell(at[1] + reach)];
    const [z0, z1] = this.flat ? [0, 0] : [this.cell(at[2] - reach), this.cell(at[2] + reach)];
    let best: Nearest | null = null;
    let least = withinMm;
    for (let x = x0; x <= x1; x++)
      for (let y = y0; y <= y1; y++)
        for (let z = z0; z <= z1; z++) {
          const here = this.cells.get(this.key(x, y, z));
          if (!here) continue;
          for (const spot of here) {
            const [dx, dy, dz] = [at[0] - spot.at[0], at[1] - spot.at[1], at[2] - spot.at[2]];
            const gap = Math.sqrt(dx * dx + dy * dy + dz * dz) - (diameterMm + spot.diameterMm) / 2;
            if (gap >= least) continue;
            least = gap;
            best = { gapMm: gap, row: spot.row };
          }
        }
    return best;
  }
}
