import { seen } from "../../film/hiding";
import type { HidingFilm } from "../../film/hiding";
import { spectrumOf } from "../../film/spectrum";
import type { Spectrum } from "../../film/spectrum";
import { stepId } from "../../catalogue/ids";
import { asksForCoats, coatsOver } from "../facts/coats-wanted";
import { coversField, hidingFilm } from "../facts/facts";
import type { StepFact } from "../facts/facts";
import { soleStack } from "./assemble";
import type { ZoneContext } from "./context";

/** A step that may be chosen. */
interface Layable {
  readonly fact: StepFact;
  /** The user's keep the coats the user gave them. */
  readonly pinned: boolean;
  /** Minutes at the bench for the coats it has as it is; 0 where more coats cost none. */
  readonly minutes: number;
}

/** Coats laid over what is beneath, and what is seen then. */
interface Over {
  readonly laid: number;
  readonly seen: Spectrum;
}

/** What is seen of a zone before anything is laid: the bare piece, or what is on it already. */
export function seenAlready(context: ZoneContext): Spectrum {
  const done = context.done.map((step, index) => ({
    ...step,
    id: stepId(`done.${index}`),
    done: true as const,
    origin: "hers" as const,
    because: [],
    checks: [],
  }));
  return soleStack(context, done)
    .steps.filter(coversField)
    .reduce<Spectrum>((beneath, fact) => (hidingFilm(fact) ? seen(hidingFilm(fact)!, beneath) : beneath), spectrumOf(context.material.bodyColour));
}

/** Coats that chosen steps want over what lies beneath them; over each ground worked out once. */
export class CoatCount {
  private readonly films: readonly (HidingFilm | null)[];
  private readonly known: readonly Map<Spectrum, Over>[];

  /** @param steps every step that may be chosen, in working order */
  constructor(
    private readonly ground: Spectrum,
    private readonly steps: readonly Layable[],
  ) {
    this.films = steps.map(({ fact }) => (coversField(fact) ? hidingFilm(fact) : null));
    this.known = steps.map(() => new Map<Spectrum, Over>());
  }

  /**
   * Coats of chosen steps, and what they add to the least of them: minutes and coats.
   *
   * @param places of the chosen steps, ascending
   */
  of(places: readonly number[]): { readonly coats: readonly number[]; readonly handsOnMin: number; readonly more: number } {
    let [handsOnMin, more] = [0, 0];
    let beneath = this.ground;
    const coats = places.map((place) => {
      const { fact, minutes } = this.steps[place]!;
      const least = fact.step.coats ?? 1;
      const over = this.over(place, beneath);
      if (over.laid > least) {
        handsOnMin += (minutes / least) * (over.laid - least);
        more += over.laid - least;
      }
      beneath = over.seen;
      return over.laid;
    });
    return { coats, handsOnMin, more };
  }

  private over(place: number, beneath: Spectrum): Over {
    const known = this.known[place]!.get(beneath);
    if (known) return known;
    const { fact, pinned } = this.steps[place]!;
    const least = fact.step.coats ?? 1;
    const laid = !pinned && asksForCoats(fact) ? Math.max(least, coatsOver(fact, beneath).laid) : least;
    const film = this.films[place];
    const over = { laid, seen: film ? seen({ ...film, coats: laid }, beneath) : beneath };
    this.known[place]!.set(beneath, over);
    return over;
  }
}
