import { memory } from "../catalogue/provenance";

/** What is baked or fired. */
export interface HeatAsk {
  readonly kind: "oven" | "kiln";
  readonly temperatureC: number;
  readonly holdMin: number;
}

/** A stretch of a bake, minutes: at the least, and at the most. */
export interface HeatSpan {
  readonly phase: "heating" | "hold" | "cooling";
  readonly fromMin: number;
  readonly toMin: number;
  /** Somebody has to be in the house and look after it. */
  readonly stayNear: boolean;
}

/** A bake from the cold oven until it may be taken out by hand. */
export interface HeatTimeline {
  readonly spans: readonly HeatSpan[];
  readonly totalMin: { readonly typicalMin: number; readonly cautiousMin: number };
  /** How long one has to stay near, minutes. */
  readonly presenceMin: { readonly typicalMin: number; readonly cautiousMin: number };
}

/** The room an oven stands in, °C. */
const ROOM_C = 20;
/** What the hand takes hold of, °C. */
const HAND_WARM_C = memory(40).value;
/** How fast a household oven climbs, °C a minute: a quick one, and a slow or full one. */
const CLIMBS = memory({ fast: 12, slow: 7 }).value;
/** How a closed body gives off its heat, minutes to a share of 1/e: the door ajar, glass or glaze inside. */
const COOLS_MIN = memory({ fast: 22, slow: 40 }).value;
/** A kiln with its slow climb, and its cooling until it may be opened, minutes. */
const KILN = memory({ climbs: { fast: 5 * 60, slow: 10 * 60 }, cools: { fast: 12 * 60, slow: 24 * 60 } }).value;

/** Minutes until hand-warm from a temperature: it cools by its difference to the room [published: Newton's law of cooling]. */
function coolsIn(temperatureC: number, constantMin: number): number {
  return constantMin * Math.max(0, Math.log((temperatureC - ROOM_C) / (HAND_WARM_C - ROOM_C)));
}

/**
 * A bake as one timeline: into the cold oven, up to heat, the hold from the moment it is there, cooling inside with the door ajar. What the label says
 * goes before it.
 *
 * @param ask heat in °C, hold in minutes
 */
export function heatTimeline({ kind, temperatureC, holdMin }: HeatAsk): HeatTimeline {
  const rise = Math.max(0, temperatureC - ROOM_C);
  const heating = kind === "oven" ? { fromMin: rise / CLIMBS.fast, toMin: rise / CLIMBS.slow } : { fromMin: KILN.climbs.fast, toMin: KILN.climbs.slow };
  const cooling =
    kind === "oven"
      ? { fromMin: coolsIn(temperatureC, COOLS_MIN.fast), toMin: coolsIn(temperatureC, COOLS_MIN.slow) }
      : { fromMin: KILN.cools.fast, toMin: KILN.cools.slow };
  const spans: readonly HeatSpan[] = [
    { phase: "heating", ...heating, stayNear: true },
    { phase: "hold", fromMin: holdMin, toMin: holdMin, stayNear: true },
    { phase: "cooling", ...cooling, stayNear: false },
  ];
  const sum = (all: readonly HeatSpan[]) => ({
    typicalMin: all.reduce((total, { fromMin }) => total + fromMin, 0),
    cautiousMin: all.reduce((total, { toMin }) => total + toMin, 0),
  });
  return { spans, totalMin: sum(spans), presenceMin: sum(spans.filter(({ stayNear }) => stayNear)) };
}
