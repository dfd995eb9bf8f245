import type { Menu } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";
import type { StepState } from "#core/logbook/coat-states";
import { sayDuration } from "#core/units/duration";
import { sayClock } from "../time-words";
import type { Band } from "./bands";

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

export const LONG_NAME = 27;
export const SHORT_NAME = 17;

/** The words on a band: its number and what goes on, cut to what fits. */
export function labelOf(band: Band, menu: Menu, number: number | undefined, most: number): string {
  const jar = menu.jars.find((one) => one.id === band.step.ownProduct);
  const name = jar?.name ?? menu.products.find((one) => one.id === band.step.product)?.name ?? "";
  if (band.kind === "cap") return CAP_WORDS(band.step);
  const before = number === undefined ? "" : `${number} · `;
  if (band.kind === "guide") return `${before}${GUIDE_WORDS[band.step.role] ?? name}, ${band.step.role === "sign" ? "dated" : "comes off"}`;
  return `${before}${name.length > most ? `${name.slice(0, most - 1)}…` : name}`;
}
