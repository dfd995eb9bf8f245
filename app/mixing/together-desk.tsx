import type { Sheen } from "#core/catalogue/vocabulary";
import { SHEENS, SHEEN_WORDS } from "#core/catalogue/vocabulary";
import { borderColour, confusedIn, contrastOf, MOST_ROWS, rowsOfColours, sealerShift, seenBy, SIGHTS, underSealer } from "#core/film/choosing";
import type { Sight } from "#core/film/choosing";
import { nameOfColour } from "#core/film/colour-names";
import { DARK_BELOW, lightness } from "#core/film/colour";
import { ColourChip } from "~/components/colour-chip";
import { Chips, Choice, Radios } from "~/components/fields";
import { Painted } from "./painted";
import { Slider } from "./slider";
import type { Subject } from "./subject";
import { useDesk } from "./use-desk";
import type { DeskShelf } from "./use-shelf";

interface State {
  readonly chosen: readonly string[];
  readonly ground: string;
  readonly rows: number;
  readonly sheen: Sheen;
}

interface Named {
  readonly name: string;
  readonly colour: string;
}

const SIGHT_WORDS: Readonly<Record<Sight, string>> = {
  "red-blind": "to eyes that lack red",
  "green-blind": "to eyes that lack green",
  "blue-blind": "to eyes that lack blue",
};
/** Colours laid side by side at once: more are no palette. */
const MOST = 8;
/** From this ΔE00 on a change of colour is seen. */
const SEEN_FROM = 2;

function distinct(all: readonly Named[]): readonly Named[] {
  return all.filter((one, at) => all.findIndex((other) => other.colour === one.colour) === at);
}

const nameIn = (all: readonly Named[], colour: string) => all.find((one) => one.colour === colour)?.name ?? nameOfColour(colour);

/** What reads on what. */
function Reads({ palette, ground }: { palette: readonly Named[]; ground: Named }) {
  const rows = palette.filter(({ colour }) => colour !== ground.colour);
  return (
    <ul className="grid gap-1">
      {rows.map(({ name, colour }) => {
        const { marks, letters } = contrastOf(colour, ground.colour);
        return (
          <li key={colour} className="flex items-center gap-3">
            <svg viewBox="0 0 64 36" width={64} height={36} aria-hidden className="shrink-0 rounded border border-line">
              <rect width={64} height={36} fill={ground.colour} />
              <circle cx={14} cy={18} r={7} fill={colour} />
              <circle cx={32} cy={18} r={4} fill={colour} />
              <path d="M44 26l6-16 6 16M46.5 20h7" fill="none" stroke={colour} strokeWidth={2.4} />
            </svg>
            <span>
              {name}:{" "}
              {!marks ? <strong className="text-act">is lost on it</strong> : letters ? "reads, letters too" : "dots read; letters are too near in lightness"}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

/** Rows of dots in an order that stands apart. */
function Rows({ palette, ground, state, set }: { palette: readonly Named[]; ground: Named; state: State; set: (change: Partial<State>) => void }) {
  const own = palette.filter(({ colour }) => colour !== ground.colour);
  if (own.length === 0) return null;
  const { colours } = rowsOfColours(
    own.map(({ colour }) => colour),
    state.rows,
    ground.colour,
  );
  const uses = new Map(own.map(({ colour }) => [colour, colours.filter((one) => one === colour).length]));
  const border = borderColour(uses, ground.colour);
  return (
    <section className="grid gap-2">
      <h3 className="text-xl">Rows from the middle out</h3>
      <div className="max-w-64">
        <Slider label="Rows" value={state.rows} least={1} most={MOST_ROWS} step={1} says={String(state.rows)} onChange={(rows) => set({ rows })} />
      </div>
      <svg
        viewBox={`0 0 ${24 + colours.length * 22} 60`}
        height={60}
        className="max-w-full"
        role="img"
        aria-label={`Rows: ${colours.map((one) => nameIn(palette, one)).join(", ")}`}
      >
        <rect width="100%" height={60} fill={ground.colour} rx={6} />
        {colours.map((colour, at) => [12, 30, 48].map((y) => <circle key={`${at}-${y}`} cx={22 + at * 22} cy={y} r={7.5} fill={colour} />))}
      </svg>
      <p>
        {colours.map((one) => nameIn(palette, one)).join(", then ")}. {border && `A border is best in ${nameIn(palette, border)}: it is used least.`}
      </p>
      {own.every(({ colour }) => lightness(colour) >= DARK_BELOW) && lightness(ground.colour) >= DARK_BELOW && (
        <p className="text-soft">All of them are pale: one dark row between would keep them apart.</p>
      )}
    </section>
  );
}

/** Colours side by side: what reads, in what order, to whose eyes, and under which varnish. */
export function TogetherDesk({ subject, place, shelf, planned }: { subject: Subject; place: string; shelf: DeskShelf; planned: readonly Named[] }) {
  const jars = shelf.jars.flatMap(({ name, colour }) => (colour === undefined ? [] : [{ name, colour }]));
  const all = distinct([...planned, { name: subject.name, colour: subject.colour }, ...jars]);
  const start = planned.length > 1 ? planned.map(({ colour }) => colour).slice(0, MOST) : all.slice(0, 4).map(({ colour }) => colour);
  const [state, set] = useDesk<State>(`${place}together`, { chosen: start, ground: start[0] ?? subject.colour, rows: 5, sheen: "gloss" });
  const palette = all.filter(({ colour }) => state.chosen.includes(colour)).slice(0, MOST);
  const ground = palette.find(({ colour }) => colour === state.ground) ?? palette[0] ?? { name: subject.name, colour: subject.colour };
  const confused = confusedIn(palette.map(({ colour }) => colour));
  return (
    <div className="grid gap-5">
      <details open={palette.length < 2}>
        <summary className="w-fit py-2 font-semibold underline">Which colours ({palette.length})</summary>
        <Chips
          label="Colours laid side by side"
          choices={all.slice(0, 60).map(({ colour, name }) => ({ id: colour, name }))}
          chosen={palette.map(({ colour }) => colour)}
          least={1}
          onChange={(chosen) => set({ chosen: chosen.slice(-MOST) })}
        />
      </details>
      <div className="grid gap-6 md:grid-cols-2">
        <section className="grid content-start gap-2">
          <h3 className="text-xl">What reads on the ground</h3>
          <div className="max-w-64">
            <Choice
              label="Ground"
              value={ground.colour}
              choices={palette.map(({ colour, name }) => ({ id: colour, name }))}
              onChange={(colour) => set({ ground: colour })}
            />
          </div>
          <Reads palette={palette} ground={ground} />
        </section>
        <Rows palette={palette} ground={ground} state={state} set={set} />
        <section className="grid content-start gap-2">
          <h3 className="text-xl">To other eyes</h3>
          <table className="w-fit border-separate border-spacing-x-2 border-spacing-y-1 text-left">
            <tbody>
              {SIGHTS.map((sight) => (
                <tr key={sight}>
                  <th scope="row" className="pr-2 font-normal">
                    {SIGHT_WORDS[sight]}
                  </th>
                  {palette.map(({ colour }) => (
                    <td key={colour}>
                      <ColourChip colour={seenBy(sight, colour)} />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          {confused.length === 0 ? (
            <p className="text-ready">No two that you can tell apart are alike to them.</p>
          ) : (
            <ul>
              {confused.map(({ sight, pair: [one, other] }) => (
                <li key={`${sight}-${one}-${other}`}>
                  {nameIn(palette, one)} and {nameIn(palette, other)} look alike {SIGHT_WORDS[sight]}.
                </li>
              ))}
            </ul>
          )}
        </section>
        <section className="grid content-start gap-2">
          <Radios
            legend="Under a varnish that is"
            value={state.sheen}
            choices={SHEENS.map((id) => ({ id, name: SHEEN_WORDS[id] }))}
            onChange={(sheen) => set({ sheen: sheen as Sheen })}
          />
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(7rem,1fr))] gap-2">
            {palette.map(({ name, colour }) => {
              const shift = sealerShift(colour, state.sheen);
              const sealed = underSealer(colour, state.sheen);
              const says = shift < SEEN_FROM ? "as it is" : lightness(sealed) < lightness(colour) ? "deeper" : "veiled a little";
              return (
                <li key={colour}>
                  <Painted colour={sealed} sheen={state.sheen} label={name} says={says} tall={48} />
                </li>
              );
            })}
          </ul>
          <p className="text-soft">Gloss deepens, darks most of all; matt lays a faint veil over them. About; a scrap tells.</p>
        </section>
      </div>
    </div>
  );
}
