import { Pencil, Plus, Trash2 } from "lucide-react";
import { powderValue } from "#core/casting/compound";
import { hardenerByWeight } from "#core/casting/resin";
import type { CompoundRecord } from "#core/formats/stores/compounds";
import { sayMass } from "#core/units/mass";
import { useAppContext } from "~/components/app-context";
import { ToolButton } from "~/components/tool-button";
import { BagForm } from "./bag-form";
import type { KeptCompound } from "./casting-asks";
import { COMPOUND_KIND_WORDS, weightUnit } from "./casting-words";
import type { Casting } from "./use-casting";
import { useOpenForm } from "~/components/use-draft";

function ratioWords(one: CompoundRecord): string {
  if (one.kind === "resin") return `${Math.round(hardenerByWeight(one.resin))} : 100 by weight`;
  const { value, provenance } = powderValue(one.kind, one.label, "waterPer100");
  return `${value} water to 100${provenance.kind === "label" ? "" : ", typical"}`;
}

function Row({ one, casting, edit }: { one: CompoundRecord; casting: Casting; edit: () => void }) {
  const unit = weightUnit(useAppContext().settings.units);
  const left = casting.leftG(one.id);
  const full = one.bagG ?? one.left?.g ?? null;
  const share = left === null || full === null || full === 0 ? null : Math.min(1, left / full);
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-2 border-b border-line py-2">
      <div className="min-w-0">
        <p className="font-semibold leading-snug">{one.name}</p>
        <p className="leading-snug text-soft">
          {COMPOUND_KIND_WORDS[one.kind]}, {ratioWords(one)}
        </p>
        <p className={`leading-snug ${left === 0 ? "text-act" : ""}`}>
          {left === null ? "How much is in it was not said." : left === 0 ? "Empty." : `${sayMass(left, unit)} left`}
        </p>
        {share !== null && (
          <span aria-hidden className="mt-1 block h-2 max-w-60 overflow-hidden rounded-sm border border-line">
            <span className="block h-full bg-line" style={{ width: `${share * 100}%` }} />
          </span>
        )}
      </div>
      <div className="flex">
        <ToolButton icon={Pencil} label={`Change ${one.name}`} onClick={edit} />
        <ToolButton
          icon={Trash2}
          label={`Take ${one.name} off the shelf`}
          onClick={() => casting.ask({ intent: "remove-compound", id: one.id, name: one.name })}
        />
      </div>
    </li>
  );
}

/** Bags of powder and kits of resin, with what is left in them. */
export function BagList({ casting, title = "Powder and resin" }: { casting: Casting; title?: string }) {
  const [open, setOpen] = useOpenForm<string | null>("bag", null);
  const leave = () => setOpen(null);
  const keep = (compound: KeptCompound, seen: KeptCompound | null) => {
    casting.ask({ intent: "keep-compound", compound: plain(compound), ...(seen ? { seen: plain(seen) } : {}) });
    leave();
  };
  return (
    <section aria-labelledby="bags">
      <h2 id="bags" className="text-xl">
        {title}
      </h2>
      {casting.compounds.length === 0 && open === null && (
        <p className="text-soft">No bag yet. Put yours in with what its label says; pours are taken off it.</p>
      )}
      <ul aria-label="Your powders">
        {casting.compounds.map((one) =>
          open === one.id ? (
            <li key={one.id} className="py-2">
              <BagForm compound={one} leftG={casting.leftG(one.id)} keep={keep} leave={leave} />
            </li>
          ) : (
            <Row key={one.id} one={one} casting={casting} edit={() => setOpen(one.id)} />
          ),
        )}
      </ul>
      {open === "new" ? (
        <BagForm compound={null} leftG={null} keep={keep} leave={leave} />
      ) : (
        <button type="button" className="button mt-2" onClick={() => setOpen("new")}>
          <Plus aria-hidden size={18} /> A bag or a kit
        </button>
      )}
    </section>
  );
}

/** A kept bag without its count of changes. */
function plain(compound: KeptCompound): KeptCompound {
  const { rev: _rev, ...rest } = compound as CompoundRecord;
  return rest;
}
