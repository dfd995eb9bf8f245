/** A piece on a bench with a clock, its records and its plan as they are kept. */
import { expect } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { StepId } from "#core/catalogue/ids";
import { changesWith } from "#core/coating/model/apply-changes";
import type { Change } from "#core/coating/model/change";
import { actKey, bodyOf } from "#core/logbook/body-state";
import type { BenchPiece } from "#core/logbook/bench/bench-piece";
import type { OwnTimes } from "#core/logbook/learning/own-times";
import type { BodyView } from "#core/logbook/plan-on-body";
import type { CoatEvent, ProgressKind } from "#core/logbook/progress";
import type { Piece } from "#core/piece/piece";
import { workAtTable } from "#core/logbook/work-at-table";
import { gypsum, jar, mug, pebble, pot, tray, woodDisc } from "./bench";
import { Bench } from "./half-painted";

export const MIN = 60_000;
export const START = Date.parse("2026-11-02T18:00:00Z");

const coatName = (zone: string, stepId: string, act: CoatEvent["act"], { coat, half }: Pick<CoatEvent, "coat" | "half">) =>
  [zone, stepId, actKey(act), coat, half].join("/");

/** A piece on a bench with a clock, its records and its plan as they are kept. */
export class KeptTable extends Bench {
  now = START;
  /** What the table has taught. */
  own: OwnTimes | null = null;
  private names = 0;
  private known: { readonly progress: unknown; readonly keeping: unknown; readonly view: BodyView } | null = null;

  constructor(
    piece: Piece,
    private readonly id = "it",
  ) {
    super(piece);
  }

  /** Worked out anew only where something was done, or kept. */
  override get view(): BodyView {
    const { progress, keeping, known } = this;
    if (known?.progress !== progress || known.keeping !== keeping) this.known = { progress, keeping, view: super.view };
    return this.known!.view;
  }

  at(kind: ProgressKind, events: readonly CoatEvent[]): void {
    // A coat that is on already is not laid a second time under its name: the film that lies there would be forgotten.
    const on = new Set(bodyOf(this.progress).flatMap(({ zone, stepId, act, coats }) => coats.map((one) => coatName(zone, stepId, act, one))));
    if (kind === "done")
      expect(events.filter(({ zone, stepId, act, ...coat }) => CATALOGUE.products.has(act.product) && on.has(coatName(zone, stepId, act, coat)))).toEqual([]);
    this.record(kind, events as never);
    const count = events.length;
    const at = new Date((this.now += 1)).toISOString();
    this.progress = this.progress.map((one, k) => (k >= this.progress.length - count ? { ...one, at } : one));
  }

  /** The plan as it is shown is the one that is followed, with the changes that are in it. */
  keep(): void {
    const { shown, basis, edits } = this.view;
    if (!shown) return;
    if (basis !== (this.keeping.basis ?? null)) this.keeping = { ...this.keeping, edits };
    this.follow(shown, basis);
  }

  /** Changes of the plan, each new step with a name of its own. */
  edit(changes: readonly Change[]): void {
    const named = changes.map((change) =>
      change.op === "add" && change.step.id === undefined
        ? { ...change, step: { ...change.step, id: `${change.zone}.own.${(this.names += 1)}` as StepId } }
        : change,
    );
    this.keeping = { ...this.keeping, edits: changesWith(this.keeping.edits, named) };
  }

  get laid(): BenchPiece | null {
    const { shown, done, tacky } = this.view;
    if (!shown) return null;
    const work = workAtTable(this.piece, shown, { done, tacky }, this.own, CATALOGUE);
    return { id: this.id, name: this.id, count: this.piece.count ?? 1, due: null, shown, work, done, progress: this.progress };
  }
}

const DOTS = { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2", "#d9822b"] };
/** Pieces of many grounds and uses. */
export const PIECES: readonly Piece[] = [
  pebble({ uses: ["handled"], decoration: DOTS }),
  pot({ uses: ["planter"], parts: ["saucer"], decoration: DOTS }),
  mug({ decoration: { techniques: ["freehand-brush"], colours: ["#1f3a4d"] } }),
  jar({ decoration: { techniques: ["dots"], colours: ["#f4efe2"] } }),
  tray({ decoration: { techniques: ["stencil"], baseColour: "#f4efe2", colours: ["#1f3a4d"] } }),
  gypsum({ uses: ["handled"], conditions: ["air-holes"], decoration: DOTS }),
  woodDisc({ decoration: { techniques: ["dots", "lettering"], baseColour: "#1f3a4d", colours: ["#f4efe2"] } }),
];
