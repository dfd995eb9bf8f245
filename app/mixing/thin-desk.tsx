import { CATALOGUE } from "#core/catalogue/catalogue";
import { materialId } from "#core/catalogue/ids";
import type { Body } from "#core/catalogue/product-class";
import { colourDifference } from "#core/film/colour";
import { BENCH_TESTS, consistencyAfter, consistencyOf, SCHOOL_TRADES, schoolOf, THINNER_OF, THINNING_SCHOOLS } from "#core/film/consistency";
import type { ThinningSchool } from "#core/film/consistency";
import { STANDARD_DROPS_PER_ML } from "#core/film/drops";
import { isLiquid, PURPOSES } from "#core/film/purposes";
import type { Purpose } from "#core/film/purposes";
import { thinnedWithWhite } from "#core/film/recipe";
import { thinPaint } from "#core/film/thin";
import type { ThinAnswer } from "#core/film/thin";
import { useAppContext } from "~/components/app-context";
import { Choice } from "~/components/fields";
import { useMenu } from "~/components/use-menu";
import { thinnerName } from "~/components/thinning-words";
import { AmountSlider, ThinnedSlider } from "./slider";
import { Painted } from "./painted";
import { measureText, sentence } from "./desk-words";
import type { PlanDoing, Subject } from "./subject";
import { useDesk } from "./use-desk";

const PURPOSE_WORDS: Readonly<Record<Purpose, string>> = {
  base: "a coat of colour",
  "first-coat": "the first coat on a thirsty piece",
  "dots-domed": "dots that stand up",
  "dots-level": "dots that lie flat",
  swipes: "swipes",
  "fine-lines": "fine lines and letters",
  wash: "a wash",
  blend: "colours run into one another",
  stencil: "stencil, tape edge or sponge",
  varnish: "varnish",
  stain: "stain",
};
const BODY_WORDS: Readonly<Record<Body, string>> = {
  pours: "pours like milk",
  "self-levels": "levels by itself, like cream",
  "soft-dot": "holds a soft dot, like yoghurt",
  "domed-dot": "holds a domed dot, like custard",
  peaks: "stands in peaks, like icing",
};
interface State {
  readonly ml: number;
  readonly purpose: Purpose;
  readonly material: string;
  readonly school: ThinningSchool | "";
  /** Per cent of the paint's volume; null: as is usual. */
  readonly percent: number | null;
}

const MOST_PERCENT = 60;
const MOST_WASH = 200;
/** From this ΔE00 on a tint is seen. */
const SEEN_FROM = 2;

/** What the puddle is like after thinning, as it is tried at the table. */
function Feel({ answer }: { answer: ThinAnswer }) {
  const { before, after, wanted } = answer.body;
  if (!after) return <p>{answer.look}</p>;
  return (
    <div className="note grid gap-1 p-3">
      <p>
        <strong>It {BODY_WORDS[after]}.</strong> {before !== after && before && <span className="text-soft">As it comes it {BODY_WORDS[before]}.</span>}
      </p>
      <p>
        On a tilted spoon {BENCH_TESTS.value[after].spoon}. The peak of a dot: {BENCH_TESTS.value[after].peak}.
      </p>
      <p className={after === wanted ? "text-ready" : ""}>
        {after === wanted ? "That is what it wants: " : `Wanted here: it ${BODY_WORDS[wanted]}; then `}
        {answer.look}.
      </p>
    </div>
  );
}

function Thinned({ subject, answer, percent }: { subject: Subject; answer: ThinAnswer; percent: number }) {
  const white = answer.with === "fluid-white" && percent > 0 && subject.hides;
  const tinted = white ? thinnedWithWhite({ colour: subject.colour, contrastRatio: white.ratio }, percent) : subject.colour;
  const off = colourDifference(tinted, subject.colour);
  return (
    <>
      {white && (
        <div className="grid max-w-sm grid-cols-2 gap-2">
          <Painted colour={subject.colour} label="as it comes" />
          <Painted colour={tinted} label="with the white" says={off < SEEN_FROM ? "hardly paler" : "paler: it is a tint"} />
        </div>
      )}
      {percent > 0 && (
        <p className="text-soft">
          A coat of it covers about {Math.round((1 - answer.hidingShare) * 100)} % less
          {answer.dryingFactor > 1.05 && `, and takes about ${Math.round((answer.dryingFactor - 1) * 100)} % longer to dry to the touch`}.
        </p>
      )}
    </>
  );
}

/** How thin: so much paint for this work, so many drops, and how it will feel. */
export function ThinDesk({ subject, place, doing }: { subject: Subject; place: string; doing: PlanDoing | null }) {
  const menu = useMenu();
  const { settings } = useAppContext();
  const { plan } = subject;
  const [state, set] = useDesk<State>(`${place}thin`, { ml: 5, purpose: plan?.purpose ?? "base", material: doing?.material ?? "", school: "", percent: null });
  if (!isLiquid(subject.kind, undefined)) return <p>{subject.kind.name} is not poured out: there is nothing to thin.</p>;
  const surface = CATALOGUE.materials.get(materialId(state.material))?.surface ?? "porous";
  const answer = thinPaint(
    subject.kind,
    {
      purpose: state.purpose,
      puddleMl: state.ml,
      dropsPerMl: settings.dropsPerMl,
      ...(state.school === "" ? {} : { school: state.school }),
      ...(state.percent === null ? {} : { percent: state.percent }),
    },
    surface,
  );
  const most = state.purpose === "wash" ? MOST_WASH : MOST_PERCENT;
  const drops = Math.round(answer.drops.typical);
  const school = state.school === "" ? schoolOf(answer.with) : state.school;
  const liquid = subject.kind.carrier === "water";
  const index = consistencyOf(subject.kind);
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,20rem)_minmax(0,1fr)]">
      <div className="grid content-start gap-3">
        <Choice
          label="It is for"
          value={state.purpose}
          choices={PURPOSES.filter((one) => one !== "stain" && one !== "varnish").map((id) => ({ id, name: PURPOSE_WORDS[id] }))}
          onChange={(id) => set({ purpose: id as Purpose, percent: null })}
        />
        <Choice
          label="On"
          value={state.material}
          choices={[{ id: "", name: "anything porous" }, ...menu.materials.map(({ id, name }) => ({ id, name }))]}
          onChange={(material) => set({ material })}
        />
        <AmountSlider label="Paint in the puddle" ml={state.ml} says={`${state.ml} ml`} onChange={(ml) => set({ ml })} />
        {liquid && (
          <Choice
            label="Thinned with"
            value={state.school}
            choices={[{ id: "", name: "as is usual" }, ...THINNING_SCHOOLS.map((id) => ({ id, name: thinnerName(THINNER_OF[id]) }))]}
            onChange={(school) => set({ school: school as State["school"], percent: null })}
          />
        )}
        {state.school !== "none" && <ThinnedSlider label="How much of it" percent={answer.percent} most={most} onChange={(percent) => set({ percent })} />}
        {state.percent !== null && (
          <button type="button" className="button w-fit" onClick={() => set({ percent: null })}>
            As is usual
          </button>
        )}
      </div>
      <div className="grid content-start gap-3">
        <h3 className="text-2xl">
          {drops === 0 ? "As it comes" : `${drops === 1 ? "1 drop" : measureText(answer.ml, drops)} of ${thinnerName(answer.with)} to ${state.ml} ml of paint`}
        </h3>
        {drops > 0 && state.percent === null && answer.drops.from !== answer.drops.to && (
          <p className="text-soft">
            Begin with {Math.round(answer.drops.from)} and go to {Math.round(answer.drops.to)} if it wants it: more goes in, none comes out.
          </p>
        )}
        <Feel answer={answer} />
        <p>{sentence(answer.why)}</p>
        {answer.findings.map(({ code, message }) => (
          <p key={code} className="notice bg-warn-tint">
            {sentence(message)}
          </p>
        ))}
        <Thinned subject={subject} answer={answer} percent={answer.percent} />
        {(answer.percent > 0 || state.school !== "") && <p className="text-soft">{sentence(SCHOOL_TRADES.value[school])}</p>}
        {index !== null && answer.percent > 0 && consistencyAfter(index, answer.with, answer.percent) < index - 1 && (
          <p className="text-soft">That is a good deal thinner than it comes: try it on a scrap first.</p>
        )}
        {doing && plan?.thinning && !plan.done && (plan.thinning.with !== answer.with || plan.thinning.percent !== answer.percent) && (
          <p>
            <button
              type="button"
              className="button button-act"
              onClick={() =>
                doing.apply(plan.stepIds.map((stepId) => ({ op: "set", stepId, field: "thinning", value: { with: answer.with, percent: answer.percent } })))
              }
            >
              Thin it so in the plan
            </button>
          </p>
        )}
        <p className="text-soft">
          {settings.dropsPerMl === STANDARD_DROPS_PER_ML
            ? `Drops are those of a standard dropper, ${STANDARD_DROPS_PER_ML} to a ml; count your own under Drops.`
            : `By your own dropper: ${Math.round(settings.dropsPerMl)} drops to a ml.`}
        </p>
      </div>
    </div>
  );
}
