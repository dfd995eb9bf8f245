import type { KeepOut } from "../piece/pattern";
import { sayFine } from "../units/length";
import type { LengthUnit } from "../units/length";
import type { GuideAsk, GuideStep } from "./guide-ask";
import { worksMm } from "./keep-outs";

function where(at: KeepOut["at"], unit: LengthUnit): string {
  const say = (mm: number) => sayFine(mm, unit);
  if ("radiusMm" in at) return at.radiusMm === 0 ? "in the middle" : `${say(at.radiusMm)} from the middle`;
  return "heightMm" in at ? `${say(at.heightMm)} above the foot` : `${say(at.insetMm)} in from the edge`;
}

/** A place of the pattern that is kept free, as it is drawn round. */
function keptStep({ count, at, diameterMm }: KeepOut, index: number, { surface, unit }: GuideAsk): GuideStep {
  const across = `${sayFine(diameterMm, unit)} across`;
  const what = count === 1 ? `One place ${across}, ${where(at, unit)}` : `${count} places ${across}, evenly round from twelve, ${where(at, unit)}`;
  return {
    id: `kept-${index}`,
    instrument: surface.shape === "wall" ? "ruler" : "compass",
    title: count === 1 ? "A place kept free" : "Places kept free",
    text: `${what}: draw round ${count === 1 ? "it" : "each"} lightly. No mark lies inside.`,
  };
}

/** What stays free of marks because something goes there: what the object has by its kind, and what the pattern keeps free. */
export function keptSteps(ask: GuideAsk): readonly GuideStep[] {
  const { object, parts, surface, pattern, unit } = ask;
  const steps: GuideStep[] = [];
  if (object === "clock" && surface.shape === "top")
    steps.push({
      id: "hands",
      instrument: "compass",
      title: "Room for the works and the hands",
      text: `Keep flat and low inside ${sayFine(worksMm(surface) / 2, unit)} round the hole, and nothing raised where the hands sweep: measure the longest hand.`,
    });
  if (parts.includes("numerals"))
    steps.push({
      id: "numerals",
      instrument: "template",
      title: "Where numerals are glued",
      text: "Lay the dial on, draw round each numeral, and keep its inside bare: glue holds on the body, not on paint.",
    });
  if (object === "sign")
    steps.push({ id: "hanger", instrument: "ruler", title: "Where it hangs", text: `Keep ${sayFine(6, unit)} round each hole clear: the cord rubs there.` });
  return [...steps, ...(pattern.keepOuts ?? []).map((one, index) => keptStep(one, index, ask))];
}
