import { expose } from "comlink";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { planWithEdits } from "#core/coating/plan-with-edits";
import type { PlanWorkerApi } from "./plan-worker-api";

const api: PlanWorkerApi = { planView: (piece, keeping) => planWithEdits(piece, keeping, CATALOGUE) };

expose(api);
