import { COMMON_PRACTICE, FROM_MEMORY } from "../catalogue/provenance";
import type { Provenance } from "../catalogue/provenance";
import { powderValue } from "./compound";
import type { PowderKind, PowderLabel } from "./compound";

export const CAST_STAGES = ["sprinkle", "soak", "stir", "knock", "pour", "set", "warm", "cool", "release"] as const;
/** One stage of a casting, in the order of the work. */
export type CastStage = (typeof CAST_STAGES)[number];

/** What bears on how fast a mix sets. */
export interface Conditions {
  /** °C of the room. */
  readonly roomC: number;
  /** °C of the water; the room's where it is not said. */
  readonly waterC?: number;
}

/** One stage with its time, its look, and what to check. */
export interface StagePlan {
  readonly id: CastStage;
  readonly name: string;
  /** Minutes; `to` is what the careful wait. */
  readonly fromMin: number;
  readonly toMin: number;
  readonly does: string;
  /** How it looks when it is right. */
  readonly look: string;
  readonly check: string | null;
  /** The hands wait meanwhile: a timer runs. */
  readonly waits: boolean;
  readonly provenance: Provenance;
}

/** Setting is as the label has it at this temperature, °C. */
const LABEL_C = 21;
/** Setting gets faster by so much for each 10 °C of the mix [from memory]. */
const FASTER_PER_10C = 1.4;
/** The water weighs in the mix's warmth by about its share of it: its heat is five times the powder's [from memory]. */
const WATER_SHARE = 0.65;
/** Colder or warmer than this a label says no. */
export const MIX_C = { least: 5, most: 40 } as const;

/** °C of the mix as it is stirred together: the water's and the powder's, which stands in the room. */
export function mixC({ roomC, waterC = roomC }: Conditions): number {
  return waterC * WATER_SHARE + roomC * (1 - WATER_SHARE);
}

/**
 * By how much a mix sets slower than in a room of 21 °C.
 *
 * @returns a factor: above 1 in the cold, below 1 with warm water or in hot weather
 * @example settingFactor({ roomC: 21 }) // 1
 */
export function settingFactor(conditions: Conditions): number {
  return FASTER_PER_10C ** ((LABEL_C - mixC(conditions)) / 10);
}

interface Usual extends Omit<StagePlan, "fromMin" | "toMin"> {
  /** Minutes in a room of 21 °C; null: as the label sets. */
  readonly min: readonly [number, number] | null;
  /** It is a matter of the hands, not of how the mix sets. */
  readonly byHand?: true;
}

const STAGES: Readonly<Record<PowderKind, readonly Usual[]>> = {
  gypsum: [
    {
      id: "sprinkle",
      name: "Sprinkle the powder into the water",
      min: [1, 2],
      byHand: true,
      does: "Powder into water, never the other way; a handful at a time, spread over the whole bowl.",
      look: "Dry islands sink slowly; the last ones stay.",
      check: "Mask on while it dusts.",
      waits: false,
      provenance: COMMON_PRACTICE,
    },
    {
      id: "soak",
      name: "Let it soak",
      min: [2, 4],
      does: "Hands off. The powder drinks, and its air leaves.",
      look: "No dry islands any more; the top is dull and even.",
      check: null,
      waits: true,
      provenance: COMMON_PRACTICE,
    },
    {
      id: "stir",
      name: "Stir gently",
      min: [1, 2],
      byHand: true,
      does: "Slowly, along the bottom; do not whip air in.",
      look: "Like cream, without lumps; it coats the spoon.",
      check: "Lumps at the bottom?",
      waits: false,
      provenance: COMMON_PRACTICE,
    },
    {
      id: "knock",
      name: "Knock the bowl",
      min: [0.5, 1],
      byHand: true,
      does: "Lift the bowl a little and set it down, a dozen times.",
      look: "Bubbles come up and burst.",
      check: null,
      waits: false,
      provenance: COMMON_PRACTICE,
    },
    {
      id: "pour",
      name: "Pour",
      min: [1, 3],
      byHand: true,
      does: "In a thread into one corner; let it run by itself. Knock the mould too.",
      look: "It runs level. Once it heaps on the spoon it is too late: throw it out.",
      check: "Is every lip and undercut full?",
      waits: false,
      provenance: COMMON_PRACTICE,
    },
    {
      id: "set",
      name: "Leave it to set",
      min: null,
      does: "Do not move it.",
      look: "The shine goes; a fingernail leaves no mark.",
      check: null,
      waits: true,
      provenance: COMMON_PRACTICE,
    },
    {
      id: "warm",
      name: "It warms by itself",
      min: [5, 15],
      does: "Hands off: that is the setting, and it ends in its own time.",
      look: "Warm to the back of the hand, and hard.",
      check: "Never keep a hand or a finger in it: it gets hot enough to burn.",
      waits: true,
      provenance: COMMON_PRACTICE,
    },
    {
      id: "cool",
      name: "Let it cool",
      min: [15, 30],
      does: "It is weakest while it is warm.",
      look: "Cool to the back of the hand.",
      check: null,
      waits: true,
      provenance: COMMON_PRACTICE,
    },
    {
      id: "release",
      name: "Take it out",
      min: [2, 5],
      byHand: true,
      does: "Bend the mould away from the body all round, then turn it out over a cloth.",
      look: "Sharp edges, no crumbs left in the mould.",
      check: "Holes, chips and crooked feet: note them now, they are filled while it dries.",
      waits: false,
      provenance: COMMON_PRACTICE,
    },
  ],
  cement: [
    {
      id: "sprinkle",
      name: "Powder into most of the water",
      min: [2, 3],
      byHand: true,
      does: "Gloves and goggles on: it is caustic. Hold a tenth of the water back.",
      look: "All of it is wet.",
      check: "Mask on while it dusts.",
      waits: false,
      provenance: FROM_MEMORY,
    },
    {
      id: "stir",
      name: "Stir",
      min: [3, 5],
      byHand: true,
      does: "Until it is even; the rest of the water by the spoon.",
      look: "Like thick porridge; it slumps slowly.",
      check: null,
      waits: false,
      provenance: FROM_MEMORY,
    },
    {
      id: "soak",
      name: "Let it rest, then stir once more",
      min: [3, 5],
      does: "It stiffens a little: stir, and add no water.",
      look: "Softer again after stirring.",
      check: null,
      waits: true,
      provenance: FROM_MEMORY,
    },
    {
      id: "pour",
      name: "Fill the moulds",
      min: [2, 5],
      byHand: true,
      does: "In layers, pressed into the corners.",
      look: "No gaps along the wall.",
      check: "Is every lip and undercut full?",
      waits: false,
      provenance: FROM_MEMORY,
    },
    {
      id: "knock",
      name: "Knock the moulds",
      min: [2, 4],
      byHand: true,
      does: "Shake and knock until no bubbles come.",
      look: "The top shines and lies level.",
      check: null,
      waits: false,
      provenance: FROM_MEMORY,
    },
    {
      id: "set",
      name: "Cover it, and leave it to set",
      min: null,
      does: "Under film, out of sun and draught.",
      look: "Hard to the nail, pale at the edge.",
      check: "Wet cement burns skin slowly: wash it off at once.",
      waits: true,
      provenance: FROM_MEMORY,
    },
    {
      id: "release",
      name: "Take it out",
      min: [2, 5],
      byHand: true,
      does: "It is still brittle: ease the mould off all round.",
      look: "Dark and damp; whole edges.",
      check: "Keep it damp under film for its cure, a week at least.",
      waits: false,
      provenance: FROM_MEMORY,
    },
  ],
};

/** What a careful painter waits beyond what is usual. */
const CAUTIOUS = 1.4;

/**
 * The stages of a casting in their order, with the times of this room and this water. Hands take their time; setting follows the warmth of the mix
 * [from memory].
 */
export function stagesOfCast(kind: PowderKind, label: PowderLabel, conditions: Conditions): readonly StagePlan[] {
  const factor = settingFactor(conditions);
  const setMin = powderValue(kind, label, "setMin").value;
  return STAGES[kind].map(({ min, byHand, ...stage }) => {
    const [from, to] = min ?? [setMin, setMin * CAUTIOUS];
    const scale = byHand ? 1 : factor;
    return { ...stage, fromMin: from * scale, toMin: to * scale };
  });
}

/** How long the mix can be poured, minutes from the first powder in the water. */
export function openMinOf(kind: PowderKind, label: PowderLabel, conditions: Conditions): number {
  return powderValue(kind, label, "openMin").value * settingFactor(conditions);
}

/** What is wrong with room or water for casting; null where nothing is. */
export function castingRoom(conditions: Conditions): "too-cold" | "too-warm" | "fast" | "slow" | null {
  const c = mixC(conditions);
  if (c < MIX_C.least) return "too-cold";
  if (c > MIX_C.most) return "too-warm";
  const factor = settingFactor(conditions);
  if (factor < 0.8) return "fast";
  return factor > 1.25 ? "slow" : null;
}

/** Whether a fresh mould is misted with soapy water: painters differ in it. */
export const PREPARATIONS = [
  {
    id: "soap",
    name: "a mist of soapy water",
    said: "soapy moulds",
    does: "A drop of dish soap in a cup of water; spray the mould and pour the excess off.",
    trades: "Fewer bubbles on the face. The body has to be rinsed or wiped before it is painted.",
  },
  {
    id: "water",
    name: "a mist of plain water",
    said: "misted moulds",
    does: "Spray the mould and shake it off.",
    trades: "Nothing to wash off afterwards. A few more bubbles than with soap.",
  },
  { id: "none", name: "nothing", said: "dry moulds", does: "A clean, dry mould.", trades: "No step more. Air clings to the wall, most of all in a new mould." },
] as const;
export type PreparationId = (typeof PREPARATIONS)[number]["id"];
export const PREPARATION_IDS = PREPARATIONS.map(({ id }) => id);
