import { useCallback, useEffect, useRef, useState } from "react";
import { steadyWeight } from "#core/casting/scale";
import type { ScaleReading } from "#core/casting/scale";
import { KITCHEN_SCALE, simulatedScale } from "#core/casting/simulated-scale";
import type { SimulatedScale } from "#core/casting/simulated-scale";

const LOOK_MS = 150;
/** Readings that are looked at together. */
const KEPT = 20;
const SEED = 7;

/** A scale that is connected: what it shows, and whether it has come to rest. */
export interface LiveScale {
  readonly name: string;
  readonly shows: ScaleReading | null;
  /** g; null while it runs. */
  readonly steadyG: number | null;
  readonly put: (g: number) => void;
  readonly tare: () => void;
}

/** The made-up scale of the page, while it is switched on. */
export function useScale(on: boolean): LiveScale | null {
  const scale = useRef<SimulatedScale | null>(null);
  const [readings, setReadings] = useState<readonly ScaleReading[]>([]);
  useEffect(() => {
    if (!on) return;
    const made = simulatedScale(SEED, Date.now());
    scale.current = made;
    const timer = setInterval(() => {
      const reading = made.read(Date.now());
      if (reading) setReadings((before) => [...before, reading].slice(-KEPT));
    }, LOOK_MS);
    return () => {
      clearInterval(timer);
      scale.current = null;
      setReadings([]);
    };
  }, [on]);
  const put = useCallback((g: number) => scale.current?.put(Date.now(), g), []);
  const tare = useCallback(() => {
    scale.current?.tare(Date.now());
    // What it showed before is of another zero.
    setReadings([]);
  }, []);
  if (!on) return null;
  return { name: "A made-up scale", shows: readings.at(-1) ?? null, steadyG: steadyWeight(readings, KITCHEN_SCALE.stepG), put, tare };
}
