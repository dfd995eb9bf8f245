import { useState } from "react";
import { useNavigate } from "react-router";
import { Minus, Plus } from "lucide-react";
import { compoundId, pourId } from "#core/catalogue/ids";
import { sayStanding } from "#core/catalogue/provenance";
import { plannedPour } from "#core/casting/begin-pour";
import type { PlannedPour } from "#core/casting/begin-pour";
import { USUAL_RESERVE_PERCENT } from "#core/casting/cast";
import { POWDER_KINDS, POWDERS, powderValue } from "#core/casting/compound";
import type { PowderKind } from "#core/casting/compound";
import { capacityOf, trapsOf, TRAPS } from "#core/casting/mould";
import type { Conditions, PreparationId } from "#core/casting/stages";
import { castingRoom, openMinOf, PREPARATIONS } from "#core/casting/stages";
import type { PowderRecord } from "#core/formats/stores/compounds";
import { POUR_BOUNDS } from "#core/formats/stores/pours";
import { sayDuration } from "#core/units/duration";
import { sayMass } from "#core/units/mass";
import { useAfter } from "~/actions/use-after";
import { useAppContext } from "~/components/app-context";
import { Choice, Radios } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { ToolButton } from "~/components/tool-button";
import { useDesk } from "~/mixing/use-desk";
import { freshId } from "~/store/fresh-id";
import { weightUnit } from "./casting-words";
import type { WeightUnit } from "./casting-words";
import { MassField } from "./mass-field";
import { MouldPicture } from "./mould-picture";
import type { Casting } from "./use-casting";

const ROOM_WORDS = {
  "too-cold": "It is too cold: gypsum hardly sets, cement not at all. Warm the room or the water.",
  "too-warm": "The water is too hot: it sets in the bowl.",
  fast: "It sets faster than the label says here: have everything at hand before the powder.",
  slow: "It sets slower than the label says here; leave it longer before you take it out.",
} as const;

interface State {
  /** How many of each mould are filled. */
  readonly filled: Readonly<Record<string, number>>;
  readonly bag: string;
  readonly reserve: number;
  readonly bowlG?: number | null;
  readonly preparation: PreparationId;
  readonly roomC?: number | null;
  readonly waterC?: number | null;
}

const START: State = { filled: {}, bag: "", reserve: USUAL_RESERVE_PERCENT, preparation: "soap" };

/** What is poured into: counted up and down. */
function Pick({ casting, filled, set }: { casting: Casting; filled: State["filled"]; set: (id: string, count: number) => void }) {
  return (
    <ul aria-label="Moulds to fill" className="grid gap-x-6 sm:grid-cols-2">
      {casting.moulds.map(({ id, name, form, count }) => {
        const now = Math.min(count, filled[id] ?? 0);
        return (
          <li key={id} className="grid grid-cols-[3rem_minmax(0,1fr)_auto] items-center gap-2 py-1">
            <MouldPicture form={form} />
            <span className={now > 0 ? "font-semibold" : ""}>{name}</span>
            <span className="flex items-center">
              <ToolButton icon={Minus} label={`One ${name} less`} disabled={now === 0} onClick={() => set(id, now - 1)} />
              <output aria-label={`${name} to fill`} className="w-14 text-center tabular-nums">
                {now} of {count}
              </output>
              <ToolButton icon={Plus} label={`One ${name} more`} disabled={now >= count} onClick={() => set(id, now + 1)} />
            </span>
          </li>
        );
      })}
    </ul>
  );
}

function Amounts({ planned, unit, left }: { planned: PlannedPour; unit: WeightUnit; left: number | null }) {
  const { cast, bowls, moulds } = planned;
  const after = left === null ? null : left - cast.powderG;
  return (
    <section aria-label="What to weigh" className="sheet p-4">
      <p className="text-2xl tabular-nums sm:text-3xl">
        <strong>{sayMass(cast.waterG, unit)}</strong> water, <strong>{sayMass(cast.powderG, unit)}</strong> powder
      </p>
      <p className="text-soft">
        {bowls.length === 1 ? "In one bowl" : `In ${bowls.length} bowls`}, {Math.round(cast.slurryMl)} ml of slurry.
        {after !== null &&
          after >= 0 &&
          ` ${sayMass(after, unit)} stay in the bag${cast.powderG > 0 && after >= cast.powderG ? `, enough for ${Math.floor(after / cast.powderG)} more like it` : ""}.`}
      </p>
      {after !== null && after < 0 && <p className="text-act">The bag does not reach: {sayMass(-after, unit)} are missing.</p>}
      {bowls.length > 1 && (
        <ol className="mt-2 grid gap-1">
          {bowls.map((bowl, k) => (
            <li key={k}>
              Bowl {k + 1}: {sayMass(bowl.waterG, unit)} water, {sayMass(bowl.powderG, unit)} powder, for{" "}
              {bowl.fills.map(({ mould, count }) => `${count} ${moulds[mould]!.name}`).join(" and ")}
              {bowl.beside && ", stirred beside the bowl before it"}
            </li>
          ))}
        </ol>
      )}
      {planned.unknown.length > 0 && <p className="text-act">Not reckoned: nobody knows what {planned.unknown.join(" and ")} holds. Weigh it full of water.</p>}
    </section>
  );
}

/** A pour is chosen here: which moulds, out of which bag, in what room. */
export function NewPour({ casting, roomC }: { casting: Casting; roomC: number }) {
  const navigate = useNavigate();
  const [beginning, after] = useAfter();
  const unit = weightUnit(useAppContext().settings.units);
  const [state, set] = useDesk<State>("pour", START);
  const [failed, fail] = useState<string | null>(null);
  const bags = casting.compounds.filter((one): one is PowderRecord => one.kind !== "resin");
  const bag = bags.find(({ id }) => id === state.bag) ?? (state.bag === "" ? bags[0] : undefined);
  const kind: PowderKind = bag?.kind ?? POWDER_KINDS.find((one) => one === state.bag) ?? "gypsum";
  const label = bag?.label ?? {};
  const conditions: Conditions = { roomC: state.roomC ?? roomC, ...(typeof state.waterC === "number" ? { waterC: state.waterC } : {}) };
  const left = bag ? casting.leftG(bag.id) : null;
  const moulds = casting.moulds.map((mould) => ({ ...mould, filled: Math.min(mould.count, state.filled[mould.id] ?? 0) }));
  const bowlG = state.bowlG ?? undefined;
  const planned = plannedPour({ kind, label, moulds, reservePercent: state.reserve, conditions, ...(bowlG === undefined ? {} : { bowlG }) });
  const traps = [...new Set(moulds.filter(({ filled }) => filled > 0).flatMap(trapsOf))];
  const guessed = moulds.filter((mould) => mould.filled > 0 && capacityOf(mould)?.by === "size").map(({ name }) => name);
  const room = castingRoom(conditions);
  const open = openMinOf(kind, label, conditions);
  const ratio = powderValue(kind, label, "waterPer100");
  const preparation = PREPARATIONS.find(({ id }) => id === state.preparation)!;
  const begin = () => {
    if (!planned) return fail("Choose a mould first.");
    const id = freshId();
    const key = casting.ask({
      intent: "begin",
      pour: {
        id: pourId(id),
        at: new Date().toISOString(),
        powder: {
          kind,
          name: bag?.name ?? POWDERS[kind].name,
          label,
          ...(bag ? { compound: compoundId(bag.id) } : {}),
          ...(bag?.paid !== undefined && bag.bagG !== undefined ? { paidPerG: bag.paid / bag.bagG } : {}),
        },
        reservePercent: state.reserve,
        ...(bowlG === undefined ? {} : { bowlG }),
        preparation: state.preparation,
        conditions,
        moulds: planned.moulds,
        bowls: planned.bowls,
        bodies: [],
      },
    });
    after(key, () => {
      set({ filled: {} });
      void navigate(`/desk/casting/pours/${id}`);
    });
  };
  if (casting.moulds.length === 0) return <p>Put your first mould into the register, and what to weigh for it stands here.</p>;
  return (
    <section aria-labelledby="new-pour" className="grid gap-4">
      <h2 id="new-pour" className="text-2xl">
        What do you pour?
      </h2>
      <Pick casting={casting} filled={state.filled} set={(id, count) => (fail(null), set({ filled: { ...state.filled, [id]: count } }))} />
      {planned && <Amounts planned={planned} unit={unit} left={left} />}
      {planned && (
        <ul className="grid list-disc gap-1 pl-5">
          <li>
            {ratio.value} of water to 100 of powder, by weight ({sayStanding(ratio.provenance)}). It can be poured for about {sayDuration(open)} from the first
            powder.
          </li>
          {guessed.length > 0 && <li>{guessed.join(" and ")}: reckoned by size, a tenth either way. Filled with water and weighed once, it is exact.</li>}
          {traps.map((trap) => (
            <li key={trap}>
              Air stays in {TRAPS[trap].name}. {TRAPS[trap].how}
            </li>
          ))}
          {room && <li className="text-act">{ROOM_WORDS[room]}</li>}
          {kind === "cement" && <li className="text-act">Wet cement is caustic: gloves and goggles, and wash it off skin at once.</li>}
        </ul>
      )}
      <div className="grid items-end gap-3 sm:grid-cols-3">
        <Choice
          label="Out of"
          value={bag?.id ?? kind}
          choices={[...bags.map(({ id, name }) => ({ id: id as string, name })), ...POWDER_KINDS.map((id) => ({ id, name: `${POWDERS[id].name}, typical` }))]}
          onChange={(id) => set({ bag: id })}
        />
        <MassField
          label="The bowl takes, in all"
          g={bowlG}
          unit={unit}
          bounds={{ least: 20, most: 50_000 }}
          typical="all of it"
          save={(g) => set({ bowlG: g ?? null })}
        />
        <NumberField
          label="More than the moulds hold"
          unit="%"
          value={state.reserve}
          bounds={POUR_BOUNDS.reservePercent}
          save={(reserve) => reserve !== undefined && set({ reserve })}
        />
        <NumberField
          label="The room"
          unit="°C"
          value={state.roomC ?? undefined}
          typical={String(roomC)}
          bounds={POUR_BOUNDS.celsius}
          save={(c) => set({ roomC: c ?? null })}
        />
        <NumberField
          label="The water"
          unit="°C"
          value={state.waterC ?? undefined}
          typical="as the room"
          bounds={POUR_BOUNDS.celsius}
          save={(c) => set({ waterC: c ?? null })}
        />
      </div>
      <Radios
        legend="On the moulds beforehand: painters differ"
        value={state.preparation}
        choices={PREPARATIONS.map(({ id, name }) => ({ id, name }))}
        onChange={(id) => set({ preparation: id as PreparationId })}
      />
      <p className="text-soft">
        {preparation.does} {preparation.trades}
      </p>
      <div>
        <button type="button" className="button button-act text-lg" disabled={beginning} onClick={begin}>
          Begin the pour
        </button>
        {failed && (
          <p role="alert" className="mt-2 text-stop">
            {failed}
          </p>
        )}
      </div>
    </section>
  );
}
