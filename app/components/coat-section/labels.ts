import { SHEEN_WORDS } from "#core/catalogue/vocabulary";
import type { Menu } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";
import { nameOfColour } from "#core/film/colour-names";
import type { StepState } from "#core/logbook/coat-states";
import { sayDuration } from "#core/units/duration";
import { sayClock } from "../time-words";
import { jarName } from "../words";
import { isClearFill } from "./bands";
import type { Band } from "./bands";
import { HEAD_SIZE, LINE, TAIL_SIZE } from "./layout";
import { widthOf, wrapped } from "./label-layout";

const STATE_WORDS: Record<StepState["state"], string> = { done: "done", wet: "wet", ready: "may be done now", waiting: "waiting", "to-come": "to come" };

/** What a band says of where it stands, beside its name. */
export function stateText(state: StepState | undefined): string {
  if (!state) return "";
  const counted = state.done > 0 && state.done < state.of ? `, ${state.done} of ${state.of} done` : "";
  const until = state.until && state.state !== "to-come" ? ` until about ${sayClock(state.until)}` : "";
  return `${STATE_WORDS[state.state]}${until}${counted}`;
}

const CAP_WORDS = (step: Step) =>
  step.heat
    ? `${step.heat.kind === "kiln" ? "Fire" : "Bake"} ${step.heat.temperatureC} °C`
    : step.role === "assemble"
      ? "Parts glued on"
      : step.waitBefore
        ? `Hardens ${sayDuration(step.waitBefore.min)}`
        : "Ready when it is cool";
const GUIDE_WORDS: Partial<Record<Step["role"], string>> = { mark: "Guides", mask: "Mask", sign: "Signed" };

/** The words beside a band: its number and what goes on; softer, its coats, colour and sheen. */
export interface Label {
  readonly head: string;
  readonly tail: string;
}

function filmTail(band: Band, menu: Menu, name: string): string {
  const { coats, colour, sheen } = band.step;
  const colourName = colour === undefined || jarName(band.step, menu) !== null ? null : nameOfColour(colour);
  const sheenName = sheen !== undefined && isClearFill(band) && !name.toLowerCase().includes(SHEEN_WORDS[sheen]) ? SHEEN_WORDS[sheen] : null;
  return [...(colourName === null ? [] : [colourName]), ...(sheenName === null ? [] : [sheenName]), ...(coats > 1 ? [`${coats} coats`] : [])].join(", ");
}

export function labelOf(band: Band, menu: Menu, number: number | undefined): Label {
  const name = jarName(band.step, menu) ?? menu.products.find((one) => one.id === band.step.product)?.name ?? "";
  if (band.kind === "cap") return { head: CAP_WORDS(band.step), tail: "" };
  const before = number === undefined ? "" : `${number} · `;
  if (band.kind === "guide") return { head: `${before}${GUIDE_WORDS[band.step.role] ?? name}`, tail: band.step.role === "sign" ? "dated" : "comes off" };
  return { head: `${before}${name}`, tail: filmTail(band, menu, name) };
}

/** What a band that is waited for says of when: "wet till 19:05". */
export function untilText(state: StepState | undefined): string {
  if (!state || state.until === null || (state.state !== "wet" && state.state !== "waiting")) return "";
  return `${state.state === "wet" ? "wet till" : "till"} ${sayClock(state.until)}`;
}

/** A label in lines. The last line of the head may be shared with the tail. */
export interface LaidLabel {
  readonly head: readonly string[];
  readonly tail: readonly string[];
  /** The tail begins in the head's last line. */
  readonly shared: boolean;
  readonly height: number;
}

/** A label in lines no wider than its place. @param width px */
export function laid({ head, tail }: Label, width: number): LaidLabel {
  const heads = wrapped(head, width, HEAD_SIZE);
  const used = widthOf(`${heads.at(-1) ?? ""}  `, HEAD_SIZE);
  const shared = heads.length > 0 && tail !== "" && used + widthOf(tail, TAIL_SIZE) <= width;
  const tails = shared ? [tail] : wrapped(tail, width, TAIL_SIZE);
  return { head: heads, tail: tails, shared, height: (heads.length + tails.length - (shared ? 1 : 0)) * LINE + 2 };
}
