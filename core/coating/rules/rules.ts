import type { Rule } from "./rule";
import { BODY_RULES } from "./bodies";
import { COLOUR_RULES } from "./colour";
import { FILLER_RULES } from "./filler";
import { GROUND_RULES } from "./ground";
import { GUIDE_RULES } from "./guides";
import { HEAT_RULES } from "./heat";
import { LOCKING_RULES } from "./locking";
import { PEOPLE_RULES } from "./people";
import { ROOM_RULES } from "./room";
import { SEALING_RULES } from "./sealing";
import { SOIL_RULES } from "./soil";
import { SURFACE_RULES } from "./surface";
import { WOOD_RULES } from "./wood";

/** Every rule of the trade the engine judges by, in the order of the work. */
export const RULES: readonly Rule[] = [
  ...SOIL_RULES,
  ...FILLER_RULES,
  ...SURFACE_RULES,
  ...WOOD_RULES,
  ...GROUND_RULES,
  ...COLOUR_RULES,
  ...GUIDE_RULES,
  ...LOCKING_RULES,
  ...SEALING_RULES,
  ...BODY_RULES,
  ...HEAT_RULES,
  ...PEOPLE_RULES,
  ...ROOM_RULES,
];
