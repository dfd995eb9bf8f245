import { CATALOGUE } from "#core/catalogue/catalogue";
import { nameOfColour } from "#core/film/colour-names";
import { covering, dotOver, hide, looksSolid, solidityOf } from "#core/film/hide";
import type { AfterCoats, HideAnswer } from "#core/film/hide";
import { dotMicrons } from "#core/catalogue/data/techniques";
import { PALE_GROUND } from "#core/film/colour";
import { USUAL_WET_MICRONS } from "#core/film/mix";
import type { Sheen } from "#core/catalogue/vocabulary";
import { Choice, Colour } from "~/components/fields";
import { DeltaChart } from "./delta-chart";
import { coatsText, HIDES_BY, SOLIDITY_WORDS } from "./desk-words";
import { Painted, Strips } from "./painted";
import { Slider, ThinnedSlider } from "./slider";
import type { PlanDoing, Subject } from "./subject";
import type { DeskShelf } from "./use-shelf";
import { useDesk } from "./use-desk";
import { lowerFirst } from "#core/units/letter-case";

interface State {
  /** Id of a ground. */
  readonly over: string;
  readonly own: string;
  readonly percent: number;
  /** Wet film against a usual coat's, per cent. */
  readonly film: number;
  readonly dotMm: number;
}

/** What a colour may lie on. */
interface Ground {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
}

const GROUNDS: readonly Ground[] = [
  { id: "white", name: "white ground", colour: PALE_GROUND },
  { id: "black", name: "black", colour: "#1b1b1d" },
];
const BARE = [...CATALOGUE.materials.values()].map(({ id, bodyColour, name }): Ground => ({ id, name: `bare ${lowerFirst(name)}`, colour: bodyColour }));
const IN_PLAN = "plan";
const OWN = "own";
/** Strips that are painted; further coats stand in the chart. */
const STRIPS = 4;

/** What it may lie on: in a plan what lies beneath it there, first of all. */
function groundsFor(subject: Subject, shelf: DeskShelf): readonly Ground[] {
  const { plan } = subject;
  const inPlan = plan ? [{ id: IN_PLAN, name: `what lies beneath it in the plan (${nameOfColour(plan.beneath)})`, colour: plan.beneath }] : [];
  const jars = shelf.jars.flatMap(({ id, name, colour }) => (colour === undefined ? [] : [{ id, name, colour }]));
  return [...inPlan, ...GROUNDS, ...BARE, ...jars];
}

function filmText(film: number): string {
  if (film <= 70) return "a thin coat";
  return film < 130 ? "a usual coat" : film < 180 ? "a full coat" : "a flooded coat";
}

/** What the answer comes to, in one sentence. */
function verdict({ coats, perCoat }: HideAnswer): string {
  if (coats === null) return `It does not cover here in ${perCoat.length} coats.`;
  return coats === 1 ? "One coat looks solid." : `${coats} coats look solid.`;
}

/** What one coat more buys, where there is one. */
function oneMore(perCoat: readonly AfterCoats[], coats: number | null): string {
  const [here, next] = coats === null ? [] : [perCoat[coats - 1], perCoat[coats]];
  if (!here || !next) return "";
  return solidityOf(here.deltaE) === solidityOf(next.deltaE)
    ? "One coat more changes nothing that is seen."
    : "With one coat more nobody tells it from the full colour.";
}

/** Flakes and mica: by the share of the surface they close. */
function Effects({ subject }: { subject: Subject }) {
  const cover = subject.kind.film.coversArea;
  if (!cover) return <p>{subject.kind.name} is not made to cover: what lies beneath is part of how it looks.</p>;
  const { coats, perCoat } = covering(cover, STRIPS);
  return (
    <>
      <h3 className="text-2xl">
        {coats === null ? "It never covers by itself: set it over its own colour, or over a dot of white." : `${coatsText(coats)} cover nearly all of it.`}
      </h3>
      <p>Flakes do not hide as paint does: each coat covers part of what is still open. About:</p>
      <ul>
        {perCoat.map(({ coats: one, from, to }) => (
          <li key={one}>
            {coatsText(one)}: {Math.round(from * 100)} to {Math.round(to * 100)} %
          </li>
        ))}
      </ul>
    </>
  );
}

/** One dot of it on this ground. */
function Dot({ subject, over, state, set }: { subject: Subject; over: string; state: State; set: (change: Partial<State>) => void }) {
  const paint = { colour: subject.colour, contrastRatio: subject.hides!.ratio, ofMicrons: subject.kind.film.wetMicrons ?? USUAL_WET_MICRONS };
  const dot = dotOver({ paint, over, thinningPercent: state.percent }, dotMicrons(state.dotMm));
  return (
    <section className="grid max-w-xl gap-1">
      <Slider
        label={subject.plan?.marks ? "A dot of it" : "And a dot of it"}
        value={state.dotMm}
        least={1}
        most={14}
        step={0.5}
        says={`${state.dotMm} mm across`}
        onChange={(dotMm) => set({ dotMm })}
      />
      <p className="flex items-center gap-3">
        <svg viewBox="0 0 72 44" width={72} height={44} aria-hidden className="shrink-0 rounded">
          <rect width={72} height={44} fill={over} />
          {[16, 36, 56].map((x) => (
            <circle key={x} cx={x} cy={22} r={Math.min(9, 3 + state.dotMm / 2)} fill={dot.colour} />
          ))}
        </svg>
        <span>
          {looksSolid(dot.deltaE) ? "A dot is thick enough to cover by itself." : `A dot ${SOLIDITY_WORDS[solidityOf(dot.deltaE)]}.`}
          {dot.whiteFirst && " Set a dot of white first, and this one on it."}
        </span>
      </p>
    </section>
  );
}

function Underlaid({ answer, doing, subject }: { answer: HideAnswer; doing: PlanDoing | null; subject: Subject }) {
  const { underlay } = answer;
  if (!underlay) return null;
  const change = subject.plan?.underlay;
  return (
    <p className="notice bg-note-tint">
      <strong>
        One coat of {underlay.name} beneath, and {underlay.over === 1 ? "one coat" : `${underlay.over} coats`} of it look solid
      </strong>
      : {underlay.saves === 1 ? "one coat fewer" : `${underlay.saves} coats fewer`} in all.{" "}
      {doing && change && (
        <button type="button" className="button ml-1" onClick={() => doing.apply(change)}>
          Lay white beneath in the plan
        </button>
      )}
    </p>
  );
}

/** How many coats: the colour over what is really beneath it, coat by coat. */
export function HideDesk({ subject, place, shelf, doing }: { subject: Subject; place: string; shelf: DeskShelf; doing: PlanDoing | null }) {
  const { plan } = subject;
  const grounds = groundsFor(subject, shelf);
  const [state, set] = useDesk<State>(`${place}hide`, {
    over: grounds[0]!.id,
    own: "#b5603f",
    percent: Math.round(plan?.thinning?.percent ?? 0),
    film: 100,
    dotMm: plan?.marks?.diameterMm ?? 5,
  });
  if (!subject.hides) return <Effects subject={subject} />;
  const ground = grounds.find((one) => one.id === state.over);
  const over = ground?.colour ?? (state.over === OWN ? state.own : grounds[0]!.colour);
  const usual = subject.kind.film.wetMicrons ?? USUAL_WET_MICRONS;
  const answer = hide({
    paint: { colour: subject.colour, contrastRatio: subject.hides.ratio, ofMicrons: usual },
    over,
    wetMicrons: (usual * state.film) / 100,
    thinningPercent: state.percent,
  });
  const sheen: Sheen | undefined = subject.jar?.label.sheen;
  const takes = answer.coats;
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,18rem)_minmax(0,1fr)]">
      <div className="grid content-start gap-3">
        <Choice
          label="Over"
          value={ground?.id ?? (state.over === OWN ? OWN : grounds[0]!.id)}
          choices={[...grounds, { id: OWN, name: "a colour I pick" }]}
          onChange={(id) => set({ over: id })}
        />
        {state.over === OWN && <Colour label={`near ${nameOfColour(state.own)}`} value={state.own} onChange={(own) => set({ own, over: OWN })} />}
        <Slider label="How full a coat" value={state.film} least={50} most={200} step={10} says={filmText(state.film)} onChange={(film) => set({ film })} />
        <ThinnedSlider label="Thinned by" percent={state.percent} most={60} onChange={(percent) => set({ percent })} />
        <p className="text-soft">How well it covers: {HIDES_BY[subject.hides.by]}.</p>
        <div className="max-w-52">
          <Painted colour={subject.colour} sheen={sheen} label={subject.name} says="laid thick" tall={52} />
        </div>
      </div>
      <div className="grid min-w-0 content-start gap-4">
        {plan?.marks && <Dot subject={subject} over={over} state={state} set={set} />}
        <h3 className="text-2xl">{plan?.marks ? `As a coat: ${lowerFirst(verdict(answer))}` : verdict(answer)}</h3>
        <Strips
          ground={over}
          full={subject.colour}
          strips={answer.perCoat
            .slice(0, STRIPS)
            .map(({ coats, colour, deltaE }) => ({ colour, label: coatsText(coats), says: SOLIDITY_WORDS[solidityOf(deltaE)], solid: looksSolid(deltaE) }))}
        />
        <Underlaid answer={answer} doing={doing} subject={subject} />
        <p>The right half of each strip is the full colour. Judged where the brush leaves it thinnest. {oneMore(answer.perCoat, answer.coats)}</p>
        {doing && plan && !plan.done && !plan.marks && takes !== null && takes !== plan.coats && (
          <p>
            <button
              type="button"
              className="button button-act"
              onClick={() => doing.apply(plan.stepIds.map((stepId) => ({ op: "set", stepId, field: "coats", value: takes })))}
            >
              Take {coatsText(takes)} in the plan
            </button>{" "}
            <span className="text-soft">It has {plan.coats} now.</span>
          </p>
        )}
        <DeltaChart perCoat={answer.perCoat} />
        {!plan?.marks && <Dot subject={subject} over={over} state={state} set={set} />}
      </div>
    </div>
  );
}
