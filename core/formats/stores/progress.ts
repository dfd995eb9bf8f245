import type { ProgressRecord } from "../../logbook/progress";
import { actSchema, actualSchema, MOST_JAR_ML, MOST_MIN, MOST_OF_BATCH } from "../change-schema";
import { instantSchema } from "../hours-schema";
import { problem } from "../problem";
import { translatedProgress } from "../step-translation";
import { zoneSchema } from "../zone-schema";
import { defineStore, recordIdSchema, revSchema } from "./definition";

export const PROGRESS = defineStore<ProgressRecord>({
  name: "progress",
  called: "a note of a coat that was laid",
  counted: ["coat", "coats"],
  says: {
    pieceId: "the piece",
    planId: "the plan",
    stepId: "the step",
    zone: "the place",
    act: "what was laid",
    coat: "which coat",
    half: "which half",
    kind: "what became of it",
    jarMl: "paint taken",
    handsOnMin: "minutes of work",
    actual: "what was seen by the clock",
    pieces: "how many of the batch",
    at: "when",
  },
  since: 3,
  indexes: { byPiece: "pieceId", byJar: "act.ownProduct", byWork: "actual.work.min", byDrying: "actual.drying.waitedMin", byLook: "actual.look.afterMin" },
  schema: (joi) =>
    joi.object({
      id: recordIdSchema(joi).required(),
      rev: revSchema(joi).required(),
      pieceId: recordIdSchema(joi).required(),
      planId: recordIdSchema(joi).required(),
      stepId: joi.string().max(120).required(),
      zone: zoneSchema(joi).required(),
      act: actSchema(joi).required(),
      coat: joi.number().integer().min(1).max(40).required(),
      half: joi.string().valid("first", "second"),
      kind: joi.string().valid("started", "done", "tacky", "dry", "mended", "ruined", "removed").required(),
      jarMl: joi.number().min(0).max(MOST_JAR_ML),
      handsOnMin: joi.number().min(0).max(MOST_MIN),
      actual: actualSchema(joi),
      pieces: joi.number().integer().min(0).max(MOST_OF_BATCH),
      at: instantSchema(joi).required(),
    }),
  check: ({ pieceId, planId }, { has }, at) => {
    if (!has("pieces", pieceId)) return problem("unknown-id", [...at, "pieceId"].join("."), "this was done on a piece that is not in the file");
    return has("plans", planId) ? null : problem("unknown-id", [...at, "planId"].join("."), "this belongs to a plan that is not in the file");
  },
  owner: { store: "pieces", field: "pieceId" },
  meets: { whole: ["act"] },
  refers: { pieceId: "pieces", planId: "plans" },
  lists: [],
  migrations: [
    {
      to: 4,
      does: "every record says itself what was done, on which piece and zone",
      up: (record, { parts, stepsOf }) => translatedProgress(record, parts, stepsOf),
    },
    {
      to: 15,
      does: "what is noted of a coat may say how it was thinned, its rows, and hands on it; until then it says nothing of them",
      up: (record) => record,
    },
    {
      to: 16,
      does: "a film that was touched is noted with the stage it was asked about; what was waited for before stands as it was noted, and teaches nothing",
      up: (record) => record,
    },
  ],
});
