import { useNavigate } from "react-router";
import { Pencil, Plus, Stamp, Trash2 } from "lucide-react";
import { capacityOf } from "#core/casting/mould";
import { mouldRecord } from "#core/casting/records-say";
import { FAULTS } from "#core/casting/repair/fault";
import type { FaultKind, FaultPlace } from "#core/casting/repair/fault";
import type { MouldRecord } from "#core/formats/stores/moulds";
import { sayMass } from "#core/units/mass";
import { useAfter } from "~/actions/use-after";
import { useAppContext } from "~/components/app-context";
import { ToolButton } from "~/components/tool-button";
import { freshId } from "~/store/fresh-id";
import type { Casting } from "./use-casting";
import { PART_WORDS, PLACE_WORDS, weightUnit } from "./casting-words";
import type { KeptMould } from "./casting-asks";
import { MouldForm } from "./mould-form";
import { MouldPicture } from "./mould-picture";
import { useOpenForm } from "~/components/use-draft";

function Row({ mould, casting, edit }: { mould: MouldRecord; casting: Casting; edit: () => void }) {
  const navigate = useNavigate();
  const [, after] = useAfter();
  const { settings } = useAppContext();
  const { used, faults } = mouldRecord(mould.id, casting.pours);
  const capacity = capacityOf(mould);
  const [worst] = faults;
  return (
    <li className="grid grid-cols-[3rem_minmax(0,1fr)_auto] items-center gap-2 border-b border-line py-2">
      <MouldPicture form={mould.form} />
      <div className="min-w-0">
        <p className="font-semibold leading-snug">
          {mould.name}
          {mould.count > 1 && <span className="text-soft"> × {mould.count}</span>}
        </p>
        <p className="leading-snug text-soft">
          {mould.part && `${PART_WORDS[mould.part]}; `}
          {capacity && `holds ${sayMass(capacity.ml, weightUnit(settings.units))}${capacity.by === "size" ? ", by its size" : ""}`}
          {used > 0 ? `; ${used} cast` : ""}
          {mould.stiff && "; new and stiff"}
        </p>
        {worst && (
          <p className="leading-snug text-act">
            Mostly {FAULTS[worst.kind as FaultKind].many} {PLACE_WORDS[worst.place as FaultPlace]}: {worst.count} so far.
          </p>
        )}
      </div>
      <div className="flex">
        <ToolButton
          icon={Stamp}
          label={`A piece of ${mould.name}`}
          onClick={() => {
            const piece = freshId();
            after(casting.ask({ intent: "piece-of-mould", mould: mould.id, piece }), () => void navigate(`/pieces/${piece}`));
          }}
        />
        <ToolButton icon={Pencil} label={`Change ${mould.name}`} onClick={edit} />
        <ToolButton icon={Trash2} label={`Take ${mould.name} away`} onClick={() => casting.ask({ intent: "remove-mould", id: mould.id, name: mould.name })} />
      </div>
    </li>
  );
}

/** The register of moulds. */
export function MouldList({ casting }: { casting: Casting }) {
  const [open, setOpen] = useOpenForm<string | null>("mould", null);
  const leave = () => setOpen(null);
  return (
    <section aria-labelledby="moulds">
      <h2 id="moulds" className="text-xl">
        Moulds
      </h2>
      {casting.moulds.length === 0 && open === null && <p className="text-soft">None yet. Put in the ones you pour into.</p>}
      <ul aria-label="Your moulds">
        {casting.moulds.map((mould) =>
          open === mould.id ? (
            <li key={mould.id} className="py-2">
              <MouldForm
                mould={mould}
                keep={(next, seen) => (casting.ask({ intent: "keep-mould", mould: plain(next), ...(seen ? { seen: plain(seen) } : {}) }), leave())}
                leave={leave}
              />
            </li>
          ) : (
            <Row key={mould.id} mould={mould} casting={casting} edit={() => setOpen(mould.id)} />
          ),
        )}
      </ul>
      {open === "new" ? (
        <MouldForm mould={null} keep={(mould) => (casting.ask({ intent: "keep-mould", mould }), leave())} leave={leave} />
      ) : (
        <button type="button" className="button mt-2" onClick={() => setOpen("new")}>
          <Plus aria-hidden size={18} /> A mould
        </button>
      )}
    </section>
  );
}

/** A kept mould without its count of changes. */
function plain(mould: KeptMould): KeptMould {
  const { rev: _rev, ...rest } = mould as MouldRecord;
  return rest;
}
