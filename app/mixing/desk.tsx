import type { ReactNode } from "react";
import type { PlanColour } from "#core/coating/explain/plan-colours";
import { nameOfColour } from "#core/film/colour-names";
import type { Calibrated, Swatch } from "#core/film/calibrate";
import { Looks, useLook } from "~/components/looks";
import { DropsDesk } from "./drops-desk";
import { HideDesk } from "./hide-desk";
import type { PlanDoing, Subject } from "./subject";
import { SwatchDesk } from "./swatch-desk";
import { ThinDesk } from "./thin-desk";
import { TintDesk } from "./tint-desk";
import { TogetherDesk } from "./together-desk";
import type { DeskShelf } from "./use-shelf";

const LOOKS = [
  { id: "tint", name: "Mix it" },
  { id: "hide", name: "How many coats" },
  { id: "thin", name: "How thin" },
  { id: "together", name: "Together" },
  { id: "swatch", name: "Swatch" },
  { id: "drops", name: "Drops" },
] as const;
type Look = (typeof LOOKS)[number]["id"];

async function readSwatch(swatch: Swatch): Promise<Calibrated> {
  return (await import("~/workers/mixing.client")).swatchRead(swatch);
}

interface Props {
  readonly subject: Subject;
  /** Where what lies on the desk is kept. */
  readonly place: string;
  readonly shelf: DeskShelf;
  readonly colours: readonly PlanColour[];
  readonly doing: PlanDoing | null;
  /** Takes another colour where the desk is about a colour and not about a jar. */
  readonly retarget?: (colour: string) => void;
}

/** The mixing desk over one paint: mixing, covering, thinning, choosing, testing, counting. */
export function Desk({ subject, place, shelf, colours, doing, retarget }: Props) {
  const [look, show] = useLook(LOOKS);
  const own = `${place}/${subject.plan?.stepIds[0] ?? subject.jar?.id ?? "colour"}/`;
  const planned = colours.map(({ colour, jar }) => ({ colour, name: shelf.jars.find((one) => one.id === jar)?.name ?? nameOfColour(colour) }));
  const parts: Readonly<Record<Look, () => ReactNode>> = {
    tint: () => <TintDesk key={own} subject={subject} place={own} shelf={shelf} doing={doing} retarget={retarget ?? null} />,
    hide: () => <HideDesk key={own} subject={subject} place={own} shelf={shelf} doing={doing} />,
    thin: () => <ThinDesk key={own} subject={subject} place={own} doing={doing} />,
    together: () => <TogetherDesk subject={subject} place={`${place}/`} shelf={shelf} planned={planned} />,
    swatch: () => <SwatchDesk key={own} subject={subject} place={own} shelf={shelf} read={readSwatch} />,
    drops: () => <DropsDesk key={own} subject={subject} place={own} shelf={shelf} />,
  };
  return <Looks label="What to do at the desk" looks={LOOKS} look={look} show={show} parts={parts} />;
}
