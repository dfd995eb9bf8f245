import { productId } from "../../catalogue/ids";
import type { ProductId } from "../../catalogue/ids";
import { memory } from "../../catalogue/provenance";
import { FAULTS, sizeOf } from "./fault";
import type { Fault } from "./fault";
import { sandingWords } from "./sanding";

/** Bodies as a repair sees them: gypsum, cement, stone and clay, wood, and what nothing holds on. */
type BodyKind = "gypsum" | "cement" | "mineral" | "wood" | "slick";

/** The body a repair is for. */
export interface RepairBody {
  /** What it is of: that decides what fills it, and whether it is rubbed wet or dry. */
  readonly of: BodyKind;
  /** It is still damp from the mould, and its powder is at hand: it is filled with the same. */
  readonly ownPowder: boolean;
  /** It gets wet in use: outdoors, under soil. */
  readonly wet: boolean;
  /** Its longest and its shortest measure, mm. */
  readonly longestMm: number;
  readonly thinnestMm: number;
  /** Resin could level it: a top that lies flat, of something that stays indoors. */
  readonly levels: boolean;
  /** Hands on casting another one, minutes; null where it is not cast here. */
  readonly castMin: number | null;
}

export type RepairWay = "fill" | "build-up" | "rub-down" | "level" | "cast-anew";

/** How one fault is mended. */
export interface Repair {
  readonly fault: Fault;
  readonly way: RepairWay;
  readonly title: string;
  readonly why: string;
  /** Rounds of filling, each dry before the next; 0: nothing is filled. */
  readonly rounds: number;
  readonly filler: ProductId | null;
  /** A round is left alone for so long, minutes; 0: nothing is filled. */
  readonly roundWaitMin: number;
  /** What the hands do, in their order. */
  readonly steps: readonly string[];
  /** Hands on it for all bodies that have it, minutes. */
  readonly handsMin: number;
  readonly cautions: readonly string[];
  /** Another way, and when that is the better one. */
  readonly instead: string | null;
  /** What brings it about. */
  readonly from: string;
}

interface Filler {
  /** Null: the body's own powder, which is in no plan. */
  readonly id: ProductId | null;
  /** Thickest round, mm [from memory]. */
  readonly roundMm: number;
  readonly waits: string;
  /** Until the next round, minutes. */
  readonly waitMin: number;
}

const FILLERS: Readonly<Record<"dry" | "wet" | "cement" | "wood", Filler>> = {
  wood: { id: productId("wood-filler"), roundMm: memory(4).value, waits: "Each round is hard under the nail before the next.", waitMin: 2 * 60 },
  dry: { id: productId("spackle"), roundMm: memory(3).value, waits: "Each round has turned white and feels hard before the next.", waitMin: 60 },
  wet: { id: productId("wet-proof-filler"), roundMm: memory(5).value, waits: "Each round is hard under the nail before the next.", waitMin: 6 * 60 },
  cement: { id: productId("cement-patch"), roundMm: memory(8).value, waits: "A day between rounds; kept damp under film meanwhile.", waitMin: 24 * 60 },
};

/** A damp body is filled with what it is of: it sets with it, and dries with it [common practice]. */
const OWN_GYPSUM: Filler = { id: null, roundMm: memory(5).value, waits: "Each round has set, half an hour, before the next.", waitMin: 30 };
const OWN_CEMENT: Filler = { id: null, roundMm: memory(8).value, waits: "Each round has stiffened, some hours under film, before the next.", waitMin: 4 * 60 };
const OWN_HOW = "Stir a spoon of the same powder as thick as soft cheese; what has begun to set is thrown out.";
const DRY_INSTEAD = "Or once it is dry, with a filler: it sinks a little more, and takes its own drying.";

/** What is narrower than this is closed by a primer coat, mm [from memory]. */
const PRIMER_CLOSES_MM = memory(0.4).value;
/** So many holes on a body and more are skimmed, not filled one by one. */
const SKIMMED_FROM = memory(12).value;
/** A fault as deep as this share of the body weakens it. */
const WEAKENS = memory(0.4).value;
/** Minutes a filled hole, a skimmed body, a rubbed place, a levelled top [from memory]. */
const MINUTES = memory({ hole: 0.5, skim: 4, place: 2, foot: 3, level: 12, round: 1 }).value;
/** Bumps that are lower are levelled rather than rubbed, where there are so many of them. */
const MANY_BUMPS = memory(8).value;

const MASK = "Dust: a particle mask (FFP2 or N95), a vacuum, no broom and no blowing.";
const RESIN = "Resin that is not hard must not touch skin: gloves, air, no flame.";

function fillerFor(body: RepairBody): Filler {
  if (body.ownPowder) return body.of === "cement" ? OWN_CEMENT : OWN_GYPSUM;
  if (body.of === "cement") return FILLERS.cement;
  if (body.wet) return FILLERS.wet;
  return body.of === "wood" ? FILLERS.wood : FILLERS.dry;
}

const RUB: Readonly<Record<BodyKind, readonly string[]>> = {
  gypsum: ["Gypsum and filler are rubbed dry: water softens them."],
  cement: ["Cement is rubbed wet: its dry dust holds silica. Gloves, it is caustic."],
  mineral: ["Stone and clay are rubbed wet: their dry dust holds silica. Filler is rubbed dry."],
  wood: ["Rub along the grain. The dust of oak and walnut is worse than most."],
  slick: [],
};
const cautionsOf = (body: RepairBody) => [MASK, ...RUB[body.of]];

function castAnew(fault: Fault, body: RepairBody, why: string): Repair {
  return {
    fault,
    way: "cast-anew",
    title: body.castMin === null ? "Take another one" : "Cast it anew",
    why,
    rounds: 0,
    filler: null,
    roundWaitMin: 0,
    steps: ["Keep this one to try colours on."],
    handsMin: (body.castMin ?? 0) * fault.bodies,
    cautions: [],
    instead: null,
    from: FAULTS[fault.kind].from,
  };
}

/** Rounds a hole takes, each no thicker than its filler bears. */
export function roundsFor(depthMm: number, roundMm: number): number {
  return Math.max(1, Math.ceil(depthMm / roundMm - 1e-9));
}

function filled(fault: Fault, body: RepairBody): Repair {
  const { widthMm, depthMm } = sizeOf(fault);
  const { bodies, each, place, kind } = fault;
  const filler = fillerFor(body);
  const rounds = roundsFor(depthMm, filler.roundMm);
  const skim = kind === "hole" && each >= SKIMMED_FROM;
  const buildUp = kind === "short-edge" || (kind === "chip" && widthMm > 10);
  const closes = widthMm <= PRIMER_CLOSES_MM && kind === "hole";
  const steps = [
    "Brush the dust out of it; cut thin walls of bubbles open with a knife point.",
    ...(body.ownPowder ? [OWN_HOW] : body.of === "cement" ? ["Wet the place first."] : []),
    ...(buildUp ? ["Set a strip of film along the edge as a little wall."] : []),
    skim
      ? "Draw a thin layer over all of it with a flexible blade, crosswise, and wipe it off level."
      : `Press it in with a fingertip, a little proud${rounds > 1 ? `; ${rounds} rounds, none thicker than ${filler.roundMm} mm` : ""}.`,
    filler.waits,
    `Rub it level: ${sandingWords(place, 0, body.longestMm)}`,
    "Where it has sunk, one more thin round.",
  ];
  const hands = (skim ? MINUTES.skim : each * MINUTES.hole) * rounds + MINUTES.place + (rounds - 1) * MINUTES.round;
  return {
    fault,
    way: buildUp ? "build-up" : "fill",
    title: closes ? "Leave it to the primer" : buildUp ? "Build the edge up" : skim ? "Skim it" : "Fill it",
    why: closes
      ? "So fine a hole is closed by a brushed primer."
      : rounds > 1
        ? `In ${rounds} thin rounds: a thick one dries outside first, sinks and cracks.`
        : "One thin round is enough.",
    rounds: closes ? 0 : rounds,
    filler: closes ? null : filler.id,
    roundWaitMin: closes ? 0 : filler.waitMin,
    steps: closes ? ["Work the first primer coat into it with a stiff brush."] : steps,
    handsMin: closes ? MINUTES.round * bodies : hands * bodies,
    cautions: closes ? [] : cautionsOf(body),
    instead:
      body.levels && kind !== "chip" && kind !== "short-edge" && each >= SKIMMED_FROM
        ? "Or level the whole top with a thin coat of resin, once it is dry right through."
        : body.ownPowder && !closes
          ? DRY_INSTEAD
          : null,
    from: FAULTS[kind].from,
  };
}

function rubbedDown(fault: Fault, body: RepairBody): Repair {
  const { depthMm } = sizeOf(fault);
  const { place, bodies, each, kind } = fault;
  const foot = kind === "uneven-foot";
  return {
    fault,
    way: "rub-down",
    title: foot ? "Rub the foot flush" : "Take it down",
    why: foot ? "It is quicker to take the high side off than to build the low one up." : "What stands out comes off; nothing has to be filled.",
    rounds: 0,
    filler: null,
    roundWaitMin: 0,
    steps: [
      ...(foot ? ["Mark the foot with pencil: where the marks stay it is low."] : ["Cut the bead off with a blade, away from the hand."]),
      sandingWords(place, foot ? depthMm : Math.max(1, depthMm), body.longestMm),
      ...(foot ? ["Try it on glass: it must not rock."] : ["Feel with a fingertip; the eye misses it."]),
    ],
    handsMin: (foot ? MINUTES.foot * Math.max(1, depthMm) : each * MINUTES.place) * bodies,
    cautions: cautionsOf(body),
    instead: foot ? "Or three dots of felt, where nobody sees the foot." : null,
    from: FAULTS[kind].from,
  };
}

function levelled(fault: Fault): Repair {
  return {
    fault,
    way: "level",
    title: "Level it with resin",
    why: "So many bumps are sooner covered than rubbed down, one by one.",
    rounds: 1,
    filler: productId("coating-resin"),
    roundWaitMin: 24 * 60,
    steps: [
      "Take the sharp tips off first.",
      "A rim of tape; pour until the highest bump is just under.",
      "Leave it level and dust-free for a day, then scuff it to a key.",
    ],
    handsMin: MINUTES.level * fault.bodies,
    cautions: [MASK, RESIN],
    instead: "Or rub them down, if the piece may not be glossy or heavier.",
    from: FAULTS[fault.kind].from,
  };
}

/**
 * How a fault of a bare body is mended: filled in thin rounds, built up, rubbed down, levelled with resin, or not at all.
 *
 * @returns one way, with another where that may be the better one
 */
export function repairOf(fault: Fault, body: RepairBody): Repair {
  const { depthMm } = sizeOf(fault);
  const { kind, each } = fault;
  if (body.of === "slick" && kind !== "uneven-foot")
    return castAnew(fault, body, "No filler holds on glass or glaze, and a sharp edge cuts: it is not painted over.");
  if (kind === "soft") return castAnew(fault, body, "It never gets hard by itself, and every film on it comes off with its face.");
  if (kind === "crack") return castAnew(fault, body, "Filler bridges it for the eye, and it goes on working beneath the paint.");
  if (kind === "bump") return body.levels && each >= MANY_BUMPS && !body.wet ? levelled(fault) : rubbedDown(fault, body);
  if (kind === "uneven-foot") return rubbedDown(fault, body);
  if (depthMm >= body.thinnestMm * WEAKENS && kind !== "chip")
    return castAnew(fault, body, `It is ${Math.round(depthMm)} mm deep in a body of ${Math.round(body.thinnestMm)} mm: there is too little left behind it.`);
  const repair = filled(fault, body);
  if (body.castMin !== null && repair.handsMin > 2 * body.castMin * fault.bodies)
    return castAnew(fault, body, "Mending it takes longer than pouring another one twice over.");
  return repair;
}

/** Repairs in the order they are done: what is rubbed down first, then what is filled, resin last. */
export function repairsOf(faults: readonly Fault[], body: RepairBody): readonly Repair[] {
  const order: readonly RepairWay[] = ["cast-anew", "rub-down", "build-up", "fill", "level"];
  return faults.map((fault) => repairOf(fault, body)).sort((a, b) => order.indexOf(a.way) - order.indexOf(b.way));
}
