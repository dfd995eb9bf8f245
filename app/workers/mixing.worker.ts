import { expose } from "comlink";
import { calibrated } from "#core/film/calibrate";
import { jarsToReach } from "#core/film/reach";
import { tinting } from "#core/film/tint";
import type { MixingWorkerApi } from "./mixing-worker-api";

/** What is mixed now: the latest wins. */
let turn = 0;

/** Lets what waits at the door come in. */
function breath(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => (port1.close(), resolve());
    port2.postMessage(null);
  });
}

const api: MixingWorkerApi = {
  tint: async (ask, progress) => {
    turn += 1;
    const own = turn;
    const steps = tinting(ask);
    let step = steps.next();
    while (step.done !== true) {
      progress(step.value);
      await breath();
      if (own !== turn) return null;
      step = steps.next();
    }
    return step.value;
  },
  leave: () => {
    turn += 1;
  },
  reach: jarsToReach,
  swatch: calibrated,
};

expose(api);
