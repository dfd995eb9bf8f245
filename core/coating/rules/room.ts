import { published } from "../../catalogue/provenance";
import { dewPointC } from "../../drying/air";
import { roomFactor } from "../../drying/room-factor";
import { setPiece } from "./fixes";
import { films, isLoose } from "../facts/facts";
import type { StackFacts } from "../facts/facts";
import type { Rule } from "./rule";
import { rulesUnder } from "./help";

/** Labels mostly say 10 °C; a room people work in is 20 [common practice]. */
const WARN_BELOW_C = 10;
const COMFORTABLE_C = 20;
const COMFORTABLE_RH = 0.55;
const WARN_ABOVE_RH = 0.75;
const STOP_ABOVE_RH = 0.85;
const WARN_ABOVE_C = 30;
const STOP_ABOVE_C = 35;
/** A surface closer to the dew point than this sweats, K. */
const DEW_MARGIN_K = 3;

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
      if (!cold || (here >= WARN_BELOW_C && here >= cold.product!.drying.minC)) return [];
      const severity = here < cold.product!.drying.minC ? ("stop" as const) : ("warn" as const);
      return [{ at: cold, words: { here: String(here) }, severity, change: setPiece("room.temperatureC", COMFORTABLE_C) }];
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
      if (!at || (here <= WARN_ABOVE_RH && !never)) return [];
      return [
        {
          at,
          culprits: [],
          words: { here: percent(here) },
          severity: never || here > STOP_ABOVE_RH ? ("stop" as const) : ("warn" as const),
          change: setPiece("room.relativeHumidity", COMFORTABLE_RH),
        },
      ];
    },
  },
  {
    code: "dew",
    when: "the surface is nearly at the dew point",
    message: "the {zone} may sweat under {step}",
    why: "a surface within 3 °C of the dew point gathers water out of the air",
    fix: "Warm the piece and the room, or dry the air.",
    provenance: published("ISO 8502-4 guidance: surface at least 3 °C above the dew point"),
    find: (stack) => {
      const { temperatureC, relativeHumidity } = stack.room;
      const at = drying(stack)[0];
      if (!at || temperatureC - dewPointC(temperatureC, relativeHumidity) >= DEW_MARGIN_K) return [];
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
      if (!at || (here <= WARN_ABOVE_C && !over)) return [];
      return [
        {
          at,
          culprits: [],
          words: { here: String(here) },
          severity: over || here > STOP_ABOVE_C ? ("stop" as const) : ("warn" as const),
          change: setPiece("room.temperatureC", COMFORTABLE_C),
        },
      ];
    },
  },
]);
