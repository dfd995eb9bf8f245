import { PenLine } from "lucide-react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import type { Role, ZoneId } from "#core/catalogue/vocabulary";
import { bodyOf } from "#core/logbook/body-state";
import { rolesOf, unplannedCoat } from "#core/logbook/unplanned";
import { askOf } from "~/actions/use-ask";
import { actionOf } from "~/bench/bench-asks";
import type { OnBench } from "~/bench/bench-loaded.client";
import { Choice, Colour } from "~/components/fields";
import { useAppContext } from "~/components/app-context";
import { useMenu } from "~/components/use-menu";
import { zoneName } from "~/components/words";
import type { PlanAsk } from "~/piece/plan-ask";
import { useDraft, useOpenForm } from "~/components/use-draft";

const AS_WORDS: Partial<Readonly<Record<Role, string>>> = {
  fill: "filler",
  size: "size",
  prime: "a ground",
  base: "colour all over",
  decorate: "decoration",
  isolate: "an isolating coat",
  lock: "a locking coat",
  seal: "the seal",
};
const USUAL_COLOUR = "#1f3a4d";

/** Zones of a piece, also those that stay bare. */
const zonesOf = ({ shown }: OnBench): readonly ZoneId[] => [...shown.zones.map(({ zone }) => zone), ...shown.bare];

/** A coat that was laid though no plan asked for it: it is on the piece all the same. */
export function SomethingElse({ pieces }: { pieces: readonly OnBench[] }) {
  const [open, setOpen] = useOpenForm("else", false);
  return (
    <details className="mt-6" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="w-fit min-h-[44px] py-2 underline">Something else was laid</summary>
      {open && <Unplanned pieces={pieces} />}
    </details>
  );
}

function Unplanned({ pieces }: { pieces: readonly OnBench[] }) {
  const menu = useMenu();
  const { announce } = useAppContext();
  const [of, setOf] = useDraft<string>("else.of", pieces[0]?.id ?? "");
  const piece = pieces.find(({ id }) => id === of) ?? pieces[0]!;
  const zones = zonesOf(piece);
  const [zone, setZone] = useDraft<string>("else.zone", "");
  const [what, setWhat] = useDraft("else.what", "");
  const [as, setAs] = useDraft<string>("else.as", "");
  const [colour, setColour] = useDraft("else.colour", USUAL_COLOUR);
  const place = zones.find((one) => one === zone) ?? zones[0]!;
  const jar = menu.jars.find(({ id }) => `jar:${id}` === what);
  const products = menu.products.filter(({ id }) => rolesOf(productId(id), CATALOGUE).length > 0);
  const product = productId(jar?.classId ?? products.find(({ id }) => id === what)?.id ?? products[0]!.id);
  const roles = rolesOf(product, CATALOGUE);
  const role = roles.find((one) => one === as) ?? roles[0]!;
  const coloured = role === "base" || role === "decorate";
  const note = () => {
    const hex = jar?.colour ?? (coloured ? colour : undefined);
    const coat = unplannedCoat(
      { zone: place, role, product, ...(jar ? { ownProduct: jar.id } : {}), ...(hex === undefined ? {} : { colour: hex }) },
      bodyOf(piece.progress),
      CATALOGUE,
    );
    const ask: PlanAsk = { intent: "done", followed: piece.followed, coats: [coat], at: new Date().toISOString() };
    askOf(actionOf(piece), ask);
    announce(`Noted on ${piece.name}; its plan goes on from there`);
  };
  return (
    <form
      className="sheet mt-1 grid gap-3 p-4 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        note();
      }}
    >
      <Choice label="On which piece" value={piece.id} choices={pieces.map(({ id, name }) => ({ id, name }))} onChange={setOf} />
      <Choice label="Where on it" value={place} choices={zones.map((one) => ({ id: one, name: zoneName(one) }))} onChange={setZone} />
      <Choice
        label="What"
        value={jar ? what : product}
        choices={[...menu.jars.map(({ id, name }) => ({ id: `jar:${id}`, name: `your ${name}` })), ...products.map(({ id, name }) => ({ id, name }))]}
        onChange={setWhat}
      />
      <Choice label="As" value={role} choices={roles.map((one) => ({ id: one, name: AS_WORDS[one] ?? one }))} onChange={setAs} />
      {coloured && jar?.colour === undefined && <Colour label="Its colour" value={colour} onChange={setColour} />}
      <p className="self-end">
        <button type="submit" className="button">
          <PenLine aria-hidden size={20} /> Note it: laid now
        </button>
      </p>
      <p className="text-soft sm:col-span-2">What is on a piece stays on it: from then on its plan is made for what is there. It can be taken back.</p>
    </form>
  );
}
