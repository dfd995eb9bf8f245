import type { ZoneContext } from "./context";
import type { DecisionVariable } from "./draft";
import { base, guides, isolation } from "./variables-colour";
import { decoration } from "./variables-decoration";
import { assembling, curing, firing, heatSetting, sealing, signing } from "./variables-finish";
import { ground, sizing } from "./variables-ground";
import { mistingOld, scuffingOld } from "./variables-over-old";
import { cleaning, keying, levelling, smoothing } from "./variables-surface";

/** The decisions a zone asks for, in the order of the work. */
export function decisionVariables(context: ZoneContext): readonly DecisionVariable[] {
  const layers = context.zone.treatment === "paint" ? context.layers.map((layer, index) => decoration(context, layer, index)) : [];
  const listed = [
    cleaning(context),
    levelling(context),
    keying(context),
    mistingOld(context),
    scuffingOld(context),
    smoothing(context),
    sizing(context),
    ground(context),
    base(context),
    isolation(context),
    guides(context),
    ...layers,
    signing(context),
    sealing(context),
    assembling(context),
    heatSetting(context),
    firing(context),
    curing(),
  ];
  return listed.filter((variable): variable is DecisionVariable => variable !== null);
}
