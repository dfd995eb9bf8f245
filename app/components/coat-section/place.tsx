import type { ReactNode } from "react";
import type { Menu } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";
import type { StepState } from "#core/logbook/coat-states";
import { sayDuration } from "#core/units/duration";
import { stepTitle } from "../words";
import type { Band } from "./bands";
import { FilmShape } from "./film-shape";
import type { Beside, LaidPlace } from "./laid-place";
import { Body, Cap, Guide, Night, StateLayer } from "./layers";
import { ACT, ACT_PITCH, ACTS_ABREAST, BAND, HEAD_SIZE, LEAD, LINE, TAIL_SIZE, WORDS } from "./layout";

/** Words in their lines, the soft ones after the strong ones, middle at y. */
function Words({ beside: { label, y } }: { beside: Beside }) {
  const top = y - label.height / 2 + 13;
  const below = label.head.length - (label.shared ? 1 : 0);
  const last = label.head.at(-1);
  return (
    <text x={WORDS} fontSize={HEAD_SIZE} fill="var(--ink)">
      {label.head.map((line, index) => (
        <tspan key={index} x={WORDS} y={top + index * LINE} fontWeight="600">
          {line}
        </tspan>
      ))}
      {label.tail.map((line, index) => (
        <tspan
          key={`tail-${index}`}
          {...(label.shared ? { dx: 6 } : { x: WORDS, y: top + (below + index) * LINE })}
          fontSize={TAIL_SIZE}
          fill={last === undefined ? "var(--ink)" : "var(--soft)"}
        >
          {line}
        </tspan>
      ))}
    </text>
  );
}

/** A thin line from a band to its words. */
function Leader({ beside: { from, y } }: { beside: Beside }) {
  return <path d={`M${BAND + 2} ${from}L${BAND + LEAD - 3} ${y}`} stroke="var(--soft)" strokeWidth="1" />;
}

interface Props {
  readonly place: LaidPlace;
  readonly width: number;
  readonly above: number;
  readonly below: number;
  readonly label: string;
  readonly at: string;
  readonly menu: Menu;
  readonly numbers: ReadonlyMap<string, number>;
  readonly stateOf: (step: Step) => StepState | undefined;
  readonly isChosen: (step: Step) => boolean;
  readonly isMarked: (step: Step) => boolean;
  /** What makes a group of shapes a step: its name, its keys, what opens it. */
  readonly asStep: (step: Step) => React.SVGProps<SVGGElement>;
  readonly children?: ReactNode;
}

function BandShape({ band, at, state }: { band: Band; at: string; state: StepState | undefined }) {
  return (
    <g opacity={state?.state === "to-come" ? 0.6 : 1}>
      {band.kind === "film" && <FilmShape band={band} x={0} width={BAND} at={at} />}
      {band.kind === "guide" && <Guide band={band} at={at} gone={state?.state === "done"} />}
      {band.kind === "cap" && <Cap band={band} />}
    </g>
  );
}

/** Washes and sandings leave no film: numbered dots on the body. */
function Act({ index, number, state, chosen }: { index: number; number: number | undefined; state: StepState | undefined; chosen: boolean }) {
  const cx = 14 + (index % ACTS_ABREAST) * (ACT_PITCH + 0.6);
  const cy = 15 + Math.floor(index / ACTS_ABREAST) * ACT_PITCH;
  const ring = chosen ? "var(--ready)" : state?.state === "ready" ? "var(--act)" : null;
  return (
    <>
      <circle cx={cx} cy={cy} r={ACT} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.4" />
      <text x={cx} y={cy + 4.3} fontSize="12" fontWeight="600" textAnchor="middle" fill="var(--ink)">
        {number}
      </text>
      {state?.state === "done" && <path d={`M${cx + 3} ${cy - 8}l3 3l6-7`} fill="none" stroke="var(--ready)" strokeWidth="3" />}
      {ring && <circle cx={cx} cy={cy} r={ACT + 2} fill="none" stroke={ring} strokeWidth="3" />}
    </>
  );
}

/** One place of the piece cut through: the body, its bands as their tools leave them, and beside them what each is. */
export function Place({ place, width, above, below, label, at, menu, numbers, stateOf, isChosen, isMarked, asStep, children }: Props) {
  const { column, beside } = place;
  const besideOf = (step: Step, kind: Beside["kind"]) => beside.find((one) => one.kind === kind && one.step.id === step.id);
  return (
    <svg viewBox={`-3 ${-above} ${width} ${above + below}`} width={width} height={above + below} className="block max-w-full" role="group" aria-label={label}>
      {children}
      <Body height={below} at={at} />
      {column.bands.map((band) => {
        const [own, night] = [besideOf(band.step, "band"), besideOf(band.step, "night")];
        const state = stateOf(band.step);
        return (
          <g key={band.step.id} {...asStep(band.step)}>
            <title>{`${stepTitle(band.step, menu)}${band.gapMin > 0 ? `, after ${sayDuration(band.gapMin)}` : ""}`}</title>
            <BandShape band={band} at={at} state={state} />
            <rect x={0} y={band.y} width={width - 6} height={band.height} fill="transparent" />
            <StateLayer band={band} state={state} at={at} />
            {night && <Night y={band.y + band.height} />}
            {[own, night].map((one) => one && <Leader key={one.kind} beside={one} />)}
            {[own, night].map((one) => one && <Words key={one.kind} beside={one} />)}
            {isMarked(band.step) && (
              <rect
                x={-2}
                y={band.y - 1}
                width={BAND + 4}
                height={band.height + 2}
                fill="none"
                stroke="var(--act)"
                strokeWidth="3"
                strokeDasharray="7 4"
                rx="3"
              />
            )}
            {isChosen(band.step) && (
              <rect x={-1} y={band.y - 1} width={BAND + 2} height={band.height + 2} fill="none" stroke="var(--ready)" strokeWidth="3" rx="3" />
            )}
          </g>
        );
      })}
      {column.acts.map((step, index) => {
        const own = besideOf(step, "act");
        return (
          <g key={step.id} {...asStep(step)}>
            <title>{stepTitle(step, menu)}</title>
            <Act index={index} number={numbers.get(step.id)} state={stateOf(step)} chosen={isChosen(step)} />
            {own && <Words beside={own} />}
          </g>
        );
      })}
    </svg>
  );
}
