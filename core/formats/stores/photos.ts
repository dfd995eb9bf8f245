import type { PhotoId, PictureId, PieceId } from "../../catalogue/ids";
import { instantSchema } from "../hours-schema";
import { problem } from "../problem";
import { defineStore, recordIdSchema, revSchema } from "./definition";

/** A photograph of a piece: what is said of it; its pictures stand apart, named by what is in them. */
export interface PhotoRecord {
  readonly id: PhotoId;
  readonly rev: number;
  readonly pieceId: PieceId;
  /** Taken at this instant, ISO 8601 with its zone. */
  readonly at: string;
  /** What its painter says of it. */
  readonly caption?: string;
  readonly picture: PictureId;
  /** The same small, for a strip of them. */
  readonly small: PictureId;
  /** Of the picture, px. */
  readonly width: number;
  readonly height: number;
}

/** Photographs of one piece, at most. */
export const MOST_PHOTOS = 60;
/** Longest side of a picture that is kept, px. */
export const PICTURE_PX = 1600;
/** Longest side of a small one, px. */
export const SMALL_PX = 240;
export const MAX_CAPTION = 200;

export const PHOTOS = defineStore<PhotoRecord>({
  name: "photos",
  called: "a photograph",
  counted: ["photograph", "photographs"],
  gone: { told: "Taken off" },
  says: {
    pieceId: "the piece",
    at: "when it was taken",
    caption: "its words",
    picture: "the picture",
    small: "the small picture",
    width: "its width",
    height: "its height",
  },
  since: 8,
  indexes: { byPiece: "pieceId" },
  schema: (joi) => {
    const side = joi.number().integer().min(1).max(PICTURE_PX).required();
    return joi.object({
      id: recordIdSchema(joi).required(),
      rev: revSchema(joi).required(),
      pieceId: recordIdSchema(joi).required(),
      at: instantSchema(joi).required(),
      caption: joi.string().trim().min(1).max(MAX_CAPTION),
      picture: recordIdSchema(joi).required(),
      small: recordIdSchema(joi).required(),
      width: side,
      height: side,
    });
  },
  check: ({ pieceId }, { has }, at) =>
    has("pieces", pieceId) ? null : problem("unknown-id", [...at, "pieceId"].join("."), "the piece it shows is not in the file"),
  owner: { store: "pieces", field: "pieceId" },
  meets: {},
  refers: { pieceId: "pieces" },
  lists: [],
  migrations: [],
});
