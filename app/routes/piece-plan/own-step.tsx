import { Plus } from "lucide-react";
import { productId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import type { Role } from "#core/catalogue/vocabulary";
import type { ToldAct } from "#core/coating/explain/told-acts";
import type { NewStep } from "#core/coating/model/change";
import { putAfter } from "#core/coating/model/own-steps";
import type { Candidate } from "#core/coating/model/plan";
import { Choice, Colour } from "~/components/fields";
import { LAYER_KINDS, optionsFor } from "./layer-kinds";
import type { Apply } from "~/piece/plan-actions";
import { useDraft, useOpenForm } from "~/components/use-draft";

/** What may be put in by hand; decoration is said with the piece. */
const KINDS = LAYER_KINDS.filter(({ role }) => role !== "decorate");
const COATS = ["1", "2", "3", "4"].map((id) => ({ id, name: id === "1" ? "one coat" : `${id} coats` }));
const FIRST_COLOUR = "#f4efe2";

/** A step of the user's own after an act: what it does to the plan is judged at once. */
export function OwnStep({ act, zones, menu, apply }: { act: ToldAct; zones: Candidate["zones"]; menu: Menu; apply: Apply }) {
  const form = `own-step-${act.stepIds[0]}`;
  const [open, setOpen] = useOpenForm(form, false);
  const [role, setRole] = useDraft<Role>(`${form}.role`, "seal");
  const [of, setOf] = useDraft(`${form}.of`, "");
  const [coats, setCoats] = useDraft(`${form}.coats`, "1");
  const [colour, setColour] = useDraft(`${form}.colour`, FIRST_COLOUR);
  const kind = KINDS.find((one) => one.role === role)!;
  const options = optionsFor(kind.jobs, menu);
  const chosen = options.find((one) => one.id === of) ?? options[0]!;
  const ofColour = role === "base";
  if (!open)
    return (
      <p className="print:hidden">
        <button type="button" className="chip" onClick={() => setOpen(true)}>
          <Plus aria-hidden size={16} /> A step of your own after this
        </button>
      </p>
    );
  const put = () => {
    const { jar, product } = chosen;
    const step: NewStep = {
      role,
      product: productId(product),
      coats: Number(coats),
      ...(jar ? { jar: jar.id } : {}),
      ...(ofColour ? { colour: jar?.colour ?? colour } : {}),
    };
    apply(putAfter(zones, act.stepIds, step));
    setOpen(false);
  };
  return (
    <div role="group" aria-label="A step of your own after this" className="note grid gap-2 p-3 print:hidden">
      <div className="grid gap-2 sm:grid-cols-2">
        <Choice label="What it is" value={role} choices={KINDS.map((one) => ({ id: one.role, name: one.name }))} onChange={(id) => setRole(id as Role)} />
        <Choice label="With what" value={chosen.id} choices={options} onChange={setOf} />
        <Choice label="How much" value={coats} choices={COATS} onChange={setCoats} />
        {ofColour && !chosen.jar && <Colour label="Its colour" value={colour} onChange={setColour} />}
      </div>
      <p className="flex flex-wrap gap-2">
        <button type="button" className="button button-act" onClick={put}>
          Put it in
        </button>
        <button type="button" className="button" onClick={() => setOpen(false)}>
          Never mind
        </button>
      </p>
    </div>
  );
}
