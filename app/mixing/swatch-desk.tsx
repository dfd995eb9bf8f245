import { useState } from "react";
import { jarHides } from "#core/shelf/mixes";
import { readingOf } from "#core/film/calibrate";
import type { Calibrated, Reading, Swatch } from "#core/film/calibrate";
import { lightOfPixel } from "#core/film/light";
import { jarId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import { Choice, Colour, Radios } from "~/components/fields";
import { usePickedPhoto } from "~/components/photo-pick";
import { PhotoSpot } from "~/components/photo-spot";
import { FAULT_WORDS, hidesText } from "./desk-words";
import { Painted } from "./painted";
import { ThinnedSlider } from "./slider";
import type { Subject } from "./subject";
import { useDesk } from "./use-desk";
import type { DeskShelf } from "./use-shelf";

type Spot = "dark" | "pale" | "overDark" | "overPale" | "thick";

const SPOTS: readonly { readonly id: Spot; readonly name: string; readonly needed: boolean }[] = [
  { id: "dark", name: "the dark ground", needed: true },
  { id: "pale", name: "the white ground", needed: true },
  { id: "overDark", name: "the coat on the dark", needed: true },
  { id: "overPale", name: "the coat on the white", needed: true },
  { id: "thick", name: "a thick daub of it", needed: false },
];

interface State {
  readonly jar: string;
  readonly readings: Partial<Record<Spot, Reading>>;
  readonly spot: Spot;
  readonly percent: number;
}

/** Longest side of a photograph in the page, px. */
const PHOTO_PX = 460;

/** A photograph of the swatch: each tap takes the spot that is asked for, and goes on to the next. */
function FromPhoto({ spot, take }: { spot: Spot; take: (reading: Reading) => void }) {
  const { photo, button, fault } = usePickedPhoto("Photograph of the swatch", "Photograph of the swatch");
  return (
    <div className="grid gap-2">
      {button}
      {fault}
      {photo && (
        <>
          <p className="font-semibold" role="status">
            Tap {SPOTS.find(({ id }) => id === spot)!.name}.
          </p>
          <PhotoSpot photo={photo} label="Your swatch" px={PHOTO_PX} take={(_hex, pixels) => take(readingOf(pixels.map(lightOfPixel)))} />
        </>
      )}
    </div>
  );
}

const whole = (readings: State["readings"]): readings is Swatch & State["readings"] => SPOTS.every(({ id, needed }) => !needed || readings[id] !== undefined);
const percentOf = (ratio: number) => Math.round(ratio * 100);

function Result({ found, jar, shelf }: { found: Calibrated; jar: Jar | undefined; shelf: DeskShelf }) {
  if (!found.ok) return <p className="notice bg-warn-tint">{FAULT_WORDS[found.why]}</p>;
  const { ratio, from, to, atLeast, colour } = found.hiding;
  const kind = jar && shelf.kindOf(jar);
  const before = jar && kind ? jarHides(jar, kind) : null;
  return (
    <div className="note grid gap-2 p-3" role="status">
      <div className="flex items-center gap-4">
        <div className="w-32">
          <Painted colour={colour} label="laid thick" tall={44} />
        </div>
        <p>
          <strong>{hidesText(found.hiding)}</strong>
          {!atLeast && (
            <span className="text-soft">
              {" "}
              Give or take: {percentOf(from)} to {percentOf(to)}.
            </span>
          )}
          {atLeast && " It covers too well to tell more exactly: thin a coat of it, and say so above, if you want to know."}
        </p>
      </div>
      {before && (
        <p className="text-soft">
          Until now it was taken to cover {percentOf(before.ratio)} of 100
          {before.by === "typical" ? ", as is typical" : ""}.
        </p>
      )}
      {jar && (
        <p>
          <button
            type="button"
            className="button button-act"
            onClick={() => shelf.change(jar.id, { set: { hiding: { ratio, from, to, by: "swatch" }, ...(jar.colour === undefined ? { colour } : {}) } })}
          >
            Keep it with {jar.name}
          </button>{" "}
          {jar.hiding?.by === "swatch" && jar.hiding.ratio === ratio && <span className="text-ready">Kept: every plan reckons with it.</span>}
        </p>
      )}
    </div>
  );
}

/** A swatch of one coat over dark and white: how well this very paint covers. */
export function SwatchDesk({
  subject,
  place,
  shelf,
  read,
}: {
  subject: Subject;
  place: string;
  shelf: DeskShelf;
  read: (swatch: Swatch) => Promise<Calibrated>;
}) {
  const jars = shelf.jars.filter((jar) => (shelf.kindOf(jar)?.film.contrastRatio ?? null) !== null);
  const [state, set] = useDesk<State>(`${place}swatch`, { jar: subject.jar?.id ?? jars[0]?.id ?? "", readings: {}, spot: "dark", percent: 0 });
  const [found, setFound] = useState<Calibrated | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const jar = jars.find((one) => one.id === jarId(state.jar));
  const take = (reading: Reading) => {
    const readings = { ...state.readings, [state.spot]: reading };
    const next = SPOTS.find(({ id }) => readings[id] === undefined)?.id ?? state.spot;
    set({ readings, spot: next });
    setFound(null);
  };
  const tell = () => {
    const { readings, percent } = state;
    if (!whole(readings)) return;
    read({ ...readings, thinnedPercent: percent }).then(
      (answer) => (setWrong(null), setFound(answer)),
      (error: unknown) => setWrong(error instanceof Error ? error.message : "it could not be read"),
    );
  };
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,24rem)_minmax(0,1fr)]">
      <div className="grid content-start gap-3">
        <p>
          Draw a thick black line on white card, or leave half of a piece bare and prime the other half. Lay one coat across both, as you always do. When it is
          dry, photograph it in daylight with no lamp on it.
        </p>
        {jars.length > 0 && <Choice label="It is" value={state.jar} choices={jars.map(({ id, name }) => ({ id, name }))} onChange={(id) => set({ jar: id })} />}
        <ThinnedSlider
          label="The coat was thinned by"
          percent={state.percent}
          most={100}
          onChange={(percent) => {
            set({ percent });
            setFound(null);
          }}
        />
        <FromPhoto spot={state.spot} take={take} />
      </div>
      <div className="grid content-start gap-4">
        <Radios legend="Take the colour of" value={state.spot} choices={SPOTS} onChange={(spot) => set({ spot: spot as Spot })} />
        <ul className="grid gap-1">
          {SPOTS.map(({ id, name, needed }) => {
            const reading = state.readings[id];
            return (
              <li key={id} className="flex flex-wrap items-center gap-3">
                <Colour
                  label={`${name}${reading ? "" : needed ? ": not yet" : ": if you have it"}`}
                  value={reading?.colour ?? "#b9b3a6"}
                  onChange={(colour) => {
                    set({ readings: { ...state.readings, [id]: { colour } } });
                    setFound(null);
                  }}
                />
              </li>
            );
          })}
        </ul>
        <p>
          <button type="button" className="button" disabled={!whole(state.readings)} onClick={tell}>
            Tell how it covers
          </button>
        </p>
        {wrong !== null && (
          <p role="alert" className="text-stop">
            {wrong}
          </p>
        )}
        {found && <Result found={found} jar={jar} shelf={shelf} />}
      </div>
    </div>
  );
}
