import { roomFactor } from "../../drying/room-factor";
import { DEW_SOURCE, roomFaults } from "../../drying/room-limits";
import { setPiece } from "./fixes";
import { films, isLoose } from "../facts/facts";
import type { StackFacts } from "../facts/facts";
import type { Rule } from "./rule";
import { rulesUnder } from "./help";

/** A room people work in [common practice]. */
const COMFORTABLE_C = 20;
const COMFORTABLE_RH = 0.55;

const drying = (stack: StackFacts) => films(stack).filter((fact) => !isLoose(fact));
const percent = (share: number) => `${Math.round(share * 100)} %`;

export const ROOM_RULES: readonly Rule[] = rulesUnder("Time and room", [
  {
    code: "too-cold",
    severity: "stop",
    when: "the room is colder than the product can film in",
    message: "at {here} °C {step} is too cold",
    why: "below its limit a film does not knit together: it powders or stays soft",
    fix: "Warm the room and the piece to about 20 °C.",
    find: (stack) => {
      const here = stack.room.temperatureC;
      const cold = [...drying(stack)].sort((a, b) => b.product!.drying.minC - a.product!.drying.minC)[0];
      const severity = cold ? roomFaults(cold.product!.drying, stack.room).cold : null;
      if (!severity) return [];
      return [{ at: cold!, words: { here: String(here) }, severity, change: setPiece("room.temperatureC", COMFORTABLE_C) }];
    },
  },
  {
    code: "too-humid",
    when: "the air is too damp for the film to dry",
    message: "the air, at {here}, is too damp for {step}",
    why: "water cannot leave; the film stays soft, and clear films turn cloudy",
    fix: "Air, warm or dry the room, or wait for a drier day.",
    find: (stack) => {
      const here = stack.room.relativeHumidity;
      const never = drying(stack).find((fact) => roomFactor(fact.product!.drying.by, stack.room) === null);
      const at = never ?? drying(stack)[0];
      const severity = at ? roomFaults(at.product!.drying, stack.room).humid : null;
      if (!at || !severity) return [];
      return [{ at, culprits: [], words: { here: percent(here) }, severity, change: setPiece("room.relativeHumidity", COMFORTABLE_RH) }];
    },
  },
  {
    code: "dew",
    when: "the surface is nearly at the dew point",
    message: "the {zone} may sweat under {step}",
    why: "a surface within 3 °C of the dew point gathers water out of the air",
    fix: "Warm the piece and the room, or dry the air.",
    provenance: DEW_SOURCE,
    find: (stack) => {
      const at = drying(stack)[0];
      if (!at || !roomFaults(at.product!.drying, stack.room).dew) return [];
      return [{ at, change: setPiece("room.relativeHumidity", COMFORTABLE_RH) }];
    },
  },
  {
    code: "too-hot-sun",
    when: "the room or the piece is hot",
    message: "at {here} °C {step} dries before it can level",
    why: "heat gives laps, bubbles and brush marks",
    fix: "Work in the shade and in the cool of the day.",
    find: (stack) => {
      const here = stack.room.temperatureC;
      // A label may name a limit of its own.
      const over = drying(stack).find((fact) => here > (fact.product!.drying.maxC ?? Infinity));
      const at = over ?? drying(stack)[0];
      const severity = at ? roomFaults(at.product!.drying, stack.room).hot : null;
      if (!at || !severity) return [];
      return [{ at, culprits: [], words: { here: String(here) }, severity, change: setPiece("room.temperatureC", COMFORTABLE_C) }];
    },
  },
]);
