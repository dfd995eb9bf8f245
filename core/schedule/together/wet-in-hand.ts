import { isHeldBy } from "../../coating/facts/same-body";
import { waitedFrom } from "../drying-clock";
import type { Node } from "./network";

/** A film that must not be held yet. */
interface WetFilm {
  readonly node: number;
  readonly until: number;
}

/** What is wet on each piece: nothing is begun on it that would have to hold it by a wet place. */
export class WetInHand {
  /** By load. */
  private readonly films = new Map<number, WetFilm[]>();

  constructor(private readonly nodes: readonly Node[]) {}

  /** The first instant from there on at which a task may begin, ms. */
  from(index: number, at: number): number {
    const { task, load } = this.nodes[index]!;
    const work = { zones: task.zones, go: task.go };
    return (this.films.get(load) ?? []).reduce((from, film) => {
      const lower = this.nodes[film.node]!.task;
      return film.until > from && isHeldBy(work, { zones: lower.zones, go: lower.go }) ? film.until : from;
    }, at);
  }

  /** A stretch of work was done, until then, ms. */
  done(index: number, to: number): void {
    const { load, touch } = this.nodes[index]!;
    if (!touch) return;
    const until = waitedFrom(to, touch.waitMs, touch.clock);
    // What is dry by the time this is laid is in nobody's way any more.
    const still = (this.films.get(load) ?? []).filter((film) => film.until > to && film.node !== index);
    this.films.set(load, [...still, { node: index, until }]);
  }
}
