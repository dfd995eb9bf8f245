import { Plus, X } from "lucide-react";
import type { Role, ZoneId } from "#core/catalogue/vocabulary";
import type { DoneStep } from "#core/piece/piece";
import { Choice } from "~/components/fields";
import { ToolButton } from "~/components/tool-button";
import { nameIn } from "~/components/use-menu";
import { zoneName } from "~/components/words";
import { set } from "./fact-props";
import type { FactProps } from "./fact-props";
import { LAYER_KINDS } from "../layer-kinds";
import { useDraft, useOpenForm } from "~/components/use-draft";

const COATS = ["1", "2", "3", "4", "5"].map((id) => ({ id, name: id === "1" ? "1 coat" : `${id} coats` }));

/** "It already has these coats on": the plan goes on from there. */
export function AlreadyFact({ record, menu, save }: FactProps) {
  const { piece } = record;
  const done = piece.done ?? [];
  const zones = menu.objects.find((one) => one.id === piece.object)?.zones.map((one) => one.zone) ?? [];
  const places: readonly ZoneId[] = zones.length > 0 ? zones : ["top"];
  const [open, setOpen] = useOpenForm("already", false);
  const [zone, setZone] = useDraft<string>("already.zone", places[0]!);
  const [role, setRole] = useDraft<Role>("already.role", "base");
  const kind = LAYER_KINDS.find((one) => one.role === role)!;
  const products = menu.products.filter((one) => one.jobs.some((job) => kind.jobs.includes(job)));
  const [product, setProduct] = useDraft("already.product", "");
  const [coats, setCoats] = useDraft("already.coats", "1");
  const chosen = products.some((one) => one.id === product) ? product : (products[0]?.id ?? "");
  const put = (steps: readonly DoneStep[]) => save([set("done", steps)]);
  const add = () => {
    const step = { zone: places.includes(zone as ZoneId) ? zone : places[0]!, role, product: chosen, coats: Number(coats) } as DoneStep;
    put([...done, step]);
    setOpen(false);
  };
  return (
    <div className="grid gap-3">
      {done.length > 0 && (
        <ul className="grid gap-1">
          {done.map((step, index) => {
            const said = `${zoneName(step.zone)}: ${nameIn(menu.products, step.product).toLowerCase()}, ${step.coats === 1 || !step.coats ? "1 coat" : `${step.coats} coats`}`;
            return (
              <li key={`${index}-${said}`} className="flex items-center justify-between gap-2">
                <span>{said}</span>
                <ToolButton icon={X} label={`Not on it after all: ${said}`} onClick={() => put(done.filter((_one, at) => at !== index))} />
              </li>
            );
          })}
        </ul>
      )}
      {!open && (
        <button type="button" className="button justify-self-start" onClick={() => setOpen(true)}>
          <Plus aria-hidden size={18} /> It already has a coat on
        </button>
      )}
      {open && (
        <div className="grid grid-cols-2 gap-2">
          <Choice label="Where" value={zone} choices={places.map((id) => ({ id, name: zoneName(id) }))} onChange={setZone} />
          <Choice
            label="What it is"
            value={role}
            choices={LAYER_KINDS.map((one) => ({ id: one.role, name: one.name }))}
            onChange={(id) => setRole(id as Role)}
          />
          <Choice label="Of what" value={chosen} choices={products} onChange={setProduct} />
          <Choice label="How many" value={coats} choices={COATS} onChange={setCoats} />
          <button type="button" className="button button-act" onClick={add}>
            Put it down
          </button>
          <button type="button" className="button" onClick={() => setOpen(false)}>
            Never mind
          </button>
        </div>
      )}
    </div>
  );
}
