import type { Rule } from "../rule";
import { GROUND_RULES } from "./ground";
import { GUIDE_RULES } from "./guides";
import { HEAT_RULES } from "./heat";
import { PEOPLE_RULES } from "./people";
import { ROOM_RULES } from "./room";
import { SEALING_RULES } from "./sealing";
import { SURFACE_RULES } from "./surface";

/** Every rule of the trade the engine judges by, in the order of the work. */
export const RULES: readonly Rule[] = [...SURFACE_RULES, ...GROUND_RULES, ...GUIDE_RULES, ...SEALING_RULES, ...HEAT_RULES, ...PEOPLE_RULES, ...ROOM_RULES];
