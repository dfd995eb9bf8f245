import { roomFactor } from "../../drying/room-factor";
import { airsOf } from "../../drying/day-night";
import { DEW_SOURCE, roomFaults } from "../../drying/room-limits";
import type { RoomFault } from "../../drying/room-limits";
import type { Air } from "../../piece/piece";
import { setPiece } from "./fixes";
import { films, isLoose } from "../facts/facts";
import type { StackFacts } from "../facts/facts";
import type { Rule } from "./rule";
import { rulesUnder } from "./help";

/** A room people work in [common practice]. */
const COMFORTABLE_C = 20;
const COMFORTABLE_RH = 0.55;

const drying = (stack: StackFacts) => films(stack).filter((fact) => !isLoose(fact));
const byNight = (fault: RoomFault) => (fault.byNight ? " by night" : "");
const degrees = (fault: RoomFault) => `${fault.air.temperatureC} °C${byNight(fault)}`;
const percent = (fault: RoomFault) => `${Math.round(fault.air.relativeHumidity * 100)} %${byNight(fault)}`;
/** The air that is at fault, set right. */
const inRoom = (fault: RoomFault, field: keyof Air, value: number) => setPiece(`room.${fault.byNight ? "night." : ""}${field}`, value);

export const ROOM_RULES: readonly Rule[] = rulesUnder("Time and room", [
  {
    code: "too-cold",
    severity: "stop",
    when: "the room is colder than the product can film in",
    message: "at {here} {step} is too cold",
    why: "below its limit a film does not knit together: it powders or stays soft",
    fix: "Warm the room and the piece to about 20 °C.",
    find: (stack) => {
      const cold = [...drying(stack)].sort((a, b) => b.product!.drying.minC - a.product!.drying.minC)[0];
      const fault = cold ? roomFaults(cold.product!.drying, stack.room).cold : null;
      return fault ? [{ at: cold!, words: { here: degrees(fault) }, severity: fault.severity, change: inRoom(fault, "temperatureC", COMFORTABLE_C) }] : [];
    },
  },
  {
    code: "too-humid",
    when: "the air is too damp for the film to dry",
    message: "the air, at {here}, is too damp for {step}",
    why: "water cannot leave; the film stays soft, and clear films turn cloudy",
    fix: "Air, warm or dry the room, or wait for a drier day.",
    find: (stack) => {
      const never = drying(stack).find((fact) => roomFactor(fact.product!.drying.by, stack.room) === null);
      const at = never ?? drying(stack)[0];
      const fault = at ? roomFaults(at.product!.drying, stack.room).humid : null;
      if (!at || !fault) return [];
      return [{ at, culprits: [], words: { here: percent(fault) }, severity: fault.severity, change: inRoom(fault, "relativeHumidity", COMFORTABLE_RH) }];
    },
  },
  {
    code: "dew",
    when: "the surface is nearly at the dew point",
    message: "the {zone} may sweat under {step}{when}",
    why: "a surface within 3 °C of the dew point gathers water out of the air",
    fix: "Warm the piece and the room, or dry the air.",
    provenance: DEW_SOURCE,
    find: (stack) => {
      const at = drying(stack)[0];
      const fault = at ? roomFaults(at.product!.drying, stack.room).dew : null;
      return at && fault ? [{ at, words: { when: byNight(fault) }, change: inRoom(fault, "relativeHumidity", COMFORTABLE_RH) }] : [];
    },
  },
  {
    code: "too-hot-sun",
    when: "the room or the piece is hot",
    message: "at {here} {step} dries before it can level",
    why: "heat gives laps, bubbles and brush marks",
    fix: "Work in the shade and in the cool of the day.",
    find: (stack) => {
      // A label may name a limit of its own.
      const over = drying(stack).find((fact) => airsOf(stack.room).some(({ temperatureC }) => temperatureC > (fact.product!.drying.maxC ?? Infinity)));
      const at = over ?? drying(stack)[0];
      const fault = at ? roomFaults(at.product!.drying, stack.room).hot : null;
      if (!at || !fault) return [];
      return [{ at, culprits: [], words: { here: degrees(fault) }, severity: fault.severity, change: inRoom(fault, "temperatureC", COMFORTABLE_C) }];
    },
  },
]);
