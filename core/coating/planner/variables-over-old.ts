import { productId, stepId } from "../../catalogue/ids";
import { hasHardened, liftsWhenWet } from "../facts/old-film";
import { stepFact } from "../facts/facts";
import { PHASE } from "../facts/phase";
import type { StepFact } from "../facts/facts";
import { allowed } from "./context";
import type { ZoneContext } from "./context";
import { aidDraft, because, filmDraft, NONE, sheenOf } from "./draft";
import type { Alternative, DecisionVariable } from "./draft";
import { dustOff } from "./variables-surface";

const SCUFFING = "scuffing-old";
const MISTING = "misting-old";
/** Decisions about a film that is on the piece already: what they bring comes straight after it, before all that is still to be done. */
export const OVER_OLD: readonly string[] = [SCUFFING, MISTING];

/** What is on the place, as facts. */
function onIt({ done, catalogue }: ZoneContext): readonly StepFact[] {
  return done.map((step, index) =>
    stepFact({ id: stepId(`on-it-${index}`), origin: "engine", because: [], checks: [], ...step, done: true }, index, catalogue),
  );
}

/** Scuffing of a finish that is on already, should anything go over it. */
export function scuffingOld(context: ZoneContext): DecisionVariable | null {
  if (!onIt(context).some(hasHardened)) return null;
  const scuff = aidDraft(productId("scuffing"), {
    role: "sand",
    phase: PHASE.key,
    because: because("hold", "what is on it has hardened slick: nothing laid on it holds until it is scuffed dull"),
    checks: ["Dull all over when you tilt it to the light; lightly, not through to the colour.", "On a film you do not know, try first whether tape lifts it."],
  });
  return { name: SCUFFING, alternatives: [NONE, { key: "scuffing", steps: [scuff, dustOff(context, null, PHASE.key)] }], school: false, unmet: "" };
}

/** A sprayed film over a layer that water would lift, should anything wet go over it. */
export function mistingOld(context: ZoneContext): DecisionVariable | null {
  const films = onIt(context);
  if (!films.some((fact) => liftsWhenWet(fact, films.slice(fact.index + 1)))) return null;
  const sprays = allowed(context).filter((product) => product.jobs.includes("lock") && product.methods[0] === "spray");
  const mists = sprays.map((product): Alternative => ({
    key: product.id,
    steps: [
      filmDraft(
        product,
        {
          role: "lock",
          phase: PHASE.key,
          coats: 2,
          ...sheenOf(product, "satin"),
          because: because("brush-safe", "what is on it dissolves again in water: nothing wet touches it until it is misted"),
          checks: ["Two light passes from a distance, never wet; then half an hour.", "Nothing comes off on a damp fingertip, tried at the edge."],
        },
        context.surface,
      ),
    ],
  }));
  return { name: MISTING, alternatives: [NONE, ...mists], school: false, unmet: "" };
}
