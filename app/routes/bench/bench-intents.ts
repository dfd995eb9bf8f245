import { instantSchema } from "#core/formats/hours-schema";
import { recordIdSchema } from "#core/formats/stores/definition";
import { timerFields } from "#core/formats/stores/timers";
import type { Intents } from "~/actions/perform";
import type { BenchAsk } from "~/bench/timer-asks";

export const BENCH_INTENTS: Intents<BenchAsk> = {
  timer: (joi) => ({ id: recordIdSchema(joi).required(), ...timerFields(joi) }),
  "move-timer": (joi) => ({ id: recordIdSchema(joi).required(), until: instantSchema(joi).required() }),
  "timer-off": (joi) => ({ id: recordIdSchema(joi).required() }),
  "open-demo": () => ({}),
};
