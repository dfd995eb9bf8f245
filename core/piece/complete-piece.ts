import type { Catalogue } from "../catalogue/catalogue";
import type { ObjectId } from "../catalogue/vocabulary";
import { USUAL_FORMS } from "./form";
import type { Form } from "./form";
import { guessObject } from "./guess-object";
import type { Assumption, CompletePiece, Piece, Room } from "./piece";

/** An ordinary lived-in room [from memory]. The standard atmosphere of ISO 3270 is 23 °C and 50 %. */
export const USUAL_ROOM: Room = { temperatureC: 21, relativeHumidity: 0.55, airflow: "still" };

/** A room with what was left open of it as it usually is. */
export function wholeRoom(room: Partial<Room> = {}): Room {
  return { ...USUAL_ROOM, ...room };
}
/** Taken when the user names no colour. */
export const USUAL_BASE_COLOUR = "#2f4a5a";
/** The second colour where there is more than one kind of decoration. */
const USUAL_ACCENT = "#d9822b";
export const USUAL_MARK_COLOURS = { onDark: "#f4efe2", onLight: "#2f4a5a" } as const;

/** Mean of red, green and blue, 0–255: enough to tell a light ground from a dark one. */
function brightness(hex: string): number {
  return [1, 3, 5].reduce((sum, at) => sum + parseInt(hex.slice(at, at + 2), 16), 0) / 3;
}
const MID_BRIGHTNESS = 140;

export interface Completed {
  readonly piece: CompletePiece;
  readonly assumed: readonly Assumption[];
}

/** Colours and techniques the user named through layers count as named. */
function namedByLayers(piece: Piece) {
  const layers = piece.decoration?.layers ?? [];
  return {
    techniques: [...new Set(layers.map((layer) => layer.technique))],
    colours: [...new Set(layers.flatMap((layer) => (layer.colour === undefined ? [] : [layer.colour])))],
  };
}

/**
 * Fills in every fact the user left open, and says so. The only maker of a `CompletePiece`.
 *
 * @param piece a piece whose ids are known to the catalogue (see `parsePiece`)
 * @returns the whole piece and the list of what was assumed
 */
export function completePiece(piece: Piece, catalogue: Catalogue): Completed {
  const assumed: Assumption[] = [];
  function orAssume<T>(given: T | undefined, path: string, value: T, text: string): T {
    if (given !== undefined) return given;
    assumed.push({ path, value, text });
    return value;
  }
  const material = catalogue.materials.get(piece.material);
  const object: ObjectId = orAssume(piece.object, "object", guessObject(piece, catalogue), "the kind of object, from its shape and material");
  const layered = namedByLayers(piece);
  const given = piece.decoration ?? {};
  const techniques = given.techniques ?? layered.techniques;
  const marked = techniques.length > 0;
  const beneath =
    given.baseColour ?? (material?.ground === "coated" && given.baseColour !== null ? USUAL_BASE_COLOUR : material?.bodyColour) ?? USUAL_BASE_COLOUR;
  const onDark = brightness(beneath) < MID_BRIGHTNESS;
  const usualMark = onDark ? USUAL_MARK_COLOURS.onDark : USUAL_MARK_COLOURS.onLight;
  const room = piece.room ?? {};
  const usualBase = material?.ground === "coated" ? USUAL_BASE_COLOUR : null;
  const complete = {
    ...piece,
    object,
    conditions: orAssume(piece.conditions, "conditions", [], "clean and sound, nothing else on it"),
    parts: piece.parts ?? [],
    decoration: {
      techniques,
      media: given.media ?? [],
      baseColour: orAssume(
        given.baseColour,
        "decoration.baseColour",
        usualBase,
        usualBase ? "a deep sea blue as the base colour" : "no base colour: its own face stays",
      ),
      colours:
        given.colours ??
        (layered.colours.length > 0 || !marked
          ? layered.colours
          : orAssume(
              undefined,
              "decoration.colours",
              techniques.length > 1 ? [usualMark, USUAL_ACCENT] : [usualMark],
              onDark ? "off-white for the decoration" : "a deep sea blue for the decoration",
            )),
      bareZones: given.bareZones ?? [],
      layers: given.layers ?? [],
    },
    finish: orAssume(piece.finish, "finish", "satin" as const, "a satin finish"),
    count: orAssume(piece.count, "count", 1, "one piece"),
    room: {
      temperatureC: orAssume(room.temperatureC, "room.temperatureC", USUAL_ROOM.temperatureC, "a room at 21 °C"),
      relativeHumidity: orAssume(room.relativeHumidity, "room.relativeHumidity", USUAL_ROOM.relativeHumidity, "ordinary air, a little over half damp"),
      airflow: orAssume(room.airflow, "room.airflow", USUAL_ROOM.airflow, "still air, no fan"),
      ...(room.night ? { night: room.night } : {}),
    },
    wishes: piece.wishes ?? {},
    constraints: {
      oven: orAssume(piece.constraints?.oven, "constraints.oven", true, "a kitchen oven may be used"),
      kiln: orAssume(piece.constraints?.kiln, "constraints.kiln", false, "no kiln"),
      childSafe: piece.constraints?.childSafe ?? piece.uses.some((use) => catalogue.uses.get(use)?.childMade === true),
      shelfOnly: piece.constraints?.shelfOnly ?? false,
      avoid: piece.constraints?.avoid ?? [],
    },
    done: piece.done ?? [],
  };
  return { piece: complete as unknown as CompletePiece, assumed };
}

/** The size to start from while nothing has been measured. */
export function usualForm(object: ObjectId, catalogue: Catalogue): Form {
  const kind = catalogue.objects.get(object)?.forms[0] as keyof typeof USUAL_FORMS | undefined;
  return USUAL_FORMS[kind ?? "custom"];
}
